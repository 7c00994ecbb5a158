'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { FrameView } from '@/actions/frame/views';
import { type Currency, minorDigits } from '@/core/money/currency';
import { abs, NIL, sum } from '@/core/money/minor';
import { agesIn, ageLabels, ageingOf, readLimits } from '@/core/schedules/ageing';
import type { Contact } from '@/core/schedules/contact';
import type { ItemFields } from '@/core/schedules/item';
import { changeFact } from '@/actions/company/commands';
import { sameKept } from '@/core/base/kept';
import { Field } from '../parts/field';
import { figure, moneyOf, sided } from '../parts/figures';
import { Go } from '../parts/go';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

const AgeChart = dynamic(() => import('./age-chart').then(({ AgeChart: chart }) => chart), {
  ssr: false,
  loading: () => <div className="h-40" />,
});

/** What is open by age, per contact and currency, and as a picture. */
export const Ageing = ({
  frame,
  items,
  contacts,
}: {
  readonly frame: FrameView;
  readonly items: readonly ItemFields[];
  readonly contacts: readonly Contact[];
}) => {
  const refresh = useRefresh();
  const [limits, setLimits] = useState(frame.ageLimits);
  const [says, setSays] = useState<string | undefined>();
  const keeps = frame.may.includes('company.change');
  const rows = ageingOf(items, frame.openingDate, limits);
  const labels = ageLabels(limits);
  const typed = (text: string): void => {
    const read = readLimits(text);
    setSays(read.ok ? undefined : read.problems[0]?.message);
    if (!read.ok || sameKept(read.value, limits)) return;
    setLimits(read.value);
    if (!keeps) return;
    void send(changeFact({ books: frame.id, field: 'ageLimits', was: frame.ageLimits, now: read.value })).then(
      (done) => {
        setSays(done.ok ? undefined : done.problems[0]?.message);
        if (done.ok) refresh();
      },
    );
  };
  const names = new Map(contacts.map((one) => [one.id as number, one]));
  const currencies = [...new Set(rows.map(({ currency }) => currency))];
  const money = (currency: Currency) => moneyOf(currency, frame);
  if (rows.length === 0) return <p className="px-4 py-3">Nothing is open yet.</p>;
  return (
    <div className="px-4 py-3 lg:overflow-y-auto">
      <div className="no-print mb-3 w-56">
        <Field
          label="Ages end after days"
          problem={says}
          hint={keeps ? 'kept for everybody who looks at these books' : undefined}
        >
          {(ids) => (
            <input
              {...ids}
              defaultValue={limits.join(', ')}
              autoComplete="off"
              className="input input-sm w-full"
              onBlur={(event) => typed(event.currentTarget.value)}
              onKeyDown={(event) => {
                if (event.key === 'Enter') typed(event.currentTarget.value);
              }}
            />
          )}
        </Field>
      </div>
      {currencies.map((currency) => {
        const ages = agesIn(rows, currency);
        return (
          <section key={currency} aria-label={`Open by age, in ${currency}`} className="mb-5">
            <h2 className="title text-lg">Days overdue, in {currency}</h2>
            <AgeChart
              label={`Open by age in ${currency}: ${labels.map((label, at) => `${label} ${figure(ages[at] ?? NIL, money(currency))}`).join(', ')}`}
              bars={labels.map((label, at) => ({
                label,
                // For drawing only.
                value: Number(abs(ages[at] ?? NIL)) / 10 ** minorDigits(currency),
                says: sided(ages[at] ?? NIL, money(currency)),
                late: at > 0,
              }))}
            />
            <div className="overflow-x-auto">
              <table className="ledger tight w-full min-w-[40rem]">
                <thead>
                  <tr>
                    <th scope="col" className="text-left">
                      Contact
                    </th>
                    {labels.map((label) => (
                      <th key={label} scope="col" className="figure hung">
                        {label}
                      </th>
                    ))}
                    <th scope="col" className="figure hung">
                      Open
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rows
                    .filter((row) => row.currency === currency)
                    .map((row) => {
                      const contact = row.contact === null ? undefined : names.get(row.contact);
                      return (
                        <tr key={String(row.contact)}>
                          <th scope="row" className="text-left font-normal">
                            {contact === undefined ? (
                              <span className="text-ochre">nobody named</span>
                            ) : (
                              <Go
                                href={`/books/${String(frame.id)}/schedules/contacts/${String(contact.id)}`}
                                className="hover:underline"
                              >
                                {contact.code === '' ? '' : <span className="mr-2 text-ink-2">{contact.code}</span>}
                                {contact.name}
                              </Go>
                            )}
                          </th>
                          {row.ages.map((amount, at) => (
                            <td
                              key={labels[at]}
                              className={`figure whitespace-nowrap ${at > 0 && amount !== NIL ? 'text-madder' : ''}`}
                            >
                              {amount === NIL ? '' : sided(amount, money(currency))}
                            </td>
                          ))}
                          <td className="figure whitespace-nowrap">{sided(row.open, money(currency))}</td>
                        </tr>
                      );
                    })}
                  <tr className="sum final font-semibold">
                    <th scope="row" className="text-left">
                      All
                    </th>
                    {ages.map((amount, at) => (
                      <td key={labels[at]} className="figure whitespace-nowrap">
                        {amount === NIL ? '' : sided(amount, money(currency))}
                      </td>
                    ))}
                    <td className="figure whitespace-nowrap">{sided(sum(ages), money(currency))}</td>
                  </tr>
                </tbody>
              </table>
            </div>
          </section>
        );
      })}
    </div>
  );
};
