import { describe, expect, it } from 'vitest';
import { createBooks, removeBooks } from '@/actions/books/commands';
import { addAccount, saveBanks } from '@/actions/chart/commands';
import { moneyView } from '@/actions/chart/views';
import { NO_BANK_DETAILS } from '@/core/chart/bank';
import { archiveBooks, changeFact, removeLogo, setLogo } from '@/actions/company/commands';
import { logoFile } from '@/actions/company/files';
import { boardView } from '@/actions/books/views';
import { companyView } from '@/actions/company/views';
import { statementView } from '@/actions/statements/views';
import { proofView } from '@/actions/openings/views';
import type { CompanyFacts, FactName } from '@/core/company/facts';
import { codesOf, newBooks, valueOf, withDatabase } from './support';

const database = withDatabase();

const put = async (books: number, field: FactName, now: unknown, was?: unknown) =>
  changeFact({ books, field, was: was ?? (await companyView(books))?.facts[field], now });
const factsOf = async (books: number): Promise<CompanyFacts | undefined> => (await companyView(books))?.facts;

describe('the facts of a company', () => {
  it('are kept one by one, trimmed, and written down', async () => {
    const books = await newBooks();
    valueOf(await put(books, 'tradingName', '  Saltmarsh '));
    valueOf(await put(books, 'registeredAddress', '1 Quay\r\nBallymarsh'));
    valueOf(await put(books, 'contacts', [{ name: 'Nuala', position: '', email: 'n@x.example', phone: '' }]));
    valueOf(await put(books, 'country', 'GB'));
    valueOf(await put(books, 'style', '1.234,56'));
    expect(await factsOf(books)).toMatchObject({
      tradingName: 'Saltmarsh',
      registeredAddress: '1 Quay\nBallymarsh',
      country: 'GB',
      style: '1.234,56',
      contacts: [{ name: 'Nuala' }],
    });
    expect((await companyView(books))?.history[0]?.what).toBe('Numbers written: 1,234.56 → 1.234,56');
    expect((await statementView(books, 'balance-sheet'))?.letterhead.lines.slice(0, 2)).toEqual([
      'Saltmarsh',
      'Saltmarsh Pottery Ltd',
    ]);
  });

  it('say what documents need: their names, whether prices have tax in them, and where one pays', async () => {
    const books = await newBooks();
    valueOf(await put(books, 'documentNames', { 'sales-credit': ' Credit memo ', receipt: '' }));
    valueOf(await put(books, 'salesPrices', 'after'));
    valueOf(await put(books, 'paymentNote', 'Give our number.\r\nThank you.'));
    expect(await factsOf(books)).toMatchObject({
      documentNames: { 'sales-credit': 'Credit memo' },
      salesPrices: 'after',
      purchasePrices: 'before',
      paymentNote: 'Give our number.\nThank you.',
    });
    expect((await companyView(books))?.history.slice(0, 3).map(({ what }) => what)).toEqual([
      'How one pays: empty → Give our number., Thank you.',
      'Prices to customers: before sales tax → with sales tax in them',
      'Names of documents: empty → Sales credit note as Credit memo',
    ]);
    for (const wrong of [{ quote: 'Offer' }, { receipt: 'x'.repeat(41) }, { receipt: 'two\nlines' }])
      expect(codesOf(await put(books, 'documentNames', wrong))).toHaveLength(1);
    const bank = (await moneyView(books))?.money.find(({ account }) => account.role === 'bank');
    const details = { ...NO_BANK_DETAILS, number: '12345678', routing: '20-15-55', onDocuments: true };
    const account = bank?.account.id ?? 0;
    expect(
      codesOf(await saveBanks({ books, accounts: [{ account, bank: { ...details, routing: '20-15' } }] })),
    ).toEqual(['bank.routing']);
    valueOf(await saveBanks({ books, accounts: [{ account, bank: details }] }));
    expect((await companyView(books))?.banks).toEqual([
      { currency: 'EUR', name: bank?.account.name, says: 'Sort code 20-15-55, account 12345678' },
    ]);
    valueOf(
      await saveBanks({
        books,
        accounts: [{ account, bank: { ...details, iban: 'IE29 AIBK 9311 5212 3456 78', bic: 'aibkie2d' } }],
      }),
    );
    // What stands is not questioned again when the books get another country; what is typed is.
    valueOf(await put(books, 'country', 'DE'));
    valueOf(await saveBanks({ books, accounts: [{ account, bank: { ...details, alertBelow: 100n } }] }));
    expect(
      codesOf(await saveBanks({ books, accounts: [{ account, bank: { ...details, routing: '201556' } }] })),
    ).toEqual(['bank.routing']);
    valueOf(await put(books, 'country', 'IE'));
    valueOf(
      await saveBanks({
        books,
        accounts: [{ account, bank: { ...details, iban: 'IE29 AIBK 9311 5212 3456 78', bic: 'aibkie2d' } }],
      }),
    );
    expect((await companyView(books))?.banks[0]?.says).toBe('IBAN IE29 AIBK 9311 5212 3456 78, BIC AIBKIE2D');
  });

  it('are never overwritten silently: the later of two people is shown both values', async () => {
    const books = await newBooks();
    valueOf(await put(books, 'remark', 'first', ''));
    const second = await changeFact({ books, field: 'remark', was: '', now: 'second' });
    expect(codesOf(second)).toEqual(['company.clash']);
    expect(second.ok ? '' : second.problems[0]?.message).toContain('it is now first, and yours is second');
    expect((await factsOf(books))?.remark).toBe('first');
    valueOf(await changeFact({ books, field: 'remark', was: 'first', now: 'second' }));
    // The same value twice is no clash: both wanted it.
    valueOf(await changeFact({ books, field: 'remark', was: 'first', now: 'second' }));
  });

  it.each<[FactName, unknown]>([
    ['name', ''],
    ['name', 'x'.repeat(121)],
    ['name', 'two\nlines'],
    ['name', 42],
    ['tradingName', '\u0000'],
    ['legalForm', 'guild'],
    ['country', 'ZZ'],
    ['registeredAddress', 'x'.repeat(401)],
    ['email', 'not an address'],
    ['web', 'javascript:alert(1)'],
    ['web', 'nowhere'],
    ['contacts', [{ name: '', position: '', email: '', phone: '' }]],
    ['contacts', Array.from({ length: 21 }, () => ({ name: 'x', position: '', email: '', phone: '' }))],
    ['contacts', 'nobody'],
    ['purpose', 'play'],
    ['colour', 'red; background: url(x)'],
    ['remark', 'x'.repeat(61)],
    ['taxRegistered', true],
    ['taxNumber', 'IE12'],
    ['taxFrom', '2026-02-30'],
    ['taxFrom', '1.8.2026'],
    ['taxInterval', 5],
    ['taxBasis', 'barter'],
    ['parts', ['everything']],
    ['customerTerms', { kind: 'days', days: -1 }],
    ['customerTerms', { kind: 'days', days: 1.5 }],
    ['customerTerms', { kind: 'day-of-month', day: 32, months: 1 }],
    ['supplierTerms', { kind: 'never' }],
    ['settlement', ''],
    ['numbering', []],
    ['priceLevels', ['Shop', 'shop']],
    ['priceLevels', Array.from({ length: 13 }, (_, at) => String(at))],
    ['paperSize', 'A0'],
    ['preprinted', 'yes'],
    ['style', '1-2'],
    ['dates', { order: 'ydm', separator: '.', year: 4, month: 'number' }],
  ])('refuse for %s: %j', async (field, now) => {
    const books = await newBooks({ name: 'Refusals' });
    const before = await factsOf(books);
    const result = await put(books, field, now);
    if (result.ok) throw new Error('taken');
    expect(result.problems).toHaveLength(1);
    expect(result.problems[0]?.path).toEqual([field]);
    expect(result.problems[0]?.message.length).toBeGreaterThan(10);
    expect(await factsOf(books)).toEqual(before);
  });

  it('keep hostile text as text, and two kinds of document from sharing a prefix', async () => {
    const books = await newBooks();
    const hostile = `<img src=x onerror=alert(1)>'); drop table books;--`;
    valueOf(await put(books, 'industry', hostile));
    expect((await factsOf(books))?.industry).toBe(hostile);
    const numbering = (await factsOf(books))?.numbering ?? [];
    const twice = numbering.map((one) => ({ ...one, prefix: 'X-' }));
    const refused = await put(books, 'numbering', twice);
    expect(refused.ok ? '' : refused.problems[0]?.message).toContain('Two kinds of document have the prefix “X-”');
  });

  it('name who is in charge, known to the practice as it was first written, and make nobody who could act', async () => {
    const books = await newBooks();
    const people = () => database.current.query('select id from person');
    const before = (await people()).length;
    valueOf(await put(books, 'inCharge', 'Maeve Quill'));
    const second = await newBooks({ name: 'Second' });
    valueOf(await put(second, 'inCharge', 'maeve quill'));
    expect((await factsOf(second))?.inCharge).toBe('Maeve Quill');
    expect((await companyView(books))?.people.filter((name) => /maeve/i.test(name))).toHaveLength(1);
    expect(await people()).toHaveLength(before);
    valueOf(await put(books, 'inCharge', ''));
    expect((await factsOf(books))?.inCharge).toBe('');
  });

  it('check the tax registration as a whole', async () => {
    const books = await newBooks();
    expect((await companyView(books))?.frame.stages[0]?.note).toBe('1 to answer');
    valueOf(await put(books, 'taxRegistered', 'yes'));
    valueOf(await put(books, 'taxNumber', 'ie 1234567 wa'));
    valueOf(await put(books, 'taxFrom', '2026-03-01'));
    expect(codesOf(await put(books, 'taxFirstEnd', '2026-02-28'))).toEqual(['tax.return-before-registration']);
    valueOf(await put(books, 'taxFirstEnd', '2026-04-30'));
    expect(codesOf(await put(books, 'taxFrom', '2026-05-01'))).toEqual(['tax.return-before-registration']);
    expect((await companyView(books))?.frame.stages[0]?.note).toBe('done');
    // A later change of country leaves a number of the wrong shape: the proof says so.
    valueOf(await put(books, 'country', 'CZ'));
    expect((await proofView(books))?.proof.find((one) => one.id === 'company.tax-number')?.findings).toHaveLength(1);
  });

  it('keep a part on that holds data, and say which', async () => {
    const books = await newBooks();
    const parts = (await factsOf(books))?.parts ?? [];
    const refused = await put(
      books,
      'parts',
      parts.filter((part) => part !== 'stock'),
    );
    expect(refused.ok ? '' : refused.problems[0]?.message).toContain('the accounts 1200 Stock of goods');
    valueOf(await put(books, 'parts', [...parts, 'budgets', 'currencies']));
    expect((await companyView(books))?.frame.stages.map((stage) => stage.id)).toContain('currencies');
    valueOf(await put(books, 'parts', parts));
    expect((await companyView(books))?.frame.stages.map((stage) => stage.id)).not.toContain('currencies');
  });
});

describe('logos', () => {
  it('are stored clean, shown, and taken away', async () => {
    const books = await newBooks();
    const svg = new TextEncoder().encode(
      '<svg viewBox="0 0 10 10"><script>alert(1)</script><path d="M0 0h9v9z"/><text y="9" font-size="4">Kelp</text></svg>',
    );
    valueOf(await setLogo({ books, content: svg }));
    const stored = await logoFile(books);
    expect([...(stored ?? []).slice(0, 4)]).toEqual([0x89, 0x50, 0x4e, 0x47]);
    expect(new TextDecoder('latin1').decode(stored)).not.toContain('script');
    valueOf(await setLogo({ books, content: stored ?? new Uint8Array() }));
    expect(codesOf(await setLogo({ books, content: new TextEncoder().encode('GIF89a') }))).toEqual(['logo.kind']);
    const hollow = '<svg viewBox="0 0 9 9"><image href="file:///etc/hostname" width="9" height="9"/></svg>';
    expect(codesOf(await setLogo({ books, content: new TextEncoder().encode(hollow) }))).toEqual(['logo.nothing']);
    expect((await companyView(books))?.checklist.find((item) => item.id === 'logo')?.done).toBe(true);
    valueOf(await removeLogo({ books }));
    expect(await logoFile(books)).toBeUndefined();
  });
});

describe('the board', () => {
  it('has what it needs of each set of books, archived ones too', async () => {
    const books = await newBooks({ name: 'Board Ltd' });
    valueOf(await put(books, 'colour', 'moss'));
    valueOf(await archiveBooks({ books, archived: true }));
    const entry = (await boardView()).books.find((one) => one.id === books);
    expect(entry).toMatchObject({ archived: true, colour: 'moss', next: { id: 'company' }, net: 0n });
    expect((await companyView(books))?.frame.archived).toBe(true);
    valueOf(await archiveBooks({ books, archived: false }));
    expect((await boardView()).books.find((one) => one.id === books)?.archived).toBe(false);
  });

  it('points out near-duplicates before a second set is made', async () => {
    await newBooks({ name: 'Glasswort & Sons Ltd' });
    const again = {
      legalForm: 'other',
      country: 'IE',
      currency: 'EUR',
      style: '1,234.56',
      purpose: 'trial',
      yearStart: '2026-01-01',
      cutover: '2026-01-01',
      starter: 'empty',
      evenIfSameName: false,
    } as const;
    for (const name of ['Glaswort and Sons', 'sons glasswort', 'GLASSWORT & SONS LIMITED'])
      expect(codesOf(await createBooks({ ...again, name }))).toEqual(['books.same-name']);
    valueOf(await createBooks({ ...again, name: 'Glasshouse Nursery' }));
  });

  it('deletes books with currencies and foreign accounts whole', async () => {
    const books = await newBooks({ name: 'Going Ltd', foreign: true });
    const { switchOn } = await import('@/actions/currencies/commands');
    valueOf(await switchOn({ books, currency: 'NOK' }));
    valueOf(
      await addAccount({
        books,
        code: '1020',
        name: 'NOK bank',
        classification: 'current-asset',
        parent: null,
        role: 'bank',
        currency: 'NOK',
        heading: false,
      }),
    );
    valueOf(await removeBooks({ books, typedName: 'Going Ltd' }));
    expect(await companyView(books)).toBeUndefined();
  });
});
