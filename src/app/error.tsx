'use client';

import { Go } from '@/ui/parts/go';

/** What a page shows when it failed unexpectedly: a reference that is also in the server's log, and nothing of the inside. */
export default function ErrorPage({
  error,
  reset,
}: {
  readonly error: Error & { digest?: string };
  readonly reset: () => void;
}) {
  return (
    <main className="mx-auto max-w-xl px-4 pt-16">
      <title>Not shown · Bathron</title>
      <h1 className="title text-2xl">This page could not be shown</h1>
      <p className="mt-2">Something went wrong in Bathron itself. What was saved stays saved.</p>
      {error.digest !== undefined && (
        <p className="note mt-2">Reference {error.digest}; the same number stands in the server’s log.</p>
      )}
      <p className="mt-4 flex gap-2">
        <button type="button" className="btn btn-primary btn-sm" onClick={reset}>
          Try again
        </button>
        <Go href="/" className="btn btn-sm">
          All books of the practice
        </Go>
      </p>
    </main>
  );
}
