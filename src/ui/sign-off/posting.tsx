'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { discardCorrection, openCorrection, postOpenings } from '@/actions/openings/posting';
import { type Problem, plural } from '@/core/base/result';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

/** Posts; pressed twice, it still posts once. */
export const PostButton = ({
  books,
  set,
  lines,
}: {
  readonly books: number;
  readonly set: number;
  readonly lines: number;
}) => {
  const refresh = useRefresh();
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const post = async (): Promise<void> => {
    setBusy(true);
    const done = await send(postOpenings({ books, set }));
    setBusy(false);
    setProblems(done.ok ? [] : done.problems);
    if (done.ok) toast(`Posted as journal ${String(done.value.number)}`);
    refresh();
  };
  return (
    <>
      <button type="button" className="btn btn-primary btn-sm" disabled={busy} onClick={() => void post()}>
        {busy ? 'Posting…' : `Post ${plural(lines, 'line')}`}
      </button>
      <div className="mt-2">
        <Problems problems={problems} />
      </div>
    </>
  );
};

export const CorrectionForm = ({ books }: { readonly books: number }) => {
  const router = useRouter();
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  return (
    <form
      className="mt-3 flex max-w-md flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void send(openCorrection({ books, reason })).then((done) => {
          setProblems(done.ok ? [] : done.problems);
          if (done.ok) router.push(`/books/${String(books)}/openings`);
        });
      }}
    >
      <Field label="Why it changes" hint="stands in the journal and in the history" problem={problems[0]?.message}>
        {(ids) => (
          <input
            {...ids}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            className="input input-sm w-full"
            autoComplete="off"
          />
        )}
      </Field>
      <button className="btn btn-sm self-start">Open a correction</button>
    </form>
  );
};

export const DiscardCorrection = ({ books, set }: { readonly books: number; readonly set: number }) => {
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  return (
    <div className="mt-3">
      <button
        type="button"
        className="btn btn-xs"
        onClick={() =>
          void send(discardCorrection({ books, set })).then((done) => {
            setProblems(done.ok ? [] : done.problems);
            refresh();
          })
        }
      >
        Discard this correction; the posted version counts again
      </button>
      <Problems problems={problems} />
    </div>
  );
};
