'use client';

import { useMemo, useState } from 'react';
import type { FrameView } from '@/actions/frame/views';
import { type Account, called } from '@/core/chart/account';
import { CLASSIFICATIONS, type Classification } from '@/core/ledger/classes';
import {
  COMPOSED_SCHEME,
  type CodeRange,
  type CodeScheme,
  MOST_SEGMENTS,
  SEGMENT_KINDS,
  SEPARATORS,
  sayShape,
  schemeOf,
  schemeProblems,
} from '@/core/chart/scheme';
import { inTreeOrder } from '@/core/chart/tree';
import { isAt, isWithin } from '@/core/base/result';
import { Problems } from '../parts/problems';

const KIND_LABEL = { digits: 'digits', letters: 'letters', either: 'letters or digits' } as const;
const SEPARATOR_LABEL = { '': 'nothing', '-': 'dash -', '.': 'point .', '/': 'slash /', ' ': 'space' } as const;

const rangeKey = ({ of }: CodeRange): string => ('line' in of ? of.line : `#${of.heading}`);

/** How codes are built: their segments, and the ranges of statement lines and headings. */
export const SchemeForm = ({
  frame,
  scheme,
  accounts,
  onSave,
}: {
  readonly frame: FrameView;
  readonly scheme: CodeScheme | null;
  readonly accounts: readonly Account[];
  readonly onSave: (scheme: CodeScheme | null) => void;
}) => {
  const [draft, setDraft] = useState<CodeScheme>(scheme ?? { ...COMPOSED_SCHEME, ranges: [] });
  const wrong = schemeProblems(draft);
  const found = useMemo(() => schemeOf(accounts), [accounts]);
  const headings = inTreeOrder(accounts).filter(({ account }) => account.heading && account.code !== '');
  const setRange = (at: number, change: Partial<CodeRange>): void =>
    setDraft({
      ...draft,
      ranges: draft.ranges.map((range, other) => (other === at ? { ...range, ...change } : range)),
    });
  const of = (key: string): CodeRange['of'] =>
    key.startsWith('#') ? { heading: key.slice(1) } : { line: key as Classification };
  return (
    <form
      className="flex flex-col gap-3 text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        onSave(draft);
      }}
    >
      <fieldset>
        <legend className="mb-1 font-medium">Parts of a code, from left to right</legend>
        {draft.segments.map((segment, at) => (
          <div key={at} className="mb-1 flex items-center gap-2">
            <input
              type="number"
              min={1}
              max={20}
              aria-label={`Length of part ${String(at + 1)}`}
              value={segment.length}
              onChange={(event) =>
                setDraft({
                  ...draft,
                  segments: draft.segments.map((one, other) =>
                    other === at ? { ...one, length: Number(event.target.value) } : one,
                  ),
                })
              }
              className="input input-sm w-20"
            />
            <select
              aria-label={`Kind of part ${String(at + 1)}`}
              value={segment.kind}
              onChange={(event) =>
                setDraft({
                  ...draft,
                  segments: draft.segments.map((one, other) =>
                    other === at ? { ...one, kind: event.target.value as (typeof SEGMENT_KINDS)[number] } : one,
                  ),
                })
              }
              className="select select-sm w-40"
            >
              {SEGMENT_KINDS.map((kind) => (
                <option key={kind} value={kind}>
                  {KIND_LABEL[kind]}
                </option>
              ))}
            </select>
            {draft.segments.length > 1 && (
              <button
                type="button"
                className="btn btn-ghost btn-xs"
                onClick={() => setDraft({ ...draft, segments: draft.segments.filter((_, other) => other !== at) })}
              >
                Delete<span className="sr-only"> part {at + 1}</span>
              </button>
            )}
          </div>
        ))}
        <div className="flex flex-wrap items-center gap-2">
          {draft.segments.length < MOST_SEGMENTS && (
            <button
              type="button"
              className="btn btn-xs"
              onClick={() => setDraft({ ...draft, segments: [...draft.segments, { length: 2, kind: 'digits' }] })}
            >
              Another part
            </button>
          )}
          {draft.segments.length > 1 && (
            <label className="flex items-center gap-1.5">
              Between them
              <select
                value={draft.separator}
                onChange={(event) => setDraft({ ...draft, separator: event.target.value as CodeScheme['separator'] })}
                className="select select-sm w-auto"
              >
                {SEPARATORS.map((one) => (
                  <option key={one} value={one}>
                    {SEPARATOR_LABEL[one]}
                  </option>
                ))}
              </select>
            </label>
          )}
          <span className="note">A code is {sayShape(draft)}.</span>
        </div>
      </fieldset>
      <fieldset>
        <legend className="mb-1 font-medium">Ranges</legend>
        <div className="grid max-w-xl grid-cols-[minmax(8rem,1fr)_5.5rem_5.5rem_auto] items-center gap-1.5">
          {draft.ranges.map((range, at) => (
            <RangeRow
              key={at}
              at={at}
              range={range}
              headings={headings.map(({ account }) => account)}
              onChange={(change) => setRange(at, change)}
              onOf={(key) => setRange(at, { of: of(key) })}
              onDrop={() => setDraft({ ...draft, ranges: draft.ranges.filter((_, other) => other !== at) })}
              wrong={wrong.find((one) => isWithin(one, 'ranges', at))?.message}
            />
          ))}
        </div>
        <button
          type="button"
          className="btn btn-xs mt-1"
          onClick={() =>
            setDraft({
              ...draft,
              ranges: [
                ...draft.ranges,
                {
                  of: {
                    line:
                      CLASSIFICATIONS.find(({ id }) => !draft.ranges.some((range) => rangeKey(range) === id))?.id ??
                      'current-asset',
                  },
                  from: '',
                  to: '',
                },
              ],
            })
          }
        >
          Another range
        </button>
      </fieldset>
      <Problems problems={wrong.filter((one) => isAt(one, 'segments'))} />
      <div className="flex flex-wrap gap-2">
        <button type="submit" className="btn btn-primary btn-sm" disabled={wrong.length > 0}>
          Save the scheme
        </button>
        {found !== null && (
          <button type="button" className="btn btn-sm" onClick={() => setDraft(found)}>
            As this chart’s codes are
          </button>
        )}
        <button type="button" className="btn btn-sm" onClick={() => setDraft(COMPOSED_SCHEME)}>
          As composed charts are
        </button>
        {scheme !== null && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => onSave(null)}>
            No scheme
          </button>
        )}
      </div>
      <p className="note">Codes that do not fit are questioned on the sheet of {frame.name}, never refused.</p>
    </form>
  );
};

const RangeRow = ({
  at,
  range,
  headings,
  wrong,
  onChange,
  onOf,
  onDrop,
}: {
  readonly at: number;
  readonly range: CodeRange;
  readonly headings: readonly Account[];
  readonly wrong: string | undefined;
  readonly onChange: (change: Partial<CodeRange>) => void;
  readonly onOf: (key: string) => void;
  readonly onDrop: () => void;
}) => {
  const name = `range ${String(at + 1)}`;
  return (
    <>
      <select
        aria-label={`What ${name} is for`}
        value={rangeKey(range)}
        onChange={(event) => onOf(event.target.value)}
        className="select select-sm w-full"
      >
        <optgroup label="Statement lines">
          {CLASSIFICATIONS.map(({ id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </optgroup>
        <optgroup label="Headings">
          {headings.map((heading) => (
            <option key={heading.id} value={`#${heading.code}`}>
              {called(heading)}
            </option>
          ))}
        </optgroup>
      </select>
      <input
        aria-label={`First code of ${name}`}
        value={range.from}
        onChange={(event) => onChange({ from: event.target.value.trim() })}
        className="input input-sm"
      />
      <input
        aria-label={`Last code of ${name}`}
        value={range.to}
        onChange={(event) => onChange({ to: event.target.value.trim() })}
        className="input input-sm"
      />
      <button type="button" className="btn btn-ghost btn-xs" onClick={onDrop}>
        ×<span className="sr-only"> take {name} away</span>
      </button>
      {wrong !== undefined && <p className="col-span-4 text-xs text-brick">{wrong}</p>}
    </>
  );
};
