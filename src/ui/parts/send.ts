import type { Result } from '@/core/base/result';

/** Waits for an action; when the server does not answer, that is a problem like any other and nothing is lost on screen. */
export const send = <T>(sent: Promise<Result<T>>): Promise<Result<T>> =>
  sent.catch(() => ({
    ok: false,
    problems: [
      {
        code: 'offline',
        message: 'Bathron did not answer, so this was not saved. Check that it is running, then try again.',
      },
    ],
  }));
