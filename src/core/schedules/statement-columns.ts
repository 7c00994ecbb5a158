import { ibanProblem } from '../chart/bank';
import { magnitude } from '../money/rounding';
import { addTo } from '../base/lists';
import { folded } from '../base/folded';
import { type Row, type Table, textOf } from '../base/table';
import { type Currency, isCurrency } from '../money/currency';
import { unitsOf } from '../money/paper-amount';
import { decimalsOf } from '../papers/decimals';
import { statedCurrency } from '../papers/stated-currency';
import { CREDIT, DEBIT } from '../words/paper-words';
import { contentOf, inCurrencyOf } from './list-columns';
import { type ListTable, amountIn, dayIn, listTable, unitsIn } from './list-table';
import { ACCOUNT, BALANCE, BOOKED, IN, OUT, VALUE_DATE, WORDS, bankNaming } from './statement-words';
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

/** Columns of amounts that nothing else is known of. */
const spareIn = (list: ListTable, found: Columns): readonly number[] => {
  const taken = new Set([...found.values()].flat());
  const rows = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE);
  return (list.rows[list.header] ?? []).flatMap((_, at) =>
    !taken.has(at) && contentOf(rows.map((row) => textOf(row[at]))).fractions >= 0.8 ? [at] : [],
  );
};

/** Columns that are tried out against each other; no bank's table has more of amounts. */
const MOST_TRIED = 7;

/** Columns of what moved, and of the balance that it led to. */
interface Moves {
  readonly columns: ReadonlyMap<Column, number>;
  readonly balance: number;
}

/**
 * How many in a hundred of the balances are the one before and what moved since, in whichever order the rows are. Without `signed`, an
 * amount may have come in or gone out, as the word beside it says.
 */
const follows = (
  amounts: readonly (readonly (bigint | undefined)[])[],
  { columns, balance }: Moves,
  signed: boolean,
): number => {
  const at = (row: readonly (bigint | undefined)[], column: Column): bigint => row[columns.get(column) ?? -1] ?? 0n;
  const shares = [amounts, [...amounts].reverse()].map((rows) => {
    let [before, since, meets, all]: [bigint | undefined, bigint, number, number] = [undefined, 0n, 0, 0];
    for (const row of rows) {
      since += at(row, 'amount') + magnitude(at(row, 'in')) - magnitude(at(row, 'out'));
      const stands = row[balance];
      if (stands === undefined) continue;
      if (before !== undefined) {
        all += 1;
        const moved = stands - before;
        if (moved === since || (!signed && magnitude(moved) === magnitude(since))) meets += 1;
      }
      [before, since] = [stands, 0n];
    }
    return all < 2 ? 0 : (meets * 100) / all;
  });
  return Math.max(...shares);
};

/**
 * Settles what came in, what went out and what stood in the account after it: words only propose it, the balances decide. Where they
 * follow from what the words say, that is left.
 */
const settleMoves = (list: ListTable, found: Map<Column, number[]>): void => {
  const rows = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE);
  const width = Math.max(...rows.map((row) => row.length), 0);
  const taken = new Set(
    (['date', 'valueDate', 'account', 'currency', 'side'] as const).flatMap((column) => found.get(column) ?? []),
  );
  const columns = Array.from({ length: width }, (_, at) => at).filter((at) => {
    const texts = rows.map((row) => textOf(row[at])).filter((text) => text !== '');
    const read = texts.filter((text) => dayIn(list, text) === undefined && amountIn(list, text) !== undefined);
    return !taken.has(at) && texts.length > 0 && read.length * 1.25 >= texts.length;
  });
  const amounts = rows.map((row) =>
    Array.from({ length: width }, (_, at) => {
      const read = columns.includes(at) ? amountIn(list, row[at]) : undefined;
      return read === undefined ? undefined : unitsOf(read, FINEST)?.amount;
    }),
  );
  const signed = !found.has('side');
  const known = found.get('balance')?.[0];
  const said = new Map(
    (['amount', 'in', 'out'] as const).flatMap(
      (column) =>
        found
          .get(column)
          ?.slice(0, 1)
          .map((at) => [column, at] as const) ?? [],
    ),
  );
  const balances = known === undefined ? columns.filter((at) => ![...said.values()].includes(at)) : [known];
  const stated = balances.map((balance) => ({
    columns: said,
    balance,
    holds: said.size === 0 ? 0 : follows(amounts, { columns: said, balance }, false),
  }));
  const proposed = stated.filter(({ holds }) => holds >= 60).sort((one, other) => other.holds - one.holds)[0];
  // Amounts of one column have their signs, or a word beside them: where neither says what the balances do, others are tried.
  const firm =
    proposed === undefined ? 0 : signed && said.has('amount') ? follows(amounts, proposed, true) : proposed.holds;
  const tried =
    firm >= 95 || columns.length > MOST_TRIED
      ? []
      : (known === undefined ? columns : [known]).flatMap((balance) => {
          const others = columns.filter((at) => at !== balance);
          const ways: readonly ReadonlyMap<Column, number>[] = [
            ...others.map((at) => new Map<Column, number>([['amount', at]])),
            ...others.flatMap((into) =>
              others
                .filter((at) => at !== into)
                .map(
                  (out) =>
                    new Map<Column, number>([
                      ['in', into],
                      ['out', out],
                    ]),
                ),
            ),
          ];
          return ways.map((way) => ({
            columns: way,
            balance,
            holds: follows(amounts, { columns: way, balance }, signed),
          }));
        });
  const better = tried
    .filter(({ holds }) => holds >= Math.max(80, firm + 10))
    .sort((one, other) => other.holds - one.holds)[0];
  const settled = better ?? proposed;
  if (settled === undefined) return;
  const used = [...settled.columns.values(), settled.balance];
  for (const [column, places] of found)
    found.set(
      column,
      places.filter((at) => !used.includes(at)),
    );
  for (const column of ['amount', 'in', 'out'] as const) {
    const place = settled.columns.get(column);
    if (place === undefined) found.delete(column);
    else found.set(column, [place]);
  }
  found.set('balance', [settled.balance]);
};

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
    // So have they in a column of amounts, where they reach across.
    const isMoney = (one: Row[number] | undefined): boolean =>
      amountIn(list, one) !== undefined || (/\d/.test(textOf(one)) && BALANCE.in(folded(textOf(one))) !== undefined);
    const money = !dated && filled.some((one) => amountIn(list, one) !== undefined) && mostly(isMoney);
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
  settleMoves(list, found);
  // Beside what came in, a column that is filled where that is not has what went out; and the other way round.
  const [known, other] = found.has('in') ? (['in', 'out'] as const) : (['out', 'in'] as const);
  const [own] = found.get(known) ?? [];
  if (own !== undefined && !found.has(other) && !found.has('amount')) {
    const beside = spareIn(list, found).find((at) => {
      const filled = list.rows
        .slice(list.header + 1, list.header + 1 + SAMPLE)
        .map((row) => [own, at].filter((column) => textOf(row[column]) !== '').length);
      const some = filled.filter((count) => count > 0);
      return some.filter((count) => count === 1).length * 10 >= some.length * 9;
    });
    if (beside !== undefined) found.set(other, [beside]);
  }
  // What is the same in every row alone says nothing of an entry.
  const textsOf = (at: number): readonly string[] =>
    list.rows
      .slice(list.header + 1, list.header + 1 + SAMPLE)
      .map((row) => textOf(row[at]))
      .filter((text) => text !== '');
  const texts = found.get('text') ?? [];
  if (texts.every((at) => new Set(textsOf(at)).size === 1 && textsOf(at).length > 2)) found.delete('text');
  // Where no column is called by a word for it, what has words in it says what the entries are.
  if (!found.has('text')) {
    (list.rows[list.header] ?? []).forEach((_, at) => {
      const filled = textsOf(at);
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
  readonly currency: Currency | '';
  /** Columns of amounts that nothing is known of: an entry with one of them alone does not read. */
  readonly spare: readonly number[];
  /** Decimals of its amounts, where no currency says them. */
  readonly digits: number;
  /** Columns of what came in or went out whose signs mean something: some are turned round, as what is paid back. */
  readonly turned: ReadonlySet<Column>;
}

/** The column that has the same account in every row: whose statement it is. */
const ownAccount = (list: ListTable, taken: ReadonlySet<number>): number => {
  const rows = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE).filter((row) => row.length > 1);
  const [first = []] = rows;
  return rows.length < 2
    ? -1
    : first.findIndex((cell, at) => {
        const own = textOf(cell);
        return (
          !taken.has(at) &&
          own.length >= 15 &&
          ibanProblem(own) === undefined &&
          rows.every((row) => textOf(row[at]) === own)
        );
      });
};

/** Columns of one side in which some amounts stand below nil and others above. */
const turnedIn = (list: ListTable, at: (column: Column) => number): ReadonlySet<Column> =>
  new Set(
    (['in', 'out'] as const).filter((column) => {
      const amounts = list.rows.slice(list.header + 1).map((row) => unitsIn(list, row[at(column)]) ?? 0n);
      return amounts.some((amount) => amount > 0n) && amounts.some((amount) => amount < 0n);
    }),
  );

/**
 * The currency of an account whose entries also say what they were in another one: by the name of the column of its amounts, else the one
 * in which both amounts are the same. Undefined where a column of currencies is of the amounts themselves.
 */
const besideOriginals = (
  list: ListTable,
  amounts: readonly number[],
  currencyAt: number,
  spare: readonly number[],
): Currency | undefined => {
  const header = list.rows[list.header] ?? [];
  const named = amounts.flatMap((at) => inCurrencyOf(textOf(header[at])) ?? []);
  const [amount] = amounts;
  if (named[0] !== undefined || amount === undefined || currencyAt < 0) return named[0];
  const rows = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE);
  const codes = [...new Set(rows.map((row) => textOf(row[currencyAt])).filter(isCurrency))];
  const same = (code: string, at: number): boolean =>
    rows
      .filter((row) => textOf(row[currencyAt]) === code)
      .every((row) => unitsIn(list, row[amount]) === unitsIn(list, row[at]));
  const own = codes.filter((code) => spare.some((at) => same(code, at)));
  return codes.length > 1 && own.length === 1 ? own[0] : undefined;
};

/** The bank's table in a table; undefined where it has no days with amounts. */
export const bankTable = (tables: readonly Table[], sheet: number): BankTable | undefined => {
  const table = tables[sheet];
  const list = table === undefined ? undefined : listTable(withYears(table), undefined, bankNaming);
  if (list === undefined) return undefined;
  const columns = new Map(columnsOf(list));
  const at = (column: Column): number => columns.get(column)?.[0] ?? -1;
  const amounts = (['amount', 'in', 'out'] as const).map(at);
  if (at('account') < 0) {
    // It may have been taken for words of the entries.
    const words = columns.get('text') ?? [];
    const others = [...columns.values()].flat().filter((one) => !words.includes(one));
    const account = ownAccount(list, new Set(others));
    if (account >= 0) {
      columns.set('account', [account]);
      columns.set('text', words.filter((one) => one !== account)); // prettier-ignore
    }
  }
  if ((at('date') < 0 && at('valueDate') < 0) || amounts.every((one) => one < 0)) return undefined;
  const spare = spareIn(list, columns);
  const own = besideOriginals(
    list,
    [...amounts, at('balance')].filter((one) => one >= 0),
    at('currency'),
    spare,
  );
  if (own !== undefined) columns.delete('currency');
  const stated = statedCurrency(tables, {
    sheet,
    header: list.header,
    columns: list.roles.map((_, where) =>
      where === at('currency') ? 'currency' : amounts.includes(where) ? 'balance' : 'ignore',
    ),
  });
  return {
    list,
    at,
    texts: columns.get('text') ?? [],
    currency: own ?? stated ?? '',
    spare,
    digits: decimalsOf(tables),
    turned: turnedIn(list, at),
  };
};
