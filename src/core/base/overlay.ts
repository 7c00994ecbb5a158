/** What is asked of a map that is changed. */
export interface Changeable<K, V> extends ReadonlyMap<K, V> {
  set(key: K, value: V): unknown;
  delete(key: K): boolean;
}

/**
 * A map that begins as another and is changed without it: nothing of the other is copied, so that a change among tens of thousands
 * costs what changes. It is in the order in which a map that was copied would be.
 */
export const overlay = <K, V>(base: ReadonlyMap<K, V>): Changeable<K, V> => {
  const own = new Map<K, V>();
  // Keys of the base that were deleted; one that is set again comes last, as in any map.
  const gone = new Set<K>();
  let replaced = 0;
  const has = (key: K): boolean => own.has(key) || (!gone.has(key) && base.has(key));
  const stays = (key: K): boolean => !gone.has(key) && base.has(key);
  function* entries(): MapIterator<[K, V]> {
    for (const [key, value] of base) if (!gone.has(key)) yield [key, own.has(key) ? (own.get(key) as V) : value];
    for (const [key, value] of own) if (!stays(key)) yield [key, value];
  }
  function* keys(): MapIterator<K> {
    for (const [key] of entries()) yield key;
  }
  function* values(): MapIterator<V> {
    for (const [, value] of entries()) yield value;
  }
  const map: Changeable<K, V> = {
    get size() {
      return base.size - gone.size + own.size - replaced;
    },
    has,
    get: (key) => (own.has(key) ? own.get(key) : gone.has(key) ? undefined : base.get(key)),
    set: (key, value) => {
      if (!own.has(key) && stays(key)) replaced += 1;
      own.set(key, value);
    },
    delete: (key) => {
      if (!has(key)) return false;
      if (own.delete(key) && stays(key)) replaced -= 1;
      if (base.has(key)) gone.add(key);
      return true;
    },
    forEach: (work, self) => {
      for (const [key, value] of entries()) work.call(self, value, key, map);
    },
    entries,
    keys,
    values,
    [Symbol.iterator]: entries,
  };
  return map;
};
