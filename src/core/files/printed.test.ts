import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { textOf } from '../base/table';
import { cutLine, fixedColumns, linesOf, looksFixed } from './fixed';
import { rowsOfPages } from './pdf-lines';
import type { Piece } from './pdf-pieces';
import { decode } from './text';
import { TextEncoder } from 'node:util';
import iconv from 'iconv-lite';

const LIST = [
  'Harbour Lane Stores                        Page 1',
  'CODE   NAME                          DEBIT        CREDIT',
  '1010   Bank                      12,500.00',
  '1020   Petty cash, front office      35.20',
  '2100   Suppliers                                4,200.00',
  '3010   Capital                                  8,335.20',
].join('\n');

describe('a list printed with columns by place', () => {
  it('is told from delimited text, and is cut where no figure stands', () => {
    expect(looksFixed(LIST)).toBe(true);
    expect(looksFixed(LIST.replaceAll('   ', ';'))).toBe(false);
    const lines = linesOf(LIST);
    const columns = fixedColumns(lines);
    expect(lines.slice(2).map((line) => cutLine(line, columns).map((cell) => cell.trim()))).toEqual([
      ['1010', 'Bank', '12,500.00', ''],
      ['1020', 'Petty cash, front office', '35.20', ''],
      ['2100', 'Suppliers', '', '4,200.00'],
      ['3010', 'Capital', '', '8,335.20'],
    ]);
  });
  it('keeps words whole that stand across its columns: titles, names on lines of their own, names longer than all others', () => {
    const row = (code: string, name: string, ...amounts: readonly string[]): string =>
      `${code}   ${name.padEnd(32)}${amounts.map((amount) => amount.padStart(14)).join('')}`;
    const list = [
      'SARL La Baleine Rousse         Exercice du 01/07/2025 au 30/06/2026   Tirage du 13/07/2026',
      ...Array.from({ length: 12 }, (_, at) => row(String(1010 + at), `Compte ${String(at)}`, '1 250,00', '980,00')),
      row('2000', 'Une rubrique bien plus longue', '1 250,00', '980,00'),
      row('2010', 'Une autre rubrique, sans rien', '-', '-'),
    ].join('\n');
    const lines = linesOf(list);
    const columns = fixedColumns(lines);
    const cells = lines.map((line) => cutLine(line, columns).map((cell) => cell.trim()));
    expect(cells.slice(-2)).toEqual([
      ['2000', 'Une rubrique bien plus longue', '1 250,00', '980,00'],
      ['2010', 'Une autre rubrique, sans rien', '-', '-'],
    ]);
    const words = new Set(lines[0]?.split(/\s+/));
    expect(cells[0]?.flatMap((cell) => cell.split(/\s+/)).filter((word) => word !== '' && !words.has(word))).toEqual(
      [],
    );
    const under = linesOf(
      ['Code and name', '10.00.01  Customers abroad and at home', '                 1,234.50       20.00', '10.00.02  Cash', '                    10.00      500.00', '10.00.03  A supplier of nets and ropes', '                    10.00    1,500.00'].join('\n'), // prettier-ignore
    );
    expect(under.slice(1).map((line) => cutLine(line, fixedColumns(under)).map((cell) => cell.trim()))).toEqual([
      ['10.00.01  Customers abroad and at home', '', ''],
      ['', '1,234.50', '20.00'],
      ['10.00.02  Cash', '', ''],
      ['', '10.00', '500.00'],
      ['10.00.03  A supplier of nets and ropes', '', ''],
      ['', '10.00', '1,500.00'],
    ]);
  });
  it('loses no character, wherever its columns are cut', () => {
    const line = fc.string({ unit: fc.constantFrom(...Array.from('ab 1,.')), maxLength: 60 });
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), (lines) => {
        const columns = fixedColumns([...linesOf(LIST), ...lines]);
        for (const one of lines) expect(cutLine(one, columns).join('').trimEnd()).toBe(one.trimEnd());
      }),
    );
  });
});

describe('letters of one language', () => {
  it.each([
    ['windows-1252', 'Löhne und Gehälter; Bürobedarf; Verbindlichkeiten – Öl'],
    ['windows-1252', 'Crédit, débit, à reporter; Directors’ loan; français'],
    ['windows-1250', 'Zůstatek, Účet, Dodavatelé, Běžný účet, Tržby'],
    ['windows-1250', 'Należności, zobowiązania, środki trwałe'],
    ['windows-1250', 'Saldo klientów; Bar Mleczny Pod Dębem; Zajazd Kmicic'],
    ['windows-1252', 'Três clientes; crédito; não vencido'],
    ['windows-1252', 'Irmãos Guimarães; lãs; maçãs; pão'],
    ['windows-1250', 'Amortizare cumulată; Valoare rămasă; Hală depozit'],
    ['windows-1254', 'Müşteriler, satışlar, ödenmiş sermaye, ığdır'],
    ['windows-1257', 'Sąskaita, įplaukos, mokėtinos sumos, žaliavos'],
    ['windows-1251', 'Расчетный счет; Поставщики; Выручка'],
    ['windows-1253', 'Ταμείο; Πελάτες; Προμηθευτές; Πωλήσεις'],
    ['cp850', 'Löhne; Gebäude; Büro; Größe; Öl'],
    ['cp852', 'Pohledávky, dlouhodobý majetek, účet, tržby, náklady'],
    ['shift_jis', '現金預金, 売掛金, 買掛金, 資本金, 合計'],
    ['gb18030', '银行存款, 应收账款, 应付账款, 余额, 合计'],
    ['gb18030', '蓝鲸渔具, 海湾银行, 库存现金, 累计折旧, 期末方向'],
    ['euc-kr', '현금, 매출채권, 매입채무, 자본금, 합계'],
  ])('tell %s', (encoding, text) => {
    const { text: read } = decode(new Uint8Array(iconv.encode(`Konto;Name;Saldo\n1;${text};100,00\n`, encoding)));
    expect(read).toContain(text);
  });
  it('are not looked for in UTF-8', () => {
    expect(decode(new TextEncoder().encode('Zůstatek; Größe; 残高')).encoding).toBe('utf-8');
  });
});

const piece = (text: string, from: number, y: number): Piece => ({
  text,
  from,
  to: from + text.length * 5,
  y,
  size: 10,
});

/** Texts of a line, each from its own place; an empty one is not printed. */
const printed = (y: number, places: readonly number[], ...texts: readonly string[]): readonly Piece[] =>
  texts.flatMap((text, at) => (text === '' ? [] : [piece(text, places[at] ?? 0, y)]));

describe('pages of a PDF', () => {
  it('become rows by what stands on one line, and columns by the gaps that all figures leave', () => {
    const page = [
      piece('Trial balance', 40, 800),
      piece('Code', 40, 780),
      piece('Account', 90, 780),
      piece('Debit', 300, 780),
      piece('Credit', 400, 780),
      piece('1010', 40, 760),
      piece('Bank', 90, 760),
      piece('1,200.00', 285, 760),
      piece('3010', 40, 740),
      piece('Share', 90, 740),
      piece('capital', 120, 740),
      piece('1,200.00', 385, 740),
    ];
    expect(
      rowsOfPages([page]).rows.map((row) => row.map((cell) => (typeof cell === 'string' ? cell.trim() : ''))),
    ).toEqual([
      ['Trial balance', '', '', ''],
      ['Code', 'Account', 'Debit', 'Credit'],
      ['1010', 'Bank', '1,200.00', ''],
      ['3010', 'Share capital', '', '1,200.00'],
    ]);
  });
  it('without any figure have the columns of their lines of several texts', () => {
    const line = (y: number, ...texts: readonly string[]): readonly Piece[] =>
      printed(y, [40, 160, 280, 400], ...texts);
    const page = [
      ...line(780, 'No', 'Name', 'Tax', 'Place'),
      ...line(760, '501', 'Ardmore', 'SE1', 'Granby'),
      ...line(740, '502', 'Cairn', '', 'Tallmo'),
      ...line(720, '503', 'Dale', 'SE3', 'Ekhamn'),
    ];
    expect(rowsOfPages([page]).rows[2]?.map((cell) => textOf(cell).trim())).toEqual(['502', 'Cairn', '', 'Tallmo']);
  });
  it('have titles that begin before the figures which they stand over', () => {
    const row = (y: number, code: string, one: string, two: string): readonly Piece[] => [
      piece(code, 40, y),
      piece('Account', 90, y),
      piece(one, 300 - one.length * 5, y),
      piece(two, 400 - two.length * 5, y),
    ];
    const page = [
      piece('Code', 40, 780),
      piece('Name', 90, 780),
      piece('This', 280, 780),
      piece('Last', 312, 780),
      ...row(760, '1010', '1,200.00', '900.00'),
      ...row(740, '3010', '(1,200.00)', '(900.00)'),
    ];
    expect(rowsOfPages([page]).rows[0]?.map((cell) => textOf(cell).trim())).toEqual(['Code', 'Name', 'This', 'Last']);
  });
  it('put a name of two lines around its row together again', () => {
    const page = [
      piece('1010', 40, 760),
      piece('Bank', 90, 760),
      piece('1,200.00', 285, 760),
      piece('Machines, accumulated', 90, 741),
      piece('1619', 40, 734),
      piece('700.00', 295, 734),
      piece('depreciation', 90, 727),
      piece('3010', 40, 708),
      piece('Capital', 90, 708),
      piece('1,900.00', 285, 708),
    ];
    expect(rowsOfPages([page]).rows.map((row) => textOf(row[1]))).toEqual([
      'Bank',
      'Machines, accumulated depreciation',
      'Capital',
    ]);
  });
  it('have columns as near each other as two words, of amounts or with a name before them', () => {
    // Half the size of the letters between the longest of a column and the next one.
    const ends = [150, 200, 250, 300];
    const amounts = ['1,200.00', '12,036.99', '4,122.98', '900.00'];
    const row = (y: number, name: string, at: number): readonly Piece[] => [
      piece(name, 40, y),
      ...ends.map((end, column) => {
        const text = amounts[(at + column) % amounts.length] ?? '';
        return { ...piece(text, end - 45, y), from: end - text.length * 5, to: end };
      }),
    ];
    const page = [
      ...ends.map((end, at) => ({ ...piece(at % 2 === 0 ? 'Dr' : 'Cr', end - 10, 780), to: end })),
      ...Array.from({ length: 6 }, (_, at) => row(760 - at * 20, 'Deposits 2'.slice(0, 10 - (at % 3)), at)).flat(),
    ];
    const rows = rowsOfPages([page]).rows.map((cells) => cells.map((cell) => textOf(cell).trim()));
    expect(rows[0]).toEqual(['', 'Dr', 'Cr', 'Dr', 'Cr']);
    for (const [at, cells] of rows.slice(1).entries())
      expect(cells.slice(1)).toEqual(ends.map((_, column) => amounts[(at + column) % amounts.length]));
  });
  it('have columns of texts nearer to each other than a letter is high', () => {
    const row = (y: number, code: string, name: string, kind: string, amount: string): readonly Piece[] => [
      piece(code, 40, y),
      piece(name, 68, y),
      piece(kind, 126, y),
      { ...piece(amount, 214 - amount.length * 5, y), to: 214 },
    ];
    const page = [
      ...row(780, 'Code', 'Account', 'Kind', 'Balance'),
      ...row(760, '1010', 'Bank of us', 'Bank', '1,200.00'),
      ...row(740, '2010', 'Suppliers', 'Creditor', '700.00'),
      ...row(720, '3010', 'Capital', 'Equity', '500.00'),
    ];
    expect(rowsOfPages([page]).rows.map((cells) => cells.map((cell) => textOf(cell).trim()))).toEqual([
      ['Code', 'Account', 'Kind', 'Balance'],
      ['1010', 'Bank of us', 'Bank', '1,200.00'],
      ['2010', 'Suppliers', 'Creditor', '700.00'],
      ['3010', 'Capital', 'Equity', '500.00'],
    ]);
  });
  it('have texts that came as one with those of the column before, where others begin there', () => {
    const row = (y: number, name: string, number: string, amount: string, near: boolean): readonly Piece[] => [
      ...(near
        ? [{ ...piece(`${name} ${number}`, 40, y), to: 130 + number.length * 5 }]
        : [piece(name, 40, y), piece(number, 130, y)]),
      { ...piece(amount, 0, y), from: 260 - amount.length * 5, to: 260 },
    ];
    const page = [
      ...row(760, 'Ardmore', '4001', '1,200.00', false),
      ...row(740, 'Cairn and Sons', '4002', '700.00', true),
      ...row(720, 'Dale', '4003', '50.00', false),
      ...row(700, 'Eskholm', '4004', '60.00', false),
    ];
    expect(rowsOfPages([page]).rows.map((cells) => cells.map((cell) => textOf(cell).trim()))).toEqual([
      ['Ardmore', '4001', '1,200.00'],
      ['Cairn and Sons', '4002', '700.00'],
      ['Dale', '4003', '50.00'],
      ['Eskholm', '4004', '60.00'],
    ]);
  });
  it('have rows of cells of several lines, set to the top, the middle or the bottom of them', () => {
    const [leading, between, size] = [12, 3, 10];
    const word = fc.constantFrom('harbour', 'nets', 'boat', 'loft', 'moor', 'tide', 'rope and', 'quay');
    const cell = (most: number): fc.Arbitrary<readonly string[]> => fc.array(word, { minLength: 1, maxLength: most });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(cell(4), cell(3)), { minLength: 1, maxLength: 10 }),
        fc.constantFrom(0, 0.5, 1),
        (cells, align) => {
          // The first rows are as high as one line, so that it shows where columns are and how far rows stand from each other.
          const table = [[['first'], ['one']] as const, [['second'], ['two']] as const, ...cells];
          const pieces: Piece[] = [];
          let top = 780;
          table.forEach(([name, what], at) => {
            const lines = Math.max(name.length, what.length);
            const put = (texts: readonly string[], from: number): void => {
              const start = top - (lines - texts.length) * leading * align;
              texts.forEach((text, line) => pieces.push({ ...piece(text, from, start - line * leading), size }));
            };
            put(name, 40);
            put(what, 140);
            put([`${String(at + 1)}00.00`], 240);
            top -= lines * leading + between;
          });
          expect(rowsOfPages([pieces]).rows.map((row) => row.map((text) => textOf(text).trim()))).toEqual(
            table.map(([name, what], at) => [name.join(' '), what.join(' '), `${String(at + 1)}00.00`]),
          );
        },
      ),
    );
  });
  it('have rows that touch, each beginning with its amount', () => {
    const row = (y: number, ...texts: readonly string[]): readonly Piece[] => printed(y, [40, 140, 240], ...texts);
    const page = [
      ...row(780, 'Ardmore and', 'INV-', '10.00'),
      ...row(768, 'Sons', '4001'),
      ...row(756, 'Cairn', 'CN-12', '20.00'),
      ...row(744, 'Dale Harbour', 'INV-', '30.00'),
      ...row(732, 'and its', '4003'),
      ...row(720, 'pilots', ''),
      ...row(708, 'Eskholm', 'INV-9', '40.00'),
    ];
    expect(rowsOfPages([page]).rows.map((cells) => cells.map((cell) => textOf(cell).trim()))).toEqual([
      ['Ardmore and Sons', 'INV-4001', '10.00'],
      ['Cairn', 'CN-12', '20.00'],
      ['Dale Harbour and its pilots', 'INV-4003', '30.00'],
      ['Eskholm', 'INV-9', '40.00'],
    ]);
  });
  it('have the texts of entries that go on below them, and not the headings of others', () => {
    const row = (y: number, ...texts: readonly string[]): readonly Piece[] => printed(y, [40, 110, 260], ...texts);
    const names = (page: readonly Piece[]): readonly string[] =>
      rowsOfPages([page]).rows.map((cells) => textOf(cells[1]).trim());
    const header = row(800, 'Day', 'Text', 'Amount');
    const entries = [
      ...header,
      ...row(788, '02.07.', 'Debit', '180.00'),
      ...row(776, '', 'City works'),
      ...row(764, '', 'July'),
      ...row(752, '15.07.', 'Credit', '900.00'),
      ...row(740, '', 'Ardmore'),
      ...row(728, '20.07.', 'Card', '45.10'),
    ];
    expect(names(entries)).toEqual(['Text', 'Debit City works July', 'Credit Ardmore', 'Card']);
    const accounts = [
      ...header,
      ...row(788, '1010', 'Bank', '180.00'),
      ...row(776, '1020', 'Cash', '20.00'),
      ...row(764, '1030', 'Stock', '40.00'),
      ...row(752, '', 'Liabilities'),
      ...row(740, '2010', 'Loan', '240.00'),
    ];
    expect(names(accounts)).toEqual(['Text', 'Bank', 'Cash', 'Stock', 'Liabilities', 'Loan']);
  });
  it('put a number together that goes on behind its dash, and a word that was parted', () => {
    const page = [
      ...[760, 740].flatMap((y, at) => [
        piece(`Name ${String(at)}`, 40, y),
        piece(`INV-${String(at)}`, 140, y),
        piece('90.00', 240, y),
      ]),
      piece('Verbindlich-', 40, 720),
      piece('INV-', 140, 720),
      piece('keiten', 40, 708),
      piece('2044', 140, 708),
      piece('90.00', 240, 720),
    ];
    expect(
      rowsOfPages([page])
        .rows.at(-1)
        ?.map((cell) => textOf(cell).trim()),
    ).toEqual(['Verbindlichkeiten', 'INV-2044', '90.00']);
  });
});
