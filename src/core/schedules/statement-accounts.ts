import { folded } from '../base/folded';
import { type Row, type Table, textOf } from '../base/table';
import { plainIban } from '../chart/bank';
import { inCurrencyOf } from './list-columns';
import { listTable } from './list-table';
import { ACCOUNT, bankNaming } from './statement-words';

export const IBAN = /\b[A-Z]{2}\d{2}(?:\s?[A-Z\d]{2,4}){3,8}\b/;
/** Two blanks part it from what stands beside it. */
const NUMBER = /(?:\*|x|\d)(?:[\d*x-]|\s(?!\s)){4,38}\d/i;

/** The account that the lines above the table name: an IBAN, else a number beside the word for one. */
export const accountIn = (titles: readonly string[]): string => {
  // In one line, where it does not go on in the next.
  const iban = titles.flatMap((title) => IBAN.exec(title)?.[0] ?? [])[0] ?? IBAN.exec(titles.join('\n'))?.[0];
  if (iban !== undefined) return plainIban(iban);
  const numbers = titles.flatMap((title) => {
    if (ACCOUNT.in(folded(title)) === undefined) return [];
    // What stands behind the word, else anywhere beside it.
    const words = title.split(/(?<=\p{L})[\s:：.#]+(?=[\d*x])/iu);
    const behind = words.find(
      (_, at) => at > 0 && ACCOUNT.in(folded(words[at - 1]?.split(/\s{2,}/).at(-1) ?? '')) !== undefined,
    );
    return NUMBER.exec(behind ?? title)?.[0].trim() ?? [];
  });
  return numbers[0] ?? '';
};

/**
 * A table of each account, where its statements stand below each other, each with its number above the header; rows keep their numbers.
 */
export const byAccounts = (table: Table): readonly Table[] => {
  const { rows } = table;
  const header = listTable(table, undefined, bankNaming)?.header ?? -1;
  const plain = (row: Row | undefined): string => (row ?? []).map(textOf).join('|');
  const isTitle = (row: Row | undefined): boolean => {
    const filled = (row ?? []).filter((cell) => textOf(cell) !== '').length;
    return filled > 0 && filled < 3;
  };
  let account = '';
  const starts = rows.flatMap((row, at) => {
    if (header < 0 || at < header || plain(row) !== plain(rows[header])) return [];
    let top = at;
    while (isTitle(rows[top - 1])) top -= 1;
    const own = accountIn(rows.slice(top, at).map((title) => title.map(textOf).filter((text) => text !== '').join('  '))); // prettier-ignore
    const other = own !== '' && own !== account;
    if (other) account = own;
    return other ? [top] : [];
  });
  return starts.length < 2
    ? [table]
    : starts.map((from, at) => ({
        ...table,
        rows: [...rows.slice(0, from).map((): Row => []), ...rows.slice(from, starts[at + 1])],
      }));
};

/** A table of each currency, where each has columns of its own beside those that all share; rows keep their numbers. */
export const byCurrencies = (table: Table): readonly Table[] => {
  const header = listTable(table, undefined, bankNaming)?.header ?? -1;
  const of = (table.rows[header] ?? []).map((cell) => inCurrencyOf(textOf(cell)));
  const codes = [...new Set(of)].filter(
    (code) => code !== undefined && of.filter((other) => other === code).length >= FEWEST_OF_EACH,
  );
  return codes.length < 2
    ? [table]
    : codes.map((code) => ({
        ...table,
        rows: table.rows.map((row, at): Row =>
          at > header && !row.some((cell, column) => of[column] === code && textOf(cell) !== '')
            ? []
            : row.map((cell, column) => (of[column] === undefined || of[column] === code ? cell : '')),
        ),
      }));
};

/** What comes in and what goes out, or an amount and a balance: one column alone is what an entry was worth elsewhere. */
const FEWEST_OF_EACH = 2;
