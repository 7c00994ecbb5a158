import { z } from 'zod';
import { fail, ok, problem } from '@/core/base/result';
import { audit } from '@/store/audit';
import { lockPractice } from '@/store/books';
import { anyLogin, dropSecondStep } from '@/store/logins';
import { actingPerson, ownerAt, personsOf, updatePerson } from '@/store/people';
import { openStep } from '../kernel/action';
import { text } from '../kernel/inputs';
import { makeWayIn } from '../kernel/ways-in';

/**
 * The way in for whoever has the machine itself, and with it the data: the first owner of a server that answers others, and an owner who
 * has lost passphrase or device where no other owner can help. Both give the path of a link.
 */

export const firstOnMachine = openStep(
  'firstOnMachine',
  z.object({
    name: text(120).trim().min(1, 'Say what the first owner is called.'),
    email: z.email('This is no e-mail address.').max(200).toLowerCase(),
  }),
  async ({ tx, now }, { name, email }) => {
    const owner = await actingPerson(tx, undefined);
    if (owner === undefined || (await anyLogin(tx)))
      return fail(
        problem('first.done', 'People sign in here already. An owner invites others; recover helps an owner.'),
      );
    await lockPractice(tx, owner.practice);
    const was = (await personsOf(tx, owner.practice)).find(({ id }) => id === owner.id);
    if (was !== undefined) await updatePerson(tx, owner.practice, was, { ...was, name, email });
    await audit(tx, owner.practice, owner.id, 'sign-in', 'Invited as the first owner, on the machine itself', now);
    return ok({ path: await makeWayIn(tx, owner.practice, owner.id, 'invitation', null, now) });
  },
);

export const recoverOnMachine = openStep(
  'recoverOnMachine',
  z.object({ email: z.email('This is no e-mail address.').max(200).toLowerCase() }),
  async ({ tx, now }, { email }) => {
    const owner = await ownerAt(tx, email);
    if (owner === undefined)
      return fail(
        problem(
          'recover.unknown',
          `No owner has the address ${email}. Whoever is none is helped by an owner, on the page People and rights.`,
        ),
      );
    await dropSecondStep(tx, owner.id);
    await audit(tx, owner.practice, owner.id, 'sign-in', 'A way back was made on the machine itself', now);
    return ok({ path: await makeWayIn(tx, owner.practice, owner.id, 'recovery', null, now) });
  },
);
