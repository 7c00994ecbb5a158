'use client';

import { useEffect, useState } from 'react';
import type { FrameView } from '@/actions/frame/views';

/** How much there is to tidy; asked for after the page stands, since it looks through the whole chart, and anew with every change. */
export const TidyCount = ({ frame }: { readonly frame: FrameView }) => {
  const [count, setCount] = useState(0);
  useEffect(() => {
    const left = new AbortController();
    void fetch(`/books/${String(frame.id)}/chart/tidy/count`, { signal: left.signal })
      .then((response) => (response.ok ? (response.json() as Promise<{ readonly count: number }>) : { count: 0 }))
      .then((found) => setCount(found.count))
      // The page is left, or the server is away, which its next answer says; the name stands without a count.
      .catch(() => undefined);
    return () => left.abort();
  }, [frame]);
  // The blank parts the count from the name also where it is read aloud.
  return count === 0 ? null : (
    <>
      {' '}
      <span className="text-ink-2">
        {count}
        <span className="sr-only"> to check</span>
      </span>
    </>
  );
};
