import { codeStem } from '../chart/codes';
import { type Minor, NIL, onSide, subtract, sum } from '../money/minor';
import type { Totals } from '../openings/level';
import { type Row, type Table, folded, indentOf, textOf } from '../files/cells';
import { splitCodeName } from './columns';
import { AMOUNT_ROLES } from './header';
import type { PaperRow } from './paper-row';
import type { Convention, Reading } from './reading';
import {
  type PaperMoney,
  type Places,
  type WrittenAmount,
  cellAt,
  foreignAmount,
  placesOf,
  signedAmount,
  writtenAmount,
} from './row-amount';
import { type Hint, sectionOf, sideByWords } from './sign';
import { oneLine } from '../files/clean';
import { SUM_OF_THOSE_UNDER, markTotals } from './totals';
import { plural } from '../result';

const TOTAL_WORD =
  '(?:(?:grand |sub ?|zwischen)?totals?|sum|sums|summen?|gesamt\\w*|celkem|(?:mezi)?soucet|totaal|totale|totaux|suma|sommes?|i alt|sumsaldo)';
const TOTAL = new RegExp(`^${TOTAL_WORD}\\b|\\b${TOTAL_WORD}$`);
const TOTALS = new RegExp(`\\b${TOTAL_WORD}\\b`, 'g');

/**
 * Whether a text says that it is a total. Few do, so it is folded only when some letters of such a word are there. What
 * begins as a formula does says nothing: "=SUM(A1)" is somebody's name for an account.
 */
const isWorded = (text: string): boolean =>
  text.length <= MOST_NAME &&
  /tot|sum|celk|sou|ges|alt|zwi|mez/i.test(text) &&
  !/^['"]?[=+@-]/.test(text) &&
  TOTAL.test(folded(text));

/** A total that names nothing but itself, a section of the statements, or a heading of the paper; "Sum insured" is none. */
const isPlainTotal = (text: string, headings: readonly string[]): boolean => {
  const rest = folded(text)
    .replace(TOTALS, ' ')
    .replace(/\b(of|the|all|in|and|for|der|des|de|du|la|di|van)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return (
    rest === '' ||
    !/\p{L}/u.test(rest) ||
    sectionOf(rest) !== undefined ||
    headings.some((heading) => heading.includes(rest))
  );
};

/** Characters of a code and of a name that are still one; so that a novel in a cell is a row that does not read. */
const MOST_CODE = 60;
const MOST_NAME = 300;
const MOST_LOOKED_AT = 2000;
/** A total names a heading that stands not far above it. */
const MOST_HEADINGS = 60;

/** Says why a row cannot be of the table's columns: a code or name that is none, or more cells than the header where few rows have. */
const misfits = (table: Table, reading: Reading): ((cells: Row, code: string, name: string) => string | undefined) => {
  const titled = (at: number): number => (table.rows[at] ?? []).findLastIndex((cell) => textOf(cell) !== '') + 1;
  const width =
    reading.header < 0 ? 0 : Math.max(titled(reading.header), reading.height === 2 ? titled(reading.header - 1) : 0);
  const filled = (cells: Row): number => cells.findLastIndex((cell) => textOf(cell) !== '') + 1;
  const body = table.rows.slice(reading.header + 1, reading.header + 1 + MOST_LOOKED_AT);
  const wider = width === 0 ? 0 : body.filter((cells) => filled(cells) > width).length;
  const rare = wider > 0 && wider <= Math.max(1, body.length / 5);
  return (cells, code, name) =>
    code.length > MOST_CODE
      ? `its code has ${plural(code.length, 'character')}, and ${String(MOST_CODE)} is the most that is read`
      : name.length > MOST_NAME
        ? `its name has ${plural(name.length, 'character')}, and ${String(MOST_NAME)} is the most that is read`
        : rare && cells.length > width && filled(cells) > width
          ? `it has ${String(filled(cells))} cells where the header has ${String(width)}: a name or an amount may hold the character that parts cells`
          : undefined;
};

/** A row told apart before the sign convention, with what its amount columns say where it has an amount that counts. */
interface UnsignedRow {
  readonly row: PaperRow;
  readonly written: WrittenAmount | undefined;
}

/** The rows of a table before the sign convention. */
export interface UnsignedRows {
  readonly rows: readonly UnsignedRow[];
  readonly reading: Reading;
}

const inOneLine = (text: string): string => (/[\n\r\t]/.test(text) ? oneLine(text) : text);

const joinedText = (cells: Row): string => {
  let text = '';
  for (const cell of cells) {
    const own = textOf(cell);
    if (own !== '') text = text === '' ? own : `${text} · ${own}`;
  }
  return text.length > 300 ? text.slice(0, 300) : text;
};

/**
 * Every row of the table, told apart: accounts, headings, totals, the title block. Nothing is dropped; what is not an
 * account says why. The sign of amounts and the totals that only the figures show come with the convention: `underConvention`.
 */
export const unsignedRows = (table: Table, reading: Reading, money: PaperMoney): UnsignedRows => {
  const places = placesOf(reading.columns);
  const amountColumns = reading.columns.flatMap((role, at) => (AMOUNT_ROLES.has(role) ? [at] : []));
  const coded = isCoded(reading);
  const joined = places['code-name'];
  const top = reading.header - (reading.height ?? 1) + 1;
  let section: ReturnType<typeof sectionOf>;
  // After its total a section is over: a heading that says nothing then begins another one.
  let over = false;
  const headings: string[] = [];
  const misfitOf = misfits(table, reading);

  const rows = table.rows.map((cells, at): UnsignedRow => {
    const split = joined < 0 ? undefined : splitCodeName(textOf(cells[joined]));
    const code = inOneLine(split === undefined ? textOf(cells[places.code]) : split.code);
    const name = inOneLine(split === undefined ? textOf(cells[places.name]) : split.name);
    const text = joinedText(cells);
    const indent = indentOf(cellAt(cells, joined < 0 ? places.name : joined));
    const plain = (kind: PaperRow['kind'], note?: string): UnsignedRow => ({
      row: { row: at + 1, kind, code, name, amount: NIL, text, indent, ...(note === undefined ? {} : { note }) },
      written: undefined,
    });
    if (text === '') return plain('blank');
    if (at >= top && at <= reading.header) return plain('header');
    if (at < reading.header) return plain('title', 'above the header');
    const decided = reading.asAccount[String(at)];
    if (decided === false) return plain('heading', 'set aside by hand');
    const written = writtenAmount(cells, places, reading, money);
    const total = (note: string): UnsignedRow => ({
      row: { row: at + 1, kind: 'total', code, name, amount: NIL, text, indent, ...columnsOf(written), note },
      written,
    });
    const account = (): UnsignedRow => {
      return {
        row: {
          row: at + 1,
          kind: 'account',
          code,
          name,
          amount: NIL,
          text,
          indent,
          ...columnsOf(written),
          ...foreignAmount(cells, places, reading),
          ...(section === undefined ? {} : { section }),
          ...(written.rounded ? { note: 'rounded to the currency’s decimals' } : {}),
        },
        written,
      };
    };
    const misfit = misfitOf(cells, code, name);
    if (misfit !== undefined) return plain('unreadable', misfit);
    if (decided === true) return written.bad === undefined ? account() : plain('unreadable', written.bad);
    const worded = isWorded(code) || isWorded(name) || (code === '' && name === '' && isWorded(text));
    // An account may be called "Total ...": with a code of its own it is a total only if it is also the sum.
    if (worded && !/\d/.test(coded ? code : '')) {
      over = true;
      if ((coded && code === '') || written.pair !== undefined || isPlainTotal(name === '' ? text : name, headings))
        return total('a total, by its words');
    }
    if (amountColumns.every((column) => textOf(cells[column]) === '')) {
      section = sectionOf(name === '' ? text : name) ?? (over ? undefined : section);
      headings.push(folded(name === '' ? text : name));
      if (headings.length > MOST_HEADINGS) headings.shift();
      over = false;
      return coded && code !== '' && name !== '' && /\d/.test(code) && !isHeadingLike(table.rows, at, places)
        ? account()
        : plain('heading', 'no amount: a heading or a remark');
    }
    if (written.bad !== undefined) return plain('unreadable', written.bad);
    return code === '' && name === '' ? total('an amount without an account') : account();
  });
  return { rows, reading };
};

const isCoded = ({ columns }: Pick<Reading, 'columns'>): boolean =>
  columns.includes('code') || columns.includes('code-name');

const columnsOf = ({ pair }: WrittenAmount): Pick<PaperRow, 'columns'> =>
  pair === undefined ? {} : { columns: { debits: onSide(pair.debit, 'debit'), credits: onSide(pair.credit, 'debit') } };

/**
 * The rows with their signs, and with the totals that the figures show: by being the sum of the rows above them or under
 * them; see `markTotals`. `hint` knows the normal side of accounts that the chart has; without it the sections and names of
 * the paper are asked.
 */
export const underConvention = (
  { rows, reading }: UnsignedRows,
  convention: Convention,
  hint?: Hint,
): readonly PaperRow[] => {
  const twoColumns = reading.columns.includes('debit') || reading.columns.includes('credit');
  const signed = rows.map(({ row, written }): PaperRow => {
    if (written === undefined) return row;
    const amount = signedAmount(
      written,
      convention,
      twoColumns,
      () => hint?.(row) ?? sideByWords(row.name, row.section),
    );
    return amount === 0n ? row : { ...row, amount };
  });
  return underTotals(
    markTotals(signed, {
      coded: isCoded(reading),
      decided: reading.asAccount,
      worded: (row) => isWorded(row.name) || isWorded(row.code),
    }),
  );
};

/** Accounts under a total that names a section ("100 Assets", with what they come to) stand in it, like those under a heading. */
const underTotals = (rows: readonly PaperRow[]): readonly PaperRow[] => {
  let section: ReturnType<typeof sectionOf>;
  return rows.map((row) => {
    if (row.kind === 'total') section = row.note === SUM_OF_THOSE_UNDER ? (sectionOf(row.name) ?? section) : undefined;
    else if (row.kind === 'heading') section = undefined;
    return row.kind === 'account' && row.section === undefined && section !== undefined ? { ...row, section } : row;
  });
};

/** A coded row without an amount is a heading when rows with longer codes that begin with it follow ("10" before "1010"). */
const isHeadingLike = (rows: readonly Row[], at: number, places: Places): boolean => {
  const codeAt = (index: number): string => {
    const cells = rows[index] ?? [];
    return places['code-name'] < 0
      ? textOf(cells[places.code])
      : splitCodeName(textOf(cells[places['code-name']])).code;
  };
  const code = codeAt(at);
  const next = codeAt(at + 1);
  return next !== '' && next !== code && next.startsWith(codeStem(code));
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
