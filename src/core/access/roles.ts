import { DEEDS, type Deed } from './deeds';

/** What a person is in the practice. */
export const ROLES = ['owner', 'preparer', 'reviewer', 'client'] as const;
export type Role = (typeof ROLES)[number];

/**
 * Who may do what. An owner may do all. A preparer does the work, but posts nothing; a reviewer looks, and posts what somebody else
 * prepared; a client looks at the books that are theirs.
 */
const MAY: Readonly<Record<Role, ReadonlySet<Deed>>> = {
  owner: new Set(DEEDS),
  preparer: new Set<Deed>([
    'practice.see',
    'books.see',
    'books.make',
    'company.change',
    'calendar.change',
    'currencies.change',
    'chart.change',
    'papers.change',
    'openings.change',
    'schedules.look',
    'changes.undo',
  ]),
  reviewer: new Set<Deed>(['practice.see', 'books.see', 'openings.post', 'openings.correct', 'schedules.look']),
  client: new Set<Deed>(['books.see']),
};

/** Whoever acts, as far as it decides what they may do. */
export interface Acting {
  readonly practice: number;
  readonly role: Role;
}

/**
 * Whether somebody may do a deed, in a set of books or (where none are given) in the practice. Books of another practice are nobody's
 * here.
 *
 * @example may({ practice: 1, role: 'preparer' }, 'openings.post', { practice: 1 }) // false
 */
export const may = (actor: Acting, deed: Deed, books?: { readonly practice: number }): boolean =>
  MAY[actor.role].has(deed) && (books === undefined || books.practice === actor.practice);
