'use client';

import { type IsoDate } from '@/core/base/iso-date';
import { useState } from 'react';
import { type DateStyle, writeStyled } from '@/core/base/date-style';
import { plainDate } from '@/core/base/dates';
import type { PaidInto } from '@/core/chart/pay-into';
import { PAPER_SIZES, SETTLEMENTS, SPAN_RULES } from '@/core/company/facts';
import {
  DOCUMENT_KINDS,
  type Numbering,
  PRICES_SHOWN,
  type PaymentTerms,
  describeTerms,
  documentNumber,
  dueDate,
} from '@/core/company/terms';
import { formatMinor } from '@/core/money/format';
import { NUMBER_STYLES } from '@/core/money/number-style';
import { Field } from '../parts/field';
import { day } from '../parts/names';
import { Go } from '../parts/go';
import { Pair, Section, SelectFact, TextFact } from './fact-fields';
import { useFacts } from './facts';

/** What later entries take, each changeable at any time. */
export const DefaultsSection = ({
  example,
  banks,
}: {
  readonly example: IsoDate;
  readonly banks: readonly PaidInto[];
}) => {
  const { facts, books } = useFacts();
  const trade = facts.parts.includes('trade');
  return (
    <Section
      id="defaults"
      title="Defaults for later entries"
      about="Taken by entries made after a change; what is written already stays as it is."
    >
      {trade && (
        <>
          <Pair>
            <TermsFact field="customerTerms" label="Customers pay" example={example} />
            <TermsFact field="supplierTerms" label="Suppliers are paid" example={example} />
            <SelectFact field="settlement" label="Receipts and payments" hint="affects open items and reminders">
              {SETTLEMENTS.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.label}
                </option>
              ))}
            </SelectFact>
          </Pair>
          <NumberingTable />
          <Pair>
            {facts.parts.includes('sales-tax') && (
              <>
                <PricesFact field="salesPrices" label="Prices to customers" />
                <PricesFact field="purchasePrices" label="Prices from suppliers" />
              </>
            )}
          </Pair>
          <div className="mt-3">
            <TextFact
              field="paymentNote"
              label="How one pays"
              rows={2}
              hint={
                <>
                  At the foot of what customers get, beside{' '}
                  {banks.length === 0 ? 'no bank account yet' : banks.map(({ name }) => name).join(', ')}.{' '}
                  <Go className="link" href={`/books/${String(books)}/chart/money`}>
                    Choose the accounts
                  </Go>
                </>
              }
            />
          </div>
        </>
      )}
      {facts.parts.includes('stock') && (
        <Names
          field="priceLevels"
          label="Names of price levels"
          hint="one or several, separated by commas: the columns of the price list; the first is the usual one"
        />
      )}
      {facts.parts.includes('dimensions') && (
        <Names
          field="analysisLists"
          label="Lists of analysis codes"
          hint="up to three, separated by commas; their codes are listed under Schedules"
        />
      )}
      <Pair>
        <SelectFact
          field="spans"
          label="What lies across the year end"
          hint="prepayments, accruals and grants, where a schedule works out what belongs after the opening date"
        >
          {SPAN_RULES.map((one) => (
            <option key={one.id} value={one.id}>
              {one.label}
            </option>
          ))}
        </SelectFact>
      </Pair>
      <h3 className="mt-4 mb-1 text-sm font-medium">Dates, numbers, paper</h3>
      <Pair>
        <DatesFact example={example} />
        <SelectFact
          field="style"
          label="Numbers written"
          hint={`on screen, in print, and when typing: ${formatMinor(-123456789n, 2, facts.style)}`}
        >
          {NUMBER_STYLES.slice(0, 6).map((style) => (
            <option key={style} value={style}>
              {style}
            </option>
          ))}
        </SelectFact>
        <SelectFact field="paperSize" label="Paper" hint="of printed reports">
          {PAPER_SIZES.map((size) => (
            <option key={size} value={size}>
              {size}
            </option>
          ))}
        </SelectFact>
        <Preprinted />
      </Pair>
    </Section>
  );
};

const Preprinted = () => {
  const { facts, change } = useFacts();
  return (
    <label className="flex items-baseline gap-2 self-center">
      <input
        type="checkbox"
        className="checkbox checkbox-xs translate-y-0.5"
        checked={facts.preprinted}
        onChange={(event) => void change('preprinted', event.target.checked)}
      />
      <span>
        The letterhead is pre-printed
        <span className="note block">reports then leave room for it instead of printing the heading</span>
      </span>
    </label>
  );
};

/** A whole number that is saved when it is left; what is no number goes to the server as it is and comes back as a sentence. */
const Whole = ({
  value,
  label,
  onKeep,
  className = 'w-16',
}: {
  readonly value: number;
  readonly label: string;
  readonly onKeep: (next: number) => void;
  readonly className?: string;
}) => (
  <input
    key={value}
    aria-label={label}
    defaultValue={value}
    inputMode="numeric"
    autoComplete="off"
    className={`input input-sm text-right ${className}`}
    onBlur={(event) => {
      const text = event.target.value.trim();
      if (text !== String(value)) onKeep(/^\d{1,9}$/.test(text) ? Number(text) : -1);
    }}
    onKeyDown={(event) => {
      if (event.key === 'Escape') event.currentTarget.value = String(value);
      if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
    }}
  />
);

const KINDS: readonly (readonly [PaymentTerms['kind'], string])[] = [
  ['days', 'days after the document'],
  ['month-end', 'days after the month’s end'],
  ['day-of-month', 'on a day of a following month'],
];

const TermsFact = ({
  field,
  label,
  example,
}: {
  readonly field: 'customerTerms' | 'supplierTerms';
  readonly label: string;
  readonly example: IsoDate;
}) => {
  const { facts, change, problem } = useFacts();
  const terms = facts[field];
  const document = plainDate(example);
  const start: Readonly<Record<PaymentTerms['kind'], PaymentTerms>> = {
    days: { kind: 'days', days: 30 },
    'month-end': { kind: 'month-end', days: 0 },
    'day-of-month': { kind: 'day-of-month', day: 15, months: 1 },
  };
  return (
    <Field
      label={label}
      problem={problem(field)}
      hint={`${describeTerms(terms)}: of ${day(example, facts.dates)}, due ${day(dueDate(document, terms).toString(), facts.dates)}`}
    >
      {(ids) => (
        <div className="flex flex-wrap gap-1.5">
          {terms.kind === 'day-of-month' ? (
            <>
              <Whole
                value={terms.day}
                label={`${label}: day`}
                onKeep={(day) => void change(field, { ...terms, day })}
                className="w-12"
              />
              <Whole
                value={terms.months}
                label={`${label}: months later`}
                onKeep={(months) => void change(field, { ...terms, months })}
                className="w-12"
              />
            </>
          ) : (
            <Whole
              value={terms.days}
              label={`${label}: days`}
              onKeep={(days) => void change(field, { ...terms, days })}
            />
          )}
          <select
            {...ids}
            value={terms.kind}
            onChange={(event) => void change(field, start[event.target.value as PaymentTerms['kind']])}
            className="select select-sm min-w-0 flex-1"
          >
            {KINDS.map(([kind, says]) => (
              <option key={kind} value={kind}>
                {says}
              </option>
            ))}
          </select>
        </div>
      )}
    </Field>
  );
};

const NumberingTable = () => {
  const { facts, change, problem } = useFacts();
  const put = (kind: Numbering['kind'], next: Partial<Numbering>): void =>
    void change(
      'numbering',
      facts.numbering.map((one) => (one.kind === kind ? { ...one, ...next } : one)),
    );
  return (
    <div className="mt-3 overflow-x-auto">
      <table className="ledger">
        <thead>
          <tr>
            <th scope="col">Document</th>
            <th scope="col">Called</th>
            <th scope="col">Prefix</th>
            <th scope="col" className="figure">
              Next number
            </th>
            <th scope="col" className="figure">
              Digits
            </th>
            <th scope="col">The next one is</th>
          </tr>
        </thead>
        <tbody>
          {DOCUMENT_KINDS.map(({ id, label }) => {
            const one = facts.numbering.find((each) => each.kind === id);
            return one === undefined ? null : (
              <tr key={id}>
                <td>{label}</td>
                <td>
                  <input
                    key={facts.documentNames[id] ?? ''}
                    aria-label={`${label}: called`}
                    defaultValue={facts.documentNames[id] ?? ''}
                    placeholder={label}
                    autoComplete="off"
                    className="input input-xs h-7 w-44"
                    onBlur={(event) => {
                      const name = event.target.value.trim();
                      if (name !== (facts.documentNames[id] ?? ''))
                        void change('documentNames', { ...facts.documentNames, [id]: name });
                    }}
                    onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                  />
                </td>
                <td>
                  <input
                    key={one.prefix}
                    aria-label={`${label}: prefix`}
                    defaultValue={one.prefix}
                    autoComplete="off"
                    className="input input-xs h-7 w-24"
                    onBlur={(event) => {
                      if (event.target.value !== one.prefix) put(id, { prefix: event.target.value });
                    }}
                    onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                  />
                </td>
                <td className="figure">
                  <Whole
                    value={one.next}
                    label={`${label}: next number`}
                    onKeep={(next) => put(id, { next })}
                    className="h-7 w-28"
                  />
                </td>
                <td className="figure">
                  <Whole
                    value={one.width}
                    label={`${label}: digits`}
                    onKeep={(width) => put(id, { width })}
                    className="h-7 w-14"
                  />
                </td>
                <td>{documentNumber(one)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {problem('numbering') !== undefined && (
        <p role="alert" className="mt-1 text-sm text-brick">
          {problem('numbering')}
        </p>
      )}
    </div>
  );
};

const PricesFact = ({ field, label }: { readonly field: 'salesPrices' | 'purchasePrices'; readonly label: string }) => (
  <SelectFact field={field} label={label}>
    {PRICES_SHOWN.map(({ id, label: says }) => (
      <option key={id} value={id}>
        {says}
      </option>
    ))}
  </SelectFact>
);

/** Names, separated by commas. */
const Names = ({
  field,
  label,
  hint,
}: {
  readonly field: 'priceLevels' | 'analysisLists';
  readonly label: string;
  readonly hint: string;
}) => {
  const { facts, change, problem } = useFacts();
  const [text, setText] = useState<string | undefined>();
  return (
    <div className="mt-3">
      <Field label={label} hint={hint} problem={problem(field)}>
        {(ids) => (
          <input
            {...ids}
            value={text ?? facts[field].join(', ')}
            autoComplete="off"
            className="input input-sm w-full"
            onChange={(event) => setText(event.target.value)}
            onBlur={() => {
              if (text === undefined) return;
              const names = text
                .split(',')
                .map((name) => name.trim())
                .filter((name) => name !== '');
              void change(field, names).then((kept) => kept && setText(undefined));
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter') event.currentTarget.blur();
              if (event.key === 'Escape') setText(undefined);
            }}
          />
        )}
      </Field>
    </div>
  );
};

const ORDERS: readonly (readonly [DateStyle['order'], string])[] = [
  ['dmy', 'day, month, year'],
  ['mdy', 'month, day, year'],
  ['ymd', 'year, month, day'],
];
const SEPARATORS: readonly (readonly [DateStyle['separator'], string])[] = [
  [' ', 'space'],
  ['.', 'point'],
  ['/', 'slash'],
  ['-', 'dash'],
];

const DatesFact = ({ example }: { readonly example: string }) => {
  const { facts, change, problem } = useFacts();
  const dates = facts.dates;
  const put = (next: Partial<DateStyle>): void => void change('dates', { ...dates, ...next });
  return (
    <Field
      label="Dates written"
      problem={problem('dates')}
      hint={`in tables, reports and files: ${writeStyled(example, dates)}`}
    >
      {(ids) => (
        <div className="grid grid-cols-2 gap-1.5">
          <select
            {...ids}
            value={dates.order}
            onChange={(event) => put({ order: event.target.value as DateStyle['order'] })}
            className="select select-sm w-full"
          >
            {ORDERS.map(([order, says]) => (
              <option key={order} value={order}>
                {says}
              </option>
            ))}
          </select>
          <select
            aria-label="Separator of dates"
            value={dates.separator}
            onChange={(event) => put({ separator: event.target.value as DateStyle['separator'] })}
            className="select select-sm w-full"
          >
            {SEPARATORS.map(([separator, says]) => (
              <option key={separator} value={separator}>
                {says}
              </option>
            ))}
          </select>
          <select
            aria-label="Month in dates"
            value={dates.month}
            onChange={(event) => put({ month: event.target.value as DateStyle['month'] })}
            className="select select-sm w-full"
          >
            <option value="name">month by name</option>
            <option value="number">month by number</option>
          </select>
          <select
            aria-label="Year in dates"
            value={dates.year}
            onChange={(event) => put({ year: event.target.value === '2' ? 2 : 4 })}
            className="select select-sm w-full"
          >
            <option value={4}>four-digit year</option>
            <option value={2}>two-digit year</option>
          </select>
        </div>
      )}
    </Field>
  );
};
