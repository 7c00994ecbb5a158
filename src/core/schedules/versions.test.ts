import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minor } from '../money/minor';
import { contactId } from './contact';
import { type ItemFields, blankItem } from './item';
import { itemChanges } from './versions';

const item = (more: Partial<ItemFields> = {}): ItemFields => ({ ...blankItem('customers', 'EUR'), ...more });

const anyItem = fc
  .record({
    contact: fc.option(fc.integer({ min: 1, max: 3 }).map(contactId)),
    number: fc.constantFrom('', 'A1', 'A2', 'A3'),
    reference: fc.constantFrom('', 'R1', 'R2'),
    date: fc.constantFrom(null, '2026-06-01', '2026-07-01'),
    open: fc.integer({ min: -3, max: 3 }).map((open) => minor(BigInt(open))),
    note: fc.constantFrom('', 'sails', 'nets'),
  })
  .map(item);
const list = fc.array(anyItem, { maxLength: 12 });

describe('the items of two versions', () => {
  it('are known again by what they are: one is another amount, one came, one went', () => {
    const invoice = (number: string, open: bigint): ItemFields =>
      item({ contact: contactId(1), number, open: minor(open) });
    expect(itemChanges([invoice('A1', 500n), invoice('A2', 90n)], [invoice('A1', 450n), invoice('A3', 10n)])).toEqual([
      { how: 'changed', was: invoice('A1', 500n), now: invoice('A1', 450n) },
      { how: 'came', now: invoice('A3', 10n) },
      { how: 'went', was: invoice('A2', 90n) },
    ]);
    // A number that was mistyped is the same document, and two that are alike are two.
    expect(itemChanges([item({ date: '2026-06-01', open: minor(5n), number: 'A1' })], [item({ date: '2026-06-01', open: minor(5n), number: 'A7' })])).toMatchObject([{ how: 'changed' }]); // prettier-ignore
    expect(itemChanges([item(), item()], [item()])).toEqual([{ how: 'went', was: item() }]);
  });

  it('lead from the one to the other: nothing is told twice, nothing is left out, and the same is no change', () => {
    fc.assert(
      fc.property(list, list, (before, now) => {
        const changes = itemChanges(before, now);
        const count = (how: string): number => changes.filter((one) => one.how === how).length;
        expect(before.length - count('went') + count('came')).toBe(now.length);
        const sumOf = (items: readonly ItemFields[]): bigint => items.reduce((sum, { open }) => sum + open, 0n);
        const moved = changes.reduce((sum, one) => sum + ('now' in one ? one.now.open : 0n) - ('was' in one ? one.was.open : 0n), 0n); // prettier-ignore
        expect(sumOf(before) + moved).toBe(sumOf(now));
        for (const one of changes) if (one.how === 'changed') expect(one.was).not.toEqual(one.now);
      }),
    );
    fc.assert(
      fc.property(list, (items) => {
        expect(itemChanges(items, [...items].reverse())).toEqual([]);
      }),
    );
  });
});
