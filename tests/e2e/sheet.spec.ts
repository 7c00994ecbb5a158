import type { Page } from '@playwright/test';
import { readPdf } from '../../src/core/files/pdf';
import { asOwner, cell, client, expect, stage, test } from './support';

test.use({ as: 'Tomas Bielik' });

const open = async (page: Page, name: string): Promise<void> => {
  await client(page, name);
  await stage(page, 'Opening balances').click();
  await expect(page.getByRole('grid', { name: 'Opening balances' })).toBeVisible();
};

test.describe('the opening sheet', () => {
  test.use({ permissions: ['clipboard-read', 'clipboard-write'] });

  test('copies, pastes, clears and undoes ranges', async ({ page }) => {
    await open(page, 'Nightjar Couriers');
    await cell(page, 'Current account at bank', 2).click();
    await page.keyboard.press('Shift+ArrowDown');
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('Control+c');
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('842000\t\n36500\t');

    await page.evaluate(() => navigator.clipboard.writeText('5\t\r\n\t7\r\nabc\t\r\n'));
    await cell(page, 'Trade receivables', 2).click();
    await page.keyboard.press('Control+v');
    await expect(cell(page, 'Trade receivables', 2)).toHaveText('5');
    await expect(cell(page, 'Work done, not yet billed', 3)).toHaveText('7');
    await expect(page.getByText('2 figures pasted; 1 cell did not read as amounts and are marked')).toBeVisible();
    await expect(cell(page, 'Prepayments', 4)).toContainText('not an amount');
    await expect(page.getByText('1 figure not saved')).toBeVisible();

    // Also from outside the sheet; what could not be read goes with the rest.
    await page.getByRole('heading', { name: 'Opening balances' }).click();
    await page.keyboard.press('Control+z');
    await expect(cell(page, 'Trade receivables', 2)).toHaveText('');
    await expect(cell(page, 'Prepayments', 4)).not.toContainText('not an amount');
    await page.keyboard.press('Control+Shift+z');
    await expect(cell(page, 'Trade receivables', 2)).toHaveText('5');
    await expect(cell(page, 'Prepayments', 4)).toContainText('not an amount');
    await page.keyboard.press('Control+z');
    await expect(page.getByTestId('difference')).toHaveText('JPY level');
    await expect(page.getByText('all saved')).toBeVisible();
  });

  test('takes what is typed on arriving; Tab goes on, leaves after Esc, and the sheet is one key away', async ({
    page,
  }) => {
    await open(page, 'Nightjar Couriers');
    await page.reload();
    const first = page.locator('[role=grid] [tabindex="0"]');
    await expect(first).toBeFocused();
    await page.keyboard.type('12');
    // The course does not wait for the checks to be run anew.
    await expect(stage(page, 'Proof')).toContainText('out of balance');
    await expect(stage(page, 'Sign-off')).toContainText('waits: Proof');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    // From the first account's debit over its credit to the debit of the next account.
    await expect(page.locator('[role=grid] [role=row][aria-rowindex="4"] [aria-colindex="3"]')).toBeFocused();
    await expect(page.getByText('all saved')).toBeVisible();
    // What was typed can be taken back after the page was loaded anew, and it is said what that is.
    await page.reload();
    await expect(first).toBeFocused();
    await page.keyboard.press('Control+z');
    await expect(page.getByText(/^Changed last, .*: 1010 .* → 12 Dr$/)).toBeVisible();
    await page.getByRole('button', { name: 'Take back' }).click();
    await expect(page.getByText('1 change taken back')).toBeVisible();
    await expect(page.getByTestId('difference')).toHaveText('JPY level');
    await first.click();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Tab');
    await expect(page.locator('[role=grid] :focus')).toHaveCount(0);
    await page.keyboard.press('F6');
    await expect(first).toBeFocused();
    // After the focus has left, a click on the same cell brings it back.
    await page.getByRole('searchbox', { name: 'Find on the sheet' }).focus();
    await first.click();
    await expect(first).toBeFocused();
    await page.reload();
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('Tab');
    await page.getByRole('link', { name: 'Go to the sheet' }).focus();
    await page.keyboard.press('Enter');
    await expect(first).toBeFocused();
  });

  test('filters, finds, and keeps headings over what is shown', async ({ page }) => {
    await open(page, 'Nightjar Couriers');
    await page.getByRole('button', { name: 'Filled 6' }).click();
    const rows = page.getByRole('grid').getByRole('row');
    await expect(rows).toHaveCount(6 + 4 + 2);
    await page.getByRole('searchbox', { name: 'Find on the sheet' }).fill('loan');
    await expect(rows).toHaveCount(1 + 1 + 2);
    await page.getByRole('button', { name: 'To check 0' }).click();
    await expect(page.getByText('No account here is called “loan”.')).toBeVisible();
  });

  test('two tabs in one figure: the later one is shown both values', async ({ page, context }) => {
    await open(page, 'Nightjar Couriers');
    const other = await context.newPage();
    await open(other, 'Nightjar Couriers');
    for (const [tab, amount] of [
      [page, '111'],
      [other, '222'],
    ] as const) {
      await cell(tab, 'Prepayments', 2).click();
      await tab.keyboard.type(amount);
      await tab.keyboard.press('Tab');
      if (tab === page) await expect(tab.getByText('all saved')).toBeVisible();
    }
    await expect(cell(other, 'Prepayments', 4)).toContainText('changed by somebody else');
    await expect(other.getByLabel('Margin')).toContainText('Theirs: 111 Dr. Yours: 222 Dr.');
    await other.getByRole('button', { name: 'Keep theirs' }).click();
    await expect(cell(other, 'Prepayments', 2)).toHaveText('111');
    await cell(other, 'Prepayments', 2).click();
    await other.keyboard.press('Delete');
    await expect(other.getByText('all saved')).toBeVisible();
  });

  test('keeps what was typed while the server does not answer', async ({ page }) => {
    await open(page, 'Nightjar Couriers');
    await page.route('**/openings/figures', (route) =>
      route.request().method() === 'POST' ? route.abort() : route.continue(),
    );
    await cell(page, 'Prepayments', 2).click();
    await page.keyboard.type('90');
    await page.keyboard.press('Tab');
    await expect(page.getByText('1 figure not saved')).toBeVisible();
    await expect(cell(page, 'Prepayments', 2)).toHaveText('90');
    await page.unroute('**/openings/figures');
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByText('all saved')).toBeVisible();
    await cell(page, 'Prepayments', 2).click();
    await page.keyboard.press('Delete');
    await expect(page.getByText('all saved')).toBeVisible();
  });
});

asOwner(() => {
  test('the chart: add, rename, move, deactivate; a used account is not deleted', async ({ page }) => {
    await client(page, 'Nightjar Couriers');
    await stage(page, 'Chart').click();
    const tree = page.getByRole('treegrid');
    await tree
      .getByRole('row', { name: /^1000 Current assets/ })
      .getByRole('gridcell')
      .nth(1)
      .click();
    await page.keyboard.press('Alt+n');
    await page.getByLabel('Accounts, one per line').fill('Fuel card deposit');
    await expect(page.getByLabel('Margin')).toContainText('1410 Fuel card deposit');
    await page.keyboard.press('Control+Enter');
    const row = tree.getByRole('row', { name: /1410 Fuel/ });
    await row.getByRole('gridcell').nth(1).click();
    await page.getByLabel('Name', { exact: true }).fill('Fuel deposit');
    await page.keyboard.press('Enter');
    await expect(tree.getByRole('row', { name: /1410 Fuel deposit/ })).toBeVisible();
    await page.getByLabel('Under heading').selectOption('1500 Fixed assets');
    await expect(page.getByLabel('Margin')).toContainText('moved under 1500 Fixed assets');
    await page.getByRole('button', { name: 'Deactivate' }).click();
    await expect(tree.getByRole('row', { name: /1410 .*Fuel deposit inactive/ })).toBeVisible();
    await page.getByRole('button', { name: 'Delete if unused' }).click();
    await expect(tree.getByRole('row', { name: /1410/ })).toHaveCount(0);
    await tree.getByRole('row', { name: /^1010/ }).getByRole('gridcell').nth(1).click();
    await page.getByRole('button', { name: 'Delete if unused' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'cannot be deleted' })).toContainText(
      'it has an opening balance',
    );
  });
});

test('papers that cannot be read get a sentence; a hostile name stays text', async ({ page }) => {
  await client(page, 'Juniper Lantern Theatre');
  await stage(page, 'Opening balances').click();
  await page.getByRole('button', { name: 'Bring papers' }).click();
  const input = page.locator('input[type=file]').first();
  await input.setInputFiles({ name: 'scan.pdf', mimeType: 'application/pdf', buffer: Buffer.from('%PDF-1.7') });
  await expect(page.getByRole('alert').filter({ hasText: 'scan.pdf is a PDF' })).toBeVisible();
  await input.setInputFiles({
    name: '<img src=x onerror=alert(1)>.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Code,Name,Debit,Credit\nN100,<script>alert(1)</script>,5.00,\nN500,Restricted fund,,5.00\n'),
  });
  await expect(page.getByRole('heading', { name: '<img src=x onerror=alert(1)>.csv' })).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: '<script>alert(1)</script>' }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Remove paper' }).click();
  await expect(page.getByRole('heading', { name: 'Papers' })).toBeVisible();
});

asOwner(() => {
  test('a posted version is corrected by a difference', async ({ page }) => {
    await open(page, 'Tessellate Tile Co-operative');
    await expect(page.getByText('This version is posted')).toBeVisible();
    await cell(page, 'Petty cash', 2).click();
    await page.keyboard.type('5');
    await expect(page.getByRole('grid').getByRole('textbox')).toHaveCount(0);
    await stage(page, 'Sign-off').click();
    await page.getByLabel('Why it changes').fill('cash was counted again');
    await page.getByRole('button', { name: 'Open a correction' }).click();
    await expect(page.getByText(/^version \d+, draft/)).toBeVisible();
    await stage(page, 'Sign-off').click();
    await page.getByRole('button', { name: /^Discard this correction/ }).click();
    await expect(page.getByRole('heading', { name: 'The opening balances are posted' })).toBeVisible();
  });
});

test('an address that leads nowhere says so', async ({ page }) => {
  for (const path of ['/books/999', '/books/x', '/books/1/papers/77', '/books/1/statements/cash', '/nowhere']) {
    const response = await page.goto(path);
    expect(response?.status()).toBe(404);
    await expect(page.getByRole('heading', { name: 'Nothing stands at this address' })).toBeVisible();
  }
});

test('every sheet prints whole, by whatever way it is printed: all rows, its totals, whose it is', async ({ page }) => {
  /** What the pages say, row by row, as the product itself reads a printed paper. */
  const printed = async (): Promise<readonly string[]> => {
    const read = await readPdf(new Uint8Array(await page.pdf({ format: 'A4' })), 'printed.pdf');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    return read.value.flatMap(({ rows }) => rows.map((row) => row.map(String).join(' ').trim()));
  };
  const whole = async (lines: readonly string[]): Promise<void> => {
    const rows = Number(await page.locator('.sheet').getAttribute('aria-rowcount'));
    // Headings and accounts begin with their code, wherever a page ends.
    expect(lines.filter((line) => /^\d{4}\b/.test(line)).length).toBeGreaterThanOrEqual(rows - 2);
  };
  await open(page, 'Tessellate Tile Co-operative');
  const openings = await printed();
  await whole(openings);
  expect(openings.join('\n')).toContain('Tessellate Tile Co-operative · opening balances at close of');
  expect(openings.some((line) => line.startsWith('Totals'))).toBe(true);
  // Only what is printed differs: the sheet on the screen is what it was.
  await expect(page.locator('table.ledger')).toHaveCount(0);
  await stage(page, 'Chart').click();
  await expect(page.getByRole('treegrid')).toBeVisible();
  await whole(await printed());
});
