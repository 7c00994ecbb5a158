import { folded } from '../base/folded';
import { type Currency, isCurrency } from '../money/currency';
import { NUMBER_STYLES } from '../money/number-style';
import { readPaperAmount } from '../money/paper-amount';
import { COMPACT, isDay } from './list-days';
import {
  AGE_COLUMN,
  AGE_MONTHS,
  BALANCE_SIDES,
  COLUMN_WORDS,
  CUSTOMERS,
  DISCOUNT_WORDS,
  INVOICE_WORDS,
  LAST_WORDS,
  LATE_WORDS,
  type ListColumn,
  NOT_DUE,
  OLDER,
  ORDINAL,
  PHONE_WORDS,
  POSTED_WORDS,
  REGISTRATION_WORDS,
  SUPPLIERS,
  TAX_NUMBER_WORDS,
  VOUCHER_WORDS,
  isAside,
  isKindWord,
} from './list-words';

/** What a column of a list is. */
export type Role = ListColumn | 'age' | 'side' | 'voucher' | 'worth' | 'paid' | 'part' | 'partDue';

const LISTED = Object.keys(COLUMN_WORDS) as readonly ListColumn[];

/** What is in a column, as shares of its cells that are not empty. */
export interface Content {
  readonly filled: number;
  readonly dates: number;
  /** Eight digits that could be a day. */
  readonly compact: number;
  readonly amounts: number;
  readonly fractions: number;
  readonly currencies: number;
  readonly codes: number;
  /** "430.015" in every row: codes in parts, which could be thousands too. */
  readonly parted: boolean;
  /** Codes, or words in capitals: what stands for somebody without being their name. */
  readonly marks: number;
  /** Short, with a digit: "INV 77". */
  readonly numbered: number;
  readonly spaced: number;
  readonly distinct: number;
  /** Words for kinds of documents. */
  readonly kinds: number;
  /** Characters of a cell, on the whole. */
  readonly length: number;
  /** Of letters only, few of them. */
  readonly short: number;
  /** They count the rows: 1, 2, 3. */
  readonly serial: boolean;
}

const isAmount = (text: string): boolean =>
  /\d/.test(text) && NUMBER_STYLES.some((style) => readPaperAmount(text, style) !== undefined);
const PARTED = /^\d{1,4}(?:\.\d{3}){1,4}$/;
const isCode = (text: string): boolean =>
  text.length <= 14 && !/[\s%]/.test(text) && /\d/.test(text) && !/^\d{1,3}(?:[.,]\d{3})+$/.test(text);

export const contentOf = (cells: readonly string[]): Content => {
  // A dash is nothing.
  const filled = cells.filter((text) => text !== '' && !/^[-–—]$/.test(text));
  const share = (is: (text: string) => boolean): number =>
    filled.length === 0 ? 0 : filled.filter(is).length / filled.length;
  return {
    filled: filled.length,
    dates: share((text) => isDay(text) && !COMPACT.test(text)),
    compact: share((text) => COMPACT.test(text)),
    amounts: share(isAmount),
    fractions: share(
      (text) => /[.,]\d{2,3}(?:\)?-?|\s?(?:\p{L}{1,2}\.?|\p{L}{0,2}\p{Sc}))$/u.test(text) && isAmount(text),
    ),
    currencies: share((text) => isCurrency(text)),
    codes: share(isCode),
    parted: filled.length > 1 && filled.every((text) => PARTED.test(text) && text.length === filled[0]?.length),
    marks: share((text) => isCode(text) || /^[\p{Lu}\d][\p{Lu}\d./_&-]{0,13}$/u.test(text)),
    numbered: share((text) => text.length <= 20 && /\d/.test(text) && !/\d[.,]\d{2}(?:\s?\p{L}{1,2})?$/u.test(text)),
    spaced: share((text) => /\p{L}{3}|\p{L}\s\S/u.test(text)),
    short: share((text) => /^\p{L}{1,4}$/u.test(text)),
    kinds: share((text) => text.length <= 20 && isKindWord(folded(text))),
    serial: filled.length > 2 && filled.every((text, at) => text.replace(/[.)]$/, '') === String(at + 1)),
    length: filled.length === 0 ? 0 : filled.reduce((sum, text) => sum + text.length, 0) / filled.length,
    distinct: filled.length === 0 ? 0 : new Set(filled).size / filled.length,
  };
};

/** Roles of columns that hold amounts. */
export const MONEY: ReadonlySet<Role> = new Set([
  'original',
  'open',
  'base',
  'worth',
  'paid',
  'part',
  'debit',
  'credit',
  'age',
]);

/** Of so few cells most may differ, though they come again in longer lists. */
const FEW = 8;

/** Whether what is in a column may be what its name says. */
const fits = (role: Role, content: Content): boolean => {
  if (content.filled === 0) return MONEY.has(role) || role === 'order' || role === 'reference' || role === 'due';
  if (MONEY.has(role)) return content.amounts >= 0.7 && content.dates < 0.5;
  if (content.currencies >= 0.9) return role === 'currency';
  switch (role) {
    case 'date':
    case 'due':
      return content.dates >= 0.6;
    case 'currency':
      return content.currencies >= 0.6;
    case 'terms':
      return content.dates < 0.3 && content.fractions < 0.3;
    case 'contactCode':
      return (
        content.dates < 0.5 &&
        ((content.fractions < 0.5 && (content.codes >= 0.4 || content.marks >= 0.9)) || content.parted)
      );
    case 'contactName':
      return content.dates < 0.5 && content.spaced >= 0.5;
    case 'number':
      // Words without a figure that come again are kinds.
      return content.dates < 0.7 && content.fractions < 0.7 && (content.numbered >= 0.3 || content.distinct >= 0.9);
    case 'kind':
      return (
        content.dates < 0.5 &&
        content.fractions < 0.3 &&
        (content.distinct <= 0.7 || content.short >= 0.9 || (content.distinct < 1 && content.filled <= FEW))
      );
    default:
      return content.dates < 0.7 && content.fractions < 0.7;
  }
};

const SIDES = ['debit', 'credit'] as const;
const UNNAMED: ReadonlySet<Role> = new Set(['side', 'voucher', 'worth', 'paid', 'part', 'partDue']);
/** Whether names of columns tell a role. */
const isNamed = (role: Role): role is ListColumn | 'age' => !UNNAMED.has(role);

/** "Supplier inv no": a number that a supplier gave, beside ours. */
const isTheirs = (words: string): boolean =>
  SUPPLIERS.in(words) !== undefined && (INVOICE_WORDS.in(words)?.length ?? 0) > 2;

/** How well a column's name is one of a role: 3 where it is exactly that, less where it is in it. */
const named = (text: string, role: Role): number => {
  if (text === '' || text.length > 60) return 0;
  if (!isNamed(role)) return 0;
  if (role === 'age') {
    const ages = AGE_COLUMN.test(text.trim()) || AGE_MONTHS.test(text.trim());
    const words = folded(text);
    return (ages && !isDay(text) && !/^[+-]?\d[\d\s.,]*[.,]\d{2}$/.test(text)) ||
      NOT_DUE.in(words) !== undefined ||
      OLDER.is(words)
      ? 4
      : 0;
  }
  // "DueDate" is two words, and "MwSt" is one.
  const plain = folded(text);
  const words = folded(text.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2'));
  if (LAST_WORDS.in(words) !== undefined) return 0;
  const own = COLUMN_WORDS[role];
  if (role === 'due' && DISCOUNT_WORDS.in(words) !== undefined) return 0;
  if (!MONEY.has(role) && LATE_WORDS.in(words) !== undefined) return 0;
  // The day of a document is not the one on which it was entered, where both stand there.
  if (role === 'date' && POSTED_WORDS.in(words) !== undefined) return 0.5;
  if (own.is(words) || own.is(plain)) return 3;
  if (isTheirs(words) && (role === 'reference' || role === 'contactName' || role === 'contactCode'))
    return role === 'reference' ? 3 : 0;
  // Nothing is open of a limit.
  if ((role === 'original' || role === 'open') && isAside(words)) return 0;
  // "Debit amount" is a debit first.
  if ((role === 'original' || role === 'open') && SIDES.some((side) => COLUMN_WORDS[side].in(words) !== undefined))
    return 0.5;
  const found = own.in(words) ?? own.in(plain);
  // "Description of supplier" is what suppliers are called.
  const whose = role === 'contactName' && [CUSTOMERS, SUPPLIERS].some((list) => list.in(words) !== undefined);
  return found === undefined ? 0 : 1 + found.length / Math.max(1, words.length) + (whose ? 0.5 : 0);
};

/** Whether a column's name says that it has what is open. */
export const isOpen = (name: string): boolean => named(name, 'open') >= 2;

/** How well a text names any column. */
export const best = (text: string): number => Math.max(named(text, 'age'), ...LISTED.map((role) => named(text, role)));

/** The currency that a column's name has in it: "Amount NOK", "Due (EUR)". */
export const inCurrencyOf = (name: string): Currency | undefined =>
  name.match(/(?<![\p{L}\d])\p{Lu}{3}(?![\p{L}\d])/gu)?.find(isCurrency);

/** The columns of a list by their names and by what is in them; each role once, but ages as often as there are. */
export const rolesOf = (
  names: readonly string[],
  cells: readonly Content[],
  /** Rows between the documents say whose they are. */
  grouped: boolean,
): readonly (Role | undefined)[] => {
  const found: (Role | undefined)[] = names.map(() => undefined);
  // Eight digits are a day where no column has days that look like some.
  const separated = cells.some(({ dates }) => dates >= 0.6);
  const contents = separated ? cells : cells.map((one) => ({ ...one, dates: Math.max(one.dates, one.compact) }));
  const currencied = names.some((name) => named(name, 'currency') > 0);
  const offers = names
    .flatMap((name, at) =>
      [...LISTED, 'age' as const].flatMap((role) => {
        const content = contents[at];
        const score = named(name, role);
        if (score === 0 || content === undefined || (content.serial && ORDINAL.is(folded(name)))) return [];
        // Where each document says its currency, a column that is called by one is in that.
        const other = currencied && MONEY.has(role) && role !== 'base' && inCurrencyOf(name) !== undefined;
        // What is called after debtors may hold their codes.
        if (role === 'contactName' && content.codes >= 0.9 && fits('contactCode', content))
          return [{ at, role: 'contactCode' as const, score }];
        const code = role === 'contactCode' && score >= 3 && content.codes >= 0.9;
        return code || fits(role, content) ? [{ at, role, score: other ? score / 2 : score }] : [];
      }),
    )
    .filter(({ role }, _, all) => {
      // Debits and credits come together.
      const counterpart = role === 'debit' ? 'credit' : role === 'credit' ? 'debit' : undefined;
      return counterpart === undefined || all.some((one) => one.role === counterpart);
    });
  if (!offers.some(({ role }) => role === 'debit')) {
    const [debit = -1, credit = -1] = SIDES.map((side) =>
      names.findIndex((name, at) => BALANCE_SIDES[side].is(folded(name)) && (contents[at]?.amounts ?? 0) >= 0.7),
    );
    if (debit >= 0 && credit >= 0)
      offers.push({ at: debit, role: 'debit', score: 3 }, { at: credit, role: 'credit', score: 3 });
  }
  const taken = new Set<Role>();
  for (const { at, role } of offers.sort((one, other) => other.score - one.score || one.at - other.at)) {
    if (found[at] !== undefined || (role !== 'age' && taken.has(role))) continue;
    found[at] = role;
    taken.add(role);
  }
  // Of two numbers one is the entry's in the books.
  const second = offers.find(
    ({ at, role }) => role === 'number' && found[at] === undefined && (contents[at]?.codes ?? 0) >= 0.6,
  );
  const numberAt = found.indexOf('number');
  if (second !== undefined && numberAt >= 0) {
    const voucher = [numberAt, second.at].find((at) => VOUCHER_WORDS.is(folded(names[at] ?? '')));
    if (voucher !== undefined) {
      [found[numberAt], found[second.at]] = voucher === numberAt ? ['voucher', 'number'] : ['number', 'voucher'];
      taken.add('voucher');
    }
  }
  const free = (is: (content: Content, at: number) => boolean): number =>
    contents.findIndex(
      (content, at) =>
        found[at] === undefined &&
        content.filled > 0 &&
        LAST_WORDS.in(folded(names[at] ?? '')) === undefined &&
        // How many days late something is is nobody's number.
        !(content.fractions < 0.3 && LATE_WORDS.in(folded(names[at] ?? '')) !== undefined) &&
        is(content, at),
    );
  const give = (role: Role, at: number): void => {
    if (at < 0 || taken.has(role)) return;
    found[at] = role;
    taken.add(role);
  };
  // Numbers of companies and telephones are no documents'.
  const identifies = (at: number): boolean =>
    [TAX_NUMBER_WORDS, REGISTRATION_WORDS, PHONE_WORDS].some((list) => list.is(folded(names[at] ?? '')));
  // What no name tells may still be the documents' numbers: a code of its own in almost every row, of some length. Of several it is
  // the one in most rows, and the last: what stands first is whose they are.
  if (!taken.has('number')) {
    const codes = contents.flatMap(({ codes: share, dates, fractions, distinct, length, filled }, at) =>
      found[at] === undefined &&
      !identifies(at) &&
      filled > 1 &&
      share >= 0.9 &&
      dates < 0.2 &&
      fractions < 0.2 &&
      length >= 3.5
        ? [{ at, own: filled * distinct, distinct }]
        : [],
    );
    const most = Math.max(...codes.map(({ own }) => own));
    const last = codes.filter(({ own, distinct }) => distinct >= 0.95 && own >= most * 0.95).at(-1);
    if (last !== undefined && (codes.length > 1 || !taken.has('contactCode'))) give('number', last.at);
  }
  // A reference that is a code, where nothing else numbers the documents, is their number.
  const reference = found.indexOf('reference');
  const referred = contents[reference];
  const numbers =
    referred !== undefined && (referred.codes >= 0.6 || (referred.numbered >= 0.75 && referred.distinct >= 0.95));
  if (!taken.has('number') && numbers) {
    found[reference] = 'number';
    taken.add('number');
    taken.delete('reference');
    const other = offers.find(({ at, role }) => role === 'reference' && found[at] === undefined);
    if (other !== undefined) give('reference', other.at);
  }
  give(
    'date',
    free(({ dates }) => dates >= 0.8),
  );
  give(
    'due',
    // Until when a discount is given is no day on which anything is due.
    free(({ dates }, at) => dates >= 0.8 && DISCOUNT_WORDS.in(folded(names[at] ?? '')) === undefined),
  );
  give(
    'currency',
    free(({ currencies }) => currencies >= 0.9),
  );
  // One column of amounts is what is open; of two, what is open is never the larger one, and stands last.
  if (!taken.has('open') && !taken.has('age') && !(taken.has('debit') && taken.has('credit'))) {
    const fractioned = free(
      ({ fractions, amounts: share }, at) =>
        fractions >= 0.6 && share >= 0.8 && !(taken.has('original') && isAside(folded(names[at] ?? ''))),
    );
    // Whole amounts are some where their column is called by a currency.
    const amounts =
      fractioned >= 0
        ? fractioned
        : contents.findIndex(
            ({ amounts: share, dates }, at) =>
              found[at] === undefined && share >= 0.8 && dates < 0.3 && inCurrencyOf(names[at] ?? '') !== undefined,
          );
    if (amounts >= 0) give('open', amounts);
    else {
      const at = found.indexOf('original');
      if (at >= 0) {
        found[at] = 'open';
        taken.delete('original');
        taken.add('open');
      } else if (found.includes('base')) {
        found[found.indexOf('base')] = 'open';
        taken.add('open');
      }
    }
  }
  // Where nothing numbers or dates a document, each row is somebody's balance, so that nobody recurs.
  const balances = !taken.has('number') && !taken.has('date') && !taken.has('contactCode');
  if (!taken.has('contactName'))
    give(
      'contactName',
      free(
        ({ spaced, distinct, fractions, kinds }) =>
          spaced >= 0.8 &&
          fractions < 0.2 &&
          (kinds < 0.9 || distinct > 0.7) &&
          (!grouped || ((distinct <= 0.9 || balances) && !taken.has('reference'))),
      ),
    );
  if (!taken.has('number'))
    give(
      'number',
      free(
        ({ codes, numbered, distinct, fractions, amounts, serial }, at) =>
          !identifies(at) &&
          ((codes >= 0.6 && distinct >= 0.8 && fractions < 0.3 && !serial) ||
            (numbered >= 0.9 && distinct >= 0.95 && amounts < 0.3)),
      ),
    );
  return found;
};
