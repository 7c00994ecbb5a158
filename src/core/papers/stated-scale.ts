import { folded } from '../base/folded';
import { type Table, textOf } from '../base/table';
import { HUNDREDTHS } from '../words/paper-words';
import { AMOUNT_ROLES, titleRows } from './header';
import type { Reading } from './reading';
import { type Scale, isUnitRow, scaleIn } from './units';

export type { Scale } from './units';

/**
 * Whether accounts of a paper without its last figures are out by no more than their rounding may leave: half a unit of it for
 * each account. `net` is in minor units of a currency with so many digits.
 */
export const isRounding = (net: bigint, accounts: number, scale: Scale | undefined, digits: number): boolean =>
  scale !== undefined && scale > 0 && (net < 0n ? -net : net) * 2n <= BigInt(accounts) * 10n ** BigInt(scale + digits);

/** What the titles of a paper and of its amount columns say its amounts are in; undefined for single units. Hundredths are said by the columns alone. */
export const statedScale = (
  table: Pick<Table, 'rows' | 'format'>,
  { header, columns }: Pick<Reading, 'header' | 'columns'>,
): Scale | undefined => {
  const below = table.rows[header + 1] ?? [];
  const own = [...(header < 0 ? [] : [table.rows[header] ?? []]), ...(isUnitRow(below) ? [below] : [])].flatMap((row) =>
    row.filter((_, at) => AMOUNT_ROLES.has(columns[at] ?? 'ignore')),
  );
  if (own.some((title) => HUNDREDTHS.in(folded(textOf(title))) !== undefined)) return -2;
  for (const text of [...own, ...titleRows(table, header).flat()].map(textOf)) {
    const found = scaleIn(text);
    if (found !== undefined) return found;
  }
  return undefined;
};
