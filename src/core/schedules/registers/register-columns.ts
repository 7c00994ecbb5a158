import { folded } from '../../base/folded';
import { type Row, textOf } from '../../base/table';
import { divideRounded, magnitude } from '../../money/rounding';
import { scaleIn } from '../../papers/units';
import { type Content, contentOf } from '../list-columns';
import { monthOf } from './register-days';
import { IN_MONTHS } from '../life';
import { unitBehind } from './unit-behind';
import type { Lexicon } from '../../words/lexicon';
import {
  BORN,
  METHOD_CALLED,
  PAID,
  REGISTER_WORDS,
  type RegisterKind,
  type RegisterRole,
  STILL_OWED,
} from './register-words';

/** Decimals in which the figures of a list are compared before anything is known of it. */
export const FINEST = 6;

/** The figures of a row by its columns, in units of `FINEST` decimals; undefined where a cell holds none. */
export type Figures = readonly (bigint | undefined)[];

const DAYS: ReadonlySet<RegisterRole> = new Set(['acquired', 'counted', 'date', 'from', 'to', 'begun', 'last']);
const FIGURES: ReadonlySet<RegisterRole> = new Set([
  'life',
  'rate',
  'residual',
  'costBefore',
  'netBefore',
  'additions',
  'disposals',
  'cost',
  'brought',
  'charge',
  'depreciation',
  'net',
  'quantity',
  'unitCost',
  'value',
  'price',
  'writeDown',
  'instalment',
  'interest',
  'principal',
  'outstanding',
  'before',
  'fee',
  'amount',
  'used',
  'remaining',
  'monthly',
  'months',
  'lent',
  'within',
]);
/** Columns whose sums a list prints. */
const MONEY: Readonly<Record<RegisterKind, readonly RegisterRole[]>> = {
  assets: ['cost', 'brought', 'charge', 'depreciation', 'net'],
  stock: ['value'],
  loans: ['instalment', 'interest', 'principal', 'outstanding'],
  prepayments: ['amount', 'used', 'remaining'],
  borrowings: ['lent', 'instalment', 'outstanding', 'within'],
  holdings: ['value'],
  returns: ['amount'],
};

export const isMoneyRole = (kind: RegisterKind, role: RegisterRole): boolean => MONEY[kind].includes(role);
/** Amounts beside those: they are read alike, and no list sums them up. */
const BESIDE: ReadonlySet<RegisterRole> = new Set([
  'residual',
  'writeDown',
  'net',
  'fee',
  'before',
  'costBefore',
  'netBefore',
  'additions',
  'disposals',
]);
export const isAmountRole = (kind: RegisterKind, role: RegisterRole): boolean =>
  MONEY[kind].includes(role) || BESIDE.has(role);
export const isDayRole = (role: RegisterRole): boolean => DAYS.has(role);

/** How well a column's name is one of a role: 3 where it is exactly that, less where it is in it. */
const named = (kind: RegisterKind, role: RegisterRole, name: string): number => {
  const own = (REGISTER_WORDS[kind] as Partial<Record<RegisterRole, (typeof REGISTER_WORDS)['assets']['code']>>)[role];
  if (own === undefined || name === '' || name.length > 60) return 0;
  // "< 1 yr" and "> 1 yr" are told apart by their marks.
  const marked = name.replace(/[<≤]/gu, ' up to ').replace(/[>≥]/gu, ' over ');
  const plain = folded(marked);
  // "DueDate" is two words, and "AfA" is one.
  const words = folded(marked.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2'));
  // Of stock, a share is that by which something is written down; margins and taxes are shares too.
  if (name.includes('%'))
    return role === 'rate' && (kind !== 'stock' || REGISTER_WORDS.stock.writeDown.in(words) !== undefined) ? 3 : 0;
  if (own.is(words) || own.is(plain)) return 3;
  // What stands in brackets says more of the same: "Cost (EUR)", "Life (yrs)".
  if (own.is(folded(name.replace(/[([].*/u, '')))) return 2.8;
  const found = own.in(words) ?? own.in(plain);
  if (found !== undefined) return 1 + found.length / words.length;
  // A column of months or years is of lives.
  return role === 'life' && IN_MONTHS.in(words) !== undefined ? 2 : 0;
};

const rolesIn = (kind: RegisterKind): readonly RegisterRole[] => Object.keys(REGISTER_WORDS[kind]) as RegisterRole[];

/** How well a text names any column of a list of the kind. */
export const bestOf =
  (kind: RegisterKind) =>
  (name: string): number =>
    Math.max(...rolesIn(kind).map((role) => named(kind, role, name)));

/** Whether what is in a column may be what its name says. */
const fits = (role: RegisterRole, content: Content, figures: number, months: number): boolean => {
  if (content.filled === 0) return role !== 'code' && role !== 'name';
  if (role === 'disposed') return content.fractions < 0.3;
  if (role === 'period') return content.length >= (content.dates < 0.5 ? 10 : 14) && figures < 0.3;
  if (DAYS.has(role)) return content.dates + content.compact >= 0.6 || months >= 0.6;
  if (role === 'life') return content.dates < 0.3 && content.fractions < 0.9;
  if (role === 'rate') return content.dates < 0.3;
  // What is paid back otherwise says so in words.
  if (FIGURES.has(role)) return figures >= (role === 'instalment' ? 0.3 : 0.6) && content.dates < 0.3;
  // A class comes again; what is another in each row is the thing's own code.
  if (role === 'group')
    return content.dates < 0.3 && content.fractions < 0.3 && (content.distinct <= 0.8 || content.filled < 4);
  // "01/02/26 - 30/04/26" is no day.
  if (role === 'taxPeriod') return content.dates < 0.5 || content.length >= 14;
  if (role === 'number') return content.dates < 0.3 && content.fractions < 0.2;
  if (role === 'code')
    return content.dates < 0.5 && content.fractions < 0.3 && (content.codes >= 0.4 || content.marks >= 0.8);
  if (role === 'name') return content.dates < 0.3 && figures < 0.7 && content.spaced >= 0.3;
  if (role === 'unit') return content.dates < 0.3 && content.fractions < 0.3 && content.length <= 12;
  return content.dates < 0.5;
};

/** Where columns of figures stand that belong together. */
type Places = Readonly<Partial<Record<RegisterRole, number>>>;

const at = (row: Figures, column: number | undefined): bigint | undefined =>
  column === undefined ? undefined : row[column];

/** How many pieces a price is for, where a column says ten, a hundred, a thousand or so; in whole pieces. */
const pieces = (figure: bigint | undefined): bigint | undefined => {
  const whole = figure === undefined ? 0n : figure / 10n ** BigInt(FINEST);
  return [10n, 100n, 1000n, 10_000n].includes(whole) ? whole : undefined;
};

/** A share of the rows in which something can be told and holds. */
const share = (tests: readonly (boolean | undefined)[]): number => {
  const told = tests.filter((one) => one !== undefined);
  return told.length < 1 ? 0 : told.filter(Boolean).length / told.length;
};

/** Row by row, whether what is owed goes down by what is repaid: its column is of what is owed after each payment, or before it. */
const fallsIn = (
  rows: readonly Figures[],
  places: Places,
  when: 'before' | 'after',
): readonly (boolean | undefined)[] =>
  rows.map((row, place) => {
    const above = rows[place - 1] ?? [];
    const [stood, stands, repaid] = [
      at(above, places.outstanding),
      at(row, places.outstanding),
      at(when === 'after' ? row : above, places.principal),
    ];
    if (stood === undefined || stands === undefined || repaid === undefined) return undefined;
    return stood - repaid === stands || stood + repaid === stands;
  });

/**
 * How well the columns of a list bear each other out, from 0 to 1: cost less depreciation is the book value, quantity times cost the
 * value, interest and principal the instalment and the balance goes down by the principal, amount less what is used what remains.
 */
export const bearsOut = (kind: RegisterKind, places: Places, rows: readonly Figures[], unit: bigint): number => {
  switch (kind) {
    case 'assets':
      return share(
        rows.map((row) => {
          const [stood, net] = [at(row, places.cost), at(row, places.net)];
          const moved = (at(row, places.additions) ?? 0n) - magnitude(at(row, places.disposals) ?? 0n);
          const parts =
            places.depreciation === undefined
              ? [at(row, places.brought), at(row, places.charge)]
              : [at(row, places.depreciation)];
          const written = parts.filter((one) => one !== undefined);
          const cost = stood === undefined ? undefined : stood + moved;
          if (cost === undefined || net === undefined || (written.length === 0 && cost === net)) return undefined;
          const sum = written.reduce((all, one) => all + one, 0n);
          // What was disposed of may stand with its cost and nothing left.
          return net === 0n && magnitude(cost) !== magnitude(sum)
            ? undefined
            : cost - sum === net || (cost * sum < 0n && cost + sum === net);
        }),
      );
    case 'stock':
    case 'holdings':
      return share(
        rows.map((row) => {
          const [quantity, cost, value] = [at(row, places.quantity), at(row, places.unitCost), at(row, places.value)];
          if (quantity === undefined || cost === undefined || value === undefined || value === 0n) return undefined;
          const worth = divideRounded(quantity * cost, 10n ** BigInt(FINEST));
          if (magnitude(worth - value) <= unit) return true;
          // Prices may be for so many pieces.
          const per = pieces(at(row, places.unit));
          return (
            per !== undefined && magnitude(divideRounded(quantity * cost, 10n ** BigInt(FINEST) * per) - value) <= unit
          );
        }),
      );
    case 'loans': {
      const parts = rows.map((row) => {
        const [whole, interest, principal] = [
          at(row, places.instalment),
          at(row, places.interest),
          at(row, places.principal),
        ];
        if (whole === undefined || interest === undefined || principal === undefined) return undefined;
        return whole !== 0n && interest + principal + (at(row, places.fee) ?? 0n) === whole;
      });
      const falls = (['after', 'before'] as const).map((when) => fallsIn(rows, places, when));
      const told = [parts, falls.find((tests) => share(tests) >= 0.8) ?? falls[0] ?? []].filter((tests) =>
        tests.some((one) => one !== undefined),
      );
      return told.length === 0 ? 0 : told.reduce((all, tests) => all + share(tests), 0) / told.length;
    }
    case 'borrowings':
    case 'returns':
      return 0;
    case 'prepayments':
      return share(
        rows.map((row) => {
          const [whole, used, left] = [at(row, places.amount), at(row, places.used), at(row, places.remaining)];
          if (whole === undefined || left === undefined) return undefined;
          // What remains is a part of the whole, and never more.
          if (used === undefined)
            return places.used === undefined && magnitude(left) <= magnitude(whole) && left > 0n === whole > 0n;
          return whole - used === left;
        }),
      );
  }
};

/** The columns whose figures bear each other out, in the order in which lists usually have them. */
const EQUATION: Readonly<Record<RegisterKind, readonly (readonly RegisterRole[])[]>> = {
  assets: [
    ['cost', 'depreciation', 'net'],
    ['cost', 'brought', 'charge', 'net'],
  ],
  stock: [['quantity', 'unitCost', 'value']],
  loans: [['instalment', 'interest', 'principal', 'outstanding']],
  prepayments: [
    ['amount', 'used', 'remaining'],
    ['amount', 'remaining'],
  ],
  holdings: [['quantity', 'unitCost', 'value']],
  // Of a loan, and of a return, nothing follows from another figure of its row.
  borrowings: [],
  returns: [],
};

/** Every way to put `roles` into `columns`, each in one. */
const waysOf = (roles: readonly RegisterRole[], columns: readonly number[]): readonly Places[] => {
  const [role, ...rest] = roles;
  if (role === undefined) return [{}];
  return columns.flatMap((column) =>
    waysOf(
      rest,
      columns.filter((other) => other !== column),
    ).map((places) => ({ ...places, [role]: column })),
  );
};

/** Where so many cells name a method, they are of methods. */
const MOSTLY_METHODS = 0.6;

/** More columns of figures are not tried out against each other. */
const MOST_TRIED = 9;
/** What arithmetic that holds weighs beside the names of the columns that it is of. */
const HOLDS = 6;

/** Columns beside those of an equation that it takes in as they are named. */
const TAKEN_IN: Readonly<Partial<Record<RegisterKind, readonly RegisterRole[]>>> = { stock: ['unit'], loans: ['fee'] };
/** Of several amounts, the one that is meant, by what it is called. */
const MEANT: Readonly<
  Partial<Record<RegisterKind, { readonly role: RegisterRole; readonly words: Pick<Lexicon, 'is'> }>>
> = {
  holdings: { role: 'value', words: PAID },
  returns: { role: 'amount', words: STILL_OWED },
};
/** What a cost at the year's start became by. */
const MOVES: readonly RegisterRole[] = ['additions', 'disposals'];

export interface Columns {
  readonly roles: readonly (RegisterRole | undefined)[];
  /** Columns of what an article is sold for: one, or one for each price level. */
  readonly prices: readonly number[];
  /** How well their names say so, and their figures bear each other out. */
  readonly names: number;
  readonly holds: number;
}

/**
 * What the columns of a list are: by their names where what is in them fits, and by which of their figures bear each other out. Names
 * that the figures gainsay give way.
 */
export const columnsOf = (
  kind: RegisterKind,
  names: readonly string[],
  body: readonly Row[],
  figures: readonly Figures[],
  unit: bigint,
  /** What price levels are called where the list goes. */
  levels: readonly string[] = [],
): Columns => {
  const contents = names.map((_, column): Content => {
    const texts = body.map((row) => textOf(row[column]));
    // An amount is one also with how often it is paid behind it.
    const { fractions } = contentOf(texts.map((text) => unitBehind(text).figure));
    return { ...contentOf(texts), fractions };
  });
  const filled = names.map((_, column) => figures.filter((row) => row[column] !== undefined).length);
  const inFigures = contents.map((content, column) =>
    content.filled === 0 ? 0 : (filled[column] ?? 0) / content.filled,
  );
  const months = names.map((_, column) => {
    const texts = body.map((row) => textOf(row[column])).filter((text) => text !== '');
    return texts.length === 0 ? 0 : texts.filter((text) => monthOf(text) !== undefined).length / texts.length;
  });
  // "Linear" is how a thing is written off, whatever its column is called.
  const methods = names.map((_, column) => {
    const texts = body.map((row) => folded(textOf(row[column]))).filter((text) => text !== '');
    const said = texts.filter((text) => Object.values(METHOD_CALLED).some((called) => called.is(text)));
    return texts.length === 0 ? 0 : said.length / texts.length;
  });
  const roles: (RegisterRole | undefined)[] = names.map(() => undefined);
  // The amounts of a list are written alike: beside some with decimals, a column without any counts something else.
  const decimals = unit < 10n ** BigInt(FINEST) && contents.some(({ fractions }) => fractions >= 0.8);
  const isAmount = (column: number): boolean =>
    !decimals || (contents[column]?.fractions ?? 0) >= 0.5 || scaleIn(names[column] ?? '') !== undefined;
  const offers = names
    .flatMap((name, column) =>
      rolesIn(kind).flatMap((role) => {
        const content = contents[column];
        const score = named(kind, role, name);
        if (role === 'group' && kind === 'assets' && (methods[column] ?? 0) >= MOSTLY_METHODS) return [];
        const alike = !MONEY[kind].includes(role) || content?.filled === 0 || isAmount(column);
        return score > 0 &&
          content !== undefined &&
          alike &&
          fits(role, content, inFigures[column] ?? 0, months[column] ?? 0)
          ? [{ column, role, score }]
          : [];
      }),
    )
    .sort((one, other) => other.score - one.score || one.column - other.column);
  const give = (role: RegisterRole, column: number | undefined): void => {
    if (column !== undefined && column >= 0 && roles[column] === undefined && !roles.includes(role))
      roles[column] = role;
  };
  for (const { column, role } of offers) give(role, column);
  if (kind === 'assets')
    give(
      'method',
      methods.findIndex((share, column) => roles[column] === undefined && share >= MOSTLY_METHODS),
    );
  // "Item" beside "Description" is what the thing is known by, whatever it looks like.
  const nameAt = roles.indexOf('name');
  const described = offers.find(
    ({ column, role, score }) => role === 'name' && score >= 2.8 && roles[column] === undefined,
  );
  const known =
    !roles.includes('code') &&
    (contents[nameAt]?.distinct ?? 0) >= 0.95 &&
    named(kind, 'code', names[nameAt] ?? '') >= 2.8;
  if (described !== undefined && known) [roles[nameAt], roles[described.column]] = ['code', 'name'];

  // Which columns of figures belong together is tried out, and the names weigh in.
  const numeric = names.flatMap((_, column) => {
    const role = roles[column];
    const started =
      role === 'netBefore' ||
      (role === 'costBefore' && !roles.includes('cost')) ||
      // "Valore residuo" is what is left of the cost now, where nothing else is.
      (role === 'residual' && !roles.includes('net'));
    const other =
      role !== undefined &&
      !started &&
      !EQUATION[kind].some((of) => of.includes(role)) &&
      (offers.find((one) => one.column === column)?.score ?? 0) >= 2;
    return (filled[column] ?? 0) > 0 &&
      (inFigures[column] ?? 0) >= 0.6 &&
      (contents[column]?.dates ?? 0) < 0.3 &&
      !other
      ? [column]
      : [];
  });
  const scoreOf = (places: Places): number =>
    Object.entries(places).reduce(
      (sum, [role, column]) => sum + Math.min(3, named(kind, role as RegisterRole, names[column] ?? '')) / 2,
      0,
    );
  const settled = roles.flatMap((role, column) => (role === undefined ? [] : [[role, column] as const]));
  const placed = (some: readonly RegisterRole[]): Places =>
    Object.fromEntries(some.flatMap((role) => (roles.includes(role) ? [[role, roles.indexOf(role)] as const] : [])));
  const said = Object.fromEntries(settled.filter(([role]) => EQUATION[kind].some((of) => of.includes(role)))) as Places;
  /** The ways to read the columns that bear each other out, beside some that are what they are called. */
  const tried = (beside: Places): { readonly places: Places; readonly holds: number; readonly score: number } => {
    const named = { ...said, ...beside };
    const first = bearsOut(kind, named, figures, unit);
    let best = { places: named, holds: first, score: first * HOLDS + scoreOf(named) };
    const whole = EQUATION[kind].some((of) => of.every((role) => said[role] !== undefined));
    if (numeric.length > MOST_TRIED || (first >= 0.95 && whole)) return best;
    for (const wanted of EQUATION[kind])
      for (const places of waysOf(wanted, numeric)) {
        if (wanted.some((role) => MONEY[kind].includes(role) && !isAmount(places[role] ?? -1))) continue;
        const all = { ...places, ...beside };
        const holds = bearsOut(kind, all, figures, unit);
        if (holds < 0.6) continue;
        // Of columns in their usual order each is to the right of the one before.
        const order = wanted.filter((role, place) => place > 0 && (places[role] ?? 0) > (places[wanted[place - 1] ?? role] ?? 0)).length; // prettier-ignore
        const score = holds * HOLDS + scoreOf(all) + order * 0.1 + (wanted.length > 2 ? 0.5 : 0);
        if (score > best.score) best = { places: all, holds, score };
      }
    return best;
  };
  const standing = tried(placed(TAKEN_IN[kind] ?? []));
  // What a thing had cost when the year began, and what came and went in it, where that bears out more than its cost alone.
  const moves = placed(MOVES);
  const moved = Object.keys(moves).length === 0 ? standing : tried(moves);
  const isMoved = moved.holds > standing.holds;
  const best = isMoved ? moved : standing;
  for (const [column, role] of roles.entries())
    if (role !== undefined && EQUATION[kind].some((of) => of.includes(role))) roles[column] = undefined;
  // Beside a column that is called cost, what the movements lead from is the book value when the year began.
  const started = isMoved || named(kind, 'netBefore', names[best.places.cost ?? -1] ?? '') >= 2;
  const cost = started
    ? offers.find(({ column, role, score }) => role === 'cost' && score >= 2.8 && column !== best.places.cost)
    : undefined;
  const renamed: Readonly<Partial<Record<string, RegisterRole>>> =
    cost !== undefined ? { cost: 'netBefore', depreciation: 'charge' } : isMoved ? { cost: 'costBefore' } : {};
  for (const [role, column] of Object.entries(best.places)) roles[column] = renamed[role] ?? (role as RegisterRole);
  if (cost !== undefined) roles[cost.column] = 'cost';
  // Shares times nominal is what is called, and what a return is of may be paid in part: a column that says what is meant goes before.
  const meant = MEANT[kind];
  const saying = meant && offers.find(({ column, role, score }) => role === meant.role && score >= 2.8 && meant.words.is(folded(names[column] ?? ''))); // prettier-ignore
  if (saying !== undefined) {
    const other = roles.indexOf(saying.role);
    if (other >= 0) roles[other] = undefined;
    roles[saying.column] = saying.role;
  }

  // What is written off by the last day may stand beside what was when the year began and what came to it and went.
  const [costAt, netAt] = [roles.indexOf('cost'), roles.indexOf('net')];
  if (kind === 'assets' && !roles.includes('depreciation') && costAt >= 0 && netAt >= 0)
    give(
      'depreciation',
      names.findIndex((name, column) => {
        const told = figures.map((row) => [row[costAt], row[column], row[netAt]] as const);
        const written = told.filter(([, one]) => one !== undefined && one !== 0n);
        return (
          roles[column] === undefined &&
          (['depreciation', 'brought', 'charge'] as const).some((role) => named(kind, role, name) > 0) &&
          written.length > 1 &&
          told.every(([cost = 0n, one = 0n, net = 0n]) => magnitude(cost) - magnitude(one) === magnitude(net))
        );
      }),
    );

  // What is owed before each payment is no balance after it.
  if (kind === 'loans' && !roles.includes('before')) {
    const [after, before] = (['after', 'before'] as const).map((when) => share(fallsIn(figures, best.places, when)));
    const outstanding = roles.indexOf('outstanding');
    if ((before ?? 0) > (after ?? 0) && outstanding >= 0) roles[outstanding] = 'before';
  }

  // What no name tells: a code is another in each row, a name has the longest words.
  const free = (is: (content: Content, column: number) => boolean): number[] =>
    contents.flatMap((content, column) =>
      roles[column] === undefined && content.filled > 0 && is(content, column) ? [column] : [],
    );
  const texts = free((content, column) => content.spaced >= 0.5 && content.dates < 0.3 && (inFigures[column] ?? 0) < 0.5); // prettier-ignore
  // Whoever lends or holds stands in words, whatever their column is called.
  const whose = kind === 'borrowings' ? 'lender' : kind === 'holdings' ? 'holder' : undefined;
  if (whose !== undefined)
    give(whose, free((content, column) => content.dates < 0.3 && content.codes < 0.4 && (inFigures[column] ?? 0) < 0.3)[0]); // prettier-ignore
  if (kind !== 'loans')
    give(
      'name',
      texts.reduce((longest, column) => {
        const weight = (one: number): number => (contents[one]?.length ?? 0) * (contents[one]?.distinct ?? 0);
        return longest < 0 || weight(column) > weight(longest) ? column : longest;
      }, -1),
    );
  // Behind the amounts stands where a thing is, or what else is said of it.
  const money = roles.findIndex((role) => role !== undefined && isMoneyRole(kind, role));
  if (kind !== 'loans')
    give(
      'code',
      free(
        (content, column) =>
          (money < 0 || column < money) &&
          content.marks >= 0.8 &&
          content.distinct >= 0.95 &&
          content.dates < 0.3 &&
          content.fractions < 0.3 &&
          // How long something lasts is nobody's code.
          REGISTER_WORDS.assets.life.in(folded((names[column] ?? '').replace(/[([].*/u, ''))) === undefined,
      )[0],
    );
  for (const role of rolesIn(kind).filter((one) => DAYS.has(one)))
    give(
      role,
      free(
        (content, column) =>
          (content.dates >= 0.8 || (months[column] ?? 0) >= 0.8) && BORN.in(folded(names[column] ?? '')) === undefined,
      )[0],
    );
  // A share is told by its cells where its name does not.
  if (kind === 'stock')
    give(
      'rate',
      names.findIndex((name, column) => {
        const texts = body.map((row) => textOf(row[column])).filter((text) => text !== '');
        const shares = texts.filter((text) => text.endsWith('%')).length;
        return (
          roles[column] === undefined &&
          shares > texts.length * 0.8 &&
          REGISTER_WORDS.stock.writeDown.in(folded(name)) !== undefined
        );
      }),
    );
  // What is left of the value of stock, beside the value itself, says what is written down where nothing else does.
  if (kind === 'stock' && roles.includes('value') && !roles.includes('writeDown') && !roles.includes('rate'))
    give(
      'net',
      names.findIndex(
        (name, column) =>
          roles[column] === undefined &&
          (inFigures[column] ?? 0) >= 0.6 &&
          REGISTER_WORDS.assets.net.in(folded(name)) !== undefined,
      ),
    );
  const isLevel = new Set(levels.map(folded));
  const prices =
    kind !== 'stock'
      ? []
      : names.flatMap((name, column) =>
          roles[column] === 'price' ||
          (roles[column] === undefined &&
            (inFigures[column] ?? 0) >= 0.6 &&
            (contents[column]?.dates ?? 0) < 0.3 &&
            (isLevel.has(folded(name)) || offers.some((one) => one.column === column && one.role === 'price')))
            ? [column]
            : [],
        );
  return {
    roles,
    prices,
    names: names.reduce(
      (sum, name, column) => sum + (roles[column] === undefined ? 0 : named(kind, roles[column], name)),
      0,
    ),
    holds: best.holds,
  };
};
