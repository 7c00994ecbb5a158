import type { IsoDate } from '@/core/base/iso-date';
import { readAnyPaper } from '@/core/files/read-any';
import { textOf, type Table } from '@/core/base/table';
import { minorDigits } from '@/core/money/currency';
import { plainDecimal } from '@/core/money/format';
import { tablesUnder } from '@/core/papers/arrange';
import { explained, recognise } from '@/core/papers/recognise';
import { rowTotals } from '@/core/papers/rows';
import { statedCurrency } from '@/core/papers/stated-currency';
import { statedDate } from '@/core/papers/stated-date';
import { decimalsOf } from '@/core/papers/decimals';
import type { PaperRow } from '@/core/papers/paper-row';
import { type Result, ok } from '@/core/base/result';

export interface ReadQuestion {
  readonly bytes: Uint8Array;
  readonly name: string;
  /** The day that the balances should be of, ISO. */
  readonly date?: IsoDate;
  /** Decimals of the amounts; where not given, as many as the paper has. */
  readonly digits?: number;
}

/** What would be taken over from a paper, as JSON: amounts are decimal text, debit positive. */
export const askRead = async ({ bytes, name, date, digits: given }: ReadQuestion): Promise<Result<unknown>> => {
  const read = await readAnyPaper(bytes, name);
  if (!read.ok) return read;
  const paper = read.value;
  const digits = given ?? decimalsOf(paper);
  const circumstances = { digits, ...(date === undefined ? {} : { date }) };
  const found = recognise(paper, circumstances);
  const { reading } = found;
  const tables = tablesUnder(paper, reading);
  const rowsAs = (rows: readonly PaperRow[]) =>
    rows
      .filter(({ kind }) => kind === 'account')
      .map(({ row, code, name: account, amount }) => ({
        row,
        code,
        name: account,
        amount: plainDecimal(amount, digits),
      }));
  const totals = rowTotals(found.rows);
  return ok({
    rows: rowsAs(found.rows),
    asAt: statedDate(tables, reading, name) ?? null,
    currency: statedCurrency(tables, reading) ?? null,
    net: plainDecimal(totals.net, digits),
    totals:
      totals.accounts === 0
        ? null
        : { debits: plainDecimal(totals.debits, digits), credits: plainDecimal(totals.credits, digits) },
    foreign: found.rows.flatMap(({ kind, row, foreign }) =>
      kind === 'account' && foreign !== undefined
        ? [{ row, currency: foreign.currency, amount: plainDecimal(foreign.amount, minorDigits(foreign.currency)) }]
        : [],
    ),
    doubts: found.doubts,
    alternatives: found.alternatives.map(({ what, net, reading: other }) => ({
      what,
      net: plainDecimal(net, digits),
      rows: rowsAs(explained(paper, other, circumstances).rows),
    })),
    reading: {
      ...reading,
      titles: titlesOf(tables, reading.sheet, reading.header),
      format: tables[reading.sheet]?.format ?? null,
    },
  });
};

const titlesOf = (tables: readonly Table[], sheet: number, header: number): readonly string[] =>
  header < 0 ? [] : (tables[sheet]?.rows[header] ?? []).map(textOf);
