'use client';

import { monthName } from '@/core/base/date-style';
import { type PlainDate, plainDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import { type CompanyFacts, returnsOf } from '@/core/company/facts';
import { TAX_BASES, TAX_INTERVALS, type TaxInterval, returnContaining } from '@/core/company/tax';
import { Field } from '../parts/field';
import { DateFact, Pair, Section, SelectFact, TextFact } from './fact-fields';
import { day } from '../parts/names';
import { useFacts } from './facts';

interface YearSpan {
  readonly name: string;
  readonly start: IsoDate;
  readonly end: IsoDate;
}

export const TaxSection = ({ years, cutover }: { readonly years: readonly YearSpan[]; readonly cutover: IsoDate }) => {
  const { facts, change, problem } = useFacts();
  const proposed = returnContaining(plainDate(cutover), facts.taxInterval).toString();
  return (
    <Section
      id="tax"
      title="Sales taxes"
      about="Value added, goods and services, or sales tax: whatever the country calls it."
    >
      <Pair>
        <SelectFact
          field="taxRegistered"
          label="Registered"
          hint={facts.taxRegistered === 'unknown' ? 'the tax accounts and returns wait for this answer' : undefined}
        >
          <option value="unknown">not answered yet</option>
          <option value="no">not registered</option>
          <option value="yes">registered from a date</option>
        </SelectFact>
        {facts.taxRegistered === 'yes' && (
          <>
            <TextFact field="taxNumber" label="Tax number" hint="its shape is checked, not whether it is registered" />
            <DateFact field="taxFrom" label="Registered from" />
            <SelectFact field="taxBasis" label="Basis" hint={TAX_BASES.find((one) => one.id === facts.taxBasis)?.says}>
              {TAX_BASES.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.label}
                </option>
              ))}
            </SelectFact>
            <Field label="A return" problem={problem('taxInterval')}>
              {(ids) => (
                <select
                  {...ids}
                  value={facts.taxInterval}
                  onChange={(event) => void change('taxInterval', Number(event.target.value) as TaxInterval)}
                  className="select select-sm w-full"
                >
                  {TAX_INTERVALS.map((one) => (
                    <option key={one.months} value={one.months}>
                      {one.label}
                    </option>
                  ))}
                </select>
              )}
            </Field>
            <DateFact
              field="taxFirstEnd"
              label="First return ends"
              hint={
                facts.taxFirstEnd === '' ? (
                  <>
                    the one that holds the cutover date is{' '}
                    <button type="button" className="link" onClick={() => void change('taxFirstEnd', proposed)}>
                      that to {day(proposed, facts.dates)}
                    </button>
                  </>
                ) : (
                  'the others follow from it'
                )
              }
            />
          </>
        )}
      </Pair>
      {years.slice(-2).map((year) => (
        <Returns key={year.name} year={year} facts={facts} />
      ))}
    </Section>
  );
};

/** The return periods drawn against a fiscal year: where they do not end together, the year's end cuts through one. */
const Returns = ({
  year,
  facts,
}: {
  readonly year: YearSpan;
  readonly facts: Parameters<typeof returnsOf>[0] & Pick<CompanyFacts, 'dates'>;
}) => {
  const write = (date: PlainDate): string => day(date.toString(), facts.dates);
  const [start, end] = [plainDate(year.start), plainDate(year.end)];
  const periods = returnsOf(facts, { start, end });
  if (periods.length === 0) return null;
  const days = start.until(end, { largestUnit: 'days' }).days + 1;
  const share = (from: typeof start, to: typeof start): number => {
    const first = from.until(start).sign > 0 ? start : from;
    const last = end.until(to).sign > 0 ? end : to;
    return (100 * (first.until(last, { largestUnit: 'days' }).days + 1)) / days;
  };
  const [first] = periods;
  const lead =
    first !== undefined && start.until(first.start).sign > 0 ? share(start, first.start.subtract({ days: 1 })) : 0;
  const overhang = periods.at(-1);
  return (
    <figure className="mt-3">
      <figcaption className="text-sm">
        Returns against fiscal year {year.name}
        {overhang !== undefined && end.until(overhang.end).sign > 0 && (
          <span className="note"> · the last one runs on to {write(overhang.end)}, into the next year</span>
        )}
      </figcaption>
      <ol className="mt-1 flex border border-rule text-xs" aria-label={`Tax returns in ${year.name}`}>
        {lead > 0 && (
          <li className="bg-paper-2 px-1 py-1 text-ink-2" style={{ width: `${String(lead)}%` }}>
            <span className="block truncate">not registered</span>
          </li>
        )}
        {periods.map((one, at) => (
          <li
            key={one.end.toString()}
            className={`min-w-0 border-l border-rule px-1 py-1 first:border-l-0 ${at % 2 === 0 ? 'bg-stone' : 'bg-paper-2'}`}
            style={{ width: `${String(share(one.start, one.end))}%` }}
            title={`${write(one.start)} to ${write(one.end)}`}
          >
            <span className="block truncate">
              to {one.end.day} {monthName(one.end.month)}
            </span>
          </li>
        ))}
      </ol>
    </figure>
  );
};
