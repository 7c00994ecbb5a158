import { z } from 'zod';
import { fail, ok, problem } from '@/core/base/result';
import { audit } from '@/store/audit';
import { dropSecondStep } from '@/store/logins';
import { ownerAt } from '@/store/people';
import { openStep } from '../kernel/action';
import { makeWayIn } from '../kernel/ways-in';
import { email, nameFirstOwner, ownName } from './first-owner';

/**
 * The way in for whoever has the machine itself, and with it the data: the first owner of a server that answers others, and an owner who
 * has lost passphrase or device where no other owner can help. Both give the path of a link.
 */

export const firstOnMachine = openStep(
  'firstOnMachine',
  z.object({ name: ownName, email }),
  async ({ tx, now }, named) => {
    const first = await nameFirstOwner(tx, named);
    if (!first.ok) return first;
    const { practice, owner } = first.value;
    await audit(tx, practice, owner.id, 'sign-in', 'Invited as the first owner, on the machine itself', now);
    return ok({ path: await makeWayIn(tx, practice, owner.id, 'invitation', null, now) });
  },
);

export const recoverOnMachine = openStep(
  'recoverOnMachine',
  z.object({ email }),
  async ({ tx, now }, { email: address }) => {
    const owner = await ownerAt(tx, address);
    if (owner === undefined)
      return fail(
        problem(
          'recover.unknown',
          `No owner has the address ${address}. Whoever is none is helped by an owner, on the page People and rights.`,
        ),
      );
    await dropSecondStep(tx, owner.id);
    await audit(tx, owner.practice, owner.id, 'sign-in', 'A way back was made on the machine itself', now);
    return ok({ path: await makeWayIn(tx, owner.practice, owner.id, 'recovery', null, now) });
  },
);
