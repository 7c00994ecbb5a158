import { type Currency } from '@/core/money/currency';
import { memo, useMemo, useSyncExternalStore } from 'react';
import type { FrameView } from '@/actions/frame/views';
import type { OpeningRowView } from '@/actions/openings/views';
import type { AccountId } from '@/core/chart/account';
import { type Minor, NIL } from '@/core/money/minor';
import { writtenParts } from '@/core/openings/in-currency';
import { type Totals, totalsOf } from '@/core/ledger/level';
import { type SheetColumn, columnOf, takesAmounts } from '@/core/openings/sheet';
import { accountFault } from '@/core/openings/account-fault';
import { sided, figure as write } from '../parts/figures';
import type { Cell } from '../sheet/cells';
import { isDragged, press } from '../sheet/drag';
import type { Figure, Figures } from './figures';

export const ROW = 30;

const WIDTHS: Readonly<Record<SheetColumn, string>> = {
  code: 'clamp(4.2rem,8.2%,5rem)',
  name: 'minmax(8.4rem,clamp(21rem,30%,40rem))',
  foreign: 'clamp(7.6rem,14%,8.5rem)',
  debit: 'clamp(7rem,12.4%,7.5rem)',
  credit: 'clamp(7rem,12.4%,7.5rem)',
  before: 'clamp(6.7rem,11%,7.5rem)',
  where: 'minmax(6.2rem,1fr)',
};
/** On a phone only the account and its two amounts have room. */
const NARROW: ReadonlySet<SheetColumn> = new Set(['code', 'name', 'debit', 'credit']);
const hidden = (column: SheetColumn): string => (NARROW.has(column) ? '' : 'max-md:hidden');

export const ROW_CLASS =
  'grid grid-cols-[3.6rem_minmax(7rem,1fr)_6.5rem_6.5rem] md:grid-cols-[var(--columns)] border-hairline text-[0.8125rem]';
export const widthsOf = (columns: readonly SheetColumn[]): string => columns.map((column) => WIDTHS[column]).join(' ');

export const TITLES: Readonly<Record<SheetColumn, (currency: Currency) => string>> = {
  code: () => 'Code',
  name: () => 'Account',
  foreign: () => 'In currency',
  debit: (currency) => `Debit ${currency}`,
  credit: (currency) => `Credit ${currency}`,
  before: () => 'Version before',
  where: () => 'Where from',
};

export const HeaderRow = ({
  columns,
  currency,
}: {
  readonly columns: readonly SheetColumn[];
  readonly currency: Currency;
}) => (
  <div
    role="row"
    aria-rowindex={1}
    className={`${ROW_CLASS} sticky top-0 z-20 border-b border-ink bg-paper text-[0.78rem] font-semibold text-ink-2`}
  >
    {columns.map((column) => (
      <span
        key={column}
        role="columnheader"
        className={`py-1.5 ${column === 'code' ? 'pl-4' : ''} ${takesAmounts(column) || column === 'before' ? 'px-2 text-right' : ''} ${column === 'where' ? 'px-3' : ''} ${hidden(column)}`}
      >
        {TITLES[column](currency)}
      </span>
    ))}
  </div>
);

/** A wish to stand on an account's amount; a new object each time, so that the same account can be asked for again. */
export interface Landing {
  readonly account: AccountId;
}

interface RowProps {
  readonly row: OpeningRowView;
  readonly columns: readonly SheetColumn[];
  /** The posting accounts under a heading, at any depth. */
  readonly under: readonly AccountId[];
  readonly at: number;
  readonly start: number;
  readonly figures: Figures;
  readonly frame: FrameView;
  readonly where: (row: OpeningRowView) => string;
  /** The figure of the version before. */
  readonly before: Minor;
  /** What is doubtful about the figure beside others, or beside its amounts in currency. */
  readonly doubt: string | undefined;
  readonly column: number;
  readonly from: number;
  readonly to: number;
  readonly editor: React.ReactNode;
  readonly onPoint: (cell: Cell, extend: boolean) => void;
  readonly onEdit: () => void;
}

/** What the accounts come to on each side; anew after each kept change, not while somebody types. */
const useSubtotal = (figures: Figures, accounts: readonly AccountId[]): Totals | undefined => {
  const version = useSyncExternalStore(figures.watch, figures.version, figures.version);
  return useMemo(
    () => (accounts.length === 0 ? undefined : totalsOf(accounts.map((id) => figures.get(id).amount ?? NIL))),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the version tells of changed figures
    [figures, accounts, version],
  );
};

/** What a cell says, on the screen and on paper; of a heading, what stands under it. */
export const textIn = (
  column: SheetColumn,
  row: OpeningRowView,
  figure: Figure,
  {
    frame,
    subtotal,
    before,
    where,
  }: {
    readonly frame: FrameView;
    readonly subtotal: Totals | undefined;
    readonly before: Minor;
    readonly where: string;
  },
): string => {
  switch (column) {
    case 'code':
      return row.code;
    case 'name':
      return row.name;
    case 'debit':
    case 'credit': {
      const typed = figure.state === 'unreadable' && figure.typed?.column === column ? figure.typed.text : undefined;
      if (row.heading) {
        const side = column === 'debit' ? subtotal?.debits : subtotal?.credits;
        return side === undefined || side === 0n ? '' : write(side, frame);
      }
      return typed ?? (figure.amount !== null && columnOf(figure.amount) === column ? write(figure.amount, frame) : '');
    }
    case 'foreign':
      return figure.state === 'unreadable' && figure.typed?.column === column
        ? figure.typed.text
        : writtenParts(figure, frame.style);
    case 'before':
      return row.heading || (before === 0n && figure.amount === null) ? '' : sided(before, frame);
    case 'where':
      return where;
  }
};

/** Rows are equal while nothing of theirs changed; the callbacks that differ each time matter only to the active row. */
const sameRow = (a: RowProps, b: RowProps): boolean =>
  a.column < 0 &&
  b.column < 0 &&
  a.row === b.row &&
  a.columns === b.columns &&
  a.under === b.under &&
  a.at === b.at &&
  a.start === b.start &&
  a.from === b.from &&
  a.to === b.to &&
  a.before === b.before &&
  a.doubt === b.doubt &&
  a.frame === b.frame &&
  a.figures === b.figures;

const STATES: Readonly<Partial<Record<Figure['state'], string>>> = {
  clash: 'changed by somebody else',
  failed: 'not saved',
  unreadable: 'not an amount',
};

export const GridRow = memo((props: RowProps) => {
  const { row, columns, under, at, start, figures, frame, where, before, doubt, column, from, to } = props;
  const { editor, onPoint, onEdit } = props;
  const figure = useSyncExternalStore(
    (listener) => figures.subscribe(row.id, listener),
    () => figures.get(row.id),
    () => figures.get(row.id),
  );
  const subtotal = useSubtotal(figures, row.heading ? under : NOBODY);
  const fault =
    figure.amount === null ? undefined : (accountFault(row, figure.amount, frame.atYearStart)?.says ?? doubt);
  const wrong = STATES[figure.state];

  const around = { frame, subtotal, before, where: where(row) };
  return (
    <div
      role="row"
      data-row={row.heading ? undefined : row.id}
      aria-rowindex={at + 2}
      className={`${ROW_CLASS} absolute inset-x-0 border-b ${row.heading ? 'bg-paper-2 font-semibold' : ''} ${column >= 0 ? 'bg-madder-wash' : ''}`}
      style={{ height: ROW, transform: `translateY(${String(start)}px)` }}
    >
      {columns.map((own, index) => {
        const here = index === column;
        const chosen = index >= from && index <= to;
        const amount = takesAmounts(own);
        const text = textIn(own, row, figure, around);
        const differs = own === 'before' && before !== (figure.amount ?? NIL);
        return (
          <div
            key={own}
            role="gridcell"
            tabIndex={here ? 0 : -1}
            aria-colindex={index + 1}
            aria-selected={chosen}
            aria-invalid={wrong !== undefined && amount && text !== '' ? true : undefined}
            aria-readonly={!amount || row.heading ? true : undefined}
            onMouseDown={(event) => {
              if (here && editor !== undefined) return;
              event.preventDefault();
              press(event);
              onPoint({ row: at, column: index }, event.shiftKey);
            }}
            onMouseEnter={(event) =>
              isDragged(event) && editor === undefined && onPoint({ row: at, column: index }, true)
            }
            onDoubleClick={onEdit}
            className={`relative flex min-w-0 items-center outline-offset-[-2px] ${hidden(own)} ${own === 'code' ? 'pl-4 text-ink-2 font-normal' : ''} ${amount || own === 'before' ? 'justify-end border-l border-hairline px-2' : ''} ${own === 'where' ? 'border-l border-hairline px-3' : ''} ${chosen && from !== to ? 'bg-madder-wash' : ''} ${here ? 'sheet-active' : ''} ${amount && wrong !== undefined ? 'text-brick' : ''}`}
          >
            {here && editor !== undefined ? (
              editor
            ) : own === 'where' ? (
              <span className="truncate text-xs text-ink-2">
                {wrong !== undefined ? (
                  <span className="font-medium text-brick">▲ {wrong} </span>
                ) : fault !== undefined ? (
                  <span className="font-medium text-ochre">▲ {fault} </span>
                ) : null}
                {text}
              </span>
            ) : own === 'name' ? (
              <span className="truncate" title={text} style={{ paddingLeft: `${String(row.depth * 0.9)}rem` }}>
                {text} {!row.active && <span className="ml-1 text-xs font-normal text-ink-2">inactive</span>}
                {(wrong !== undefined || fault !== undefined) && (
                  <span className="ml-1.5 text-ochre md:hidden" aria-hidden>
                    ▲
                  </span>
                )}
              </span>
            ) : (
              <span
                className={`truncate ${row.heading ? 'font-normal text-ink-2' : ''} ${own === 'foreign' ? 'text-xs' : ''} ${own === 'before' ? `text-xs ${differs ? 'font-medium' : 'text-ink-2'}` : ''}`}
                title={own === 'foreign' ? text : undefined}
              >
                {text}
              </span>
            )}
          </div>
        );
      })}
    </div>
  );
}, sameRow);
GridRow.displayName = 'GridRow';

export const NOBODY: readonly AccountId[] = [];

export const TotalsRow = ({
  columns,
  figures,
  frame,
  rowIndex,
}: {
  readonly columns: readonly SheetColumn[];
  readonly figures: Figures;
  readonly frame: FrameView;
  readonly rowIndex: number;
}) => {
  const { debits, credits } = useSyncExternalStore(figures.watch, figures.totals, figures.totals);
  return (
    <div
      role="row"
      aria-rowindex={rowIndex}
      className={`${ROW_CLASS} sticky bottom-0 z-10 border-t border-ink bg-paper pb-1 font-semibold`}
    >
      {columns.map((column) => (
        <span
          key={column}
          role="gridcell"
          className={`py-1.5 ${hidden(column)} ${column === 'debit' || column === 'credit' ? 'border-b-[3px] border-double border-ink px-2 text-right' : ''}`}
        >
          {column === 'name'
            ? 'Totals'
            : column === 'debit'
              ? write(debits, frame)
              : column === 'credit'
                ? write(credits, frame)
                : ''}
        </span>
      ))}
    </div>
  );
};
