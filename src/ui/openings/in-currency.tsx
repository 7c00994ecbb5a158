'use client';

import { type Currency, asCurrency } from '@/core/money/currency';
import { useState } from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import type { OpeningRate, OpeningRowView } from '@/actions/openings/views';
import { type AccountId, accountId, called } from '@/core/chart/account';
import { normalSide } from '@/core/ledger/classes';
import { readEntry } from '@/core/money/entry';
import { NIL, add, sideOf, subtract, sum } from '@/core/money/minor';
import { type Part, compared, impliedRate } from '@/core/openings/foreign';
import { translatedParts, withParts } from '@/core/openings/in-currency';
import type { SheetMoney } from '@/core/openings/sheet';
import type { Problem } from '@/core/base/result';
import { MarginPart } from '../frame/frame';
import { figure as write, sided } from '../parts/figures';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import type { Figure, Figures } from './figures';

interface Props {
  readonly frame: FrameView;
  readonly row: OpeningRowView;
  readonly figures: Figures;
  /** The figure as it stands. */
  readonly figure: Figure;
  readonly money: SheetMoney;
  readonly rates: readonly OpeningRate[];
  readonly exchange: readonly { readonly id: AccountId; readonly code: string; readonly name: string }[];
}

interface Line {
  readonly currency: Currency;
  readonly amount: string;
  readonly base: string;
}

/** How much of a figure is in foreign currencies: the amount, the rate of the opening date, the base amount, and how they agree. */
export const InCurrency = ({ frame, row, figures, figure, money, rates, exchange }: Props) => {
  const { amount, parts } = figure;
  const only = row.currency ?? undefined;
  const inCurrency = (currency: Currency) => ({
    ...frame,
    currency,
    digits: rates.find((rate) => rate.currency === currency)?.digits ?? 2,
  });
  const lineOf = (part: Part): Line => ({
    currency: part.currency,
    amount: sided(part.amount, inCurrency(part.currency)),
    base: sided(part.base, frame),
  });
  const fresh = (): Line => ({
    currency: only ?? rates[0]?.currency ?? frame.currency,
    amount: '',
    base: only !== undefined && amount !== null ? sided(amount, frame) : '',
  });
  const [lines, setLines] = useState<readonly Line[]>(() =>
    parts.length > 0 ? parts.map(lineOf) : only === undefined ? [] : [fresh()],
  );
  const [settleOn, setSettleOn] = useState<AccountId | null>(exchange[0]?.id ?? null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const set_ = (at: number, change: Partial<Line>): void =>
    setLines((was) => was.map((line, index) => (index === at ? { ...line, ...change } : line)));

  const side = (amount === null ? undefined : sideOf(amount)) ?? normalSide(row);
  const read = lines.map((line) => {
    const foreign = inCurrency(line.currency);
    const own = readEntry(line.amount, side, { code: line.currency, digits: foreign.digits }, frame.style);
    const base = readEntry(line.base, side, money.base, frame.style);
    const value = own.ok && own.value.kind === 'amount' ? own.value.amount : undefined;
    const worth = base.ok && base.value.kind === 'amount' ? base.value.amount : null;
    const rate = money.rateOf(line.currency);
    return {
      currency: line.currency,
      of: rate?.of,
      value,
      worth,
      says: (own.ok ? undefined : own.problems[0]?.message) ?? (base.ok ? undefined : base.problems[0]?.message),
      against:
        rate === undefined || value === undefined
          ? undefined
          : compared({ amount: value, base: worth ?? NIL }, rate.how),
      implied:
        value === undefined || worth === null
          ? undefined
          : impliedRate({ amount: value, base: worth }, { fromDigits: foreign.digits, toDigits: frame.digits }),
    };
  });
  // A line whose amount is emptied goes.
  const wanted = read.flatMap(({ currency, value, worth }) =>
    value === undefined ? [] : [{ currency, amount: value, base: worth }],
  );
  const readable = read.every(({ says }) => says === undefined) && (wanted.length > 0 || parts.length > 0);
  const off = read.some(({ worth, against }) => worth !== null && against !== undefined && against.difference !== 0n);
  const given = translatedParts(wanted, false, money.rateOf);
  const becomes = given.ok ? withParts({ amount, parts }, given.value.parts, row.currency) : figure;
  const rest = subtract(becomes.amount ?? NIL, sum(becomes.parts.map(({ base }) => base)));

  const save = (how: 'given' | 'rate' | 'settle'): void => {
    const made = translatedParts(wanted, how !== 'given', money.rateOf);
    setProblems(made.ok ? [] : made.problems);
    if (!made.ok) return;
    const { left, why } = made.value;
    const to = withParts({ amount, parts }, made.value.parts, row.currency);
    figures.put([
      { account: row.id, ...to, ...(why === undefined ? {} : { why: why.slice(0, 300) }) },
      ...(how !== 'settle' || settleOn === null || left === 0n
        ? []
        : [
            {
              account: settleOn,
              amount: add(figures.get(settleOn).amount ?? NIL, left),
              why: `difference to the rate on ${called(row)}`.slice(0, 300),
            },
          ]),
    ]);
    toast(`${called(row)} is ${sided(to.amount ?? NIL, frame)}`);
  };

  return (
    <MarginPart title="In currency">
      <Problems problems={problems} />
      <form
        className="flex flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          save('given');
        }}
      >
        {lines.map((line, at) => {
          const { currency, of, against, implied, worth, says } = read[at] ?? {};
          return (
            <div key={at} className="border-b border-hairline pb-1.5">
              <div className="grid grid-cols-[4.2rem_minmax(0,1fr)] items-center gap-1">
                {only === undefined ? (
                  <select
                    aria-label="Currency"
                    value={line.currency}
                    onChange={(event) => set_(at, { currency: asCurrency(event.target.value) ?? line.currency })}
                    className="select select-xs"
                  >
                    {rates.map(({ currency }) => (
                      <option key={currency}>{currency}</option>
                    ))}
                  </select>
                ) : (
                  <span>{line.currency}</span>
                )}
                <input
                  aria-label={`Amount in ${line.currency}`}
                  value={line.amount}
                  onChange={(event) => set_(at, { amount: event.target.value })}
                  autoComplete="off"
                  className="input input-xs w-full text-right"
                />
                <span>{frame.currency}</span>
                <input
                  aria-label={`Worth of the ${line.currency} in ${frame.currency}`}
                  value={line.base}
                  onChange={(event) => set_(at, { base: event.target.value })}
                  autoComplete="off"
                  placeholder={against === undefined ? '' : `${write(against.translated, frame)} by the rate`}
                  className="input input-xs w-full text-right"
                />
              </div>
              <p className="mt-1 text-xs text-ink-2">
                {says ??
                  (against === undefined
                    ? of === undefined
                      ? `No ${line.currency} rate near the opening date.`
                      : ''
                    : `At the rate of ${of === undefined ? 'the opening date' : day(of, frame.dates)}: ${sided(against.translated, frame)}.`)}
                {implied !== undefined && ` Implied: 1 ${currency ?? ''} = ${implied} ${frame.currency}.`}
                {worth != null && against !== undefined && against.difference !== 0n && (
                  <span className="font-medium text-ochre"> Differs by {sided(against.difference, frame)}.</span>
                )}
              </p>
            </div>
          );
        })}
        {only === undefined && (
          <p className="text-xs text-ink-2">
            {sided(rest, frame)} of the figure is in {frame.currency}.
          </p>
        )}
        <p className="flex flex-wrap gap-1.5">
          {only === undefined && (
            <button type="button" className="btn btn-xs" onClick={() => setLines((was) => [...was, fresh()])}>
              Add a currency
            </button>
          )}
          <button className="btn btn-xs" disabled={!readable}>
            Save as given
          </button>
          <button
            type="button"
            className="btn btn-xs"
            disabled={!readable || lines.length === 0}
            onClick={() => save('rate')}
          >
            Use the rate
          </button>
        </p>
        {off && exchange.length > 0 && (
          <p className="flex flex-wrap items-center gap-1.5 text-sm">
            Use the rate, and put the difference on
            <select
              aria-label="Account for the difference"
              value={settleOn ?? ''}
              onChange={(event) => setSettleOn(accountId(Number(event.target.value)))}
              className="select select-xs max-w-full"
            >
              {exchange.map((one) => (
                <option key={one.id} value={one.id}>
                  {called(one)}
                </option>
              ))}
            </select>
            <button type="button" className="btn btn-xs" disabled={!readable} onClick={() => save('settle')}>
              Put it there
            </button>
          </p>
        )}
      </form>
    </MarginPart>
  );
};
