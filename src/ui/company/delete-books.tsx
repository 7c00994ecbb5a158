'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { removeBooks } from '@/actions/books/commands';
import type { Problem } from '@/core/base/result';
import { Field } from '../parts/field';
import { send } from '../parts/send';

/** Deletes unposted books, after their name was typed. */
export const DeleteBooks = ({ books, name }: { readonly books: number; readonly name: string }) => {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  return (
    <details className="mt-4 border-t border-rule pt-2">
      <summary className="text-sm">Delete these books</summary>
      <form
        className="mt-2 flex flex-col gap-2"
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
