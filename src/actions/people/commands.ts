'use server';

import { z } from 'zod';
import {
  type PersonFields,
  givenIn,
  insertPerson,
  personsOf,
  putGiven,
  putPracticeReview,
  putSecondStepRoles,
  updatePerson,
} from '@/store/people';
import { REVIEWS } from '@/core/access/review';
import { GIVEN_ROLES, ROLES, ROLE_FACTS } from '@/core/access/roles';
import { personId } from '@/core/base/ids';
import { fail, ok, problem } from '@/core/base/result';
import { audit } from '@/store/audit';
import { endSessions, isTaken, moveLogin, waysIn } from '@/store/logins';
import { findBooks, lockPractice, setReview } from '@/store/books';
import { action, booksAction } from '../kernel/action';
import { id, int4, text } from '../kernel/inputs';
import { sameName, twice } from './names';

const fields = {
  name: text(120).trim().min(1, 'A person needs a name.'),
  email: z.union([z.literal(''), z.email('This is no e-mail address.').max(200)]),
  role: z.enum(ROLES),
  charts: z.boolean(),
  active: z.boolean(),
};

const said = ({ role, charts, active }: PersonFields): string =>
  active ? `${ROLE_FACTS[role].label.toLowerCase()}${charts || role === 'owner' ? '' : ', no charts'}` : 'left';

/** Somebody comes into the practice. */
export const addPerson = action(
  'addPerson',
  'people.change',
  z.object({ ...fields, active: z.literal(true).default(true) }),
  async ({ tx, actor, now }, person) => {
    await lockPractice(tx, actor.practice);
    if (sameName(person.name, await personsOf(tx, actor.practice)) !== undefined) return twice(person.name);
    const made = await insertPerson(tx, actor.practice, person);
    await audit(tx, actor.practice, actor.person, 'rights', `${person.name} added: ${said(person)}`, now);
    return ok({ id: made });
  },
);

/** What somebody is becomes something else; whoever leaves stays by name. The last owner stays one. */
export const changePerson = action(
  'changePerson',
  'people.change',
  z.object({ ...fields, id: id.transform(personId), revision: int4 }),
  async ({ tx, actor, now }, { id: own, revision, ...person }) => {
    await lockPractice(tx, actor.practice);
    const all = await personsOf(tx, actor.practice);
    const was = all.find((one) => one.id === own);
    const others = all.filter((one) => one.id !== own);
    if (was === undefined)
      return fail(problem('person.unknown', 'Nobody of this practice is meant. Load the page again.'));
    if (sameName(person.name, others) !== undefined) return twice(person.name);
    const owns = (one: PersonFields): boolean => one.active && one.role === 'owner';
    if (!owns(person) && !others.some(owns))
      return fail(
        problem(
          'person.last-owner',
          `${was.name} is the only owner, and a practice keeps one. Make somebody else an owner first.`,
          'role',
        ),
      );
    const signsIn = (await waysIn(tx, actor.practice, now)).some((way) => way.person === own && way.login);
    if (signsIn && person.email === '')
      return fail(problem('person.no-email', `${was.name} signs in with this address. Write the new one.`, 'email'));
    if (signsIn && (await isTaken(tx, person.email, own)))
      return fail(problem('person.email-taken', `Somebody else signs in as ${person.email}.`, 'email'));
    if (!(await updatePerson(tx, actor.practice, { id: own, revision }, person)))
      return fail(
        problem('person.changed', `${was.name} was changed meanwhile by somebody else. Load the page again.`),
      );
    if (signsIn) await moveLogin(tx, own, person.name, person.email);
    if (!person.active) await endSessions(tx, own);
    const renamed = was.name === person.name ? '' : ` (before: ${was.name})`;
    await audit(
      tx,
      actor.practice,
      actor.person,
      'rights',
      `${person.name}${renamed}: ${said(was)} → ${said(person)}`,
      now,
    );
    return ok({});
  },
);

/** What somebody is in one set of books, with the reason; without a role: what they are in the practice. */
export const giveBooks = action(
  'giveBooks',
  'people.change',
  z.object({
    person: id.transform(personId),
    of: id,
    given: z
      .object({
        role: z.enum(GIVEN_ROLES),
        reason: text(300).trim().min(3, 'Say in a few words why; it is kept.'),
      })
      .nullable(),
  }),
  async ({ tx, actor, now }, { person, of, given }) => {
    await lockPractice(tx, actor.practice);
    const found = (await personsOf(tx, actor.practice)).find((one) => one.id === person);
    const books = await findBooks(tx, actor.practice, of);
    if (found === undefined || books === undefined)
      return fail(
        problem('person.unknown', 'This person or these books are not in the practice. Load the page again.'),
      );
    if (found.role === 'owner')
      return fail(problem('person.owner', `${found.name} is an owner, and may do everything everywhere.`, 'role'));
    const was = (await givenIn(tx, actor.practice)).find((one) => one.person === person && one.books === books.id);
    await putGiven(tx, actor.practice, person, books.id, given, actor.person, now);
    const label = (role: keyof typeof ROLE_FACTS | undefined): string =>
      role === undefined ? 'as in the practice' : ROLE_FACTS[role].label.toLowerCase();
    await audit(
      tx,
      actor.practice,
      actor.person,
      'rights',
      `${found.name}: ${label(was?.role)} → ${label(given?.role)}${given === null ? '' : `, because: ${given.reason}`}`,
      now,
      books.name,
    );
    return ok({});
  },
);

const review = z.enum(REVIEWS.map((one) => one.id));

/** What the whole practice demands before opening balances are posted. */
export const demandOfPractice = action(
  'demandOfPractice',
  'people.change',
  z.object({ review }),
  async ({ tx, actor, now }, input) => {
    await putPracticeReview(tx, actor.practice, input.review);
    const label = REVIEWS.find((one) => one.id === input.review)?.label ?? '';
    await audit(tx, actor.practice, actor.person, 'rights', `Before posting, everywhere: ${label}`, now);
    return ok({});
  },
);

/** What these books demand, whatever the practice does. */
export const demandOfBooks = booksAction('demandOfBooks', 'people.change', { review }, async (context, input) => {
  const { tx, books, actor, now } = context;
  await setReview(tx, books.id, input.review);
  const label = REVIEWS.find((one) => one.id === input.review)?.label ?? '';
  await audit(tx, actor.practice, actor.person, 'rights', `Before posting: ${label}`, now, books.name);
  return ok({});
});

/** Which roles have to sign in with a second step; whoever has none sets it up before anything else. */
export const demandSecondStep = action(
  'demandSecondStep',
  'people.change',
  z.object({ roles: z.array(z.enum(ROLES)).max(ROLES.length) }),
  async ({ tx, actor, now }, { roles }) => {
    const demanded = ROLES.filter((role) => roles.includes(role));
    await putSecondStepRoles(tx, actor.practice, demanded);
    const said = demanded.map((role) => ROLE_FACTS[role].label.toLowerCase()).join(', ');
    await audit(tx, actor.practice, actor.person, 'rights', `A second step is demanded of: ${said || 'nobody'}`, now);
    return ok({});
  },
);
