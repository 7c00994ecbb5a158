import type { ItemColumn } from '../item-columns';
import type { ThingKind } from '../kinds';
import { PRICE_FIELDS, priceLevels } from './prices';

/** A column of a schedule of things: what it is called there, and how wide it stands. */
export interface ThingColumn {
  readonly id: ItemColumn;
  readonly label: string;
  readonly width: string;
}

const column = (id: ItemColumn, label: string, width = '6.6rem'): ThingColumn => ({ id, label, width });
const WIDE = 'minmax(10rem,1.4fr)';

/** The columns of each kind, in their order. `net`, `should` and `gone` are worked out; of `price` there is one for each level. */
const THING_COLUMNS: Readonly<Record<ThingKind, readonly ThingColumn[]>> = {
  stock: [
    column('number', 'Code', '6rem'),
    column('note', 'Article', WIDE),
    column('unit', 'Unit', '3.6rem'),
    column('quantity', 'Quantity'),
    column('cost', 'Unit cost'),
    column('open', 'Value', '7rem'),
    column('beside', 'Write-down', '6.2rem'),
    column('price', '', '6.8rem'),
    column('date', 'Counted on', '6.1rem'),
    column('place', 'Place', '5.5rem'),
    column('category', 'Category', '7rem'),
  ],
  assets: [
    column('number', 'Code', '4.4rem'),
    column('note', 'Asset', 'minmax(9rem,1.4fr)'),
    column('date', 'Acquired', '6rem'),
    column('life', 'Life, months', '6.2rem'),
    column('open', 'Cost', '6.6rem'),
    column('beside', 'Depreciation', '6.6rem'),
    column('should', 'Should be', '6.6rem'),
    column('net', 'Book value', '6.6rem'),
    column('method', 'Method', '7.4rem'),
    column('rate', 'Rate %', '4.2rem'),
    column('residual', 'Residual', '5.8rem'),
    column('disposed', 'Gone on', '6rem'),
  ],
  loan: [
    column('contact', 'Lender', 'minmax(8rem,1.4fr)'),
    column('number', 'Contract', '5.6rem'),
    column('date', 'Begun', '6rem'),
    column('original', 'Lent', '6.4rem'),
    column('rate', 'Rate %', '4rem'),
    column('instalment', 'Instalment', '5.8rem'),
    column('every', 'Months', '4.2rem'),
    column('due', 'Last payment', '6.4rem'),
    column('owed', 'Still owed', '6.4rem'),
    column('beside', 'Within a year', '6.4rem'),
    column('open', 'Later', '6.4rem'),
    column('note', 'Note', 'minmax(7rem,0.8fr)'),
  ],
  span: [
    column('note', 'What', WIDE),
    column('contact', 'With', 'minmax(7rem,1fr)'),
    column('number', 'Document', '6.6rem'),
    column('date', 'From', '6.1rem'),
    column('due', 'To', '6.1rem'),
    column('original', 'Whole', '7rem'),
    column('gone', 'Up to now', '7rem'),
    column('open', 'After', '7rem'),
  ],
  tax: [
    column('note', 'What', WIDE),
    column('reference', 'Period', '7rem'),
    column('number', 'Return', '7rem'),
    column('date', 'Of', '6.1rem'),
    column('due', 'To be paid by', '6.8rem'),
    column('open', 'Owed', '7rem'),
  ],
  holders: [
    column('contact', 'Holder', WIDE),
    column('note', 'Class', 'minmax(7rem,1fr)'),
    column('shares', 'Shares', '6.6rem'),
    column('nominal', 'Nominal', '6.2rem'),
    column('date', 'Since', '6.1rem'),
    column('open', 'Paid in', '7rem'),
  ],
};

/** The columns of a schedule of things, in their order, in books with such price levels. */
export const thingColumns = (kind: ThingKind, levels: readonly string[]): readonly ThingColumn[] =>
  THING_COLUMNS[kind].flatMap((one) =>
    one.id === 'price' ? priceLevels(levels).map(({ field, label }) => ({ ...one, id: field, label })) : [one],
  );

/** Columns that nobody types: they follow from others. */
export const WORKED_OUT: ReadonlySet<ItemColumn> = new Set(['net', 'should', 'gone']);

/** What the second amount of an item is called, and which side it has beside the first. */
export const BESIDE: Readonly<Partial<Record<ThingKind, { readonly sign: 1 | -1; readonly where: string }>>> = {
  stock: { sign: -1, where: 'Write-downs stand on' },
  assets: { sign: -1, where: 'Depreciation stands on' },
  loan: { sign: 1, where: 'What is due within a year stands on' },
};

/** Columns that hold figures. */
export const THING_FIGURES: readonly ItemColumn[] = [
  'quantity',
  'cost',
  ...PRICE_FIELDS,
  'beside',
  'should',
  'net',
  'residual',
  'life',
  'rate',
  'instalment',
  'every',
  'owed',
  'gone',
  'shares',
  'nominal',
];
/** Amounts that add up in a list of things. */
export const THING_SUMS: readonly ItemColumn[] = ['open', 'beside', 'net', 'original', 'owed', 'gone'];
