import type { Locator, Page } from '@playwright/test';
import { expect } from './support';

/** Tabs after which something is out of anybody's reach. */
const MOST_TABS = 60;

/** Somebody with a keyboard alone, whose keys are counted; a file that is chosen counts as one. */
export const handOf = (page: Page) => {
  let count = 0;
  const key = async (name: string): Promise<void> => {
    count += 1;
    await page.keyboard.press(name);
  };
  const type = async (text: string): Promise<void> => {
    count += Array.from(text).length;
    await page.keyboard.type(text);
  };
  /** Goes on with Tab, or back, until something has the focus. */
  const to = async (what: Locator, by: 'Tab' | 'Shift+Tab' = 'Tab'): Promise<void> => {
    await expect(what).toBeVisible();
    const there = (): Promise<boolean> => what.evaluate((element) => element === document.activeElement);
    for (let tabs = 0; tabs < MOST_TABS && !(await there()); tabs += 1) await key(by);
    await expect(what).toBeFocused();
  };
  return {
    key,
    type,
    to,
    /** Goes to a button or link and presses it. */
    press: async (what: Locator): Promise<void> => {
      await to(what);
      await key('Enter');
    },
    /** Goes to a list of choices and types how the wanted one begins. */
    choose: async (what: Locator, begins: string): Promise<void> => {
      await to(what);
      await type(begins);
    },
    /** Finds a place or an account by the list of commands. */
    find: async (text: string): Promise<void> => {
      await key('Control+k');
      await expect(page.getByPlaceholder('A place, an account code or name')).toBeFocused();
      await type(text);
      await expect(page.getByRole('option').first()).toBeVisible();
      await key('Enter');
    },
    bring: async (chooser: Locator, file: Parameters<Locator['setInputFiles']>[0]): Promise<void> => {
      count += 1;
      await chooser.setInputFiles(file);
    },
    count: () => count,
  };
};
