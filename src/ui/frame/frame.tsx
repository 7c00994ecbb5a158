import { History, UserRound } from 'lucide-react';
import type { Deed } from '@/core/access/deeds';
import { whoMay } from '@/core/access/roles';
import { Go } from '../parts/go';
import type { ReactNode } from 'react';
import type { FrameView } from '@/actions/frame/views';
import type { StageId } from '@/core/proof/stage-ids';
import { day } from '../parts/names';
import { When } from '../parts/when';
import { PaperBeside, PaperProvider } from '../evidence/paper-beside';
import { DropAnywhere } from '../papers/drop-anywhere';
import { AtWork, SinceLast } from './at-work';
import { ColourMark } from './colour-mark';
import { Commands } from './commands';
import { Course } from './course';
import { LevelBar } from './level-bar';
import { SkipLink } from './skip-link';
import { LevelProvider } from './level-context';
import { MayProvider } from './may-context';
import { ReloadOnReturn } from './reload-on-return';

export interface FrameProps {
  readonly frame: FrameView;
  /** Undefined for a page that belongs to all of them. */
  readonly stage: StageId | undefined;
  readonly title: string;
  readonly about?: ReactNode;
  readonly actions?: ReactNode;
  /** The keys of this page beyond the ones that work everywhere. */
  readonly keys?: readonly (readonly [string, string])[];
  readonly margin?: ReactNode;
  /** The sheet scrolls by itself (a grid) instead of as a page. */
  readonly fixed?: boolean;
  readonly children: ReactNode;
}

/** The frame around every page of a set of books: course above, sheet and margin, Level below. */
export const Frame = ({
  frame,
  stage,
  title,
  about,
  actions,
  keys = [],
  margin,
  fixed = false,
  children,
}: FrameProps) => {
  const deed = stage === undefined ? undefined : STAGE_DEEDS[stage];
  return (
    <LevelProvider totals={frame.totals}>
      <MayProvider may={frame.may}>
        <PaperProvider>
          <title>{`${title} · ${frame.name} · Bathron`}</title>
          <div className="frame grid h-dvh grid-rows-[auto_minmax(0,1fr)_auto]">
            <SkipLink />
            <header className="no-print grid min-w-0 grid-cols-[minmax(0,1fr)] border-b border-rule bg-paper-2 pl-4 pr-3 md:grid-cols-[fit-content(22rem)_1fr] md:gap-4">
              <div className="flex min-w-0 items-center justify-between gap-2 py-1.5 md:block">
                <p className="flex min-w-0 items-center gap-1.5">
                  {frame.colour !== 'none' && <ColourMark colour={frame.colour} className="h-5 w-1.5" />}
                  <Go href="/" className="text-sm text-ink-2 outline-offset-[-2px] hover:underline">
                    Bathron
                  </Go>
                  <span aria-hidden className="text-ink-2">
                    ▸
                  </span>
                  <Go
                    href={`/books/${String(frame.id)}`}
                    className="title min-w-0 truncate text-base outline-offset-[-2px] hover:underline"
                    title={frame.name}
                  >
                    {frame.name}
                  </Go>
                  <Go
                    href={`/books/${String(frame.id)}/changes`}
                    aria-label="changes"
                    title="What was changed, by whom, and the way back"
                    className="shrink-0 p-1 text-ink-2 outline-offset-[-2px] hover:text-ink"
                  >
                    <History aria-hidden className="size-3.5" />
                  </Go>
                  <Go
                    href="/account"
                    aria-label={`you are ${frame.who}`}
                    title={`You are ${frame.who}; how you sign in`}
                    className="shrink-0 p-1 text-ink-2 outline-offset-[-2px] hover:text-ink"
                  >
                    <UserRound aria-hidden className="size-3.5" />
                  </Go>
                </p>
                <p className="truncate text-xs text-ink-2">
                  <span className="max-md:hidden">at {day(frame.openingDate, frame.dates)} · </span>
                  {frame.currency}{' '}
                  {frame.purpose !== 'live' && (
                    <span className="ml-0.5 border border-ochre px-1 text-ochre">{frame.purpose}</span>
                  )}{' '}
                  {frame.archived && <span className="ml-0.5 border border-ink-2 px-1">archived</span>}{' '}
                  {frame.remark !== '' && <span className="ml-0.5 text-ink italic">{frame.remark}</span>}{' '}
                  <AtWork books={frame.id} place={stage} />
                </p>
              </div>
              <Course books={frame.id} stages={frame.stages} totals={frame.totals} current={stage} />
            </header>
            <main
              className={`frame-main relative grid min-h-0 grid-cols-[minmax(0,1fr)] max-lg:overflow-y-auto ${margin === undefined ? '' : 'lg:grid-cols-[minmax(0,1fr)_16.5rem] xl:grid-cols-[minmax(0,1fr)_18.5rem]'}`}
            >
              <section
                id="page"
                tabIndex={-1}
                aria-labelledby="sheet-title"
                className={`relative flex min-w-0 flex-col ${fixed ? 'min-h-0 max-lg:h-[calc(100dvh-13rem)] max-lg:min-h-80' : 'lg:overflow-y-auto'}`}
              >
                <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-4 pt-3 pb-2">
                  <h1 id="sheet-title" className="title text-[1.4rem] leading-tight">
                    {title}
                  </h1>
                  <p className="note min-w-0 flex-1 basis-48 truncate">{about}</p>
                  <div className="no-print ml-auto flex flex-wrap items-center gap-2">
                    {actions}
                    <Commands books={frame.id} keys={keys} stages={frame.stages} />
                  </div>
                </div>
                <SinceLast books={frame.id} since={frame.since} />
                <MayOnlyLook frame={frame} deed={deed} />
                {FORMS.includes(stage) ? (
                  <fieldset disabled={deed !== undefined && !frame.may.includes(deed)} className="looked-at contents">
                    {children}
                  </fieldset>
                ) : (
                  children
                )}
              </section>
              {margin !== undefined && (
                <aside
                  aria-label="Margin"
                  // It scrolls by itself, so the keyboard has to reach it.
                  tabIndex={0}
                  className="no-print border-rule bg-paper-2 px-4 py-3 max-lg:border-t lg:overflow-y-auto lg:border-l"
                >
                  {margin}
                </aside>
              )}
              <PaperBeside books={frame.id} />
            </main>
            {frame.hasChart ? <LevelBar money={frame} books={frame.id} /> : <span />}
            <ReloadOnReturn />
            {frame.may.includes('papers.change') && <DropAnywhere books={frame.id} />}
          </div>
        </PaperProvider>
      </MayProvider>
    </LevelProvider>
  );
};

const STAGE_DEEDS: Readonly<Partial<Record<StageId, Deed>>> = {
  company: 'company.change',
  calendar: 'calendar.change',
  currencies: 'currencies.change',
  chart: 'chart.change',
  openings: 'openings.change',
  schedules: 'openings.change',
};

/** Stages that are forms: their fields are out of use for whoever may not change them. Sheets see to it by themselves. */
const FORMS: readonly (StageId | undefined)[] = ['company', 'calendar', 'currencies'];

/** That somebody may look at a page and not change it, and who may. */
const MayOnlyLook = ({ frame, deed }: Pick<FrameProps, 'frame'> & { readonly deed: Deed | undefined }) =>
  deed === undefined || frame.may.includes(deed) ? null : (
    <p role="note" className="no-print mx-4 mb-2 border-l-4 border-rule bg-paper-2 px-3 py-1.5 text-sm">
      You may look at this. To change it, ask {whoMay(deed)} of the practice.
    </p>
  );

/** A part of the margin with its small heading. */
export const MarginPart = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <section className="mb-4">
    <h2 className="mb-1.5 border-b border-rule pb-1 text-sm font-semibold text-ink-2">{title}</h2>
    <div className="text-sm">{children}</div>
  </section>
);

/** What happened, newest first. */
export const Happenings = ({
  events,
}: {
  readonly events: readonly { readonly what: string; readonly by: string; readonly at: string }[];
}) =>
  events.length === 0 ? (
    <p className="note">Nothing yet.</p>
  ) : (
    <ol className="space-y-1">
      {events.map((event, at) => (
        <li key={at}>
          {event.what}
          <span className="block text-xs text-ink-2">
            {event.by}, <When at={event.at} />
          </span>
        </li>
      ))}
    </ol>
  );
