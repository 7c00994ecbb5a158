'use client';

import { useMemo, useState } from 'react';
import type { ListPreview } from '@/actions/schedules/bring';
import type { FrameView } from '@/actions/frame/views';
import { readYes } from '@/core/base/yes';
import type { ItemFields } from '@/core/schedules/item';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';
import { noteAt } from '../sheet/saved-rows';

type Brought = ListPreview['items'][number] & { readonly key: string };

interface Props {
  readonly frame: FrameView;
  readonly preview: ListPreview;
  /** How the schedule shows its items. */
  readonly columns: readonly DataColumn<ItemFields>[];
  /** Rows that stay out. */
  readonly leave: ReadonlySet<number>;
  readonly onLeave: (rows: readonly number[], stays: boolean) => void;
}

const TAKE = 'take';

/** What the things of a list are grouped by: stock has categories, the others classes. */
export const groupedBy = (columns: readonly Pick<DataColumn<ItemFields>, 'id'>[]): 'Category' | 'Class' =>
  columns.some(({ id }) => id === 'category') ? 'Category' : 'Class';

/** The rows of a list as the schedule would show them, each with whether it is taken; columns that say nothing are left away. */
export const BroughtRows = ({ frame, preview, columns, leave, onLeave }: Props) => {
  const [selected, setSelected] = useState<string | undefined>();
  const rows = useMemo(
    () => preview.items.map((one, at): Brought => ({ ...one, key: `${String(one.row)}/${String(at)}` })),
    [preview.items],
  );
  const isOut = ({ row, problems }: Brought): boolean => problems.length > 0 || leave.has(row);
  const textOf = (column: DataColumn<ItemFields>, { item, makes }: Brought): string =>
    column.id === 'contact' && makes !== null ? `${preview.contacts[makes]?.name ?? ''} (new)` : column.text(item);
  const told = useMemo(
    () => columns.filter((column) => column.id === 'open' || rows.some((row) => textOf(column, row) !== '')),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what a cell says hangs on the columns and the rows alone
    [columns, rows],
  );
  const own = (
    id: string,
    label: string,
    width: string,
    text: (row: Brought) => string,
    more: Partial<DataColumn<Brought>> = {},
  ): DataColumn<Brought> => ({ id, label, width, kind: 'text', text, takes: false, ...more });
  return (
    <div className="-mx-4 mt-2 flex min-h-64 flex-1 flex-col bg-paper">
      <DataSheet<Brought>
        label="Rows of the list"
        heading={`${frame.name} · ${preview.name}, as it would be taken`}
        columns={[
          own(TAKE, 'Take', '4rem', (row) => (row.problems.length > 0 ? '' : isOut(row) ? 'no' : 'yes'), {
            kind: 'check',
            takes: true,
            stays: 'md:left-0',
          }),
          own('row', 'Row', '3.6rem', ({ row }) => String(row), { stays: 'md:left-16' }),
          ...(preview.groups.length > 1 ? [own('group', groupedBy(columns), '8rem', ({ group }) => group)] : []),
          ...told.map((column): DataColumn<Brought> => ({
            ...column,
            takes: false,
            text: (row) => textOf(column, row),
          })),
        ]}
        rows={rows}
        idOf={({ key }) => key}
        nameOf={({ row }) => `row ${String(row)}`}
        selected={selected}
        onSelect={setSelected}
        open
        toneOf={(row) => (isOut(row) ? 'text-ink-2 line-through' : '')}
        noteOf={({ problems }, column) => noteAt({ unread: {}, refused: problems }, column, 'row', [])}
        onEdit={(edits) => {
          for (const stays of [true, false])
            onLeave(
              edits.flatMap(({ at, column, text }) => {
                const row = rows[at];
                const read = readYes(text, column, false);
                return column === TAKE && row !== undefined && read.ok && read.value !== stays ? [row.row] : [];
              }),
              stays,
            );
        }}
        empty=""
      />
    </div>
  );
};
