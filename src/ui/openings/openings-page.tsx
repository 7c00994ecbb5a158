'use client';

import { Go } from '../parts/go';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { saveFigures } from '@/actions/openings';
import type { FrameView } from '@/actions/frame-view';
import type { BehindView, OpeningRowView, openingsView } from '@/actions/views';
import { type AccountId, accountId, called } from '@/core/chart/account';
import { accountFault } from '@/core/proof/openings';
import { folded } from '@/core/papers/cells';
import { plural } from '@/core/result';
import { onAccountAsked } from '../frame/account-asked';
import { Frame } from '../frame/frame';
import { useSetTotals } from '../frame/level-context';
import { minorDigits } from '@/core/money/currency';
import { sided } from '../parts/figures';
import { type Minor, NIL } from '@/core/money/minor';
import { day } from '../parts/names';
import { DropPaper } from '../papers/drop-paper';
import { type Figures, makeFigures } from './figures';
import { type Landing, OpeningsGrid } from './grid';
import { CloseResults } from './close-results';
import { OpeningMargin } from './opening-margin';

type View = NonNullable<Awaited<ReturnType<typeof openingsView>>>;

const KEYS = [
  ['↑ ↓ ← →', 'go from cell to cell; with Shift choose a range'],
  ['type, Enter or F2', 'edit; sums such as 1200+340 and “1500 cr” are taken'],
  ['Tab', 'keep and go right'],
  ['Delete', 'empty the chosen figures'],
  ['Ctrl C, Ctrl X, Ctrl V', 'copy, cut and paste with any spreadsheet'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['Ctrl ↑, Ctrl ↓', 'first and last account'],
] as const;

const FILTERS = ['all', 'filled', 'empty', 'to look at', 'different', 'from a paper'] as const;
type Filter = (typeof FILTERS)[number];

/** The opening balances: the grid, its filters, and the margin of the chosen account. */
export const OpeningsPage = ({
  frame,
  set,
  papers,
  behind,
  rows,
  before,
  parts,
  rates,
  rounding,
  exchange,
  account,
}: View & { readonly account: number | undefined }) => {
  const [bringing, setBringing] = useState(false);
  const [selected, setSelected] = useState<AccountId | undefined>(
    () => (rows.find((row) => row.id === account) ?? rows.find((row) => !row.heading))?.id,
  );
  const editable = set?.state === 'draft';
  // One store per version of the opening set; newer server rows are accepted into it.
  const figures = useMemo(
    () => makeFigures(rows, (entries) => saveFigures({ books: frame.id, set: set?.id ?? 0, entries: [...entries] })),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- newer rows come in through accept()
    [frame.id, set?.id],
  );
  useEffect(() => figures.accept(rows), [figures, rows]);
  const chosen = rows.find((row) => row.id === selected);
  return (
    <Frame
      frame={frame}
      stage="openings"
      title="Opening balances"
      keys={KEYS}
      fixed
      about={
        set === null ? undefined : (
          <>
            {set.version > 1 && <>version {set.version}, </>}
            {set.state === 'draft' ? 'draft' : 'posted'}, at close of {day(frame.openingDate)}
            {papers[0] !== undefined && (
              <>
                {' '}
                · from{' '}
                <Go className="link" href={`/books/${String(frame.id)}/papers/${String(papers[0].id)}`}>
                  {papers[0].name}
                </Go>
                {papers.length > 1 && (
                  <>
                    {' '}
                    and{' '}
                    <Go className="link" href={`/books/${String(frame.id)}/papers`}>
                      {papers.length - 1} more
                    </Go>
                  </>
                )}
              </>
            )}
          </>
        )
      }
      actions={
        <>
          {editable && (
            <button
              type="button"
              className="btn btn-sm"
              aria-expanded={bringing}
              onClick={() => setBringing((was) => !was)}
            >
              Bring papers
            </button>
          )}
          <Go href={`/books/${String(frame.id)}/openings/comparatives`} className="btn btn-sm">
            Comparatives
          </Go>
          <Go href={`/books/${String(frame.id)}/proof`} className="btn btn-primary btn-sm">
            Go to Proof
          </Go>
        </>
      }
      margin={
        <OpeningMargin
          frame={frame}
          row={chosen}
          figures={figures}
          behind={chosen === undefined ? [] : (behind[chosen.id] ?? [])}
          foreign={{
            set: editable ? set.id : null,
            parts: chosen === undefined ? [] : (parts[chosen.id] ?? []),
            rates,
            rounding,
            exchange,
          }}
        />
      }
    >
      {bringing && (
        <div className="px-4 pb-2">
          <DropPaper books={frame.id} />
        </div>
      )}
      {!editable && set !== null && (
        <p className="mx-4 mb-2 border-l-4 border-stone bg-paper-2 px-3 py-1.5 text-sm">
          This version is posted, so its figures stay as they are. To change one, open a correction under{' '}
          <Go className="link" href={`/books/${String(frame.id)}/sign-off`}>
            Sign-off
          </Go>
          .
        </p>
      )}
      {editable && frame.atYearStart && <CloseResults frame={frame} rows={rows} figures={figures} />}
      {rows.length === 0 ? (
        <div className="max-w-prose px-4">
          <p>Opening balances stand on accounts, and there are none yet. Two ways to begin:</p>
          <ul className="mt-2 list-disc pl-5">
            <li>bring the old trial balance, and create accounts from its rows;</li>
            <li>
              add accounts on the{' '}
              <Go className="link" href={`/books/${String(frame.id)}/chart`}>
                Chart
              </Go>{' '}
              page, and type the balances here.
            </li>
          </ul>
          <div className="mt-4">
            <DropPaper books={frame.id} />
          </div>
        </div>
      ) : (
        <Sheet
          frame={frame}
          rows={rows}
          figures={figures}
          behind={behind}
          parts={parts}
          before={before}
          papers={papers}
          editable={editable}
          selected={selected}
          onSelect={setSelected}
          jumpTo={account === undefined ? undefined : accountId(account)}
        />
      )}
    </Frame>
  );
};

interface SheetProps {
  readonly frame: FrameView;
  readonly rows: readonly OpeningRowView[];
  readonly figures: Figures;
  readonly behind: Readonly<Partial<Record<number, readonly BehindView[]>>>;
  readonly parts: View['parts'];
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

/** What a paper or a person says about where a figure came from, short enough for its column. */
const whereFrom = (figure: ReturnType<Figures['get']>, behind: readonly BehindView[] | undefined): string => {
  if (figure.amount === null) return '';
  const [first] = behind ?? [];
  if (figure.source === 'paper' && first !== undefined) {
    const told = (behind ?? []).slice(0, 4).map((one) => one.row);
    const more = rowsBehind(behind ?? []) - told.length;
    return `row ${told.join(', ')}${more > 0 ? ` and ${plural(more, 'more row')}` : ''} · ${first.paperName}`;
  }
  return figure.source === 'carried' ? 'from the version before' : (figure.source ?? '');
};

const Sheet = ({
  frame,
  rows,
  figures,
  behind,
  parts,
  before,
  papers,
  editable,
  selected,
  onSelect,
  jumpTo,
}: SheetProps) => {
  const router = useRouter();
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
    const resting = setTimeout(() => router.refresh(), 4000);
    return () => clearTimeout(resting);
  }, [standing, router]);

  const inCurrency = useMemo(
    () =>
      new Map(
        Object.entries(parts).map(([account, own]) => [
          Number(account),
          own
            .map(({ currency, amount }) => `${currency} ${sided(amount, { ...frame, digits: minorDigits(currency) })}`)
            .join(', '),
        ]),
      ),
    [parts, frame],
  );
  const looks = (row: OpeningRowView): boolean => {
    const figure = figures.get(row.id);
    return (
      figure.state === 'failed' ||
      figure.state === 'clash' ||
      figure.state === 'unreadable' ||
      (figure.amount !== null && accountFault(row, figure.amount, frame.atYearStart) !== undefined)
    );
  };
  const was = (row: OpeningRowView): Minor => before?.[row.id] ?? NIL;
  const test: Readonly<Record<Filter, (row: OpeningRowView) => boolean>> = {
    all: () => true,
    filled: (row) => figures.get(row.id).amount !== null,
    empty: (row) => figures.get(row.id).amount === null,
    'to look at': looks,
    different: (row) => before !== null && (figures.get(row.id).amount ?? NIL) !== was(row),
    'from a paper': (row) =>
      figures.get(row.id).source === 'paper' &&
      (paper === 0 || behind[row.id]?.some((one) => one.paper === paper) === true),
  };
  const posting = rows.filter((row) => !row.heading);
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
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-1.5">
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
              {one.slice(1)} {posting.filter(test[one]).length}
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
        <input
          type="search"
          aria-label="Find on the sheet"
          placeholder="Find an account"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          className="input input-xs w-40"
        />
        <Saved figures={figures} />
      </div>
      <OpeningsGrid
        key={filter}
        frame={frame}
        rows={shown}
        tree={rows}
        figures={figures}
        editable={editable}
        where={(row) => {
          const from = whereFrom(figures.get(row.id), behind[row.id]);
          return before !== null && was(row) !== (figures.get(row.id).amount ?? NIL)
            ? `was ${sided(was(row), frame)}${from === '' ? '' : ` · ${from}`}`
            : from;
        }}
        inCurrency={inCurrency}
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
