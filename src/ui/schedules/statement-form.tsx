'use client';

import { type IsoDate } from '@/core/base/iso-date';
import { useState } from 'react';
import { saveClosing } from '@/actions/schedules/ties';
import type { FrameView } from '@/actions/frame/views';
import type { Account } from '@/core/chart/account';
import { type Problem, isAt } from '@/core/base/result';
import { normalSide } from '@/core/ledger/classes';
import { readEntry } from '@/core/money/entry';
import type { Minor } from '@/core/money/minor';
import { type Counted, countedSum } from '@/core/schedules/cash-count';
import type { Closing } from '@/core/schedules/tie-out';
import { DateInput } from '../parts/date-input';
import { Field } from '../parts/field';
import { moneyOf, sided } from '../parts/figures';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { CashCount } from './cash-count';
import { useRefresh } from '../parts/use-refresh';

/** The closing balance of a statement, typed from the paper. */
export const StatementForm = ({
  frame,
  set,
  account,
  closing,
  open,
}: {
  readonly frame: FrameView;
  readonly set: number;
  readonly account: Account;
  readonly closing: Closing | null;
  readonly open: boolean;
}) => {
  const refresh = useRefresh();
  const currency = account.currency ?? frame.currency;
  const money = moneyOf(currency, frame);
  // Both as they were typed last: the one is not to wait for the answer about the other.
  const [own, setOwn] = useState<{
    readonly date: IsoDate;
    readonly amount: Minor | null;
    readonly counted?: Counted | null | undefined;
  }>({
    date: closing?.date ?? frame.openingDate,
    amount: closing?.amount ?? null,
    counted: closing?.counted,
  });
  const [seen, setSeen] = useState(closing);
  if (seen !== closing) {
    setSeen(closing);
    if (closing !== null) setOwn(closing);
  }
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const shown = own.amount === null ? '' : own.amount === 0n ? '0' : sided(own.amount, money);
  const put = async (next: typeof own): Promise<void> => {
    setOwn(next);
    setProblems([]);
    const { date, amount, counted = null } = next;
    if (amount === null && closing === null) return;
    const kept = amount === null ? null : { date, amount, counted };
    const done = await send(saveClosing({ books: frame.id, set, account: account.id, closing: kept }));
    setProblems(done.ok ? [] : done.problems);
    if (done.ok) refresh();
  };
  const typed = (text: string): void => {
    if (text.trim() === shown) return;
    if (text.trim() === '') {
      void put({ date: own.date, amount: null });
      return;
    }
    const read = readEntry(text, normalSide(account), { code: currency, digits: money.digits }, frame.style, 'amount');
    if (!read.ok) setProblems(read.problems);
    // What is typed is no count any more.
    else if (read.value.kind === 'amount') void put({ date: own.date, amount: read.value.amount });
  };
  const at = (field: string): string | undefined => problems.find((one) => isAt(one, field))?.message;
  return (
    <div className="flex flex-wrap items-start gap-x-4 gap-y-1 px-4 py-2">
      <div className="w-44">
        <Field label={account.role === 'cash' ? 'Counted at the close of' : 'Statement closes on'} problem={at('date')}>
          {(ids) => (
            <DateInput
              {...ids}
              value={own.date}
              dates={frame.dates}
              disabled={!open}
              onDate={(date) => {
                if (date !== '') void put({ ...own, date });
              }}
            />
          )}
        </Field>
      </div>
      <div className="w-52">
        <Field
          label={`with a balance of, in ${currency}`}
          hint={normalSide(account) === 'debit' ? 'overdrawn: “120 cr”' : 'what is owed; in your favour: “120 dr”'}
          problem={at('amount')}
        >
          {(ids) => (
            <input
              {...ids}
              key={shown}
              defaultValue={shown}
              disabled={!open}
              autoComplete="off"
              className="input input-sm w-full text-right"
              onBlur={(event) => typed(event.target.value)}
              onKeyDown={(event) => {
                if (event.key === 'Escape') event.currentTarget.value = shown;
                if (event.key === 'Enter') typed(event.currentTarget.value);
              }}
            />
          )}
        </Field>
      </div>
      {account.role === 'cash' && (
        <CashCount
          money={money}
          counted={own.counted ?? null}
          open={open}
          onCounted={(counted) => void put({ date: own.date, amount: countedSum(counted), counted })}
        />
      )}
      <Problems problems={problems.filter((one) => !isAt(one, 'date') && !isAt(one, 'amount'))} />
    </div>
  );
};
