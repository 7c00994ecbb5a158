import type { IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import type { Row } from '../base/table';
import { textOf } from '../base/table';
import { type Layout, commonCurrency } from './layout';
import type { ColumnRole } from './header';
import { type Title, currencyIn, titleOf } from './titles';
import type { Values, Way } from './values';

/** A way to read the amounts, with how much its titles and columns speak for it and what is to be said of it. */
export interface LikelyWay {
  readonly way: Way;
  readonly prior: number;
  /** Two columns of amounts whose titles do not say debit and credit. */
  readonly untitled: boolean;
}

const phasePoints = (title: Title): number =>
  (title.phase === 'closing' ? 5 : title.phase === 'opening' ? -8 : title.phase === 'movement' ? -6 : 0) +
  (title.elsewhen ? -9 : 0) +
  (title.noMoney ? -15 : 0) +
  (title.foreign ? -5 : 0) +
  (title.base ? 4 : 0);

/** Days, months or years in titles: the one that is wanted, else the latest, is the one to read. */
const dayPoints = (titles: readonly Title[], title: Title, wanted: IsoDate | undefined): number => {
  if (title.day === undefined) return 0;
  if (wanted !== undefined && (title.day === wanted || (title.day.length < 10 && wanted.startsWith(title.day))))
    return 6;
  // Beside a column of the day that is wanted, the latest is another day's.
  if (wanted !== undefined && titles.some(({ day }) => day === wanted)) return -5;
  const latest = titles
    .flatMap(({ day }) => day ?? [])
    .sort()
    .at(-1);
  // The latest that a table has is still another day's where the paper, or the books, are of a later one.
  return title.day === latest && !(wanted !== undefined && title.day.length === 10 && title.day < wanted) ? 2 : -5;
};

const currencyPoints = (title: Title, currency: Currency | undefined): number => {
  const own = currencyIn(title.text);
  return own === undefined || currency === undefined ? 0 : own === currency ? 3 : -6;
};

const nonNil = (cell: string): boolean => /[1-9]/.test(cell);

/** Of the rows in which either is filled, the share in which both are. */
const together = (rows: readonly Row[], a: number, b: number): number => {
  let [either, both] = [0, 0];
  for (const row of rows) {
    const [left, right] = [nonNil(textOf(row[a])), nonNil(textOf(row[b]))];
    if (left || right) either += 1;
    if (left && right) both += 1;
  }
  return either === 0 ? 1 : both / either;
};

/** Titles of single letters, which mean something only in pairs: debit before credit. */
const LETTER_PAIRS = ['md d', 'd c', 'd k', 'd h', 's h', 't k', 'b a', 'wn ma'];

const lettered = (left: Title, right: Title): boolean =>
  LETTER_PAIRS.includes(`${left.text.split(' ').at(-1) ?? ''} ${right.text.split(' ').at(-1) ?? ''}`.toLowerCase());

/** All ways that the columns leave open, the likeliest first. `wanted` is the day that the balances should be of, ISO. */
export const waysOf = (
  layout: Layout,
  wanted: IsoDate | undefined,
  currency: Currency | undefined,
): readonly LikelyWay[] => {
  const { numbers, sides, titles, sample } = layout;
  const title = (at: number): Title => titles[at] ?? titleOf('');
  const base = currency ?? baseOf(layout);
  // What opens on the day that is wanted is what closed then.
  const phase = (said: Title): number =>
    wanted !== undefined && said.day === wanted ? Math.max(0, phasePoints(said)) : phasePoints(said);
  const own = (at: number): number =>
    phase(title(at)) + dayPoints(titles, title(at), wanted) + currencyPoints(title(at), base);
  const most = numbers.reduce((all, { amounts }) => Math.max(all, amounts), 1);
  const ways: LikelyWay[] = [];
  numbers.forEach((column, place) => {
    const said = title(column.at);
    const before = numbers[place - 1]?.at ?? -1;
    const after = numbers[place + 1]?.at ?? Infinity;
    const beside =
      sides.find(({ at }) => at > column.at && at < after) ?? sides.find(({ at }) => at < column.at && at > before);
    // The only one of the table is that of every column, wherever it stands.
    const side = beside ?? (sides.length === 1 ? sides[0] : undefined);
    // Whole numbers beside amounts with decimals are counts sooner than money; a few of them net to zero by chance.
    const thin =
      column.amounts < most * 0.2
        ? -6
        : column.plain <= 0.95
          ? 0
          : numbers.some((other) => other.plain < 0.2)
            ? -20
            : numbers.some((other) => other.plain < 0.5)
              ? -6
              : 0;
    const alone = own(column.at) + (said.balance ? 3 : 0) + (said.debit !== said.credit ? -6 : 0) - place * 0.3 + thin;
    if (side !== undefined && side.filled > 0)
      ways.push({
        way: { kind: 'sided', at: column.at, side: side.at },
        prior: alone + (beside === undefined ? 2 : 6),
        untitled: false,
      });
    ways.push({
      way: { kind: 'single', at: column.at },
      prior: alone - (beside === undefined ? 0 : 8),
      untitled: false,
    });
    numbers.slice(place + 1, place + 4).forEach((other, step) => {
      const next = title(other.at);
      const named = (said.debit && next.credit) || (step === 0 && lettered(said, next));
      const backwards = said.credit && next.debit;
      const contrary = (said.debit && next.debit) || (said.credit && next.credit);
      if (contrary || (step > 0 && !named && !backwards)) return;
      const both = together(sample, column.at, other.at);
      if (!named && !backwards && (both > 0.15 || said.day !== next.day)) return;
      const gap = step * -4;
      const [debit, credit] = backwards ? [other.at, column.at] : [column.at, other.at];
      const prior =
        Math.min(own(debit), own(credit)) +
        (named || backwards ? 8 : 0) +
        (both <= 0.15 ? 4 : -2) +
        gap -
        place * 0.3 +
        (column.amounts + other.amounts < most * 0.3 ? -6 : 0);
      ways.push({ way: { kind: 'pair', debit, credit, signed: false }, prior, untitled: !(named || backwards) });
      const minus = sample.filter(
        (row) => /^\s*[-(\u2212\u2013]|[-\u2212]\s*$/.test(textOf(row[credit])) && nonNil(textOf(row[credit])),
      ).length;
      if (minus * 2 > sample.filter((row) => nonNil(textOf(row[credit]))).length)
        ways.push({ way: { kind: 'pair', debit, credit, signed: true }, prior: prior + 2, untitled: false });
    });
  });
  return ways.sort((a, b) => b.prior - a.prior);
};

const baseOf = (layout: Layout): Currency | undefined => {
  const at = layout.roles.indexOf('currency');
  return at < 0 ? undefined : commonCurrency(layout.sample, at);
};

const MOST_RELATED = 12;
/** Points between a column that is called closing and one that is called opening, at least. */
const APART = 8;
const LOOKED_AT = 400;

/**
 * Ways whose amounts are what two others come to together (opening and movement make closing; last year and the change make
 * this year), row by row: the sum is the one to read, the parts are not. Points for each way, in their order.
 */
export const relationPoints = (
  ways: readonly LikelyWay[],
  values: (way: Way) => Values,
  rows: readonly number[],
): readonly number[] => {
  const points = ways.map(() => 0);
  const tried = ways.slice(0, MOST_RELATED).map(({ way }) => values(way).raw);
  const some = rows.slice(0, LOOKED_AT);
  const isSum = (sum: number, left: number, right: number): boolean => {
    const [s, l, r] = [tried[sum], tried[left], tried[right]];
    if (s === undefined || l === undefined || r === undefined) return false;
    let [both, wrong] = [0, 0];
    for (const row of some) {
      const [a, b, c] = [s[row] ?? 0n, l[row] ?? 0n, r[row] ?? 0n];
      if (a !== b + c) {
        wrong += 1;
        if (wrong * 50 > some.length) return false;
      } else if (b !== 0n && c !== 0n && a !== 0n) both += 1;
    }
    // What adjusts a few rows is told by all of them: nothing else makes two columns the same but there.
    return (both >= 4 && both * 10 >= some.length) || (wrong === 0 && both >= 2 && some.length >= 6);
  };
  // A balance beside the turnovers that make it is the one to read; one that repeats a column of the pair is not needed.
  ways.slice(0, MOST_RELATED).forEach(({ way }, at) => {
    if (way.kind !== 'pair' || way.signed) return;
    const gross = some.filter((row) => values(way).debit[row] !== 0n && values(way).credit[row] !== 0n).length;
    ways.slice(0, MOST_RELATED).forEach((other, place) => {
      if (other.way.kind === 'pair' || [way.debit, way.credit].includes(other.way.at)) return;
      const [own, its] = [tried[at], tried[place]];
      if (own === undefined || its === undefined) return;
      const same = some.filter((row) => own[row] === its[row]).length;
      if (same * 50 < some.length * 49 || some.filter((row) => its[row] !== 0n).length < 4) return;
      const better = gross * 20 > some.length ? place : at;
      points[better] = (points[better] ?? 0) + 8;
    });
  });
  const columns = (way: Way): readonly number[] => (way.kind === 'pair' ? [way.debit, way.credit] : [way.at]);
  // What is one half of a pair has no meaning by itself: a debit is always the balance and the credit together.
  const paired = new Set(
    ways.flatMap(({ way, untitled }) => (way.kind === 'pair' && !untitled ? [way.debit, way.credit] : [])),
  );
  const isHalf = (at: number): boolean => {
    const way = ways[at]?.way;
    return way !== undefined && way.kind !== 'pair' && paired.has(way.at);
  };
  tried.forEach((_, sum) => {
    if (isHalf(sum)) return;
    for (let left = 0; left < tried.length; left += 1)
      for (let right = left + 1; right < tried.length; right += 1) {
        if (left === sum || right === sum || isHalf(left) || isHalf(right)) continue;
        const used = [sum, left, right].flatMap((at) => columns(ways[at]?.way ?? { kind: 'single', at: -1 }));
        if (new Set(used).size < used.length || !isSum(sum, left, right)) continue;
        const single = [left, right].filter((at) => ways[at]?.way.kind !== 'pair');
        const [other] = single;
        // With credits as a plus, the opening is what the closing and the turnovers come to: titles tell them apart.
        const turned =
          single.length === 1 && other !== undefined && (ways[other]?.prior ?? 0) >= (ways[sum]?.prior ?? 0) + APART;
        const read = turned ? other : sum;
        points[read] = Math.max(points[read] ?? 0, 12);
        for (const part of [sum, left, right]) if (part !== read) points[part] = Math.min(points[part] ?? 0, -6);
      }
  });
  // Departments, branches or months beside what they come to together.
  const alone = tried.flatMap((_, at) => (ways[at]?.way.kind === 'single' && !isHalf(at) ? [at] : []));
  if (alone.length < FEWEST_BRANCHES + 1) return points;
  const together = new Map(some.map((row) => [row, alone.reduce((sum, at) => sum + (tried[at]?.[row] ?? 0n), 0n)]));
  for (const sum of alone) {
    const of = (row: number): bigint => tried[sum]?.[row] ?? 0n;
    const meets = some.filter((row) => (together.get(row) ?? 0n) === 2n * of(row));
    const several = meets.filter(
      (row) => of(row) !== 0n && alone.filter((at) => at !== sum && tried[at]?.[row] !== 0n).length > 1,
    );
    if (meets.length * 50 < some.length * 49 || several.length < 4) continue;
    for (const at of alone) points[at] = at === sum ? Math.max(points[at] ?? 0, 12) : Math.min(points[at] ?? 0, -6);
  }
  return points;
};

/** Of the rows that tell a sign, so many have to tell the same one. */
const TELLS = 0.95;

/**
 * What a plus in a column of balances means, by the turnovers beside it: debits less credits, and maybe another balance, come to it row by
 * row, or to its opposite. Undefined where no columns that are called debit and credit tell it.
 */
export const signByTurnovers = (
  way: Way,
  ways: readonly LikelyWay[],
  values: (way: Way) => Values,
  rows: readonly number[],
): 'debit-positive' | 'credit-positive' | undefined => {
  if (way.kind !== 'single') return undefined;
  const some = rows.slice(0, LOOKED_AT);
  const own = values(way).raw;
  const near = ways.slice(0, MOST_RELATED);
  const before = near.flatMap((one) => (one.way.kind === 'single' && one.way.at !== way.at ? [one.way] : []));
  for (const { way: pair, untitled } of near) {
    if (pair.kind !== 'pair' || pair.signed || untitled || pair.debit === way.at || pair.credit === way.at) continue;
    const turnover = values(pair).raw;
    for (const other of [undefined, ...before]) {
      if (other !== undefined && (other.at === pair.debit || other.at === pair.credit)) continue;
      const from = other === undefined ? undefined : values(other).raw;
      let [plus, minus, told] = [0, 0, 0];
      for (const row of some) {
        const moved = turnover[row] ?? 0n;
        const change = (own[row] ?? 0n) - (from?.[row] ?? 0n);
        if (moved === 0n && change === 0n) continue;
        told += 1;
        if (change === moved) plus += 1;
        if (change === -moved) minus += 1;
      }
      if (told < 3) continue;
      if (plus >= told * TELLS && minus === 0) return 'debit-positive';
      if (minus >= told * TELLS && plus === 0) return 'credit-positive';
    }
  }
  return undefined;
};

/** So many branches beside their sum: of fewer, opening, movement and closing are told apart above. */
const FEWEST_BRANCHES = 3;

/** The roles of a layout's columns under a way. */
export const rolesUnder = (layout: Layout, way: Way): readonly ColumnRole[] => {
  const roles = [...layout.roles];
  if (way.kind === 'pair') {
    if (way.debit >= 0) roles[way.debit] = 'debit';
    if (way.credit >= 0) roles[way.credit] = 'credit';
  } else {
    roles[way.at] = 'balance';
    if (way.kind === 'sided') roles[way.side] = 'side';
    const foreign = foreignBeside(layout, way.at);
    if (foreign !== undefined) roles[foreign] = 'foreign';
  }
  return roles;
};

/**
 * The column of amounts in each account's own currency beside the one read: titled so, or equal to it wherever the account is in
 * the currency of the books.
 */
const foreignBeside = (layout: Layout, at: number): number | undefined => {
  const currency = layout.roles.indexOf('currency');
  if (currency < 0) return undefined;
  const base = commonCurrency(layout.sample, currency);
  const others = layout.numbers.filter((column) => column.at !== at && layout.roles[column.at] === 'ignore');
  const titled = others.find((column) => layout.titles[column.at]?.foreign === true);
  if (titled !== undefined) return titled.at;
  return others.find((column) => {
    const rows = layout.sample.filter((row) => textOf(row[column.at]) !== '' && textOf(row[at]) !== '');
    const home = rows.filter((row) => textOf(row[currency]).toUpperCase() === base);
    const away = rows.filter((row) => textOf(row[currency]).toUpperCase() !== base && textOf(row[currency]) !== '');
    const equal = (list: readonly Row[]): number =>
      list.filter((row) => textOf(row[column.at]) === textOf(row[at])).length;
    return away.length > 0 && home.length > 0 && equal(home) > home.length * 0.9 && equal(away) < away.length * 0.5;
  })?.at;
};

/** The way that the columns of a reading are read. */
export const wayUnder = (columns: readonly ColumnRole[], signed: boolean): Way => {
  const [debit, credit, balance, side] = (['debit', 'credit', 'balance', 'side'] as const).map((role) =>
    columns.indexOf(role),
  );
  if ((debit ?? -1) >= 0 || (credit ?? -1) >= 0)
    return { kind: 'pair', debit: debit ?? -1, credit: credit ?? -1, signed };
  return (side ?? -1) >= 0
    ? { kind: 'sided', at: balance ?? -1, side: side ?? -1 }
    : { kind: 'single', at: balance ?? -1 };
};
