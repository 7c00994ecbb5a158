import type { Kept } from '../base/kept';
import { type Minor, minor } from '../money/minor';
import { type Decision } from './takeover';

/** Decisions about rows as the record keeps them: amounts are text; null where nothing is decided. */
export const keptDecisions = (decided: ReadonlyMap<number, Decision | null>): Kept =>
  Object.fromEntries(
    [...decided].map(([row, decision]) => [
      String(row),
      decision?.kind === 'split'
        ? { ...decision, parts: decision.parts.map(({ account, amount }) => ({ account, amount: String(amount) })) }
        : (decision as unknown as Kept),
    ]),
  );

export const decisionsFrom = (kept: Kept): ReadonlyMap<number, Decision | null> =>
  new Map(
    Object.entries(kept as unknown as Record<string, KeptDecision | null>).map(([row, decision]) => [
      Number(row),
      decision?.kind === 'split'
        ? { ...decision, parts: decision.parts.map(({ account, amount }) => ({ account, amount: amountOf(amount) })) }
        : decision,
    ]),
  );

type Split = Extract<Decision, { kind: 'split' }>;
type KeptDecision =
  | Exclude<Decision, Split>
  | {
      readonly kind: 'split';
      readonly parts: readonly { readonly account: Split['parts'][number]['account']; readonly amount: string }[];
    };

const amountOf = (text: string): Minor => minor(BigInt(text));
