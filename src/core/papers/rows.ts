import { type Minor, NIL, minor, onSide, subtract, sum } from '../money/minor';
import type { Totals } from '../ledger/level';
import { type Row, type Table, textOf } from '../base/table';
import { plural } from '../base/result';
import { MARK, WHY } from './mark';
import type { PaperRow } from './paper-row';
import type { Reading } from './reading';
import { type PaperMoney, type Places, foreignAmount, placesOf, readCell } from './row-amount';
import { sectionOf } from './sign';
import { ROW, type Skeleton } from './skeleton';
import type { Trial } from './trial';

/** Characters of a code and of a name that are still one; so that a novel in a cell is a row that does not read. */
const MOST_CODE = 60;
const MOST_NAME = 300;
const MOST_LOOKED_AT = 2000;

/** Says why a row cannot be of the table's columns: a code or name that is none, or more cells than the header where few rows have. */
const misfits = (table: Table, reading: Reading): ((cells: Row, code: string, name: string) => string | undefined) => {
  const titled = (at: number): number => (table.rows[at] ?? []).findLastIndex((cell) => textOf(cell) !== '') + 1;
  // A column that is read without a title, as letters for sides are, is the table's too.
  const width =
    reading.header < 0
      ? 0
      : Math.max(
          titled(reading.header),
          reading.height === 2 ? titled(reading.header - 1) : 0,
          reading.columns.findLastIndex((role) => role !== 'ignore') + 1,
        );
  const filled = (cells: Row): number => cells.findLastIndex((cell) => textOf(cell) !== '') + 1;
  const body = table.rows.slice(reading.header + 1, reading.header + 1 + MOST_LOOKED_AT);
  const wider = width === 0 ? 0 : body.filter((cells) => filled(cells) > width).length;
  // No character parts the cells of a workbook, the columns of a printed list, or labels and amounts from what they are of.
  const parted = table.format?.delimiter.length === 1;
  const rare = parted && wider > 0 && wider <= Math.max(1, body.length / 5);
  return (cells, code, name) =>
    code.length > MOST_CODE
      ? `its code has ${plural(code.length, 'character')}, and ${String(MOST_CODE)} is the most that is read`
      : name.length > MOST_NAME
        ? `its name has ${plural(name.length, 'character')}, and ${String(MOST_NAME)} is the most that is read`
        : rare && cells.length > width && filled(cells) > width
          ? `it has ${String(filled(cells))} cells where the header has ${String(width)}: a name or an amount may hold the character that parts cells`
          : undefined;
};

const joinedText = (cells: Row): string => {
  let text = '';
  for (const cell of cells) {
    const own = textOf(cell);
    if (own !== '') text = text === '' ? own : `${text} · ${own}`;
  }
  return text.length > 300 ? text.slice(0, 300) : text;
};

/** What is said of a row that is no account. */
const NOTES: Readonly<Record<number, string>> = {
  [WHY.words]: 'a total, by its words',
  [WHY.under]: 'the sum of the rows under it',
  [WHY.above]: 'the sum of the rows above',
  [WHY.wordsAndSum]: 'a total, by its words and its sum',
  [WHY.unnamed]: 'an amount without an account',
  [WHY.breakdown]: 'a part of the account above it',
  [WHY.nil]: 'nil, and without a code',
  [WHY.level]: 'stands a level above the accounts, whose sums do not come to it',
  [WHY.sides]: 'what one side comes to',
  [WHY.left]: 'an amount without a code: the accounts net to zero without it',
  [WHY.result]: 'the year’s result, which stands on the other side as well',
  [WHY.kind]: 'no account: it is of a kind that is the sum of others, and the accounts net to zero without such rows',
  [WHY.form]: 'no account: its code is formed otherwise, and the accounts net to zero without such rows',
  [WHY.remark]: 'no amount: a heading or a remark',
  [WHY.byHand]: 'set aside by hand',
};

const CONTINUED = 'the rest of the name above it';

/** Why the amount cells of a row do not read. */
const badOf = (cells: Row, places: Places, reading: Reading, money: PaperMoney): string => {
  for (const place of [places.debit, places.credit, places.balance]) {
    const read = place < 0 ? undefined : readCell(cells[place] ?? '', reading, money);
    if (read?.bad !== undefined) return read.bad;
  }
  const side = textOf(cells[places.side]);
  return side === ''
    ? 'it has an amount and no side beside it'
    : `the side “${side.slice(0, 40)}” is neither debit nor credit`;
};

const KIND_OF: Readonly<Record<number, PaperRow['kind']>> = {
  [ROW.blank]: 'blank',
  [ROW.title]: 'title',
  [ROW.header]: 'header',
  [ROW.page]: 'heading',
};

const KIND_OF_MARK: Readonly<Record<number, PaperRow['kind']>> = {
  [MARK.none]: 'blank',
  [MARK.account]: 'account',
  [MARK.heading]: 'heading',
  [MARK.total]: 'total',
  [MARK.open]: 'account',
  [MARK.unreadable]: 'unreadable',
};

/** A name that goes on in the next line: text alone, in small letters, right under an account. */
const goesOn = (skeleton: Skeleton, trial: Trial, continued: ReadonlySet<number>, at: number): boolean =>
  trial.marks.mark[at] === MARK.heading &&
  trial.marks.why[at] === WHY.remark &&
  skeleton.code[at] === '' &&
  /^\p{Ll}/u.test(skeleton.name[at] ?? '') &&
  (trial.marks.mark[at - 1] === MARK.account || continued.has(at - 1));

/**
 * The rows of a table as a trial found them: accounts, headings, totals, the title block. Nothing is dropped; what is not an
 * account says why. Amounts are debit-positive minor units.
 */
export const rowsOf = (
  table: Table,
  reading: Reading,
  skeleton: Skeleton,
  trial: Trial,
  money: PaperMoney,
): readonly PaperRow[] => {
  const places = placesOf(reading.columns);
  const misfitOf = misfits(table, reading);
  const { marks, values } = trial;
  const types = skeleton.types();
  let section: ReturnType<typeof sectionOf>;
  // After its total a section is over: a heading that says nothing then begins another one.
  let over = false;
  let lastAccount = -1;
  const continued = new Set<number>();
  const made: PaperRow[] = [];
  table.rows.forEach((cells, at) => {
    const [code, name, indent] = [skeleton.code[at] ?? '', skeleton.name[at] ?? '', skeleton.indent[at] ?? 0];
    const plain = (kind: PaperRow['kind'], note?: string): PaperRow => ({
      row: at + 1,
      kind,
      code,
      name,
      amount: NIL,
      text: joinedText(cells),
      indent,
      ...(note === undefined ? {} : { note }),
    });
    const kind = skeleton.kind[at] ?? ROW.blank;
    if (kind !== ROW.body) {
      made.push(
        plain(
          KIND_OF[kind] ?? 'blank',
          kind === ROW.title ? 'above the header' : kind === ROW.page ? 'of the page, not of the list' : undefined,
        ),
      );
      return;
    }
    if (table.printed === true && goesOn(skeleton, trial, continued, at) && lastAccount >= 0) {
      continued.add(at);
      const account = made[lastAccount];
      if (account !== undefined)
        made[lastAccount] = { ...account, name: `${account.name} ${name}`.slice(0, MOST_NAME) };
      made.push(plain('heading', CONTINUED));
      return;
    }
    const mark = marks.mark[at] ?? MARK.none;
    const misfit =
      mark === MARK.total || mark === MARK.heading || reading.asAccount[String(at)] !== undefined
        ? undefined
        : misfitOf(cells, code, name);
    if (misfit !== undefined) {
      made.push(plain('unreadable', misfit));
      return;
    }
    if (mark === MARK.unreadable) {
      made.push(plain('unreadable', badOf(cells, places, reading, money)));
      return;
    }
    const note = NOTES[marks.why[at] ?? WHY.none];
    if (mark === MARK.heading) {
      section = sectionOf(name === '' ? code : name) ?? (over ? undefined : section);
      over = false;
      made.push(plain('heading', note));
      return;
    }
    const amount = minor(trial.amountAt(at));
    const [debit, credit] = [values.debit[at] ?? 0n, values.credit[at] ?? 0n];
    const both =
      trial.way.kind === 'pair' && debit !== 0n && credit !== 0n
        ? { columns: { debits: minor(debit), credits: minor(credit) } }
        : {};
    if (mark === MARK.total) {
      // Accounts under a total that names a section ("100 Assets", with what they come to) stand in it, like those under a heading.
      if (marks.why[at] === WHY.under) section = sectionOf(name) ?? section;
      else over = true;
      made.push({ ...plain('total', note), amount, ...both });
      return;
    }
    const own = types?.[at]?.classification ?? section;
    const rounded = values.rounded(at) ? { note: 'rounded to the currency’s decimals' } : {};
    lastAccount = made.length;
    made.push({
      ...plain(KIND_OF_MARK[mark] ?? 'account'),
      amount,
      ...both,
      ...(own === undefined ? {} : { section: own }),
      ...rounded,
      ...foreignAmount(cells, places, reading),
    });
  });
  return made;
};

/** The old system's own column totals: those of the last total that has both, which is the grand total where there is one. */
export const statedTotals = (rows: readonly Pick<PaperRow, 'columns' | 'kind'>[]): Totals | undefined =>
  rows.filter(({ kind, columns }) => kind === 'total' && columns !== undefined).at(-1)?.columns;

export interface RowTotals {
  readonly accounts: number;
  readonly debits: Minor;
  readonly credits: Minor;
  readonly net: Minor;
}

/** What the account rows come to. `credits` is a positive magnitude. */
export const rowTotals = (rows: readonly Pick<PaperRow, 'kind' | 'amount'>[]): RowTotals => {
  const accounts = rows.filter((row) => row.kind === 'account');
  const debits = sum(accounts.map((row) => (row.amount > 0n ? row.amount : NIL)));
  const credits = onSide(sum(accounts.map((row) => (row.amount < 0n ? row.amount : NIL))), 'debit');
  return { accounts: accounts.length, debits, credits, net: subtract(debits, credits) };
};
