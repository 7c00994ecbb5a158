import type { Browser, Page } from '@playwright/test';
import { codeOf } from '../device-code';
import { nothingSerious } from './axe';
import { type OwnServer, startOwnServer } from './own-server';
import { expect, fillYear, makeTheseBooks, stage, test } from './support';

test.describe.configure({ mode: 'serial' });

const PASSPHRASE = 'limpet orbit candle forty';
const OTHER = 'saucer meadow thirteen rudder';

let server: OwnServer;
test.beforeAll(async () => {
  server = await startOwnServer();
});
test.afterAll(() => server.stop());

/** Somebody's own browser. */
const open = async (browser: Browser): Promise<Page> =>
  (await browser.newContext({ baseURL: server.url, viewport: { width: 1280, height: 800 } })).newPage();

const signIn = async (page: Page, email: string, passphrase = PASSPHRASE): Promise<void> => {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Passphrase', { exact: true }).fill(passphrase);
  await page.getByRole('button', { name: 'Sign in' }).click();
};

const board = (page: Page) => page.getByRole('heading', { name: 'Wrack & Tide', exact: true });

test('an empty practice is begun by whoever knows the printed code, by keyboard', async ({ browser }) => {
  const page = await open(browser);
  await page.goto('/books/1');
  await expect(page.getByRole('heading', { name: 'The first start' })).toBeVisible();
  for (const theme of ['dark', 'light'] as const) {
    await page.emulateMedia({ colorScheme: theme });
    await nothingSerious(page, theme);
  }
  const code = /\b[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}\b/.exec(server.printed())?.[0] ?? '';
  await page.getByLabel('Code').focus();
  for (const text of ['WRONG', 'Wrack & Tide', 'Ines Halloran', 'ines@wrack.example', 'limpet wrack candle']) {
    await page.keyboard.type(text);
    await page.keyboard.press('Tab');
  }
  await expect(page.getByText(/everybody knows of you/)).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await expect(page.getByText('strong: it can be taken')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/not the code that Bathron printed/)).toBeVisible();
  await page.getByLabel('Code').fill(code);
  await page.keyboard.press('Enter');
  await expect(board(page)).toBeVisible();
  await expect(page.getByText('Ines Halloran')).toBeVisible();
  // Nobody chooses whom to be where the data is real.
  expect((await page.request.get('/who')).status()).toBe(404);
  await page.goto('/new');
  await page.getByLabel('Company name').fill('Saltmarsh Pottery');
  await fillYear(page, '2026-02-01', '2026-08-01');
  await makeTheseBooks(page);
  await page.context().close();
});

test('a preparer is invited by the simulated mailbox, sets up a second step, and may not touch the chart', async ({
  browser,
}) => {
  const owner = await open(browser);
  await signIn(owner, 'ines@wrack.example');
  await expect(board(owner)).toBeVisible();
  await owner.goto('/people');
  await owner.getByLabel('Name').fill('Tomas Bielik');
  await owner.getByLabel('E-mail').fill('tomas@wrack.example');
  await owner.getByLabel('May change charts of accounts').uncheck();
  await owner.getByRole('button', { name: 'Add', exact: true }).click();
  await owner.getByRole('button', { name: 'Tomas Bielik' }).click();
  await owner.getByRole('button', { name: 'Invite', exact: true }).click();
  await expect(owner.getByText(/^Sent to tomas@wrack\.example/)).toBeVisible();
  await expect(owner.getByRole('row', { name: /Tomas Bielik/ })).toContainText('invited');

  const page = await open(browser);
  await page.goto('/simulated/mailbox');
  await page.getByRole('link', { name: /way-in/ }).click();
  await expect(page.getByRole('heading', { name: 'Welcome to Wrack & Tide' })).toBeVisible();
  const link = page.url();
  await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Take it and sign in' }).click();
  await expect(board(page)).toBeVisible();

  await page.getByRole('link', { name: 'how you sign in' }).click();
  await page.getByLabel('Your passphrase').fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Set it up' }).click();
  await expect(page.getByRole('img', { name: 'For the program on your device' })).toBeVisible();
  const letters = (await page.getByText(/^[A-Z2-7]{32,}$/).textContent()) ?? '';
  await page.getByLabel('Code that it shows').fill(codeOf(letters));
  await page.getByRole('button', { name: 'It shows this' }).click();
  const codes = page.getByRole('list', { name: 'Recovery codes' }).getByRole('listitem');
  await expect(codes).toHaveCount(10);
  const kept = await codes.allTextContents();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();

  await signIn(page, 'tomas@wrack.example');
  await expect(page.getByRole('heading', { name: 'The second step' })).toBeVisible();
  await page.getByLabel('Code').fill('123456');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/does not hold/)).toBeVisible();
  await page.getByLabel('Code').fill(kept[0] ?? '');
  await page.keyboard.press('Enter');
  await expect(board(page)).toBeVisible();
  await page.getByRole('link', { name: 'Saltmarsh Pottery' }).click();
  await stage(page, 'Chart').click();
  await expect(page.getByText(/You may look at this\. To change it, ask/)).toBeVisible();

  await page.goto(link);
  await expect(page.getByRole('heading', { name: 'This link does not hold' })).toBeVisible();
  await page.context().close();
  await owner.context().close();
});

test('a forgotten passphrase is chosen anew by e-mail, and sessions elsewhere end at once', async ({ browser }) => {
  const [here, there] = [await open(browser), await open(browser)];
  for (const page of [here, there]) {
    await signIn(page, 'ines@wrack.example');
    await expect(board(page)).toBeVisible();
  }
  // One of one's own sessions, ended from the other.
  await here.goto('/account');
  const others = here.getByRole('button', { name: 'End it' });
  await expect(others.first()).toBeVisible();
  const before = await others.count();
  // The newest stands first.
  await others.first().click();
  await expect(others).toHaveCount(before - 1);
  await there.goto('/people?');
  await expect(there.getByRole('heading', { name: 'Sign in' })).toBeVisible();

  await there.getByRole('link', { name: 'Forgotten the passphrase' }).click();
  await expect(there.getByRole('heading', { name: 'Another passphrase' })).toBeVisible();
  await there.getByLabel('E-mail').fill('ines@wrack.example');
  await there.getByRole('button', { name: 'Send the link' }).click();
  await there.getByRole('link', { name: 'simulated mailbox' }).click();
  await expect(there.getByRole('heading', { name: 'Simulated mailbox' })).toBeVisible();
  await expect(async () => {
    await there.reload();
    await there
      .getByRole('listitem')
      .filter({ hasText: 'another passphrase' })
      .getByRole('link')
      .first()
      .click({ timeout: 1000 });
  }).toPass();
  await there.getByLabel('Passphrase', { exact: true }).fill(OTHER);
  await there.getByRole('button', { name: 'Take it and sign in' }).click();
  await expect(board(there)).toBeVisible();

  // All sessions have ended with it, and what was chosen before does not open any more.
  await here.goto('/sign-in');
  await expect(here.getByLabel('Passphrase', { exact: true })).toBeVisible();
  await signIn(here, 'ines@wrack.example');
  await expect(here.getByText(/do not belong together/)).toBeVisible();
  await here.context().close();
  await there.context().close();
});

test('a session that ends while somebody types stores nothing, says so, and keeps what stands there', async ({
  browser,
}) => {
  const page = await open(browser);
  await signIn(page, 'ines@wrack.example', OTHER);
  await page.getByRole('link', { name: 'Saltmarsh Pottery' }).click();
  await expect(page.getByRole('heading', { name: 'Company', exact: true })).toBeVisible();
  const kept = await page.context().cookies();
  await page.context().clearCookies();
  await page.getByLabel('Trading name').fill('Saltmarsh');
  await page.keyboard.press('Tab');
  await expect(page.getByText(/Your session has ended, so nothing was stored/).first()).toBeVisible();
  await expect(page.getByLabel('Trading name')).toHaveValue('Saltmarsh');
  await page.context().addCookies(kept);
  await page.getByLabel('Trading name').fill('Saltmarsh & Daughters');
  await page.keyboard.press('Tab');
  await expect(page.getByText('all saved')).toBeVisible();
  await page.context().close();
});

test('the audit says who came in and who did not', async ({ browser }) => {
  const page = await open(browser);
  await signIn(page, 'ines@wrack.example', OTHER);
  await expect(board(page)).toBeVisible();
  await page.goto('/audit?kind=sign-in');
  await expect(page.getByText('Accepted the invitation')).toBeVisible();
  await expect(page.getByText('Signed in with a recovery code')).toBeVisible();
  await expect(page.getByText('Address and passphrase did not belong together').first()).toBeVisible();
  await page.context().close();
});

test('its pages hold nothing serious for whoever cannot see or use a mouse, and fit a phone', async ({ browser }) => {
  for (const theme of ['light', 'dark'] as const) {
    const context = await browser.newContext({ baseURL: server.url, colorScheme: theme });
    const page = await context.newPage();
    await page.goto('/sign-in');
    await nothingSerious(page, theme);
    // One begins to type at once.
    await page.keyboard.type('ines@wrack.example');
    await page.keyboard.press('Tab');
    await page.keyboard.type(OTHER);
    await page.keyboard.press('Enter');
    await expect(board(page)).toBeVisible();
    for (const path of ['/account', '/people', '/simulated/mailbox']) {
      await page.goto(path);
      await nothingSerious(page, theme);
      await page.setViewportSize({ width: 390, height: 844 });
      expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBe(390);
      await page.setViewportSize({ width: 1280, height: 800 });
    }
    await context.close();
  }
});

test('what is asked through a proxy, or under another name, finds no chooser of people', async ({
  request,
  baseURL,
}) => {
  expect((await request.get('/who')).status()).toBe(200);
  const through = await request.get('/who', { headers: { 'x-forwarded-for': '203.0.113.9' }, maxRedirects: 0 });
  expect([through.status(), through.headers().location]).toEqual([307, '/sign-in?to=%2Fwho']);
  const books = await request.get('/books/1', { headers: { 'x-forwarded-for': '203.0.113.9' }, maxRedirects: 0 });
  expect(books.headers().location).toBe('/sign-in?to=%2Fbooks%2F1');
  expect((await request.get('/simulated/mailbox', { headers: { 'x-forwarded-for': '203.0.113.9' } })).status()).toBe(
    404,
  );
  for (const origin of ['https://evil.example', 'null', `${baseURL ?? ''}.evil.example`]) {
    const forged = await request.post('/sign-in/do/enter', {
      headers: { origin },
      data: { email: 'a@b.example', passphrase: 'x' },
    });
    expect(forged.status(), origin).toBe(403);
  }
  const host = await request.post('/sign-in/do/forgotten', {
    headers: { host: 'evil.example' },
    data: { email: 'a@b.example' },
  });
  expect(host.status()).toBe(421);
});
