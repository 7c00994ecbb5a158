'use client';

import { useState } from 'react';
import { switchOff } from '@/actions/currencies/commands';
import type { UsedRate } from '@/actions/currencies/views';
import { convert } from '@/core/money/convert';
import { minorDigits } from '@/core/money/currency';
import { readEntry } from '@/core/money/entry';
import { formatMinor } from '@/core/money/format';
import { decimalOf, shownRatio, writeRate } from '@/core/money/rate';
import { ONE, inverse } from '@/core/money/ratio';
import { type Problem, plural } from '@/core/base/result';
import type { FrameProps } from '../frame/frame';
import { Go } from '../parts/go';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import type { CurrenciesView } from './view';
import { useRefresh } from '../parts/use-refresh';

/** Each foreign currency with the rate that counts at the opening date: how much, of which day, from where. */
export const UsedTable = ({
  view,
  nameOf,
}: {
  readonly view: CurrenciesView;
  readonly nameOf: ReadonlyMap<string, string>;
}) => {
  const { frame, currencies, used, chosen } = view;
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [amount, setAmount] = useState('100');
  if (currencies.length === 0) return null;
  return (
    <>
      <div className="overflow-x-auto">
        <table className="ledger">
          <caption className="pb-1 text-left text-sm">
            Rates at close of {day(frame.openingDate, frame.dates)}, the opening date
          </caption>
          <thead>
            <tr>
              <th scope="col">Currency</th>
              <th scope="col" className="figure">
                1 {frame.currency} =
              </th>
              <th scope="col" className="figure">
                in {frame.currency}
              </th>
              <th scope="col" className="figure">
                <input
                  aria-label="An amount to convert"
                  value={amount}
                  inputMode="decimal"
                  onChange={(event) => setAmount(event.target.value)}
                  className="input input-xs h-6 w-20 text-right"
                />{' '}
                is
              </th>
              <th scope="col">Rate of</th>
              <th scope="col">From</th>
              <th scope="col">Accounts</th>
              <th scope="col">
                <span className="sr-only">Switch off</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {currencies.map(({ currency, accounts }) => {
              const rate = used.find((one) => one.currency === currency);
              return (
                <tr key={currency} className={currency === chosen ? 'bg-madder-wash' : ''}>
                  <td>
                    <Go
                      href={`/books/${String(frame.id)}/currencies?currency=${currency}`}
                      className="font-medium hover:underline"
                      scroll={false}
                    >
                      {currency}
                    </Go>{' '}
                    <span className="note">{nameOf.get(currency)}</span>
                  </td>
                  <UsedCells rate={rate} frame={frame} worth={worthOf(rate, amount, view)} />
                  <td className="max-w-40 truncate" title={accounts.join(', ')}>
                    {accounts.length === 0 ? <span className="note">none</span> : plural(accounts.length, 'account')}
                  </td>
                  <td>
                    <button
                      type="button"
                      className="btn btn-ghost btn-xs"
                      aria-label={`switch off ${currency}`}
                      onClick={() =>
                        void send(switchOff({ books: frame.id, currency })).then((done) => {
                          setProblems(done.ok ? [] : done.problems);
                          if (done.ok) refresh();
                        })
                      }
                    >
                      switch off
                    </button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <Problems problems={problems} />
    </>
  );
};

/** An amount of the currency in base currency, rounded as the books round; what is no amount is a dash. */
const worthOf = (rate: UsedRate | undefined, typed: string, { frame, rounding }: CurrenciesView): string => {
  if (rate === undefined || rate.ratio === null) return '';
  const fromDigits = minorDigits(rate.currency);
  const read = readEntry(typed, 'debit', { code: rate.currency, digits: fromDigits }, frame.style);
  if (!read.ok || read.value.kind === 'blank') return '–';
  const worth = convert(read.value.amount, { ratio: rate.ratio, fromDigits, toDigits: frame.digits, rounding });
  return `${formatMinor(worth, frame.digits, frame.style)} ${frame.currency}`;
};

const UsedCells = ({
  rate,
  frame,
  worth,
}: {
  readonly rate: UsedRate | undefined;
  readonly frame: FrameProps['frame'];
  readonly worth: string;
}) => {
  if (rate === undefined || rate.ratio === null)
    return (
      <>
        <td className="figure text-ochre" colSpan={3}>
          no rate
        </td>
        <td colSpan={2} className="text-ochre">
          {rate === undefined || rate.stale === null
            ? 'none on or before that day'
            : `the nearest is ${String(rate.stale.age)} days old, of ${day(rate.stale.rate.date, frame.dates)}`}
        </td>
      </>
    );
  const [first] = rate.legs;
  const through = rate.legs.length === 2;
  const typedAs = (unit: string): boolean => !through && first?.rate.unit === unit;
  const value = (unit: string): string =>
    typedAs(unit) && first !== undefined
      ? writeRate(decimalOf(first.rate.rate), frame.style)
      : writeRate(shownRatio(unit === frame.currency ? inverse(rate.ratio ?? ONE) : (rate.ratio ?? ONE)), frame.style);
  return (
    <>
      <td className={`figure ${typedAs(frame.currency) ? 'font-medium' : 'text-ink-2'}`}>{value(frame.currency)}</td>
      <td className={`figure ${typedAs(rate.currency) ? 'font-medium' : 'text-ink-2'}`}>{value(rate.currency)}</td>
      <td className="figure">{worth}</td>
      <td className="whitespace-nowrap">
        {rate.legs
          .map(
            (leg) => `${day(leg.rate.date, frame.dates)}${leg.age === 0 ? '' : `, ${plural(leg.age, 'day')} before`}`,
          )
          .join(' and ')}
      </td>
      <td>
        {through
          ? `through ${rate.legs.map((leg) => `${leg.rate.unit}/${leg.rate.quote}`).join(' and ')}`
          : first?.rate.source}
      </td>
    </>
  );
};
