import type { Result } from '@/core/base/result';

/** A request by which somebody signs in or sees to how they do, as far as it matters there. */
export interface Asked {
  /** Its cookies, the name of the browser, and the address of whoever asks as `CLIENT`. */
  readonly headers: Headers;
  readonly client: string;
  /** The address that people use, without a path. */
  readonly origin: string;
}

/** What comes of it, and the cookies that the answer sets. */
export interface Answered<T = unknown> {
  readonly result: Result<T>;
  readonly cookies: readonly string[];
}

export const plainly = <T>(result: Result<T>): Answered<T> => ({ result, cookies: [] });

/** Where the browser goes next. */
export interface Next {
  readonly to: string;
}
