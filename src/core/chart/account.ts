import { type Problem, problem, quoted } from '../result';
import { type Classification, type AccountRole, roleFacts, typeOf } from './classes';

declare const accountBrand: unique symbol;
export type AccountId = number & { readonly [accountBrand]: true };
export const accountId = (id: number): AccountId => id as AccountId;

export interface Account {
  readonly id: AccountId;
  readonly code: string;
  readonly name: string;
  readonly class: Classification;
  readonly heading: boolean;
  readonly parent: AccountId | null;
  readonly role: AccountRole | null;
  /** ISO 4217 when the account holds a foreign currency, otherwise null for the base currency. */
  readonly currency: string | null;
  readonly active: boolean;
}

/** "2210 VAT payable": how an account is named in every sentence. */
export const called = (account: Pick<Account, 'code' | 'name'>): string => `${account.code} ${account.name}`;

export const LONGEST_CODE = 20;
export const LONGEST_NAME = 120;
const CODE = /^[\p{L}\p{N}][\p{L}\p{N}.\-/ ]*$/u;

export interface AccountDraft {
  readonly code: string;
  readonly name: string;
  readonly class: Classification;
  readonly heading: boolean;
  readonly parent: AccountId | null;
  readonly role: AccountRole | null;
  readonly currency: string | null;
}

/** What is wrong with a new or changed account beside the other accounts of its books. `self` is the account being changed. */
export const accountProblems = (
  draft: AccountDraft,
  chart: readonly Account[],
  self?: AccountId,
): readonly Problem[] => {
  const problems: Problem[] = [];
  const code = draft.code.trim();
  if (code === '') problems.push(problem('account.code-missing', 'The account needs a code.', 'code'));
  else if (code.length > LONGEST_CODE || !CODE.test(code))
    problems.push(
      problem(
        'account.code-shape',
        `${quoted(code)} is no account code: a code is at most ${LONGEST_CODE} letters, digits, points, dashes or slashes.`,
        'code',
      ),
    );
  else {
    const holder = chart.find((other) => other.id !== self && other.code.toLowerCase() === code.toLowerCase());
    if (holder !== undefined)
      problems.push(problem('account.code-taken', `Code ${code} already belongs to ${called(holder)}.`, 'code'));
  }
  if (draft.name.trim() === '') problems.push(problem('account.name-missing', 'The account needs a name.', 'name'));
  else if (draft.name.length > LONGEST_NAME)
    problems.push(
      problem(
        'account.name-long',
        `The name has ${draft.name.length} characters; ${LONGEST_NAME} is the most.`,
        'name',
      ),
    );
  if (draft.heading && draft.currency !== null)
    problems.push(
      problem(
        'account.currency-on-heading',
        'A heading takes no entries, so it has no currency of its own.',
        'currency',
      ),
    );
  if (draft.parent !== null) problems.push(...parentProblems(draft, draft.parent, chart, self));
  if (draft.role !== null) {
    const role = roleFacts(draft.role);
    if (draft.heading)
      problems.push(
        problem('account.role-on-heading', 'A heading takes no entries, so it cannot have a role.', 'role'),
      );
    else if (!role.types.includes(typeOf(draft.class)))
      problems.push(
        problem(
          'account.role-type',
          `The role ${role.label} belongs on an account of type ${role.types.join(' or ')}; this one is of type ${typeOf(draft.class)}.`,
          'role',
        ),
      );
    const holder = role.single ? chart.find((other) => other.id !== self && other.role === draft.role) : undefined;
    if (holder !== undefined)
      problems.push(
        problem(
          'account.role-taken',
          `${called(holder)} already has the role ${role.label}; one account has it at a time.`,
          'role',
        ),
      );
  }
  return problems;
};

export const DEEPEST = 8;

const parentProblems = (
  draft: Pick<AccountDraft, 'class' | 'name'>,
  parentId: AccountId,
  chart: readonly Account[],
  self?: AccountId,
): readonly Problem[] => {
  const byId = new Map(chart.map((account) => [account.id, account]));
  const parent = byId.get(parentId);
  if (parent === undefined)
    return [problem('account.parent-missing', 'The heading chosen is not in this chart any more.', 'parent')];
  if (!parent.heading)
    return [
      problem(
        'account.parent-posting',
        `${called(parent)} takes entries; accounts stand only under headings.`,
        'parent',
      ),
    ];
  if (typeOf(parent.class) !== typeOf(draft.class))
    return [
      problem(
        'account.parent-type',
        `${called(parent)} is a heading for ${typeOf(parent.class)} accounts; ${quoted(draft.name)} is of type ${typeOf(draft.class)}.`,
        'parent',
      ),
    ];
  let above: Account | undefined = parent;
  let depth = 1;
  while (above !== undefined) {
    if (above.id === self)
      return [
        problem(
          'account.cycle',
          `${quoted(draft.name)} cannot stand under itself or under what stands under it.`,
          'parent',
        ),
      ];
    depth += 1;
    above = above.parent === null ? undefined : byId.get(above.parent);
  }
  if (depth + height(chart, self) > DEEPEST)
    return [
      problem('account.deep', `A chart is at most ${DEEPEST} levels deep; this move would make it deeper.`, 'parent'),
    ];
  return [];
};

/** Levels below an account; 0 for a leaf or a new one. */
const height = (chart: readonly Account[], id: AccountId | undefined): number => {
  if (id === undefined) return 0;
  const below = chart.filter((account) => account.parent === id);
  return below.length === 0 ? 0 : 1 + Math.max(...below.map((account) => height(chart, account.id)));
};
