import { type CellRules, cellText, columnsIn, labelOf } from '@/core/schedules/item-cells';
import type { ItemColumn } from '@/core/schedules/item-columns';
import type { ItemFields } from '@/core/schedules/item';
import { type ScheduleKind, isThings } from '@/core/schedules/kinds';
import type { ListNamed } from '@/core/schedules/analysis';
import { listOfColumn } from '@/core/schedules/analysis';
import { THING_FIGURES, thingColumns } from '@/core/schedules/things/columns';
import { isPrice } from '@/core/schedules/things/prices';
import type { DataColumn } from '../sheet/data-sheet';

/** Narrower on a small laptop, so that what is open is in sight there. */
const WIDTHS: Readonly<Partial<Record<ItemColumn, string>>> = {
  contact: 'clamp(9rem,14vw,22rem)',
  kind: 'clamp(5rem,calc(27vw - 13rem),8.6rem)',
  number: 'clamp(5.2rem,7.75vw,6.2rem)',
  reference: '7.5rem',
  order: '6rem',
  date: '6.1rem',
  due: '6.1rem',
  currency: '3.4rem',
  original: 'clamp(6.2rem,8.5vw,6.8rem)',
  open: 'clamp(6.2rem,8.75vw,7rem)',
  base: 'clamp(6.2rem,8.75vw,7rem)',
  note: 'minmax(9rem,1fr)',
};
const FIGURES: ReadonlySet<ItemColumn> = new Set(['original', 'open', 'base', ...THING_FIGURES]);
const CHOICES: ReadonlySet<ItemColumn> = new Set(['contact', 'kind', 'currency', 'method']);

const widthOf = (schedule: ScheduleKind, column: ItemColumn): string => {
  if (listOfColumn(column) !== undefined) return schedule === 'division' ? 'minmax(8rem,1fr)' : '8rem';
  const own = isThings(schedule)
    ? thingColumns(schedule, []).find(({ id }) => id === (isPrice(column) ? 'price' : column))?.width
    : undefined;
  return own ?? (schedule === 'statement' && column === 'kind' ? '19rem' : (WIDTHS[column] ?? '6.6rem'));
};

/** How a schedule shows its items: a column for each thing that is kept of one, as text. What it takes is the sheet's that uses them. */
export const itemColumns = (
  rules: CellRules,
  foreign: boolean,
  named: { readonly lists: readonly ListNamed[]; readonly levels: readonly string[] },
): readonly (DataColumn<ItemFields> & { readonly id: ItemColumn })[] =>
  columnsIn(rules.schedule, foreign, named).map((id) => ({
    id,
    label: labelOf(rules.schedule, id, named),
    width: widthOf(rules.schedule, id),
    kind: FIGURES.has(id) ? 'figure' : CHOICES.has(id) || listOfColumn(id) !== undefined ? 'choice' : 'text',
    text: (fields) => cellText(fields, id, rules),
    takes: false,
  }));
