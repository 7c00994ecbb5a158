// How lists of open items that nobody has seen are read, by what is unusual about them.
import { askList } from '@/ask/list';
import { type MadeList, makeList } from '@/core/schedules/testing/list-maker';

type Outcome = 'exact' | 'told' | 'silent';

interface Answer {
  readonly kind: string;
  readonly asAt: string | null;
  readonly items: readonly Readonly<Record<string, unknown>>[];
  readonly doubts: readonly unknown[];
}

const outcomeOf = async (made: MadeList): Promise<Outcome> => {
  const answered = await askList({ bytes: new TextEncoder().encode(made.text), name: made.name });
  if (!answered.ok) return 'told';
  const { kind, asAt, items, doubts } = answered.value as Answer;
  const right =
    kind === made.kind &&
    asAt === made.asAt &&
    items.length === made.items.length &&
    made.items.every((item, at) => Object.entries(item).every(([field, value]) => items[at]?.[field] === value));
  return right ? 'exact' : doubts.length > 0 ? 'told' : 'silent';
};

const share = (part: number, whole: number): string => `${((100 * part) / Math.max(1, whole)).toFixed(2)} %`;

/** So many lists of a maker that shares nothing with the reader. */
export const madeLists = async (count: number): Promise<void> => {
  const all = new Map<string, Record<Outcome, number>>();
  for (let seed = 0; seed < count; seed += 1) {
    const made = makeList(500_000 + seed);
    const outcome = await outcomeOf(made);
    for (const trait of ['all', ...made.traits]) {
      const own = all.get(trait) ?? { exact: 0, told: 0, silent: 0 };
      own[outcome] += 1;
      all.set(trait, own);
    }
  }
  for (const [trait, { exact, told, silent }] of [...all].sort(([a], [b]) => (a < b ? -1 : 1))) {
    const whole = exact + told + silent;
    console.log(
      `  ${trait.padEnd(24)} exact ${share(exact, whole).padStart(9)}   told ${share(told, whole).padStart(8)}   wrong in silence ${String(silent).padStart(3)} of ${String(whole)}`,
    );
  }
};
