import fc from 'fast-check';
import { type Account, DEEPEST, PLAIN_ACCOUNT, accountId } from './account';
import { CLASSIFICATIONS, typeOf } from '../ledger/classes';

/** Charts for property tests: any tree of headings and posting accounts that the rules accept. */
export const anyChart = (most = 40): fc.Arbitrary<readonly Account[]> =>
  fc
    .array(
      fc.record({
        pick: fc.nat(),
        heading: fc.boolean(),
        line: fc.constantFrom(...CLASSIFICATIONS.map(({ id }) => id)),
        name: fc.string({ unit: 'grapheme', minLength: 1, maxLength: 20 }).filter((text) => text.trim() !== ''),
        contra: fc.boolean(),
        active: fc.boolean(),
        note: fc.constantFrom('', 'kept for the reserve', '=1+1', 'a, b; "c"'),
        currency: fc.constantFrom(null, null, 'NOK', 'GBP'),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((shape) => {
      const accounts: Account[] = [];
      const depths = new Map<number, number>();
      shape.forEach(({ pick, heading, line, name, contra, active, note, currency }, at) => {
        const headings = accounts.filter((one) => one.heading && (depths.get(one.id) ?? 1) < DEEPEST);
        const parent = headings.length > 0 && pick % 3 !== 0 ? headings[pick % headings.length] : undefined;
        const id = accountId(at + 1);
        depths.set(id, parent === undefined ? 1 : (depths.get(parent.id) ?? 1) + 1);
        accounts.push({
          ...PLAIN_ACCOUNT,
          id,
          code: String(1000 + at * 7),
          name: name.trim(),
          classification:
            parent === undefined || typeOf(parent.classification) === typeOf(line) ? line : parent.classification,
          heading,
          parent: parent?.id ?? null,
          contra: !heading && contra,
          active: heading || active,
          note,
          currency: heading ? null : currency,
        });
      });
      return accounts;
    });
