import { readdirSync } from 'node:fs';
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
  '/books/1/openings/comparatives',
  '/books/1/openings/why',
  '/books/2/openings/compare',
  '/books/1/changes',
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

/** Asked for without anybody signed in, where they are looked at too. */
const ELSEWHERE = ['/first', '/sign-in', '/account'];

test('every page of the application is among those that are looked at', () => {
  const routes = readdirSync('src/app', { recursive: true, encoding: 'utf8' })
    .filter((path) => /(?:^|\/)page\.tsx$/.test(path))
    .map((path) => `/${path.replace(/\/?page\.tsx$/, '')}`);
  expect(routes.length).toBeGreaterThan(30);
  const missing = routes.filter((route) => {
    const shape = new RegExp(`^${route.replace(/\[\w+\]/g, '[^/]+')}$`);
    return ![...PAGES, ...ELSEWHERE].some((page) => shape.test(page.split('?')[0] ?? ''));
  });
  expect(missing).toEqual([]);
});

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
  test('the board says what blocks each client, and by how much the books are off', async ({ page }) => {
    await page.goto('/');
    const client = page.getByRole('listitem').filter({ hasText: 'Juniper Lantern Theatre' });
    await expect(client.getByText(/\d blockers?/).filter({ visible: true })).toBeVisible();
    const marram = page.getByRole('listitem').filter({ hasText: 'Marram Kelp Farms' });
    await expect(marram.getByText(/off by [\d.,]+ Dr/).filter({ visible: true })).toBeVisible();
  });
});

test.describe('on a small laptop', () => {
  test.use({ viewport: { width: 1024, height: 768 } });
  test('no page is wider than the screen, no day is cut, and what goes on to the right fades there', async ({
    page,
  }) => {
    const fades = { goesOn: 0, fits: 0 };
    for (const path of PAGES) {
      await page.goto(path);
      // What fades does so from the first frame on.
      await expect(async () => {
        const seen = await page.evaluate(() => ({
          wide: document.documentElement.scrollWidth,
          cut: [...document.querySelectorAll('input')]
            .filter(({ value, scrollWidth, clientWidth }) => /^\d.*\d{4}$/.test(value) && scrollWidth > clientWidth)
            .map(({ value }) => value),
          tables: [...document.querySelectorAll('.sheet, .overflow-x-auto')]
            .filter(({ clientWidth }) => clientWidth > 0)
            .map((table) => ({
              // The way between the stages begins where the present one is in sight, which may be its end.
              goesOn:
                table.scrollWidth - table.clientWidth - table.scrollLeft >
                (table.scrollWidth - table.clientWidth) * 0.02,
              fades: getComputedStyle(table).maskImage !== 'none',
            })),
        }));
        expect([path, seen.wide, ...seen.cut]).toEqual([path, 1024]);
        expect([path, ...seen.tables.map(({ fades }) => fades)]).toEqual([
          path,
          ...seen.tables.map(({ goesOn }) => goesOn),
        ]);
        fades.goesOn += seen.tables.filter(({ goesOn }) => goesOn).length;
        fades.fits += seen.tables.filter(({ goesOn }) => !goesOn).length;
      }).toPass({ timeout: 5000 });
    }
    expect(Math.min(fades.goesOn, fades.fits)).toBeGreaterThan(0);
    await page.goto('/books/1/schedules/contacts');
    const sheet = page.locator('.sheet');
    await sheet.evaluate((element) => element.scrollTo({ left: element.scrollWidth }));
    await expect.poll(() => sheet.evaluate((element) => getComputedStyle(element).maskImage)).toBe('none');
  });
});
