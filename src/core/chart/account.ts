import { type Currency } from '../money/currency';
import { addTo } from '../base/lists';
import { type Changeable, overlay } from '../base/overlay';
import { type Problem, problem, quoted } from '../base/result';
import { type AccountRole, type Classification, roleFacts, typeOf } from '../ledger/classes';

declare const accountBrand: unique symbol;
export type AccountId = number & { readonly [accountBrand]: true };
export const accountId = (id: number): AccountId => id as AccountId;

/** Everything about an account that a person decides. */
export interface AccountFields {
  /** Empty in charts where codes are optional. */
  readonly code: string;
  readonly name: string;
  readonly classification: Classification;
  readonly heading: boolean;
  readonly parent: AccountId | null;
  readonly role: AccountRole | null;
  /** ISO 4217 when the account holds a foreign currency, otherwise null for the base currency. */
  readonly currency: Currency | null;
  /** Stands on the side opposite to its type's: accumulated depreciation, drawings, returns. */
  readonly contra: boolean;
  readonly active: boolean;
  readonly note: string;
  /** Code of the tax code that entries on this account propose. */
  readonly taxCode: string | null;
  /** Why the account is here: the answer, the file or the books it came from; empty when it was typed. */
  readonly origin: string;
}

export interface Account extends AccountFields {
  readonly id: AccountId;
}

/** What an account has when nobody said otherwise. */
export const PLAIN_ACCOUNT = {
  heading: false,
  parent: null,
  role: null,
  currency: null,
  contra: false,
  active: true,
  note: '',
  taxCode: null,
  origin: '',
} as const satisfies Partial<AccountFields>;

/** "2210 VAT payable": how an account is named in every sentence. */
export const called = (account: Pick<Account, 'code' | 'name'>): string => `${account.code} ${account.name}`.trim();

/**
 * Accounts in a sentence: the first few, and how many more there are.
 *
 * @example listed([{ code: '1000', name: 'Cash' }, { code: '1010', name: 'Bank' }], 1) // '1000 Cash and 1 more'
 */
export const listed = (accounts: readonly Pick<Account, 'code' | 'name'>[], most = 5): string =>
  `${accounts.slice(0, most).map(called).join(', ')}${accounts.length > most ? ` and ${String(accounts.length - most)} more` : ''}`;

export const LONGEST_CODE = 20;
export const LONGEST_NAME = 120;
export const LONGEST_NOTE = 2000;
const CODE = /^[\p{L}\p{N}][\p{L}\p{N}.\-/ ]*$/u;

/** Levels of the deepest account of a chart. */
export const DEEPEST = 8;

/** Whether every account needs a code. */
export type CodeRule = 'required' | 'optional';

/** A chart prepared for looking accounts up; building it is one pass. */
export interface ChartIndex {
  readonly byId: ReadonlyMap<AccountId, Account>;
  /** Ids by lower-case code; several while a draft holds a code twice. */
  readonly byCode: ReadonlyMap<string, readonly AccountId[]>;
  readonly byRole: ReadonlyMap<AccountRole, readonly AccountId[]>;
  readonly children: ReadonlyMap<AccountId, readonly AccountId[]>;
}

const builtIndex = (chart: Iterable<Account>) => {
  const byId = new Map<AccountId, Account>();
  const byCode = new Map<string, AccountId[]>();
  const byRole = new Map<AccountRole, AccountId[]>();
  const children = new Map<AccountId, AccountId[]>();
  for (const account of chart) {
    byId.set(account.id, account);
    if (account.code !== '') addTo(byCode, account.code.toLowerCase(), account.id);
    if (account.role !== null) addTo(byRole, account.role, account.id);
    if (account.parent !== null) addTo(children, account.parent, account.id);
  }
  return { byId, byCode, byRole, children };
};

export const chartIndex: (chart: Iterable<Account>) => ChartIndex = builtIndex;

/** An index that is changed account by account. */
export interface EditedIndex extends ChartIndex {
  /** Puts an account where it stands now; undefined takes it away. */
  readonly put: (id: AccountId, is: Account | undefined) => void;
}

/** The maps of an index, to be changed. */
interface ChangeableIndex {
  readonly byId: Changeable<AccountId, Account>;
  readonly byCode: Changeable<string, readonly AccountId[]>;
  readonly byRole: Changeable<AccountRole, readonly AccountId[]>;
  readonly children: Changeable<AccountId, readonly AccountId[]>;
}

/** An index that begins as another, which it leaves as it is: an edit of a large chart costs what it changes. */
export const editedIndex = (base: ChartIndex): EditedIndex =>
  edited({
    byId: overlay(base.byId),
    byCode: overlay(base.byCode),
    byRole: overlay(base.byRole),
    children: overlay(base.children),
  });

/** An index that is kept beside a chart, and follows it. */
export const keptIndex = (chart: readonly Account[]): EditedIndex => edited(builtIndex(chart));

const edited = ({ byId, byCode, byRole, children }: ChangeableIndex): EditedIndex => {
  // Lists that this index made itself; others belong to the index that it began as, and are copied once.
  const own = new WeakSet<readonly AccountId[]>();
  const listAt = <K>(lists: Changeable<K, readonly AccountId[]>, key: K): AccountId[] => {
    const list = lists.get(key) ?? [];
    if (own.has(list)) return list as AccountId[];
    const copied = [...list];
    own.add(copied);
    lists.set(key, copied);
    return copied;
  };
  const move = <K>(lists: Changeable<K, readonly AccountId[]>, id: AccountId, from: K | null, to: K | null): void => {
    if (from === to) return;
    if (from !== null) {
      const left = listAt(lists, from);
      const at = left.lastIndexOf(id);
      if (at >= 0) left.splice(at, 1);
      if (left.length === 0) lists.delete(from);
    }
    if (to !== null) listAt(lists, to).push(id);
  };
  const codeOf = (account: Account | undefined): string | null =>
    account === undefined || account.code === '' ? null : account.code.toLowerCase();
  return {
    byId,
    byCode,
    byRole,
    children,
    put: (id, is) => {
      const was = byId.get(id);
      move(byCode, id, codeOf(was), codeOf(is));
      move(byRole, id, was?.role ?? null, is?.role ?? null);
      move(children, id, was?.parent ?? null, is?.parent ?? null);
      if (is === undefined) byId.delete(id);
      else byId.set(id, is);
    },
  };
};

/** What is wrong with an account beside the other accounts of its books; `self` is the account being changed, if any. */
export const accountProblems = (
  draft: AccountFields,
  index: ChartIndex,
  self?: AccountId,
  codes: CodeRule = 'required',
): readonly Problem[] => [
  ...codeProblems(draft, index, self, codes),
  ...nameProblems(draft),
  ...(draft.heading && draft.currency !== null
    ? [
        problem(
          'account.currency-on-heading',
          'A heading takes no entries, so it has no currency of its own.',
          'currency',
        ),
      ]
    : []),
  ...(draft.parent === null ? [] : parentProblems(draft, draft.parent, index, self)),
  ...(draft.role === null ? [] : roleProblems(draft, draft.role, index, self)),
];

const codeProblems = (
  draft: AccountFields,
  index: ChartIndex,
  self: AccountId | undefined,
  codes: CodeRule,
): readonly Problem[] => {
  const code = draft.code.trim();
  if (code === '')
    return codes === 'optional' ? [] : [problem('account.code-missing', 'The account needs a code.', 'code')];
  if (code.length > LONGEST_CODE || !CODE.test(code))
    return [
      problem(
        'account.code-shape',
        `${quoted(code)} is no account code: a code is at most ${LONGEST_CODE} letters, digits, points, dashes or slashes.`,
        'code',
      ),
    ];
  const holder = other(index.byCode.get(code.toLowerCase()), index, self);
  return holder === undefined
    ? []
    : [problem('account.code-taken', `Code ${code} already belongs to ${called(holder)}.`, 'code')];
};

const nameProblems = (draft: AccountFields): readonly Problem[] => {
  if (draft.name.trim() === '') return [problem('account.name-missing', 'The account needs a name.', 'name')];
  if (draft.name.length > LONGEST_NAME)
    return [
      problem(
        'account.name-long',
        `The name has ${draft.name.length} characters; ${LONGEST_NAME} is the most.`,
        'name',
      ),
    ];
  return draft.note.length > LONGEST_NOTE
    ? [
        problem(
          'account.note-long',
          `The note has ${draft.note.length} characters; ${LONGEST_NOTE} is the most.`,
          'note',
        ),
      ]
    : [];
};

const roleProblems = (
  draft: AccountFields,
  role: AccountRole,
  index: ChartIndex,
  self: AccountId | undefined,
): readonly Problem[] => {
  const facts = roleFacts(role);
  if (draft.heading)
    return [problem('account.role-on-heading', 'A heading takes no entries, so it cannot have a role.', 'role')];
  const problems: Problem[] = [];
  if (!facts.types.includes(typeOf(draft.classification)))
    problems.push(
      problem(
        'account.role-type',
        `The role ${facts.label} belongs on an account of type ${facts.types.join(' or ')}; this one is of type ${typeOf(draft.classification)}.`,
        'role',
      ),
    );
  const holder = facts.single ? other(index.byRole.get(role), index, self) : undefined;
  if (holder !== undefined)
    problems.push(
      problem(
        'account.role-taken',
        `${called(holder)} already has the role ${facts.label}; one account has it at a time.`,
        'role',
      ),
    );
  return problems;
};

/** The first of some accounts that is not the one being changed. */
const other = (
  ids: readonly AccountId[] | undefined,
  index: ChartIndex,
  self: AccountId | undefined,
): Account | undefined => {
  const found = ids?.find((id) => id !== self);
  return found === undefined ? undefined : index.byId.get(found);
};

const parentProblems = (
  draft: AccountFields,
  parentId: AccountId,
  index: ChartIndex,
  self: AccountId | undefined,
): readonly Problem[] => {
  const parent = index.byId.get(parentId);
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
  if (typeOf(parent.classification) !== typeOf(draft.classification))
    return [
      problem(
        'account.parent-type',
        `${called(parent)} is a heading for ${typeOf(parent.classification)} accounts; ${quoted(draft.name)} is of type ${typeOf(draft.classification)}.`,
        'parent',
      ),
    ];
  let above: Account | undefined = parent;
  let depth = 1;
  while (above !== undefined && depth <= DEEPEST + 1) {
    if (above.id === self)
      return [
        problem(
          'account.cycle',
          `${quoted(draft.name)} cannot stand under itself or under what stands under it.`,
          'parent',
        ),
      ];
    depth += 1;
    above = above.parent === null ? undefined : index.byId.get(above.parent);
  }
  return depth + (self === undefined ? 0 : levelsBelow(index, self)) > DEEPEST
    ? [problem('account.deep', `A chart is at most ${DEEPEST} levels deep; this move would make it deeper.`, 'parent')]
    : [];
};

/** Levels below an account; 0 for a leaf. Looks no deeper than a chart may be, so that a cycle in a draft ends too. */
const levelsBelow = (index: ChartIndex, id: AccountId, left = DEEPEST): number => {
  const below = index.children.get(id) ?? [];
  return below.length === 0 || left === 0
    ? 0
    : 1 + below.reduce((most, child) => Math.max(most, levelsBelow(index, child, left - 1)), 0);
};
