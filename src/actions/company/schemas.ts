import { isoDay } from '@/actions/kernel/inputs';
import { z } from 'zod';
import { readLimits } from '@/core/schedules/ageing';
import {
  COLOURS,
  type CompanyFacts,
  type FactName,
  PAPER_SIZES,
  PURPOSE_IDS,
  SETTLEMENTS,
  SPAN_RULES,
} from '@/core/company/facts';
import { LEGAL_FORM_IDS } from '@/core/company/legal-form';
import { PART_IDS } from '@/core/company/parts';
import { TAX_BASES, TAX_INTERVALS } from '@/core/company/tax';
import { DOCUMENT_KINDS, type DocumentNames, MOST_TERM_DAYS, PRICES_SHOWN } from '@/core/company/terms';
import { cleaned } from '@/core/files/clean';
import { isCountry } from '@/core/company/country';
import { NUMBER_STYLES } from '@/core/money/number-style';

const ONE_LINE = /^\P{Cc}*$/u;
const LINES = /^[^\p{Cc}]*(\n[^\p{Cc}]*)*$/u;

/** Text on one line, at most so long. */
const line = (what: string, most: number) =>
  z
    .string()
    .trim()
    .max(most, `${what} has more than ${most} characters; shorten it.`)
    .regex(ONE_LINE, `${what} contains a control character, such as a line break. Type it on one line.`)
    .overwrite(cleaned);

const lines = (what: string, most: number) =>
  z
    .string()
    .transform((text) => text.replaceAll('\r\n', '\n').trim())
    .pipe(
      z
        .string()
        .max(most, `${what} has more than ${most} characters; shorten it.`)
        .regex(LINES, `${what} contains a control character. Type it as plain text.`)
        .overwrite(cleaned),
    );

const email = line('The e-mail address', 120).refine(
  (text) => text === '' || /^[^\s@]+@[^\s@.]+(?:\.[^\s@.]+)+$/.test(text),
  'An e-mail address has one @ and a domain, such as office@example.org.',
);

const web = line('The web address', 200).refine((text) => {
  if (text === '') return true;
  try {
    const { protocol, hostname } = new URL(/^[a-z]+:/i.test(text) ? text : `https://${text}`);
    return (protocol === 'https:' || protocol === 'http:') && hostname.includes('.');
  } catch {
    return false;
  }
}, 'A web address looks like www.example.org or https://example.org.');

const maybeDay = z.literal('').or(isoDay());

const whole = (what: string, least: number, most: number) =>
  z
    .int(`${what} is a whole number.`)
    .min(least, `${what} is at least ${least}.`)
    .max(most, `${what} is at most ${most}.`);

export const terms = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('days'), days: whole('The number of days', 0, MOST_TERM_DAYS) }),
  z.object({ kind: z.literal('month-end'), days: whole('The number of days', 0, MOST_TERM_DAYS) }),
  z.object({
    kind: z.literal('day-of-month'),
    day: whole('The day of the month', 1, 31),
    months: whole('The number of months', 1, 12),
  }),
]);

const numbering = z
  .array(
    z.object({
      kind: z.enum(DOCUMENT_KINDS.map((one) => one.id)),
      prefix: line('A prefix', 12),
      next: whole('The next number', 1, 999_999_999),
      width: whole('The number of digits', 1, 9),
    }),
  )
  .length(DOCUMENT_KINDS.length)
  .superRefine((all, context) => {
    const twice = all.find((one, at) => all.findIndex((other) => other.prefix === one.prefix) !== at);
    if (twice !== undefined)
      context.addIssue({
        code: 'custom',
        message: `Two kinds of document have the prefix “${twice.prefix}”, so two documents could get one number. Give each its own.`,
      });
  });

const pricesShown = z.enum(PRICES_SHOWN.map((one) => one.id));

export const companyName = line('The name', 120).min(1, 'The company needs a name.');
export const legalForm = z.enum(LEGAL_FORM_IDS, 'Choose a legal form.');
export const country = z.string().refine(isCountry, 'Choose a country from the list.');
export const numberStyle = z.enum(NUMBER_STYLES, 'Choose how numbers are written.');

/** What each fact of a company may be. Rules that look at several facts at once are in `changeFact`. */
export const FACT_SCHEMAS = {
  name: companyName,
  tradingName: line('The trading name', 120),
  legalForm,
  country,
  registrationNumber: line('The registration number', 40),
  industry: line('The industry', 120),
  yearNote: lines('The note', 500),
  registeredAddress: lines('The address', 400),
  postalAddress: lines('The address', 400),
  phone: line('The phone number', 40),
  email,
  web,
  contacts: z
    .array(
      z.object({
        name: line('A contact’s name', 80).min(1, 'A contact needs a name.'),
        position: line('A contact’s position', 80),
        email,
        phone: line('The phone number', 40),
      }),
    )
    .max(20, 'Twenty contacts are the most.'),
  purpose: z.enum(PURPOSE_IDS),
  colour: z.enum(COLOURS),
  remark: line('The remark', 60),
  inCharge: line('The name', 80),
  taxRegistered: z.enum(['unknown', 'no', 'yes']),
  taxNumber: line('The tax number', 30),
  taxFrom: maybeDay,
  taxBasis: z.enum(TAX_BASES.map((one) => one.id)),
  taxInterval: z.union(
    TAX_INTERVALS.map((one) => z.literal(one.months)),
    'Choose how often a return is made.',
  ),
  taxFirstEnd: maybeDay,
  parts: z.array(z.enum(PART_IDS)).transform((parts) => PART_IDS.filter((part) => parts.includes(part))),
  customerTerms: terms,
  supplierTerms: terms,
  settlement: z.enum(SETTLEMENTS.map((one) => one.id)),
  ageLimits: z.array(z.number()).transform((days, context): readonly number[] => {
    const read = readLimits(days.join(' '));
    if (read.ok) return read.value;
    context.addIssue({ code: 'custom', message: read.problems[0]?.message ?? '' });
    return z.NEVER;
  }),
  numbering,
  documentNames: z
    .partialRecord(z.enum(DOCUMENT_KINDS.map((one) => one.id)), line('The name of a document', 40))
    // A kind that is called nothing has its usual name.
    .transform((names) => Object.fromEntries(Object.entries(names).filter(([, name]) => name !== '')) as DocumentNames),
  salesPrices: pricesShown,
  purchasePrices: pricesShown,
  paymentNote: lines('What is said of paying', 300),
  priceLevels: z
    .array(line('The name of a price level', 40).min(1))
    .max(12, 'Twelve price levels are the most.')
    .refine(
      (names) => new Set(names.map((name) => name.toLowerCase())).size === names.length,
      'Two price levels have the same name.',
    ),
  analysisLists: z
    .array(line('The name of a list', 40).min(1))
    .min(1, 'One list at least has a name. To have none, switch the part off.')
    .max(3, 'Three lists of analysis codes are the most.')
    .refine(
      (names) => new Set(names.map((name) => name.toLowerCase())).size === names.length,
      'Two lists have the same name.',
    ),
  spans: z.enum(SPAN_RULES.map((one) => one.id)),
  paperSize: z.enum(PAPER_SIZES),
  preprinted: z.boolean(),
  style: numberStyle,
  dates: z.object({
    order: z.enum(['dmy', 'mdy', 'ymd']),
    separator: z.enum([' ', '.', '/', '-']),
    year: z.union([z.literal(2), z.literal(4)]),
    month: z.enum(['name', 'number']),
  }),
} satisfies { readonly [F in FactName]: z.ZodType<CompanyFacts[F]> };
