'use client';

import { useEffect, useState } from 'react';
import { beInBooks, sawWhatChanged } from '@/actions/frame/presence';
import type { FrameView } from '@/actions/frame/views';
import { STAGES, type StageId } from '@/core/proof/stage-ids';
import { Go } from '../parts/go';

import { noted, send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';
import { When } from '../parts/when';

type Answer = Awaited<ReturnType<typeof beInBooks>>;

/** A page says so often that it is there, in milliseconds. */
const PACE = 30_000;

const said = ({ name, place }: { readonly name: string; readonly place: StageId | null }): string => {
  const label = STAGES.find(({ id }) => id === place)?.label;
  return label === undefined ? name : `${name} (${label})`;
};

/** Who else has these books open, and where; said quietly, as long as the page is in sight. */
export const AtWork = ({ books, place }: { readonly books: number; readonly place: StageId | undefined }) => {
  const [others, setOthers] = useState<readonly string[]>([]);
  useEffect(() => {
    let gone = false;
    const tell = async (): Promise<void> => {
      if (document.hidden) return;
      try {
        const answer = await fetch(`/books/${String(books)}/here`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ place: place ?? null }),
        });
        const done = (await answer.json()) as Answer;
        if (!gone && done.ok) setOthers(done.value.others.map(said));
        if (!done.ok) noted(done);
      } catch {
        // Whoever else is there matters to nobody while the server does not answer; what is typed then says so itself.
        if (!gone) setOthers([]);
      }
    };
    const again = (): void => void tell();
    again();
    const pace = setInterval(again, PACE);
    document.addEventListener('visibilitychange', again);
    return () => {
      gone = true;
      clearInterval(pace);
      document.removeEventListener('visibilitychange', again);
    };
  }, [books, place]);
  return others.length === 0 ? null : (
    <span className="ml-0.5 text-ink" title="They have these books open now">
      with {others.join(', ')}
    </span>
  );
};

/** What others changed since one was here before: said on arriving, until one has seen it. */
export const SinceLast = ({ books, since }: { readonly books: number; readonly since: FrameView['since'] }) => {
  const refresh = useRefresh();
  const [seen, setSeen] = useState(false);
  if (since === null || seen) return null;
  return (
    <p
      role="note"
      className="no-print mx-4 mb-2 flex flex-wrap items-baseline gap-x-4 border-l-4 border-rule bg-paper-2 px-3 py-1 text-sm"
    >
      <span>
        Since you were here, <When at={since.since} />:{' '}
        {since.changes === 1 ? 'one change' : `${String(since.changes)} changes`} by {since.by.join(' and ')}.
      </span>
      <Go href={`/books/${String(books)}/changes`} className="link">
        What changed
      </Go>
      <button
        type="button"
        className="link"
        onClick={() => {
          setSeen(true);
          void send(sawWhatChanged({ books })).then((done) => {
            if (!done.ok) setSeen(false);
            refresh();
          });
        }}
      >
        Seen
      </button>
    </p>
  );
};
