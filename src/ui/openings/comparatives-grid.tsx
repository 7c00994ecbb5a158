import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import { plural } from '@/core/base/result';
import type { AccountId } from '@/core/chart/account';
import { readClipboard } from '@/core/files/clipboard';
import { readEntry } from '@/core/money/entry';
import { isBudget } from '@/core/openings/comparatives';
import { type Minor, NIL } from '@/core/money/minor';
import { sided } from '../parts/figures';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import type { Range } from '../sheet/cells';
import { type PrintedRow, PrintedSheet } from '../sheet/printed-sheet';
import { useSheet } from '../sheet/use-sheet';
import { CellEditor } from '../sheet/cell-editor';
import type { ComparativesView, Wish, useComparatives } from './use-comparatives';

const ROW = 30;
/** Code and name stand before the amounts, the opening figure and what it is apart by behind them. */
const BEFORE = 2;

interface Props {
  readonly frame: FrameView;
  readonly columns: ComparativesView['columns'];
  readonly rows: ComparativesView['rows'];
  readonly comparatives: ReturnType<typeof useComparatives>;
  readonly nets: ReadonlyMap<number, Minor>;
  readonly apart: ReadonlyMap<AccountId, Minor>;
  readonly selected: AccountId | undefined;
  readonly onSelect: (account: AccountId | undefined) => void;
}

/** Code and name stay in sight while the columns go by; on a phone they would leave no room. */
const stays = (at: number): string =>
  at === 0 ? 'md:sticky md:left-0 md:z-[1] bg-paper' : at === 1 ? 'md:sticky md:left-20 md:z-[1] bg-paper' : '';

/** The sheet of comparatives: an account a row, a year or month a column. */
export const ComparativesGrid = ({ frame, columns, rows, comparatives, nets, apart, selected, onSelect }: Props) => {
  type Row = (typeof rows)[number];
  const { entered } = comparatives;
  const width = BEFORE + columns.length + 2;
  const columnAt = (at: number): (typeof columns)[number] | undefined => columns[at - BEFORE];
  const read = (text: string): Minor | null | undefined => {
    const entry = readEntry(text, 'debit', { code: frame.currency, digits: frame.digits }, frame.style);
    return entry.ok ? (entry.value.kind === 'amount' ? entry.value.amount : null) : undefined;
  };
  const textAt = (row: Row, at: number): string => {
    if (at === 0) return row.code;
    if (at === 1) return row.name;
    const column = columnAt(at);
    const amount =
      column !== undefined
        ? entered.get(row.id)?.get(column.column)
        : at === width - 2
          ? row.figure === 0n
            ? undefined
            : row.figure
          : apart.get(row.id);
    return amount === undefined ? '' : sided(amount, frame);
  };
  const takes = (_: Row, at: number): boolean => columnAt(at) !== undefined;
  const wishes = ({ top, bottom, left, right }: Range, to: Minor | null): readonly Wish[] =>
    rows.slice(top, bottom + 1).flatMap((row) =>
      columns.slice(Math.max(0, left - BEFORE), Math.max(0, right - BEFORE + 1)).map(({ column }) => ({
        account: row.id,
        column,
        to,
      })),
    );
  const paste = (text: string, { top, left, ...range }: Range): void => {
    const table = readClipboard(text);
    const [single] = table.length === 1 && table[0]?.length === 1 ? table[0] : [];
    let unread = 0;
    const amountOf = (cell: string): Minor | null | undefined => {
      const amount = read(cell);
      if (amount === undefined) unread += 1;
      return amount;
    };
    // One copied amount fills what is chosen; a block goes on to the right and down.
    const fills = single === undefined ? undefined : amountOf(single);
    const put =
      single !== undefined
        ? fills === undefined
          ? []
          : wishes({ top, left, ...range }, fills)
        : table.flatMap((cells, down) =>
            cells.flatMap((cell, across): Wish[] => {
              const row = rows[top + down];
              const column = columnAt(left + across);
              if (row === undefined || column === undefined) return [];
              const to = amountOf(cell);
              return to === undefined ? [] : [{ account: row.id, column: column.column, to }];
            }),
          );
    comparatives.put(put);
    toast(
      `${plural(put.length, 'amount')} pasted${unread > 0 ? `; ${plural(unread, 'cell')} did not read as amounts` : ''}`,
    );
  };
  const sheet = useSheet({
    rows,
    idOf: ({ id }) => id,
    columns: width,
    height: ROW,
    start: { row: 0, column: BEFORE },
    selected,
    onSelect,
    takes,
    opens: takes,
    empty: (range) => comparatives.put(wishes(range, null)),
    copied: ({ top, bottom, left, right }) =>
      rows
        .slice(top, bottom + 1)
        .map((row) => Array.from({ length: right - left + 1 }, (_, at) => textAt(row, left + at)).join('\t'))
        .join('\n'),
    paste,
  });
  const { active, typing } = sheet.state;
  const { top, bottom, left, right } = sheet.range;
  const offerLast = useLastChange(frame.id, ['comparative']);
  useUndoKeys({
    undo: () => {
      if (!comparatives.undo()) offerLast();
    },
    redo: comparatives.redo,
    typing: () => typing !== undefined || isTyping(),
  });
  const keep = (row: Row, text: string): void => {
    const column = columnAt(active.column);
    const to = read(text);
    if (column === undefined) return;
    if (to === undefined)
      comparatives.say([
        {
          code: 'amount',
          message: `“${text}” in ${row.code} ${row.name} does not read as an amount; it was not saved.`,
        },
      ]);
    else {
      comparatives.say([]);
      comparatives.put([{ account: row.id, column: column.column, to }]);
    }
  };
  const template = `5rem minmax(10rem,1fr) repeat(${String(columns.length)}, 6.6rem) 7.5rem 7rem`;
  const tone = (at: number): string =>
    at === 0
      ? 'pl-4 text-ink-2'
      : at === 1
        ? ''
        : `justify-end border-l border-hairline px-2 ${at === width - 2 ? 'text-ink-2' : at === width - 1 ? 'font-medium text-ochre' : ''}`;
  const labels = ['Code', 'Account', ...columns.map(({ label }) => label), 'Opening figure', 'Apart by'];
  const printed = (): readonly PrintedRow[] => [
    ...rows.map((row) => ({ id: row.id, cells: labels.map((_, at) => textAt(row, at)) })),
    {
      id: 'net',
      kind: 'total',
      cells: [
        '',
        'Net of each column',
        ...columns.map(({ column }) => {
          const net = nets.get(column);
          return net === undefined ? '' : net === NIL && !isBudget(column) ? 'level' : sided(net, frame);
        }),
      ],
    },
  ];
  return (
    <>
      <div
        {...sheet.grid}
        role="grid"
        aria-label="Comparatives"
        aria-rowcount={rows.length + 2}
        aria-colcount={width}
        aria-multiselectable
        className="sheet no-print min-h-0 flex-1 overflow-auto"
      >
        <div className="min-w-max">
          <div
            role="row"
            aria-rowindex={1}
            className="sticky top-0 z-10 grid border-b border-ink bg-paper text-[0.78rem] font-semibold text-ink-2"
            style={{ gridTemplateColumns: template }}
          >
            {labels.map((label, at) => (
              <span
                key={label}
                role="columnheader"
                className={`py-1.5 ${at === 0 ? 'pl-4' : ''} ${at > 1 ? 'px-2 text-right' : ''} ${stays(at)}`}
              >
                {label}
              </span>
            ))}
          </div>
          <div role="rowgroup" className="relative" style={{ height: sheet.virtual.getTotalSize() }}>
            {sheet.virtual.getVirtualItems().map((item) => {
              const row = rows[item.index];
              if (row === undefined) return null;
              const inside = item.index >= top && item.index <= bottom;
              return (
                <div
                  key={row.id}
                  role="row"
                  aria-rowindex={item.index + 2}
                  className={`absolute inset-x-0 grid border-b border-hairline text-[0.8125rem] ${item.index === active.row ? 'bg-madder-wash' : ''}`}
                  style={{
                    gridTemplateColumns: template,
                    height: ROW,
                    transform: `translateY(${String(item.start)}px)`,
                  }}
                >
                  {Array.from({ length: width }, (_, at) => {
                    const here = item.index === active.row && at === active.column;
                    const chosen = inside && at >= left && at <= right;
                    const text = textAt(row, at);
                    return (
                      <span
                        key={at}
                        role="gridcell"
                        tabIndex={here ? 0 : -1}
                        aria-colindex={at + 1}
                        aria-selected={chosen}
                        aria-readonly={takes(row, at) ? undefined : true}
                        onMouseDown={(event) => {
                          if (here && typing !== undefined) return;
                          event.preventDefault();
                          sheet.point({ row: item.index, column: at }, event.shiftKey);
                        }}
                        onMouseEnter={(event) =>
                          event.buttons === 1 &&
                          typing === undefined &&
                          sheet.point({ row: item.index, column: at }, true)
                        }
                        onDoubleClick={() => sheet.begin(undefined)}
                        className={`flex min-w-0 items-center ${at < BEFORE ? '' : 'relative'} ${tone(at)} ${stays(at)} ${chosen && !(top === bottom && left === right) ? 'bg-madder-wash' : ''} ${here ? 'sheet-active' : ''}`}
                      >
                        {here && typing !== undefined ? (
                          <CellEditor
                            initial={typing.text ?? text}
                            label={`${row.code} ${row.name}, ${columnAt(at)?.label ?? ''}`}
                            onDraft={nothing}
                            onCancel={sheet.close}
                            onKeep={(typed, leave) => {
                              keep(row, typed);
                              sheet.leave(leave);
                            }}
                          />
                        ) : (
                          <span className="truncate" title={at === 1 ? text : undefined}>
                            {text}
                          </span>
                        )}
                      </span>
                    );
                  })}
                </div>
              );
            })}
          </div>
          <div
            role="row"
            aria-rowindex={rows.length + 2}
            className="sticky bottom-0 z-10 grid border-t border-ink bg-paper text-[0.8125rem] font-semibold"
            style={{ gridTemplateColumns: template }}
          >
            <span role="gridcell" className={stays(0)} />
            <span role="gridcell" className={`py-1.5 ${stays(1)}`}>
              Net of each column
            </span>
            {columns.map(({ column }) => {
              const net = nets.get(column);
              return (
                <span
                  key={column}
                  role="gridcell"
                  className={`px-2 py-1.5 text-right ${net === undefined || net === NIL || isBudget(column) ? '' : 'text-madder'}`}
                >
                  {net === undefined ? '' : net === NIL && !isBudget(column) ? 'level' : sided(net, frame)}
                </span>
              );
            })}
            <span role="gridcell" />
            <span role="gridcell" />
          </div>
        </div>
      </div>
      <PrintedSheet
        heading={`${frame.name} · comparatives in ${frame.currency}`}
        columns={labels.map((label, at) => ({ label, figures: at >= BEFORE }))}
        rows={printed}
      />
    </>
  );
};

const nothing = (): void => undefined;
