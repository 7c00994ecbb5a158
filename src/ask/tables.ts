import { type Table, textOf } from '@/core/base/table';
import { readCsv } from '@/core/files/csv';
import { plainDecimal } from '@/core/money/format';
import { type Minor, minor } from '@/core/money/minor';
import { type Result, fail, ok, problem, quoted } from '@/core/base/result';

/** A row of a question's table, by the names of its columns. */
export type Asked = ReadonlyMap<string, string>;

/** Reads a question's table: the first row names the columns, of which some must be there. */
export const askedRows = (bytes: Uint8Array, name: string, needed: readonly string[]): Result<readonly Asked[]> => {
  const read = readCsv(bytes, name);
  if (!read.ok) return read;
  const rows: Table['rows'] = read.value[0]?.rows ?? [];
  const titles = (rows[0] ?? []).map((cell) => textOf(cell).toLowerCase());
  const missing = needed.filter((title) => !titles.includes(title));
  if (missing.length > 0)
    return fail(
      problem('ask.columns', `${name} has no column ${missing.map(quoted).join(', ')}; its first row must name them.`),
    );
  return ok(
    rows
      .slice(1)
      .filter((row) => row.some((cell) => textOf(cell) !== ''))
      .map((row) => new Map(titles.map((title, at) => [title, textOf(row[at])]))),
  );
};

/** Decimals in which the amounts of questions are counted: more than any currency has. */
export const DIGITS = 4;

/** Plain decimal text as units; nil where it is empty. Undefined where it is no number. */
export const unitsOf = (text: string | undefined): bigint | undefined => {
  const plain = (text ?? '').trim();
  if (plain === '') return 0n;
  const [, sign = '', whole = '', fraction = ''] = /^([+-]?)(\d{1,20})(?:\.(\d{0,4}))?$/.exec(plain) ?? [];
  if (whole === '') return undefined;
  const units = BigInt(whole + fraction.padEnd(DIGITS, '0'));
  return sign === '-' ? -units : units;
};

/** Units as decimal text with two decimals, or more where they need them. */
export const said = (units: bigint): string => {
  let [text, decimals] = [plainDecimal(units, DIGITS), DIGITS];
  for (; decimals > 2 && text.endsWith('0'); decimals -= 1) text = text.slice(0, -1);
  return text;
};

/** What a row's debit and credit columns come to, debit positive; or the row's number where they are none. */
export const balanceOf = (row: Asked): Minor | undefined => {
  const [debit, credit] = [unitsOf(row.get('debit')), unitsOf(row.get('credit'))];
  return debit === undefined || credit === undefined ? undefined : minor(debit - credit);
};
