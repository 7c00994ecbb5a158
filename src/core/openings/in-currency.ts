import type { Account } from '../chart/account';
import { type Currency, isCurrency, minorDigits } from '../money/currency';
import { type Conversion, convert } from '../money/convert';
import { readEntry } from '../money/entry';
import { formatMinor } from '../money/format';
import { type Minor, NIL, type Side, abs, add, subtract, sum } from '../money/minor';
import type { NumberStyle } from '../money/number-style';
import { type Problem, type Result, fail, ok, problem, quoted } from '../base/result';
import { type Part, compared } from './foreign';

/** Whether an account may have amounts in foreign currencies: it is kept in one, or it is a control account, which takes several. */
export const takesForeign = ({ currency, role }: Pick<Account, 'currency' | 'role'>, base: Currency): boolean =>
  currency === null ? role === 'receivables-control' || role === 'payables-control' : currency !== base;

/** A figure with what of it is in foreign currencies; what its parts leave of it is in base currency. */
export interface Value {
  readonly amount: Minor | null;
  readonly parts: readonly Part[];
}

/**
 * @example sameParts([], [{ currency: 'NOK', amount: minor(1n), base: null }]) // false
 */
export const sameParts = (a: readonly Part[], b: readonly Part[]): boolean =>
  a.length === b.length &&
  a.every((part) =>
    b.some((other) => other.currency === part.currency && other.amount === part.amount && other.base === part.base),
  );

/** The parts of two figures that become one. */
export const joinedParts = (a: readonly Part[], b: readonly Part[]): readonly Part[] =>
  [...new Set([...a, ...b].map(({ currency }) => currency))].map((currency): Part => {
    const own = [...a, ...b].filter((part) => part.currency === currency);
    return { currency, amount: sum(own.map(({ amount }) => amount)), base: sum(own.map(({ base }) => base)) };
  });

/**
 * The parts of a figure that becomes another amount of base currency. Where the account is kept in one foreign currency
 * (`own`), all of its figure is in it, so its part is worth what the figure is. A figure that is taken away has no parts.
 */
export const partsUnder = (parts: readonly Part[], amount: Minor | null, own: string | null): readonly Part[] => {
  if (amount === null) return [];
  const [part] = parts;
  return part !== undefined && parts.length === 1 && part.currency === own && part.base !== amount
    ? [{ ...part, base: amount }]
    : parts;
};

/**
 * The figure whose parts become these. Of an account kept in one foreign currency it is what the part is worth. Elsewhere the
 * part in base currency stays as it was: a part that changes moves the figure, a new one is taken out of a figure that is
 * there already, one that goes falls back to it.
 */
export const withParts = (was: Value, parts: readonly Part[], own: string | null): Value => {
  const worth = sum(parts.map(({ base }) => base));
  if (parts.length === 0) return { ...was, parts };
  if (own !== null || was.amount === null) return { amount: worth, parts };
  const moved = parts.map((part) => {
    const before = was.parts.find(({ currency }) => currency === part.currency);
    return before === undefined ? NIL : subtract(part.base, before.base);
  });
  return { amount: add(was.amount, sum(moved)), parts };
};

/** What is wrong with a figure's parts: `own` is the foreign currency in which its account is kept, `on` those that are switched on. */
export const partsProblem = (own: string | null, value: Value, on: readonly string[]): Problem | undefined => {
  const currencies = value.parts.map(({ currency }) => currency);
  const field = 'currency';
  if (new Set(currencies).size < currencies.length)
    return problem('foreign.twice', 'A currency is named twice; put its amounts together.', field);
  if (own !== null && currencies.some((one) => one !== own))
    return problem('foreign.other', `This account is kept in ${own} and takes no other currency.`, field);
  const unknown = currencies.find((one) => !on.includes(one));
  if (unknown !== undefined)
    return problem('foreign.off', `${unknown} is not switched on. Switch it on on the Currencies page first.`, field);
  return own !== null && value.parts.some(({ base }) => base !== value.amount)
    ? problem('foreign.worth', `All of this account is in ${own}, so its figure is what that is worth.`, field)
    : undefined;
};

/** A rate for translating, with the day that it is of (ISO). */
export interface DatedRate {
  readonly how: Conversion;
  readonly of: string;
}

/** What a figure becomes, and by what where nobody typed its base amount. */
export interface Translated extends Value {
  readonly why?: string;
}

/** Said in the history of a figure whose base amount follows the rate. */
export const byRate = (currency: Currency, { of }: Pick<DatedRate, 'of'>): string => `${currency} at the rate of ${of}`;

/**
 * A figure whose amount in one currency is typed (null: none). The base amount follows the rate of the opening date as long
 * as nobody gave another: where there was no amount in currency yet and no figure to take for its worth, or where it was
 * what the rate makes of it. One that was given stays, and the two imply a rate.
 */
export const typedForeign = (
  was: Value,
  currency: Currency,
  amount: Minor | null,
  own: string | null,
  rate: DatedRate | undefined,
): Result<Translated> => {
  const before = was.parts.find((part) => part.currency === currency);
  const others = was.parts.filter((part) => part !== before);
  if (amount === null) return ok(withParts(was, others, own));
  const given =
    before === undefined
      ? own !== null && was.amount !== null && was.amount !== 0n
        ? was.amount
        : undefined
      : rate !== undefined && convert(before.amount, rate.how) === before.base
        ? undefined
        : before.base;
  if (given !== undefined) return ok(withParts(was, [...others, { currency, amount, base: given }], own));
  if (rate === undefined) return noRate(currency);
  const base = convert(amount, rate.how);
  return ok({ ...withParts(was, [...others, { currency, amount, base }], own), why: byRate(currency, rate) });
};

/**
 * Parts as a person gives them, with base amounts or without. Without one, or where all shall be at the rate, a part is worth
 * what the rate of the opening date makes of it; `left` is what the given base amounts then come to beyond that.
 */
export const translatedParts = (
  wanted: readonly (Omit<Part, 'base'> & { readonly base: Minor | null })[],
  allAtRate: boolean,
  rateOf: (currency: Currency) => DatedRate | undefined,
): Result<{ readonly parts: readonly Part[]; readonly left: Minor; readonly why?: string }> => {
  const parts: Part[] = [];
  const by: string[] = [];
  let left: Minor = NIL;
  for (const { currency, amount, base } of wanted) {
    if (base !== null && !allAtRate) {
      parts.push({ currency, amount, base });
      continue;
    }
    const rate = rateOf(currency);
    if (rate === undefined) return noRate(currency);
    const { translated, difference } = compared({ amount, base: base ?? NIL }, rate.how);
    parts.push({ currency, amount, base: translated });
    by.push(byRate(currency, rate));
    if (base !== null) left = add(left, difference);
  }
  return ok({ parts, left, ...(by.length === 0 ? {} : { why: by.join(', ') }) });
};

const noRate = (currency: Currency): Result<never> =>
  fail(
    problem(
      'foreign.no-rate',
      `There is no ${currency} rate near the opening date. Enter one on the Currencies page, or type the amount in base currency first.`,
    ),
  );

/**
 * What is typed into the cell for the amount in currency: an amount with or without its currency's code ("1,000", "USD
 * 1,000", "1000 usd cr"). `usual` is the currency meant where none is named.
 */
export const readForeign = (
  text: string,
  usual: Currency | undefined,
  switchedOn: readonly Currency[],
  side: Side,
  style: NumberStyle,
): Result<{ readonly currency: Currency | ''; readonly amount: Minor | null }> => {
  const named = [...text.matchAll(/\p{L}{3}/gu)].map(([word]) => word.toUpperCase()).find(isCurrency);
  const currency = named ?? usual;
  const plain = named === undefined ? text : text.replace(new RegExp(named, 'i'), ' ');
  if (currency === undefined)
    return text.trim() === ''
      ? ok({ currency: '', amount: null })
      : fail(
          problem(
            'foreign.which',
            `Say in which currency: ${switchedOn.map((code) => `“${code} ${text.trim()}”`).join(' or ')}.`,
          ),
        );
  if (!switchedOn.includes(currency))
    return fail(
      problem('foreign.off', `${quoted(currency)} is not switched on. Switch it on on the Currencies page first.`),
    );
  const read = readEntry(plain, side, { code: currency, digits: minorDigits(currency) }, style);
  if (!read.ok) return read;
  return ok({ currency, amount: read.value.kind === 'blank' ? null : read.value.amount });
};

/** "NOK 1,000.00", with the side only where it is not the figure's: what the column for amounts in currency shows. */
export const writtenParts = ({ amount, parts }: Value, style: NumberStyle): string =>
  parts
    .map((part) => {
      const apart = amount !== null && amount !== 0n && part.amount !== 0n && part.amount > 0n !== amount > 0n;
      return `${part.currency} ${formatMinor(abs(part.amount), minorDigits(part.currency), style)}${apart ? (part.amount > 0n ? ' Dr' : ' Cr') : ''}`;
    })
    .join(', ');
