// The out-of-balance search: plants errors in random trial balances and prints how often the true one is found, and how
// long the search takes against one pass over the figures.
import { type Planted, PLANTED_KINDS, plant, plantable, seeded } from '../src/core/openings/search/planting';
import { minor } from '../src/core/money/minor';
import { trustOf } from '../src/core/openings/search/labels';
import { netOf, search } from '../src/core/openings/search/search';
import type { Hypothesis } from '../src/core/openings/search/types';
import { fastest } from './core';

const same = (hypothesis: Hypothesis, planted: readonly Planted[]): boolean => {
  const changes = new Map<number, bigint>();
  for (const cause of hypothesis.causes) for (const { account, to } of cause.changes) changes.set(account, to);
  const wanted = planted.flatMap(({ mend }) => mend);
  return changes.size === wanted.length && wanted.every(({ account, to }) => changes.get(account) === to);
};

const share = (part: number, whole: number): string => (whole === 0 ? '-' : `${((100 * part) / whole).toFixed(1)} %`);

/** One planted error: the place of the true one, cases in which several rows fit equally counted apart. */
export const oneError = (cases: number): void => {
  const all = { clear: 0, first: 0, three: 0, tied: 0, found: 0, only: 0, onlyFirst: 0 };
  for (const kind of PLANTED_KINDS) {
    const random = seeded(kind.length * 7919);
    const own = { clear: 0, first: 0, three: 0, tied: 0, found: 0, only: 0, onlyFirst: 0 };
    for (let at = 0; at < cases; at += 1) {
      const planted = plant(plantable(30 + Math.floor(random() * 170), random), kind, random);
      if (planted === undefined || netOf(planted.input) === 0n) continue;
      const found = search(planted.input, { pairs: true, most: 1000 });
      const place = found.findIndex((one) => same(one, [planted]));
      if (place >= 0 && (found[place]?.ties ?? 1) > 1) {
        own.tied += 1;
        continue;
      }
      own.clear += 1;
      // Nothing else explains it by one error.
      const only = found.every((one, other) => other === place || one.causes.length > 1);
      if (only) own.only += 1;
      if (only && place === 0) own.onlyFirst += 1;
      if (place === 0) own.first += 1;
      if (place >= 0 && place < 3) own.three += 1;
      if (place >= 0) own.found += 1;
    }
    for (const key of ['clear', 'first', 'three', 'tied', 'found', 'only', 'onlyFirst'] as const) all[key] += own[key];
    console.log(
      `  ${kind.padEnd(14)} first ${share(own.first, own.clear).padStart(8)}   in three ${share(own.three, own.clear).padStart(8)}   first where unique ${share(own.onlyFirst, own.only).padStart(8)}   ties ${String(own.tied).padStart(4)} of ${own.tied + own.clear}`,
    );
  }
  console.log(
    `  ${'all'.padEnd(14)} first ${share(all.first, all.clear).padStart(8)}   in three ${share(all.three, all.clear).padStart(8)}   first where unique ${share(all.onlyFirst, all.only).padStart(8)}   ties ${String(all.tied).padStart(4)} of ${all.tied + all.clear}`,
  );
};

/** Errors of no known kind: how often the first answer is called very likely, which is then wrong. */
export const outside = (cases: number): void => {
  const random = seeded(815);
  let [sure, done] = [0, 0];
  while (done < cases) {
    const clean = plantable(30 + Math.floor(random() * 170), random);
    const at = Math.floor(random() * clean.figures.length);
    const by = BigInt(Math.round(Math.exp(4 + random() * 9)));
    const input = {
      ...clean,
      figures: clean.figures.map((figure, place) => {
        const amount = minor(figure.amount + (place === at ? by : 0n));
        return { ...figure, amount, rows: [amount] };
      }),
    };
    if (netOf(input) === 0n) continue;
    done += 1;
    const [first] = search(input, { pairs: true, most: 3 });
    const put = clean.figures[at];
    const right = first?.causes
      .flatMap(({ changes }) => changes)
      .every(({ account, to }) => account === put?.account && to === put.amount);
    if (first !== undefined && right !== true && trustOf(first.weight, first.inPaper) === 'very likely') sure += 1;
  }
  console.log(`  outside the model: very likely and wrong ${share(sure, done)} of ${String(done)}`);
};

/** Two planted errors of any kinds: whether the true pair is among the first ten. */
export const twoErrors = (cases: number): void => {
  const random = seeded(4711);
  let ten = 0;
  let done = 0;
  while (done < cases) {
    const clean = plantable(30 + Math.floor(random() * 90), random);
    const kinds = [0, 1].map(() => PLANTED_KINDS[Math.floor(random() * PLANTED_KINDS.length)]);
    const first = kinds[0] === undefined ? undefined : plant(clean, kinds[0], random);
    const second = first === undefined || kinds[1] === undefined ? undefined : plant(first.input, kinds[1], random);
    if (first === undefined || second === undefined || netOf(second.input) === 0n) continue;
    const touched = first.mend.map(({ account }) => account as number);
    if (second.mend.some(({ account }) => touched.includes(account))) continue;
    done += 1;
    const found = search(second.input, { pairs: true, most: 10 });
    if (found.some((one) => same(one, [first, second]))) ten += 1;
  }
  console.log(`  two errors: the true pair in the first ten in ${share(ten, done)} of ${done}`);
};

export const searchSpeed = (note: (what: string, ours: number, baseline: string, theirs: number) => void): void => {
  const random = seeded(1);
  const planted = plant(plantable(5000, random), 'transposed', random);
  if (planted === undefined) throw new Error('nothing planted');
  const pass = fastest(5, () => netOf(planted.input));
  for (const [what, pairs] of [
    ['single errors', false],
    ['pairs too', true],
  ] as const)
    note(
      `out-of-balance search, 5,000 figures, ${what}`,
      fastest(5, () => search(planted.input, { pairs, most: 12 })),
      'one addition of all figures',
      pass,
    );
};
