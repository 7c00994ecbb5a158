import { fullYear, readDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { folded } from '../base/folded';
import { plainDigits } from '../base/plain-digits';
import { monthOf } from '../words/months';
import { type DayOrder, dayOrderOf, readFileDate } from './dates';

/** "1-12/2025" is no day: both marks are the same. A year of two figures stands last. */
const NUMERIC =
  /(?<!\d)(\d{4}([-./])\s?\d{1,2}\2\s?\d{1,2}|\d{1,2}([./-])\s?\d{1,2}\3\s?\d{4})(?!\d)|(?<![\d./-])(?:\d{2}([./-])\d{2}\4\d{2}|\d{1,2}([./])\d{1,2}\5\d{2})(?![\d./]|-\d)/g;
/** Years, months and days with their signs, as East Asia writes them. */
const SIGNED = /(\d{4})\s?[年년]\s?(\d{1,2})\s?[月월]\s?(\d{1,2})\s?[日일]/g;
/** Day, month and year, each behind its word, as Vietnamese papers have them. */
const EACH_NAMED = /ngày\s(\d{1,2})\stháng\s(\d{1,2})\snăm\s(\d{4})/giu;

/** Years counted from the beginning of an era, and the year before it. */
const ERAS: Readonly<Record<string, number>> = { 令和: 2018, 平成: 1988, 昭和: 1925, 民國: 1911, 民国: 1911 };
const ERA = /(令和|平成|昭和|民國|民国)\s?(元|\d{1,3})\s?年/g;

/** Years of the Buddhist era, as Thai papers have them. */
const BUDDHIST = /(?<!\d)2[45]\d\d(?!\d)/g;
const BEFORE_BUDDHIST = 543;

const inCommonYears = (text: string): string => {
  const common = text.replace(
    ERA,
    (_whole, era: string, year: string) => `${String((ERAS[era] ?? 0) + (year === '元' ? 1 : Number(year)))}年`,
  );
  return /\p{sc=Thai}/u.test(common)
    ? common.replace(BUDDHIST, (year) => String(Number(year) - BEFORE_BUDDHIST))
    : common;
};

/** The number of a period: "Month 12, December 2025" is no twelfth of December. */
const PERIOD_NUMBER =
  /(?<!\p{L})(?:month|period|periode|periodo|período|monat|mois|mes|mês|mese|maand|måned|månad|kuukausi|miesiąc|měsíc|mesiac|hónap|luna|dönem|ay)\.?\s?\d{1,2}(?!\d|[./-]\d)/giu;

/** A text longer than this names no day of its own. */
const MOST_TEXT = 400;

const iso = (year: string, month: number, day: string): readonly IsoDate[] => {
  const read = readDate(`${year}-${String(month).padStart(2, '0')}-${day.padStart(2, '0')}`);
  return read.ok ? [read.value.toString()] : [];
};

const DAY = /^(\d{1,2})(?:st|nd|rd|th|er|e|a|o|os|ga|an|as|je|en)?$/;
const YEAR = /^(?:19|20)\d\d$/;
/** "31-Mar-26", "31 Mar '26": right behind the month that a day stands before. */
const SHORT_YEAR = /^[1-4]\d$/;
const SMALL = /^(?:de|del|of|d|the|den|m|men|g|r|roku|goda|року|года)$/;

/** Days written with the month's name, in either order; the year before, behind, or only once in the text. */
const worded = (text: string): readonly IsoDate[] => {
  const tokens = folded(text)
    .split(' ')
    .filter((token) => !SMALL.test(token));
  const years = tokens.filter((token) => YEAR.test(token));
  // A day that belongs to one month is not the next one's.
  const used = new Set<number>();
  return tokens.flatMap((token, at): readonly IsoDate[] => {
    const month = monthOf(token);
    if (month === undefined) return [];
    const day = (where: number): string | undefined =>
      used.has(where) ? undefined : DAY.exec(tokens[where] ?? '')?.[1];
    const yearFirst = YEAR.test(tokens[at - 1] ?? '');
    const place = !yearFirst && day(at - 1) !== undefined ? at - 1 : at + 1;
    const own = day(place);
    if (own === undefined || Number(own) < 1) return [];
    used.add(place);
    const beside = [place < at ? at + 1 : at + 2, yearFirst ? at - 1 : -1, place - 1].map(
      (where) => tokens[where] ?? '',
    );
    const short = tokens[at + 1] ?? '';
    const year =
      beside.find((one) => YEAR.test(one)) ??
      (place < at && SHORT_YEAR.test(short) && years.length === 0 ? fullYear(short) : years.at(-1));
    return year === undefined ? [] : iso(year, month, own);
  });
};

/** "2026 per 31.07.": a day without its year, behind the only year that the text names. */
const DAY_AND_MONTH = /(?<![\d.])(\d{1,2})\.(\d{1,2})\.(?!\s?\d)/g;

const withoutYear = (text: string): readonly IsoDate[] => {
  const years = text.match(/(?<![\d./-])(?:19|20)\d\d(?![\d./-])/g) ?? [];
  const [year] = years;
  return year === undefined || years.length > 1
    ? []
    : [...text.matchAll(DAY_AND_MONTH)].flatMap(([, day = '', month]) => iso(year, Number(month), day));
};

/** Figures with what parts the figures of a day between or behind them. */
const PARTED = /\p{Nd}\s?[-./．／－年년月월]|元\s?年/u;

/** The quick question, since every cell of a list is asked: figures that are parted, or beside a word for a month. */
const mayName = (text: string): boolean =>
  PARTED.test(text) ||
  (/\p{Nd}/u.test(text) &&
    folded(text)
      .split(' ')
      .some((word) => word === 'thang' || monthOf(word) !== undefined));

/** The days that a text names, ISO, in its order; `proposed` is for those that say no order themselves. */
export const datesIn = (text: string, proposed: DayOrder = 'dmy'): readonly IsoDate[] => {
  if (text.length > MOST_TEXT || !mayName(text)) return [];
  const plain = inCommonYears(plainDigits(text).replace(PERIOD_NUMBER, ' ').replace(/\s+/g, ' '));
  const numeric = [...plain.matchAll(NUMERIC)].map(([found]) => found.replace(/\s/g, ''));
  const order = dayOrderOf(numeric, proposed);
  return [
    ...numeric.flatMap((one) => readFileDate(one, order) ?? []),
    ...[...plain.matchAll(SIGNED)].flatMap(([, year = '', month = '', day = '']) => iso(year, Number(month), day)),
    ...[...plain.normalize('NFC').matchAll(EACH_NAMED)].flatMap(([, day = '', month = '', year = '']) =>
      iso(year, Number(month), day),
    ),
    // What is a day by its figures belongs to no word beside it.
    ...worded(plain.replace(NUMERIC, ' ')),
    ...(numeric.length === 0 ? withoutYear(plain) : []),
  ];
};

/** "12/2025", "12-2025", "1-12/2025": the last month of a span. */
const MONTH_AND_YEAR = /(?<![\d/.])(?:\d{1,2}\s?[-–]\s?)?(?:(\d{1,2})\s?[/.]\s?|(\d{2})-)((?:19|20)\d\d)(?![\d/.-])/g;

const lastDay = (year: string, month: number): readonly IsoDate[] => {
  const first = readDate(`${year}-${String(month).padStart(2, '0')}-01`);
  return first.ok ? [first.value.with({ day: first.value.daysInMonth }).toString()] : [];
};

const SIGNED_MONTH = /((?:19|20)\d\d)\s?[年년]\s?(\d{1,2})\s?[月월](?!\s?\d)/g;

/** The last days of the months that a text names with their year and without a day, ISO: "December 2025", "12/2025". */
export const monthsIn = (written: string): readonly IsoDate[] => {
  if (written.length > MOST_TEXT) return [];
  const text = plainDigits(written);
  const tokens = folded(text)
    .split(' ')
    .filter((token) => !SMALL.test(token));
  return [
    ...[...inCommonYears(text).matchAll(SIGNED_MONTH)].flatMap(([, year = '', month]) => lastDay(year, Number(month))),
    ...[...text.matchAll(MONTH_AND_YEAR)].flatMap(([, month, other, year = '']) =>
      lastDay(year, Number(month ?? other)),
    ),
    ...tokens.flatMap((token, at): readonly IsoDate[] => {
      const month = monthOf(token);
      const year = tokens[at + 1] ?? '';
      return month !== undefined && YEAR.test(year) ? lastDay(year, month) : [];
    }),
  ];
};
