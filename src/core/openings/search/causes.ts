import type { IsoDate } from '../../base/iso-date';
import { addTo } from '../../base/lists';
import { type Classification, isResult, typeOf } from '../../ledger/classes';
import { type Minor, NIL, minor, subtract, sum } from '../../money/minor';
import { type Ratio, inverse, times } from '../../money/ratio';
import { divideRounded } from '../../money/rounding';
import type { ErrorKind } from './kinds';
import { digitChanges, undoDigit, undoSlips } from './slips';
import type { Cause, FigureChange, SearchFigure, SearchInput } from './types';

/** A cause that is worth weighing. Its changes are made only when it fits something, since most never do. */
export interface Candidate {
  readonly kind: ErrorKind;
  readonly effect: bigint;
  /** Speaks for (above 1) or against (below 1) this candidate among those of its kind. */
  readonly evidence: number;
  /** By how much an estimate may be off: where an amount in currency is not known, its translation is known to this many units only. */
  readonly slack: bigint;
  /** Figures it touches; two causes of a pair touch none in common. */
  readonly touches: readonly number[];
  readonly date?: IsoDate;
  readonly untaken?: number;
}

/** Amounts are rarely on the side that is unusual for their account. */
const ON_UNUSUAL_SIDE = 8;
const ON_NORMAL_SIDE = 0.5;

const scaled = (amount: bigint, ratio: Ratio): bigint => divideRounded(amount * ratio.n, ratio.d);

export interface Candidates {
  readonly kept: readonly Candidate[];
  /** The evidence of all candidates of a kind together, also of those not kept. */
  readonly evidence: ReadonlyMap<ErrorKind, number>;
}

/**
 * The candidates of every kind that `keep` wants, by their effect and slack; all are counted, since how many there are
 * decides how easily one fits by chance. A digit may be wrong in so many ways that it is only looked for where it makes up for
 * all that is `missing`.
 */
export const candidates = (
  { figures, untaken, atYearStart }: SearchInput,
  keep: (effect: bigint, slack: bigint) => boolean,
  missing: bigint,
): Candidates => {
  const kept: Candidate[] = [];
  const evidence = new Map<ErrorKind, number>();
  const put = (
    kind: ErrorKind,
    effect: bigint,
    touches: readonly number[],
    more: Partial<Omit<Candidate, 'kind' | 'effect' | 'touches'>> = {},
  ): void => {
    if (effect === 0n) return;
    evidence.set(kind, (evidence.get(kind) ?? 0) + (more.evidence ?? 1));
    if (keep(effect, more.slack ?? 0n)) kept.push({ kind, effect, touches, evidence: 1, slack: 0n, ...more });
  };

  figures.forEach((figure, at) => {
    const { amount, rows } = figure;
    const touches = [at];
    const fromPaper = sum(rows);
    if (rows.length > 0 && fromPaper !== amount) put('differs', fromPaper - amount, touches);
    const unusual = amount > 0n !== (figure.normal === 'debit');
    undoSlips(amount, (slip, effect) => {
      const evidence = slip === 'side' ? (unusual ? ON_UNUSUAL_SIDE : ON_NORMAL_SIDE) : unusual ? 0.5 : 1;
      put(slip, effect, touches, { evidence });
    });
    if (rows.length === 0 || fromPaper === amount) {
      evidence.set('digit', (evidence.get('digit') ?? 0) + digitChanges(amount));
      const mended = undoDigit(amount, missing);
      // A slip of another kind says more, where one does the same.
      if (mended !== undefined && !kept.some((one) => one.effect === mended && one.touches[0] === at))
        kept.push({ kind: 'digit', effect: mended, touches, evidence: unusual ? 0.5 : 1, slack: 0n });
    }
    if (rows.length > 1)
      for (const row of new Set(rows)) {
        if (rows.filter((one) => one === row).length > 1) put('twice', -row, touches, { evidence: 8 });
      }
    else if (amount % 2n === 0n) put('twice', -amount / 2n, touches, { evidence: 0.5 });
    translations(figure, (kind, to, slack, date) =>
      put(kind, to - amount, touches, { slack, ...(date === undefined ? {} : { date }) }),
    );
  });
  sameTwice(figures, (at) => put('twice', -(figures[at]?.amount ?? 0n), [at], { evidence: 4 }));
  const summed = new Set<number>();
  runs(figures, (at, parts, after) => {
    if (after) summed.add(at);
    put(after ? 'heading' : 'subtotal', -(figures[at]?.amount ?? 0n), [at], { evidence: 2 * parts });
  });
  headings(figures, (at, parts) => {
    if (!summed.has(at)) put('heading', -(figures[at]?.amount ?? 0n), [at], { evidence: parts });
  });
  groups(figures, (members) =>
    put('class-sign', -2n * sum(members.map((at) => figures[at]?.amount ?? NIL)), members, {
      // A whole class on the side where none of it belongs is how such a class looks.
      evidence: members.every((at) => onUnusualSide(figures[at])) ? 30 : 0.3,
    }),
  );
  results(figures, atYearStart, (effect, touches) => put('results', effect, touches));
  untaken.forEach((row, at) =>
    put('left-out', row.amount, [], { untaken: at, evidence: row.account === null ? 0.6 : 1 }),
  );
  return { kept, evidence };
};

const onUnusualSide = (figure: SearchFigure | undefined): boolean =>
  figure !== undefined && figure.amount !== 0n && figure.amount > 0n !== (figure.normal === 'debit');

/** What an amount in a foreign currency would be, were its rate turned round, of another day, or left off. */
const translations = (
  { amount, rates, foreign }: SearchFigure,
  put: (kind: ErrorKind, to: bigint, slack: bigint, date?: IsoDate) => void,
): void => {
  if (rates === undefined || amount === 0n) return;
  const { now, others } = rates;
  // Half a unit of the amount in currency, and half a unit of base, are unknown where only the base amount is there.
  const slack = (ratio: Ratio): bigint => ratio.n / ratio.d / 2n + 1n;
  if (foreign !== undefined) {
    const right = scaled(foreign, now);
    if (right === amount) return;
    const other = others.find(({ ratio }) => scaled(foreign, ratio) === amount);
    if (amount === foreign) put('currency', right, 0n);
    else if (scaled(foreign, inverse(now)) === amount) put('rate-inverted', right, 0n);
    else put('rate-date', right, 0n, other?.date);
    return;
  }
  put('currency', scaled(amount, now), 0n);
  const squared = times(now, now);
  put('rate-inverted', scaled(amount, squared), slack(squared));
  for (const { date, ratio } of others) {
    const turned = times(now, inverse(ratio));
    put('rate-date', scaled(amount, turned), slack(turned), date);
  }
};

/** Accounts whose amount stands on another account too, sign and all: one row taken into two accounts. */
const sameTwice = (figures: readonly SearchFigure[], put: (at: number) => void): void => {
  const seen = new Map<bigint, number>();
  figures.forEach(({ amount }, at) => {
    if (amount === 0n) return;
    const first = seen.get(amount);
    if (first === undefined) seen.set(amount, at);
    else {
      put(first);
      put(at);
    }
  });
};

const inOrder = (figures: readonly SearchFigure[]): readonly number[] =>
  figures
    .map((_, at) => at)
    .sort((a, b) => {
      const [left, right] = [figures[a], figures[b]];
      if (left === undefined || right === undefined) return 0;
      return left.order !== undefined && right.order !== undefined
        ? left.order - right.order
        : left.code < right.code
          ? -1
          : left.code > right.code
            ? 1
            : 0;
    });

/**
 * Figures that are exactly the sum of at least two figures just before them (a subtotal taken as an account) or just after them
 * (a heading filled as well as its parts), however long the run: in the order of the paper, whatever the codes. The year's
 * result and what is retained are sums by nature and left out.
 */
const runs = (figures: readonly SearchFigure[], put: (at: number, parts: number, after: boolean) => void): void => {
  const order = inOrder(figures);
  const sums = [0n];
  for (const at of order) sums.push((sums.at(-1) ?? 0n) + (figures[at]?.amount ?? 0n));
  const places = new Map<bigint, number[]>();
  sums.forEach((sum, place) => {
    addTo(places, sum, place);
  });
  order.forEach((at, place) => {
    const figure = figures[at];
    if (figure === undefined || figure.amount === 0n || IS_A_SUM.has(figure.role)) return;
    const [before, after] = [sums[place] ?? 0n, sums[place + 1] ?? 0n];
    const from = places.get(before - figure.amount)?.findLast((one) => one <= place - 2);
    const to = places.get(after + figure.amount)?.find((one) => one >= place + 3);
    if (from !== undefined) put(at, place - from, false);
    if (to !== undefined) put(at, to - place - 1, true);
  });
};

const IS_A_SUM: ReadonlySet<SearchFigure['role']> = new Set(['retained-earnings', 'current-year-result']);

/** Figures whose code begins the codes of at least two others and whose amount is exactly their sum. */
const headings = (figures: readonly SearchFigure[], put: (at: number, parts: number) => void): void => {
  const sums = new Map<string, { total: bigint; parts: number }>();
  for (const { code, amount } of figures)
    for (let length = 1; length < code.length; length += 1) {
      const stem = code.slice(0, length);
      const known = sums.get(stem);
      if (known === undefined) sums.set(stem, { total: amount, parts: 1 });
      else {
        known.total += amount;
        known.parts += 1;
      }
    }
  figures.forEach(({ code, amount, role }, at) => {
    if (amount === 0n || code === '' || IS_A_SUM.has(role)) return;
    for (const stem of new Set([code, code.replace(/(?<!0)0+$/, '')])) {
      const under = sums.get(stem);
      if (under === undefined) continue;
      // A heading such as 1000 stands among the codes that its stem begins: itself is no part of it.
      const own = stem === code ? 0n : amount;
      if (under.parts - (stem === code ? 0 : 1) > 1 && under.total - own === amount) {
        put(at, 2 * under.parts);
        return;
      }
    }
  });
};

/** The figures of each classification and of each type, where there are at least two. */
const groups = (figures: readonly SearchFigure[], put: (members: readonly number[]) => void): void => {
  const lines = new Map<Classification, number[]>();
  const types = new Map<string, number[]>();
  figures.forEach(({ classification, amount }, at) => {
    if (amount === 0n) return;
    for (const [map, key] of [
      [lines, classification],
      [types, typeOf(classification)],
    ] as const) {
      const known = (map as Map<string, number[]>).get(key);
      if (known === undefined) (map as Map<string, number[]>).set(key, [at]);
      else known.push(at);
    }
  });
  const seen = new Set<string>();
  for (const members of [...lines.values(), ...types.values()]) {
    const key = members.join();
    if (members.length > 1 && !seen.has(key)) put(members);
    seen.add(key);
  }
};

/**
 * Results that stand twice: on the income and expense accounts and in equity as well (at a year start the accounts should
 * stand at nil, in mid-year equity should not have them yet), or on the current year's result and in retained earnings.
 */
const results = (
  figures: readonly SearchFigure[],
  atYearStart: boolean,
  put: (effect: bigint, touches: readonly number[]) => void,
): void => {
  const own = figures.flatMap(({ classification, amount }, at) =>
    isResult(typeOf(classification)) && amount !== 0n ? [at] : [],
  );
  const result = sum(own.map((at) => figures[at]?.amount ?? NIL));
  const retained = figures.findIndex(({ role }) => role === 'retained-earnings');
  if (result !== 0n) {
    if (atYearStart) put(-result, own);
    else if (retained >= 0) put(-result, [retained]);
  }
  const current = figures.findIndex(({ role }) => role === 'current-year-result');
  const carried = figures[current]?.amount ?? NIL;
  if (carried !== 0n) put(-carried, [current]);
};

/** The changes that a candidate stands for. Its effect is met exactly: an estimate gives way to what the difference asks for. */
export const causeOf = (candidate: Candidate, effect: bigint, input: SearchInput): Cause => {
  const { kind, touches, date, untaken } = candidate;
  const row = untaken === undefined ? undefined : input.untaken[untaken];
  const change = (at: number, by: bigint): FigureChange[] => {
    const figure = input.figures[at];
    return figure === undefined
      ? []
      : [{ account: figure.account, from: figure.amount, to: minor(figure.amount + by) }];
  };
  const target = row?.account ?? null;
  const changes =
    row !== undefined
      ? target === null
        ? []
        : [
            {
              account: target,
              from: input.figures.find((one) => one.account === target)?.amount ?? NIL,
              to: minor((input.figures.find((one) => one.account === target)?.amount ?? NIL) + row.amount),
            },
          ]
      : touches.length === 1
        ? change(touches[0] ?? -1, effect)
        : touches.flatMap((at) => {
            const amount = input.figures[at]?.amount ?? NIL;
            return change(at, kind === 'class-sign' ? -2n * amount : subtract(NIL, amount));
          });
  return {
    kind,
    changes,
    effect: minor(effect),
    ...(row === undefined ? {} : { untaken: row }),
    ...(date === undefined ? {} : { date }),
  };
};

/** Base minor units that one step of a rounded paper is worth: the largest power of ten that divides every amount. */
export const stepOf = (figures: readonly SearchFigure[]): Minor => {
  let step = 10n ** 6n;
  for (const { amount } of figures) while (step > 1n && amount % step !== 0n) step /= 10n;
  return minor(step);
};
