import { createHash, randomBytes } from 'node:crypto';
import type { PersonId } from '@/core/base/ids';
import { type LinkKind, insertLink } from '@/store/logins';
import type { Queryable } from '@/store/database';
import type { Mail } from '@/store/simulated-mail';

/** How long a link holds. Whoever is invited may be away for a week; who has forgotten a passphrase sits and waits. */
const MINUTES: Readonly<Record<LinkKind, number>> = { invitation: 7 * 24 * 60, recovery: 30 };
const HOLDS: Readonly<Record<LinkKind, string>> = { invitation: 'seven days', recovery: 'thirty minutes' };

/** What is kept of a secret that was handed out. */
export const hashed = (secret: string): string => createHash('sha256').update(secret).digest('base64url');

/** Makes a link with which somebody chooses a passphrase, once; the path is known to whoever is given it, and to nobody else. */
export const makeWayIn = async (
  tx: Queryable,
  practice: number,
  person: PersonId,
  kind: LinkKind,
  by: PersonId | null,
  at: string,
): Promise<string> => {
  const token = randomBytes(32).toString('base64url');
  const until = new Date(Date.parse(at) + MINUTES[kind] * 60_000).toISOString();
  await insertLink(tx, practice, person, { kind, hash: hashed(token), by, at, until });
  return `/way-in/${token}`;
};

/** The e-mail that brings a link. */
export const wayInMail = (
  kind: LinkKind,
  to: { readonly email: string; readonly name: string },
  practice: string,
  link: string,
): Mail => ({
  to: to.email,
  subject: kind === 'invitation' ? `${practice}: your way into Bathron` : 'Bathron: another passphrase',
  body: `${to.name},

${
  kind === 'invitation'
    ? `${practice} keeps books with Bathron and would like you to take part. Choose a passphrase here:`
    : `somebody, most likely you, asked for another passphrase at ${practice}. Choose it here:`
}

${link}

The link works once, and for ${HOLDS[kind]}.${
    kind === 'recovery' ? ' If it was not you, leave it: your passphrase stays as it is.' : ''
  }
`,
});
