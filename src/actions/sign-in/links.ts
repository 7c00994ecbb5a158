import { timingSafeEqual } from 'node:crypto';
import { hashPassword } from 'better-auth/crypto';
import { z } from 'zod';
import { passphraseProblems } from '@/core/access/passphrase';
import { fail, ok, problem } from '@/core/base/result';
import { audit } from '@/store/audit';
import { namePractice, practiceName } from '@/store/books';
import { type Link, isTaken, linkOf, loginAt, putPassphrase, useLink } from '@/store/logins';
import { openStep, openView } from '../kernel/action';
import { underWay } from '../kernel/context';
import { issueProblem, text } from '../kernel/inputs';
import { mailWay, sendMail } from '../kernel/mail';
import { firstCode } from '../kernel/sign-in';
import { changedMail, hashed, makeWayIn, wayInMail } from '../kernel/ways-in';
import { type Answered, type Asked, type Next, plainly } from './asked';
import { counted } from './attempts';
import { enter } from './enter';
import { email, nameFirstOwner, ownName } from './first-owner';

const passphrase = z.string().max(1000);

/** Words that everybody knows of somebody, which no passphrase is made of. */
export const knownOf = ({ name, email, practiceName: practice }: Pick<Link, 'name' | 'email' | 'practiceName'>) => [
  name,
  email,
  practice,
];

const linkOver = fail(
  problem(
    'way-in.over',
    'This link does not hold, or not any more: each works once, and only for a time. Ask for another.',
  ),
);

/** The link of a token, where it holds. */
export const findLink = (token: string): Promise<Link | undefined> =>
  openView(({ tx, now }) => linkOf(tx, hashed(token), now));

const sendLink = openStep('sendLink', z.object({ email: z.string() }), async ({ tx, now }, { email }) => {
  const who = await loginAt(tx, email);
  if (who === undefined) return ok(undefined);
  const path = await makeWayIn(tx, who.practice, who.person, 'recovery', null, now);
  await audit(tx, who.practice, who.person, 'sign-in', 'A link for another passphrase was asked for', now);
  return ok({ ...who, path, practiceName: await practiceName(tx, who.practice) });
});

/** Sends a link for another passphrase to an address, if it is somebody's. The answer is the same, and as quick, if it is not. */
export const forgotten = async (input: unknown, asked: Asked): Promise<Answered<object>> => {
  const parsed = z.object({ email }).safeParse(input);
  if (!parsed.success) return plainly(fail(...parsed.error.issues.map(issueProblem)));
  if (mailWay() === 'none')
    return plainly(
      fail(
        problem(
          'mail.none',
          'This server has no way to send e-mail. Ask an owner of the practice: they can make you a link.',
        ),
      ),
    );
  const { email: to } = parsed.data;
  const allowed = await counted({ key: `forgot ${to}`, most: 5 }, { key: `forgot from ${asked.client}`, most: 30 });
  if (!allowed.ok) return plainly(allowed);
  // Nobody waits for it: how long it takes would say whether the address is known.
  void underWay(async () => {
    const made = await sendLink({ email: to });
    if (!made.ok || made.value === undefined) return;
    const { practice, practiceName: practiceOf, name, path } = made.value;
    await sendMail(practice, wayInMail('recovery', { email: to, name }, practiceOf, asked.origin + path));
  });
  return plainly(ok({}));
};

const use = openStep(
  'useWayIn',
  z.object({ hash: z.string(), password: z.string() }),
  async ({ tx, now, newId }, { hash, password }) => {
    const link = await linkOf(tx, hash, now);
    if (link === undefined || !(await useLink(tx, link.id, now))) return linkOver;
    if (await isTaken(tx, link.email, link.person))
      return fail(
        problem(
          'way-in.taken',
          'Somebody else signs in with this address already. Ask the owner who invited you to write another one.',
        ),
      );
    await putPassphrase(tx, link, password, newId, now);
    const about = link.kind === 'invitation' ? 'Accepted the invitation' : 'Chose another passphrase by a link';
    await audit(tx, link.practice, link.person, 'sign-in', about, now);
    return ok(link);
  },
);

/** Chooses a passphrase with a link, and signs in with it. */
export const chooseByLink = async (input: unknown, asked: Asked): Promise<Answered<Next>> => {
  const parsed = z.object({ token: text(100), passphrase }).safeParse(input);
  if (!parsed.success) return plainly(linkOver);
  const { token, passphrase: chosen } = parsed.data;
  const allowed = await counted({ key: `link from ${asked.client}`, most: 60 });
  if (!allowed.ok) return plainly(allowed);
  const link = await findLink(token);
  if (link === undefined) return plainly(linkOver);
  const problems = passphraseProblems(chosen, knownOf(link));
  if (problems.length > 0) return plainly(fail(...problems));
  const used = await use({ hash: hashed(token), password: await hashPassword(chosen) });
  if (!used.ok) return plainly(used);
  // The letter may take its time; whoever chose the passphrase does not wait for it.
  if (link.kind === 'recovery') void sendMail(link.practice, changedMail(link));
  return enter({ email: link.email, passphrase: chosen }, asked);
};

const same = (given: string, expected: string): boolean => {
  const kept = (code: string): Buffer => Buffer.from(hashed(code.toUpperCase().replaceAll(/[^A-Z\d]/g, '')));
  return timingSafeEqual(kept(given), kept(expected));
};

const begun = openStep(
  'beginPractice',
  z.object({ practice: z.string(), name: z.string(), email: z.string(), password: z.string() }),
  async ({ tx, now, newId }, { practice, password, ...named }) => {
    const first = await nameFirstOwner(tx, named);
    if (!first.ok) return first;
    const { owner, practice: own } = first.value;
    await namePractice(tx, own, practice, owner.id, owner.name);
    await putPassphrase(tx, { practice: own, person: owner.id, ...named }, password, newId, now);
    await audit(tx, own, owner.id, 'sign-in', 'Began the practice as its first owner', now);
    return ok({});
  },
);

const first = z.object({
  code: text(40),
  practice: text(120).trim().min(1, 'The practice needs a name.'),
  name: ownName,
  email,
  passphrase,
});

/** Names an empty practice and its first owner, for whoever can read what the server printed as it started. */
export const begin = async (input: unknown, asked: Asked): Promise<Answered<Next>> => {
  const parsed = first.safeParse(input);
  if (!parsed.success) return plainly(fail(...parsed.error.issues.map(issueProblem)));
  const { code, passphrase: chosen, ...names } = parsed.data;
  const allowed = await counted({ key: 'first start', most: 60 }, { key: `first from ${asked.client}`, most: 20 });
  if (!allowed.ok) return plainly(allowed);
  if (!same(code, firstCode()))
    return plainly(
      fail(
        problem(
          'first.code',
          'This is not the code that Bathron printed when it started. It stands in the window, or in the log, of the server.',
          'code',
        ),
      ),
    );
  const problems = passphraseProblems(chosen, knownOf({ ...names, practiceName: names.practice }));
  if (problems.length > 0) return plainly(fail(...problems));
  const done = await begun({ ...names, password: await hashPassword(chosen) });
  return done.ok ? enter({ email: names.email, passphrase: chosen }, asked) : plainly(done);
};
