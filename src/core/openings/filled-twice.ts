import type { AccountId } from '../chart/account';

/** A figure by its account's code. */
interface Coded {
  readonly id: AccountId;
  readonly code: string;
  readonly amount: bigint;
}

const BEYOND = '\uffff';

/** The code without the noughts at its end: what the codes under it begin with. */
const stemOf = (code: string): string => code.replace(/0+$/, '') || code;

/**
 * Accounts whose figure is what the accounts under their code come to together, with how many those are: in the old system
 * such an account was a heading, or a total, and was filled as well as its parts. At least two parts have a figure.
 */
export const filledTwice = (figures: readonly Coded[]): ReadonlyMap<AccountId, number> => {
  const sorted = figures
    .filter(({ code, amount }) => code !== '' && amount !== 0n)
    .sort((a, b) => (a.code < b.code ? -1 : 1));
  const sums = [0n];
  for (const { amount } of sorted) sums.push((sums.at(-1) ?? 0n) + amount);
  /** The place of the first code that is not before the text. */
  const place = (text: string): number => {
    let [low, high] = [0, sorted.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((sorted[middle]?.code ?? '') < text) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const found = new Map<AccountId, number>();
  for (const { id, code, amount } of sorted) {
    const stem = stemOf(code);
    const [from, to] = [place(stem), place(stem + BEYOND)];
    // The account itself begins with its stem too.
    if (to - from - 1 >= 2 && (sums[to] ?? 0n) - (sums[from] ?? 0n) - amount === amount) found.set(id, to - from - 1);
  }
  return found;
};
