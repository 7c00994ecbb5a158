import { WHOLE } from '@/core/base/change';
import { keptCalendar } from '@/core/calendar/recorded';
import { type WantedYear, redraw } from '@/core/calendar/redraw';
import { isRegular } from '@/core/calendar/year';
import { type Result, ok, plural } from '@/core/base/result';
import {
  type StoredYear,
  bumpCalendar,
  deleteYears,
  insertYear,
  postedPeriods,
  renameYear,
  yearsOf,
} from '@/store/calendar';
import { record } from '@/store/history';
import type { BooksContext, WritingContext } from '../kernel/action';

export const standing = async ({ tx, books }: BooksContext): Promise<readonly StoredYear[]> =>
  (await yearsOf(tx, [books.id])).get(books.id) ?? [];

/** Puts a whole calendar in the place of the one that stands, in the transaction of an action. */
export const draw = async (
  context: WritingContext,
  years: readonly WantedYear[],
): Promise<Result<{ readonly years: number }>> => {
  const { tx, books, actor, now } = context;
  const old = await standing(context);
  const drawn = redraw(old, years, { cutover: books.cutover, posted: await postedPeriods(tx, books.id) });
  if (!drawn.ok) return drawn;
  const { remove, rename, insert } = drawn.value;
  await deleteYears(tx, books.id, remove);
  for (const { id, year, regular } of rename) await renameYear(tx, books.id, id, year, regular);
  for (const year of insert) await insertYear(tx, books.id, year);
  await bumpCalendar(tx, books.id);
  context.changes.add([
    {
      subject: 'calendar',
      id: books.id,
      field: WHOLE,
      from: keptCalendar(old),
      to: keptCalendar(await standing(context)),
    },
  ]);
  const gone = old.filter((year) => !years.some((one) => one.id === year.id)).map((year) => year.name);
  const made = insert.map((year) => `${year.name} in ${plural(year.periods.filter(isRegular).length, 'period')}`);
  await record(
    tx,
    books.id,
    'calendar',
    [books.id],
    [
      ...(made.length > 0
        ? [`Drawn: ${made.slice(0, 5).join(', ')}${made.length > 5 ? ` and ${made.length - 5} more` : ''}`]
        : []),
      ...(gone.length > 0 ? [`Deleted: ${gone.join(', ')}`] : []),
      ...(made.length + gone.length === 0 ? ['Names, codes or adjustment periods changed'] : []),
    ].join('. '),
    actor.person,
    now,
  );
  return ok({ years: years.length });
};
