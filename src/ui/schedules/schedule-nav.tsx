import type { ReactNode } from 'react';
import { Go } from '../parts/go';

/** The places of the Schedules stage: what each figure ties to, and the contacts that items name. */
export const ScheduleNav = ({
  books,
  current,
  contacts = true,
  children,
}: {
  readonly books: number;
  readonly current: 'overview' | 'contacts' | 'one';
  /** Whether customers and suppliers are in use. */
  readonly contacts?: boolean;
  /** What else this page offers, at the right. */
  readonly children?: ReactNode;
}) => {
  const at = `/books/${String(books)}/schedules`;
  const link = (href: string, label: string, here: boolean) => (
    <Go
      href={href}
      aria-current={here ? 'page' : undefined}
      className={`border-b-2 pb-1 text-sm ${here ? 'border-ink font-medium' : 'border-transparent text-ink-2 hover:text-ink'}`}
    >
      {label}
    </Go>
  );
  return (
    <div className="no-print flex flex-wrap items-baseline gap-x-5 border-b border-rule px-4">
      <nav aria-label="Schedules" className="flex gap-5">
        {link(at, 'What ties', current === 'overview')}
        {contacts && link(`${at}/contacts`, 'Contacts', current === 'contacts')}
      </nav>
      <span className="grow" />
      {children}
    </div>
  );
};
