import type { Page } from '@playwright/test';
import { handOf } from './hand';
import { expect, stage, test } from './support';

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

const toPosted = async (page: Page, hand: Hand): Promise<void> => {
  await hand.find('sign');
  const post = page.getByRole('button', { name: /^Post \d+ lines/ });
  await expect(post).toBeEnabled();
  await hand.press(post);
  await expect(page.getByRole('heading', { name: 'The opening balances are posted' })).toBeVisible();
};

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
});
