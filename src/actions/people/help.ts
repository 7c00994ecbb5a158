'use server';

import { z } from 'zod';
import { personId } from '@/core/base/ids';
import { type Result, fail, ok, problem } from '@/core/base/result';
import { audit } from '@/store/audit';
import { lockPractice, practiceName } from '@/store/books';
import type { LinkKind } from '@/core/access/links';
import { dropSecondStep, endSessions, isTaken, waysIn } from '@/store/logins';
import { personsOf } from '@/store/people';
import type { Queryable } from '@/store/database';
import { action } from '../kernel/action';
import { asking } from '../kernel/context';
import { id } from '../kernel/inputs';
import { sendMail } from '../kernel/mail';
import { makeWayIn, wayInMail } from '../kernel/ways-in';

const input = z.object({ person: id.transform(personId) });

const activePerson = async (tx: Queryable, practice: number, person: number) => {
  await lockPractice(tx, practice);
  return (await personsOf(tx, practice)).find((one) => one.id === person && one.active);
};

const unknown = fail(problem('person.unknown', 'Nobody of this practice is meant. Load the page again.'));

/** Makes a link for somebody: an invitation, or where they can sign in already, another passphrase. Links made before hold no more. */
const makeLink = action('makeLink', 'people.change', input, async ({ tx, actor, now }, { person }) => {
  const found = await activePerson(tx, actor.practice, person);
  if (found === undefined) return unknown;
  const { name, email } = found;
  if (email === '')
    return fail(
      problem(
        'person.no-email',
        `${name} has no e-mail address, under which they would sign in. Write one and save it.`,
      ),
    );
  if (await isTaken(tx, email, found.id))
    return fail(
      problem('person.email-taken', `Somebody else signs in as ${email}. Write another address for ${name}.`),
    );
  const can = (await waysIn(tx, actor.practice, now)).some((one) => one.person === found.id && one.login);
  const kind: LinkKind = can ? 'recovery' : 'invitation';
  const path = await makeWayIn(tx, actor.practice, found.id, kind, actor.person, now);
  const about = can ? `A link for another passphrase made for ${name}` : `${name} invited`;
  await audit(tx, actor.practice, actor.person, 'rights', about, now);
  return ok({
    kind,
    path,
    name,
    email,
    practice: actor.practice,
    practiceName: await practiceName(tx, actor.practice),
  });
});

/**
 * Makes a link for somebody and sends it to them; whoever made it may hand it over by themselves too. It is shown to them alone, once.
 */
export const sendWayIn = async (input: {
  readonly person: number;
}): Promise<Result<{ readonly kind: string; readonly link: string; readonly sent: boolean }>> => {
  const made = await makeLink(input);
  if (!made.ok) return made;
  const { kind, path, name, email, practice, practiceName: practiceOf } = made.value;
  const link = ((await asking())?.origin ?? '') + path;
  return ok({ kind, link, sent: await sendMail(practice, wayInMail(kind, { email, name }, practiceOf, link)) });
};

/** Takes the second step of somebody away who has lost the device and the codes, and ends their sessions. */
export const takeSecondStep = action(
  'takeSecondStep',
  'people.change',
  input,
  async ({ tx, actor, now }, { person }) => {
    const found = await activePerson(tx, actor.practice, person);
    if (found === undefined) return unknown;
    await dropSecondStep(tx, found.id);
    await endSessions(tx, found.id);
    await audit(tx, actor.practice, actor.person, 'rights', `The second step of ${found.name} taken away`, now);
    return ok({});
  },
);

/** Ends all sessions of somebody, wherever they are signed in. */
export const endSessionsOf = action('endSessionsOf', 'people.change', input, async ({ tx, actor, now }, { person }) => {
  const found = await activePerson(tx, actor.practice, person);
  if (found === undefined) return unknown;
  await endSessions(tx, found.id);
  await audit(tx, actor.practice, actor.person, 'rights', `All sessions of ${found.name} ended`, now);
  return ok({});
});
