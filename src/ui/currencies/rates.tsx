'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { saveRate } from '@/actions/currencies/commands';
import type { RateView } from '@/actions/currencies/views';
import { plainDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import { type Currency, asCurrency, minorDigits } from '@/core/money/currency';
import { type Rate, called, decimalOf, ratioOf, readRate, shownRatio, writeRate } from '@/core/money/rate';
import { underRate } from '@/core/openings/foreign';
import { type Problem, plural } from '@/core/base/result';
import { called as accountCalled } from '@/core/chart/account';
import { tiesUnderRate } from '@/core/schedules/tie-out';
import { DateInput } from '../parts/date-input';
import { sided } from '../parts/figures';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { BringRates } from './bring-rates';
import { RateSheet } from './rate-sheet';
import type { Point } from './rate-chart';
import type { CurrenciesView } from './view';
import { useRefresh } from '../parts/use-refresh';

// The drawing library is large and only of use here, after the page stands.
const RateChart = dynamic(() => import('./rate-chart').then((one) => one.RateChart), {
  ssr: false,
  loading: () => <div className="h-44" />,
});

const exact = (rate: RateView): Rate => ({ ...rate, rate: decimalOf(rate.rate) });

/** The rates of one currency against the base: drawn, listed, typed, brought. */
export const Rates = ({ view, chosen }: { readonly view: CurrenciesView; readonly chosen: Currency }) => {
  const { frame, used, drawn, pairs } = view;
  const base = frame.currency;
  const own = used.find((one) => one.currency === chosen);
  // Drawn in the direction in which most people read it: more than one of something for one.
  const [unit, quote] = useMemo((): readonly [Currency, Currency] => {
    const [newest] = drawn;
    return newest === undefined ? [base, chosen] : [newest.unit, newest.quote];
  }, [drawn, base, chosen]);
  const point = (rate: RateView): readonly Point[] => {
    const ratio = ratioOf(exact(rate), unit, quote);
    if (ratio === undefined) return [];
    const shown = shownRatio(ratio);
    const text = writeRate(shown, '1234.56');
    return [
      {
        date: rate.date,
        value: Number(text),
        says: `${day(rate.date, frame.dates)}: 1 ${unit} = ${writeRate(shown, frame.style)} ${quote}`,
      },
    ];
  };
  const points = [...drawn].reverse().flatMap(point);
  const marks = (own?.legs ?? []).flatMap((leg) => point(leg.rate));
  const pair = pairs.find((one) => [one.low, one.high].includes(chosen) && [one.low, one.high].includes(base));
  return (
    <section aria-labelledby="rates" className="mt-4 border-t border-ink pt-2">
      <h2 id="rates" className="title text-lg leading-tight">
        {chosen} against {base}
      </h2>
      <p className="note">
        {pair === undefined
          ? 'No rates yet. Type one below, bring a file, or fetch them.'
          : `${plural(pair.count, 'rate')}, ${day(pair.first, frame.dates)} to ${day(pair.last, frame.dates)}; drawn as 1 ${unit} in ${quote}`}
      </p>
      {points.length > 1 && (
        <RateChart
          points={points}
          used={marks}
          label={`Rates of 1 ${unit} in ${quote}, ${plural(points.length, 'point')}; the marked one is used at the opening date`}
        />
      )}
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_16.5rem]">
        <div>
          <TypeRate view={view} chosen={chosen} />
          <RateSheet view={view} chosen={chosen} />
        </div>
        <div>
          <h3 className="title mb-1 text-base">From a file or the rate service</h3>
          <BringRates
            dates={frame.dates}
            books={frame.id}
            currency={chosen}
            from={plainDate(frame.openingDate).subtract({ months: 3 }).toString()}
            to={plainDate(frame.openingDate).add({ months: 1 }).toString()}
          />
        </div>
      </div>
    </section>
  );
};

/** A rate as it stands in the fields; the day may be empty. */
interface TypedRate {
  readonly date: IsoDate | '';
  readonly unit: Currency;
  readonly quote: Currency;
  readonly typed: string;
}

const TypeRate = ({ view, chosen }: { readonly view: CurrenciesView; readonly chosen: Currency }) => {
  const { frame, currencies } = view;
  const refresh = useRefresh();
  const all = [frame.currency, ...currencies.map((one) => one.currency)];
  const [rate, setRate] = useState<TypedRate>({
    date: frame.openingDate,
    unit: chosen,
    quote: frame.currency,
    typed: '',
  });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const doubt = problems.find((one) => one.code === 'rate.upside-down' || one.code === 'rate.far-off');
  const put = (next: Partial<typeof rate>): void => {
    setProblems([]);
    setRate((was) => ({ ...was, ...next }));
  };
  const save = async (given: typeof rate, evenIfDoubtful: boolean): Promise<void> => {
    const done = await send(saveRate({ books: frame.id, ...given, evenIfDoubtful }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${called({ ...given, rate: decimalOf(done.value.rate) }, frame.style)} kept`);
    setRate({ ...given, typed: '' });
    refresh();
  };
  const currencySelect = (key: 'unit' | 'quote', label: string) => (
    <select
      aria-label={label}
      value={rate[key]}
      onChange={(event) => put({ [key]: asCurrency(event.target.value) ?? rate[key] })}
      className="select select-sm w-20"
    >
      {all.map((code) => (
        <option key={code} value={code}>
          {code}
        </option>
      ))}
    </select>
  );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save(rate, false);
      }}
    >
      <div className="flex flex-wrap items-center gap-1.5">
        <span className="text-sm">On</span>
        <span className="w-32">
          <DateInput
            aria-label="Day of the rate"
            value={rate.date}
            dates={frame.dates}
            onDate={(date) => put({ date })}
          />
        </span>
        <span className="text-sm">1</span>
        {currencySelect('unit', 'Currency of which one')}
        <span className="text-sm">=</span>
        <input
          aria-label="Rate"
          value={rate.typed}
          inputMode="decimal"
          autoComplete="off"
          placeholder={writeRate({ coefficient: 11789n, scale: 4 }, frame.style)}
          onChange={(event) => put({ typed: event.target.value })}
          className="input input-sm w-28 text-right"
        />
        {currencySelect('quote', 'Currency in which')}
        <button className="btn btn-sm">Save the rate</button>
      </div>
      <Effect view={view} chosen={chosen} rate={rate} />
      <Problems problems={problems} />
      {doubt !== undefined && (
        <div className="mt-1.5 flex flex-wrap gap-2">
          {doubt.code === 'rate.upside-down' && (
            <button
              type="button"
              className="btn btn-xs"
              onClick={() => void save({ ...rate, unit: rate.quote, quote: rate.unit }, false)}
            >
              Swap: 1 {rate.quote} = {rate.typed} {rate.unit}
            </button>
          )}
          <button type="button" className="btn btn-xs" onClick={() => void save(rate, true)}>
            Save it all the same
          </button>
        </div>
      )}
    </form>
  );
};

/** What a typed rate would make of the opening figures in its currency, told before it is kept. */
const Effect = ({
  view: { frame, used, parts, lists, rates, rounding },
  chosen,
  rate,
}: {
  readonly view: CurrenciesView;
  readonly chosen: Currency;
  readonly rate: TypedRate;
}) => {
  const read = readRate(rate.typed, frame.style);
  const counts = used.find(({ currency }) => currency === chosen)?.legs[0]?.rate.date ?? '';
  const ratio = read.ok ? ratioOf({ ...rate, rate: read.value }, chosen, frame.currency) : undefined;
  // Only a rate that would become the one of the opening date changes anything.
  if (
    ratio === undefined ||
    (parts.length === 0 && lists.length === 0) ||
    rate.date > frame.openingDate ||
    rate.date < counts
  )
    return null;
  const how = { ratio, fromDigits: minorDigits(chosen), toDigits: frame.digits, rounding };
  const { stand, worth, difference } = underRate(parts, how);
  const moved = tiesUnderRate(
    lists.map(({ of, input }) => ({ of, input: { ...input, rate: (code) => rates[code] } })),
    chosen,
    how,
  );
  return (
    <>
      {parts.length > 0 && (
        <p className="note mt-1.5" role="status">
          {difference === 0n
            ? `${plural(parts.length, 'opening figure')} in ${chosen} would stay at ${sided(stand, frame)}.`
            : `With this rate ${plural(parts.length, 'opening figure')} in ${chosen} would be worth ${sided(worth, frame)}; ${parts.length === 1 ? 'it stands' : 'they stand'} at ${sided(stand, frame)}, ${sided(difference, frame)} apart. Figures stay as they are until somebody uses the rate on the sheet.`}
        </p>
      )}
      {moved.map(({ of, before, after }) => (
        <p key={accountCalled(of)} className="note mt-1" role="status">
          {accountCalled(of)}: what is behind it would come to{' '}
          {after.support === null ? 'an amount not known' : sided(after.support, frame)}
          {before.support === null ? '' : ` instead of ${sided(before.support, frame)}`}
          {after.state === 'tied'
            ? ', and tie.'
            : after.difference === null
              ? '.'
              : `, ${sided(after.difference, frame)} apart.`}
        </p>
      ))}
    </>
  );
};
