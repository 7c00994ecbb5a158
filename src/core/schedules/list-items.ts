import { folded } from '../base/folded';
import { addTo } from '../base/lists';
import { type Problem, problem, quoted } from '../base/result';
import { type Row, type Table, textOf } from '../base/table';
import { plainDate } from '../base/dates';
import { isCurrency, minorDigits } from '../money/currency';
import type { PaperAmount } from '../money/paper-amount';
import { statedCurrency } from '../papers/stated-currency';
import { statedDate } from '../papers/stated-date';
import { totalWords } from '../papers/total-words';
import { CARRIED } from '../words/paper-words';
import { type ListTable, type Role, amountIn, dayIn, listTable } from './list-table';
import {
  BALANCE_WORDS,
  CREDIT_WORDS,
  CUSTOMERS,
  INVOICE_WORDS,
  OTHER_LIST,
  PAYMENT_WORDS,
  REFUND_WORDS,
  SUPPLIERS,
} from './list-words';

export const DOCUMENT_KINDS = ['invoice', 'credit-note', 'payment', 'refund', 'balance'] as const;
export type DocumentKind = (typeof DOCUMENT_KINDS)[number];
export type ListKind = 'customers' | 'suppliers';

/** An open item, amounts in minor units of its currency (of the base currency for `base`), as the books see them: what is owed to us is positive. */
export interface OpenItem {
  /** Its row in the file, from 1. */
  readonly row: number;
  readonly contactCode: string | null;
  readonly contactName: string | null;
  readonly documentKind: DocumentKind;
  readonly number: string | null;
  readonly reference: string | null;
  readonly order: string | null;
  readonly date: string | null;
  readonly due: string | null;
  readonly currency: string | null;
  readonly original: bigint | null;
  readonly open: bigint;
  readonly base: bigint | null;
}

export interface ItemsRead {
  readonly kind: ListKind;
  readonly asAt: string | null;
  /** The books' currency, as the list says it. */
  readonly currency: string | null;
  /** Decimals of the base currency. */
  readonly digits: number;
  readonly items: readonly OpenItem[];
  /** What the list prints as its total, by its columns; ages one by one. */
  readonly printed: Readonly<Partial<Record<'original' | 'open' | 'base', bigint>>> & {
    readonly ageing?: readonly bigint[];
  };
  readonly doubts: readonly Problem[];
}

export interface ListAsked {
  readonly name: string;
  readonly kind?: ListKind;
  /** The opening date, ISO: nothing in the list should be of after it. */
  readonly date?: string;
  readonly digits?: number;
}

const AMOUNTS = ['original', 'open', 'base', 'debit', 'credit'] as const;

/** A row as it is printed: its texts by role, its amounts in the list's decimals. */
interface Printed {
  readonly row: number;
  readonly texts: Readonly<Partial<Record<Role, string>>>;
  readonly amounts: Readonly<Partial<Record<(typeof AMOUNTS)[number], PaperAmount>>>;
  readonly ages: readonly (PaperAmount | undefined)[];
  /** What the row comes to as printed, in the finest decimals of the list; undefined where no amount stands in it. */
  readonly open: bigint | undefined;
  readonly date: string | undefined;
  readonly due: string | undefined;
}

const inUnits = ({ coefficient, scale }: PaperAmount, digits: number): bigint =>
  scale <= digits ? coefficient * 10n ** BigInt(digits - scale) : coefficient / 10n ** BigInt(scale - digits);

/** An amount with the side it names: a credit counts against. */
const signed = (amount: PaperAmount, digits: number): bigint => {
  const units = inUnits(amount, digits);
  return amount.side === 'credit' ? -units : units;
};

/** What a column of sides says of a row. */
const sideIn = (list: ListTable, row: Row): PaperAmount['side'] => {
  const at = list.roles.indexOf('side');
  return at < 0 ? undefined : list.sideOf(textOf(row[at]));
};

const printedRow = (list: ListTable, row: Row, at: number, digits: number): Printed => {
  const texts: Partial<Record<Role, string>> = {};
  const amounts: Partial<Record<(typeof AMOUNTS)[number], PaperAmount>> = {};
  const ages: (PaperAmount | undefined)[] = [];
  const side = sideIn(list, row);
  list.roles.forEach((role, column) => {
    if (role === undefined) return;
    const text = textOf(row[column]);
    if (role === 'age') ages.push(amountIn(list, row[column]));
    else if ((AMOUNTS as readonly string[]).includes(role)) {
      const amount = amountIn(list, row[column]);
      if (amount !== undefined)
        amounts[role as (typeof AMOUNTS)[number]] = side === undefined ? amount : { ...amount, side };
    } else texts[role] = text;
  });
  const filled = ages.filter((one) => one !== undefined);
  const { open, debit, credit, original, base } = amounts;
  const sum = (): bigint | undefined => {
    if (open !== undefined) return signed(open, digits);
    if (filled.length > 0) return filled.reduce((all, one) => all + signed(one, digits), 0n);
    if (debit !== undefined || credit !== undefined)
      return (
        (debit === undefined ? 0n : inUnits(debit, digits)) - (credit === undefined ? 0n : inUnits(credit, digits))
      );
    // Beside a column of what is open, what a document came to says nothing of it.
    const only = list.roles.some((role) => role === 'open' || role === 'age') ? undefined : (original ?? base);
    return only === undefined ? undefined : signed(only, digits);
  };
  return {
    row: at + 1,
    texts,
    amounts,
    ages,
    open: sum(),
    date: dayIn(list, texts.date ?? ''),
    due: dayIn(list, texts.due ?? ''),
  };
};

const isTotal = (text: string): boolean =>
  text !== '' && (totalWords(text, NONE) > 0 || CARRIED.in(folded(text)) !== undefined);
const isCarried = (row: Row): boolean => row.some((cell) => CARRIED.in(folded(textOf(cell))) !== undefined);
const NONE: ReadonlySet<string> = new Set();

interface Contact {
  readonly code: string | null;
  readonly name: string | null;
}

/** "Proveedor: 400003 - Corchos Alcornera", "K-0003 Siodlarnia", a code and a name beside it: whose the rows below are. */
export const contactIn = (texts: readonly string[]): Contact | undefined => {
  const filled = texts.filter((text) => text !== '');
  const [first = ''] = filled;
  const bare = first.replace(/^\p{L}[\p{L}\s./°]{1,25}[:：]\s*/u, '').trim();
  const second = bare === '' ? filled[1] : filled.length === 2 ? filled[1] : undefined;
  const codeLike = (text: string): boolean => /^[\p{L}\d][\p{L}\d./_-]{0,14}$/u.test(text) && /\d/.test(text);
  if (filled.length > 3 || first.length > 120) return undefined;
  if (second !== undefined) {
    if (codeLike(bare) && /\p{L}/u.test(second)) return { code: bare, name: second };
    if (codeLike(second) && /\p{L}/u.test(bare)) return { code: second, name: bare };
    if (bare === '') return contactIn([second]);
    return undefined;
  }
  if (!/\p{L}/u.test(bare)) return undefined;
  const words = bare.split(/\s+/);
  // "400003 - Name", "400003: Name", "400003 Name".
  const code = (words[0] ?? '').replace(/[-–—:·|,]$/, '');
  const name = words
    .slice(1)
    .join(' ')
    .replace(/^[-–—:·|,]\s?/, '');
  if (codeLike(code) && /\p{L}/u.test(name)) return { code, name };
  const behind = (words.at(-1) ?? '').replace(/^[([]|[)\]]$/g, '');
  if (/[)\]]$/.test(bare) && codeLike(behind)) return { code: behind, name: words.slice(0, -1).join(' ') };
  return { code: null, name: bare };
};

/** The letters that a document's number begins with. */
const prefixOf = (number: string): string => folded(/^\p{L}+(?:[\s.]?\p{L}+)*/u.exec(number)?.[0] ?? '');

const kindIn = (words: string): DocumentKind | undefined => {
  if (words === '') return undefined;
  if (REFUND_WORDS.is(words)) return 'refund';
  if (CREDIT_WORDS.is(words)) return 'credit-note';
  if (INVOICE_WORDS.is(words)) return 'invoice';
  if (BALANCE_WORDS.is(words)) return 'balance';
  if (PAYMENT_WORDS.is(words)) return 'payment';
  const known = [
    ['credit-note', CREDIT_WORDS.in(words)],
    ['payment', PAYMENT_WORDS.in(words)],
    ['invoice', INVOICE_WORDS.in(words)],
    ['balance', BALANCE_WORDS.in(words)],
  ] as const;
  const [found] = known
    .flatMap(([kind, term]) => (term === undefined || term.length < 4 ? [] : [{ kind, length: term.length }]))
    .sort((one, other) => other.length - one.length);
  return found?.kind;
};

/**
 * What kind of document each row is: by its own word, else by how its number begins, else by its sign. The commonest beginning is that
 * of invoices, whatever it means elsewhere; one that nobody knows and that counts against them is a
 * payment where none of its documents is ever due, and that is a guess.
 */
const kindsOf = (
  rows: readonly Printed[],
): { readonly kinds: readonly DocumentKind[]; readonly guessed: readonly Printed[] } => {
  const groups = new Map<string, Printed[]>();
  const keyOf = ({ texts }: Printed): string => folded(texts.kind ?? '') || `#${prefixOf(texts.number ?? '')}`;
  for (const row of rows) addTo(groups, keyOf(row), row);
  const positive = rows.filter(({ open = 0n }) => open > 0n).length * 2 >= rows.length;
  const against = ({ open = 0n }: Printed): boolean => (positive ? open < 0n : open > 0n);
  const [commonest] = [...groups].sort(([, one], [, other]) => other.length - one.length);
  const kinds = new Map<string, DocumentKind | undefined>();
  const guessed = new Set<string>();
  for (const [key, own] of groups) {
    const said = kindIn(key.replace(/^#/, ''));
    if (
      key === commonest?.[0] &&
      (said === undefined || key.startsWith('#')) &&
      own.filter(against).length * 2 < own.length
    ) {
      kinds.set(key, said === 'balance' ? 'balance' : 'invoice');
      continue;
    }
    if (said !== undefined) {
      kinds.set(key, said);
      continue;
    }
    // A number without letters tells nothing by how it begins.
    if (key === '#') kinds.set(key, undefined);
    else if (own.every(against)) {
      kinds.set(key, own.some(({ due }) => due !== undefined) ? 'credit-note' : 'payment');
      guessed.add(key);
    } else kinds.set(key, 'invoice');
  }
  const found = rows.map((row): DocumentKind => {
    const kind = kinds.get(keyOf(row));
    if (kind === 'invoice' || kind === undefined) {
      const told = kindIn(folded(row.texts.reference ?? ''));
      if (against(row)) {
        if (told === 'payment' || told === 'credit-note' || told === 'balance') return told;
        if (kind === undefined)
          return row.due === undefined && (row.texts.number ?? '') === '' ? 'payment' : 'credit-note';
        return 'credit-note';
      }
      return (row.texts.number ?? '') === '' && (told === 'balance' || row.date === undefined) ? 'balance' : 'invoice';
    }
    return kind;
  });
  return { kinds: found, guessed: rows.filter((row) => guessed.has(keyOf(row))) };
};

const AGAINST: ReadonlySet<DocumentKind> = new Set(['credit-note', 'payment']);

/** Whose list it is: what was asked, else the words of its titles and names. */
const kindOfList = (list: ListTable, asked: ListAsked): { readonly kind: ListKind; readonly sure: boolean } => {
  if (asked.kind !== undefined) return { kind: asked.kind, sure: true };
  const names = (list.rows[list.header] ?? []).map(textOf);
  const body = list.rows.slice(list.header + 1, list.header + 3).flatMap((row) => row.map(textOf));
  const texts = [...list.titles, ...names, asked.name.replace(/[_.-]+/g, ' '), ...body];
  const count = (words: typeof CUSTOMERS): number =>
    texts.reduce((sum, text) => sum + (text.length < 200 && words.in(folded(text)) !== undefined ? 1 : 0), 0);
  const [ours, theirs] = [count(CUSTOMERS), count(SUPPLIERS)];
  return { kind: theirs > ours ? 'suppliers' : 'customers', sure: ours !== theirs };
};

const sameRow = (row: Row, texts: readonly string[]): boolean => {
  const own = row.map(textOf).filter((text) => text !== '');
  return own.length >= 2 && own.join('|') === texts.join('|');
};

/** What is printed on every page, but for its number. */
const plainTitle = (row: Row): string => folded(row.map(textOf).join(' ').replace(/\d+/g, ' '));

/** The table of the paper that holds the list, and its columns. */
const chosenTable = (
  tables: readonly Table[],
  asAt: string | undefined,
): { readonly list: ListTable; readonly at: number } | undefined => {
  let most: { readonly list: ListTable; readonly at: number; readonly size: number } | undefined;
  tables.forEach((table, at) => {
    const list = listTable(table, asAt);
    if (list === undefined) return;
    const known = list.roles.filter((role) => role !== undefined).length;
    const size = known * Math.min(500, list.rows.length - list.header);
    if (most === undefined || size > most.size) most = { list, at, size };
  });
  return most;
};

/** The most decimals of the list's amounts, two at least unless the currency has none. */
const finest = (list: ListTable): number => {
  let most = 0;
  const columns = list.roles.flatMap((role, at) =>
    role === 'age' || (role !== undefined && (AMOUNTS as readonly string[]).includes(role)) ? [at] : [],
  );
  for (const row of list.rows.slice(list.header + 1, list.header + 2000))
    for (const at of columns) most = Math.max(most, amountIn(list, row[at])?.scale ?? 0);
  return Math.min(4, most);
};

interface Walked {
  readonly items: readonly { readonly printed: Printed; readonly contact: Contact }[];
  readonly totals: readonly Printed[];
  readonly unread: readonly number[];
}

/** Whose the first items are, where that stands above the header: "Customer: 4001 Forge Works". */
const contactAbove = (list: ListTable): Contact | undefined => {
  const row = list.rows[list.header - list.height];
  const texts = (row ?? []).map(textOf);
  const [label = ''] = texts.find((text) => text !== '')?.split(/[:：]/) ?? [];
  const words = folded(label);
  const named = CUSTOMERS.in(words) !== undefined || SUPPLIERS.in(words) !== undefined;
  return named && texts.some((text) => /[:：]/.test(text)) ? contactIn(texts) : undefined;
};

/** Goes through the rows: contacts above their items, items, sums, what is printed on every page. */
const walk = (list: ListTable, digits: number): Walked => {
  const items: { printed: Printed; contact: Contact }[] = [];
  const totals: Printed[] = [];
  const unread: number[] = [];
  const names = (list.rows[list.header] ?? []).map(textOf).filter((text) => text !== '');
  const above = new Set(
    list.rows
      .slice(0, list.header + 1)
      .map(plainTitle)
      .filter((text) => text !== ''),
  );
  const grouped = !list.roles.includes('contactName') && !list.roles.includes('contactCode');
  const dated = list.roles.includes('date');
  const numbered = list.roles.includes('number');
  let heading = grouped ? contactAbove(list) : undefined;
  let last: Contact = { code: null, name: null };
  let since = 0n;
  list.rows.slice(list.header + 1).forEach((row, at) => {
    const texts = row.map(textOf);
    const filled = texts.filter((text) => text !== '');
    if (
      filled.length === 0 ||
      sameRow(row, names) ||
      above.has(plainTitle(row)) ||
      texts.some((text) => /\d\s?%$/.test(text))
    )
      return;
    const printed = printedRow(list, row, list.header + 1 + at, digits);
    const { open, texts: own } = printed;
    const labels = filled.filter((text) => /\p{L}/u.test(text));
    const has = (role: Role): boolean => (own[role] ?? '') !== '';
    const carriedRow = isCarried(row);
    if (open === undefined) {
      const moneyText = list.roles.some(
        (role, column) =>
          role !== undefined &&
          (role === 'age' || (AMOUNTS as readonly string[]).includes(role)) &&
          /\d/.test(texts[column] ?? ''),
      );
      const unreadable = list.roles.some(
        (role, column) =>
          (role === 'age' || role === 'open' || role === 'debit' || role === 'credit') &&
          /\d/.test(texts[column] ?? '') &&
          amountIn(list, row[column]) === undefined,
      );
      // Of several currencies only the amounts in base add up, so that a sum has no open amount.
      const summed = printed.amounts.base ?? printed.amounts.original;
      if (summed !== undefined && printed.date === undefined && !carriedRow && labels.length <= 1) totals.push(printed);
      if (unreadable && printed.date !== undefined) unread.push(list.header + 2 + at);
      if (moneyText || printed.date !== undefined || carriedRow || labels.every(isTotal)) return;
      const contact = contactIn(texts);
      if (contact !== undefined) heading = contact;
      since = 0n;
      return;
    }
    // A number without a digit is a label that stands in its column, unless the row has a day.
    const hasNumber = has('number') && (printed.date !== undefined || /\d/.test(own.number ?? ''));
    const carried = carriedRow && !(has('contactCode') && has('contactName'));
    const identified =
      printed.date !== undefined && (!numbered || hasNumber || has('reference') || has('contactName') || !grouped);
    // A row without a day and a number of its own, with one word at most beside its amounts, is what others come to.
    const bare = dated && numbered && !hasNumber && printed.date === undefined && labels.length <= 1;
    const balance = labels.some((text) => BALANCE_WORDS.is(folded(text)));
    const sums = labels.some(isTotal) || (open === since && since !== 0n && !hasNumber) || bare;
    if (
      !identified &&
      (!balance || carried) &&
      (sums || carried || (dated && !has('contactName') && !has('contactCode') && !hasNumber))
    ) {
      if (!carried) totals.push(printed);
      since = 0n;
      return;
    }
    const code = own.contactCode ?? '';
    const name = own.contactName ?? '';
    const contact: Contact = grouped
      ? (heading ?? last)
      : code === '' && name === ''
        ? (heading ?? last)
        : {
            code: code === '' ? (list.roles.includes('contactCode') && last.name === name ? last.code : null) : code,
            name: name === '' ? (last.code === code ? last.name : (heading?.name ?? null)) : name,
          };
    last = contact;
    since += open;
    items.push({ printed, contact });
  });
  return { items, totals, unread };
};

/** The date with so many days added. */
const later = (day: string, days: number): string => plainDate(day).add({ days }).toString();

const orNull = (text: string | undefined): string | null => (text === undefined || text === '' ? null : text);

/**
 * The open items of a list of customers or suppliers, as the books see them: what customers owe is positive, what is owed to suppliers
 * negative, whatever signs the list prints. Undefined where no table of the paper has the columns of such a list.
 */
export const readItems = (tables: readonly Table[], asked: ListAsked): ItemsRead | undefined => {
  const chosen = chosenTable(tables, asked.date);
  if (chosen === undefined) return undefined;
  const { list, at } = chosen;
  const { roles } = list;
  if ((list.rows[list.header] ?? []).some((cell) => OTHER_LIST.is(folded(textOf(cell))))) return undefined;
  if (!roles.some((role) => role === 'age' || (role !== undefined && (AMOUNTS as readonly string[]).includes(role))))
    return undefined;
  const asAt = statedDate(
    tables,
    { sheet: at, header: list.header + 1 - list.height, columns: roles.map(() => 'ignore') },
    asked.name,
  );
  const { kind, sure } = kindOfList(list, asked);
  // The base currency is that of the column in it, else of the amounts where no other column says theirs.
  const counts = (role: Role | undefined): boolean =>
    roles.includes('base')
      ? role === 'base'
      : !roles.includes('currency') && (role === 'age' || role === 'open' || role === 'original');
  const currency =
    statedCurrency(tables, {
      sheet: at,
      header: list.header,
      columns: roles.map((role) => (counts(role) ? 'balance' : 'ignore')),
    }) ?? null;
  const scale = finest(list);
  // A spreadsheet shows 1100.80 as 1100.8: one decimal is two.
  const written = scale === 1 ? 2 : scale;
  const digits =
    asked.digits ?? (currency === null ? written : Math.max(written, written === 0 ? 0 : minorDigits(currency)));
  const { items, totals, unread } = walk(list, digits);
  const rows = items.map(({ printed }) => printed);
  // Where nothing numbers or dates a document, what stands for each contact is its balance.
  const { kinds, guessed } =
    roles.includes('number') || roles.includes('date')
      ? kindsOf(rows)
      : { kinds: rows.map(() => 'balance' as const), guessed: [] };
  const doubts: Problem[] = [];
  const doubt = (code: string, message: string, row: number | null): void =>
    void doubts.push(row === null ? problem(code, message) : problem(code, message, row));
  if (!sure)
    doubt(
      'list.whose',
      `Nothing in the list says whether it is of customers or of suppliers; it is read as ${kind}.`,
      null,
    );
  if (!list.ordered)
    doubt(
      'list.dates',
      'No date of the list says whether its day or its month is first; they are read with the day first.',
      null,
    );
  const [odd] = guessed;
  if (odd !== undefined)
    doubt(
      'list.kind',
      `Nothing says what ${quoted(odd.texts.number ?? odd.texts.kind ?? '')} and those like it are, but that they count against invoices.`,
      odd.row,
    );
  for (const row of unread)
    doubt('list.amount', `Row ${String(row)} has an amount that does not read, so it is left out.`, row);

  // Signs as printed, or by the kinds where amounts carry none; the list's own total tells which.
  const last = totals.at(-1);
  const sided = roles.includes('debit') && roles.includes('credit');
  const spoken = rows.some(({ amounts }) => Object.values(amounts).some((amount) => amount.side !== undefined));
  const byKind = (units: bigint, place: number): bigint => {
    const size = units < 0n ? -units : units;
    return AGAINST.has(kinds[place] ?? 'invoice') ? -size : size;
  };
  const field = (row: Printed, role: 'original' | 'open' | 'base'): bigint | undefined => {
    const amount = row.amounts[role];
    return role === 'open' ? row.open : amount === undefined ? undefined : signed(amount, digits);
  };
  const has = (role: 'original' | 'open' | 'base'): boolean => role === 'open' || roles.includes(role);
  const unsigned =
    !sided &&
    !spoken &&
    rows.some((row, place) => AGAINST.has(kinds[place] ?? 'invoice') && (row.open ?? 0n) > 0n) &&
    rows.every(({ open = 0n }) => open >= 0n);
  const meets = (of: (units: bigint, place: number) => bigint): boolean =>
    last !== undefined &&
    (['open', 'base', 'original'] as const).some((role) => {
      const total = field(last, role);
      return (
        has(role) &&
        total !== undefined &&
        total !== 0n &&
        rows.reduce((sum, row, place) => sum + of(field(row, role) ?? 0n, place), 0n) === total
      );
    });
  const asPrinted = (units: bigint): bigint => units;
  const kindSigns = unsigned && (last === undefined || meets(byKind) || !meets(asPrinted));
  const sign = kindSigns ? byKind : asPrinted;
  const invoices = rows.flatMap((row, place) =>
    kinds[place] === 'invoice' || kinds[place] === 'balance' ? [sign(row.open ?? 0n, place)] : [],
  );
  const above = invoices.filter((units) => units > 0n).length - invoices.filter((units) => units < 0n).length;
  const mostly = above === 0 ? invoices.reduce((sum, units) => sum + units, 0n) >= 0n : above > 0;
  // What is owed to us is a debit, what we owe a credit: the list turns round where it prints them otherwise.
  const turn = sided || spoken ? 1n : (kind === 'customers') === mostly ? 1n : -1n;

  const foreign = roles.includes('currency');
  const read = items.map(({ printed, contact }, place): OpenItem => {
    const { texts, row, date } = printed;
    const documentKind = kinds[place] ?? 'invoice';
    const own = (role: 'original' | 'open' | 'base'): bigint | null => {
      const units = field(printed, role);
      return units === undefined ? null : sign(units, place) * turn;
    };
    const days = /\d+/.exec(texts.terms ?? '')?.[0];
    const due =
      printed.due ??
      (date !== undefined && days !== undefined && !roles.includes('due') ? later(date, Number(days)) : undefined);
    const code = foreign && isCurrency(texts.currency ?? '') ? (texts.currency ?? null) : currency;
    return {
      row,
      contactCode: contact.code,
      contactName: contact.name,
      documentKind,
      number: orNull(texts.number),
      reference: orNull(texts.reference),
      order: orNull(texts.order),
      date: date ?? null,
      due: due ?? null,
      currency: code,
      original: roles.includes('original') ? own('original') : null,
      open: own('open') ?? 0n,
      base: roles.includes('base') && (roles.includes('open') || roles.includes('age')) ? own('base') : null,
    };
  });

  const printed: { original?: bigint; open?: bigint; base?: bigint; ageing?: readonly bigint[] } = {};
  if (last !== undefined) {
    for (const role of ['original', 'open', 'base'] as const) {
      const units = role === 'open' && !roles.includes('open') && !sided ? undefined : field(last, role);
      const inRow = role === 'open' ? (sided ? units : last.amounts.open === undefined ? undefined : units) : units;
      if (inRow !== undefined) printed[role] = inRow * turn;
    }
    if (roles.includes('age') && last.ages.some((one) => one !== undefined)) {
      printed.ageing = last.ages.map((one) => (one === undefined ? 0n : signed(one, digits) * turn));
      printed.open ??= printed.ageing.reduce((sum, units) => sum + units, 0n);
    }
    for (const role of ['open', 'base'] as const) {
      const total = printed[role];
      if (total === undefined || (role === 'open' && new Set(read.map((one) => one.currency)).size > 1)) continue;
      const sum = read.reduce((all, one) => all + (one[role] ?? 0n), 0n);
      if (sum !== total)
        doubt(
          'list.total',
          `The items do not come to the list’s own total: a row is missing, is there twice, or does not read.`,
          last.row,
        );
    }
  }

  const seen = new Map<string, number>();
  for (const one of read) {
    const key = `${one.contactCode ?? one.contactName ?? ''}|${one.number ?? ''}|${one.reference ?? ''}|${one.documentKind}`;
    const before = seen.get(key);
    if (before !== undefined && one.number !== null)
      doubt(
        'list.twice',
        `Rows ${String(before)} and ${String(one.row)} are the same document, ${quoted(one.number)}, of the same contact.`,
        one.row,
      );
    else seen.set(key, one.row);
    if (one.date !== null && one.due !== null && one.due < one.date)
      doubt('list.due', `Row ${String(one.row)} is due before the day of its document.`, one.row);
    const opening = asked.date ?? asAt;
    if (one.date !== null && opening !== undefined && one.date > opening)
      doubt('list.later', `Row ${String(one.row)} is of after the day of the list.`, one.row);
    if (
      one.original !== null &&
      one.original !== 0n &&
      (one.original > 0n ? one.open > one.original : one.open < one.original)
    )
      doubt('list.more', `Row ${String(one.row)} has more open than its document came to.`, one.row);
  }
  return { kind, asAt: asAt ?? null, currency, digits, items: read, printed, doubts };
};
