import { codeStem } from '../chart/codes';
import { MARK, type Marks, WHY } from './mark';
import type { Reading } from './reading';
import { type Skeleton, shapeOf } from './skeleton';
import { isResult } from './total-words';

/** What the netting to zero of all accounts decides about rows that nothing else has decided. */

/** The amounts of rows, debit positive. */
interface Amounts {
  readonly amountAt: (row: number) => bigint;
}

export const eachAccount = (marks: Marks, work: (row: number) => void): void => {
  marks.mark.forEach((mark, row) => {
    if (mark === MARK.account) work(row);
  });
};

export const netOf = (marks: Marks, amountAt: (row: number) => bigint): bigint => {
  let net = 0n;
  eachAccount(marks, (row) => {
    net += amountAt(row);
  });
  return net;
};

const size = (amount: bigint): bigint => (amount < 0n ? -amount : amount);

/**
 * Settles the rows without a code that nothing has explained: they are no accounts where the paper nets to zero without them,
 * and accounts where it does so only with them. Else the year's result is set aside, and the others are accounts. Where another
 * part of the paper comes to that result, as a sum of its rows, nothing is left to ask.
 */
export const settleLeft = (
  skeleton: Skeleton,
  marks: Marks,
  signs: Amounts,
): { readonly setAside: readonly number[]; readonly uncoded: readonly number[] } => {
  const left: number[] = [];
  marks.mark.forEach((mark, row) => {
    if (mark === MARK.open) left.push(row);
  });
  if (left.length === 0) return { setAside: [], uncoded: [] };
  const net = netOf(marks, signs.amountAt);
  const together = left.reduce((sum, row) => sum + signs.amountAt(row), 0n);
  const [setAside, uncoded]: [number[], number[]] = [[], []];
  const results = new Set<bigint>();
  if (net === 0n)
    marks.mark.forEach((mark, row) => {
      if (mark === MARK.total && isResult(skeleton.name[row] ?? '')) results.add(size(signs.amountAt(row)));
    });
  for (const row of left) {
    if (results.has(size(signs.amountAt(row))) && isResult(skeleton.name[row] ?? '')) {
      marks.mark[row] = MARK.total;
      marks.why[row] = WHY.result;
      continue;
    }
    const aside = net === 0n || (net + together !== 0n && isResult(skeleton.name[row] ?? ''));
    marks.mark[row] = aside ? MARK.total : MARK.account;
    marks.why[row] = aside ? WHY.left : WHY.none;
    (aside ? setAside : uncoded).push(row);
  }
  return { setAside, uncoded };
};

/**
 * The year's result as it stands at the foot of the balance sheet and again, on the other side, at that of the income statement:
 * what makes each of them even, and no account.
 */
export const settleResults = (skeleton: Skeleton, marks: Marks, signs: Amounts): void => {
  const seen = new Map<bigint, number[]>();
  eachAccount(marks, (row) => {
    const amount = signs.amountAt(row);
    if (skeleton.code[row] === '' && amount !== 0n && isResult(skeleton.name[row] ?? ''))
      seen.set(amount, [...(seen.get(amount) ?? []), row]);
  });
  for (const [amount, rows] of seen) {
    const against = seen.get(-amount);
    if (against?.length !== rows.length) continue;
    for (const row of rows) {
      marks.mark[row] = MARK.total;
      marks.why[row] = WHY.result;
    }
  }
};

/** Two rows come to a third by chance sooner than three do. */
const FEWEST_SUMMED = 3;

/**
 * Subtotals that have codes like accounts: rows right above, however many, come to each of them, and all such together are what the
 * accounts are out by; or one of them is, alone.
 */
export const settleSum = (marks: Marks, signs: Amounts, asAccount: Reading['asAccount']): readonly number[] => {
  const net = netOf(marks, signs.amountAt);
  if (net === 0n) return [];
  const among = (isCandidate: (amount: bigint) => boolean): readonly number[] => {
    // What the accounts come to up to each row, with how many of them there are then; a subtotal is none of them.
    const sums = new Map<bigint, number>([[0n, 0]]);
    let [sum, count] = [0n, 0];
    const found: number[] = [];
    eachAccount(marks, (row) => {
      const amount = signs.amountAt(row);
      const may = amount !== 0n && isCandidate(amount) && asAccount[String(row)] !== true;
      const from = may ? sums.get(sum - amount) : undefined;
      if (from !== undefined && count - from >= FEWEST_SUMMED) {
        found.push(row);
        return;
      }
      sum += amount;
      count += 1;
      sums.set(sum, count);
    });
    return found;
  };
  const only = among((amount) => amount === net);
  const all = only.length === 1 ? only : among(() => true);
  if (all.reduce((sum, row) => sum + signs.amountAt(row), 0n) !== net) return [];
  for (const row of all) {
    marks.mark[row] = MARK.total;
    marks.why[row] = WHY.above;
  }
  return all;
};

/** A heading sums up no more rows than this, right below it. */
const MOST_UNDER = 500;

/**
 * Accounts that stand above others and carry their sum: the rows right below such a one, whose codes begin as its own does, come to its
 * amount, and all such together are what the accounts are out by; or one of them is, alone.
 */
export const settleHeads = (
  { code }: Skeleton,
  marks: Marks,
  { amountAt }: Amounts,
  asAccount: Reading['asAccount'],
): readonly number[] => {
  const net = netOf(marks, amountAt);
  if (net === 0n) return [];
  const rows: number[] = [];
  eachAccount(marks, (row) => {
    rows.push(row);
  });
  const heads = rows.filter((row, place) => {
    const [own, whole] = [amountAt(row), code[row] ?? ''];
    const stem = codeStem(whole);
    if (own === 0n || stem === '' || asAccount[String(row)] === true) return false;
    let sum = 0n;
    for (const [parts, under] of rows.slice(place + 1, place + 1 + MOST_UNDER).entries()) {
      const below = code[under] ?? '';
      if (!below.startsWith(stem)) return false;
      sum += amountAt(under);
      // One alone that merely stands behind it shows nothing; one whose code goes on from its own does.
      if (sum === own && (parts > 0 || (below !== whole && below.startsWith(whole)))) return true;
    }
    return false;
  });
  const only = heads.filter((row) => amountAt(row) === net);
  const found = heads.reduce((sum, row) => sum + amountAt(row), 0n) === net ? heads : only.length === 1 ? only : [];
  for (const row of found) {
    marks.mark[row] = MARK.total;
    marks.why[row] = WHY.under;
  }
  return found;
};

/** Fewer rows of one form are alike by chance. */
const FEWEST_ALIKE = 2;
/** Rows of a form that more than this share of the accounts have are the accounts. */
const MOST_ALIKE = 1 / 3;

/** Rows of one form, or of one word in a column of kinds. */
interface Alike {
  readonly rows: number[];
  sum: bigint;
  byHand: boolean;
}

const groupsBy = (
  marks: Marks,
  { amountAt }: Amounts,
  asAccount: Reading['asAccount'],
  formOf: (row: number) => string,
): readonly Alike[] => {
  const forms = new Map<string, Alike>();
  eachAccount(marks, (row) => {
    const amount = amountAt(row);
    if (amount === 0n) return;
    const form = formOf(row);
    const known = forms.get(form) ?? { rows: [], sum: 0n, byHand: false };
    known.rows.push(row);
    known.sum += amount;
    known.byHand ||= asAccount[String(row)] === true;
    forms.set(form, known);
  });
  return [...forms.values()];
};

/**
 * Rows of one form that are no accounts, such as quantities between the accounts: their codes look otherwise than most, or a column
 * calls them by a word of its own and most are sums of the others, and they come to exactly what the accounts are out by. Only where one form alone is so, and no result that stands twice would explain it.
 */
export const settleForm = (
  skeleton: Skeleton,
  marks: Marks,
  signs: Amounts,
  asAccount: Reading['asAccount'],
): readonly number[] => {
  const net = netOf(marks, signs.amountAt);
  if (net === 0n || !skeleton.coded) return [];
  let [moving, result] = [0, false];
  eachAccount(marks, (row) => {
    const amount = signs.amountAt(row);
    if (amount === 0n) return;
    moving += 1;
    if ((amount === net || amount === -net) && isResult(skeleton.name[row] ?? '')) result = true;
  });
  const explain = (groups: readonly Alike[]): readonly Alike[] =>
    groups.filter(
      ({ rows, sum, byHand }) =>
        !byHand && sum === net && rows.length >= FEWEST_ALIKE && rows.length <= moving * MOST_ALIKE,
    );
  const found = explain(groupsBy(marks, signs, asAccount, (row) => shapeOf(skeleton.code[row])));
  const [only] =
    found.length > 0
      ? found
      : skeleton.kinds.flatMap((kinds) =>
          explain(groupsBy(marks, signs, asAccount, (row) => kinds[row] ?? '')).filter(({ rows }) =>
            areSums(marks, signs, rows),
          ),
        );
  if (only === undefined || found.length > 1 || result) return [];
  for (const row of only.rows) {
    marks.mark[row] = MARK.total;
    marks.why[row] = found.length > 0 ? WHY.form : WHY.kind;
  }
  return only.rows;
};

/** Whether most of these rows come to what a run of the others right above them does. */
const areSums = (marks: Marks, { amountAt }: Amounts, rows: readonly number[]): boolean => {
  const own = new Set(rows);
  const sums = new Set<bigint>([0n]);
  let [sum, found] = [0n, 0];
  eachAccount(marks, (row) => {
    const amount = amountAt(row);
    if (!own.has(row)) sums.add((sum += amount));
    else if (sums.has(sum - amount)) found += 1;
  });
  return found * 2 > rows.length;
};
