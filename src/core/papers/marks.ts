import { codeStem } from '../chart/codes';
import { folded } from '../base/folded';
import { isSectionName, usualSide } from '../words/side-words';
import { MARK, type Marks, WHY, type Work, isFree, settle } from './mark';
import { byCodes, byIndent } from './parents';
import { sectionOf } from './sign';
import { ROW, type Skeleton } from './skeleton';
import { breakdowns, headedGroups, sumsAbove } from './sums-above';
import { isResult, totalWords } from './total-words';
import { BAD, type Values } from './values';

const NONE: ReadonlySet<string> = new Set();

/** Marks the rows of a paper by their words and by what they add up to; rows that a person decided about stay as decided. */
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
  const headingKinds = kindsWithout(skeleton, values);
  for (let at = 0; at < skeleton.size; at += 1) {
    if (skeleton.kind[at] !== ROW.body) continue;
    const hand = asAccount[String(at)];
    const [code, name] = [skeleton.code[at] ?? '', skeleton.name[at] ?? ''];
    if (hand === false) {
      marks.mark[at] = MARK.heading;
      marks.why[at] = WHY.byHand;
    } else if (values.bad[at] === BAD.words && code === '' && name === '') {
      // Words alone where amounts stand: "continued on page 2".
      marks.mark[at] = MARK.heading;
      marks.why[at] = WHY.remark;
    } else if (values.bad[at] !== 0) marks.mark[at] = MARK.unreadable;
    else if (values.filled[at] === 1 || hand === true)
      marks.mark[at] =
        hand === true || (skeleton.coded ? /\p{N}/u.test(code) : name !== '' || code !== '') ? MARK.account : MARK.open;
    else if (
      skeleton.coded &&
      name !== '' &&
      /\d/.test(code) &&
      !isHeading(at) &&
      !skeleton.kinds.some((kinds, column) => headingKinds[column]?.has(kinds[at] ?? '') === true) &&
      (skeleton.hasFigures(at) || !skeleton.totalled().has(folded(name)))
    )
      marks.mark[at] = MARK.account;
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
  headedGroups(work);
  sumsAbove(work, headings);
  byWords(work, headings);
  return marks;
};

/** Fewer rows of a kind are without figures by chance. */
const FEWEST_HEADINGS = 2;

/** Of each column of kinds, those of which several rows stand in the list, and none has a figure: what headings are called there. */
const kindsWithout = (skeleton: Skeleton, values: Values): readonly ReadonlySet<string>[] =>
  skeleton.kinds.map((kinds) => {
    const bare = new Map<string, number>();
    for (let at = 0; at < skeleton.size; at += 1) {
      if (skeleton.kind[at] !== ROW.body) continue;
      const kind = kinds[at] ?? '';
      const figures = values.filled[at] === 1 || values.bad[at] !== 0 || skeleton.hasFigures(at);
      bare.set(kind, figures || kind === '' ? -Infinity : (bare.get(kind) ?? 0) + 1);
    }
    return new Set([...bare].flatMap(([kind, count]) => (count >= FEWEST_HEADINGS ? [kind] : [])));
  });

/** Without codes, a name without an amount is a heading, but where its row has other figures or it is called as accounts are. */
const isNilAccount = (skeleton: Skeleton, at: number): boolean => {
  const name = skeleton.name[at] ?? '';
  return (
    skeleton.hasFigures(at) ||
    (!isSectionName(name) &&
      sectionOf(name) === undefined &&
      usualSide(name) !== undefined &&
      !skeleton.totalled().has(folded(name)) &&
      totalWords(name, NONE) === 0)
  );
};

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
  const stems = uncoded < 2 && bare > 1 && bare > 3 * filled;
  return (at) => {
    if (skeleton.hasFigures(at)) return false;
    const how = followedBy(skeleton, at);
    return how === 'code' || how === 'indent' || (how === 'stem' && stems);
  };
};

/** Whether what is called the total of a number comes to the accounts right above it whose codes begin so: "Total of account 221". */
const isOfCode = ({ skeleton, values, marks }: Work, at: number): boolean => {
  const stem = /\d{1,8}/.exec(`${skeleton.name[at] ?? ''} ${skeleton.code[at] ?? ''}`)?.[0];
  if (stem === undefined) return false;
  let [raw, debit, credit, count] = [0n, 0n, 0n, 0];
  for (let above = at - 1; above >= 0; above -= 1) {
    if (marks.mark[above] === MARK.none) continue;
    if (marks.mark[above] !== MARK.account || !(skeleton.code[above] ?? '').startsWith(stem)) break;
    raw += values.raw[above] ?? 0n;
    debit += values.debit[above] ?? 0n;
    credit += values.credit[above] ?? 0n;
    count += 1;
  }
  return count > 0 && raw === values.raw[at] && debit === values.debit[at] && credit === values.credit[at];
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
      const own = isOfCode(work, at);
      settle(work, at, own ? WHY.wordsAndSum : WHY.words);
      if (own) marks.confirmed += 1;
      else if (values.raw[at] !== 0n || values.debit[at] !== 0n) marks.unconfirmed.add(at);
    }
  }
};

/**
 * The year's result in a balance sheet of two sides, which it makes even: what all others are out by, and an account of it. Elsewhere it
 * is what income and expense come to.
 */
export const settleLevel = (skeleton: Skeleton, marks: Marks, amountAt: (row: number) => bigint, net: bigint): void => {
  if (net === 0n) return;
  for (let at = 0; at < skeleton.size; at += 1)
    if (
      (marks.mark[at] === MARK.open || (marks.mark[at] === MARK.total && marks.why[at] === WHY.above)) &&
      skeleton.code[at] === '' &&
      amountAt(at) === -net &&
      isResult(skeleton.name[at] ?? '')
    ) {
      marks.mark[at] = MARK.account;
      marks.why[at] = WHY.none;
      return;
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
    const [debit, credit] = [values.debit[at] ?? 0n, values.credit[at] ?? 0n];
    // A total of both sides, which are equal.
    const size = raw === 0n && debit === credit ? debit : raw < 0n ? -raw : raw;
    if (!sides.has(size) || size === 0n) continue;
    if (marks.mark[at] === MARK.open) marks.mark[at] = MARK.total;
    marks.why[at] = WHY.sides;
    marks.unconfirmed.delete(at);
    marks.confirmed += 1;
  }
};
