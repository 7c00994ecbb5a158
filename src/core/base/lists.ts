/** Puts a value at the end of the list that a key has. */
export const addTo = <K, V>(lists: Map<K, V[]>, key: K, value: V): void => {
  const known = lists.get(key);
  if (known === undefined) lists.set(key, [value]);
  else known.push(value);
};
