import { type Table, textOf } from '../base/table';
import { isCurrency } from '../money/currency';
import { folded } from '../base/folded';
import { MILLIONS, THOUSANDS } from '../words/paper-words';
import { AMOUNT_ROLES, titleRows } from './header';
import type { Reading } from './reading';

/** How many noughts the amounts of a paper are short of. */
export type Scale = 3 | 6;

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

const scaleIn = (text: string): Scale | undefined => {
  if (text === '' || text.length > MOST_TEXT) return undefined;
  const words = folded(text);
  if (MILLIONS.in(words) !== undefined) return 6;
  if (THOUSANDS.in(words) !== undefined) return 3;
  const lettered = LETTERED.exec(text);
  if (lettered !== null) return lettered[1] === undefined ? 6 : 3;
  return countsNoughts(text.trim()) ? 3 : undefined;
};

/**
 * Whether accounts of a paper without its last figures are out by no more than their rounding may leave: half a unit of it for
 * each account. `net` is in minor units of a currency with so many digits.
 */
export const isRounding = (net: bigint, accounts: number, scale: Scale | undefined, digits: number): boolean =>
  scale !== undefined && (net < 0n ? -net : net) * 2n <= BigInt(accounts) * 10n ** BigInt(scale + digits);

/** What the titles of a paper and of its amount columns say its amounts are in; undefined for single units. */
export const statedScale = (
  table: Pick<Table, 'rows' | 'format'>,
  { header, columns }: Pick<Reading, 'header' | 'columns'>,
): Scale | undefined => {
  const own = header < 0 ? [] : (table.rows[header] ?? []).filter((_, at) => AMOUNT_ROLES.has(columns[at] ?? 'ignore'));
  for (const text of [...own, ...titleRows(table, header).flat()].map(textOf)) {
    const found = scaleIn(text);
    if (found !== undefined) return found;
  }
  return undefined;
};
