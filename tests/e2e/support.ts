import { type Locator, type Page, test as base, expect } from '@playwright/test';
import { startOwnServer } from './own-server';
import { e2ePorts } from './ports';

export { expect };

/** The people of the demo's practice, by the numbers that its seed gives them. */
const PEOPLE = { 'Ines Halloran': 1, 'Tomas Bielik': 2, 'Maeve Quill': 3, 'Orla Fenwick': 4 } as const;
export type DemoPerson = keyof typeof PEOPLE;

/** A test in a worker of Playwright's, against that worker's own server, as somebody of the demo's practice (`as`). */
export const test = base.extend<{ as: DemoPerson }, { server: string }>({
  as: ['Ines Halloran', { option: true }],
  server: [
    // eslint-disable-next-line no-empty-pattern -- Playwright asks for a pattern, also where nothing is used
    async ({}, use, { workerIndex, parallelIndex }) => {
      const ports = e2ePorts();
      if (workerIndex === parallelIndex) {
        await use(`http://127.0.0.1:${ports[parallelIndex % ports.length] ?? ''}`);
        return;
      }
      // This worker takes the place of one whose test failed: what is tried again finds the demo as it was seeded.
      const fresh = await startOwnServer({}, 'demo');
      await use(fresh.url);
      await fresh.stop();
    },
    { scope: 'worker', timeout: 300_000 },
  ],
  baseURL: ({ server }, use) => use(server),
  context: async ({ context, baseURL, as }, use) => {
    if (baseURL !== undefined)
      await context.addCookies([{ name: 'bathron-as', value: String(PEOPLE[as]), url: baseURL, httpOnly: true }]);
    await use(context);
  },
});

/** Tests of what only an owner does, among those of a preparer: charts, and posting. */
export const asOwner = (tests: () => void): void =>
  test.describe(() => {
    test.use({ as: 'Ines Halloran' });
    tests();
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

/**
 * Makes the books that the form describes, and stands on their Company page. A test that is tried again finds books of that name from the
 * time before, and presses again as a person would who means it.
 */
export const makeTheseBooks = async (page: Page): Promise<void> => {
  const make = page.getByRole('button', { name: 'Create these books' });
  const made = page.getByRole('heading', { name: 'Company', exact: true });
  const second = page.getByRole('button', { name: 'Create a second set' });
  await make.click();
  await expect(made.or(second)).toBeVisible();
  if (await second.isVisible()) await second.click();
  await expect(made).toBeVisible();
};

/** Makes books of a year from February with a cutover in August, and stands on their Company page. */
export const beginBooks = async (page: Page, name: string, foreign = false): Promise<void> => {
  await page.goto('/new');
  await page.getByLabel('Company name').fill(name);
  await fillYear(page, '2026-02-01', '2026-08-01');
  if (foreign) await page.getByLabel(/^Works in foreign currencies/).check();
  await makeTheseBooks(page);
};

/** Types opening figures; a minus stands for a credit, "=" for what makes both sides equal. */
export const typeFigures = async (page: Page, figures: Readonly<Record<string, string>>): Promise<void> => {
  await stage(page, 'Opening balances').click();
  await expect(page.getByRole('grid', { name: 'Opening balances' })).toBeVisible();
  // Where there are foreign currencies, a column of them comes first.
  const foreign = await page.getByRole('columnheader', { name: 'In currency' }).count();
  for (const [code, amount] of Object.entries(figures)) {
    await cell(page, code, foreign + (amount.startsWith('-') ? 3 : 2)).click();
    await page.keyboard.type(amount.replace('-', ''));
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText('all saved')).toBeVisible();
};

/** The schedule of an account, by its link on the overview. */
export const openSchedule = async (page: Page, account: string): Promise<Locator> => {
  await stage(page, 'Schedules').click();
  await page.getByRole('link', { name: account }).click();
  const grid = page.getByRole('grid', { name: /^Items of/ });
  await expect(grid).toBeVisible();
  return grid;
};

/** Types cells one after the other, each left with Tab; an empty text leaves a cell as it is. */
export const typeCells = async (page: Page, cells: readonly string[]): Promise<void> => {
  for (const text of cells) {
    if (text !== '') await page.keyboard.type(text);
    await page.keyboard.press('Tab');
  }
};

export const tieOut = (page: Page): Locator => page.getByRole('table', { name: 'Tie-out' });

/** Says on the Company page that a company is registered for sales taxes, with quarters from January. */
export const registerForTaxes = async (page: Page): Promise<void> => {
  await page.getByLabel('Registered', { exact: true }).selectOption('registered from a date');
  for (const [label, text] of [
    ['Tax number', 'IE 7654321 FA'],
    ['Registered from', '1 Mar 2020'],
    ['First return ends', '31 Mar 2020'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(text);
    await page.getByLabel(label, { exact: true }).press('Enter');
  }
};
