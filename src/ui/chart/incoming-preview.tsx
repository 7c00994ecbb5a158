'use client';

import { useState } from 'react';
import { plural } from '@/core/base/result';
import { type IncomingPlan, type PlannedRow, type RowChoice, type RowStatus, isMade } from '@/core/chart/incoming';
import {
  BY_RULE,
  CLASHES,
  type IncomingColumn,
  STATUS_WORDS,
  decided,
  incomingText,
} from '@/core/chart/incoming-cells';
import { CLASSIFICATIONS } from '@/core/ledger/classes';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';
import { type SheetRow, noteAt } from '../sheet/saved-rows';
import type { RowChoicesHeld } from './use-row-choices';

const ORDER = ['problem', 'changes', 'new', 'kept', 'same', 'skipped'] as const;
const NO_CHOICE: RowChoice = {};

export const PREVIEW_KEYS = [
  ['Ctrl Enter', 'take the rows over'],
  ['type, Enter or F2', 'put a cell right'],
  ['Space', 'on a check: take the chosen rows, or leave them out'],
  ['Tab', 'go to the next cell; after Esc, Tab leaves the sheet'],
  ['Ctrl Z, Ctrl Shift Z', 'a step back, and again'],
] as const;

/** "12 new, 3 with a problem": what a plan would do, in one line. */
export const sayPlan = ({ counts }: Pick<IncomingPlan, 'counts'>): string => {
  const parts = [
    ...(counts.new > 0 ? [`${counts.new} new`] : []),
    ...(counts.changes > 0 ? [`${counts.changes} changed`] : []),
    ...(counts.kept > 0 ? [`${counts.kept} staying as they are`] : []),
    ...(counts.same > 0 ? [`${counts.same} the same`] : []),
    ...(counts.problem > 0 ? [plural(counts.problem, 'problem')] : []),
    ...(counts.skipped > 0 ? [`${counts.skipped} skipped`] : []),
  ];
  return parts.length === 0 ? 'nothing yet' : parts.join(', ');
};

interface Props {
  /** Stands above the rows on paper. */
  readonly heading: string;
  readonly plan: IncomingPlan;
  readonly held: RowChoicesHeld;
  readonly height: string;
}

/** The accounts that would be taken over, each with what becomes of it and what is wrong with it, put right in its cells. */
export const IncomingPreview = ({ heading, plan, held: { choices, choose }, height }: Props) => {
  const [only, setOnly] = useState<RowStatus | 'all'>('all');
  const [selected, setSelected] = useState<string | undefined>();
  const [unread, setUnread] = useState<ReadonlyMap<number, SheetRow<unknown>['unread']>>(new Map());
  const choiceOf = ({ row }: PlannedRow): RowChoice => choices.get(row) ?? NO_CHOICE;
  // What was put right stays in sight, although it is no problem any more.
  const shown = only === 'all' ? plan.rows : plan.rows.filter((one) => one.status === only || choices.has(one.row));
  const column = (
    id: IncomingColumn,
    label: string,
    width: string,
    more: Partial<DataColumn<PlannedRow>> = {},
  ): DataColumn<PlannedRow> => ({
    id,
    label,
    width,
    kind: 'text',
    takes: true,
    text: (row) => unread.get(row.row)?.[id]?.text ?? incomingText(row, choiceOf(row), id),
    ...more,
  });
  const columns: readonly DataColumn<PlannedRow>[] = [
    column('take', 'Take', '4rem', { kind: 'check', stays: 'md:left-0' }),
    column('row', 'Row', '3.6rem', { takes: false, stays: 'md:left-16' }),
    column('code', 'Code', '6rem'),
    column('name', 'Account', 'minmax(11rem, 1.4fr)'),
    column('happens', 'What happens', 'minmax(13rem, 1.6fr)', { takes: false }),
    column('classification', 'Statement line', 'minmax(10rem, 1fr)', {
      kind: 'choice',
      choices: CLASSIFICATIONS.map(({ id, one }) => ({ key: id, code: '', name: one })),
    }),
    column('parent', 'Under', 'minmax(8rem, 1fr)'),
    ...(plan.rows.some(({ clash }) => clash)
      ? [
          column('clash', 'Where it differs', '11rem', {
            kind: 'choice' as const,
            choices: [{ key: '', name: BY_RULE }, ...CLASHES.map(({ id, label }) => ({ key: id, name: label }))].map(
              (one) => ({ ...one, code: '' }),
            ),
          }),
        ]
      : []),
  ];
  const told = plan.rows.find(({ row }) => String(row) === selected);
  return (
    <section aria-label="Preview" className="flex min-w-0 flex-col">
      <p className="flex flex-wrap items-center gap-2 py-1.5 text-sm">
        <span role="status">{sayPlan(plan)}.</span>
        <label className="ml-auto flex items-center gap-1.5">
          Show
          <select
            value={only}
            onChange={(event) => setOnly(event.target.value as typeof only)}
            className="select select-sm w-auto"
          >
            <option value="all">all {plan.rows.length} rows</option>
            {ORDER.filter((status) => plan.counts[status] > 0 || status === only).map((status) => (
              <option key={status} value={status}>
                {STATUS_WORDS[status]}: {plan.counts[status]}
              </option>
            ))}
          </select>
        </label>
      </p>
      <p role="status" className="min-h-6 text-sm">
        {told !== undefined && (told.problems.length > 0 || told.why !== '') && (
          <>
            {isMade(told) ? 'This heading' : `Row ${String(told.row)}`}:{' '}
            {told.problems.length > 0 ? (
              <span className="text-brick">{told.problems.map(({ message }) => message).join(' ')}</span>
            ) : (
              `its statement line is chosen because ${told.why}.`
            )}
          </>
        )}
      </p>
      <div className="-mx-4 flex min-h-48 flex-col bg-paper" style={{ height }}>
        <DataSheet<PlannedRow>
          label="Rows of the preview"
          heading={heading}
          columns={columns}
          rows={shown}
          idOf={({ row }) => String(row)}
          nameOf={({ row }) => `row ${String(row)}`}
          selected={selected}
          onSelect={setSelected}
          open
          closed={isMade}
          toneOf={({ status, heading: isHeading }) =>
            status === 'skipped' ? 'text-ink-2 line-through' : isHeading ? 'font-semibold' : ''
          }
          noteOf={({ row, problems, why }, id) =>
            noteAt({ unread: unread.get(row) ?? {}, refused: problems }, id, 'happens', []) ??
            (id === 'happens' && problems[0] !== undefined
              ? { tone: 'wrong', says: problems.map(({ message }) => message).join(' ') }
              : id === 'classification' && why !== ''
                ? { tone: 'asked', says: why }
                : undefined)
          }
          onEdit={(edits) => {
            const next = new Map<number, RowChoice>();
            const odd = new Map(unread);
            for (const { at, column: id, text } of edits) {
              const row = shown[at];
              if (row === undefined) continue;
              const done = decided(next.get(row.row) ?? choiceOf(row), id as IncomingColumn, text);
              const { [id]: _, ...others } = odd.get(row.row) ?? {};
              odd.set(row.row, done.ok ? others : { ...others, [id]: { text, says: done.problems[0]?.message ?? '' } });
              if (done.ok) next.set(row.row, done.value);
            }
            setUnread(odd);
            if (next.size > 0) choose(next);
          }}
          empty={only === 'all' ? 'No row of the file is an account.' : 'No row is like this.'}
        />
      </div>
    </section>
  );
};
