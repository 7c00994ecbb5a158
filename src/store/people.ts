import type { BooksId, PersonId } from '@/core/base/ids';
import type { GivenRole, Role } from '@/core/access/roles';
import type { Review } from '@/core/access/review';
import { type Queryable, arrayText, one } from './database';

/** Somebody of a practice. */
export interface Person {
  readonly id: PersonId;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly charts: boolean;
  readonly active: boolean;
  readonly revision: number;
}

export type PersonFields = Omit<Person, 'id' | 'revision'>;

/** What somebody is in one set of books, and why. */
export interface Given {
  readonly person: PersonId;
  readonly books: BooksId;
  readonly booksName: string;
  readonly role: GivenRole;
  readonly reason: string;
  readonly by: string;
  readonly at: string;
}

export interface ActingPerson extends Pick<Person, 'id' | 'name' | 'email' | 'role' | 'charts'> {
  readonly practice: number;
  readonly given: ReadonlyMap<number, GivenRole>;
  /** Whether a second step is demanded of them that they have not set up. */
  readonly unfinished: boolean;
}

/** Somebody who may act, with what they are in single sets of books; the practice's first active owner where nobody is asked for. */
export const actingPerson = async (tx: Queryable, id: number | undefined): Promise<ActingPerson | undefined> => {
  const [found] = await tx.query<Omit<ActingPerson, 'given'> & { given: readonly (readonly [number, GivenRole])[] }>(
    `select p.id, p.name, p.email, p.role, p.charts, p.practice_id as practice,
       (select coalesce(jsonb_agg(jsonb_build_array(g.books_id, g.role)), '[]') from person_books g where g.person_id = p.id) as given,
       exists (select from practice q where q.id = p.practice_id and p.role = any(q.second_step_roles))
         and not exists (select from login l where l.person_id = p.id and l.two_factor_enabled) as unfinished
     from person p where p.active and ${id === undefined ? "p.role = 'owner' order by p.id limit 1" : 'p.id = $1'}`,
    id === undefined ? [] : [id],
  );
  return found === undefined ? undefined : { ...found, given: new Map(found.given) };
};

/** The practice that was first: what nobody's practice is known of belongs to it. */
export const firstPractice = async (tx: Queryable): Promise<number> =>
  one(await tx.query<{ id: number }>('select min(id) as id from practice')).id;

/** The active owner with an address. */
export const ownerAt = async (
  tx: Queryable,
  email: string,
): Promise<Pick<ActingPerson, 'id' | 'practice'> | undefined> =>
  (
    await tx.query<Pick<ActingPerson, 'id' | 'practice'>>(
      `select id, practice_id as practice from person where lower(email) = lower($1) and role = 'owner' and active order by id limit 1`,
      [email],
    )
  )[0];

/** Whether the data of a practice is the demo's, so that one may choose who to be. */
export const isDemo = async (tx: Queryable, practice: number): Promise<boolean> =>
  one(await tx.query<{ demo: boolean }>('select demo from practice where id = $1', [practice])).demo;

export const markDemo = async (tx: Queryable, practice: number): Promise<void> => {
  await tx.query('update practice set demo = true where id = $1', [practice]);
};

export const practiceReview = async (tx: Queryable, practice: number): Promise<Review> =>
  one(await tx.query<{ review: Review }>('select review from practice where id = $1', [practice])).review;

export const putPracticeReview = async (tx: Queryable, practice: number, review: Review): Promise<void> => {
  await tx.query('update practice set review = $2 where id = $1', [practice, review]);
};

/** Roles that have to sign in with a second step. */
export const secondStepRoles = async (tx: Queryable, practice: number): Promise<readonly Role[]> =>
  one(
    await tx.query<{ roles: readonly Role[] }>('select second_step_roles as roles from practice where id = $1', [
      practice,
    ]),
  ).roles;

export const putSecondStepRoles = async (tx: Queryable, practice: number, roles: readonly Role[]): Promise<void> => {
  await tx.query('update practice set second_step_roles = $2::text::text[] where id = $1', [
    practice,
    arrayText(roles),
  ]);
};

export const personsOf = (tx: Queryable, practice: number): Promise<readonly Person[]> =>
  tx.query<Person>(
    `select id, name, email, role, charts, active, revision from person where practice_id = $1
     order by active desc, lower(name), id`,
    [practice],
  );

export const insertPerson = async (tx: Queryable, practice: number, fields: PersonFields): Promise<PersonId> =>
  one(
    await tx.query<{ id: PersonId }>(
      'insert into person (practice_id, name, email, role, charts, active) values ($1, $2, $3, $4, $5, $6) returning id',
      [practice, fields.name, fields.email, fields.role, fields.charts, fields.active],
    ),
  ).id;

/** Writes what somebody is, where nobody else did since `revision`; false where somebody did. Books in their charge follow the name. */
export const updatePerson = async (
  tx: Queryable,
  practice: number,
  { id, revision }: Pick<Person, 'id' | 'revision'>,
  fields: PersonFields,
): Promise<boolean> => {
  await tx.query(
    `update books b set in_charge_name = $3 from person p
     where p.practice_id = $1 and p.id = $2 and b.practice_id = $1 and lower(b.in_charge_name) = lower(p.name)`,
    [practice, id, fields.name],
  );
  const written = await tx.query(
    `update person set name = $4, email = $5, role = $6, charts = $7, active = $8, revision = revision + 1
     where practice_id = $1 and id = $2 and revision = $3 returning id`,
    [practice, id, revision, fields.name, fields.email, fields.role, fields.charts, fields.active],
  );
  return written.length > 0;
};

export const givenIn = (tx: Queryable, practice: number): Promise<readonly Given[]> =>
  tx.query<Given>(
    `select g.person_id as person, g.books_id as books, b.name as "booksName", g.role, g.reason, s.name as by, g.set_at as at
     from person_books g join books b on b.id = g.books_id join person s on s.id = g.set_by
     where g.practice_id = $1 order by b.name, b.id`,
    [practice],
  );

/** Says what somebody is in one set of books; null: what they are in the practice. */
export const putGiven = async (
  tx: Queryable,
  practice: number,
  person: PersonId,
  books: number,
  given: { readonly role: GivenRole; readonly reason: string } | null,
  by: PersonId,
  at: string,
): Promise<void> => {
  await (given === null
    ? tx.query('delete from person_books where practice_id = $1 and person_id = $2 and books_id = $3', [
        practice,
        person,
        books,
      ])
    : tx.query(
        `insert into person_books (practice_id, person_id, books_id, role, reason, set_by, set_at) values ($1, $2, $3, $4, $5, $6, $7)
         on conflict (person_id, books_id) do update
         set role = excluded.role, reason = excluded.reason, set_by = excluded.set_by, set_at = excluded.set_at`,
        [practice, person, books, given.role, given.reason, by, at],
      ));
};
