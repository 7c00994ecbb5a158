import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minor } from '../money/minor';
import { NUMBER_STYLES } from '../money/number-style';
import { SHEET_COLUMNS, applyEntry, copiedRow, readClipboard, readPastedRow } from './sheet';

const EUR = { code: 'EUR', digits: 2 };
const amounts = fc.option(fc.bigInt({ min: -(10n ** 15n), max: 10n ** 15n }).map(minor));

describe('the sheet and the clipboard', () => {
  it('pastes back exactly what it copied, in every number style', () => {
    fc.assert(
      fc.property(
        fc.array(amounts, { minLength: 1, maxLength: 20 }),
        fc.constantFrom(...NUMBER_STYLES),
        (list, style) => {
          const text = list
            .map((amount) => copiedRow({ code: '1', name: 'a\tb', where: '', amount }, SHEET_COLUMNS, 2, style))
            .join('\n');
          const back = readClipboard(text).map((cells) => readPastedRow(cells, 'code', EUR, style));
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
    expect(readPastedRow(['100', '40.50'], 'debit', EUR, '1,234.56')).toEqual({ ok: true, value: 5950n });
    expect(readPastedRow(['', ''], 'debit', EUR, '1,234.56')).toEqual({ ok: true, value: null });
    expect(readPastedRow(['7'], 'credit', EUR, '1,234.56')).toEqual({ ok: true, value: -700n });
    expect(readPastedRow(['1010', 'Bank'], 'code', EUR, '1,234.56')).toBeUndefined();
    expect(readPastedRow(['x'], 'debit', EUR, '1,234.56')).toMatchObject({ ok: false });
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
});
