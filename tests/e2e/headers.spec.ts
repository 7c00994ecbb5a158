import { readdirSync } from 'node:fs';
import { request as rawRequest } from 'node:http';
import { join, relative } from 'node:path';
import { expect, test } from './support';

/** Every address of the application, from its files, with numbers of the demo's main client put in. */
const addresses = (): readonly { readonly path: string; readonly page: boolean }[] => {
  const found: { path: string; page: boolean }[] = [];
  const walk = (directory: string): void => {
    for (const entry of readdirSync(directory, { withFileTypes: true })) {
      const path = join(directory, entry.name);
      if (entry.isDirectory()) walk(path);
      else if (entry.name === 'page.tsx' || entry.name === 'route.ts')
        found.push({
          path: `/${relative('src/app', directory)}`
            .replace('[books]', '1')
            .replace('[paper]', '1')
            .replace('[account]', '1')
            .replace('[kind]', 'trial-balance')
            .replace('[step]', 'enter')
            .replace('[token]', 'x'),
          page: entry.name === 'page.tsx',
        });
    }
  };
  walk('src/app');
  return found;
};

const QUERY = '?format=csv&from=1&to=1&mood=down&signature=x';

test.describe('every answer carries its headers', () => {
  for (const { path, page } of addresses())
    test(path, async ({ request }) => {
      const answer = await request.get(`${path}${page ? '' : QUERY}`);
      const headers = answer.headers();
      expect(headers['x-content-type-options']).toBe('nosniff');
      expect(headers['x-frame-options']).toBe('DENY');
      expect(headers['referrer-policy']).toBe('same-origin');
      expect(headers['cross-origin-opener-policy']).toBe('same-origin');
      expect(headers['cross-origin-resource-policy']).toBe('same-origin');
      const policy = headers['content-security-policy'] ?? '';
      if (page) {
        expect(policy).toMatch(/script-src 'self' 'nonce-[\w+/=]{20,}' 'strict-dynamic';/);
        expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/);
        const html = await answer.text();
        const nonce = /'nonce-([^']+)'/.exec(policy)?.[1] ?? '';
        const scripts = [...html.matchAll(/<script\b([^>]*)>/g)].map(([, attributes]) => attributes ?? '');
        expect(scripts.length).toBeGreaterThan(0);
        expect(scripts.every((attributes) => attributes.includes(`nonce="${nonce}"`))).toBe(true);
      } else {
        expect(policy).toBe("sandbox; default-src 'none'; frame-ancestors 'none'");
        expect(headers['content-type'] ?? '').not.toMatch(/svg|html/);
      }
    });
  test('a nonce is never used twice', async ({ request }) => {
    const nonces = await Promise.all(
      Array.from({ length: 5 }, async () => (await request.get('/')).headers()['content-security-policy']),
    );
    expect(new Set(nonces).size).toBe(5);
  });
  test('a connection is kept for longer than proxies and clients keep theirs, so that none asks at a closed door', async ({
    request,
  }) => {
    const kept = (await request.get('/health')).headers()['keep-alive'] ?? '';
    expect(Number(/timeout=(\d+)/.exec(kept)?.[1])).toBeGreaterThan(120);
  });
});

/** A request with the headers as they are given, which a browser or a client library would put right. */
const raw = (
  base: string | undefined,
  path: string,
  method: string,
  headers: Readonly<Record<string, string>>,
): Promise<number> => {
  const { hostname, port } = new URL(base ?? '');
  return new Promise((resolve, reject) => {
    const sent = rawRequest({ hostname, port, path, method, headers }, (answer) => {
      answer.resume();
      resolve(answer.statusCode ?? 0);
    });
    sent.on('error', reject);
    sent.end(method === 'POST' ? 'x' : undefined);
  });
};

test.describe('a request', () => {
  // How the process is, is told to whatever balances requests, under any name; it reveals nothing and takes nothing.
  const asked = addresses().filter(({ path }) => path !== '/health');
  const files = asked.filter(({ page }) => !page);
  test('under another name is not answered, at any address', async ({ baseURL }) => {
    for (const { path } of asked)
      for (const host of [
        'evil.example',
        'evil.example:4317',
        '127.0.0.1.evil.example',
        'localhost.evil.example',
        '[::2]',
      ])
        expect(await raw(baseURL, path, 'GET', { host }), `${path} as ${host}`).toBe(421);
    for (const host of ['localhost', '127.0.0.1:99', '[::1]:4317', 'LOCALHOST'])
      expect(await raw(baseURL, '/', 'GET', { host })).toBe(200);
  });
  test('from another site’s page is refused, at any address', async ({ baseURL }) => {
    const { host } = new URL(baseURL ?? '');
    for (const { path } of asked)
      for (const headers of [
        { origin: 'https://evil.example' },
        { origin: 'null' },
        { origin: `http://${host}.evil.example` },
        { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'cors' },
        { 'sec-fetch-site': 'same-site', 'sec-fetch-mode': 'no-cors' },
      ])
        expect(await raw(baseURL, path, 'POST', { host, 'x-paper-name': 'x', ...headers }), path).toBe(403);
    for (const { path } of files)
      expect(
        await raw(baseURL, path, 'GET', {
          host,
          'sec-fetch-site': 'cross-site',
          'sec-fetch-mode': 'navigate',
          'sec-fetch-dest': 'document',
        }),
        path,
      ).toBe(403);
    const followed = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', 'sec-fetch-dest': 'document' };
    expect(await raw(baseURL, '/', 'GET', { host, ...followed })).toBe(200);
  });
  test('with numbers, names and parameters of any kind gets an answer, and never an error of the server', async ({
    request,
  }) => {
    const odd = [
      '0',
      '-1',
      '2147483648',
      '99999999999999999999',
      '1e3',
      'NaN',
      '__proto__',
      '%00',
      '%ff',
      '..%2f..',
      "1'--",
    ];
    for (const { path } of addresses().filter((one) => one.path.includes('/1')))
      for (const number of odd) {
        const answer = await request.get(path.replace('/1', `/${number}`), { failOnStatusCode: false });
        expect(answer.status(), `${path} with ${number}`).toBeLessThan(500);
      }
    for (const { path } of files)
      for (const value of odd) {
        const answer = await request.get(
          `${path}?format=${value}&from=${value}&to=${value}&signature=${value}&base=${value}&currencies=${'USD,'.repeat(2000)}`,
          { failOnStatusCode: false },
        );
        expect(answer.status(), `${path} with ${value}`).toBeLessThan(500);
      }
  });
});

test('the simulated rate service answers each currency once, whatever is asked', async ({ request }) => {
  const answer = await request.get(
    `/simulated/rates?base=EUR&currencies=${'USD,'.repeat(1500)}&from=0001-01-01&to=9999-12-31`,
  );
  expect((await answer.body()).length).toBeLessThan(200_000);
});

test('a page under the policy runs without a word in the browser’s console', async ({ page }) => {
  const said: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') said.push(message.text());
  });
  page.on('pageerror', (error) => said.push(String(error)));
  for (const path of ['', '/openings', '/currencies', '/chart', '/papers']) {
    await page.goto(`/books/1${path}`);
    await page.waitForLoadState('networkidle');
  }
  expect(said).toEqual([]);
});
