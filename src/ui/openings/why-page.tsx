'use client';

import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { addAccount } from '@/actions/chart/commands';
import type { WhyAccount, whyView } from '@/actions/openings/why-view';
import { called } from '@/core/chart/account';
import { type Minor, NIL, abs, add, minor, sum } from '@/core/money/minor';
import { columnOff, difference, totalsOf } from '@/core/ledger/level';
import { labelOf } from '@/core/openings/search/kinds';
import type { Hypothesis, SearchInput } from '@/core/openings/search/types';
import { type Problem, plural } from '@/core/base/result';
import { Frame, MarginPart } from '../frame/frame';
import { useSetTotals } from '../frame/level-context';
import { Field } from '../parts/field';
import { figure, sided } from '../parts/figures';
import { Go } from '../parts/go';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useUndoKeys } from '../parts/undo-keys';
import { makeFigures } from './figures';
import { saveTo } from './save';
import { Explanation } from './explanation';
import { useSearch } from './use-search';
import { useRefresh } from '../parts/use-refresh';

type View = NonNullable<Awaited<ReturnType<typeof whyView>>>;

const KEYS = [
  ['1 to 9', 'try the explanation with that number'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo what was tried'],
] as const;

const BALANCING = ['b', 'let the account named in the margin take the difference, as balancing figure'] as const;

/** Below this share an explanation is shown only when asked for, unless it is among the first. */
const WORTH_SHOWING = 0.03;
const FIRST = 3;

/** What an explanation says in a figure's history. */
const because = (hypothesis: Hypothesis): string =>
  `out-of-balance search: ${hypothesis.causes.map(({ kind }) => labelOf(kind)).join(' and ')}`;

/** Why debits and credits differ: ranked explanations, each of which can be tried and undone. */
export const WhyPage = ({
  frame,
  set,
  papers,
  suspense,
  suspenseToMake,
  resorts,
  rounding,
  stated,
  accounts,
  input,
}: View) => {
  const refresh = useRefresh();
  const editable = set?.state === 'draft' && frame.may.includes('openings.change');
  const byId = useMemo(() => new Map(accounts.map((account) => [account.id, account])), [accounts]);
  const figures = useMemo(
    () =>
      makeFigures(
        accounts.map(({ id, revision }) => ({
          id,
          revision,
          amount: input.figures.find(({ account }) => account === id)?.amount ?? NIL,
          source: null,
        })),
        saveTo(frame.id, set?.id ?? 0),
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once per version of the opening set
    [frame.id, set?.id],
  );
  const standing = useSyncExternalStore(figures.watch, figures.standing, figures.standing);
  const [tried, setTried] = useState<readonly { readonly says: string }[]>([]);
  // The question is asked anew whenever figures were changed here.
  const asked = useMemo<SearchInput>(
    () => ({
      ...input,
      figures: input.figures.map((one) => ({ ...one, amount: figures.get(one.account).amount ?? NIL })),
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- edits counts the changes of the store
    [input, figures, standing.edits],
  );
  const net = sum(asked.figures.map(({ amount }) => amount));
  const { found, state } = useSearch(asked);
  const [all, setAll] = useState(false);
  const shown = all ? found : found.filter(({ weight }, at) => at < FIRST || weight > WORTH_SHOWING);

  const change = (
    changes: readonly { readonly account: WhyAccount['id']; readonly to: Minor }[],
    why: string,
    says: string,
  ): void => {
    figures.put(changes.map(({ account, to }) => ({ account, amount: to, why })));
    setTried((was) => [...was, { says }]);
  };
  const attempt = (hypothesis: Hypothesis): void => {
    const changes = hypothesis.causes.flatMap((cause) => cause.changes);
    if (editable && changes.length > 0) change(changes, because(hypothesis), because(hypothesis));
  };
  // What would have to be added lies on the other side of what is too much.
  const resort = resorts[net > 0n ? 'credit' : 'debit'];
  const takes = resort.balancing === null ? undefined : byId.get(resort.balancing);
  const balance = (): void => {
    if (editable && net !== 0n && takes !== undefined)
      change(
        [{ account: takes.id, to: add(figures.get(takes.id).amount ?? NIL, minor(-net)) }],
        'balancing figure, by choice',
        `${called(takes)} took the difference as balancing figure`,
      );
  };
  const undo = (): void => {
    if (figures.undo() !== undefined) setTried((was) => was.slice(0, -1));
  };
  useUndoKeys({
    undo,
    redo: () => {
      if (figures.redo() !== undefined) setTried((was) => [...was, { says: 'done again' }]);
    },
    typing: () => document.activeElement instanceof HTMLInputElement,
  });
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || document.activeElement instanceof HTMLInputElement) return;
      const hypothesis = /^[1-9]$/.test(event.key) ? shown[Number(event.key) - 1] : undefined;
      if (hypothesis !== undefined) attempt(hypothesis);
      else if (event.key === 'b') balance();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  });

  return (
    <Frame
      frame={frame}
      stage="openings"
      title="Why it is out"
      about={
        net === 0n
          ? 'debits and credits are equal'
          : `${figure(abs(net), frame)} more on the ${net > 0n ? 'debit' : 'credit'} side, over ${plural(asked.figures.filter(({ amount }) => amount !== 0n).length, 'figure')}`
      }
      keys={takes === undefined ? KEYS : [...KEYS, BALANCING]}
      actions={
        <Go href={`/books/${String(frame.id)}/openings`} className="btn btn-sm">
          Opening balances
        </Go>
      }
      margin={
        <>
          <MarginPart title="How the search ranks">
            <p>
              How usual the kind of error is, times how exactly it explains the difference, divided by how many other
              figures could explain it by chance. A fit that only one row gives weighs more than one that forty give.
            </p>
            {stated !== null && (
              <p className="mt-2">
                The paper itself totals {figure(stated.debits, frame)} in debits and {figure(stated.credits, frame)} in
                credits.{' '}
                {input.totals !== null
                  ? `Explanations that reach both totals come first. ${saysShort(stated, asked, (amount) => figure(amount, frame))}`
                  : stated.debits - stated.credits === net
                    ? 'They differ by the same amount, so the mistake is in the paper already: the old system’s figures, or the hand that typed them.'
                    : 'They differ in the paper already.'}
              </p>
            )}
          </MarginPart>
          {tried.length > 0 && (
            <MarginPart title="Tried here">
              <ol className="list-decimal space-y-1 pl-5">
                {tried.map(({ says }, at) => (
                  <li key={at}>{says}</li>
                ))}
              </ol>
            </MarginPart>
          )}
          {editable && net !== 0n && takes !== undefined && (
            <MarginPart title="A balancing figure">
              <p>
                {called(takes)} stands at nil. At a first opening, it is what assets and liabilities leave; it can take{' '}
                {sided(minor(-net), frame)}, and its history will say that it did so by choice.
              </p>
              <button type="button" className="btn btn-xs mt-1.5" onClick={balance}>
                Let it take the difference <kbd className="kbd kbd-xs">b</kbd>
              </button>
            </MarginPart>
          )}
          {editable && net !== 0n && (
            <Suspense
              frame={frame}
              account={suspense === null ? undefined : byId.get(suspense)}
              make={suspenseToMake}
              onPut={(reason, account) =>
                change(
                  [{ account: account.id, to: add(figures.get(account.id).amount ?? NIL, minor(-net)) }],
                  `difference put on suspense: ${reason}`,
                  'the difference put on the suspense account',
                )
              }
            />
          )}
        </>
      }
    >
      <LevelFollows figures={figures} />
      <div className="max-w-4xl px-4 pb-6">
        <p role="status" className="note mb-2 flex flex-wrap items-baseline gap-x-3">
          <span>
            {net === 0n
              ? 'Nothing to explain.'
              : {
                  looking: 'Looking…',
                  pairs: `${plural(found.length, 'explanation')}; looking for pairs…`,
                  done: plural(found.length, 'explanation'),
                  failed: 'The search stopped. Load the page again to start it anew.',
                }[state]}
          </span>
          {standing.wrong > 0 ? (
            <span className="text-brick">
              {plural(standing.wrong, 'figure')} not saved, changed elsewhere meanwhile.{' '}
              <button type="button" className="btn btn-xs" onClick={refresh}>
                Load again
              </button>
            </span>
          ) : (
            standing.edits > 0 && <span>{standing.waiting > 0 ? 'saving…' : 'all saved'}</span>
          )}
          {tried.length > 0 && (
            <button type="button" className="btn btn-xs" onClick={undo}>
              Undo what was tried
            </button>
          )}
        </p>
        {net === 0n ? (
          <p>
            Debits and credits are equal.{' '}
            <Go className="link" href={`/books/${String(frame.id)}/proof`}>
              Go to Proof
            </Go>
          </p>
        ) : (
          <ol className="border-t border-ink">
            {shown.map((hypothesis, at) => (
              <Explanation
                key={at}
                place={at + 1}
                hypothesis={hypothesis}
                frame={frame}
                account={(id) => byId.get(id)}
                editable={editable}
                onTry={() => attempt(hypothesis)}
                rounding={
                  rounding === null || !hypothesis.causes.every(({ kind }) => kind === 'rounding')
                    ? undefined
                    : () =>
                        change(
                          [{ account: rounding, to: add(figures.get(rounding).amount ?? NIL, minor(-net)) }],
                          'rounding of the paper, by choice',
                          'the rounding of the paper put on the rounding account',
                        )
                }
              />
            ))}
            {found.length === 0 && state === 'done' && (
              <li className="border-b border-hairline py-3">
                No single error and no pair of the kinds that the search knows explains {sided(net, frame)}. Compare the
                figures with the paper row by row
                {papers[0] === undefined ? '' : ', or bring the paper again'}; a row that is missing in both cannot be
                found from the figures.
              </li>
            )}
          </ol>
        )}
        {net !== 0n && state === 'done' && resort.nilInAll > 0 && (
          <p className="mt-3">
            Or a row of {sided(minor(-net), frame)} is missing altogether. At nil, and usually on that side:{' '}
            {resort.nil.map((id, at) => {
              const one = byId.get(id);
              return (
                one !== undefined && (
                  <span key={id}>
                    {at > 0 && ', '}
                    <Go className="link" href={`/books/${String(frame.id)}/openings?account=${String(id)}`}>
                      {called(one)}
                    </Go>
                  </span>
                )
              );
            })}
            {resort.nilInAll > resort.nil.length && ` and ${String(resort.nilInAll - resort.nil.length)} more`}.
          </p>
        )}
        {net !== 0n && shown.length < found.length && (
          <button type="button" className="btn btn-xs mt-2" onClick={() => setAll(true)}>
            Show {found.length - shown.length} that are less likely
          </button>
        )}
        {!editable && net !== 0n && (
          <p className="note mt-3">This version is posted; open a correction under Sign-off to try an explanation.</p>
        )}
      </div>
    </Frame>
  );
};

/** Says which column misses its total in the paper by all of the difference. */
const saysShort = (
  stated: NonNullable<View['stated']>,
  { figures }: SearchInput,
  said: (amount: Minor) => string,
): string => {
  const found = columnOff(stated, totalsOf(figures.map(({ amount }) => amount)));
  if (found === undefined) return '';
  const { column, by } = found;
  return `The ${column} are ${by > 0n ? 'short' : 'over'} by all of it, ${said(abs(by))}; the ${column === 'debits' ? 'credits' : 'debits'} are what the paper says.`;
};

/** Keeps the Level on the figures as they stand on this page. */
const LevelFollows = ({ figures }: { readonly figures: ReturnType<typeof makeFigures> }) => {
  const setTotals = useSetTotals();
  useEffect(() => {
    const move = (): void => setTotals(figures.totals());
    move();
    return figures.watch(move);
  }, [figures, setTotals]);
  return <span className="sr-only">{difference(figures.totals()) === 0n ? 'level' : ''}</span>;
};

/** The explicit way to go on while the difference is unexplained. */
const Suspense = ({
  frame,
  account,
  make,
  onPut,
}: {
  readonly frame: View['frame'];
  readonly make: View['suspenseToMake'];
  readonly account: WhyAccount | undefined;
  readonly onPut: (reason: string, account: WhyAccount) => void;
}) => {
  const refresh = useRefresh();
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const create = async (): Promise<void> => {
    const made = await send(addAccount({ books: frame.id, ...make, role: 'opening-suspense', heading: false }));
    if (made.ok) refresh();
    else setProblems(made.problems);
  };
  return (
    <MarginPart title="Go on without an explanation">
      {account === undefined ? (
        <>
          <p>
            The difference can stand on an opening suspense account, with a reason; Proof keeps asking for it. There is
            no such account yet.
          </p>
          <Problems problems={problems} />
          <button type="button" className="btn btn-xs mt-1.5" onClick={() => void create()}>
            Create {called(make)}
          </button>
        </>
      ) : (
        <form
          className="flex flex-col gap-1.5"
          onSubmit={(event) => {
            event.preventDefault();
            onPut(reason.trim(), account);
          }}
        >
          <p>
            The difference goes on {called(account)} with a reason. Proof keeps saying so until that account is at nil.
          </p>
          <Field label="Reason" problem={undefined}>
            {(ids) => (
              <input
                {...ids}
                value={reason}
                onChange={(event) => setReason(event.target.value)}
                maxLength={250}
                className="input input-sm w-full"
              />
            )}
          </Field>
          <button className="btn btn-xs self-start" disabled={reason.trim().length < 3}>
            Put it on suspense
          </button>
        </form>
      )}
    </MarginPart>
  );
};
