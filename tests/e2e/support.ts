import { type Locator, type Page, expect } from '@playwright/test';

/** Opens a client's books from the board. */
export const client = async (page: Page, name: string): Promise<void> => {
  await page.goto('/');
  // The board has only the rows in sight in its page.
  await expect(async () => {
    await page.getByRole('searchbox', { name: 'Find books' }).fill(name);
    await expect(page.getByRole('link', { name, exact: true })).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.getByRole('link', { name, exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Company', exact: true })).toBeVisible();
};

/** A stage in the course. */
export const stage = (page: Page, name: string): Locator =>
  page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: new RegExp(`^${name}`) });

/** The cell of an account on the opening sheet; column 2 is debit, 3 credit, 4 where from. */
export const cell = (page: Page, account: string, column: number): Locator =>
  page
    .getByRole('grid', { name: 'Opening balances' })
    .getByRole('row')
    .filter({ hasText: account })
    .getByRole('gridcell')
    .nth(column);
