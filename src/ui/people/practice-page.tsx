import type { ReactNode } from 'react';
import { ThemeSwitch } from '../frame/theme-switch';
import { Go } from '../parts/go';

const PLACES = [
  ['/people', 'People and rights'],
  ['/audit', 'Audit'],
] as const;

/** A page of the practice beside the board. */
export const PracticePage = ({
  practice,
  title,
  beside,
  actions,
  children,
}: {
  readonly practice: string;
  readonly title: string;
  /** Beside the title: where else one may go, or whose page it is. */
  readonly beside: ReactNode;
  readonly actions?: ReactNode;
  readonly children: ReactNode;
}) => (
  <div className="mx-auto max-w-6xl px-4 pb-10">
    <title>{`${title} · ${practice} · Bathron`}</title>
    <header className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b border-ink pt-4 pb-2.5">
      <div>
        <p className="text-sm">
          <Go href="/" className="text-ink-2 hover:underline">
            {practice}
          </Go>
        </p>
        <h1 className="title text-2xl leading-tight">{title}</h1>
      </div>
      {beside}
      <div className="ml-auto flex items-center gap-3">
        {actions}
        <ThemeSwitch />
      </div>
    </header>
    <main className="pt-4">{children}</main>
  </div>
);

/** The way between the pages about people; the audit for those who may look at it. */
export const PeoplePlaces = ({ here, audit }: { readonly here: string; readonly audit: boolean }) => (
  <nav aria-label="Of the practice" className="flex gap-5 text-sm">
    {PLACES.filter(([href]) => audit || href !== '/audit').map(([href, label]) => (
      <Go
        key={href}
        href={href}
        aria-current={label === here ? 'page' : undefined}
        className={label === here ? 'font-semibold' : 'text-ink-2 hover:text-ink'}
      >
        {label}
      </Go>
    ))}
  </nav>
);
