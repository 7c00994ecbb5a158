import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import { plural, quoted } from '@/core/base/result';
import { type AccountId, called } from '@/core/chart/account';
import { type Minor, NIL } from '@/core/money/minor';
import { readEntry } from '@/core/money/entry';
import { isBudget } from '@/core/openings/comparatives';
import { sided } from '../parts/figures';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import { type CellEdit, type DataColumn, DataSheet } from '../sheet/data-sheet';
import type { ComparativesView, Wish, useComparatives } from './use-comparatives';

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

type Row = ComparativesView['rows'][number];

/** The sheet of comparatives: an account a row, a year or month a column, and what they are apart from the opening figure. */
export const ComparativesGrid = ({ frame, columns, rows, comparatives, nets, apart, selected, onSelect }: Props) => {
  const { entered } = comparatives;
  const shown = (amount: Minor | undefined): string => (amount === undefined ? '' : sided(amount, frame));
  const read = (text: string): Minor | null | undefined => {
    const entry = readEntry(text, 'debit', { code: frame.currency, digits: frame.digits }, frame.style);
    return entry.ok ? (entry.value.kind === 'amount' ? entry.value.amount : null) : undefined;
  };
  const edit = (edits: readonly CellEdit[]): void => {
    const done = edits.map(({ at, column, text }) => ({ row: rows[at], column: Number(column), text, to: read(text) }));
    const [unread] = done.filter(({ to }) => to === undefined);
    comparatives.say(
      unread?.row === undefined || edits.length > 1
        ? []
        : [
            {
              code: 'amount',
              message: `${quoted(unread.text)} in ${called(unread.row)} does not read as an amount; it was not saved.`,
            },
          ],
    );
    const wishes = done.flatMap(({ row, column, to }): readonly Wish[] =>
      row === undefined || to === undefined ? [] : [{ account: row.id, column, to }],
    );
    comparatives.put(wishes);
    const lost = done.length - wishes.length;
    // What is emptied shows by itself.
    if (edits.length > 1 && edits.some(({ text }) => text !== ''))
      toast(
        `${plural(wishes.length, 'amount')} pasted${lost > 0 ? `; ${plural(lost, 'cell')} did not read as amounts` : ''}`,
      );
  };
  const offerLast = useLastChange(frame.id, ['comparative']);
  useUndoKeys({
    undo: () => {
      if (!comparatives.undo()) offerLast();
    },
    redo: comparatives.redo,
    typing: isTyping,
  });
  const data: readonly DataColumn<Row>[] = [
    {
      id: 'code',
      label: 'Code',
      width: '5rem',
      kind: 'text',
      text: ({ code }) => code,
      takes: false,
      stays: 'md:left-0',
      tone: 'text-ink-2',
    },
    {
      id: 'name',
      label: 'Account',
      width: 'minmax(10rem,1fr)',
      kind: 'text',
      text: ({ name }) => name,
      takes: false,
      stays: 'md:left-20',
    },
    ...columns.map(({ column, label }): DataColumn<Row> => ({
      id: String(column),
      label,
      width: '6.6rem',
      kind: 'figure',
      text: ({ id }) => shown(entered.get(id)?.get(column)),
      takes: true,
    })),
    {
      id: 'figure',
      label: 'Opening figure',
      width: '7.5rem',
      kind: 'figure',
      text: ({ figure }) => (figure === 0n ? '' : shown(figure)),
      takes: false,
      tone: 'text-ink-2',
    },
    {
      id: 'apart',
      label: 'Difference',
      width: '7rem',
      kind: 'figure',
      text: ({ id }) => shown(apart.get(id)),
      takes: false,
      tone: 'font-medium text-ochre',
    },
  ];
  const totals = Object.fromEntries(
    columns.flatMap(({ column }) => {
      const net = nets.get(column);
      return net === undefined ? [] : [[String(column), net === NIL && !isBudget(column) ? 'level' : shown(net)]];
    }),
  );
  return (
    <DataSheet<Row>
      label="Comparatives"
      heading={`${frame.name} · comparatives in ${frame.currency}`}
      columns={data}
      rows={rows}
      idOf={({ id }) => String(id)}
      nameOf={called}
      selected={selected === undefined ? undefined : String(selected)}
      onSelect={(id) => onSelect(rows.find((row) => String(row.id) === id)?.id)}
      open
      onEdit={edit}
      totals={{ ...totals, name: 'Net of each column' }}
      out={new Set([...nets].flatMap(([column, net]) => (net === NIL || isBudget(column) ? [] : [String(column)])))}
      empty="No account is found by these words."
    />
  );
};
