import { type Locator, type Page, test as base, expect } from '@playwright/test';
import { e2ePorts } from './ports';

export { expect };

/** A test in a worker of Playwright's, against that worker's own server. */
export const test = base.extend({
  // eslint-disable-next-line no-empty-pattern -- Playwright asks for a pattern, also where nothing is used
  baseURL: async ({}, use, { parallelIndex }) => {
    const ports = e2ePorts();
    await use(`http://127.0.0.1:${ports[parallelIndex % ports.length] ?? ''}`);
  },
});

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

/** The first fiscal year and the cutover date of new books, typed and chosen as a person would. */
export const fillYear = async (page: Page, start: string, cutover: string): Promise<void> => {
  const begins = page.getByLabel('Fiscal year starts');
  await begins.fill(start);
  await begins.press('Enter');
  await page.getByLabel('Cutover date').selectOption(cutover);
};
