import { hashPassword } from 'better-auth/crypto';
import { addPerson } from '@/actions/people/commands';
import { personId } from '@/core/base/ids';
import type { Database } from '@/store/database';
import { putPassphrase } from '@/store/logins';
import { valueOf } from './books';

const PASSPHRASE = 'limpet orbit candle forty';

const addressOf = (number: number): string => `person${String(number)}@load.example`;

/** So many people who can sign in, counted from 1; they prepare books. */
export const addPeople = async (database: Database, count: number): Promise<void> => {
  const hash = await hashPassword(PASSPHRASE);
  for (let number = 1; number <= count; number += 1) {
    const [name, email] = [`Person ${String(number)}`, addressOf(number)];
    const { id } = valueOf(await addPerson({ name, email, role: 'preparer', charts: true }));
    await database.transaction(async (tx) => {
      await tx.scope('all');
      await putPassphrase(
        tx,
        { practice: 1, person: personId(id), name, email },
        hash,
        () => crypto.randomUUID(),
        new Date().toISOString(),
      );
    });
  }
};

/** Signs one of them in, from an address of their own where a proxy hands it on; gives the cookie of their requests. */
export const signedIn = async (address: string, number: number, from = number): Promise<string> => {
  const entered = await fetch(`${address}/sign-in/do/enter`, {
    method: 'POST',
    headers: { 'x-who': `198.51.100.${String(from)}`, 'content-type': 'application/json', origin: address },
    body: JSON.stringify({ email: addressOf(number), passphrase: PASSPHRASE }),
  });
  const cookie = entered.headers
    .getSetCookie()
    .map((one) => one.split(';', 1)[0])
    .join('; ');
  if (cookie === '') throw new Error(`not signed in: ${await entered.text()}`);
  return cookie;
};
