import { addTo } from '../base/lists';
import type { ItemFields } from './item';

/** What became of an item of one version in the next one. */
export type ItemChange =
  | { readonly how: 'came'; readonly now: ItemFields }
  | { readonly how: 'went'; readonly was: ItemFields }
  | { readonly how: 'changed'; readonly was: ItemFields; readonly now: ItemFields };

const textOf = (parts: readonly unknown[]): string =>
  JSON.stringify(parts, (_, value: unknown) => (typeof value === 'bigint' ? String(value) : value));

/** All that a person decides of an item. */
const whole = ({ kind, contact, number, reference, order, date, due, currency, original, open, base, note, ...more }: ItemFields): string => // prettier-ignore
  textOf([kind, contact, number, reference, order, date, due, currency, original, open, base, note, Object.entries(more.detail).sort(([one], [other]) => (one < other ? -1 : 1)), more.beside, more.besideAccount]); // prettier-ignore

const isNumbered = ({ number, reference }: ItemFields): boolean => number !== '' || reference !== '';

/** By what an item is known again though something of it is another, the surest first; undefined where it has nothing of the kind. */
const IDENTITIES: readonly ((item: ItemFields) => string | undefined)[] = [
  (item) => (isNumbered(item) ? textOf([item.contact, item.number, item.reference]) : undefined),
  ({ contact, number }) => (number === '' ? undefined : textOf([contact, number])),
  ({ contact, reference }) => (reference === '' ? undefined : textOf([contact, reference])),
  ({ kind, number }) => (number === '' ? undefined : textOf([kind, number])),
  ({ kind, contact, date, open }) => textOf([kind, contact, date, open]),
  // What has a number of its own is no other document of the same contact and day.
  (item) => (isNumbered(item) || item.note === '' ? undefined : textOf([item.contact, item.note])),
  (item) => (isNumbered(item) ? undefined : textOf([item.kind, item.contact, item.date])),
];

/**
 * Which items came, went or are another than in the version before, in the order of the items and then of those that went. Items have no
 * number that holds from version to version: they are known again by what they are, as whole as possible.
 */
export const itemChanges = (before: readonly ItemFields[], now: readonly ItemFields[]): readonly ItemChange[] => {
  const was = new Map<number, ItemFields>();
  const left = new Set(before.keys());
  const open = new Set(now.keys());
  for (const identity of [whole, ...IDENTITIES]) {
    const known = new Map<string, number[]>();
    for (const at of left) {
      const item = before[at];
      const key = item === undefined ? undefined : identity(item);
      if (key !== undefined) addTo(known, key, at);
    }
    for (const at of open) {
      const item = now[at];
      const key = item === undefined ? undefined : identity(item);
      const from = key === undefined ? undefined : known.get(key)?.shift();
      const found = from === undefined ? undefined : before[from];
      if (from === undefined || found === undefined) continue;
      was.set(at, found);
      left.delete(from);
      open.delete(at);
    }
  }
  return [
    ...now.flatMap((item, at): readonly ItemChange[] => {
      const found = was.get(at);
      if (found === undefined) return [{ how: 'came', now: item }];
      return whole(found) === whole(item) ? [] : [{ how: 'changed', was: found, now: item }];
    }),
    ...before.flatMap((item, at): readonly ItemChange[] => (left.has(at) ? [{ how: 'went', was: item }] : [])),
  ];
};
