'use client';

import { useMemo, useState } from 'react';
import type { contactsView } from '@/actions/schedules/views';
import { plural } from '@/core/base/result';
import {
  CONTACT_COLUMNS,
  CONTACT_LABELS,
  SETTLES,
  type ContactColumn,
  contactText,
  typedContact,
} from '@/core/schedules/contact-cells';
import { CONTACT_ROLES, type ContactFields, blankContact, contactDoubts } from '@/core/schedules/contact';
import { nearTwins } from '@/core/schedules/twins';
import { Frame, MarginPart } from '../frame/frame';
import { FileButton, TABLES } from '../parts/file-button';
import { Go } from '../parts/go';
import type { Named } from '../parts/names';
import type { Choice } from '../parts/picker';
import { Problems } from '../parts/problems';
import { SaveAs } from '../parts/save-as';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';
import { type SheetRow, noteAt } from '../sheet/saved-rows';
import { posted, useSavedRows } from '../sheet/use-saved-rows';
import { BringList } from './bring-list';
import { CopyContacts } from './copy-contacts';
import { ScheduleNav } from './schedule-nav';
import { useBroughtList } from './use-brought-list';

type View = NonNullable<Awaited<ReturnType<typeof contactsView>>>;
type Row = SheetRow<ContactFields>;

const KEYS = [
  ['type, Enter or F2', 'edit a cell; in the blank row behind the last, a new contact'],
  ['Tab', 'keep and go to the next cell; after Esc, Tab leaves the sheet'],
  ['Ctrl −', 'delete the chosen contacts; those that items name stay'],
  ['Ctrl Z', 'take back what was changed last'],
] as const;

const WIDTHS: Readonly<Record<ContactColumn, string>> = {
  code: '5.5rem',
  name: 'minmax(12rem,1.4fr)',
  role: '9rem',
  taxNumber: '8.5rem',
  country: '4.6rem',
  currency: '3.6rem',
  terms: '5rem',
  creditLimit: '7rem',
  settles: '8rem',
  account: '5.5rem',
  email: 'minmax(9rem,1fr)',
  phone: '8rem',
  person: '8rem',
  address: 'minmax(9rem,1fr)',
  note: '9rem',
  active: '4rem',
};

/** The contacts of the books on a sheet: customers, suppliers and others. */
export const ContactsPage = ({
  frame,
  contacts,
  set,
  currencies,
  countries,
  accounts,
}: View & { readonly countries: Named }) => {
  const [selected, setSelected] = useState<string | undefined>();
  const rules = { countries, base: frame.currency, style: frame.style, accounts };
  const list = useBroughtList(frame.id, null);
  const rows = useSavedRows<ContactFields>({
    of: frame,
    stored: useMemo(
      () => contacts.map(({ id, revision, used: _, ...fields }) => ({ id, revision, fields })),
      [contacts],
    ),
    blank: blankContact('customer'),
    apply: (fields, { column, text }) => typedContact(fields, column as ContactColumn, text, rules),
    complete: ({ name }) => name.trim() !== '',
    store: (sent) =>
      posted(`/books/${String(frame.id)}/schedules/contacts/rows`, {
        entries: sent.map(({ id, revision, fields }) => ({ id, revision, contact: fields })),
      }),
    one: 'contact',
  });
  const offerLast = useLastChange(frame.id, ['contact']);
  useUndoKeys({ undo: offerLast, redo: offerLast, typing: isTyping });
  const columns = CONTACT_COLUMNS.map((id): DataColumn<Row> => {
    const choices: Readonly<Partial<Record<ContactColumn, readonly Choice[]>>> = {
      role: CONTACT_ROLES.map((role) => ({ key: role.id, code: '', name: role.label })),
      country: countries.map(([code, name]) => ({ key: code, code, name })),
      currency: [frame.currency, ...currencies].map((code) => ({ key: code, code: '', name: code })),
      settles: Object.values(SETTLES).map((label) => ({ key: label, code: '', name: label })),
      account: accounts.map(({ code, name }) => ({ key: code, code, name })),
      active: ['yes', 'no'].map((word) => ({ key: word, code: '', name: word })),
    };
    const own = choices[id];
    return {
      id,
      label: CONTACT_LABELS[id],
      width: WIDTHS[id],
      kind: id === 'creditLimit' ? 'figure' : own === undefined ? 'text' : 'choice',
      text: (row) => row.unread[id]?.text ?? contactText(row.fields, id, rules),
      takes: true,
      ...(own === undefined ? {} : { choices: own }),
    };
  });
  const twins = useMemo(() => nearTwins(rows.rows.map(({ fields }) => fields)), [rows.rows]);
  const chosen = rows.rows.find(({ key }) => key === selected);
  const stored = contacts.find(({ id }) => id === chosen?.id);
  const noteOf = (row: Row, column: string) => noteAt(row, column, 'name', contactDoubts(row.fields));
  return (
    <Frame
      frame={frame}
      stage="schedules"
      title="Contacts"
      about={
        <>
          {plural(rows.rows.length, 'contact')} · <span role="status">{rows.said}</span>
        </>
      }
      keys={KEYS}
      fixed
      actions={
        <>
          {frame.may.includes('papers.change') && (
            <FileButton label="Bring a list" accept={TABLES} onFiles={([file]) => void list.bring(file)} />
          )}
        </>
      }
      margin={
        <>
          {chosen !== undefined && (
            <MarginPart title={chosen.fields.name === '' ? 'New contact' : chosen.fields.name}>
              {stored !== undefined && (
                <p>
                  <Go className="link" href={`/books/${String(frame.id)}/schedules/contacts/${String(stored.id)}`}>
                    {stored.used ? 'Its items and their ages' : 'Its page'}
                  </Go>
                </p>
              )}
              {[
                ...Object.values(chosen.unread).map(({ says }) => says),
                ...chosen.refused.map(({ message }) => message),
              ].map((says) => (
                <p key={says} className="mt-1 text-brick">
                  {says}
                </p>
              ))}
              {contactDoubts(chosen.fields).map(({ message }) => (
                <p key={message} className="mt-1 text-ochre">
                  {message}
                </p>
              ))}
            </MarginPart>
          )}
          {twins.length > 0 && (
            <MarginPart title="Perhaps entered twice">
              <ul>
                {twins.slice(0, 10).map(([a, b]) => (
                  <li key={`${String(a)}-${String(b)}`} className="py-0.5">
                    {rows.rows[a]?.fields.name} and {rows.rows[b]?.fields.name}
                  </li>
                ))}
              </ul>
            </MarginPart>
          )}
          {frame.may.includes('openings.change') && (
            <MarginPart title="From elsewhere">
              <CopyContacts books={frame.id} />
            </MarginPart>
          )}
          <MarginPart title="Terms">
            <p>
              “30” is days after the document, “30 eom” days after its month’s end, “15 next” the 15th of the next
              month. Empty: as the company’s defaults say.
            </p>
          </MarginPart>
        </>
      }
    >
      <ScheduleNav frame={frame} current="contacts">
        {rows.rows.length > 0 && <SaveAs label="Save as" href={`/books/${String(frame.id)}/lists/contacts`} />}
      </ScheduleNav>
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
          account={null}
          contactColumns={CONTACT_COLUMNS.map((id) => ({
            id,
            label: CONTACT_LABELS[id],
            width: WIDTHS[id],
            kind: id === 'creditLimit' ? 'figure' : 'text',
            text: (fields) => contactText(fields, id, rules),
            takes: false,
          }))}
          preview={list.preview}
          onDone={list.close}
        />
      ) : (
        <DataSheet<Row>
          label="Contacts"
          heading={`${frame.name} · contacts`}
          columns={columns}
          rows={rows.rows}
          idOf={({ key }) => key}
          blank={rows.next}
          selected={selected}
          onSelect={setSelected}
          open={frame.may.includes('openings.change')}
          onEdit={rows.edit}
          onDelete={rows.remove}
          noteOf={noteOf}
          totals={{}}
          empty={
            <p>Type the first contact in the row below, paste rows from a spreadsheet, or bring the list as a file.</p>
          }
        />
      )}
    </Frame>
  );
};
