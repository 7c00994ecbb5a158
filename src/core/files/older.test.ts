import * as XLSX from '@e965/xlsx';
import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { textOf } from '../base/table';
import { readAnyPaper } from './read-any';

/** Kinds of workbooks that are no packed XML, as they are exchanged. */
const KINDS = ['biff8', 'xlml', 'sylk', 'dif'] as const;

const bookOf = (rows: readonly (readonly (string | number)[])[]): XLSX.WorkBook => {
  const book = XLSX.utils.book_new();
  XLSX.utils.book_append_sheet(book, XLSX.utils.aoa_to_sheet(rows as unknown[][]), 'Balance');
  return book;
};
/** What of the package's container of compound parts is used; it types the container as any. */
const containers = XLSX.CFB as {
  readonly read: (bytes: Uint8Array, options: { readonly type: 'array' }) => object;
  readonly write: (container: object, options: { readonly type: 'buffer' }) => Buffer;
  readonly utils: {
    readonly cfb_new: () => object;
    readonly cfb_add: (container: object, name: string, content: Uint8Array) => void;
  };
};
/** A file of compound parts with some more in it. */
const compound = (container: object, parts: Readonly<Record<string, number>>): Uint8Array => {
  for (const [name, length] of Object.entries(parts)) containers.utils.cfb_add(container, name, new Uint8Array(length));
  return new Uint8Array(containers.write(container, { type: 'buffer' }));
};
const written = (book: XLSX.WorkBook, kind: XLSX.BookType): Uint8Array =>
  new Uint8Array(XLSX.write(book, { type: 'buffer', bookType: kind }) as Buffer);
const read = async (bytes: Uint8Array, name = 'balance.xls') => {
  const tables = await readAnyPaper(bytes, name);
  return tables.ok ? tables.value : tables.problems.map(({ code }) => code);
};
const shown = async (bytes: Uint8Array) => {
  const tables = await readAnyPaper(bytes, 'balance.xls');
  if (!tables.ok) throw new Error(tables.problems[0]?.message);
  return tables.value.map(({ rows }) => rows.map((row) => row.map(textOf)));
};

describe('workbooks of the kinds before XLSX', () => {
  it('give what the same workbook gives as XLSX, whatever stands in it', async () => {
    const cell = fc.oneof(
      fc.constantFrom('', '0010', 'Bank – Skerry', 'a;b', "it's", 'Löhne & <b>', '"quoted"'),
      fc.integer({ min: -9_999_999, max: 9_999_999 }).map((cents) => cents / 100),
    );
    const rows = fc.array(fc.array(cell, { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 8 });
    await fc.assert(
      fc.asyncProperty(rows, fc.constantFrom(...KINDS), async (body, kind) => {
        const book = bookOf([['Code', 'Name', 'Balance'], ...body]);
        // An exchange of texts has no way to write a quotation mark that every reader of it knows.
        fc.pre(kind === 'biff8' || kind === 'xlml' || !JSON.stringify(body).includes(String.raw`\"quoted`));
        expect(await shown(written(book, kind))).toEqual(await shown(written(book, 'xlsx')));
      }),
      { numRuns: 60 },
    );
  });

  it('keep the days of a count that begins in 1904, and leave out sheets and columns that are hidden', async () => {
    const book = bookOf([['At', { t: 'n', v: 44_772, z: 'dd/mm/yyyy' } as never, 'note']]);
    XLSX.utils.book_append_sheet(book, XLSX.utils.aoa_to_sheet([['secret', 1]]), 'Not shown');
    book.Workbook = { WBProps: { date1904: true }, Sheets: [{ Hidden: 0 }, { Hidden: 1 }] };
    expect(await shown(written(book, 'biff8'))).toEqual([[['At', '2026-07-31', 'note']]]);
    const sheet = book.Sheets['Balance'];
    if (sheet !== undefined) sheet['!cols'] = [{}, {}, { hidden: true }];
    expect(await read(written(book, 'xlml'), 'balance.xml')).toMatchObject([
      { name: 'Balance', hidden: [2], remarks: [expect.stringContaining('Column C of Balance is hidden')] },
    ]);
  });

  it('leave out what is hidden in OpenDocument too', async () => {
    const [open, close] = ['<table:table-row><table:table-cell office:value-type="string"><text:p>', '</text:p></table:table-cell></table:table-row>']; // prettier-ignore
    const content = `<office:document-content xmlns:office="o" xmlns:table="t" xmlns:text="x" xmlns:style="s"><office:automatic-styles>
      <style:style style:name="ta1"><style:table-properties table:display="true"/></style:style>
      <style:style style:name="ta2"><style:table-properties table:display="false"/></style:style></office:automatic-styles>
      <office:body><office:spreadsheet>
      <table:table table:name="Seen" table:style-name="ta1"><table:table-column table:visibility="collapse"/>${open}a${close}</table:table>
      <table:table table:name="Not" table:style-name="ta2">${open}b${close}</table:table>
      </office:spreadsheet></office:body></office:document-content>`;
    expect(await read(zipSync({ 'content.xml': strToU8(content) }), 'balance.ods')).toMatchObject([
      { name: 'Seen', rows: [['a']], hidden: [0] },
    ]);
  });

  it('leave gaps where the file leaves them, and end where nothing more stands near', async () => {
    const xml = (rows: string): Uint8Array =>
      new TextEncoder().encode(
        `<?xml version="1.0"?><Workbook xmlns="urn:x" xmlns:ss="urn:x"><Worksheet ss:Name="S"><Table>${rows}</Table></Worksheet></Workbook>`,
      );
    const cell = (text: string, more = ''): string =>
      `<Cell ${more}><Data ss:Type="String">${text}</Data><Comment><Data>not this</Data></Comment></Cell>`;
    expect(
      await shown(
        xml(
          `<Row>${cell('a', 'ss:MergeAcross="1"')}${cell('b')}</Row><Row ss:Index="4">${cell('c', 'ss:Index="3"')}</Row><Row ss:Index="900000">${cell('far')}</Row>`,
        ),
      ),
    ).toEqual([[['a', '', 'b'], [], [], ['', '', 'c']]]);
    expect(await read(xml('<Row><Cell>'))).toEqual(['paper.broken']);
    expect(
      await read(new TextEncoder().encode('<!DOCTYPE x [<!ENTITY a "b">]><Workbook><Worksheet/></Workbook>')),
    ).toEqual(['paper.entities']);
  });

  it('are refused with a sentence where they are damaged, locked, empty or hold macros', async () => {
    const whole = written(
      bookOf([
        ['Code', 'Balance'],
        ['1', 2],
      ]),
      'biff8',
    );
    for (const at of [9, 300, 600, 1000, Math.floor(whole.length / 2)])
      expect(await read(whole.slice(0, at)), String(at)).toEqual(['paper.broken']);
    expect(await read(written(bookOf([[]]), 'biff8'))).toEqual(['paper.empty']);
    const locked = compound(containers.utils.cfb_new(), { '/EncryptedPackage': 100, '/EncryptionInfo': 8 });
    expect(await read(locked)).toEqual(['paper.locked']);
    const withMacros = compound(containers.read(whole, { type: 'array' }), { '/_VBA_PROJECT_CUR/VBA/dir': 4 });
    expect(await read(withMacros)).toEqual(['paper.macros']);
  });
});
