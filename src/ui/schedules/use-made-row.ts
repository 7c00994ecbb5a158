import { toast } from 'sonner';
import type { Result } from '@/core/base/result';
import { fromWire, toWire } from '@/core/money/wire';
import { type AnalysisList, type CodeFields, blankCode } from '@/core/schedules/analysis';
import { type ContactFields, type ContactId, blankContact, contactId } from '@/core/schedules/contact';
import type { ScheduleKind } from '@/core/schedules/kinds';
import { useRefresh } from '../parts/use-refresh';

type Made = { readonly contact: ContactFields } | { readonly code: CodeFields };

/** Makes a contact or a code on the spot, for the row in which its name was typed; undefined, said in a toast, where that failed. */
const useMadeRow = (books: number): ((place: string, made: Made) => Promise<number | undefined>) => {
  const refresh = useRefresh();
  return async (place, made) => {
    try {
      const response = await fetch(`/books/${String(books)}/schedules/${place}/rows`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: toWire({ entries: [{ id: null, revision: 0, ...made }] }),
      });
      const done = fromWire(await response.text()) as Result<{
        readonly rows: readonly ({ readonly id: number } | null)[];
      }>;
      const row = done.ok ? done.value.rows[0] : undefined;
      if (row == null) {
        toast.error((done.ok ? undefined : done.problems[0]?.message) ?? 'Nothing was made.');
        return undefined;
      }
      refresh();
      return row.id;
    } catch {
      toast.error('Bathron did not answer, so nothing was made.');
      return undefined;
    }
  };
};

/** Makes a contact of the name that was typed, and gives it to the row. */
export const useNewContact = (
  books: number,
  schedule: ScheduleKind,
  onMade: (key: string, contact: ContactId) => void,
): ((key: string, name: string) => Promise<void>) => {
  const make = useMadeRow(books);
  const role = schedule === 'suppliers' ? 'supplier' : schedule === 'customers' ? 'customer' : 'other';
  return async (key, name) => {
    const id = await make('contacts', { contact: { ...blankContact(role), name } });
    if (id !== undefined) onMade(key, contactId(id));
  };
};

/** Adds what was typed to a list of analysis codes, and gives it to the row. */
export const useNewCode = (
  books: number,
  onMade: (key: string, list: AnalysisList, code: number) => void,
): ((key: string, list: AnalysisList, code: string) => Promise<void>) => {
  const make = useMadeRow(books);
  return async (key, list, code) => {
    const id = await make('analysis', { code: { ...blankCode(list), code } });
    if (id !== undefined) onMade(key, list, id);
  };
};
