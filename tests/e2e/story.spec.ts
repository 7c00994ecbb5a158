import type { Page } from '@playwright/test';
import { cell, expect, fillYear, makeTheseBooks, registerForTaxes, stage, test } from './support';

const paper = (name: string): string => new URL(`../../demo/papers/${name}`, import.meta.url).pathname;

const makeBooks = async (page: Page, name: string): Promise<void> => {
  await page.goto('/');
  await page.getByRole('link', { name: 'New books' }).click();
  await page.getByLabel('Company name').fill(name);
};

test('from an empty screen to posted opening balances, from the old trial balance', async ({ page }) => {
  await makeBooks(page, 'Dulse & Daughters Ltd');
  await fillYear(page, '2026-02-01', '2026-08-01');
  // Periods of four weeks have none that begins on that day: it is said, and the months are taken again.
  await page.getByLabel('Periods', { exact: true }).selectOption('thirteen periods of four weeks');
  await expect(page.getByText('falls inside')).toContainText('A set of books takes over on a period’s first day');
  await page.getByLabel('Periods', { exact: true }).selectOption('calendar months');
  await expect(page.getByText('Balances stand at close of 31 Jul 2026')).toBeVisible();
  await expect(page.getByText('Carriage inwards')).toBeVisible();
  await makeTheseBooks(page);

  // Company: what is required.
  await registerForTaxes(page);
  await page.getByLabel('A return').selectOption('every month');
  await expect(page.getByText('all saved')).toBeVisible();

  // Calendar: the old system's dates; open two more months.
  await stage(page, 'Calendar').click();
  for (const label of ['Old records complete until', 'Trial balance is of']) {
    await page.getByLabel(label).fill('31/07/2026');
    await page.getByLabel(label).press('Enter');
  }
  await page.getByRole('button', { name: 'Save the dates' }).click();
  await expect(page.getByRole('button', { name: 'Save the dates' })).toBeHidden();
  await page.getByRole('button', { name: 'Sep future' }).click();
  await page.getByRole('button', { name: 'Oct future' }).click({ modifiers: ['Shift'] });
  await page.getByRole('button', { name: 'open', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Oct open' })).toBeVisible();

  // The paper: dropped, read, matched.
  await stage(page, 'Opening balances').click();
  await page.getByRole('button', { name: 'Bring papers' }).click();
  await page.locator('input[type=file]').first().setInputFiles(paper('marram-trial-balance-2026-07-31.csv'));
  await expect(page.getByRole('heading', { name: 'marram-trial-balance-2026-07-31.csv' })).toBeVisible();
  await expect(page.getByText('Row 5 is the header')).toBeVisible();
  const facts = page.getByLabel('What taking over would do');
  await expect(facts).toContainText('accounts read45');
  await expect(page.getByRole('button', { name: 'Take over' })).toBeDisabled();

  // One row goes to an account that is there, one is left out by mistake and taken back, the rest get accounts.
  await page.getByRole('grid', { name: 'Rows of the paper' }).hover();
  await page.mouse.wheel(0, 400);
  await page.getByRole('row').filter({ hasText: 'Cost of dried kelp sold' }).click();
  await page.getByLabel('Account', { exact: true }).fill('5010 Cost of goods sold');
  await page.getByLabel('Account', { exact: true }).press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Cost of dried kelp sold' })).toContainText(
    '5010 Cost of goods sold',
  );
  await page.getByRole('button', { name: /^To decide/ }).click();
  await page.getByRole('row').filter({ hasText: 'Coastal enterprise grant' }).click();
  await page.getByLabel('Reason').fill('belongs to another company');
  await page.getByRole('button', { name: 'Leave this row out' }).click();
  await expect(facts).toContainText('left out1');
  await page.getByRole('button', { name: /^Set aside/ }).click();
  await page.getByRole('row').filter({ hasText: 'left out: belongs to another company' }).click();
  await page.getByRole('button', { name: 'Take the decision back' }).click();
  await expect(facts).not.toContainText('left out');
  await page.getByRole('button', { name: /^Create \d+ accounts as proposed$/ }).click();
  await expect(page.getByText('to decide:')).toBeHidden();
  await expect(facts).toContainText('net360.00 Dr');
  await page.getByRole('button', { name: 'Take over' }).click();

  // The Level is off; the figure that was mistyped is put right by keyboard, and the Level reacts while typing.
  await expect(page.getByRole('heading', { name: 'Opening balances' })).toBeVisible();
  await expect(page.getByTestId('difference')).toHaveText('360.00 Dr');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('A place, an account code or name').fill('2200');
  await page.getByRole('option', { name: '2200 VAT payable' }).click();
  await expect(cell(page, 'VAT payable', 3)).toBeFocused();
  await expect(page.getByLabel('Margin')).toContainText('marram-trial-balance-2026-07-31.csv, row 24');
  await page.keyboard.type('8154.20+360');
  await expect(page.getByTestId('difference')).toHaveText('EUR level');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('difference')).toHaveText('360.00 Dr');
  await page.keyboard.type('8514.20');
  await page.keyboard.press('Enter');
  await expect(page.getByText('all saved')).toBeVisible();
  await expect(page.getByTestId('difference')).toHaveText('EUR level');
  await page.reload();
  await expect(page.getByTestId('difference')).toHaveText('EUR level');

  // Proof is clear; posting happens once; the balance sheet balances.
  await page.getByRole('link', { name: 'Go to Proof' }).click();
  await expect(page.getByRole('heading', { name: /checks are clear/ })).toBeVisible();
  await page.getByRole('link', { name: 'Go to Sign-off' }).click();
  await page.getByRole('button', { name: 'Post 45 lines' }).click();
  await expect(page.getByRole('heading', { name: 'The opening balances are posted' })).toBeVisible();
  await page.getByRole('link', { name: 'Balance sheet' }).click();
  await expect(page.getByText('Net assets and equity are equal.')).toBeVisible();
  const net = await page.getByTestId('Net assets').textContent();
  await expect(page.getByTestId('Total equity')).toHaveText(net ?? 'net assets');
  await page.getByRole('link', { name: 'two sides' }).click();
  await expect(page.getByText('The two sides are equal.')).toBeVisible();
  const total = await page.getByTestId('Total assets').textContent();
  await expect(page.getByTestId('Total liabilities and equity')).toHaveText(total ?? 'a total');
  const [csv] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'CSV' }).click()]);
  expect(csv.suggestedFilename()).toBe('Dulse & Daughters Ltd balance sheet 2026-07-31.csv');
  await page.getByRole('link', { name: 'Income statement' }).click();
  await expect(page.getByTestId('Profit to date')).not.toHaveText('·');
  await page.getByRole('link', { name: 'Journal', exact: true }).click();
  await expect(page.getByText('Opening balances at close of 31 Jul 2026')).toBeVisible();
});

test('the six balances of a sole trader in a currency without decimals, by keyboard alone', async ({ page }) => {
  await makeBooks(page, 'Petrel Parcels');
  await page.getByLabel('Legal form', { exact: true }).selectOption('Sole trader');
  await page.getByLabel('Country').selectOption('Japan');
  await expect(page.getByLabel('Base currency')).toHaveValue('JPY');
  await fillYear(page, '2026-01-01', '2026-07-01');
  await page.getByRole('radio', { name: /^Services/ }).check();
  await expect(page.getByText('Owner’s drawings')).toBeVisible();
  await expect(page.getByText('Share capital')).toBeHidden();
  await page.getByLabel('Company name').press('Enter');
  await expect(page.getByRole('heading', { name: 'Company', exact: true })).toBeVisible();
  await page.getByLabel('Registered', { exact: true }).focus();
  await page.keyboard.press('n');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('Registered', { exact: true })).toHaveValue('no');
  await expect(page.getByText('all saved')).toBeVisible();
  await stage(page, 'Opening balances').click();
  await expect(page.getByRole('grid', { name: 'Opening balances' })).toBeVisible();

  const go = async (account: string): Promise<void> => {
    await page.keyboard.press('Control+k');
    await page.getByPlaceholder('A place, an account code or name').fill(account);
    await page.getByRole('option', { name: account }).click();
    await expect(cell(page, account.slice(5), 2)).toBeFocused();
  };
  const typed: readonly (readonly [string, string])[] = [
    ['1010 Current account at bank', '842,000'],
    ['1050 Petty cash', '36500'],
    ['1520 Vehicles, cost', '1,000,000+250,000'],
    ['1529 Vehicles, accumulated depreciation', '375000 cr'],
    ['2510 Bank loan', '600000 cr'],
    ['3010 Owner’s capital', '1153500 cr'],
  ];
  for (const [account, amount] of typed) {
    await go(account);
    await page.keyboard.type(amount);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByTestId('difference')).toHaveText('JPY level');
  await expect(page.getByTestId('debits')).toHaveText('2,128,500');
  await go('1050 Petty cash');
  await page.keyboard.type('36500.5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 figure not saved')).toBeVisible();
  await go('1050 Petty cash');
  await expect(page.getByLabel('Margin')).toContainText('has 1 decimals, but JPY has none');
  await page.getByRole('button', { name: 'Drop what was typed' }).click();
  await expect(page.getByText('all saved')).toBeVisible();
  await page.getByRole('link', { name: 'Go to Proof' }).click();
  // A mid-year opening without any result is asked about, and does not hold posting back.
  await expect(page.getByText('The books take over in the middle of a year')).toBeVisible();
  await page.getByRole('link', { name: 'Go to Sign-off' }).click();
  await page.getByRole('button', { name: 'Post 6 lines' }).click();
  await page.getByRole('link', { name: 'Balance sheet' }).click();
  await expect(page.getByTestId('Net assets')).toHaveText('1,153,500');
});
