import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BoardEntry, BOARD_ORDERS, BOARD_STATES, EVERYTHING, NOBODY, onBoard } from './board';

const entries = fc.array(
  fc.record<BoardEntry>({
    name: fc.constantFrom('Marram Kelp', 'Nightjar', 'Élan Vital', 'Tessellate 10', 'Tessellate 9'),
    tradingName: fc.constantFrom('', 'Kelpie'),
    remark: fc.constantFrom('', 'phone first'),
    inCharge: fc.constantFrom('', 'Ines', 'Tomas'),
    purpose: fc.constantFrom('live' as const, 'trial' as const, 'demo' as const),
    archived: fc.boolean(),
    cutover: fc.constantFrom('2026-01-01', '2026-08-01'),
    next: fc.constantFrom(null, { id: 'chart' as const }, { id: 'proof' as const }),
    blockers: fc.nat({ max: 3 }),
  }),
  { maxLength: 30 },
);
const wishes = fc.record({
  words: fc.constantFrom('', 'kelp', 'ELAN', 'phone kelp', 'nothing like it'),
  state: fc.constantFrom('' as const, ...BOARD_STATES.map((one) => one.id)),
  purpose: fc.constantFrom('' as const, 'live' as const, 'demo' as const),
  person: fc.constantFrom('', 'Ines', NOBODY),
  order: fc.constantFrom(...BOARD_ORDERS.map((one) => one.id)),
  archived: fc.boolean(),
});

describe('the board', () => {
  it('shows each set of books either on the board or in the archive, and loses none', () => {
    fc.assert(
      fc.property(entries, fc.constantFrom(...BOARD_ORDERS.map((one) => one.id)), (books, order) => {
        const shown = [false, true].flatMap((archived) => onBoard(books, { ...EVERYTHING, order, archived }));
        expect(shown).toHaveLength(books.length);
        expect(new Set(shown)).toEqual(new Set(books));
      }),
    );
  });
  it('finds the same books whatever the order, and a narrower wish finds no others', () => {
    fc.assert(
      fc.property(entries, wishes, (books, wish) => {
        const found = new Set(onBoard(books, wish));
        expect(new Set(onBoard(books, { ...wish, order: 'name' }))).toEqual(found);
        const wider = new Set(onBoard(books, { ...EVERYTHING, archived: wish.archived }));
        for (const one of found) expect(wider.has(one)).toBe(true);
      }),
    );
  });
  it('sorts as people read', () => {
    const book = (name: string, more: Partial<BoardEntry> = {}): BoardEntry => ({
      name,
      tradingName: '',
      remark: '',
      inCharge: '',
      purpose: 'live',
      archived: false,
      cutover: '2026-01-01',
      next: null,
      blockers: 0,
      ...more,
    });
    const books = [
      book('Tessellate 10', { blockers: 1 }),
      book('Élan', { cutover: '2025-01-01' }),
      book('tessellate 9'),
    ];
    const names = (order: 'name' | 'cutover' | 'blockers') =>
      onBoard(books, { ...EVERYTHING, order }).map((one) => one.name);
    expect(names('name')).toEqual(['Élan', 'tessellate 9', 'Tessellate 10']);
    expect(names('cutover')[0]).toBe('Élan');
    expect(names('blockers')[0]).toBe('Tessellate 10');
    expect(onBoard(books, { ...EVERYTHING, words: 'elan' })).toHaveLength(1);
  });
});
