'use client';

import { type IsoDate } from '@/core/base/iso-date';
import { plainDate } from '@/core/base/dates';
import type { PaidInto } from '@/core/chart/pay-into';
import { letterhead } from '@/core/company/facts';
import { describeTerms, documentName, documentNumber, dueDate } from '@/core/company/terms';
import { formatMinor } from '@/core/money/format';
import { minor } from '@/core/money/minor';
import { day } from '../parts/names';
import { Letterhead } from '../statements/letterhead';
import { useFacts, useShownFacts } from './facts';

/** The head and the foot of the next sales invoice, as the facts make them; what is being typed is in it. */
export const DocumentPreview = ({
  example,
  digits,
  logo,
  banks,
}: {
  readonly example: IsoDate;
  /** Decimals of the base currency. */
  readonly digits: number;
  readonly logo: string | null;
  readonly banks: readonly PaidInto[];
}) => {
  const { books } = useFacts();
  const facts = useShownFacts();
  const number = facts.numbering.find(({ kind }) => kind === 'sales-invoice');
  const [usual] = facts.priceLevels;
  const taxed = facts.parts.includes('sales-tax');
  return (
    <section aria-labelledby="document-preview" className="mt-5">
      <h3 id="document-preview" className="mb-1 text-sm font-medium">
        What customers get: head and foot
      </h3>
      <div className="border border-rule bg-paper px-4 py-3 text-sm" data-testid="document-preview">
        {facts.preprinted ? (
          <p className="note">Room for the pre-printed letterhead</p>
        ) : (
          <Letterhead books={books} head={{ lines: letterhead(facts), logo, preprinted: false }} />
        )}
        <p className="title mt-3 text-base">
          {documentName('sales-invoice', facts.documentNames)} {number === undefined ? '' : documentNumber(number)}
        </p>
        <p className="text-ink-2">{day(example, facts.dates)}</p>
        <table className="ledger tight mt-2 w-full">
          <thead>
            <tr>
              <th scope="col" className="text-left">
                What
              </th>
              <th scope="col" className="figure">
                {usual === undefined ? 'Price' : `Price, ${usual}`}
                {taxed && (facts.salesPrices === 'before' ? ', before tax' : ', tax in it')}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td className="text-ink-2">a line as an example</td>
              <td className="figure">{formatMinor(minor(1240n * 10n ** BigInt(digits)), digits, facts.style)}</td>
            </tr>
          </tbody>
        </table>
        <p className="mt-2">
          Due {day(dueDate(plainDate(example), facts.customerTerms).toString(), facts.dates)} (
          {describeTerms(facts.customerTerms)})
        </p>
        {banks.map(({ currency, name, says }) => (
          <p key={`${currency}${name}`}>
            {currency}: {name}
            {says === '' ? '' : `, ${says}`}
          </p>
        ))}
        {facts.paymentNote !== '' && <p className="whitespace-pre-line">{facts.paymentNote}</p>}
        {banks.length === 0 && facts.paymentNote === '' && <p className="note">Nothing says how to pay yet.</p>}
      </div>
    </section>
  );
};
