/**
 * Values by two texts together. A third text made of both would take longer to look up than the two themselves, where the
 * question is asked for each row of a large paper.
 *
 * @example byTwo().set('4000', 'Sales', 7).get('4000', 'Sales') // 7
 */
export const byTwo = <T>(): ByTwo<T> => {
  const held = new Map<string, Map<string, T>>();
  const own: ByTwo<T> = {
    get: (first, second) => held.get(first)?.get(second),
    set: (first, second, value) => {
      const under = held.get(first) ?? new Map<string, T>();
      held.set(first, under.set(second, value));
      return own;
    },
  };
  return own;
};

export interface ByTwo<T> {
  readonly get: (first: string, second: string) => T | undefined;
  readonly set: (first: string, second: string, value: T) => ByTwo<T>;
}
