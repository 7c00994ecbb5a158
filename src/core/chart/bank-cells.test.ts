import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NUMBER_STYLES } from '../money/number-style';
import { type BankDetails, NO_BANK_DETAILS } from './bank';
import { BANK_COLUMNS, type BankRules, bankText, typedBank } from './bank-cells';
import { routingOf } from './routing';

const rules = fc.record({
  currency: fc.constantFrom('EUR', 'JPY', 'KWD', 'GBP'),
  style: fc.constantFrom(...NUMBER_STYLES),
  routing: fc.constantFrom(routingOf('GB', null), routingOf('DE', null), routingOf('FR', null)),
});
const details: fc.Arbitrary<BankDetails> = fc.record({
  iban: fc.constantFrom('', 'IE29AIBK93115212345678', 'NO9386011117947'),
  number: fc.constantFrom('', '7003 14 00019', '************4471'),
  routing: fc.constant(''),
  bic: fc.constantFrom('', 'SKERIE2D', 'SKERIE2DXXX'),
  alertBelow: fc.option(fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n })),
  reconciled: fc.boolean(),
  onDocuments: fc.boolean(),
  statementDay: fc.option(fc.integer({ min: 1, max: 31 })),
});

describe('what banks call an account, on a sheet', () => {
  it('is the same again when what a cell shows is typed into it', () => {
    fc.assert(
      fc.property(details, rules, fc.constantFrom(...BANK_COLUMNS), (known, by, column) => {
        const typed = typedBank(known, column, bankText(known, column, by), by);
        expect(typed).toEqual({ ok: true, value: known });
      }),
    );
  });
  it('is refused with a sentence where it is none, and nothing changes', () => {
    const by: BankRules = { currency: 'GBP', style: '1,234.56', routing: routingOf('GB', null) };
    const says = (column: (typeof BANK_COLUMNS)[number], text: string): string => {
      const typed = typedBank(NO_BANK_DETAILS, column, text, by);
      return typed.ok ? 'read' : (typed.problems[0]?.code ?? '');
    };
    expect([
      says('iban', 'IE29 AIBK 9311 5212 3456 79'),
      says('routing', '70-03-1'),
      says('bic', 'nope'),
      says('alertBelow', 'much'),
      says('statementDay', '32'),
      says('statementDay', '1.5'),
    ]).toEqual([
      'bank.iban',
      'bank.routing',
      'bank.bic',
      'amount.unreadable',
      'bank.statement-day',
      'bank.statement-day',
    ]);
    expect([says('statementDay', 'last'), says('routing', '70 03 14'), says('onDocuments', 'x')]).toEqual(
      Array.from({ length: 3 }, () => 'read'),
    );
  });
});
