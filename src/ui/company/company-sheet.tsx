import { Check } from 'lucide-react';
import type { companyView } from '@/actions/company/views';
import type { ChecklistItem } from '@/core/company/facts';
import { legalFormLabel } from '@/core/company/legal-form';
import { stageHref } from '../frame/stage-href';
import { Frame, Happenings, MarginPart } from '../frame/frame';
import { Plinth } from '../frame/plinth';
import { ThemeSwitch } from '../frame/theme-switch';
import { Go } from '../parts/go';
import { countryName, countryNames } from '../parts/names';
import { DefaultsSection } from './defaults-section';
import { DocumentPreview } from './document-preview';
import { FactsProvider, FactsStatus } from './facts';
import { HeadingPreview } from './heading-preview';
import { PartsSection } from './parts-section';
import { PracticeSection } from './practice-section';
import { PutAway } from './put-away';
import { TaxSection } from './tax-section';
import { WhoSection } from './who-section';

type View = NonNullable<Awaited<ReturnType<typeof companyView>>>;

const SECTIONS: readonly (readonly [ChecklistItem['section'], string])[] = [
  ['who', 'Who it is'],
  ['practice', 'In the practice'],
  ['tax', 'Sales taxes'],
  ['parts', 'Parts in use'],
  ['defaults', 'Defaults for later entries'],
];

const KEYS = [
  ['Enter, Esc', 'in a field: keep it, put it back'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo what was saved'],
] as const;

/** Who the company is, what its books use, and how far they stand. */
export const CompanySheet = ({ frame, facts, people, logo, checklist, posted, years, next, banks, history }: View) => (
  <FactsProvider books={frame} facts={facts}>
    <Frame
      frame={frame}
      stage="company"
      title="Company"
      keys={KEYS}
      about={`${legalFormLabel(frame.legalForm)} · ${countryName(frame.country)}`}
      actions={
        <>
          <FactsStatus />
          <ThemeSwitch />
        </>
      }
      margin={
        <>
          <MarginPart title="How far the books stand">
            <Plinth stages={frame.stages} />
            <p className="mt-2">
              {next === null ? (
                <>
                  Everything is done.{' '}
                  <Go className="link" href={`/books/${String(frame.id)}/statements/balance-sheet`}>
                    See the balance sheet
                  </Go>
                </>
              ) : (
                <>
                  Next:{' '}
                  <Go className="btn btn-primary btn-xs ml-1" href={stageHref(frame.id, next.id)}>
                    {next.label}
                  </Go>{' '}
                  <span className="note">{next.note}</span>
                </>
              )}
            </p>
          </MarginPart>
          <MarginPart title="Every report is headed">
            <HeadingPreview logo={logo} />
          </MarginPart>
          <MarginPart title="What happened">
            <Happenings events={history.map((one) => ({ what: one.what, by: one.by, at: one.at }))} />
          </MarginPart>
        </>
      }
    >
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 px-4 pb-6 md:grid-cols-[12.5rem_minmax(0,1fr)]">
        <nav aria-label="Sections and what they ask" className="text-sm md:sticky md:top-2 md:self-start">
          <ol>
            {SECTIONS.filter(([id]) => id !== 'tax' || facts.parts.includes('sales-tax')).map(([id, label]) => (
              <li key={id} className="mb-2.5">
                <a href={`#${id}`} className="font-medium hover:underline">
                  {label}
                </a>
                <ul>
                  {checklist
                    .filter((item) => item.section === id)
                    .map((item) => (
                      <Asked key={item.id} item={item} />
                    ))}
                </ul>
              </li>
            ))}
          </ol>
        </nav>
        <div
          className="min-w-0 max-w-2xl items-start gap-x-10 min-[1800px]:grid min-[1800px]:max-w-none min-[1800px]:grid-cols-2"
          data-asks={checklist.find(({ kind, done }) => kind === 'required' && !done)?.section}
        >
          <WhoSection countries={countryNames()} logo={logo} />
          <PracticeSection people={people} />
          {facts.parts.includes('sales-tax') && <TaxSection years={years} cutover={frame.cutover} />}
          <PartsSection />
          <DefaultsSection example={frame.cutover} banks={banks} />
          {facts.parts.includes('trade') && (
            <DocumentPreview example={frame.cutover} digits={frame.digits} logo={logo} banks={banks} />
          )}
          <div className="min-[1800px]:col-span-2">
            <PutAway archived={frame.archived} posted={posted} />
          </div>
        </div>
      </div>
    </Frame>
  </FactsProvider>
);

const Asked = ({ item }: { readonly item: ChecklistItem }) => (
  <li className="flex gap-1.5 leading-snug">
    <span aria-hidden className="w-3.5 shrink-0 pt-0.5">
      {item.done ? (
        <Check className="size-3.5 text-ink-2" />
      ) : (
        <span
          className={`mt-0.5 block size-2.5 border ${item.kind === 'required' ? 'border-ochre' : 'border-ink-2 border-dashed'}`}
        />
      )}
    </span>
    <span className={item.done ? 'text-ink-2' : ''}>
      {item.label}
      {item.done ? (
        <span className="sr-only"> answered</span>
      ) : (
        <span className={`block text-xs ${item.kind === 'required' ? 'text-ochre' : 'text-ink-2'}`}>
          {item.kind === 'required' ? 'required' : 'optional'}
          {item.neededFor === 'nothing' ? '' : `, for ${item.neededFor}`}
        </span>
      )}
    </span>
  </li>
);
