'use client';

import { type Currency } from '@/core/money/currency';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { takeAnswers } from '@/actions/chart/begin';
import type { FrameView } from '@/actions/frame/views';
import { type Account, called } from '@/core/chart/account';
import {
  type Answers,
  MOST_TRADES,
  PREMISES,
  type Premises,
  QUESTIONS,
  TRADES,
  VOCABULARIES,
  type Vocabulary,
} from '@/core/chart/composition/answers';
import { type ComposedAccount, compose } from '@/core/chart/composition/compose';
import { type Leaving, leaving } from '@/core/chart/composition/leaving';
import { fromComposed } from '@/core/chart/copy';
import { type IncomingRules, type RowChoice, planIncoming } from '@/core/chart/incoming';
import { LEGAL_FORMS, type LegalForm } from '@/core/company/legal-form';
import { type Problem, plural } from '@/core/base/result';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ChartFrame } from './chart-frame';
import { sayPlan } from './incoming-preview';

const codesOf = (chart: readonly ComposedAccount[]): ReadonlyMap<string, ComposedAccount> =>
  new Map(chart.filter(({ heading }) => !heading).map((account) => [account.code, account]));

/** Answers on the left, on the right the chart they make, which says why each account is in it and what the last answer changed. */
export const BeginPage = ({
  frame,
  accounts,
  rules,
  answers: initial,
  answered,
  currenciesOn,
}: {
  readonly frame: FrameView;
  readonly accounts: readonly Account[];
  readonly rules: IncomingRules;
  readonly answers: Answers;
  readonly answered: boolean;
  readonly currenciesOn: readonly Currency[];
}) => {
  const router = useRouter();
  const [answers, setAnswers] = useState(initial);
  const [last, setLast] = useState<
    { readonly came: readonly ComposedAccount[]; readonly went: readonly ComposedAccount[] } | undefined
  >();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  /** Accounts that no answer calls for any more and that somebody keeps all the same. */
  const [kept, setKept] = useState<ReadonlySet<number>>(new Set());
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const chart = useMemo(() => compose(answers), [answers]);
  const choices = useMemo(
    () =>
      new Map<number, RowChoice>(
        chart.flatMap(({ code }, at): [number, RowChoice][] => (left.has(code) ? [[at + 1, { skip: true }]] : [])),
      ),
    [chart, left],
  );
  const plan = useMemo(
    () => planIncoming(accounts, fromComposed(chart), choices, rules),
    [accounts, chart, choices, rules],
  );
  const leaves = useMemo(
    () => leaving(accounts, answered ? compose(initial) : [], chart, rules.uses),
    [accounts, answered, initial, chart, rules],
  );
  const going = leaves.go.filter(({ id }) => !kept.has(id));
  const status = useMemo(() => new Map(plan.rows.map((row) => [row.row, row])), [plan]);
  const change = (next: Partial<Answers>): void => {
    const now = { ...answers, ...next };
    const [before, after] = [codesOf(chart), codesOf(compose(now))];
    setLast({
      came: [...after].flatMap(([code, account]) => (before.has(code) ? [] : [account])),
      went: [...before].flatMap(([code, account]) => (after.has(code) ? [] : [account])),
    });
    setAnswers(now);
  };
  const take = async (): Promise<void> => {
    const done = await send(
      takeAnswers({
        books: frame.id,
        answers: { ...answers, trades: [...answers.trades], currencies: [...answers.currencies] },
        choices: Object.fromEntries([...choices].map(([row]) => [String(row), { skip: true }])),
        going: going.map(({ id }) => id),
      }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(
      `${plural(done.value.counts.new, 'account')} added to the chart${going.length === 0 ? '' : `, ${String(going.length)} deleted`}`,
    );
    router.push(`/books/${String(frame.id)}/chart`);
  };
  const posting = chart.filter(({ heading }) => !heading).length;
  const recent = new Set(last?.came.map(({ code }) => code));
  return (
    <ChartFrame
      frame={frame}
      place="/begin"
      title="A chart from answers"
      about={`${plural(posting, 'account')} under ${plural(chart.length - posting, 'heading')}; ${sayPlan(plan)}${going.length === 0 ? '' : `, ${String(going.length)} to go`}`}
      actions={
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={plan.edits.length + going.length === 0 && answered}
          onClick={() => void take()}
        >
          {accounts.length === 0
            ? `Make these ${String(plan.counts.new)} rows`
            : plan.counts.new + going.length === 0
              ? 'Save the answers'
              : [
                  ...(plan.counts.new > 0 ? [`Add ${plural(plan.counts.new, 'row')}`] : []),
                  ...(going.length > 0 ? [`${plan.counts.new > 0 ? 'delete' : 'Delete'} ${String(going.length)}`] : []),
                ].join(', ')}
        </button>
      }
    >
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-6 px-4 py-3 md:grid-cols-[17rem_minmax(0,1fr)]">
        <form
          aria-label="Answers"
          className="flex flex-col gap-2.5 text-sm"
          onSubmit={(event) => event.preventDefault()}
        >
          <Problems problems={problems} />
          <Field label="Legal form">
            {(ids) => (
              <select
                {...ids}
                value={answers.legalForm}
                onChange={(event) => change({ legalForm: event.target.value as LegalForm })}
                className="select select-sm w-full"
              >
                {LEGAL_FORMS.map(({ id, label }) => (
                  <option key={id} value={id}>
                    {label}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label="Words of">
            {(ids) => (
              <select
                {...ids}
                value={answers.vocabulary}
                onChange={(event) => change({ vocabulary: event.target.value as Vocabulary })}
                className="select select-sm w-full"
              >
                {VOCABULARIES.map(({ id, label }) => (
                  <option key={id} value={id}>
                    {label}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <fieldset>
            <legend className="mb-1 font-medium">What it does, at most {MOST_TRADES}</legend>
            {TRADES.map(({ id, label }) => {
              const on = answers.trades.includes(id);
              return (
                <label key={id} className="flex min-h-6 items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    checked={on}
                    disabled={!on && answers.trades.length >= MOST_TRADES}
                    onChange={() =>
                      change({ trades: on ? answers.trades.filter((one) => one !== id) : [...answers.trades, id] })
                    }
                  />
                  {label}
                </label>
              );
            })}
          </fieldset>
          <fieldset>
            <legend className="mb-1 font-medium">How it works</legend>
            {QUESTIONS.map(({ id, label }) => (
              <label key={id} className="flex min-h-6 items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs"
                  checked={answers[id]}
                  onChange={() => change({ [id]: !answers[id] })}
                />
                {label}
              </label>
            ))}
          </fieldset>
          {answers.foreign && currenciesOn.length > 0 && (
            <fieldset>
              <legend className="mb-1 font-medium">A bank account in</legend>
              {currenciesOn.map((currency) => {
                const on = answers.currencies.includes(currency);
                return (
                  <label key={currency} className="flex min-h-6 items-center gap-2">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-xs"
                      checked={on}
                      onChange={() =>
                        change({
                          currencies: on
                            ? answers.currencies.filter((one) => one !== currency)
                            : [...answers.currencies, currency],
                        })
                      }
                    />
                    {currency}
                  </label>
                );
              })}
            </fieldset>
          )}
          <Field label="Premises">
            {(ids) => (
              <select
                {...ids}
                value={answers.premises}
                onChange={(event) => change({ premises: event.target.value as Premises })}
                className="select select-sm w-full"
              >
                {PREMISES.map(({ id, label }) => (
                  <option key={id} value={id}>
                    {label}
                  </option>
                ))}
              </select>
            )}
          </Field>
        </form>
        <section aria-label="The chart" className="min-w-0">
          <p role="status" className="mb-2 min-h-6 border-l-4 border-rule bg-paper-2 px-3 py-1 text-sm">
            {last === undefined
              ? 'Change an answer to see which accounts come and go.'
              : last.came.length + last.went.length === 0
                ? 'The last answer changed no account.'
                : [
                    ...(last.came.length > 0 ? [`Come: ${last.came.map(called).join(', ')}`] : []),
                    ...(last.went.length > 0 ? [`Go: ${last.went.map(called).join(', ')}`] : []),
                  ].join('. ') + '.'}
          </p>
          {leaves.go.length + leaves.stay.length > 0 && <Leaves leaves={leaves} kept={kept} onKept={setKept} />}
          <table className="ledger tight w-full">
            <thead>
              <tr>
                <th scope="col" className="w-16 text-left">
                  Code
                </th>
                <th scope="col" className="text-left">
                  Account
                </th>
                <th scope="col" className="text-left max-lg:hidden">
                  Why it is there
                </th>
                <th scope="col" className="text-left">
                  Here
                </th>
              </tr>
            </thead>
            <tbody>
              {chart.map((account, at) => {
                const row = status.get(at + 1);
                return (
                  <tr
                    key={account.code}
                    className={account.heading ? 'section' : recent.has(account.code) ? 'bg-madder-wash' : ''}
                  >
                    <td className="text-ink-2">{account.code}</td>
                    <td className={account.parent === null ? '' : account.heading ? 'pl-4!' : ''}>
                      {account.heading ? (
                        account.name
                      ) : (
                        <label className="flex min-h-6 items-center gap-2">
                          <input
                            type="checkbox"
                            className="checkbox checkbox-xs"
                            checked={!left.has(account.code)}
                            aria-label={`Take ${called(account)}`}
                            onChange={() =>
                              setLeft((was) => {
                                const next = new Set(was);
                                if (!next.delete(account.code)) next.add(account.code);
                                return next;
                              })
                            }
                          />
                          {account.name}
                          {account.currency !== null && (
                            <span className="border border-rule px-1 text-xs">{account.currency}</span>
                          )}
                          {account.contra && <span className="note">contra</span>}
                        </label>
                      )}
                    </td>
                    <td className="text-ink-2 max-lg:hidden">{account.heading ? '' : account.origin}</td>
                    <td className={row?.status === 'problem' ? 'text-brick' : 'text-ink-2'}>
                      {row === undefined || account.heading
                        ? ''
                        : row.status === 'problem'
                          ? (row.problems[0]?.message ?? '')
                          : {
                              new: 'new',
                              same: 'is here',
                              kept: 'is here, otherwise',
                              changes: 'changes',
                              skipped: 'left out',
                            }[row.status]}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </section>
      </div>
    </ChartFrame>
  );
};

/** What earlier answers brought and these do not call for: what goes, unless it is kept, and what stays, with why. */
const Leaves = ({
  leaves: { go, stay },
  kept,
  onKept,
}: {
  readonly leaves: Leaving;
  readonly kept: ReadonlySet<number>;
  readonly onKept: (kept: ReadonlySet<number>) => void;
}) => (
  <section aria-label="What no answer calls for any more" className="mb-3 border-l-4 border-ochre px-3 py-1 text-sm">
    <h2 className="font-semibold">No answer calls for these any more</h2>
    <ul className="mt-1 grid gap-x-6 lg:grid-cols-2">
      {go.map((account) => (
        <li key={account.id}>
          <label className="flex min-h-6 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={!kept.has(account.id)}
              aria-label={`Delete ${called(account)}`}
              onChange={() => {
                const next = new Set(kept);
                if (!next.delete(account.id)) next.add(account.id);
                onKept(next);
              }}
            />
            <span className={kept.has(account.id) ? '' : 'line-through'}>{called(account)}</span>
            {account.heading && <span className="note">heading</span>}
          </label>
        </li>
      ))}
      {stay.map(({ account, why }) => (
        <li key={account.id}>
          {called(account)} <span className="note">stays: {why}</span>
        </li>
      ))}
    </ul>
  </section>
);
