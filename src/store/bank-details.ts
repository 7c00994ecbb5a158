import type { AccountId } from '@/core/chart/account';
import type { BankDetails } from '@/core/chart/bank';
import type { Queryable } from './database';

export const bankDetailsOf = async (tx: Queryable, booksId: number): Promise<ReadonlyMap<AccountId, BankDetails>> =>
  new Map(
    (
      await tx.query<BankDetails & { account: AccountId }>(
        `select account_id as account, number, iban, bic, alert_below as "alertBelow", reconciled, statement_day as "statementDay"
         from bank_detail where books_id = $1`,
        [booksId],
      )
    ).map(({ account, ...details }) => [account, details]),
  );

/** Puts the details of some accounts in the place of what stands. */
export const putBankDetails = async (
  tx: Queryable,
  booksId: number,
  details: ReadonlyMap<AccountId, BankDetails>,
): Promise<void> => {
  const list = [...details];
  if (list.length === 0) return;
  await tx.query(
    `insert into bank_detail (books_id, account_id, number, iban, bic, alert_below, reconciled, statement_day)
     select $1, t.* from unnest($2::int[], $3::text[], $4::text[], $5::text[], $6::int8[], $7::bool[], $8::int[]) as t
     on conflict (account_id) do update set number = excluded.number, iban = excluded.iban, bic = excluded.bic,
       alert_below = excluded.alert_below, reconciled = excluded.reconciled, statement_day = excluded.statement_day`,
    [
      booksId,
      list.map(([id]) => id),
      list.map(([, one]) => one.number),
      list.map(([, one]) => one.iban),
      list.map(([, one]) => one.bic),
      list.map(([, one]) => one.alertBelow),
      list.map(([, one]) => one.reconciled),
      list.map(([, one]) => one.statementDay),
    ],
  );
};
