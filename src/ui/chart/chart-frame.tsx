import type { ReactNode } from 'react';
import { Frame, type FrameProps } from '../frame/frame';
import { Go } from '../parts/go';

const VIEWS = [
  { at: '', label: 'Sheet' },
  { at: '/statements', label: 'As statements' },
  { at: '/roles', label: 'By role' },
  { at: '/money', label: 'Bank, cash, card' },
  { at: '/tax', label: 'Tax codes' },
  { at: '/codes', label: 'Codes' },
  { at: '/tidy', label: 'Tidying' },
  { at: '/begin', label: 'From answers' },
  { at: '/copy', label: 'Copy' },
  { at: '/import', label: 'Import' },
] as const;
export type ChartPlace = (typeof VIEWS)[number]['at'];

/** The frame of everything about the chart, with the way from one view of it to the next. */
export const ChartFrame = ({
  place,
  children,
  ...frame
}: Omit<FrameProps, 'stage'> & { readonly place: ChartPlace; readonly children: ReactNode }) => (
  <Frame {...frame} stage="chart">
    <nav
      aria-label="Views of the chart"
      className="no-print flex shrink-0 gap-x-4 overflow-x-auto border-b border-hairline px-4 text-sm"
    >
      {VIEWS.filter(({ at }) => at !== '/tax' || frame.frame.parts.includes('sales-tax')).map(({ at, label }) => (
        <Go
          key={at}
          href={`/books/${String(frame.frame.id)}/chart${at}`}
          aria-current={at === place ? 'page' : undefined}
          className={`shrink-0 py-1.5 outline-offset-[-2px] ${at === place ? 'border-b-2 border-madder font-semibold' : 'text-ink-2 hover:underline'}`}
        >
          {label}
        </Go>
      ))}
    </nav>
    {children}
  </Frame>
);
