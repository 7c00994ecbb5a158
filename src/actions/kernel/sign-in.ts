import { createHmac, randomBytes } from 'node:crypto';
import { type PersonId, personId } from '@/core/base/ids';
import { betterAuth } from 'better-auth/minimal';
import { twoFactor } from 'better-auth/plugins/two-factor';
import { FEWEST_CHARACTERS, MOST_CHARACTERS } from '@/core/access/passphrase-length';
import { readSecret } from '@/store/secret';
import { signInAdapter } from '@/store/sign-in-adapter';
import { address } from './address';
import { database, databaseNumber, newId } from './context';

/** A working day and its evening; nobody stays signed in over night. */
const SESSION_SECONDS = 12 * 60 * 60;

/** What the address of whoever asks is handed on in. It is made by us, from what the nearest proxy says. */
export const CLIENT = 'x-bathron-client';

const STAMPS = { createdAt: 'created_at', updatedAt: 'updated_at' } as const;

/** Letters and digits that are not mixed up when they are read aloud. */
const CODE_LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';

/** So many letters, in groups that are read well. */
const inLetters = (bytes: Uint8Array, group: number): string =>
  (
    Array.from(bytes, (byte) => CODE_LETTERS[byte % CODE_LETTERS.length])
      .join('')
      .match(new RegExp(`.{1,${String(group)}}`, 'g')) ?? []
  ).join('-');

/**
 * The library that signs people in, over our own tables. None of its addresses can be reached: only what is called from `sign-in/` is
 * carried out, after our own guard of hosts and origins, and our own count of attempts.
 */
const made = (secret: string, secure: boolean) =>
  betterAuth({
    appName: 'Bathron',
    // Only names cookies and begins links that are never sent; ours begin with the address that people use.
    baseURL: secure ? 'https://bathron.invalid' : 'http://bathron.invalid',
    secret,
    database: signInAdapter(database),
    telemetry: { enabled: false },
    logger: { disabled: true },
    rateLimit: { enabled: false },
    emailAndPassword: {
      enabled: true,
      disableSignUp: true,
      minPasswordLength: FEWEST_CHARACTERS,
      maxPasswordLength: MOST_CHARACTERS,
    },
    user: {
      modelName: 'login',
      fields: { emailVerified: 'email_verified', ...STAMPS },
      additionalFields: { personId: { type: 'number', required: true, input: false, fieldName: 'person_id' } },
    },
    session: {
      modelName: 'login_session',
      fields: {
        userId: 'login_id',
        expiresAt: 'expires_at',
        ipAddress: 'ip_address',
        userAgent: 'user_agent',
        ...STAMPS,
      },
      expiresIn: SESSION_SECONDS,
      disableSessionRefresh: true,
    },
    account: {
      modelName: 'login_credential',
      fields: { userId: 'login_id', accountId: 'account_id', providerId: 'provider_id', ...STAMPS },
    },
    verification: {
      modelName: 'login_challenge',
      fields: { expiresAt: 'expires_at', ...STAMPS },
      storeIdentifier: 'hashed',
    },
    advanced: {
      cookiePrefix: 'bathron',
      useSecureCookies: secure,
      ipAddress: { ipAddressHeaders: [CLIENT] },
      database: { generateId: () => newId() },
    },
    plugins: [
      twoFactor({
        issuer: 'Bathron',
        backupCodeOptions: {
          customBackupCodesGenerate: () => Array.from({ length: 10 }, () => inLetters(randomBytes(10), 5)),
        },
        schema: {
          user: { fields: { twoFactorEnabled: 'two_factor_enabled' } },
          twoFactor: {
            modelName: 'login_second_step',
            fields: {
              userId: 'login_id',
              backupCodes: 'backup_codes',
              failedVerificationCount: 'failed_verification_count',
              lockedUntil: 'locked_until',
            },
          },
        },
      }),
    ],
  });

type SignIn = ReturnType<typeof made>;

const shared = globalThis as { bathronSignIn?: { readonly of: number; readonly is: SignIn } };

/** Held for the database that it was made for: tests bring their own. */
export const signIn = (): SignIn => {
  if (shared.bathronSignIn?.of !== databaseNumber()) {
    shared.bathronSignIn = { of: databaseNumber(), is: made(secret(), address().secure) };
  }
  return shared.bathronSignIn.is;
};

export const secret = (): string => readSecret(process.env.BATHRON_DATA ?? '.data', process.env.BATHRON_SECRET);

/**
 * The code that guards the first start: whoever can read what the server printed, or its secret, may begin the practice. It is made from
 * the secret, so that all processes print the same.
 */
export const firstCode = (): string =>
  inLetters(createHmac('sha256', secret()).update('first start').digest().subarray(0, 12), 4);

/** A session that stands. */
export interface Session {
  readonly person: PersonId;
  readonly session: string;
  readonly login: string;
}

/** Whose session a request carries, if it carries one that stands. */
export const sessionIn = async (headers: Headers): Promise<Session | undefined> => {
  // Whoever brings no cookie costs no look into the database.
  if (!headers.get('cookie')?.includes('bathron.')) return undefined;
  const found = await signIn().api.getSession({ headers });
  return found === null
    ? undefined
    : { person: personId(found.user.personId), session: found.session.id, login: found.user.id };
};
