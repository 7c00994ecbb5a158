'use client';

import { useEffect, useState } from 'react';
import { minor } from '@/core/money/minor';
import { Happenings } from '../frame/frame';
import { type Money, sided } from '../parts/figures';
import { moment } from '../parts/names';

interface Story {
  readonly changes: readonly {
    readonly from: string | null;
    readonly to: string | null;
    readonly source: string;
    readonly paper: string | null;
    readonly version: number;
    readonly by: string;
    readonly at: string;
  }[];
  readonly events: readonly { readonly what: string; readonly by: string; readonly at: string }[];
}

interface Props {
  readonly books: number;
  readonly account: number;
  /** Changes when something was saved, so that the history is asked for again. */
  readonly version: number;
  /** With it, the changes of the opening balance are told too. */
  readonly money?: Money;
}

/** What happened to an account and to its figure, newest first; fetched once the selection rests. */
export const AccountHistory = ({ books, account, version, money }: Props) => {
  const [story, setStory] = useState<{ readonly of: number; readonly told: Story | 'failed' } | undefined>();
  useEffect(() => {
    const fetching = new AbortController();
    const resting = setTimeout(() => {
      fetch(`/books/${String(books)}/accounts/${String(account)}`, { signal: fetching.signal })
        .then(async (response) =>
          setStory({ of: account, told: response.ok ? ((await response.json()) as Story) : 'failed' }),
        )
        .catch(() => {
          if (!fetching.signal.aborted) setStory({ of: account, told: 'failed' });
        });
    }, 150);
    return () => {
      clearTimeout(resting);
      fetching.abort();
    };
  }, [books, account, version]);
  if (story?.of !== account) return <p className="note">…</p>;
  if (story.told === 'failed') return <p className="note">The history could not be read just now.</p>;
  const figures =
    money === undefined
      ? []
      : story.told.changes.map((change) => {
          const say = (amount: string | null): string =>
            amount === null ? 'empty' : sided(minor(BigInt(amount)), money);
          return {
            what: `${say(change.from)} → ${say(change.to)}, ${change.paper === null ? change.source : `from ${change.paper}`}`,
            when: `${change.by}, ${moment(change.at)}`,
            at: change.at,
          };
        });
  const events = story.told.events.map((event) => ({
    what: event.what,
    when: `${event.by}, ${moment(event.at)}`,
    at: event.at,
  }));
  return <Happenings events={[...figures, ...events].sort((a, b) => (a.at < b.at ? 1 : -1))} />;
};
