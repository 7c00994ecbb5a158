import { type Currency } from '../money/currency';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_ACCOUNT, accountId } from './account';
import { changeBaseProblems, switchOffProblems } from './currency-use';

const account = (currency: Currency | null) => ({
  ...PLAIN_ACCOUNT,
  id: accountId(1),
  code: '1030',
  name: 'Bank',
  classification: 'current-asset' as const,
  currency,
});

describe('a foreign currency', () => {
  it('is switched off exactly when nothing is kept, stands or is posted in it', () => {
    fc.assert(
      fc.property(fc.boolean(), fc.nat(3), fc.boolean(), (kept, figures, posted) => {
        const accounts = [account(kept ? 'NOK' : 'SEK'), account(null)];
        const wrong = switchOffProblems('NOK', { accounts, figures, posted });
        expect(wrong.length > 0).toBe(kept || figures > 0 || posted);
        for (const { message, path } of wrong) {
          expect(message).toMatch(/^NOK cannot be switched off: .*\.$/);
          expect(path).toEqual(['currency']);
        }
      }),
    );
  });
});

describe('the base currency', () => {
  it('becomes another one exactly when no amount is stated in it and the other is no foreign one', () => {
    fc.assert(
      fc.property(fc.boolean(), fc.nat(3), fc.boolean(), (posted, figures, foreign) => {
        const wrong = changeBaseProblems('EUR', 'GBP', {
          posted,
          figures,
          foreign: foreign ? ['GBP', 'NOK'] : ['NOK'],
        });
        expect(wrong.length).toBe(posted || figures > 0 || foreign ? 1 : 0);
      }),
    );
  });
});
