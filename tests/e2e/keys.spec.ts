import type { Page } from '@playwright/test';
import { handOf } from './hand';
import { expect, test } from './support';

type Hand = ReturnType<typeof handOf>;

const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name, exact: true });
const sheet = (page: Page) => page.getByRole('grid', { name: 'Opening balances' });

/** Counts by parts of the work, and tells them for whoever reads the log. */
const counting = (hand: Hand, what: string) => {
  const parts: string[] = [];
  let before = 0;
  return {
    part: (name: string): void => {
      parts.push(`${name} ${String(hand.count() - before)}`);
      before = hand.count();
    },
    tell: (): void => console.log(`${what}: ${String(hand.count())} keys (${parts.join(', ')})`),
  };
};

/** Opening figures, typed down the sheet; from one to the next by arrows, or by the list of commands where it is far. */
const typeDown = async (page: Page, hand: Hand, figures: readonly (readonly [string, string])[]): Promise<void> => {
  const placeOf = async (code: string): Promise<number> =>
    Number(
      await sheet(page)
        .getByRole('row')
        .filter({ has: page.getByRole('gridcell', { name: code, exact: true }) })
        .getAttribute('aria-rowindex'),
    );
  await expect(sheet(page)).toBeVisible();
  await hand.key('F6');
  for (const [code, amount] of figures) {
    const here = Number(
      await page.evaluate(() => document.activeElement?.closest('[role=row]')?.getAttribute('aria-rowindex')),
    );
    const steps = (await placeOf(code)) - here;
    for (let step = 0; step < Math.abs(steps); step += 1) await hand.key(steps < 0 ? 'ArrowUp' : 'ArrowDown');
    await hand.type(amount);
    await hand.key('Enter');
  }
  await expect(page.getByText('all saved')).toBeVisible();
};

/** Answers what the Company page asks first. */
const isNotRegistered = async (page: Page, hand: Hand): Promise<void> => {
  await hand.key('F6');
  await hand.type('not r');
  await expect(page.getByText('all saved')).toBeVisible();
};

const toPosted = async (page: Page, hand: Hand): Promise<void> => {
  await hand.find('sign');
  const post = page.getByRole('button', { name: /^Post \d+ lines/ });
  await expect(post).toBeEnabled();
  await hand.key('F6');
  await hand.press(post);
  await expect(page.getByRole('heading', { name: 'The opening balances are posted' })).toBeVisible();
};

/** What a chart from elsewhere has no account for is made at once. */
const makeWhatLacks = async (page: Page, hand: Hand): Promise<void> => {
  await hand.find('tidy');
  const lacking = page.getByRole('checkbox', { name: 'All of: Missing essentials' });
  await expect(lacking).toBeVisible();
  await hand.key('F6');
  await expect(lacking).toBeFocused();
  await hand.key('Space');
  await hand.to(page.getByRole('button', { name: /^Apply the \d+ chosen$/ }), 'Shift+Tab');
  await hand.key('Enter');
  await expect(page.getByRole('region', { name: 'Missing essentials' })).toBeHidden();
};

const file = (name: string, lines: readonly string[]) => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(lines.join('\n')),
});

/** A client's own list: sixty accounts, some of which do not say their type. */
const GERMAN: readonly (readonly [string, string, string, number])[] = [
  ['0420', 'Büroeinrichtung', 'Aktiv', 8200],
  ['0520', 'Pkw', 'Aktiv', 24000],
  ['1000', 'Kasse', 'Aktiv', 310.5],
  ['1200', 'Bank', 'Aktiv', 41250.75],
  ['1210', 'Tagesgeld', 'Aktiv', 15000],
  ['1400', 'Forderungen aus Lieferungen und Leistungen', 'Aktiv', 28640.2],
  ['1576', 'Abziehbare Vorsteuer 19 %', 'Aktiv', 3120.4],
  ['1600', 'Verbindlichkeiten aus Lieferungen und Leistungen', 'Passiv', -17230.1],
  ['1700', 'Sonstige Verbindlichkeiten', 'Passiv', -4100],
  ['1776', 'Umsatzsteuer 19 %', 'Passiv', -8514.2],
  ['0630', 'Bankdarlehen', 'Passiv', -30000],
  ['0800', 'Gezeichnetes Kapital', 'Eigenkapital', -25000],
  ['0860', 'Gewinnvortrag', 'Eigenkapital', -12400],
  ['3200', 'Wareneingang 19 % Vorsteuer', 'Aufwand', 61300],
  ['4120', 'Gehälter', 'Aufwand', 52000],
  ['4210', 'Miete', 'Aufwand', 18000],
  ['8400', 'Erlöse 19 % USt', 'Ertrag', -154577.55],
];
const germanChart = (): readonly string[] => [
  'Konto;Bezeichnung;Kontoart',
  ...GERMAN.map(([code, name, type]) => `${code};${name};${code === '4210' || code === '1210' ? '' : type}`),
  ...Array.from(
    { length: 60 - GERMAN.length },
    (_, at) => `${String(4300 + at * 10)};Betriebskosten ${String(at + 1)};Aufwand`,
  ),
];
/** The same accounts with their balances; the sales tax has two of its digits the wrong way round. */
const germanBalances = (): readonly string[] => [
  'Saldenliste zum 30.06.2026',
  'Konto;Bezeichnung;Soll;Haben',
  ...GERMAN.map(([code, name, , amount]) => {
    const text = (code === '1776' ? 8154.2 : Math.abs(amount)).toFixed(2).replace('.', ',');
    return amount > 0 ? `${code};${name};${text};` : `${code};${name};;${text}`;
  }),
];

/** Whole stories by keyboard alone, from an empty screen to posted opening balances, each key counted. */
test.describe('by keyboard alone', () => {
  test('a sole trader with sales tax, typed by hand', async ({ page }) => {
    const hand = handOf(page);
    const { part, tell } = counting(hand, 'A sole trader with sales tax');
    await page.goto('/');
    await hand.press(page.getByRole('link', { name: 'New books' }));
    await expect(page.getByLabel('Company name')).toBeFocused();
    await hand.type('Finch Frames');
    await hand.key('Tab');
    await hand.type('Sole');
    await hand.key('Shift+Tab');
    await hand.key('Enter');
    await expect(heading(page, 'Company')).toBeVisible();
    part('books');
    await hand.key('F6');
    await expect(page.getByLabel('Registered', { exact: true })).toBeFocused();
    await hand.type('reg');
    await hand.to(page.getByLabel('Tax number', { exact: true }));
    await hand.type('IE6388047V');
    await hand.to(page.getByLabel('Registered from', { exact: true }));
    await hand.type('1.3.20');
    await hand.press(page.getByRole('button', { name: /^that to / }));
    await expect(page.getByText('all saved')).toBeVisible();
    part('company');
    await hand.find('op');
    await typeDown(page, hand, [
      ['1010', '12450.30'],
      ['1050', '85'],
      ['1100', '3210.75'],
      ['1200', '1840.50'],
      ['1400', '132.60'],
      ['1510', '4200'],
      ['1519', '1400c'],
      ['2100', '2210.40c'],
      ['2200', '865.20c'],
      ['2510', '6000c'],
      ['3010', '='],
    ]);
    await expect(page.getByTestId('difference')).toHaveText('EUR level');
    part('eleven figures');
    await toPosted(page, hand);
    part('posted');
    tell();
    expect(hand.count()).toBeLessThanOrEqual(178);
  });

  test('a chart copied from another client', async ({ page }) => {
    const hand = handOf(page);
    const { part, tell } = counting(hand, 'A chart copied from another client');
    await page.goto('/');
    await hand.press(page.getByRole('link', { name: 'New books' }));
    await expect(page.getByLabel('Company name')).toBeFocused();
    await hand.type('Skua');
    await hand.to(page.getByLabel('Or a copy of the chart of'));
    await hand.type('Ma');
    await hand.key('Control+Enter');
    part('books');
    const copy = page.getByRole('button', { name: /^Copy \d+ accounts$/ });
    await expect(copy).toBeFocused();
    await hand.key('Enter');
    await expect(page.getByRole('treegrid', { name: 'Chart of accounts' })).toBeVisible();
    part('chart');
    tell();
    expect(hand.count()).toBeLessThanOrEqual(25);
    await expect(page.getByRole('row', { name: /^1010 Bank/ })).toBeVisible();
    // On to posted, as short as it can be.
    await hand.find('comp');
    await expect(heading(page, 'Company')).toBeVisible();
    await isNotRegistered(page, hand);
    await hand.find('op');
    await typeDown(page, hand, [
      ['1010', '100'],
      ['3010', '='],
    ]);
    await toPosted(page, hand);
    part('company, two figures, posted');
    tell();
  });

  test('a shop with a year of weeks, cut over inside it, and a paper in which a parent stands with its children', async ({
    page,
  }) => {
    const hand = handOf(page);
    const { part, tell } = counting(hand, 'A shop with a 4-4-5 year');
    await page.goto('/new');
    await expect(page.getByLabel('Company name')).toBeFocused();
    await hand.type('Puffin Shop');
    await hand.to(page.getByLabel('Cutover date'));
    await hand.to(page.getByLabel('Periods', { exact: true }));
    await hand.type('4-4-5');
    await hand.key('Shift+Tab');
    await hand.type('26 F');
    await expect(page.getByText('Balances stand at close of 25 Feb 2026')).toBeVisible();
    await hand.to(page.getByRole('radio', { name: /^General trading/ }));
    for (let starter = 0; starter < 2; starter += 1) await hand.key('ArrowDown');
    await expect(page.getByRole('radio', { name: /^Empty/ })).toBeChecked();
    await hand.key('Control+Enter');
    await expect(heading(page, 'Company')).toBeVisible();
    part('books');
    await isNotRegistered(page, hand);
    part('company');
    await hand.find('pap');
    await expect(heading(page, 'Papers')).toBeVisible();
    const lines = [
      'Code,Account,Debit,Credit',
      '1000,Banks and cash,"6,085.00",',
      '1010,Quay Bank current account,"4,000.00",',
      '1020,Mercer Bank deposit,"2,000.00",',
      '1050,Till float,85.00,',
      '1200,Stock of goods,"3,200.00",',
      '2100,Trade payables,,"1,185.00"',
      '3010,Share capital,,100.00',
      '3200,Retained earnings,,"5,000.00"',
      '4010,Sales,,"9,000.00"',
      '5010,Cost of goods sold,"6,000.00",',
      ',Total,"15,285.00","15,285.00"',
    ];
    await hand.bring(page.locator('input[type=file]').first(), {
      name: 'puffin.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(lines.join('\n')),
    });
    await expect(page.getByRole('heading', { name: 'puffin.csv' })).toBeVisible();
    await hand.press(page.getByRole('button', { name: /^Create \d+ accounts as proposed$/ }));
    await expect(page.getByText('to decide:')).toBeHidden();
    await hand.press(page.getByRole('button', { name: 'Take over' }));
    await expect(heading(page, 'Opening balances')).toBeVisible();
    await expect(page.getByTestId('difference')).toHaveText('EUR level');
    await expect(page.getByTestId('debits')).toHaveText('15,285.00');
    part('paper');
    await makeWhatLacks(page, hand);
    part('what it lacked');
    await toPosted(page, hand);
    part('posted');
    tell();
  });

  test('a limited company in mid-year: its own list of accounts in German, and a trial balance with a figure transposed', async ({
    page,
  }) => {
    const hand = handOf(page);
    const { part, tell } = counting(hand, 'A limited company with its own list');
    await page.goto('/new');
    await expect(page.getByLabel('Company name')).toBeFocused();
    await hand.type('Kliff GmbH');
    await hand.to(page.getByLabel('Country', { exact: true }));
    await hand.type('Germ');
    await hand.to(page.getByLabel('Cutover date'));
    await hand.type('1 Jul');
    await hand.to(page.getByRole('radio', { name: /^General trading/ }));
    for (let starter = 0; starter < 2; starter += 1) await hand.key('ArrowDown');
    await hand.key('Control+Enter');
    await expect(heading(page, 'Company')).toBeVisible();
    await isNotRegistered(page, hand);
    part('books and company');
    await hand.find('imp');
    await expect(heading(page, 'Import a list of accounts')).toBeVisible();
    await hand.bring(page.getByLabel(/^(Choose a|Another) file$/), file('kontenplan.csv', germanChart()));
    await expect(page.getByRole('button', { name: /^Take over/ })).toBeEnabled();
    await hand.key('Control+Enter');
    await expect(page.getByRole('treegrid', { name: 'Chart of accounts' })).toBeVisible();
    part('chart');
    await hand.find('pap');
    await expect(heading(page, 'Papers')).toBeVisible();
    await hand.bring(page.locator('input[type=file]').first(), file('saldenliste.csv', germanBalances()));
    await expect(page.getByRole('heading', { name: 'saldenliste.csv' })).toBeVisible();
    await hand.press(page.getByRole('button', { name: 'Take over' }));
    await expect(page.getByTestId('difference')).toHaveText(/360,00/);
    part('balances');
    await hand.find('why');
    const found = page.getByRole('listitem').filter({ hasText: 'two digits are transposed' }).first();
    await expect(found).toContainText('8.514,20');
    await hand.key((await found.locator('span[aria-hidden]').first().textContent()) ?? '');
    await expect(page.getByTestId('difference')).toHaveText('EUR level');
    part('the difference');
    await makeWhatLacks(page, hand);
    part('what it lacked');
    await toPosted(page, hand);
    part('posted');
    tell();
    expect(hand.count()).toBeLessThanOrEqual(180);
  });
});
