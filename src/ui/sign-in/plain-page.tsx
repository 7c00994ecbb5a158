import type { ReactNode } from 'react';

/** A page of one thing, before anybody's books are open. */
export const PlainPage = ({
  title,
  about,
  children,
}: {
  readonly title: string;
  readonly about?: ReactNode;
  readonly children: ReactNode;
}) => (
  <main className="mx-auto max-w-md px-4 pt-16 pb-10">
    <title>{`${title} · Bathron`}</title>
    <p className="title text-sm text-ink-2">Bathron</p>
    <h1 className="title mt-1 border-b border-ink pb-2 text-2xl">{title}</h1>
    {about !== undefined && <div className="mt-3 text-sm text-ink-2">{about}</div>}
    <div className="mt-5">{children}</div>
  </main>
);
