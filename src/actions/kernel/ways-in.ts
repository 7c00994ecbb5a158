import { createHash, randomBytes } from 'node:crypto';
import type { PersonId } from '@/core/base/ids';
import { LINKS, type LinkKind } from '@/core/access/links';
import { insertLink } from '@/store/logins';
import type { Queryable } from '@/store/database';
import type { Mail } from '@/store/simulated-mail';

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
  const until = new Date(Date.parse(at) + LINKS[kind].minutes * 60_000).toISOString();
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

The link works once, and for ${LINKS[kind].holds}.${
    kind === 'recovery' ? ' If it was not you, leave it: your passphrase stays as it is.' : ''
  }
`,
});

/** The e-mail that tells somebody that their passphrase is another one now. */
export const changedMail = ({ email, name }: { readonly email: string; readonly name: string }): Mail => ({
  to: email,
  subject: 'Bathron: your passphrase was changed',
  body: `${name},\n\nyour passphrase was just changed, and your other sessions were ended. If it was not you, tell an owner of the practice at once.\n`,
});
