import { expect, test } from './support';

/** Figures as a page sends them, and as nobody's page does. */
test('what is sent to be saved is taken as amounts, or gets a sentence', async ({ request, baseURL }) => {
  const send = async (data: string) => {
    const answer = await request.post('/books/3/openings/figures', {
      data: Buffer.from(data),
      headers: { 'content-type': 'application/json', origin: baseURL ?? '' },
    });
    return {
      status: answer.status(),
      told: (await answer.json()) as { ok: boolean; problems?: { message: string }[] },
    };
  };
  const entry = (amount: unknown) =>
    JSON.stringify({ set: 1, entries: [{ account: 1, amount, revision: 0, restores: false }] });
  for (const [data, status] of [
    ['', 400],
    ['null', 400],
    ['7', 400],
    ['{"set":', 400],
    ['\u0000', 400],
    ['[]', 200],
    ['{}', 200],
    ['{"__proto__":{"set":1}}', 200],
    ['{"books":1,"set":"1","entries":{}}', 200],
    [entry(5), 200],
    [entry('5'), 200],
    [entry({ units: '1.5' }), 200],
    [entry({ units: '9'.repeat(30) }), 200],
    [entry({ units: '9'.repeat(100_000) }), 200],
    [`{"entries":"${'x'.repeat(4 * 1024 * 1024)}"}`, 413],
  ] as const) {
    const { status: was, told } = await send(data);
    expect(was, data.slice(0, 80)).toBe(status);
    expect(told.ok, data.slice(0, 80)).toBe(false);
    expect(told.problems?.[0]?.message.length, data.slice(0, 80)).toBeGreaterThan(15);
  }
});
