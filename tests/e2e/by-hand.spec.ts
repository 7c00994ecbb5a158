import type { Locator, Page } from '@playwright/test';
import { expect, stage, test } from './support';

const paper = (name: string): string => new URL(`../../demo/papers/${name}`, import.meta.url).pathname;

const brought = async (page: Page, name: string): Promise<void> => {
  await page.goto('/books/3');
  await stage(page, 'Opening balances').click();
  await page.getByRole('button', { name: 'Bring papers' }).click();
  await page.locator('input[type=file]').first().setInputFiles(paper(name));
  await expect(page.getByRole('heading', { name })).toBeVisible();
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
