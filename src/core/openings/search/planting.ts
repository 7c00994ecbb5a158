import { accountId } from '../../chart/account';
import { type Classification, isResult, normalSide, typeOf } from '../../ledger/classes';
import { type Minor, NIL, minor, negate, sum } from '../../money/minor';
import { type Ratio, inverse } from '../../money/ratio';
import { divideRounded } from '../../money/rounding';
import type { ErrorKind } from './kinds';
import { undoSlips } from './slips';
import type { FigureChange, SearchFigure, SearchInput } from './types';

/** Numbers from 0 up to 1, the same for the same seed (mulberry32): tests and benchmarks repeat exactly. */
export const seeded = (seed: number): (() => number) => {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
};

const LINES: readonly (readonly [Classification, number, number])[] = [
  ['current-asset', 1000, 0.22],
  ['fixed-asset', 1500, 0.12],
  ['current-liability', 2000, 0.16],
  ['long-term-liability', 2500, 0.04],
  ['equity', 3000, 0.06],
  ['revenue', 4000, 0.1],
  ['cost-of-sales', 5000, 0.1],
  ['operating-expense', 6000, 0.2],
];

/** What one unit of the invented foreign currency is worth, on the opening date and on another day. */
const NOW: Ratio = { n: 1163n, d: 1000n };
const BEFORE: Ratio = { n: 1151n, d: 1000n };

/**
 * A random trial balance that nets to zero: amounts spread over four orders of magnitude, nearly all on their normal
 * side, retained earnings taking up the rest; one account in eight in a foreign currency, its amount known.
 */
export const plantable = (accounts: number, random: () => number): SearchInput => {
  const figures: SearchFigure[] = [];
  for (const [classification, start, part] of LINES) {
    const count = Math.max(2, Math.round(accounts * part));
    for (let at = 0; at < count; at += 1) {
      const contra = random() < 0.05;
      const normal = normalSide({ classification, contra });
      // Drawn evenly over the logarithm: from about 1.50 to about 90,000.00.
      const size = minor(BigInt(Math.round(Math.exp(5 + random() * 11))));
      const inCurrency = typeOf(classification) === 'asset' && at % 4 === 3;
      const foreign = normal === 'debit' ? size : negate(size);
      const amount = inCurrency ? minor(divideRounded(foreign * NOW.n, NOW.d)) : foreign;
      figures.push({
        account: accountId(figures.length + 1),
        code: String(start + at),
        amount,
        classification,
        normal,
        role: null,
        rows: [amount],
        ...(inCurrency ? { foreign, rates: { now: NOW, others: [{ date: '2026-01-01', ratio: BEFORE }] } } : {}),
      });
    }
  }
  const rest = negate(sum(figures.map(({ amount }) => amount)));
  figures.push({
    account: accountId(figures.length + 1),
    // Behind all others, so that what stands together in the list stands together in the order of codes.
    code: '9999',
    amount: rest,
    classification: 'equity',
    normal: rest > 0n ? 'debit' : 'credit',
    role: 'retained-earnings',
    rows: [rest],
  });
  return { figures, untaken: [], totals: null, atYearStart: false };
};

/** An input with one error in it, and the changes that take it out again. */
export interface Planted {
  readonly input: SearchInput;
  readonly kind: ErrorKind;
  readonly mend: readonly FigureChange[];
  /** The row that was left out, for `left-out`. */
  readonly row?: number;
}

export const PLANTED_KINDS = [
  'differs',
  'side',
  'left-out',
  'transposed',
  'digit',
  'twice',
  'slipped',
  'subtotal',
  'heading',
  'zero',
  'results',
  'class-sign',
  'currency',
  'rate-inverted',
  'rate-date',
] as const satisfies readonly ErrorKind[];

/** Plants one error of the kind; `undefined` where this trial balance has no place for it. */
export const plant = (
  input: SearchInput,
  kind: (typeof PLANTED_KINDS)[number],
  random: () => number,
): Planted | undefined => {
  const { figures } = input;
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  const at = Math.floor(random() * figures.length);
  const one = figures[at];
  if (one === undefined || one.amount === 0n) return undefined;
  /** The figure as the paper has it too: the error is in the paper, or nobody compared. */
  const withFigure = (place: number, amount: Minor): SearchInput => ({
    ...input,
    figures: figures.map((figure, index) => (index === place ? { ...figure, amount, rows: [amount] } : figure)),
  });
  const mended = (place: number, from: Minor): readonly FigureChange[] => {
    const figure = figures[place];
    return figure === undefined ? [] : [{ account: figure.account, from, to: figure.amount }];
  };
  const withMore = (code: string, amount: Minor, classification: Classification): Planted => {
    const account = accountId(figures.length + 1);
    const more: SearchFigure = {
      account,
      code,
      amount,
      classification,
      normal: amount > 0n ? 'debit' : 'credit',
      role: null,
      rows: [amount],
    };
    return { input: { ...input, figures: [...figures, more] }, kind, mend: [{ account, from: amount, to: NIL }] };
  };
  switch (kind) {
    case 'differs': {
      const typed = minor(one.amount + BigInt(Math.floor(random() * 9000) + 17));
      return {
        input: {
          ...input,
          figures: figures.map((figure, index) => (index === at ? { ...figure, amount: typed } : figure)),
        },
        kind,
        mend: mended(at, typed),
      };
    }
    case 'side':
    case 'transposed':
    case 'slipped':
    case 'zero': {
      const slips: bigint[] = [];
      // A slip and its undoing are of one kind, so the slips that undo are also the ones that happen.
      undoSlips(one.amount, (slip, effect) => {
        if (slip === kind) slips.push(effect);
      });
      const effect = pick(slips);
      if (effect === undefined) return undefined;
      const wrong = minor(one.amount + effect);
      return wrong === 0n ? undefined : { input: withFigure(at, wrong), kind, mend: mended(at, wrong) };
    }
    case 'digit': {
      const size = (one.amount < 0n ? -one.amount : one.amount).toString();
      const place = Math.floor(random() * size.length);
      const other = String(Math.floor(random() * 10));
      const text = [
        size.slice(0, place) + other + size.slice(place + 1),
        size.slice(0, place) + size.slice(place + 1),
        size.slice(0, place + 1) + size.slice(place),
      ][Math.floor(random() * 3)];
      if (text === undefined || text === size || text.length < 3 || text.startsWith('0')) return undefined;
      const wrong = minor(one.amount < 0n ? -BigInt(text) : BigInt(text));
      return { input: withFigure(at, wrong), kind, mend: mended(at, wrong) };
    }
    case 'left-out': {
      const rows = figures.map((figure, index) => ({
        paper: 1,
        row: index + 1,
        text: figure.code,
        amount: figure.amount,
        account: figure.account,
      }));
      const gone = rows[at];
      const others = rows
        .filter((_, index) => index !== at && random() < 0.05)
        .map((row) => ({ ...row, account: null }));
      if (gone === undefined) return undefined;
      return {
        input: {
          ...input,
          figures: figures.map((figure, index) => (index === at ? { ...figure, amount: NIL, rows: [] } : figure)),
          untaken: [...others, gone],
        },
        kind,
        mend: [{ account: one.account, from: NIL, to: one.amount }],
        row: gone.row,
      };
    }
    case 'twice': {
      const double = minor(2n * one.amount);
      return {
        input: {
          ...input,
          figures: figures.map((figure, index) =>
            index === at ? { ...figure, amount: double, rows: [one.amount, one.amount] } : figure,
          ),
        },
        kind,
        mend: mended(at, double),
      };
    }
    case 'subtotal': {
      const parts = figures.slice(Math.max(0, at - 2 - Math.floor(random() * 6)), at);
      const total = sum(parts.map(({ amount }) => amount));
      // A code that sorts just behind the last of its parts.
      return parts.length < 2 || total === 0n
        ? undefined
        : withMore(`${parts.at(-1)?.code ?? ''}9`, total, one.classification);
    }
    case 'heading': {
      const stem = one.code.slice(0, 3);
      const parts = figures.filter(({ code }) => code.startsWith(stem));
      const total = sum(parts.map(({ amount }) => amount));
      return parts.length < 2 || total === 0n ? undefined : withMore(stem, total, one.classification);
    }
    case 'results': {
      const retained = figures.findIndex(({ role }) => role === 'retained-earnings');
      const result = sum(
        figures.filter(({ classification }) => isResult(typeOf(classification))).map(({ amount }) => amount),
      );
      const wrong = minor((figures[retained]?.amount ?? 0n) + result);
      return result === 0n ? undefined : { input: withFigure(retained, wrong), kind, mend: mended(retained, wrong) };
    }
    case 'class-sign': {
      const members = figures.filter(({ classification }) => classification === one.classification);
      if (members.length < 2) return undefined;
      return {
        input: {
          ...input,
          figures: figures.map((figure) =>
            figure.classification === one.classification
              ? { ...figure, amount: negate(figure.amount), rows: [negate(figure.amount)] }
              : figure,
          ),
        },
        kind,
        mend: members.map(({ account, amount }) => ({ account, from: negate(amount), to: amount })),
      };
    }
    case 'currency':
    case 'rate-inverted':
    case 'rate-date': {
      const place = figures.indexOf(pick(figures.filter(({ foreign }) => foreign !== undefined)) ?? one);
      const foreign = figures[place]?.foreign;
      if (foreign === undefined) return undefined;
      const ratio = kind === 'currency' ? { n: 1n, d: 1n } : kind === 'rate-date' ? BEFORE : inverse(NOW);
      const wrong = minor(divideRounded(foreign * ratio.n, ratio.d));
      return wrong === figures[place]?.amount
        ? undefined
        : { input: withFigure(place, wrong), kind, mend: mended(place, wrong) };
    }
  }
};
