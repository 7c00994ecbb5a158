import { readDate } from '../../base/dates';
import type { IsoDate } from '../../base/iso-date';
import { folded } from '../../base/folded';
import { type Problem, plural, problem } from '../../base/result';
import type { Table } from '../../base/table';
import { type Currency, minorDigits } from '../../money/currency';
import { plainDecimal } from '../../money/format';
import { type Minor, NIL, abs, add, minor, subtract, sum } from '../../money/minor';
import type { PaperAmount } from '../../money/paper-amount';
import { divideRounded } from '../../money/rounding';
import { statedCurrency } from '../../papers/stated-currency';
import { statedDate } from '../../papers/stated-date';
import { isMoneyRole } from './register-roles';
import { type RegisterRow, type SortedRegister, type Sums, sortRegister } from './register-rows';
import { type RegisterTable, registerTable } from './register-table';
import { unitBehind } from './unit-behind';
import { scaleDoubts } from '../list-scale';
import { IN_MONTHS, monthsFrom } from '../life';
import { REGISTER_KINDS, RHYTHMS, type RegisterKind, type RegisterRole } from './register-words';

/** A thing that is owned for years. Amounts are magnitudes in the list's decimals. */
export interface ListedAsset {
  readonly row: number;
  readonly code: string | null;
  readonly name: string | null;
  readonly class: string | null;
  readonly acquired: IsoDate | null;
  readonly cost: Minor | null;
  /** All of it, up to the day of the list. */
  readonly depreciation: Minor | null;
  readonly net: Minor | null;
  readonly residual: Minor | null;
  readonly lifeMonths: number | null;
  /** Percent a year, as plain decimal text. */
  readonly rate: string | null;
  readonly method: string | null;
  /** When it went, ISO; "" where the list says that it went and not when. */
  readonly disposed: IsoDate | '' | null;
}

/** An article in stock. Quantity, cost and price are plain decimal text. */
export interface ListedStock {
  readonly row: number;
  readonly code: string | null;
  readonly name: string | null;
  readonly category: string | null;
  readonly unit: string | null;
  readonly quantity: string | null;
  readonly unitCost: string | null;
  readonly value: Minor | null;
  readonly place: string | null;
  readonly counted: IsoDate | null;
  /** What it is sold for, in each of the list's columns of prices. */
  readonly prices: readonly (string | null)[];
  readonly writeDown: Minor | null;
}

/** A payment of a loan's plan. */
export interface ListedPayment {
  readonly row: number;
  readonly date: IsoDate | null;
  readonly instalment: Minor | null;
  readonly interest: Minor | null;
  readonly principal: Minor | null;
  readonly outstanding: Minor | null;
}

/** Something paid or received for a span of time. */
export interface ListedSpan {
  readonly row: number;
  readonly code: string | null;
  readonly name: string | null;
  readonly from: IsoDate | null;
  readonly to: IsoDate | null;
  readonly amount: Minor | null;
  readonly remaining: Minor | null;
  readonly supplier: string | null;
}

/** A loan or a lease with what is still owed of it. */
export interface ListedLoan {
  readonly row: number;
  readonly lender: string | null;
  readonly code: string | null;
  readonly name: string | null;
  readonly begun: IsoDate | null;
  readonly lent: Minor | null;
  /** Percent a year, as plain decimal text. */
  readonly rate: string | null;
  readonly instalment: Minor | null;
  /** Months between payments. */
  readonly every: number | null;
  readonly last: IsoDate | null;
  readonly outstanding: Minor | null;
  /** What of it is due within a year. */
  readonly within: Minor | null;
}

/** Who holds how much of the capital. Shares and their nominal are plain decimal text. */
export interface ListedHolding {
  readonly row: number;
  readonly holder: string | null;
  readonly class: string | null;
  readonly shares: string | null;
  readonly nominal: string | null;
  readonly since: IsoDate | null;
  readonly paid: Minor | null;
}

/** A return of a tax with what is owed by it; what comes back is below nil. */
export interface ListedReturn {
  readonly row: number;
  readonly name: string | null;
  readonly period: string | null;
  readonly code: string | null;
  readonly date: IsoDate | null;
  readonly due: IsoDate | null;
  readonly amount: Minor | null;
}

export interface Listed {
  readonly assets: ListedAsset;
  readonly stock: ListedStock;
  readonly loans: ListedPayment;
  readonly prepayments: ListedSpan;
  readonly borrowings: ListedLoan;
  readonly holdings: ListedHolding;
  readonly returns: ListedReturn;
}

export interface RegisterRead<K extends RegisterKind = RegisterKind> {
  readonly kind: K;
  readonly asAt: IsoDate | null;
  readonly currency: Currency | null;
  /** Decimals of its amounts. */
  readonly digits: number;
  readonly items: readonly Listed[K][];
  /** What the list prints as its total, by what its columns are. */
  readonly printed: Readonly<Record<string, Minor>>;
  /** The names of its columns of prices. */
  readonly prices: readonly string[];
  readonly doubts: readonly Problem[];
}

export interface RegisterAsked {
  readonly name: string;
  readonly digits?: number;
  /** What price levels are called where the list goes: columns of their names hold prices. */
  readonly levels?: readonly string[];
}

const orNull = (text: string | undefined): string | null => (text === undefined || text === '' ? null : text);
const moneyIn = (row: RegisterRow, role: RegisterRole): Minor | null => row.money[role] ?? null;

/** A figure without the zeros that say nothing. */
const decimalText = (figure: PaperAmount | undefined): string | null => {
  if (figure === undefined) return null;
  let { coefficient, scale } = figure;
  while (scale > 0 && coefficient % 10n === 0n) [coefficient, scale] = [coefficient / 10n, scale - 1];
  return plainDecimal(coefficient, scale);
};

/** More years than anything is used for: such lives are months. */
const MOST_YEARS = 120;

/** Whether a column of lives is of months: by its name, else by lives that no years are. */
const lifeUnit = (table: RegisterTable, rows: readonly RegisterRow[]): 'years' | 'months' => {
  const name = folded(table.headings[table.roles.indexOf('life')] ?? '');
  if (IN_MONTHS.in(name) !== undefined) return 'months';
  return rows.some(({ texts }) => Number(/^\d+$/.exec(texts.life ?? '')?.[0] ?? 0) > MOST_YEARS) ? 'months' : 'years';
};

const assetOf = (row: RegisterRow, life: 'years' | 'months', reversed: boolean): ListedAsset => {
  const parts = [row.money.brought, row.money.charge].filter((one) => one !== undefined);
  const written = row.money.depreciation ?? (parts.length === 0 ? undefined : sum(parts));
  const gone = row.texts.disposed ?? '';
  return {
    row: row.row,
    code: orNull(row.texts.code),
    name: orNull(row.texts.name),
    class: row.group,
    acquired: row.days.acquired ?? null,
    cost: moneyIn(row, 'cost'),
    depreciation: written === undefined ? null : reversed ? minor(-written) : written,
    net: moneyIn(row, 'net'),
    residual: moneyIn(row, 'residual'),
    lifeMonths: monthsFrom(row.texts.life ?? '', life) ?? null,
    rate: decimalText(row.figures.rate),
    method: orNull(row.texts.method),
    disposed: row.days.disposed ?? (/[\p{L}\d]/u.test(gone) && !NOT_GONE.has(folded(gone)) ? '' : null),
  };
};

const NOT_GONE: ReadonlySet<string> = new Set(['no', 'n', 'nein', 'non', 'nie', 'ne', 'nej', 'nei', 'false', '0', '']);
const stockOf = (row: RegisterRow): ListedStock => ({
  row: row.row,
  code: orNull(row.texts.code),
  name: orNull(row.texts.name),
  category: row.group,
  unit: orNull(row.texts.unit) ?? orNull(unitBehind(row.texts.quantity ?? '').unit),
  quantity: decimalText(row.figures.quantity),
  unitCost: decimalText(row.figures.unitCost),
  value: moneyIn(row, 'value'),
  place: orNull(row.texts.place),
  counted: row.days.counted ?? null,
  prices: row.prices.map(decimalText),
  writeDown: moneyIn(row, 'writeDown'),
});

/** A payment; a lender may print what is paid, or what is owed, below nil. */
const paymentOf = (row: RegisterRow, turned: ReadonlySet<RegisterRole>): ListedPayment => {
  const own = (role: 'instalment' | 'interest' | 'principal' | 'outstanding'): Minor | null => {
    const amount = moneyIn(row, role);
    return amount !== null && turned.has(role) ? minor(-amount) : amount;
  };
  return {
    row: row.row,
    date: row.days.date ?? null,
    instalment: own('instalment'),
    interest: own('interest'),
    principal: own('principal'),
    outstanding: own('outstanding'),
  };
};

/** The columns most of whose amounts are below nil. */
const belowNil = (rows: readonly RegisterRow[], roles: readonly RegisterRole[]): ReadonlySet<RegisterRole> =>
  new Set(
    roles.filter((role) => {
      const amounts = rows.flatMap(({ money }) => money[role] ?? []).filter((amount) => amount !== 0n);
      return amounts.filter((amount) => amount < 0n).length * 2 > amounts.length;
    }),
  );

/** A row with the amounts of some columns turned round. */
const withTurned = (row: RegisterRow, turned: ReadonlySet<RegisterRole>): RegisterRow => ({
  ...row,
  money: Object.fromEntries(
    Object.entries(row.money).map(([role, amount]) => [
      role,
      turned.has(role as RegisterRole) ? minor(-amount) : amount,
    ]),
  ),
});

const spanOf = (row: RegisterRow): ListedSpan => ({
  row: row.row,
  code: orNull(row.texts.code),
  name: orNull(row.texts.name),
  from: row.days.from ?? null,
  to: row.days.to ?? null,
  amount: moneyIn(row, 'amount'),
  remaining: moneyIn(row, 'remaining'),
  supplier: orNull(row.texts.supplier),
});

/** How many months lie between payments, by a cell or a title that says so. */
const rhythmIn = (text: string): number | null =>
  monthsFrom(text, 'months') ?? RHYTHMS.find(([, words]) => words.in(folded(text)) !== undefined)?.[0] ?? null;

/** Payments lie no more months apart than this; a larger number of months is how long the whole lasts. */
const MOST_BETWEEN = 12;

/** The day so many months after another one. */
const monthsAfter = (day: IsoDate, months: number): IsoDate | null => {
  const read = readDate(day);
  return read.ok ? read.value.add({ months }).toString() : null;
};

const loanOf = (row: RegisterRow, paid: number | null): ListedLoan => {
  const said = rhythmIn(row.texts.every ?? '');
  const [every, term] = said !== null && said > MOST_BETWEEN ? [null, said] : [said, null];
  const begun = row.days.begun ?? null;
  const amount = (role: RegisterRole): Minor | null => (row.money[role] === undefined ? null : abs(row.money[role]));
  return {
    row: row.row,
    lender: orNull(row.texts.lender),
    code: orNull(row.texts.code),
    name: orNull(row.texts.name),
    begun,
    lent: amount('lent'),
    rate: decimalText(row.figures.rate),
    instalment: amount('instalment'),
    // "450.00 monthly" says it of one; "Monthly repayment", its column's title, of all that are paid back in instalments.
    every:
      every ?? rhythmIn(unitBehind(row.texts.instalment ?? '').unit) ?? (amount('instalment') === null ? null : paid),
    last: row.days.last ?? (term === null || begun === null ? null : monthsAfter(begun, term)),
    outstanding: amount('outstanding'),
    within: amount('within'),
  };
};

const holdingOf = (row: RegisterRow): ListedHolding => ({
  row: row.row,
  holder: orNull(row.texts.holder),
  class: row.group,
  shares: decimalText(row.figures.quantity),
  nominal: decimalText(row.figures.unitCost),
  since: row.days.begun ?? null,
  paid: row.money.value === undefined ? null : abs(row.money.value),
});

const returnOf = (row: RegisterRow): ListedReturn => ({
  row: row.row,
  name: orNull(row.texts.name),
  period: orNull(row.texts.taxPeriod),
  code: orNull(row.texts.code),
  date: row.days.date ?? null,
  due: row.days.to ?? null,
  amount: moneyIn(row, 'amount'),
});

/** What is odd about a row of its own; `written` says whether the list has what was written off at all. */
const rowDoubts = (kind: RegisterKind, row: RegisterRow, digits: number, written: boolean): readonly Problem[] => {
  const says = (message: string): readonly Problem[] => [problem('list.figures', message, row.row)];
  const { money, figures } = row;
  switch (kind) {
    case 'assets': {
      const parts = money.depreciation === undefined ? [money.brought, money.charge] : [money.depreciation];
      const off = sum(parts.map((one) => one ?? NIL));
      if (!written || money.cost === undefined || money.net === undefined || (row.texts.disposed ?? '') !== '')
        return [];
      return subtract(abs(money.cost), abs(off)) === abs(money.net)
        ? []
        : says(`In row ${row.row} cost less depreciation is another amount than its book value.`);
    }
    case 'stock': {
      const { quantity, unitCost } = figures;
      if (quantity === undefined || unitCost === undefined || money.value === undefined) return [];
      const scale = quantity.scale + unitCost.scale;
      const exact = quantity.coefficient * unitCost.coefficient;
      const worth = scale <= digits ? exact * 10n ** BigInt(digits - scale) : divideRounded(exact, 10n ** BigInt(scale - digits)); // prettier-ignore
      // Prices may be for so many pieces, which the unit says.
      const per = /^10{1,4}$/.exec(row.texts.unit ?? '')?.[0];
      const each = per === undefined ? worth : divideRounded(worth, BigInt(per));
      return [worth, each].some((one) => abs(subtract(minor(one), money.value ?? NIL)) <= 1n)
        ? []
        : says(`In row ${row.row} quantity times cost is another amount than its value.`);
    }
    case 'holdings':
    case 'returns':
      return [];
    case 'loans': {
      const { instalment, interest, principal } = money;
      return instalment === undefined || interest === undefined || principal === undefined || [add(interest, principal), sum([interest, principal, money.fee ?? NIL])].includes(instalment) // prettier-ignore
        ? []
        : says(`In row ${row.row} interest and principal are another amount than the instalment.`);
    }
    case 'borrowings': {
      const { lent, outstanding, within } = money;
      const [owed, part] = [abs(outstanding ?? NIL), abs(within ?? NIL)];
      if (lent !== undefined && owed > abs(lent))
        return says(`Of the loan in row ${row.row} more is owed than was lent.`);
      return part > owed && outstanding !== undefined
        ? says(`Of the loan in row ${row.row} more falls due within a year than is owed.`)
        : [];
    }
    case 'prepayments': {
      const { amount, used, remaining } = money;
      return amount === undefined || used === undefined || remaining === undefined || subtract(amount, used) === remaining // prettier-ignore
        ? []
        : says(`In row ${row.row} the amount less what is used is another amount than what remains.`);
    }
  }
};

const LABELS: Readonly<Partial<Record<RegisterRole, string>>> = {
  acquired: 'a day of acquisition',
  disposed: 'a day of disposal',
  counted: 'a day of count',
  date: 'a day',
  from: 'a first day',
  to: 'a last day',
  begun: 'a day on which it began',
  last: 'a last day',
};

/** The list's own total by what its columns are; of two columns of depreciation what they come to. */
const printedOf = (kind: RegisterKind, sums: Sums | undefined): Readonly<Record<string, Minor>> => {
  if (sums === undefined) return {};
  if (kind !== 'assets')
    return Object.fromEntries(
      Object.entries(sums)
        .filter(
          ([role]) =>
            isMoneyRole(kind, role as RegisterRole) &&
            (role !== 'outstanding' || kind === 'borrowings') &&
            role !== 'used',
        )
        .map(([role, amount]) => [role, kind === 'loans' || kind === 'borrowings' ? abs(amount) : amount]),
    );
  const { cost, brought, charge, depreciation, net } = sums;
  const written =
    depreciation ?? (brought === undefined && charge === undefined ? undefined : add(brought ?? NIL, charge ?? NIL));
  return Object.fromEntries(
    [
      ['cost', cost],
      ['depreciation', written === undefined ? undefined : abs(written)],
      ['net', net],
    ].filter((pair): pair is [string, Minor] => pair[1] !== undefined),
  );
};

interface Chosen {
  readonly kind: RegisterKind;
  readonly table: RegisterTable;
  readonly sheet: number;
}

/** What a thing is called or known by. */
const CALLED: readonly RegisterRole[] = ['name', 'code', 'lender', 'holder', 'number'];

/**
 * A list without so many columns that are known, or borne out by figures, is none of its kind. Where somebody says which kind it is, what
 * things are called and their amounts are enough, if the columns are called so.
 */
const enough = ({ kind, table }: Chosen, asked: boolean): boolean => {
  const money = table.roles.some((role) => role !== undefined && isMoneyRole(kind, role));
  const known = table.roles.filter((role) => role !== undefined).length;
  const counted = ['quantity', 'unitCost'].every((role) => table.roles.includes(role as RegisterRole));
  const called = table.roles.some((role) => role !== undefined && CALLED.includes(role));
  const few = asked && called ? 2 : 3;
  return (money || counted) && known >= few && (table.names >= 4 || table.holds >= 0.8);
};

/** How much a table is a list of the kind. */
const weight = ({ table }: Chosen): number =>
  (table.names + table.holds * 8) * Math.min(100, table.rows.length - table.header.at);

/** A kind is told from others by columns that only it has. */
const TELLING: Readonly<Record<RegisterKind, readonly RegisterRole[]>> = {
  assets: ['depreciation', 'brought', 'charge', 'net', 'life', 'acquired'],
  stock: ['quantity', 'unitCost', 'unit'],
  loans: ['interest', 'principal', 'before'],
  prepayments: ['from', 'to', 'period', 'remaining'],
  borrowings: ['lender', 'lent', 'rate', 'outstanding', 'last', 'begun'],
  holdings: ['holder', 'quantity', 'unitCost', 'value'],
  returns: ['name', 'taxPeriod', 'code', 'date', 'to'],
};

const chosenTable = (
  tables: readonly Table[],
  kind: RegisterKind | undefined,
  levels: readonly string[] | undefined,
): Chosen | undefined => {
  const asked = kind !== undefined && kind !== 'loans';
  const isTold = (one: Chosen): boolean => TELLING[one.kind].filter((role) => one.table.roles.includes(role)).length >= 2; // prettier-ignore
  return (kind === undefined ? REGISTER_KINDS : [kind])
    .flatMap((kind) =>
      tables.flatMap((one, sheet): readonly Chosen[] => {
        const table = registerTable(one, kind, levels);
        return table === undefined ? [] : [{ kind, table, sheet }];
      }),
    )
    .filter((one) => enough(one, asked) && (asked || isTold(one)))
    .sort((one, other) => weight(other) - weight(one))[0];
};

const listedOf = (
  kind: RegisterKind,
  table: RegisterTable,
  { items }: SortedRegister,
): readonly Listed[RegisterKind][] => {
  switch (kind) {
    case 'assets': {
      const life = lifeUnit(table, items);
      // Some print what is written off as a negative amount.
      const reversed = belowNil(items, ['depreciation', 'brought', 'charge']).size > 0;
      // Or what things cost, beside depreciation above nil.
      const turned = belowNil(items, ['cost', 'net', 'residual']);
      return items.map((row) => assetOf(turned.has('cost') ? withTurned(row, turned) : row, life, reversed));
    }
    case 'stock':
      return items.map(stockOf);
    case 'loans': {
      // What only says how much was lent is no payment.
      const payments = items.filter(({ money }) => [money.instalment, money.principal, money.interest].some((one) => one !== undefined)); // prettier-ignore
      const turned = belowNil(payments, ['instalment', 'interest', 'principal', 'outstanding']);
      return payments.map((row) => paymentOf(row, turned));
    }
    case 'prepayments':
      return items.map(spanOf);
    case 'borrowings':
      return items.map((row) => loanOf(row, rhythmIn(table.headings[table.roles.indexOf('instalment')] ?? '')));
    case 'holdings':
      return items.map(holdingOf);
    case 'returns':
      return items.map(returnOf);
  }
};

/** The amounts that a list's total is of. */
const SUMMED: { readonly [K in RegisterKind]: (item: Listed[K]) => Readonly<Record<string, Minor | null>> } = {
  assets: ({ cost, depreciation, net }) => ({ cost, depreciation, net }),
  stock: ({ value }) => ({ value }),
  loans: ({ instalment, interest, principal }) => ({ instalment, interest, principal }),
  prepayments: ({ amount, remaining }) => ({ amount, remaining }),
  borrowings: ({ lent, instalment, outstanding, within }) => ({ lent, instalment, outstanding, within }),
  holdings: ({ paid }) => ({ value: paid }),
  returns: ({ amount }) => ({ amount }),
};

/** The amounts of an item that sums are printed of, whatever kind it is of. */
export const summedOf = <K extends RegisterKind>(kind: K, item: Listed[K]): Readonly<Record<string, Minor | null>> =>
  SUMMED[kind](item);

/**
 * The things of a register, a stock list, a loan's plan or a list of prepayments, as they are printed; amounts are magnitudes.
 * Undefined where no table of the paper is a list of the kind (of any of them, where none is asked for).
 */
export const readRegister = (
  tables: readonly Table[],
  kind: RegisterKind | undefined,
  asked: RegisterAsked,
): RegisterRead | undefined => {
  const chosen = chosenTable(tables, kind, asked.levels);
  if (chosen === undefined) return undefined;
  const { table, sheet } = chosen;
  const about = {
    sheet,
    header: table.header.at + 1 - table.header.height,
    // What stood when the year began is of another day.
    columns: table.roles.map((role) =>
      role !== undefined && isMoneyRole(chosen.kind, role) && role !== 'brought' ? 'balance' : 'ignore',
    ),
  } as const;
  const currency = statedCurrency(tables, { ...about, header: table.header.at }) ?? null;
  const digits = asked.digits ?? Math.max(table.digits, currency === null ? 0 : minorDigits(currency));
  const sorted = sortRegister(table, chosen.kind, digits);
  const items = listedOf(chosen.kind, table, sorted);
  if (items.length === 0) return undefined;
  const printed = printedOf(chosen.kind, sorted.printed);
  const gone = (item: Listed[RegisterKind]): boolean => 'disposed' in item && item.disposed !== null;
  const misses = Object.entries(printed).some(([column, total]) =>
    [items, items.filter((item) => !gone(item))].every(
      (some) => sum(some.map((item) => summedOf(chosen.kind, item as never)[column] ?? NIL)) !== total,
    ),
  );
  const unread = sorted.items.flatMap(({ row, unread: roles }) => roles.map((role) => ({ row, role })));
  const disposed = items.filter(gone).length;
  const written = (['depreciation', 'brought', 'charge'] as const).some((role) => table.roles.includes(role));
  return {
    kind: chosen.kind,
    asAt: statedDate(tables, about, asked.name, table.order) ?? null,
    currency,
    digits,
    items,
    printed,
    prices: table.prices.map((column) => table.headings[column] ?? ''),
    doubts: [
      ...scaleDoubts(table.scales, table.header.at + 1),
      ...(table.ordered
        ? []
        : [
            problem(
              'list.dates',
              'No date of the list says whether its day or its month is first; they are read with the day first.',
            ),
          ]),
      ...(table.holds > 0 && table.holds < 0.6
        ? [
            problem(
              'list.columns',
              'The figures of this list do not bear each other out; look at what its columns are taken for.',
            ),
          ]
        : []),
      ...(misses
        ? [
            problem(
              'list.total',
              'The rows do not come to the list’s own total: one is missing, is there twice, or does not read.',
              sorted.printedRow,
            ),
          ]
        : []),
      ...sorted.missed.map((row) => problem('list.sum', `The sum in row ${row} is not what stands above it.`, row)),
      ...unread.map(({ row, role }) =>
        problem('list.unread', `Row ${row} has ${LABELS[role] ?? 'an amount'} that does not read.`, row),
      ),
      ...(disposed === 0
        ? []
        : [
            problem(
              'list.disposed',
              `${plural(disposed, 'thing')} that ${disposed === 1 ? 'is' : 'are'} not owned any more ${disposed === 1 ? 'is' : 'are'} still listed, the first in row ${items.find(gone)?.row ?? 0}.`,
              items.find(gone)?.row,
            ),
          ]),
      // Amounts that were rounded to their noughts need not bear each other out to the last of them.
      ...(table.scales.size > 0 ? [] : sorted.items.flatMap((row) => rowDoubts(chosen.kind, row, digits, written))),
    ],
  };
};
