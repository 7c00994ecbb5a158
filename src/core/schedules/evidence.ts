import { accountId, type AccountId } from '../chart/account';
import type { PaperId } from '../base/ids';
import type { Kept } from '../base/kept';
import { type Minor, NIL } from '../money/minor';
import { type ContactId, contactId } from './contact';

/** To what a paper can be attached. */
export type EvidenceOf =
  | { readonly of: 'account'; readonly id: AccountId }
  | { readonly of: 'item'; readonly id: number }
  | { readonly of: 'contact'; readonly id: ContactId }
  /** A check of Proof, by its stable id. */
  | { readonly of: 'check'; readonly id: string };

/** A paper attached to something as evidence of it. */
export interface Evidence {
  readonly id: number;
  readonly paper: PaperId;
  readonly to: EvidenceOf;
}

/** The same as it is told: what the paper is called, and who attached it when. */
export interface AttachedPaper extends Evidence {
  readonly name: string;
  readonly by: string;
  readonly at: string;
}

/** Whether nothing but somebody's word is behind an amount: it was not read from a paper, and none is attached. */
export const lacksEvidence = (amount: Minor, read: boolean, attached: readonly Evidence[]): boolean =>
  amount !== NIL && !read && attached.length === 0;

/** As the record of changes keeps it; `evidenceFrom` reads it again. */
export const keptEvidence = ({ paper, to }: Omit<Evidence, 'id'>, name: string): Kept => ({
  paper,
  of: to.of,
  to: to.id,
  name,
});

/** Undefined for none. */
export const evidenceFrom = (kept: Kept): (Omit<Evidence, 'id'> & { readonly name: string }) | undefined => {
  if (kept === null) return undefined;
  const { paper, of, to, name } = kept as unknown as {
    readonly paper: PaperId;
    readonly of: EvidenceOf['of'];
    readonly to: number | string;
    readonly name: string;
  };
  return { paper, name, to: evidenceOf(of, to) };
};

/** What it is attached to, of the kind and the number (or the check's id) that are kept. */
export const evidenceOf = (of: EvidenceOf['of'], id: number | string): EvidenceOf =>
  of === 'check'
    ? { of, id: String(id) }
    : of === 'account'
      ? { of, id: accountId(Number(id)) }
      : of === 'contact'
        ? { of, id: contactId(Number(id)) }
        : { of, id: Number(id) };
