import { z } from 'zod';
import { plainDate } from '@/core/base/dates';
import type { Naming } from '@/core/calendar/naming';
import { type Pattern, WEEK_GROUPS } from '@/core/calendar/pattern';
import { PERIOD_STATES } from '@/core/calendar/states';
import { MOST_PERIODS, PERIOD_CHARACTERS, type YearPlan } from '@/core/calendar/year';
import { id, isoDay } from '../kernel/inputs';

/** A date on its way in. */
export const isoDate = isoDay().transform(plainDate);
export const maybeDate = z.union([z.literal('').transform(() => undefined), isoDate]);

const text = (what: string, most: number) =>
  z
    .string()
    .max(most, `${what} has at most ${most} characters.`)
    .regex(/^\P{Cc}*$/u, `${what} contains a control character.`);

const pattern = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('months'),
    size: z.union([z.literal(1), z.literal(3), z.literal(6)]),
    endDay: z
      .int('The last day of a month is a whole number.')
      .min(1, 'A month has no day before its first.')
      .max(31, 'No month has more than 31 days.'),
  }),
  z.object({
    kind: z.literal('weeks'),
    groups: z.enum(WEEK_GROUPS),
    weekday: z.int().min(1).max(7),
    rule: z.enum(['last', 'nearest']),
    month: z.int().min(1).max(12),
    extraIn: z.int().min(1).max(13),
  }),
  z.object({ kind: z.literal('list'), ends: z.array(isoDay()).min(1).max(MOST_PERIODS).readonly() }),
]) satisfies z.ZodType<Pattern, Pattern>;

const naming = z.object({
  yearBy: z.enum(['start', 'end', 'both']),
  yearPrefix: text('The prefix', 10),
  yearSeparator: z.enum(['/', '-', ' ']),
  yearDigits: z.union([z.literal(2), z.literal(4)]),
  codePrefix: text('The prefix', 6),
  codeWidth: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  codeYear: z.boolean(),
  periodBy: z.enum(['month', 'number']),
  periodPrefix: text('The prefix', 20),
  monthNames: z.enum(['short', 'long', 'number']),
  monthYear: z.boolean(),
}) satisfies z.ZodType<Naming>;

export const yearPlan = z.object({
  pattern,
  naming,
  adjustments: z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)]),
}) satisfies z.ZodType<YearPlan, YearPlan>;

const periodSchema = z.object({
  kind: z.enum(['regular', 'adjustment']),
  code: text('A code', PERIOD_CHARACTERS.code).trim().min(1, 'A period needs a code.'),
  name: text('A name', PERIOD_CHARACTERS.name).trim().min(1, 'A period needs a name.'),
  start: isoDate,
  end: isoDate,
  /** Given when a calendar is brought from a file; otherwise states follow from what stands. */
  state: z.enum(PERIOD_STATES).optional(),
});

export const yearSchema = z.object({
  /** The year it replaces; null for a new one. */
  id: id.nullable(),
  name: text('A year’s name', 40).trim().min(1, 'A year needs a name.'),
  plan: yearPlan,
  periods: z
    .array(periodSchema)
    .min(1, 'A year needs a period.')
    .max(MOST_PERIODS + 3),
});
