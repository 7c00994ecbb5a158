import type { Queryable } from './database';

export interface Mail {
  readonly to: string;
  readonly subject: string;
  readonly body: string;
}

/** So many messages are kept. */
const MOST_MAIL = 200;

/** Puts a message into the simulated mailbox, in the place of the oldest where there are many. */
export const putMail = async (
  tx: Queryable,
  practice: number,
  { to, subject, body }: Mail,
  at: string,
): Promise<void> => {
  await tx.query('insert into simulated_mail (practice_id, address, subject, body, at) values ($1, $2, $3, $4, $5)', [
    practice,
    to,
    subject,
    body,
    at,
  ]);
  await tx.query(
    `delete from simulated_mail where practice_id = $1
     and id <= (select id from simulated_mail where practice_id = $1 order by id desc offset $2 limit 1)`,
    [practice, MOST_MAIL],
  );
};

/** All messages, the newest first. */
export const mailOf = (tx: Queryable): Promise<readonly (Mail & { readonly id: number; readonly at: string })[]> =>
  tx.query('select id, address as to, subject, body, at from simulated_mail order by id desc');
