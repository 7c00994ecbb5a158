'use client';

import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { type ListPreview, takeList } from '@/actions/schedules/bring';
import type { FrameView } from '@/actions/frame/views';
import { type Problem, type Result, plural } from '@/core/base/result';
import { called } from '@/core/chart/account';
import { MOST_BYTES } from '@/core/files/limits';
import { fromWire } from '@/core/money/wire';
import type { ContactFields } from '@/core/schedules/contact';
import type { ItemFields } from '@/core/schedules/item';
import { sided } from '../parts/figures';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useTakeKey } from '../parts/use-take-key';
import { useRefresh } from '../parts/use-refresh';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';
import { BroughtRows, groupedBy } from './brought-rows';

interface Props {
  readonly frame: FrameView;
  readonly set: number;
  /** Null for the contacts. */
  readonly account: number | null;
  /** How the schedule shows its items; none on the page of the contacts. */
  readonly columns?: readonly DataColumn<ItemFields>[];
  /** How the page of the contacts shows them. */
  readonly contactColumns?: readonly DataColumn<ContactFields>[];
  readonly preview: ListPreview;
  readonly onDone: () => void;
}

const address = (books: number, account: number | null): string =>
  `/books/${String(books)}/schedules/${account === null ? 'contacts' : String(account)}/list`;

/** Sends a list to be read for a page; nothing of it is taken yet. */
export const sendList = async (
  books: number,
  account: number | null,
  file: File,
  booked = true,
): Promise<Result<ListPreview>> => {
  if (file.size > MOST_BYTES)
    return {
      ok: false,
      problems: [
        {
          code: 'list.large',
          message: `${file.name} is larger than ${String(MOST_BYTES / 1024 / 1024)} MB, which is the most that is taken.`,
        },
      ],
    };
  try {
    const response = await fetch(`${address(books, account)}${booked ? '' : '?booked=no'}`, {
      method: 'POST',
      headers: { 'x-paper-name': encodeURIComponent(file.name), 'content-type': 'application/octet-stream' },
      body: file,
    });
    return fromWire(await response.text()) as Result<ListPreview>;
  } catch {
    return {
      ok: false,
      problems: [{ code: 'offline', message: `${file.name} did not arrive: Bathron did not answer. Bring it again.` }],
    };
  }
};

/** What a list holds, before it is taken: its rows, whom it names, and what does not read. */
export const BringList = ({ frame, set, account, columns = [], contactColumns = [], preview, onDone }: Props) => {
  const refresh = useRefresh();
  const [leave, setLeave] = useState<ReadonlySet<number>>(new Set());
  const [booked, setBooked] = useState(true);
  const [chosen, setChosen] = useState(0);
  /** The accounts of classes or categories that somebody chose. */
  const [places, setPlaces] = useState<ReadonlyMap<string, number>>(new Map());
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  // What was asked for is there: the keys go to it, whoever asked.
  const arrived = useRef<HTMLElement>(null);
  useEffect(() => arrived.current?.focus({ preventScroll: true }), []);
  const sound = preview.items.filter((one) => one.problems.length === 0 && !leave.has(one.row));
  const faulty = preview.items.filter((one) => one.problems.length > 0);
  const statement = preview.statements[chosen];
  const what =
    preview.kind === 'contacts'
      ? plural(preview.contacts.length, 'contact')
      : preview.kind === 'statements'
        ? `the balance${statement !== undefined && statement.between.length > 0 ? ` and ${plural(statement.between.length, 'entry', 'entries')} after the opening date` : ''}`
        : plural(sound.length, 'item');
  const nothing =
    preview.kind === 'contacts'
      ? preview.contacts.length === 0
      : preview.kind === 'statements'
        ? statement?.closing == null
        : sound.length === 0;
  const take = async (): Promise<void> => {
    setBusy(true);
    const done = await send(
      takeList({
        books: frame.id,
        set,
        account,
        paper: preview.paper,
        leave: [...leave],
        booked,
        statement: chosen,
        places: Object.fromEntries(places),
      }),
    );
    setBusy(false);
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(
      `${preview.name} taken${done.value.contacts > 0 && account !== null ? `, ${plural(done.value.contacts, 'contact')} made` : ''}; Ctrl+Z takes it back`,
    );
    onDone();
    refresh();
  };
  useTakeKey(nothing || busy ? undefined : () => void take());
  return (
    <section
      ref={arrived}
      tabIndex={-1}
      aria-labelledby="list-read"
      className="flex min-h-0 flex-1 flex-col overflow-auto border-t border-rule bg-paper-2 px-4 pt-3 outline-none"
    >
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 id="list-read" className="title text-lg">
          {preview.name}
        </h2>
        <p className="text-sm">
          {preview.kind === 'items' &&
            `${plural(preview.items.length, 'item')}${preview.contacts.length > 0 ? `, ${plural(preview.contacts.length, 'contact')} to be made` : ''}`}
          {preview.kind === 'things' && plural(preview.items.length, 'row')}
          {preview.kind === 'contacts' &&
            `${plural(preview.contacts.length, 'contact')} to be made${preview.known > 0 ? `, ${String(preview.known)} there already` : ''}`}
        </p>
        <span className="grow" />
        <button
          type="button"
          className="btn btn-primary btn-sm"
          aria-keyshortcuts="Control+Enter"
          disabled={nothing || busy}
          onClick={() => void take()}
        >
          Take {what}
        </button>
        <button type="button" className="btn btn-sm" onClick={onDone}>
          Leave it
        </button>
      </div>
      <Problems problems={[...problems, ...(statement?.problems ?? [])]} />
      <Told label="To check" tone="border-ochre" problems={preview.doubts} />
      <Told label="Rows that stay out" tone="border-brick" problems={faulty.flatMap((one) => one.problems)} />
      {preview.hasBase && (
        <label className="my-1 flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={booked}
            onChange={(event) => setBooked(event.target.checked)}
          />
          keep the list’s own amounts in {frame.currency}; without, the rate of the opening date counts
        </label>
      )}
      {preview.statements.length > 1 && (
        <fieldset className="my-1 text-sm">
          <legend className="font-medium">Which statement is it?</legend>
          {preview.statements.map((one, at) => (
            <label key={at} className="mr-4 inline-flex items-center gap-1.5">
              <input
                type="radio"
                name="statement"
                className="radio radio-xs"
                checked={at === chosen}
                onChange={() => setChosen(at)}
              />
              {one.account === '' ? `number ${String(at + 1)}` : one.account}
              {one.closing === null ? '' : `, to ${day(one.closing.date, frame.dates)}`}
            </label>
          ))}
        </fieldset>
      )}
      {statement?.closing != null && account !== null && (
        <p className="text-sm">
          It closes on {day(statement.closing.date, frame.dates)} with {sided(statement.closing.amount, frame)}.
        </p>
      )}
      {preview.groups.length > 0 && (preview.groups.length > 1 || preview.accounts.length > 1) && (
        <Groups
          preview={preview}
          word={groupedBy(columns)}
          frame={frame}
          places={places}
          onPlace={(name, to) => setPlaces(new Map(places).set(name, to))}
        />
      )}
      {preview.items.length > 0 && (
        <BroughtRows
          frame={frame}
          preview={preview}
          columns={columns}
          leave={leave}
          onLeave={(rows, stays) => {
            setLeave((was) => {
              const next = new Set(was);
              for (const row of rows) {
                if (stays) next.add(row);
                else next.delete(row);
              }
              return next;
            });
          }}
        />
      )}
      {preview.kind === 'contacts' && preview.contacts.length > 0 && (
        <div className="-mx-4 mt-2 flex min-h-64 flex-1 flex-col bg-paper">
          <DataSheet<ContactFields>
            label="Contacts to be made"
            heading={`${frame.name} · ${preview.name}, contacts to be made`}
            columns={contactColumns}
            rows={preview.contacts}
            idOf={(one) => String(preview.contacts.indexOf(one))}
            selected={undefined}
            onSelect={ignored}
            open={false}
            onEdit={ignored}
            empty=""
          />
        </div>
      )}
    </section>
  );
};

/** The account of each class or category of a register. */
const Groups = ({
  preview,
  word,
  frame,
  places,
  onPlace,
}: {
  readonly preview: ListPreview;
  readonly word: 'Category' | 'Class';
  readonly frame: FrameView;
  readonly places: ReadonlyMap<string, number>;
  readonly onPlace: (group: string, account: number) => void;
}) => (
  <table className="ledger tight my-2 max-w-3xl" aria-label={`Where each ${word.toLowerCase()} goes`}>
    <thead>
      <tr>
        <th scope="col" className="text-left">
          {word}
        </th>
        <th scope="col" className="text-left">
          Account
        </th>
        <th scope="col" className="figure">
          Rows
        </th>
        <th scope="col" className="figure">
          Amount
        </th>
      </tr>
    </thead>
    <tbody>
      {preview.groups.map((group) => (
        <tr key={group.name}>
          <th scope="row" className="text-left font-normal">
            {group.name === '' ? `without a ${word.toLowerCase()}` : group.name}
          </th>
          <td>
            <select
              aria-label={`Account of ${group.name === '' ? `those without a ${word.toLowerCase()}` : group.name}`}
              className="select select-xs w-64"
              value={places.get(group.name) ?? group.account}
              onChange={(event) => onPlace(group.name, Number(event.target.value))}
            >
              {preview.accounts.map((one) => (
                <option key={one.id} value={one.id}>
                  {called(one)}
                </option>
              ))}
            </select>
          </td>
          <td className="figure">{group.items}</td>
          <td className="figure whitespace-nowrap">{sided(group.sum, frame)}</td>
        </tr>
      ))}
    </tbody>
  </table>
);

/** A sheet that is only looked at. */
const ignored = (): void => undefined;

/** Rows told of each kind of problem, before the others are counted. */
const MOST_ALIKE = 3;

/** What is said of the rows of a list: the first few of each kind, and how many more there are. */
const Told = ({
  label,
  tone,
  problems,
}: {
  readonly label: string;
  readonly tone: string;
  readonly problems: readonly Problem[];
}) => {
  if (problems.length === 0) return null;
  const kinds = [...new Set(problems.map(({ code }) => code))];
  return (
    <ul className={`my-1.5 max-h-40 overflow-y-auto border-l-4 px-3 text-sm ${tone}`} aria-label={label}>
      {kinds.flatMap((code) => {
        const own = problems.filter((one) => one.code === code);
        return [
          ...own.slice(0, MOST_ALIKE).map(({ message }) => (
            <li key={message} className="py-0.5">
              {message}
            </li>
          )),
          ...(own.length > MOST_ALIKE
            ? [
                <li key={code} className="note pb-0.5">
                  and {plural(own.length - MOST_ALIKE, 'more row')} like {own.length === MOST_ALIKE + 1 ? 'it' : 'them'}
                </li>,
              ]
            : []),
        ];
      })}
    </ul>
  );
};
