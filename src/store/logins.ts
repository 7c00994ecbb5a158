import type { PersonId } from '@/core/base/ids';
import type { LinkKind } from '@/core/access/links';
import type { Role } from '@/core/access/roles';
import { type Queryable, one } from './database';

/** Whether somebody can come in: who signs in already, or whoever holds a link that was made for them. */
export const anyWayIn = async (tx: Queryable, at: string): Promise<boolean> =>
  (await anyLogin(tx)) ||
  one(
    await tx.query<{ any: boolean }>(
      'select exists (select from login_link where used_at is null and expires_at > $1) as any',
      [at],
    ),
  ).any;

/** Whether anybody can sign in at all; before the first, a practice has to be begun. */
export const anyLogin = async (tx: Queryable): Promise<boolean> =>
  one(await tx.query<{ any: boolean }>('select exists (select from login) as any')).any;

/** What a link is for, as long as it holds. */
export interface Link {
  readonly id: number;
  readonly kind: LinkKind;
  readonly practice: number;
  readonly practiceName: string;
  readonly person: PersonId;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}

/** Keeps a link by its hash; links for the same person that were not used hold no more. */
export const insertLink = async (
  tx: Queryable,
  practice: number,
  person: PersonId,
  link: {
    readonly kind: LinkKind;
    readonly hash: string;
    readonly by: PersonId | null;
    readonly at: string;
    readonly until: string;
  },
): Promise<void> => {
  await tx.query('delete from login_link where practice_id = $1 and person_id = $2 and used_at is null', [
    practice,
    person,
  ]);
  await tx.query(
    `insert into login_link (practice_id, person_id, kind, token_hash, made_by, made_at, expires_at)
     values ($1, $2, $3, $4, $5, $6, $7)`,
    [practice, person, link.kind, link.hash, link.by, link.at, link.until],
  );
};

/** The link of a hash, where it holds at `at`: not used, not expired, and its person still in the practice. */
export const linkOf = async (tx: Queryable, hash: string, at: string): Promise<Link | undefined> =>
  (
    await tx.query<Link>(
      `select l.id, l.kind, l.practice_id as practice, q.name as "practiceName", p.id as person, p.name, p.email, p.role
       from login_link l join person p on p.id = l.person_id join practice q on q.id = l.practice_id
       where l.token_hash = $1 and l.used_at is null and l.expires_at > $2 and p.active and p.email <> ''`,
      [hash, at],
    )
  )[0];

/** Uses a link up; false where somebody else did just now. */
export const useLink = async (tx: Queryable, id: number, at: string): Promise<boolean> =>
  (await tx.query('update login_link set used_at = $2 where id = $1 and used_at is null returning id', [id, at]))
    .length > 0;

/** Whose login bears an address, as far as the practice is concerned. */
export interface LoginOf {
  readonly practice: number;
  readonly person: PersonId;
  readonly name: string;
}

export const loginAt = async (tx: Queryable, email: string): Promise<LoginOf | undefined> =>
  (
    await tx.query<LoginOf>(
      `select l.practice_id as practice, l.person_id as person, p.name
       from login l join person p on p.id = l.person_id where l.email = lower($1) and p.active`,
      [email],
    )
  )[0];

/** Whether an address is the login of somebody else. */
export const isTaken = async (tx: Queryable, email: string, person: PersonId): Promise<boolean> =>
  (await tx.query('select 1 as one from login where email = lower($1) and person_id <> $2', [email, person])).length >
  0;

/** What the library calls a passphrase, among other ways to sign in that we do not use. */
const BY_PASSPHRASE = 'credential';

/** Gives somebody a passphrase, by its hash, and ends all their sessions; who had none can sign in from now on. */
export const putPassphrase = async (
  tx: Queryable,
  of: { readonly practice: number; readonly person: PersonId; readonly name: string; readonly email: string },
  hash: string,
  newId: () => string,
  at: string,
): Promise<void> => {
  const { id } = one(
    await tx.query<{ id: string }>(
      `insert into login (id, practice_id, person_id, name, email, created_at, updated_at) values ($1, $2, $3, $4, lower($5), $6, $6)
       on conflict (person_id) do update set updated_at = excluded.updated_at returning id`,
      [newId(), of.practice, of.person, of.name, of.email, at],
    ),
  );
  await tx.query(
    `insert into login_credential (id, login_id, account_id, provider_id, password, created_at, updated_at) values ($1, $2, $2, $3, $4, $5, $5)
     on conflict (login_id, provider_id) do update set password = excluded.password, updated_at = excluded.updated_at`,
    [newId(), id, BY_PASSPHRASE, hash, at],
  );
  await endSessions(tx, of.person);
};

/** Ends all sessions of somebody. */
export const endSessions = async (tx: Queryable, person: PersonId): Promise<void> => {
  await tx.query('delete from login_session where login_id in (select id from login where person_id = $1)', [person]);
};

/** Somebody is called otherwise, or has another address; whoever can sign in does so under it. */
export const moveLogin = async (tx: Queryable, person: PersonId, name: string, email: string): Promise<void> => {
  await tx.query('update login set name = $2, email = lower($3) where person_id = $1', [person, name, email]);
};

/** Takes the second step of somebody away, who has lost the device and the codes. */
export const dropSecondStep = async (tx: Queryable, person: PersonId): Promise<void> => {
  await tx.query('delete from login_second_step where login_id in (select id from login where person_id = $1)', [
    person,
  ]);
  await tx.query('update login set two_factor_enabled = false where person_id = $1', [person]);
};

export interface Session {
  readonly id: string;
  readonly since: string;
  readonly until: string;
  readonly address: string;
  /** The browser, by what it says of itself. */
  readonly browser: string;
}

/** The sessions of somebody that stand at `at`, the newest first. */
export const sessionsOf = (tx: Queryable, person: PersonId, at: string): Promise<readonly Session[]> =>
  tx.query<Session>(
    `select s.id, s.created_at as since, s.expires_at as until, coalesce(s.ip_address, '') as address, coalesce(s.user_agent, '') as browser
     from login_session s join login l on l.id = s.login_id where l.person_id = $1 and s.expires_at > $2 order by s.created_at desc, s.id`,
    [person, at],
  );

/** Ends one session of somebody; false where they have none of that number. */
export const endSession = async (tx: Queryable, person: PersonId, id: string): Promise<boolean> =>
  (
    await tx.query(
      'delete from login_session s using login l where l.id = s.login_id and l.person_id = $1 and s.id = $2 returning s.id',
      [person, id],
    )
  ).length > 0;

/** How somebody signs in: whether they can, with a second step or not, and whether a link is under way to them. */
export interface WayIn {
  readonly person: PersonId;
  readonly login: boolean;
  readonly secondStep: boolean;
  readonly sessions: number;
  /** Until when a link that was not used yet holds. */
  readonly link: string | null;
}

export const waysIn = (tx: Queryable, practice: number, at: string): Promise<readonly WayIn[]> =>
  tx.query<WayIn>(
    `select p.id as person, l.id is not null as login, coalesce(l.two_factor_enabled, false) as "secondStep",
       (select count(*)::int from login_session s where s.login_id = l.id and s.expires_at > $2) as sessions,
       (select max(k.expires_at) from login_link k where k.practice_id = p.practice_id and k.person_id = p.id and k.used_at is null and k.expires_at > $2) as link
     from person p left join login l on l.person_id = p.id where p.practice_id = $1`,
    [practice, at],
  );

/** Throws away what has run out: sessions, what was begun, attempts of yesterday, links of last month. */
export const sweepLogins = async (tx: Queryable, at: string): Promise<void> => {
  await tx.query('delete from login_session where expires_at < $1', [at]);
  await tx.query('delete from login_challenge where expires_at < $1', [at]);
  await tx.query(`delete from login_attempt where since < $1::timestamptz - interval '1 day'`, [at]);
  await tx.query(`delete from login_link where expires_at < $1::timestamptz - interval '30 days'`, [at]);
};
