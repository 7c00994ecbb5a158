import { type PlainDate, before } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { dated, say } from '../base/sentence';
import { type Problem, problem, quoted } from '../base/result';

export const TAX_BASES = [
  { id: 'invoice', label: 'by invoice', says: 'tax is due when the document is dated' },
  { id: 'cash', label: 'by cash', says: 'tax is due when the money moves' },
  { id: 'flat-rate', label: 'flat rate', says: 'a percentage of turnover instead of tax charged less tax paid' },
] as const;
export type TaxBasis = (typeof TAX_BASES)[number]['id'];

export const TAX_INTERVALS = [
  { months: 1, label: 'every month' },
  { months: 2, label: 'every two months' },
  { months: 3, label: 'every quarter' },
  { months: 4, label: 'every four months' },
  { months: 6, label: 'every half-year' },
  { months: 12, label: 'every year' },
] as const;
export type TaxInterval = (typeof TAX_INTERVALS)[number]['months'];

export interface ReturnPeriod {
  readonly start: PlainDate;
  readonly end: PlainDate;
}

/** The end of the return period that is `count` intervals after the first one; ends of months stay ends of months. */
const returnEnd = (first: PlainDate, interval: TaxInterval, count: number): PlainDate => {
  const end = first.add({ months: interval * count }, { overflow: 'constrain' });
  return first.day === first.daysInMonth ? end.with({ day: end.daysInMonth }) : end;
};

/**
 * The return periods that touch a span of days, in order, derived from the first return's end: they join without a day
 * between. The first one begins on the day of registration if that lies within two intervals of its end, and none ends before
 * registration.
 */
export const returnPeriods = (
  registration: { readonly from: PlainDate; readonly firstEnd: PlainDate; readonly interval: TaxInterval },
  span: { readonly start: PlainDate; readonly end: PlainDate },
): readonly ReturnPeriod[] => {
  const { from, firstEnd, interval } = registration;
  // A first return may be longer than the others and reach back to the registration; one that reached back further than two
  // of them would be none that anybody files: what lies before it was returned before these books.
  const reach = returnEnd(firstEnd, interval, -2);
  const periods: ReturnPeriod[] = [];
  for (let count = 0; count < 2400; count += 1) {
    const end = returnEnd(firstEnd, interval, count);
    const natural = returnEnd(firstEnd, interval, count - 1).add({ days: 1 });
    const start = count === 0 && before(reach, from) ? from : natural;
    if (before(span.end, start)) break;
    if (!before(end, span.start) && !before(end, start)) periods.push({ start, end });
  }
  return periods;
};

/**
 * The end of the return that contains a day, where returns are counted from January, as most are: proposed as the first one that these
 * books make.
 *
 * @example [returnContaining(plainDate('2026-08-01'), 2).toString(), returnContaining(plainDate('2026-08-01'), 12).toString()] // ['2026-08-31', '2026-12-31']
 */
export const returnContaining = (day: PlainDate, interval: TaxInterval): PlainDate => {
  const month = Math.ceil(day.month / interval) * interval;
  const first = day.with({ day: 1, month });
  return first.with({ day: first.daysInMonth });
};

/** What is wrong with a first return's end beside the day of registration; both `YYYY-MM-DD`, or empty while not answered. */
export const firstReturnProblems = (
  from: IsoDate | '',
  firstEnd: IsoDate | '',
  field = 'taxFirstEnd',
): readonly Problem[] =>
  from !== '' && firstEnd !== '' && firstEnd < from
    ? [
        problem(
          'tax.return-before-registration',
          say`The first return cannot end on ${dated(firstEnd)}, before the registration on ${dated(from)}.`,
          field,
        ),
      ]
    : [];

/**
 * Shapes of VAT numbers after the country's letters. Source: the European Commission's published structure of VAT
 * identification numbers; HMRC for GB; the Norwegian and Swiss registers for NO and CH.
 */
const SHAPES: Readonly<Record<string, RegExp>> = {
  AT: /^U\d{8}$/,
  BE: /^[01]\d{9}$/,
  BG: /^\d{9,10}$/,
  CY: /^\d{8}[A-Z]$/,
  CZ: /^\d{8,10}$/,
  DE: /^\d{9}$/,
  DK: /^\d{8}$/,
  EE: /^\d{9}$/,
  GR: /^\d{9}$/,
  ES: /^(?:[A-Z]\d{7}[A-Z0-9]|\d{8}[A-Z])$/,
  FI: /^\d{8}$/,
  FR: /^[A-HJ-NP-Z0-9]{2}\d{9}$/,
  HR: /^\d{11}$/,
  HU: /^\d{8}$/,
  IE: /^(\d{7}[A-W][A-I]?|\d[A-Z+*]\d{5}[A-W])$/,
  IT: /^\d{11}$/,
  LT: /^(\d{9}|\d{12})$/,
  LU: /^\d{8}$/,
  LV: /^\d{11}$/,
  MT: /^\d{8}$/,
  NL: /^\d{9}B\d{2}$/,
  PL: /^\d{10}$/,
  PT: /^\d{9}$/,
  RO: /^\d{2,10}$/,
  SE: /^\d{12}$/,
  SI: /^\d{8}$/,
  SK: /^\d{10}$/,
  GB: /^(\d{9}|\d{12}|GD[0-4]\d\d|HA[5-9]\d\d)$/,
  NO: /^\d{9}(MVA)?$/,
  CH: /^\d{9}(MWST|TVA|IVA)?$/,
};

/**
 * Letters before the number: the country's own, but for Greece, which writes EL, and Switzerland, whose register writes CHE. A
 * business in Northern Ireland writes XI where it deals with the EU.
 */
const LETTERS: Readonly<Record<string, readonly string[]>> = { GR: ['EL'], CH: ['CHE'], GB: ['GB', 'XI'] };

/** The number as it is compared: capital letters and digits only (a few Irish numbers hold + or *). */
export const bareTaxNumber = (number: string): string => number.toUpperCase().replace(/[^A-Z0-9+*]/g, '');

/**
 * What is wrong with the shape of a tax number. A country without a published shape here takes 4 to 20 letters and digits.
 * The shape alone proves nothing about the number being registered.
 */
export const taxNumberProblems = (number: string, country: string, field = 'taxNumber'): readonly Problem[] => {
  const bare = bareTaxNumber(number);
  const letters = LETTERS[country] ?? [country];
  const shape = SHAPES[country];
  const own = bare.slice(letters.find((one) => bare.startsWith(one))?.length ?? 0);
  if (shape === undefined)
    return /^[A-Z0-9]{4,20}$/.test(bare)
      ? []
      : [
          problem(
            'tax.number-shape',
            `${quoted(number)} is no tax number: between 4 and 20 letters and digits are taken for this country.`,
            field,
          ),
        ];
  return shape.test(own)
    ? []
    : [
        problem(
          'tax.number-shape',
          `${quoted(number)} has not the shape of a tax number of ${country}, such as ${EXAMPLES[country] ?? letters.join(' or ')}. Check it against the certificate of registration.`,
          field,
        ),
      ];
};

/** Invented numbers of the right shape. */
const EXAMPLES: Readonly<Record<string, string>> = {
  AT: 'ATU12345678',
  BE: 'BE0123456789',
  BG: 'BG123456789',
  CY: 'CY12345678X',
  CZ: 'CZ12345678',
  DE: 'DE123456789',
  DK: 'DK12345678',
  EE: 'EE123456789',
  GR: 'EL123456789',
  ES: 'ESX1234567X',
  FI: 'FI12345678',
  FR: 'FRXX123456789',
  HR: 'HR12345678901',
  HU: 'HU12345678',
  IE: 'IE1234567WA',
  IT: 'IT12345678901',
  LT: 'LT123456789',
  LU: 'LU12345678',
  LV: 'LV12345678901',
  MT: 'MT12345678',
  NL: 'NL123456789B01',
  PL: 'PL1234567890',
  PT: 'PT123456789',
  RO: 'RO1234567890',
  SE: 'SE123456789001',
  SI: 'SI12345678',
  SK: 'SK1234567890',
  GB: 'GB123456789',
  NO: '123456789MVA',
  CH: 'CHE-123.456.789 MWST',
};
