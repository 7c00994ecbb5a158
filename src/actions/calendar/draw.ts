import { WHOLE } from '@/core/base/change';
import { type PlainDate } from '@/core/base/dates';
import { dated, listed, say } from '@/core/base/sentence';
import { postedProblems } from '@/core/calendar/cutover';
import { keptCalendar } from '@/core/calendar/recorded';
import { type WantedYear, redraw } from '@/core/calendar/redraw';
import { isRegular } from '@/core/calendar/year';
import { type Result, fail, ok, plural } from '@/core/base/result';
import { bumpCalendar, deleteYears, insertYear, postedPeriods, renameYear } from '@/store/calendar';
import { updateCutover } from '@/store/books';
import { record } from '@/store/history';
import type { WritingContext } from '../kernel/action';
import { openingsStateOf } from './rules';
import { standing } from './standing';

/**
 * Puts a whole calendar in the place of the one that stands, in the transaction of an action, and the cutover date with it where it
 * moves: a calendar without a period that begins on the old date can be had only together with a new one.
 */
export const draw = async (
  context: WritingContext,
  years: readonly WantedYear[],
  cutover: PlainDate = context.books.cutover,
): Promise<Result<{ readonly years: number }>> => {
  const { tx, books, actor, now } = context;
  const old = await standing(context);
  const held = postedProblems(books.cutover, cutover, await openingsStateOf(context));
  if (held.length > 0) return fail(...held);
  const drawn = redraw(old, years, { cutover, from: books.cutover, posted: await postedPeriods(tx, books.id) });
  if (!drawn.ok) return drawn;
  const { remove, rename, insert } = drawn.value;
  await deleteYears(tx, books.id, remove);
  for (const { id, year, regular } of rename) await renameYear(tx, books.id, id, year, regular);
  for (const year of insert) await insertYear(tx, books.id, year);
  const moves = !cutover.equals(books.cutover);
  if (moves) context.changes.add([await updateCutover(tx, books, { ...books, cutover })]);
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
    listed(
      [
        ...(moves ? [say`Cutover date ${dated(books.cutover)} → ${dated(cutover)}`] : []),
        ...(made.length > 0
          ? [say`Drawn: ${made.slice(0, 5).join(', ')}${made.length > 5 ? ` and ${made.length - 5} more` : ''}`]
          : []),
        ...(gone.length > 0 ? [say`Deleted: ${gone.join(', ')}`] : []),
        ...(made.length + gone.length === 0 ? [say`Names, codes or adjustment periods changed`] : []),
      ],
      '. ',
    ),
    actor.person,
    now,
  );
  return ok({ years: years.length });
};
