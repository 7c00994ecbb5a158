import { type IsoDate } from '@/core/base/iso-date';
import { type Currency } from '@/core/money/currency';
import { typeOf } from '@/core/ledger/classes';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { GET as simulated } from '@/app/simulated/rates/route';
import { addAccount, changeAccount } from '@/actions/chart/commands';
import {
  changeBase,
  changeMoneyRules,
  chooseExchangeAccount,
  saveRate,
  saveRates,
  switchOff,
  switchOn,
} from '@/actions/currencies/commands';
import { undo } from '@/actions/changes/commands';
import { lastChange } from '@/actions/changes/views';
import { saveFigures } from '@/actions/openings/figures';
import { bringRates, exportRates, fetchServiceRates } from '@/actions/currencies/rates-in';
import { currenciesView } from '@/actions/currencies/views';
import { chartView } from '@/actions/chart/views';
import { openingsView, proofView } from '@/actions/openings/views';
import { codesOf, newBooks, valueOf, withDatabase } from './support';

withDatabase();

const foreign = async (...currencies: Currency[]): Promise<number> => {
  const books = await newBooks({ foreign: true });
  for (const currency of currencies) valueOf(await switchOn({ books, currency }));
  return books;
};
const rate = (books: number, date: IsoDate, unit: Currency, quote: Currency, typed: string, evenIfDoubtful = false) =>
  saveRate({ books, date, unit, quote, typed, evenIfDoubtful });
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const usedOf = async (books: number, currency: string) =>
  (await currenciesView(books, undefined))?.used.find((one) => one.currency === currency);

describe('currencies', () => {
  it('are switched on one by one, and off only while nothing is kept in them', async () => {
    const books = await foreign('NOK');
    expect(codesOf(await switchOn({ books, currency: 'NOK' }))).toEqual(['currency.on']);
    expect(codesOf(await switchOn({ books, currency: 'EUR' }))).toEqual(['currency.base']);
    expect(codesOf(await switchOn({ books, currency: 'XXX' as Currency }))).toEqual(['input.custom']);
    const { id } = valueOf(
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
    const refused = await switchOff({ books, currency: 'NOK' });
    expect(refused.ok ? '' : refused.problems[0]?.message).toContain('1020 NOK bank is kept in it');
    expect(codesOf(await changeAccount({ books, id, change: { currency: 'GBP' } }))).toEqual(['account.currency-off']);
    valueOf(await changeAccount({ books, id, change: { currency: null } }));
    valueOf(await switchOff({ books, currency: 'NOK' }));
    const off = await newBooks();
    expect(codesOf(await switchOn({ books: off, currency: 'NOK' }))).toEqual(['currencies.off']);
  });

  it('keep the base currency once figures are stated in it', async () => {
    const books = await foreign('NOK');
    expect(codesOf(await changeBase({ books, currency: 'NOK' }))).toEqual(['base.foreign']);
    valueOf(await changeBase({ books, currency: 'GBP' }));
    const sheet = await openingsView(books);
    const row = sheet?.rows.find((one) => one.code === '1010');
    valueOf(
      await saveFigures({
        books,
        set: sheet?.set?.id ?? 0,
        entries: [{ account: row?.id ?? 0, amount: 5n, revision: 0, restores: false }],
      }),
    );
    expect(codesOf(await changeBase({ books, currency: 'EUR' }))).toEqual(['base.figures']);
    expect(codesOf(await changeAccount({ books, id: row?.id ?? 0, change: { currency: 'NOK' } }))).toEqual([
      'account.currency-used',
    ]);
  });

  it('have their rules within bounds', async () => {
    const books = await foreign();
    for (const rateDays of [-1, 367, 1.5, NaN])
      expect((await changeMoneyRules({ books, rounding: 'half-even', rateDays })).ok).toBe(false);
    valueOf(await changeMoneyRules({ books, rounding: 'half-even', rateDays: 0 }));
    expect(await currenciesView(books, undefined)).toMatchObject({ rounding: 'half-even', rateDays: 0 });
  });

  it('say where exchange differences go, in one account or two', async () => {
    const books = await foreign('NOK');
    const chart = (await chartView(books))?.rows ?? [];
    const id = (code: string): number => chart.find((row) => row.account.code === code)?.account.id ?? 0;
    const missing = async () =>
      (await proofView(books))?.proof.find((one) => one.id === 'currencies.exchange-accounts')?.findings.length;
    expect(await missing()).toBe(0);
    // Taken away and chosen again.
    for (const role of ['exchange-realised', 'exchange-unrealised', 'rounding'] as const)
      valueOf(await chooseExchangeAccount({ books, role, account: null }));
    expect(await missing()).toBe(3);
    valueOf(await chooseExchangeAccount({ books, role: 'exchange-realised', account: id('8020') }));
    expect(codesOf(await chooseExchangeAccount({ books, role: 'rounding', account: id('8020') }))).toEqual([
      'account.role-other',
    ]);
    expect(codesOf(await chooseExchangeAccount({ books, role: 'rounding', account: id('1100') }))).toEqual([
      'account.role-other',
    ]);
    const plain = chart.find(
      ({ account }) => !account.heading && account.role === null && typeOf(account.classification) === 'equity',
    );
    expect(codesOf(await chooseExchangeAccount({ books, role: 'rounding', account: plain?.account.id ?? 0 }))).toEqual([
      'account.role-type',
    ]);
    expect(codesOf(await chooseExchangeAccount({ books, role: 'rounding', account: 999_999 }))).toEqual([
      'account.unknown',
    ]);
    valueOf(await chooseExchangeAccount({ books, role: 'exchange-realised', account: id('8010') }));
    expect((await chartView(books))?.rows.filter((row) => row.account.role === 'exchange-realised')).toHaveLength(1);
    valueOf(await chooseExchangeAccount({ books, role: 'exchange-unrealised', account: id('8020') }));
    valueOf(await chooseExchangeAccount({ books, role: 'rounding', account: id('6700') }));
    expect(await missing()).toBe(0);
    // Gains and losses apart end the one account for both, and the other way round.
    valueOf(await chooseExchangeAccount({ books, role: 'exchange-gains', account: id('7010') }));
    const holders = async () =>
      (await chartView(books))?.rows.flatMap(({ account }) =>
        account.role?.startsWith('exchange-') === true ? [`${account.code} ${account.role}`] : [],
      );
    expect(await holders()).toEqual(['7010 exchange-gains', '8020 exchange-unrealised']);
    expect(await missing()).toBe(1);
    valueOf(await chooseExchangeAccount({ books, role: 'exchange-realised', account: id('8010') }));
    expect(await holders()).toEqual(['8010 exchange-realised', '8020 exchange-unrealised']);
  });
});

describe('rates', () => {
  it('are kept as typed, in either direction, one per pair and day', async () => {
    const books = await foreign('GBP');
    valueOf(await rate(books, '2026-07-30', 'GBP', 'EUR', '1.1780'));
    valueOf(await rate(books, '2026-07-30', 'EUR', 'GBP', '0.8480'));
    const view = await currenciesView(books, 'GBP');
    expect(view?.listed).toEqual([{ date: '2026-07-30', unit: 'EUR', quote: 'GBP', rate: '0.8480', source: 'typed' }]);
    expect(await usedOf(books, 'GBP')).toMatchObject({ ratio: { n: 10000n, d: 8480n }, legs: [{ age: 1 }] });
    const gone = [{ was: { date: '2026-07-30', unit: 'EUR', quote: 'GBP', rate: '0.848' } as const, rate: null }];
    valueOf(await saveRates({ books, pair: ['GBP', 'EUR'], entries: gone }));
    expect(codesOf(await saveRates({ books, pair: ['GBP', 'EUR'], entries: gone }))).toEqual(['rate.gone']);
  });

  it('are changed in a sheet several at once or none, what nobody touched keeps its source, and are undone as one', async () => {
    const books = await foreign('GBP', 'NOK');
    const of = (date: IsoDate, text: string, unit: Currency = 'GBP', quote: Currency = 'EUR') => ({
      date,
      unit,
      quote,
      rate: text,
    });
    const sure = (one: ReturnType<typeof of>) => ({ ...one, sure: false });
    const pair: [Currency, Currency] = ['GBP', 'EUR'];
    valueOf(await rate(books, '2026-07-01', 'GBP', 'EUR', '1.17'));
    valueOf(await rate(books, '2026-07-02', 'GBP', 'EUR', '1.18'));
    const stands = async () =>
      (await currenciesView(books, 'GBP'))?.listed.map((one) => `${one.date} ${one.unit} ${one.rate}`);
    // The second row is doubted beside the first as that will stand, so nothing is written.
    const refused = await saveRates({
      books,
      pair,
      entries: [
        { was: of('2026-07-01', '1.17'), rate: sure(of('2026-07-03', '1.17')) },
        { was: null, rate: sure(of('2026-07-04', '0.855')) },
      ],
    });
    expect(refused.ok ? [] : refused.problems.map(({ code, path }) => [code, path])).toEqual([
      ['rate.upside-down', [1, 'rate']],
    ]);
    expect(await stands()).toEqual(['2026-07-02 GBP 1.18', '2026-07-01 GBP 1.17']);
    valueOf(
      await saveRates({
        books,
        pair,
        entries: [
          { was: of('2026-07-01', '1.170'), rate: sure(of('2026-07-03', '1.17')) },
          { was: of('2026-07-02', '1.18'), rate: null },
          { was: null, rate: sure(of('2026-07-02', '0.85', 'EUR', 'GBP')) },
        ],
      }),
    );
    expect(await stands()).toEqual(['2026-07-03 GBP 1.17', '2026-07-02 EUR 0.85']);
    const last = await lastChange(books, ['rate']);
    valueOf(await undo({ books, batch: last?.batch ?? '' }));
    expect(await stands()).toEqual(['2026-07-02 GBP 1.18', '2026-07-01 GBP 1.17']);
    // Rates of another pair, of currencies that are off, and such as no rate can be.
    expect(
      codesOf(
        await saveRates({ books, pair, entries: [{ was: null, rate: sure(of('2026-07-05', '11', 'EUR', 'NOK')) }] }),
      ),
    ).toEqual(['rate.unused']);
    expect(
      codesOf(
        await saveRates({
          books,
          pair: ['USD', 'CHF'],
          entries: [{ was: null, rate: sure(of('2026-07-05', '1', 'USD', 'CHF')) }],
        }),
      ),
    ).toEqual(['rate.unused']);
    expect((await saveRates({ books, pair, entries: [{ was: null, rate: sure(of('2026-07-05', '-1')) }] })).ok).toBe(
      false,
    );
  });

  it('are used of the day, else the nearest earlier within the days, else through a third, else asked for', async () => {
    const books = await foreign('GBP', 'NOK');
    valueOf(await rate(books, '2026-08-01', 'GBP', 'EUR', '1.2'));
    expect(await usedOf(books, 'GBP')).toMatchObject({ ratio: null, stale: null });
    valueOf(await rate(books, '2026-07-20', 'GBP', 'EUR', '1.2'));
    expect(await usedOf(books, 'GBP')).toMatchObject({ ratio: null, stale: { age: 11 } });
    const asked = (await proofView(books))?.proof.find((one) => one.id === 'currencies.rate-on-opening-date');
    expect(asked?.findings.map((one) => one.what)).toEqual([
      'GBP has no rate within 7 days before 31 Jul 2026; the nearest, 1 GBP = 1.2 EUR on 20 Jul 2026, is 11 days old.',
      'NOK has no rate on or before 31 Jul 2026.',
    ]);
    valueOf(await rate(books, '2026-07-31', 'GBP', 'EUR', '1.15'));
    valueOf(await rate(books, '2026-07-29', 'GBP', 'NOK', '13.5'));
    expect(await usedOf(books, 'NOK')).toMatchObject({ legs: [{ age: 2 }, { age: 0 }] });
  });

  it('are questioned when they look wrong, and kept at a second press', async () => {
    const books = await foreign('GBP');
    valueOf(await rate(books, '2026-07-30', 'GBP', 'EUR', '1.18'));
    expect(codesOf(await rate(books, '2026-07-31', 'GBP', 'EUR', '0.8482'))).toEqual(['rate.upside-down']);
    expect(codesOf(await rate(books, '2026-07-31', 'GBP', 'EUR', '11.8'))).toEqual(['rate.far-off']);
    valueOf(await rate(books, '2026-07-31', 'GBP', 'EUR', '11.8', true));
    expect(
      (await proofView(books))?.proof.find((one) => one.id === 'currencies.used-rates-plausible')?.findings,
    ).toHaveLength(1);
  });

  it.each([
    ['2026-07-31', 'GBP', 'GBP', '1', 'rate.same'],
    ['2026-07-31', 'USD', 'JPY', '1', 'rate.unused'],
    ['2026-07-31', 'GBP', 'EUR', '', 'rate.missing'],
    ['2026-07-31', 'GBP', 'EUR', '0', 'rate.nil'],
    ['2026-07-31', 'GBP', 'EUR', '-1', 'rate.unreadable'],
    ['2026-07-31', 'GBP', 'EUR', '1,1789', 'rate.unreadable'],
    ['2026-07-31', 'GBP', 'EUR', '=1+1', 'rate.unreadable'],
    ['2026-02-30', 'GBP', 'EUR', '1', 'input.custom'],
    ['9999-01-01', 'GBP', 'EUR', '1', 'input.custom'],
    ['2026-07-31', 'ABC', 'EUR', '1', 'input.custom'],
    ['2026-07-31', 'GBP', 'EUR', '9'.repeat(100), 'input.too_big'],
  ])('refuse %s 1 %s = %s %s', async (date, unit, quote, typed, code) => {
    const books = await foreign('GBP');
    expect(codesOf(await rate(books, date as IsoDate, unit as Currency, quote as Currency, typed))).toEqual([code]);
    expect((await currenciesView(books, 'GBP'))?.listed).toEqual([]);
  });

  it('come from a file: previewed without a trace, then taken, good rows only', async () => {
    const books = await foreign('GBP', 'NOK');
    const file = {
      books,
      name: 'rates.csv',
      content: bytes('Date;GBP;NOK\n30.07.2026;0,85;11,5\n31.07.2026;0,86;bad\n'),
    };
    const preview = valueOf(await bringRates({ ...file, take: false }));
    expect(preview).toMatchObject({
      counts: { new: 3, changes: 0, same: 0 },
      problemCount: 1,
      direction: 'base-unit',
      taken: false,
    });
    expect((await currenciesView(books, 'GBP'))?.pairs).toEqual([]);
    valueOf(await bringRates({ ...file, take: true }));
    expect(valueOf(await bringRates({ ...file, take: false })).counts).toEqual({ new: 0, changes: 0, same: 3 });
    expect(valueOf(await bringRates({ ...file, take: false, direction: 'foreign-unit' }))).toMatchObject({
      counts: { changes: 3 },
      doubts: 3,
    });
    expect(codesOf(await bringRates({ books, name: 'x.pdf', content: bytes('%PDF-1.7'), take: true }))).toEqual([
      'paper.pdf',
    ]);
    expect(codesOf(await bringRates({ books, name: 'x.csv', content: bytes(''), take: true }))).toEqual([
      'paper.empty',
    ]);
  });

  it('read back from the export to the same state', async () => {
    const books = await foreign('GBP', 'NOK');
    valueOf(await rate(books, '2026-07-30', 'GBP', 'EUR', '1.1780'));
    valueOf(await rate(books, '2026-07-31', 'EUR', 'NOK', '11.50'));
    valueOf(await rate(books, '2026-07-31', 'GBP', 'NOK', '13.6'));
    const file = await exportRates(books);
    const other = await foreign('GBP', 'NOK');
    valueOf(await bringRates({ books: other, name: 'again.csv', content: bytes(file?.content ?? ''), take: true }));
    expect((await exportRates(other))?.content).toBe(file?.content);
  });
});

describe('the rate service', () => {
  const servers: (() => void)[] = [];
  afterEach(() => {
    for (const stop of servers.splice(0)) stop();
    delete process.env.RATE_SERVICE;
  });
  /** Puts a service in the place of the shipped one. */
  const serve = async (answer: (url: string) => Promise<Response>): Promise<void> => {
    const server = createServer((request, response) => {
      void answer(`http://x${request.url ?? ''}`).then(async (given) => {
        response.writeHead(given.status, Object.fromEntries(given.headers));
        response.end(Buffer.from(await given.arrayBuffer()));
      });
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    servers.push(() => {
      server.closeAllConnections();
      server.close();
    });
    process.env.RATE_SERVICE = `http://127.0.0.1:${String((server.address() as AddressInfo).port)}/rates`;
  };
  const shipped = (url: string): Promise<Response> => simulated(new Request(url));
  const span = { from: '2026-07-27', to: '2026-08-02' } as const;

  it('gives invented rates, shown first and stored when taken', async () => {
    await serve(shipped);
    const books = await foreign('GBP', 'KWD');
    const preview = valueOf(await fetchServiceRates({ books, ...span, take: false }));
    expect(preview).toMatchObject({ counts: { new: 10 }, problemCount: 0, taken: false });
    expect((await currenciesView(books, 'GBP'))?.pairs).toEqual([]);
    valueOf(await fetchServiceRates({ books, ...span, take: true }));
    expect(await usedOf(books, 'KWD')).toMatchObject({
      legs: [{ age: 0, rate: { source: 'rate service', unit: 'EUR' } }],
    });
  });

  it('may be down, refuse, or answer garbage: a sentence each, and nothing stored', async () => {
    await serve(shipped);
    const books = await foreign('GBP');
    const ask = async (mood: 'down' | 'garbage') =>
      codesOf(await fetchServiceRates({ books, ...span, mood, take: true }));
    expect(await ask('down')).toEqual(['service.refused']);
    expect(await ask('garbage')).toEqual(['service.garbage']);
    await serve(() =>
      Promise.resolve(Response.json({ base: 'EUR', rates: [{ date: '2026-07-31', currency: 'GBP', rate: 'NaN' }] })),
    );
    expect(valueOf(await fetchServiceRates({ books, ...span, take: true }))).toMatchObject({
      counts: { new: 0 },
      problemCount: 1,
    });
    await serve(() => Promise.resolve(Response.json({ base: 'EUR', rates: 'none' })));
    expect(await fetchServiceRates({ books, ...span, take: true }).then(codesOf)).toEqual(['service.garbage']);
    process.env.RATE_SERVICE = 'http://127.0.0.1:1/rates';
    expect(await fetchServiceRates({ books, ...span, take: true }).then(codesOf)).toEqual(['service.down']);
    expect((await currenciesView(books, 'GBP'))?.pairs).toEqual([]);
  });

  it('is given up where it sends without end, sends on to somewhere else, or answers with another base', async () => {
    const books = await foreign('GBP');
    const ask = () => fetchServiceRates({ books, ...span, take: true }).then(codesOf);
    let sent = 0;
    const endless = createServer((_, response) => {
      const part = Buffer.alloc(1024 * 1024, 'x');
      const more = (): void => {
        while (response.write(part)) sent += 1;
        response.once('drain', more);
      };
      more();
    });
    await new Promise<void>((resolve) => endless.listen(0, '127.0.0.1', resolve));
    process.env.RATE_SERVICE = `http://127.0.0.1:${String((endless.address() as AddressInfo).port)}/rates`;
    expect(await ask()).toEqual(['service.large']);
    endless.closeAllConnections();
    endless.close();
    expect(sent).toBeLessThan(64);
    let asked = 0;
    await serve((url) => {
      asked += 1;
      return Promise.resolve(new Response(null, { status: 302, headers: { location: `${url}/elsewhere` } }));
    });
    expect(await ask()).toEqual(['service.down']);
    expect(asked).toBe(1);
    await serve(() => Promise.resolve(Response.json({ base: 'USD', rates: [] })));
    expect(await ask()).toEqual(['service.other-base']);
    expect((await currenciesView(books, 'GBP'))?.pairs).toEqual([]);
  });

  it('may be slow: nobody waits for ever', async () => {
    await serve(() => new Promise(() => undefined));
    const books = await foreign('GBP');
    expect(await fetchServiceRates({ books, ...span, take: true }).then(codesOf)).toEqual(['service.slow']);
  });

  it('is asked sensibly', async () => {
    await serve(shipped);
    const none = await foreign();
    expect(await fetchServiceRates({ books: none, ...span, take: true }).then(codesOf)).toEqual([
      'service.no-currency',
    ]);
    const books = await foreign('GBP');
    expect(await fetchServiceRates({ books, from: '2026-08-02', to: '2026-07-01', take: true }).then(codesOf)).toEqual([
      'service.days',
    ]);
    expect((await fetchServiceRates({ books, from: '', to: 'x' as IsoDate, take: true })).ok).toBe(false);
    expect(await fetchServiceRates({ books: 99_999, ...span, take: true }).then(codesOf)).toEqual(['books.unknown']);
    const csv = await (
      await shipped('http://x/?base=EUR&currencies=GBP,XXX&from=2026-07-31&to=2026-07-31&format=csv')
    ).text();
    expect(csv).toMatch(/^date,base,currency,rate\r\n2026-07-31,EUR,GBP,0\.\d{6}\r\n$/);
    expect((await shipped('http://x/?from=soon&to=later')).status).toBe(400);
  });
});
