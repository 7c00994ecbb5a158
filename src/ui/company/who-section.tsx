'use client';

import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { removeLogo, type setLogo } from '@/actions/company/commands';
import type { Contact } from '@/core/company/facts';
import { legalFormLabel } from '@/core/company/legal-form';
import { LegalFormOptions } from '../books/choices';
import { MOST_LOGO_BYTES } from '@/core/company/logo-limit';
import type { Problem } from '@/core/base/result';
import type { Named } from '../parts/names';
import { FileButton } from '../parts/file-button';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { Pair, Section, SelectFact, TextFact } from './fact-fields';
import { useFacts } from './facts';
import { useRefresh } from '../parts/use-refresh';

export const WhoSection = ({ countries, logo }: { readonly countries: Named; readonly logo: string | null }) => {
  const { facts } = useFacts();
  return (
    <Section id="who" title="Who it is" about="As it stands on the company’s papers; reports are headed with it.">
      <Pair>
        <TextFact field="name" label="Company name" />
        <TextFact field="tradingName" label="Trading name" hint="if it trades under another one" />
        <SelectFact
          field="legalForm"
          label="Legal form"
          hint={`the chart keeps its equity accounts when this changes from ${legalFormLabel(facts.legalForm).toLowerCase()}`}
        >
          <LegalFormOptions country={facts.country} />
        </SelectFact>
        <SelectFact field="country" label="Country" hint="of registration; decides the shape of tax numbers">
          {countries.map(([code, name]) => (
            <option key={code} value={code}>
              {name}
            </option>
          ))}
        </SelectFact>
        <TextFact field="registeredAddress" label="Registered address" rows={3} />
        <TextFact field="postalAddress" label="Postal address" rows={3} hint="if letters go elsewhere" />
        <TextFact field="registrationNumber" label="Registration number" />
        <TextFact field="industry" label="Industry" hint="in a few words" />
        <TextFact field="phone" label="Phone" type="tel" />
        <TextFact field="email" label="E-mail" type="email" />
        <TextFact field="web" label="Web" />
        <TextFact field="yearNote" label="Note on the financial year" hint="such as why it does not end in December" />
      </Pair>
      <Contacts />
      <LogoField logo={logo} />
    </Section>
  );
};

const EMPTY: Contact = { name: '', position: '', email: '', phone: '' };
const COLUMNS = [
  ['name', 'Name'],
  ['position', 'Position'],
  ['email', 'E-mail'],
  ['phone', 'Phone'],
] as const;

/** People to ask. A row is saved when it is left; one without a name is not kept. */
const Contacts = () => {
  const { facts, change, problem } = useFacts();
  const [adding, setAdding] = useState(false);
  const rows = adding ? [...facts.contacts, EMPTY] : facts.contacts;
  const put = (at: number, next: Contact | undefined): void => {
    const list = rows.flatMap((one, place) => (place === at ? (next === undefined ? [] : [next]) : [one]));
    void change(
      'contacts',
      list.filter((one) => one.name !== '' || one.email !== '' || one.phone !== ''),
    ).then((kept) => {
      if (kept && at === facts.contacts.length) setAdding(false);
    });
  };
  return (
    <div className="mt-3">
      <h3 className="text-sm font-medium">People to ask</h3>
      {rows.length > 0 && (
        <ul>
          {rows.map((one, at) => (
            <li
              key={`${String(at)}${JSON.stringify(one)}`}
              className="grid grid-cols-[repeat(2,minmax(0,1fr))_auto] gap-1.5 border-b border-hairline py-1 xl:grid-cols-[minmax(0,1.1fr)_minmax(0,0.8fr)_minmax(0,1.5fr)_minmax(0,1.1fr)_auto]"
              onBlur={(event) => {
                if (event.currentTarget.contains(event.relatedTarget)) return;
                const inputs = [...event.currentTarget.querySelectorAll('input')];
                const [name = '', position = '', email = '', phone = ''] = inputs.map((input) => input.value.trim());
                const next = { name, position, email, phone };
                if (JSON.stringify(next) !== JSON.stringify(one)) put(at, next);
              }}
            >
              {COLUMNS.map(([key, label]) => (
                <input
                  key={key}
                  aria-label={`${label} of contact ${String(at + 1)}`}
                  placeholder={label}
                  defaultValue={one[key]}
                  autoComplete="off"
                  autoFocus={adding && at === facts.contacts.length && key === 'name'}
                  className="input input-xs h-7 w-full"
                />
              ))}
              <button
                type="button"
                className="btn btn-ghost btn-xs h-7"
                aria-label={`Remove contact ${String(at + 1)}`}
                onClick={() => (at === facts.contacts.length ? setAdding(false) : put(at, undefined))}
              >
                <X aria-hidden className="size-4" />
              </button>
            </li>
          ))}
        </ul>
      )}
      {problem('contacts') !== undefined && (
        <p role="alert" className="text-sm text-brick">
          {problem('contacts')}
        </p>
      )}
      <button type="button" className="btn btn-xs mt-1.5" disabled={adding} onClick={() => setAdding(true)}>
        <Plus aria-hidden className="size-3.5" /> Add a person
      </button>
    </div>
  );
};

const LogoField = ({ logo }: { readonly logo: string | null }) => {
  const { books } = useFacts();
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const bring = async (file: File): Promise<void> => {
    const sent = fetch(`/books/${String(books)}/logo`, {
      method: 'POST',
      headers: { 'x-paper-name': 'logo', 'content-type': 'application/octet-stream' },
      body: file,
    }).then((response) => response.json() as ReturnType<typeof setLogo>);
    const done = await send(sent);
    setProblems(done.ok ? [] : done.problems);
    if (done.ok) refresh();
  };
  return (
    <div className="mt-3">
      <h3 className="text-sm font-medium">Logo</h3>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {logo !== null && (
          <img src={`/books/${String(books)}/logo?at=${logo}`} alt="Logo" className="h-10 max-w-40 object-contain" />
        )}
        <FileButton
          small
          label={logo === null ? 'Choose a picture' : 'Choose another'}
          accept=".png,.jpg,.jpeg,.svg"
          onFiles={([file]) => file !== undefined && void bring(file)}
        />
        {logo !== null && (
          <button type="button" className="btn btn-xs" onClick={() => void send(removeLogo({ books })).then(refresh)}>
            Remove it
          </button>
        )}
        <span className="note">PNG, JPEG or SVG, at most {MOST_LOGO_BYTES / 1024} kB</span>
      </div>
      <Problems problems={problems} />
    </div>
  );
};
