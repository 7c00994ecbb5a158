import type { IsoDate } from '../base/iso-date';
import { type Row, type Table, textOf } from '../base/table';
import { NUMBER_STYLES, type NumberStyle, plainSeparators } from '../money/number-style';
import { isNil, readPaperAmount } from '../money/paper-amount';
import type { Arrangement } from './arrange';
import { datesIn } from './dates-in';
import { rolesWith } from './chosen';
import type { ColumnRole, FoundHeader } from './header';
import { type Layout, layoutOf } from './layout';
import { MARK } from './mark';
import type { Chosen, Reading } from './reading';
import type { PaperMoney } from './row-amount';
import type { Hint } from './sign';
import { type Skeleton, skeletonOf } from './skeleton';
import { type Scale, isRounding, statedScale } from './stated-scale';
import { type Trial, trials } from './trial';
import { type Values, type Way, parserOf, valuesOf } from './values';
import { type LikelyWay, relationPoints, rolesUnder, signByTurnovers, wayUnder, waysOf } from './ways';

export interface Circumstances extends PaperMoney {
  /** The day on which the balances should stand, ISO; decides between columns by date. */
  readonly date?: IsoDate;
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

/** Points for a paper in thousands that nets to zero as nearly as it can. */
const NETS_BUT_FOR_ROUNDING = 22;

/** Points for what turnovers tell of a sign: more than names of accounts do. */
const SIGN_TOLD = 12;

/** A hypothesis about a table: the reading, what it comes to, and the points for it. */
export interface Hypothesis {
  readonly reading: Reading;
  readonly skeleton: Skeleton;
  readonly trial: Trial;
  readonly points: number;
}

/** All plausible readings of one sheet, the best first; what a person chose about it is so in each. */
export const hypotheses = (
  table: Table,
  sheet: number,
  header: FoundHeader,
  { hint, date, ...money }: Circumstances,
  arrangement?: Arrangement,
  { chosen = {}, asAccount }: Pick<Reading, 'chosen' | 'asAccount'> = { asAccount: {} },
): readonly Hypothesis[] => {
  const { rows } = table;
  const layout = layoutOf(rows, header, table.hidden);
  const style = chosen.style ?? styleOf(layout, money.digits);
  const scale =
    chosen.scale === undefined
      ? scaleOf(table, layout, style, money.digits)
      : chosen.scale === 0
        ? undefined
        : chosen.scale;
  const parse = parserOf(rows, style, { ...money, scale });
  const wanted = date ?? titleDay(rows, header);
  const likely = waysWith(layout, waysOf(layout, wanted, money.currency), chosen.columns);
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
    ...(scale === undefined ? {} : { scale }),
    ...(arrangement === undefined ? {} : { arrangement }),
    asAccount,
    ...(Object.keys(chosen).length > 0 ? { chosen } : {}),
  };
  const skeleton = skeletonOf(rows, { ...base, columns: rolesWith(layout.roles, chosen.columns) });
  const listed = Array.from({ length: rows.length }, (_, at) => at).filter(
    (at) => at > header.at && (skeleton.code[at] !== '' || skeleton.name[at] !== ''),
  );
  const related = relationPoints(likely, values, listed);
  const ranked = likely
    .map((one, at) => ({ ...one, prior: one.prior + (related[at] ?? 0) }))
    .sort((a, b) => b.prior - a.prior)
    .slice(0, rows.length > LARGE ? MOST_WAYS_OF_LARGE : MOST_WAYS);
  const none: Way = { kind: 'single', at: -1 };
  const tried = ranked.length > 0 ? ranked : [{ way: none, roles: rolesWith(layout.roles, chosen.columns), prior: 0 }];
  return tried
    .flatMap(({ way, roles, prior }) => {
      const sign = signByTurnovers(way, likely, values, listed);
      return trials(way, skeleton, values(way), base, hint, chosen.convention).map((trial): Hypothesis => ({
        reading: { ...base, columns: roles, convention: trial.convention },
        skeleton,
        trial,
        points:
          trial.points +
          prior +
          (sign === undefined ? 0 : sign === trial.convention ? SIGN_TOLD : -SIGN_TOLD) +
          coverage(skeleton, trial) * 10 +
          (trial.net !== 0n && isRounding(trial.net, trial.moving, scale, money.digits) ? NETS_BUT_FOR_ROUNDING : 0),
      }));
    })
    .sort((a, b) => b.points - a.points);
};

/** The likely ways, each with the chosen columns in it; two that come to the same are one. */
const waysWith = (
  layout: Layout,
  likely: readonly LikelyWay[],
  chosen: Chosen['columns'],
): readonly (LikelyWay & { readonly roles: readonly ColumnRole[] })[] => {
  if (chosen === undefined) return likely.map((one) => ({ ...one, roles: rolesUnder(layout, one.way) }));
  const known = new Set<string>();
  const none = { way: { kind: 'single', at: -1 } as const, prior: 0, untitled: false };
  return [...likely, none].flatMap((one) => {
    const roles = rolesWith(one === none ? layout.roles : rolesUnder(layout, one.way), chosen);
    const signed = one.way.kind === 'pair' && one.way.signed;
    const way = wayUnder(roles, signed);
    const key = JSON.stringify(way);
    if (known.has(key)) return [];
    known.add(key);
    return [{ ...one, way, roles }];
  });
};

/** Where so many of the amounts have all the decimals of the currency, they are in single units, whatever the titles speak of. */
const FINE = 0.6;

/** Noughts that the titles above the columns of amounts say are left away. */
const scaleOf = (
  table: Table,
  { header, columns, numbers, sample }: Layout,
  style: NumberStyle,
  digits: number,
): Scale | undefined => {
  const stated = statedScale(table, {
    header: header.at,
    columns: columns.map(({ at }) => (numbers.some((one) => one.at === at) ? 'balance' : 'ignore')),
  });
  if (stated === undefined || digits === 0) return stated;
  const scales = sample.flatMap((row) =>
    numbers.flatMap(({ at }) => {
      const cell = row[at];
      return typeof cell !== 'string' || cell === '' || isNil(cell) ? [] : [readPaperAmount(cell, style)?.scale];
    }),
  );
  // Hundredths have no decimals at all.
  if (stated < 0) return scales.some((scale) => scale !== 0) ? undefined : stated;
  return scales.filter((scale) => scale === digits).length > scales.length * FINE ? undefined : stated;
};

/** The day that the lines above the header name, for choosing between columns by date. */
const titleDay = (rows: readonly Row[], header: FoundHeader): IsoDate | undefined =>
  rows
    .slice(0, Math.max(0, header.at - header.height + 1))
    .flatMap((row) => row.map(textOf).flatMap((text) => datesIn(text)))
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

/** What a reading gives: two with the same are one. */
export const outcome = ({ trial }: Hypothesis): string => {
  let hash = 0n;
  let count = 0;
  trial.marks.mark.forEach((mark, row) => {
    if (mark !== MARK.account) return;
    count += 1;
    hash = (hash * 31n + trial.amountAt(row) + BigInt(row)) & 0xffff_ffff_ffffn;
  });
  return `${String(count)}/${String(hash)}`;
};
