import { dayBefore, readDate } from '../base/dates';
import { type Result, fail, ok, problem } from '../base/result';
import type { Table } from '../base/table';
import { oneLine } from './clean';
import { MOST_ACCOUNTS, MOST_CELL_CHARACTERS, MOST_DEPTH, counted } from './limits';
import { decode } from './text';
import { type XmlFault, xmlReader } from './xml';

/** Marks of the order of bytes, and spaces; in UTF-16 every other byte is nil. */
const BEFORE: ReadonlySet<number | undefined> = new Set([0xef, 0xbb, 0xbf, 0xff, 0xfe, 0x00, 0x09, 0x0a, 0x0d, 0x20]);

/** The name of a column of balances with the day that they are of: what stood before the file's first day, or after its last. */
const dated = (tag: Tag, { from, to }: Span): string => {
  const [first, last] = [from, to].map((day) => readDate((day ?? '').trim()));
  if (tag.startsWith('Opening') && first?.ok === true) return `${tag} ${dayBefore(first.value).toString()}`;
  return tag.startsWith('Closing') && last?.ok === true ? `${tag} ${last.value.toString()}` : tag;
};

/** Whether bytes look like an XML file, by what they begin with in whatever encoding. */
export const isXml = (bytes: Uint8Array): boolean => bytes.subarray(0, 400).find((byte) => !BEFORE.has(byte)) === 0x3c;

const TAGS = [
  'AccountID',
  'AccountDescription',
  'AccountType',
  'GroupingCategory',
  'GroupingCode',
  'OpeningDebitBalance',
  'OpeningCreditBalance',
  'ClosingDebitBalance',
  'ClosingCreditBalance',
] as const;
type Tag = (typeof TAGS)[number];
/** Columns that a list of accounts without balances does not get. */
const BALANCES: ReadonlySet<string> = new Set(TAGS.slice(5));
const isTag = (name: string): name is Tag => (TAGS as readonly string[]).includes(name);

const PATH = ['AuditFile', 'MasterFiles', 'GeneralLedgerAccounts', 'Account'] as const;

/** The first and the last day that the file is of. */
const SPAN = { SelectionStartDate: 'from', SelectionEndDate: 'to' } as const;
type Span = Partial<Record<(typeof SPAN)[keyof typeof SPAN], string>>;

/** What the master files beside the accounts hold, each with its texts under the titles of a list that is read like any other. */
const PARTY_TAGS: Readonly<Record<string, string>> = {
  CustomerID: 'Code',
  SupplierID: 'Code',
  Name: 'Name',
  CompanyName: 'Name',
  RegistrationNumber: 'Tax number',
  CustomerTaxID: 'Tax number',
  SupplierTaxID: 'Tax number',
  TaxRegistrationNumber: 'Tax number',
  Country: 'Country',
  Email: 'E-mail',
};
const ENTRIES = {
  Customer: PARTY_TAGS,
  Supplier: PARTY_TAGS,
  Product: { ProductCode: 'Code', Description: 'Article', ProductGroup: 'Category', UOMBase: 'Unit' },
  // What is there at the end of the file's period is what other books begin with.
  PhysicalStockEntry: {
    ProductCode: 'Code',
    UOMPhysicalStock: 'Unit',
    ClosingStockQuantity: 'Quantity',
    UnitPrice: 'Unit cost',
    ClosingStockValue: 'Value',
    WarehouseID: 'Place',
  },
  Asset: {
    AssetID: 'Code',
    Description: 'Asset',
    AccountID: 'Account',
    DateOfAcquisition: 'Acquired',
    AssetLifeMonth: 'Life (months)',
    DepreciationMethod: 'Method',
    AcquisitionAndProductionCostsEnd: 'Cost',
    AccumulatedDepreciation: 'Depreciation',
    BookValueEnd: 'Book value',
  },
} as const satisfies Readonly<Record<string, Readonly<Record<string, string>>>>;
type EntryName = keyof typeof ENTRIES;
const isEntry = (name: string): name is EntryName => Object.hasOwn(ENTRIES, name);

/** What an element that is required says where nothing is known. */
export const UNKNOWN = '-';

/** Tables of entries: which of them, and their columns. */
const LISTS = [
  {
    title: 'Customers and suppliers',
    of: ['Customer', 'Supplier'],
    columns: ['Type', 'Code', 'Name', 'Tax number', 'Country', 'E-mail'],
  },
  {
    title: 'Stock',
    of: ['PhysicalStockEntry'],
    columns: ['Code', 'Article', 'Unit', 'Quantity', 'Unit cost', 'Value', 'Place', 'Category'],
  },
  {
    title: 'Fixed assets',
    of: ['Asset'],
    columns: ['Code', 'Asset', 'Acquired', 'Life (months)', 'Method', 'Cost', 'Depreciation', 'Book value', 'Account'],
  },
] as const satisfies readonly {
  readonly title: string;
  readonly of: readonly EntryName[];
  readonly columns: readonly string[];
}[];

interface Entry {
  readonly name: EntryName;
  readonly texts: Map<string, string>;
}

/** The tables of the entries that a file has; stock is called by its articles. */
const listsOf = (entries: readonly Entry[]): readonly Table[] => {
  const articles = new Map(
    entries.flatMap(({ name, texts }) => (name === 'Product' ? [[texts.get('Code') ?? '', texts] as const] : [])),
  );
  return LISTS.flatMap(({ title, of, columns }) => {
    const own = entries.filter(({ name }) => (of as readonly string[]).includes(name));
    if (own.length === 0) return [];
    const rows = own.map(({ texts }) => {
      const article = articles.get(texts.get('Code') ?? '');
      return columns.map((column) => {
        const text = oneLine(texts.get(column) ?? article?.get(column) ?? '');
        return text === UNKNOWN ? '' : text;
      });
    });
    // Columns in which nothing stands are none of the list.
    const filled = columns.map((_, at) => rows.some((row) => row[at] !== ''));
    const kept = (row: readonly string[]): string[] => row.filter((_, at) => filled[at] === true);
    return [{ name: title, rows: [kept(columns), ...rows.map(kept)], aside: true }];
  });
};

/** Carries "too long" and "too many" out of the reader. */
class Past extends Error {
  constructor(readonly what: 'cell' | 'accounts') {
    super(what);
  }
}

const readAccounts = (
  text: string,
): {
  accounts: readonly ReadonlyMap<Tag, string>[];
  entries: readonly Entry[];
  span: Span;
  fault: XmlFault | undefined;
} => {
  const accounts: ReadonlyMap<Tag, string>[] = [];
  const entries: Entry[] = [];
  /** The entry that is open, the depth of its element, and which of its texts is read. */
  let entry: (Entry & { readonly depth: number }) | undefined;
  let title: string | undefined;
  const span: Span = {};
  let end: keyof Span | undefined;
  const names: string[] = [];
  /** How many elements of the path are open. */
  let along = 0;
  let account = new Map<Tag, string>();
  let tag: Tag | undefined;
  const reader = xmlReader({
    open: ({ name }, depth) => {
      tag = undefined;
      title = undefined;
      end = names[1] === 'Header' && Object.hasOwn(SPAN, name) ? SPAN[name as keyof typeof SPAN] : undefined;
      names.length = depth - 1;
      if (depth === 4 && names[1] === 'MasterFiles' && isEntry(name))
        entry = { name, depth, texts: new Map([['Type', name]]) };
      else if (entry !== undefined) {
        const tags: Readonly<Record<string, string>> = ENTRIES[entry.name];
        title = Object.hasOwn(tags, name) ? tags[name] : undefined;
        // The first of several stands, such as the address before where goods go to.
        if (title !== undefined && entry.texts.has(title)) title = undefined;
      }
      names.push(name);
      if (along === depth - 1 && PATH[along] === name) {
        along += 1;
        if (along === PATH.length) account = new Map();
      } else if (along === PATH.length && depth === PATH.length + 1 && isTag(name)) tag = name;
    },
    text: (piece) => {
      if (end !== undefined) span[end] = `${span[end] ?? ''}${piece}`.slice(0, MOST_CELL_CHARACTERS);
      if (title !== undefined && entry !== undefined) {
        const long = (entry.texts.get(title) ?? '') + piece;
        if (long.length > MOST_CELL_CHARACTERS) throw new Past('cell');
        entry.texts.set(title, long);
      }
      if (tag === undefined) return;
      const whole = (account.get(tag) ?? '') + piece;
      if (whole.length > MOST_CELL_CHARACTERS) throw new Past('cell');
      account.set(tag, whole);
    },
    close: (_, depth) => {
      tag = undefined;
      title = undefined;
      end = undefined;
      if (entry !== undefined && depth === entry.depth) {
        entries.push(entry);
        if (entries.length > MOST_ACCOUNTS) throw new Past('accounts');
        entry = undefined;
      }
      if (depth > along) return;
      if (along === PATH.length) accounts.push(account);
      if (accounts.length > MOST_ACCOUNTS) throw new Past('accounts');
      along = depth - 1;
    },
  });
  return { fault: reader.push(text) ?? reader.end(), accounts, entries, span };
};

/**
 * The general-ledger accounts of a Standard Audit File for Tax (OECD SAF-T 2.0 and the national files built on it), as a
 * table with one row per account, so that it is previewed like any other list; its customers and suppliers, stock and assets are others. Namespaces and prefixes do not matter.
 * Entities and document types are not read at all: such a file is refused.
 */
export const readSaft = (bytes: Uint8Array, name: string): Result<readonly Table[]> => {
  let read: ReturnType<typeof readAccounts>;
  try {
    read = readAccounts(
      decode(bytes)
        .text.replace(/^\ufeff/, '')
        .trimStart(),
    );
  } catch (error) {
    if (!(error instanceof Past)) throw error;
    return error.what === 'cell'
      ? fail(
          problem(
            'paper.cell',
            `${name} has an element of more than ${counted(MOST_CELL_CHARACTERS)} characters, which is the most that is read.`,
          ),
        )
      : fail(
          problem(
            'saft.many',
            `${name} lists more than ${counted(MOST_ACCOUNTS)} accounts, which is the most that is read.`,
          ),
        );
  }
  const { accounts, entries, span, fault } = read;
  if (fault !== undefined) return refused(fault, name);
  if (accounts.length === 0)
    return fail(
      problem(
        'saft.no-accounts',
        `${name} is XML, but holds no general-ledger accounts as a Standard Audit File for Tax has them.`,
      ),
    );
  const given = TAGS.filter(
    (tag) => !BALANCES.has(tag) || accounts.some((account) => (account.get(tag) ?? '').trim() !== ''),
  );
  return ok([
    {
      name,
      rows: [
        given.map((tag) => dated(tag, span)),
        ...accounts.map((account) => given.map((tag) => oneLine(account.get(tag) ?? ''))),
      ],
    },
    ...listsOf(entries),
  ]);
};

const refused = (fault: XmlFault, name: string): Result<never> => {
  switch (fault) {
    case 'entities':
      return fail(
        problem(
          'saft.entities',
          `${name} declares a document type or entities, which an audit file does not need. It was not read.`,
        ),
      );
    case 'deep':
      return fail(
        problem(
          'saft.deep',
          `${name} has elements more than ${String(MOST_DEPTH)} deep in each other, which no audit file has. It was not read.`,
        ),
      );
    case 'broken':
      return fail(
        problem(
          'saft.broken',
          `${name} is not a whole XML file: it is damaged or cut off. Export it again and bring that.`,
        ),
      );
  }
};
