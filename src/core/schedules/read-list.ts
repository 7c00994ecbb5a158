import { type Result, fail, ok, problem } from '../base/result';
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
import { bestOf } from './registers/register-columns';
import { type RegisterRead, readRegister } from './registers/read-register';
import type { RegisterKind } from './registers/register-words';
import { type ScheduleKind, type ThingKind, isThings } from './kinds';

/** What a file holds for a schedule. */
export type ListRead =
  | { readonly kind: 'items'; readonly read: ItemsRead }
  | { readonly kind: 'contacts'; readonly read: ContactsRead }
  | { readonly kind: 'things'; readonly read: RegisterRead }
  | { readonly kind: 'statements'; readonly read: StatementsRead };

/** What is looked for in a file: it says for which page it was brought. */
export type ListWanted = ScheduleKind | 'contacts';

/** The lists that things are read from; of taxes and holders a plain list is read. */
const REGISTERS: Readonly<Partial<Record<ThingKind, RegisterKind>>> = {
  stock: 'stock',
  assets: 'assets',
  loan: 'loans',
  span: 'prepayments',
  holders: 'holdings',
  tax: 'returns',
};

const NOTHING: Readonly<Record<ListWanted, string>> = {
  customers: 'open items, such as number, date and amount',
  suppliers: 'open items, such as number, date and amount',
  plain: 'a list, such as text, date and amount',
  'written-off': 'a list, such as text, date and amount',
  division: 'a list, such as text and amount',
  tax: 'a list of returns, such as tax, period, due day and amount',
  holders: 'a list of holders, such as holder, shares, nominal and paid in',
  stock: 'a stock list, such as article, quantity, cost and value',
  assets: 'a register of assets, such as name, cost and depreciation',
  loan: 'a loan’s plan, such as date, interest, principal and balance, or of a list of loans, such as lender, rate and what is owed',
  span: 'amounts over time, such as text, from, to, amount and what remains',
  contacts: 'contacts, such as code and name',
  statement: 'a statement, such as date, text and amount',
};

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
  const register = wanted !== 'contacts' && isThings(wanted) ? REGISTERS[wanted] : undefined;
  if (register !== undefined) {
    // Loans come one by one with their plans, or as the list of them.
    const kinds: readonly RegisterKind[] =
      register === 'loans' && isRather(tables, 'borrowings', bestOf('loans')) ? ['borrowings', 'loans'] : [register];
    for (const kind of kinds) {
      const read = readRegister(tables, kind, asked);
      if (read !== undefined) return ok({ kind: 'things', read });
    }
  } else if (wanted === 'contacts') {
    const read = readContacts(tables, asked.name);
    if (read !== undefined) return ok({ kind: 'contacts', read });
  } else {
    const read = readItems(tables, { ...asked, kind: credit ? 'suppliers' : 'customers' });
    if (read !== undefined && read.items.length > 0) return ok({ kind: 'items', read });
  }
  return fail(
    problem(
      'list.none',
      `${asked.name} has no row that names the columns of ${NOTHING[wanted]}. Give its columns such names, and bring it again.`,
    ),
  );
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
