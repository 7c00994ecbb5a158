import type { ReactNode } from 'react';
import type { FrameView } from '@/actions/frame/views';
import { stageHref } from '../frame/stage-href';
import { Go } from '../parts/go';

/** The places of the Schedules stage: what each figure ties to, and the contacts and codes that items name. */
export const ScheduleNav = ({
  frame: { id, parts },
  current,
  contacts = true,
  children,
}: {
  readonly frame: Pick<FrameView, 'id' | 'parts'>;
  readonly current: 'overview' | 'contacts' | 'analysis' | 'one';
  /** Whether there are contacts, also where customers and suppliers are not in use. */
  readonly contacts?: boolean;
  /** What else this page offers, at the right. */
  readonly children?: ReactNode;
}) => {
  const at = stageHref(id, 'schedules');
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
        {(contacts || parts.includes('trade')) && link(`${at}/contacts`, 'Contacts', current === 'contacts')}
        {parts.includes('dimensions') && link(`${at}/analysis`, 'Analysis codes', current === 'analysis')}
      </nav>
      <span className="grow" />
      {children}
    </div>
  );
};
