import type { Result } from '@/core/base/result';

let signedOut = false;

/** Whether the last that was sent found the session ended. */
export const isSignedOut = (): boolean => signedOut;

/** What came of something that was sent, noted for `isSignedOut`. */
export const noted = <R extends Result<unknown>>(done: R): R => {
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
