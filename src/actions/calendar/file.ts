import { z } from 'zod';
import { calendarRows, readCalendar } from '@/core/calendar/file';
import { PLAIN_NAMING } from '@/core/calendar/naming';
import { type Period, type YearPlan, isRegular } from '@/core/calendar/year';
import { toCsv } from '@/core/files/write';
import { type Result, fail, ok, problem } from '@/core/base/result';
import { yearsOf } from '@/store/calendar';
import { booksView } from '../kernel/action';
import { yearPlan, type yearSchema } from './schemas';
import { reading } from '../kernel/context';
import { fileName } from '../kernel/inputs';

export const exportCalendar = (id: number) =>
  booksView('books.see', id, async ({ tx, books }) => ({
    name: `${books.name} calendar.csv`,
    content: toCsv(calendarRows((await yearsOf(tx, [books.id])).get(books.id) ?? [])),
  }));

const planFromText = (text: string): YearPlan | undefined => {
  if (text === '') return undefined;
  try {
    const parsed = yearPlan.safeParse(JSON.parse(text));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
};

const listed = (periods: readonly Period[]): YearPlan => {
  const adjustments = periods.filter((one) => !isRegular(one)).length;
  return {
    pattern: { kind: 'list', ends: periods.filter(isRegular).map((period) => period.end.toString()) },
    naming: PLAIN_NAMING,
    adjustments: adjustments === 1 || adjustments === 2 || adjustments === 3 ? adjustments : 0,
  };
};

/** Years of a calendar file as `drawCalendar` takes them. Nothing is stored: the sheet shows them first. */
export type BroughtYear = z.input<typeof yearSchema> & { readonly id: number | null };

/** Reads a calendar file for these books; a year that begins on the same day as one that stands takes its place. */
export const readCalendarFile = async (
  id: number,
  name: string,
  content: Uint8Array,
): Promise<Result<readonly BroughtYear[]>> => {
  const named = fileName.safeParse(name);
  if (!named.success) return fail(problem('file.name', 'The file has no name.'));
  const standing = await booksView(
    'books.see',
    id,
    async ({ tx, books }) => (await yearsOf(tx, [books.id])).get(books.id) ?? [],
  );
  if (standing === undefined)
    return fail(problem('books.unknown', 'These books do not exist, or not in your practice.'));
  const file = await reading().read('table', { bytes: content, name: named.data });
  if (!file.ok) return file;
  const read = readCalendar(file.value, planFromText, listed);
  if (!read.ok) return read;
  return ok(
    read.value.map((year) => ({
      id: standing.find((one) => one.start.equals(year.start))?.id ?? null,
      name: year.name,
      plan: year.plan,
      periods: year.periods.map((period) => ({
        ...period,
        start: period.start.toString(),
        end: period.end.toString(),
      })),
    })),
  );
};
