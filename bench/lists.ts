// How lists of open items that nobody has seen are read, by what is unusual about them.
import { askList } from '@/ask/list';
import { askStatement } from '@/ask/statement';
import { type MadeFile, makeStatements } from '@/core/schedules/testing/statement-maker';
import { makeRegister } from '@/core/schedules/testing/register-maker';
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

const statementOutcome = async (made: MadeFile): Promise<Outcome> => {
  const answered = await askStatement({ bytes: new TextEncoder().encode(made.text), name: made.name });
  if (!answered.ok) return 'told';
  const { statements, doubts } = answered.value as {
    readonly statements: readonly {
      readonly account: string;
      readonly opening: { readonly amount: string } | null;
      readonly closing: { readonly amount: string } | null;
      readonly entries: readonly unknown[];
    }[];
    readonly doubts: readonly unknown[];
  };
  const right =
    statements.length === made.statements.length &&
    made.statements.every(({ account, opening, closing, entries }) => {
      const own = statements.find((one) => one.account === account);
      return (
        own?.opening?.amount === opening &&
        own.closing?.amount === closing &&
        JSON.stringify(own.entries) === JSON.stringify(entries)
      );
    });
  return right ? 'exact' : doubts.length > 0 ? 'told' : 'silent';
};

/** So many lists of a maker that shares nothing with the reader. */
export const madeLists = (count: number): Promise<void> => told(count, (seed) => makeList(500_000 + seed), outcomeOf);

/** So many statements likewise. */
export const madeStatements = (count: number): Promise<void> =>
  told(count, (seed) => makeStatements(500_000 + seed), statementOutcome);

/** So many registers, stock lists, plans and lists of prepayments likewise; of each its kind is asked for. */
export const madeRegisters = (count: number): Promise<void> =>
  told(
    count,
    (seed) => makeRegister(500_000 + seed),
    async (made) => {
      const answered = await askList({ bytes: new TextEncoder().encode(made.text), name: made.name, kind: made.kind });
      if (!answered.ok) return 'told';
      const { asAt, items, doubts } = answered.value as Answer;
      const same = (one: unknown, other: unknown): boolean => one === other || (one === '0' && other === '0.00');
      const right =
        asAt === made.asAt &&
        items.length === made.items.length &&
        made.items.every((item, at) => Object.entries(item).every(([field, value]) => same(items[at]?.[field], value)));
      return right ? 'exact' : doubts.length > 0 ? 'told' : 'silent';
    },
  );

const told = async <Made extends { readonly traits: readonly string[] }>(
  count: number,
  make: (seed: number) => Made,
  outcomeIn: (made: Made) => Promise<Outcome>,
): Promise<void> => {
  const all = new Map<string, Record<Outcome, number>>();
  for (let seed = 0; seed < count; seed += 1) {
    const made = make(seed);
    const outcome = await outcomeIn(made);
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
