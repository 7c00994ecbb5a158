import type { Page } from '@playwright/test';
import { beginBooks, cell, expect, stage, test, typeFigures } from './support';

/** Becomes somebody of the demo's practice. */
const be = async (page: Page, name: string): Promise<void> => {
  await page.goto('/who');
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await expect(page.getByRole('banner').getByText(name)).toBeVisible();
};
const open = async (page: Page, books: string): Promise<void> => {
  await page.goto('/');
  await page.getByRole('searchbox', { name: 'Find books' }).fill(books);
  await page.getByRole('link', { name: books, exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Company', exact: true })).toBeVisible();
};

test('a preparer without charts enters figures, and is told who may change the chart; nothing of it is stored', async ({
  page,
}) => {
  await be(page, 'Tomas Bielik');
  await beginBooks(page, 'Tern & Tide');
  await stage(page, 'Chart').click();
  await expect(page.getByRole('note')).toContainText('To change it, ask an owner or a preparer with that right');
  await page.getByRole('row', { name: /^1010/ }).getByRole('gridcell').nth(1).click();
  // Nothing opens, is emptied or takes a key; the server would refuse it besides.
  await page.keyboard.press('F2');
  await page.keyboard.type(' changed');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Delete');
  await expect(page.getByRole('textbox', { name: /1010/ })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Add accounts' })).toHaveCount(0);
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await expect(margin.getByLabel('Name', { exact: true })).toBeDisabled();
  // Papers are another right.
  await expect(margin.getByRole('button', { name: 'Attach a file' })).toBeEnabled();
  await expect(page.getByRole('row', { name: /^1010/ })).toBeVisible();
  await typeFigures(page, { '1010': '500' });
  await expect(page.getByText('All saved')).toBeVisible();
  await page.reload();
  await expect(cell(page, '1010', 1)).not.toContainText('changed');
  await expect(cell(page, '1010', 2)).toContainText('500.00');
});

test('a reviewer looks, signs and posts; a change in between lifts the signature, visibly', async ({ page }) => {
  await be(page, 'Tomas Bielik');
  await beginBooks(page, 'Skua & Sons');
  await typeFigures(page, { '1010': '500' });
  await page.getByLabel('Find on the sheet').fill('3010');
  await cell(page, '3010', 3).click();
  await page.keyboard.type('500');
  await page.keyboard.press('Enter');
  await expect(page.getByText('All saved')).toBeVisible();
  await be(page, 'Ines Halloran');
  await open(page, 'Skua & Sons');
  await page.getByLabel('Registered', { exact: true }).selectOption('no');
  await stage(page, 'Sign-off').click();
  await page.getByRole('checkbox', { name: /second pair of eyes/ }).check();
  await expect(page.getByText('nobody signed them yet')).toBeVisible();
  await be(page, 'Maeve Quill');
  await open(page, 'Skua & Sons');
  await expect(page.getByLabel('Company name')).toBeDisabled();
  await stage(page, 'Opening balances').click();
  // She may look at the figures, and not change them.
  await expect(page.getByRole('note')).toContainText('You may look at this');
  await cell(page, '1010', 2).click();
  await page.keyboard.type('7');
  await expect(cell(page, '1010', 2)).toHaveText('500.00');
  await stage(page, 'Sign-off').click();
  await expect(page.getByRole('button', { name: /^Post/ })).toHaveCount(0);
  await page.getByLabel('Note to the signature').fill('Bank agreed');
  await page.getByRole('button', { name: 'Sign it as it stands' }).click();
  await expect(page.getByText(/Signed as it stands by Maeve Quill/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Post/ })).toBeVisible();
  await be(page, 'Tomas Bielik');
  await open(page, 'Skua & Sons');
  await typeFigures(page, { '1010': '600' });
  await page.getByLabel('Find on the sheet').fill('3010');
  await cell(page, '3010', 3).click();
  await page.keyboard.type('600');
  await page.keyboard.press('Enter');
  await expect(page.getByText('All saved')).toBeVisible();
  await stage(page, 'Sign-off').click();
  await expect(page.getByText('Ready. To post it, ask an owner or a reviewer of the practice.')).toBeVisible();
  await be(page, 'Maeve Quill');
  await open(page, 'Skua & Sons');
  await stage(page, 'Sign-off').click();
  await expect(page.getByText(/something was changed since, so it counts no more/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Post/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Sign it as it stands' }).click();
  await page.getByRole('button', { name: /^Post 2 lines/ }).click();
  await expect(page.getByText('Posted as journal 1', { exact: true })).toBeVisible();
});

test('a client’s own people see the books that are theirs, and change nothing; the audit is the owner’s', async ({
  page,
}) => {
  const books = 'Nightjar Couriers';
  await be(page, 'Orla Fenwick');
  await expect(page.getByRole('link', { name: 'New books' })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Marram Kelp Farms Ltd', exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: books, exact: true })).toHaveCount(0);
  await page.goto('/people');
  await expect(page.getByRole('heading', { name: 'This page is not for you' })).toBeVisible();
  const refused = await page.request.get('/audit/file');
  expect(refused.status()).toBe(403);
  await be(page, 'Ines Halloran');
  await page.getByRole('link', { name: 'Ines Halloran' }).click();
  await page.getByRole('button', { name: 'Orla Fenwick' }).click();
  await page.getByLabel('Books', { exact: true }).fill(books);
  await page.getByRole('option', { name: books }).click();
  await page.getByLabel('Why').fill('Sits on its board');
  await page.getByRole('button', { name: 'Give', exact: true }).click();
  await expect(page.getByText('Sits on its board')).toBeVisible();
  await page.getByRole('link', { name: 'Audit' }).click();
  await expect(page.getByRole('row').nth(1)).toContainText('because: Sits on its board');
  await be(page, 'Orla Fenwick');
  await expect(page.getByRole('link', { name: books, exact: true })).toBeVisible();
  // A form of another site chooses nobody.
  const foreign = await page.request.post('/who/choose', {
    form: { person: '1' },
    headers: { origin: 'https://elsewhere.example' },
  });
  expect(foreign.status()).toBe(403);
});

test('two people in the same books see each other, and who comes back is told what was done meanwhile', async ({
  page,
  browser,
  baseURL,
}) => {
  await beginBooks(page, 'Gannet & Daughters');
  const books = page.url();
  const context = await browser.newContext({ ...(baseURL === undefined ? {} : { baseURL }) });
  const other = await context.newPage();
  await be(other, 'Tomas Bielik');
  await other.goto(`${books}/openings`);
  await expect(other.getByText('with Ines Halloran (Company)')).toBeVisible();
  await page.reload();
  await expect(page.getByText('with Tomas Bielik (Opening balances)')).toBeVisible();
  await context.close();
});
