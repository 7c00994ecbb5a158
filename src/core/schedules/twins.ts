import { distance } from 'fastest-levenshtein';
import { folded } from '../base/folded';
import { addTo } from '../base/lists';
import { lexicon } from '../words/lexicon';

/** Forms of companies and small words, which do not tell two of them apart. */
const FORMS = lexicon(
  'ltd, limited, plc, llp, llc, inc, co, company, corp, gmbh, ag, kg, ohg, ug, e k, gbr, mbh, sarl, sas, sa, sasu, eurl, snc, s l, sl, slu, s a, s c, sc, srl, s r l, spa, s p a, sas, snc, lda, bv, b v, nv, n v, vof, cv, sp, z, o, o o, sp z o o, s r o, sro, a s, as, spol, kft, zrt, bt, nyrt, ab, hb, aps, oy, oyj, asa, ans, sia, uab, ou, doo, d o o, ae, epe, ike, as, ltd sti, and, und, et, y, e, i, en, og, och, ja, the, la, le, les, der, die, das',
);

const core = (name: string): string =>
  folded(name)
    .split(' ')
    .filter((word) => !FORMS.is(word))
    .join(' ');

/** What of a contact tells whether it is another one. */
interface Likeable {
  readonly name: string;
  readonly taxNumber: string | null;
  readonly country: string | null;
  readonly email: string | null;
}

/** Whether two contacts look like one entered twice: the same tax number or address, or names that differ by a slip or a form. */
const alike = (one: Likeable, other: Likeable): boolean => {
  const tax = (contact: Likeable): string => (contact.taxNumber ?? '').replace(/\W/g, '').toLowerCase();
  if (tax(one) !== '' && tax(one) === tax(other)) return true;
  const [a, b] = [core(one.name), core(other.name)];
  if (a === '' || b === '') return false;
  const differs = tax(one) !== '' && tax(other) !== '';
  if (a === b) return !differs || one.country === other.country;
  if (differs) return false;
  const sorted = (text: string): string => text.split(' ').sort().join(' ');
  if (sorted(a) === sorted(b)) return true;
  const most = Math.max(a.length, b.length);
  // A digit that differs tells two places or branches apart.
  if (a.replace(/\D/g, '') !== b.replace(/\D/g, '')) return false;
  return most >= 6 && distance(a, b) <= (most >= 14 ? 2 : 1);
};

/**
 * The places of contacts that look like one entered twice. So many pairs are compared in full; of longer lists, those that share the
 * first letters of a word.
 */
export const nearTwins = (items: readonly Likeable[]): readonly (readonly [number, number])[] => {
  const buckets = new Map<string, number[]>();
  items.forEach((item, at) => {
    const keys = new Set([
      ...core(item.name)
        .split(' ')
        .map((word) => `n${word.slice(0, 3)}`),
      ...(item.taxNumber === null || item.taxNumber === ''
        ? []
        : [`t${item.taxNumber.replace(/\W/g, '').toLowerCase()}`]),
      ...(item.email === null || item.email === '' ? [] : [`e${item.email.toLowerCase()}`]),
    ]);
    for (const key of keys) addTo(buckets, key, at);
  });
  const found = new Map<string, readonly [number, number]>();
  for (const bucket of buckets.values()) {
    if (bucket.length > 400) continue;
    bucket.forEach((first, place) => {
      for (const second of bucket.slice(place + 1)) {
        const [one, other] = [items[first], items[second]];
        if (one !== undefined && other !== undefined && alike(one, other))
          found.set(`${String(first)}-${String(second)}`, [first, second]);
      }
    });
  }
  return [...found.values()].sort(([a, b], [c, d]) => a - c || b - d);
};
