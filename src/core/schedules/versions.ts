import { addTo } from '../base/lists';
import type { ItemFields } from './item';

/** What became of an item of one version in the next one. */
export type ItemChange =
  | { readonly how: 'came'; readonly now: ItemFields }
  | { readonly how: 'went'; readonly was: ItemFields }
  | { readonly how: 'changed'; readonly was: ItemFields; readonly now: ItemFields };

const textOf = (parts: readonly unknown[]): string =>
  JSON.stringify(parts, (_, value: unknown) => (typeof value === 'bigint' ? String(value) : value));

/** What items were written as: most of a long list stay as they are while one of them is typed. */
const written = new WeakMap<ItemFields, string>();

/** All that a person decides of an item. */
const whole = (item: ItemFields): string => {
  const known = written.get(item);
  if (known !== undefined) return known;
  const { kind, contact, number, reference, order, date, due, currency, original, open, base, note } = item;
  const detail = Object.entries(item.detail).sort(([one], [other]) => (one < other ? -1 : 1));
  const made = textOf([kind, contact, number, reference, order, date, due, currency, original, open, base, note, detail, item.beside, item.besideAccount]); // prettier-ignore
  written.set(item, made);
  return made;
};

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
  const isSame = (one: ItemFields | undefined, other: ItemFields | undefined): boolean =>
    one !== undefined && other !== undefined && whole(one) === whole(other);
  // Most of a long list stands as it was, before and behind what is another.
  const fewest = Math.min(before.length, now.length);
  let [from, behind] = [0, 0];
  while (from < fewest && isSame(before[from], now[from])) from += 1;
  while (behind < fewest - from && isSame(before.at(-1 - behind), now.at(-1 - behind))) behind += 1;
  const within = ({ length }: readonly ItemFields[]): readonly number[] =>
    Array.from({ length: length - from - behind }, (_, at) => from + at);
  const was = new Map<number, ItemFields>();
  const [left, open] = [new Set(within(before)), new Set(within(now))];
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
      const place = key === undefined ? undefined : known.get(key)?.shift();
      const found = place === undefined ? undefined : before[place];
      if (place === undefined || found === undefined) continue;
      was.set(at, found);
      left.delete(place);
      open.delete(at);
    }
  }
  return [
    ...within(now).flatMap((at): readonly ItemChange[] => {
      const [found, item] = [was.get(at), now[at]];
      if (item === undefined || isSame(found, item)) return [];
      return found === undefined ? [{ how: 'came', now: item }] : [{ how: 'changed', was: found, now: item }];
    }),
    ...[...left].flatMap((at): readonly ItemChange[] => {
      const item = before[at];
      return item === undefined ? [] : [{ how: 'went', was: item }];
    }),
  ];
};
