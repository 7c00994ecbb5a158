'use client';

import { type CSSProperties, useCallback, useEffect, useMemo } from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import type { OpeningRowView } from '@/actions/openings/views';
import type { AccountId } from '@/core/chart/account';
import { normalSide } from '@/core/ledger/classes';
import { difference, totalsOf } from '@/core/ledger/level';
import { type Minor, NIL, negate } from '@/core/money/minor';
import { takesForeign, writtenParts } from '@/core/openings/in-currency';
import {
  type SheetColumn,
  type SheetMoney,
  type SheetRow,
  columnOf,
  copiedRow,
  pastedCells,
  takesAmounts,
  typedCell,
} from '@/core/openings/sheet';
import { readClipboard } from '@/core/files/clipboard';
import { plural } from '@/core/base/result';
import { sided, figure as write } from '../parts/figures';
import { day } from '../parts/names';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import type { Range } from '../sheet/cells';
import { type PrintedRow, PrintedSheet } from '../sheet/printed-sheet';
import { useSheet } from '../sheet/use-sheet';
import { CellEditor } from '../sheet/cell-editor';
import type { Change, Figure, Figures, Rejected } from './figures';
import { GridRow, HeaderRow, type Landing, NOBODY, ROW, TITLES, TotalsRow, textIn, widthsOf } from './grid-row';

interface GridProps {
  readonly frame: FrameView;
  readonly columns: readonly SheetColumn[];
  readonly rows: readonly OpeningRowView[];
  /** All rows, also those that a filter hides: a heading's subtotal is that of the chart. */
  readonly tree: readonly OpeningRowView[];
  readonly figures: Figures;
  readonly money: SheetMoney;
  readonly editable: boolean;
  readonly where: (row: OpeningRowView) => string;
  readonly before: (row: OpeningRowView) => Minor;
  readonly doubt: (row: OpeningRowView, figure: Figure) => string | undefined;
  readonly selected: AccountId | undefined;
  readonly onSelect: (account: AccountId | undefined) => void;
  readonly landing: Landing | undefined;
}

/** The keyboard grid (W3C grid pattern) of accounts by their amounts, with only the rows in sight in the page. */
export const OpeningsGrid = ({
  frame,
  columns,
  rows,
  tree,
  figures,
  money,
  editable,
  where,
  before,
  doubt,
  selected,
  onSelect,
  landing,
}: GridProps) => {
  const [debitAt, creditAt] = [columns.indexOf('debit'), columns.indexOf('credit')];
  const under = useMemo(() => accountsUnder(tree), [tree]);

  const kindOf = useCallback(
    (row: OpeningRowView): SheetRow => ({
      currency: row.currency,
      foreign: takesForeign(row, frame.currency),
      normal: normalSide(row),
    }),
    [frame.currency],
  );

  /** Whether a cell takes an amount. */
  const takes = (row: OpeningRowView, at: number): boolean => {
    const column = columns[at];
    return (
      editable &&
      !row.heading &&
      column !== undefined &&
      takesAmounts(column) &&
      (column !== 'foreign' || kindOf(row).foreign)
    );
  };
  const sheet = useSheet({
    rows,
    idOf: ({ id }) => id,
    columns: columns.length,
    height: ROW,
    start: {
      row: Math.max(
        0,
        rows.findIndex((row) => !row.heading),
      ),
      column: debitAt,
    },
    selected,
    onSelect,
    takes,
    opens: takes,
    empty: (chosen) => empty(chosen),
    copied: ({ left, right, ...chosen }) =>
      chosenRows(chosen)
        .map((row) =>
          copiedRow(
            { ...row, ...figures.get(row.id), before: before(row), where: where(row) },
            columns.slice(left, right + 1),
            frame.digits,
            frame.style,
          ),
        )
        .join('\n'),
    paste: (text, chosen) => paste(text, chosen),
  });
  const { active, typing } = sheet.state;
  const { top, bottom, left, right } = sheet.range;

  // A link from elsewhere lands on the account's amount cell.
  useEffect(() => {
    const at = landing === undefined ? -1 : rows.findIndex((row) => row.id === landing.account);
    const amount = at < 0 ? null : (rows[at]?.amount ?? null);
    if (at >= 0) sheet.go({ row: at, column: amount !== null && columnOf(amount) === 'credit' ? creditAt : debitAt });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once per wish, not whenever rows change
  }, [landing]);

  const offerLast = useLastChange(frame.id, ['figure']);
  useUndoKeys({
    undo: () => {
      const at = figures.undo();
      if (at === undefined) offerLast();
      else show(at);
    },
    redo: () => show(figures.redo()),
    typing: () => typing !== undefined || isTyping(),
  });
  const show = (account: AccountId | undefined): void => {
    const at = rows.findIndex((one) => one.id === account);
    if (at >= 0) sheet.go({ row: at, column: active.column });
  };

  const keep = (text: string): void => {
    const row = rows[active.row];
    const column = columns[active.column];
    if (row === undefined || column === undefined || !takesAmounts(column)) return;
    const standing = figures.get(row.id);
    const read = typedCell(standing, kindOf(row), column, text, money);
    if (read.ok) {
      if (standing.state === 'unreadable') figures.forget(row.id);
      figures.put([{ account: row.id, ...read.value }]);
    } else figures.put([], [{ account: row.id, typed: { text, column }, says: read.problems[0]?.message ?? '' }]);
    figures.draft(row.id, undefined);
  };

  const draft = useCallback(
    (row: OpeningRowView, column: SheetColumn | undefined, text: string): void => {
      const read =
        column !== undefined && takesAmounts(column)
          ? typedCell(figures.get(row.id), kindOf(row), column, text, money)
          : undefined;
      figures.draft(row.id, read?.ok === true ? read.value.amount : undefined);
    },
    [figures, kindOf, money],
  );

  /** The figure that would make debits and credits equal, for an empty cell of amounts. */
  const balancing = (row: OpeningRowView): string | undefined => {
    const net = difference(figures.totals());
    const column = columns[active.column];
    return figures.get(row.id).amount !== null || net === NIL || column === 'foreign'
      ? undefined
      : sided(negate(net), frame);
  };

  /** What an opened cell shows to be changed: what was typed there before and could not be read, else what stands. */
  const openedText = (row: OpeningRowView, column: SheetColumn | undefined): string => {
    const standing = figures.get(row.id);
    if (column === undefined) return '';
    return standing.state === 'unreadable' && standing.typed?.column === column
      ? standing.typed.text
      : editedText(standing, column, frame);
  };

  const chosenRows = ({ top, bottom }: Pick<Range, 'top' | 'bottom'>): readonly OpeningRowView[] =>
    rows.slice(top, bottom + 1);
  const empty = (range: Range): void => {
    if (!editable) return;
    const chosen = new Set(columns.slice(range.left, range.right + 1));
    const changes = chosenRows(range).flatMap((row): Change[] => {
      const figure = figures.get(row.id);
      if (row.heading || figure.amount === null) return [];
      if (chosen.has(columnOf(figure.amount))) return [{ account: row.id, amount: null }];
      return chosen.has('foreign') && figure.parts.length > 0
        ? [{ account: row.id, amount: figure.amount, parts: [] }]
        : [];
    });
    for (const row of chosenRows(range)) if (figures.get(row.id).state === 'unreadable') figures.forget(row.id);
    figures.put(changes);
  };

  const paste = (text: string, range: Range): void => {
    const { top, left } = range;
    if (!editable) return;
    const table = readClipboard(text);
    // One copied row fills a chosen range; otherwise rows go one under another, headings being passed over.
    const targets = (table.length === 1 ? chosenRows(range) : rows.slice(top)).filter((row) => !row.heading);
    const sources =
      table.length === 1
        ? targets.map(() => table[0] ?? [])
        : table.filter((cells) => !(cells.length > 2 && cells.slice(2).every((cell) => cell === '') && left < debitAt));
    const from = columns[left] ?? 'debit';
    const changes: Change[] = [];
    const unread: Rejected[] = [];
    sources.forEach((cells, at) => {
      const row = targets[at];
      if (row === undefined) return;
      const read = pastedCells(figures.get(row.id), kindOf(row), cells, from, columns, money);
      if (read?.ok === true) changes.push({ account: row.id, ...read.value });
      else if (read !== undefined)
        unread.push({
          account: row.id,
          typed: { text: cells.join(' ').trim(), column: takesAmounts(from) ? from : 'debit' },
          says: read.problems[0]?.message ?? '',
        });
    });
    const over = Math.max(0, sources.length - targets.length);
    figures.put(changes, unread);
    const said = [
      `${plural(changes.length, 'figure')} pasted`,
      ...(unread.length > 0 ? [`${plural(unread.length, 'cell')} did not read as amounts and are marked`] : []),
      ...(over > 0 ? [`${plural(over, 'row')} went beyond the last account and were left`] : []),
    ];
    toast(said.join('; '));
  };

  const printed = (): readonly PrintedRow[] => {
    const { debits, credits } = figures.totals();
    const sums: Partial<Record<SheetColumn, string>> = {
      name: 'Totals',
      debit: write(debits, frame),
      credit: write(credits, frame),
    };
    return [
      ...rows.map((row): PrintedRow => {
        const own = under.get(row.id) ?? NOBODY;
        const around = {
          frame,
          subtotal: own.length === 0 ? undefined : totalsOf(own.map((id) => figures.get(id).amount ?? NIL)),
          before: before(row),
          where: where(row),
        };
        return {
          id: row.id,
          cells: columns.map((column) => textIn(column, row, figures.get(row.id), around)),
          depth: row.depth,
          ...(row.heading ? { kind: 'heading' as const } : {}),
        };
      }),
      { id: 'totals', cells: columns.map((column) => sums[column] ?? ''), kind: 'total' },
    ];
  };

  return (
    <>
      <div
        {...sheet.grid}
        role="grid"
        aria-label="Opening balances"
        aria-rowcount={rows.length + 2}
        aria-colcount={columns.length}
        aria-multiselectable
        className="sheet no-print min-h-0 flex-1 overflow-auto"
        style={{ '--columns': widthsOf(columns) } as CSSProperties}
      >
        <HeaderRow columns={columns} currency={frame.currency} />
        <div role="rowgroup" className="relative" style={{ height: sheet.virtual.getTotalSize() }}>
          {sheet.virtual.getVirtualItems().map((item) => {
            const row = rows[item.index];
            if (row === undefined) return null;
            const chosen = item.index >= top && item.index <= bottom;
            const here = item.index === active.row;
            return (
              <GridRow
                key={row.id}
                row={row}
                columns={columns}
                under={under.get(row.id) ?? NOBODY}
                at={item.index}
                start={item.start}
                figures={figures}
                frame={frame}
                where={where}
                before={before(row)}
                doubt={row.heading ? undefined : doubt(row, figures.get(row.id))}
                column={here ? active.column : -1}
                from={chosen ? left : -1}
                to={chosen ? right : -1}
                onPoint={sheet.point}
                editor={
                  typing !== undefined && here ? (
                    <CellEditor
                      initial={typing.text ?? openedText(row, columns[active.column])}
                      label={`${row.code} ${row.name}, ${columns[active.column] === 'foreign' ? 'in currency' : (columns[active.column] ?? '')}`}
                      proposes={() => balancing(row)}
                      onDraft={(text) => draft(row, columns[active.column], text)}
                      onCancel={() => {
                        figures.draft(row.id, undefined);
                        sheet.close();
                      }}
                      onKeep={(text, leave) => {
                        keep(text);
                        sheet.leave(leave);
                      }}
                    />
                  ) : undefined
                }
                onEdit={() => sheet.begin(undefined)}
              />
            );
          })}
        </div>
        <TotalsRow columns={columns} figures={figures} frame={frame} rowIndex={rows.length + 2} />
      </div>
      <PrintedSheet
        heading={`${frame.name} · opening balances at close of ${day(frame.openingDate, frame.dates)} in ${frame.currency}${editable ? ' · draft' : ''}`}
        columns={columns.map((column) => ({
          label: TITLES[column](frame.currency),
          figures: takesAmounts(column) || column === 'before',
          names: column === 'name',
        }))}
        rows={printed}
      />
    </>
  );
};

const editedText = (figure: Figure, column: SheetColumn, frame: FrameView): string => {
  if (column === 'foreign') return figure.parts.length === 1 ? writtenParts(figure, frame.style) : '';
  const shows = figure.amount !== null && columnOf(figure.amount) === column ? write(figure.amount, frame) : '';
  return shows === '·' ? '0' : shows;
};

/** The posting accounts under each heading, at any depth, of rows in the order of the chart. */
const accountsUnder = (rows: readonly OpeningRowView[]): ReadonlyMap<AccountId, readonly AccountId[]> => {
  const found = new Map<AccountId, AccountId[]>();
  const above: OpeningRowView[] = [];
  for (const row of rows) {
    while ((above.at(-1)?.depth ?? -1) >= row.depth) above.pop();
    if (row.heading) {
      above.push(row);
      found.set(row.id, []);
    } else for (const heading of above) found.get(heading.id)?.push(row.id);
  }
  return found;
};
