'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { type ListPreview, takeList } from '@/actions/schedules/bring';
import type { FrameView } from '@/actions/frame/views';
import { type Problem, type Result, plural } from '@/core/base/result';
import { called } from '@/core/chart/account';
import { MOST_BYTES } from '@/core/files/limits';
import { minorDigits } from '@/core/money/currency';
import { fromWire } from '@/core/money/wire';
import type { Contact } from '@/core/schedules/contact';
import { kindsIn, type ScheduleKind } from '@/core/schedules/kinds';
import { sided } from '../parts/figures';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

interface Props {
  readonly frame: FrameView;
  readonly set: number;
  /** Null for the contacts. */
  readonly account: number | null;
  readonly schedule: ScheduleKind;
  readonly contacts: readonly Contact[];
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

const MOST_SHOWN = 200;

/** What a list holds, before it is taken: its rows, whom it names, and what does not read. */
export const BringList = ({ frame, set, account, schedule, contacts, preview, onDone }: Props) => {
  const refresh = useRefresh();
  const [leave, setLeave] = useState<ReadonlySet<number>>(new Set());
  const [booked, setBooked] = useState(true);
  const [chosen, setChosen] = useState(0);
  /** The accounts of classes or categories that somebody chose. */
  const [places, setPlaces] = useState<ReadonlyMap<string, number>>(new Map());
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const sound = preview.items.filter((one) => one.problems.length === 0 && !leave.has(one.row));
  const faulty = preview.items.filter((one) => one.problems.length > 0);
  const statement = preview.statements[chosen];
  const names = new Map<number, string>(contacts.map((one) => [one.id, one.name]));
  const kinds = new Map(kindsIn(schedule).map(({ id, label }) => [id, label]));
  const money = (currency: string) => ({ currency, digits: minorDigits(currency), style: frame.style });
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
  return (
    <section
      aria-labelledby="list-read"
      className="min-h-0 flex-1 overflow-auto border-t border-rule bg-paper-2 px-4 py-3"
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
        <button type="button" className="btn btn-primary btn-sm" disabled={nothing || busy} onClick={() => void take()}>
          Take {what}
        </button>
        <button type="button" className="btn btn-sm" onClick={onDone}>
          Leave it
        </button>
      </div>
      <Problems problems={[...problems, ...(statement?.problems ?? [])]} />
      <Told label="To be looked at" tone="border-ochre" problems={preview.doubts} />
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
          frame={frame}
          places={places}
          onPlace={(name, to) => setPlaces(new Map(places).set(name, to))}
        />
      )}
      {preview.items.length > 0 && (
        <div className="mt-1 overflow-x-auto" tabIndex={0} role="region" aria-label="Rows of the list">
          <table className="ledger tight w-full">
            <thead>
              <tr>
                {[
                  '',
                  'Row',
                  ...(preview.kind === 'things'
                    ? [
                        'What',
                        'Class',
                        'Code',
                        schedule === 'span' ? 'From' : 'Date',
                        ...(schedule === 'span' ? ['To'] : []),
                      ]
                    : ['Contact', 'Kind', 'Number', 'Date', 'Due']),
                ].map((label) => (
                  <th key={label} scope="col" className="text-left">
                    {label}
                  </th>
                ))}
                <th scope="col" className="figure">
                  {preview.kind === 'things' ? 'Amount' : 'Open'}
                </th>
                {preview.kind === 'things' && (
                  <th scope="col" className="figure">
                    Beside
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {preview.items.slice(0, MOST_SHOWN).map(({ row, item, makes, problems: own, group }, place) => (
                <tr key={place} className={own.length > 0 || leave.has(row) ? 'text-ink-2 line-through' : ''}>
                  <td>
                    <input
                      type="checkbox"
                      aria-label={`Take row ${String(row)}`}
                      className="checkbox checkbox-xs"
                      checked={own.length === 0 && !leave.has(row)}
                      disabled={own.length > 0}
                      onChange={(event) => {
                        const next = new Set(leave);
                        if (event.target.checked) next.delete(row);
                        else next.add(row);
                        setLeave(next);
                      }}
                    />
                  </td>
                  <td className="text-ink-2">{row}</td>
                  <td>
                    {preview.kind === 'things'
                      ? item.note
                      : makes === null
                        ? (names.get(item.contact ?? 0) ?? '')
                        : (preview.contacts[makes]?.name ?? '')}
                    {makes === null ? '' : <span className="note"> new</span>}
                  </td>
                  <td>{preview.kind === 'things' ? group : kinds.get(item.kind)}</td>
                  <td>{item.number}</td>
                  <td className="whitespace-nowrap">{item.date === null ? '' : day(item.date, frame.dates)}</td>
                  {(preview.kind !== 'things' || schedule === 'span') && (
                    <td className="whitespace-nowrap">{item.due === null ? '' : day(item.due, frame.dates)}</td>
                  )}
                  <td className="figure whitespace-nowrap">
                    {item.open === 0n ? '' : sided(item.open, money(item.currency))}
                    {item.currency === frame.currency ? '' : ` ${item.currency}`}
                  </td>
                  {preview.kind === 'things' && (
                    <td className="figure whitespace-nowrap">
                      {item.beside === null ? '' : sided(item.beside, money(item.currency))}
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
          {preview.items.length > MOST_SHOWN && (
            <p className="note">and {preview.items.length - MOST_SHOWN} more, which are taken too</p>
          )}
        </div>
      )}
      {preview.kind === 'contacts' && preview.contacts.length > 0 && (
        <p className="note mt-1">
          {preview.contacts
            .slice(0, 12)
            .map(({ name }) => name)
            .join(', ')}
          {preview.contacts.length > 12 ? ` and ${String(preview.contacts.length - 12)} more` : ''}
        </p>
      )}
    </section>
  );
};

/** The account of each class or category of a register. */
const Groups = ({
  preview,
  frame,
  places,
  onPlace,
}: {
  readonly preview: ListPreview;
  readonly frame: FrameView;
  readonly places: ReadonlyMap<string, number>;
  readonly onPlace: (group: string, account: number) => void;
}) => (
  <table className="ledger tight my-2 max-w-3xl" aria-label="Where each class goes">
    <thead>
      <tr>
        <th scope="col" className="text-left">
          Class
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
            {group.name === '' ? 'without a class' : group.name}
          </th>
          <td>
            <select
              aria-label={`Account of ${group.name === '' ? 'those without a class' : group.name}`}
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
