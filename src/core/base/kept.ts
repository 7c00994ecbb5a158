/** A value as the record of changes keeps it: JSON, in which amounts of money are text. Null where nothing is there. */
export type Kept = null | string | number | boolean | readonly Kept[] | { readonly [key: string]: Kept };

/** The value with the keys of its objects in order. */
const ordered = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(ordered)
    : value !== null && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([one], [other]) => (one < other ? -1 : 1))
            .map(([key, inner]) => [key, ordered(inner)]),
        )
      : value;

/** One text for one value, whatever the order of its keys. */
const canonical = (value: unknown): string => JSON.stringify(ordered(value));

export const sameKept = (a: unknown, b: unknown): boolean =>
  a === b || (a !== null && b !== null && canonical(a) === canonical(b));
