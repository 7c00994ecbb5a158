import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minor } from '../money/minor';
import { NUMBER_STYLES } from '../money/number-style';
import type { Value } from './in-currency';
import { type SheetMoney, type SheetRow, applyEntry, copiedRow, pastedCells, sheetColumns, typedCell } from './sheet';
import { readClipboard } from '../files/clipboard';

const MONEY: SheetMoney = {
  base: { code: 'EUR', digits: 2 },
  style: '1,234.56',
  switchedOn: ['NOK', 'JPY'],
  rateOf: () => undefined,
};
const PLAIN: SheetRow = { currency: null, foreign: false, normal: 'debit' };
const KRONER: SheetRow = { currency: 'NOK', foreign: true, normal: 'debit' };
const EMPTY: Value = { amount: null, parts: [] };
const units = fc.bigInt({ min: -(10n ** 15n), max: 10n ** 15n }).map(minor);
const amounts = fc.option(units);
const NARROW = sheetColumns({ foreign: false, before: false });
const WIDE = sheetColumns({ foreign: true, before: true });

describe('the sheet and the clipboard', () => {
  it('pastes back exactly what it copied, in every number style, amounts in currency too', () => {
    const nok = fc
      .record({ amount: units, base: units.filter((one) => one !== 0n) })
      .map(({ amount, base }): Value => ({
        amount: base,
        parts: [{ currency: 'NOK', amount, base }],
      }));
    const plain = amounts.map((amount): Value => ({ amount, parts: [] }));
    fc.assert(
      fc.property(
        fc.array(fc.oneof(plain, nok), { minLength: 1, maxLength: 20 }),
        fc.constantFrom(...NUMBER_STYLES),
        (list, style) => {
          const text = list
            .map((value) => copiedRow({ code: '1', name: 'a\tb', where: '', before: null, ...value }, WIDE, 2, style))
            .join('\n');
          const back = readClipboard(text).map((cells) =>
            pastedCells(EMPTY, KRONER, cells, 'code', WIDE, { ...MONEY, style }),
          );
          expect(back).toEqual(list.map((value) => ({ ok: true, value })));
        },
      ),
    );
  });
  it('keeps the shape of whatever is copied', () => {
    const cell = fc.string({ maxLength: 6 }).map((text) => text.replace(/[\t\r\n"]/g, ''));
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 5 }),
        fc.infiniteStream(cell),
        (width, height, stream) => {
          const table = Array.from({ length: height }, () =>
            Array.from({ length: width }, (): string => String(stream.next().value)),
          );
          // A single empty cell at the end is not told apart from the line break that spreadsheets put behind the last row.
          if (table.at(-1)?.every((text) => text === '') && width === 1) return;
          expect(readClipboard(table.map((row) => row.join('\t')).join('\r\n') + '\r\n')).toEqual(table);
        },
      ),
    );
    expect(readClipboard('"a ""b""\nc"\t2')).toEqual([['a "b"\nc', '2']]);
  });
  it('nets both columns, clears on two blanks, and passes over what lands elsewhere', () => {
    const paste = (cells: readonly string[], from: 'code' | 'debit' | 'credit') =>
      pastedCells({ amount: minor(1n), parts: [] }, PLAIN, cells, from, NARROW, MONEY);
    expect(paste(['100', '40.50'], 'debit')).toEqual({ ok: true, value: { amount: 5950n, parts: [] } });
    expect(paste(['', ''], 'debit')).toEqual({ ok: true, value: EMPTY });
    expect(paste(['7'], 'credit')).toEqual({ ok: true, value: { amount: -700n, parts: [] } });
    expect(paste(['1010', 'Bank'], 'code')).toBeUndefined();
    expect(paste(['x'], 'debit')).toMatchObject({ ok: false });
  });
});

describe('an entry in a column', () => {
  it('replaces the figure, whichever side it stood on', () => {
    fc.assert(
      fc.property(amounts, amounts, fc.constantFrom('debit' as const, 'credit' as const), (current, amount, column) => {
        if (amount !== null) expect(applyEntry(current, column, { kind: 'amount', amount })).toBe(amount);
      }),
    );
  });
  it('takes it away only from where it stands', () => {
    expect(applyEntry(minor(5n), 'debit', { kind: 'blank' })).toBeNull();
    expect(applyEntry(minor(5n), 'credit', { kind: 'blank' })).toBe(5n);
    expect(applyEntry(minor(0n), 'debit', { kind: 'blank' })).toBeNull();
  });
  it('of base currency takes the worth of the amount in currency with it', () => {
    const was: Value = { amount: minor(10n), parts: [{ currency: 'NOK', amount: minor(100n), base: minor(10n) }] };
    expect(typedCell(was, KRONER, 'credit', '5', MONEY)).toEqual({
      ok: true,
      value: { amount: -500n, parts: [{ currency: 'NOK', amount: 100n, base: -500n }] },
    });
    expect(typedCell(was, KRONER, 'foreign', 'JPY 5', MONEY)).toMatchObject({ problems: [{ code: 'foreign.other' }] });
    expect(typedCell(was, KRONER, 'foreign', '2.50', MONEY)).toEqual({
      ok: true,
      value: { amount: 10n, parts: [{ currency: 'NOK', amount: 250n, base: 10n }] },
    });
  });
  it('is no amount in currency where the account is kept in base currency', () => {
    expect(typedCell(EMPTY, PLAIN, 'foreign', '5', MONEY)).toMatchObject({ problems: [{ code: 'foreign.none' }] });
    expect(typedCell(EMPTY, PLAIN, 'foreign', ' ', MONEY)).toEqual({ ok: true, value: EMPTY });
  });
});
