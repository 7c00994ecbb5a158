'use client';

import { useState } from 'react';
import type { FrameView } from '@/actions/frame/views';
import { accountId } from '@/core/chart/account';
import { readEntry } from '@/core/money/entry';
import { type Minor, NIL, subtract, sum } from '@/core/money/minor';
import type { SplitPart } from '@/core/openings/takeover';
import { sided } from '../parts/figures';
import { type Choice, Picker } from '../parts/picker';

interface Props {
  readonly frame: FrameView;
  readonly amount: Minor;
  readonly choices: readonly Choice[];
  readonly parts: readonly SplitPart[];
  readonly problem: string | undefined;
  readonly onSplit: (parts: readonly SplitPart[]) => void;
}

interface Line {
  /** The key of its choice, or empty. */
  readonly account: string;
  readonly amount: string;
}

const EMPTY: Line = { account: '', amount: '' };

/** Divides the amount of a row among accounts; what is left is shown until it is nil. */
export const SplitRow = ({ frame, amount, choices, parts, problem, onSplit }: Props) => {
  const [lines, setLines] = useState<readonly Line[]>(() =>
    parts.length === 0
      ? [EMPTY, EMPTY]
      : parts.map((part) => ({
          account: String(part.account),
          amount: sided(part.amount, frame),
        })),
  );
  const side = amount < 0n ? 'credit' : 'debit';
  const read = lines.map((line) => {
    const entry = readEntry(line.amount, side, { code: frame.currency, digits: frame.digits }, frame.style);
    return {
      account: line.account === '' ? undefined : accountId(Number(line.account)),
      amount: entry.ok && entry.value.kind === 'amount' ? entry.value.amount : undefined,
      says: entry.ok ? undefined : entry.problems[0]?.message,
    };
  });
  const left = subtract(amount, sum(read.map((one) => one.amount ?? NIL)));
  const whole = read.flatMap((one): SplitPart[] =>
    one.account === undefined || one.amount === undefined ? [] : [{ account: one.account, amount: one.amount }],
  );
  const set = (at: number, change: Partial<Line>): void =>
    setLines((was) => was.map((line, index) => (index === at ? { ...line, ...change } : line)));
  return (
    <form
      className="flex flex-col gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        onSplit(whole);
      }}
    >
      {lines.map((line, at) => (
        <div key={at} className="grid grid-cols-[minmax(0,1fr)_6.5rem] gap-1">
          <Picker
            aria-label={`Account of part ${String(at + 1)}`}
            choices={choices}
            chosen={line.account}
            onChoose={(account) => set(at, { account })}
            className="input input-xs w-full"
          />
          <input
            aria-label={`Amount of part ${String(at + 1)}`}
            value={line.amount}
            onChange={(event) => set(at, { amount: event.target.value })}
            autoComplete="off"
            placeholder={side === 'credit' ? 'credit' : 'debit'}
            className="input input-xs w-full text-right"
          />
          {read[at]?.says !== undefined && <p className="col-span-2 text-xs text-brick">{read[at].says}</p>}
        </div>
      ))}
      <p className="text-xs text-ink-2" role="status">
        {left === 0n ? 'The parts come to the amount.' : `Still to divide: ${sided(left, frame)}`}
      </p>
      {problem !== undefined && (
        <p role="alert" className="text-xs text-brick">
          {problem}
        </p>
      )}
      <p className="flex gap-2">
        <button type="button" className="btn btn-xs" onClick={() => setLines((was) => [...was, EMPTY])}>
          Another part
        </button>
        <button className="btn btn-xs" disabled={left !== 0n || whole.length !== lines.length}>
          Divide the row
        </button>
      </p>
    </form>
  );
};
