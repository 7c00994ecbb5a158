import { type Currency } from '../money/currency';
import { type Problem, type Result, clash, fail, ok, problem, under } from '../base/result';
import {
  type Account,
  type AccountFields,
  type AccountId,
  type ChartIndex,
  type CodeRule,
  accountProblems,
  called,
  editedIndex,
} from './account';
import { classFacts, roleFacts } from '../ledger/classes';
import { type AccountUse, HELD_BY_USE, UNUSED, changeProblems, removalProblems } from './use';

/**
 * One step of editing a chart. New accounts carry an id below zero until they are stored, so that other steps of the same
 * batch can stand under them. `was` is what the person saw: a step that meets something else is refused, not carried out.
 */
export type ChartEdit =
  | { readonly kind: 'add'; readonly id: AccountId; readonly account: AccountFields }
  | {
      readonly kind: 'change';
      readonly id: AccountId;
      readonly is: Partial<AccountFields>;
      readonly was: Partial<AccountFields>;
    }
  | { readonly kind: 'remove'; readonly id: AccountId };

export interface Edited {
  /** The chart as it stands after all steps, as long as the index that it was made from is not changed. */
  readonly byId: ReadonlyMap<AccountId, Account>;
  readonly added: readonly Account[];
  readonly changed: readonly { readonly was: Account; readonly is: Account }[];
  readonly removed: readonly Account[];
}

export interface EditRules {
  readonly codes: CodeRule;
  /** Base currency of the books. */
  readonly base: Currency;
  /** Use of the accounts whose use matters to the edits (`usesAsked`); one that is not in it counts as unused. */
  readonly uses: ReadonlyMap<AccountId, AccountUse>;
}

/** The accounts whose use decides whether edits may be: those that go, or change in what use holds. */
export const usesAsked = (edits: readonly ChartEdit[]): readonly AccountId[] =>
  edits.flatMap((edit) =>
    edit.kind === 'remove' || (edit.kind === 'change' && HELD_BY_USE.some((field) => field in edit.is))
      ? [edit.id]
      : [],
  );

/** A problem of one account among many. */
const of = (id: AccountId, found: Problem): Problem => under(found, id);

const fieldClash = <F extends keyof AccountFields>(account: Account, field: F, yours: AccountFields[F]): Problem =>
  clash(
    'account.clash',
    `The ${FIELD_WORDS[field]} of ${called(account)}`,
    sayField(field, account[field]),
    sayField(field, yours),
    account.id,
    field,
  );

export const FIELD_WORDS: Readonly<Record<keyof AccountFields, string>> = {
  code: 'code',
  name: 'name',
  classification: 'statement line',
  heading: 'kind',
  parent: 'heading',
  role: 'role',
  currency: 'currency',
  contra: 'side',
  active: 'state',
  note: 'note',
  taxCode: 'tax code',
  origin: 'origin',
};

/** A field's value in a sentence; a heading is said by its id only where nothing better is known. */
export const sayField = <F extends keyof AccountFields>(field: F, value: AccountFields[F]): string => {
  switch (field) {
    case 'classification':
      return classFacts(value as AccountFields['classification']).one;
    case 'role':
      return value === null ? 'none' : roleFacts(value as NonNullable<AccountFields['role']>).label;
    case 'contra':
      return value === true ? 'contra' : 'its type’s side';
    case 'active':
      return value === true ? 'active' : 'inactive';
    case 'heading':
      return value === true ? 'heading' : 'posting account';
    case 'currency':
      return value === null ? 'the base currency' : String(value);
    default:
      return value === null || value === '' ? 'empty' : `“${String(value)}”`;
  }
};

/**
 * The chart after some steps, or every reason why it cannot be: then nothing of the batch counts. The rules are looked at
 * after all steps, so that two accounts can exchange their codes. Only accounts that a step touches, and those that stand
 * under one, are looked at: a chart that was right stays right.
 */
export const applyEdits = (standing: ChartIndex, edits: readonly ChartEdit[], rules: EditRules): Result<Edited> => {
  const index = editedIndex(standing);
  const accounts = index.byId;
  const before = new Map<AccountId, Account>();
  const added = new Set<AccountId>();
  const removed = new Map<AccountId, Account>();
  const problems: Problem[] = [];
  for (const edit of edits) {
    if (edit.kind === 'add') {
      index.put(edit.id, { ...edit.account, id: edit.id });
      added.add(edit.id);
      continue;
    }
    const stands = accounts.get(edit.id);
    if (stands === undefined) {
      problems.push(
        of(edit.id, problem('account.unknown', 'This account is not in the chart any more. Load the page again.')),
      );
      continue;
    }
    if (edit.kind === 'remove') {
      index.put(edit.id, undefined);
      if (!added.delete(edit.id)) removed.set(edit.id, before.get(edit.id) ?? stands);
      before.delete(edit.id);
      continue;
    }
    const differs = (Object.keys(edit.was) as (keyof AccountFields)[]).find(
      (field) => stands[field] !== edit.was[field] && stands[field] !== edit.is[field],
    );
    if (differs !== undefined)
      problems.push(fieldClash(stands, differs, edit.is[differs] ?? edit.was[differs] ?? stands[differs]));
    if (!added.has(edit.id) && !before.has(edit.id)) before.set(edit.id, stands);
    index.put(edit.id, { ...stands, ...edit.is });
  }
  for (const account of removed.values())
    problems.push(
      ...removalProblems(
        account,
        rules.uses.get(account.id) ?? UNUSED,
        index.children.get(account.id)?.length ?? 0,
      ).map((one) => of(account.id, one)),
    );
  const touched = new Set([...added, ...before.keys()]);
  for (const id of [...touched]) for (const child of index.children.get(id) ?? []) touched.add(child);
  for (const id of touched) {
    const account = accounts.get(id);
    if (account === undefined) continue;
    problems.push(
      ...accountProblems(account, index, id, rules.codes)
        // That its heading goes is said at the heading.
        .filter(
          ({ code }) => code !== 'account.parent-missing' || account.parent === null || !removed.has(account.parent),
        )
        .map((one) => of(id, one)),
    );
    const was = before.get(id);
    if (was === undefined) continue;
    problems.push(
      ...changeProblems(was, account, rules.uses.get(id) ?? UNUSED, rules.base).map((one) => of(id, one)),
      ...headingProblems(was, account, index.children.get(id) ?? [], accounts).map((one) => of(id, one)),
    );
  }
  if (problems.length > 0) return fail(...problems);
  const same = (a: Account, b: Account): boolean =>
    (Object.keys(FIELD_WORDS) as (keyof AccountFields)[]).every((field) => a[field] === b[field]);
  return ok({
    byId: accounts,
    added: [...added].flatMap((id) => accounts.get(id) ?? []),
    changed: [...before].flatMap(([id, was]) => {
      const is = accounts.get(id);
      return is === undefined || same(was, is) ? [] : [{ was, is }];
    }),
    removed: [...removed.values()],
  });
};

/** What a heading may not do while accounts stand under it. */
const headingProblems = (
  was: Account,
  is: Account,
  children: readonly AccountId[],
  accounts: ReadonlyMap<AccountId, Account>,
): readonly Problem[] => {
  if (!was.active || is.active) return [];
  const standing = children.filter((id) => accounts.get(id)?.active === true).length;
  return standing === 0
    ? []
    : [
        problem(
          'account.active-below',
          `${called(was)} has ${standing} active account${standing === 1 ? '' : 's'} under it; deactivate or move them first.`,
          'active',
        ),
      ];
};

/** A change of one account, with what it was before. */
export const change = (account: Account, is: Partial<AccountFields>): ChartEdit => ({
  kind: 'change',
  id: account.id,
  is,
  was: Object.fromEntries((Object.keys(is) as (keyof AccountFields)[]).map((field) => [field, account[field]])),
});

export interface Inverse {
  readonly edits: readonly ChartEdit[];
  /** Accounts that the batch removed and that come back under another id. */
  readonly renewed: ReadonlyMap<AccountId, AccountId>;
}

/**
 * The steps that take a batch back, seen from the chart on which it was carried out. Accounts that it removed come back
 * under new ids, which `newId` gives.
 */
export const inverse = (chart: readonly Account[], edits: readonly ChartEdit[], newId: () => AccountId): Inverse => {
  const accounts = new Map(chart.map((account) => [account.id, account]));
  const renewed = new Map<AccountId, AccountId>();
  const back: ChartEdit[] = [];
  for (const edit of edits) {
    const stands = accounts.get(edit.id);
    if (edit.kind === 'add') {
      back.unshift({ kind: 'remove', id: edit.id });
      accounts.set(edit.id, { ...edit.account, id: edit.id });
    } else if (stands !== undefined && edit.kind === 'change') {
      const was = Object.fromEntries(
        (Object.keys(edit.is) as (keyof AccountFields)[]).map((field) => [field, stands[field]]),
      ) as Partial<AccountFields>;
      back.unshift({ kind: 'change', id: edit.id, is: was, was: edit.is });
      accounts.set(edit.id, { ...stands, ...edit.is });
    } else if (stands !== undefined) {
      const { id, ...account } = stands;
      const fresh = newId();
      renewed.set(id, fresh);
      back.unshift({ kind: 'add', id: fresh, account });
      accounts.delete(edit.id);
    }
  }
  return { edits: back.map((edit) => readdressed(edit, (id) => renewed.get(id) ?? id)), renewed };
};

/** An edit that speaks of accounts by other ids. */
export const readdressed = (edit: ChartEdit, id: (old: AccountId) => AccountId): ChartEdit => {
  const parent = <F extends Partial<AccountFields>>(fields: F): F =>
    fields.parent == null ? fields : { ...fields, parent: id(fields.parent) };
  switch (edit.kind) {
    case 'remove':
      return { ...edit, id: id(edit.id) };
    case 'add':
      return { ...edit, id: id(edit.id), account: parent(edit.account) };
    case 'change':
      return { ...edit, id: id(edit.id), is: parent(edit.is), was: parent(edit.was) };
  }
};
