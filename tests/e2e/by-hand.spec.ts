import type { Locator, Page } from '@playwright/test';
import ExcelJS from 'exceljs';
import { expect, stage, test } from './support';

const paper = (name: string): string => new URL(`../../demo/papers/${name}`, import.meta.url).pathname;

const brought = async (page: Page, name: string, content?: Buffer): Promise<void> => {
  await page.goto('/books/3');
  await stage(page, 'Opening balances').click();
  await page.getByRole('button', { name: 'Bring papers' }).click();
  const file = page.locator('input[type=file]').first();
  await (content === undefined
    ? file.setInputFiles(paper(name))
    : file.setInputFiles({ name, mimeType: 'application/octet-stream', buffer: content }));
  await expect(page.getByRole('heading', { name })).toBeVisible();
};

/** A workbook with the balances of several months, each on a sheet of its own. */
const monthly = async (months: Readonly<Record<string, number>>): Promise<Buffer> => {
  const book = new ExcelJS.Workbook();
  for (const [month, bank] of Object.entries(months))
    book.addWorksheet(month).addRows([
      ['Code', 'Name', 'Debit', 'Credit'],
      ['1000', 'Harbour bank', bank, null],
      ['2000', 'Sundry creditors', null, 300],
      ['3000', 'Capital', null, bank - 300],
    ]);
  return Buffer.from(await book.xlsx.writeBuffer());
};

/** What a person does, counted: each press and each choice. */
const counting = () => {
  let count = 0;
  return {
    press: async (what: Locator): Promise<void> => {
      count += 1;
      await what.click();
    },
    choose: async (what: Locator, label: string): Promise<void> => {
      count += 1;
      await what.selectOption({ label });
    },
    count: () => count,
  };
};

/** Papers that nobody can read without knowing more than they say: how few actions each takes. */
test.describe('a paper that needs a person', () => {
  test('with two years and no names for them: one press', async ({ page }) => {
    await brought(page, 'person-two-years-unnamed.csv');
    // The list stands below the first rows as they stand in the file.
    const row = page.getByRole('row', { name: /Bank current account/ }).last();
    await expect(row).toContainText('43,389.49');
    const person = counting();
    await person.press(page.getByRole('button', { name: 'Read it so' }));
    await expect(row).toContainText('48,210.55');
    expect(person.count()).toBe(1);

    // And a way back: the paper read anew is as it was.
    await page.getByText('How it is read:').click();
    await person.press(page.getByRole('button', { name: 'Read anew' }));
    await expect(row).toContainText('43,389.49');
  });

  test('with balances on several sheets: the latest is read, another is one press away', async ({ page }) => {
    await brought(
      page,
      'months.xlsx',
      await monthly({ 'January 2020': 1000, 'March 2020': 3000, 'February 2020': 2000 }),
    );
    const row = page.getByRole('row', { name: /Harbour bank/ }).last();
    await expect(row).toContainText('3,000.00');
    const other = page.getByRole('listitem').filter({ hasText: 'the sheet “February 2020”' });
    await other.getByRole('button', { name: 'Read it so' }).click();
    await expect(row).toContainText('2,000.00');
    await page.getByText('How it is read:').click();
    await page.getByLabel(/^Sheet/).selectOption('January 2020');
    await expect(row).toContainText('1,000.00');
  });

  test('with a subtotal that has a code: none, it is said; three presses where it is an account after all', async ({
    page,
  }) => {
    await brought(page, 'person-coded-subtotal.csv');
    await expect(page.getByText('it is left out as a subtotal')).toBeVisible();
    const accountsRead = page.getByText('accounts read').locator('..');
    await expect(accountsRead).toHaveText(/22$/);
    const person = counting();
    await person.press(page.getByRole('button', { name: 'Set aside' }));
    await person.press(page.getByRole('row', { name: /Working capital and machines/ }).last());
    await person.press(page.getByRole('button', { name: 'Read it as an account' }));
    await expect(accountsRead).toHaveText(/23$/);
    expect(person.count()).toBe(3);
  });

  test('with amounts in two styles: the rows that do not read are named', async ({ page }) => {
    await brought(page, 'person-mixed-number-styles.csv');
    await expect(page.getByText('Rows 4 and 17 do not read.')).toBeVisible();
  });

  test('with quantities between its accounts, and out by itself: two presses set all of them aside, one takes it back', async ({
    page,
  }) => {
    await brought(page, 'person-quantities-between.csv');
    const accountsRead = page.getByText('accounts read').locator('..');
    await expect(accountsRead).toHaveText(/29$/);
    const person = counting();
    await person.press(page.getByRole('row', { name: /Dried kelp on hand, kg/ }).last());
    await person.press(page.getByRole('button', { name: 'Set aside all 7 rows formed like it' }));
    await expect(accountsRead).toHaveText(/22$/);
    expect(person.count()).toBe(2);
    await person.press(page.getByRole('button', { name: 'Undo' }));
    await expect(accountsRead).toHaveText(/29$/);
  });
});
