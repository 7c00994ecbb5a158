'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { editChart, renumberBranch, saveScheme, setCodes } from '@/actions/chart/commands';
import type { FrameView } from '@/actions/frame/views';
import { type Account, accountId, called, chartIndex } from '@/core/chart/account';
import { CLASSIFICATIONS, type Classification } from '@/core/ledger/classes';
import { renumber } from '@/core/chart/codes';
import { type ChartEdit, inverse } from '@/core/chart/edit';
import {
  COMPOSED_SCHEME,
  type CodeRange,
  type CodeScheme,
  MOST_SEGMENTS,
  SEGMENT_KINDS,
  SEPARATORS,
  codeQuestions,
  sayShape,
  schemeOf,
  schemeProblems,
} from '@/core/chart/scheme';
import type { ChartSettings } from '@/core/chart/settings';
import { inTreeOrder } from '@/core/chart/tree';
import { type Problem, plural, isAt, isWithin } from '@/core/base/result';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ChartFrame } from './chart-frame';

const KIND_LABEL = { digits: 'digits', letters: 'letters', either: 'letters or digits' } as const;
const SEPARATOR_LABEL = { '': 'nothing', '-': 'dash -', '.': 'point .', '/': 'slash /', ' ': 'space' } as const;

/** How codes are built and which ranges they have, what is questionable about them now, and renumbering a branch. */
export const CodesPage = ({
  frame,
  settings,
  accounts,
}: {
  readonly frame: FrameView;
  readonly settings: ChartSettings;
  readonly accounts: readonly Account[];
}) => {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const index = useMemo(() => chartIndex(accounts), [accounts]);
  const questions = accounts.flatMap((account) =>
    account.heading
      ? []
      : codeQuestions(settings.scheme, account, index)
          .slice(0, 1)
          .map((one) => ({ account, says: one.message })),
  );
  const settle = async (sent: Parameters<typeof send>[0], saying: string): Promise<void> => {
    const done = await send(sent);
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(saying);
    router.refresh();
  };
  return (
    <ChartFrame
      frame={frame}
      place="/codes"
      title="Account codes"
      about={
        settings.scheme === null
          ? 'no scheme; codes are as they come'
          : `${sayShape(settings.scheme)}; ${questions.length === 0 ? 'every code fits' : `${plural(questions.length, 'code')} to look at`}`
      }
    >
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-5 px-4 py-3 xl:grid-cols-2">
        <section aria-labelledby="scheme" className="min-w-0">
          <h2 id="scheme" className="title mb-1 text-lg">
            The scheme
          </h2>
          <Problems problems={problems} />
          <div className="mb-3 flex flex-wrap gap-x-5 gap-y-1 text-sm">
            <label className="flex min-h-6 items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={settings.codes === 'required'}
                onChange={(event) =>
                  void settle(
                    setCodes({ books: frame.id, codes: event.target.checked ? 'required' : 'optional' }),
                    'Saved',
                  )
                }
              />
              Every account needs a code
            </label>
            <label className="flex min-h-6 items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={settings.codesShown}
                onChange={(event) => void settle(setCodes({ books: frame.id, shown: event.target.checked }), 'Saved')}
              />
              Show codes on the sheet
            </label>
          </div>
          <SchemeForm
            key={JSON.stringify(settings.scheme)}
            frame={frame}
            scheme={settings.scheme}
            accounts={accounts}
            onSave={(scheme) =>
              void settle(
                saveScheme({
                  books: frame.id,
                  scheme:
                    scheme === null ? null : { ...scheme, segments: [...scheme.segments], ranges: [...scheme.ranges] },
                }),
                'Scheme saved',
              )
            }
          />
        </section>
        <div className="flex min-w-0 flex-col gap-5">
          <Renumber frame={frame} accounts={accounts} />
          <section aria-labelledby="questions">
            <h2 id="questions" className="title mb-1 text-lg">
              Codes to look at
            </h2>
            {questions.length === 0 ? (
              <p className="note">
                {settings.scheme === null
                  ? 'Without a scheme no code is questioned.'
                  : 'Every code has the shape and the range of its statement line.'}
              </p>
            ) : (
              <ul className="text-sm">
                {questions.slice(0, 100).map(({ account, says }) => (
                  <li key={account.id} className="border-b border-hairline py-1">
                    <b className="font-semibold">{called(account)}</b>: {says}
                  </li>
                ))}
              </ul>
            )}
          </section>
        </div>
      </div>
    </ChartFrame>
  );
};

const rangeKey = ({ of }: CodeRange): string => ('line' in of ? of.line : `#${of.heading}`);

const SchemeForm = ({
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
                Take away<span className="sr-only"> part {at + 1}</span>
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

/** New codes for a branch, shown as old → new before they are taken. */
const Renumber = ({ frame, accounts }: { readonly frame: FrameView; readonly accounts: readonly Account[] }) => {
  const router = useRouter();
  const headings = inTreeOrder(accounts).filter(({ account }) => account.heading);
  const [branch, setBranch] = useState(String(headings[0]?.account.id ?? ''));
  const [start, setStart] = useState(headings[0]?.account.code ?? '1000');
  const [step, setStep] = useState('10');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [back, setBack] = useState<readonly ChartEdit[] | undefined>();
  const laid = renumber(accounts, branch === '' ? null : accountId(Number(branch)), start, Number(step));
  const moving = laid.ok ? laid.value.filter(({ from, to }) => from !== to) : [];
  const take = async (): Promise<void> => {
    const done = await send(
      renumberBranch({ books: frame.id, branch: branch === '' ? null : Number(branch), start, step: Number(step) }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${plural(done.value.changed, 'account')} renumbered`);
    // Renumbering removes nothing, so nothing comes back under another id.
    setBack(inverse(accounts, done.value.steps, () => accountId(-1)).edits);
    router.refresh();
  };
  const undo = async (): Promise<void> => {
    const done = await send(editChart({ books: frame.id, edits: [...(back ?? [])] }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    setBack(undefined);
    toast('The codes are as they were');
    router.refresh();
  };
  return (
    <section aria-labelledby="renumber" className="text-sm">
      <h2 id="renumber" className="title mb-1 text-lg">
        Renumber
      </h2>
      <Problems problems={laid.ok ? problems : laid.problems} />
      <div className="grid grid-cols-[minmax(0,1fr)_7rem_5rem] gap-2">
        <Field label="Branch">
          {(ids) => (
            <select
              {...ids}
              value={branch}
              onChange={(event) => {
                setBranch(event.target.value);
                const heading = headings.find(({ account }) => String(account.id) === event.target.value)?.account;
                if (heading !== undefined && heading.code !== '') setStart(heading.code);
              }}
              className="select select-sm w-full"
            >
              <option value="">the whole chart</option>
              {headings.map(({ account }) => (
                <option key={account.id} value={account.id}>
                  {called(account)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="First code">
          {(ids) => (
            <input
              {...ids}
              value={start}
              onChange={(event) => setStart(event.target.value)}
              className="input input-sm w-full"
            />
          )}
        </Field>
        <Field label="Step">
          {(ids) => (
            <input
              {...ids}
              type="number"
              min={1}
              value={step}
              onChange={(event) => setStep(event.target.value)}
              className="input input-sm w-full"
            />
          )}
        </Field>
      </div>
      {laid.ok && (
        <>
          <p role="status" className="my-1">
            {moving.length === 0 ? 'No code would change.' : `${plural(moving.length, 'code')} would change:`}
          </p>
          {moving.length > 0 && (
            <div className="max-h-60 overflow-auto border-y border-rule" tabIndex={0}>
              <table className="ledger tight w-full">
                <tbody>
                  {moving.slice(0, 300).map(({ id, from, to, name }) => (
                    <tr key={id}>
                      <td className="w-40 whitespace-nowrap">
                        {from === '' ? 'none' : from} → <b className="font-semibold">{to}</b>
                      </td>
                      <td>{name}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              {moving.length > 300 && <p className="note px-2 py-1">and {moving.length - 300} more</p>}
            </div>
          )}
        </>
      )}
      <div className="mt-2 flex gap-2">
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={moving.length === 0}
          onClick={() => void take()}
        >
          Renumber {moving.length > 0 ? plural(moving.length, 'account') : ''}
        </button>
        {back !== undefined && (
          <button type="button" className="btn btn-sm" onClick={() => void undo()}>
            Undo the renumbering
          </button>
        )}
      </div>
    </section>
  );
};
