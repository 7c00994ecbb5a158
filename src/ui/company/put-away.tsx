'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { removeBooks } from '@/actions/books/commands';
import { archiveBooks } from '@/actions/company/commands';
import type { Problem } from '@/core/base/result';
import { Field } from '../parts/field';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';
import { useFacts } from './facts';

/** At the end and apart from all that is filled in: the books leave the board, or are deleted. */
export const PutAway = ({ archived, posted }: { readonly archived: boolean; readonly posted: boolean }) => {
  const { books, facts } = useFacts();
  const refresh = useRefresh();
  return (
    <section aria-label="Archive or delete" className="mt-6 border-t border-ink pt-3">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <button
          type="button"
          className="btn btn-xs"
          onClick={() => void send(archiveBooks({ books, archived: !archived })).then(refresh)}
        >
          {archived ? 'Bring back to the board' : 'Archive these books'}
        </button>
        <span className="note">
          {archived
            ? 'They are archived: hidden from the board, and whole.'
            : 'An archive hides them from the board; nothing in them changes.'}
        </span>
      </div>
      {posted ? (
        <p className="note mt-2">They have posted journals, so they cannot be deleted.</p>
      ) : (
        <DeleteBooks books={books} name={facts.name} />
      )}
    </section>
  );
};

/** Deletes unposted books, after their name was typed. */
const DeleteBooks = ({ books, name }: { readonly books: number; readonly name: string }) => {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  return (
    <details className="mt-4 border-t border-rule pt-2">
      <summary className="text-sm">Delete these books</summary>
      <form
        className="mt-2 flex max-w-md flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void send(removeBooks({ books, typedName: typed })).then((done) => {
            if (done.ok) router.push('/');
            else setProblems(done.problems);
          });
        }}
      >
        <Field
          label={`Type ${name}`}
          hint="Year, chart, papers and figures go with them. Nothing is posted yet, so no ledger is lost."
          problem={problems[0]?.message}
        >
          {(ids) => (
            <input
              {...ids}
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              autoComplete="off"
              className="input input-sm w-full"
            />
          )}
        </Field>
        <button className="btn btn-sm self-start border-brick text-brick">Delete for good</button>
      </form>
    </details>
  );
};
