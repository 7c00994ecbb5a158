import { folded } from '../base/folded';
import { lexicon } from '../words/lexicon';

/** Lives given in months. */
export const IN_MONTHS = lexicon(
  'months, month, mths, mth, mo, m, monate, monat, mon, mois, meses, mes, mesi, mese, maanden, maand, mnd, miesiecy, miesiace, miesiac, mies, liczba miesiecy, mesicu, mesice, mesic, mes, honap, ho, manader, man, mdr, maneder, kuukautta, kuukausi, kk, luni, luna, μηνες, μηνων, ay, ayi, 月, ヶ月, か月, 个月',
);
const IN_YEARS = lexicon(
  'years, year, yrs, yr, y, jahre, jahr, j, ans, an, annees, a, anos, ano, anni, anno, jaar, jaren, lat, lata, rok, roky, roku, let, r, ev, evek, ar, vuotta, v, ani, ετη, yil, 年',
);

const LIFE = /^(\d{1,4})(?:[.,](\d{1,2}))?\s*(\p{L}*)\.?$/u;
/** "5/6", "5Y 6M": five years and six months. */
const YEARS_MONTHS = /^0?(\d{1,2})(?:\s?[/;:]\s?|\s?(?:y|yr|yrs|years?)\s?)0?(\d{1,2})(?:\s?(?:m|mo|mths?|months?))?$/i;
const MOST_MONTHS = 9999;

/**
 * A life or a span in months; a bare number is of what `bare` says. Undefined for nil, and for what says neither months nor years.
 *
 * @example [monthsFrom('2.5', 'years'), monthsFrom('60', 'months'), monthsFrom('5 J.', 'months'), monthsFrom('5/6', 'years'), monthsFrom('36m', 'years')] // [30, 60, 60, 66, 36]
 */
export const monthsFrom = (text: string, bare: 'years' | 'months'): number | undefined => {
  const both = YEARS_MONTHS.exec(text.trim());
  if (both !== null) return Number(both[1]) * 12 + Number(both[2]);
  const found = LIFE.exec(text.trim());
  if (found === null) return undefined;
  const [, whole = '0', fraction = '', unit = ''] = found;
  const words = folded(unit);
  const told = unit === '' ? bare : IN_MONTHS.is(words) ? 'months' : IN_YEARS.is(words) ? 'years' : undefined;
  if (told === undefined) return undefined;
  const hundredths = Number(whole) * 100 + Number(fraction.padEnd(2, '0'));
  const months = Math.round((hundredths * (told === 'months' ? 1 : 12)) / 100);
  return months > 0 && months <= MOST_MONTHS ? months : undefined;
};
