import fc from 'fast-check';
import { expect, test } from 'vitest';
import { CLASSIFICATIONS } from '../ledger/classes';
import { accountId } from './account';
import type { Incoming, IncomingRules, PlannedRow, RowChoice } from './incoming';
import { planIncoming } from './incoming';
import { CLASHES, type IncomingColumn, decided, incomingText } from './incoming-cells';

const RULES: IncomingRules = {
  codes: 'optional',
  scheme: null,
  base: 'EUR',
  currencies: [],
  taxCodes: [],
  uses: new Map(),
  banks: new Map(),
  update: true,
  clash: 'change',
};
const incoming = (says: Incoming['says'], row = 2): Incoming => ({ row, says, problems: [] });
const planned = (says: Incoming['says'], choice: RowChoice = {}): PlannedRow => {
  const [row] = planIncoming([], [incoming(says)], new Map([[2, choice]]), RULES).rows;
  if (row === undefined) throw new Error('no row');
  return row;
};
const take = (choice: RowChoice, column: IncomingColumn, text: string): RowChoice => {
  const done = decided(choice, column, text);
  if (!done.ok) throw new Error(done.problems[0]?.message);
  return done.value;
};

const texts = fc.oneof(
  fc.record({ column: fc.constantFrom('code', 'name', 'parent'), text: fc.string({ maxLength: 12 }) }),
  fc.record({ column: fc.constant('take'), text: fc.constantFrom('yes', 'no') }),
  fc.record({
    column: fc.constant('classification'),
    text: fc.constantFrom('', ...CLASSIFICATIONS.map(({ one }) => one)),
  }),
  fc.record({ column: fc.constant('clash'), text: fc.constantFrom('', ...CLASHES.map(({ label }) => label)) }),
) as fc.Arbitrary<{ readonly column: IncomingColumn; readonly text: string }>;

test('what a cell shows can be typed into it, and nothing is then decided otherwise', () => {
  fc.assert(
    fc.property(fc.array(texts, { maxLength: 8 }), (edits) => {
      const says = { code: '4000', name: 'Sales of weed', classification: 'revenue' as const };
      const choice = edits.reduce<RowChoice>((was, { column, text }) => take(was, column, text), {});
      const row = planned(says, choice);
      for (const column of ['take', 'code', 'name', 'classification', 'clash'] as const) {
        const again = take(choice, column, incomingText(row, choice, column));
        expect(planned(says, again)).toEqual(row);
      }
    }),
  );
});

test('an empty statement line is again what the source says', () => {
  const says = { code: '4000', name: 'Sales', classification: 'revenue' as const };
  const moved = take({}, 'classification', 'fixed asset');
  expect(planned(says, moved).classification).toBe('fixed-asset');
  const back = take(moved, 'classification', ' ');
  expect(planned(says, back).classification).toBe('revenue');
});

test('a line, a way out or an answer that is none says so and decides nothing', () => {
  for (const [column, text] of [
    ['classification', 'Sundry'],
    ['clash', 'perhaps'],
    ['take', 'later'],
  ] as const) {
    const done = decided({}, column, text);
    expect(done.ok ? '' : done.problems[0]?.message).toContain(`“${text}”`);
  }
});

test('a row says what becomes of it, with what is wrong or what would change', () => {
  const none = planned({ code: 'Q', name: 'Qx' });
  expect(incomingText(none, {}, 'happens')).toMatch(/^has a problem: Neither its type/);
  const here = { ...incoming({ code: '4000', name: 'Sale of weed', classification: 'revenue' }) };
  const first = planIncoming([], [here], new Map(), RULES).edits.flatMap((edit) =>
    edit.kind === 'add' ? [{ ...edit.account, id: accountId(7) }] : [],
  );
  const [row] = planIncoming(first, [incoming({ code: '4000', name: 'Tours' })], new Map(), RULES).rows;
  expect(row === undefined ? '' : incomingText(row, {}, 'happens')).toBe('changes (name)');
});

test('a heading can be typed or pasted as its cell shows it, by its code, or by its name', () => {
  const sources = [
    incoming({ code: '4000', name: 'Turnover', heading: true, classification: 'revenue' }, 1),
    incoming({ code: '4010', name: 'Sales of weed', classification: 'revenue', parent: '4000' }),
  ];
  const under = (choice: RowChoice): PlannedRow | undefined =>
    planIncoming([], sources, new Map([[2, choice]]), RULES).rows[1];
  const row = under({});
  expect(row?.under).toBe('4000 Turnover');
  for (const text of [row?.under ?? '', '4000', 'Turnover']) expect(under(take({}, 'parent', text))).toEqual(row);
  expect(under(take({}, 'parent', ''))?.under).toBe('');
});
