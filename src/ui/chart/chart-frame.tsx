import type { ReactNode } from 'react';
import { Frame, type FrameProps } from '../frame/frame';
import { Go } from '../parts/go';
import { TidyCount } from './tidy-count';

/** Three looks at the same chart; what belongs to it and has a page of its own; and the ways to bring accounts in. */
const GROUPS = [
  {
    label: 'Views',
    views: [
      { at: '', label: 'Sheet' },
      { at: '/statements', label: 'As statements' },
      { at: '/roles', label: 'By role' },
    ],
  },
  {
    label: 'Upkeep',
    views: [
      { at: '/money', label: 'Bank, cash, card' },
      { at: '/tax', label: 'Tax codes' },
      { at: '/codes', label: 'Codes' },
      { at: '/tidy', label: 'Tidying' },
    ],
  },
  {
    label: 'Bring accounts',
    views: [
      { at: '/begin', label: 'From answers' },
      { at: '/copy', label: 'Copy' },
      { at: '/import', label: 'Import' },
    ],
  },
] as const;
export type ChartPlace = (typeof GROUPS)[number]['views'][number]['at'];

/** The frame of everything about the chart, with the way from one view of it to the next. */
export const ChartFrame = ({
  place,
  children,
  ...frame
}: Omit<FrameProps, 'stage'> & { readonly place: ChartPlace; readonly children: ReactNode }) => (
  <Frame {...frame} stage="chart">
    <nav
      aria-label="Views of the chart"
      className="no-print flex shrink-0 gap-x-7 overflow-x-auto border-b border-hairline px-4 text-sm"
    >
      {GROUPS.map(({ label: group, views }) => (
        <ul key={group} aria-label={group} className="flex shrink-0 items-stretch gap-x-4 last:ml-auto">
          <li aria-hidden className="py-1.5 text-xs leading-5 text-ink-2 max-xl:hidden">
            {group}
          </li>
          {views
            .filter(({ at }) => at !== '/tax' || frame.frame.parts.includes('sales-tax'))
            .map(({ at, label }) => (
              <li key={at} className="flex">
                <Go
                  href={`/books/${String(frame.frame.id)}/chart${at}`}
                  aria-current={at === place ? 'page' : undefined}
                  className={`shrink-0 py-1.5 outline-offset-[-2px] ${at === place ? 'border-b-2 border-madder font-semibold' : 'hover:underline'}`}
                >
                  {label}
                  {at === '/tidy' && <TidyCount frame={frame.frame} />}
                </Go>
              </li>
            ))}
        </ul>
      ))}
    </nav>
    {children}
  </Frame>
);
