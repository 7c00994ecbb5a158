import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEEDS, type Deed, deedWords } from './deeds';
import { type ReviewState, reviewOf, reviewProblems, reviewState, signProblems } from './review';
import { type Acting, GIVEN_ROLES, ROLES, deedsIn, may, mayAnywhere, roleIn, whoMay } from './roles';

const actor: fc.Arbitrary<Acting> = fc.record({
  practice: fc.constantFrom(1, 2),
  role: fc.constantFrom(...ROLES),
  charts: fc.boolean(),
  given: fc
    .array(fc.tuple(fc.integer({ min: 1, max: 5 }), fc.constantFrom(...GIVEN_ROLES)), { maxLength: 4 })
    .map((list) => new Map(list)),
});
const books = fc.record({ id: fc.integer({ min: 1, max: 5 }), practice: fc.constantFrom(1, 2) });

describe('who may do what', () => {
  it('lets an owner do everything, in books of the own practice only', () => {
    for (const deed of DEEDS) {
      expect(may({ practice: 1, role: 'owner', charts: false }, deed, { id: 1, practice: 1 })).toBe(true);
      expect(may({ practice: 1, role: 'owner' }, deed, { id: 1, practice: 2 })).toBe(false);
    }
  });

  it('keeps preparing and posting apart, and lets a reader only look', () => {
    const roles = (deed: Deed) => ROLES.filter((role) => may({ practice: 1, role }, deed));
    expect(roles('openings.change')).toEqual(['owner', 'preparer']);
    expect(roles('openings.post')).toEqual(['owner', 'reviewer']);
    expect(roles('openings.sign')).toEqual(['owner', 'reviewer']);
    expect(roles('chart.change')).toEqual(['owner', 'preparer']);
    expect(roles('schedules.explain')).toEqual(['owner', 'preparer', 'reviewer']);
    for (const deed of ['books.remove', 'people.change', 'audit.see', 'practice.change'] as const)
      expect(roles(deed)).toEqual(['owner']);
    expect(DEEDS.filter((deed) => may({ practice: 1, role: 'reader' }, deed))).toEqual(['books.see', 'board.see']);
  });

  it('shows a reader the books that were given to them, and no others', () => {
    const reader: Acting = { practice: 1, role: 'reader', given: new Map([[7, 'reader']]) };
    expect(may(reader, 'books.see', { id: 7, practice: 1 })).toBe(true);
    expect(may(reader, 'books.see', { id: 8, practice: 1 })).toBe(false);
  });

  it('is narrower or wider in single books', () => {
    const given = new Map([
      [1, 'none'],
      [2, 'reviewer'],
    ] as const);
    const preparer: Acting = { practice: 1, role: 'preparer', given };
    expect(roleIn(preparer, { id: 1, practice: 1 })).toBeUndefined();
    expect(may(preparer, 'openings.post', { id: 2, practice: 1 })).toBe(true);
    expect(may(preparer, 'openings.change', { id: 2, practice: 1 })).toBe(false);
    expect(may(preparer, 'openings.post', { id: 3, practice: 1 })).toBe(false);
    // An owner is not narrowed.
    expect(roleIn({ practice: 1, role: 'owner', given }, { id: 1, practice: 1 })).toBe('owner');
  });

  it('takes charts from a preparer, and nothing else', () => {
    const preparer: Acting = { practice: 1, role: 'preparer', charts: false };
    expect(DEEDS.filter((deed) => may({ ...preparer, charts: true }, deed) && !may(preparer, deed))).toEqual([
      'chart.change',
    ]);
  });

  it('lets nobody do in books what they may do nowhere; in books of others nobody does anything', () => {
    fc.assert(
      fc.property(actor, books, (who, where) => {
        for (const deed of deedsIn(who, where)) {
          expect(mayAnywhere(who, deed)).toBe(true);
          expect(where.practice).toBe(who.practice);
        }
        if (roleIn(who, where) === undefined) expect(deedsIn(who, where)).toEqual([]);
      }),
    );
  });

  it('says every deed in words that fit “You may not …”, and who may', () => {
    for (const deed of DEEDS) {
      expect(deedWords[deed]).toMatch(/^[a-z]/);
      expect(whoMay(deed)).toMatch(/^an? /);
    }
    expect(whoMay('openings.change')).toBe('an owner or a preparer');
    expect(whoMay('people.change')).toBe('an owner');
    expect(whoMay('schedules.look')).toBe('an owner, a preparer or a reviewer');
  });
});

describe('a second pair of eyes', () => {
  const signature = (person: number, revision: bigint) => ({
    person,
    by: `Person ${String(person)}`,
    at: '2026-08-01T09:00:00Z',
    revision,
    note: '',
  });
  const prepared = { person: 1, by: 'Person 1' };
  const codes = (state: ReviewState, poster: number) => reviewProblems(state, poster).map(({ code }) => code);

  it('is demanded by the practice or by the books', () => {
    expect([reviewOf('off', 'off'), reviewOf('signed', 'off'), reviewOf('off', 'signed')]).toEqual([
      'off',
      'signed',
      'signed',
    ]);
  });

  it('is of one revision: a later change lifts it, and that is said', () => {
    const now = reviewState('signed', [signature(2, 8n)], 8n, prepared);
    expect(codes(now, 2)).toEqual([]);
    const later = reviewState('signed', [signature(2, 8n)], 9n, prepared);
    expect(later.lifted?.by).toBe('Person 2');
    expect(codes(later, 2)).toEqual(['review.unsigned']);
    expect(codes(reviewState('off', [], 9n, prepared), 1)).toEqual([]);
  });

  it('is somebody else’s than of who prepared last: neither their signature nor their posting counts', () => {
    const own = reviewState('signed', [signature(1, 8n)], 8n, prepared);
    expect(own.signed).toBeNull();
    expect(codes(own, 1)).toEqual(['review.unsigned', 'review.own']);
    expect(codes(reviewState('signed', [signature(2, 8n)], 8n, prepared), 1)).toEqual(['review.own']);
    expect(signProblems(own, 1).map(({ code }) => code)).toEqual(['review.own']);
    expect(signProblems(own, 2)).toEqual([]);
    expect(signProblems(reviewState('signed', [signature(2, 8n)], 8n, prepared), 2)).toHaveLength(1);
  });

  it('never lets anybody post alone, whoever signed what and when', () => {
    const some = fc.array(fc.tuple(fc.integer({ min: 1, max: 3 }), fc.bigInt({ min: 1n, max: 4n })), { maxLength: 6 });
    fc.assert(
      fc.property(some, fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 3 }), (signed, preparer, poster) => {
        const state = reviewState(
          'signed',
          signed.map(([person, revision]) => signature(person, revision)),
          4n,
          { person: preparer, by: '' },
        );
        if (reviewProblems(state, poster).length > 0) return;
        expect(poster).not.toBe(preparer);
        expect(signed.some(([person, revision]) => person !== preparer && revision === 4n)).toBe(true);
      }),
    );
  });
});
