import { type Problem, type Result, fail, ok, problem } from '../base/result';
import { type Table, textOf } from '../base/table';
import { isXml } from '../files/audit-file';
import { isWebPage } from '../files/web-page';
import { type ContactsRead, readContacts } from './list-contacts';
import { type ItemsRead, type ListAsked, readItems } from './list-items';
import { best as bestOfItems } from './list-columns';
import { MOST_HEADER, type Naming } from './list-header';
import { readCamt } from './camt';
import { type StatementsRead } from './statement';
import { readStatementTable } from './statement-table';
import { isSwiftStatement, readSwiftStatement } from './swift-statement';
import { bestOf } from './registers/register-roles';
import { type RegisterRead, readRegister } from './registers/read-register';
import type { RegisterKind } from './registers/register-words';
import type { ScheduleKind, ThingKind } from './kinds';

/** What a file holds for a schedule. */
export type ListRead =
  | { readonly kind: 'items'; readonly read: ItemsRead }
  | { readonly kind: 'contacts'; readonly read: ContactsRead }
  | { readonly kind: 'things'; readonly read: RegisterRead }
  | { readonly kind: 'statements'; readonly read: StatementsRead };

/** What is looked for in a file: it says for which page it was brought. */
export type ListWanted = ScheduleKind | 'contacts';

/** The lists that things are read from. Loans come one by one with their plans, or as the list of them. */
const REGISTERS = {
  stock: ['stock'],
  assets: ['assets'],
  loan: ['loans', 'borrowings'],
  span: ['prepayments'],
  holders: ['holdings'],
  tax: ['returns'],
} as const satisfies Partial<Record<ThingKind, readonly RegisterKind[]>>;
type OfRegisters = keyof typeof REGISTERS;

const isOfRegisters = (wanted: ListWanted): wanted is OfRegisters => wanted in REGISTERS;

/** What the columns of a list would be called. */
const COLUMNS: Readonly<Record<RegisterKind | Exclude<ListWanted, OfRegisters>, string>> = {
  customers: 'open items, such as number, date and amount',
  suppliers: 'open items, such as number, date and amount',
  plain: 'a list, such as text, date and amount',
  'written-off': 'a list, such as text, date and amount',
  division: 'a list, such as text and amount',
  contacts: 'contacts, such as code and name',
  statement: 'a statement, such as date, text and amount',
  assets: 'a register of assets, such as name, cost and depreciation',
  stock: 'a stock list, such as article, quantity, cost and value',
  loans: 'a loan’s plan, such as date, interest, principal and balance',
  borrowings: 'a list of loans, such as lender, amount, rate and what is still owed',
  prepayments: 'a list of prepayments, such as text, from, to, amount and what remains',
  holdings: 'a list of holders, such as holder, shares, nominal and paid in',
  returns: 'a list of returns, such as tax, period, due day and amount',
};

/** The problem of a file that has none of the lists which are looked for. */
export const noList = (name: string, kinds: readonly (keyof typeof COLUMNS)[]): Problem =>
  problem(
    'list.none',
    `${name} has no row that names the columns of ${kinds.map((kind) => COLUMNS[kind]).join(', or of ')}. Give its columns such names, and bring it again.`,
  );

/**
 * Reads the tables of a file for a page, whose account stands on the credit side or on the other: that is where a list's amounts stand
 * that say no side. A bank's own file goes to `bankStatements`.
 */
export const readList = (
  tables: readonly Table[],
  wanted: ListWanted,
  { credit = false, ...asked }: ListAsked & { readonly credit?: boolean },
): Result<ListRead> => {
  if (wanted === 'statement') {
    const read = readStatementTable(tables, asked.name);
    return read.ok ? ok({ kind: 'statements', read: read.value }) : read;
  }
  if (isOfRegisters(wanted)) {
    const kinds: readonly RegisterKind[] = REGISTERS[wanted];
    const [first = 'loans', second] = kinds;
    for (const kind of second !== undefined && isRather(tables, second, bestOf(first)) ? [second, first] : [first]) {
      const read = readRegister(tables, kind, asked);
      if (read !== undefined) return ok({ kind: 'things', read });
    }
    return fail(noList(asked.name, kinds));
  }
  if (wanted === 'contacts') {
    const read = readContacts(tables, asked.name);
    if (read !== undefined) return ok({ kind: 'contacts', read });
  } else {
    const read = readItems(tables, { ...asked, kind: credit ? 'suppliers' : 'customers' });
    if (read !== undefined && read.items.length > 0) return ok({ kind: 'items', read });
  }
  return fail(noList(asked.name, [wanted]));
};

/** How many columns of a list the best of the first rows names; each only where it is hardly anything else. */
const namedBy = (tables: readonly Table[], naming: Naming): number =>
  Math.max(
    0,
    ...tables.flatMap(({ rows }) =>
      rows.slice(0, MOST_HEADER).map((row) => row.filter((cell) => naming(textOf(cell)) >= NAMED).length),
    ),
  );
const NAMED = 2.5;

/** Whether the header of a list names more of what a kind of things has than of what others have, open items as a rule. */
export const isRather = (tables: readonly Table[], kind: RegisterKind, than: Naming = bestOfItems): boolean =>
  namedBy(tables, bestOf(kind)) > namedBy(tables, than);

/** The statements of a bank's own file: XML, or a message of SWIFT; undefined for any other, whose tables are read. */
export const bankStatements = (bytes: Uint8Array, name: string): Result<StatementsRead> | undefined => {
  if (isXml(bytes) && !isWebPage(bytes)) return readCamt(bytes, name);
  return isSwiftStatement(bytes) ? readSwiftStatement(bytes, name) : undefined;
};
