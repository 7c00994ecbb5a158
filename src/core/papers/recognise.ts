import { NUMBER_STYLES, type NumberStyle, plainSeparators } from '../money/number-style';
import { minor } from '../money/minor';
import { counted } from '../files/limits';
import { saidRows } from '../files/split';
import { type Row, type Table, folded, textOf } from '../files/cells';
import { isNil, readPaperAmount } from './amount';
import { COLUMN_ROLES, type ColumnRole, type FoundHeader, headerOf, headerTexts } from './header';
import { type Layout, layoutOf } from './layout';
import { MARK } from './marks';
import { type Net, sayNets } from './nets';
import { type Alternative, sayAlternative } from './say-alternative';
import type { PaperRow } from './paper-row';
import type { Convention, Reading } from './reading';
import type { PaperMoney } from './row-amount';
import { rowsOf } from './rows';
import type { Hint } from './sign';
import { type Skeleton, skeletonOf } from './skeleton';
import { datesIn } from './dates-in';
import { type Trial, trials } from './trial';
import { type Values, type Way, parserOf, valuesOf } from './values';
import { type LikelyWay, relationPoints, rolesUnder, wayUnder, waysOf } from './ways';

/** A thing that may be wrong and wants to be looked at. */
export interface Doubt {
  readonly code: string;
  readonly message: string;
  /** The row that it is about, counted from 1; null for the whole paper. */
  readonly row: number | null;
}

export interface Recognition {
  readonly reading: Reading;
  /** Why it is read this way, one sentence per guess. */
  readonly reasons: readonly string[];
  /** What was met on the way that may be wrong. */
  readonly doubts: readonly Doubt[];
  /** Other readings that are nearly as likely, the likeliest first. */
  readonly alternatives: readonly Alternative[];
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
const styleOf = (layout: Layout, digits: number): NumberStyle => {
  const texts = layout.sample.flatMap((row) =>
    layout.numbers.flatMap(({ at }) => {
      const cell = row[at];
      return typeof cell === 'string' && cell !== '' && !isNil(cell) ? [plainSeparators(cell)] : [];
    }),
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

/** Rows above which only the likeliest readings are tried in full. */
const LARGE = 20_000;
const MOST_WAYS = 14;
const MOST_WAYS_OF_LARGE = 2;
const MOST_SHEETS = 8;

/** A hypothesis about a table: the reading, what it comes to, and the points for it. */
interface Hypothesis {
  readonly reading: Reading;
  readonly skeleton: Skeleton;
  readonly trial: Trial;
  readonly points: number;
}

/** All plausible readings of one sheet, the best first. */
const hypotheses = (
  table: Table,
  sheet: number,
  header: FoundHeader,
  { hint, date, ...money }: Circumstances,
): readonly Hypothesis[] => {
  const { rows } = table;
  const layout = layoutOf(rows, header);
  const style = styleOf(layout, money.digits);
  const parse = parserOf(rows, style, money);
  const wanted = date ?? titleDay(rows, header);
  const likely = waysOf(layout, wanted, money.currency);
  const held = new Map<Way, Values>();
  const values = (way: Way): Values => {
    const known = held.get(way);
    if (known !== undefined) return known;
    const made = valuesOf(rows, parse, way);
    held.set(way, made);
    return made;
  };
  const base = {
    sheet,
    header: header.at,
    ...(header.height === 2 ? { height: 2 as const } : {}),
    style,
    asAccount: {},
  };
  const skeleton = skeletonOf(rows, { ...base, columns: layout.roles });
  const listed = Array.from({ length: rows.length }, (_, at) => at).filter(
    (at) => at > header.at && (skeleton.code[at] !== '' || skeleton.name[at] !== ''),
  );
  const related = relationPoints(likely, values, listed);
  const ranked = likely
    .map((one, at): LikelyWay => ({ ...one, prior: one.prior + (related[at] ?? 0) }))
    .sort((a, b) => b.prior - a.prior)
    .slice(0, rows.length > LARGE ? MOST_WAYS_OF_LARGE : MOST_WAYS);
  const none: Way = { kind: 'single', at: -1 };
  const tried = ranked.length > 0 ? ranked : [{ way: none, prior: 0, untitled: false }];
  return tried
    .flatMap(({ way, prior }) =>
      trials(way, skeleton, values(way), base, hint).map((trial): Hypothesis => ({
        reading: { ...base, columns: rolesUnder(layout, way), convention: trial.convention },
        skeleton,
        trial,
        points: trial.points + prior + coverage(skeleton, trial) * 10,
      })),
    )
    .sort((a, b) => b.points - a.points);
};

/** The day that the lines above the header name, for choosing between columns by date. */
const titleDay = (rows: readonly Row[], header: FoundHeader): string | undefined =>
  rows
    .slice(0, Math.max(0, header.at - header.height + 1))
    .flatMap((row) => row.map(textOf).flatMap(datesIn))
    .sort()[0];

/** The share of the named rows that have an amount. */
const coverage = (skeleton: Skeleton, { values }: Trial): number => {
  let [named, filled] = [0, 0];
  for (let at = 0; at < skeleton.size; at += 1) {
    if (skeleton.coded ? skeleton.code[at] === '' : skeleton.name[at] === '') continue;
    named += 1;
    if (values.filled[at] === 1) filled += 1;
  }
  return named === 0 ? 0 : filled / named;
};

/** How the table with the clearest trial balance in it is best read. */
export const recognise = (tables: readonly Table[], circumstances: Circumstances): Recognition => {
  const found = tables
    .slice(0, MOST_SHEETS)
    .map((table, sheet) => hypotheses(table, sheet, headerOf(table.rows), circumstances))
    .sort((a, b) => sheetPoints(b[0]) - sheetPoints(a[0]));
  return told(tables, found[0] ?? [], circumstances);
};

/** A longer list is the likelier one among sheets that read equally well. */
const sheetPoints = (best: Hypothesis | undefined): number =>
  best === undefined ? -Infinity : best.points + Math.min(15, Math.log2(1 + best.trial.accounts) * 2);

/** The rest of the guesses once the sheet and the header row are settled by a person. */
export const recogniseFrom = (
  tables: readonly Table[],
  sheet: number,
  header: number,
  circumstances: Circumstances,
): Recognition => {
  const table = tables[sheet];
  if (table === undefined) return explained(tables, { ...EMPTY, sheet, header }, circumstances);
  const found = headerOf(table.rows);
  return told(
    tables,
    hypotheses(table, sheet, found.at === header ? found : { at: header, height: 1 }, circumstances),
    circumstances,
  );
};

const EMPTY: Reading = { sheet: 0, header: -1, columns: [], style: '1,234.56', convention: 'written', asAccount: {} };

/** Points within which another reading is said beside the one proposed. */
const CLOSE = 9;
const MOST_ALTERNATIVES = 4;

const told = (tables: readonly Table[], found: readonly Hypothesis[], circumstances: Circumstances): Recognition => {
  const [best, ...others] = found;
  if (best === undefined) return explained(tables, EMPTY, circumstances);
  const seen = new Set([outcome(best)]);
  const close: Hypothesis[] = [];
  for (const other of others) {
    if (close.length >= MOST_ALTERNATIVES) break;
    const key = outcome(other);
    // One that does not net to zero is no rival of one that does.
    if (
      seen.has(key) ||
      other.trial.moving < 2 ||
      best.points - other.points > CLOSE ||
      (best.trial.net === 0n && other.trial.net !== 0n)
    )
      continue;
    seen.add(key);
    close.push(other);
  }
  const rivals = found.filter(
    (one) => one.reading.columns === best.reading.columns || one.trial.way === best.trial.way,
  );
  return explainedTrial(tables, best, rivals, close, circumstances);
};

/** What a reading gives: two with the same are one. */
const outcome = ({ trial }: Hypothesis): string => {
  let hash = 0n;
  let count = 0;
  trial.marks.mark.forEach((mark, row) => {
    if (mark !== MARK.account) return;
    count += 1;
    hash = (hash * 31n + trial.amountAt(row) + BigInt(row)) & 0xffff_ffff_ffffn;
  });
  return `${String(count)}/${String(hash)}`;
};

/** A reading with the reasons for it, and, where `infer`, the sign convention that nets to zero. */
export const explained = (
  tables: readonly Table[],
  given: Reading,
  circumstances: Circumstances,
  infer = false,
): Recognition => {
  const { hint, ...money } = circumstances;
  const rows = tables[given.sheet]?.rows ?? [];
  const parse = parserOf(rows, given.style, money);
  const skeleton = skeletonOf(rows, given);
  const under = (signed: boolean): readonly Trial[] => {
    const way = wayUnder(given.columns, signed);
    return trials(way, skeleton, valuesOf(rows, parse, way), given, hint);
  };
  const pair = given.columns.includes('debit') && given.columns.includes('credit');
  const all = [...under(false), ...(pair ? under(true) : [])].map((trial): Hypothesis => ({
    reading: { ...given, convention: trial.convention },
    skeleton,
    trial,
    points: trial.points,
  }));
  const way = wayUnder(given.columns, given.convention === 'columns-signed');
  const own =
    all.find(({ trial }) => trial.convention === given.convention) ??
    trials(way, skeleton, valuesOf(rows, parse, way), given, hint, given.convention).map((trial): Hypothesis => ({
      reading: given,
      skeleton,
      trial,
      points: trial.points,
    }))[0];
  const best = infer ? [...all].sort((a, b) => b.points - a.points)[0] : own;
  if (best === undefined) return { reading: given, nets: [], rows: [], doubts: [], alternatives: [], reasons: [] };
  return explainedTrial(
    tables,
    { ...best, reading: { ...given, convention: infer ? best.reading.convention : given.convention } },
    all,
    [],
    circumstances,
  );
};

const ENCODING_NAMES: Readonly<Record<string, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16',
};

const DELIMITER_NAMES: Readonly<Record<string, string>> = {
  ',': 'cells parted by commas',
  ';': 'cells parted by semicolons',
  '\t': 'cells parted by tabs',
  '|': 'cells parted by bars',
  columns: 'cells told by their place in the line',
};

const explainedTrial = (
  tables: readonly Table[],
  best: Hypothesis,
  rivals: readonly Hypothesis[],
  close: readonly Hypothesis[],
  circumstances: Circumstances,
): Recognition => {
  const { reading, trial } = best;
  const table = tables[reading.sheet];
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
  const byConvention = new Map<Convention, Net>();
  for (const one of [best, ...rivals])
    if (!byConvention.has(one.trial.convention))
      byConvention.set(one.trial.convention, { convention: one.trial.convention, net: minor(one.trial.net) });
  const nets = [...byConvention.values()];
  const rows = table === undefined ? [] : rowsOf(table, reading, best.skeleton, trial, circumstances);
  const alternatives = close.map((one): Alternative => ({
    what: differenceOf(best, one, texts),
    reading: one.reading,
    net: minor(one.trial.net),
    accounts: one.trial.accounts,
  }));
  return {
    reading,
    nets,
    rows,
    alternatives,
    doubts: [
      ...sameTitles(texts, reading.columns),
      ...(table?.remarks ?? []).map((message): Doubt => ({ code: 'paper.remark', message, row: null })),
      ...doubtsOf(best, alternatives, rows),
    ],
    reasons: [
      ...(tables.length > 1 && table !== undefined
        ? [`Sheet “${table.name}” of ${String(tables.length)}: it is the one with account and amount columns.`]
        : []),
      ...(format === undefined
        ? []
        : [
            `Text in ${ENCODING_NAMES[format.encoding] ?? capital(format.encoding)}, ${DELIMITER_NAMES[format.delimiter] ?? `cells parted by “${format.delimiter}”`}.`,
          ]),
      reading.header >= 0
        ? reading.height === 2
          ? `Rows ${String(reading.header)} and ${String(reading.header + 1)} are the header: the upper one groups the columns.`
          : `Row ${String(reading.header + 1)} is the header: its cells are column titles.`
        : 'No header row found: the columns were told by what is in them.',
      found.length > 0 ? `Columns: ${found.join(', ')}.` : 'No columns were recognised; choose them above the table.',
      `Amounts are written like ${reading.style}.`,
      ...(trial.marks.confirmed > 0
        ? [
            `${counted(trial.marks.confirmed)} ${trial.marks.confirmed === 1 ? 'total is what the rows come to' : 'totals are what the rows come to'}.`,
          ]
        : []),
      sayNets(reading.convention, nets),
    ],
  };
};

const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

/** What another reading does otherwise, in a few words. */
const differenceOf = (best: Hypothesis, other: Hypothesis, texts: readonly string[]): string => {
  const columns = ({ reading }: Hypothesis): string =>
    reading.columns
      .flatMap((role, at) =>
        role === 'debit' || role === 'credit' || role === 'balance'
          ? [texts[at] === '' || texts[at] === undefined ? `column ${String(at + 1)}` : `“${texts[at] ?? ''}”`]
          : [],
      )
      .join(' and ');
  return columns(best) === columns(other)
    ? `${columns(other)} with ${other.reading.convention === 'credit-positive' ? 'a plus as a credit' : other.reading.convention === 'normal-side' ? 'a plus on the account’s normal side' : other.reading.convention === 'section-side' ? 'a plus on the section’s side' : other.reading.convention === 'columns-signed' ? 'a minus for credits' : 'a plus as a debit'}`
    : `${columns(other)} instead of ${columns(best)}`;
};

const doubtsOf = (
  { trial, skeleton }: Hypothesis,
  alternatives: readonly Alternative[],
  rows: readonly PaperRow[],
): readonly Doubt[] => {
  const name = (row: number): string => (skeleton.name[row] ?? '') || (skeleton.code[row] ?? '') || 'without a name';
  const doubts: Doubt[] = [];
  const about = (code: string, message: string, row: number | null = null): void => {
    doubts.push({ code, message, row });
  };
  if (trial.moving === 0)
    about('reading.nothing', 'No row with an amount was found: choose the columns above the table.');
  else if (trial.net !== 0n)
    about(
      'reading.net',
      'The accounts do not net to zero as they are read: a row may be missing or read twice, a column may be the wrong one, or the paper itself is out.',
    );
  for (const one of alternatives) about('reading.other', `${sayAlternative(one)}.`);
  const many = (list: readonly number[], code: string, say: (rows: string, one: boolean) => string): void => {
    if (list.length > 0)
      about(
        code,
        say(saidRows(list.map((row) => row + 1)), list.length === 1),
        list.length === 1 ? (list[0] ?? 0) + 1 : null,
      );
  };
  many(
    trial.setAside,
    'reading.left',
    (said, one) =>
      `${capital(said)} ${one ? `(“${name(trial.setAside[0] ?? 0)}”) has an amount but no code, and is no sum of other rows; it is` : 'have amounts but no code, and are no sums of other rows; they are'} left out, since the accounts net to zero without ${one ? 'it' : 'them'}.`,
  );
  many(
    trial.uncoded,
    'reading.uncoded',
    (said, one) =>
      `${capital(said)} ${one ? `(“${name(trial.uncoded[0] ?? 0)}”) has no code where others have one; it is read as an account` : 'have no code where others have one; they are read as accounts'}.`,
  );
  many(
    [...trial.marks.unconfirmed],
    'reading.total',
    (said, one) =>
      `${capital(said)} ${one ? `(“${name([...trial.marks.unconfirmed][0] ?? 0)}”) is left out as a total, but the rows that were read do not come to it` : 'are left out as totals, but the rows that were read do not come to them'}.`,
  );
  const unreadable = rows.flatMap(({ kind, row }) => (kind === 'unreadable' ? [row - 1] : []));
  many(unreadable, 'reading.unreadable', (said, one) => `${capital(said)} ${one ? 'does' : 'do'} not read.`);
  return doubts;
};

/** Columns of one title as a column that is read, which are not: they may be the ones that were meant. */
const sameTitles = (texts: readonly string[], columns: readonly ColumnRole[]): readonly Doubt[] =>
  columns.flatMap((role, at): Doubt[] => {
    const title = folded(texts[at] ?? '');
    const first = texts.findIndex((text, other) => folded(text) === title && (columns[other] ?? 'ignore') !== 'ignore');
    return role === 'ignore' && title !== '' && first >= 0
      ? [
          {
            code: 'reading.same-title',
            message: `Columns ${String(first + 1)} and ${String(at + 1)} have the same title, “${texts[at] ?? ''}”; only column ${String(first + 1)} is read.`,
            row: null,
          },
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
