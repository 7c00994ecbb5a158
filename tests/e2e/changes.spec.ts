import { beginBooks, cell, expect, fillYear, makeTheseBooks, stage, test, typeFigures } from './support';

test('what was typed is taken back from the record after a reload, by keyboard; what is newer stands in the way and is named', async ({
  page,
}) => {
  await page.goto('/new');
  await page.getByLabel('Company name').fill('Limpet Chandlery Ltd');
  await fillYear(page, '2026-02-01', '2026-08-01');
  await makeTheseBooks(page);
  await stage(page, 'Opening balances').click();
  for (const [account, column, amount] of [
    ['1010', 2, '100'],
    ['1010', 2, '250'],
  ] as const) {
    await cell(page, account, column).click();
    await page.keyboard.type(amount);
    await page.keyboard.press('Enter');
    await expect(page.getByText('all saved')).toBeVisible();
  }
  await page.reload();
  await page.getByRole('link', { name: 'changes' }).click();
  const entries = page.getByRole('main').getByRole('listitem');
  await expect(entries.first()).toContainText(/1010 .*: 100\.00 Dr → 250\.00 Dr/);

  const older = entries.filter({ hasText: /1010 .*: empty → 100\.00 Dr/ });
  await older.getByRole('button', { name: /^Take back/ }).click();
  await expect(older.getByRole('alert')).toContainText(/1010 .* was changed since/);

  await entries
    .filter({ hasText: '→ 250.00 Dr' })
    .getByRole('button', { name: /^Take back/ })
    .focus();
  await page.keyboard.press('Enter');
  await expect(entries.first()).toContainText('Taken back');
  await expect(entries.filter({ hasText: '→ 250.00 Dr' }).last()).toContainText('taken back');
  await stage(page, 'Opening balances').click();
  await expect(cell(page, '1010', 2)).toHaveText('100.00');

  // Taking back is a change like any other.
  await page.goBack();
  await page
    .getByRole('main')
    .getByRole('listitem')
    .first()
    .getByRole('button', { name: /^Take back/ })
    .click();
  await expect(page.getByRole('main').getByRole('listitem').nth(1)).toContainText('· taken back');
  await stage(page, 'Opening balances').click();
  await expect(cell(page, '1010', 2)).toHaveText('250.00');
});

test.describe('far away', () => {
  test.use({ timezoneId: 'Pacific/Auckland' });
  test('the record is looked through by stage, account and day, in the reader’s own time', async ({ page }) => {
    await beginBooks(page, 'Whelk Ropeworks Ltd');
    await stage(page, 'Opening balances').click();
    await typeFigures(page, { '1010': '100' });
    await page.getByRole('link', { name: 'changes' }).click();
    const entries = page.getByRole('main').getByRole('listitem');
    await expect(entries.first()).toContainText(/1010 .*: empty → 100\.00 Dr/);
    await expect(entries.first()).toContainText(/GMT\+1[23]|NZ[DS]T/);
    await page.getByRole('search').getByRole('combobox', { name: 'Stage' }).selectOption('Chart');
    await expect(page).toHaveURL(/stage=chart/);
    await expect(entries.filter({ hasText: '→ 100.00 Dr' })).toHaveCount(0);
    await page.getByRole('link', { name: 'All changes' }).click();
    await expect(page).not.toHaveURL(/stage=/);
    await page.getByRole('combobox', { name: 'Account' }).fill('1010');
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/account=\d+/);
    await expect(entries.filter({ hasText: '→ 100.00 Dr' })).toHaveCount(1);
    await page.getByLabel('To', { exact: true }).fill('2020-01-31');
    await page.getByLabel('To', { exact: true }).press('Tab');
    await expect(page.getByText('Nothing of this was changed.')).toBeVisible();
    await expect(page).toHaveURL(/zone=Pacific%2FAuckland/);
    // What is saved as a file is what is looked at.
    await expect(page.getByRole('link', { name: 'CSV' })).toHaveCount(0);
    await page.getByRole('link', { name: 'All changes' }).click();
    await expect(page.getByRole('link', { name: 'CSV' })).toBeVisible();
  });
});
