import { folded } from '../base/folded';
import { addTo } from '../base/lists';

/**
 * Months as they stand in dates, January to December per language, folded. What ends in a star is a stem and takes any ending; other
 * forms of a short name stand beside it.
 */
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
  'stycz* luty|lute* marz*|marca|marcu kwie* maj|maja czerw* lipc*|lipi* sierp* wrze* pazdzier* listopad* grud*',
  'leden unor brezen duben kveten cerven cervenec srpen zari rijen listopad prosinec',
  'ledna unora brezna dubna kvetna cervna cervence srpna zari rijna listopadu prosince',
  'januar februar marec|marca april maj|maja jun|juna jul|jula august september oktober november december',
  'januar februar marcius aprilis majus junius julius augusztus szeptember oktober november december',
  'ianuarie februarie martie aprilie mai iunie iulie august septembrie octombrie noiembrie decembrie',
  'януари февруари март април май юни юли август септември октомври ноември декември',
  'sijec* veljac* ozuj* travan* svib* lipnj*|lipanj srpanj|srpnja kolovoz* rujan|rujna listopad studen* prosin*',
  'januar februar marec|marca april maj|maja junij julij avgust september oktober november december',
  'јануар фебруар март|марта април мај|маја јун|јуна јул|јула август септембар октобар новембар децембар',
  'ιανουαρ* φεβρουαρ* μαρτ* απριλ* μαιο*|μαι ιουν* ιουλ* αυγουστ* σεπτεμβρ* οκτωβρ* νοεμβρ* δεκεμβρ*',
  'ocak subat mart nisan mayis haziran temmuz agustos eylul ekim kasim aralik',
  'январ* феврал* март|марта апрел* май|мая июн* июл* август сентябр* октябр* ноябр* декабр*',
  'січ* лют* берез* квіт* трав* червн*|червень липн*|липень серп* верес* жовт* листопад груд*',
  'saus* vasar* kovas|kovo baland* geguz* birzel* liep* rugpjut* rugsej* spal* lapkri* gruod*',
  'janvar* februar* mart|marta april* maijs|maija|maij junij* julij* august* septembr* oktobr* novembr* decembr*',
  'มกราคม กุมภาพันธ์ มีนาคม เมษายน พฤษภาคม มิถุนายน กรกฎาคม สิงหาคม กันยายน ตุลาคม พฤศจิกายน ธันวาคม',
  'يناير فبراير مارس أبريل|ابريل مايو يونيو|يونيه يوليو|يوليه أغسطس سبتمبر أكتوبر|اكتوبر نوفمبر ديسمبر',
  'ינואר|בינואר פברואר|בפברואר מרץ|במרץ|מרס|במרס אפריל|באפריל מאי|במאי יוני|ביוני יולי|ביולי אוגוסט|באוגוסט ספטמבר|בספטמבר אוקטובר|באוקטובר נובמבר|בנובמבר דצמבר|בדצמבר',
  'jaanuar veebruar marts aprill mai juuni juuli august september oktoober november detsember',
];

/** Languages (the first of the list) that shorten months to their first three or four letters. */
const SHORTENED = 9;
/** A shorter name takes no ending by itself: "mayor" is no month. */
const LEAST_TO_END = 5;
/** Letters of an ending of a whole name ("augustus", "januaru"), and of a stem. */
const [ENDING, ENDING_OF_STEM] = [3, 5] as const;

interface Beginning {
  readonly start: string;
  readonly month: number;
  /** So many letters may stand behind it. */
  readonly more: number;
}

/** So many letters every beginning has. */
const LEAST = 3;

/**
 * Beginnings of months by their first letters, the longest first, so that "cervence" is July before "cerven" is June: every word of
 * a list is asked whether it is a month.
 */
const BEGINNINGS = new Map<string, Beginning[]>();
MONTHS.forEach((list, language) => {
  list.split(' ').forEach((names, at) => {
    for (const name of names.split('|')) {
      const start = folded(name);
      const month = at + 1;
      const stem = name.endsWith('*');
      // The first languages decline none.
      const more = stem ? ENDING_OF_STEM : language >= SHORTENED && start.length >= LEAST_TO_END ? ENDING : 0;
      const short = language < SHORTENED ? [start.slice(0, 3), start.slice(0, 4)] : [];
      for (const one of [{ start, month, more }, ...short.map((begun) => ({ start: begun, month, more: 0 }))])
        addTo(BEGINNINGS, one.start.slice(0, LEAST), one);
    }
  });
});
for (const alike of BEGINNINGS.values()) alike.sort((one, other) => other.start.length - one.start.length);

/**
 * The month that a folded word names (1 to 12), by its longest known beginning; undefined where two months begin so, and for words
 * that only begin like a month.
 *
 * @example [monthOf('sept'), monthOf('pazdziernika'), monthOf('outstanding')] // [9, 10, undefined]
 */
export const monthOf = (word: string): number | undefined => {
  const alike = BEGINNINGS.get(word.slice(0, LEAST)) ?? [];
  const found = alike.find(({ start, more }) => word.startsWith(start) && word.length - start.length <= more);
  if (found === undefined) return undefined;
  return alike.some(({ start, month }) => start === found.start && month !== found.month) ? undefined : found.month;
};
