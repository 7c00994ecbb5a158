'use client';

import { type Currency } from '@/core/money/currency';
import { useState } from 'react';
import { toast } from 'sonner';
import { moveCutover } from '@/actions/calendar/commands';
import { oldRecordProblems, openingDate } from '@/core/calendar/cutover';
import type { DateStyle } from '@/core/base/date-style';
import { asIsoDate, plainDate, readDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import type { Draft } from '@/core/calendar/draft';
import { type Problem, isAt, toldIn } from '@/core/base/result';
import { DateInput } from '../parts/date-input';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { writingWith } from '../parts/names';
import { send } from '../parts/send';
import { CutoverEffects, CutoverOptions } from './cutover-choice';
import { useRefresh } from '../parts/use-refresh';

interface Props {
  readonly books: number;
  readonly years: Draft;
  readonly cutover: IsoDate;
  readonly completeUntil: IsoDate | '';
  readonly trialBalance: IsoDate | '';
  readonly currencies: readonly Currency[];
  readonly figures: boolean;
  readonly results: boolean;
  readonly schedules: boolean;
  readonly things: readonly string[];
  readonly fixed: boolean;
  readonly dates: DateStyle;
}

/** The cutover date and what the old system has to offer; what a move changes is said before it is taken. */
export const CutoverForm = ({
  books,
  years,
  cutover,
  completeUntil,
  trialBalance,
  currencies,
  figures,
  results,
  schedules,
  things,
  fixed,
  dates,
}: Props) => {
  const refresh = useRefresh();
  const [wish, setWish] = useState({ cutover, completeUntil, trialBalance });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const to = plainDate(wish.cutover);
  const from = plainDate(cutover);
  const asked = (text: string) => {
    const read = readDate(text);
    return read.ok ? read.value : undefined;
  };
  const writing = writingWith(dates);
  const odd = oldRecordProblems(to, {
    completeUntil: asked(wish.completeUntil),
    trialBalance: asked(wish.trialBalance),
  }).map((one) => toldIn(one, writing));
  const at = (field: string): string | undefined => [...problems, ...odd].find((one) => isAt(one, field))?.message;
  const changed =
    wish.cutover !== cutover || wish.completeUntil !== completeUntil || wish.trialBalance !== trialBalance;
  const put = (next: Partial<typeof wish>): void => {
    setProblems([]);
    setWish((was) => ({ ...was, ...next }));
  };
  const submit = async (): Promise<void> => {
    const done = await send(moveCutover({ books, ...wish, was: cutover }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(wish.cutover === cutover ? 'Dates kept' : `The books take over on ${writing.date(wish.cutover)}`);
    refresh();
  };
  return (
    <form
      noValidate
      className="flex flex-col gap-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <Field
        label="These books take over on"
        hint={
          fixed
            ? 'stays while the opening balances are posted; open a correction on Sign-off first'
            : `opening balances stand at close of ${writing.date(openingDate(to).toString())}`
        }
        problem={at('cutover')}
      >
        {(ids) => (
          <select
            {...ids}
            value={wish.cutover}
            disabled={fixed}
            onChange={(event) => put({ cutover: asIsoDate(event.target.value) ?? wish.cutover })}
            className="select select-sm w-full"
          >
            <CutoverOptions years={years} chosen={wish.cutover} dates={dates} />
          </select>
        )}
      </Field>
      <CutoverEffects
        from={from}
        to={to}
        facts={{ years, currencies, figures, results, schedules, things }}
        dates={dates}
      />
      <div className="grid grid-cols-[repeat(auto-fit,minmax(7.6rem,1fr))] gap-x-3">
        <Field label="Old records complete until" hint="the last whole day there" problem={at('completeUntil')}>
          {(ids) => (
            <DateInput
              {...ids}
              value={wish.completeUntil}
              dates={dates}
              onDate={(completeUntil) => put({ completeUntil })}
            />
          )}
        </Field>
        <Field
          label="Trial balance is of"
          hint={`the opening date is ${writing.date(openingDate(to).toString())}`}
          problem={at('trialBalance')}
        >
          {(ids) => (
            <DateInput
              {...ids}
              value={wish.trialBalance}
              dates={dates}
              onDate={(trialBalance) => put({ trialBalance })}
            />
          )}
        </Field>
      </div>
      <Problems problems={problems.filter((one) => one.path === undefined)} />
      {changed && (
        <div className="flex gap-2">
          <button className="btn btn-primary btn-sm">
            {wish.cutover === cutover ? 'Save the dates' : 'Move the cutover date'}
          </button>
          <button type="button" className="btn btn-sm" onClick={() => put({ cutover, completeUntil, trialBalance })}>
            Put back
          </button>
        </div>
      )}
    </form>
  );
};
