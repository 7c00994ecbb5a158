import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { CORPUS, control } from '../hostile/corpus';
import { mutated } from '../hostile/mutate';
import { expect, test } from './support';

/** One for each answer that there is, and some more: all of them are tried on the same pool without a browser. */
const SOME = CORPUS.filter(
  ({ becomes }, at) => at % 8 === 0 || at === CORPUS.findIndex((other) => other.becomes === becomes),
);

/** Hostile and mutated files through the real route of the production build. */
test.describe('through the real route', () => {
  const bring = (baseURL: string | undefined, name: string) => ({
    'x-paper-name': encodeURIComponent(name),
    'content-type': 'application/octet-stream',
    origin: baseURL ?? '',
  });
  test('hostile files of each kind get their sentence or are read, and a paper like any other is taken after it', async ({
    request,
    baseURL,
  }) => {
    for (const [at, { name, becomes, bytes }] of SOME.entries()) {
      const answer = await request.post('/books/3/papers/bring', {
        data: Buffer.from(bytes()),
        headers: bring(baseURL, `${name}.csv`),
      });
      const told = (await answer.json()) as { ok: boolean; problems?: { code: string; message: string }[] };
      const became = told.ok ? 'reads' : told.problems?.[0]?.code;
      expect(became, name).toBe(becomes === 'input.custom' ? 'upload.large' : becomes);
      expect(told.ok || (told.problems?.[0]?.message.length ?? 0) > 30, name).toBe(true);
      if (at % 20 === 0) {
        const taken = await request.post('/books/3/papers/bring', {
          data: Buffer.from(control(at)),
          headers: bring(baseURL, 'control.csv'),
        });
        expect(await taken.json()).toMatchObject({ ok: true });
      }
    }
  });
  test('two hundred mutated uploads are read or get a sentence', async ({ request, baseURL }) => {
    const papers = readdirSync('demo/papers').map((name) => new Uint8Array(readFileSync(join('demo/papers', name))));
    for (let at = 0; at < 200; at += 1) {
      const answer = await request.post('/books/3/papers/bring', {
        data: Buffer.from(mutated(papers, at)),
        headers: bring(baseURL, `mutated ${String(at)}.csv`),
      });
      const told = (await answer.json()) as { ok: boolean; problems?: { code: string; message: string }[] };
      if (!told.ok) expect(told.problems?.[0]?.code).toMatch(/^(?:paper|saft)\./);
    }
  });
});

test('a logo with script in it is a picture when it is opened by itself, and runs nothing', async ({
  page,
  request,
  baseURL,
}) => {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 20 20" onload="document.title='ran'"><text><![CDATA[</text><script>document.title='ran'</script>]]></text><rect width="9" height="9"/></svg>`;
  const sent = await request.post('/books/3/logo', {
    data: Buffer.from(svg),
    headers: { 'x-paper-name': 'logo', 'content-type': 'application/octet-stream', origin: baseURL ?? '' },
  });
  expect(await sent.json()).toMatchObject({ ok: true });
  const opened = await page.goto('/books/3/logo');
  expect(opened?.headers()['content-type']).toBe('image/png');
  expect(await page.title()).not.toBe('ran');
});
