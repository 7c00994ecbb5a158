import { type DateStyle, writeStyled } from '../base/date-style';
import { type PlainDate, daysInclusive, readStyled } from '../base/dates';
import { type Result, fail, ok, problem } from '../base/result';
import type { Sentence } from '../base/sentence';
import { type Draft, listEnds, offerEnd, rename } from './draft';
import type { PeriodState } from './states';
import { PERIOD_CHARACTERS, type Period, isRegular } from './year';

/** The columns in which a sheet tells and takes the periods of a year. */
export const PERIOD_COLUMNS = ['code', 'name', 'start', 'end', 'days', 'weeks', 'state'] as const;
export type PeriodColumn = (typeof PERIOD_COLUMNS)[number];

export const periodText = (
  period: Period,
  column: PeriodColumn,
  state: PeriodState | undefined,
  dates: DateStyle,
): string => {
  const days = daysInclusive(period.start, period.end);
  switch (column) {
    case 'code':
    case 'name':
      return period[column];
    case 'start':
    case 'end':
      return writeStyled(period[column].toString(), dates);
    case 'days':
      return isRegular(period) ? String(days) : '';
    case 'weeks': {
      if (!isRegular(period)) return '';
      const [whole, more] = [Math.floor(days / 7), days % 7];
      return more === 0 ? String(whole) : `${String(whole)} + ${String(more)} d`;
    }
    case 'state':
      return state ?? '—';
  }
};

export interface PeriodEdit {
  /** Place of the period among all of its year, from 0. */
  readonly at: number;
  readonly column: string;
  readonly text: string;
}

/** What typing makes of a calendar: at once, or as an offer where a single moved day takes its neighbour along. */
export interface TypedPeriods {
  readonly years: Draft;
  readonly offer: { readonly says: Sentence; readonly years: Draft } | undefined;
}

/**
 * The calendar after cells of a year's periods were typed or pasted into: names and codes as they are, one last day as an offer, several
 * as a list. An adjustment period stands on the year's last day; a cell that is emptied stays as it was.
 */
export const typedPeriods = (
  years: Draft,
  at: number,
  edits: readonly PeriodEdit[],
  dates: DateStyle,
): Result<TypedPeriods> => {
  const periods = years[at]?.periods ?? [];
  const ends = new Map<number, PlainDate>();
  let drawn = years;
  for (const { at: place, column, text } of edits) {
    const period = periods[place];
    const typed = text.trim();
    if (period === undefined || typed === '') continue;
    if (column === 'code' || column === 'name') {
      const most = PERIOD_CHARACTERS[column];
      if (typed.length > most)
        return fail(
          problem(
            'period.long',
            `${column === 'code' ? 'A code' : 'The name of a period'} has at most ${most} characters.`,
            column,
          ),
        );
      drawn = rename(drawn, at, { place, [column]: typed });
    } else if (column === 'end') {
      const read = readStyled(typed, dates, column);
      if (!read.ok) return read;
      if (!isRegular(period)) {
        if (read.value.equals(period.end)) continue;
        return fail(
          problem(
            'period.adjustment',
            `${period.name} is an adjustment period and stands on the last day of its year. Move the year’s end instead.`,
            column,
          ),
        );
      }
      ends.set(periods.slice(0, place).filter(isRegular).length, read.value);
    }
  }
  const [only] = ends;
  if (only === undefined) return ok({ years: drawn, offer: undefined });
  if (ends.size === 1) {
    const offered = offerEnd(drawn, at, only[0], only[1]);
    return offered.ok ? ok({ years: drawn, offer: offered.value }) : offered;
  }
  const listed = listEnds(drawn, at, ends);
  return listed.ok ? ok({ years: listed.value, offer: undefined }) : listed;
};
