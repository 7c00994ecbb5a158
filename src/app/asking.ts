import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { type Asking, type SignedOut, Unfinished } from '@/actions/kernel/context';
import { address } from '@/actions/kernel/address';
import { CLIENT, sessionIn } from '@/actions/kernel/sign-in';
import type { Asked } from '@/actions/sign-in/asked';
import { clientOf, isFromHere } from '@/core/access/address';

/** Whom somebody chose to be, in the demo's data; it gives no more than the page on which anybody may choose. */
export const CHOSEN = 'bathron-as';

const { publicUrl, open } = address();

/** The address that people use. The guard has let through only names that are ours. */
const originOf = (sent: Headers): string => publicUrl ?? `http://${sent.get('host') ?? ''}`;

const chosenIn = (cookies: string | null): number | undefined => {
  const found = new RegExp(`(?:^|;\\s*)${CHOSEN}=([1-9]\\d{0,8})(?:;|$)`).exec(cookies ?? '');
  return found === null ? undefined : Number(found[1]);
};

/** What is known of whoever asks. */
export const askingNow = async (): Promise<Asking> => {
  const sent = new Headers(await headers());
  return {
    ...(await sessionIn(sent)),
    here: !open && isFromHere(sent.get('host'), sent.get('x-forwarded-for')),
    chosen: chosenIn(sent.get('cookie')),
    origin: originOf(sent),
  };
};

/** A request by which somebody signs in: of what it brought, only what is needed. */
export const askedIn = ({ headers: sent }: Request): Asked => {
  const client = clientOf(sent.get('x-forwarded-for'));
  return {
    headers: new Headers({
      cookie: sent.get('cookie') ?? '',
      'user-agent': (sent.get('user-agent') ?? '').slice(0, 300),
      [CLIENT]: client,
    }),
    client,
    origin: originOf(sent),
  };
};

/** Sends whoever asked for a page to where they sign in, or set up what is missing; an address that is no page says so by itself. */
export const turnedAway = async (error: SignedOut | Unfinished): Promise<void> => {
  const wanted = (await headers()).get('x-wanted');
  if (wanted === null) return;
  if (error instanceof Unfinished) redirect('/account');
  redirect(wanted === '/' ? '/sign-in' : `/sign-in?to=${encodeURIComponent(wanted)}`);
};
