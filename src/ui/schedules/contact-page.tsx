import type { FrameView } from '@/actions/frame/views';
import type { contactView } from '@/actions/schedules/views';
import { describeTerms } from '@/core/company/terms';
import { minorDigits } from '@/core/money/currency';
import { formatMinor } from '@/core/money/format';
import { ageLabels, ageOf } from '@/core/schedules/ageing';
import { CONTACT_ROLES, beyondLimit } from '@/core/schedules/contact';
import { SETTLES } from '@/core/schedules/contact-cells';
import { Frame, MarginPart } from '../frame/frame';
import { scheduleHref } from '../frame/stage-href';
import { sided } from '../parts/figures';
import { Go } from '../parts/go';
import { day } from '../parts/names';
import { ContactPapers } from './contact-papers';
import { Ageing } from './ageing';
import { ScheduleNav } from './schedule-nav';

type Found = NonNullable<NonNullable<Awaited<ReturnType<typeof contactView>>>['found']>;

/** A contact with all of its items, whichever account they stand on, and their ages. */
export const ContactPage = ({
  frame,
  contact,
  items,
  openingDate,
  evidence,
}: Found & { readonly frame: FrameView }) => {
  const labels = ageLabels(frame.ageLimits);
  const currency = contact.currency === '' ? frame.currency : contact.currency;
  const beyond = beyondLimit(contact, items, frame.currency);
  const facts: readonly (readonly [string, string])[] = [
    ['Is', CONTACT_ROLES.find(({ id }) => id === contact.role)?.label ?? ''],
    ['Legal name', contact.legalName],
    ['Tax number', contact.taxNumber],
    ['Address', contact.address],
    ['Person to ask', contact.person],
    ['E-mail', contact.email],
    ['Phone', contact.phone],
    ['Currency', contact.currency === '' ? frame.currency : contact.currency],
    ['Terms', contact.terms === null ? 'as the company’s defaults' : describeTerms(contact.terms)],
    [
      'Credit limit',
      contact.creditLimit === null
        ? ''
        : `${formatMinor(contact.creditLimit, minorDigits(currency), frame.style)} ${currency}`,
    ],
    ['Settles', SETTLES[contact.settles]],
    ['Note', contact.note],
  ];
  return (
    <Frame
      frame={frame}
      stage="schedules"
      title={contact.name}
      about={contact.active ? contact.code : `${contact.code} not in use`}
      margin={
        <>
          <MarginPart title="About">
            <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
              {facts
                .filter(([, value]) => value !== '')
                .map(([label, value]) => (
                  <div key={label} className="contents">
                    <dt className="text-ink-2">{label}</dt>
                    <dd>{value}</dd>
                  </div>
                ))}
            </dl>
          </MarginPart>
          {beyond !== null && (
            <MarginPart title="To check">
              <p className="text-ochre">
                What is open is {formatMinor(beyond, minorDigits(currency), frame.style)} {currency} more than the
                credit limit.
              </p>
            </MarginPart>
          )}
          <ContactPapers books={frame.id} contact={contact.id} stored={evidence} />
        </>
      }
    >
      <ScheduleNav frame={frame} current="contacts" />
      <div className="overflow-x-auto px-4 py-3">
        {items.length === 0 ? (
          <p>No item names {contact.name} yet.</p>
        ) : (
          <table className="ledger tight w-full min-w-[40rem]">
            <thead>
              <tr>
                {['Account', 'Number', 'Reference', 'Date', 'Due', 'Overdue'].map((label) => (
                  <th key={label} scope="col" className="text-left">
                    {label}
                  </th>
                ))}
                <th scope="col" className="figure hung">
                  Open
                </th>
              </tr>
            </thead>
            <tbody>
              {items.map((item) => {
                const age = ageOf(item, openingDate, frame.ageLimits);
                return (
                  <tr key={item.id}>
                    <td>
                      <Go className="hover:underline" href={scheduleHref(frame.id, item.account)}>
                        {item.of.code} {item.of.name}
                      </Go>
                    </td>
                    <td>{item.number}</td>
                    <td>{item.reference}</td>
                    <td className="whitespace-nowrap">{item.date === null ? '' : day(item.date, frame.dates)}</td>
                    <td className="whitespace-nowrap">{item.due === null ? '' : day(item.due, frame.dates)}</td>
                    <td className={age > 0 ? 'text-madder' : 'text-ink-2'}>
                      {age === 0 ? '' : `${labels[age] ?? ''} days`}
                    </td>
                    <td className="figure whitespace-nowrap">
                      {sided(item.open, {
                        currency: item.currency,
                        digits: minorDigits(item.currency),
                        style: frame.style,
                      })}
                      {item.currency === frame.currency ? '' : ` ${item.currency}`}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        )}
      </div>
      {items.length > 0 && <Ageing frame={frame} items={items} contacts={[contact]} />}
    </Frame>
  );
};
