import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areRelated, concepts, contentWords, meantBy, relatedConcepts } from './concepts/recogniser';
import { folded } from '../base/folded';
import { lexicon } from './lexicon';
import { monthOf } from './months';
import { CREDIT, DEBIT, TOTAL } from './paper-words';
import { sectionSide, usualSide } from './side-words';

describe('folded words', () => {
  it('are the same again when folded again, and the same for every way to write an accent', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 40 }), (text) => {
        expect(folded(folded(text))).toBe(folded(text));
        expect(folded(text.normalize('NFD'))).toBe(folded(text.normalize('NFC')));
      }),
    );
    expect(folded('Má dáti – ŁÓDŹ / Straße')).toBe('ma dati lodz strasse');
  });
});

describe('a lexicon', () => {
  const words = lexicon('saldo, *saldo, opening balance, schluss*, 残高');
  it('finds words, phrases, beginnings and ends, the longest first, and never in the middle of a word', () => {
    expect(words.in('saldo per')).toBe('saldo');
    expect(words.in('endsaldo')).toBe('saldo');
    expect(words.in('schlussbestand')).toBe('schluss');
    expect(words.in('the opening balance of')).toBe('opening balance');
    expect(words.in('openings balance')).toBeUndefined();
    expect(words.in('saldos')).toBeUndefined();
    expect(words.in('期末残高')).toBe('残高');
    expect(words.is('saldo')).toBe(true);
    expect(words.is('saldo per')).toBe(false);
  });
  it('keeps debit and credit apart: no text is wholly both', () => {
    for (const word of ['soll', 'debe', 'dare', 'tartozik', 'borc', 'дебет', '借方', 'ma dati', 'wn']) {
      expect([word, DEBIT.is(folded(word)), CREDIT.is(folded(word))]).toEqual([word, true, false]);
    }
    for (const word of ['haben', 'haber', 'avere', 'kovetel', 'alacak', 'кредит', '貸方', 'dal', 'ma'])
      expect([word, DEBIT.is(folded(word)), CREDIT.is(folded(word))]).toEqual([word, false, true]);
  });
  it('knows totals where words are not parted', () => {
    expect(TOTAL.in('資産合計')).toBe('合計');
    expect(TOTAL.in('sum insured')).toBe('sum');
  });
});

describe('months', () => {
  it.each([
    ['January', 1],
    ['märz', 3],
    ['août', 8],
    ['grudnia', 12],
    ['července', 7],
    ['června', 6],
    ['lipca', 7],
    ['marraskuu', 11],
    ['szeptember', 9],
    ['Mart', 3],
    ['января', 1],
    ['Ιουλίου', 7],
    ['dic', 12],
    ['december', 12],
  ])('%s is %d', (word, month) => {
    expect(monthOf(folded(word))).toBe(month);
  });
  it('are none of other words, nor of beginnings that two have', () => {
    for (const word of [
      'balance',
      'konto',
      'ju',
      'jui',
      '12',
      'outstanding',
      'market',
      'mayor',
      'junior',
      'settlement',
      'novelty',
    ])
      expect(monthOf(word)).toBeUndefined();
  });
});

describe('the side of an account by its words', () => {
  it.each([
    ['Accumulated depreciation', 'credit'],
    ['Depreciation', 'debit'],
    ['Kundfordringar', 'debit'],
    ['Leverantörsskulder', 'credit'],
    ['Umsatzerlöse', 'credit'],
    ['Löhne und Gehälter', 'debit'],
    ['Satıcılar', 'credit'],
    ['Vevők', 'debit'],
  ] as const)('of %s is %s', (name, side) => {
    expect(usualSide(name)).toBe(side);
  });
  it('is the section’s, but for what stands against it', () => {
    expect(usualSide('Odds and ends', 'debit')).toBe('debit');
    expect(usualSide('Drawings', 'credit')).toBe('debit');
    expect(usualSide('Allowance for doubtful accounts', 'debit')).toBe('credit');
    expect([sectionSide('Eigenkapital'), sectionSide('Tillgångar'), sectionSide('Kapitel')]).toEqual([
      'credit',
      'debit',
      undefined,
    ]);
  });
});

describe('concepts of the trade', () => {
  it('are each found by each of their own terms, with all that speaks for them', () => {
    const missed: string[] = [];
    for (const concept of concepts())
      for (const term of concept.terms) {
        const found = meantBy(term.join(' '), concept.side);
        if (!found.some((one) => one.concept === concept && one.score > 0.9))
          missed.push(`${concept.id}: ${term.join(' ')}`);
      }
    expect(missed).toEqual([]);
  });
  it('have ids, terms and related ones, and no term of two with different sides but where the balance decides', () => {
    expect(new Set(concepts().map(({ id }) => id)).size).toBe(concepts().length);
    const sides = new Map<string, Set<string>>();
    for (const { terms, side, id } of concepts()) {
      expect(terms.length, id).toBeGreaterThan(4);
      for (const term of terms) {
        const key = term.join(' ');
        sides.set(key, (sides.get(key) ?? new Set()).add(side));
      }
      for (const other of relatedConcepts(id))
        expect([other, concepts().some((one) => one.id === other), areRelated(other, id)]).toEqual([other, true, true]);
    }
    // Such terms are few, and each is read by the side of its balance.
    const both = [...sides].filter(([, found]) => found.size > 1).map(([term]) => term);
    expect(both.length).toBeLessThan(12);
    for (const term of both)
      expect(meantBy(term, 'debit')[0]?.concept.side).not.toBe(meantBy(term, 'credit')[0]?.concept.side);
  });
  it.each([
    ['Accum depr - furn & fixt', 'credit', 'fixtures-depreciation'],
    ['Fournisseurs - fact. non parv.', 'credit', 'grni'],
    ['Leasehold imprvmts', 'debit', 'leasehold-improvements'],
    ['Werkstattmiete', 'debit', 'rent'],
    ['Forderungen a. Lieferungen u. Leistungen', 'debit', 'receivables'],
    ['Tarde debtors', 'debit', 'receivables'],
    ['Telefon og internett', 'debit', 'telephone'],
    ['Avskrivningar på maskiner', 'debit', 'depreciation-charge'],
  ] as const)('%s with a %s balance is %s: shortened, joined or misspelt', (name, side, id) => {
    expect(meantBy(name, side)[0]?.concept.id).toBe(id);
  });
  it('never fail, whatever a name is', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (name) => {
        for (const { score } of meantBy(name)) expect(score).toBeLessThanOrEqual(1);
        expect(contentWords(name).size).toBeLessThanOrEqual(200);
      }),
    );
  });
});
