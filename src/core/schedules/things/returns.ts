import type { IsoDate } from '../../base/iso-date';
import type { PlainDate } from '../../base/dates';
import { type CompanyFacts, returnsOf } from '../../company/facts';
import { type Minor, sum } from '../../money/minor';
import type { ItemFields } from '../item';

/** A return period, and what a list of returns has of it. Days as ISO; the sum is debit positive. */
export interface ReturnListed {
  readonly start: IsoDate;
  readonly end: IsoDate;
  readonly items: number;
  readonly open: Minor;
  /** Whether it goes on after the opening date, so that only its beginning is of these balances. */
  readonly goesOn: boolean;
}

export type ReturnFacts = Pick<CompanyFacts, 'taxRegistered' | 'taxFrom' | 'taxFirstEnd' | 'taxInterval'>;

/** Without anything listed, so many periods are asked about. */
const LAST_PERIODS = 2;

/**
 * The return periods that a list of returns should have, in order: from the first that it has something of within a year up to the one
 * of the opening date. What lies before was filed and paid; of the others each has an item, or somebody says why not.
 */
export const returnsToList = (
  facts: ReturnFacts,
  items: readonly Pick<ItemFields, 'date' | 'open'>[],
  openingDate: PlainDate,
): readonly ReturnListed[] => {
  const day = openingDate.toString();
  const periods = returnsOf(facts, { start: openingDate.subtract({ years: 1 }), end: openingDate }).map(
    ({ start, end }): ReturnListed => {
      const [from, to] = [start.toString(), end.toString()];
      const own = items.filter(({ date }) => date !== null && date >= from && date <= to);
      return { start: from, end: to, items: own.length, open: sum(own.map(({ open }) => open)), goesOn: to > day };
    },
  );
  const first = periods.findIndex(({ items: listed }) => listed > 0);
  return periods.slice(first < 0 ? -LAST_PERIODS : first);
};
