import { folded } from '../base/folded';
import { type Row, textOf } from '../base/table';
import { mostly } from './list-beside';
import { withoutNumbers } from './list-parts';
import { type ListTable, SAMPLE, unitsIn } from './list-table';
import { MONEY, contentOf } from './list-columns';
import { ASIDE_WORDS, COLUMN_WORDS, PAID_WORDS, RATE_WORDS } from './list-words';
import { totalWords } from '../papers/total-words';

const NONE: ReadonlySet<string> = new Set();

/**
 * Whether in most rows what is in a column follows from others: it is one of them, what two of them come to or differ by, or what they
 * come to with the row above.
 */
const followsFrom = (rows: readonly (readonly (bigint | undefined)[])[], column: number): boolean => {
  const filled = rows.filter((row) => (row[column] ?? 0n) !== 0n);
  const follows = filled.filter((row, place) => {
    const own = row[column] ?? 0n;
    const since = own - (filled[place - 1]?.[column] ?? 0n);
    const others = row.flatMap((one, at) => (at === column || one === undefined || one === 0n ? [] : [one]));
    const sums = others.flatMap((one, at) => [
      one,
      ...others.slice(at + 1).flatMap((other) => [one + other, one - other]),
    ]);
    return sums.some((sum) => [own, since].some((one) => sum === one || -sum === one));
  });
  return mostly(follows.length, filled.length);
};

/**
 * The names of columns with amounts that are not read, although nothing says that they are beside the matter: another part of each
 * document, what is kept back, what somebody counted. Each is to be told, so that no amount goes without a word.
 */
export const unreadColumns = (list: ListTable): readonly string[] => {
  const { rows, header, roles, inCurrency, running } = list;
  const names = (rows[header] ?? []).map(textOf);
  const body = rows
    .slice(header + 1, header + 1 + SAMPLE)
    .filter((row) => row.filter((cell) => textOf(cell) !== '').length > 1 && !row.some((cell) => totalWords(textOf(cell), NONE) > 0)); // prettier-ignore
  const open = roles.indexOf('open');
  const units = (row: Row, at: number): bigint | undefined => unitsIn(list, row[at]);
  const isSpare = (at: number): boolean => {
    const content = contentOf(body.map((row) => textOf(row[at])));
    return (
      content.filled > 0 &&
      content.amounts >= 0.7 &&
      content.fractions >= 0.6 &&
      content.dates < 0.3 &&
      (content.distinct > 0.5 || content.filled < 4)
    );
  };
  const spare = names.flatMap((_, at) =>
    roles[at] === undefined && !inCurrency.has(at) && at !== running && isSpare(at) ? [at] : [],
  );
  // Parts of a document are called alike, but for their number.
  const alike = names.flatMap((name, at) =>
    at !== open && open >= 0 && withoutNumbers(name) === withoutNumbers(names[open] ?? '') && withoutNumbers(name) !== '' && (roles[at] === 'original' || roles[at] === undefined) && body.some((row) => (units(row, at) ?? 0n) !== 0n) // prettier-ignore
      ? [at]
      : [],
  );
  const money = names.flatMap((_, at) => (inCurrency.has(at) || MONEY.has(roles[at] ?? 'kind') || spare.includes(at) ? [at] : [])); // prettier-ignore
  const amounts = body.map((row) => names.map((_, at) => (money.includes(at) ? units(row, at) : undefined)));
  const aside = (at: number): boolean =>
    [ASIDE_WORDS, PAID_WORDS, RATE_WORDS, COLUMN_WORDS.debit, COLUMN_WORDS.credit].some(
      (words) => words.in(folded(names[at] ?? '')) !== undefined,
    );
  const untold = spare.filter((at) => !aside(at) && !followsFrom(amounts, at));
  return [...new Set([...alike, ...untold])].sort((one, other) => one - other).map((at) => names[at] ?? '');
};
