'use client';

import { useEffect, useState } from 'react';
import type { accountStory } from '@/actions/chart/account-story';
import type { Minor } from '@/core/money/minor';
import { fromWire } from '@/core/money/wire';
import { Happenings } from '../frame/frame';
import { type Money, sided } from '../parts/figures';

type Story = NonNullable<Awaited<ReturnType<typeof accountStory>>>;

/** The story of an account, fetched once the selection rests; undefined while it is on its way. */
export const useStory = (
  books: number,
  account: number,
  /** Changes when something was saved, so that the story is asked for again. */
  version: number,
): Story | 'failed' | undefined => {
  const [story, setStory] = useState<{ readonly of: number; readonly told: Story | 'failed' } | undefined>();
  useEffect(() => {
    const fetching = new AbortController();
    const resting = setTimeout(() => {
      fetch(`/books/${String(books)}/accounts/${String(account)}`, { signal: fetching.signal })
        .then(async (response) =>
          setStory({ of: account, told: response.ok ? (fromWire(await response.text()) as Story) : 'failed' }),
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
  return story?.of === account ? story.told : undefined;
};

interface Props {
  readonly story: Story | 'failed' | undefined;
  /** With it, the changes of the opening balance are told too. */
  readonly money?: Money;
}

/** What happened to an account and to its figure, newest first. */
export const AccountHistory = ({ story, money }: Props) => {
  if (story === undefined) return <p className="note">…</p>;
  if (story === 'failed') return <p className="note">The history could not be read just now.</p>;
  const figures =
    money === undefined
      ? []
      : story.changes.map((change) => {
          const say = (amount: Minor | null): string => (amount === null ? 'empty' : sided(amount, money));
          return {
            what: `${
              change.inCurrency !== null && change.from === change.to
                ? `${change.inCurrency} of ${say(change.to)}`
                : `${say(change.from)} → ${say(change.to)}${change.inCurrency === null ? '' : ` (${change.inCurrency})`}`
            }, ${change.why ?? (change.paper === null ? change.source : `from ${change.paper}`)}`,
            by: change.by,
            at: change.at,
          };
        });
  const events = story.events.map((event) => ({
    what: event.what,
    by: event.by,
    at: event.at,
  }));
  return <Happenings events={[...figures, ...events].sort((a, b) => (a.at < b.at ? 1 : -1))} />;
};
