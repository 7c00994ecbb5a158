import type { IsoDate } from '../base/iso-date';
import { folded } from '../base/folded';
import { type Row, textOf } from '../base/table';
import { type Currency, isCurrency } from '../money/currency';
import { type Minor, NIL, abs, add, minor, negate, subtract, sum } from '../money/minor';
import { type PaperAmount, unitsOf } from '../money/paper-amount';
import { divideRounded } from '../money/rounding';
import { totalWords } from '../papers/total-words';
import { lexicon } from '../words/lexicon';
import { CARRIED } from '../words/paper-words';
import { MONEY, type Role } from './list-columns';
import { type ListTable, amountIn, currencyBeside, dayIn } from './list-table';
import { type Contact, contactAbove, contactIn, contactOf, hasLetters } from './list-whose';
import { withNoughts } from './list-scale';
import { BALANCE_WORDS, COLUMN_WORDS } from './list-words';

/** Columns of amounts, but for those of ages. */
type AmountRole = 'original' | 'open' | 'base' | 'worth' | 'paid' | 'debit' | 'credit';

/** A row as it is printed: its texts by role, its amounts in the list's decimals, a credit negative where the row says so. */
export interface PrintedRow {
  readonly row: number;
  readonly texts: Readonly<Partial<Record<Role, string>>>;
  readonly amounts: Readonly<Partial<Record<AmountRole, Minor>>>;
  readonly ages: readonly (Minor | undefined)[];
  /** The parts of a document that are due on days of their own, where the list has such. */
  readonly parts: readonly { readonly open: Minor; readonly due: IsoDate | undefined }[];
  /** What the row comes to; undefined where no such amount stands in it. */
  readonly open: Minor | undefined;
  /** An amount of the row says its side itself. */
  readonly spoken: boolean;
  /** An amount of the row does not read. */
  readonly unread: boolean;
  /** What is open is worked out from what is left in the currency of the books. */
  readonly derived: boolean;
  /** Amounts by the currencies that their columns are called by, where it has several: a sum of each. */
  readonly apart: readonly (readonly [currency: Currency, amount: Minor])[];
  readonly date: IsoDate | undefined;
  readonly due: IsoDate | undefined;
}

/** The rows of a list by what they are; the others are headers, page titles, sums carried over pages, and remarks. */
export interface SortedRows {
  readonly items: readonly { readonly printed: PrintedRow; readonly contact: Contact }[];
  readonly totals: readonly PrintedRow[];
  /** What the whole list comes to, as it prints it; undefined where it prints the sums of its parts alone. */
  readonly grand: PrintedRow | undefined;
  /** Rows of documents with an amount that does not read. */
  readonly unread: readonly number[];
  /** Rows of documents of which nothing is open. */
  readonly nothing: readonly number[];
  /** Rows that look like sums, and are of nothing that stands above them. */
  readonly unsure: readonly number[];
  /** Rows that are called sums, and are of nothing that stands above them. */
  readonly unlike: readonly PrintedRow[];
  /** What the list prints as the sum of all that is in a currency, where it is not just what stands above it. */
  readonly inCurrencies: readonly { readonly row: number; readonly currency: Currency; readonly amount: Minor }[];
}

const isMoney = (role: Role | undefined): boolean => role !== undefined && MONEY.has(role);

/** What the columns of a row come to: what is open, else its ages, else debit less credit, else the one amount that there is. */
const openOf = (
  list: ListTable,
  { open, debit, credit, original, base, paid = NIL }: PrintedRow['amounts'],
  ages: readonly (Minor | undefined)[],
  running: Minor | undefined,
): Minor | undefined => {
  if (open !== undefined) return open;
  const aged = ages.filter((one) => one !== undefined);
  if (aged.length > 0) return sum(aged);
  // What is paid has the side of the document, or the other one.
  if (original !== undefined && list.roles.includes('paid'))
    return original < 0n ? add(original, abs(paid)) : subtract(original, abs(paid));
  if (debit !== undefined || credit !== undefined) return subtract(debit ?? NIL, credit ?? NIL);
  // What stood before the first row that a running balance goes on from.
  if (running !== undefined && (list.roles.includes('debit') || list.roles.includes('open'))) return running;
  // Beside a column of what is open, what a document came to says nothing of it.
  return list.roles.some((role) => role === 'open' || role === 'age' || role === 'worth')
    ? undefined
    : (original ?? base);
};

/** Words in the place of an amount that say that nothing is open. */
const NIL_WORDS = lexicon(
  'nil, none, null, zero, paid, settled, cleared, closed, dr, cr, debit, credit, keine, bezahlt, ausgeglichen, neant, solde, regle, paye, ninguno, pagado, saldado, nessuno, pagato, saldato, nihil, betaald, voldaan, brak, zaplacono, zaplaceno, uhrazeno, betald, betalt',
);

/** A text where an amount should stand, such as "see note": nobody knows what is open. */
const isRemark = (text: string): boolean => /\p{L}{2}/u.test(text) && !/\d/.test(text) && !NIL_WORDS.is(folded(text));

const NONE: ReadonlySet<string> = new Set();
const isCarried = (row: Row): boolean => row.some((cell) => CARRIED.in(folded(textOf(cell))) !== undefined);
const isTotal = (text: string): boolean => totalWords(text, NONE) > 0 || CARRIED.in(folded(text)) !== undefined;

export const printedRow = (list: ListTable, row: Row, number: number, digits: number): PrintedRow => {
  const texts: Partial<Record<Role, string>> = {};
  const amounts: Partial<Record<AmountRole, Minor>> = {};
  const ages: (Minor | undefined)[] = [];
  const further: Minor[] = [];
  const days: (IsoDate | undefined)[] = [];
  const sideAt = list.roles.indexOf('side');
  const side = sideAt < 0 ? undefined : list.sideOf(textOf(row[sideAt]));
  let [spoken, unread] = [false, false];
  const read = (column: number, beside: PaperAmount['side']): Minor | undefined => {
    const cell = row[column];
    const whole = amountIn(list, cell);
    const parted = whole !== undefined && list.hundredths.has(column) ? { ...whole, scale: whole.scale + 2 } : whole;
    const found = parted === undefined ? undefined : withNoughts(parted, list.scales.get(column));
    const units = found === undefined ? undefined : unitsOf(found, digits, typeof cell === 'object');
    if (found === undefined || units === undefined) {
      if (/\d/.test(textOf(cell)) || isRemark(textOf(cell))) unread = true;
      return undefined;
    }
    const said = beside ?? found.side;
    if (said !== undefined) spoken = true;
    return said === 'credit' ? negate(minor(units.amount)) : minor(units.amount);
  };
  const { inCurrency } = list;
  const each: (readonly [Currency, Minor])[] = [];
  list.roles.forEach((role, column) => {
    const currency = inCurrency.get(column);
    if (currency !== undefined) {
      const amount = read(column, side);
      if (amount === undefined || amount === 0n) return;
      each.push([currency, amount]);
      // Two currencies in a row are a sum of each, not one document.
      if (texts.currency === undefined) [texts.currency, amounts.open] = [currency, amount];
      else delete amounts.open;
    } else if (role === 'age') ages.push(read(column, side));
    else if (role === 'part') further.push(read(column, side) ?? NIL);
    else if (role === 'partDue') days.push(dayIn(list, textOf(row[column])));
    else if (role === 'debit' || role === 'credit') {
      // These say the side by their column.
      const amount = read(column, undefined);
      if (amount !== undefined) amounts[role] = amount;
    } else if (role === 'original' || role === 'open' || role === 'base' || role === 'worth' || role === 'paid') {
      const amount = read(column, side);
      if (amount !== undefined) amounts[role] = amount;
    } else if (role === 'contactName')
      // Below a name, in its cell, stands an address.
      texts[role] =
        textOf(row[column])
          .split(/[\r\n]/, 1)[0]
          ?.trim() ?? '';
    else if (role !== undefined) texts[role] = textOf(row[column]);
  });
  if (list.marked !== undefined) texts.currency = currencyBeside(textOf(row[list.marked])) ?? '';
  const { original, worth, base } = amounts;
  // The part of it that is left in the books' currency is left in its own.
  const part = amounts.open === undefined && original !== undefined && base !== undefined && worth !== undefined && worth !== 0n; // prettier-ignore
  if (part) amounts.open = minor(divideRounded(original * base, worth));
  if (list.coded) {
    const { code, name } = contactIn([texts.contactName ?? '']) ?? {};
    if (code !== undefined && code !== null) [texts.contactCode, texts.contactName] = [code, name ?? ''];
  }
  const moved = amounts.open ?? amounts.debit ?? amounts.credit;
  const carriedIn = row.some((cell) => BALANCE_WORDS.is(folded(textOf(cell))) || isTotal(textOf(cell)));
  const before = list.running === undefined || moved !== undefined || !carriedIn ? undefined : read(list.running, side);
  return {
    row: number,
    texts,
    amounts,
    ages,
    parts: further.length === 0 ? [] : [{ open: amounts.open ?? NIL, due: dayIn(list, texts.due ?? '') }, ...further.map((open, at) => ({ open, due: days[at] }))], // prettier-ignore
    open: further.length === 0 ? openOf(list, amounts, ages, before) : sum([amounts.open ?? NIL, ...further]),
    spoken,
    unread,
    derived: part && base !== worth && original !== worth,
    apart: each.length > 1 ? each : [],
    date: dayIn(list, texts.date ?? ''),
    due: dayIn(list, texts.due ?? ''),
  };
};

/** What is printed on every page, but for its number. */
const plainTitle = (row: Row): string => folded(row.map(textOf).join(' ').replace(/\d+/g, ' '));

/** So much of a header stands in its repetition, where each part of a list has some titles of its own. */
const MOST_OF_HEADER = 0.6;

/** Tells what is printed on every page: the header, and the titles above it. */
export const repeats = ({ rows, header }: Pick<ListTable, 'rows' | 'header'>): ((row: Row) => boolean) => {
  const filledOf = (row: Row): readonly string[] => row.map(textOf).filter((text) => text !== '');
  const names = filledOf(rows[header] ?? []).join('|');
  const titles = new Set(
    rows
      .slice(0, header + 1)
      .map(plainTitle)
      .filter((text) => text !== ''),
  );
  const titled = (rows[header] ?? []).map((cell) => folded(textOf(cell)));
  const filled = titled.filter((text) => text !== '').length;
  const isAlike = (row: Row): boolean => {
    const same = titled.filter((text, at) => text !== '' && text === folded(textOf(row[at]))).length;
    return same >= FEWEST_ALIKE && same >= filled * MOST_OF_HEADER && filledOf(row).length <= filled;
  };
  return (row) => titles.has(plainTitle(row)) || filledOf(row).join('|') === names || isAlike(row);
};
const FEWEST_ALIKE = 3;

/** "3 documents". */
const HOW_MANY = /^\d{1,6}\s\p{L}[\p{L}\s]{0,40}$/u;

/** What a row with an amount is: a document, a sum, or a sum that is carried to another page. */
const kindOfRow = (
  list: ListTable,
  row: Row,
  printed: PrintedRow,
  since: Minor,
  whole: Minor,
): 'item' | 'total' | 'carried' | 'bare' => {
  const own = printed.texts;
  const has = (role: Role): boolean => (own[role] ?? '') !== '';
  const [dated, numbered] = [list.roles.includes('date'), list.roles.includes('number')];
  const labels = row.map(textOf).filter(hasLetters);
  const named = has('contactCode') || has('contactName');
  // A number without a digit is a label that stands in its column, unless the row has a day; so is how many nobody's documents are.
  const labelled = !/\d/.test(own.number ?? '') || (!named && !isGrouped(list) && HOW_MANY.test(own.number ?? ''));
  const hasNumber = has('number') && (printed.date !== undefined || !labelled);
  const said = has('kind') && !isTotal(own.kind ?? '');
  if (printed.date !== undefined && (!numbered || hasNumber || has('reference') || named || said || !isGrouped(list)))
    return 'item';
  const carried = isCarried(row) && !(has('contactCode') && has('contactName'));
  if (carried) return 'carried';
  // A balance behind all that is listed is what it comes to, and nobody's.
  if (printed.open === whole && whole !== 0n && !isGrouped(list) && !named && !hasNumber) return 'total';
  // So is one behind all of somebody's documents.
  if (printed.open === since && since !== 0n && isGrouped(list) && !hasNumber) return 'total';
  if (labels.some((text) => BALANCE_WORDS.is(folded(text)))) return 'item';
  if (labels.some(isTotal) || (printed.open === since && since !== 0n && !hasNumber)) return 'total';
  // Without a day and a number of its own, and with one word at most, it is what others come to.
  const nobodys = !isGrouped(list) && !named && !hasNumber && printed.date === undefined && labels.length === 0;
  const bare = nobodys || (dated && numbered && !hasNumber && printed.date === undefined && labels.length <= 1);
  return bare || (dated && !named && !hasNumber) ? 'bare' : 'item';
};

const isGrouped = ({ roles }: ListTable): boolean => !roles.includes('contactName') && !roles.includes('contactCode');

const wordsIn = (texts: readonly string[]): readonly string[] =>
  texts
    .join(' ')
    .split(/[\s:：()]+/)
    .filter((word) => word !== '');

/** The one currency that a row of a sum names: "Total USD". */
const currencyNamed = (texts: readonly string[]): Currency | undefined => {
  const codes = new Set(wordsIn(texts).filter(isCurrency));
  return codes.size === 1 ? [...codes][0] : undefined;
};

/** A currency that stands above the rows that are in it: "USD", "Currency: USD". */
const currencyAlone = (texts: readonly string[]): Currency | undefined => {
  const words = wordsIn(texts);
  const codes = words.filter(isCurrency);
  const rest = words.filter((word) => !isCurrency(word)).join(' ');
  return codes.length === 1 && (rest === '' || COLUMN_WORDS.currency.is(folded(rest))) ? codes[0] : undefined;
};

/** Goes through the rows; those of `named` are documents whatever their words say. */
const sorted = (list: ListTable, digits: number, named: ReadonlySet<number>): SortedRows => {
  const items: { printed: PrintedRow; contact: Contact }[] = [];
  const totals: PrintedRow[] = [];
  const [unread, nothing, unsure]: [number[], number[], number[]] = [[], [], []];
  const unlike: PrintedRow[] = [];
  const inCurrencies: SortedRows['inCurrencies'][number][] = [];
  const grouped = isGrouped(list);
  const isRepeated = repeats(list);
  let heading = grouped ? contactAbove(list) : undefined;
  let last: Contact = { code: null, name: null };
  let [grand, currency]: [PrintedRow | undefined, string | undefined] = [undefined, undefined];
  const parted = !list.roles.includes('currency') && list.inCurrency.size === 0;
  // What the items come to since the last sum or contact, and altogether, as printed.
  let [since, whole] = [NIL, NIL];
  const from = list.header + 1;
  const end = list.rows.findLastIndex((row) => row.some((cell) => textOf(cell) !== '')) - from;
  list.rows.slice(from).forEach((row, at) => {
    const texts = row.map(textOf);
    if (texts.every((text) => text === '') || isRepeated(row) || texts.some((text) => /\d\s?%$/.test(text))) return;
    const printed = printedRow(list, row, from + at + 1, digits);
    const { open } = printed;
    // Whose it is and its number make it a document, though neither its day nor its amount reads.
    const { number = '', contactCode = '', contactName = '' } = printed.texts;
    const numbered = /\d/.test(number) && contactCode + contactName !== '' && !isTotal(number) && !isTotal(contactName);
    if (printed.unread && (printed.date !== undefined || numbered)) {
      unread.push(printed.row);
      return;
    }
    if (open === undefined) {
      if (printed.date !== undefined) {
        nothing.push(printed.row);
        return;
      }
      const labels = texts.filter(hasLetters);
      // Of several currencies only the amounts in base add up, so that a sum has no open amount.
      const summed = printed.amounts.base ?? printed.amounts.original;
      if (summed !== undefined && !isCarried(row) && labels.length <= 1) {
        totals.push(printed);
        grand = printed;
      }
      if (labels.length > 0 && labels.every(isTotal) && !isCarried(row)) {
        // The last of them is that of the whole.
        if (printed.apart.length > 0) inCurrencies.length = 0;
        for (const [of, amount] of printed.apart) inCurrencies.push({ row: printed.row, currency: of, amount });
      }
      const money = list.roles.some((role, column) => isMoney(role) && amountIn(list, row[column]) !== undefined);
      if (money || isCarried(row) || labels.every(isTotal)) return;
      const section = parted ? currencyAlone(texts) : undefined;
      if (section !== undefined) {
        [currency, since] = [section, NIL];
        return;
      }
      heading = contactIn(texts) ?? heading;
      since = NIL;
      return;
    }
    const told = named.has(printed.row) ? 'item' : kindOfRow(list, row, printed, since, whole);
    // Nothing is carried on from the last row: it is what all of them come to.
    const kind = told === 'carried' && at === end && open === whole ? 'total' : told;
    if (kind === 'item' && open === 0n && printed.date !== undefined) {
      nothing.push(printed.row);
      return;
    }
    if (kind !== 'item') {
      if (kind !== 'carried') {
        totals.push(printed);
        // The sum of the last part says nothing of those before it.
        grand = open === since && open !== whole ? undefined : printed;
        const of = currencyNamed(texts) ?? currency ?? printed.texts.currency ?? '';
        if (isCurrency(of) && open !== since && open !== whole) inCurrencies.push({ row: printed.row, currency: of, amount: open }); // prettier-ignore
      }
      if (kind === 'total' && open !== since && open !== whole && open !== 0n) unlike.push(printed);
      if (kind === 'bare' && open !== since && open !== whole) unsure.push(printed.row);
      since = NIL;
      return;
    }
    last = grouped ? (heading ?? last) : contactOf(printed.texts, heading, last);
    since = add(since, open);
    whole = add(whole, open);
    const said = currency === undefined ? printed : { ...printed, texts: { ...printed.texts, currency } };
    items.push({ printed: said, contact: last });
  });
  return { items, totals, grand, unread, nothing, unsure, unlike, inCurrencies };
};

/**
 * Goes through the rows: contacts above their items, items, sums, what is printed on every page. Somebody may be called "Total": where
 * rows that are called so sum up nothing, and the list's own total is only reached with them, they are of contacts.
 */
export const sortRows = (list: ListTable, digits: number): SortedRows => {
  const first = sorted(list, digits, new Set());
  const last = first.grand;
  const named = first.unlike.filter((row) => row !== last && (row.texts.contactName ?? '') !== '');
  if (named.length === 0 || last?.open === undefined) return first;
  const listed = sum([...first.items.map(({ printed }) => printed), ...named].map(({ open }) => open ?? NIL));
  return listed === last.open ? sorted(list, digits, new Set(named.map(({ row }) => row))) : first;
};
