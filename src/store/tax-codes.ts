import type { AccountId } from '@/core/chart/account';
import type { TaxCode, TaxCodeFields, TaxRate } from '@/core/chart/tax-codes';
import { type Queryable, one } from './database';

export const taxCodesOf = (tx: Queryable, booksId: number): Promise<readonly TaxCode[]> =>
  tx.query<TaxCode>(
    `select c.id, c.code, c.name, c.direction, c.charged_account as charged, c.recoverable_account as recoverable, c.active,
       coalesce((select json_agg(json_build_object('from', r.from_date, 'rate', trim_scale(r.rate)::text) order by r.from_date)
         from tax_rate r where r.tax_code_id = c.id), '[]') as rates
     from tax_code c where c.books_id = $1 order by c.code`,
    [booksId],
  );

const putRates = async (tx: Queryable, booksId: number, id: number, rates: readonly TaxRate[]): Promise<void> => {
  await tx.query('delete from tax_rate where books_id = $1 and tax_code_id = $2', [booksId, id]);
  await tx.query(
    `insert into tax_rate (books_id, tax_code_id, from_date, rate)
     select $1, $2, t.* from unnest($3::date[], $4::numeric[]) as t`,
    [booksId, id, rates.map((rate) => rate.from), rates.map((rate) => rate.rate)],
  );
};

export const insertTaxCode = async (tx: Queryable, booksId: number, code: TaxCodeFields): Promise<number> => {
  const { id } = one(
    await tx.query<{ id: number }>(
      `insert into tax_code (books_id, code, name, direction, charged_account, recoverable_account, active)
       values ($1, $2, $3, $4, $5, $6, $7) returning id`,
      [booksId, code.code, code.name, code.direction, code.charged, code.recoverable, code.active],
    ),
  );
  await putRates(tx, booksId, id, code.rates);
  return id;
};

export const updateTaxCode = async (tx: Queryable, booksId: number, code: TaxCode): Promise<void> => {
  await tx.query(
    `update tax_code set code = $3, name = $4, direction = $5, charged_account = $6, recoverable_account = $7, active = $8
     where books_id = $1 and id = $2`,
    [booksId, code.id, code.code, code.name, code.direction, code.charged, code.recoverable, code.active],
  );
  await putRates(tx, booksId, code.id, code.rates);
};

export const deleteTaxCode = async (tx: Queryable, booksId: number, id: number): Promise<void> => {
  await tx.query('delete from tax_code where books_id = $1 and id = $2', [booksId, id]);
};

/** Figures' tax codes follow when one account is merged into another. */
export const moveTaxAccounts = async (
  tx: Queryable,
  booksId: number,
  from: AccountId,
  into: AccountId,
): Promise<void> => {
  for (const column of ['charged_account', 'recoverable_account'])
    await tx.query(`update tax_code set ${column} = $3 where books_id = $1 and ${column} = $2`, [booksId, from, into]);
};
