import type { Page } from '@playwright/test';
import { beginBooks, client, expect, openSchedule, stage, test, tieOut, typeCells, typeFigures } from './support';

test.use({ as: 'Tomas Bielik' });

const paper = (name: string): string => new URL(`../../demo/papers/${name}`, import.meta.url).pathname;

const make = async (page: Page, name: string, figures: Readonly<Record<string, string>>): Promise<void> => {
  await beginBooks(page, name);
  await typeFigures(page, figures);
};
const saved = (page: Page) => expect(page.getByText('all saved')).toBeVisible();

test('open items of a small firm, typed by keyboard with their contacts, until both control accounts tie', async ({
  page,
}) => {
  await make(page, 'Whelk & Winkle', { '1100': '1650', '2100': '-700', '3010': '-=' });
  await openSchedule(page, 'Trade receivables');
  await page.getByRole('grid').getByRole('gridcell').first().click();
  // Contact, kind, number, date, due, open; the due date follows from the terms.
  const invoices = [
    ['Harbour Café', 'inv', '101', '1.6.26', '', '500'],
    ['Harbour Café', 'inv', '102', '15.6.26', '', '400'],
    ['Tide Inn', 'inv', '103', '1.7.26', '', '600'],
    ['Tide Inn', 'inv', '104', '20.7.26', '', '250'],
    ['Harbour Café', 'credit', 'C1', '21.7.26', '', '100'],
  ];
  for (const [at, row] of invoices.entries()) {
    const first = page
      .getByRole('grid')
      .getByRole('row')
      .nth(at + 1)
      .getByRole('gridcell')
      .first();
    await first.click();
    await typeCells(page, row);
    await saved(page);
  }
  await expect(tieOut(page)).toContainText('ties');
  await expect(page.getByRole('grid')).toContainText('(100.00)');
  await expect(page.getByRole('grid').getByRole('row').nth(1)).toContainText('1 Jul 2026');

  await page.getByRole('button', { name: 'Ageing' }).click();
  const ages = page.getByRole('region', { name: 'Open by age, in EUR' });
  await expect(ages.getByRole('row', { name: /^Harbour Café/ })).toContainText('800.00 Dr');
  await expect(ages.getByRole('row', { name: /^All/ })).toContainText('1,650.00 Dr');
  // Where ages end is kept with the books.
  await page.getByLabel('Ages end after days').fill('14, 45');
  await page.getByLabel('Ages end after days').press('Enter');
  await expect(ages.getByRole('columnheader', { name: '15–45' })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Ageing' }).click();
  await expect(ages.getByRole('columnheader', { name: '15–45' })).toBeVisible();

  await openSchedule(page, 'Trade payables');
  for (const [at, row] of [
    ['Rope & Co', 'inv', '77', '3.7.26', '', '300'],
    ['Rope & Co', 'inv', '78', '9.7.26', '', '250'],
    ['Netmakers', 'inv', 'N4', '30.7.26', '', '150'],
  ].entries()) {
    await page
      .getByRole('grid')
      .getByRole('row')
      .nth(at + 1)
      .getByRole('gridcell')
      .first()
      .click();
    await typeCells(page, row);
    await saved(page);
  }
  await expect(tieOut(page)).toContainText('ties');
  await stage(page, 'Schedules').click();
  await expect(page.getByText('2 of 2 accounts tied')).toBeVisible();
  await expect(stage(page, 'Schedules')).toContainText('all tied');
  await page.getByRole('link', { name: 'Contacts' }).click();
  await expect(page.getByRole('grid', { name: 'Contacts' }).getByRole('row')).toHaveCount(6);
});

test('who was made in one row is known in the next, though no page has told yet', async ({ page }) => {
  await make(page, 'Late Answers', { '1100': '900', '3010': '-=' });
  await openSchedule(page, 'Trade receivables');
  const first = (row: number) => page.getByRole('grid').getByRole('row').nth(row).getByRole('gridcell').first();
  await first(1).click();
  // What is asked for while the rows are typed is answered as it was then, and comes when both are saved.
  let asked = 0;
  let come: () => void = () => undefined;
  const bothSaved = new Promise<void>((resolve) => (come = resolve));
  await page.route('**/schedules/*', async (route) => {
    if (route.request().headers().rsc === undefined) return route.fallback();
    const answer = await route.fetch();
    asked += 1;
    await bothSaved;
    await route.fulfill({ response: answer });
  });
  await typeCells(page, ['Harbour Café', 'inv', '101', '1.6.26', '', '500']);
  await saved(page);
  await expect.poll(() => asked).toBeGreaterThan(0);
  await first(2).click();
  await typeCells(page, ['Harbour Café', 'inv', '102', '15.6.26', '', '400']);
  await saved(page);
  come();
  await page.unrouteAll({ behavior: 'wait' });
  await page.getByRole('link', { name: 'Contacts' }).click();
  await expect(page.getByRole('grid', { name: 'Contacts' }).getByRole('row', { name: /Harbour Café/ })).toHaveCount(1);
});

test('an invoice that was left out of the list is found, typed, and taken out again', async ({ page }) => {
  await client(page, 'Marram Kelp Farms Ltd');
  const grid = await openSchedule(page, 'Trade receivables');
  await expect(tieOut(page)).toContainText('1,240.00 Dr');
  // The blank row behind the last.
  await grid.getByRole('gridcell').first().click();
  await page.keyboard.press('Control+ArrowDown');
  await typeCells(page, ['Knockalla', 'inv', 'MK-1071', '5.7.26', '', '', '1240']);
  await saved(page);
  await expect(tieOut(page)).toContainText('ties');
  await page.reload();
  await expect(tieOut(page)).toContainText('ties');
  await grid.getByRole('gridcell', { name: 'MK-1071' }).click();
  await page.keyboard.press('Control+-');
  await expect(page.getByText('1 item deleted')).toBeVisible();
  await expect(tieOut(page)).toContainText('1,240.00 Dr');
  // Back by the record, and away again.
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(tieOut(page)).toContainText('ties');
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(tieOut(page)).toContainText('1,240.00 Dr');
});

test('a list of four hundred foreign items is brought, its wrong rows are said and typed, and it ties in both currencies; a bank ties with its statement', async ({
  page,
}) => {
  const rows = Array.from({ length: 400 }, (_, at) => {
    const amount = at === 7 || at === 90 || at === 300 ? 'see note' : '25.00';
    return `C${String(at % 40)};Customer ${String(at % 40)};Invoice;F-${String(1000 + at)};12/06/2026;12/07/2026;NOK;${amount}`;
  });
  const text = ['Customer no;Customer;Type;Invoice;Date;Due;Currency;Outstanding', ...rows].join('\n');
  await beginBooks(page, 'Four Hundred Ltd', true);
  await stage(page, 'Currencies').click();
  await page.getByLabel('Currency to switch on').selectOption({ value: 'NOK' });
  await page.getByRole('button', { name: 'Switch on' }).click();
  await page.getByLabel('Day of the rate').fill('31 Jul 2026');
  await page.getByLabel('Day of the rate').press('Tab');
  await page.getByLabel('Rate', { exact: true }).fill('0.09');
  await page.getByRole('button', { name: 'Save the rate' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'Norwegian' }).first()).toContainText('0.09');
  await typeFigures(page, { '1010': '48210.55', '3010': '-=' });
  await openSchedule(page, 'Trade receivables');
  const file = { name: 'open-items.csv', mimeType: 'text/csv', buffer: Buffer.from(text) };
  await page.locator('input[type=file]').first().setInputFiles(file);
  await expect(page.getByText('397 items, 40 contacts to be made')).toBeVisible();
  await expect(page.getByRole('list', { name: 'To check' })).toContainText('Row 9 has an amount that does not read');
  await page.getByRole('button', { name: 'Take 397 items' }).click();
  await page.getByRole('button', { name: 'Take 893.25 Dr as the figure' }).click();
  await expect(tieOut(page)).toContainText('ties');
  const grid = page.getByRole('grid', { name: /^Items of/ });
  for (const [at, number] of ['F-1007', 'F-1090', 'F-1300'].entries()) {
    await grid.getByRole('gridcell').first().click();
    await page.keyboard.press('Control+ArrowDown');
    await typeCells(page, ['C7', 'inv', number, '12.6.26', '', 'NOK', '25']);
    await saved(page);
    await expect(tieOut(page)).toContainText(['9,950.00 Dr', '9,975.00 Dr', '10,000.00 Dr'][at] ?? '');
  }
  await page.getByRole('button', { name: 'Take 900.00 Dr as the figure' }).click();
  await expect(tieOut(page)).toContainText('ties: 10,000.00 Dr');
  await expect(tieOut(page)).not.toContainText('apart');
  await stage(page, 'Opening balances').click();
  const receivables = page.getByRole('row').filter({ hasText: 'Trade receivables' }).first();
  await expect(receivables).toContainText('NOK 10,000.00');
  await expect(receivables).toContainText('900.00');

  await openSchedule(page, 'Current account at bank');
  await page.locator('input[type=file]').first().setInputFiles(paper('skerry-current-2026-07-31.xml'));
  await expect(page.getByText('It closes on 31 Jul 2026 with 48,960.55 Dr')).toBeVisible();
  await page.getByRole('button', { name: 'Take the balance' }).click();
  await expect(tieOut(page)).toContainText('750.00 Cr');
  await page.getByRole('grid').getByRole('gridcell').first().click();
  await typeCells(page, ['payment not', '30.7.26', '004417', 'Peatsmoke', '430']);
  await saved(page);
  await page.getByRole('grid').getByRole('row').nth(2).getByRole('gridcell').first().click();
  await typeCells(page, ['payment not', '31.7.26', '004418', 'Rope', '320']);
  await saved(page);
  await expect(tieOut(page)).toContainText('ties');
  await expect(stage(page, 'Schedules')).toContainText('all tied');
});

test('a card whose statement ends on the 19th, and a plain list behind an account without a role', async ({ page }) => {
  await make(page, 'Mid Month Ltd', { '1510': '800', '2400': '-500', '3050': '-300' });
  await openSchedule(page, 'Card account');
  await page.getByLabel('with a balance of, in EUR').fill('420');
  await page.getByLabel('Statement closes on').fill('19.7.26');
  await page.getByLabel('Statement closes on').press('Enter');
  await expect(tieOut(page)).toContainText('80.00 Cr');
  await stage(page, 'Proof').click();
  await expect(
    page.getByText('closes on 19 Jul 2026, and nothing is listed between that and 31 Jul 2026'),
  ).toBeVisible();
  await openSchedule(page, 'Card account');
  await page.getByRole('grid').getByRole('gridcell').first().click();
  await typeCells(page, ['payment not', '25.7.26', '', 'Diesel', '80']);
  await saved(page);
  await expect(tieOut(page)).toContainText('ties');

  await openSchedule(page, 'Share premium');
  for (const [at, row] of [
    ['Mooring, August', 'M-8', '31.7.26', '', '', '180'],
    ['Insurance to September', 'P-1', '1.7.26', '', '', '120'],
  ].entries()) {
    await page
      .getByRole('grid')
      .getByRole('row')
      .nth(at + 1)
      .getByRole('gridcell')
      .first()
      .click();
    await typeCells(page, row);
    await saved(page);
  }
  await expect(tieOut(page)).toContainText('ties');

  // A difference may stand with a reason, and is told as such.
  await page.getByRole('grid').getByRole('row').nth(2).getByRole('gridcell').first().click();
  await page.keyboard.press('Control+-');
  await expect(tieOut(page)).toContainText('120.00 Cr');
  await page.getByLabel('Or say why the difference may stand').fill('the policy is being looked for');
  await page.getByRole('button', { name: 'Explain it' }).click();
  await expect(tieOut(page)).toContainText('explained');
  await stage(page, 'Proof').click();
  await expect(page.getByText('the policy is being looked for')).toBeVisible();
});
