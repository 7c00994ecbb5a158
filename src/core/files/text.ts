import iconv from 'iconv-lite';
import { ALPHABETS, DOUBLE_BYTE, ENCODINGS, type Encoding, SINGLE_BYTE, WITHOUT_K_AND_W } from './formats';

export const decodeAs = (bytes: Uint8Array, encoding: string): string =>
  encoding.startsWith('utf-')
    ? new TextDecoder(encoding).decode(bytes)
    : iconv.decode(bytes, encoding, { stripBOM: false });

/** Every second byte of Western text in UTF-16 is nil; on which side tells the order. */
const utf16Without = (bytes: Uint8Array): Encoding | undefined => {
  const start = bytes.subarray(0, 400);
  const nils = [0, 0];
  start.forEach((byte, at) => {
    if (byte === 0) nils[at % 2] = (nils[at % 2] ?? 0) + 1;
  });
  const half = start.length / 2;
  const [even = 0, odd = 0] = nils;
  return odd > half * 0.7 && even === 0 ? 'utf-16le' : even > half * 0.7 && odd === 0 ? 'utf-16be' : undefined;
};

/** The encoding that an XML file declares, where it is one that is known here. */
const declaredIn = (bytes: Uint8Array): Encoding | undefined => {
  const start = new TextDecoder('latin1').decode(bytes.subarray(0, 200));
  const [, declared] = /^\s{0,9}<\?xml\s[^>]{0,99}encoding=["']([\w.-]{1,40})/i.exec(start) ?? [];
  return ENCODINGS.find((encoding) => encoding === declared?.toLowerCase());
};

const LOOKED_AT = 200_000;
/** Bytes beyond ASCII that are looked at, each with those beside it. */
const MOST_MARKS = 4000;

/** The parts of a file around its bytes beyond ASCII: a file may have the first of them after a megabyte of figures. */
const marked = (bytes: Uint8Array): Uint8Array => {
  const parts: number[] = [];
  let marks = 0;
  let last = -1;
  const end = bytes.length;
  for (let at = 0; at < end && marks < MOST_MARKS; at += 1) {
    if ((bytes[at] ?? 0) < 0x80) continue;
    marks += 1;
    const from = Math.max(last + 1, at - 12);
    if (from > last + 1) parts.push(0x0a);
    let to = at;
    while (to + 1 < end && to < at + 12 && (bytes[to + 1] ?? 0x0a) !== 0x0a) to += 1;
    for (let one = from; one <= to; one += 1) parts.push(bytes[one] ?? 0x20);
    last = Math.max(last, to);
    // What was taken along is not looked at as a beginning of its own, but counts.
    at = to;
  }
  return Uint8Array.from(parts.slice(0, LOOKED_AT));
};

/** Of so many plain letters one k or w is none of a foreign name alone. */
const MANY = 40;

const LETTER = /\p{L}/u;
const LATIN = /\p{sc=Latin}/u;

/**
 * How badly a text reads, as the number of its characters that no text of one language has: letters of other alphabets than the
 * one that fits best, signs within words, capitals within words in small letters. It is not counted on past `enough`.
 */
const badness = (text: string, enough: number, framed: boolean): number => {
  const letters = new Map<string, number>();
  let bad = 0;
  for (let at = 0; at < text.length && bad < enough; at += 1) {
    if (text.charCodeAt(at) < 0x80) continue;
    const character = text.charAt(at);
    const [before, next] = [text.charAt(at - 1), text.charAt(at + 1)];
    if (LETTER.test(character)) {
      const small = character === 'İ' ? character : character.toLowerCase();
      letters.set(small, (letters.get(small) ?? 0) + 1);
      // A space that does not break stands between the digits of figures; a letter does not.
      if (/\d/.test(before) && /\d/.test(next)) bad += 1;
      // No language that writes this vowel through the nose has a consonant behind it, but for that of a plural or a diminutive.
      if (small === 'ã' && /[b-df-hj-np-rtvx]/i.test(next)) bad += 1;
      // Letters of another script than the Latin ones beside them make no word.
      if (!LATIN.test(character) && (/[a-z]/i.test(before) || /[a-z]/i.test(next))) bad += 1;
      if (
        character !== small &&
        LETTER.test(before) &&
        before === before.toLowerCase() &&
        before !== before.toUpperCase()
      )
        bad += 1;
      else if (
        character === small &&
        character !== character.toUpperCase() &&
        isCapital(before) &&
        isCapital(text.charAt(at - 2))
      )
        bad += 1;
    } else if (/[\u0080-\u009f\ufffd\p{Co}\p{Cn}]/u.test(character)) bad += 3;
    else if (
      (LETTER.test(before) && LETTER.test(next) && !/[\u2018\u2019\u00b7\u2013]/.test(character)) ||
      (!framed && /[\u2500-\u25ff]/.test(character)) ||
      // No word begins with a raised figure or a mark for money, or has an accent without its letter at one end.
      (LETTER.test(next) && /[£¥¤¹²³¯¸¨¦¬±¶×÷]/.test(character) && !/^[kmb]\P{L}/u.test(text.slice(at + 1, at + 3))) ||
      (LETTER.test(before) && /[¯¸¨¦¬¤¥£±¶]/.test(character))
    )
      bad += 1;
  }
  if (bad >= enough) return bad;
  // Names in Cyrillic and Greek begin with capitals; without any, they are letters of a script that has none.
  if (/[\p{sc=Cyrillic}\p{sc=Greek}]/u.test(text) && !/[\u0386-\u03ab\u0400-\u042f]/.test(text)) bad += 1;
  const total = [...letters.values()].reduce((sum, count) => sum + count, 0);
  const plain = text.match(/[a-z]/gi)?.length ?? 0;
  const others = (text.match(/[kw]/gi)?.length ?? 0) * MANY > plain;
  let most = 0;
  for (const alphabet of ALPHABETS) {
    // Among equals, no language is it that does not write the plain letters beside.
    let inside = others && WITHOUT_K_AND_W.has(alphabet) ? -0.5 : 0;
    for (const [letter, count] of letters) if (alphabet.includes(letter)) inside += count;
    most = Math.max(most, inside);
  }
  return bad + total - most;
};

const isCapital = (character: string): boolean => character !== character.toLowerCase();

/** Syllables that Korean texts have most. Among the bytes of another script, a few in a hundred become one of them. */
const HANGUL =
  '가각간갈감갑강개객거건검것게결경계고공과관광교구국군권급기길김나난남내년노농다단당대도동두드등라락래량러런레려력련로료류률르른름리' +
  '마만말매면명모목무문물미민바반발방배백법별병보복본봉부분불비사산상새색생서선설성세소속손송수순술스습승시식신실심아안야약양어업여역' +
  '연열영예오옥온외요용우운원월위유율은을음의이익인일임입자작잔장재저적전절점정제조종주준중증지직진질집차착창채처천철청체초총최추출취' +
  '층치친침카타탁탄택토통투트특파판팔편평포표품풍피필하학한할함합항해행향허현협형혜호화환활회효후훈휴흥희';
/** What texts of East Asia have most: kana, hangul, and the characters of bookkeeping. */
const USUAL = new RegExp(
  `[\\u3040-\\u30ff${HANGUL}科目余额残高借貸贷方资資产產负負债債金現现款本費费用收入利年月日会計计合總总应應付銀银行税稅业業株式社公司表期末初` +
    '库存商品固定累旧交实潤润分配名称编码向发生单位至間间有限股份账帳戶户原材料工薪主营其他成管理财务人民币元上下大小中国國東东西南北]',
  'u',
);

/** The encoding in two bytes a character under which a text is East Asian throughout. */
const doubleOf = (sample: Uint8Array): Encoding | undefined => {
  let best: { readonly encoding: Encoding; readonly share: number } | undefined;
  for (const encoding of DOUBLE_BYTE) {
    const text = decodeAs(sample, encoding);
    const wide = Array.from(text).filter((character) => character > '\u00ff');
    if (wide.length < 4 || wide.filter((character) => character === '\ufffd').length * 50 > wide.length) continue;
    // Kana of half width are what single bytes become by chance, and so are wide characters within words of Latin letters and
    // Chinese characters beside Korean syllables.
    const odd =
      wide.filter((character) => /[\uff61-\uff9f\ue000-\uf8ff\ufffd]/.test(character)).length +
      (text.match(/\p{sc=Hangul}\p{sc=Han}|\p{sc=Han}\p{sc=Hangul}/gu)?.length ?? 0) +
      (text.match(/[a-z][^\0-\u00ff]|[^\0-\u00ff][a-z]/g)?.length ?? 0);
    const share = (wide.filter((character) => USUAL.test(character)).length - odd) / wide.length;
    if (share > 0.3 && share > (best?.share ?? 0)) best = { encoding, share };
  }
  return best?.encoding;
};

/** Whether lines of a list stand between the upright lines of a frame, as printers of DOS drew them: the same bytes in all its alphabets. */
const isFramed = (bytes: Uint8Array): boolean =>
  (new TextDecoder('latin1')
    .decode(bytes.subarray(0, FRAME_LOOKED_AT))
    .match(/^[ \t]*[\u00b3\u00ba].*[\u00b3\u00ba][ \t]*\r?$/gm)?.length ?? 0) > 2;
const FRAME_LOOKED_AT = 20_000;

/** The encoding of text in one byte a character: the one in which it reads as one language; among equals, the commonest. */
const singleOf = (sample: Uint8Array, framed: boolean): Encoding => {
  let best: { encoding: Encoding; bad: number } = { encoding: framed ? 'cp850' : 'windows-1252', bad: Infinity };
  for (const encoding of SINGLE_BYTE) {
    if (framed && !encoding.startsWith('cp')) continue;
    const bad = badness(decodeAs(sample, encoding), best.bad, framed);
    if (bad < best.bad) best = { encoding, bad };
  }
  return best.encoding;
};

/**
 * The text of a file: UTF-16 or UTF-8 by its mark, UTF-16 by its nil bytes, UTF-8 when every byte fits it, otherwise what
 * it declares, or the encoding in which its letters are those of one language.
 */
export const decode = (bytes: Uint8Array): { readonly text: string; readonly encoding: string } => {
  const as = (encoding: string) => ({ text: decodeAs(bytes, encoding), encoding });
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return as('utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return as('utf-16be');
  const wide = utf16Without(bytes);
  if (wide !== undefined) return as(wide);
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
  } catch {
    const sample = marked(bytes);
    const framed = isFramed(bytes);
    return as(declaredIn(bytes) ?? (framed ? undefined : doubleOf(sample)) ?? singleOf(sample, framed));
  }
};
