import type { AccountRole, Classification } from '../../ledger/classes';
import type { Side } from '../../money/minor';

/** Id, statement line, usual side, role (or none), and terms: languages parted by semicolons, terms by commas. */
export type ConceptLine = readonly [
  id: string,
  line: Classification,
  side: Side,
  role: AccountRole | '',
  terms: string,
];

/** Something that accounts are about, whatever they are called. */
export interface Concept {
  readonly id: string;
  readonly line: Classification;
  /** The side on which such an account usually stands. */
  readonly side: Side;
  readonly role: AccountRole | null;
  /** Its names in the languages of the trade, folded: each a list of words. */
  readonly terms: readonly (readonly string[])[];
}
