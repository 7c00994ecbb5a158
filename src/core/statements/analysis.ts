import type { IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import { type Sentence, dated, say } from '../base/sentence';
import type { Account, AccountId } from '../chart/account';
import { type Minor, NIL, subtract, sum } from '../money/minor';
import { type AnalysisCode, type ListNamed, codeTitle } from '../schedules/analysis';
import { type Column, type Document, type Line, type Section, sides, totalSides } from './document';

/** What items with a code come to on an account, in base currency; null while a rate is missing. */
export interface CodeAmount {
  readonly code: number;
  readonly account: AccountId;
  readonly amount: Minor | null;
}

const COLUMNS: readonly Column[] = [
  { label: 'Account', kind: 'code' },
  { label: 'Name', kind: 'text' },
  { label: 'Debit', kind: 'figure' },
  { label: 'Credit', kind: 'figure' },
];

/**
 * What stands on each code of a list, account by account, and last what of those accounts' figures bears none: the parts of an account
 * come to its figure. Accounts of which nothing is divided are left out.
 */
export const analysisReport = (
  { name }: ListNamed,
  codes: readonly AnalysisCode[],
  amounts: readonly CodeAmount[],
  accounts: readonly Account[],
  figures: ReadonlyMap<AccountId, Minor>,
  head: {
    readonly openingDate: IsoDate;
    readonly currency: Currency;
    readonly digits: number;
    readonly draft: boolean;
  },
): Document => {
  const order = new Map(accounts.map((account, at) => [account.id, { account, at }]));
  const partOf = (
    title: string,
    parts: readonly { readonly account: AccountId; readonly amount: Minor }[],
  ): Section => ({
    title,
    lines: [
      ...[...parts]
        .sort((a, b) => (order.get(a.account)?.at ?? 0) - (order.get(b.account)?.at ?? 0))
        .map(({ account, amount }): Line => {
          const known = order.get(account)?.account;
          return {
            kind: 'line',
            depth: 0,
            account,
            values: [known?.code ?? '', known?.name ?? '', ...sides(amount, head.digits)],
          };
        }),
      {
        kind: 'total',
        depth: 0,
        values: [
          '',
          `Total, ${title}`,
          ...totalSides(
            parts.map(({ amount }) => amount),
            head.digits,
          ),
        ],
      },
    ],
  });
  const known = amounts.flatMap(({ amount, ...one }) => (amount === null ? [] : [{ ...one, amount }]));
  const unknown = amounts.length - known.length;
  const divided = [...new Set(amounts.map(({ account }) => account))];
  const left = divided.flatMap((account) => {
    const parts = known.filter((one) => one.account === account).map(({ amount }) => amount);
    const amount = subtract(figures.get(account) ?? NIL, sum(parts));
    return amount === 0n ? [] : [{ account, amount }];
  });
  const notes: readonly Sentence[] = [
    ...(unknown > 0
      ? [say`Some amounts in foreign currencies are left out: a rate of the opening date is missing.`]
      : []),
    ...(divided.length === 0 ? [say`No item bears a code of this list yet.`] : []),
  ];
  return {
    title: `By ${name.toLowerCase()}`,
    about: say`At close of ${dated(head.openingDate)}, in ${head.currency}`,
    standing: head.draft ? { draft: true } : { draft: false, says: say`Posted with the opening balances` },
    columns: COLUMNS,
    sections: [
      ...codes.flatMap((code) => {
        const own = known.filter((one) => one.code === code.id);
        return own.length === 0 ? [] : [partOf(codeTitle(code), own)];
      }),
      ...(left.length === 0 ? [] : [partOf('Without a code', left)]),
    ],
    notes,
  };
};
