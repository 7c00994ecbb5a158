import { type Result, fail, ok, problem } from '../base/result';
import { type Account, type AccountId, LONGEST_CODE, called, chartIndex } from './account';
import type { Classification } from '../ledger/classes';
import { type ChartEdit, change } from './edit';
import { type CodeScheme, fitsShape, rangeFor, within } from './scheme';
import { byCode, inTreeOrder } from './tree';

/** The code without the noughts at its end: what the codes under it begin with ("10" of "1000"). */
export const codeStem = (code: string): string => {
  let end = code.length;
  while (end > 0 && code[end - 1] === '0') end -= 1;
  return end === 0 ? code : code.slice(0, end);
};

/** The number that a code ends with, what stands before it, and how wide it is written. */
const tail = (code: string): { readonly stem: string; readonly number: bigint; readonly width: number } | undefined => {
  const [, stem = '', digits = ''] = /^(.*?)(\d{1,15})$/.exec(code) ?? [];
  return digits === '' ? undefined : { stem, number: BigInt(digits), width: digits.length };
};

const after = (code: string, step: number): string | undefined => {
  const found = tail(code);
  if (found === undefined) return undefined;
  const next = String(found.number + BigInt(step)).padStart(found.width, '0');
  return next.length > found.width ? undefined : found.stem + next;
};

/**
 * Proposes free codes for new accounts, one after the other, each time another one: after the highest one under the heading
 * in tens, else in ones, inside the range that the scheme has for it; where the range is full there, the first free one in
 * it. Empty when there is none to propose. An account of a `role` gets the first free code behind the last of that role under
 * the heading, before the next account that has another: a bank stands beside the banks.
 */
export const codeSource = (
  chart: readonly Account[],
  scheme: CodeScheme | null = null,
): ((parent: Account | undefined, classification?: Classification, role?: Account['role']) => string) => {
  const index = chartIndex(chart);
  const taken = new Set(chart.map((account) => account.code.toLowerCase()));
  const highest = new Map<AccountId | null, string>();
  const topUnder = (parent: AccountId | null, fits: (code: string) => boolean): string | undefined => {
    const known = highest.get(parent);
    if (known !== undefined) return known;
    const beside =
      parent === null
        ? chart.filter((account) => account.parent === null)
        : (index.children.get(parent) ?? []).flatMap((id) => index.byId.get(id) ?? []);
    return beside
      .filter(({ code }) => code.length <= LONGEST_CODE && tail(code) !== undefined && fits(code))
      .sort(byCode)
      .at(-1)?.code;
  };
  /** The last code of each role under each heading, as far as codes were given here. */
  const lastOf = new Map<string, string>();
  const besideRole = (
    parent: AccountId | null,
    role: Account['role'],
    fits: (code: string) => boolean,
  ): string | undefined => {
    const key = `${String(parent)}/${role ?? ''}`;
    const siblings = chart.filter((account) => account.parent === parent && !account.heading).sort(byCode);
    const last =
      lastOf.get(key) ?? siblings.filter((one) => one.role === role && tail(one.code) !== undefined).at(-1)?.code;
    if (last === undefined) return undefined;
    const next = siblings.find((one) => one.code > last && one.code.length === last.length && one.role !== role)?.code;
    for (const step of [10, 1, 2, 3, 4, 5, 6, 7, 8, 9]) {
      const code = after(last, step);
      if (code === undefined || !fits(code) || taken.has(code.toLowerCase()) || (next !== undefined && code > next))
        continue;
      taken.add(code.toLowerCase());
      lastOf.set(key, code);
      return code;
    }
    return undefined;
  };
  return (parent, classification = parent?.classification, role = null) => {
    const range =
      scheme === null || classification === undefined
        ? undefined
        : rangeFor(scheme, { classification, parent: parent?.id ?? null }, index);
    const fits = (code: string): boolean =>
      (range === undefined || within(range, code)) && (scheme === null || fitsShape(scheme, code));
    const beside = role === null ? undefined : besideRole(parent?.id ?? null, role, fits);
    if (beside !== undefined) return beside;
    const start =
      topUnder(parent?.id ?? null, fits) ??
      (parent !== undefined && tail(parent.code) !== undefined ? parent.code : range?.from);
    for (const from of [start, range?.from])
      for (const step of [10, 1])
        for (
          let next = from === undefined ? undefined : after(from, step), tries = 0;
          next !== undefined && fits(next) && tries < 1000;
          next = after(next, step), tries += 1
        )
          if (!taken.has(next.toLowerCase())) {
            taken.add(next.toLowerCase());
            highest.set(parent?.id ?? null, next);
            return next;
          }
    return '';
  };
};

/** A free code for one new account under a heading, or empty when there is none to propose. */
export const proposeCode = (
  chart: readonly Account[],
  parent: Account | undefined,
  scheme: CodeScheme | null = null,
): string => codeSource(chart, scheme)(parent);

export interface Renumbered {
  readonly id: AccountId;
  readonly name: string;
  readonly from: string;
  readonly to: string;
}

/**
 * New codes for a branch: its accounts in the order in which they stand, from `start` in steps of `step`, passing over codes
 * that accounts outside the branch hold. Two accounts never get one code, and their order stays.
 */
export const renumber = (
  chart: readonly Account[],
  branch: AccountId | null,
  start: string,
  step: number,
): Result<readonly Renumbered[]> => {
  const index = chartIndex(chart);
  const own = new Set<AccountId>();
  const gather = (id: AccountId): void => {
    if (own.has(id)) return;
    own.add(id);
    for (const child of index.children.get(id) ?? []) gather(child);
  };
  if (branch === null) for (const account of chart) own.add(account.id);
  else gather(branch);
  const first = start.trim();
  if (tail(first) === undefined)
    return fail(
      problem(
        'renumber.start',
        'The first code has to end in digits, so that the next ones can be counted up.',
        'start',
      ),
    );
  if (!Number.isInteger(step) || step < 1)
    return fail(problem('renumber.step', 'The step is a whole number from 1 up.', 'step'));
  const taken = new Set(chart.filter(({ id }) => !own.has(id)).map(({ code }) => code.toLowerCase()));
  const renumbered: Renumbered[] = [];
  let next: string | undefined = first;
  for (const { account } of inTreeOrder(chart)) {
    if (!own.has(account.id)) continue;
    while (next !== undefined && taken.has(next.toLowerCase())) next = after(next, step);
    if (next === undefined || next.length > LONGEST_CODE)
      return fail(
        problem(
          'renumber.room',
          `From ${first} in steps of ${step} there is no room for ${own.size} codes: they run out at ${called(account)}. Take a smaller step, or a first code with more digits.`,
          'step',
        ),
      );
    renumbered.push({ id: account.id, name: account.name, from: account.code, to: next });
    next = after(next, step);
  }
  return ok(renumbered);
};

/** The edits that a renumbering stands for. */
export const renumberEdits = (chart: readonly Account[], renumbered: readonly Renumbered[]): readonly ChartEdit[] => {
  const { byId } = chartIndex(chart);
  return renumbered.flatMap(({ id, from, to }) => {
    const account = byId.get(id);
    return account === undefined || from === to ? [] : [change(account, { code: to })];
  });
};
