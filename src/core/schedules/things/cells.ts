import { type DateStyle, writeStyled } from '../../base/date-style';
import { type PlainDate, readStyled } from '../../base/dates';
import { type Result, fail, ok, problem, quoted } from '../../base/result';
import type { Account, AccountId } from '../../chart/account';
import type { SpanRule } from '../../company/facts';
import { type Currency, minorDigits } from '../../money/currency';
import { readEntry } from '../../money/entry';
import { formatMinor } from '../../money/format';
import { type Minor, NIL, add, minor, negate, subtract } from '../../money/minor';
import { type NumberStyle, plainSeparators, readUnsigned, unsignedPattern } from '../../money/number-style';
import { type Decimal, plainRate } from '../../money/rate';
import { divideRounded } from '../../money/rounding';
import { writingOf } from '../../money/writing';
import type { ItemColumn } from '../item-columns';
import type { ItemFields } from '../item';
import { type ThingKind, ownSide } from '../kinds';
import { monthsFrom } from '../life';
import { BESIDE, WORKED_OUT } from './columns';
import {
  DETAILS,
  type DetailField,
  LONGEST_DETAIL,
  amountIn,
  decimalIn,
  methodIn,
  monthsIn,
  withDetail,
} from './detail';
import { METHODS, writtenOff } from './depreciation';
import { shareAfter } from './elapsed';
import { isPrice } from './prices';
import { type Payment, nextPayment, planOf, splitAt } from './loan-plan';

/** What the cells of things are read and written with. */
export interface ThingRules {
  readonly schedule: ThingKind;
  readonly account: Pick<Account, 'classification' | 'contra' | 'currency'>;
  readonly style: NumberStyle;
  readonly dates: DateStyle;
  readonly openingDate: PlainDate;
  /** How what lies across the year end is divided. */
  readonly spans: SpanRule;
}

const own = (amount: Minor, { schedule, account }: Pick<ThingRules, 'schedule' | 'account'>): Minor =>
  ownSide(schedule, account) < 0 ? negate(amount) : amount;

const besideSign = (schedule: ThingKind): 1 | -1 => BESIDE[schedule]?.sign ?? 1;
const turned = (amount: Minor, sign: 1 | -1): Minor => (sign < 0 ? negate(amount) : amount);

/** What the plan of a loan is worked out with. */
type LoanRules = Pick<ThingRules, 'schedule' | 'account' | 'openingDate'>;

/** All that a loan still owes, on its own side. */
const owedOf = (item: ItemFields, rules: LoanRules): Minor => own(add(item.open, item.beside ?? NIL), rules);

/** What an article is worth: quantity times cost, rounded once to a minor unit of its currency, half away from nil. */
export const articleValue = (quantity: Decimal, cost: Decimal, currency: Currency): Minor => {
  const scale = quantity.scale + cost.scale;
  const digits = minorDigits(currency);
  const exact = quantity.coefficient * cost.coefficient;
  return minor(
    scale <= digits ? exact * 10n ** BigInt(digits - scale) : divideRounded(exact, 10n ** BigInt(scale - digits)),
  );
};

/** What an asset should have written off by the opening date; undefined where it does not say enough. A magnitude. */
export const shouldBe = (item: ItemFields, { openingDate, ...rules }: ThingRules): Minor | undefined => {
  const { detail, date } = item;
  const method = methodIn(detail);
  if (date === null && method !== 'none') return undefined;
  return writtenOff(
    {
      cost: own(item.open, { ...rules }),
      residual: amountIn(detail, 'residual') ?? NIL,
      acquired: date ?? openingDate.toString(),
      method,
      life: monthsIn(detail, 'life'),
      rate: decimalIn(detail, 'rate'),
    },
    openingDate,
  );
};

/** The plan of a loan from the opening date on; the problem says what is missing. */
export const planOfItem = (item: ItemFields, rules: LoanRules): Result<readonly Payment[]> => {
  const every = monthsIn(item.detail, 'every');
  const rate = decimalIn(item.detail, 'rate');
  if (item.date === null || every === null || rate === null)
    return fail(
      problem(
        'loan.facts',
        'Its plan needs the day on which it began, the rate, and the months between payments.',
        'every',
      ),
    );
  return planOf({
    owed: owedOf(item, rules),
    rate,
    instalment: amountIn(item.detail, 'instalment'),
    every,
    next: nextPayment(item.date, every, rules.openingDate),
    last: item.due,
  });
};

/** What of an amount over time lies after the opening date, of its own sign; undefined where it does not say enough. */
export const afterOf = (
  item: ItemFields,
  { openingDate, spans }: Pick<ThingRules, 'openingDate' | 'spans'>,
): Minor | undefined => {
  if (item.original === null || item.date === null || item.due === null || item.due < item.date) return undefined;
  const { n, d } = shareAfter({ from: item.date, to: item.due }, openingDate, spans);
  return minor(divideRounded(item.original * n, d));
};

/** A loan with its amount divided by its plan, where part of it stands on another account. */
export const dividedLoan = (item: ItemFields, owed: Minor, rules: LoanRules): ItemFields => {
  const whole = { ...item, open: own(owed, rules), beside: null };
  if (item.besideAccount === null) return whole;
  const plan = planOfItem(whole, rules);
  if (!plan.ok) return whole;
  const { within, after } = splitAt(plan.value, rules.openingDate);
  return { ...item, open: own(after, rules), beside: own(within, rules) };
};

/** An item whose second amount stands on another account from now on; a loan is divided anew. */
export const movedBeside = (item: ItemFields, to: AccountId | null, rules: ThingRules): ItemFields => {
  const moved = { ...item, besideAccount: to };
  return rules.schedule === 'loan' ? dividedLoan(moved, owedOf(item, rules), rules) : moved;
};

const amountText = (amount: Minor | null, currency: Currency, style: NumberStyle): string => {
  if (amount === null || amount === 0n) return '';
  const text = formatMinor(amount < 0n ? -amount : amount, minorDigits(currency), style);
  return amount < 0n ? `(${text})` : text;
};

const decimalText = (value: Decimal, style: NumberStyle, dates: DateStyle): string => {
  const plain = plainRate(value.coefficient < 0n ? { ...value, coefficient: -value.coefficient } : value);
  return `${value.coefficient < 0n ? '-' : ''}${writingOf({ style, dates }).number(plain)}`;
};

/** A decimal with so many decimals at least. */
const atLeast = ({ coefficient, scale }: Decimal, digits: number): Decimal =>
  scale >= digits
    ? { coefficient, scale }
    : { coefficient: coefficient * 10n ** BigInt(digits - scale), scale: digits };

const isDetail = (column: ItemColumn): column is DetailField & ItemColumn => column in DETAILS;

/** What a cell shows. Amounts are on the schedule's own side; what is against it stands in brackets. */
export const thingText = (item: ItemFields, column: ItemColumn, rules: ThingRules): string | undefined => {
  const money = (amount: Minor | null): string => amountText(amount, item.currency, rules.style);
  if (isDetail(column)) {
    const text = item.detail[column];
    if (text === undefined) return '';
    switch (DETAILS[column]) {
      case 'amount':
        return money(amountIn(item.detail, column));
      case 'decimal': {
        const value = decimalIn(item.detail, column);
        if (value === null) return '';
        // Prices stand in line: with two decimals at least.
        const priced = column === 'cost' || column === 'nominal' || isPrice(column);
        return decimalText(priced ? atLeast(value, 2) : value, rules.style, rules.dates);
      }
      case 'day':
        return writeStyled(text, rules.dates);
      case 'method':
        return METHODS.find(({ id }) => id === text)?.label ?? '';
      default:
        return text;
    }
  }
  return AMOUNTS.has(column) ? money(thingAmount(item, column, rules)) : undefined;
};

const AMOUNTS: ReadonlySet<ItemColumn> = new Set(['open', 'original', 'beside', 'owed', 'net', 'should', 'gone']);

/** The amount of a column, on the schedule's own side; null where there is none. */
export const thingAmount = (item: ItemFields, column: ItemColumn, rules: ThingRules): Minor | null => {
  if (isDetail(column)) return amountIn(item.detail, column);
  switch (column) {
    case 'open':
      return own(item.open, rules);
    case 'original':
      return item.original === null ? null : own(item.original, rules);
    case 'beside':
      return item.beside === null ? null : turned(own(item.beside, rules), besideSign(rules.schedule));
    case 'owed':
      return owedOf(item, rules);
    case 'net':
      return own(add(item.open, item.beside ?? NIL), rules);
    case 'should':
      return shouldBe(item, rules) ?? null;
    case 'gone':
      return item.original === null ? null : own(subtract(item.original, item.open), rules);
    default:
      return null;
  }
};

const readDecimal = (text: string, style: NumberStyle, column: ItemColumn): Result<string> => {
  const plain = plainSeparators(text).replace(/\s?%$/, '').trim();
  const bare = plain.replace(/^-/, '');
  if (!new RegExp(`^${unsignedPattern(style)}$`).test(bare))
    return fail(
      problem('item.number', `${quoted(text)} is no number. These books write numbers like ${style}.`, column),
    );
  const { coefficient, scale } = readUnsigned(bare, style);
  if (scale > 8 || String(coefficient).length > 14)
    return fail(problem('item.number', `${quoted(text)} has more digits than are kept here.`, column));
  return ok(`${plain.startsWith('-') && coefficient !== 0n ? '-' : ''}${plainRate({ coefficient, scale })}`);
};

const readMonths = (text: string, column: ItemColumn): Result<string> => {
  const months = monthsFrom(text, 'months');
  return months === undefined
    ? fail(problem('item.months', `${quoted(text)} is no number of months. Type 60, or 5 years.`, column))
    : ok(String(months));
};

const typedDetail = (text: string, column: DetailField, item: ItemFields, rules: ThingRules): Result<string | null> => {
  if (text === '') return ok(null);
  switch (DETAILS[column]) {
    case 'amount': {
      const read = readEntry(
        text,
        'debit',
        { code: item.currency, digits: minorDigits(item.currency) },
        rules.style,
        column,
      );
      return read.ok ? ok(read.value.kind === 'blank' ? null : String(read.value.amount)) : read;
    }
    case 'decimal':
      return readDecimal(text, rules.style, column);
    case 'months':
      return readMonths(text, column);
    case 'day': {
      const read = readStyled(text, rules.dates, column);
      return read.ok ? ok(read.value.toString()) : read;
    }
    case 'method': {
      const folded = text.toLowerCase();
      const found = METHODS.find(({ id, label }) => id === folded || label.toLowerCase().startsWith(folded));
      return found === undefined
        ? fail(problem('item.method', `${quoted(text)} is no method: straight line, reducing balance or none.`, column))
        : ok(found.id);
    }
    case 'code':
      // Read by `analysis.ts`, which knows the lists.
      return ok(item.detail[column] ?? null);
    case 'text':
      return ok(text.slice(0, LONGEST_DETAIL));
  }
};

/** What follows from what was typed: an article's value, what of an amount lies after the opening date, how a loan divides. */
const worked = (before: ItemFields, item: ItemFields, column: ItemColumn, rules: ThingRules): ItemFields => {
  switch (rules.schedule) {
    case 'stock': {
      const [quantity, cost] = [decimalIn(item.detail, 'quantity'), decimalIn(item.detail, 'cost')];
      return (column === 'quantity' || column === 'cost') && quantity !== null && cost !== null
        ? { ...item, open: own(articleValue(quantity, cost, item.currency), rules) }
        : item;
    }
    case 'span': {
      if (column !== 'original' && column !== 'date' && column !== 'due') return item;
      const [was, now] = [afterOf(before, rules), afterOf(item, rules)];
      return now !== undefined && (before.open === 0n || before.open === was) ? { ...item, open: now } : item;
    }
    case 'loan':
      return column === 'beside' || column === 'note' || column === 'number'
        ? item
        : dividedLoan(item, owedOf(item, rules), rules);
    case 'holders': {
      const [shares, nominal] = [decimalIn(item.detail, 'shares'), decimalIn(item.detail, 'nominal')];
      return (column === 'shares' || column === 'nominal') && before.open === 0n && shares !== null && nominal !== null
        ? { ...item, open: own(articleValue(shares, nominal, item.currency), rules) }
        : item;
    }
    case 'assets':
    case 'tax':
      return item;
  }
};

/** An item with one of the columns that only things have typed otherwise; undefined for columns that all items have. */
export const typedThing = (
  item: ItemFields,
  column: ItemColumn,
  typed: string,
  rules: ThingRules,
): Result<ItemFields> | undefined => {
  const text = typed.trim();
  const amount = (): Result<Minor | null> => {
    const read = readEntry(
      text,
      'debit',
      { code: item.currency, digits: minorDigits(item.currency) },
      rules.style,
      column,
    );
    return read.ok ? ok(read.value.kind === 'blank' ? null : read.value.amount) : read;
  };
  const done = (next: ItemFields): Result<ItemFields> => ok(worked(item, next, column, rules));
  if (WORKED_OUT.has(column)) return ok(item);
  if (isDetail(column)) {
    const read = typedDetail(text, column, item, rules);
    return read.ok ? done({ ...item, detail: withDetail(item.detail, column, read.value) }) : read;
  }
  switch (column) {
    case 'owed':
    case 'open': {
      const read = amount();
      if (!read.ok) return read;
      const value = read.value ?? NIL;
      if (rules.schedule !== 'loan') return done({ ...item, open: own(value, rules) });
      // Of a loan one types what is owed, or what of it falls due within a year: the rest follows.
      return column === 'owed' ? ok(dividedLoan(item, value, rules)) : ok({ ...item, open: own(value, rules) });
    }
    case 'original': {
      const read = amount();
      if (!read.ok) return read;
      return done({ ...item, original: read.value === null ? null : own(read.value, rules) });
    }
    case 'beside': {
      const read = amount();
      if (!read.ok) return read;
      const beside = read.value === null ? null : own(turned(read.value, besideSign(rules.schedule)), rules);
      if (rules.schedule !== 'loan') return ok({ ...item, beside });
      const owed = add(item.open, item.beside ?? NIL);
      return ok({ ...item, beside, open: subtract(owed, beside ?? NIL) });
    }
    case 'date':
    case 'due': {
      if (text === '') return done({ ...item, [column]: null });
      const read = readStyled(text, rules.dates, column);
      return read.ok ? done({ ...item, [column]: read.value.toString() }) : read;
    }
    default:
      return undefined;
  }
};
