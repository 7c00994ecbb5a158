import { WHOLE } from '../base/change';
import type { Kept } from '../base/kept';
import { classFacts } from '../ledger/classes';
import { type Account, type AccountFields, type AccountId, accountId, called } from './account';
import { type ChartEdit, type Edited, FIELD_WORDS, sayField } from './edit';

/** One field of an account that became another value; `WHOLE` for an account that came or went. */
export interface AccountChange {
  readonly id: number;
  readonly field: string;
  readonly from: Kept;
  readonly to: Kept;
}

const FIELDS = Object.keys(FIELD_WORDS) as (keyof AccountFields)[];

const kept = (account: Account): Kept => Object.fromEntries(FIELDS.map((field) => [field, account[field]]));

/**
 * What edits made of a chart, for the record. `ids` are those that new accounts got, by those they had in the edits.
 *
 * @example accountChanges({ added: [], removed: [], changed: [{ was: { id: 12, code: '7990', parent: null }, is: { id: 12, code: '7940', parent: null } }] }, new Map())
 * // [{ id: 12, field: 'code', from: '7990', to: '7940' }]
 */
export const accountChanges = (
  { added, changed, removed }: Pick<Edited, 'added' | 'changed' | 'removed'>,
  ids: ReadonlyMap<AccountId, AccountId>,
): readonly AccountChange[] => {
  const stored = (account: Account): Account => ({
    ...account,
    id: ids.get(account.id) ?? account.id,
    parent: account.parent === null ? null : (ids.get(account.parent) ?? account.parent),
  });
  return [
    ...removed.map((account) => ({ id: account.id, field: WHOLE, from: kept(account), to: null })),
    ...added.map(stored).map((account) => ({ id: account.id, field: WHOLE, from: null, to: kept(account) })),
    ...changed.flatMap(({ was, is: edited }) => {
      const is = stored(edited);
      return FIELDS.filter((field) => was[field] !== is[field]).map((field) => ({
        id: is.id,
        field,
        from: was[field],
        to: is[field],
      }));
    }),
  ];
};

/** Accounts as changes found and left them, by their id; null where there was none. */
const ends = (
  changes: readonly AccountChange[],
): ReadonlyMap<number, { readonly found: Record<string, Kept> | null; readonly left: Record<string, Kept> | null }> => {
  const all = new Map<number, { found: Record<string, Kept> | null; left: Record<string, Kept> | null }>();
  for (const { id, field, from, to } of changes) {
    const known = all.get(id);
    if (field === WHOLE) {
      const [was, is] = [from, to] as unknown as (Record<string, Kept> | null)[];
      // Of an account that was changed and then went, what it was before comes of both.
      const found = known === undefined ? (was ?? null) : known.found === null ? null : { ...was, ...known.found };
      all.set(id, { found, left: is ?? null });
    } else {
      const found = known === undefined ? { [field]: from } : known.found;
      if (found !== null && !(field in found)) found[field] = from;
      all.set(id, { found, left: { ...known?.left, [field]: to } });
    }
  }
  return all;
};

/**
 * The edits that take changes back, in two steps: between them tax codes come and go. An account names a code that is there, and a
 * code posts to accounts that are there; so what comes back names its code `last`, what names one no more lets it go `first`, and
 * accounts go `last`. Each edit meets what the changes left, or is refused as a clash.
 *
 * @example editsBack([{ id: 12, field: 'code', from: '7990', to: '7940' }])
 * // { first: [{ kind: 'change', id: 12, is: { code: '7990' }, was: { code: '7940' } }], last: [] }
 */
export const editsBack = (
  changes: readonly AccountChange[],
): { readonly first: readonly ChartEdit[]; readonly last: readonly ChartEdit[] } => {
  const adds: ChartEdit[] = [];
  const first: ChartEdit[] = [];
  const last: ChartEdit[] = [];
  const one = (id: number, is: Record<string, Kept>, was: Record<string, Kept>): ChartEdit => ({
    kind: 'change',
    id: accountId(id),
    is,
    was,
  });
  for (const [id, { found, left }] of ends(changes)) {
    const taxCode = found?.taxCode ?? null;
    if (left === null && found !== null) {
      adds.push({ kind: 'add', id: accountId(id), account: { ...found, taxCode: null } as unknown as AccountFields });
      if (taxCode !== null) last.push(one(id, { taxCode }, { taxCode: null }));
    } else if (left !== null && found === null) {
      if ((left.taxCode ?? null) !== null) first.push(one(id, { taxCode: null }, { taxCode: left.taxCode ?? null }));
      last.push({ kind: 'remove', id: accountId(id) });
    } else if (left !== null && found !== null) {
      const fields = Object.keys(found).filter((field) => found[field] !== left[field]);
      const [early, late] = [
        fields.filter((field) => field !== 'taxCode' || taxCode === null),
        fields.filter((field) => field === 'taxCode' && taxCode !== null),
      ];
      const picked = (from: Record<string, Kept>, names: readonly string[]) =>
        Object.fromEntries(names.map((name) => [name, from[name] ?? null]));
      if (early.length > 0) first.push(one(id, picked(found, early), picked(left, early)));
      if (late.length > 0) last.push(one(id, picked(found, late), picked(left, late)));
    }
  }
  return { first: [...adds, ...first], last };
};

/** Accounts that changes made and that are not as these left them: they would go with what was changed since. */
export const changedSince = (
  changes: readonly AccountChange[],
  chart: ReadonlyMap<AccountId, Account>,
): readonly Account[] =>
  [...ends(changes)].flatMap(([id, { found, left }]) => {
    const stands = chart.get(accountId(id));
    return found !== null ||
      left === null ||
      stands === undefined ||
      FIELDS.every((field) => stands[field] === left[field])
      ? []
      : [stands];
  });

const text = (value: Kept): string => (typeof value === 'string' ? value : '');

/** A change of an account for its history; nothing where it is not worth a sentence. */
export const sayAccountChange = (
  { field, from, to }: AccountChange,
  chart: ReadonlyMap<AccountId, Account>,
): string | undefined => {
  if (field === WHOLE) {
    const account = (to ?? from) as unknown as AccountFields;
    const what = `${called(account)}, ${classFacts(account.classification).one}`;
    return to === null ? `deleted: ${what}` : `added as ${what}${account.origin === '' ? '' : ` (${account.origin})`}`;
  }
  const name = field as keyof AccountFields;
  switch (name) {
    case 'origin':
      return undefined;
    case 'code':
      return `code ${text(from)} → ${text(to)}`;
    case 'name':
      return `name “${text(from)}” → “${text(to)}”`;
    case 'classification':
      return `${sayField(name, from as AccountFields['classification'])} → ${sayField(name, to as AccountFields['classification'])}`;
    case 'parent': {
      const parent = chart.get(accountId(Number(to)));
      return `moved ${to === null ? 'to the top' : `under ${parent === undefined ? 'a heading that is gone' : called(parent)}`}`;
    }
    case 'active':
      return to === true ? 'reactivated' : 'deactivated';
    case 'note':
      return 'note changed';
    default:
      return `${FIELD_WORDS[name]}: ${sayField(name, to as AccountFields[typeof name])}`;
  }
};
