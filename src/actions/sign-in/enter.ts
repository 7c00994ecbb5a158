import { APIError } from 'better-auth/api';
import { z } from 'zod';
import { fail, ok, problem } from '@/core/base/result';
import { MOST_CHARACTERS } from '@/core/access/passphrase-length';
import { audit } from '@/store/audit';
import { type LoginOf, endSession, loginAt, sweepLogins } from '@/store/logins';
import { openStep, openView } from '../kernel/action';
import { text } from '../kernel/inputs';
import { type Session, sessionIn, signIn } from '../kernel/sign-in';
import { type Answered, type Asked, type Next, plainly } from './asked';
import { counted, firstUse, tooOften, wasRight } from './attempts';
import { CODE, noted } from './noted';

/** An address that nobody has: the library takes as long over it as over any other. */
const NOBODY = 'nobody@bathron.invalid';

const credentials = z.object({
  email: text(200).trim().toLowerCase(),
  passphrase: z.string().max(MOST_CHARACTERS, 'No passphrase is that long.'),
});

const wrong = fail(
  problem(
    'sign-in.wrong',
    'This address and this passphrase do not belong together here. Try again; or choose another passphrase by e-mail, below.',
  ),
);

const wrongCode = fail(
  problem(
    'sign-in.code',
    'This code does not hold, or not any more. Type the one that the device shows now; each works once.',
    'code',
  ),
);

const tooLate = fail(
  problem(
    'sign-in.over',
    'This sign-in has taken too long, or had too many tries. Begin again with your address and passphrase.',
  ),
);

const entered = openStep(
  'signIn',
  z.object({ who: z.custom<LoginOf>(), about: z.string() }),
  async ({ tx, now }, { who, about }) => {
    await sweepLogins(tx, now);
    await audit(tx, who.practice, who.person, 'sign-in', about, now);
    return ok({ to: '/' } satisfies Next);
  },
);

/** A session that a browser had before is over, whoever's it was. */
const over = openStep('endSessionBefore', z.custom<Session>(), async ({ tx }, { person, session }) => {
  await endSession(tx, person, session);
  return ok({});
});

const loginOf = (email: string): Promise<LoginOf | undefined> => openView(({ tx }) => loginAt(tx, email));

/** What the library refused; anything else is thrown on. */
export const refusedCode = (error: unknown): string => {
  if (!(error instanceof APIError)) throw error;
  const { code } = error.body ?? {};
  return typeof code === 'string' ? code : '';
};

/** The cookies that an answer of the library sets. */
export const cookiesOf = (headers: Headers): readonly string[] => headers.getSetCookie();

/** Signs somebody in by address and passphrase; whoever has a second step is asked for its code next. */
export const enter = async (input: unknown, asked: Asked): Promise<Answered<Next>> => {
  const parsed = credentials.safeParse(input);
  if (!parsed.success) return plainly(wrong);
  const { email, passphrase } = parsed.data;
  const own = `enter ${asked.client} ${email}`;
  const allowed = await counted(
    { key: own, most: 10 },
    // Somebody else's tries from elsewhere shut nobody out as soon as their own would.
    { key: `enter ${email}`, most: 60 },
    { key: `enter from ${asked.client}`, most: 120 },
  );
  if (!allowed.ok) return plainly(allowed);
  const who = await loginOf(email);
  const before = await sessionIn(asked.headers);
  try {
    const { headers, response } = await signIn().api.signInEmail({
      body: { email: who === undefined ? NOBODY : email, password: passphrase },
      headers: asked.headers,
      returnHeaders: true,
    });
    if (who === undefined) return plainly(wrong);
    await wasRight(own);
    if (before !== undefined) await over(before);
    const cookies = cookiesOf(headers);
    if (!('twoFactorRedirect' in response)) return { result: await entered({ who, about: 'Signed in' }), cookies };
    await noted({ who, about: 'The passphrase was right; the second step is asked for' });
    return { result: ok({ to: '/sign-in/code' }), cookies };
  } catch (error) {
    refusedCode(error);
    await noted({ who, about: 'Address and passphrase did not belong together' });
    return plainly(wrong);
  }
};

/** The second step of a sign-in: the code that a device shows, or one of those kept for when it is lost. */
export const enterCode = async (input: unknown, asked: Asked): Promise<Answered<Next>> => {
  const parsed = CODE.safeParse(input);
  if (!parsed.success) return plainly(wrongCode);
  const { code } = parsed.data;
  const allowed = await counted({ key: `code from ${asked.client}`, most: 60 });
  if (!allowed.ok) return plainly(allowed);
  const kept = !/^\d{6}$/.test(code);
  try {
    const { api } = signIn();
    const { headers, response } = kept
      ? await api.verifyBackupCode({ body: { code: asKept(code) }, headers: asked.headers, returnHeaders: true })
      : await api.verifyTOTP({ body: { code }, headers: asked.headers, returnHeaders: true });
    const who = await loginOf(response.user.email);
    const session = await sessionIn(new Headers({ cookie: cookiePairs(cookiesOf(headers)) }));
    if (who === undefined || session === undefined) return plainly(tooLate);
    if (!kept && !(await firstUse(session.login, code))) {
      await over(session);
      await noted({ who, about: 'A code was used a second time' });
      return plainly(wrongCode);
    }
    const about = kept ? 'Signed in with a recovery code' : 'Signed in with a second step';
    return { result: await entered({ who, about }), cookies: cookiesOf(headers) };
  } catch (error) {
    const refused = refusedCode(error);
    if (refused === 'ACCOUNT_TEMPORARILY_LOCKED') return plainly(tooOften);
    return plainly(/^INVALID_(?:BACKUP_)?CODE$/.test(refused) ? wrongCode : tooLate);
  }
};

/** Recovery codes are kept in capitals, in two halves with a dash between. */
const asKept = (code: string): string => `${code.slice(0, 5)}-${code.slice(5)}`.toUpperCase();

/** What a browser would send back of cookies that were set. */
const cookiePairs = (set: readonly string[]): string => set.map((one) => one.split(';', 1)[0]).join('; ');

/** Ends the session of the browser that asks. */
export const leave = async (_: unknown, asked: Asked): Promise<Answered<Next>> => {
  const { headers } = await signIn().api.signOut({ headers: asked.headers, returnHeaders: true });
  return { result: ok({ to: '/sign-in' }), cookies: cookiesOf(headers) };
};
