import { anyLogin, sessionsOf, waysIn } from '@/store/logins';
import { actingPerson, firstPractice } from '@/store/people';
import { practiceName } from '@/store/books';
import { mailOf } from '@/store/simulated-mail';
import { openView } from '../kernel/action';
import { address } from '../kernel/address';
import { type Asking, asking, choosesWho } from '../kernel/context';
import { mailWay } from '../kernel/mail';
import { findLink } from './links';

/** What the page on which one signs in has to know. */
export const signInView = async () => {
  const asks = await asking();
  const { any, chooses } = await openView(async ({ tx }) => ({
    any: await anyLogin(tx),
    chooses: await choosesWho(tx, asks, await firstPractice(tx)),
  }));
  return {
    /** Nobody can sign in yet: the practice has to be begun. Where others reach the server, that is done on the machine itself. */
    first: !any && !chooses && !address().open,
    /** At the demo's data one chooses whom to be. */
    chooses,
    signedIn: asks?.person !== undefined,
    mail: mailWay(),
  };
};

/** What the page of the first start begins with: names that stand already, where books were kept before there were people. */
export const firstView = async () => {
  const asks = await asking();
  if (address().open) return undefined;
  return openView(async ({ tx }) => {
    if (await choosesWho(tx, asks, await firstPractice(tx))) return undefined;
    const owner = await actingPerson(tx, undefined);
    if (owner === undefined || (await anyLogin(tx))) return undefined;
    const practice = await practiceName(tx, owner.practice);
    return {
      practice: practice === 'Our practice' ? '' : practice,
      name: owner.name === 'Bookkeeper' ? '' : owner.name,
    };
  });
};

/** Whom a link is for, where it holds. */
export const wayInView = async (token: string) => {
  const link = await findLink(token);
  if (link === undefined) return undefined;
  const { kind, name, email, practiceName: practice, role } = link;
  return { kind, name, email, practice, role };
};

const ownAccount = (person: NonNullable<Asking['person']>, session: string | undefined) =>
  openView(async ({ tx, now }) => {
    const who = await actingPerson(tx, person);
    if (who === undefined) return undefined;
    const way = (await waysIn(tx, who.practice, now)).find((one) => one.person === who.id);
    return {
      practice: await practiceName(tx, who.practice),
      name: who.name,
      role: who.role,
      email: who.email,
      secondStep: way?.secondStep ?? false,
      demanded: who.unfinished,
      session,
      sessions: await sessionsOf(tx, who.id, now),
    };
  });

/** How whoever asks signs in; undefined where nobody has. It is their own, so it states no deed. */
export const accountView = async () => {
  const asks = await asking();
  return asks?.person === undefined ? undefined : ownAccount(asks.person, asks.session);
};

/** The simulated mailbox, where e-mail goes as long as no way to send it is set up and the server answers this machine only. */
export const mailboxView = async () =>
  mailWay() === 'simulated' && (await asking())?.here === true ? openView(({ tx }) => mailOf(tx)) : undefined;
