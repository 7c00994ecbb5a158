import type { Result, Revised } from '@/core/base/result';

/** The newest revision that something stored from this tab left, by books. */
const newest = new Map<number, number>();

/**
 * Whether what the server shows was asked for before the last that was stored from here. Such a page does not know of it yet: it comes
 * late, and another is on its way.
 */
export const isBehind = ({ id, revision }: Revised): boolean => revision < (newest.get(id) ?? 0);

let signedOut = false;

/** Whether the last that was sent found the session ended. */
export const isSignedOut = (): boolean => signedOut;

/** What came of something that was sent, noted for `isSignedOut` and `isBehind`. */
export const noted = <R extends Result<unknown>>(done: R): R => {
  if (done.ok && done.left !== undefined && !isBehind(done.left)) newest.set(done.left.id, done.left.revision);
  signedOut = !done.ok && done.problems.some(({ code }) => code === 'access.signed-out');
  return done;
};

/** Waits for an action; when the server does not answer, that is a problem like any other and nothing is lost on screen. */
export const send = <T>(sent: Promise<Result<T>>): Promise<Result<T>> =>
  sent
    .catch((): Result<T> => ({
      ok: false,
      problems: [
        {
          code: 'offline',
          message: 'Bathron did not answer, so this was not saved. Check that it is running, then try again.',
        },
      ],
    }))
    .then(noted);
