import { NUMBER_STYLES, type NumberStyle, plainSeparators } from '../money/number-style';
import { isNil, readPaperAmount } from './amount';
import { type Row, type Table, folded, textOf } from '../files/cells';
import { columnsOf } from './columns';
import { AMOUNT_ROLES, COLUMN_ROLES, type ColumnRole, type FoundHeader, headerOf, headerTexts } from './header';
import { type Net, proposed, sayNets, tryConventions } from './nets';
import type { PaperRow } from './paper-row';
import type { Reading } from './reading';
import type { PaperMoney } from './row-amount';
import type { Hint } from './sign';

export interface Recognition {
  readonly reading: Reading;
  /** Why it is read this way, one sentence per guess. */
  readonly reasons: readonly string[];
  /** What was met on the way that may be wrong and wants to be looked at, a sentence each. */
  readonly doubts: readonly string[];
  /** What the accounts come to under each sign convention that the columns allow. */
  readonly nets: readonly Net[];
  /** The rows under the reading. */
  readonly rows: readonly PaperRow[];
}

export interface Circumstances extends PaperMoney {
  /** The day on which the balances should stand, ISO; decides between columns by date. */
  readonly date?: string;
  /** The normal side of an old account where the chart knows it. */
  readonly hint?: Hint;
}

/**
 * The number style under which the most amount cells read, and read to a usual number of decimals. A text like "1.234"
 * fits two styles; for a currency of two decimals it is one thousand two hundred and thirty-four.
 */
const styleOf = (rows: readonly Row[], header: number, columns: readonly ColumnRole[], digits: number): NumberStyle => {
  const texts = rows
    .slice(header + 1, header + 2000)
    .flatMap((row) =>
      row.flatMap((cell, column) =>
        typeof cell === 'string' && cell !== '' && !isNil(cell) && AMOUNT_ROLES.has(columns[column] ?? 'ignore')
          ? [plainSeparators(cell)]
          : [],
      ),
    );
  let best: { style: NumberStyle; score: number } = { style: '1,234.56', score: -1 };
  for (const style of NUMBER_STYLES) {
    const score = texts.reduce((points, text) => {
      const amount = readPaperAmount(text, style);
      return points + (amount === undefined ? 0 : amount.scale === digits ? 3 : amount.scale === 0 ? 2 : 1);
    }, 0);
    if (score > best.score) best = { style, score };
  }
  return best.style;
};

/** How the table with the clearest trial balance in it is best read. */
export const recognise = (tables: readonly Table[], circumstances: Circumstances): Recognition => {
  const scored = tables.map((table, sheet) => {
    const header = headerOf(table.rows);
    const { roles } = columnsOf(table.rows, header, circumstances.date);
    const score =
      (roles.some((role) => AMOUNT_ROLES.has(role)) ? 1_000_000 : 0) +
      (header.at >= 0 ? 100_000 : 0) +
      Math.min(table.rows.length, 99_999);
    return { sheet, header, score };
  });
  const best = scored.reduce(
    (a, b) => (b.score > a.score ? b : a),
    scored[0] ?? { sheet: 0, header: { at: -1, height: 1 as const }, score: 0 },
  );
  return withGuesses(tables, best.sheet, best.header, circumstances);
};

/** The rest of the guesses once the sheet and the header row are settled by a person. */
export const recogniseFrom = (
  tables: readonly Table[],
  sheet: number,
  header: number,
  circumstances: Circumstances,
): Recognition => {
  const rows = tables[sheet]?.rows ?? [];
  const found = headerOf(rows);
  return withGuesses(tables, sheet, found.at === header ? found : { at: header, height: 1 }, circumstances);
};

const withGuesses = (
  tables: readonly Table[],
  sheet: number,
  header: FoundHeader,
  circumstances: Circumstances,
): Recognition => {
  const rows = tables[sheet]?.rows ?? [];
  const { roles, reasons } = columnsOf(rows, header, circumstances.date);
  const style = styleOf(rows, header.at, roles, circumstances.digits);
  return explained(
    tables,
    {
      sheet,
      header: header.at,
      ...(header.height === 2 ? { height: 2 as const } : {}),
      columns: roles,
      style,
      convention: roles.includes('balance') && !roles.includes('side') ? 'debit-positive' : 'written',
      asAccount: {},
    },
    circumstances,
    reasons,
    true,
  );
};

const ENCODING_NAMES: Readonly<Record<string, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16',
  'windows-1252': 'Windows-1252',
  'windows-1250': 'Windows-1250',
  'iso-8859-2': 'ISO 8859-2',
};

const DELIMITER_NAMES: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
};

/** A reading with the reasons for it, and, where `infer`, the sign convention that nets to zero. */
export const explained = (
  tables: readonly Table[],
  given: Reading,
  { hint, ...money }: Circumstances,
  about: readonly string[] = [],
  infer = false,
): Recognition => {
  const table = tables[given.sheet];
  const tried = table === undefined ? undefined : tryConventions(table, given, money, hint);
  const nets = tried?.nets ?? [];
  const reading = infer && nets.length > 0 ? { ...given, convention: proposed(nets, given.convention) } : given;
  const texts = headerTexts(table?.rows ?? [], reading.header, reading.height ?? 1, reading.columns.length);
  const found = COLUMN_ROLES.flatMap((role) => {
    const at = reading.columns.indexOf(role);
    return role === 'ignore' || at < 0
      ? []
      : [
          `${role === 'code-name' ? 'code and name' : role === 'foreign' ? 'amount in currency' : role} in column ${String(at + 1)}${texts[at] === '' ? '' : ` (“${texts[at] ?? ''}”)`}`,
        ];
  });
  const { format } = table ?? {};
  return {
    reading,
    nets,
    rows: tried?.rowsUnder(reading.convention) ?? [],
    doubts: [...sameTitles(texts, reading.columns), ...(table?.remarks ?? [])],
    reasons: [
      ...(tables.length > 1 && table !== undefined
        ? [`Sheet “${table.name}” of ${String(tables.length)}: it is the one with account and amount columns.`]
        : []),
      ...(format === undefined
        ? []
        : [
            `Text in ${ENCODING_NAMES[format.encoding] ?? format.encoding}, cells parted by ${DELIMITER_NAMES[format.delimiter] ?? `“${format.delimiter}”`}.`,
          ]),
      reading.header >= 0
        ? reading.height === 2
          ? `Rows ${String(reading.header)} and ${String(reading.header + 1)} are the header: the upper one groups the columns.`
          : `Row ${String(reading.header + 1)} is the header: its cells are column titles.`
        : 'No header row found: the columns were told by what is in them.',
      found.length > 0 ? `Columns: ${found.join(', ')}.` : 'No columns were recognised; choose them above the table.',
      ...about,
      `Amounts are written like ${reading.style}.`,
      sayNets(reading.convention, nets),
    ],
  };
};

/** Columns of one title as a column that is read, which are not: they may be the ones that were meant. */
const sameTitles = (texts: readonly string[], columns: readonly ColumnRole[]): readonly string[] =>
  columns.flatMap((role, at) => {
    const title = folded(texts[at] ?? '');
    const first = texts.findIndex((text, other) => folded(text) === title && (columns[other] ?? 'ignore') !== 'ignore');
    return role === 'ignore' && title !== '' && first >= 0
      ? [
          `Columns ${String(first + 1)} and ${String(at + 1)} have the same title, “${texts[at] ?? ''}”; only column ${String(first + 1)} is read.`,
        ]
      : [];
  });

/** What tells papers of one source from others: the header's words and the columns' number, whatever the figures are. */
export const shapeOf = (
  tables: readonly Table[],
  reading: Pick<Reading, 'sheet' | 'header' | 'height' | 'columns'>,
): string => {
  const rows = tables[reading.sheet]?.rows ?? [];
  const texts = headerTexts(rows, reading.header, reading.height ?? 1, reading.columns.length);
  return `${String(tables.length)}/${texts.map((text) => textOf(text).toLowerCase().replace(/\d+/g, '#')).join('|')}`.slice(
    0,
    900,
  );
};
