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
 * @example accountChanges(edited, ids) // [{ id: 12, field: 'code', from: '7990', to: '7940' }]
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

/** The edits that take changes back: each meets what the change left, or is refused as a clash. */
export const editsBack = (changes: readonly AccountChange[]): readonly ChartEdit[] => {
  const edits: ChartEdit[] = [];
  const fields = new Map<number, { is: Record<string, Kept>; was: Record<string, Kept> }>();
  for (const { id, field, from, to } of changes.toReversed())
    if (field !== WHOLE) {
      const known = fields.get(id) ?? { is: {}, was: {} };
      fields.set(id, { is: { ...known.is, [field]: from }, was: { [field]: to, ...known.was } });
    } else if (from === null) edits.push({ kind: 'remove', id: accountId(id) });
    else edits.unshift({ kind: 'add', id: accountId(id), account: from as unknown as AccountFields });
  return [
    ...edits,
    ...[...fields].map(([id, { is, was }]): ChartEdit => ({
      kind: 'change',
      id: accountId(id),
      is: is,
      was: was,
    })),
  ];
};

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
