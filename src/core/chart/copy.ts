import { type Account, type AccountId, chartIndex } from './account';
import type { AccountRole } from '../ledger/classes';
import type { BankDetails } from './bank';
import type { ComposedAccount } from './composition/compose';
import type { Incoming } from './incoming';
import { inTreeOrder } from './tree';

/** What of another chart is copied. */
export interface CopyWish {
  /** Ids of the headings and accounts whose branches are wanted; null for all. */
  readonly branches: readonly number[] | null;
  readonly inactive: boolean;
  readonly notes: boolean;
  /** Banks, cards and loans as the other client calls them; else by what they are. */
  readonly ownNames: boolean;
  readonly taxCodes: boolean;
}

/** What is called after a bank or a lender of one's own. */
const PLAIN_NAMES: Readonly<Partial<Record<AccountRole, string>>> = {
  bank: 'Bank account',
  card: 'Credit card',
  loan: 'Loan',
};

/** Whether an account of a chart is called after whom it is kept with. */
export const hasOwnName = ({ heading, role }: Pick<Account, 'heading' | 'role'>): boolean =>
  !heading && role !== null && PLAIN_NAMES[role] !== undefined;

/** Names for the accounts that are called after somebody: what each is, with its currency, and a number where others are called so. */
const plainNames = (accounts: readonly Account[]): ReadonlyMap<AccountId, string> => {
  const taken = new Set(accounts.filter((account) => !hasOwnName(account)).map(({ name }) => name.toLowerCase()));
  return new Map(
    accounts.filter(hasOwnName).map(({ id, role, currency }): [AccountId, string] => {
      const plain = `${(role === null ? undefined : PLAIN_NAMES[role]) ?? ''}${currency === null ? '' : ` ${currency}`}`;
      let name = plain;
      for (let number = 2; taken.has(name.toLowerCase()); number += 1) name = `${plain} ${String(number)}`;
      taken.add(name.toLowerCase());
      return [id, name];
    }),
  );
};

/** Accounts of another chart as incoming ones, headings before what stands under them; where only branches are wanted, the headings above them come too. */
export const copied = (
  chart: readonly Account[],
  wish: CopyWish,
  from: string,
  banks: ReadonlyMap<AccountId, BankDetails> = new Map(),
): readonly Incoming[] => {
  const { byId } = chartIndex(chart);
  const wanted = new Set<AccountId>();
  const rows = inTreeOrder(chart);
  if (wish.branches === null) for (const { account } of rows) wanted.add(account.id);
  else {
    const roots = new Set<number>(wish.branches);
    for (const { account } of rows)
      if (
        roots.has(account.id) ||
        (account.parent !== null && wanted.has(account.parent) && isUnder(account, roots, byId))
      )
        wanted.add(account.id);
    for (const id of [...wanted])
      for (
        let above = byId.get(id)?.parent ?? null;
        above !== null && !wanted.has(above);
        above = byId.get(above)?.parent ?? null
      )
        wanted.add(above);
  }
  const taken = rows.filter(({ account }) => wanted.has(account.id) && (wish.inactive || account.active));
  const names = wish.ownNames ? undefined : plainNames(taken.map(({ account }) => account));
  return taken.map(({ account }, at): Incoming => {
    const parent = account.parent === null ? undefined : byId.get(account.parent);
    const { id, parent: _, taxCode, note, ...fields } = account;
    const bank = banks.get(id);
    return {
      row: at + 1,
      says: {
        ...fields,
        name: names?.get(id) ?? fields.name,
        parent: parent === undefined ? '' : parent.code === '' ? parent.name : parent.code,
        ...(wish.notes ? { note } : {}),
        ...(wish.taxCodes ? { taxCode } : {}),
        ...(bank === undefined ? {} : { bank }),
        origin: account.origin === '' ? `copied from ${from}` : account.origin,
      },
      problems: [],
    };
  });
};

const isUnder = (account: Account, roots: ReadonlySet<number>, byId: ReadonlyMap<AccountId, Account>): boolean => {
  for (let above = account.parent; above !== null; above = byId.get(above)?.parent ?? null)
    if (roots.has(above)) return true;
  return false;
};

/** A composed chart as incoming accounts. */
export const fromComposed = (composed: readonly ComposedAccount[]): readonly Incoming[] =>
  composed.map((account, at) => ({ row: at + 1, says: { ...account, parent: account.parent ?? '' }, problems: [] }));
