import { nothingSerious } from './axe';
import { expect, test } from './support';

const PAGES = [
  '/',
  '/new',
  '/books/1',
  '/books/1/calendar',
  '/books/2/calendar',
  '/books/1/currencies',
  '/books/3/currencies',
  '/books/1/chart',
  '/books/3/chart',
  '/books/1/chart/statements',
  '/books/1/chart/roles',
  '/books/1/chart/money',
  '/books/1/chart/tax',
  '/books/1/chart/codes',
  '/books/4/chart/tidy',
  '/books/3/chart/begin',
  '/books/3/chart/copy?books=1',
  '/books/3/chart/import',
  '/books/2/chart/print',
  '/books/1/openings',
  '/books/1/papers',
  '/books/1/papers/1',
  '/books/1/schedules',
  '/books/1/schedules/6',
  '/people',
  '/audit',
  '/who',
  '/forgotten',
  '/sign-in/code',
  '/way-in/none',
  '/simulated/mailbox',
  '/books/1/schedules/analysis?list=2',
  '/books/1/schedules/contacts',
  '/books/1/schedules/contacts/1',
  '/books/2/schedules',
  '/books/1/proof',
  '/books/1/sign-off',
  '/books/2/sign-off',
  '/books/2/statements/trial-balance',
  '/books/1/statements/balance-sheet',
  '/books/1/statements/income-statement',
  '/books/2/statements/journal',
  '/books/999',
];

for (const theme of ['light', 'dark'] as const)
  test.describe(`in the ${theme} theme`, () => {
    test.use({ colorScheme: theme });
    test('axe finds nothing serious on any page', async ({ page }) => {
      for (const path of PAGES) {
        await page.goto(path);
        await nothingSerious(page, theme);
      }
    });
  });

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('no page is wider than the screen, and nothing breaks while it loads', async ({ page }) => {
    const broken: string[] = [];
    page.on('pageerror', (error) => broken.push(error.message));
    for (const path of PAGES) {
      await page.goto(path);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect(`${path} ${String(wide)}`).toBe(`${path} 390`);
    }
    expect(broken).toEqual([]);
  });
});
