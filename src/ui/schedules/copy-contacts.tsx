'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { copyContacts, otherBooks } from '@/actions/schedules/copy-contacts';
import { type Problem, plural } from '@/core/base/result';
import { Picker } from '../parts/picker';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

/** Contacts of another client, for those who deal with both. */
export const CopyContacts = ({ books }: { readonly books: number }) => {
  const refresh = useRefresh();
  const [choices, setChoices] = useState<readonly { readonly id: number; readonly name: string }[] | undefined>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const copy = async (from: number): Promise<void> => {
    const done = await send(copyContacts({ books, from }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    setChoices(undefined);
    toast(done.value.copied === 0 ? 'All of them are here already' : `${plural(done.value.copied, 'contact')} copied`);
    refresh();
  };
  return (
    <div className="flex flex-col gap-2">
      {choices === undefined ? (
        <button
          type="button"
          className="btn btn-xs self-start"
          onClick={() => void otherBooks({ books }).then(setChoices)}
        >
          Copy from another client
        </button>
      ) : (
        <Picker
          aria-label="Client to copy contacts from"
          placeholder="which client"
          choices={choices.map(({ id, name }) => ({ key: String(id), code: '', name }))}
          chosen=""
          onChoose={(key) => void copy(Number(key))}
        />
      )}
      <Problems problems={problems} />
    </div>
  );
};
