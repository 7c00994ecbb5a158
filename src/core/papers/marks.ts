import { codeStem } from '../chart/codes';
import { folded } from '../words/folded';
import { isSectionName, usualSide } from '../words/side-words';
import { CARRIED, DIFFERENCE, RESULT, SMALL, TOTAL } from '../words/paper-words';
import { sectionOf } from './sign';
import { ROW, type Skeleton } from './skeleton';
import type { Values } from './values';

/** What a row is taken for once its amounts are known. */
export const MARK = { none: 0, account: 1, heading: 2, total: 3, open: 4, unreadable: 5 } as const;

/** Why a row is no account, by number: a paper may have a million rows. */
export const WHY = {
  none: 0,
  words: 1,
  under: 2,
  above: 3,
  wordsAndSum: 4,
  unnamed: 5,
  breakdown: 6,
  nil: 7,
  carried: 8,
  level: 9,
  sides: 10,
  left: 11,
  remark: 12,
  byHand: 13,
  continued: 14,
} as const;

export interface Marks {
  readonly mark: Uint8Array;
  readonly why: Uint8Array;
  /** Totals whose amount the rows come to. */
  confirmed: number;
  /** Rows that are called totals, or stand a level higher, and whose amount the rows do not come to. */
  readonly unconfirmed: Set<number>;
}

/** Rows of an unfinished reading: those of the list, from top to bottom. */
interface Work {
  readonly skeleton: Skeleton;
  readonly values: Values;
  readonly marks: Marks;
  /** Rows about which a person decided. */
  readonly decided: ReadonlySet<number>;
}

const isFree = ({ marks, decided }: Work, at: number): boolean =>
  (marks.mark[at] === MARK.account || marks.mark[at] === MARK.open) && !decided.has(at);

const settle = ({ marks }: Work, at: number, why: number): void => {
  marks.mark[at] = MARK.total;
  marks.why[at] = why;
};

/* ------------------------------------------------------------------ words */

const MOST_NAME = 300;

/** What is left of a text without the words of totals and small words. */
const beyond = (words: string): string =>
  words
    .split(' ')
    .filter((word) => TOTAL.in(word) === undefined && !SMALL.is(word) && !/^\d+$/.test(word))
    .join(' ');

/** How much a text says that its row is a total: 2 where it says nothing else, 1 where other words stand beside it. */
export const totalWords = (text: string, headings: ReadonlySet<string>): 0 | 1 | 2 => {
  if (text === '' || text.length > MOST_NAME || /^['"]?[=+@]/.test(text)) return 0;
  const words = folded(text);
  if (CARRIED.is(words) || DIFFERENCE.is(words)) return 2;
  const first = words.split(' ', 1)[0] ?? '';
  const last = words.slice(words.lastIndexOf(' ') + 1);
  const total = TOTAL.in(words);
  if (total === undefined) return CARRIED.in(words) === undefined ? 0 : 1;
  const edge =
    words.startsWith(total) || words.endsWith(total) || TOTAL.in(first) !== undefined || TOTAL.in(last) !== undefined;
  if (!edge) return 0;
  const rest = beyond(` ${words} `.replace(` ${total} `, ' ').trim());
  return rest === '' || headings.has(rest) || isSectionName(rest) ? 2 : 1;
};

/* ------------------------------------------------------------- hierarchies */

const MOST_DEEP = 5000;

/** Where the rows under each row end that stand deeper than it, by codes that its own begins or by indentation. */
const spansOf = (rows: readonly number[], deeper: (under: number, over: number) => boolean): Int32Array => {
  const ends = new Int32Array(rows.length);
  const stack: number[] = [];
  rows.forEach((row, place) => {
    while (stack.length > 0) {
      const over = stack.at(-1) ?? 0;
      if (deeper(row, rows[over] ?? 0)) break;
      ends[over] = place;
      stack.pop();
    }
    stack.push(place);
    if (stack.length > MOST_DEEP) stack.shift();
  });
  for (const place of stack) ends[place] = rows.length;
  return ends;
};

interface Parent {
  readonly at: number;
  readonly parts: number;
  /** Whether what stands under it comes to its amount. */
  readonly sums: boolean;
  readonly level: number;
  readonly nil: boolean;
  /** Its code itself begins the codes under it ("57" and "572"); by stems only ("5700" and "5720") is weaker. */
  readonly strict: boolean;
}

/**
 * Rows that carry the sums of the rows under them, known by codes or indentation. One that merely repeats a single row, or is
 * nil, shows nothing by itself; others of its level do.
 */
const parentsAmong = (
  work: Work,
  rows: readonly number[],
  ends: Int32Array,
  strict: (under: number, over: number) => boolean,
  level: (row: number) => number,
): void => {
  const { values } = work;
  // What the accounts from a place on come to; totals inside a group are known before the group is added up, from below.
  const net = new Array<bigint>(rows.length + 1).fill(0n);
  const left = new Array<bigint>(rows.length + 1).fill(0n);
  const right = new Array<bigint>(rows.length + 1).fill(0n);
  const count = new Int32Array(rows.length + 1);
  const parents: Parent[] = [];
  for (let place = rows.length - 1; place >= 0; place -= 1) {
    const at = rows[place] ?? 0;
    const end = ends[place] ?? place + 1;
    let counts = work.marks.mark[at] === MARK.account;
    if (end > place + 1 && isFree(work, at)) {
      const parts = (count[place + 1] ?? 0) - (count[end] ?? 0);
      const under = (net[place + 1] ?? 0n) - (net[end] ?? 0n);
      const dr = (left[place + 1] ?? 0n) - (left[end] ?? 0n);
      const cr = (right[place + 1] ?? 0n) - (right[end] ?? 0n);
      const own = values.raw[at] ?? 0n;
      const first = rows[place + 1] ?? 0;
      const all = parts >= (count[0] ?? 0) && place === 0;
      const sums =
        parts > 0 &&
        (own === under ||
          (own !== 0n && own === -under && !all) ||
          (values.debit[at] === dr && values.credit[at] === cr && (dr !== 0n || cr !== 0n)));
      const isStrict = strict(first, at);
      const nil = own === 0n && under === 0n;
      parents.push({ at, parts, sums, level: level(at), nil, strict: isStrict });
      // A sum of several that is not nil shows itself; what it takes in is settled with it.
      if (sums && !nil && (parts > 1 || isStrict)) counts = false;
      if (sums && nil && isStrict) counts = false;
    }
    count[place] = (count[place + 1] ?? 0) + (counts ? 1 : 0);
    net[place] = (net[place + 1] ?? 0n) + (counts ? (values.raw[at] ?? 0n) : 0n);
    left[place] = (left[place + 1] ?? 0n) + (counts ? (values.debit[at] ?? 0n) : 0n);
    right[place] = (right[place + 1] ?? 0n) + (counts ? (values.credit[at] ?? 0n) : 0n);
  }
  const proven = new Map<number, number>();
  const alone = new Map<number, number>();
  for (const one of parents) {
    if (!one.sums || one.nil) continue;
    const of = one.parts > 1 ? proven : one.strict ? alone : undefined;
    of?.set(one.level, (of.get(one.level) ?? 0) + 1);
  }
  const provenInAll = [...proven.values()].reduce((all, count) => all + count, 0);
  const levels = new Map<number, { readonly yes: number; readonly no: number }>();
  for (const one of parents.filter(({ strict: own }) => own)) {
    const known = levels.get(one.level) ?? { yes: 0, no: 0 };
    const yes = one.sums && !one.nil;
    levels.set(one.level, { yes: known.yes + (yes ? 1 : 0), no: known.no + (one.sums ? 0 : 1) });
  }
  for (const one of parents) {
    const { yes = 0, no = 0 } = levels.get(one.level) ?? {};
    const usual = proven.has(one.level) || (alone.get(one.level) ?? 0) > 1 || provenInAll > 1;
    if (one.sums && !one.nil && one.parts > 1) settle(work, one.at, WHY.under);
    else if (one.sums && one.strict && usual) settle(work, one.at, WHY.under);
    else if (!one.sums && one.strict && one.parts > 0 && yes >= 3 && no * 3 <= yes && values.raw[one.at] !== 0n) {
      settle(work, one.at, WHY.level);
      work.marks.unconfirmed.add(one.at);
      continue;
    } else continue;
    if (!one.nil) work.marks.confirmed += 1;
  }
};

const byCodes = (work: Work): void => {
  const { skeleton } = work;
  const rows = listed(work, (at) => skeleton.code[at] !== '');
  if (rows.length < 3) return;
  const stems = skeleton.code.map((code) => codeStem(code));
  const begins = (under: number, over: number): boolean => {
    const [code = '', own = '', stem = ''] = [skeleton.code[under], skeleton.code[over], stems[over]];
    return code !== own && code.length >= own.length && code.startsWith(stem) && stem !== '';
  };
  const strictly = (under: number, over: number): boolean => {
    const [code = '', own = ''] = [skeleton.code[under], skeleton.code[over]];
    return code.length > own.length && code.startsWith(own);
  };
  const level = (row: number): number => (skeleton.code[row] ?? '').length;
  parentsAmong(work, rows, spansOf(rows, strictly), strictly, level);
  const left = listed(work, (at) => skeleton.code[at] !== '');
  parentsAmong(work, left, spansOf(left, begins), strictly, level);
  // Sums may stand under their parts as well: the same, from the bottom up.
  const upward = [...listed(work, (at) => skeleton.code[at] !== '')].reverse();
  parentsAmong(work, upward, spansOf(upward, strictly), strictly, level);
};

const byIndent = (work: Work): void => {
  const { skeleton } = work;
  const rows = listed(work, (at) => !skeleton.coded || skeleton.code[at] !== '');
  const levels = new Set(rows.map((row) => skeleton.indent[row] ?? 0));
  if (rows.length < 3 || levels.size < 2 || levels.size > 20) return;
  const deeper = (under: number, over: number): boolean => (skeleton.indent[under] ?? 0) > (skeleton.indent[over] ?? 0);
  parentsAmong(work, rows, spansOf(rows, deeper), deeper, (row) => 1000 + (skeleton.indent[row] ?? 0));
};

const listed = ({ skeleton, marks }: Work, more: (at: number) => boolean): readonly number[] => {
  const rows: number[] = [];
  for (let at = 0; at < skeleton.size; at += 1)
    if ((marks.mark[at] === MARK.account || marks.mark[at] === MARK.open) && more(at)) rows.push(at);
  return rows;
};

/* -------------------------------------------------------------- breakdowns */

/** Rows without a code that add up to the coded row right above them divide it; where a few do, all such runs do. */
const breakdowns = (work: Work): void => {
  const { skeleton, values, marks } = work;
  if (!skeleton.coded) return;
  const found: { readonly rows: readonly number[] }[] = [];
  let over = -1;
  let run: number[] = [];
  const close = (): void => {
    const own = values.raw[over] ?? 0n;
    let [sum, best] = [0n, 0];
    run.forEach((row, place) => {
      sum += values.raw[row] ?? 0n;
      if (sum === own && own !== 0n) best = place + 1;
    });
    if (over >= 0 && best > 1) found.push({ rows: run.slice(0, best) });
    run = [];
  };
  for (let at = 0; at <= skeleton.size; at += 1) {
    const mark = marks.mark[at];
    if (mark === MARK.open && !work.decided.has(at)) run.push(at);
    else if (mark !== MARK.none || at === skeleton.size || skeleton.kind[at] === ROW.header) {
      close();
      over = mark === MARK.account ? at : -1;
    }
  }
  for (const { rows } of found) for (const row of rows) settle(work, row, WHY.breakdown);
  marks.confirmed += found.length;
};

/* ---------------------------------------------------------- sums of a run */

/** Where the accounts before a row begin that may come to its amount, by what they came to until there. */
class Runs {
  readonly #first = new Map<bigint, number>();
  readonly #pairs = new Map<string, number>();
  net = 0n;
  debits = 0n;
  credits = 0n;
  count = 0;

  /** A heading, a total, a page's top: sums begin here. */
  begin(): void {
    if (!this.#first.has(this.net)) this.#first.set(this.net, this.count);
    const key = `${String(this.debits)}/${String(this.credits)}`;
    if (!this.#pairs.has(key)) this.#pairs.set(key, this.count);
  }

  add(net: bigint, debit: bigint, credit: bigint): void {
    this.net += net;
    this.debits += debit;
    this.credits += credit;
    this.count += 1;
  }

  /** The most accounts of a run that comes to an amount, 0 for none. */
  to(amount: bigint): number {
    const from = this.#first.get(this.net - amount);
    return from === undefined ? 0 : this.count - from;
  }

  toBoth(debit: bigint, credit: bigint): number {
    const from = this.#pairs.get(`${String(this.debits - debit)}/${String(this.credits - credit)}`);
    return from === undefined ? 0 : this.count - from;
  }
}

/**
 * Rows that are the sums of those above them since some heading, total or page. Where others have codes, one without is suspect
 * by itself; else it must also be called a total, or close a group of several.
 */
const sumsAbove = (work: Work, headings: ReadonlySet<string>): void => {
  const { skeleton, values, marks } = work;
  const runs = new Runs();
  runs.begin();
  let sinceHeading = 0;
  for (let at = 0; at < skeleton.size; at += 1) {
    const mark = marks.mark[at];
    if (
      mark === MARK.heading ||
      mark === MARK.total ||
      skeleton.kind[at] === ROW.header ||
      skeleton.kind[at] === ROW.page
    ) {
      if (marks.why[at] !== WHY.breakdown) runs.begin();
      sinceHeading = 0;
      continue;
    }
    if (mark !== MARK.account && mark !== MARK.open) continue;
    const amount = values.raw[at] ?? 0n;
    const [dr, cr] = [values.debit[at] ?? 0n, values.credit[at] ?? 0n];
    if (isFree(work, at)) {
      const suspect = mark === MARK.open;
      const parts =
        amount === 0n && dr === 0n
          ? 0
          : Math.max(
              dr !== 0n && cr !== 0n ? runs.toBoth(dr, cr) : 0,
              amount === 0n ? 0 : Math.max(runs.to(amount), suspect || values.open[at] === 0 ? runs.to(-amount) : 0),
              suspect && ((cr === 0n && runs.debits === dr) || (dr === 0n && runs.credits === cr)) ? runs.count : 0,
            );
      const enough = suspect ? parts >= 1 : parts >= 2;
      if (enough) {
        const words = totalWords(skeleton.name[at] ?? '', headings) || totalWords(skeleton.code[at] ?? '', headings);
        const closes =
          !skeleton.coded && parts >= 2 && sinceHeading >= 2 && runs.to(amount) >= 2 && !wholeOf(runs, amount);
        if (suspect || words > 0 || closes) {
          settle(work, at, words > 0 ? WHY.wordsAndSum : suspect && skeleton.name[at] === '' ? WHY.unnamed : WHY.above);
          marks.confirmed += 1;
          runs.begin();
          sinceHeading = 0;
          continue;
        }
      }
    }
    if (mark === MARK.account) {
      runs.add(amount, dr, cr);
      sinceHeading += 1;
    }
  }
};

/** All others together come to an account's amount on the other side wherever the paper nets to zero: that shows nothing. */
const wholeOf = (runs: Runs, amount: bigint): boolean => runs.net === -amount;

/* ------------------------------------------------------------------- rest */

/** Marks the rows of a paper by their words and by what they add up to. `headings` are the folded texts of its headings. */
export const markRows = (skeleton: Skeleton, values: Values, asAccount: Readonly<Record<string, boolean>>): Marks => {
  const marks: Marks = {
    mark: new Uint8Array(skeleton.size),
    why: new Uint8Array(skeleton.size),
    confirmed: 0,
    unconfirmed: new Set(),
  };
  const decided = new Set(Object.keys(asAccount).map(Number));
  const work: Work = { skeleton, values, marks, decided };
  const headings = new Set<string>();
  const isHeading = headingTest(skeleton, values);
  for (let at = 0; at < skeleton.size; at += 1) {
    if (skeleton.kind[at] !== ROW.body) continue;
    const hand = asAccount[String(at)];
    const [code, name] = [skeleton.code[at] ?? '', skeleton.name[at] ?? ''];
    if (hand === false) {
      marks.mark[at] = MARK.heading;
      marks.why[at] = WHY.byHand;
    } else if (values.bad[at] === 1) marks.mark[at] = MARK.unreadable;
    else if (values.filled[at] === 1 || hand === true)
      marks.mark[at] =
        hand === true || (skeleton.coded ? /\p{N}/u.test(code) : name !== '' || code !== '') ? MARK.account : MARK.open;
    else if (skeleton.coded && name !== '' && /\d/.test(code) && !isHeading(at)) marks.mark[at] = MARK.account;
    else if (!skeleton.coded && name !== '' && isNilAccount(skeleton, at)) marks.mark[at] = MARK.account;
    else {
      marks.mark[at] = MARK.heading;
      marks.why[at] = WHY.remark;
      headings.add(folded(name === '' ? code : name));
    }
  }
  breakdowns(work);
  byCodes(work);
  byIndent(work);
  sumsAbove(work, headings);
  byWords(work, headings);
  return marks;
};

/** Without codes, a name without an amount is a heading, but where its row has other figures or it is called as accounts are. */
const isNilAccount = (skeleton: Skeleton, at: number): boolean => {
  const name = skeleton.name[at] ?? '';
  return (
    skeleton.hasFigures(at) ||
    (!isSectionName(name) &&
      sectionOf(name) === undefined &&
      usualSide(name) !== undefined &&
      totalWords(name, NONE) === 0)
  );
};

const NONE: ReadonlySet<string> = new Set();

/** How the next coded row stands to a row: under its code itself, under its code without the noughts at its end, or not. */
const followedBy = (skeleton: Skeleton, at: number): 'code' | 'stem' | 'indent' | undefined => {
  const code = skeleton.code[at] ?? '';
  for (let next = at + 1; next < skeleton.size && next <= at + 3; next += 1) {
    const other = skeleton.code[next] ?? '';
    if (skeleton.kind[next] !== ROW.body || other === '') continue;
    if (other !== code && other.startsWith(code)) return 'code';
    if ((skeleton.indent[next] ?? 0) > (skeleton.indent[at] ?? 0)) return 'indent';
    return other !== code && other.startsWith(codeStem(code)) ? 'stem' : undefined;
  }
  return undefined;
};

/**
 * Tells a coded row without an amount that is a heading ("10" before "1010") from an account that is nil. "1000" before "1010" may
 * be either: it is a heading where all such rows are without an amount, and where headings do not stand there without a code.
 */
const headingTest = (skeleton: Skeleton, values: Values): ((at: number) => boolean) => {
  let [bare, filled, uncoded] = [0, 0, 0];
  for (let at = 0; at < skeleton.size; at += 1) {
    if (skeleton.kind[at] !== ROW.body) continue;
    const empty = values.filled[at] !== 1;
    if (skeleton.code[at] === '') uncoded += empty && skeleton.name[at] !== '' ? 1 : 0;
    else if (followedBy(skeleton, at) === 'stem') {
      if (empty && !skeleton.hasFigures(at)) bare += 1;
      else filled += 1;
    }
  }
  const stems = uncoded < 2 && bare > 1 && bare > filled;
  return (at) => {
    if (skeleton.hasFigures(at)) return false;
    const how = followedBy(skeleton, at);
    return how === 'code' || how === 'indent' || (how === 'stem' && stems);
  };
};

/** Totals by their words alone, whose sum does not show: a row of a coded paper without a code, or one that says nothing else. */
const byWords = (work: Work, headings: ReadonlySet<string>): void => {
  const { skeleton, values, marks } = work;
  for (let at = 0; at < skeleton.size; at += 1) {
    if (!isFree(work, at)) continue;
    const open = marks.mark[at] === MARK.open;
    const [name, code] = [skeleton.name[at] ?? '', skeleton.code[at] ?? ''];
    if (!open && skeleton.coded) continue;
    if (open && name === '' && code === '') {
      settle(work, at, WHY.unnamed);
      if (values.raw[at] !== 0n) marks.unconfirmed.add(at);
      continue;
    }
    if (open && values.raw[at] === 0n && values.debit[at] === 0n) {
      settle(work, at, WHY.nil);
      continue;
    }
    const both = values.debit[at] !== 0n && values.credit[at] !== 0n && !skeleton.coded;
    const words = Math.max(totalWords(name, headings), totalWords(code, headings));
    if (words === 2 || (words === 1 && (open || both))) {
      settle(work, at, WHY.words);
      if (values.raw[at] !== 0n || values.debit[at] !== 0n) marks.unconfirmed.add(at);
    }
  }
};

/**
 * Rows without a code whose amount is what one side comes to once signs are known ("Assets and expenses"), the difference, or
 * the year's result. What is then left is named by the caller.
 */
export const settleBySides = (skeleton: Skeleton, marks: Marks, values: Values, sides: ReadonlySet<bigint>): void => {
  for (let at = 0; at < skeleton.size; at += 1) {
    if (marks.mark[at] !== MARK.open && !marks.unconfirmed.has(at)) continue;
    const raw = values.raw[at] ?? 0n;
    const size = raw < 0n ? -raw : raw;
    if (!sides.has(size) || size === 0n) continue;
    if (marks.mark[at] === MARK.open) marks.mark[at] = MARK.total;
    marks.why[at] = WHY.sides;
    marks.unconfirmed.delete(at);
    marks.confirmed += 1;
  }
};

/** Whether the words of a row are those of the year's result as the old system works it out. */
export const isResult = (name: string): boolean => name.length <= MOST_NAME && RESULT.in(folded(name)) !== undefined;
