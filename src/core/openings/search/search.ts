import { addTo } from '../../base/lists';
import { type Minor, NIL, minor, subtract, sum } from '../../money/minor';
import { totalsOf } from '../../ledger/level';
import { type Candidate, candidates, causeOf, stepOf } from './causes';
import { type ErrorKind, priorOf } from './kinds';
import type { Hypothesis, SearchFigure, SearchInput } from './types';

/**
 * The out-of-balance search: which errors would explain that debits and credits differ, ranked.
 *
 * Ranking is by weight: *prior of the kind* × *evidence* ÷ *the number of candidates of the kind* × *how exactly it fits*.
 * Dividing by the number of candidates is what makes a coincidence cheap: where two thousand transpositions are possible,
 * that one of them fits by chance is two thousand times as likely as that the only subtotal does. A pair weighs the product
 * of its two. Where the paper states its own column totals, a hypothesis under which both columns reach them gains.
 */
export interface SearchOptions {
  /** Also look for pairs of causes, which takes longer. */
  readonly pairs: boolean;
  readonly most: number;
}

/** Two independent errors in one trial balance are about this much rarer than one. */
const PAIR = 0.08;
/** What both columns meeting the paper's own totals is worth, and what missing them costs. */
const MEETS_TOTALS = 40;
const MISSES_TOTALS = 0.4;
/** Hypotheses kept while looking; the rest are far lighter. */
const KEPT = 400;

interface Found {
  readonly parts: readonly { readonly candidate: Candidate; readonly effect: bigint }[];
  readonly weight: number;
}

export const netOf = (input: Pick<SearchInput, 'figures'>): Minor => sum(input.figures.map(({ amount }) => amount));

/** Hypotheses, the likeliest first; none when the figures net to zero. Pure, and the same for every order of the figures. */
export const search = (given: SearchInput, options: SearchOptions): readonly Hypothesis[] => {
  const net = netOf(given);
  if (net === 0n) return [];
  const input = { ...given, figures: [...given.figures].sort(byAddress) };
  const fits = (effect: bigint, slack: bigint): boolean => effect + net <= slack && -effect - net <= slack;
  const { kept, evidence } = candidates(input, options.pairs ? () => true : fits, -net);
  const weightOf = weigher(evidence);
  const found: Found[] = kept
    .filter(({ effect, slack }) => fits(effect, slack))
    .map((candidate) => ({ parts: [{ candidate, effect: -net }], weight: weightOf(candidate) }));
  if (options.pairs) found.push(...pairs(kept, net, weightOf));
  const paper = beside(input, net);
  if (paper !== undefined) found.push(paper);
  const hypotheses = found
    .sort((a, b) => b.weight - a.weight)
    .slice(0, KEPT)
    .map((one) => ({ ...one, weight: one.weight * fit(one, input) }));
  const rounded = roundingWeight(input, net);
  const total =
    hypotheses.reduce((whole, { weight }) => whole + weight, 0) + rounded + noneOfThese(hypotheses, kept, net);
  const kindsOf = ({ parts }: Found): string => parts.map(({ candidate }) => candidate.kind).join('+');
  const copied = isCopied(input);
  const ranked = hypotheses.map((one): Hypothesis => ({
    causes: one.parts.map(({ candidate, effect }) => causeOf(candidate, effect, input)),
    explains: net,
    after: NIL,
    weight: one.weight / total,
    inPaper: copied && one.parts.every(({ candidate }) => BY_HAND.has(candidate.kind)),
    ties: hypotheses.filter(
      (other) => kindsOf(other) === kindsOf(one) && Math.abs(other.weight - one.weight) <= one.weight * 1e-9,
    ).length,
  }));
  if (rounded > 0)
    ranked.push({
      causes: [{ kind: 'rounding', changes: [], effect: subtract(NIL, net) }],
      explains: net,
      after: NIL,
      weight: rounded / total,
      inPaper: copied,
      ties: 1,
    });
  return ranked.sort((a, b) => b.weight - a.weight).slice(0, options.most);
};

/** Slips of the hand that wrote a figure; the other kinds are made when a paper is read or taken over. */
const BY_HAND: ReadonlySet<ErrorKind> = new Set(['side', 'transposed', 'digit', 'slipped', 'zero']);

/** Whether every figure is what the rows of a paper come to. */
const isCopied = ({ figures }: SearchInput): boolean =>
  figures.some(({ rows }) => rows.length > 0) && figures.every(({ amount, rows }) => sum(rows) === amount);

/** Of the errors that are made, so many are of no kind that is known here. */
const OUTSIDE = 0.12;
/** Differences are spread evenly over the logarithm, from a unit to this many powers of e. */
const MAGNITUDES = 16;

/**
 * What speaks for none of the hypotheses: the weight of an unknown error of just this size, and for pairs the number of them that
 * would come to it by chance alone.
 */
const noneOfThese = (found: readonly Found[], kept: readonly Candidate[], net: bigint): number => {
  const unknown = OUTSIDE / (Math.max(1, Math.abs(Number(net))) * MAGNITUDES);
  const paired = found.filter(({ parts }) => parts.length > 1).reduce((sum, { weight }) => sum + weight, 0);
  if (paired === 0) return unknown;
  const sizes = kept.map(({ effect }) => Math.abs(Number(effect))).sort((a, b) => a - b);
  const spread = Math.max(1, 4 * (sizes[Math.floor(sizes.length / 2)] ?? 1));
  const byChance = (kept.length * kept.length) / 2 / spread;
  return unknown + paired * byChance * 30;
};

/** The paper nets to zero by itself: then all that differs from it, and all that was not taken, is what is wrong, together. */
const beside = ({ figures, untaken }: SearchInput, net: bigint): Found | undefined => {
  const paper = [...figures.flatMap(({ rows }) => rows), ...untaken.map(({ amount }) => amount)];
  if (paper.length < 2 || sum(paper) !== 0n) return undefined;
  const parts = [
    ...figures.flatMap(({ amount, rows }, at): Found['parts'][number][] => {
      const effect = sum(rows) - amount;
      return effect === 0n
        ? []
        : [
            {
              effect,
              candidate: {
                kind: rows.length === 0 ? 'twice' : 'differs',
                effect,
                evidence: 1,
                slack: 0n,
                touches: [at],
              },
            },
          ];
    }),
    ...untaken.map((row, at): Found['parts'][number] => ({
      effect: row.amount,
      candidate: { kind: 'left-out', effect: row.amount, evidence: 1, slack: 0n, touches: [], untaken: at },
    })),
  ];
  const all = parts.reduce((whole, { effect }) => whole + effect, 0n);
  // One or two are found by themselves, and say better what happened to them.
  return parts.length < 3 || parts.length > MOST_PARTS || all !== -net ? undefined : { parts, weight: 1 };
};

const MOST_PARTS = 30;

/** By code, so that the result does not depend on the order in which the figures came. */
const byAddress = (a: SearchFigure, b: SearchFigure): number =>
  a.code < b.code ? -1 : a.code > b.code ? 1 : a.account - b.account;

/** Prior × evidence, spread over the candidates of the kind. An estimate that fits within a slack fits by chance that much more often. */
const weigher =
  (evidence: ReadonlyMap<ErrorKind, number>) =>
  (one: Candidate): number =>
    (priorOf(one.kind) * one.evidence) / (evidence.get(one.kind) ?? 1) / Number(2n * one.slack + 1n);

const together = (a: Candidate, b: Candidate): boolean =>
  !a.touches.some((at) => b.touches.includes(at)) && (a.untaken === undefined || a.untaken !== b.untaken);

/** Two exact causes that explain the difference together. */
const pairs = (
  all: readonly Candidate[],
  net: bigint,
  weightOf: (candidate: Candidate) => number,
): readonly Found[] => {
  const weighed = all.flatMap((candidate) =>
    candidate.slack === 0n ? [{ candidate, weight: weightOf(candidate) }] : [],
  );
  const byEffect = new Map<bigint, number[]>();
  weighed.forEach(({ candidate }, at) => {
    addTo(byEffect, candidate.effect, at);
  });
  let kept: Found[] = [];
  let floor = 0;
  weighed.forEach((a, at) => {
    for (const other of byEffect.get(-net - a.candidate.effect) ?? []) {
      const b = weighed[other];
      if (other <= at || b === undefined) continue;
      const weight = PAIR * a.weight * b.weight;
      if (weight <= floor || !together(a.candidate, b.candidate)) continue;
      kept.push({
        weight,
        parts: [a.candidate, b.candidate].map((candidate) => ({ candidate, effect: candidate.effect })),
      });
      if (kept.length > 2 * KEPT) {
        kept = kept.sort((x, y) => y.weight - x.weight).slice(0, KEPT);
        floor = kept.at(-1)?.weight ?? 0;
      }
    }
  });
  return kept;
};

/** Whether both columns reach the totals that the paper states, once the hypothesis is applied. */
const fit = ({ parts }: Found, input: SearchInput): number => {
  if (input.totals === null) return 1;
  const { debits, credits } = totalsOf(input.figures.map(({ amount }) => amount));
  let [dr, cr] = [debits as bigint, credits as bigint];
  for (const { candidate, effect } of parts)
    for (const { from, to } of causeOf(candidate, effect, input).changes) {
      dr += (to > 0n ? to : 0n) - (from > 0n ? from : 0n);
      cr += (to < 0n ? -to : 0n) - (from < 0n ? -from : 0n);
    }
  return dr === input.totals.debits && cr === input.totals.credits ? MEETS_TOTALS : MISSES_TOTALS;
};

/**
 * How well the rounding of the paper explains the difference: each row may be off by half a step, so the sum of many is
 * spread around nil with the variance n/12 steps (uniform rounding errors). Nothing beyond four deviations.
 */
const roundingWeight = ({ figures }: SearchInput, net: bigint): number => {
  const counted = figures.filter(({ amount }) => amount !== 0n);
  const step = stepOf(counted);
  if (counted.length < 2 || net % step !== 0n) return 0;
  const steps = Number(net / step);
  const variance = counted.length / 12;
  if (!Number.isFinite(steps) || steps * steps > 16 * variance) return 0;
  return priorOf('rounding') * (Math.exp((-steps * steps) / (2 * variance)) / Math.sqrt(2 * Math.PI * variance));
};

/** The figures as they would stand with a hypothesis applied; a row left out that has no account yet changes none. */
export const applied = (input: SearchInput, hypothesis: Hypothesis): ReadonlyMap<number, Minor> => {
  const amounts = new Map<number, Minor>(input.figures.map(({ account, amount }) => [account, amount]));
  for (const { changes } of hypothesis.causes)
    for (const { account, from, to } of changes) amounts.set(account, minor((amounts.get(account) ?? NIL) + to - from));
  return amounts;
};
