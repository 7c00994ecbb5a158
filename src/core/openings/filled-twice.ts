import type { AccountId } from '../chart/account';
import { codeStem } from '../chart/codes';

const BEYOND = '\uffff';

/**
 * Finds accounts whose figure is what the accounts under their code come to together, with how many those are: in the old
 * system such an account was a heading, or a total, and was filled as well as its parts. At least two parts have a figure.
 * The codes are put in order once; the function that comes back looks at figures, which change with every key.
 */
export const filledTwice = (
  accounts: readonly { readonly id: AccountId; readonly code: string }[],
): ((amountOf: (id: AccountId) => bigint) => ReadonlyMap<AccountId, number>) => {
  const sorted = accounts.filter(({ code }) => code !== '').sort((a, b) => (a.code < b.code ? -1 : 1));
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
  // Looked for once, and only of accounts with a figure: most of a large sheet has none.
  const ranges: (readonly [from: number, to: number])[] = [];
  const rangeOf = (at: number): readonly [from: number, to: number] => {
    const stem = codeStem(sorted[at]?.code ?? '');
    return (ranges[at] ??= [place(stem), place(stem + BEYOND)]);
  };
  return (amountOf) => {
    const sums = [0n];
    const filled = [0];
    for (const { id } of sorted) {
      const amount = amountOf(id);
      sums.push((sums.at(-1) ?? 0n) + amount);
      filled.push((filled.at(-1) ?? 0) + (amount === 0n ? 0 : 1));
    }
    const found = new Map<AccountId, number>();
    sorted.forEach(({ id }, at) => {
      const amount = (sums[at + 1] ?? 0n) - (sums[at] ?? 0n);
      if (amount === 0n) return;
      const [from, to] = rangeOf(at);
      // The account itself begins with its stem too, so its parts are fewer by one than the codes that do.
      const parts = (filled[to] ?? 0) - (filled[from] ?? 0) - 1;
      if (parts >= 2 && (sums[to] ?? 0n) - (sums[from] ?? 0n) - amount === amount) found.set(id, parts);
    });
    return found;
  };
};
