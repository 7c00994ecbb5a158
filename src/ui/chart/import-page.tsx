'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import type { Account } from '@/core/chart/account';
import { CHART_COLUMNS, type ChartColumn, type ChartMapping, type RecognisedChart } from '@/core/chart/chart-file';
import type { IncomingPlan, IncomingRules } from '@/core/chart/incoming';
import { MOST_BYTES, MOST_ROWS } from '@/core/files/limits';
import { type Problem, type Result, plural } from '@/core/base/result';
import type { TypeWord } from '@/core/chart/type-words';
import type { FromWorker, ToWorker } from '@/workers/accounts-file';
import { TypeWords } from './type-words';
import { FileButton, SHEETS } from '../parts/file-button';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useTakeKey } from '../parts/use-take-key';
import { ChartFrame } from './chart-frame';
import { IncomingPreview, PREVIEW_KEYS, sayPlan } from './incoming-preview';
import { useRowChoices } from './use-row-choices';

interface ReadFile {
  readonly file: File;
  readonly recognised: RecognisedChart;
  readonly sheets: readonly string[];
  readonly heads: readonly (readonly (readonly string[])[])[];
  /** Whether the way it is read was remembered from an earlier file of this shape. */
  readonly remembered: boolean;
}

const PATIENCE = 60_000;

/** A list of accounts out of a file: how it is read, what would happen to each row, and putting the bad ones right in place. */
export const ImportPage = ({
  frame,
  accounts,
  rules,
}: {
  readonly frame: FrameView;
  readonly accounts: readonly Account[];
  readonly rules: IncomingRules;
}) => {
  const router = useRouter();
  const worker = useRef<Worker | null>(null);
  const turn = useRef(0);
  const chosen = useRef<File | null>(null);
  const [read, setRead] = useState<ReadFile | undefined>();
  const [mapping, setMapping] = useState<ChartMapping | undefined>();
  const [plan, setPlan] = useState<IncomingPlan | undefined>();
  const [types, setTypes] = useState<readonly TypeWord[]>([]);
  const held = useRowChoices();
  const { choices } = held;
  const [update, setUpdate] = useState(true);
  const [clash, setClash] = useState<'keep' | 'change' | 'new-code'>('change');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState<'' | 'reading' | 'taking'>('');
  /** Files given up so far. */
  const [given, setGiven] = useState(0);
  const place = `/books/${String(frame.id)}/chart`;

  useEffect(() => {
    const made = new Worker(new URL('../../workers/accounts-file.ts', import.meta.url), { type: 'module' });
    worker.current = made;
    made.onmessage = ({ data }: MessageEvent<FromWorker>) => {
      if (data.kind === 'refused') {
        setBusy('');
        setProblems(data.problems);
        return;
      }
      if (data.kind === 'planned') {
        if (data.turn !== turn.current) return;
        setBusy('');
        setPlan(data.plan);
        setTypes(data.types);
        return;
      }
      const file = chosen.current;
      if (file === null) return;
      const { recognised, sheets, heads } = data;
      const begin = (known: ChartMapping | null): void => {
        const fits = known !== null && known.columns.length === recognised.mapping.columns.length;
        setRead({ file, recognised, sheets, heads, remembered: fits });
        setMapping(fits ? known : recognised.mapping);
      };
      fetch(`${place}/import/take?signature=${encodeURIComponent(recognised.signature)}`)
        .then(async (response) => begin(response.ok ? ((await response.json()) as ChartMapping | null) : null))
        .catch(() => begin(null));
    };
    return () => made.terminate();
  }, [place, given]);

  // A file that is not read by then never will be: its worker is ended, and the next file gets another one.
  useEffect(() => {
    if (busy !== 'reading') return;
    const timer = setTimeout(() => {
      setGiven((count) => count + 1);
      setBusy('');
      setProblems([
        {
          code: 'paper.time',
          message: `${chosen.current?.name ?? 'The file'} was not read within ${String(PATIENCE / 1000)} seconds, so it was given up. Save it as plain CSV, or in parts, and choose that.`,
        },
      ]);
    }, PATIENCE);
    return () => clearTimeout(timer);
  }, [busy]);

  useEffect(() => {
    if (mapping === undefined) return;
    turn.current += 1;
    const message: ToWorker = {
      kind: 'plan',
      turn: turn.current,
      mapping,
      accounts,
      choices,
      rules: { ...rules, update, clash },
    };
    worker.current?.postMessage(message);
  }, [mapping, accounts, choices, rules, update, clash]);

  const bring = async (file: File): Promise<void> => {
    chosen.current = file;
    setBusy('reading');
    setProblems([]);
    setPlan(undefined);
    setMapping(undefined);
    setRead(undefined);
    held.forget();
    const bytes = await file.arrayBuffer();
    worker.current?.postMessage({ kind: 'file', bytes, name: file.name } satisfies ToWorker, [bytes]);
  };
  const take = async (): Promise<void> => {
    if (read === undefined || mapping === undefined) return;
    setBusy('taking');
    const form = new FormData();
    form.set('file', read.file);
    form.set(
      'wish',
      JSON.stringify({
        signature: read.recognised.signature,
        mapping,
        update,
        clash,
        choices: Object.fromEntries([...choices].map(([row, choice]) => [String(row), choice])),
      }),
    );
    const done = await send(
      fetch(`${place}/import/take`, {
        method: 'POST',
        headers: { 'x-paper-name': encodeURIComponent(read.file.name) },
        body: form,
      }).then(async (response) => (await response.json()) as Result<{ counts: IncomingPlan['counts'] }>),
    );
    setBusy('');
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${plural(done.value.counts.new, 'account')} new, ${String(done.value.counts.changes)} changed`);
    router.push(place);
  };
  const taken = plan === undefined ? 0 : plan.counts.new + plan.counts.changes;
  useTakeKey(busy === '' && taken > 0 ? () => void take() : undefined);
  return (
    <ChartFrame
      frame={frame}
      place="/import"
      {...(plan === undefined ? {} : { keys: PREVIEW_KEYS })}
      title="Import a list of accounts"
      about={plan === undefined ? 'CSV, XLSX, or an audit file (SAF-T)' : `${read?.file.name ?? ''}: ${sayPlan(plan)}`}
      actions={
        <>
          <FileButton
            label={read === undefined ? 'Choose a file' : 'Another file'}
            accept={SHEETS}
            onFiles={([file]) => file !== undefined && void bring(file)}
          />
          {plan !== undefined && (
            <button
              type="button"
              className="btn btn-primary btn-sm"
              aria-keyshortcuts="Control+Enter"
              disabled={busy !== '' || taken === 0}
              onClick={() => void take()}
            >
              {busy === 'taking' ? 'Taking over …' : `Take over ${String(taken)} rows`}
            </button>
          )}
        </>
      }
    >
      <div
        className="px-4 py-3"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          const [file] = event.dataTransfer.files;
          if (file !== undefined) void bring(file);
        }}
      >
        <Problems problems={problems} />
        {busy === 'reading' && <p role="status">Reading the file …</p>}
        {read === undefined && busy === '' && (
          <div className="max-w-prose border border-dashed border-rule p-6 text-sm">
            <p>
              Drop the old system’s list of accounts here, or choose it above. Columns and types are recognised and can
              be corrected; nothing is stored before you take it over.
            </p>
            <p className="note mt-2">
              Up to {MOST_BYTES / 1024 / 1024} MB and {MOST_ROWS.toLocaleString('en-GB')} rows. Bathron’s own export
              reads back to the same chart.
            </p>
          </div>
        )}
        {read !== undefined && mapping !== undefined && (
          <>
            <HowRead read={read} mapping={mapping} onChange={setMapping} />
            {types.length > 0 && (
              <TypeWords
                words={types}
                onChoose={({ key }, line) =>
                  setMapping({
                    ...mapping,
                    types: Object.fromEntries([
                      ...Object.entries(mapping.types ?? {}).filter(([other]) => other !== key),
                      ...(line === undefined ? [] : [[key, line] as const]),
                    ]),
                  })
                }
              />
            )}
            <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
              <label className="flex min-h-6 items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs"
                  checked={update}
                  onChange={() => setUpdate(!update)}
                />
                Update accounts that are here, too
              </label>
              <label className="flex items-center gap-1.5">
                Same code, other name or type:
                <select
                  value={clash}
                  onChange={(event) => setClash(event.target.value as typeof clash)}
                  className="select select-sm w-auto"
                >
                  <option value="keep">keep what is here</option>
                  <option value="change">take the file’s</option>
                  <option value="new-code">both, the file’s under another code</option>
                </select>
              </label>
            </div>
            {plan !== undefined && (
              <IncomingPreview
                heading={`${frame.name} · ${read.file.name}, as it would be taken`}
                plan={plan}
                held={held}
                height="calc(100dvh - 18rem)"
              />
            )}
          </>
        )}
      </div>
    </ChartFrame>
  );
};

/** How the file is read, each guess with its reason, and changeable. */
const HowRead = ({
  read,
  mapping,
  onChange,
}: {
  readonly read: ReadFile;
  readonly mapping: ChartMapping;
  readonly onChange: (next: ChartMapping) => void;
}) => {
  const head = read.heads[mapping.sheet] ?? [];
  const width = Math.max(mapping.columns.length, ...head.map((row) => row.length));
  const columns = Array.from({ length: width }, (_, at): ChartColumn => mapping.columns[at] ?? 'ignore');
  return (
    <details
      open={mapping.columns.every((column) => column === 'ignore') || !mapping.columns.includes('name')}
      className="border-b border-rule pb-2"
    >
      <summary className="min-h-6 cursor-pointer text-sm">
        {read.remembered ? 'Read as the last file of this shape was. ' : read.recognised.reasons.join(' ')}{' '}
        <span className="underline">Change how it is read</span>
      </summary>
      <div className="mt-2 flex flex-wrap gap-3 text-sm">
        {read.sheets.length > 1 && (
          <label className="flex items-center gap-1.5">
            Sheet
            <select
              value={mapping.sheet}
              onChange={(event) => onChange({ ...mapping, sheet: Number(event.target.value) })}
              className="select select-sm w-auto"
            >
              {read.sheets.map((name, at) => (
                <option key={name + String(at)} value={at}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <label className="flex items-center gap-1.5">
          Header in row
          <select
            value={mapping.header}
            onChange={(event) => onChange({ ...mapping, header: Number(event.target.value) })}
            className="select select-sm w-auto"
          >
            <option value={-1}>none</option>
            {head.map((_, at) => (
              <option key={at} value={at}>
                {at + 1}
              </option>
            ))}
          </select>
        </label>
      </div>
      <div className="mt-2 overflow-x-auto" tabIndex={0}>
        <table className="ledger tight">
          <thead>
            <tr>
              {columns.map((column, at) => (
                <th key={at} scope="col">
                  <select
                    aria-label={`Column ${String(at + 1)} holds`}
                    value={column}
                    onChange={(event) =>
                      onChange({
                        ...mapping,
                        columns: columns.map((one, other) =>
                          other === at
                            ? (event.target.value as ChartColumn)
                            : one === event.target.value && one !== 'ignore'
                              ? 'ignore'
                              : one,
                        ),
                      })
                    }
                    className="select select-xs w-32"
                  >
                    {CHART_COLUMNS.map(({ id, label }) => (
                      <option key={id} value={id}>
                        {label}
                      </option>
                    ))}
                  </select>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {head.slice(0, 6).map((row, at) => (
              <tr
                key={at}
                className={at === mapping.header ? 'font-semibold' : at < mapping.header ? 'text-ink-2 italic' : ''}
              >
                {columns.map((_, column) => (
                  <td key={column} className="max-w-48 truncate">
                    {row[column] ?? ''}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
};
