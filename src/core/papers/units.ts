import { isCurrency } from '../money/currency';
import { type Row, textOf } from '../base/table';
import { folded } from '../base/folded';
import { MILLIONS, THOUSANDS } from '../words/paper-words';

/** How many noughts the amounts of a list are short of: in thousands, in millions. */
export type Noughts = 3 | 6;

/** The same of a paper, whose amounts may also be in hundredths, which are two decimals too many. */
export type Scale = -2 | Noughts;

/** Noughts that count something, and are no amount: what stands before them, and behind. */
const NOUGHTS =
  /^(?:.*[\s(/])?(\p{Sc}|\p{L}{2,4}\.?|[x×*])?\s?(['’]?)(1[.,'\u00a0 ]?)?000(?:(s)|\s?(\p{Sc}|\p{L}{2,4}\.?))?\s?(\)?)$/u;
const MONEY = new Set(['kr', 'kr.', 'ft', 'zl', 'zł', 'kc', 'kč', 'lei', 'euro', 'tl', 'usd', 'sek']);
const isMoney = (word: string | undefined): boolean =>
  word !== undefined && (/^\p{Sc}$/u.test(word) || isCurrency(word) || MONEY.has(word.toLowerCase()));

/** "£000", "€ ’000", "(000s)", "x 1.000", "1 000 kr": a code or a year that ends in noughts says nothing of the kind. */
const countsNoughts = (text: string): boolean => {
  const found = NOUGHTS.exec(text);
  if (found === null) return false;
  const [, before, mark, one, plural, behind, closed] = found;
  if (isMoney(before) || isMoney(behind) || /^[x×*]$/.test(before ?? '')) return true;
  return (
    before === undefined &&
    behind === undefined &&
    one === undefined &&
    (mark !== '' || plural !== undefined || closed !== '')
  );
};

/** "TEUR", "k€", "tkr", "MSEK": a letter before a currency. */
const LETTERED =
  /(?:^|[\s(/])(?:(k|K|t|T)|(m|M|Mio\.? ?|mn ?))(?:EUR|USD|GBP|CHF|SEK|NOK|DKK|ISK|PLN|CZK|HUF|RON|TRY|JPY|AUD|CAD|NZD|eur|sek|kr|€|£|\$)(?![\p{L}\d])/u;

const MOST_TEXT = 200;

/** The noughts that a text says amounts are written without. */
export const scaleIn = (text: string): Noughts | undefined => {
  if (text === '' || text.length > MOST_TEXT) return undefined;
  const words = folded(text);
  if (MILLIONS.in(words) !== undefined) return 6;
  if (THOUSANDS.in(words) !== undefined) return 3;
  const lettered = LETTERED.exec(text);
  if (lettered !== null) return lettered[1] === undefined ? 6 : 3;
  return countsNoughts(text.trim()) ? 3 : undefined;
};

/** No unit is said in more characters. */
const MOST_UNIT = 14;

/**
 * Whether a row says nothing but what the amounts below it are in, as a line under the titles does: "£'000" over each column.
 *
 * @example isUnitRow(['', 'EUR', 'EUR']) // true
 */
export const isUnitRow = (row: Row): boolean => {
  const filled = row.map(textOf).filter((text) => text !== '');
  return (
    filled.length > 0 &&
    filled.every(
      (text) =>
        text.length <= MOST_UNIT &&
        (isMoney(text.replace(/^[([]|[)\]]$/g, '').trim()) || (!/[1-9]/.test(text) && scaleIn(text) !== undefined)),
    )
  );
};
