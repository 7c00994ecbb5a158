'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import { signOpenings } from '@/actions/openings/review';
import { demandOfBooks } from '@/actions/people/commands';
import { type Review, type ReviewState, signProblems } from '@/core/access/review';
import type { Problem } from '@/core/base/result';

import { Problems } from '../parts/problems';
import { TextField } from '../parts/text-field';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';
import { useMoment } from '../parts/when';

/** The second pair of eyes: who signed these balances as they stand, what lifted a signature, and the way to sign. */
export const ReviewPart = ({
  frame,
  set,
  review,
  own,
  me,
}: {
  readonly frame: FrameView;
  readonly set: number;
  readonly review: ReviewState;
  /** What these books demand by themselves. */
  readonly own: Review;
  readonly me: number;
}) => {
  const moment = useMoment();
  const refresh = useRefresh();
  const [note, setNote] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  // What was pressed shows at once; what the page then says of it follows.
  const [wished, setWished] = useState<Review | undefined>();
  const { demanded, signed, lifted, prepared } = review;
  const maySign = frame.may.includes('openings.sign');
  const mayDemand = frame.may.includes('people.change');
  if (demanded === 'off' && signed === null && !maySign && !mayDemand) return null;
  const told = (
    done: { readonly ok: true } | { readonly ok: false; readonly problems: readonly Problem[] },
  ): boolean => {
    setProblems(done.ok ? [] : done.problems);
    refresh();
    return done.ok;
  };
  const hinders = signProblems(review, me);
  return (
    <section aria-labelledby="review" className="mt-5 border-t border-rule pt-3">
      <h2 id="review" className="title text-lg">
        Review
      </h2>
      <p role="status" className="mt-1">
        {signed !== null
          ? `Signed as it stands by ${signed.by}, ${moment(signed.at)}.`
          : lifted !== null
            ? `${lifted.by} signed on ${moment(lifted.at)}; something was changed since, so it counts no more.`
            : 'Nobody has signed it yet.'}{' '}
        {prepared !== null && <span className="note">Prepared last by {prepared.by}.</span>}
      </p>
      {signed !== null && signed.note !== '' && <p className="note mt-1">“{signed.note}”</p>}
      {maySign && hinders.length === 0 && (
        <form
          className="mt-2 flex max-w-xl flex-col gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void send(signOpenings({ books: frame.id, set, note })).then((done) => {
              if (!told(done)) return;
              setNote('');
              toast('Signed as it stands');
            });
          }}
        >
          <TextField
            label="Note to the signature"
            hint="what you looked at; may stay empty"
            value={note}
            onValue={setNote}
          />
          <button className="btn btn-sm self-start">Sign it as it stands</button>
        </form>
      )}
      {maySign &&
        demanded === 'signed' &&
        hinders.map(({ message }) => (
          <p key={message} className="note mt-1">
            {message}
          </p>
        ))}
      {mayDemand && (
        <label className="mt-3 flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={(wished ?? demanded) === 'signed'}
            disabled={demanded === 'signed' && own === 'off'}
            onChange={(event) => {
              const wish = event.target.checked ? 'signed' : 'off';
              setWished(wish);
              void send(demandOfBooks({ books: frame.id, review: wish })).then((done) => {
                if (!told(done)) setWished(undefined);
              });
            }}
          />
          A second pair of eyes is demanded before posting
          {demanded === 'signed' && own === 'off' && <span className="note">by the whole practice</span>}
        </label>
      )}
      <Problems problems={problems} />
    </section>
  );
};
