import { readFileSync } from 'node:fs';
import * as XLSX from '@e965/xlsx';
import type { Locator, Page } from '@playwright/test';
import { client, expect, fillYear, makeTheseBooks, stage, test, typeCells, typeFigures } from './support';

const made = async (
  page: Page,
  name: string,
  more: { form?: string; country?: string; foreign?: boolean } = {},
): Promise<void> => {
  await page.goto('/new');
  await page.getByLabel('Company name').fill(name);
  await page.getByLabel('Legal form', { exact: true }).selectOption(more.form ?? 'limited-company');
  if (more.country !== undefined) await page.getByLabel('Country', { exact: true }).selectOption(more.country);
  await fillYear(page, '2026-01-01', '2026-01-01');
  await page.getByRole('radio', { name: /^Empty/ }).check();
  if (more.foreign === true) await page.getByLabel(/^Works in foreign currencies/).check();
  await makeTheseBooks(page);
};
const view = async (page: Page, name: string): Promise<void> => {
  await stage(page, 'Chart').click();
  await page
    .getByRole('navigation', { name: 'Views of the chart' })
    .getByRole('link', { name: new RegExp(`^${name}(?: \\d+ to check)?$`) })
    .click();
};
const tree = (page: Page): Locator => page.getByRole('treegrid', { name: 'Chart of accounts' });
const row = (page: Page, name: RegExp): Locator => tree(page).getByRole('row', { name });
const saved = (page: Page): Promise<void> =>
  expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
const CLIENTS = [
  {
    name: 'Dulsewrack Kelp Ltd',
    form: 'limited-company',
    country: 'Ireland',
    ticks: [
      'Farming, fishing, growing',
      'Keeps stock',
      'Has loans',
      'Registered for sales tax',
      'Works in foreign currencies',
    ],
    has: [/^1240 Produce in store/, /^2200 VAT payable/, /^3010 Share capital/, /^8020 Exchange differences/],
    not: /drawings|Members/,
  },
  {
    name: 'Encaustic Tile Co-operative',
    form: 'Co-operative',
    country: 'Czechia',
    ticks: ['Making things', 'Keeps stock', 'Registered for sales tax', 'Has vehicles'],
    has: [/^1210 Raw materials/, /^3010 Members’ shares/, /^6150 Employer’s social insurance/],
    not: /Share capital|drawings/,
  },
  {
    name: 'Rushlight Players',
    form: 'charity',
    country: 'United Kingdom',
    ticks: ['Arts and events'],
    has: [/^3010 Restricted funds/, /^4040 Ticket and event income/, /^5040 Costs of events/, /^4310 Donations/],
    not: /Share capital|Corporation tax/,
  },
  {
    name: 'Petrel Couriers',
    form: 'Sole trader',
    country: 'Japan',
    ticks: ['Carrying goods or people', 'Has vehicles', 'Has loans'],
    has: [/^3020 Owner’s drawings/, /^4180 Carriage and delivery income/, /^5960 Fuel and tolls/],
    not: /Share capital|Sales tax|Consumption tax|Wages/,
  },
] as const;

for (const one of CLIENTS)
  test(`a chart from answers: ${one.form}`, async ({ page }) => {
    await made(page, one.name, one);
    await view(page, 'From answers');
    const answers = page.getByRole('form', { name: 'Answers' });
    for (const label of one.ticks) {
      const box = answers.getByLabel(label, { exact: true });
      if (!(await box.isChecked())) await box.click();
    }
    // Changing an answer says at once what comes and goes.
    const said = page.getByRole('region', { name: 'The chart', exact: true }).getByRole('status');
    await answers.getByLabel('Receives grants').click();
    await expect(said).toContainText('1155 Grants receivable');
    await answers.getByLabel('Receives grants').click();
    await expect(said).toContainText(/(Go|Come): 1155 Grants receivable/);
    await page.getByLabel('Take 7010 Interest received').uncheck();
    await page.getByRole('button', { name: /^Make these \d+ rows$/ }).click();
    await expect(page.getByRole('heading', { name: 'Chart of accounts' })).toBeVisible();
    const search = page.getByLabel('Find in the chart');
    for (const name of one.has) {
      await search.fill(/^\^(\d+)/.exec(name.source)?.[1] ?? '');
      await expect(row(page, name)).toBeVisible();
    }
    await search.fill('7010');
    await expect(row(page, /Interest received/)).toHaveCount(0);
    await page.goto(`${new URL(page.url()).pathname}/statements`);
    await expect(page.getByText('Every account appears in a statement')).toBeVisible();
    await expect(page.getByRole('main').getByText(one.not)).toHaveCount(0);
    await view(page, 'By role');
    await expect(page.getByText('every role that these books need has its account')).toBeVisible();
    await view(page, 'Tidying');
    await expect(page.getByText('This chart is tidy')).toBeVisible();
  });

test('copying: the theatre takes branches of the practice’s template, previewed, with a clash settled', async ({
  page,
}) => {
  await client(page, 'Juniper Lantern Theatre');
  await view(page, 'Copy');
  await page
    .getByLabel('Copy from')
    .selectOption({ label: await page.getByRole('option', { name: /^Arts charity/ }).innerText() });
  await expect(page.getByRole('grid', { name: 'Rows of the preview' })).toBeVisible();
  await page.getByLabel('the whole chart').uncheck();
  await expect(page.getByRole('button', { name: /^Copy/ })).toBeDisabled();
  for (const branch of [
    '1000 Current assets',
    '3000 Funds',
    '4000 Revenue',
    '5000 Cost of sales',
    '6000 Operating expenses',
    '2000 Current liabilities',
  ])
    await page.getByLabel(branch, { exact: true }).check();
  await expect(
    page
      .getByRole('status')
      .filter({ hasText: /\d+ new/ })
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Copy \d+ accounts$/ }).click();
  await expect(row(page, /^1000 Current assets/)).toBeVisible();
  await page.getByLabel('Find in the chart').fill('restricted');
  await expect(row(page, /3010 Restricted funds/)).toBeVisible();
  await expect(row(page, /N500 Restricted fund: young players/)).toBeVisible();
  // Renamed here, it clashes when it is copied again; the one that is here is kept by rule, and taken row by row.
  await page.getByLabel('Find in the chart').fill('3010');
  await row(page, /3010/).getByRole('gridcell').nth(1).dblclick();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Endowment');
  await page.keyboard.press('Enter');
  await saved(page);
  await view(page, 'Copy');
  await page
    .getByLabel('Copy from')
    .selectOption({ label: await page.getByRole('option', { name: /^Arts charity/ }).innerText() });
  await page.getByLabel('Show').selectOption('kept');
  const differing = page.getByRole('grid', { name: 'Rows of the preview' }).getByRole('row').nth(1);
  await differing.getByRole('gridcell', { name: 'by the rule' }).click();
  await page.keyboard.type('take this');
  await page.keyboard.press('Enter');
  await expect(differing).toContainText('changes');
  await page.getByRole('button', { name: /^Copy/ }).click();
  await page.getByLabel('Find in the chart').fill('3010');
  await expect(row(page, /3010 Restricted funds/)).toBeVisible();
});

test('importing four hundred accounts with thirty bad rows, and putting each right', async ({ page }) => {
  await made(page, 'Bladderwrack Imports Ltd');
  await view(page, 'Import');
  const types = ['Asset', 'Liability', 'Equity', 'Income', 'Expense'];
  const list = ['Old ledger;;;', 'No;Title;Category;Group'];
  for (let at = 0; at < 400; at += 1) {
    const code = String(1000 + at);
    const type = types[Math.floor(at / 80)] ?? '';
    // Ten without a name, ten that say nothing about themselves, ten under a heading that is nowhere.
    if (at % 40 === 7) list.push(`${code};;${type};`);
    else if (at % 40 === 17) list.push(`${String.fromCharCode(65 + Math.floor(at / 40))}${code};Qx ${String(at)};;`);
    else if (at % 40 === 27) list.push(`${code};Ledger ${String(at)};${type};9999`);
    else list.push(`${code};Ledger ${String(at)};${type};`);
  }
  await page
    .getByLabel(/^(Choose a|Another) file$/)
    .setInputFiles({ name: 'old accounts.csv', mimeType: 'text/csv', buffer: Buffer.from(list.join('\n')) });
  await expect(page.getByText('Row 2 is the header')).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: '370 new, 30 problems' })).toBeVisible();
  await page.getByLabel('Show').selectOption('problem');
  const preview = page.getByRole('grid', { name: 'Rows of the preview' });
  const rows = preview.getByRole('row');
  const COLUMN = { name: 3, line: 5, under: 6 };
  for (let at = 1; at <= 30; at += 1) {
    const one = rows.and(page.locator(`[aria-rowindex="${String(at + 1)}"]`));
    const says = await one.innerText();
    const [column, text] = says.includes('needs a name')
      ? [COLUMN.name, `Named ${String(at)}`]
      : says.includes('Choose one')
        ? [COLUMN.line, 'Operating exp']
        : [COLUMN.under, `Group ${String(at)}`];
    await one.getByRole('gridcell').nth(column).click();
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    await expect(
      page.getByRole('status').filter({ hasText: at === 30 ? /^41\d new\.$/ : `${String(30 - at)} problem` }),
    ).toBeVisible();
  }
  // A step back, and again; what does not read stays as it was typed and says so.
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('status').filter({ hasText: '1 problem' })).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByRole('status').filter({ hasText: /^41\d new\.$/ })).toBeVisible();
  await page.getByRole('button', { name: /^Take over/ }).click();
  await expect(page.getByText(/^400 accounts under 10 headings/)).toBeVisible();
  await page.getByLabel('Find in the chart').fill('1007');
  await expect(row(page, /1007 Named/)).toBeVisible();
  // The same file again: everything is here, and it is read as it was.
  await view(page, 'Import');
  await page.getByLabel(/^(Choose a|Another) file$/).setInputFiles({
    name: 'again.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(list.filter((line) => !/;;|9999/.test(line)).join('\n')),
  });
  await expect(page.getByRole('status').filter({ hasText: 'the same' })).toBeVisible();
  await page.getByLabel(/^(Choose a|Another) file$/).setInputFiles({
    name: 'evil.xml',
    mimeType: 'text/xml',
    buffer: Buffer.from('<?xml version="1.0"?><!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>'),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'evil.xml declares a document type' })).toBeVisible();
  await page.getByLabel(/^(Choose a|Another) file$/).setInputFiles({
    name: 'list.pdf',
    mimeType: 'application/pdf',
    buffer: Buffer.from('%PDF-1.7'),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'list.pdf is a PDF, from which' })).toBeVisible();
  // A workbook of the kind before XLSX is read like any other.
  const book = XLSX.utils.book_new();
  XLSX.utils.book_append_sheet(
    book,
    XLSX.utils.aoa_to_sheet([
      ['Code', 'Name', 'Type'],
      ['8801', 'Löhne – Insel', 'Expense'],
      ['8802', 'Kelp & salt', 'Expense'],
    ]),
    'Accounts',
  );
  await page.getByLabel(/^(Choose a|Another) file$/).setInputFiles({
    name: 'old.xls',
    mimeType: 'application/vnd.ms-excel',
    buffer: XLSX.write(book, { type: 'buffer', bookType: 'biff8' }) as Buffer,
  });
  await expect(page.getByRole('status').filter({ hasText: '2 new' })).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'Löhne – Insel' })).toBeVisible();
});

test('the sheet: lines typed, cells edited, regrouped by keyboard and by drag, undone and redone', async ({ page }) => {
  await made(page, 'Sugarkelp Sweets Ltd');
  await stage(page, 'Chart').click();
  await page
    .getByLabel('Accounts, one per line')
    .fill('4000 Revenue:\n4010 Sales of sweets\n4020 Sales of tins\n4100 Tours income:\n4110 Guided tours income');
  await expect(page.getByRole('status').filter({ hasText: '5 new' })).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(row(page, /^4100 Tours income/)).toHaveAttribute('aria-level', '1');
  await expect(row(page, /^4110 Guided tours income/)).toHaveAttribute('aria-level', '2');

  // Keyboard: down under the heading before, up again, undo.
  await row(page, /^4100 Tours income/)
    .getByRole('gridcell')
    .nth(1)
    .click();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(row(page, /^4110 Guided tours income/)).toHaveAttribute('aria-level', '3');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(row(page, /^4110 Guided tours income/)).toHaveAttribute('aria-level', '2');
  await page.keyboard.press('Control+Shift+z');
  await expect(row(page, /^4110 Guided tours income/)).toHaveAttribute('aria-level', '3');
  // Cut and put elsewhere.
  await row(page, /^4020/).getByRole('gridcell').nth(1).click();
  await page.keyboard.press('Control+x');
  await row(page, /^4100 Tours income/)
    .getByRole('gridcell')
    .nth(1)
    .click();
  await page.keyboard.press('Control+v');
  await expect(row(page, /^4020/)).toHaveAttribute('aria-level', '3');
  // Drag it back under Revenue.
  const from = await row(page, /^4020/).boundingBox();
  const onto = await row(page, /^4000 Revenue/).boundingBox();
  if (from === null || onto === null) throw new Error('rows in sight');
  await page.mouse.move(from.x + 120, from.y + 15);
  await page.mouse.down();
  await page.mouse.move(from.x + 122, from.y - 5, { steps: 4 });
  await page.mouse.move(onto.x + 120, onto.y + 15, { steps: 6 });
  await page.mouse.up();
  await expect(row(page, /^4020/)).toHaveAttribute('aria-level', '2');
  // Fold and unfold.
  await row(page, /^4000 Revenue/)
    .getByRole('gridcell')
    .nth(1)
    .click();
  await expect(row(page, /^4000 Revenue/)).toHaveAttribute('aria-expanded', 'true');
  await page.keyboard.press('Space');
  await expect(row(page, /^4010/)).toHaveCount(0);
  await page.keyboard.press('Space');
  // A cell: typed over, put back by Esc, kept by Enter; a choice by Enter.
  await row(page, /^4010/).getByRole('gridcell').nth(1).click();
  await page.keyboard.type('Boiled');
  await page.keyboard.press('Escape');
  await expect(row(page, /^4010 Sales of sweets/)).toBeVisible();
  await page.keyboard.press('F2');
  await page.keyboard.press('End');
  await page.keyboard.type(' and fudge');
  await page.keyboard.press('Enter');
  await expect(row(page, /^4010 Sales of sweets and fudge/)).toBeVisible();
  await row(page, /^4010/).getByRole('gridcell').nth(4).click();
  await page.keyboard.press('Enter');
  await tree(page).getByRole('combobox').selectOption('Debit (contra)');
  await page.keyboard.press('Enter');
  await expect(row(page, /^4010/)).toContainText('Dr');
  // What is refused says why, and nothing changes.
  await row(page, /^4020/).getByRole('gridcell').nth(0).click();
  await page.keyboard.press('F2');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('4010');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'Code 4010 already belongs to' })).toBeVisible();
  await expect(row(page, /^4020 Sales of tins/)).toBeVisible();
  await page.reload();
  await expect(row(page, /^4010 Sales of sweets and fudge/)).toBeVisible();
  await expect(row(page, /^4110 Guided tours income/)).toHaveAttribute('aria-level', '3');
});

test('two people on one chart: the later one is shown both values', async ({ page, context }) => {
  await made(page, 'Oarweed Twins Ltd');
  await stage(page, 'Chart').click();
  await page.getByLabel('Accounts, one per line').fill('3000 Equity:\n3010 Share capital');
  await page.keyboard.press('Control+Enter');
  await expect(row(page, /^3010/)).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  const rename = async (who: Page, name: string): Promise<void> => {
    await row(who, /^3010/).getByRole('gridcell').nth(1).click();
    await who.keyboard.press('F2');
    await who.keyboard.press('Control+a');
    await who.keyboard.type(name);
    await who.keyboard.press('Enter');
  };
  await rename(other, 'Capital of the sisters');
  await saved(other);
  await rename(page, 'Paid-in capital');
  await expect(page.getByRole('alert').filter({ hasText: 'changed by somebody else meanwhile' }).first()).toContainText(
    'Capital of the sisters',
  );
});

test('renumbering a branch is previewed, done and undone; codes are questioned by the scheme', async ({ page }) => {
  await client(page, 'Nightjar Couriers');
  await view(page, 'Codes');
  await page.getByLabel('Branch').selectOption('7000 Other income');
  await page.getByLabel('First code', { exact: true }).fill('7500');
  await page.getByLabel('Step').fill('5');
  await expect(page.getByRole('row').filter({ hasText: '7010 → 7505' })).toBeVisible();
  await page.getByRole('button', { name: /^Renumber 2 accounts$/ }).click();
  await expect(page.getByText('No code would change.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo the renumbering' }).click();
  await expect(page.getByRole('option', { name: '7000 Other income' }).first()).toBeAttached();
  await page.getByLabel('First code of range 9').fill('6200');
  await page.getByRole('button', { name: 'Save the scheme' }).click();
  await expect(page.getByText(/is outside 6200 to 6999/).first()).toBeVisible();
  await page.getByRole('button', { name: 'As composed charts are' }).click();
  await page.getByRole('button', { name: 'Save the scheme' }).click();
  await expect(page.getByText('Every code has the shape and the range')).toBeVisible();
});

test('tidying a sole trader’s chart: many at once, one set aside with a reason that stays', async ({ page }) => {
  await client(page, 'Nightjar Couriers');
  // What stands beside a name is parted from it where it is read aloud, too.
  await expect(page.getByRole('banner')).toContainText('JPY demo');
  await stage(page, 'Chart').click();
  await expect(page.getByRole('link', { name: /^Tidying \d+ to check$/ })).toBeVisible();
  await view(page, 'Tidying');
  await expect(page.getByText('3310 Share capital does not fit')).toBeVisible();
  await page.getByRole('checkbox', { name: /Sundry expenses takes/ }).check();
  await page.getByLabel('Why they are set aside').fill('parking coins only');
  await page.getByRole('button', { name: 'Set aside' }).click();
  await expect(page.getByRole('region', { name: 'Set aside' })).toContainText('parking coins only');
  await page.getByRole('checkbox', { name: 'All', exact: true }).check();
  await page.getByRole('button', { name: /^Apply the \d+ chosen$/ }).click();
  await expect(page.getByText('This chart is tidy')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('region', { name: 'Set aside' })).toContainText('parking coins only');
  await view(page, 'Sheet');
  await page.getByLabel('Find in the chart').fill('share capital');
  await expect(page.getByText('0 found')).toBeVisible();
});

test('a foreign bank account under a base-currency heading, with its IBAN checked', async ({ page }) => {
  await client(page, 'Marram Kelp Farms Ltd');
  await view(page, 'Bank, cash, card');
  const form = page.getByRole('form', { name: 'Add money accounts' });
  await form.getByLabel('Name, row 1').fill('Fjord Bank account');
  await form.getByLabel('Currency, row 1').selectOption('NOK');
  await form.getByLabel('IBAN or account number, row 1').fill('NO93 8601 1117 948');
  await form.getByLabel('Name, row 2').fill('Fuel card');
  await form.getByLabel('Kind, row 2').selectOption('card');
  await form.getByRole('button', { name: 'Add 2 accounts' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'its check digits do not fit' })).toBeVisible();
  await form.getByLabel('IBAN or account number, row 1').fill('NO93 8601 1117 947');
  await form.getByRole('button', { name: 'Add 2 accounts' }).click();
  const sheet = page.getByRole('grid', { name: 'Bank, cash and card accounts' });
  const fjord = sheet.getByRole('row').filter({ hasText: 'Fjord Bank account' });
  await expect(fjord).toContainText('NOK');
  await expect(fjord).toContainText('NO93 8601 1117 947');
  // What does not read stays as it was typed, with a sentence; what is pasted goes on to the right.
  await fjord.getByRole('gridcell').nth(6).click();
  await page.keyboard.type('nope');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'is no BIC' })).toBeHidden();
  await fjord.getByRole('gridcell').nth(6).click();
  await expect(page.getByRole('alert').filter({ hasText: 'is no BIC' })).toBeVisible();
  await expect(fjord.getByRole('gridcell').nth(6)).toHaveText('nope');
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', 'FJORNOKK\t1,500\tyes');
    document.activeElement?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  });
  await expect(fjord).toContainText('FJORNOKK');
  await expect(fjord).toContainText('1,500.00');
  await expect(page.getByRole('status').filter({ hasText: 'all saved' })).toBeVisible();
  await page.reload();
  await expect(fjord).toContainText('FJORNOKK');
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(fjord).not.toContainText('FJORNOKK');
  await view(page, 'Sheet');
  await page.getByLabel('Find in the chart').fill('fjord');
  await expect(row(page, /Fjord Bank account/)).toHaveAttribute('aria-level', '2');
});

test('tax codes on a sheet: a starter set, rates of two days, a new one by keyboard, and what is refused', async ({
  page,
}) => {
  await client(page, 'Tessellate Tile Co-operative');
  await view(page, 'Tax codes');
  await page.getByRole('button', { name: 'Add the set' }).click();
  const sheet = page.getByRole('grid', { name: 'Tax codes' });
  const code = (name: string) => sheet.getByRole('row').filter({ hasText: name });
  await code('OUT-S').getByRole('gridcell').nth(3).click();
  await expect(code('OUT-S').getByRole('gridcell').nth(3)).toHaveText('21 %');
  // A rate that is none stays as it was typed, and says so; nothing is stored.
  await page.keyboard.type('122');
  await page.keyboard.press('Enter');
  await code('OUT-S').getByRole('gridcell').nth(3).click();
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await expect(margin).toContainText('“122” is no rate in per cent');
  await page.keyboard.type('21,5');
  await page.keyboard.press('Enter');
  await expect(code('OUT-S').getByRole('gridcell').nth(3)).toHaveText('21,5 %');
  await expect(page.getByText('all saved')).toBeVisible();
  // Another rate from a later day leaves that of the opening date.
  await code('OUT-S').getByRole('gridcell').first().click();
  await margin.getByLabel('Another rate').fill('22,5');
  await margin.getByLabel('First day of the other rate').fill('1.1.2027');
  await margin.getByLabel('First day of the other rate').press('Tab');
  await margin.getByRole('button', { name: 'Add the rate' }).click();
  await expect(margin.getByRole('list', { name: 'Rates by their first days' }).getByRole('listitem')).toHaveCount(2);
  await expect(page.getByText('all saved')).toBeVisible();
  await page.reload();
  await expect(code('OUT-S')).toContainText('21,5 %');
  // A new code by keyboard alone, in the row behind the last: what is missing is said until it is whole.
  await sheet.getByRole('row').last().getByRole('gridcell').first().click();
  await typeCells(page, ['IMP', 'Import of goods', 'self']);
  await expect(margin).toContainText('needs a rate');
  await typeCells(page, ['21']);
  await expect(page.getByText('all saved')).toBeVisible();
  await expect(code('IMP')).toContainText('Self-assessed');
  await page.reload();
  await code('IMP').getByRole('gridcell').first().click();
  await page.keyboard.press('Control+Minus');
  await expect(code('IMP')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(code('IMP')).toContainText('21 %');
});

test('the chart is taken out as CSV, XLSX and SAF-T, and printed', async ({ page }) => {
  await client(page, 'Tessellate Tile Co-operative');
  await stage(page, 'Chart').click();
  for (const [label, starts] of [
    ['CSV, to be brought again', '\ufeffCode,Name'],
    ['SAF-T, its accounts', '<?xml'],
    ['XLSX, to be brought again', 'PK'],
    ['PDF, for the file', '%PDF'],
  ] as const) {
    await page.getByText('Export', { exact: true }).click();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: label, exact: true }).click(),
    ]);
    const text = readFileSync(await file.path(), 'utf8');
    expect(text.startsWith(starts)).toBe(true);
    await page.reload();
  }
  await page.getByText('Export', { exact: true }).click();
  await page.getByRole('link', { name: 'A page to print' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'Petty cash' })).toBeVisible();
});

test('answers that change take what they brought with them, but for what is in use; undone as one', async ({
  page,
}) => {
  await made(page, 'Whinchat Carriers Ltd');
  await view(page, 'From answers');
  const answers = page.getByRole('form', { name: 'Answers' });
  for (const label of ['Has vehicles', 'Has loans']) await answers.getByLabel(label, { exact: true }).check();
  await page.getByRole('button', { name: /^Make these \d+ rows$/ }).click();
  await expect(page.getByRole('heading', { name: 'Chart of accounts' })).toBeVisible();
  await stage(page, 'Opening balances').click();
  await typeFigures(page, { '2510': '900' });
  await view(page, 'From answers');
  await answers.getByLabel('Has vehicles', { exact: true }).uncheck();
  await answers.getByLabel('Has loans', { exact: true }).uncheck();
  const leaving = page.getByRole('region', { name: 'What no answer calls for any more' });
  await expect(leaving.getByText('stays: 2510 Bank loan cannot be deleted: it has an opening balance')).toBeVisible();
  await leaving.getByLabel('Delete 6400 Vehicle running costs').uncheck();
  const go = page.getByRole('button', { name: /^Delete \d+$/ });
  await expect(go).toBeEnabled();
  await go.click();
  await expect(page.getByRole('heading', { name: 'Chart of accounts' })).toBeVisible();
  const search = page.getByLabel('Find in the chart');
  await search.fill('vehicles');
  await expect(row(page, /Vehicles, cost/)).toHaveCount(0);
  await search.fill('6400');
  await expect(row(page, /^6400 Vehicle running costs/)).toBeVisible();
  await page.getByRole('link', { name: 'changes' }).click();
  await page
    .getByRole('button', { name: /^Take back/ })
    .first()
    .click();
  await expect(page.getByRole('main').getByRole('listitem').first()).toContainText('Taken back');
  await stage(page, 'Chart').click();
  await search.fill('vehicles');
  await expect(row(page, /Vehicles, cost/)).toBeVisible();
});

test('a role is given where it is asked for; what posting waits for is said', async ({ page }) => {
  await made(page, 'Merganser Moulds Ltd');
  await page.goto(`${new URL(page.url()).pathname}/chart`);
  await page
    .getByLabel('Accounts, one per line')
    .fill('1010\tTill\tCurrent asset\n3010\tCapital\tEquity\n3200\tOld results\tEquity');
  await page.getByRole('button', { name: /^Add 3/ }).click();
  await expect(row(page, /3200 Old results/)).toBeVisible();
  await view(page, 'By role');
  await expect(page.getByText(/posting waits for 2 of them/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Account for Retained earnings' }).fill('3200');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/posting waits for 1 of them/)).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Account for Cash' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Give it: Cash' }).click();
  const cash = page.getByRole('combobox', { name: 'Account for Cash' });
  await expect(cash).toBeFocused();
  await cash.fill('1010');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Cash' }).first()).toContainText('1010 Till');
});

test('another client’s chart comes without its banks’ names, and a bank here is numbered as in its country', async ({
  page,
}) => {
  await made(page, 'Pintail Baskets Ltd', { foreign: true });
  await view(page, 'Copy');
  await page.getByLabel('Copy from').selectOption({ label: 'Marram Kelp Farms Ltd' });
  const preview = page.getByRole('grid', { name: 'Rows of the preview' });
  await expect(preview).toContainText('Bank account GBP');
  await expect(preview).not.toContainText('Skerry');
  await page.getByLabel(/^names of banks, cards and lenders/).check();
  await expect(preview).toContainText('Skerry Bank GBP account');
  await page.getByLabel(/^names of banks, cards and lenders/).uncheck();
  await page.getByRole('button', { name: /^Copy \d+ accounts$/ }).click();
  await expect(page.getByRole('heading', { name: 'Chart of accounts' })).toBeVisible();
  await view(page, 'Bank, cash, card');
  const bank = page.getByRole('row').filter({ hasText: '1020 Bank account GBP' });
  const code = bank.getByRole('gridcell').nth(5);
  await code.click();
  await page.keyboard.type('70-03-1');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert').filter({ hasText: 'one has 6 digits' })).toBeVisible();
  await code.click();
  await page.keyboard.type('70 03 14');
  await page.keyboard.press('Tab');
  await expect(code).toHaveText('70-03-14');
  await bank.getByRole('gridcell').nth(4).click();
  await page.keyboard.type('12345678');
  await page.keyboard.press('Enter');
  await bank.getByRole('gridcell').nth(8).click();
  await page.keyboard.type('yes');
  await page.keyboard.press('Enter');
  await expect(bank.getByRole('gridcell').nth(8)).toHaveText('yes');
  await expect(page.getByRole('status').filter({ hasText: 'all saved' })).toBeVisible();
  await stage(page, 'Company').click();
  await expect(page.getByTestId('document-preview')).toContainText(
    'GBP: Bank account GBP, Sort code 70-03-14, account 12345678',
  );
  await page.getByLabel('Sales invoice: called').fill('Bill');
  await page.getByLabel('Sales invoice: called').press('Enter');
  await expect(page.getByTestId('document-preview')).toContainText('Bill SI-00001');
  await page.getByLabel('How one pays').fill('Within the month, please.');
  await expect(page.getByTestId('document-preview')).toContainText('Within the month, please.');
  await page.getByLabel('How one pays').press('Tab');
  await expect(page.getByText('all saved')).toBeVisible();
});
