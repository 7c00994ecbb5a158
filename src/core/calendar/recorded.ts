import { type PlainDate, dayOf, plainDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import type { Kept } from '../base/kept';
import { type Sentence, dated, say } from '../base/sentence';
import type { OldRecords } from './cutover';
import type { StatedPeriod, StatedYear } from './file';
import type { WantedYear } from './redraw';
import { PERIOD_STATES, type PeriodState } from './states';
import type { PeriodKind, YearPlan } from './year';

/** A calendar as the record keeps it: without the numbers of its rows, which go when it is drawn anew. */
type KeptYear = Pick<StatedYear, 'name' | 'plan'> & {
  readonly periods: readonly {
    readonly kind: PeriodKind;
    readonly code: string;
    readonly name: string;
    readonly start: IsoDate;
    readonly end: IsoDate;
    readonly state: PeriodState;
  }[];
};

export const keptCalendar = (years: readonly StatedYear[]): Kept =>
  years.map(({ name, plan, periods }): KeptYear => ({
    name,
    plan,
    periods: periods.map(({ kind, code, name: called, start, end, state }) => ({
      kind,
      code,
      name: called,
      start: start.toString(),
      end: end.toString(),
      state,
    })),
  })) as unknown as Kept;

/** The calendar that the record kept, to be drawn in the place of the one that stands: a year takes that of its first day. */
export const calendarFrom = (
  kept: Kept,
  standing: readonly (Pick<StatedYear, 'start'> & { readonly id: number })[],
): readonly WantedYear[] =>
  (kept as unknown as readonly KeptYear[]).map(({ name, plan, periods }) => ({
    id: standing.find(({ start }) => start.toString() === periods[0]?.start)?.id ?? null,
    name,
    plan: plan satisfies YearPlan,
    periods: periods.map((period) => ({ ...period, start: plainDate(period.start), end: plainDate(period.end) })),
  }));

/** What a period is called in the record: its first day; an adjustment period has its code besides. */
export const periodField = ({ kind, code, start }: Pick<StatedPeriod, 'kind' | 'code' | 'start'>): string =>
  kind === 'regular' ? start.toString() : `${start.toString()} ${code}`;

/** The cutover date and the dates of the old system. */
export type CutoverDates = OldRecords & { readonly cutover: PlainDate };

export const keptCutover = ({ cutover, completeUntil, trialBalance }: CutoverDates): Kept => ({
  cutover: cutover.toString(),
  completeUntil: completeUntil?.toString() ?? null,
  trialBalance: trialBalance?.toString() ?? null,
});

export const cutoverFrom = (kept: Kept): CutoverDates => {
  const { cutover, completeUntil, trialBalance } = kept as unknown as Record<
    'completeUntil' | 'trialBalance',
    IsoDate | null
  > & {
    readonly cutover: IsoDate;
  };
  const dated = (iso: IsoDate | null): PlainDate | undefined => (iso === null ? undefined : plainDate(iso));
  return { cutover: plainDate(cutover), completeUntil: dated(completeUntil), trialBalance: dated(trialBalance) };
};

/** A change of the cutover date or the old system's dates in one sentence. */
export const sayCutover = (from: Kept, to: Kept): Sentence => {
  const [was, is] = [cutoverFrom(from), cutoverFrom(to)];
  return was.cutover.equals(is.cutover)
    ? say`Dates of the old system changed`
    : say`Cutover date ${dated(was.cutover)} → ${dated(is.cutover)}`;
};

/** A change of a calendar in one sentence. */
export const sayCalendar = (to: Kept): string => {
  const years = to as unknown as readonly KeptYear[];
  const first = years.slice(0, 5).map(({ name, periods }) => `${name} in ${periods.length}`);
  return `Calendar now: ${first.join(', ')}${years.length > 5 ? ` and ${years.length - 5} more` : ''} periods`;
};

/** A change of the state of a period in one sentence. */
export const sayPeriod = (field: string, from: Kept, to: Kept): Sentence => {
  const [was, is] = [from, to].map((kept) => PERIOD_STATES.find((state) => state === kept) ?? 'none');
  return say`Period from ${dated(dayOf(field))}${field.slice(10)}: ${was ?? ''} → ${is ?? ''}`;
};
