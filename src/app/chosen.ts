import { cookies } from 'next/headers';

/** Whom somebody chose to be, in the demo's data; it gives no more than the page on which anybody may choose. */
export const CHOSEN = 'bathron-as';

export const chosenCookie = async (): Promise<number | undefined> => {
  const text = (await cookies()).get(CHOSEN)?.value ?? '';
  return /^[1-9]\d{0,8}$/.test(text) ? Number(text) : undefined;
};
