import { minorDigits } from '@/core/money/currency';
import { formatMinor } from '@/core/money/format';
import { type Minor, abs } from '@/core/money/minor';
import { comparativeColumns } from '@/core/openings/comparatives';
import { sameParts, writtenParts } from '@/core/openings/in-currency';
import { yearsOf } from '@/store/calendar';
import { keptPapers } from '@/store/chart';
import { comparativeChanges } from '@/store/comparatives';
import { happenings } from '@/store/history';
import { changesOf } from '@/store/openings';
import { booksView } from './action';

/** The margin for one account: what happened to it, to its figure and its comparatives, and the papers kept with it. */
export const accountStory = (id: number, account: number) =>
  booksView('books.see', id, async ({ tx, books }) => {
    const years = (await yearsOf(tx, [books.id])).get(books.id) ?? [];
    const columns = new Map(comparativeColumns(years, books.cutover).map(({ column, label }) => [column, label]));
    const say = (amount: Minor | null): string =>
      amount === null
        ? 'empty'
        : `${formatMinor(abs(amount), minorDigits(books.currency), books.style)} ${amount < 0n ? 'Cr' : 'Dr'}`;
    return {
      changes: (await changesOf(tx, books.id, account)).map(({ fromParts, toParts, ...change }) => ({
        ...change,
        /** What of the figure is in foreign currencies after it, where that changed. */
        inCurrency: sameParts(fromParts, toParts)
          ? null
          : writtenParts({ amount: change.to, parts: toParts }, books.style) || 'no longer in a foreign currency',
      })),
      events: [
        ...(await happenings(tx, books.id, 'account', account)),
        ...(await comparativeChanges(tx, books.id, account)).map(({ column, from, to, paper, by, at }) => ({
          what: `${columns.get(column) ?? `column ${String(column)}`}: ${say(from)} → ${say(to)}${paper === null ? '' : `, from ${paper}`}`,
          by,
          at,
        })),
      ],
      papers: await keptPapers(tx, books.id, account),
    };
  });
