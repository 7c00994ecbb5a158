import { folded } from '../../base/folded';
import { type Row, textOf } from '../../base/table';
import { magnitude } from '../../money/rounding';
import { scaleIn } from '../../papers/units';
import { type Content, contentOf } from '../list-columns';
import { monthOf } from './register-days';
import { FIGURES, MONEY, isDayRole, isMoneyRole, named, rolesIn } from './register-roles';
import { EQUATION, FINEST, type Figures, type Places, bearsOut, fallsIn, share, waysOf } from './register-sums';
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

/** Whether what is in a column may be what its name says. */
const fits = (role: RegisterRole, content: Content, figures: number, months: number): boolean => {
  if (content.filled === 0) return role !== 'code' && role !== 'name';
  if (role === 'disposed') return content.fractions < 0.3;
  if (role === 'period') return content.length >= (content.dates < 0.5 ? 10 : 14) && figures < 0.3;
  if (isDayRole(role)) return content.dates + content.compact >= 0.6 || months >= 0.6;
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

/** What a column may be by its name, and how well that says so. */
interface Offer {
  readonly column: number;
  readonly role: RegisterRole;
  readonly score: number;
}

/** The columns of a list while it is told what they are: what is in each, and the roles that are found, which each step adds to. */
interface Telling {
  readonly kind: RegisterKind;
  readonly names: readonly string[];
  readonly body: readonly Row[];
  readonly figures: readonly Figures[];
  readonly unit: bigint;
  readonly contents: readonly Content[];
  /** Rows with a figure in a column, and their share of those that have anything there. */
  readonly filled: readonly number[];
  readonly inFigures: readonly number[];
  /** Shares of cells that hold a month, and that name a way to write off. */
  readonly months: readonly number[];
  readonly methods: readonly number[];
  /** The best first. */
  readonly offers: readonly Offer[];
  readonly roles: (RegisterRole | undefined)[];
}

/** The amounts of a list are written alike: beside some with decimals, a column without any counts something else. */
const isAmount = ({ names, contents, unit }: Pick<Telling, 'names' | 'contents' | 'unit'>, column: number): boolean => {
  const decimals = unit < 10n ** BigInt(FINEST) && contents.some(({ fractions }) => fractions >= 0.8);
  return !decimals || (contents[column]?.fractions ?? 0) >= 0.5 || scaleIn(names[column] ?? '') !== undefined;
};

/** What each column may be by its name, as far as what is in it fits. */
const offersOf = (seen: Omit<Telling, 'offers' | 'roles'>): readonly Offer[] => {
  const { kind, names, contents, inFigures, months, methods } = seen;
  return names
    .flatMap((name, column) =>
      rolesIn(kind).flatMap((role) => {
        const content = contents[column];
        const score = named(kind, role, name);
        if (role === 'group' && kind === 'assets' && (methods[column] ?? 0) >= MOSTLY_METHODS) return [];
        const alike = !MONEY[kind].includes(role) || content?.filled === 0 || isAmount(seen, column);
        return score > 0 &&
          content !== undefined &&
          alike &&
          fits(role, content, inFigures[column] ?? 0, months[column] ?? 0)
          ? [{ column, role, score }]
          : [];
      }),
    )
    .sort((one, other) => other.score - one.score || one.column - other.column);
};

const begun = (
  kind: RegisterKind,
  names: readonly string[],
  body: readonly Row[],
  figures: readonly Figures[],
  unit: bigint,
): Telling => {
  const shareOf = (texts: readonly string[], is: (text: string) => boolean): number => {
    const told = texts.filter((text) => text !== '');
    return told.length === 0 ? 0 : told.filter(is).length / told.length;
  };
  const columns = names.map((_, column) => body.map((row) => textOf(row[column])));
  const contents = columns.map((texts): Content => {
    // An amount is one also with how often it is paid behind it.
    const { fractions } = contentOf(texts.map((text) => unitBehind(text).figure));
    return { ...contentOf(texts), fractions };
  });
  const filled = names.map((_, column) => figures.filter((row) => row[column] !== undefined).length);
  const inFigures = contents.map((content, column) =>
    content.filled === 0 ? 0 : (filled[column] ?? 0) / content.filled,
  );
  const months = columns.map((texts) => shareOf(texts, (text) => monthOf(text) !== undefined));
  // "Linear" is how a thing is written off, whatever its column is called.
  const methods = columns.map((texts) =>
    shareOf(texts.map(folded), (text) => Object.values(METHOD_CALLED).some((called) => called.is(text))),
  );
  const seen = { kind, names, body, figures, unit, contents, filled, inFigures, months, methods };
  return { ...seen, offers: offersOf(seen), roles: names.map(() => undefined) };
};

const give = ({ roles }: Telling, role: RegisterRole, column: number | undefined): void => {
  if (column !== undefined && column >= 0 && roles[column] === undefined && !roles.includes(role)) roles[column] = role;
};

const tellByNames = (telling: Telling): void => {
  const { kind, names, contents, methods, offers, roles } = telling;
  for (const { column, role } of offers) give(telling, role, column);
  if (kind === 'assets')
    give(
      telling,
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
};

const isOfEquation = (kind: RegisterKind, role: RegisterRole): boolean =>
  EQUATION[kind].some((of) => of.includes(role));

/** Columns of figures that may belong together, whatever they are called. */
const numericIn = ({ kind, names, contents, filled, inFigures, offers, roles }: Telling): readonly number[] =>
  names.flatMap((_, column) => {
    const role = roles[column];
    const started =
      role === 'netBefore' ||
      (role === 'costBefore' && !roles.includes('cost')) ||
      // "Valore residuo" is what is left of the cost now, where nothing else is.
      (role === 'residual' && !roles.includes('net'));
    const other =
      role !== undefined &&
      !started &&
      !isOfEquation(kind, role) &&
      (offers.find((one) => one.column === column)?.score ?? 0) >= 2;
    return (filled[column] ?? 0) > 0 &&
      (inFigures[column] ?? 0) >= 0.6 &&
      (contents[column]?.dates ?? 0) < 0.3 &&
      !other
      ? [column]
      : [];
  });

/** Columns that bear each other out, how well, and with what their names say. */
interface Tried {
  readonly places: Places;
  readonly holds: number;
  readonly score: number;
}

/** The likeliest way to read the columns that bear each other out, beside some that are what they are called. */
const triedWith = (telling: Telling, beside: Places): Tried => {
  const { kind, names, figures, unit, roles } = telling;
  const numeric = numericIn(telling);
  const scoreOf = (places: Places): number =>
    Object.entries(places).reduce(
      (sum, [role, column]) => sum + Math.min(3, named(kind, role as RegisterRole, names[column] ?? '')) / 2,
      0,
    );
  const said = Object.fromEntries(
    roles.flatMap((role, column) => (role !== undefined && isOfEquation(kind, role) ? [[role, column] as const] : [])),
  ) as Places;
  const called = { ...said, ...beside };
  const first = bearsOut(kind, called, figures, unit);
  let best = { places: called, holds: first, score: first * HOLDS + scoreOf(called) };
  const whole = EQUATION[kind].some((of) => of.every((role) => said[role] !== undefined));
  if (numeric.length > MOST_TRIED || (first >= 0.95 && whole)) return best;
  for (const wanted of EQUATION[kind])
    for (const places of waysOf(wanted, numeric)) {
      if (wanted.some((role) => MONEY[kind].includes(role) && !isAmount(telling, places[role] ?? -1))) continue;
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

/** Which columns of figures belong together is tried out, and the names weigh in. */
const tellByFigures = (telling: Telling): Tried => {
  const { kind, names, offers, roles } = telling;
  const placed = (some: readonly RegisterRole[]): Places =>
    Object.fromEntries(some.flatMap((role) => (roles.includes(role) ? [[role, roles.indexOf(role)] as const] : [])));
  const standing = triedWith(telling, placed(TAKEN_IN[kind] ?? []));
  // What a thing had cost when the year began, and what came and went in it, where that bears out more than its cost alone.
  const moves = placed(MOVES);
  const moved = Object.keys(moves).length === 0 ? standing : triedWith(telling, moves);
  const isMoved = moved.holds > standing.holds;
  const best = isMoved ? moved : standing;
  for (const [column, role] of roles.entries())
    if (role !== undefined && isOfEquation(kind, role)) roles[column] = undefined;
  // Beside a column that is called cost, what the movements lead from is the book value when the year began.
  const started = isMoved || named(kind, 'netBefore', names[best.places.cost ?? -1] ?? '') >= 2;
  const cost = started
    ? offers.find(({ column, role, score }) => role === 'cost' && score >= 2.8 && column !== best.places.cost)
    : undefined;
  const renamed: Readonly<Partial<Record<string, RegisterRole>>> =
    cost !== undefined ? { cost: 'netBefore', depreciation: 'charge' } : isMoved ? { cost: 'costBefore' } : {};
  for (const [role, column] of Object.entries(best.places)) roles[column] = renamed[role] ?? (role as RegisterRole);
  if (cost !== undefined) roles[cost.column] = 'cost';
  return best;
};

/** Shares times nominal is what is called, and what a return is of may be paid in part: a column that says what is meant goes before. */
const tellMeant = ({ kind, names, offers, roles }: Telling): void => {
  const meant = MEANT[kind];
  const saying = meant && offers.find(({ column, role, score }) => role === meant.role && score >= 2.8 && meant.words.is(folded(names[column] ?? ''))); // prettier-ignore
  if (saying === undefined) return;
  const other = roles.indexOf(saying.role);
  if (other >= 0) roles[other] = undefined;
  roles[saying.column] = saying.role;
};

/** What is written off by the last day may stand beside what was when the year began and what came to it and went. */
const tellWrittenOff = (telling: Telling): void => {
  const { kind, names, figures, roles } = telling;
  const [costAt, netAt] = [roles.indexOf('cost'), roles.indexOf('net')];
  if (kind !== 'assets' || roles.includes('depreciation') || costAt < 0 || netAt < 0) return;
  give(
    telling,
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
};

/** What is owed before each payment is no balance after it. */
const tellBefore = ({ kind, figures, roles }: Telling, places: Places): void => {
  if (kind !== 'loans' || roles.includes('before')) return;
  const [after, before] = (['after', 'before'] as const).map((when) => share(fallsIn(figures, places, when)));
  const outstanding = roles.indexOf('outstanding');
  if ((before ?? 0) > (after ?? 0) && outstanding >= 0) roles[outstanding] = 'before';
};

/** Columns that nothing is known of yet, as far as what is in them is so. */
const free = ({ contents, roles }: Telling, is: (content: Content, column: number) => boolean): readonly number[] =>
  contents.flatMap((content, column) =>
    roles[column] === undefined && content.filled > 0 && is(content, column) ? [column] : [],
  );

/** What no name tells: a code is another in each row, a name has the longest words. */
const tellByTexts = (telling: Telling): void => {
  const { kind, names, contents, inFigures, months, roles } = telling;
  const texts = free(telling, (content, column) => content.spaced >= 0.5 && content.dates < 0.3 && (inFigures[column] ?? 0) < 0.5); // prettier-ignore
  // Whoever lends or holds stands in words, whatever their column is called.
  const whose = kind === 'borrowings' ? 'lender' : kind === 'holdings' ? 'holder' : undefined;
  if (whose !== undefined)
    give(telling, whose, free(telling, (content, column) => content.dates < 0.3 && content.codes < 0.4 && (inFigures[column] ?? 0) < 0.3)[0]); // prettier-ignore
  if (kind !== 'loans')
    give(
      telling,
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
      telling,
      'code',
      free(
        telling,
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
  for (const role of rolesIn(kind).filter(isDayRole))
    give(
      telling,
      role,
      free(
        telling,
        (content, column) =>
          (content.dates >= 0.8 || (months[column] ?? 0) >= 0.8) && BORN.in(folded(names[column] ?? '')) === undefined,
      )[0],
    );
};

/** What stock is written down by or to, where a name alone does not tell. */
const tellWrittenDown = (telling: Telling): void => {
  const { kind, names, body, inFigures, roles } = telling;
  if (kind !== 'stock') return;
  // A share is told by its cells where its name does not.
  give(
    telling,
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
  // What is left of the value, beside the value itself, says what is written down where nothing else does.
  if (roles.includes('value') && !roles.includes('writeDown') && !roles.includes('rate'))
    give(
      telling,
      'net',
      names.findIndex(
        (name, column) =>
          roles[column] === undefined &&
          (inFigures[column] ?? 0) >= 0.6 &&
          REGISTER_WORDS.assets.net.in(folded(name)) !== undefined,
      ),
    );
};

/** Columns of prices; `levels` is what price levels are called where the list goes. */
const pricesIn = (
  { kind, names, contents, inFigures, offers, roles }: Telling,
  levels: readonly string[],
): readonly number[] => {
  const isLevel = new Set(levels.map(folded));
  return kind !== 'stock'
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
};

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
  levels: readonly string[] = [],
): Columns => {
  const telling = begun(kind, names, body, figures, unit);
  tellByNames(telling);
  const { places, holds } = tellByFigures(telling);
  tellMeant(telling);
  tellWrittenOff(telling);
  tellBefore(telling, places);
  tellByTexts(telling);
  tellWrittenDown(telling);
  const { roles } = telling;
  return {
    roles,
    prices: pricesIn(telling, levels),
    names: names.reduce(
      (sum, name, column) => sum + (roles[column] === undefined ? 0 : named(kind, roles[column], name)),
      0,
    ),
    holds,
  };
};
