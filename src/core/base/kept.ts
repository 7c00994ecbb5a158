/** A value as the record of changes keeps it: JSON, in which amounts of money are text. Null where nothing is there. */
export type Kept = null | string | number | boolean | readonly Kept[] | { readonly [key: string]: Kept };

/** One text for one value, whatever the order of its keys. */
export const canonical = (value: unknown): string =>
  JSON.stringify(value, (_key, inner: unknown) =>
    inner !== null && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([one], [other]) => (one < other ? -1 : 1)))
      : inner,
  );

export const sameKept = (a: unknown, b: unknown): boolean => a === b || canonical(a) === canonical(b);
