import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { client, expect, stage, test } from './support';

test.use({ as: 'Tomas Bielik' });

const paper = (name: string): string => new URL(`../../demo/papers/${name}`, import.meta.url).pathname;

/** Drops a file on something, as from another window. */
const drop = async (page: Page, on: Locator, name: string, content: Uint8Array, type: string): Promise<void> => {
  const files = await page.evaluateHandle(
    ([base64, called, kind]) => {
      const data = new DataTransfer();
      const bytes = Uint8Array.from(atob(base64), (char) => char.charCodeAt(0));
      data.items.add(new File([bytes], called, { type: kind }));
      return data;
    },
    [Buffer.from(content).toString('base64'), name, type] as const,
  );
  await on.dispatchEvent('dragover', { dataTransfer: files });
  await expect(page.locator('[data-over]')).toHaveCount(1);
  await on.dispatchEvent('drop', { dataTransfer: files });
  await expect(page.locator('[data-over]')).toHaveCount(0);
};

test('a paper dropped on an item is attached to it, shown beside the sheet, and found from its own page', async ({
  page,
}) => {
  await client(page, 'Marram Kelp Farms Ltd');
  await stage(page, 'Schedules').click();
  const grid = page.getByRole('grid', { name: /^Items of/ });
  await page.getByRole('link', { name: 'Trade receivables' }).click();
  const row = grid.getByRole('row').filter({ hasText: 'MK-1041' });
  await drop(
    page,
    row,
    'mk-1041.pdf',
    readFileSync(paper('skerry-bank-confirmation-2026-07-31.pdf')),
    'application/pdf',
  );
  await expect(row.getByLabel('with evidence')).toBeVisible();
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await margin
    .getByRole('button', { name: /^skerry-bank|^mk-1041/ })
    .first()
    .click();
  const shown = page.getByRole('complementary', { name: 'Paper' });
  await expect(shown.locator('[data-drawn=true]')).toBeVisible();
  await expect(grid).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(shown).toHaveCount(0);
  await expect(margin.getByRole('button', { name: /^skerry-bank|^mk-1041/ }).first()).toBeFocused();
  await margin
    .getByRole('button', { name: /^skerry-bank|^mk-1041/ })
    .first()
    .click();
  await shown.getByRole('link', { name: 'The paper’s page' }).click();
  await expect(
    page.getByRole('complementary', { name: 'Margin' }).getByRole('link', { name: /^MK-1041/ }),
  ).toBeVisible();
});

test('a message is shown by its words, and what hangs on it becomes a paper', async ({ page }) => {
  await client(page, 'Marram Kelp Farms Ltd');
  await stage(page, 'Schedules').click();
  await page.getByRole('link', { name: 'Contacts', exact: true }).click();
  await page.getByRole('gridcell', { name: 'Knockalla Hotel' }).click();
  await page.getByRole('link', { name: 'Its items and their ages' }).click();
  await page.getByRole('button', { name: 'knockalla-mk-1071.eml', exact: true }).click();
  const shown = page.getByRole('complementary', { name: 'Paper' });
  await expect(shown.getByText('still open: 1,240.00')).toBeVisible();
  await shown.getByRole('button', { name: 'Keep as a paper' }).click();
  await expect(page.getByText(/MK-1071.pdf is a paper/)).toBeVisible();
});

test('a picture on Proof, a damaged workbook that is kept all the same, and nothing of either is run', async ({
  page,
}) => {
  await client(page, 'Marram Kelp Farms Ltd');
  await page.goto(`${page.url().replace(/\/books\/(\d+).*/, '/books/$1')}/papers`);
  await page.getByLabel('Choose files').setInputFiles({
    name: 'count.xlsx',
    mimeType: 'application/octet-stream',
    buffer: Buffer.from([0x50, 0x4b, 3, 4, 0, 0, 1, 2]),
  });
  await page.getByRole('button', { name: 'Keep it as evidence' }).click();
  await expect(page.getByText('A file of this kind is kept and given out as it is')).toBeVisible();
  await page.getByRole('button', { name: 'Remove paper' }).click();
  await expect(page.getByRole('heading', { name: 'Papers' })).toBeVisible();
  await stage(page, 'Proof').click();
  const check = page.getByRole('listitem').filter({ hasText: 'Each control account is equal to its list' }).first();
  await check.getByText('Attach evidence').click();
  const seen = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  await check.getByLabel('Attach a file').setInputFiles({
    name: '<img src=x onerror=alert(1)>.png',
    mimeType: 'image/png',
    buffer: Buffer.from(seen, 'base64'),
  });
  await check
    .getByRole('button', { name: /onerror/ })
    .first()
    .click();
  const picture = page.getByRole('complementary', { name: 'Paper' }).getByRole('img');
  await expect(picture).toBeVisible();
  const address = (await picture.getAttribute('src')) ?? '';
  const answer = await page.request.get(address);
  expect(answer.headers()).toMatchObject({
    'content-type': 'image/png',
    'x-content-type-options': 'nosniff',
    'content-security-policy': expect.stringContaining("sandbox; default-src 'none'"),
  });
  await page.getByRole('button', { name: 'Close' }).click();
  await check.getByRole('button', { name: /^Take .* off$/ }).click();
  await expect(check.getByText('No paper is attached.')).toBeVisible();
});
