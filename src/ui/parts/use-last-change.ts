import { toast } from 'sonner';
import type { lastChange } from '@/actions/changes/views';
import { undo } from '@/actions/changes/commands';
import type { Subject } from '@/core/base/change';
import { plural } from '@/core/base/result';
import { send } from './send';
import { useRefresh } from './use-refresh';
import { useMoment } from './when';

type Last = Awaited<ReturnType<typeof lastChange>>;

/**
 * The way back beyond what this page still knows: where nothing is left to undo on it, what the person changed last of its subjects is
 * named, from the record, and taken back by one press.
 */
export const useLastChange = (books: number, subjects: readonly Subject[]): (() => void) => {
  const refresh = useRefresh();
  const moment = useMoment();
  const takeBack = async (batch: string): Promise<void> => {
    const done = await send(undo({ books, batch }));
    if (!done.ok) {
      toast.error(done.problems[0]?.message ?? 'Nothing was taken back.');
      return;
    }
    toast(`${plural(done.value.undone, 'change')} taken back`);
    refresh();
  };
  return () => {
    const asked = new URLSearchParams(subjects.map((subject) => ['of', subject]));
    void fetch(`/books/${String(books)}/changes/last?${asked.toString()}`)
      .then((response) => (response.ok ? (response.json() as Promise<Last>) : undefined))
      .then((last) => {
        if (last == null) toast('There is nothing to undo here.');
        else if (last.stays !== null) toast(`The last change was “${last.what}”. ${last.stays}`);
        else
          toast(`Changed last, ${moment(last.at)}: ${last.what}`, {
            duration: 15_000,
            action: { label: 'Take back', onClick: () => void takeBack(last.batch) },
          });
      })
      .catch(() => toast.error('Bathron did not answer, so nothing was taken back.'));
  };
};
