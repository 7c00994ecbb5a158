'use client';

import { type IsoDate } from '@/core/base/iso-date';
import { type Currency } from '@/core/money/currency';
import { Go } from '../parts/go';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { createBooks } from '@/actions/books/commands';
import type { DateStyle } from '@/core/base/date-style';
import { plainDate, readDate } from '@/core/base/dates';
import { cutoverProblems, openingDate, opensAtYearStart } from '@/core/calendar/cutover';
import type { DraftYear } from '@/core/calendar/draft';
import { describePattern, extraWeekOf } from '@/core/calendar/pattern';
import { firstStates } from '@/core/calendar/states';
import { usualYearStart } from '@/core/calendar/usual-year';
import { type YearPlan, isRegular, planFrom, planYear, yearNotes } from '@/core/calendar/year';
import { vocabularyOf } from '@/core/chart/composition/answers';
import { type FirstAnswers, STARTERS, type StarterId, starterChart, startersFor } from '@/core/chart/starters';
import type { LegalForm } from '@/core/company/legal-form';
import { similarNames } from '@/core/company/names';
import { currencyOf, datesOf, numberStyleOf } from '@/core/company/country';
import type { NumberStyle } from '@/core/money/number-style';
import { type Problem, type Result, fail, isAt, ok, plural, toldIn } from '@/core/base/result';
import { CutoverOptions } from '../calendar/cutover-choice';
import { PatternFields } from '../calendar/pattern-fields';
import { YearBand } from '../calendar/year-band';
import { SourceOptions } from '../chart/source-options';
import { DateInput } from '../parts/date-input';
import { Field } from '../parts/field';
import { type Named, day, writingWith } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { CountryOptions, CurrencyOptions, LegalFormOptions, StyleOptions } from './choices';

interface Answers {
  readonly name: string;
  readonly legalForm: LegalForm;
  readonly country: string;
  readonly currency: Currency;
  readonly style: NumberStyle;
  readonly purpose: 'live' | 'trial' | 'demo';
  readonly yearStart: string;
  readonly cutover: string;
  readonly starter: StarterId;
  readonly foreign: boolean;
  readonly salesTax: boolean;
}

const firstOf = ({ country, foreign, salesTax }: Answers): FirstAnswers => ({
  vocabulary: vocabularyOf(country),
  foreign,
  salesTax,
});

/** The first year as it would be made. */
const yearOf = (yearStart: string, plan: YearPlan | undefined): Result<DraftYear> => {
  const start = readDate(yearStart, 'yearStart');
  if (!start.ok) return start;
  const used = plan ?? planFrom(start.value);
  const year = planYear(used, start.value);
  return year.ok ? ok({ ...year.value, id: null, plan: used }) : fail(...year.problems);
};

/** What is wrong with the dates and the starter as they stand, before anything is sent: the same rules as on the server. */
const liveProblems = (answers: Answers, year: Result<DraftYear>): readonly Problem[] => {
  const cutover = readDate(answers.cutover, 'cutover');
  const chart = starterChart(answers.starter, answers.legalForm, firstOf(answers));
  return [
    ...(year.ok || answers.yearStart === '' ? [] : year.problems),
    ...(year.ok && cutover.ok
      ? cutoverProblems({ ...year.value, periods: year.value.periods.filter(isRegular) }, cutover.value)
      : []),
    ...(chart.ok ? [] : chart.problems),
  ].map((one) => toldIn(one, writingWith(datesOf(answers.country))));
};

/** New books on one sheet; beside it, live, the year and the first accounts that would be made. */
export const NewBooks = ({
  countries,
  currencies,
  others,
  templates,
  today,
}: {
  readonly countries: Named;
  readonly currencies: Named;
  readonly others: readonly { readonly id: number; readonly name: string }[];
  readonly templates: readonly { readonly id: number; readonly name: string }[];
  /** `YYYY-MM-DD`; the fiscal year that holds it is proposed. */
  readonly today: IsoDate;
}) => {
  const router = useRouter();
  const usual = (country: string): string => usualYearStart(country, plainDate(today)).toString();
  const { register, handleSubmit, control, setValue, setFocus, formState } = useForm<Answers>({
    defaultValues: {
      name: '',
      legalForm: 'limited-company',
      country: 'IE',
      currency: 'EUR',
      style: '1,234.56',
      purpose: 'live',
      yearStart: usual('IE'),
      cutover: usual('IE'),
      starter: 'trading',
      foreign: false,
      salesTax: true,
    },
  });
  const answers = useWatch({ control }) as Answers;
  // Until somebody divides the year otherwise, months end where its end falls.
  const [plan, setPlan] = useState<YearPlan | undefined>();
  const year = yearOf(answers.yearStart, plan);
  const dates = datesOf(answers.country);
  const startYear = (start: string): void => {
    // A cutover at the year's start stays there.
    if (answers.cutover === answers.yearStart) setValue('cutover', start);
    setValue('yearStart', start);
    setSaid([]);
  };
  const [said, setSaid] = useState<readonly Problem[]>([]);
  /** Whose chart is copied, as the address of the page that shows it first: "books=3", or empty. */
  const [copies, setCopies] = useState('');
  // What the server said stands until something is changed; what can be told here is told while typing.
  const problems = [...liveProblems(answers, year), ...said];
  const at = (field: keyof Answers): string | undefined => problems.find((one) => isAt(one, field))?.message;
  const twin = said.some((one) => one.code === 'books.same-name');
  const twins = similarNames(answers.name, others).slice(0, 3);

  const submit = handleSubmit(async (given) => {
    const made = await send(createBooks({ ...given, plan, evenIfSameName: twin }));
    if (made.ok) {
      const books = `/books/${String(made.value.id)}`;
      router.push(copies === '' ? books : `${books}/chart/copy?${copies}`);
      return;
    }
    setSaid(made.problems);
    const first = made.problems.find((one) => one.path !== undefined)?.path?.[0];
    if (first !== undefined && first in given) setFocus(first as keyof Answers);
  });

  return (
    <div className="mx-auto max-w-6xl px-4 pb-10">
      <header className="border-b border-ink pt-5 pb-3">
        <p className="text-sm text-ink-2">
          <Go href="/" className="hover:underline">
            Bathron
          </Go>
        </p>
        <h1 className="title text-2xl leading-tight">New books</h1>
      </header>
      <main className="grid gap-x-10 gap-y-6 pt-4 lg:grid-cols-[minmax(0,26rem)_1fr]">
        <form
          noValidate
          onSubmit={(event) => void submit(event)}
          onChange={() => setSaid([])}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
            // The browser would send it a second time.
            event.preventDefault();
            void submit();
          }}
          className="flex flex-col gap-2.5"
        >
          <Problems problems={problems.filter((one) => one.path === undefined)} />
          <Field label="Company name" problem={at('name')} hint="as it stands on its papers">
            {(ids) => (
              <input
                {...ids}
                {...register('name')}
                autoFocus
                autoComplete="off"
                maxLength={200}
                className="input input-sm w-full"
              />
            )}
          </Field>
          {twins.length > 0 && !twin && (
            <p role="status" className="-mt-1 text-sm text-ochre">
              Is it one of these?{' '}
              {twins.map(({ other, why }, at) => (
                <span key={other.id}>
                  {at > 0 && ', '}
                  <Go className="link" href={`/books/${String(other.id)}`}>
                    {other.name}
                  </Go>{' '}
                  ({why})
                </span>
              ))}
            </p>
          )}
          <div className="grid gap-x-4 gap-y-2.5 sm:grid-cols-2">
            <Field label="Legal form" hint="decides the equity accounts">
              {(ids) => (
                <select
                  {...ids}
                  {...register('legalForm', {
                    onChange: (event: { target: { value: LegalForm } }) => {
                      const suiting = startersFor(event.target.value);
                      if (!suiting.includes(answers.starter)) setValue('starter', suiting[0] ?? 'empty');
                    },
                  })}
                  className="select select-sm w-full"
                >
                  <LegalFormOptions country={answers.country} />
                </select>
              )}
            </Field>
            <Field label="Country" problem={at('country')} hint="proposes the currency">
              {(ids) => (
                <select
                  {...ids}
                  {...register('country', {
                    onChange: (event: { target: { value: string } }) => {
                      setValue('currency', currencyOf(event.target.value) ?? answers.currency);
                      setValue('style', numberStyleOf(event.target.value));
                      if (answers.yearStart === usual(answers.country)) startYear(usual(event.target.value));
                    },
                  })}
                  className="select select-sm w-full"
                >
                  <CountryOptions names={countries} />
                </select>
              )}
            </Field>
            <Field label="Base currency" problem={at('currency')} hint="fixed once something is posted">
              {(ids) => (
                <select {...ids} {...register('currency')} className="select select-sm w-full">
                  <CurrencyOptions names={currencies} />
                </select>
              )}
            </Field>
            <Field label="Numbers written" hint="on screen and when typing">
              {(ids) => (
                <select {...ids} {...register('style')} className="select select-sm w-full">
                  <StyleOptions />
                </select>
              )}
            </Field>
            <Field label="Fiscal year starts" problem={at('yearStart')} hint="the year that holds the cutover">
              {(ids) => <DateInput {...ids} value={answers.yearStart} dates={dates} onDate={startYear} />}
            </Field>
            <Field label="Cutover date" problem={at('cutover')} hint="first day that these books record">
              {(ids) => (
                <select {...ids} {...register('cutover')} className="select select-sm w-full">
                  <CutoverOptions years={year.ok ? [year.value] : []} chosen={answers.cutover} dates={dates} />
                </select>
              )}
            </Field>
          </div>
          {year.ok && <PatternFields year={year.value} dates={dates} onPlan={setPlan} />}
          <label className="flex items-baseline gap-2">
            <input type="checkbox" {...register('salesTax')} className="checkbox checkbox-xs translate-y-0.5" />
            <span>
              <span className="font-medium">Charges sales tax</span>{' '}
              <span className="note">adds its accounts, tax codes and return periods</span>
            </span>
          </label>
          <label className="flex items-baseline gap-2">
            <input type="checkbox" {...register('foreign')} className="checkbox checkbox-xs translate-y-0.5" />
            <span>
              <span className="font-medium">Works in foreign currencies too</span>{' '}
              <span className="note">adds the Currencies stage; can be turned on later</span>
            </span>
          </label>
          <fieldset className="mt-1">
            <legend className="mb-1 text-sm font-medium">Chart of accounts to begin with</legend>
            {STARTERS.map((starter) => {
              const suits = startersFor(answers.legalForm).includes(starter.id);
              return (
                <label key={starter.id} className={`flex items-baseline gap-2 py-0.5 ${suits ? '' : 'text-ink-2'}`}>
                  <input
                    type="radio"
                    value={starter.id}
                    disabled={!suits}
                    {...register('starter', { onChange: () => setCopies('') })}
                    className="radio radio-xs translate-y-0.5"
                  />
                  <span>
                    <span className="font-medium">{starter.label}</span>{' '}
                    <span className="note">{suits ? starter.says : 'does not suit this legal form'}</span>
                  </span>
                </label>
              );
            })}
          </fieldset>
          {(others.length > 0 || templates.length > 0) && (
            <Field label="Or a copy of the chart of" hint="shown before anything of it is taken">
              {(ids) => (
                <select
                  {...ids}
                  value={copies}
                  onChange={(event) => {
                    setCopies(event.target.value);
                    if (event.target.value !== '') setValue('starter', 'empty');
                  }}
                  className="select select-sm w-full"
                >
                  <option value="">nobody: as chosen above</option>
                  <SourceOptions others={others} templates={templates} />
                </select>
              )}
            </Field>
          )}
          <Field label="These books are" hint="shown in the frame, so that nobody types into the wrong ones">
            {(ids) => (
              <select {...ids} {...register('purpose')} className="select select-sm w-full">
                <option value="live">the company’s live books</option>
                <option value="trial">a trial run</option>
                <option value="demo">a demonstration</option>
              </select>
            )}
          </Field>
          <div className="mt-1 flex gap-2">
            <button type="submit" className="btn btn-primary btn-sm" disabled={formState.isSubmitting}>
              {twin ? 'Create a second set' : 'Create these books'}
            </button>
            <Go href="/" className="btn btn-sm">
              Back to the board
            </Go>
          </div>
        </form>
        <section aria-label="What will be made" className="min-w-0 lg:border-l lg:border-rule lg:pl-8">
          <h2 className="title mb-2 text-lg">The year</h2>
          {year.ok ? (
            <YearPreview year={year.value} cutover={answers.cutover} dates={dates} />
          ) : (
            <p className="note">
              Give the year’s first day, and its periods are drawn here. It need not be January, nor the first of a
              month.
            </p>
          )}
          <h2 className="title mt-5 mb-1 text-lg">The first accounts</h2>
          {copies === '' ? (
            <ChartPreview
              starter={answers.starter}
              form={answers.legalForm}
              first={firstOf(answers)}
              currency={currencies.find(([code]) => code === answers.currency)?.[1] ?? answers.currency}
            />
          ) : (
            <p className="note">A copy. What would come is shown as soon as these books are made.</p>
          )}
        </section>
      </main>
    </div>
  );
};

const YearPreview = ({
  year,
  cutover,
  dates,
}: {
  readonly year: DraftYear;
  readonly cutover: string;
  readonly dates: DateStyle;
}) => {
  const regular = year.periods.filter(isRegular);
  const read = readDate(cutover);
  const on =
    read.ok && cutoverProblems({ ...year, periods: regular }, read.value).length === 0 ? read.value : undefined;
  const states = on === undefined ? [] : firstStates(year.periods, on);
  return (
    <>
      <p className="note mb-2">
        Fiscal year {year.name}, {day(year.start.toString(), dates)} to {day(year.end.toString(), dates)},{' '}
        {describePattern(year.plan.pattern)}.{' '}
        {on !== undefined &&
          `Balances stand at close of ${day(openingDate(on).toString(), dates)}; income and expense open ${opensAtYearStart(year, on) ? 'at nil' : 'at their year-to-date figures'}.`}
      </p>
      <YearBand
        dates={dates}
        label={`Periods of ${year.name}`}
        periods={year.periods.map((period, index) => ({
          kind: period.kind,
          code: period.code,
          name: period.name,
          start: period.start.toString(),
          end: period.end.toString(),
          state: states[index] ?? 'future',
        }))}
        cutover={on?.toString()}
        extraWeek={extraWeekOf(year.plan.pattern, year.start, year.end)}
      />
      {yearNotes(year).map((note) => (
        <p key={note} className="mt-1 text-sm text-ochre">
          {note}
        </p>
      ))}
    </>
  );
};

const ChartPreview = ({
  starter,
  form,
  first,
  currency,
}: {
  readonly starter: StarterId;
  readonly form: LegalForm;
  readonly first: FirstAnswers;
  /** By its name. */
  readonly currency: string;
}) => {
  const chart = starterChart(starter, form, first);
  if (!chart.ok || chart.value.length === 0)
    return (
      <p className="note">
        None. On the Chart page the accounts are then composed from answers, copied, imported or typed; or they are
        created from the old trial balance.
      </p>
    );
  const headings = chart.value.filter((one) => one.heading);
  return (
    <>
      <p className="note mb-2">
        {plural(chart.value.length - headings.length, 'account')} under {plural(headings.length, 'heading')}, in{' '}
        {currency}.
      </p>
      <div className="gap-x-8 text-sm sm:columns-2">
        {headings.map((heading) => (
          <div key={heading.code} className="mb-3 break-inside-avoid">
            <p className="border-b border-rule font-semibold">{heading.name}</p>
            <ul>
              {chart.value
                .filter((one) => one.parent === heading.code)
                .map((one) => (
                  <li key={one.code} className="flex gap-3 border-b border-hairline py-0.5">
                    <span className="w-10 text-ink-2">{one.code}</span>
                    {one.name}
                  </li>
                ))}
            </ul>
          </div>
        ))}
      </div>
    </>
  );
};
