import { readAnyPaper } from '@/core/files/read-any';
import { type Result, ok } from '@/core/base/result';
import { plainDecimal } from '@/core/money/format';
import { bankStatements } from '@/core/schedules/read-list';
import type { StatementsRead } from '@/core/schedules/statement';
import { readStatementTable } from '@/core/schedules/statement-table';

const read = async (bytes: Uint8Array, name: string): Promise<Result<StatementsRead>> => {
  const statements = bankStatements(bytes, name);
  if (statements !== undefined) return statements;
  const tables = await readAnyPaper(bytes, name);
  return tables.ok ? readStatementTable(tables.value, name) : tables;
};

/** The statements of a bank's file, as JSON: money in the bank is positive, what is owed to it negative. */
export const askStatement = async ({
  bytes,
  name,
}: {
  readonly bytes: Uint8Array;
  readonly name: string;
}): Promise<Result<unknown>> => {
  const found = await read(bytes, name);
  if (!found.ok) return found;
  const { statements, doubts } = found.value;
  return ok({
    statements: statements.map(({ digits, opening, closing, entries, account, currency, from, to }) => {
      const amount = (units: bigint): string => plainDecimal(units, digits);
      const balance = (one: typeof opening) => (one === null ? null : { date: one.date, amount: amount(one.amount) });
      return {
        account,
        currency: currency === '' ? null : currency,
        from,
        to,
        opening: balance(opening),
        closing: balance(closing),
        entries: entries.map((entry) => ({ ...entry, amount: amount(entry.amount) })),
      };
    }),
    doubts: doubts.map(({ code, message, path }) => ({ code, message, statement: path?.[0] ?? null })),
  });
};
