'use client';

import { Paperclip } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import type { FoundSchedule } from '@/actions/schedules/views';
import type { FrameView } from '@/actions/frame/views';
import { plainDate } from '@/core/base/dates';
import { type Problem, toldIn } from '@/core/base/result';
import { called } from '@/core/chart/account';
import { movedBeside } from '@/core/schedules/things/cells';
import { type Columns, rowsIn } from '@/core/money/columns';
import { abs, minor } from '@/core/money/minor';
import { codeBook, codeDoubts, fieldOfList, listOfColumn } from '@/core/schedules/analysis';
import { withDetail } from '@/core/schedules/things/detail';
import { type CellRules, contactBook, typedItem } from '@/core/schedules/item-cells';
import type { ItemColumn } from '@/core/schedules/item-columns';
import { type Item, type ItemFields, blankItem, itemDoubts } from '@/core/schedules/item';
import { isThings, kindsIn } from '@/core/schedules/kinds';
import { lacksEvidence } from '@/core/schedules/evidence';
import { WORKED_OUT } from '@/core/schedules/things/columns';
import { METHODS } from '@/core/schedules/things/depreciation';
import { thingDoubts } from '@/core/schedules/things/doubts';
import { supportedBy, tieOf, together } from '@/core/schedules/tie-out';
import { EvidenceList, EvidencePart } from '../evidence/evidence-part';
import { useEvidence } from '../evidence/use-evidence';
import { useRowDrop } from '../evidence/use-row-drop';
import { Frame, MarginPart } from '../frame/frame';
import { scheduleHref } from '../frame/stage-href';
import { FileButton, TABLES } from '../parts/file-button';
import { Go } from '../parts/go';
import { figure, moneyOf, sided } from '../parts/figures';
import { writingWith } from '../parts/names';
import type { Choice } from '../parts/picker';
import { Problems } from '../parts/problems';
import { SaveAs } from '../parts/save-as';
import { ViewSwitch } from '../parts/view-switch';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';
import { type SheetRow, noteAt } from '../sheet/saved-rows';
import { posted, useSavedRows } from '../sheet/use-saved-rows';
import { Ageing } from './ageing';
import { BringList } from './bring-list';
import { itemColumns } from './item-columns';
import { SincePart } from './since-part';
import { ReturnsPart } from './returns-part';
import { ScheduleNav } from './schedule-nav';
import { useBroughtList } from './use-brought-list';
import { BesidePart } from './beside-part';
import { ThisThing, thingTotals } from './this-thing';
import { StatementForm } from './statement-form';
import { TieBox } from './tie-box';
import { SCHEDULE_NAMES } from './tie-words';
import { useCodes, useContacts } from './use-made-row';

const KEYS = [
  ['type, Enter or F2', 'edit a cell; in the blank row behind the last, a new item'],
  ['Tab', 'keep and go to the next cell; after Esc, Tab leaves the sheet'],
  ['Delete', 'empty the chosen cells'],
  ['Ctrl −', 'delete the chosen rows'],
  ['Ctrl C, Ctrl X, Ctrl V', 'copy, cut and paste with any spreadsheet'],
  ['Ctrl Z', 'take back what was changed last'],
] as const;

/** Whether an item has an amount, so that it can be kept. */
const isComplete = ({ open, beside }: ItemFields): boolean => open !== 0n || (beside ?? 0n) !== 0n;

type Row = SheetRow<ItemFields>;

/** The schedule of one account: its items on a sheet, their ages, and what they tie to. */
export const SchedulePage = ({
  frame,
  account,
  schedule,
  tie: stored,
  parts,
  explained,
  set,
  drafting,
  items,
  contacts: contactsShown,
  currencies,
  rates,
  terms,
  evidence,
  looked,
  controls,
  spans,
  others,
  besides,
  partner,
  lists,
  levels,
  codes: codesShown,
  returns,
  before,
}: Omit<FoundSchedule, 'items' | 'before'> & {
  readonly frame: FrameView;
  readonly items: Columns<Item>;
  readonly before: { readonly version: number; readonly items: Columns<Item> } | null;
}) => {
  const editable = drafting && frame.may.includes('openings.change');
  const [view, setView] = useState<'items' | 'ages'>('items');
  const [selected, setSelected] = useState<string | undefined>();
  const [bare, setBare] = useState(false);
  const papers = useEvidence(frame.id, evidence);
  const list = useBroughtList(frame.id, account.id);
  const people = schedule === 'customers' || schedule === 'suppliers';
  const { contacts, makeContact } = useContacts(frame, contactsShown, schedule);
  const { codes, makeCode } = useCodes(frame, codesShown);
  const book = useMemo(() => contactBook(contacts), [contacts]);
  const codeOf = useMemo(() => codeBook(lists, codes), [lists, codes]);
  const rules: CellRules = {
    schedule,
    account,
    base: frame.currency,
    style: frame.style,
    dates: frame.dates,
    contacts: book,
    terms,
    openingDate: plainDate(frame.openingDate),
    spans,
    codes: codeOf,
  };
  const things = isThings(schedule) ? { ...rules, schedule } : undefined;
  const own = account.currency ?? frame.currency;
  const foreign = currencies.length > 0 && account.currency === null;
  // Where the second amounts of the items stand: as they say, and of none yet where such amounts most likely do.
  const besideAccount = useMemo(() => {
    const all = rowsIn(items);
    return all.length === 0 ? partner : (all.find((one) => one.besideAccount !== null)?.besideAccount ?? null);
  }, [items, partner]);
  const rows = useSavedRows<ItemFields>({
    of: frame,
    stored: useMemo(
      () =>
        rowsIn(items).map(({ id, revision, account: _, paper: __, row: ___, ...fields }) => ({ id, revision, fields })),
      [items],
    ),
    blank: { ...blankItem(schedule, own), besideAccount },
    apply: (fields, { column, text }) => {
      const read = typedItem(fields, column as ItemColumn, text, rules);
      return read.ok
        ? read
        : { ok: false, problems: read.problems.map((one) => toldIn(one, writingWith(frame.dates))) };
    },
    complete: isComplete,
    store: (sent) =>
      posted(`/books/${String(frame.id)}/schedules/${String(account.id)}/items`, {
        set,
        entries: sent.map(({ id, revision, fields }) => ({ id, revision, item: fields })),
      }),
    one: 'item',
  });
  const makeFor = async (key: string, column: ItemColumn, text: string): Promise<void> => {
    const list = listOfColumn(column);
    if (list === undefined) {
      const contact = await makeContact(text);
      if (contact !== undefined) rows.change(key, (fields) => ({ ...fields, contact }));
      return;
    }
    const code = await makeCode(list, text);
    if (code !== undefined)
      rows.change(key, (fields) => ({ ...fields, detail: withDetail(fields.detail, fieldOfList(list), String(code)) }));
  };
  const offerLast = useLastChange(frame.id, [
    'item',
    'contact',
    'analysis-code',
    'statement',
    'tie',
    'looked',
    'evidence',
  ]);
  useUndoKeys({ undo: offerLast, redo: offerLast, typing: isTyping });

  const counted = useMemo(() => rows.rows.filter(({ fields }) => isComplete(fields)), [rows.rows]);
  // What looks at every item beside the others waits, so that the key is on the screen first.
  const settled = useDeferredValue(counted);
  const fieldsNow = useMemo(() => settled.map(({ fields }) => fields), [settled]);
  const fieldsBefore = useMemo(() => (before === null ? [] : rowsIn(before.items)), [before]);
  const ownSums = supportedBy(
    counted.map(({ fields }) => fields),
    account.id,
  );
  const tie = tieOf({
    figure: stored.figure,
    parts,
    base: frame.currency,
    own: account.currency === frame.currency ? null : account.currency,
    supported: together(
      ownSums,
      others.map(({ sum }) => sum),
    ),
    closing: stored.closing,
    explained,
    rate: (currency) => rates[currency],
  });
  const elsewhere = useMemo(
    () =>
      new Map(
        contacts.flatMap((one): readonly (readonly [number, string])[] =>
          one.account === null || one.account === account.id
            ? []
            : [[one.id, controls.find(({ id }) => id === one.account)?.code ?? 'another account']],
        ),
      ),
    [contacts, controls, account.id],
  );
  const doubts = useMemo(() => {
    const asked = settled.map((row, at) => ({ ...row.fields, id: at }));
    const openingDate = plainDate(frame.openingDate);
    const found = isThings(schedule)
      ? thingDoubts(asked, { schedule, account, style: frame.style, dates: frame.dates, openingDate, spans })
      : itemDoubts(asked, { schedule, openingDate, elsewhere });
    return new Map(
      settled.flatMap(({ key, fields }, at): readonly (readonly [string, readonly Problem[]])[] => {
        const own = [...(found.get(at) ?? []), ...codeDoubts(fields, codeOf, openingDate)];
        return own.length === 0 ? [] : [[key, own]];
      }),
    );
  }, [settled, schedule, account, frame, spans, elsewhere, codeOf]);
  const choices = useMemo(
    (): readonly Choice[] =>
      contacts
        .filter((one) => one.active)
        .map((one) => ({ key: String(one.id), code: one.code, name: one.name, more: one.legalName })),
    [contacts],
  );
  const codeChoices = (column: ItemColumn): Pick<DataColumn<Row>, 'choices' | 'makes'> => {
    const list = listOfColumn(column);
    return list === undefined
      ? {}
      : {
          choices: codes
            .filter((one) => one.list === list && one.active)
            .map((one) => ({ key: String(one.id), code: one.code, name: one.name })),
          makes: (text) => `Add “${text}” to the list`,
        };
  };
  const named = { lists, levels };
  const shape = itemColumns(rules, foreign, named);
  const columns = shape.map(({ id, text, ...column }): DataColumn<Row> => ({
    ...column,
    id,
    text: (row) => row.unread[id]?.text ?? text(row.fields),
    takes: !WORKED_OUT.has(id),
    ...(id === 'contact' ? { choices, makes: (text: string) => `Make a contact “${text}”` } : {}),
    ...codeChoices(id),
    ...(id === 'kind'
      ? { choices: kindsIn(schedule).map((kind) => ({ key: kind.id, code: '', name: kind.label })) }
      : {}),
    ...(id === 'method'
      ? { choices: METHODS.map((one) => ({ key: one.id, code: '', name: one.label, more: one.means })) }
      : {}),
    ...(id === 'currency'
      ? { choices: [own, ...currencies].map((code) => ({ key: code, code: '', name: code })) }
      : {}),
  }));
  const told = (problem: Problem): Problem => toldIn(problem, writingWith(frame.dates));
  const noteOf = (row: Row, column: string) => noteAt(row, column, 'open', (doubts.get(row.key) ?? []).map(told));
  const fromPaper = useMemo(
    () => new Set(rowsIn(items).flatMap(({ id, paper }) => (paper === null ? [] : [id]))),
    [items],
  );
  const attachedTo = ({ id }: Row) => (id === null ? [] : papers.to('item', id));
  const isBare = (row: Row): boolean =>
    row.id !== null && lacksEvidence(row.fields.open, fromPaper.has(row.id), attachedTo(row));
  const without = rows.rows.filter(isBare).length;
  const shown = bare ? rows.rows.filter(isBare) : rows.rows;
  useRowDrop((row, files) => {
    const found = rows.rows.find(({ id }) => String(id) === row);
    if (found === undefined) return;
    setSelected(found.key);
    void papers.bring({ of: 'item', id: Number(row) }, files);
  });
  const chosen = rows.rows.find(({ key }) => key === selected);
  const asked = doubts.size;
  const sums = together(
    ownSums,
    others.map(({ sum }) => sum),
  );
  const [only] = ownSums;
  const totals =
    only === undefined
      ? {}
      : {
          [columns[0]?.id ?? '']: `${String(counted.length)} ${counted.length === 1 ? 'item' : 'items'}`,
          ...(things === undefined
            ? {
                // Amounts of several currencies do not add up; they stand in the margin, each by itself.
                open: ownSums.length === 1 ? sided(only.open, moneyOf(only.currency, frame)) : '',
                base: foreign && tie.support !== null ? sided(tie.support, frame) : '',
              }
            : ownSums.length > 1
              ? {}
              : thingTotals(fieldsNow, things, moneyOf(only.currency, frame))),
        };
  return (
    <Frame
      frame={frame}
      stage="schedules"
      title={called(account)}
      about={
        <>
          {SCHEDULE_NAMES[schedule]}
          {drafting ? '' : ', posted'} · <span role="status">{rows.said}</span>
        </>
      }
      keys={KEYS}
      fixed
      actions={
        <>
          {editable && (
            <FileButton
              label={
                schedule === 'statement'
                  ? 'Bring a statement'
                  : schedule === 'loan'
                    ? 'Bring loans or a plan'
                    : 'Bring a list'
              }
              accept={`${TABLES},.sta,.940,.mt940`}
              onFiles={([file]) => void list.bring(file)}
            />
          )}
        </>
      }
      margin={
        <>
          <TieBox
            frame={frame}
            account={account.id}
            set={set}
            tie={tie}
            sums={sums}
            looked={looked}
            open={drafting && rows.said === 'all saved'}
          />
          {before !== null && (
            <SincePart
              frame={frame}
              version={before.version}
              before={fieldsBefore}
              items={fieldsNow}
              nameOf={({ contact, number, reference, note }) =>
                [
                  contact === null ? '' : (contacts.find(({ id }) => id === contact)?.name ?? ''),
                  number === '' ? reference : number,
                  contact === null || (number === '' && reference === '') ? note : '',
                ]
                  .filter((text) => text !== '')
                  .join(' ')
              }
            />
          )}
          {others.length > 0 && (
            <MarginPart title="From other lists">
              {others.map(({ of, sum }) => (
                <p key={`${String(of.id)} ${sum.currency}`} className="flex justify-between gap-3">
                  <Go className="hover:underline" href={scheduleHref(frame.id, of.id)}>
                    {called(of)}
                  </Go>
                  <span className="whitespace-nowrap tabular-nums">
                    {sided(sum.open, moneyOf(sum.currency, frame))}
                  </span>
                </p>
              ))}
            </MarginPart>
          )}
          {things !== undefined && (
            <BesidePart
              frame={frame}
              account={account}
              set={set}
              schedule={things.schedule}
              besides={besides}
              chosen={besideAccount}
              figure={tie.figure}
              items={fieldsNow}
              open={editable && rows.said === 'all saved'}
              onChoose={(to) => {
                rows.changeAll((fields) => movedBeside(fields, to, things));
              }}
            />
          )}
          {returns !== null && (
            <ReturnsPart
              frame={frame}
              facts={returns}
              items={fieldsNow}
              open={editable}
              onAdd={(date, period) =>
                rows.edit(
                  [
                    ['reference', period],
                    ['date', date],
                  ].map(([column = '', text = '']) => ({ at: rows.rows.length, column, text, made: false })),
                )
              }
            />
          )}
          {chosen !== undefined && (
            <MarginPart title="This item">
              <ItemNotes
                row={chosen}
                doubts={doubts.get(chosen.key) ?? []}
                frame={frame}
                complete={isComplete(chosen.fields)}
              />
              {things !== undefined && (
                <ThisThing
                  item={chosen.fields}
                  rules={things}
                  money={moneyOf(chosen.fields.currency, frame)}
                  open={editable}
                  onTake={(beside) => rows.change(chosen.key, (fields) => ({ ...fields, beside }))}
                />
              )}
              {chosen.id !== null && (
                <div className="mt-2">
                  <EvidenceList key={chosen.id} books={frame.id} to={{ of: 'item', id: chosen.id }} papers={papers} />
                </div>
              )}
            </MarginPart>
          )}
          <EvidencePart
            books={frame.id}
            to={{ of: 'account', id: account.id }}
            papers={papers}
            title="Evidence of the whole"
          />
          {asked > 0 && chosen === undefined && (
            <MarginPart title="To check">
              <p>
                {asked === 1 ? 'One item has' : `${String(asked)} items have`} something to check again; it stands at
                the row, in ochre.
              </p>
            </MarginPart>
          )}
          {schedule === 'statement' && (
            <MarginPart title="How it ties">
              <p>
                The books are the statement, with what it does not have yet and without what only it has:{' '}
                <em>books = statement ± the items listed</em>.
              </p>
            </MarginPart>
          )}
        </>
      }
    >
      <ScheduleNav frame={frame} current="one" contacts={contacts.length > 0}>
        {people && (
          <ViewSwitch
            views={[
              ['items', 'Items'],
              ['ages', 'Ageing'],
            ]}
            shown={view}
            onShow={setView}
          />
        )}
        {(without > 0 || bare) && view === 'items' && (
          <label className="flex items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={bare}
              onChange={(event) => setBare(event.target.checked)}
            />
            Without any evidence ({without})
          </label>
        )}
        {counted.length > 0 && (
          <SaveAs label="Save as" href={`/books/${String(frame.id)}/lists/schedule?account=${String(account.id)}`} />
        )}
      </ScheduleNav>
      {schedule === 'statement' && (
        <StatementForm frame={frame} set={set} account={account} closing={stored.closing} open={editable} />
      )}
      {list.busy !== '' && (
        <p role="status" className="px-4 py-1 text-sm">
          {list.busy}
        </p>
      )}
      {(list.problems.length > 0 || rows.problems.length > 0) && (
        <div className="px-4 py-1">
          <Problems problems={[...list.problems, ...rows.problems]} />
        </div>
      )}
      {list.preview !== undefined ? (
        <BringList
          frame={frame}
          set={set}
          account={account.id}
          columns={shape}
          preview={list.preview}
          onDone={list.close}
        />
      ) : view === 'ages' ? (
        <Ageing frame={frame} items={counted.map(({ fields }) => fields)} contacts={contacts} />
      ) : (
        <DataSheet<Row>
          label={`Items of ${called(account)}`}
          heading={`${frame.name} · ${called(account)}, ${SCHEDULE_NAMES[schedule]} · ${drafting ? 'draft, not posted' : 'posted'}`}
          columns={columns}
          rows={shown}
          idOf={({ key }) => key}
          takesFiles={({ id }) => (id === null ? undefined : String(id))}
          mark={(row) =>
            attachedTo(row).length > 0 && (
              <Paperclip aria-label="with evidence" className="ml-auto size-3 shrink-0 text-ink-2" />
            )
          }
          blank={rows.next}
          selected={selected}
          onSelect={setSelected}
          open={editable}
          onEdit={(edits) => {
            // Rows that the filter leaves out keep their places.
            const placed = edits.map((edit) => {
              const row = shown[edit.at];
              return {
                ...edit,
                at: row === undefined ? edit.at + rows.rows.length - shown.length : rows.rows.indexOf(row),
              };
            });
            for (const edit of placed.filter((one) => one.made)) {
              const key = rows.rows[edit.at]?.key ?? rows.next;
              void makeFor(key, edit.column as ItemColumn, edit.text);
            }
            rows.edit(placed);
          }}
          onDelete={rows.remove}
          noteOf={noteOf}
          totals={totals}
          empty={
            others.length > 0 ? (
              <p>
                What stands behind this figure comes from the other lists named beside; what they lack is listed here.
              </p>
            ) : editable ? (
              <p>
                Type the first item in the row below, paste rows from a spreadsheet, or bring the list as a file
                {tie.figure === 0n ? '' : `; the figure to reach is ${sided(tie.figure, frame)}`}.
              </p>
            ) : (
              <p>{drafting ? 'Nothing is listed yet.' : 'Nothing was listed when these balances were posted.'}</p>
            )
          }
        />
      )}
    </Frame>
  );
};

/** What is said of the chosen item. */
const ItemNotes = ({
  row,
  doubts,
  frame,
  complete,
}: {
  readonly row: Row;
  readonly doubts: readonly Problem[];
  readonly frame: FrameView;
  readonly complete: boolean;
}) => {
  const said = [
    ...Object.values(row.unread).map(({ says }) => says),
    ...row.refused.map(({ message }) => message),
    ...(complete ? [] : ['It is saved once something is open of it.']),
    ...doubts.map((one) => toldIn(one, writingWith(frame.dates)).message),
  ];
  const money = moneyOf(row.fields.currency, frame);
  return (
    <>
      {complete && (
        <p>
          {figure(minor(abs(row.fields.open)), money)} {row.fields.currency} {row.fields.open > 0n ? 'Dr' : 'Cr'}
        </p>
      )}
      {said.map((one) => (
        <p key={one} className="mt-1 text-ochre">
          {one}
        </p>
      ))}
    </>
  );
};
