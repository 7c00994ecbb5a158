import { type Row, textOf } from '../files/cells';
import { folded } from '../words/folded';
import { MILLIONS, THOUSANDS } from '../words/paper-words';
import { AMOUNT_ROLES, titleRows } from './header';
import type { Reading } from './reading';

/** How many noughts the amounts of a paper are short of. */
export type Scale = 3 | 6;

/** "£000", "€ ’000", "(000s)", "x 1.000", "1 000 kr": noughts that count something, and are no amount. */
const NOUGHTS =
  /(?:^|[\s(/])(?:\p{Sc}|[A-Z]{3}|[x×*])?\s?['’]?(?:1[.,'\u00a0 ]?)?000s?(?:\s?(?:\p{Sc}|\p{L}{2,3}\.?))?\s?\)?$/u;
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
  return NOUGHTS.test(text.replace(/(?:19|20)\d\d|\d{1,2}[./-]\d{1,2}[./-]\d{2,4}/g, '')) ? 3 : undefined;
};

/** What the titles of a paper and of its amount columns say its amounts are in; undefined for single units. */
export const statedScale = (
  rows: readonly Row[],
  { header, columns }: Pick<Reading, 'header' | 'columns'>,
): Scale | undefined => {
  const own = header < 0 ? [] : (rows[header] ?? []).filter((_, at) => AMOUNT_ROLES.has(columns[at] ?? 'ignore'));
  for (const text of [...own, ...titleRows(rows, header).flat()].map(textOf)) {
    const found = scaleIn(text);
    if (found !== undefined) return found;
  }
  return undefined;
};
