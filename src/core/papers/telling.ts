import { type Table, folded } from '../base/table';
import { counted } from '../files/limits';
import { saidRows } from '../files/split';
import { minor } from '../money/minor';
import { ARRANGED } from './arrange';
import { COLUMN_ROLES, type ColumnRole, headerTexts } from './header';
import type { Circumstances, Hypothesis } from './hypotheses';
import { WHY } from './mark';
import { type Net, sayNets } from './nets';
import type { PaperRow } from './paper-row';
import type { Convention, Reading } from './reading';
import { rowsOf } from './rows';
import { type Alternative, sayAlternative } from './say-alternative';
import { type Scale, isRounding, statedScale } from './stated-scale';

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
  fields: 'each line a field, behind its label',
};

/** A reading as it is told: its rows, why it is read so, what is in doubt, and what else it may be. */
export const explainedTrial = (
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
  const rows =
    table === undefined ? [] : rowsOf(table, reading, best.skeleton, trial, { ...circumstances, scale: reading.scale });
  const alternatives = [
    ...close.map((one): Alternative => ({
      what: differenceOf(tables, best, one, texts),
      reading: one.reading,
      net: minor(one.trial.net),
      accounts: one.trial.accounts,
    })),
    ...otherScale(best, table),
  ];
  return {
    reading,
    nets,
    rows,
    alternatives,
    doubts: [
      ...sameTitles(texts, reading.columns),
      ...(table?.remarks ?? []).map((message): Doubt => ({ code: 'paper.remark', message, row: null })),
      ...doubtsOf(best, alternatives, rows, circumstances.digits),
    ],
    reasons: [
      ...(tables.length > 1 && table !== undefined && reading.arrangement !== 'all-sheets'
        ? [
            `Sheet “${table.name}” of ${String(tables.length)}: the one with accounts and amounts; of several, that of the opening date, else the latest.`,
          ]
        : []),
      ...(format === undefined
        ? []
        : [
            `Text in ${ENCODING_NAMES[format.encoding] ?? capital(format.encoding)}, ${DELIMITER_NAMES[format.delimiter] ?? `cells parted by “${format.delimiter}”`}.`,
          ]),
      ...(reading.arrangement === undefined ? [] : [ARRANGED[reading.arrangement]]),
      reading.header >= 0
        ? reading.height === 2
          ? `Rows ${String(reading.header)} and ${String(reading.header + 1)} are the header: the upper one groups the columns.`
          : `Row ${String(reading.header + 1)} is the header: its cells are column titles.`
        : 'No header row found: the columns were told by what is in them.',
      found.length > 0 ? `Columns: ${found.join(', ')}.` : 'No columns were recognised; choose them above the table.',
      `Amounts are written like ${reading.style}${reading.scale === undefined ? '' : `, in ${SCALES[reading.scale]}`}.`,
      ...(trial.marks.confirmed > 0
        ? [
            `${counted(trial.marks.confirmed)} ${trial.marks.confirmed === 1 ? 'total is what the rows come to' : 'totals are what the rows come to'}.`,
          ]
        : []),
      sayNets(reading.convention, trial.moving === 0 ? [] : nets),
    ],
  };
};

const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

const SCALES: Readonly<Record<Scale, string>> = { [-2]: 'hundredths', 3: 'thousands', 6: 'millions' };

/** The same reading in single units where it is in others, or in those that the paper speaks of. */
const otherScale = ({ reading, trial }: Hypothesis, table: Table | undefined): readonly Alternative[] => {
  const { scale, ...rest } = reading;
  const other = scale === undefined && table !== undefined ? statedScale(table, reading) : undefined;
  if (scale === undefined && other === undefined) return [];
  return [
    {
      what: `its amounts in ${other === undefined ? 'single units' : SCALES[other]}`,
      reading: other === undefined ? rest : { ...rest, scale: other },
      net: minor(timesTen(trial.net, (other ?? 0) - (scale ?? 0))),
      accounts: trial.accounts,
    },
  ];
};

const timesTen = (amount: bigint, times: number): bigint =>
  times < 0 ? amount / 10n ** BigInt(-times) : amount * 10n ** BigInt(times);

/** What another reading does otherwise, in a few words. */
const differenceOf = (
  tables: readonly Table[],
  best: Hypothesis,
  other: Hypothesis,
  texts: readonly string[],
): string => {
  if (other.reading.sheet !== best.reading.sheet)
    return `the sheet “${tables[other.reading.sheet]?.name ?? ''}” instead of “${tables[best.reading.sheet]?.name ?? ''}”`;
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
  { trial, skeleton, reading }: Hypothesis,
  alternatives: readonly Alternative[],
  rows: readonly PaperRow[],
  digits: number,
): readonly Doubt[] => {
  const name = (row: number): string => (skeleton.name[row] ?? '') || (skeleton.code[row] ?? '') || 'without a name';
  const doubts: Doubt[] = [];
  const about = (code: string, message: string, row: number | null = null): void => {
    doubts.push({ code, message, row });
  };
  if (trial.moving === 0)
    about('reading.nothing', 'No row with an amount was found: choose the columns above the table.');
  else if (trial.net !== 0n && isRounding(trial.net, trial.moving, reading.scale, digits))
    about(
      'reading.rounding',
      `The paper’s amounts are in ${SCALES[reading.scale ?? 3]}: what is left over, by which the accounts do not net to zero, is no more than their rounding may leave. It stays as it is.`,
    );
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
  const [heads, feet] = [true, false].map((under) =>
    trial.sums.filter((row) => (trial.marks.why[row] === WHY.under) === under),
  );
  for (const [rows = [], where] of [
    [heads, 'below'],
    [feet, 'above'],
  ] as const)
    many(rows, 'reading.sum', (said, one) =>
      one
        ? `${capital(said)} (“${name(rows[0] ?? 0)}”) is what the rows ${where} it come to, and the accounts net to zero without it: it is left out as a subtotal, although it stands there like an account.`
        : `${capital(said)} (the first is “${name(rows[0] ?? 0)}”) are what the rows ${where} them come to, and the accounts net to zero without them: they are left out as subtotals, although they stand there like accounts.`,
    );
  many(
    trial.odd,
    'reading.form',
    (said) =>
      `${capital(said)} (the first is “${name(trial.odd[0] ?? 0)}”) ${trial.marks.why[trial.odd[0] ?? 0] === WHY.kind ? 'are, by what a column says of each, of another kind than the others' : 'have codes that are formed otherwise than the others’'}, and the accounts net to zero without them: they are left out, although they stand there like accounts.`,
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
