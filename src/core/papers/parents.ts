import { codeStem } from '../chart/codes';
import { MARK, WHY, type Work, isFree, listed, settle } from './mark';

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
  // In most papers no row stands above another.
  if (ends.every((end, place) => end <= place + 1)) return;
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

export const byCodes = (work: Work): void => {
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
  // Codes that are all as long as each other begin none of the others.
  const longer = new Set(rows.map(level)).size > 1;
  if (longer) parentsAmong(work, rows, spansOf(rows, strictly), strictly, level);
  const left = listed(work, (at) => skeleton.code[at] !== '');
  parentsAmong(work, left, spansOf(left, begins), strictly, level);
  if (!longer) return;
  // Sums may stand under their parts as well: the same, from the bottom up.
  const upward = [...listed(work, (at) => skeleton.code[at] !== '')].reverse();
  parentsAmong(work, upward, spansOf(upward, strictly), strictly, level);
};

export const byIndent = (work: Work): void => {
  const { skeleton } = work;
  const rows = listed(work, (at) => !skeleton.coded || skeleton.code[at] !== '');
  const levels = new Set(rows.map((row) => skeleton.indent[row] ?? 0));
  if (rows.length < 3 || levels.size < 2 || levels.size > 20) return;
  const deeper = (under: number, over: number): boolean => (skeleton.indent[under] ?? 0) > (skeleton.indent[over] ?? 0);
  parentsAmong(work, rows, spansOf(rows, deeper), deeper, (row) => 1000 + (skeleton.indent[row] ?? 0));
};
