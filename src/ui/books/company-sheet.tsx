import { Go } from '../parts/go';
import type { companyView } from '@/actions/views';
import { legalFormLabel } from '@/core/company';
import { stageHref } from '../frame/course';
import { Frame, Happenings, MarginPart } from '../frame/frame';
import { Plinth } from '../frame/plinth';
import { ThemeSwitch } from '../frame/theme-switch';
import { countryName, countryNames, day, moment } from '../parts/names';
import { CompanyForm } from './company-form';
import { DeleteBooks } from './delete-books';

type View = NonNullable<Awaited<ReturnType<typeof companyView>>>;

/** Who the company is, and how far its books stand. */
export const CompanySheet = ({ frame, posted, next, history }: View) => (
  <Frame
    frame={frame}
    stage="company"
    title="Company"
    about={`${legalFormLabel(frame.legalForm)} · ${countryName(frame.country)}`}
    actions={<ThemeSwitch />}
    margin={
      <MarginPart title="What happened">
        <Happenings events={history.map((one) => ({ what: one.what, when: `${one.by}, ${moment(one.at)}` }))} />
      </MarginPart>
    }
  >
    <div className="grid gap-x-10 gap-y-6 px-4 pb-6 xl:grid-cols-[minmax(0,24rem)_minmax(0,1fr)]">
      <div>
        <CompanyForm
          key={`${frame.name}${frame.legalForm}${frame.country}${frame.style}`}
          books={frame}
          countries={countryNames()}
        />
        <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 border-t border-rule pt-3 text-sm">
          <dt className="text-ink-2">Base currency</dt>
          <dd>{frame.currency}, fixed since every amount is stated in it</dd>
          <dt className="text-ink-2">Cutover date</dt>
          <dd>
            {day(frame.cutover)}, {frame.atYearStart ? 'the first day of the year' : 'in mid-year'}
          </dd>
          <dt className="text-ink-2">Openings stand</dt>
          <dd>at close of {day(frame.openingDate)}</dd>
        </dl>
        {posted ? (
          <p className="note mt-4">These books have posted journals and are kept.</p>
        ) : (
          <DeleteBooks books={frame.id} name={frame.name} />
        )}
      </div>
      <div>
        <h2 className="title mb-2 text-lg">How far the books stand</h2>
        <Plinth stages={frame.stages} named />
        <p className="mt-3">
          {next === null ? (
            <>
              Everything is laid.{' '}
              <Go className="link" href={`/books/${String(frame.id)}/statements/balance-sheet`}>
                See the balance sheet
              </Go>
            </>
          ) : (
            <>
              Next:{' '}
              <Go className="btn btn-primary btn-sm ml-1" href={stageHref(frame.id, next.id)}>
                {next.label}
              </Go>{' '}
              <span className="note">{next.note}</span>
            </>
          )}
        </p>
      </div>
    </div>
  </Frame>
);
