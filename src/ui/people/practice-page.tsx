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
  audit,
  children,
}: {
  readonly practice: string;
  readonly title: string;
  /** Whether the audit may be looked at. */
  readonly audit: boolean;
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
      <nav aria-label="Of the practice" className="flex gap-5 text-sm">
        {PLACES.filter(([href]) => audit || href !== '/audit').map(([href, label]) => (
          <Go
            key={href}
            href={href}
            aria-current={label === title ? 'page' : undefined}
            className={label === title ? 'font-semibold' : 'text-ink-2 hover:text-ink'}
          >
            {label}
          </Go>
        ))}
      </nav>
      <div className="ml-auto">
        <ThemeSwitch />
      </div>
    </header>
    <main className="pt-4">{children}</main>
  </div>
);
