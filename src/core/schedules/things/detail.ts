import { type IsoDate } from '../../base/iso-date';
import { asIsoDate, isIsoDate } from '../../base/dates';
import { type Problem, problem, quoted } from '../../base/result';
import { type Minor, minor } from '../../money/minor';
import { type Decimal, decimalOf } from '../../money/rate';
import { METHODS, type Method } from './depreciation';

/**
 * What items of some schedules have beside what all have, and how each is kept as text: an amount in minor units of the item's currency,
 * a plain decimal, a day as ISO, a whole number of months, the id of a code, or words.
 */
export const DETAILS = {
  method: 'method',
  life: 'months',
  rate: 'decimal',
  residual: 'amount',
  disposed: 'day',
  category: 'text',
  unit: 'text',
  quantity: 'decimal',
  cost: 'decimal',
  place: 'text',
  price: 'decimal',
  price2: 'decimal',
  price3: 'decimal',
  price4: 'decimal',
  price5: 'decimal',
  price6: 'decimal',
  price7: 'decimal',
  price8: 'decimal',
  price9: 'decimal',
  price10: 'decimal',
  price11: 'decimal',
  price12: 'decimal',
  instalment: 'amount',
  every: 'months',
  shares: 'decimal',
  nominal: 'decimal',
  /** Codes of the company's lists of analysis codes, by their ids. */
  analysis1: 'code',
  analysis2: 'code',
  analysis3: 'code',
} as const;
export type DetailField = keyof typeof DETAILS;

/** Absent where nothing is said. */
export type Detail = Readonly<Partial<Record<DetailField, string>>>;

export const DETAIL_FIELDS = Object.keys(DETAILS) as [DetailField, ...DetailField[]];
export const NO_DETAIL: Detail = {};

/** Longer words are none of a cell. */
export const LONGEST_DETAIL = 120;
const DECIMAL = /^-?\d{1,14}(?:\.\d{1,8})?$/;
const AMOUNT = /^-?\d{1,17}$/;
const CODE = /^[1-9]\d{0,8}$/;
const MONTHS = /^[1-9]\d{0,3}$/;

/** Whether a text can be kept as it is. */
export const isKept = (field: DetailField, text: string): boolean => {
  switch (DETAILS[field]) {
    case 'amount':
      return AMOUNT.test(text);
    case 'decimal':
      return DECIMAL.test(text);
    case 'months':
      return MONTHS.test(text);
    case 'code':
      return CODE.test(text);
    case 'day':
      return isIsoDate(text);
    case 'method':
      return METHODS.some(({ id }) => id === text);
    case 'text':
      return text.length <= LONGEST_DETAIL;
  }
};

/** Why something that an item has beside cannot be kept. */
export const detailProblems = (detail: Detail): readonly Problem[] =>
  (Object.entries(detail) as [DetailField, string][]).flatMap(([field, text]) =>
    isKept(field, text) ? [] : [problem('item.detail', `${quoted(text)} cannot be kept as it is.`, field)],
  );

export const amountIn = (detail: Detail, field: DetailField): Minor | null => {
  const text = detail[field];
  return text === undefined ? null : minor(BigInt(text));
};

/** A plain decimal of either sign. */
export const decimalIn = (detail: Detail, field: DetailField): Decimal | null => {
  const text = detail[field];
  if (text === undefined) return null;
  const read = decimalOf(text.replace('-', ''));
  return text.startsWith('-') ? { ...read, coefficient: -read.coefficient } : read;
};

export const monthsIn = (detail: Detail, field: DetailField): number | null =>
  detail[field] === undefined ? null : Number(detail[field]);

/** A day; null where none is kept. */
export const dayIn = (detail: Detail, field: DetailField): IsoDate | null => asIsoDate(detail[field] ?? '') ?? null;

export const methodIn = (detail: Detail): Method =>
  METHODS.find(({ id }) => id === detail.method)?.id ??
  (detail.rate !== undefined && detail.life === undefined ? 'reducing' : 'straight-line');

/** An item's detail with one thing said otherwise; null says nothing of it. */
export const withDetail = (detail: Detail, field: DetailField, value: string | null): Detail => {
  const { [field]: _, ...rest } = detail;
  return value === null || value === '' ? rest : { ...rest, [field]: value };
};
