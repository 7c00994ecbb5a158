'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useRouter } from 'next/navigation';
import { type ClipboardEvent, type KeyboardEvent, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { saveComparatives } from '@/actions/openings/comparatives';
import type { comparativesView } from '@/actions/openings/comparatives-view';
import { undo as takeBack } from '@/actions/changes/commands';
import type { AccountId } from '@/core/chart/account';
import { readEntry } from '@/core/money/entry';
import { type Minor, NIL } from '@/core/money/minor';
import { comparativeFaults } from '@/core/openings/comparatives';
import { readClipboard } from '@/core/files/clipboard';
import { folded } from '@/core/base/table';
import { type Problem, plural } from '@/core/base/result';
import { Frame } from '../frame/frame';
import { sided } from '../parts/figures';
import { FindField } from '../parts/find-field';
import { Go } from '../parts/go';
import { Problems } from '../parts/problems';
import { useUndoKeys } from '../parts/undo-keys';
import { ComparativeMargin } from './comparative-margin';
import { send } from '../parts/send';

type View = NonNullable<Awaited<ReturnType<typeof comparativesView>>>;
type Entered = ReadonlyMap<AccountId, ReadonlyMap<number, Minor>>;
interface Entry {
  readonly account: AccountId;
  readonly column: number;
  readonly from: Minor | null;
  readonly to: Minor | null;
}

const ROW = 30;
const KEYS = [
  ['Enter, ↓, ↑', 'keep and go down or up'],
  ['Tab', 'keep and go right'],
  ['Ctrl V', 'paste a block from a spreadsheet'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
] as const;

/** Last year's closing balances and the months of this year, beside the opening figures that they lead to. */
export const ComparativesPage = ({ frame, columns, rows, last, papers }: View) => {
  const router = useRouter();
  const [entered, setEntered] = useState<Entered>(() => enteredIn(rows));
  const [history, setHistory] = useState<{ readonly done: readonly Entry[][]; readonly undone: readonly Entry[][] }>({
    done: [],
    undone: [],
  });
  const [unsaved, setUnsaved] = useState<readonly Entry[]>([]);
  const [chosen, setChosen] = useState<AccountId | undefined>();
  const [wanted, setWanted] = useState('');
  const [onlyApart, setOnlyApart] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [saving, setSaving] = useState(0);
  const scroller = useRef<HTMLDivElement>(null);
  // Taken back on the server: the sheet begins anew with what stands there.
  const [seen, setSeen] = useState(rows);
  if (seen !== rows) {
    setSeen(rows);
    if (unsaved.length === 0 && saving === 0) setEntered(enteredIn(rows));
  }
  const figures = useMemo(() => new Map(rows.map((row) => [row.id, row.figure])), [rows]);
  const { nets, apart } = useMemo(() => comparativeFaults(rows, figures, entered), [rows, figures, entered]);
  const found = folded(wanted);
  const shown = rows.filter(
    (row) => (found === '' || folded(`${row.code} ${row.name}`).includes(found)) && (!onlyApart || apart.has(row.id)),
  );
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 8,
    initialRect: { width: 900, height: 500 },
  });

  const save = async (entries: readonly Entry[]): Promise<void> => {
    setSaving((was) => was + 1);
    const done = await send(saveComparatives({ books: frame.id, entries: [...entries] }));
    setSaving((was) => was - 1);
    setProblems(done.ok ? [] : done.problems);
    // What was typed stays on the sheet until it is saved.
    setUnsaved((was) => (done.ok ? was.filter((one) => !entries.includes(one)) : [...new Set([...was, ...entries])]));
  };
  const write = (entries: readonly Entry[]): void => {
    setEntered((was) => {
      const next = new Map(was);
      for (const { account, column, to } of entries) {
        const own = new Map(next.get(account));
        if (to === null) own.delete(column);
        else own.set(column, to);
        next.set(account, own);
      }
      return next;
    });
    void save(entries);
  };
  const put = (changes: readonly Omit<Entry, 'from'>[]): void => {
    const entries = changes.flatMap(({ account, column, to }): Entry[] => {
      const from = entered.get(account)?.get(column) ?? null;
      return from === to ? [] : [{ account, column, from, to }];
    });
    if (entries.length === 0) return;
    setHistory(({ done }) => ({ done: [...done, entries], undone: [] }));
    write(entries);
  };
  const turned = (entries: readonly Entry[]): Entry[] =>
    entries.map(({ account, column, from, to }) => ({ account, column, from: to, to: from }));
  useUndoKeys({
    undo: () => {
      const edit = history.done.at(-1);
      if (edit === undefined) return;
      setHistory(({ done, undone }) => ({ done: done.slice(0, -1), undone: [...undone, edit] }));
      write(turned(edit));
    },
    redo: () => {
      const edit = history.undone.at(-1);
      if (edit === undefined) return;
      setHistory(({ done, undone }) => ({ done: [...done, edit], undone: undone.slice(0, -1) }));
      write(edit);
    },
    // A text that is being typed has an undo of its own.
    typing: () =>
      document.activeElement instanceof HTMLInputElement &&
      document.activeElement.value !== document.activeElement.defaultValue,
  });
  const read = (text: string): Minor | null | undefined => {
    const entry = readEntry(text, 'debit', { code: frame.currency, digits: frame.digits }, frame.style);
    return entry.ok ? (entry.value.kind === 'amount' ? entry.value.amount : null) : undefined;
  };
  const keep = (account: AccountId, column: number, input: HTMLInputElement): void => {
    const amount = read(input.value);
    input.setAttribute('aria-invalid', String(amount === undefined));
    if (amount === undefined) {
      setProblems([{ code: 'amount', message: `“${input.value}” does not read as an amount; it was not saved.` }]);
      return;
    }
    put([{ account, column, to: amount }]);
  };
  const paste = (event: ClipboardEvent<HTMLInputElement>, at: number, from: number): void => {
    const table = readClipboard(event.clipboardData.getData('text/plain'));
    if (table.length < 2 && (table[0]?.length ?? 0) < 2) return;
    event.preventDefault();
    let unread = 0;
    const entries = table.flatMap((cells, down) =>
      cells.flatMap((text, across): Omit<Entry, 'from'>[] => {
        const row = shown[at + down];
        const column = columns[from + across];
        const amount = read(text);
        if (amount === undefined) unread += 1;
        return row === undefined || column === undefined || amount === undefined
          ? []
          : [{ account: row.id, column: column.column, to: amount }];
      }),
    );
    put(entries);
    toast(
      `${plural(entries.length, 'amount')} pasted${unread > 0 ? `; ${plural(unread, 'cell')} did not read as amounts` : ''}`,
    );
  };
  const move = (event: KeyboardEvent<HTMLInputElement>, at: number, column: number): void => {
    const step = { Enter: 1, ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    virtual.scrollToIndex(Math.max(0, Math.min(shown.length - 1, at + step)));
    requestAnimationFrame(() =>
      scroller.current
        ?.querySelector<HTMLInputElement>(`[data-cell="${String(at + step)}/${String(column)}"]`)
        ?.focus(),
    );
  };
  const template = `5rem minmax(10rem,1fr) repeat(${String(columns.length)}, 6.6rem) 7.5rem 7rem`;
  return (
    <Frame
      frame={frame}
      stage="openings"
      title="Comparatives"
      keys={KEYS}
      fixed
      about={
        apart.size === 0
          ? 'last year’s closing balances and the months of this year; optional'
          : `${plural(apart.size, 'account')} ${apart.size === 1 ? 'does' : 'do'} not come to the opening figure`
      }
      margin={
        <ComparativeMargin
          frame={frame}
          columns={columns}
          row={rows.find(({ id }) => id === chosen)}
          entered={chosen === undefined ? undefined : entered.get(chosen)}
          version={saving + history.done.length + history.undone.length}
          papers={papers}
        />
      }
      actions={
        <>
          {last !== null && (
            <button
              type="button"
              className="btn btn-sm"
              title={`What was taken from ${last.paper} goes back to what it was, where nobody changed it since`}
              onClick={() =>
                void send(takeBack({ books: frame.id, batch: last.batch, leaveNewer: true })).then((done) => {
                  setProblems(done.ok ? [] : done.problems);
                  if (!done.ok) return;
                  toast(
                    `${plural(done.value.undone, 'amount')} put back${done.value.kept > 0 ? `; ${plural(done.value.kept, 'amount')} changed since and stayed` : ''}`,
                  );
                  setHistory({ done: [], undone: [] });
                  router.refresh();
                })
              }
            >
              Undo taking from {last.paper.length > 24 ? `${last.paper.slice(0, 22)}…` : last.paper}
            </button>
          )}
          <Go href={`/books/${String(frame.id)}/openings`} className="btn btn-sm">
            Opening balances
          </Go>
        </>
      }
    >
      <div className="px-4">
        <Problems problems={problems} />
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 pb-1.5">
          <FindField value={wanted} onChange={setWanted} />
          <label className="flex items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={onlyApart}
              onChange={() => setOnlyApart(!onlyApart)}
            />
            only accounts that do not come to their figure
          </label>
          <span role="status" className="note ml-auto">
            {saving > 0 ? (
              'saving…'
            ) : unsaved.length > 0 ? (
              <span className="text-brick">
                {plural(unsaved.length, 'amount')} not saved{' '}
                <button type="button" className="btn btn-xs ml-1" onClick={() => void save(unsaved)}>
                  Try again
                </button>
              </span>
            ) : history.done.length + history.undone.length > 0 ? (
              'all saved'
            ) : (
              ''
            )}
          </span>
        </div>
      </div>
      <div
        ref={scroller}
        role="grid"
        aria-label="Comparatives"
        aria-rowcount={shown.length + 2}
        className="min-h-0 flex-1 overflow-auto"
      >
        <div className="min-w-max">
          <div
            role="row"
            className="sticky top-0 z-10 grid border-b border-ink bg-paper text-[0.78rem] font-semibold text-ink-2"
            style={{ gridTemplateColumns: template }}
          >
            {['Code', 'Account', ...columns.map(({ label }) => label), 'Opening figure', 'Apart by'].map(
              (label, at) => (
                <span
                  key={label}
                  role="columnheader"
                  className={`py-1.5 ${at === 0 ? 'pl-4' : ''} ${at > 1 ? 'px-2 text-right' : ''}`}
                >
                  {label}
                </span>
              ),
            )}
          </div>
          <div role="rowgroup" className="relative" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map((item) => {
              const row = shown[item.index];
              if (row === undefined) return null;
              const off = apart.get(row.id);
              return (
                <div
                  key={row.id}
                  role="row"
                  aria-rowindex={item.index + 2}
                  className="absolute inset-x-0 grid items-center border-b border-hairline text-[0.8125rem]"
                  style={{
                    gridTemplateColumns: template,
                    height: ROW,
                    transform: `translateY(${String(item.start)}px)`,
                  }}
                >
                  <span role="gridcell" className="pl-4 text-ink-2">
                    {row.code}
                  </span>
                  <span role="gridcell" className="truncate" title={row.name}>
                    {row.name}
                  </span>
                  {columns.map(({ column, label }, at) => {
                    const amount = entered.get(row.id)?.get(column);
                    const text = amount === undefined ? '' : sided(amount, frame);
                    return (
                      <span key={column} role="gridcell" className="h-full border-l border-hairline">
                        <input
                          key={text}
                          aria-label={`${row.code} ${row.name}, ${label}`}
                          data-cell={`${String(item.index)}/${String(at)}`}
                          defaultValue={text}
                          autoComplete="off"
                          onFocus={(event) => {
                            setChosen(row.id);
                            event.currentTarget.select();
                          }}
                          onBlur={(event) => keep(row.id, column, event.currentTarget)}
                          onKeyDown={(event) => move(event, item.index, at)}
                          onPaste={(event) => paste(event, item.index, at)}
                          className="h-full w-full bg-transparent px-2 text-right outline-offset-[-2px] focus:outline-2 focus:outline-madder aria-invalid:text-brick"
                        />
                      </span>
                    );
                  })}
                  <span role="gridcell" className="border-l border-hairline px-2 text-right text-ink-2">
                    {row.figure === 0n ? '' : sided(row.figure, frame)}
                  </span>
                  <span role="gridcell" className="border-l border-hairline px-2 text-right font-medium text-ochre">
                    {off === undefined ? '' : sided(off, frame)}
                  </span>
                </div>
              );
            })}
          </div>
          <div
            role="row"
            className="sticky bottom-0 z-10 grid border-t border-ink bg-paper text-[0.8125rem] font-semibold"
            style={{ gridTemplateColumns: template }}
          >
            <span role="gridcell" />
            <span role="gridcell" className="py-1.5">
              Net of each column
            </span>
            {columns.map(({ column }) => {
              const net = nets.get(column);
              return (
                <span
                  key={column}
                  role="gridcell"
                  className={`px-2 py-1.5 text-right ${net === undefined || net === NIL ? '' : 'text-madder'}`}
                >
                  {net === undefined ? '' : net === NIL ? 'level' : sided(net, frame)}
                </span>
              );
            })}
            <span role="gridcell" />
            <span role="gridcell" />
          </div>
        </div>
      </div>
    </Frame>
  );
};

const enteredIn = (rows: View['rows']): Entered =>
  new Map(
    rows.map((row) => [
      row.id,
      new Map(Object.entries(row.entered).map(([column, amount]) => [Number(column), amount])),
    ]),
  );
