import { toString as drawCode } from 'qrcode';
import { z } from 'zod';
import { passphraseProblems } from '@/core/access/passphrase';
import type { PersonId } from '@/core/base/ids';
import { fail, ok, problem } from '@/core/base/result';
import { audit } from '@/store/audit';
import { practiceName } from '@/store/books';
import { endSession } from '@/store/logins';
import { actingPerson } from '@/store/people';
import { openStep, openView } from '../kernel/action';
import { text } from '../kernel/inputs';
import { sendMail } from '../kernel/mail';
import { type Session, sessionIn, signIn } from '../kernel/sign-in';
import { changedMail } from '../kernel/ways-in';
import { type Answered, type Asked, plainly } from './asked';
import { counted, firstUse } from './attempts';
import { cookiesOf, refusedCode } from './enter';
import { knownOf } from './links';
import { CODE, noted } from './noted';

/** What somebody sees to for themselves: their passphrase, their second step, their sessions. Each is asked for anew with the passphrase. */

const signedOut = fail(problem('access.signed-out', 'Your session has ended. Sign in again.'));
const wrongPassphrase = fail(problem('own.passphrase', 'This is not the passphrase that you sign in with.', 'current'));
const wrongCode = fail(
  problem(
    'own.code',
    'This code does not hold. Type the one that the device shows now; look whether its clock is right.',
    'code',
  ),
);

interface Own extends Session {
  readonly practice: number;
  readonly practiceName: string;
  readonly name: string;
  readonly email: string;
}

const own = async ({ headers }: Asked): Promise<Own | undefined> => {
  const found = await sessionIn(headers);
  if (found === undefined) return undefined;
  return openView(async ({ tx }) => {
    const who = await actingPerson(tx, found.person);
    if (who === undefined) return undefined;
    const { practice, name, email } = who;
    return { ...found, practice, name, email, practiceName: await practiceName(tx, practice) };
  });
};

/** A step that asks for the passphrase once more; a wrong one is counted, and told at its field. */
const withPassphrase =
  <Shape extends z.ZodRawShape, T>(
    shape: Shape,
    run: (
      who: Own,
      input: z.output<z.ZodObject<Shape>> & { readonly current: string },
      asked: Asked,
    ) => Promise<Answered<T>>,
  ) =>
  async (input: unknown, asked: Asked): Promise<Answered<T>> => {
    const who = await own(asked);
    if (who === undefined) return plainly(signedOut);
    const parsed = z.object({ ...shape, current: z.string().max(1000) }).safeParse(input);
    if (!parsed.success) return plainly(wrongPassphrase);
    const allowed = await counted({ key: `own ${who.login}`, most: 10 });
    if (!allowed.ok) return plainly(allowed);
    try {
      return await run(who, parsed.data as z.output<z.ZodObject<Shape>> & { readonly current: string }, asked);
    } catch (error) {
      const refused = refusedCode(error);
      if (refused === 'INVALID_PASSWORD') return plainly(wrongPassphrase);
      return plainly(
        fail(problem('own.refused', 'This could not be done as things stand now. Load the page again and look.')),
      );
    }
  };

/** Another passphrase; all other sessions of the person end. */
export const changePassphrase = withPassphrase({ passphrase: z.string().max(1000) }, async (who, input, asked) => {
  const problems = passphraseProblems(input.passphrase, knownOf(who));
  if (problems.length > 0) return plainly(fail(...problems));
  const { headers } = await signIn().api.changePassword({
    body: { currentPassword: input.current, newPassword: input.passphrase, revokeOtherSessions: true },
    headers: asked.headers,
    returnHeaders: true,
  });
  await noted({ who, about: 'Changed the passphrase' });
  void sendMail(who.practice, changedMail(who));
  return { result: ok({}), cookies: cookiesOf(headers) };
});

/** What a device has to be told, as a picture and as letters, and the codes for when it is lost. They are shown once. */
export const beginSecondStep = withPassphrase({}, async (who, input, asked) => {
  const begun = await signIn().api.enableTwoFactor({ body: { password: input.current }, headers: asked.headers });
  if (begun.method !== 'totp') return plainly(signedOut);
  await noted({ who, about: 'Began to set up a second step' });
  const uri = begun.totpURI;
  return plainly(
    ok({
      picture: await drawCode(uri, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' }),
      letters: new URL(uri).searchParams.get('secret') ?? '',
      recovery: begun.backupCodes,
    }),
  );
});

/** The device shows the right code, so the second step is asked for from now on. */
export const finishSecondStep = async (input: unknown, asked: Asked): Promise<Answered<object>> => {
  const who = await own(asked);
  if (who === undefined) return plainly(signedOut);
  const parsed = CODE.safeParse(input);
  if (!parsed.success) return plainly(wrongCode);
  const allowed = await counted({ key: `own code ${who.login}`, most: 20 });
  if (!allowed.ok) return plainly(allowed);
  if (!(await firstUse(who.login, parsed.data.code))) return plainly(wrongCode);
  try {
    const { headers } = await signIn().api.verifyTOTP({
      body: { code: parsed.data.code },
      headers: asked.headers,
      returnHeaders: true,
    });
    await noted({ who, about: 'Set up a second step' });
    return { result: ok({}), cookies: cookiesOf(headers) };
  } catch (error) {
    refusedCode(error);
    return plainly(wrongCode);
  }
};

/** No second step from now on; where the practice demands one, it has to be set up again before anything else. */
export const dropOwnSecondStep = withPassphrase({}, async (who, input, asked) => {
  const { headers } = await signIn().api.disableTwoFactor({
    body: { password: input.current },
    headers: asked.headers,
    returnHeaders: true,
  });
  await noted({ who, about: 'Took the second step away' });
  return { result: ok({}), cookies: cookiesOf(headers) };
});

/** Other recovery codes; those before hold no more. */
export const newRecoveryCodes = withPassphrase({}, async (who, input, asked) => {
  const { backupCodes } = await signIn().api.generateBackupCodes({
    body: { password: input.current },
    headers: asked.headers,
  });
  await noted({ who, about: 'Made other recovery codes' });
  return plainly(ok({ recovery: backupCodes }));
});

const ended = openStep(
  'endSession',
  z.object({ person: z.custom<PersonId>(), practice: z.number(), session: text(100) }),
  async ({ tx, now }, { person, practice, session }) => {
    if (!(await endSession(tx, person, session)))
      return fail(problem('session.unknown', 'This session has ended already.'));
    await audit(tx, practice, person, 'sign-in', 'Ended a session', now);
    return ok({});
  },
);

/** Ends one of one's own sessions, on whatever device it is. */
export const endOwnSession = async (input: unknown, asked: Asked): Promise<Answered<object>> => {
  const who = await own(asked);
  if (who === undefined) return plainly(signedOut);
  const parsed = z.object({ session: text(100) }).safeParse(input);
  return plainly(await ended({ ...who, session: parsed.success ? parsed.data.session : '' }));
};
