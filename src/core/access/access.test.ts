import { describe, expect, it } from 'vitest';
import { DEEDS, deedWords } from './deeds';
import { ROLES, may } from './roles';

describe('who may do what', () => {
  it('lets an owner do everything, in books of the own practice only', () => {
    for (const deed of DEEDS) {
      expect(may({ practice: 1, role: 'owner' }, deed, { practice: 1 })).toBe(true);
      expect(may({ practice: 1, role: 'owner' }, deed, { practice: 2 })).toBe(false);
    }
  });

  it('keeps preparing and posting apart, and lets a client only look', () => {
    const roles = (deed: (typeof DEEDS)[number]) => ROLES.filter((role) => may({ practice: 1, role }, deed));
    expect(roles('openings.change')).toEqual(['owner', 'preparer']);
    expect(roles('openings.post')).toEqual(['owner', 'reviewer']);
    expect(roles('chart.change')).toEqual(['owner', 'preparer']);
    expect(roles('books.remove')).toEqual(['owner']);
    expect(DEEDS.filter((deed) => may({ practice: 1, role: 'client' }, deed))).toEqual(['books.see']);
  });

  it('says every deed in words that fit “You may not …”', () => {
    for (const deed of DEEDS) expect(deedWords[deed]).toMatch(/^[a-z]/);
  });
});
