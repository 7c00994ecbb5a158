import { type Currency } from '../money/currency';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minor } from '../money/minor';
import { type Account, PLAIN_ACCOUNT, accountId, chartIndex } from './account';
import { ANY_ROUTING, plainRouting, printRouting, routingOf, routingProblem } from './routing';
import { NO_BANK_DETAILS, bankProblems, bicProblem, ibanProblem, plainIban, printIban } from './bank';
import { CLASSIFICATIONS, normalSide, typeOf } from '../ledger/classes';
import { proposeCode } from './codes';
import { asRoles, asStatements } from './places';
import {
  COMPOSED_SCHEME,
  type CodeScheme,
  codeQuestions,
  fitsShape,
  rangeFor,
  sayShape,
  schemeOf,
  schemeProblems,
} from './scheme';
import { cellText, pasteEdits, readCell, searchText, unfolded } from './sheet';
import { type TaxCode, type TaxCodeFields, rateOn, starterTaxCodes, taxCodeProblems } from './tax-codes';
import { anyChart } from './testing';
import { inTreeOrder } from './tree';

const make = (id: number, more: Partial<Account> = {}): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code: String(1000 + id),
  name: `Account ${id}`,
  classification: 'current-asset',
  ...more,
});

describe('the scheme of codes', () => {
  const parts: CodeScheme = {
    segments: [
      { length: 2, kind: 'letters' },
      { length: 3, kind: 'digits' },
    ],
    separator: '-',
    ranges: [{ of: { line: 'equity' }, from: 'EQ-100', to: 'EQ-199' }],
  };
  it('is the shape of its parts and no other', () => {
    expect(['EQ-100', 'ab-999'].every((code) => fitsShape(parts, code))).toBe(true);
    expect(['EQ100', 'E1-100', 'EQ-1000', 'EQ.100', ''].some((code) => fitsShape(parts, code))).toBe(false);
    expect(sayShape(parts)).toBe('2 letters - 3 digits');
  });
  it('is refused when it contradicts itself', () => {
    const codes = (more: Partial<CodeScheme>) => schemeProblems({ ...parts, ...more }).map(({ code }) => code);
    expect(codes({})).toEqual([]);
    expect(codes({ segments: [] })).toContain('scheme.empty');
    expect(
      codes({
        segments: [
          { length: 15, kind: 'digits' },
          { length: 6, kind: 'digits' },
        ],
        ranges: [],
      }),
    ).toEqual(['scheme.long']);
    expect(codes({ ranges: [{ of: { line: 'tax' }, from: 'EQ-200', to: 'EQ-100' }] })).toEqual([
      'scheme.range-upside-down',
    ]);
    expect(codes({ ranges: [{ of: { line: 'tax' }, from: '1', to: 'EQ-100' }] })).toEqual(['scheme.range-shape']);
    expect(codes({ ranges: [...parts.ranges, { of: { line: 'tax' }, from: 'EQ-150', to: 'EQ-300' }] })).toEqual([
      'scheme.overlap',
    ]);
    expect(schemeProblems(COMPOSED_SCHEME)).toEqual([]);
  });
  it('questions what is of another shape, outside its range, or read as something else', () => {
    const heading = make(1, { code: '1000', heading: true });
    const index = chartIndex([heading]);
    const says = (code: string, more: Partial<Account> = {}) =>
      codeQuestions(COMPOSED_SCHEME, make(2, { code, ...more }), index)[0]?.message ?? '';
    expect(says('1010')).toBe('');
    expect(says('N100')).toContain('of another shape');
    expect(says('4010')).toContain('by its code it reads as revenue');
    expect(says('0500')).toContain('no statement reads it');
    expect(codeQuestions(null, make(2, { code: 'anything' }), index)).toEqual([]);
    const own: CodeScheme = {
      ...COMPOSED_SCHEME,
      ranges: [...COMPOSED_SCHEME.ranges, { of: { heading: '1000' }, from: '1005', to: '1009' }],
    };
    expect(rangeFor(own, { classification: 'current-asset', parent: heading.id }, index)).toMatchObject({
      from: '1005',
    });
    expect(proposeCode([heading], heading, own)).toBe('1006');
  });
  it('is found in a chart that follows one, and then questions none of its codes', () => {
    fc.assert(
      fc.property(anyChart(), (chart) => {
        const found = schemeOf(chart);
        if (found === null) return;
        const index = chartIndex(chart);
        expect(schemeProblems(found)).toEqual([]);
        expect(chart.flatMap((account) => codeQuestions(found, account, index))).toEqual([]);
      }),
    );
  });
});

describe('bank details', () => {
  /** An IBAN with right check digits for a country and account number (ISO 13616, MOD 97-10). */
  const iban = (country: string, rest: string): string => {
    const digits = `${rest}${country}00`.replace(/[A-Z]/g, (letter) => String(letter.charCodeAt(0) - 55));
    return `${country}${String(98n - (BigInt(digits) % 97n)).padStart(2, '0')}${rest}`;
  };
  it('take a right IBAN and find one digit mistyped or two neighbours swapped', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[0-9]{11}$/), fc.nat(10), fc.integer({ min: 1, max: 9 }), (rest, at, by) => {
        const right = iban('NO', rest);
        expect(ibanProblem(right)).toBeUndefined();
        expect(plainIban(printIban(right))).toBe(right);
        const place = 4 + at;
        const digit = String((Number(right[place]) + by) % 10);
        expect(ibanProblem(right.slice(0, place) + digit + right.slice(place + 1))?.code).toBe('bank.iban');
        const next = right[place + 1];
        if (next !== undefined && next !== right[place])
          expect(ibanProblem(right.slice(0, place) + next + (right[place] ?? '') + right.slice(place + 2))?.code).toBe(
            'bank.iban',
          );
      }),
    );
  });
  it('say what is wrong', () => {
    expect(ibanProblem('ie29 aibk 9311 5212 3456 78')).toBeUndefined();
    expect(ibanProblem('IE29 AIBK 9311 5212 3456 7')?.message).toContain('has 22 characters, this has 21');
    expect(ibanProblem('XX29AIBK93115212345678')?.message).toContain('no country that has IBANs');
    expect(ibanProblem('DE75512108001245126A99')?.message).toContain('18 digits');
    expect(ibanProblem('GB33BUKB20201555555555')).toBeUndefined();
    expect(ibanProblem('GB330UKB20201555555555')?.message).toContain('4 letters, then 14 digits');
    // Check digits that leave the same rest, and are none.
    for (const [right, wrong] of [
      ['02', '99'],
      ['97', '00'],
      ['98', '01'],
    ] as const) {
      const rest = Array.from({ length: 2000 }, (_, at) => String(10_000_000_000 + at)).find(
        (one) => iban('NO', one).slice(2, 4) === right,
      );
      expect(ibanProblem(`NO${right}${rest ?? ''}`)).toBeUndefined();
      expect(ibanProblem(`NO${wrong}${rest ?? ''}`)?.message).toContain('02 to 98');
    }
    expect(ibanProblem('hello')?.message).toContain('two letters for the country');
    expect([bicProblem('SKERIE2D'), bicProblem('skerie2dxxx'), bicProblem('')]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    expect(bicProblem('SKER')?.code).toBe('bank.bic');
    expect(
      bankProblems({ ...NO_BANK_DETAILS, statementDay: 32, number: '1'.repeat(41) }, ANY_ROUTING).map(
        ({ code }) => code,
      ),
    ).toEqual(['bank.number', 'bank.statement-day']);
  });
});

describe('numbers of banks', () => {
  const wrongOf = (typed: string, country: string, currency: Currency | null = null): string | undefined =>
    routingProblem(typed, routingOf(country, currency))?.message;
  it('are those of the country of the account’s currency, else of the books', () => {
    expect(routingOf('IE', 'GBP').label).toBe('Sort code');
    expect(routingOf('US', null).label).toBe('Routing number');
    expect(routingOf('DE', 'USD').label).toBe('Routing number');
    expect(routingOf('CZ', null)).toBe(ANY_ROUTING);
    expect(routingOf('IE', 'EUR')).toBe(ANY_ROUTING);
  });
  it('are questioned by shape and check digit, whatever marks they are printed with', () => {
    expect([wrongOf('', 'GB'), wrongOf('20-15.55', 'GB'), wrongOf('021000021', 'US')]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    expect(wrongOf('20-15-5', 'GB')).toContain('6 digits');
    expect(wrongOf('021000012', 'US')).toContain('mistyped');
    expect(wrongOf('HARB0123456', 'IN')).toBeUndefined();
    expect(wrongOf('HARB1123456', 'IN')).toContain('a nought');
    expect(wrongOf('1234567', 'CA')).toContain('8 or 9 digits');
    expect(printRouting(plainRouting('20 15 55'), routingOf('GB', null))).toBe('20-15-55');
  });
  it('of the United States find any one digit that is wrong', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 99_999_999 }),
        fc.nat(8),
        fc.integer({ min: 1, max: 9 }),
        (first, at, by) => {
          const eight = String(first).padStart(8, '0');
          const right = Array.from({ length: 10 }, (_, last) => `${eight}${String(last)}`).find(
            (one) => wrongOf(one, 'US') === undefined,
          );
          if (right === undefined) throw new Error(eight);
          const other = Array.from(right)
            .map((digit, place) => (place === at ? String((Number(digit) + by) % 10) : digit))
            .join('');
          expect(wrongOf(other, 'US')).toBeDefined();
        },
      ),
    );
  });
});

describe('tax codes', () => {
  const payable = make(1, { classification: 'current-liability', role: 'tax' });
  const claim = make(2, { role: 'tax' });
  const accounts = new Map([payable, claim, make(3)].map((one) => [one.id, one]));
  const code: TaxCodeFields = {
    code: 'S',
    name: 'Sales',
    direction: 'charged',
    rates: [{ from: '2020-01-01', rate: '23' }],
    charged: payable.id,
    recoverable: null,
    active: true,
  };
  const codes = (more: Partial<TaxCodeFields>, others: readonly TaxCode[] = []) =>
    taxCodeProblems({ ...code, ...more }, others, accounts).map((one) => one.code);
  it('have one rate on each day, the last one that began', () => {
    const rates = [
      { from: '2020-09-01', rate: '21' },
      { from: '2021-03-01', rate: '23' },
    ] as const;
    expect(
      (['2020-08-31', '2020-09-01', '2021-02-28', '2021-03-01', '2030-01-01'] as const).map((on) =>
        rateOn({ rates }, on),
      ),
    ).toEqual([undefined, '21', '21', '23', '23']);
    expect(rateOn({ rates: [...rates].reverse() }, '2021-02-28')).toBe('21');
  });
  it('are refused with the reason', () => {
    expect(codes({})).toEqual([]);
    expect(codes({ code: 's' }, [{ ...code, id: 7 }])).toEqual(['tax.code-taken']);
    expect(codes({ code: '' })).toEqual(['tax.code']);
    expect(codes({ rates: [] })).toEqual(['tax.rate-missing']);
    expect(codes({ rates: [{ from: '2020-01-01', rate: '101' }] })).toEqual(['tax.rate']);
    expect(codes({ rates: [...code.rates, ...code.rates] })).toEqual(['tax.rate-days']);
    expect(codes({ charged: null })).toEqual(['tax.account-missing']);
    expect(codes({ charged: accountId(3) })).toEqual(['tax.account-role']);
    expect(codes({ direction: 'exempt' })).toEqual(['tax.rate-unwanted', 'tax.account-unwanted']);
    expect(codes({ direction: 'self-assessed', recoverable: claim.id })).toEqual([]);
  });
  it('of every starter set are right beside each other', () => {
    for (const country of ['IE', 'GB', 'CZ', 'JP', 'NO', 'XX', 'US']) {
      const set = starterTaxCodes(country, '2026-01-01', { charged: payable.id, recoverable: claim.id });
      const stored: TaxCode[] = [];
      for (const [at, one] of set.entries()) {
        expect(taxCodeProblems(one, stored, accounts)).toEqual([]);
        stored.push({ ...one, id: at + 1 });
      }
      expect(stored.length).toBeGreaterThan(5);
    }
  });
});

describe('the chart as statements and by role', () => {
  it('has every active posting account on exactly one line, and the lines add up', () => {
    fc.assert(
      fc.property(
        anyChart(),
        fc.array(fc.bigInt({ min: -1000n, max: 1000n }), { minLength: 40, maxLength: 40 }),
        (chart, figures) => {
          const amounts = new Map(
            chart.flatMap((account, at) => (account.heading ? [] : [[account.id, minor(figures[at] ?? 0n)] as const])),
          );
          const { lines } = asStatements(chart, amounts, null);
          const placed = lines.flatMap((line) => line.accounts.map(({ account }) => account.id));
          const expected = chart
            .filter(({ heading, active, id }) => !heading && (active || (amounts.get(id) ?? 0n) !== 0n))
            .map(({ id }) => id);
          expect([...placed].sort()).toEqual([...expected].sort());
          for (const line of lines) expect(line.total).toBe(line.accounts.reduce((sum, one) => sum + one.amount, 0n));
        },
      ),
    );
  });
  it('sets apart what would appear nowhere', () => {
    const chart = [make(1, { heading: true }), make(2, { active: false }), make(3, { code: '4999' }), make(4)];
    const { nowhere } = asStatements(
      chart,
      new Map([
        [accountId(1), minor(5n)],
        [accountId(2), minor(6n)],
      ]),
      COMPOSED_SCHEME,
    );
    expect(nowhere.map(({ account }) => account.id)).toEqual([1, 2, 3]);
  });
  it('names the roles that are missing', () => {
    const rows = asRoles([make(1, { role: 'bank', active: false })], ['bank', 'retained-earnings']);
    expect(rows.filter(({ missing }) => missing).map(({ role }) => role)).toEqual(['bank', 'retained-earnings']);
    expect(asRoles([make(1, { role: 'bank' })], ['bank']).some(({ missing }) => missing)).toBe(false);
  });
  it('has for each line a type and a side, and contra turns the side', () => {
    for (const { id } of CLASSIFICATIONS) {
      const debit = typeOf(id) === 'asset' || typeOf(id) === 'expense';
      expect(normalSide({ classification: id, contra: false })).toBe(debit ? 'debit' : 'credit');
      expect(normalSide({ classification: id, contra: true })).toBe(debit ? 'credit' : 'debit');
    }
  });
});

describe('cells of the sheet', () => {
  const columns = ['code', 'name', 'line', 'side', 'currency', 'role', 'state'] as const;
  it('read what they show', () => {
    fc.assert(
      fc.property(anyChart(10), (chart) => {
        for (const account of chart)
          for (const column of columns) {
            if (account.heading && column !== 'code' && column !== 'name' && column !== 'state') continue;
            const read = readCell(account, column, cellText(account, column, 'EUR'), 'EUR');
            expect(read?.ok === true && { ...account, ...read.value }).toEqual(account);
          }
      }),
    );
  });
  it('take a pasted block, fill a range with one row, and say what does not read', () => {
    const chart = [make(1), make(2), make(3, { heading: true })];
    const filled = pasteEdits(chart, 2, 'line', [['Fixed assets', 'Cr']], 'EUR');
    expect(filled.edits).toMatchObject([
      { id: 1, is: { classification: 'fixed-asset', contra: true } },
      { id: 2, is: { classification: 'fixed-asset', contra: true } },
    ]);
    const block = pasteEdits(
      chart,
      1,
      'role',
      [
        ['Bank', 'inactive'],
        ['nonsense', 'active'],
        ['', ''],
        ['x', 'y'],
      ],
      'EUR',
    );
    expect(block.edits).toMatchObject([{ id: 1, is: { role: 'bank', active: false } }]);
    expect(block.problems.map(({ code }) => code)).toEqual(['sheet.cell', 'sheet.over']);
    expect(readCell(make(1), 'type', 'x', 'EUR')).toBeUndefined();
    expect(readCell(make(1), 'currency', 'eux', 'EUR')).toMatchObject({
      ok: false,
      problems: [{ message: '“eux” is no currency of ISO 4217.' }],
    });
  });
  it('are found by code, name, role and note, and hidden under a folded heading', () => {
    expect(searchText(make(1, { role: 'bank', note: 'Céad' }))).toBe('1001 account 1 bank cead');
    fc.assert(
      fc.property(anyChart(), fc.nat(), (chart, pick) => {
        const rows = inTreeOrder(chart);
        const heading = chart.filter((one) => one.heading)[pick % 5];
        if (heading === undefined) return;
        const hidden = new Set(rows.map(({ account }) => account.id));
        for (const { account } of unfolded(rows, new Set([heading.id]))) hidden.delete(account.id);
        const byId = new Map(chart.map((one) => [one.id, one]));
        const under = (account: Account): boolean =>
          account.parent !== null && (account.parent === heading.id || under(byId.get(account.parent) ?? make(0)));
        expect([...hidden].sort()).toEqual(
          chart
            .filter(under)
            .map(({ id }) => id)
            .sort(),
        );
      }),
    );
  });
});
