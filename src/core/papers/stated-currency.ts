import { type Currency, isCurrency } from '../money/currency';
import { currenciesOfMark } from '../money/marks';
import { type Table, textOf } from '../base/table';
import { folded } from '../base/folded';
import { AMOUNT_ROLES, titleRows } from './header';
import { commonCurrency } from './layout';
import type { Reading } from './reading';
import { sampleOf } from './survey';

/** Names of currencies as lists write them, folded; the longest that a text has counts. */
const NAMES: readonly (readonly [currency: Currency, names: string])[] = [
  ['EUR', 'euro, euros, euroa, evro, evra, евро, ευρω, eura, eurai, eiro, eurot'],
  ['GBP', 'pounds sterling, sterling, pound sterling, british pounds'],
  ['USD', 'us dollars, u s dollars, us dollar, american dollars, dollars americains, dolares estadounidenses'],
  ['CAD', 'canadian dollars, canadian dollar, dollars canadiens, dollar canadien'],
  ['AUD', 'australian dollars, australian dollar'],
  ['NZD', 'new zealand dollars, nz dollars'],
  ['CHF', 'swiss francs, schweizer franken, francs suisses, franchi svizzeri, franken, sfr'],
  ['SEK', 'svenska kronor, kronor, swedish kronor'],
  ['NOK', 'norske kroner, norwegian kroner'],
  ['DKK', 'danske kroner, danish kroner'],
  ['ISK', 'islenskar kronur, kronur, kronum'],
  ['PLN', 'zlotych, zlote, zloty, zlotowki, zl, polskich zlotych'],
  ['CZK', 'ceskych korun, korun ceskych, koruny ceske, v kc, kc'],
  ['HUF', 'forint, forintban, ft ban, ft, eft, huf ban'],
  ['RON', 'lei, leu, ron'],
  ['BGN', 'лева, лв, левове, хил лв'],
  ['RSD', 'динара, динарима, rsd dinara, dinara, dinarima'],
  ['TRY', 'turk lirasi, lira, tl, try'],
  ['RUB', 'рублях, рублей, рубли, руб, тыс руб'],
  ['UAH', 'гривнях, гривень, гривні, грн'],
  ['JPY', 'japanese yen, yen, 日本円, 単位 円, 円'],
  ['CNY', '人民币, 人民币元, renminbi, 元'],
  ['KRW', '원, 원화, korean won'],
  ['INR', 'indian rupees, rupees, in rs'],
  ['ZAR', 'south african rand, rand'],
  ['BRL', 'reais, em reais'],
  ['MXN', 'pesos mexicanos'],
];

const UNSPACED = /[\p{sc=Han}\p{sc=Hangul}]/u;

/** The currency that a text names: by its code in capitals, else by its name. */
const namedIn = (text: string): Currency | undefined => {
  if (text.length > 300) return undefined;
  const capitals = text === text.toUpperCase();
  const code = text
    .split(/[^\p{L}]+/u)
    .map((word) => IN_THOUSANDS.exec(word)?.[1] ?? word)
    .filter(isCurrency)
    .find((word) => !(capitals && LIKE_WORDS.has(word)));
  if (code !== undefined) return code;
  // "Owed to us" names no currency.
  if (/\bUS\s?\$/.test(text)) return 'USD';
  // "TL-1" is a number of something.
  const words = ` ${folded(text.replace(NUMBERED, ' '))} `;
  let best: { readonly currency: Currency; readonly length: number } | undefined;
  for (const [currency, names] of NAMES)
    for (const name of names.split(', ').map(folded)) {
      if (name === '' || !words.includes(UNSPACED.test(name) ? name : ` ${name} `)) continue;
      if (best === undefined || name.length > best.length) best = { currency, length: name.length };
    }
  return best?.currency;
};

const NUMBERED = /\p{L}{1,4}-\d+/gu;

/** A currency behind the letter of its thousands or millions: "TEUR", "MSEK". */
const IN_THOUSANDS = /^[TKMk](EUR|USD|GBP|CHF|SEK|NOK|DKK|ISK|PLN|CZK|HUF|RON|JPY|AUD|CAD|NZD)$/;

/** Codes of ISO 4217 that are words when a title is written in capitals. */
const LIKE_WORDS = new Set([
  'ALL',
  'TOP',
  'TRY',
  'MOP',
  'CUP',
  'BAM',
  'LAK',
  'SOS',
  'PEN',
  'GEL',
  'COP',
  'MAD',
  'CUC',
  'ANG',
  'LEI',
  'DOP',
  'SAR',
]);

/** A currency's mark beside a figure, or in front of it. */
const MARK = /^[-+(]?\s?(\p{L}{0,3}\p{Sc}|\p{L}{1,3}\.?)\s?[-(]?\d|\d\)?\s?(\p{L}{0,2}\p{Sc}|\p{L}{1,3}\.?)\)?-?$/u;

const MOST_LOOKED_AT = 60;
/** Remarks about the whole stand in so many rows at the end. */
const MOST_NOTES = 5;

/**
 * The currency of a paper's amounts, ISO 4217: what its title, its header or its currency column says, else the mark beside its
 * figures where that is of one currency only. Undefined where the paper does not say.
 */
export const statedCurrency = (
  tables: readonly Table[],
  reading: Pick<Reading, 'sheet' | 'header' | 'columns'>,
): Currency | undefined => {
  const table = tables[reading.sheet];
  if (table === undefined) return undefined;
  const { header, columns } = reading;
  const sample = sampleOf(table.rows, header + 1);
  const amounts = columns.flatMap((role, at) => (AMOUNT_ROLES.has(role) ? [at] : []));
  const titles = header < 0 ? [] : amounts.map((at) => textOf(table.rows[header]?.[at]));
  const own = titles.flatMap((title) => namedIn(title) ?? [])[0];
  if (own !== undefined) return own;
  const top = titleRows(table, header).map((row) => row.map(textOf).join('  '));
  const named = top.flatMap((line) => namedIn(line) ?? [])[0];
  const column = columns.indexOf('currency');
  const common = column < 0 ? undefined : commonCurrency(sample, column);
  const found = named ?? common;
  if (found !== undefined) return found;
  const marks = new Set<string>();
  for (const row of sample.slice(0, MOST_LOOKED_AT))
    for (const at of amounts) {
      const text = textOf(row[at]);
      const [, before, after] = (text.length > 40 ? null : MARK.exec(text)) ?? [];
      const mark = before ?? after;
      if (mark !== undefined) marks.add(mark);
    }
  const may = [...marks].map(currenciesOfMark).filter((list) => list.length > 0);
  const [first] = may;
  if (first?.length === 1 && may.every((list) => first[0] !== undefined && list.includes(first[0]))) return first[0];
  // What is said below the figures may say what they are in: "All amounts in SEK."
  const notes = table.rows.slice(Math.max(header + 1, table.rows.length - MOST_NOTES)).flatMap((row) => {
    const [text = '', ...others] = row.map(textOf).filter((one) => one !== '');
    return others.length === 0 && text.includes(' ') ? [text] : [];
  });
  return may.length === 0 ? notes.flatMap((note) => namedIn(note) ?? [])[0] : undefined;
};
