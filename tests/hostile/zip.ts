import { crc32 } from 'node:zlib';
import { deflateSync } from 'fflate';

/** A part of a packed file, with the lies that its headers are to tell. */
export interface Part {
  readonly name: string;
  readonly content: Uint8Array;
  readonly stored?: boolean;
  /** What its directory entry says instead of the truth. */
  readonly says?: Partial<Record<'size' | 'packed' | 'crc' | 'local' | 'method' | 'flags', number>>;
  /** No bytes of its own: the entry points at those of the part before it. */
  readonly shared?: boolean;
}

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
export const part = (name: string, content: string | Uint8Array, more: Partial<Part> = {}): Part => ({
  name,
  content: typeof content === 'string' ? utf8(content) : content,
  ...more,
});

// Node.js 20 types lack what its zlib has.
const checksum = (bytes: Uint8Array): number => (crc32 as (data: Uint8Array) => number)(bytes);

/** A packed file written by hand, so that it can be wrong in one place at a time. */
export const packed = (
  parts: readonly Part[],
  end: Partial<Record<'count' | 'size' | 'offset', number>> & { readonly comment?: Uint8Array } = {},
): Uint8Array => {
  const chunks: Uint8Array[] = [];
  const directory: Uint8Array[] = [];
  let at = 0;
  let last = { local: 0, packed: 0, size: 0, crc: 0, method: 8 };
  const put = (bytes: Uint8Array): void => {
    chunks.push(bytes);
    at += bytes.length;
  };
  for (const { name, content, stored = false, says = {}, shared = false } of parts) {
    const named = utf8(name);
    if (!shared) {
      const data = stored ? content : deflateSync(content, { level: 9 });
      last = { local: at, packed: data.length, size: content.length, crc: checksum(content), method: stored ? 0 : 8 };
      const header = Buffer.alloc(30);
      header.writeUInt32LE(0x04034b50, 0);
      header.writeUInt16LE(20, 4);
      header.writeUInt16LE(last.method, 8);
      header.writeUInt32LE(last.crc, 14);
      header.writeUInt32LE(last.packed, 18);
      header.writeUInt32LE(last.size, 22);
      header.writeUInt16LE(named.length, 26);
      put(header);
      put(named);
      put(data);
    }
    const entry = Buffer.alloc(46);
    entry.writeUInt32LE(0x02014b50, 0);
    entry.writeUInt16LE(20, 4);
    entry.writeUInt16LE(20, 6);
    entry.writeUInt16LE(says.flags ?? 0, 8);
    entry.writeUInt16LE(says.method ?? last.method, 10);
    entry.writeUInt32LE(says.crc ?? last.crc, 16);
    entry.writeUInt32LE(says.packed ?? last.packed, 20);
    entry.writeUInt32LE(says.size ?? last.size, 24);
    entry.writeUInt16LE(named.length, 28);
    entry.writeUInt32LE(says.local ?? last.local, 42);
    directory.push(entry, named);
  }
  const listed = Buffer.concat(directory);
  const record = Buffer.alloc(22);
  record.writeUInt32LE(0x06054b50, 0);
  record.writeUInt16LE(end.count ?? parts.length, 8);
  record.writeUInt16LE(end.count ?? parts.length, 10);
  record.writeUInt32LE(end.size ?? listed.length, 12);
  record.writeUInt32LE(end.offset ?? at, 16);
  record.writeUInt16LE(end.comment?.length ?? 0, 20);
  return new Uint8Array(Buffer.concat([...chunks, listed, record, end.comment ?? new Uint8Array()]));
};

const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const RELATIONS = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

export const WORKBOOK = `<?xml version="1.0"?><workbook xmlns="${MAIN}" xmlns:r="${RELATIONS}"><sheets><sheet name="TB" sheetId="1" r:id="rId1"/></sheets></workbook>`;
export const RELS =
  '<Relationships><Relationship Id="rId1" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Target="sharedStrings.xml"/><Relationship Id="rId3" Target="styles.xml"/></Relationships>';

export const text = (reference: string, value: string): string =>
  `<c r="${reference}" t="inlineStr"><is><t>${value}</t></is></c>`;
export const number = (reference: string, value: string, style = ''): string =>
  `<c r="${reference}"${style}><v>${value}</v></c>`;
export const row = (at: number | string, ...cells: readonly string[]): string =>
  `<row r="${String(at)}">${cells.join('')}</row>`;
export const sheet = (rows: string): string => `<worksheet xmlns="${MAIN}"><sheetData>${rows}</sheetData></worksheet>`;

/** A small trial balance that nets to zero, with what is put after it. */
export const BALANCED =
  row(1, text('A1', 'Code'), text('B1', 'Name'), text('C1', 'Debit'), text('D1', 'Credit')) +
  row(2, text('A2', '1000'), text('B2', 'Bank'), number('C2', '500')) +
  row(3, text('A3', '3000'), text('B3', 'Capital'), number('D3', '500'));

export const parts = (sheetXml: string, more: readonly Part[] = []): readonly Part[] => [
  part('xl/workbook.xml', WORKBOOK),
  part('xl/_rels/workbook.xml.rels', RELS),
  part('xl/worksheets/sheet1.xml', sheetXml),
  ...more,
];
export const workbook = (rows: string, more: readonly Part[] = []): Uint8Array => packed(parts(sheet(rows), more));
