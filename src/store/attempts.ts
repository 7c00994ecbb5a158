import { type Queryable, one } from './database';

/**
 * Counts one more attempt at something, and says how many there were within `seconds`; a new count begins once they have passed
 * since its first. One statement, so that several processes count together.
 */
export const countAttempt = async (tx: Queryable, key: string, seconds: number, at: string): Promise<number> =>
  one(
    await tx.query<{ count: number }>(
      `insert into login_attempt as a (key, count, since) values ($1, 1, $3)
       on conflict (key) do update set
         count = case when a.since <= $3::timestamptz - make_interval(secs => $2) then 1 else least(a.count, 1000000) + 1 end,
         since = case when a.since <= $3::timestamptz - make_interval(secs => $2) then excluded.since else a.since end
       returning count`,
      [key, seconds, at],
    ),
  ).count;

/** Attempts are counted anew, since one of them was right. */
export const forgetAttempts = async (tx: Queryable, key: string): Promise<void> => {
  await tx.query('delete from login_attempt where key = $1', [key]);
};
