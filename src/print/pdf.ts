import Printer from 'pdfmake';
import vfs from 'pdfmake/build/vfs_fonts';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { formatMinor } from '@/core/money/format';
import type { NumberStyle } from '@/core/money/number-style';
import type { OutCell, OutRow } from '@/core/files/write';

const font = (file: string): Buffer => Buffer.from(vfs[file] ?? '', 'base64');
const FONTS = {
  Roboto: {
    normal: font('Roboto-Regular.ttf'),
    bold: font('Roboto-Medium.ttf'),
    italics: font('Roboto-Italic.ttf'),
    bolditalics: font('Roboto-MediumItalic.ttf'),
  },
};

export type PdfSize = 'A4' | 'A5' | 'LETTER' | 'LEGAL';

interface Page {
  readonly style: NumberStyle;
  readonly size: PdfSize;
  /** When it was made, ISO; stands in the foot of each page. */
  readonly made: string;
}

/**
 * Rows for a file as a printed table: the lines before the first empty row are the title, the row after it is the header,
 * repeated on every page. Amounts stand on the right in the books' number style.
 */
export const toPdf = async (rows: readonly OutRow[], { style, size, made }: Page): Promise<Uint8Array> => {
  const gap = rows.findIndex((row) => row.length === 0);
  const title = rows.slice(0, Math.max(0, gap));
  const [header = [], ...body] = rows.slice(gap + 1);
  const width = body.reduce((widest, row) => Math.max(widest, row.length), Math.max(1, header.length));
  const amounts = Array.from({ length: width }, (_, column) => body.some((row) => isAmount(row[column])));
  const cell = (value: OutCell | undefined, column: number, bold = false): TableCell => ({
    text: value == null ? '' : typeof value === 'string' ? value : formatMinor(value.amount, value.digits, style),
    alignment: amounts[column] === true ? 'right' : 'left',
    bold,
  });
  const line = (row: OutRow, bold = false): TableCell[] =>
    Array.from({ length: width }, (_, column) => cell(row[column], column, bold));
  const content: Content[] = [
    ...title.map((row, at): Content => ({
      text: row.map((value) => (typeof value === 'string' ? value : '')).join(' '),
      fontSize: at === 0 ? 13 : 10,
      bold: at === 0,
    })),
    {
      margin: [0, 10, 0, 0],
      layout: 'lightHorizontalLines',
      table: {
        headerRows: 1,
        widths: amounts.map((right, column) => (right || column === 0 ? 'auto' : '*')),
        body: [line(header, true), ...body.map((row) => line(row))],
      },
    },
  ];
  const definition: TDocumentDefinitions = {
    pageSize: size,
    pageOrientation: width > 6 ? 'landscape' : 'portrait',
    pageMargins: [36, 36, 36, 44],
    defaultStyle: { font: 'Roboto', fontSize: 8.5 },
    footer: (page, pages) => ({
      text: `made ${made.slice(0, 10)} · page ${String(page)} of ${String(pages)}`,
      alignment: 'right',
      margin: [36, 12, 36, 0],
      fontSize: 7.5,
    }),
    content,
  };
  const document = new Printer(FONTS).createPdfKitDocument(definition);
  const chunks: Buffer[] = [];
  return new Promise((resolve, reject) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk));
    document.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
    document.on('error', reject);
    document.end();
  });
};

const isAmount = (value: OutCell | undefined): boolean => value != null && typeof value === 'object';
