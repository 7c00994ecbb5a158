/**
 * A value that is made when it is first asked for, and then kept: what takes time to prepare costs nothing where nobody needs it.
 *
 * @example once(() => 7)() // 7
 */
export const once = <T>(make: () => T): (() => T) => {
  let held: { readonly value: T } | undefined;
  return () => (held ??= { value: make() }).value;
};
