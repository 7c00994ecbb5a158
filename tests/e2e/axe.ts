import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { expect } from './support';

const axe = createRequire(import.meta.url).resolve('axe-core');

/** Nothing serious is found on the page as it stands. What a theme changes is colours; names, roles and structure are the same in both. */
export const nothingSerious = async (page: Page, theme: 'light' | 'dark'): Promise<void> => {
  await page.addScriptTag({ path: axe });
  const only = theme === 'dark' ? { runOnly: ['color-contrast', 'link-in-text-block'] } : {};
  const found = await page.evaluate(async (rules) => {
    const { run } = (
      window as unknown as {
        axe: {
          run: (options: object) => Promise<{
            violations: { id: string; impact: string; nodes: { html: string; failureSummary: string }[] }[];
          }>;
        };
      }
    ).axe;
    return (await run(rules)).violations.filter((one) => one.impact === 'serious' || one.impact === 'critical');
  }, only);
  expect(
    found.map((one) => `${page.url()} ${one.id}: ${one.nodes[0]?.html ?? ''} ${one.nodes[0]?.failureSummary ?? ''}`),
  ).toEqual([]);
};
