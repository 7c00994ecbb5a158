'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, useState } from 'react';
import { CLASSIFICATIONS, type Classification, classFacts } from '@/core/ledger/classes';
import { FIELD_WORDS } from '@/core/chart/edit';
import type { IncomingPlan, PlannedRow, RowChoice, RowStatus } from '@/core/chart/incoming';
import { plural, isAt } from '@/core/base/result';

const SAY: Readonly<Record<RowStatus, string>> = {
  new: 'new',
  changes: 'changes',
  same: 'same',
  problem: 'has a problem',
  kept: 'stays as it is',
  skipped: 'skipped',
};
const ORDER = ['problem', 'changes', 'new', 'kept', 'same', 'skipped'] as const;

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
  readonly plan: IncomingPlan;
  readonly choices: ReadonlyMap<number, RowChoice>;
  /** Without it nothing can be put right in the preview. */
  readonly onChoice?: (row: number, choice: RowChoice) => void;
  readonly height?: string;
}

const HEIGHT = 34;

/** The rows that would be taken over, each with its status and what is wrong with it, to be put right in place. */
export const IncomingPreview = ({ plan, choices, onChoice, height = '24rem' }: Props) => {
  const scroller = useRef<HTMLDivElement>(null);
  const [only, setOnly] = useState<RowStatus | 'all'>('all');
  const shown = only === 'all' ? plan.rows : plan.rows.filter((row) => row.status === only);
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: (at) => HEIGHT + (shown[at]?.problems.length ?? 0) * 20,
    getItemKey: (at) => `${String(shown[at]?.row ?? at)}${String(shown[at]?.problems.length ?? 0)}`,
    overscan: 8,
    initialRect: { width: 900, height: 400 },
  });
  return (
    <section aria-label="Preview" className="min-w-0">
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
            {ORDER.filter((status) => plan.counts[status] > 0).map((status) => (
              <option key={status} value={status}>
                {SAY[status]}: {plan.counts[status]}
              </option>
            ))}
          </select>
        </label>
      </p>
      <div
        ref={scroller}
        tabIndex={0}
        role="table"
        aria-label="Rows of the preview"
        aria-rowcount={shown.length + 1}
        className="overflow-auto border-y border-rule"
        style={{ maxHeight: height }}
      >
        <div
          role="row"
          aria-rowindex={1}
          className="preview-row sticky top-0 z-10 border-b border-ink bg-paper text-[0.78rem] font-semibold text-ink-2"
        >
          {['Row', 'Code', 'Account', 'Statement line', 'Under', 'What happens'].map((label) => (
            <span key={label} role="columnheader" className="py-1.5">
              {label}
            </span>
          ))}
        </div>
        <div role="rowgroup" className="relative" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map((item) => {
            const row = shown[item.index];
            return row === undefined ? null : (
              <div
                key={item.key}
                ref={virtual.measureElement}
                data-index={item.index}
                role="row"
                aria-rowindex={item.index + 2}
                className="absolute inset-x-0 border-b border-hairline text-[0.8125rem]"
                style={{ transform: `translateY(${String(item.start)}px)` }}
              >
                <PreviewRow row={row} choice={choices.get(row.row) ?? {}} onChoice={onChoice} />
              </div>
            );
          })}
        </div>
      </div>
    </section>
  );
};

const PreviewRow = ({
  row,
  choice,
  onChoice,
}: {
  readonly row: PlannedRow;
  readonly choice: RowChoice;
  readonly onChoice: Props['onChoice'];
}) => {
  const made = row.row >= 1_000_000;
  const fixable = onChoice !== undefined && !made && (row.status === 'problem' || choice.fix !== undefined);
  const fix = (change: NonNullable<RowChoice['fix']>): void =>
    onChoice?.(row.row, { ...choice, fix: { ...choice.fix, ...change } });
  const text = (field: 'code' | 'name', value: string, label: string) =>
    fixable ? (
      <input
        aria-label={`${label} of row ${String(row.row)}`}
        defaultValue={value}
        key={value}
        onBlur={(event) => event.target.value.trim() !== value && fix({ [field]: event.target.value.trim() })}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        className="input input-xs w-full"
      />
    ) : (
      <span className={`truncate ${row.heading ? 'font-semibold' : ''}`} title={value}>
        {value}
      </span>
    );
  return (
    <>
      <div className="preview-row min-h-[33px] items-center">
        <span role="cell" className="text-ink-2">
          {made ? '+' : row.row}
        </span>
        <span role="cell" className="min-w-0">
          {text('code', row.code, 'Code')}
        </span>
        <span role="cell" className="flex min-w-0">
          {text('name', row.name, 'Name')}
        </span>
        <span role="cell" className="min-w-0">
          {fixable ? (
            <select
              aria-label={`Statement line of row ${String(row.row)}`}
              value={row.classification ?? ''}
              onChange={(event) => fix({ classification: event.target.value as Classification })}
              className="select select-xs w-full"
            >
              <option value="">choose</option>
              {CLASSIFICATIONS.map(({ id, one }) => (
                <option key={id} value={id}>
                  {one}
                </option>
              ))}
            </select>
          ) : (
            <span className="block truncate" title={row.why}>
              {row.classification === null ? '' : classFacts(row.classification).one}
              {row.why !== '' && <span className="block truncate text-xs text-ink-2">{row.why}</span>}
            </span>
          )}
        </span>
        <span role="cell" className="min-w-0 truncate">
          {fixable && row.problems.some((one) => isAt(one, 'parent')) ? (
            <input
              aria-label={`Heading of row ${String(row.row)}`}
              defaultValue={choice.fix?.parent ?? ''}
              placeholder="code or name; empty for the top"
              onBlur={(event) => fix({ parent: event.target.value.trim() })}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
              className="input input-xs w-full"
            />
          ) : (
            row.under
          )}
        </span>
        <span role="cell" className="flex min-w-0 flex-wrap items-center gap-1.5">
          <span
            className={
              row.status === 'problem' ? 'font-semibold text-brick' : row.status === 'changes' ? 'text-ochre' : ''
            }
          >
            {SAY[row.status]}
            {row.changes.length > 0
              ? ` (${row.changes.map((field) => (field === 'bank' ? 'bank details' : FIELD_WORDS[field])).join(', ')})`
              : ''}
          </span>
          {row.clash && onChoice !== undefined && (
            <select
              aria-label={`The clash in row ${String(row.row)}`}
              value={choice.clash ?? ''}
              onChange={(event) =>
                onChoice(row.row, {
                  ...choice,
                  clash: event.target.value === '' ? undefined : (event.target.value as 'keep' | 'change' | 'new-code'),
                })
              }
              className="select select-xs w-auto"
            >
              <option value="">by the rule above</option>
              <option value="keep">keep what is here</option>
              <option value="change">take this one</option>
              <option value="new-code">both, this under another code</option>
            </select>
          )}
          {onChoice !== undefined &&
            !made &&
            (row.status === 'problem' || row.status === 'skipped' || row.status === 'new') && (
              <button
                type="button"
                className="btn btn-ghost btn-xs"
                onClick={() => onChoice(row.row, { ...choice, skip: choice.skip !== true })}
              >
                {choice.skip === true ? 'Take it' : 'Skip'}
                <span className="sr-only"> row {row.row}</span>
              </button>
            )}
        </span>
      </div>
      {row.problems.map((one) => (
        <p key={one.code + one.message} className="pb-1 pl-14 text-xs text-brick">
          {one.message}
        </p>
      ))}
    </>
  );
};
