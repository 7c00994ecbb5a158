import { readFileSync } from 'node:fs';
import * as XLSX from '@e965/xlsx';
import type { Page } from '@playwright/test';
import { asOwner, cell, client, expect, fillYear, makeTheseBooks, stage, test } from './support';

test.use({ as: 'Tomas Bielik' });

const paper = (name: string): string => new URL(`../../demo/papers/${name}`, import.meta.url).pathname;

const newBooks = async (page: Page, name: string, yearStart: string, cutover: string): Promise<void> => {
  await page.goto('/');
  await page.getByRole('link', { name: 'New books' }).click();
  await page.getByLabel('Company name').fill(name);
  await fillYear(page, yearStart, cutover);
  await makeTheseBooks(page);
};

type Files = Parameters<ReturnType<Page['locator']>['setInputFiles']>[0];

const bring = async (page: Page, files: Files): Promise<void> => {
  await stage(page, 'Opening balances').click();
  await page.getByRole('button', { name: 'Bring papers' }).click();
  await page.locator('input[type=file]').first().setInputFiles(files);
};

const createAndTake = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^Create \d+ accounts? as proposed$/ }).click();
  await expect(page.getByText('to decide:')).toBeHidden();
  await page.getByRole('button', { name: 'Take over' }).click();
  await expect(page.getByRole('heading', { name: 'Opening balances' })).toBeVisible();
};

asOwner(() => {
  test('a mid-year cutover from its paper: the planted mistake is found by the search, tried, undone and kept', async ({
    page,
  }) => {
    await newBooks(page, 'Laver and Sons Ltd', '2026-02-01', '2026-08-01');
    await bring(page, paper('marram-trial-balance-2026-07-31.csv'));
    await createAndTake(page);
    await expect(page.getByTestId('difference')).toHaveText('360.00 Dr');

    // The Level leads to why.
    await page.getByTitle('The Level: press to see why debits and credits differ').click();
    await expect(page.getByRole('heading', { name: 'Why it is out' })).toBeVisible();
    await expect(
      page.getByText('They differ by the same amount, so the mistake is in the paper already'),
    ).toBeVisible();
    await expect(page.getByText(/^\d+ explanations$/)).toBeVisible();
    const explained = page
      .getByRole('listitem')
      .filter({ has: page.getByRole('heading') })
      .filter({ hasText: '8,514.20 Cr' });
    await expect(explained).toContainText('In the paper itself: two digits are transposed');
    await expect(explained).toContainText('VAT payable');
    await expect(explained).toContainText('fit equally');
    const place = (await explained.locator('span[aria-hidden]').first().textContent()) ?? '';
    expect(Number(place)).toBeLessThanOrEqual(3);

    // One key tries it, one undoes it.
    await page.keyboard.press(place);
    await expect(page.getByTestId('difference')).toHaveText('EUR level');
    await expect(page.getByText('all saved')).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(page.getByTestId('difference')).toHaveText('360.00 Dr');
    await page.getByRole('button', { name: `Try ${place}`, exact: true }).click();
    await expect(page.getByTestId('difference')).toHaveText('EUR level');
    await expect(page.getByText('all saved')).toBeVisible();
    await page.getByRole('link', { name: 'Opening balances', exact: true }).click();
    await page.getByRole('gridcell', { name: 'VAT payable', exact: true }).click();
    await expect(cell(page, 'VAT payable', 3)).toHaveText('8,514.20');
    await expect(page.getByLabel('Margin')).toContainText('out-of-balance search: two digits transposed');

    // Who wants to go on without an explanation puts the difference on suspense, and Proof keeps asking.
    await cell(page, 'VAT payable', 3).click();
    await page.keyboard.type('8154.20');
    await page.keyboard.press('Enter');
    await expect(page.getByText('all saved')).toBeVisible();
    await page.getByTitle('The Level: press to see why debits and credits differ').click();
    await page.getByRole('button', { name: /^Create \d+ Opening suspense$/ }).click();
    await page.getByLabel('Reason').fill('the client is looking for the invoice');
    await page.getByRole('button', { name: 'Put it on suspense' }).click();
    await expect(page.getByTestId('difference')).toHaveText('EUR level');
    await stage(page, 'Proof').click();
    await expect(page.getByText('The opening suspense account is at nil')).toBeVisible();
    await expect(page.getByText('holds 360.00 EUR')).toBeVisible();
  });
});

test('a year start: results carried in are closed to retained earnings, the entry shown first', async ({ page }) => {
  await newBooks(page, 'Dabberlocks Ltd', '2026-08-01', '2026-08-01');
  await bring(page, paper('harbour-lane-ledger-2026-07-31.txt'));
  await expect(page.getByLabel('What taking over would do')).toContainText('accounts read22');
  // The doubtful rows are decided one key each: candidates stand in the margin with how much speaks for them.
  await createAndTake(page);
  await expect(page.getByTestId('difference')).toHaveText('EUR level');
  const results = page.getByRole('region', { name: 'Results carried in' });
  await results.getByRole('button', { name: 'Show the closing entry' }).click();
  await expect(results.getByRole('row').filter({ hasText: 'Retained earnings' })).toBeVisible();
  await results.getByRole('button', { name: 'Close to retained earnings' }).click();
  await expect(results).toBeHidden();
  await expect(page.getByTestId('difference')).toHaveText('EUR level');
  await expect(page.getByText('all saved')).toBeVisible();
  await stage(page, 'Proof').click();
  await expect(page.getByText('opens at nil')).toBeHidden();

  // Last year stands beside it as comparatives, pasted as a column and tested for zero.
  await stage(page, 'Opening balances').click();
  await page.getByRole('link', { name: 'Comparatives' }).click();
  await page.getByRole('grid', { name: 'Comparatives' }).getByRole('row').nth(1).getByRole('gridcell').nth(2).click();
  await page.keyboard.type('100');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /^Net of each column/ })).toContainText('100.00 Dr');
});

test('a foreign bank: amount, rate of the opening date, implied rate, and the difference put where a person says', async ({
  page,
}) => {
  await client(page, 'Marram Kelp Farms Ltd');
  await stage(page, 'Opening balances').click();
  await page.getByRole('gridcell', { name: 'Skerry Bank NOK account', exact: true }).click();
  const before = await page.getByTestId('difference').textContent();
  const amount = page.getByLabel('Amount in NOK');
  await amount.fill('356300.00');
  await expect(page.getByText(/^At the rate of/)).toBeVisible();
  await expect(page.getByText(/Implied: 1 NOK = 0\.\d{6} EUR/)).toBeVisible();
  await page.getByRole('button', { name: 'Save as given' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'Skerry Bank NOK account' })).toContainText('NOK 356,300.00');
  await expect(page.getByTestId('difference')).toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByText(/^Differs by/)).toBeHidden();
  await expect(page.getByTestId('difference')).toHaveText(before ?? '');
  await expect(page.getByLabel('Margin')).toContainText('NOK at the rate of');

  // On the sheet itself: an amount in currency beside a base amount that stands, undone like any other.
  const pounds = page.getByRole('row').filter({ hasText: 'Skerry Bank GBP account' });
  await expect(pounds).toContainText('GBP 11,172.31');
  await pounds.getByRole('gridcell').nth(2).click();
  await page.keyboard.type('11,162.95');
  await page.keyboard.press('Enter');
  await expect(pounds).toContainText('GBP 11,162.95');
  await expect(pounds).toContainText('off the rate');
  await page.keyboard.press('Control+z');
  await expect(pounds).toContainText('GBP 11,172.31');
  await expect(page.getByTestId('difference')).toHaveText(before ?? '');
  await expect(page.getByText('all saved')).toBeVisible();

  // Another rate tells what it would do before it is kept.
  await page.goto(`${page.url().split('/openings')[0] ?? ''}/currencies?currency=NOK`);
  await page.getByLabel('Rate', { exact: true }).fill('0.09');
  await expect(page.getByText('With this rate 1 opening figure in NOK would be worth 32,067.00 Dr')).toBeVisible();
});

asOwner(() => {
  test('a revised trial balance: matched by memory, compared, posted as differences, once from two tabs', async ({
    page,
    context,
  }) => {
    await client(page, 'Tessellate Tile Co-operative');
    await stage(page, 'Sign-off').click();
    await page.getByLabel('Why it changes').fill('the accountant moved a kiln part to machines');
    await page.getByRole('button', { name: 'Open a correction' }).click();
    await expect(page.getByRole('heading', { name: 'Opening balances' })).toBeVisible();

    const name = 'tessellate-predvaha-2025-12-31.xlsx';
    const book = XLSX.read(readFileSync(paper(name)), { cellNF: true });
    const sheet = book.Sheets[book.SheetNames[1] ?? ''] ?? {};
    const amounts = Object.entries(sheet as Record<string, XLSX.CellObject>).filter(
      ([address, value]) => /^C\d+$/.test(address) && typeof value.v === 'number',
    );
    const machines = amounts[6]?.[1];
    const stock = amounts[3]?.[1];
    if (machines === undefined || stock === undefined) throw new Error('a paper with amounts');
    machines.v = Number(machines.v) + 2500;
    stock.v = Number(stock.v) - 2500;
    const content = XLSX.write(book, { type: 'buffer', bookType: 'xlsx' }) as Buffer;
    await bring(page, { name: `revised-${name}`, mimeType: 'application/octet-stream', buffer: content });
    await expect(page.getByText('to decide:')).toBeHidden();
    await expect(page.getByRole('row').filter({ hasText: 'as the last time' }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Take over' }).click();
    await expect(page.getByRole('heading', { name: 'Opening balances' })).toBeVisible();
    await page.getByRole('button', { name: /^Different \d+$/ }).click();
    await expect(page.getByRole('columnheader', { name: 'Version before' })).toBeVisible();

    await page.goto(`${page.url().split('/openings')[0] ?? ''}/openings/compare`);
    await expect(page.getByRole('row').filter({ hasText: 'Kilns and machines, cost' })).toContainText('2 500,00');
    const [csv] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'CSV' }).click()]);
    expect(readFileSync(await csv.path(), 'utf8')).toContain('Difference debit');
    const [pdf] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'PDF' }).click()]);
    expect(
      readFileSync(await pdf.path())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');

    // The paper is of before the repair invoice: its item goes too, and the control account ties again.
    await stage(page, 'Schedules').click();
    await expect(page.getByRole('heading', { name: 'Schedules' })).toBeVisible();
    await page.getByRole('link', { name: 'Trade payables' }).click();
    const tie = page.getByRole('table', { name: 'Tie-out' });
    await expect(tie).toContainText('18 000,00 Dr');
    const since = page.getByRole('list', { name: 'Items against version 2' });
    await expect(page.getByText('Every item is as it was.')).toBeVisible();
    await page.getByRole('gridcell', { name: 'OP-88' }).click();
    await page.keyboard.press('Control+-');
    await expect(tie).toContainText('ties');
    await expect(since).toContainText('gone: Servis pecí 127');
    // Another one had the supplier's number wrong.
    await page.getByRole('gridcell', { name: '20259', exact: true }).click();
    await page.keyboard.type('20295');
    await page.keyboard.press('Enter');
    await expect(since).toContainText('changed: Glazury Sever 121');
    await expect(since.getByRole('listitem')).toHaveCount(2);
    await expect(page.getByText('all saved')).toBeVisible();

    // Two tabs press Post at the same time.
    await stage(page, 'Sign-off').click();
    await expect(page.getByRole('heading', { name: 'Sign-off', exact: true })).toBeVisible();
    const other = await context.newPage();
    await other.goto(page.url());
    const buttons = [page, other].map((tab) => tab.getByRole('button', { name: /^Post \d+ lines$/ }));
    for (const button of buttons) await expect(button).toBeVisible();
    await Promise.all(buttons.map((button) => button.click()));
    for (const tab of [page, other])
      await expect(tab.getByRole('heading', { name: 'The opening balances are posted' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('row').filter({ hasText: 'version 3' })).toHaveCount(1);
  });
});

test('papers dropped on any page; a reading cancelled half-way leaves nothing; a bad file gets a sentence', async ({
  page,
}) => {
  await newBooks(page, 'Carrageen Ltd', '2026-08-01', '2026-08-01');
  await stage(page, 'Calendar').click();
  await expect(page.getByRole('heading', { name: 'Calendar' })).toBeVisible();
  const drop = async (name: string, content: string): Promise<void> => {
    const data = await page.evaluateHandle(
      ([file, text]) => {
        const transfer = new DataTransfer();
        transfer.items.add(new File([text], file));
        return transfer;
      },
      [name, content] as const,
    );
    for (const kind of ['dragenter', 'dragover', 'drop'])
      await page.locator('main').dispatchEvent(kind, { dataTransfer: data });
  };
  await drop('small.csv', 'Code,Account,Debit,Credit\n1,Bank,10.00,\n2,Capital,,10.00\n');
  await expect(page.getByRole('heading', { name: 'small.csv' })).toBeVisible();

  await stage(page, 'Opening balances').click();
  await expect(page.getByRole('heading', { name: 'Opening balances' })).toBeVisible();
  await drop('entity.xml', '<!DOCTYPE a [<!ENTITY x "y">]><AuditFile>&x;</AuditFile>');
  await expect(page.getByText('declares a document type or entities')).toBeVisible();

  const large = `Code,Account,Debit,Credit\n${Array.from({ length: 400_000 }, (_, at) => `${String(at)},Account ${String(at)},1.00,`).join('\n')}`;
  await page.getByRole('button', { name: 'Bring papers' }).click();
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'large.csv', mimeType: 'text/csv', buffer: Buffer.from(large) });
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Cancelled; nothing was stored')).toBeVisible();
  await page.goto(`${page.url().split('/openings')[0] ?? ''}/papers`);
  await expect(page.getByRole('link', { name: 'small.csv' })).toBeVisible();
  await expect(page.getByText('large.csv')).toBeHidden();
});

test('comparatives from the columns of a paper, typed, undone, and taken back', async ({ page }) => {
  await newBooks(page, 'Dulse Smokery Ltd', '2026-02-01', '2026-08-01');
  const csv = [
    'Code;Account;Balance;31/01/2026;February;March',
    '9101;Smokehouse bank;48.210,55;40.000,00;2.000,00;6.210,55',
    '9301;Founders’ shares;-10.000,00;-10.000,00;;',
    '9401;Sales of smoked dulse;-38.210,55;-30.000,00;-2.000,00;-6.210,55',
  ].join('\n');
  await bring(page, { name: 'months.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(page.getByRole('grid', { name: 'Rows of the paper' })).toBeVisible();
  // The balance is of the opening date; that another column is of January is no reason to doubt the paper.
  await expect(page.getByText('Is it the right paper?')).toBeHidden();
  await createAndTake(page);
  await page.goBack();
  await page.getByText('Take columns over as comparatives').click();
  await expect(page.getByLabel('“31/01/2026”')).toHaveValue('0');
  await expect(page.getByLabel('“February”')).toHaveValue('1');
  await page.getByRole('button', { name: 'Take over as comparatives' }).click();

  await expect(page.getByRole('heading', { name: 'Comparatives' })).toBeVisible();
  const february = page
    .getByRole('row', { name: /^9101 / })
    .getByRole('gridcell')
    .nth(3);
  await expect(february).toHaveText('2,000.00 Dr');
  // Last year's sales are no part of this year's, and four months are missing; the others come to their figures.
  await expect(page.getByText('1 account does not come to the opening figure')).toBeVisible();
  await february.click();
  await page.keyboard.type('2,500');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /Net of each column/ })).toContainText('500.00 Dr');
  await expect(page.getByText('all saved')).toBeVisible();
  await expect(page.getByLabel('Margin')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(february).toHaveText('2,000.00 Dr');
  await expect(page.getByText('all saved')).toBeVisible();
  await february.click();
  await expect(page.getByLabel('Margin')).toContainText('Feb 2026: 2,500.00 Dr → 2,000.00 Dr');
  await page.getByRole('button', { name: 'Undo taking from months.csv' }).click();
  await expect(february).toHaveText('');
});

test('a paper of many rows comes page by page, and the keyboard reaches all of them', async ({ page }) => {
  await newBooks(page, 'Skate and Ray Wholesale', '2026-02-01', '2026-08-01');
  const rows = Array.from(
    { length: 3000 },
    (_, at) => `${String(10_000 + at)},Ledger ${String(at)},${at < 1500 ? '' : '-'}${String((at % 1500) + 1)}.00`,
  );
  await bring(page, {
    name: 'many.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Code,Account,Balance\n${rows.join('\n')}\n`),
  });
  const grid = page.getByRole('grid', { name: 'Rows of the paper' });
  await expect(page.getByText('3,000', { exact: true }).first()).toBeVisible();
  await grid.getByRole('row').nth(1).click();
  await page.keyboard.press('End');
  await expect(page.getByLabel('Margin')).toContainText('Row 3001');
  await expect(grid.getByRole('row').filter({ hasText: 'Ledger 2999' })).toBeFocused();
  await page.keyboard.press('n');
  await expect(page.getByText('2,999 rows to decide:')).toBeVisible();
  // The next one that waits is the first again, two thousand rows away.
  await expect(page.getByLabel('Margin')).toContainText('Row 2:');
  await page.getByRole('button', { name: /^To decide/ }).click();
  await expect(grid).toHaveAttribute('aria-rowcount', '3000');
});

test('a row that somebody went to stays, with what they typed, when the answer to an earlier decision comes late', async ({
  page,
}) => {
  await newBooks(page, 'Sandeel Traders', '2026-02-01', '2026-08-01');
  await bring(page, {
    name: 'late.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Code,Account,Balance\n1,Kelp in the yard,10.00\n2,Ropes on loan,-4.00\n3,Old crates,-6.00\n'),
  });
  const row = (name: string) => page.getByRole('row').filter({ hasText: name });
  await row('Kelp in the yard').click();
  await expect(page.getByLabel('Margin')).toContainText('Row 2:');
  // The server answers each time later than anybody goes on.
  await page.route('**/papers/*', async (route) => {
    if (route.request().method() === 'POST') await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
  });
  await page.keyboard.press('n');
  await row('Old crates').click();
  await page.getByLabel('Reason').fill('was thrown away');
  await expect(row('Kelp in the yard')).toContainText('create', { timeout: 30_000 });
  await page.waitForTimeout(4000);
  await expect(page.getByLabel('Margin')).toContainText('Row 4:');
  await expect(page.getByLabel('Reason')).toHaveValue('was thrown away');
});

asOwner(() => {
  test('a change of the chart says first what it does to opening figures', async ({ page }) => {
    await newBooks(page, 'Carrageen Foods Ltd', '2026-02-01', '2026-08-01');
    await stage(page, 'Opening balances').click();
    await cell(page, 'Stock of goods', 2).click();
    await page.keyboard.type('500');
    await page.keyboard.press('Enter');
    await expect(page.getByText('all saved')).toBeVisible();
    await stage(page, 'Chart').click();
    await expect(page.getByRole('heading', { name: 'Chart of accounts' })).toBeVisible();
    const row = page.getByRole('row', { name: /Stock of goods/ });
    // The first press may come before the page listens.
    await expect(async () => {
      await row.getByRole('gridcell').nth(1).click();
      await expect(page.getByRole('heading', { name: '1200 Stock of goods' })).toBeVisible({ timeout: 1000 });
    }).toPass();
    await page.getByLabel('Statement line').first().selectOption('fixed-asset');
    const asked = page.getByRole('alertdialog');
    await expect(asked).toContainText('with 500.00 Dr goes from Current assets to Fixed assets.');
    await page.getByRole('button', { name: 'Leave it as it is' }).click();
    await expect(asked).toBeHidden();
    await expect(row).toContainText('Current asset');
    await page.getByLabel('Statement line').first().selectOption('fixed-asset');
    await page.getByRole('button', { name: 'Take the change' }).click();
    await expect(row).toContainText('Fixed asset');
  });
});
