'use client';

import { Go } from '../parts/go';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { createUndecided, decideRows } from '@/actions/papers/decisions';
import { readRows, removePaper } from '@/actions/papers/commands';
import { takeOver, undoTakeOver } from '@/actions/papers/take-over';
import type { FrameView } from '@/actions/frame/views';
import type { PaperView } from '@/actions/papers/views';
import type { Account } from '@/core/chart/account';
import { difference } from '@/core/ledger/level';
import type { Decision } from '@/core/openings/takeover';
import type { Likeness } from '@/core/papers/alike';
import { type Problem, type Result, plural } from '@/core/base/result';
import { Frame } from '../frame/frame';
import { counted, figure, sided } from '../parts/figures';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { DecideRow } from './decide-row';
import { HowRead } from './how-read';
import { PaperRows } from './paper-rows';
import { Replaced } from './replaced';
import { size } from './size';
import { TakeComparatives } from './take-comparatives';
import { useRows } from './use-rows';
import { useRefresh } from '../parts/use-refresh';
import { When } from '../parts/when';

const KEYS = [
  ['↑ ↓', 'go from row to row'],
  ['1 to 5', 'take the candidate with that number'],
  ['n', 'create the account as proposed'],
  ['Enter', 'decide about the row, in the margin'],
] as const;

/** A paper: how it is read, what each row becomes, and what taking it over would do. */
export const PaperPage = ({
  frame,
  paper,
  accounts,
}: {
  readonly frame: FrameView;
  readonly paper: PaperView;
  readonly accounts: readonly Account[];
}) => {
  const router = useRouter();
  const refresh = useRefresh();
  const { plan } = paper;
  const rows = useRows(frame.id, paper);
  const { selected } = rows;
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);

  // One key for one take-over, however often it is sent until it is answered.
  const [key, setKey] = useState(() => crypto.randomUUID());

  const act = async <T,>(doing: Promise<Result<T>>): Promise<T | undefined> => {
    setBusy(true);
    const done = await send(doing);
    setBusy(false);
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return undefined;
    refresh();
    return done.value;
  };
  const take = async (): Promise<void> => {
    const taken = await act(takeOver({ books: frame.id, paper: paper.id, key }));
    if (taken === undefined) return;
    setKey(crypto.randomUUID());
    toast(
      `${plural(taken.figures, 'figure')} taken over${taken.created > 0 ? `, ${plural(taken.created, 'account')} created` : ''}. It can be undone on the paper’s page.`,
    );
    router.push(`/books/${String(frame.id)}/openings`);
  };
  const read = async (row: number, as: boolean | null, like?: Likeness): Promise<void> => {
    const of = { books: frame.id, paper: paper.id, row, like };
    const done = await act(readRows({ ...of, as }));
    if (done !== undefined && done.rows > 1)
      toast(`${plural(done.rows, 'row')} ${as === true ? 'read as accounts' : 'set aside'}.`, {
        action: { label: 'Undo', onClick: () => void act(readRows({ ...of, as: null })) },
      });
  };
  const decide = (at: number, decision: Decision): void => {
    void act(decideRows({ books: frame.id, paper: paper.id, rows: [at], decision })).then((done) => {
      if (done !== undefined) rows.goOn(at, done.next);
    });
  };
  return (
    <Frame
      frame={frame}
      stage="openings"
      title={paper.name}
      fixed
      keys={KEYS}
      about={
        <>
          {size(paper.bytes)}, brought by {paper.by}, <When at={paper.at} /> ·{' '}
          <a className="link" href={`/books/${String(frame.id)}/papers/${String(paper.id)}/file`}>
            as it was brought
          </a>{' '}
          ·{' '}
          <Go className="link" href={`/books/${String(frame.id)}/papers/${String(paper.id)}?as=document`}>
            where it is used
          </Go>{' '}
          · matching as{' '}
          {(['csv', 'xlsx', 'pdf'] as const).map((format, at) => (
            <span key={format}>
              {at > 0 && ', '}
              <a
                className="link"
                href={`/books/${String(frame.id)}/papers/${String(paper.id)}/matching?format=${format}`}
              >
                {format.toUpperCase()}
              </a>
            </span>
          ))}
        </>
      }
      actions={
        <>
          {!paper.taken && (
            <button
              type="button"
              className="btn btn-sm"
              disabled={busy}
              onClick={() =>
                void act(removePaper({ books: frame.id, paper: paper.id })).then((done) => {
                  if (done !== undefined) router.push(`/books/${String(frame.id)}/papers`);
                })
              }
            >
              Remove paper
            </button>
          )}
          {paper.taken && paper.draft && paper.batch !== null && (
            <button
              type="button"
              className="btn btn-sm"
              disabled={busy}
              onClick={() =>
                void act(undoTakeOver({ books: frame.id, paper: paper.id, batch: paper.batch ?? '' })).then((done) => {
                  if (done !== undefined)
                    toast(
                      [
                        `${plural(done.undone, 'figure')} put back`,
                        ...(done.kept > 0 ? [`${plural(done.kept, 'figure')} changed since and stayed`] : []),
                        ...(done.removed > 0 ? [`${plural(done.removed, 'account')} made by it taken back`] : []),
                        ...(done.inUse.length > 0 ? [`in use, so kept: ${done.inUse.slice(0, 5).join(', ')}`] : []),
                      ].join('; '),
                    );
                })
              }
            >
              Undo the take-over
            </button>
          )}
          {paper.draft && (
            <button
              type="button"
              className={`btn btn-sm ${paper.taken ? '' : 'btn-primary'}`}
              disabled={busy || !plan.ready}
              onClick={() => void take()}
            >
              {paper.taken ? 'Take over again' : 'Take over'}
            </button>
          )}
        </>
      }
      margin={
        selected === undefined ? (
          <p className="note">Choose a row to see what becomes of it.</p>
        ) : (
          <DecideRow
            key={`${String(selected.row.row)} ${decisionKey(selected.decided?.decision)}`}
            frame={frame}
            paper={paper.id}
            view={selected}
            accounts={accounts}
            onDecided={(next) => {
              rows.goOn(selected.row.row, next);
              refresh();
            }}
            onRead={(as, like) => void read(selected.row.row, as, like)}
          />
        )
      }
    >
      <div className="flex flex-col gap-2 px-4 pb-2">
        {paper.taken && (
          <p className="border-l-4 border-stone bg-paper-2 px-3 py-1.5 text-sm">
            This paper was taken over.{' '}
            <Go className="link" href={`/books/${String(frame.id)}/openings`}>
              See the opening balances
            </Go>
          </p>
        )}
        {paper.stated !== null && paper.stated !== frame.openingDate && (
          <p className="border-l-4 border-ochre bg-paper-2 px-3 py-1.5 text-sm">
            The paper says {day(paper.stated, frame.dates)}, and these books open at the close of{' '}
            {day(frame.openingDate, frame.dates)}. Is it the right paper? If the cutover date is another one, change it
            on the{' '}
            <Go className="link" href={`/books/${String(frame.id)}/calendar`}>
              Calendar
            </Go>
            .
          </p>
        )}
        <Problems problems={problems} />
        <HowRead frame={frame} paper={paper} onChanged={refresh} />
        <TakeComparatives key={JSON.stringify(paper.comparatives)} books={frame.id} paper={paper} />
        <dl
          className="flex flex-wrap items-baseline gap-x-6 gap-y-1 border-y border-rule py-1.5 text-sm"
          aria-label="What taking over would do"
        >
          <Fact label="accounts read" value={counted(plan.accounts, frame)} />
          <Totals frame={frame} plan={plan} />
          {plan.create > 0 && <Fact label="to create" value={counted(plan.create, frame)} />}
          {plan.leftOut > 0 && <Fact label="left out" value={counted(plan.leftOut, frame)} />}
          {plan.merged > 0 && <Fact label="added to another row’s account" value={counted(plan.merged, frame)} />}
          {plan.replaced > 0 && <Fact label="figures replaced" value={counted(plan.replaced, frame)} mark />}
          {plan.setAside > 0 && <Fact label="set aside" value={counted(plan.setAside, frame)} />}
          {plan.unreadable > 0 && <Fact label="unreadable" value={counted(plan.unreadable, frame)} mark />}
        </dl>
        {plan.replaced > 0 && <Replaced frame={frame} plan={plan} accounts={accounts} />}
        {plan.undecided > 0 && (
          <p className="flex flex-wrap items-center gap-2 text-sm">
            <span>
              <strong className="font-medium text-ochre">
                {counted(plan.undecided, frame)} {plan.undecided === 1 ? 'row' : 'rows'} to decide:
              </strong>{' '}
              choose an account, create one, or leave the row out, in the margin.
            </span>
            <button
              type="button"
              className="btn btn-xs"
              disabled={busy}
              onClick={() => void act(createUndecided({ books: frame.id, paper: paper.id }))}
            >
              Create {counted(plan.undecided, frame)} {plan.undecided === 1 ? 'account' : 'accounts'} as proposed
            </button>
          </p>
        )}
      </div>
      <PaperRows
        frame={frame}
        rows={rows}
        waiting={plan.undecided}
        accounts={accounts}
        lastRow={plan.last}
        onDecide={decide}
      />
    </Frame>
  );
};

/**
 * What the rows that were read come to, decided about or not, beside the paper's own totals; and what would be taken over, where that
 * is something else.
 */
const Totals = ({ frame, plan }: { readonly frame: FrameView; readonly plan: PaperView['plan'] }) => {
  const { read, totals, stated } = plan;
  const nothing = read.debits === 0n && read.credits === 0n;
  const taken = difference(totals);
  const partly = totals.debits !== read.debits || totals.credits !== read.credits;
  return nothing ? (
    <Fact label="amounts" value="none read" mark />
  ) : (
    <>
      <Fact label="debits" value={figure(read.debits, frame)} />
      <Fact label="credits" value={figure(read.credits, frame)} />
      {stated?.debits === read.debits && stated.credits === read.credits && (
        <Fact label="as the paper’s" value="totals" />
      )}
      <Fact label="net" value={read.net === 0n ? 'nil' : sided(read.net, frame)} mark={read.net !== 0n} />
      {partly && (
        <Fact
          label="of it decided, net"
          value={totals.debits === 0n && totals.credits === 0n ? 'nothing' : taken === 0n ? 'nil' : sided(taken, frame)}
          mark={taken !== 0n}
        />
      )}
    </>
  );
};

/** Tells one decision from another, so that the margin begins anew with each. */
const decisionKey = (decision: Decision | undefined): string =>
  decision === undefined
    ? ''
    : decision.kind === 'split'
      ? decision.parts.map(({ account, amount }) => `${String(account)}:${String(amount)}`).join()
      : JSON.stringify(decision);

const Fact = ({
  label,
  value,
  mark = false,
}: {
  readonly label: string;
  readonly value: string;
  readonly mark?: boolean;
}) => (
  <div className="flex items-baseline gap-1.5">
    <dt className="text-ink-2">{label}</dt>
    <dd className={`font-semibold ${mark ? 'text-ochre' : ''}`}>{value}</dd>
  </div>
);
