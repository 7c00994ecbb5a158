'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { saveForeign } from '@/actions/foreign';
import type { FrameView } from '@/actions/frame-view';
import type { OpeningRate, OpeningRowView } from '@/actions/views';
import { type AccountId, accountId, called } from '@/core/chart/account';
import { readEntry } from '@/core/money/entry';
import { type Minor, NIL, subtract, sum } from '@/core/money/minor';
import type { Rounding } from '@/core/money/rounding';
import { type Part, compared, impliedRate } from '@/core/openings/foreign';
import type { Problem } from '@/core/result';
import { MarginPart } from '../frame/frame';
import { figure, sided } from '../parts/figures';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';

interface Props {
  readonly frame: FrameView;
  readonly set: number;
  readonly row: OpeningRowView;
  /** The figure as it stands, and the revision it was seen at. */
  readonly amount: Minor | null;
  readonly revision: number;
  readonly parts: readonly Part[];
  readonly rates: readonly OpeningRate[];
  readonly rounding: Rounding;
  readonly exchange: readonly { readonly id: AccountId; readonly code: string; readonly name: string }[];
}

interface Line {
  readonly currency: string;
  readonly amount: string;
  readonly base: string;
}

/** How much of a figure is in foreign currencies: the amount, the rate of the opening date, the base amount, and how they agree. */
export const InCurrency = ({ frame, set, row, amount, revision, parts, rates, rounding, exchange }: Props) => {
  const router = useRouter();
  const only = row.currency !== null && row.currency !== frame.currency ? row.currency : undefined;
  const write = (part: Part): Line => ({
    currency: part.currency,
    amount: sided(part.amount, inCurrency(part.currency)),
    base: sided(part.base, frame),
  });
  const inCurrency = (currency: string) => ({
    ...frame,
    currency,
    digits: rates.find((rate) => rate.currency === currency)?.digits ?? 2,
  });
  const fresh = (): Line => ({
    currency: only ?? rates[0]?.currency ?? '',
    amount: '',
    base: only !== undefined && amount !== null ? sided(amount, frame) : '',
  });
  const [lines, setLines] = useState<readonly Line[]>(() =>
    parts.length > 0 ? parts.map(write) : only === undefined ? [] : [fresh()],
  );
  const [settleOn, setSettleOn] = useState<AccountId | null>(exchange[0]?.id ?? null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const set_ = (at: number, change: Partial<Line>): void =>
    setLines((was) => was.map((line, index) => (index === at ? { ...line, ...change } : line)));

  const read = lines.map((line) => {
    const money = inCurrency(line.currency);
    const side = amount !== null && amount < 0n ? 'credit' : 'debit';
    const own = readEntry(line.amount, side, { code: line.currency, digits: money.digits }, frame.style);
    const base = readEntry(line.base, side, { code: frame.currency, digits: frame.digits }, frame.style);
    const value = own.ok && own.value.kind === 'amount' ? own.value.amount : undefined;
    const worth = base.ok && base.value.kind === 'amount' ? base.value.amount : null;
    const rate = rates.find(({ currency }) => currency === line.currency);
    const how =
      rate?.ratio == null
        ? undefined
        : { ratio: rate.ratio, fromDigits: money.digits, toDigits: frame.digits, rounding };
    return {
      money,
      rate,
      value,
      worth,
      says: (own.ok ? undefined : own.problems[0]?.message) ?? (base.ok ? undefined : base.problems[0]?.message),
      against:
        how === undefined || value === undefined ? undefined : compared({ amount: value, base: worth ?? NIL }, how),
      implied:
        value === undefined || worth === null
          ? undefined
          : impliedRate({ amount: value, base: worth }, { fromDigits: money.digits, toDigits: frame.digits }),
    };
  });
  const stood = sum(parts.map(({ base }) => base));
  const rest = only === undefined ? subtract(amount ?? NIL, stood) : NIL;
  const readable = read.every(({ value, says }) => value !== undefined && says === undefined);
  const off = read.some(({ worth, against }) => worth !== null && against !== undefined && against.difference !== 0n);

  const save = async (how: 'given' | 'rate' | 'settle'): Promise<void> => {
    const done = await send(
      saveForeign({
        books: frame.id,
        set,
        account: row.id,
        revision,
        rest,
        settleOn: how === 'settle' ? settleOn : null,
        parts: read.map(({ value, worth }, at) => ({
          currency: lines[at]?.currency ?? '',
          amount: value ?? NIL,
          base: how === 'rate' ? null : worth,
        })),
      }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${called(row)} is ${sided(done.value.base, frame)}`);
    router.refresh();
  };

  return (
    <MarginPart title="In currency">
      <Problems problems={problems} />
      <form
        className="flex flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void save('given');
        }}
      >
        {lines.map((line, at) => {
          const { money, rate, against, implied, worth, says } = read[at] ?? {};
          return (
            <div key={at} className="border-b border-hairline pb-1.5">
              <div className="grid grid-cols-[4.2rem_minmax(0,1fr)] items-center gap-1">
                {only === undefined ? (
                  <select
                    aria-label="Currency"
                    value={line.currency}
                    onChange={(event) => set_(at, { currency: event.target.value })}
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
                  placeholder={against === undefined ? '' : `${figure(against.translated, frame)} by the rate`}
                  className="input input-xs w-full text-right"
                />
              </div>
              <p className="mt-1 text-xs text-ink-2">
                {says ??
                  (against === undefined
                    ? rate?.ratio == null
                      ? `No ${line.currency} rate near the opening date.`
                      : ''
                    : `At the rate of ${rate?.of == null ? 'the opening date' : day(rate.of)}: ${sided(against.translated, frame)}.`)}
                {implied !== undefined && ` Implied: 1 ${money?.currency ?? ''} = ${implied} ${frame.currency}.`}
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
            onClick={() => void save('rate')}
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
            <button type="button" className="btn btn-xs" disabled={!readable} onClick={() => void save('settle')}>
              Put it there
            </button>
          </p>
        )}
      </form>
    </MarginPart>
  );
};
