import { plainDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { folded } from '../base/folded';
import { type Problem, plural, problem, quoted } from '../base/result';
import { type Table, textOf } from '../base/table';
import { dueDate } from '../company/terms';
import { type Currency, isCurrency, minorDigits } from '../money/currency';
import { type Minor, NIL, sum } from '../money/minor';
import { datesIn } from '../papers/dates-in';
import { decimalsOf } from '../papers/decimals';
import { statedCurrency } from '../papers/stated-currency';
import { statedDate } from '../papers/stated-date';
import { totalWords } from '../papers/total-words';
import { AS_AT } from '../words/paper-words';
import { MONEY, type Role } from './list-columns';
import { type DocumentKind, type ListKind, isSided, kindOfList, kindsOf } from './list-kinds';
import { type PrintedRow, type SortedRows, sortRows } from './list-rows';
import { SUMMED, type Signs, type Summed, amountOf, signsOf } from './list-signs';
import { scaleDoubts } from './list-scale';
import { type ListTable, listTable } from './list-table';
import { termsIn } from './list-terms';
import { unreadColumns } from './list-unread';
import { CUSTOMERS, OTHER_LIST, SUPPLIERS } from './list-words';

/**
 * An open item, amounts as the books see them: what is owed to us is positive. They are in the list's decimals, whatever the currency
 * of the item: a list prints them all alike.
 */
export interface OpenItem {
  /** Its row in the file, from 1. */
  readonly row: number;
  readonly contactCode: string | null;
  readonly contactName: string | null;
  readonly documentKind: DocumentKind;
  readonly number: string | null;
  readonly reference: string | null;
  readonly order: string | null;
  readonly date: IsoDate | null;
  readonly due: IsoDate | null;
  readonly currency: Currency | null;
  readonly original: Minor | null;
  readonly open: Minor;
  readonly base: Minor | null;
}

/** What a list prints as its total, by its columns; ages one by one. */
export type PrintedTotals = Readonly<Partial<Record<Summed, Minor>>> & { readonly ageing?: readonly Minor[] };

export interface ItemsRead {
  readonly kind: ListKind;
  readonly asAt: IsoDate | null;
  /** The books' currency, as the list says it. */
  readonly currency: Currency | null;
  /** Decimals of all amounts here. */
  readonly digits: number;
  readonly items: readonly OpenItem[];
  readonly printed: PrintedTotals;
  /** What a person should look at, with the row that it is of. */
  readonly doubts: readonly Problem[];
}

export interface ListAsked {
  readonly name: string;
  readonly kind?: ListKind;
  /** The opening date, ISO: nothing in the list should be of after it. */
  readonly date?: IsoDate;
  readonly digits?: number;
  /** What price levels are called where the list goes. */
  readonly levels?: readonly string[];
}

interface Chosen {
  readonly list: ListTable;
  /** The place of its table in the paper. */
  readonly sheet: number;
}

/** Whether a sheet says that it is of the kind that is asked for (1), of the other (-1), or of neither or both. */
const saysOf = ({ name }: Table, { titles, rows, header }: ListTable, kind: ListKind): -1 | 0 | 1 => {
  const texts = [name, ...titles, ...(rows[header] ?? []).map(textOf)].map(folded).filter((text) => text.length < 120);
  const [customers, suppliers] = [CUSTOMERS, SUPPLIERS].map((words) =>
    texts.some((text) => words.in(text) !== undefined),
  );
  if (customers === suppliers) return 0;
  return (customers === true) === (kind === 'customers') ? 1 : -1;
};

/** The table of the paper that holds a list of open items; undefined where none does, or where it is a list of something else. */
const chosenTable = (
  tables: readonly Table[],
  date: IsoDate | undefined,
  kind: ListKind | undefined,
): Chosen | undefined => {
  let most: (Chosen & { readonly said: number; readonly size: number }) | undefined;
  tables.forEach((table, sheet) => {
    const list = listTable(table, date);
    if (list === undefined) return;
    const known = list.roles.filter((role) => role !== undefined).length;
    const size = known * Math.min(500, list.rows.length - list.header);
    const said = kind === undefined ? 0 : saysOf(table, list, kind);
    if (most === undefined || said > most.said || (said === most.said && size > most.size))
      most = { list, sheet, said, size };
  });
  if (most === undefined) return undefined;
  const { list } = most;
  const other = (list.rows[list.header] ?? []).some((cell) => OTHER_LIST.is(folded(textOf(cell))));
  const money = list.inCurrency.size > 0 || list.roles.some((role) => role !== undefined && MONEY.has(role));
  return other || !money ? undefined : most;
};

/** The base currency: that of the column in it, else of the amounts where no other column says theirs. */
const baseOf = (tables: readonly Table[], { list, sheet }: Chosen): Currency | null => {
  const { roles, header } = list;
  const counts = (role: Role | undefined): boolean =>
    roles.includes('base')
      ? role === 'base'
      : !roles.includes('currency') && (role === 'age' || role === 'open' || role === 'original');
  const columns = roles.map((role) => (counts(role) ? 'balance' : 'ignore'));
  return statedCurrency(tables, { sheet, header, columns }) ?? null;
};

const NONE: ReadonlySet<string> = new Set();

/**
 * The day to which a column of days counts, where those since each document all end on the same: they are its age then, and no terms.
 */
const countedTo = (rows: readonly PrintedRow[]): IsoDate | undefined => {
  const counted = rows.flatMap(({ date, texts: { terms = '' } }) =>
    date !== undefined && /^\d{1,4}$/.test(terms)
      ? [
          {
            terms,
            to: plainDate(date)
              .add({ days: Number(terms) })
              .toString(),
          },
        ]
      : [],
  );
  const [first] = counted;
  const several = new Set(counted.map(({ terms }) => terms)).size > 1;
  return several && counted.every(({ to }) => to === first?.to) ? first?.to : undefined;
};

/** The day on which a document is due: as it is printed, else by its terms. */
const dueOf = ({ due, date, texts }: PrintedRow, aged: boolean): IsoDate | null => {
  const terms = aged ? undefined : termsIn(texts.terms ?? '');
  if (due !== undefined) return due;
  return date === undefined || terms === undefined || texts.due !== undefined
    ? null
    : dueDate(plainDate(date), terms).toString();
};

const orNull = (text: string | undefined): string | null => (text === undefined || text === '' ? null : text);

/** Whether rows are of documents, not of what somebody owes altogether. */
const hasDocuments = (roles: ListTable['roles']): boolean => roles.includes('number') || roles.includes('date');

const itemsOf = (
  { roles, inCurrency }: ListTable,
  { items }: SortedRows,
  kinds: readonly DocumentKind[],
  signs: Signs,
  base: Currency | null,
  whose: ListKind,
  aged: boolean,
): readonly OpenItem[] =>
  items.flatMap(({ printed, contact }, place): readonly OpenItem[] => {
    const { texts } = printed;
    // A supplier's invoice has their number; ours is the one under which it stands in the books.
    const ours = whose === 'suppliers' && (texts.voucher ?? '') !== '';
    const own = (role: Summed): Minor | null => {
      const amount = amountOf(printed, role);
      return amount === undefined || (role !== 'open' && !roles.includes(role)) ? null : signs.of(amount, place);
    };
    // A list with amounts in base alone has no others beside them.
    const apart = ['open', 'age', 'worth'].some((role) => roles.includes(role as Role)) || inCurrency.size > 0;
    const item: OpenItem = {
      row: printed.row,
      contactCode: contact.code,
      contactName: contact.name,
      documentKind: kinds[place] ?? 'invoice',
      number: orNull(ours ? texts.voucher : texts.number),
      reference: orNull(texts.reference) ?? (ours ? orNull(texts.number) : null),
      order: orNull(texts.order),
      date: printed.date ?? null,
      due: dueOf(printed, aged),
      currency: texts.currency !== undefined && isCurrency(texts.currency) ? texts.currency : base,
      // Of a balance there is no document that came to something.
      original: hasDocuments(roles) ? own('original') : null,
      open: own('open') ?? NIL,
      base: apart ? own('base') : null,
    };
    const parts = printed.parts.filter(({ open }) => open !== 0n);
    // What the whole document came to is no part's.
    const original = parts.length < 2 ? item.original : null;
    return parts.length === 0
      ? [item]
      : parts.map(({ open, due }) => ({ ...item, due: due ?? item.due, original, open: signs.of(open, place) }));
  });

/** The list's own total, by the columns that print one. */
const totalsOf = ({ roles }: ListTable, last: PrintedRow | undefined, signs: Signs): PrintedTotals => {
  if (last === undefined) return {};
  const own = (role: Summed): Minor | undefined => {
    // What ages come to is told with them.
    if (role === 'open' && last.amounts.open === undefined && roles.includes('age')) return undefined;
    if (role === 'original' && !hasDocuments(roles)) return undefined;
    return roles.includes(role) || role === 'open' ? amountOf(last, role) : undefined;
  };
  const columns = Object.fromEntries(
    SUMMED.flatMap((role) => {
      const amount = own(role);
      return amount === undefined ? [] : [[role, signs.total(amount)]];
    }),
  ) as Partial<Record<Summed, Minor>>;
  if (!last.ages.some((one) => one !== undefined)) return columns;
  const ageing = last.ages.map((one) => signs.total(one ?? NIL));
  return { ...columns, open: columns.open ?? sum(ageing), ageing };
};

/** What is odd about a document by itself, and beside the others. */
const itemDoubts = (items: readonly OpenItem[], day: IsoDate | undefined): readonly Problem[] => {
  const seen = new Map<string, number>();
  return items.flatMap(({ row, number, date, due, original, open, ...one }): Problem[] => {
    const key = `${one.contactCode ?? one.contactName ?? ''}|${number ?? ''}|${one.reference ?? ''}|${one.documentKind}|${due ?? ''}`;
    const before = number === null ? undefined : seen.get(key);
    if (before === undefined) seen.set(key, row);
    const more = original !== null && original !== 0n && (original > 0n ? open > original : open < original);
    return [
      ...(due !== null && date !== null && due < date
        ? [problem('list.due', `Row ${row} is due before the day of its document.`, row)]
        : []),
      ...(before === undefined
        ? []
        : [
            problem(
              'list.twice',
              `Rows ${before} and ${row} are the same document, ${quoted(number ?? '')}, of the same contact.`,
              row,
            ),
          ]),
      ...(date !== null && day !== undefined && date > day
        ? [problem('list.later', `Row ${row} is of after the day of the list.`, row)]
        : []),
      ...(more ? [problem('list.more', `Row ${row} has more open than its document came to.`, row)] : []),
    ];
  });
};

/** Where the items do not come to the list's own total; of several currencies only the amounts in base add up. */
const totalDoubts = (
  items: readonly OpenItem[],
  printed: PrintedTotals,
  last: PrintedRow | undefined,
): readonly Problem[] => {
  const mixed = new Set(items.map(({ currency }) => currency)).size > 1;
  const misses = (['open', 'base'] as const).some((role) => {
    const total = printed[role];
    if (total === undefined || (role === 'open' && mixed)) return false;
    return sum(items.map((item) => item[role] ?? NIL)) !== total;
  });
  return misses
    ? [
        problem(
          'list.total',
          'The items do not come to the list’s own total: a row is missing, is there twice, or does not read.',
          last?.row,
        ),
      ]
    : [];
};

/** Sums of a currency that its items do not come to. */
const currencyDoubts = (
  items: readonly OpenItem[],
  { inCurrencies }: Pick<SortedRows, 'inCurrencies'>,
  signs: Signs,
): readonly Problem[] => {
  const mixed = new Set(items.map(({ currency }) => currency)).size > 1;
  return (mixed ? inCurrencies : []).flatMap(({ row, currency, amount }) =>
    sum(items.filter((item) => item.currency === currency).map(({ open }) => open)) === signs.total(amount)
      ? []
      : [problem('list.sum', `The sum of ${currency} in row ${row} is not what its items come to.`, row)],
  );
};

/** Rows below the header, and before the end, in which a list may say its day. */
const LOOKED_AT = 12;

/** The day that a line below the header says it is of: a title that stands there, or the total at the end; undefined where they differ. */
const dayWithin = ({ rows, header, order }: ListTable): IsoDate | undefined => {
  const ends = [
    ...rows.slice(header + 1, header + LOOKED_AT),
    ...rows.slice(Math.max(header + LOOKED_AT, rows.length - LOOKED_AT)),
  ];
  const lines = ends
    .flatMap((row) => row.map(textOf))
    .filter((text) => AS_AT.in(folded(text)) !== undefined || totalWords(text, NONE) > 0);
  const days = new Set(lines.flatMap((line) => [...datesIn(line, order)].sort().at(-1) ?? []));
  return days.size === 1 ? [...days][0] : undefined;
};

/** What is left out, or is taken for something that it may not be. */
const rowDoubts = (
  list: ListTable,
  { items, unread, nothing, unsure, unlike, grand }: SortedRows,
  guessed: readonly PrintedRow[],
): readonly Problem[] => {
  const [odd] = guessed;
  const told = [odd?.texts.number, odd?.texts.kind, odd?.texts.reference].find(
    (text) => text !== undefined && text !== '',
  );
  return [
    ...(list.unnamed
      ? [
          problem(
            'list.columns',
            'Hardly a word of a header is known here, or there is none; what its columns are was told by what is in them. Look at each.',
            list.header + 1,
          ),
        ]
      : []),
    ...unreadColumns(list).map((name) =>
      problem(
        'list.parts',
        name === ''
          ? 'A column without a name has amounts that are not read. Where something is open there too, give it a row of its own.'
          : `The column ${quoted(name)} has amounts that are not read. Where it is another part of each document, give each part a row of its own.`,
        list.header + 1,
      ),
    ),
    ...scaleDoubts(list.scales, list.header + 1),
    ...(list.ordered
      ? []
      : [
          problem(
            'list.dates',
            'No date of the list says whether its day or its month is first; they are read with the day first.',
          ),
        ]),
    ...(odd === undefined
      ? []
      : [
          problem(
            'list.kind',
            `Nothing says what ${told === undefined ? `row ${String(odd.row)}` : quoted(told)} and those like it are, but that they count against invoices.`,
            odd.row,
          ),
        ]),
    ...unread.map((row) =>
      problem('list.amount', `Row ${row} has an amount that does not read, so it is left out.`, row),
    ),
    ...(nothing.length === 0
      ? []
      : [
          problem(
            'list.nothing-open',
            `${plural(nothing.length, 'row')} of documents ${nothing.length === 1 ? 'has' : 'have'} nothing open and ${nothing.length === 1 ? 'is' : 'are'} left out, the first in row ${nothing[0] ?? 0}.`,
            nothing[0],
          ),
        ]),
    // Where the whole is printed, it is asked as a whole.
    ...(grand === undefined ? unlike : []).map(({ row }) =>
      problem('list.sum', `The sum in row ${row} is not what stands above it.`, row),
    ),
    ...items
      .filter(({ printed }) => printed.derived)
      .map(({ printed: { row } }) =>
        problem(
          'list.part',
          `What is left of the document in row ${row} is printed in the books’ currency alone; in its own it is worked out as the same part of it.`,
          row,
        ),
      ),
    ...unsure.map((row) =>
      problem('list.row', `Row ${row} has no day and no number, so it is taken for a sum, but sums up nothing.`, row),
    ),
  ];
};

/**
 * The open items of a list of customers or suppliers, as the books see them: what customers owe is positive, what is owed to suppliers
 * negative, whatever signs the list prints. Undefined where no table of the paper has the columns of such a list.
 */
export const readItems = (tables: readonly Table[], asked: ListAsked): ItemsRead | undefined => {
  const chosen = chosenTable(tables, asked.date, asked.kind);
  if (chosen === undefined) return undefined;
  const { list, sheet } = chosen;
  const about = { sheet, header: list.header + 1 - list.height, columns: list.roles.map(() => 'ignore' as const) };
  const currency = list.inCurrency.size > 0 ? null : baseOf(tables, chosen);
  const digits = asked.digits ?? Math.max(decimalsOf(tables), currency === null ? 0 : minorDigits(currency));
  const sorted = sortRows(list, digits);
  const rows = sorted.items.map(({ printed }) => printed);
  const whose = asked.kind === undefined ? kindOfList(list, asked.name, rows) : { kind: asked.kind, sure: true };
  // Where nothing numbers or dates a document, what stands for each contact is its balance.
  const { kinds, guessed } = hasDocuments(list.roles)
    ? kindsOf(rows, whose.kind, isSided(list, rows))
    : { kinds: rows.map(() => 'balance' as const), guessed: [] };
  const last = sorted.totals.at(-1);
  const signs = signsOf(list, rows, kinds, last, whose.kind);
  const counted = countedTo(rows);
  const asAt = statedDate(tables, about, asked.name, list.order) ?? dayWithin(list) ?? counted;
  const items = itemsOf(list, sorted, kinds, signs, currency, whose.kind, counted !== undefined);
  const printed = totalsOf(list, sorted.grand, signs);
  return {
    kind: whose.kind,
    asAt: asAt ?? null,
    currency,
    digits,
    items,
    printed,
    doubts: [
      ...(whose.sure
        ? []
        : [
            problem(
              'list.whose',
              `The list does not say plainly whether it is of customers or of suppliers; it is read as ${whose.kind}.`,
            ),
          ]),
      ...(items.length > 0 &&
      items.every(({ contactCode, contactName }) => contactCode === null && contactName === null)
        ? [
            problem(
              'list.nobody',
              `Nothing in ${asked.name} says whose these documents are. Give it a column with the ${whose.kind === 'customers' ? 'customer' : 'supplier'} of each, or choose them at the rows.`,
            ),
          ]
        : []),
      ...rowDoubts(list, sorted, guessed),
      ...totalDoubts(items, printed, sorted.grand),
      ...currencyDoubts(items, sorted, signs),
      ...itemDoubts(items, asked.date ?? asAt),
    ],
  };
};
