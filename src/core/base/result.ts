/**
 * Something a person has to know or decide, as data: bad input is a result, never an exception.
 * `code` is stable (tests and callers branch on it); `message` is the sentence shown at `field`, or at the
 * top of the sheet when there is no field. A message names the thing, the reason and the way out.
 */
export interface Problem {
  readonly code: string;
  readonly message: string;
  readonly field?: string;
}

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (...problems: readonly Problem[]): Result<never> => ({ ok: false, problems });

export const problem = (code: string, message: string, field?: string): Problem =>
  field === undefined ? { code, message } : { code, message, field };

/** Quotes what somebody typed inside a sentence, cut so that a pasted novel does not become the message. */
export const quoted = (text: string): string => {
  const one = text.replace(/\s+/g, ' ').trim();
  return `“${one.length > 60 ? `${one.slice(0, 57)}…` : one}”`;
};

/** `plural(1, 'row')` is "1 row", `plural(2, 'row')` is "2 rows". */
export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
