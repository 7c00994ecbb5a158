import { type Currency, isCurrency } from '../money/currency';
import { folded } from '../base/folded';
import {
  BALANCE,
  CLOSING,
  CODE,
  CREDIT,
  CURRENCY_COLUMN,
  DEBIT,
  ELSEWHEN,
  FOREIGN,
  IN_BASE,
  MOVEMENT,
  NAME,
  NO_MONEY,
  OPENING,
  SIDE_COLUMN,
} from '../words/paper-words';
import { monthOf } from '../words/months';
import { datesIn } from './dates-in';

/** Which moment or span an amount column tells of. Only the closing ones are opening balances of the next books. */
export type Phase = 'opening' | 'movement' | 'closing';

/** What a column's title says, as far as words go. */
export interface Title {
  readonly text: string;
  readonly code: boolean;
  readonly name: boolean;
  readonly side: boolean;
  readonly currency: boolean;
  readonly debit: boolean;
  readonly credit: boolean;
  readonly balance: boolean;
  readonly phase: Phase | undefined;
  /** Of another year, or of a plan. */
  readonly elsewhen: boolean;
  /** A rate, a share, a count. */
  readonly noMoney: boolean;
  readonly foreign: boolean;
  readonly base: boolean;
  /** The last day that it names, ISO, or a year or month alone ("2025", "2025-06"). */
  readonly day: string | undefined;
}

const MOST_TITLE = 60;

const SILENT: Title = {
  text: '',
  code: false,
  name: false,
  side: false,
  currency: false,
  debit: false,
  credit: false,
  balance: false,
  phase: undefined,
  elsewhen: false,
  noMoney: false,
  foreign: false,
  base: false,
  day: undefined,
};

/** A year, or a month of one, that a title names without a day, as the beginning of an ISO date. */
const spanIn = (words: string): string | undefined => {
  const tokens = words.split(' ');
  const [named = '', short = '', ...more] = tokens;
  const ofShort = more.length === 0 && /^[1-4]\d$/.test(short) ? monthOf(named) : undefined;
  if (ofShort !== undefined) return `20${short}-${String(ofShort).padStart(2, '0')}`;
  const year = tokens.find((token) => /^(?:19|20)\d\d$/.test(token));
  if (year === undefined || tokens.length > 4) return undefined;
  const month = tokens.map(monthOf).find((found) => found !== undefined);
  return month === undefined ? year : `${year}-${String(month).padStart(2, '0')}`;
};

/** A part of a year by its number: "Q1", "P12", "Quarter 3", "H2 2025". */
const PART_OF_YEAR =
  /^(?:[qpmhtks]|qtr|quarter|trim\p{L}{0,6}|kv\p{L}{0,6}|period\p{L}{0,2}|week)\s?\d{1,2}(?: (?:19|20)\d\d)?$/u;

export const titleOf = (text: string): Title => {
  const plain = text.replace(/\s+/g, ' ').trim();
  // "OpeningDebitBalance" is three words.
  const words = folded(plain.replace(/(\p{Ll}{2})(\p{Lu}\p{Ll})/gu, '$1 $2'));
  if (plain === '' || plain.length > MOST_TITLE) return { ...SILENT, text: plain };
  // "Name (EN)" is a name whatever stands in the brackets.
  const bare = folded(plain.replace(/\s?\([^()]{1,20}\)$/, ''));
  const [debit, credit] = [DEBIT.in(words), CREDIT.in(words)];
  const side = SIDE_COLUMN.is(words);
  const foreign = FOREIGN.in(words) !== undefined;
  const [opening, movement, closing] = [OPENING.in(words), MOVEMENT.in(words), CLOSING.in(words)];
  // "Closing turnover" is of a span; "ingående balans" has both words and says when.
  const phase: Phase | undefined =
    opening !== undefined && (closing === undefined || opening.length >= closing.length)
      ? 'opening'
      : closing !== undefined
        ? 'closing'
        : movement !== undefined || PART_OF_YEAR.test(words)
          ? 'movement'
          : undefined;
  return {
    text: plain,
    code: CODE.is(words) || CODE.is(bare) || (CODE.in(words) ?? '').length > 4,
    name: NAME.is(words) || NAME.is(bare) || (NAME.in(words) ?? '').length > 5,
    side,
    currency: CURRENCY_COLUMN.is(words),
    debit: !side && debit !== undefined && (credit === undefined || debit.length > credit.length),
    credit: !side && credit !== undefined && (debit === undefined || credit.length > debit.length),
    balance: BALANCE.in(words) !== undefined,
    phase,
    elsewhen: ELSEWHEN.in(words) !== undefined,
    noMoney:
      plain.includes('%') ||
      NO_MONEY.is(words) ||
      ((NO_MONEY.in(words) ?? '').length > 5 && BALANCE.in(words) === undefined),
    foreign,
    base: IN_BASE.in(words) !== undefined,
    day: datesIn(plain).at(-1) ?? spanIn(words),
  };
};

/** Whether a title says anything that tells its column from others. */
export const isTelling = (title: Title): boolean =>
  title.code || title.name || title.side || title.currency || isAmountTitle(title) || title.noMoney;

/** Whether a title stands over amounts. */
export const isAmountTitle = (title: Title): boolean =>
  title.debit ||
  title.credit ||
  title.balance ||
  title.phase !== undefined ||
  title.elsewhen ||
  title.foreign ||
  title.base ||
  title.day !== undefined;

/** The currency of a title like "Balance EUR" or "NOK". */
export const currencyIn = (text: string): Currency | undefined =>
  text
    .split(/[^A-Za-z]+/)
    .map((word) => word.toUpperCase())
    .filter((word) => text.includes(word))
    .find(isCurrency);
