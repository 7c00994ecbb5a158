import { type Currency, isCurrency } from '../money/currency';
import { folded } from '../base/table';
import { type Problem, type Result, fail, ok, plural, problem, quoted } from '../base/result';
import type { Account, AccountFields, AccountId } from './account';
import {
  ACCOUNT_ROLES,
  type AccountRole,
  CLASSIFICATIONS,
  type Classification,
  classFacts,
  normalSide,
  roleFacts,
  roleFields,
  typeOf,
} from '../ledger/classes';
import { type ChartEdit, change } from './edit';
import { lineByWord } from './type-words';

/** The columns of the chart's sheet from left to right. */
export const CHART_SHEET_COLUMNS = [
  'code',
  'name',
  'type',
  'line',
  'side',
  'currency',
  'role',
  'state',
  'balance',
] as const;
export type ChartSheetColumn = (typeof CHART_SHEET_COLUMNS)[number];

export const CHART_SHEET_LABELS: Readonly<Record<ChartSheetColumn, string>> = {
  code: 'Code',
  name: 'Account',
  type: 'Type',
  line: 'Statement line',
  side: 'Side',
  currency: 'Cur.',
  role: 'Role',
  state: 'State',
  balance: 'Opens at',
};

/** What a cell shows and what is copied from it; the balance is written by whoever knows the currency. */
export const cellText = (account: Account, column: Exclude<ChartSheetColumn, 'balance'>, base: Currency): string => {
  switch (column) {
    case 'code':
      return account.code;
    case 'name':
      return account.name;
    case 'type':
      return typeOf(account.classification);
    case 'line':
      return account.heading ? '' : classFacts(account.classification).one;
    case 'side':
      return account.heading ? '' : normalSide(account) === 'debit' ? 'Dr' : 'Cr';
    case 'currency':
      return account.heading ? '' : (account.currency ?? base);
    case 'role':
      return account.role === null ? '' : roleFacts(account.role).label;
    case 'state':
      return account.active ? 'active' : 'inactive';
  }
};

const LINES: ReadonlyMap<string, Classification> = new Map(
  CLASSIFICATIONS.flatMap(({ id, label, one }) => [id, label, one].map((word) => [folded(word), id] as const)),
);
const ROLES: ReadonlyMap<string, AccountRole> = new Map(
  ACCOUNT_ROLES.flatMap(({ id, label }) => [folded(label), folded(id)].map((word) => [word, id] as const)),
);

const unread = (text: string, what: string): Result<never> =>
  fail(problem('sheet.cell', `${quoted(text)} is no ${what}.`));

/** What a text put into a cell changes; `undefined` for columns that take nothing. */
export const readCell = (
  account: Account,
  column: ChartSheetColumn,
  text: string,
  base: Currency,
): Result<Partial<AccountFields>> | undefined => {
  const plain = text.trim();
  switch (column) {
    case 'code':
      return ok({ code: plain });
    case 'name':
      return ok({ name: plain });
    case 'line': {
      const found = LINES.get(folded(plain)) ?? lineByWord(plain)?.classification;
      return found === undefined ? unread(text, 'statement line') : ok({ classification: found });
    }
    case 'side': {
      if (!/^(dr?|debit|cr?|credit)$/i.test(plain)) return unread(text, 'side; write Dr or Cr');
      const wanted = /^d/i.test(plain) ? 'debit' : 'credit';
      return ok({ contra: normalSide({ ...account, contra: false }) !== wanted });
    }
    case 'currency': {
      const code = plain.toUpperCase();
      if (code !== '' && !isCurrency(code)) return unread(text, 'currency of ISO 4217');
      return ok({ currency: code === '' || code === base ? null : code });
    }
    case 'role': {
      if (plain === '') return ok({ role: null });
      const found = ROLES.get(folded(plain));
      return found === undefined ? unread(text, 'role') : ok(roleFields(found));
    }
    case 'state':
      return /^(active|yes|1)$/i.test(plain)
        ? ok({ active: true })
        : /^(inactive|no|0)$/i.test(plain)
          ? ok({ active: false })
          : unread(text, 'state; write active or inactive');
    case 'type':
    case 'balance':
      return undefined;
  }
};

/** The edits that a pasted block asks for, its first cell landing on the first row and `from`. One copied row fills all chosen rows. */
export const pasteEdits = (
  rows: readonly Account[],
  chosen: number,
  from: ChartSheetColumn,
  block: readonly (readonly string[])[],
  base: Currency,
  columns: readonly ChartSheetColumn[] = CHART_SHEET_COLUMNS,
): { readonly edits: readonly ChartEdit[]; readonly problems: readonly Problem[] } => {
  const start = columns.indexOf(from);
  const filled = block.length === 1 ? Array.from({ length: chosen }, () => block[0] ?? []) : block;
  const edits: ChartEdit[] = [];
  const problems: Problem[] = [];
  filled.forEach((cells, at) => {
    const account = rows[at];
    if (account === undefined) return;
    let is: Partial<AccountFields> = {};
    cells.forEach((text, offset) => {
      const column = columns[start + offset];
      // Headings take no entries: what makes no sense on them is passed over, so that a whole block can be pasted.
      if (column === undefined || (account.heading && text.trim() === '')) return;
      const read = readCell(account, column, text, base);
      if (read?.ok === true) is = { ...is, ...read.value };
      else if (read !== undefined) problems.push(...read.problems);
    });
    const real = (Object.keys(is) as (keyof AccountFields)[]).filter((field) => is[field] !== account[field]);
    if (real.length > 0) edits.push(change(account, Object.fromEntries(real.map((field) => [field, is[field]]))));
  });
  const over = filled.length - rows.length;
  if (over > 0)
    problems.push(problem('sheet.over', `${plural(over, 'row')} went beyond the last account and were left.`));
  return { edits, problems };
};

/** What a search looks through, folded once per account. */
const texts = new WeakMap<Account, string>();
export const searchText = (account: Account): string => {
  const known = texts.get(account);
  if (known !== undefined) return known;
  const made = folded(
    [account.code, account.name, account.role === null ? '' : roleFacts(account.role).label, account.note].join(' '),
  );
  texts.set(account, made);
  return made;
};

/** The rows in sight: what stands under a folded heading is not. */
export const unfolded = <R extends { readonly account: Account; readonly depth: number }>(
  rows: readonly R[],
  closed: ReadonlySet<AccountId>,
): readonly R[] => {
  if (closed.size === 0) return rows;
  let hidden = Number.POSITIVE_INFINITY;
  return rows.filter(({ account, depth }) => {
    if (depth > hidden) return false;
    hidden = closed.has(account.id) ? depth : Number.POSITIVE_INFINITY;
    return true;
  });
};
