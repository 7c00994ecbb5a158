import { Fragment } from 'react';
import type { comparativesView } from '@/actions/openings/comparatives-view';
import { called } from '@/core/chart/account';
import { isResult, typeOf } from '@/core/ledger/classes';
import { type Minor, NIL, sum } from '@/core/money/minor';
import { LAST_YEAR, isAdjustment, isBudget, isCounted } from '@/core/openings/comparatives';
import { AccountHistory, useStory } from '../chart/account-history';
import { MarginPart } from '../frame/frame';
import { sided } from '../parts/figures';
import { Go } from '../parts/go';

type View = NonNullable<Awaited<ReturnType<typeof comparativesView>>>;

/** How the comparatives of an account lead to its figure, and what happened to them. */
export const ComparativeMargin = ({
  frame,
  columns,
  row,
  entered,
  version,
  papers,
}: Pick<View, 'frame' | 'columns' | 'papers'> & {
  readonly row: View['rows'][number] | undefined;
  readonly entered: ReadonlyMap<number, Minor> | undefined;
  readonly version: number;
}) => {
  if (row === undefined)
    return (
      <>
        <p className="note mb-4">
          Last year’s closing balances, and the movements of each elapsed period. Every column nets to zero; last year’s
          close and the periods together come to the opening figure.
          {columns.some(({ column }) => isAdjustment(column)) &&
            ' What an adjustment period made of last year’s close stands beside it, and is in it already; statements can leave it out.'}
        </p>
        {papers.length > 0 && (
          <MarginPart title="From a paper">
            <p className="note mb-1">A paper’s columns can be taken over as comparatives, on its own page:</p>
            <ul>
              {papers.map(({ id, name }) => (
                <li key={id}>
                  <Go className="link" href={`/books/${String(frame.id)}/papers/${String(id)}`}>
                    {name}
                  </Go>
                </li>
              ))}
            </ul>
          </MarginPart>
        )}
      </>
    );
  const result = isResult(typeOf(row.classification));
  const counted = columns.filter(({ column }) => isCounted(column) && (!result || column !== LAST_YEAR));
  const budget = columns.filter(({ column }) => isBudget(column)).map(({ column }) => entered?.get(column) ?? NIL);
  const leads = sum(counted.map(({ column }) => entered?.get(column) ?? NIL));
  return (
    <>
      <h2 className="title text-lg leading-tight">{called(row)}</h2>
      <dl className="mt-1 mb-3 grid grid-cols-[1fr_auto] gap-x-3 text-sm">
        {columns
          .filter((one) => counted.includes(one) || (isAdjustment(one.column) && !result))
          .map(({ column, label }) => {
            const amount = entered?.get(column);
            return amount === undefined ? null : (
              <Fragment key={column}>
                <dt className={isAdjustment(column) ? 'pl-3 text-ink-2' : ''}>{label}</dt>
                <dd className="text-right">{sided(amount, frame)}</dd>
              </Fragment>
            );
          })}
        <dt className="border-t border-hairline font-medium">come to</dt>
        <dd className="border-t border-hairline text-right font-medium">{sided(leads, frame)}</dd>
        <dt>opening figure</dt>
        <dd className="text-right">{sided(row.figure, frame)}</dd>
      </dl>
      {budget.some((amount) => amount !== NIL) && (
        <dl className="mb-3 grid grid-cols-[1fr_auto] gap-x-3 text-sm">
          <dt>budget of the year</dt>
          <dd className="text-right">{sided(sum(budget), frame)}</dd>
          <dt>last year</dt>
          <dd className="text-right">{sided(entered?.get(LAST_YEAR) ?? NIL, frame)}</dd>
        </dl>
      )}
      {result && <p className="note mt-1">Income and expense begin the year at nil, so last year is not counted.</p>}
      <MarginPart title="What happened">
        <History books={frame.id} account={row.id} version={version} />
      </MarginPart>
    </>
  );
};

const History = ({
  books,
  account,
  version,
}: {
  readonly books: number;
  readonly account: number;
  readonly version: number;
}) => <AccountHistory story={useStory(books, account, version)} />;
