import type { BooksId } from '@/core/base/ids';
import { type Change, WHOLE } from '@/core/base/change';
import { type Kept, sameKept } from '@/core/base/kept';
import type { AccountId } from '@/core/chart/account';
import type { TaxCode, TaxCodeFields, TaxRate } from '@/core/chart/tax-codes';
import { type Queryable, one } from './database';

export const taxCodesOf = (tx: Queryable, booksId: BooksId): Promise<readonly TaxCode[]> =>
  tx.query<TaxCode>(
    `select c.id, c.code, c.name, c.direction, c.charged_account as charged, c.recoverable_account as recoverable, c.active,
       coalesce((select json_agg(json_build_object('from', r.from_date, 'rate', trim_scale(r.rate)::text) order by r.from_date)
         from tax_rate r where r.tax_code_id = c.id), '[]') as rates
     from tax_code c where c.books_id = $1 order by c.code`,
    [booksId],
  );

const putRates = async (tx: Queryable, booksId: BooksId, id: number, rates: readonly TaxRate[]): Promise<void> => {
  await tx.query('delete from tax_rate where books_id = $1 and tax_code_id = $2', [booksId, id]);
  await tx.query(
    `insert into tax_rate (books_id, tax_code_id, from_date, rate)
     select $1, $2, t.* from unnest($3::date[], $4::numeric[]) as t`,
    [booksId, id, rates.map((rate) => rate.from), rates.map((rate) => rate.rate)],
  );
};

const keptCode = (code: TaxCodeFields | undefined): Kept =>
  code === undefined
    ? null
    : {
        code: code.code,
        name: code.name,
        direction: code.direction,
        rates: code.rates.map(({ from, rate }) => ({ from, rate })),
        charged: code.charged,
        recoverable: code.recoverable,
        active: code.active,
      };

/** A tax code as the record of changes has it. */
export const taxCodeFrom = (kept: Kept): TaxCodeFields | undefined =>
  kept === null ? undefined : (kept as unknown as TaxCodeFields);

const taxChange = (id: number, from: TaxCodeFields | undefined, to: TaxCodeFields | undefined): Change => ({
  subject: 'tax-code',
  id,
  field: WHOLE,
  from: keptCode(from),
  to: keptCode(to),
});

/** Adds a tax code, under the id that it had where it comes back. */
export const insertTaxCode = async (
  tx: Queryable,
  booksId: BooksId,
  code: TaxCodeFields,
  as: number | null = null,
): Promise<{ readonly id: number; readonly change: Change }> => {
  const { id } = one(
    await tx.query<{ id: number }>(
      `insert into tax_code (books_id, code, name, direction, charged_account, recoverable_account, active, id) overriding system value
       values ($1, $2, $3, $4, $5, $6, $7, coalesce($8::int, nextval(pg_get_serial_sequence('tax_code', 'id'))::int)) returning id`,
      [booksId, code.code, code.name, code.direction, code.charged, code.recoverable, code.active, as],
    ),
  );
  await putRates(tx, booksId, id, code.rates);
  return { id, change: taxChange(id, undefined, code) };
};

export const updateTaxCode = async (
  tx: Queryable,
  booksId: BooksId,
  was: TaxCode,
  code: TaxCodeFields,
): Promise<Change> => {
  await tx.query(
    `update tax_code set code = $3, name = $4, direction = $5, charged_account = $6, recoverable_account = $7, active = $8
     where books_id = $1 and id = $2`,
    [booksId, was.id, code.code, code.name, code.direction, code.charged, code.recoverable, code.active],
  );
  await putRates(tx, booksId, was.id, code.rates);
  return taxChange(was.id, was, code);
};

export const deleteTaxCode = async (tx: Queryable, booksId: BooksId, code: TaxCode): Promise<Change> => {
  await tx.query('delete from tax_code where books_id = $1 and id = $2', [booksId, code.id]);
  return taxChange(code.id, code, undefined);
};

/** Whether a tax code still is what a change made of it. */
export const isStill = (stands: TaxCode | undefined, { to }: Pick<Change, 'to'>): boolean =>
  sameKept(keptCode(stands), to);

/** Whether two say the same, whatever their number. */
export const sameTaxCode = (one: TaxCodeFields, other: TaxCodeFields): boolean =>
  sameKept(keptCode(one), keptCode(other));

/** Figures' tax codes follow when one account is merged into another. */
export const moveTaxAccounts = async (
  tx: Queryable,
  booksId: BooksId,
  from: AccountId,
  into: AccountId,
): Promise<void> => {
  for (const column of ['charged_account', 'recoverable_account'])
    await tx.query(`update tax_code set ${column} = $3 where books_id = $1 and ${column} = $2`, [booksId, from, into]);
};
