import { folded } from '../base/folded';

/** Months as they stand in dates, folded beginnings of January to December per language; declined forms begin alike. */
const MONTHS: readonly string[] = [
  'january february march april may june july august september october november december',
  'janner februar marz april mai juni juli august september oktober november dezember',
  'janvier fevrier mars avril mai juin juillet aout septembre octobre novembre decembre',
  'enero febrero marzo abril mayo junio julio agosto septiembre octubre noviembre diciembre',
  'janeiro fevereiro marco abril maio junho julho agosto setembro outubro novembro dezembro',
  'gennaio febbraio marzo aprile maggio giugno luglio agosto settembre ottobre novembre dicembre',
  'januari februari maart april mei juni juli augustus september oktober november december',
  'januari februari mars april maj juni juli augusti september oktober november december',
  'januar februar marts april maj juni juli august september oktober november december',
  'januar februar mars april mai juni juli august september oktober november desember',
  'tammikuu helmikuu maaliskuu huhtikuu toukokuu kesakuu heinakuu elokuu syyskuu lokakuu marraskuu joulukuu',
  'januar februar mars april mai juni juli agust september oktober november desember',
  'stycz lut mar kwie maj czerw lipc|lipi sierp wrze pazdzier listopad grud',
  'leden unor brezen duben kveten cerven cervenec srpen zari rijen listopad prosinec',
  'ledna unora brezna dubna kvetna cervna cervence srpna zari rijna listopadu prosince',
  'januar februar marec april maj jun jul august september oktober november december',
  'januar februar marcius aprilis majus junius julius augusztus szeptember oktober november december',
  'ianuarie februarie martie aprilie mai iunie iulie august septembrie octombrie noiembrie decembrie',
  'януари февруари март април май юни юли август септември октомври ноември декември',
  'sijec veljac ozuj travan svib lipn|lipa srp kolovoz ruj listopad studen prosin',
  'januar februar marec april maj junij julij avgust september oktober november december',
  'јануар фебруар март април мај јун јул август септембар октобар новембар децембар',
  'ιανουαρ φεβρουαρ μαρτ απριλ μαι ιουν ιουλ αυγουστ σεπτεμβρ οκτωβρ νοεμβρ δεκεμβρ',
  'ocak subat mart nisan mayis haziran temmuz agustos eylul ekim kasim aralik',
  'январ феврал март апрел май июн июл август сентябр октябр ноябр декабр',
  'січ лют берез квіт трав червн|червень липн|липень серп верес жовт листопад груд',
  'saus vasar kov baland geguz birzel liep rugpjut rugsej spal lapkri gruod',
  'janvar februar mart april maij junij julij august septembr oktobr novembr decembr',
  'jaanuar veebruar marts aprill mai juuni juuli august september oktoober november detsember',
];

/** Languages (the first of the list) that shorten months to their first three letters. */
const SHORTENED = 9;

/** Beginnings of months, the longest first, so that "cervence" is July before "cerven" is June. */
const BEGINNINGS: readonly (readonly [start: string, month: number])[] = MONTHS.flatMap((list, language) =>
  list.split(' ').flatMap((names, at) =>
    names
      .split('|')
      .map(folded)
      .flatMap((name) => (language < SHORTENED ? [name, name.slice(0, 3), name.slice(0, 4)] : [name]))
      .map((start) => [start, at + 1] as const),
  ),
).sort(([a], [b]) => b.length - a.length);

/** The month that a folded word names (1 to 12), by its longest known beginning; undefined where two months begin so. */
export const monthOf = (word: string): number | undefined => {
  if (word.length < 3 || !/\p{L}/u.test(word)) return undefined;
  const found = BEGINNINGS.find(([start]) => word.startsWith(start));
  if (found === undefined) return undefined;
  const same = new Set(BEGINNINGS.filter(([start]) => start === found[0]).map(([, month]) => month));
  return same.size === 1 ? found[1] : undefined;
};
