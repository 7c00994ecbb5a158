import { type Currency } from '../money/currency';
import { type Account, type AccountId, called } from '../chart/account';
import { ACCOUNT_TYPES, type AccountType, classFacts, isResult, typeOf } from '../ledger/classes';
import { type Minor, NIL, add } from '../money/minor';
import { accountFault } from './account-fault';
import { plural } from '../base/result';

const TOTALS: Readonly<Record<AccountType, string>> = {
  asset: 'Assets',
  liability: 'Liabilities',
  equity: 'Equity',
  income: 'Income',
  expense: 'Expenses',
};

/** Accounts told one by one. */
const MOST_TOLD = 5;

/**
 * What a changed chart does to opening figures that stand already, in sentences, before it is taken; none when it leaves
 * them alone. `say` writes an amount with its side. What only moves an account under another heading, or names it anew, is
 * no effect.
 */
export const chartEffects = (
  before: readonly Account[],
  after: readonly Account[],
  amounts: ReadonlyMap<AccountId, Minor | null>,
  facts: { readonly base: Currency; readonly atYearStart: boolean },
  say: (amount: Minor) => string,
): readonly string[] => {
  const was = new Map(before.map((account) => [account.id, account]));
  const told: string[] = [];
  for (const is of after) {
    const old = was.get(is.id);
    const amount = amounts.get(is.id) ?? NIL;
    if (old === undefined || old === is || amount === 0n) continue;
    const stands = `${called(is)} with ${say(amount)}`;
    if (old.classification !== is.classification)
      told.push(
        `${stands} goes from ${classFacts(old.classification).label} to ${classFacts(is.classification).label}${
          isResult(typeOf(old.classification)) === isResult(typeOf(is.classification))
            ? ''
            : ', and so the result of the year changes'
        }.`,
      );
    if (old.currency !== is.currency && is.currency !== null && is.currency !== facts.base)
      told.push(`${stands} is kept in ${is.currency} from now on, and needs its amount in ${is.currency}.`);
    else if (old.currency !== is.currency && old.currency !== null && old.currency !== facts.base)
      told.push(
        `${stands} is not kept in ${old.currency} any more; what is said of it in ${old.currency} is no longer asked for.`,
      );
    const [fault, had] = [is, old].map((account) => accountFault(account, amount, facts.atYearStart)?.says);
    if (fault !== undefined && fault !== had) told.push(`${stands} is then to be checked: ${fault}.`);
  }
  if (told.length === 0) return [];
  const totals = (chart: readonly Account[]): ReadonlyMap<AccountType, Minor> => {
    const sums = new Map<AccountType, Minor>();
    for (const { id, classification } of chart)
      sums.set(typeOf(classification), add(sums.get(typeOf(classification)) ?? NIL, amounts.get(id) ?? NIL));
    return sums;
  };
  const [from, to] = [totals(before), totals(after)];
  return [
    ...told.slice(0, MOST_TOLD),
    ...(told.length > MOST_TOLD ? [`And ${plural(told.length - MOST_TOLD, 'more effect')} like these.`] : []),
    ...ACCOUNT_TYPES.flatMap((type) => {
      const [old, fresh] = [from.get(type) ?? NIL, to.get(type) ?? NIL];
      return old === fresh ? [] : [`${TOTALS[type]}: ${say(old)} becomes ${say(fresh)}.`];
    }),
  ];
};
