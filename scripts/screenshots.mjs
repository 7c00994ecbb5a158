// npm run screenshots: one current picture of each main view, from fresh demo data, into docs/screenshots.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensurePackages, freePort, root, run, startServer, stop } from './provision.mjs';

const bring = async (page, name) => {
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles(join(root, 'demo', 'papers', name));
  await page.getByRole('heading', { name }).waitFor();
};

const VIEWS = [
  ['board', '/'],
  ['company', '/books/1'],
  ['calendar', '/books/1/calendar'],
  ['balance-sheet', '/books/4/statements/balance-sheet'],
  ['currencies', '/books/1/currencies'],
  ['chart', '/books/1/chart', (page) => page.getByRole('row', { name: /VAT payable/ }).click()],
  [
    'chart-answers',
    '/books/3/chart/begin',
    async (page) => {
      await page.getByLabel('Keeps stock').click();
    },
  ],
  [
    'schedules',
    '/books/1/schedules',
    async (page) => {
      await page
        .getByRole('button', { name: /^Show skerry-bank-confirmation/ })
        .first()
        .click();
      await page.locator('[data-drawn=true]').waitFor();
    },
  ],
  [
    'assets',
    '/books/1/schedules',
    async (page) => {
      await page.getByRole('link', { name: 'Boats, cost' }).click();
      await page.getByRole('gridcell', { name: /Punt Corran/ }).click();
    },
  ],
  [
    'open-items',
    '/books/1/schedules',
    async (page) => {
      await page.getByRole('link', { name: 'Trade receivables' }).click();
      await page.getByRole('gridcell', { name: 'MC-0019' }).click();
    },
  ],
  [
    'opening-balances',
    '/books/1/openings',
    (page) =>
      page
        .getByRole('row', { name: /VAT payable/ })
        .getByRole('gridcell')
        .nth(3)
        .click(),
  ],
  [
    'opening-balances-dark',
    '/books/1/openings',
    (page) =>
      page
        .getByRole('row', { name: /VAT payable/ })
        .getByRole('gridcell')
        .nth(3)
        .click(),
    'dark',
  ],
  ['paper', '/books/4/papers', (page) => bring(page, 'nightjar-balances-2026-03-31.csv')],
  ['proof', '/books/1/proof'],
  ['sign-off', '/books/4/sign-off'],
  [
    'reading',
    '/books/3/papers',
    async (page) => {
      await bring(page, 'lantern-balances-by-section-2026-08-31.csv');
      await page.getByText('How it is read:').click();
    },
  ],
  ['changes', '/books/1/changes', (page) => page.locator('summary').first().click()],
  ['search', '/books/1/openings/why', (page) => page.getByText(/^\d+ explanations$/).waitFor()],
  ['people', '/people', (page) => page.getByRole('button', { name: 'Orla Fenwick' }).click()],
];

ensurePackages();
const executablePath = ensureChromium();
ensureBuild();
const data = mkdtempSync(join(tmpdir(), 'bathron-screenshots-'));
const env = { BATHRON_DATA: join(data, 'data'), LOG_LEVEL: 'error' };
if (run(process.execPath, ['--import', 'tsx', 'demo/seed.ts'], { env }) !== 0)
  stop('The demo data could not be written.');
const port = await freePort();
const { child, ended } = await startServer(port, { quiet: true, env });
const { chromium } = await import('@playwright/test');
const browser = await chromium.launch({
  executablePath,
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
for (const [name, path, prepare, colorScheme = 'light'] of VIEWS) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme });
  await page.goto(`http://127.0.0.1:${port}${path}`, { waitUntil: 'networkidle' });
  await prepare?.(page);
  await page.waitForTimeout(500);
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) });
  await page.close();
}
await browser.close();
child.kill('SIGTERM');
await ended;
rmSync(data, { recursive: true, force: true });
console.log(`${VIEWS.length} pictures in docs/screenshots`);
