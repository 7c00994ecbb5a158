import type { BooksId } from '@/core/base/ids';
import type { AccountId } from '@/core/chart/account';
import { type BankDetails, NO_BANK_DETAILS } from '@/core/chart/bank';
import type { Kept } from '@/core/base/kept';
import { amountFrom } from '@/core/money/wire';
import { type Change, WHOLE } from '@/core/base/change';
import type { Queryable } from './database';

export const bankDetailsOf = async (tx: Queryable, booksId: BooksId): Promise<ReadonlyMap<AccountId, BankDetails>> =>
  new Map(
    (
      await tx.query<BankDetails & { account: AccountId }>(
        `select account_id as account, number, routing, iban, bic, alert_below as "alertBelow", reconciled, on_documents as "onDocuments", statement_day as "statementDay"
         from bank_detail where books_id = $1`,
        [booksId],
      )
    ).map(({ account, ...details }) => [account, details]),
  );

/** As the record of changes keeps details; `bankFrom` reads them again. */
export const keptBank = (details: BankDetails | undefined): Kept =>
  details === undefined
    ? null
    : {
        number: details.number,
        routing: details.routing,
        iban: details.iban,
        bic: details.bic,
        alertBelow: details.alertBelow === null ? null : String(details.alertBelow),
        reconciled: details.reconciled,
        onDocuments: details.onDocuments,
        statementDay: details.statementDay,
      };

export const bankFrom = (kept: Kept): BankDetails | undefined => {
  if (kept === null) return undefined;
  const details = kept as unknown as Omit<BankDetails, 'alertBelow'> & { readonly alertBelow: Kept };
  // What was kept before banks had numbers has none.
  return { ...NO_BANK_DETAILS, ...details, alertBelow: amountFrom(details.alertBelow) };
};

/** Puts the details of some accounts in the place of what stands; undefined takes them away. Gives what changed, for the record. */
export const putBankDetails = async (
  tx: Queryable,
  booksId: BooksId,
  details: ReadonlyMap<AccountId, BankDetails | undefined>,
): Promise<readonly Change[]> => {
  if (details.size === 0) return [];
  const stand = await bankDetailsOf(tx, booksId);
  const list = [...details].flatMap(([id, one]) => (one === undefined ? [] : [[id, one] as const]));
  await tx.query('delete from bank_detail where books_id = $1 and account_id = any($2::int[])', [
    booksId,
    [...details].flatMap(([id, one]) => (one === undefined ? [id] : [])),
  ]);
  await tx.query(
    `insert into bank_detail (books_id, account_id, number, iban, bic, alert_below, reconciled, statement_day, routing, on_documents)
     select $1, t.* from unnest($2::int[], $3::text[], $4::text[], $5::text[], $6::int8[], $7::bool[], $8::int[], $9::text[], $10::bool[]) as t
     on conflict (account_id) do update set number = excluded.number, iban = excluded.iban, bic = excluded.bic,
       alert_below = excluded.alert_below, reconciled = excluded.reconciled, statement_day = excluded.statement_day, routing = excluded.routing,
       on_documents = excluded.on_documents`,
    [
      booksId,
      list.map(([id]) => id),
      list.map(([, one]) => one.number),
      list.map(([, one]) => one.iban),
      list.map(([, one]) => one.bic),
      list.map(([, one]) => one.alertBelow),
      list.map(([, one]) => one.reconciled),
      list.map(([, one]) => one.statementDay),
      list.map(([, one]) => one.routing),
      list.map(([, one]) => one.onDocuments),
    ],
  );
  return [...details].map(([id, one]) => ({
    subject: 'bank',
    id,
    field: WHOLE,
    from: keptBank(stand.get(id)),
    to: keptBank(one),
  }));
};
