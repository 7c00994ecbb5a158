import { addTo } from '../base/lists';
import { folded } from '../base/folded';
import { type Row, type Table, textOf } from '../base/table';
import { unitsOf } from '../money/paper-amount';
import { statedCurrency } from '../papers/stated-currency';
import { CREDIT, DEBIT } from '../words/paper-words';
import { type ListTable, amountIn, dayIn, listTable } from './list-table';
import { ACCOUNT, BALANCE, BOOKED, IN, OUT, VALUE_DATE, WORDS } from './statement-words';
import { withYears } from './years-of-days';

export type Column =
  'side' | 'date' | 'valueDate' | 'text' | 'amount' | 'in' | 'out' | 'balance' | 'account' | 'currency';
type Columns = ReadonlyMap<Column, readonly number[]>;

/** Decimals in which amounts are compared before their currency is known. */
const FINEST = 4;

/** So many rows below the header say what is in a column. */
const SAMPLE = 60;

/** Whether a word beside an amount says that it went out: a bank debits what its customer pays. */
export const wentOut = (text: string): boolean =>
  text === '-' || OUT.is(folded(text)) || (!IN.is(folded(text)) && DEBIT.is(folded(text)));

/** Whether a column says of each amount whether it came in or went out. */
const isSides = (texts: readonly string[]): boolean =>
  texts.length > 0 &&
  texts.every(
    (text) => text.length <= 12 && (text === '+' || wentOut(text) || IN.is(folded(text)) || CREDIT.is(folded(text))),
  );

/** The columns of a bank's table, from those of lists and the words that only banks use. */
const columnsOf = (list: ListTable): Columns => {
  const found = new Map<Column, number[]>();
  (list.rows[list.header] ?? []).forEach((cell, at) => {
    const words = folded(textOf(cell));
    const role = list.roles[at];
    const cells = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE).map((row) => row[at]);
    const filled = cells.filter((one) => textOf(one) !== '');
    const mostly = (is: (one: Row[number] | undefined) => boolean): boolean =>
      filled.length > 0 && filled.filter(is).length * 1.25 >= filled.length;
    // Beside days, lines of balances have their words here.
    const days = filled.filter((one) => dayIn(list, textOf(one)) !== undefined);
    const dated = filled.length > 0 && days.length * 10 >= filled.length * 6;
    const money = !dated && mostly((one) => amountIn(list, one) !== undefined);
    const give = (column: Column): void => addTo(found, column, at);
    if (dated) give(VALUE_DATE.in(words) !== undefined && !BOOKED.is(words) ? 'valueDate' : 'date');
    else if (money && BALANCE.in(words) !== undefined) give('balance');
    else if (role === 'debit') give('out');
    else if (role === 'credit') give('in');
    else if (money && (role === 'open' || role === 'original' || role === 'base') && !ACCOUNT.is(words)) give('amount');
    else if (isSides(filled.map(textOf))) give('side');
    else if (role === 'currency') give('currency');
    else if (ACCOUNT.is(words) && filled.length > 0) give('account');
    else if (
      !money &&
      (WORDS.in(words) !== undefined || role === 'contactName' || role === 'reference' || role === 'kind')
    )
      give('text');
  });
  const taken = new Set([...found.values()].flat());
  const sample = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE);
  const width = (list.rows[list.header] ?? []).length;
  // A balance that no word names follows from one entry to the next.
  if (!found.has('balance')) {
    const units = (row: Row | undefined, at: number): bigint => {
      const read = amountIn(list, row?.[at]);
      return read === undefined ? 0n : (unitsOf(read, FINEST)?.amount ?? 0n);
    };
    const size = (amount: bigint): bigint => (amount < 0n ? -amount : amount);
    const moves = (['amount', 'in', 'out'] as const).flatMap((column) => found.get(column)?.slice(0, 1) ?? []);
    const moved = (row: Row | undefined): bigint => moves.reduce((sum, at) => sum + size(units(row, at)), 0n);
    const balance = Array.from({ length: width }, (_, at) => at).find((at) => {
      const second = found.get('amount')?.includes(at) === true;
      if ((taken.has(at) && !second) || moves.length === 0 || moves.includes(at)) return false;
      const steps = sample.slice(1).map((row, before) => {
        const step = size(units(row, at) - units(sample[before], at));
        return step !== 0n && (step === moved(row) || step === moved(sample[before]));
      });
      return steps.length > 1 && steps.filter(Boolean).length * 10 >= steps.length * 6;
    });
    if (balance !== undefined) {
      found.set(
        'amount',
        (found.get('amount') ?? []).filter((at) => at !== balance),
      );
      found.set('balance', [balance]);
    }
  }
  // Where no column is called by a word for it, what has words in it says what the entries are.
  if (!found.has('text')) {
    (list.rows[list.header] ?? []).forEach((_, at) => {
      const texts = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE).map((row) => textOf(row[at]));
      const filled = texts.filter((text) => text !== '');
      const worded = filled.filter((text) => /\p{L}{3}/u.test(text) && new Set(filled).size > 1);
      if (!taken.has(at) && filled.length > 0 && worded.length * 2 >= filled.length) addTo(found, 'text', at);
    });
  }
  const [first, second] = found.get('date') ?? [];
  if (first !== undefined && second !== undefined && !found.has('valueDate')) {
    found.set('date', [first]);
    found.set('valueDate', [second]);
  }
  return found;
};

/** A bank's table with what its rows are read by. */
export interface BankTable {
  readonly list: ListTable;
  readonly at: (column: Column) => number;
  readonly texts: readonly number[];
  /** The currency that the table says, or empty. */
  readonly currency: string;
}

/** The bank's table in a table; undefined where it has no days with amounts. */
export const bankTable = (tables: readonly Table[], sheet: number): BankTable | undefined => {
  const table = tables[sheet];
  const list = table === undefined ? undefined : listTable(withYears(table));
  if (list === undefined) return undefined;
  const columns = columnsOf(list);
  const at = (column: Column): number => columns.get(column)?.[0] ?? -1;
  const amounts = (['amount', 'in', 'out'] as const).map(at);
  if ((at('date') < 0 && at('valueDate') < 0) || amounts.every((one) => one < 0)) return undefined;
  const currency = statedCurrency(tables, {
    sheet,
    header: list.header,
    columns: list.roles.map((_, where) =>
      where === at('currency') ? 'currency' : amounts.includes(where) ? 'balance' : 'ignore',
    ),
  });
  return { list, at, texts: columns.get('text') ?? [], currency: currency ?? '' };
};
