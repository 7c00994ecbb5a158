import type { DateStyle } from '@/core/base/date-style';
import type { PlainDate } from '@/core/base/dates';
import { tell } from '@/core/base/sentence';
import { type CutoverFacts, cutoverEffects } from '@/core/calendar/cutover';
import { type FiscalYear, isRegular } from '@/core/calendar/year';
import { day, writingWith } from '../parts/names';

/** The days on which books can take over: the first days of the regular periods. A chosen day that is none is shown as such. */
export const CutoverOptions = ({
  years,
  chosen,
  dates,
}: {
  readonly years: readonly FiscalYear[];
  readonly chosen: string;
  readonly dates: DateStyle;
}) => {
  const starts = years.flatMap((year) =>
    year.periods
      .filter(isRegular)
      .map(({ start }) => ({ iso: start.toString(), begins: start.equals(year.start) ? year.name : undefined })),
  );
  return (
    <>
      {!starts.some(({ iso }) => iso === chosen) && (
        <option value={chosen} disabled>
          {chosen === '' ? 'choose a day' : `${day(chosen, dates)}, no period’s first day`}
        </option>
      )}
      {starts.map(({ iso, begins }) => (
        <option key={iso} value={iso}>
          {day(iso, dates)}
          {begins === undefined ? '' : `, start of ${begins}`}
        </option>
      ))}
    </>
  );
};

/** What moving the cutover date changes, before it is moved. */
export const CutoverEffects = ({
  from,
  to,
  facts,
  dates,
}: {
  readonly from: PlainDate;
  readonly to: PlainDate;
  readonly facts: CutoverFacts;
  readonly dates: DateStyle;
}) => {
  const effects = cutoverEffects(from, to, facts).map((one) => tell(one, writingWith(dates)));
  if (effects.length === 0) return null;
  return (
    <ul
      className="border-l-4 border-ochre bg-paper-2 px-3 py-1.5 text-sm"
      aria-label="What moving the cutover date changes"
    >
      {effects.map((effect) => (
        <li key={effect} className="py-0.5">
          {effect}
        </li>
      ))}
    </ul>
  );
};
