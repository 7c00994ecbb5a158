import { z } from 'zod';
import { type Result, fail, ok, problem } from '@/core/base/result';
import { lockPractice } from '@/store/books';
import type { Queryable } from '@/store/database';
import { anyLogin } from '@/store/logins';
import { type Person, actingPerson, personsOf, updatePerson } from '@/store/people';
import { text } from '../kernel/inputs';
import { sameName, twice } from '../people/names';

export const email = z.email('This is no e-mail address.').max(200).toLowerCase();
export const ownName = text(120).trim().min(1, 'Say what you are called.');

const firstDone = fail(
  problem(
    'first.done',
    'People sign in here already. An owner invites others; recover helps an owner who cannot get in.',
  ),
);

/** Says what the first owner of a practice is called, in which nobody can sign in yet. */
export const nameFirstOwner = async (
  tx: Queryable,
  named: { readonly name: string; readonly email: string },
): Promise<Result<{ readonly practice: number; readonly owner: Person }>> => {
  const owner = await actingPerson(tx, undefined);
  if (owner === undefined) return firstDone;
  await lockPractice(tx, owner.practice);
  if (await anyLogin(tx)) return firstDone;
  const all = await personsOf(tx, owner.practice);
  const was = all.find(({ id }) => id === owner.id);
  if (was === undefined) return firstDone;
  if (
    sameName(
      named.name,
      all.filter(({ id }) => id !== was.id),
    ) !== undefined
  )
    return twice(named.name);
  await updatePerson(tx, owner.practice, was, { ...was, ...named });
  return ok({ practice: owner.practice, owner: { ...was, ...named } });
};
