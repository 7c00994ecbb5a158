import { type Currency } from '../../money/currency';
import type { Account } from '../../chart/account';
import type { AuditAsset, AuditStock } from '../../chart/saft';
import { type Minor, NIL, add, negate } from '../../money/minor';
import type { Item } from '../item';
import { scheduleOf } from '../kinds';
import { methodIn, monthsIn } from './detail';

/**
 * The stock and the fixed assets of books as an audit file has them, in base currency: null where an item in another currency says
 * nothing of its worth in it. What is written down of stock on its own account is off its value; assets that are gone are out.
 */
export const auditThings = (
  items: readonly Item[],
  accounts: readonly Account[],
  base: Currency,
): { readonly stock: readonly AuditStock[]; readonly assets: readonly AuditAsset[] } => {
  const byId = new Map(accounts.map((account) => [account.id, account]));
  const stock: AuditStock[] = [];
  const assets: AuditAsset[] = [];
  for (const {
    account: id,
    number: code,
    note: name,
    detail,
    currency,
    open,
    base: worth,
    beside,
    besideAccount,
    date,
  } of items) {
    const account = byId.get(id);
    const kind = account === undefined ? undefined : scheduleOf(account);
    const inBase = (amount: Minor): Minor | null => (currency === base ? amount : null);
    const own = { code, name, account: account?.code ?? '' };
    if (kind === 'stock')
      stock.push({
        ...own,
        category: detail.category ?? '',
        unit: detail.unit ?? '',
        place: detail.place ?? '',
        quantity: detail.quantity ?? '',
        unitCost: detail.cost ?? '',
        value: worth ?? inBase(besideAccount === null ? add(open, beside ?? NIL) : open),
      });
    else if (kind === 'assets' && detail.disposed === undefined)
      assets.push({
        ...own,
        acquired: date,
        lifeMonths: monthsIn(detail, 'life'),
        method: methodIn(detail),
        cost: inBase(open),
        depreciation: inBase(beside === null ? NIL : negate(beside)),
      });
  }
  return { stock, assets };
};
