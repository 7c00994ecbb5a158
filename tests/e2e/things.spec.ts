import type { Page } from '@playwright/test';
import {
  beginBooks,
  cell,
  client,
  expect,
  openSchedule,
  registerForTaxes,
  stage,
  test,
  tieOut,
  typeCells,
  typeFigures,
} from './support';

const paper = (name: string): string => new URL(`../../demo/papers/${name}`, import.meta.url).pathname;

/** Makes books with more accounts, one per line, and opening figures; a minus stands for a credit. */
const make = async (
  page: Page,
  name: string,
  more:
    | {
        readonly part: string;
        readonly beside: string;
        readonly line: string;
        readonly role: string;
        readonly accounts: readonly string[];
      }
    | undefined,
  figures: Readonly<Record<string, string>>,
): Promise<void> => {
  await beginBooks(page, name);
  if (more !== undefined) {
    await page.getByRole('checkbox', { name: new RegExp(`^${more.part}`) }).check();
    await stage(page, 'Chart').click();
    // New lines stand beside the account that is chosen.
    await page.getByLabel('Find in the chart').fill(more.beside);
    await page
      .getByRole('row', { name: new RegExp(`^${more.beside}\\b`) })
      .getByRole('gridcell')
      .nth(1)
      .click();
    await page.getByRole('button', { name: 'Add accounts' }).click();
    await page.getByLabel('Accounts, one per line').fill(more.accounts.join('\n'));
    await expect(page.getByRole('status').filter({ hasText: 'new' })).toBeVisible();
    await page.keyboard.press('Control+Enter');
    for (const account of more.accounts) {
      await page.getByLabel('Find in the chart').fill(account.slice(0, 4));
      await page
        .getByRole('row', { name: new RegExp(`^${account.slice(0, 4)}\\b`) })
        .getByRole('gridcell')
        .nth(1)
        .click();
      await page.getByLabel('Statement line').selectOption({ label: more.line });
      await page.getByLabel('Role').selectOption({ label: more.role });
      await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    }
  }
  await typeFigures(page, figures);
};

const typeRows = async (page: Page, rows: readonly (readonly string[])[]): Promise<void> => {
  for (const [at, row] of rows.entries()) {
    const line = page
      .getByRole('grid')
      .getByRole('row')
      .nth(at + 1);
    await line.getByRole('gridcell').first().click();
    await typeCells(page, row);
    await expect(page.getByText('all saved')).toBeVisible();
  }
};

test('a register in which one depreciation is wrong: it is questioned, put right, and both accounts tie', async ({
  page,
}) => {
  await make(page, 'Lathe & Loom', undefined, { '1510': '70000', '1519': '-35000', '3010': '-=' });
  await openSchedule(page, 'Equipment, cost');
  // Code, asset, acquired, life, cost, depreciation.
  await typeRows(page, [
    ['E1', 'Press', '1.8.21', '10 years', '60000', '30000'],
    ['E2', 'Saw', '1.8.24', '48', '10000', '500'],
  ]);
  await expect(tieOut(page)).toContainText('ties');
  const saw = page.getByRole('grid').getByRole('row').nth(2);
  await expect(saw).toContainText('5,000.00');
  await saw.getByRole('gridcell').nth(5).click();
  await expect(page.getByText('By its life 5,000.00 should be written off, not 500.00.')).toBeVisible();
  await page.getByRole('button', { name: 'Take 5,000.00' }).click();
  await expect(page.getByText('all saved')).toBeVisible();
  await expect(saw.getByRole('gridcell').nth(5)).toHaveText('5,000.00');
  await expect(page.getByRole('grid').getByRole('row').last()).toContainText('35,000.00');
  await openSchedule(page, 'Equipment, accumulated depreciation');
  await expect(tieOut(page)).toContainText('ties');
  await page.getByRole('link', { name: /Equipment, cost/ }).click();
  // What was taken is taken back, and the other account says so.
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByRole('grid').getByRole('row').nth(2).getByRole('gridcell').nth(5)).toHaveText('500.00');
});

test('the boat that was sold and is still in the register', async ({ page }) => {
  await client(page, 'Marram Kelp Farms Ltd');
  await openSchedule(page, 'Boats, cost');
  await expect(tieOut(page)).toContainText('4,800.00 Cr');
  await page.getByRole('gridcell', { name: /Punt Corran/ }).click();
  await page.keyboard.press('Control+-');
  await expect(tieOut(page)).toContainText('ties');
  await openSchedule(page, 'Boats, accumulated depreciation');
  await expect(tieOut(page)).toContainText('ties');
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(tieOut(page)).toContainText('3,200.00 Dr');
});

test('a loan is brought by its plan, and what is due within a year goes to its own account', async ({ page }) => {
  await make(
    page,
    'Slipway Ltd',
    {
      part: 'Loans',
      beside: '2100',
      line: 'Current liability',
      role: 'Loan',
      accounts: ['2450 Bank loan due within one year', '2560 Development bank loan'],
    },
    {
      '2560': '-95000',
      '3010': '=',
    },
  );
  await openSchedule(page, 'Development bank loan');
  await page.locator('input[type=file]').first().setInputFiles(paper('tideline-loan-7003-14.csv'));
  await page.getByRole('button', { name: 'Take 1 item' }).click();
  await expect(tieOut(page)).toContainText('ties');
  await page
    .getByLabel('What is due within a year stands on')
    .selectOption({ label: '2450 Bank loan due within one year' });
  await expect(tieOut(page)).toContainText('10,000.00 Cr');
  await expect(page.getByRole('table', { name: 'What to move' })).toContainText('10,000.00');
  await page.getByRole('button', { name: 'Move it' }).click();
  await expect(tieOut(page)).toContainText('ties');
  await page.getByRole('grid').getByRole('gridcell').first().click();
  await expect(page.getByRole('table', { name: 'Payments to come' })).toContainText('31 Aug 2026');
  await openSchedule(page, 'Bank loan due within one year');
  await expect(tieOut(page)).toContainText('10,000.00 Cr');
  await expect(tieOut(page)).toContainText('ties');
});

test('a stock count with categories goes over three accounts; below nil is questioned', async ({ page }) => {
  await make(page, 'Count & Co', { part: 'Stock',
      beside: '1300', line: 'Current asset', role: 'Stock', accounts: ['1210 Stock of raw materials', '1220 Stock of finished goods', '1230 Stock of packaging'] }, {
    '1210': '300', '1220': '450', '1230': '48.75', '3010': '-=',
  }); // prettier-ignore
  await openSchedule(page, 'Stock of raw materials');
  const text = [
    'Count at 31/07/2026;;;;;', 'Code;Article;Unit;Quantity;Unit cost;Value',
    'Raw materials', 'R1;Flour;kg;200;1.25;250.00', 'R2;Salt;kg;50;1.00;50.00', ';Total raw materials;;;;300.00',
    'Finished goods', 'F1;Loaf;pc;310;1.50;465.00', 'F2;Bun;pc;-10;1.50;-15.00', ';Total finished goods;;;;450.00',
    'Packaging', 'P1;Bag;100;3.25;15.0000;48.75', ';Total packaging;;;;48.75', ';Stock total;;;;798.75',
  ].join('\n'); // prettier-ignore
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'count.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  const groups = page.getByRole('table', { name: 'Where each category goes' });
  await expect(groups.getByLabel('Account of Finished goods')).toHaveText(/1220 Stock of finished goods/);
  await groups.getByLabel('Account of Packaging').selectOption({ label: '1230 Stock of packaging' });
  // Its rows stand as the schedule would show them; each can stay out, by a press or by the keys.
  const brought = page.getByRole('grid', { name: 'Rows of the list' });
  await expect(brought.getByRole('row').filter({ hasText: 'Bun' })).toContainText('1.50');
  const flour = page.getByRole('checkbox', { name: 'Take, row 4' });
  await flour.click();
  await expect(page.getByRole('button', { name: 'Take 4 items' })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(flour).toBeChecked();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Take 3 items' })).toBeVisible();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Take 5 items' }).click();
  await expect(tieOut(page)).toContainText('ties');
  await openSchedule(page, 'Stock of finished goods');
  await expect(tieOut(page)).toContainText('ties');
  await page.getByRole('gridcell', { name: 'Bun' }).click();
  await expect(page.getByText('There cannot be less than none of it.')).toBeVisible();
  await openSchedule(page, 'Stock of packaging');
  await expect(tieOut(page)).toContainText('ties');
  // All of it was one step.
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(tieOut(page)).toContainText('nothing behind it');
});

test('prices stand by the company’s levels; whoever goes by keyboard sees the cell on which they stand', async ({
  page,
}) => {
  await client(page, 'Marram Kelp Farms Ltd');
  await openSchedule(page, 'Stock of dried kelp');
  const moss = page.getByRole('row').filter({ hasText: 'Irish moss, whole' });
  const standing = page.locator('[role=grid] [role=gridcell][tabindex="0"]');
  await moss.getByRole('gridcell').first().click();
  await page.keyboard.press('End');
  await expect(standing).toHaveAttribute('aria-colindex', String(await page.getByRole('columnheader').count()));
  await expect(standing).toBeInViewport({ ratio: 0.99 });
  await page.keyboard.press('Home');
  await expect(standing).toHaveText('K30');
  await expect(standing).toBeInViewport({ ratio: 0.99 });
  const heads = await page.getByRole('columnheader').allTextContents();
  const at = heads.indexOf('Selling price, Export');
  expect(heads.slice(at - 2, at)).toEqual(['Selling price, Shop', 'Selling price, Kitchen']);
  for (let step = 0; step < at; step += 1) await page.keyboard.press('ArrowRight');
  await expect(standing).toBeInViewport({ ratio: 0.99 });
  await page.keyboard.type('16.25');
  await page.keyboard.press('Enter');
  await expect(page.getByText('all saved')).toBeVisible();
  await page.reload();
  await expect(moss.getByRole('gridcell').nth(at)).toHaveText('16.25');
});

test('prepayments by days or by months, and shares', async ({ page }) => {
  await make(page, 'Ahead & Sons', undefined, { '1300': '1840', '3010': '-1840' });
  await openSchedule(page, 'Prepayments');
  // What, with, document, from, to, whole; what lies after the opening date follows.
  await typeRows(page, [['Moorings', '', '', '1.2.26', '31.1.27', '3650']]);
  await expect(tieOut(page)).toContainText('ties');
  await stage(page, 'Company').click();
  await page.getByLabel('What lies across the year end').selectOption('months');
  await openSchedule(page, 'Prepayments');
  await page.getByRole('gridcell', { name: 'Moorings' }).click();
  await expect(page.getByText('By months 1,825.00 of it lies after the opening date.')).toBeVisible();
  await page.getByRole('grid').getByRole('row').nth(1).getByRole('gridcell').last().click();
  await page.keyboard.type('1825');
  await page.keyboard.press('Enter');
  await expect(tieOut(page)).toContainText('15.00 Dr');

  await openSchedule(page, 'Share capital');
  await typeRows(page, [['Orla Fenwick', 'Ordinary', '1000', '1.84']]);
  await expect(tieOut(page)).toContainText('ties');
});

test('a budget from last year plus 3 %, divided over the periods', async ({ page }) => {
  await make(page, 'Plan & Play', undefined, { '1010': '100', '3010': '-100' });
  await stage(page, 'Company').click();
  await page.getByRole('checkbox', { name: /^Budgets/ }).check();
  await stage(page, 'Opening balances').click();
  await page.getByRole('link', { name: 'Comparatives' }).click();
  const sales = page.getByRole('grid', { name: 'Comparatives' }).getByRole('row').filter({ hasText: '4010' });
  await sales.getByRole('gridcell').nth(2).click();
  await page.keyboard.type('36500 cr');
  await page.keyboard.press('Enter');
  await expect(page.getByText('all saved')).toBeVisible();
  await page.getByLabel('From last year, more or less %').fill('lots');
  await page.getByRole('button', { name: 'Fill the budget' }).click();
  await expect(page.getByText('“lots” is no percentage.')).toBeVisible();
  await page.getByLabel('From last year, more or less %').fill('3');
  await page.getByRole('button', { name: 'Fill the budget' }).click();
  await expect(page.getByText('The budget of 1 account is filled')).toBeVisible();
  await expect(sales).toContainText('3,132.92 Cr');
  await sales.getByRole('gridcell').nth(2).click();
  await expect(page.getByLabel('Margin')).toContainText('37,595.00 Cr');
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(sales).not.toContainText('3,132.92 Cr');
});

test('a figure divided over two projects, which are made as they are typed; what stands on each', async ({ page }) => {
  await beginBooks(page, 'Ferry & Fen');
  await page.getByRole('checkbox', { name: /^Cost centres and projects/ }).check();
  await typeFigures(page, { '1010': '1000' });
  await page.getByLabel('Find on the sheet').fill('4010');
  await cell(page, '4010', 3).click();
  await page.keyboard.type('1000');
  await page.keyboard.press('Enter');
  await expect(page.getByText('All saved')).toBeVisible();
  await cell(page, '4010', 3).click();
  await page.getByRole('link', { name: 'Divide it' }).click();
  await expect(tieOut(page)).toBeVisible();
  const grid = page.getByRole('grid');
  await expect(grid).toBeVisible();
  // Cost centre, project, note, number, amount: a project that is not in the list yet is added to it.
  for (const [at, [project, amount]] of [
    ['REEF', '600'],
    ['SHORE', '350'],
  ].entries()) {
    const row = grid.getByRole('row').nth(at + 1);
    await row.getByRole('gridcell').nth(1).click();
    await page.keyboard.press('Enter');
    await page.keyboard.type(project ?? '');
    await page.getByRole('option', { name: `Add “${project ?? ''}” to the list` }).click();
    await expect(row.getByRole('gridcell').nth(1)).toHaveText(project ?? '');
    await row.getByRole('gridcell').last().click();
    await typeCells(page, [amount ?? '']);
    await expect(page.getByText('all saved')).toBeVisible();
  }
  await expect(tieOut(page)).toContainText('50.00');
  await grid.getByRole('row').nth(2).getByRole('gridcell').last().click();
  await typeCells(page, ['400']);
  await expect(tieOut(page)).toContainText('ties');
  await page.getByRole('link', { name: 'Analysis codes' }).click();
  await page.getByRole('link', { name: 'Project', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Project' })).toBeVisible();
  await page.getByRole('button', { name: 'What stands on them' }).click();
  await expect(page.getByRole('table', { name: 'REEF' })).toContainText('600.00');
  await expect(page.getByRole('table', { name: 'SHORE' })).toContainText('400.00');
  // A name given to a code stands wherever the code does.
  await page.getByRole('button', { name: 'Codes', exact: true }).click();
  await page.getByRole('grid').getByRole('row').nth(1).getByRole('gridcell').nth(1).click();
  await typeCells(page, ['Reef trial']);
  await expect(page.getByText('all saved')).toBeVisible();
  await page.getByRole('link', { name: 'What ties' }).click();
  await page.getByRole('link', { name: /Sales/ }).first().click();
  await expect(page.getByRole('grid').getByRole('row').nth(1)).toContainText('REEF Reef trial');
});

test('returns of sales taxes: each period up to the opening date is listed, or begun with one click', async ({
  page,
}) => {
  await beginBooks(page, 'Levy & Lane');
  await registerForTaxes(page);
  await expect(page.getByText('all saved')).toBeVisible();
  await stage(page, 'Opening balances').click();
  await page.getByLabel('Find on the sheet').fill('2200');
  await cell(page, '2200', 3).click();
  await page.keyboard.type('900');
  await page.keyboard.press('Enter');
  await expect(page.getByText('All saved')).toBeVisible();
  await cell(page, '2200', 3).click();
  await page.getByRole('link', { name: 'Begin a list of it' }).click();
  await expect(tieOut(page)).toBeVisible();
  const margin = page.getByLabel('Margin');
  await expect(margin).toContainText('1 Jul 2026 – 30 Sep 2026 so far');
  await margin.getByRole('button', { name: 'Add it' }).last().click();
  const row = page.getByRole('grid').getByRole('row').nth(1);
  await expect(row).toContainText('1 Jul 2026 – 31 Jul 2026');
  await row.getByRole('gridcell').last().click();
  await typeCells(page, ['900']);
  await expect(page.getByText('all saved')).toBeVisible();
  await expect(tieOut(page)).toContainText('ties');
  await expect(margin.getByRole('button', { name: 'Add it' })).toHaveCount(0);
});
