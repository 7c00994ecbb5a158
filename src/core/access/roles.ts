import { DEEDS, type Deed } from './deeds';

/** What a person is in the practice. */
export const ROLES = ['owner', 'preparer', 'reviewer', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/** What a person is in one set of books, where that is not what they are in the practice; nobody is an owner of single books. */
export const GIVEN_ROLES = ['none', 'preparer', 'reviewer', 'reader'] as const;
export type GivenRole = (typeof GIVEN_ROLES)[number];

interface RoleFacts {
  readonly label: string;
  readonly means: string;
}
export const ROLE_FACTS: Readonly<Record<Role | GivenRole, RoleFacts>> = {
  owner: { label: 'Owner', means: 'everything, people and rights too' },
  preparer: { label: 'Preparer', means: 'sets up and enters; posts nothing' },
  reviewer: { label: 'Reviewer', means: 'looks at all of it, explains differences, signs and posts' },
  reader: { label: 'Reader', means: 'looks at the books given to them, such as a client’s own people' },
  none: { label: 'Nothing', means: 'does not see these books' },
};

/**
 * Who may do what. An owner may do all. A preparer does the work, but posts nothing; a reviewer looks, signs and posts what somebody
 * else prepared; a reader looks at the books that are given to them.
 */
const MAY: Readonly<Record<Role, ReadonlySet<Deed>>> = {
  owner: new Set(DEEDS),
  preparer: new Set<Deed>([
    'board.see',
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
    'schedules.explain',
    'changes.undo',
  ]),
  reviewer: new Set<Deed>([
    'board.see',
    'practice.see',
    'books.see',
    'openings.sign',
    'openings.post',
    'openings.correct',
    'schedules.look',
    'schedules.explain',
  ]),
  reader: new Set<Deed>(['board.see', 'books.see']),
};

/** Whoever acts, as far as it decides what they may do. */
export interface Acting {
  readonly practice: number;
  readonly role: Role;
  /** Whether they may change charts, where their role lets them; an owner may. */
  readonly charts?: boolean;
  /** What they are in single sets of books, by the books' ids. */
  readonly given?: ReadonlyMap<number, GivenRole>;
}

/** A set of books, as far as it decides who may do what in it. */
export interface OfPractice {
  readonly id: number;
  readonly practice: number;
}

/**
 * What somebody is in a set of books; undefined where they are nothing there. Books of another practice are nobody's here, an owner is
 * one in all books of the practice, and a reader sees only those that were given to them.
 *
 * @example roleIn({ practice: 1, role: 'reader' }, { id: 7, practice: 1 }) // undefined
 */
export const roleIn = (actor: Acting, books: OfPractice): Role | undefined => {
  if (books.practice !== actor.practice) return undefined;
  if (actor.role === 'owner') return 'owner';
  const given = actor.given?.get(books.id);
  if (given === 'none') return undefined;
  return given ?? (actor.role === 'reader' ? undefined : actor.role);
};

const as = (role: Role | undefined, actor: Acting, deed: Deed): boolean =>
  role !== undefined && MAY[role].has(deed) && (deed !== 'chart.change' || role === 'owner' || (actor.charts ?? true));

/**
 * Whether somebody may do a deed, in a set of books or (where none are given) in the practice.
 *
 * @example may({ practice: 1, role: 'preparer' }, 'openings.post') // false
 */
export const may = (actor: Acting, deed: Deed, books?: OfPractice): boolean =>
  as(books === undefined ? actor.role : roleIn(actor, books), actor, deed);

/** Whether somebody may do a deed anywhere: in the practice, or in some set of books that was given to them. */
export const mayAnywhere = (actor: Acting, deed: Deed): boolean =>
  may(actor, deed) || [...(actor.given?.values() ?? [])].some((role) => role !== 'none' && as(role, actor, deed));

/** All that somebody may do in a set of books, in the order of the table. */
export const deedsIn = (actor: Acting, books: OfPractice): readonly Deed[] =>
  DEEDS.filter((deed) => may(actor, deed, books));

/** Who may do a deed, in words that end a sentence: "an owner or a preparer". */
export const whoMay = (deed: Deed): string => {
  // Charts are a right of their own, which not every preparer has.
  const named = (role: Role): string =>
    `${ROLE_FACTS[role].label.toLowerCase()}${deed === 'chart.change' && role !== 'owner' ? ' with that right' : ''}`;
  const names = ROLES.filter((role) => MAY[role].has(deed)).map(named);
  const [first = '', ...others] = names.map((name) => `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`);
  const last = others.pop();
  return last === undefined ? first : `${[first, ...others].join(', ')} or ${last}`;
};
