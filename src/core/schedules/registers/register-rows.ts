import { folded } from '../../base/folded';
import { dayBefore, plainDate } from '../../base/dates';
import type { IsoDate } from '../../base/iso-date';
import { type Row, textOf } from '../../base/table';
import { type Minor, NIL, abs, add, minor, subtract } from '../../money/minor';
import { type PaperAmount, unitsOf } from '../../money/paper-amount';
import { divideRounded } from '../../money/rounding';
import { totalWords } from '../../papers/total-words';
import { CARRIED, TOTAL } from '../../words/paper-words';
import { isDay } from '../list-days';
import { repeats } from '../list-rows';
import { withNoughts } from '../list-scale';
import { isAmountRole, isDayRole, isMoneyRole } from './register-roles';
import { type RegisterTable, dayIn, figureIn, spanIn } from './register-table';
import { GONE, type RegisterKind, type RegisterRole } from './register-words';

/** A row of such a list as it is printed: its texts and days by role, its amounts in the list's decimals, other figures as they are. */
export interface RegisterRow {
  readonly row: number;
  readonly texts: Readonly<Partial<Record<RegisterRole, string>>>;
  readonly days: Readonly<Partial<Record<RegisterRole, IsoDate>>>;
  readonly money: Readonly<Partial<Record<RegisterRole, Minor>>>;
  readonly figures: Readonly<Partial<Record<RegisterRole, PaperAmount>>>;
  /** What it is sold for, in the columns of prices. */
  readonly prices: readonly (PaperAmount | undefined)[];
  /** The columns of which something does not read. */
  readonly unread: readonly RegisterRole[];
  /** What it is grouped under: its own class, or the heading above it. */
  readonly group: string | null;
}

export type Sums = Readonly<Partial<Record<RegisterRole, Minor>>>;

export interface SortedRegister {
  readonly items: readonly RegisterRow[];
  /** The list's own total, by its columns. */
  readonly printed: Sums | undefined;
  readonly printedRow: number | undefined;
  /** Rows of sums that are not what stands above them. */
  readonly missed: readonly number[];
}

const NONE: ReadonlySet<string> = new Set();
const isSum = (text: string): boolean => totalWords(text, NONE) > 0 || CARRIED.in(folded(text)) !== undefined;
const isCarried = (text: string): boolean => CARRIED.in(folded(text)) !== undefined && totalWords(text, NONE) < 2;
const hasLetters = (text: string): boolean => /\p{L}/u.test(text);

/** Nothing is paid for more months before. */
const MOST_MONTHS = 600n;

/** The last day of so many months. */
const lastOf = (from: IsoDate, months: bigint): IsoDate | undefined =>
  months < 1n || months > MOST_MONTHS
    ? undefined
    : dayBefore(plainDate(from).add({ months: Number(months) })).toString();

const rowOf = (table: RegisterTable, kind: RegisterKind, row: Row, number: number, digits: number): RegisterRow => {
  const [texts, days, money, figures] = [
    {} as Partial<Record<RegisterRole, string>>,
    {} as Partial<Record<RegisterRole, IsoDate>>,
    {} as Partial<Record<RegisterRole, Minor>>,
    {} as Partial<Record<RegisterRole, PaperAmount>>,
  ];
  const unread: RegisterRole[] = [];
  table.roles.forEach((role, column) => {
    if (role === undefined) return;
    const cell = row[column];
    const text = textOf(cell);
    texts[role] = text;
    if (isDayRole(role) || role === 'disposed') {
      const day = dayIn(table, text);
      if (day !== undefined) days[role] = day;
      else if (/\d/.test(text)) unread.push(role);
      return;
    }
    if (role === 'period') {
      const span = spanIn(table, text);
      if (span !== undefined) [days.from, days.to] = span;
      else if (/\d/.test(text)) unread.push(role);
      return;
    }
    const printed = figureIn(role === 'rate' && typeof cell === 'string' ? cell.replace('%', '') : cell, table.style);
    const figure = printed === undefined ? undefined : withNoughts(printed, table.scales.get(column));
    if (figure !== undefined) figures[role] = figure;
    if (!isAmountRole(kind, role)) return;
    const units = figure === undefined ? undefined : unitsOf(figure, digits, typeof cell === 'object');
    if (units !== undefined) money[role] = minor(units.amount);
    else if (/\d/.test(text)) unread.push(role);
  });
  if (!table.roles.includes('cost') && money.costBefore !== undefined)
    money.cost = subtract(add(money.costBefore, money.additions ?? NIL), abs(money.disposals ?? NIL));
  // Beside the year's charge alone, all that is written off is what the book value is short of the cost.
  if (table.roles.includes('netBefore') && money.cost !== undefined && money.net !== undefined)
    money.depreciation = subtract(money.cost, money.net);
  // Stock that is written down by a share of its value, or stands at what is left of it beside its value.
  if (kind === 'stock' && money.value !== undefined && money.writeDown === undefined) {
    const share = figures.rate;
    const down =
      share !== undefined
        ? minor(divideRounded(money.value * share.coefficient, 100n * 10n ** BigInt(share.scale)))
        : money.net === undefined
          ? NIL
          : subtract(money.value, money.net);
    if (down !== NIL) money.writeDown = down;
  }
  if (!table.roles.includes('outstanding') && money.before !== undefined && money.principal !== undefined)
    // A lender may print what is owed below nil.
    money.outstanding =
      money.before < 0n ? add(money.before, abs(money.principal)) : subtract(money.before, abs(money.principal));
  // What is owed less after a payment than before it was repaid.
  if (
    kind === 'loans' &&
    !table.roles.includes('principal') &&
    money.before !== undefined &&
    money.outstanding !== undefined
  )
    money.principal = subtract(abs(money.before), abs(money.outstanding));
  // So many months from the first day on.
  const months = figures.months;
  if (days.from !== undefined && days.to === undefined && months?.scale === 0) {
    const last = lastOf(days.from, months.coefficient);
    if (last !== undefined) days.to = last;
  }
  // What came to nothing by what went is not owned any more; what is written off and went in part still is.
  const stood = money.netBefore ?? money.costBefore;
  const went = abs(money.disposals ?? NIL);
  const left = stood === undefined ? money.cost : subtract(add(stood, money.additions ?? NIL), went);
  if ((texts.disposed ?? '') === '' && went !== 0n && left === 0n) texts.disposed = texts.disposals ?? '';
  // A state says so, or a remark: beside the thing, or in brackets behind what it is called.
  const remarks = kind === 'assets' ? [texts.status, /[([]([^()[\]]+)[)\]]$/.exec(texts.name ?? '')?.[1]] : [];
  const said = remarks.find((remark) => GONE.in(folded(remark ?? '')) !== undefined);
  if ((texts.disposed ?? '') === '' && said !== undefined) {
    texts.disposed = said;
    const [day] = said.split(/\s+/).flatMap((word) => (/\d/.test(word) ? (dayIn(table, word) ?? []) : []));
    if (day !== undefined) days.disposed = day;
  }
  const prices = table.prices.map((column) => figureIn(row[column], table.style));
  return { row: number, texts, days, money, figures, prices, unread, group: null };
};

/** A heading without the word for what it is: "Class: Vehicles". */
const heading = (texts: readonly string[]): string => {
  // A number beside the words is the heading's code.
  const label = texts.filter(hasLetters).join(' ');
  const colon = /[:：]/.exec(label);
  const word = colon === null ? '' : label.slice(0, colon.index);
  const behind = colon === null ? '' : label.slice(colon.index + 1).trim();
  return colon !== null && word.length <= 26 ? (behind === '' ? word.trim() : behind) : label.trim();
};

/** What a sum is of, where its words say more than that it is one: "Total presses". */
const summedName = (text: string): string => {
  const words = text.split(' ');
  const term = TOTAL.in(folded(text))?.split(' ') ?? [];
  // "Sub total" is one word for a sum.
  const at = words.findIndex(
    (_, place) => folded(words.slice(place, place + term.length).join(' ')) === term.join(' '),
  );
  return [...words.slice(0, Math.max(0, at)), ...words.slice(at < 0 ? 0 : at + term.length)]
    .filter((word) => /[\p{L}\d]/u.test(word) && totalWords(word, NONE) === 0)
    .join(' ')
    .replace(/:$/, '');
};

/** Roles that hold what is of one thing and of no sum. */
const OWN: Readonly<Record<RegisterKind, readonly RegisterRole[]>> = {
  assets: ['code', 'acquired', 'life', 'rate', 'method', 'group'],
  stock: ['code', 'unit', 'unitCost', 'group', 'place', 'counted', 'quantity'],
  loans: ['date', 'number'],
  prepayments: ['code', 'from', 'to', 'period', 'document', 'supplier', 'group'],
  borrowings: ['lender', 'code', 'begun', 'last', 'rate', 'every'],
  holdings: ['holder', 'quantity', 'begun', 'group'],
  returns: ['code', 'taxPeriod', 'date', 'to'],
};
/** Of so many rows in a hundred that have figures, a role that says what a row is stands in at least so many. */
const USUAL = 0.4;

/** What things come to, with and without those that are not owned any more: a list may leave those out of its sums. */
class Running {
  readonly #sums = new Map<RegisterRole, readonly [all: Minor, owned: Minor]>();

  constructor(
    readonly roles: readonly RegisterRole[],
    /** The place of the first of them. */
    readonly from: number,
  ) {}

  add({ money, texts }: RegisterRow): void {
    const owned = (texts.disposed ?? '') === '';
    for (const role of this.roles) {
      const [all, mine] = this.#sums.get(role) ?? [NIL, NIL];
      const amount = money[role] ?? NIL;
      this.#sums.set(role, [add(all, amount), owned ? add(mine, amount) : mine]);
    }
  }

  /** Whether a sum that is printed is theirs, in every one of the columns that it stands in. */
  is(sums: Sums, roles: readonly RegisterRole[]): boolean {
    const told = roles.filter((role) => sums[role] !== undefined);
    return (
      told.length > 0 &&
      [0, 1].some((which) => told.every((role) => (this.#sums.get(role)?.[which] ?? NIL) === sums[role]))
    );
  }
}

/** What the first things stand under, where their heading is above the header, as the later ones are above its repetitions. */
const headingAbove = ({ rows, header }: RegisterTable, isRepeated: (row: Row) => boolean): string | null => {
  const alone = (row: Row | undefined): readonly string[] | undefined => {
    const texts = (row ?? []).map(textOf).filter((text) => text !== '');
    return texts.length === 1 && !isSum(texts[0] ?? '') ? texts : undefined;
  };
  const own = header.at < header.height ? undefined : alone(rows[header.at - header.height]);
  if (own === undefined) return null;
  // The cheap question first: a list may have many thousand rows.
  const below = rows.slice(header.at + 1);
  const again = below.some((row, at) => {
    const before = below[at - 1];
    return alone(before) !== undefined && alone(row) === undefined && isRepeated(row) && !isRepeated(before ?? []);
  });
  // Or those below are called by the same word: "Class: Boats".
  const [word, behind] = (own[0] ?? '').split(/[:：]/);
  const alike = (row: Row): boolean => (alone(row)?.[0] ?? '').split(/[:：]/).length > 1 && alone(row)?.[0]?.split(/[:：]/)[0] === word; // prettier-ignore
  return again || (behind !== undefined && below.some(alike)) ? heading(own) : null;
};

/** Goes through the rows of the list: headings, things, sums, and what is printed on every page. */
export const sortRegister = (table: RegisterTable, kind: RegisterKind, digits: number): SortedRegister => {
  const from = table.header.at + 1;
  const isRepeated = repeats({ rows: table.rows, header: table.header.at });
  const own = OWN[kind];
  const printed = table.rows.slice(from).flatMap((row, place) => {
    const texts = row.map(textOf);
    return texts.every((text) => text === '') || isRepeated(row)
      ? []
      : [{ texts, read: rowOf(table, kind, row, from + place + 1, digits) }];
  });
  // A count may have no values yet.
  const isFilled = ({ money, figures, unread }: RegisterRow): boolean =>
    Object.keys(money).length > 0 || unread.length > 0 || figures.quantity !== undefined;
  const amounts = printed.filter(({ read }) => isFilled(read));
  const has = ({ texts, days, figures }: RegisterRow, role: RegisterRole): boolean => {
    const text = texts[role] ?? '';
    if (role === 'quantity' || role === 'unitCost') return figures[role] !== undefined && text !== '';
    if (isDayRole(role) || role === 'period') return days[role === 'period' ? 'from' : role] !== undefined;
    return text !== '' && !isSum(text);
  };
  const usual = own.filter(
    (role) => amounts.filter(({ read }) => has(read, role)).length >= amounts.length * USUAL && amounts.length > 0,
  );
  const roles = table.roles
    .map((role): RegisterRole | undefined =>
      role === 'costBefore' && !table.roles.includes('cost') ? 'cost' : role === 'netBefore' ? 'depreciation' : role,
    )
    .filter((role): role is RegisterRole => role !== undefined && isMoneyRole(kind, role));
  // What is owed after each payment of a plan is summed by nobody.
  const totals = kind === 'loans' ? roles.filter((role) => role !== 'outstanding') : roles;
  const labelsOf = (texts: readonly string[]): readonly string[] =>
    texts.filter((text, column) => {
      const role = table.roles[column];
      return hasLetters(text) && (role === undefined || !isMoneyRole(kind, role)) && !isDay(text);
    });
  // A class that is printed in row after row is that of those rows alone; one that is not goes on below.
  const groups = amounts.map(({ read }) => read.texts.group ?? '');
  const goesOn =
    table.roles.includes('group') && !groups.some((group, place) => group !== '' && group === groups[place + 1]);
  const items: RegisterRow[] = [];
  const missed: number[] = [];
  let section: string | null = headingAbove(table, isRepeated);
  // What the things come to since the last sum or heading, and altogether.
  let since = new Running(roles, 0);
  const whole = new Running(roles, 0);
  const footers: { readonly from: number; readonly to: number; readonly name: string }[] = [];
  let sums = 0;
  let last: { readonly row: number; readonly sums: Sums; readonly exact: boolean } | undefined;
  let grand: { readonly row: number; readonly sums: Sums; readonly at: number } | undefined;
  for (const { texts, read } of printed) {
    const labels = labelsOf(texts);
    if (!isFilled(read)) {
      const figures = texts.some((text) => /\d/.test(text) && !hasLetters(text) && text.length > 6);
      const label = heading(labels.length > 0 ? texts.filter((text) => text !== '') : []);
      if (label === '' || figures || labels.some((text) => totalWords(text, NONE) === 2) || label.length > 120)
        continue;
      // A long name goes on in the next line, in small letters.
      const before = items.at(-1);
      const nameAt = table.roles.indexOf('name');
      if (
        before?.row === read.row - 1 &&
        texts.length > nameAt &&
        textOf(texts[nameAt]) === label &&
        /^\p{Ll}/u.test(label)
      ) {
        // prettier-ignore
        const name = `${before.texts.name ?? ''} ${label}`;
        items[items.length - 1] = { ...before, texts: { ...before.texts, name } };
        continue;
      }
      section = label;
      since = new Running(roles, items.length);
      continue;
    }
    const mine = usual.filter((role) => has(read, role)).length;
    const worded = labels.some(isSum);
    const named = labels.length > 0 && !worded;
    const exact = items.length > since.from && since.is(read.money, totals);
    const bare = usual.length > 0 && mine === 0;
    const isTotal =
      (worded && (usual.length === 0 ? exact || whole.is(read.money, totals) || labels.some((text) => totalWords(text, NONE) === 2) : mine * 2 < usual.length || exact)) || // prettier-ignore
      (exact && mine * 2 < usual.length) ||
      (bare && (exact || whole.is(read.money, totals) || labels.length === 0)) ||
      (labels.length === 0 && exact && (usual.length === 0 || bare)) ||
      (named && usual.length === 0 && section !== null && folded(labels[0] ?? '') === folded(section) && exact);
    if (isTotal) {
      if (labels.some(isCarried)) continue;
      last = { row: read.row, sums: read.money, exact };
      const isWhole = whole.is(read.money, totals);
      if (isWhole) grand = { ...last, at: items.length };
      if (!isWhole && !exact) missed.push(read.row);
      sums += 1;
      const name = summedName(labels[0] ?? '');
      if (exact && section === null && name !== '') footers.push({ from: since.from, to: items.length, name });
      since = new Running(roles, items.length);
      continue;
    }
    const listed = (read.texts.group ?? '') === '' ? section : (read.texts.group ?? null);
    const group = listed ?? (goesOn && (read.texts.group ?? '') === '' ? (items.at(-1)?.group ?? null) : null);
    const item: RegisterRow = { ...read, group: group === '' ? null : group };
    items.push(item);
    since.add(item);
    whole.add(item);
  }
  // Where nothing stands above the things, the sums below them say what they are; one sum alone is that of the list.
  if (sums > 1 && !table.roles.includes('group'))
    for (const { from: first, to, name } of footers)
      for (let place = first; place < to; place += 1) {
        const one = items[place];
        if (one !== undefined) items[place] = { ...one, group: name };
      }
  // Where the last sum is that of its section, the list prints none of the whole.
  const total = grand?.at === items.length ? grand : last?.exact === true ? undefined : last;
  return {
    items,
    printed: total?.sums,
    printedRow: total?.row,
    missed,
  };
};
