import { codeStem } from '../chart/codes';
import type { Side } from '../money/minor';
import { sectionSide, usualSide } from '../words/side-words';
import { MARK, type Marks, WHY } from './mark';
import { markRows, settleBySides, settleLevel } from './marks';
import type { Convention, Reading } from './reading';
import { eachAccount, netOf, settleForm, settleHeads, settleLeft, settleResults, settleSum } from './settle-net';
import type { Hint } from './sign';
import type { Skeleton } from './skeleton';
import { type Turn, turnsOf } from './turns';
import type { Values, Way } from './values';

/** What a paper comes to under one way and one convention: a hypothesis with its evidence. */
export interface Trial {
  readonly way: Way;
  readonly convention: Convention;
  readonly marks: Marks;
  readonly values: Values;
  /** The amount of a row, debit positive. */
  readonly amountAt: (row: number) => bigint;
  /** What the accounts come to. */
  readonly net: bigint;
  readonly accounts: number;
  /** Accounts that are not nil. */
  readonly moving: number;
  /** Rows that are no account although nothing but the netting to zero says so. */
  readonly setAside: readonly number[];
  /** Rows that stand like accounts, and yet are sums of those above or below, by which the accounts would be out with them. */
  readonly sums: readonly number[];
  /** Rows whose codes are formed otherwise than most, by whose sum the accounts would be out with them. */
  readonly odd: readonly number[];
  /** Accounts without a code where the others have one. */
  readonly uncoded: readonly number[];
  readonly unreadable: number;
  /** Of the accounts whose names tell their side, how many stand on it, less those that do not, as a share. */
  readonly usual: number;
  /** The evidence in points; more is better. */
  readonly points: number;
}

const MOST_VOTERS = 400;

interface Signs {
  readonly convention: Convention;
  readonly amountAt: (row: number) => bigint;
  readonly turns: readonly Turn[];
}

const inTurns = (turns: readonly Turn[], size: number): Uint8Array => {
  const turned = new Uint8Array(size);
  for (const [from, to] of turns) turned.fill(1, from, to + 1);
  return turned;
};

/** The amounts of open rows (whose side the paper leaves open) under a convention. */
const signsUnder = (
  convention: Convention,
  skeleton: Skeleton,
  values: Values,
  turns: readonly Turn[],
  sideOf: SideOf,
): Signs => {
  const raw = (row: number): bigint => values.raw[row] ?? 0n;
  const isOpen = (row: number): boolean => values.open[row] === 1;
  if (convention === 'credit-positive')
    return { convention, turns, amountAt: (row) => (isOpen(row) ? -raw(row) : raw(row)) };
  if (convention === 'section-side') {
    const turned = inTurns(turns, skeleton.size);
    return { convention, turns, amountAt: (row) => (isOpen(row) && turned[row] === 1 ? -raw(row) : raw(row)) };
  }
  if (convention === 'normal-side')
    return {
      convention,
      turns,
      amountAt: (row) => (isOpen(row) && sideOf(row) === 'credit' ? -raw(row) : raw(row)),
    };
  return { convention, turns, amountAt: raw };
};

/** The usual side of a row's account: as the paper's own column of types has it or the chart knows it, else by its section and name. */
type SideOf = (row: number) => Side | undefined;

const sidesOf = (skeleton: Skeleton, marks: Marks, hint: Hint | undefined): SideOf => {
  const sections = sectionSides(skeleton, marks);
  const types = skeleton.types();
  // Asked for many times: 1 debit, 2 credit, 3 unknown, 0 not looked at.
  const known = new Uint8Array(skeleton.size);
  return (row) => {
    if (known[row] === 0) {
      const [code, name] = [skeleton.code[row] ?? '', skeleton.name[row] ?? ''];
      const side =
        types?.[row]?.side ??
        hint?.({ code, name }) ??
        usualSide(name, sections[row] === 1 ? 'debit' : sections[row] === 2 ? 'credit' : undefined);
      known[row] = side === 'debit' ? 1 : side === 'credit' ? 2 : 3;
    }
    return known[row] === 1 ? 'debit' : known[row] === 2 ? 'credit' : undefined;
  };
};

/**
 * 1 for rows in a section that stands in debit, 2 for one in credit, by the words of the headings; till the total that ends it, or,
 * below a heading whose code the next one goes on from, as far as codes go on from it.
 */
const sectionSides = (skeleton: Skeleton, marks: Marks): Uint8Array => {
  const sides = new Uint8Array(skeleton.size);
  let side = 0;
  let over = false;
  let stem = '';
  for (let row = 0; row < skeleton.size; row += 1) {
    const mark = marks.mark[row];
    const code = skeleton.code[row] ?? '';
    if (stem !== '' && code !== '' && !code.startsWith(stem)) [side, stem] = [0, ''];
    if (mark === MARK.heading) {
      const found = sectionSide(skeleton.name[row] ?? '');
      if (found !== undefined) {
        side = found === 'debit' ? 1 : 2;
        const own = codeStem(code);
        stem = own !== '' && (skeleton.code[row + 1] ?? '').startsWith(own) ? own : '';
      } else if (over) side = 0;
      over = false;
    } else if (mark === MARK.total && marks.why[row] !== WHY.breakdown) over = true;
    sides[row] = side;
  }
  return sides;
};

/** Accounts on their usual side less those that are not, as a share of those whose side is known. */
const usualShare = (skeleton: Skeleton, marks: Marks, amountAt: (row: number) => bigint, sideOf: SideOf): number => {
  let [known, points, looked] = [0, 0, 0];
  for (let row = 0; row < skeleton.size && looked < MOST_VOTERS; row += 1) {
    if (marks.mark[row] !== MARK.account) continue;
    const amount = amountAt(row);
    if (amount === 0n) continue;
    looked += 1;
    const side = sideOf(row);
    if (side === undefined) continue;
    known += 1;
    points += amount > 0n === (side === 'debit') ? 1 : -1;
  }
  return known === 0 ? 0 : points / Math.max(known, 4);
};

/** The rows whose type stands in credit, where the paper has a column of types: what is against them there has a minus. */
const turnsOfTypes = (skeleton: Skeleton): readonly Turn[] | undefined =>
  skeleton.types()?.flatMap((type, row): readonly Turn[] => (type?.side === 'credit' ? [[row, row]] : []));

/** The conventions that a way leaves open, with the marks so far; one that nets to zero ends the search for turned sections. */
const openTo = (
  way: Way,
  skeleton: Skeleton,
  marks: Marks,
  values: Values,
  sideOf: SideOf,
  only: Convention | undefined,
): readonly Signs[] => {
  const under = (convention: Convention, turns: readonly Turn[] = []): Signs =>
    signsUnder(convention, skeleton, values, turns, sideOf);
  if (way.kind === 'pair') return [under(way.signed ? 'columns-signed' : 'written')];
  if (way.kind === 'sided') return [under('written')];
  if (only !== undefined && only !== 'section-side')
    return [under(only === 'written' || only === 'columns-signed' ? 'debit-positive' : only)];
  const plain = [under('debit-positive'), under('credit-positive')];
  const anyOpen = marks.mark.some((mark, row) => mark === MARK.account && values.open[row] === 1);
  if (!anyOpen) return only === 'section-side' ? [under('section-side')] : plain;
  if (only === undefined && netOf(marks, (row) => values.raw[row] ?? 0n) === 0n) return plain;
  const found = [turnsOf(skeleton, marks, values)?.turns, turnsOfTypes(skeleton)];
  const sections = found.flatMap((turns) => (turns === undefined ? [] : [under('section-side', turns)]));
  if (only === 'section-side') return sections.length > 0 ? sections : [under('section-side')];
  return [...plain, under('normal-side'), ...sections];
};

/** What one side comes to, or a part of it: amounts at which a row without a code is the total of a side. */
const sideSums = (marks: Marks, values: Values, signs: Signs, size: number): ReadonlySet<bigint> => {
  let [debits, credits] = [0n, 0n];
  eachAccount(marks, (row) => {
    const amount = signs.amountAt(row);
    if (amount > 0n) debits += amount;
    else credits -= amount;
  });
  const sums = new Set([debits, credits, debits > credits ? debits - credits : credits - debits]);
  if (signs.turns.length > 0) {
    const turned = inTurns(signs.turns, size);
    let [plain, other] = [0n, 0n];
    eachAccount(marks, (row) => {
      if (turned[row] === 1) other += values.raw[row] ?? 0n;
      else plain += values.raw[row] ?? 0n;
    });
    for (const sum of [plain, other]) sums.add(sum < 0n ? -sum : sum);
  }
  return sums;
};

const copied = (marks: Marks): Marks => ({
  mark: marks.mark.slice(),
  why: marks.why.slice(),
  confirmed: marks.confirmed,
  unconfirmed: new Set(marks.unconfirmed),
});

/** Every convention that a way leaves open, tried on all rows. */
export const trials = (
  way: Way,
  skeleton: Skeleton,
  values: Values,
  { asAccount, arrangement }: Pick<Reading, 'asAccount' | 'arrangement'>,
  hint: Hint | undefined,
  only?: Convention,
): readonly Trial[] => {
  const first = markRows(skeleton, values, asAccount);
  const sideOf = sidesOf(skeleton, first, hint);
  return openTo(way, skeleton, first, values, sideOf, only).map((signs): Trial => {
    const marks = copied(first);
    if (arrangement === 'two-sides') settleLevel(skeleton, marks, signs.amountAt, netOf(marks, signs.amountAt));
    settleBySides(skeleton, marks, values, sideSums(marks, values, signs, skeleton.size));
    const { setAside, uncoded } = settleLeft(skeleton, marks, signs);
    settleResults(skeleton, marks, signs);
    const heads = settleHeads(skeleton, marks, signs, asAccount);
    const sums = [...heads, ...settleSum(marks, signs, asAccount)];
    const odd = settleForm(skeleton, marks, signs, asAccount);
    // Without those the paper's own totals may be what the accounts come to.
    if (sums.length + odd.length > 0)
      settleBySides(skeleton, marks, values, sideSums(marks, values, signs, skeleton.size));
    // Beside a column of sides, an amount without one stands nowhere.
    if (way.kind === 'sided')
      eachAccount(marks, (row) => {
        if (values.open[row] === 1) marks.mark[row] = MARK.unreadable;
      });
    let [accounts, moving, unreadable] = [0, 0, 0];
    marks.mark.forEach((mark, row) => {
      if (mark === MARK.unreadable) unreadable += 1;
      if (mark !== MARK.account) return;
      accounts += 1;
      if (values.raw[row] !== 0n) moving += 1;
    });
    const net = netOf(marks, signs.amountAt);
    const usual = usualShare(skeleton, marks, signs.amountAt, sideOf);
    const points =
      (moving === 0 ? -60 : 0) +
      (net === 0n && moving >= 2 ? 30 : 0) +
      Math.min(12, marks.confirmed * 2) -
      Math.min(12, marks.unconfirmed.size * 3) -
      Math.min(10, (uncoded.length + setAside.length + sums.length + (odd.length > 0 ? 2 : 0)) * 2) -
      Math.min(30, (unreadable * 60) / Math.max(1, accounts + unreadable)) +
      usual * 8 +
      (signs.convention === 'normal-side' ? -4 : signs.convention === 'section-side' ? -1 : 0) +
      (signs.convention === 'credit-positive' ? -0.5 : 0);
    return {
      way,
      convention: signs.convention,
      marks,
      values,
      amountAt: signs.amountAt,
      net,
      accounts,
      moving,
      setAside,
      sums,
      odd,
      uncoded,
      unreadable,
      usual,
      points,
    };
  });
};
