import { useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { Result, Revised } from '@/core/base/result';
import { folded } from '@/core/base/folded';
import { fromWire, toWire } from '@/core/money/wire';
import { type AnalysisCode, type AnalysisList, type CodeFields, blankCode } from '@/core/schedules/analysis';
import { type Contact, type ContactFields, type ContactId, blankContact, contactId } from '@/core/schedules/contact';
import type { ScheduleKind } from '@/core/schedules/kinds';
import { noted } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

type Entry = { readonly contact: ContactFields } | { readonly code: CodeFields };

interface Made {
  readonly id: number;
  readonly revision: number;
  /** The revision of the books that has it. */
  readonly since: number;
}

const sent = async (address: string, entry: Entry): Promise<Made | undefined> => {
  try {
    const response = await fetch(address, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: toWire({ entries: [{ id: null, revision: 0, ...entry }] }),
    });
    const done = noted(
      fromWire(await response.text()) as Result<{
        readonly rows: readonly ({ readonly id: number; readonly revision: number } | null)[];
      }>,
    );
    const row = done.ok ? done.value.rows[0] : undefined;
    if (done.ok && row != null) return { ...row, since: done.left?.revision ?? 0 };
    toast.error((done.ok ? undefined : done.problems[0]?.message) ?? 'Nothing was made.');
  } catch {
    toast.error('Bathron did not answer, so nothing was made.');
  }
  return undefined;
};

interface Making<Fields, Row> {
  /** Those that the server shows, and those made here that it does not show yet. */
  readonly all: readonly Row[];
  /** Makes one under a name, or gives the one that is being made under it; undefined, said in a toast, where that failed. */
  readonly make: (name: string, fields: Fields) => Promise<Row | undefined>;
}

/** Makes contacts or codes on the spot. One that was just made is there for the next row at once, so that it is not made twice. */
const useMaking = <Fields, Row extends { readonly id: number }>(
  of: Revised,
  shown: readonly Row[],
  place: string,
  entry: (fields: Fields) => Entry,
  row: (fields: Fields, made: Made) => Row,
): Making<Fields, Row> => {
  const refresh = useRefresh();
  const [made, setMade] = useState<readonly { readonly row: Row; readonly since: number }[]>([]);
  const underWay = useRef(new Map<string, Promise<Row | undefined>>());
  const all = useMemo(() => {
    const unseen = made.filter(({ since }) => since > of.revision);
    return unseen.length === 0 ? shown : [...shown, ...unseen.map((one) => one.row)];
  }, [made, of.revision, shown]);
  const make = async (fields: Fields): Promise<Row | undefined> => {
    const done = await sent(`/books/${String(of.id)}/schedules/${place}/rows`, entry(fields));
    if (done === undefined) return undefined;
    const fresh = row(fields, done);
    setMade((before) => [...before, { row: fresh, since: done.since }]);
    refresh();
    return fresh;
  };
  return {
    all,
    make: (name, fields) => {
      const key = folded(name).trim();
      const going = underWay.current.get(key) ?? make(fields).finally(() => underWay.current.delete(key));
      underWay.current.set(key, going);
      return going;
    },
  };
};

/** The contacts, and how one is made of a name that was typed. */
export const useContacts = (
  of: Revised,
  shown: readonly Contact[],
  schedule: ScheduleKind,
): {
  readonly contacts: readonly Contact[];
  readonly makeContact: (name: string) => Promise<ContactId | undefined>;
} => {
  const { all, make } = useMaking<ContactFields, Contact>(
    of,
    shown,
    'contacts',
    (contact) => ({ contact }),
    (fields, { id, revision }) => ({ ...fields, id: contactId(id), revision }),
  );
  const role = schedule === 'suppliers' ? 'supplier' : schedule === 'customers' ? 'customer' : 'other';
  return {
    contacts: all,
    makeContact: async (name) => (await make(name, { ...blankContact(role), name }))?.id,
  };
};

/** The analysis codes, and how one that was typed is added to one of their lists. */
export const useCodes = (
  of: Revised,
  shown: readonly AnalysisCode[],
): {
  readonly codes: readonly AnalysisCode[];
  readonly makeCode: (list: AnalysisList, code: string) => Promise<number | undefined>;
} => {
  const { all, make } = useMaking<CodeFields, AnalysisCode>(
    of,
    shown,
    'analysis',
    (code) => ({ code }),
    (fields, { id, revision }) => ({ ...fields, id, revision }),
  );
  return {
    codes: all,
    makeCode: async (list, code) => (await make(`${String(list)} ${code}`, { ...blankCode(list), code }))?.id,
  };
};
