import type { IsoDate } from '../base/iso-date';
import { type Sentence, dated, say } from '../base/sentence';
import { type Account, called } from '../chart/account';
import { describeTerms } from '../company/terms';
import { type Currency, minorDigits } from '../money/currency';
import { plainDecimal } from '../money/format';
import { type Minor, NIL, add, negate, sum } from '../money/minor';
import { type CodeBook, codeIn } from '../schedules/analysis';
import { CONTACT_ROLES, type Contact } from '../schedules/contact';
import type { Item } from '../schedules/item';
import type { ItemColumn } from '../schedules/item-columns';
import { type ScheduleKind, kindsIn } from '../schedules/kinds';
import { type ThingRules, thingAmount } from '../schedules/things/cells';
import { THING_SUMS, type ThingColumn, thingColumns } from '../schedules/things/columns';
import { type DetailField, dayIn, DETAILS } from '../schedules/things/detail';
import type { Tie } from '../schedules/tie-out';
import type { Column, Document, Line, Value } from './document';

const COLUMNS: readonly Column[] = [
  { label: 'Contact code', kind: 'code' },
  { label: 'Contact', kind: 'text' },
  { label: 'Type', kind: 'code' },
  { label: 'Number', kind: 'code' },
  { label: 'Reference', kind: 'code' },
  { label: 'Order', kind: 'code' },
  { label: 'Date', kind: 'date' },
  { label: 'Due', kind: 'date' },
  { label: 'Currency', kind: 'code' },
  { label: 'Original', kind: 'figure' },
  { label: 'Open', kind: 'figure' },
  { label: 'Base amount', kind: 'figure' },
  { label: 'Note', kind: 'text' },
];

const TITLES: Readonly<Record<ScheduleKind, string>> = {
  customers: 'Open items of customers',
  suppliers: 'Open items of suppliers',
  statement: 'Beside the statement',
  plain: 'Schedule',
  'written-off': 'Written off',
  division: 'Divided',
  stock: 'Stock',
  assets: 'Fixed assets',
  loan: 'Loans and leases',
  span: 'Amounts over time',
  tax: 'Returns',
  holders: 'Holders of capital',
};

/** Columns for the codes of the lists in use, with what an item has in each. */
const codeColumns = ({
  lists,
  byId,
}: CodeBook): readonly { readonly column: Column; readonly value: (item: Item) => Value }[] =>
  lists.map(({ list, name }) => ({
    column: { label: name, kind: 'code' },
    value: ({ detail }) => byId.get(codeIn(detail, list) ?? 0)?.code ?? '',
  }));

/** The columns of things as a document has them, with what stands in each. */
const valuesOf = (
  own: readonly ThingColumn[],
  rules: ThingRules,
  contacts: ReadonlyMap<number, Contact>,
): readonly { readonly column: Column; readonly value: (item: Item) => Value }[] =>
  own.map(({ id, label }) => {
    const kind = id in DETAILS ? DETAILS[id as DetailField] : undefined;
    const day = id === 'date' || id === 'due' || kind === 'day';
    const money = MONEY.has(id) || kind === 'amount';
    return {
      column: { label, kind: money ? 'figure' : day ? 'date' : id === 'note' || id === 'contact' ? 'text' : 'code' },
      value: (item): Value => {
        if (id === 'contact') return item.contact === null ? '' : (contacts.get(item.contact)?.name ?? '');
        if (id === 'date' || id === 'due') return item[id] === null ? null : { date: item[id] };
        if (kind === 'day') {
          const day = dayIn(item.detail, id as DetailField);
          return day === null ? null : { date: day };
        }
        if (money) {
          const amount = thingAmount(item, id, rules);
          return amount === null ? null : { amount, digits: minorDigits(item.currency) };
        }
        if (kind !== undefined) return item.detail[id as DetailField] ?? '';
        return id === 'number' || id === 'reference' || id === 'note' ? item[id] : '';
      },
    };
  });

const MONEY: ReadonlySet<ItemColumn> = new Set(THING_SUMS);

/** The things behind an account as a document: what Bathron reads again, a total, and whether it ties. */
export const thingsReport = (
  account: Account,
  items: readonly Item[],
  contacts: readonly Contact[],
  tie: Tie,
  rules: ThingRules,
  { codes, levels }: { readonly codes: CodeBook; readonly levels: readonly string[] },
  head: {
    readonly openingDate: IsoDate;
    readonly currency: Currency;
    readonly digits: number;
    readonly draft: boolean;
  },
): Document => {
  const own = thingColumns(rules.schedule, levels).filter(({ id }) => id !== 'should');
  const columns = [...valuesOf(own, rules, new Map(contacts.map((one) => [one.id, one]))), ...codeColumns(codes)];
  const currency = account.currency ?? head.currency;
  const lines = items.map((item): Line => ({
    kind: 'line',
    depth: 0,
    values: columns.map(({ value }) => value(item)),
  }));
  const one = items.every((item) => item.currency === currency);
  const total = columns.map(({ column }, place): Value => {
    const id = own[place]?.id;
    if (place === 0) return '';
    if (id === 'note' || (id === 'contact' && place < 2)) return 'Total';
    return column.kind === 'figure' && id !== undefined && MONEY.has(id)
      ? { amount: sum(items.map((item) => thingAmount(item, id, rules) ?? NIL)), digits: minorDigits(currency) }
      : null;
  });
  return {
    title: `${TITLES[rules.schedule]}, ${called(account)}`,
    about: say`At close of ${dated(head.openingDate)}`,
    standing: head.draft ? { draft: true } : { draft: false, says: say`Posted with the opening balances` },
    columns: columns.map(({ column }) => column),
    sections: [
      {
        title: null,
        lines: items.length === 0 || !one ? lines : [...lines, { kind: 'total', depth: 0, values: total }],
      },
    ],
    notes: tieSaid(tie, head.currency, head.digits),
  };
};

/** What the tie-out says, for whoever reads the list. */
const tieSaid = (tie: Tie, base: Currency, digits: number): readonly Sentence[] => {
  const amount = (units: Minor) => ({ number: plainDecimal(units, digits) });
  if (tie.state === 'none') return [];
  return [
    ...(tie.closing === null
      ? []
      : [say`The statement closes on ${{ date: tie.closing.date }} with ${amount(tie.closing.amount)}.`]),
    tie.support === null
      ? say`Its worth in ${base} is not known: a rate of the opening date is missing.`
      : tie.state === 'tied'
        ? say`It ties to the opening figure, ${amount(tie.figure)} ${base}.`
        : say`Opening figure ${amount(tie.figure)}, behind it ${amount(tie.support)}: ${amount(tie.difference ?? NIL)} ${base} apart.${tie.reason === null ? '' : ` Explained: ${tie.reason}`}`,
  ];
};

/**
 * The items of an account as a document: amounts on the schedule's own side (what is owed is positive, what reduces it negative), a
 * total per currency, and whether it ties. The columns bear the names by which such lists are read again.
 */
export const scheduleReport = (
  account: Account,
  schedule: ScheduleKind,
  items: readonly Item[],
  contacts: readonly Contact[],
  tie: Tie,
  codes: CodeBook,
  head: {
    readonly openingDate: IsoDate;
    readonly currency: Currency;
    readonly digits: number;
    readonly draft: boolean;
  },
): Document => {
  const own = codeColumns(codes);
  const columns = [...COLUMNS, ...own.map(({ column }) => column)];
  const byId = new Map(contacts.map((one) => [one.id, one]));
  const kinds = new Map(kindsIn(schedule).map(({ id, label }) => [id, label]));
  const turned = schedule === 'suppliers';
  const money = (amount: Minor | null, currency: Currency): Value =>
    amount === null ? null : { amount: turned ? negate(amount) : amount, digits: minorDigits(currency) };
  const lines = items.map((item): Line => {
    const contact = item.contact === null ? undefined : byId.get(item.contact);
    const values: readonly Value[] = [
      contact?.code ?? '',
      contact?.name ?? '',
      kinds.get(item.kind) ?? '',
      item.number,
      item.reference,
      item.order,
      item.date === null ? null : { date: item.date },
      item.due === null ? null : { date: item.due },
      item.currency,
      money(item.original, item.currency),
      money(item.open, item.currency),
      money(item.currency === head.currency ? item.open : item.base, head.currency),
      item.note,
      ...own.map(({ value }) => value(item)),
    ];
    return { kind: 'line', depth: 0, values };
  });
  const sums = new Map<Currency, Minor>();
  for (const { currency, open } of items) sums.set(currency, add(sums.get(currency) ?? NIL, open));
  const totals = [...sums].map(([currency, open], at): Line => {
    const last = at === sums.size - 1;
    const empty: readonly Value[] = columns.map(() => null);
    return {
      kind: last ? 'total' : 'sum',
      depth: 0,
      values: empty.map((_, place) =>
        place === 1 ? `Total in ${currency}` : place === 8 ? currency : place === 10 ? money(open, currency) : null,
      ),
    };
  });
  return {
    title: `${TITLES[schedule]}, ${called(account)}`,
    about: say`At close of ${dated(head.openingDate)}`,
    standing: head.draft ? { draft: true } : { draft: false, says: say`Posted with the opening balances` },
    columns,
    sections: [{ title: null, lines: [...lines, ...totals] }],
    notes: tieSaid(tie, head.currency, head.digits),
  };
};

/** The contacts of the books, with the names of columns by which such lists are read again. */
export const contactsReport = (contacts: readonly Contact[]): Document => ({
  title: 'Contacts',
  about: say`${String(contacts.length)} customers, suppliers and others`,
  standing: null,
  columns: [
    { label: 'Code', kind: 'code' },
    { label: 'Name', kind: 'text' },
    { label: 'Type', kind: 'code' },
    { label: 'VAT number', kind: 'code' },
    { label: 'Country', kind: 'code' },
    { label: 'Currency', kind: 'code' },
    { label: 'Terms', kind: 'code' },
    { label: 'Email', kind: 'text' },
    { label: 'Phone', kind: 'code' },
    { label: 'Address', kind: 'text' },
  ],
  sections: [
    {
      title: null,
      lines: contacts.map((one) => ({
        kind: 'line',
        depth: 0,
        values: [
          one.code,
          one.name,
          CONTACT_ROLES.find(({ id }) => id === one.role)?.label ?? '',
          one.taxNumber,
          one.country,
          one.currency,
          one.terms === null ? '' : describeTerms(one.terms),
          one.email,
          one.phone,
          one.address.replaceAll('\n', ', '),
        ],
      })),
    },
  ],
  notes: [],
});
