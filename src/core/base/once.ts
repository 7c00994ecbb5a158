/**
 * A value that is made when it is first asked for, and then kept: what takes time to prepare costs nothing where nobody needs it.
 *
 * @example
 * let made = 0;
 * const number = once(() => (made += 1));
 * [number(), number(), made]; // [1, 1, 1]
 */
export const once = <T>(make: () => T): (() => T) => {
  let held: { readonly value: T } | undefined;
  return () => (held ??= { value: make() }).value;
};
