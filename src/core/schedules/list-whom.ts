import { folded } from '../base/folded';
import { type Row, textOf } from '../base/table';
import { type Beside, datedIn, mostly, place } from './list-beside';
import { contentOf } from './list-columns';
import { contactIn, hasCodes } from './list-whose';
import { COLUMN_WORDS, OTHER_CODES, PHONE_WORDS, RATE_WORDS, TAX_NUMBER_WORDS, isKindWord } from './list-words';

/** Which columns say whose a document is, of what kind, and of which days. */

/** Whether each text of a column goes with one text of another. */
const standsFor = (rows: readonly Row[], column: number, other: number): boolean => {
  const known = new Map<string, string>();
  return rows.every((row) => {
    const [own, beside] = [textOf(row[column]), textOf(row[other])];
    if (own === '' || beside === '') return true;
    const before = known.get(own) ?? beside;
    known.set(own, before);
    return before === beside;
  });
};

/** Nothing is due before its day: where most is, the two columns are the other way round. */
export const tellDays = ({ roles, sample, day }: Beside): void => {
  const [dateAt, dueAt] = [roles.indexOf('date'), roles.indexOf('due')];
  if (dateAt < 0 || dueAt < 0) return;
  const both = sample.flatMap((row) => {
    const [date, due] = [day(textOf(row[dateAt])), day(textOf(row[dueAt]))];
    return date === undefined || due === undefined ? [] : [due < date];
  });
  if (both.length > 1 && mostly(both.filter(Boolean).length, both.length, 8))
    [roles[dateAt], roles[dueAt]] = ['due', 'date'];
};

/** No list has more kinds of documents. */
const MOST_KINDS = 8;

/** A column of words for kinds of documents says what each is. */
export const tellKinds = (beside: Beside): void => {
  const { roles, names, contents } = beside;
  if (place(beside, 'kind') >= 0) return;
  const dated = datedIn(beside);
  const kinds = contents.findIndex((_, column) => {
    const words = dated.flatMap((row) => folded(textOf(row[column])) || []);
    // A few words that come again and again need not all be known, and may be short.
    const few = new Set(words).size < words.length && new Set(words).size <= MOST_KINDS;
    const known = words.filter((word) => (few || word.length > 2) && /^\D+$/.test(word) && isKindWord(word));
    // What stands in place of a name is none where it is not called so.
    const open = roles[column] === undefined || (roles[column] === 'contactName' && few && names[column] === '');
    return open && words.length > 1 && mostly(known.length, words.length, few ? 6 : 9);
  });
  if (kinds >= 0) roles[kinds] = 'kind';
};

/** What may be a name or a remark is a remark where whose the documents are stands above them. */
export const tellRemarks = ({ roles, names, contents, sample }: Beside): void => {
  const nameAt = roles.indexOf('contactName');
  if (nameAt < 0 || roles.includes('contactCode') || roles.includes('reference')) return;
  const above = sample.filter((row) => row.filter((cell) => textOf(cell) !== '').length === 1);
  const headed = above.some((row) => contactIn(row.map(textOf))?.code != null);
  const remark = COLUMN_WORDS.reference.in(folded(names[nameAt] ?? '')) !== undefined;
  if (!headed || !remark || (contents[nameAt]?.distinct ?? 0) < 0.9) return;
  // Nothing else numbers the documents.
  const numbers = (contents[nameAt]?.numbered ?? 0) >= 0.75 && !roles.includes('number');
  roles[nameAt] = numbers ? 'number' : 'reference';
};

/** "Customer / Invoice": under names that stand above them, what is another in each row numbers the documents, and codes nobody. */
export const tellGrouped = ({ roles, names, contents }: Beside): void => {
  const codeAt = roles.indexOf('contactCode');
  if (codeAt < 0 || roles.includes('number') || roles.includes('contactName')) return;
  const numbers = COLUMN_WORDS.number.in(folded(names[codeAt] ?? '')) !== undefined;
  const { numbered = 0, distinct = 0 } = contents[codeAt] ?? {};
  if (numbers && numbered >= 0.5 && distinct >= 0.9) roles[codeAt] = 'number';
};

/** No code of a contact has as few letters as the words for a number alone. */
const GENERIC = 3;

/** Where no document has a day and nobody comes again, a number that is called nothing more is whose the balance is. */
export const tellBalances = ({ roles, names, contents }: Beside): void => {
  const [numberAt, nameAt] = [roles.indexOf('number'), roles.indexOf('contactName')];
  const dated = roles.includes('date') || roles.includes('due') || roles.includes('contactCode');
  if (numberAt < 0 || nameAt < 0 || dated || (contents[nameAt]?.distinct ?? 0) < 0.95) return;
  const term = COLUMN_WORDS.number.in(folded(names[numberAt] ?? ''));
  if ((term?.length ?? 0) <= GENERIC) roles[numberAt] = 'contactCode';
};

/** Whoever a code stands for is called by a text that is the same with the code, whatever its column is called. */
export const tellNames = (beside: Beside): void => {
  const { roles, contents, sample } = beside;
  const codeAt = place(beside, 'contactCode');
  if (codeAt >= 0 && place(beside, 'contactName') < 0) {
    const name = contents.findIndex(
      ({ spaced, distinct, dates, filled }, column) =>
        (roles[column] === undefined || roles[column] === 'reference' || roles[column] === 'kind') &&
        filled > 1 &&
        spaced >= 0.8 &&
        dates < 0.1 &&
        Math.abs(distinct - (contents[codeAt]?.distinct ?? 1)) < 0.01 &&
        standsFor(sample, codeAt, column),
    );
    if (name >= 0) roles[name] = 'contactName';
  }
  // What is another in each row, where names come again, numbers the documents and not those whose they are.
  const nameAt = place(beside, 'contactName');
  if (codeAt < 0 || nameAt < 0) return;
  const [own, name] = [contents[codeAt]?.distinct ?? 0, contents[nameAt]?.distinct ?? 1];
  if (contents[codeAt]?.serial === true && name < 1) roles[codeAt] = undefined;
  if (place(beside, 'number') >= 0 || roles[codeAt] === undefined) return;
  if (own >= 0.95 && name < 0.8) roles[codeAt] = 'number';
};

/**
 * What numbers only the rows in which somebody is named, and is left out below them as the name is, is whose the documents are; another
 * column has their own numbers.
 */
const tellFirstOfEach = (beside: Beside): void => {
  const { roles, inCurrency } = beside;
  const [numberAt, nameAt] = [place(beside, 'number'), place(beside, 'contactName')];
  if (numberAt < 0 || nameAt < 0 || place(beside, 'contactCode') >= 0) return;
  const dated = datedIn(beside);
  const isFilled = (row: Row, column: number): boolean => textOf(row[column]) !== '';
  const below = dated.filter((row) => !isFilled(row, nameAt));
  if (below.length === 0 || dated.some((row) => isFilled(row, numberAt) !== isFilled(row, nameAt))) return;
  const own = roles.findIndex((role, column) => {
    if (column === numberAt || inCurrency.has(column) || (role !== undefined && role !== 'voucher' && role !== 'reference')) return false; // prettier-ignore
    const { filled, numbered, distinct, fractions, dates } = contentOf(dated.map((row) => textOf(row[column])));
    return filled === dated.length && numbered >= 0.9 && distinct >= 0.9 && fractions < 0.3 && dates < 0.3;
  });
  if (own >= 0) [roles[numberAt], roles[own]] = ['contactCode', 'number'];
};

/** A code that comes again with the name, or is left out where the name is, is whose it is. */
export const tellCodes = (beside: Beside, running: number | undefined): void => {
  const { roles, names, contents, inCurrency } = beside;
  tellFirstOfEach(beside);
  const nameAt = place(beside, 'contactName');
  if (nameAt < 0 || place(beside, 'contactCode') >= 0) return;
  const dated = datedIn(beside);
  if (hasCodes(dated.map((row) => textOf(row[nameAt])))) return;
  const code = contents.findIndex((_, column) => {
    if (roles[column] !== undefined || inCurrency.has(column) || column === running) return false;
    const called = folded(names[column] ?? '');
    if (
      TAX_NUMBER_WORDS.is(called) ||
      OTHER_CODES.is(called) ||
      [PHONE_WORDS, RATE_WORDS].some((list) => list.in(called) !== undefined)
    )
      return false;
    if (names[column]?.includes('%') === true) return false;
    const { marks, codes, fractions, dates, filled, length } = contentOf(dated.map((row) => textOf(row[column])));
    // Two letters are a country.
    if (length === 2 && codes === 0) return false;
    if (filled < 2 || length < 2 || marks < 0.9 || fractions > 0.1 || dates > 0.1) return false;
    const pairs = dated.map((row) => [textOf(row[column]), textOf(row[nameAt])] as const);
    const both = pairs.filter(([own, name]) => own !== '' && name !== '');
    const alike = pairs.filter(([own, name]) => (own === '') === (name === '')).length;
    const again =
      new Set(both.map(([own]) => own)).size < both.length ||
      alike > both.length ||
      (column === nameAt - 1 && place(beside, 'number') >= 0);
    return again && alike === pairs.length && standsFor(dated, column, nameAt) && standsFor(dated, nameAt, column);
  });
  if (code >= 0) roles[code] = 'contactCode';
};
