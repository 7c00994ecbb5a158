import { useRouter } from 'next/navigation';
import { toast } from 'sonner';
import type { Result } from '@/core/base/result';
import { fromWire, toWire } from '@/core/money/wire';
import { type ContactId, blankContact, contactId } from '@/core/schedules/contact';
import type { ScheduleKind } from '@/core/schedules/kinds';

/** Makes a contact on the spot, of the name that was typed, and gives it to the row that it was typed in. */
export const useNewContact = (
  books: number,
  schedule: ScheduleKind,
  onMade: (key: string, contact: ContactId) => void,
): ((key: string, name: string) => Promise<void>) => {
  const router = useRouter();
  return async (key, name) => {
    const role = schedule === 'suppliers' ? 'supplier' : schedule === 'customers' ? 'customer' : 'other';
    const entries = [{ id: null, revision: 0, contact: { ...blankContact(role), name } }];
    try {
      const response = await fetch(`/books/${String(books)}/schedules/contacts/rows`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: toWire({ entries }),
      });
      const done = fromWire(await response.text()) as Result<{
        readonly rows: readonly ({ readonly id: number } | null)[];
      }>;
      const made = done.ok ? done.value.rows[0] : undefined;
      if (made == null) {
        toast.error(done.ok ? 'No contact was made.' : (done.problems[0]?.message ?? 'No contact was made.'));
        return;
      }
      onMade(key, contactId(made.id));
      router.refresh();
    } catch {
      toast.error('Bathron did not answer, so no contact was made.');
    }
  };
};
