'use client';

import { useDeferredValue, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import type { FrameView } from '@/actions/frame/views';
import type { BehindView, OpeningRowView, openingsView } from '@/actions/openings/views';
import { type AccountId, accountId, called } from '@/core/chart/account';
import { type Minor, NIL, sum } from '@/core/money/minor';
import { filledTwice } from '@/core/openings/filled-twice';
import { compared } from '@/core/openings/foreign';
import { type SheetMoney, sheetColumns } from '@/core/openings/sheet';
import { folded } from '@/core/base/table';
import { accountFault } from '@/core/openings/account-fault';
import { plural } from '@/core/base/result';
import { onAccountAsked } from '../frame/account-asked';
import { useSetTotals } from '../frame/level-context';
import { sided } from '../parts/figures';
import { FindField } from '../parts/find-field';
import type { Figure, Figures } from './figures';
import { OpeningsGrid } from './grid';
import type { Landing } from './grid-row';
import { useRefresh } from '../parts/use-refresh';

type View = NonNullable<Awaited<ReturnType<typeof openingsView>>>;

const FILTERS = ['all', 'filled', 'empty', 'to check', 'different', 'from a paper'] as const;
type Filter = (typeof FILTERS)[number];

interface SheetProps {
  readonly frame: FrameView;
  readonly rows: readonly OpeningRowView[];
  readonly figures: Figures;
  readonly behind: Readonly<Partial<Record<number, readonly BehindView[]>>>;
  readonly money: SheetMoney;
  readonly before: View['before'];
  readonly papers: View['papers'];
  readonly editable: boolean;
  readonly selected: AccountId | undefined;
  readonly onSelect: (account: AccountId | undefined) => void;
  readonly jumpTo: AccountId | undefined;
}

/** How many rows of papers stand behind a figure; those not told one by one are counted too. */
const rowsBehind = (behind: readonly BehindView[]): number =>
  [...new Map(behind.map((one) => [one.paper, one.of])).values()].reduce((all, of) => all + of, 0);

/**
 * What a paper or a person says about where a figure came from, short enough for its column: the paper is named where there are
 * several, one alone stands above the sheet.
 */
const whereFrom = (
  figure: ReturnType<Figures['get']>,
  behind: readonly BehindView[] | undefined,
  papers: number,
): string => {
  if (figure.amount === null) return '';
  const [first] = behind ?? [];
  if (figure.source === 'paper' && first !== undefined) {
    const told = (behind ?? []).slice(0, 4).map((one) => one.row);
    const more = rowsBehind(behind ?? []) - told.length;
    return `${papers > 1 ? '' : 'paper, '}row ${told.join(', ')}${more > 0 ? ` and ${plural(more, 'more row')}` : ''}${papers > 1 ? ` · ${first.paperName}` : ''}`;
  }
  return figure.source === 'carried' ? 'from the version before' : (figure.source ?? '');
};

/** The sheet of the opening balances: its filters, and the grid. */
export const OpeningsSheet = ({
  frame,
  rows,
  figures,
  behind,
  money,
  before,
  papers,
  editable,
  selected,
  onSelect,
  jumpTo,
}: SheetProps) => {
  const refresh = useRefresh();
  const setTotals = useSetTotals();
  const standing = useSyncExternalStore(figures.watch, figures.standing, figures.standing);
  const [filter, setFilter] = useState<Filter>('all');
  const [wanted, setWanted] = useState('');
  const [paper, setPaper] = useState(0);
  const [landing, setLanding] = useState<Landing | undefined>();
  // Somebody asked for an account: by an address, or from the command list while this page is open.
  useEffect(() => {
    const land = (account: AccountId): void => {
      setFilter('all');
      setWanted('');
      setLanding({ account });
    };
    if (jumpTo !== undefined) land(jumpTo);
    return onAccountAsked((account) => land(accountId(account)));
  }, [jumpTo]);

  useEffect(() => {
    const move = (): void => setTotals(figures.totals());
    move();
    return figures.watch(move);
  }, [figures, setTotals]);

  useEffect(() => {
    if (standing.waiting === 0 && standing.wrong === 0) return;
    const warn = (event: BeforeUnloadEvent): void => event.preventDefault();
    addEventListener('beforeunload', warn);
    return () => removeEventListener('beforeunload', warn);
  }, [standing]);

  // The course above counts filled accounts; ask for it again when the sheet has come to rest.
  useEffect(() => {
    if (standing.edits === 0 || standing.waiting > 0) return;
    const resting = setTimeout(refresh, 4000);
    return () => clearTimeout(resting);
  }, [standing, refresh]);

  const columns = useMemo(
    () => sheetColumns({ foreign: money.switchedOn.length > 0, before: before !== null }),
    [money, before],
  );
  // What looks at every figure comes after the key that changed one is on the screen.
  const version = useDeferredValue(useSyncExternalStore(figures.watch, figures.version, figures.version));
  const posting = useMemo(() => rows.filter((row) => !row.heading), [rows]);
  const twiceAmong = useMemo(() => filledTwice(posting), [posting]);
  const twice = useMemo(
    () => twiceAmong((id) => figures.get(id).amount ?? NIL),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the version tells of changed figures
    [twiceAmong, figures, version],
  );
  /** Base amounts that are not what the rate of the opening date makes of the amounts in currency. */
  const doubt = (row: OpeningRowView, { amount, parts }: Figure): string | undefined => {
    const off = sum(
      parts.map((part) => {
        const rate = money.rateOf(part.currency);
        return rate === undefined ? NIL : compared(part, rate.how).difference;
      }),
    );
    const under = twice.get(row.id);
    if (under !== undefined) return `filled as well as the ${plural(under, 'account')} under its code`;
    if (off !== 0n) return `${sided(off, frame)} off the rate`;
    return row.currency !== null && parts.length === 0 && amount !== 0n ? `no amount in ${row.currency}` : undefined;
  };
  const looks = (row: OpeningRowView): boolean => {
    const figure = figures.get(row.id);
    return (
      figure.state === 'failed' ||
      figure.state === 'clash' ||
      figure.state === 'unreadable' ||
      (figure.amount !== null &&
        (accountFault(row, figure.amount, frame.atYearStart) !== undefined || doubt(row, figure) !== undefined))
    );
  };
  const was = (row: OpeningRowView): Minor => before?.[row.id] ?? NIL;
  const test: Readonly<Record<Filter, (row: OpeningRowView) => boolean>> = {
    all: () => true,
    filled: (row) => figures.get(row.id).amount !== null,
    empty: (row) => figures.get(row.id).amount === null,
    'to check': looks,
    different: (row) => before !== null && (figures.get(row.id).amount ?? NIL) !== was(row),
    'from a paper': (row) =>
      figures.get(row.id).source === 'paper' &&
      (paper === 0 || behind[row.id]?.some((one) => one.paper === paper) === true),
  };
  const counts = useMemo(
    () => new Map(FILTERS.map((one) => [one, posting.filter(test[one]).length])),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the version tells of changed figures
    [posting, figures, version, twice, before, behind, paper, money, frame],
  );
  // What a filter shows is settled when it is chosen, so that a row does not vanish from under the hand that fills it.
  const [shownIds, setShownIds] = useState<ReadonlySet<AccountId> | undefined>();
  const choose = (next: Filter): void => {
    setFilter(next);
    setShownIds(next === 'all' ? undefined : new Set(posting.filter(test[next]).map((row) => row.id)));
  };
  const shown = useMemo(() => {
    const found = folded(wanted);
    if (shownIds === undefined && found === '') return rows;
    const kept = rows.filter(
      (row) =>
        !row.heading &&
        (shownIds?.has(row.id) ?? true) &&
        (found === '' || folded(`${row.code} ${row.name}`).includes(found)),
    );
    const keep = new Set<AccountId>(kept.map((row) => row.id));
    // Headings are kept over what is shown: going upwards, a heading above a kept deeper row.
    let depth = -1;
    return [...rows]
      .reverse()
      .filter((row) => {
        const shows = row.heading ? row.depth < depth : keep.has(row.id);
        if (shows || row.depth < depth) depth = row.depth;
        return shows;
      })
      .reverse();
  }, [rows, shownIds, wanted]);

  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-1.5">
        <div role="group" aria-label="Show" className="flex flex-wrap gap-x-4">
          {FILTERS.filter((one) => one !== 'different' || before !== null).map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={filter === one}
              onClick={() => choose(one)}
              className={`min-h-6 text-sm ${filter === one ? 'border-b-2 border-ink font-semibold' : 'text-ink-2'}`}
            >
              {one[0]?.toUpperCase()}
              {one.slice(1)} {counts.get(one)}
            </button>
          ))}
        </div>
        {filter === 'from a paper' && (
          <select
            aria-label="Which paper"
            className="select select-xs max-w-48"
            value={paper}
            onChange={(event) => {
              const next = Number(event.target.value);
              setPaper(next);
              setShownIds(
                new Set(
                  posting
                    .filter(
                      (row) =>
                        figures.get(row.id).source === 'paper' &&
                        (next === 0 || behind[row.id]?.some((one) => one.paper === next) === true),
                    )
                    .map((row) => row.id),
                ),
              );
            }}
          >
            <option value={0}>any paper</option>
            {papers.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        )}
        <FindField value={wanted} onChange={setWanted} />
        <Saved figures={figures} />
      </div>
      <OpeningsGrid
        key={filter}
        frame={frame}
        columns={columns}
        money={money}
        rows={shown}
        tree={rows}
        figures={figures}
        editable={editable}
        where={(row) => whereFrom(figures.get(row.id), behind[row.id], papers.length)}
        before={was}
        doubt={doubt}
        selected={selected}
        onSelect={onSelect}
        landing={landing}
      />
      {shown.length === 0 && (
        <p className="note px-4 py-3" role="status">
          {wanted === '' ? `No account is ${filter}.` : `No account here is called “${wanted}”.`}
        </p>
      )}
      {chosenNothing(selected, rows)}
    </>
  );
};

const chosenNothing = (selected: AccountId | undefined, rows: readonly OpeningRowView[]) => {
  const row = rows.find((one) => one.id === selected);
  return (
    <p className="sr-only" role="status">
      {row === undefined ? '' : called(row)}
    </p>
  );
};

/** How the sheet stands with the server, quietly; what went wrong, not so quietly. */
const Saved = ({ figures }: { readonly figures: Figures }) => {
  const { waiting, wrong, edits } = useSyncExternalStore(figures.watch, figures.standing, figures.standing);
  return (
    <span role="status" className="note ml-auto">
      {wrong > 0 ? (
        <span className="text-brick">
          {plural(wrong, 'figure')} not saved{' '}
          <button type="button" className="btn btn-xs ml-1" onClick={() => figures.retry()}>
            Try again
          </button>
        </span>
      ) : waiting > 0 ? (
        'saving…'
      ) : edits > 0 ? (
        'all saved'
      ) : (
        ''
      )}
    </span>
  );
};
