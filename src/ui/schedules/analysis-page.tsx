'use client';

import { useMemo, useState } from 'react';
import type { FrameView } from '@/actions/frame/views';
import type { analysisView } from '@/actions/schedules/views';
import { plural } from '@/core/base/result';
import {
  CODE_COLUMNS,
  CODE_LABELS,
  type CodeColumn,
  type CodeFields,
  blankCode,
  codeText,
  codeTitle,
  typedCode,
} from '@/core/schedules/analysis';
import { Frame, MarginPart } from '../frame/frame';
import { scheduleHref, stageHref } from '../frame/stage-href';
import { Go } from '../parts/go';
import { writingWith } from '../parts/names';
import { Problems } from '../parts/problems';
import { SaveAs } from '../parts/save-as';
import { ViewSwitch } from '../parts/view-switch';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';
import { type SheetRow, noteAt } from '../sheet/saved-rows';
import { posted, useSavedRows } from '../sheet/use-saved-rows';
import { DocumentView } from '../statements/document-view';
import { ScheduleNav } from './schedule-nav';

type Found = NonNullable<NonNullable<Awaited<ReturnType<typeof analysisView>>>['found']>;
type Row = SheetRow<CodeFields>;

const KEYS = [
  ['type, Enter or F2', 'edit a cell; in the blank row behind the last, a new code'],
  ['Tab', 'keep and go to the next cell; after Esc, Tab leaves the sheet'],
  ['Ctrl −', 'delete the chosen codes; those that items bear stay'],
  ['Ctrl Z', 'take back what was changed last'],
] as const;

const WIDTHS: Readonly<Record<CodeColumn, string>> = {
  code: '8rem',
  name: 'minmax(12rem,1fr)',
  from: '7rem',
  to: '7rem',
  active: '5rem',
};

/** One of the company's lists of analysis codes on a sheet, and what stands on its codes. */
export const AnalysisPage = ({ frame, lists, list, codes, document }: Found & { readonly frame: FrameView }) => {
  const [selected, setSelected] = useState<string | undefined>();
  const [view, setView] = useState<'codes' | 'sums'>('codes');
  const rows = useSavedRows<CodeFields>({
    of: frame,
    stored: useMemo(() => codes.map(({ id, revision, used: _, ...fields }) => ({ id, revision, fields })), [codes]),
    blank: blankCode(list.list),
    apply: (fields, { column, text }) => typedCode(fields, column as CodeColumn, text, frame.dates),
    complete: ({ code }) => code !== '',
    store: (sent) =>
      posted(`${stageHref(frame.id, 'schedules')}/analysis/rows`, {
        entries: sent.map(({ id, revision, fields }) => ({ id, revision, code: fields })),
      }),
    one: 'code',
  });
  const offerLast = useLastChange(frame.id, ['analysis-code']);
  useUndoKeys({ undo: offerLast, redo: offerLast, typing: isTyping });
  const columns = CODE_COLUMNS.map((id): DataColumn<Row> => ({
    id,
    label: CODE_LABELS[id],
    width: WIDTHS[id],
    kind: id === 'active' ? 'choice' : 'text',
    text: (row) => row.unread[id]?.text ?? codeText(row.fields, id, frame.dates),
    takes: true,
    ...(id === 'active' ? { choices: ['yes', 'no'].map((word) => ({ key: word, code: '', name: word })) } : {}),
  }));
  const chosen = rows.rows.find(({ key }) => key === selected);
  const used = codes.some(({ id, used: borne }) => id === chosen?.id && borne);
  const says = [
    ...Object.values(chosen?.unread ?? {}).map((one) => one.says),
    ...(chosen?.refused ?? []).map(({ message }) => message),
  ];
  return (
    <Frame
      frame={frame}
      stage="schedules"
      title={list.name}
      about={
        <>
          {plural(rows.rows.length, 'code')} · <span role="status">{rows.said}</span>
        </>
      }
      keys={KEYS}
      fixed={view === 'codes'}
      actions={
        lists.length < 2 ? undefined : (
          <nav aria-label="Lists of codes" className="flex gap-4 text-sm">
            {lists.map((one) => (
              <Go
                key={one.list}
                href={`${stageHref(frame.id, 'schedules')}/analysis?list=${String(one.list)}`}
                aria-current={one.list === list.list ? 'page' : undefined}
                className={one.list === list.list ? 'font-semibold' : 'text-ink-2 hover:text-ink'}
              >
                {one.name}
              </Go>
            ))}
          </nav>
        )
      }
      margin={
        <>
          {chosen !== undefined && (used || says.length > 0) && (
            <MarginPart title={codeTitle(chosen.fields)}>
              {used && <p>Items bear it, so it can be put out of use, but not deleted.</p>}
              {says.map((one) => (
                <p key={one} className="mt-1 text-brick">
                  {one}
                </p>
              ))}
            </MarginPart>
          )}
          <MarginPart title="What codes are for">
            <p>
              Items of every schedule can bear one code of each list. An income or expense account is divided on its own
              schedule: choose it on the opening sheet, and “Divide it” beside it.
            </p>
          </MarginPart>
          <MarginPart title="The lists">
            <p>
              Up to three; their names are among the{' '}
              <Go className="link" href={`${stageHref(frame.id, 'company')}#defaults`}>
                company’s defaults
              </Go>
              .
            </p>
          </MarginPart>
        </>
      }
    >
      <ScheduleNav frame={frame} current="analysis">
        <ViewSwitch
          views={[
            ['codes', 'Codes'],
            ['sums', 'What stands on them'],
          ]}
          shown={view}
          onShow={setView}
        />
        {document.sections.length > 0 && (
          <SaveAs label="Save as" href={`/books/${String(frame.id)}/lists/analysis?list=${String(list.list)}`} />
        )}
      </ScheduleNav>
      {rows.problems.length > 0 && (
        <div className="px-4 py-1">
          <Problems problems={rows.problems} />
        </div>
      )}
      {view === 'codes' ? (
        <DataSheet<Row>
          label={list.name}
          heading={`${frame.name} · ${list.name}`}
          columns={columns}
          rows={rows.rows}
          idOf={({ key }) => key}
          blank={rows.next}
          selected={selected}
          onSelect={setSelected}
          open={frame.may.includes('openings.change')}
          onEdit={rows.edit}
          onDelete={rows.remove}
          noteOf={(row, column) => noteAt(row, column, 'code', [])}
          totals={{}}
          empty={<p>Type the first code in the row below, or paste rows from a spreadsheet: code, name, from, to.</p>}
        />
      ) : (
        <div className="px-4 py-3">
          <DocumentView
            document={document}
            style={frame.style}
            writing={writingWith(frame.dates)}
            account={(account) => scheduleHref(frame.id, account)}
          />
        </div>
      )}
    </Frame>
  );
};
