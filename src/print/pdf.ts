import type { Content, ContentTable, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { type Sentence, type Writing, tell } from '@/core/base/sentence';
import type { NumberStyle } from '@/core/money/number-style';
import { type Column, type Document, type Line, saidOfStanding, textColumn, written } from '@/core/statements/document';
import { TEXT, TITLE, printer, runs } from './fonts';

export type PdfSize = 'A4' | 'A5' | 'LETTER' | 'LEGAL';

/** What a document is printed with: on whose paper, in whose style, by whom. */
export interface Print {
  /** Whose books: for the foot of each page. */
  readonly books: string;
  /** The lines above the document, the first one the largest; none on pre-printed paper, where `preprinted` leaves their room. */
  readonly letterhead: readonly string[];
  readonly preprinted: boolean;
  readonly logo: { readonly type: string; readonly content: Uint8Array } | null;
  readonly style: NumberStyle;
  readonly writing: Writing;
  readonly size: PdfSize;
  /** "Printed by Nuala Roche on 1 Aug 2026, 14:05 Europe/Dublin": for the foot of each page. */
  readonly printed: Sentence;
}

const BASE = 8.5;
const MARGIN = 40;
const RULE = '#33413f';
const HAIR = '#c9cdc9';
const GREY = '#5a6663';

/** How wide a column has to be for what stands in it, in points; letters are counted by their usual width. */
const widthOf = (text: string, bold: boolean): number => {
  let width = 0;
  for (const letter of text) width += /[.,:;|'’() ilj]/.test(letter) ? 0.36 : /[mwMW]/.test(letter) ? 0.92 : 0.605;
  return width * BASE * (bold ? 1.04 : 1);
};

const widthsOf = (columns: readonly Column[], lines: readonly Line[], print: Print): readonly (number | '*')[] =>
  columns.map(({ label, kind }, at) => {
    if (kind === 'text') return '*';
    const most = lines.reduce(
      (widest, line) =>
        Math.max(widest, widthOf(written(line.values[at] ?? null, print.style, print.writing), line.kind !== 'line')),
      Math.min(70, widthOf(label, true)),
    );
    return Math.min(150, Math.ceil(most) + 4);
  });

/** The room of a closing bracket, which hangs outside the figures, so that digits align. */
const HANG = 2.8;

type Border = [boolean, boolean, boolean, boolean];

const rowOf = (columns: readonly Column[], line: Line, print: Print): TableCell[] => {
  const named = textColumn(columns);
  return columns.map(({ kind }, at): TableCell => {
    const summed = kind === 'figure' && (line.kind === 'sum' || line.kind === 'total');
    const border: Border = [false, summed, false, summed && line.kind === 'total'];
    const text = written(line.values[at] ?? null, print.style, print.writing);
    return {
      text: runs(text),
      alignment: kind === 'figure' ? 'right' : 'left',
      bold: line.kind === 'heading' || line.kind === 'total' || (line.kind === 'sum' && line.depth === 0),
      border,
      borderColor: [RULE, RULE, RULE, RULE],
      margin: [
        at === named ? line.depth * 9 : 0,
        line.kind === 'heading' ? 4 : 0,
        kind === 'figure' && !text.endsWith(')') ? HANG : 0,
        line.kind === 'sum' ? 3 : 0,
      ],
    };
  });
};

/** The second rule below the last total. */
const underline = (columns: readonly Column[]): TableCell[] =>
  columns.map(({ kind }): TableCell => ({
    text: ' ',
    fontSize: 1,
    lineHeight: 0.1,
    border: [false, false, false, kind === 'figure'] as Border,
    borderColor: [RULE, RULE, RULE, RULE],
  }));

const LAYOUT = {
  hLineWidth: () => 0.6,
  vLineWidth: () => 0,
  paddingLeft: (at: number) => (at === 0 ? 0 : 5),
  paddingRight: () => 0,
  paddingTop: () => 1.2,
  paddingBottom: () => 1.2,
};

const tableOf = (
  columns: readonly Column[],
  lines: readonly Line[],
  widths: (number | '*')[],
  print: Print,
): ContentTable => ({
  layout: LAYOUT,
  table: {
    widths,
    dontBreakRows: true,
    body: lines.flatMap((line) => [
      rowOf(columns, line, print),
      ...(line.kind === 'total' ? [underline(columns)] : []),
    ]),
  },
});

/**
 * Lines as tables that break only between lines that may stand apart: a heading goes with the line after it, a sum with the line
 * before it, and what stands above them all with the first.
 */
const tablesOf = (
  columns: readonly Column[],
  lines: readonly Line[],
  widths: (number | '*')[],
  print: Print,
  above: readonly Content[],
): Content[] => {
  const groups: Line[][] = [];
  lines.forEach((line, at) => {
    const before = lines[at - 1];
    const glued = before !== undefined && (before.kind === 'heading' || line.kind === 'sum' || line.kind === 'total');
    if (glued) groups.at(-1)?.push(line);
    else groups.push([line]);
  });
  // Lines that stand alone are one table as far as they follow each other, so that a long list stays cheap.
  const merged: { readonly lines: Line[]; readonly whole: boolean }[] = [];
  groups.forEach((group, at) => {
    const whole = group.length > 1 || (at === 0 && above.length > 0);
    const last = merged.at(-1);
    if (!whole && last?.whole === false) last.lines.push(...group);
    else merged.push({ lines: group, whole });
  });
  if (merged.length === 0) return [...above];
  return merged.map(({ lines: own, whole }, at): Content => {
    const table = tableOf(columns, own, widths, print);
    return whole ? { unbreakable: true, stack: [...(at === 0 ? above : []), table] } : table;
  });
};

const headRow = (columns: readonly Column[], widths: (number | '*')[]): ContentTable => ({
  layout: LAYOUT,
  table: {
    widths,
    body: [
      columns.map(({ label, kind }): TableCell => ({
        text: runs(label),
        bold: true,
        fontSize: BASE - 0.5,
        alignment: kind === 'figure' ? 'right' : 'left',
        margin: [0, 0, kind === 'figure' ? HANG : 0, 0],
        border: [false, false, false, true] as Border,
        borderColor: [HAIR, HAIR, HAIR, RULE],
      })),
    ],
  },
});

const logoOf = ({ logo }: Print): Content[] => {
  if (logo === null) return [];
  const address = `data:${logo.type};base64,${Buffer.from(logo.content).toString('base64')}`;
  return /png|jpe?g/.test(logo.type)
    ? [{ width: 110, stack: [{ image: address, fit: [110, 40], alignment: 'right' }] } as Content]
    : [];
};

/** A document as pages: letterhead, title, how it stands, its columns again on each page, and at the foot who printed it and when. */
export const toPdf = async (document: Document, print: Print): Promise<Uint8Array> => {
  const { columns, sections, notes } = document;
  const all = sections.flatMap(({ lines }) => lines);
  const widths = [...widthsOf(columns, all, print)];
  const fixed = widths.reduce<number>((sum, width) => sum + (width === '*' ? 0 : width + 5), 0);
  const stands = saidOfStanding(document, print.writing);
  const foot = tell(print.printed, print.writing);
  const [name = '', ...details] = print.letterhead;
  const definition: TDocumentDefinitions = {
    pageSize: print.size,
    // Where the figures would leave too little room for names, the page is turned.
    pageOrientation: fixed > 330 || columns.filter(({ kind }) => kind === 'text').length > 3 ? 'landscape' : 'portrait',
    pageMargins: [MARGIN, 46, MARGIN, 48],
    info: {
      title: `${document.title}, ${print.books}`,
      author: print.books,
      subject: `${tell(document.about, print.writing)}${stands === null ? '' : `. ${stands}`}`,
      creator: 'Bathron',
    },
    language: 'en',
    defaultStyle: { font: TEXT, fontSize: BASE, lineHeight: 1.1, color: '#1d2624' },
    header: (page) =>
      page === 1
        ? null
        : {
            margin: [MARGIN, 14, MARGIN, 0],
            stack: [
              {
                text: runs(`${print.books} · ${document.title}${stands === null ? '' : ` · ${stands}`}`),
                fontSize: 7.5,
                color: GREY,
                margin: [0, 0, 0, 2],
              },
              headRow(columns, widths),
            ],
          },
    footer: (page, pages) => ({
      margin: [MARGIN, 14, MARGIN, 0],
      fontSize: 7.5,
      color: GREY,
      columns: [
        { text: runs(foot), width: '*' },
        { text: runs(`page ${String(page)} of ${String(pages)}`), width: 'auto', alignment: 'right' },
      ],
    }),
    content: [
      ...(print.preprinted
        ? [{ text: ' ', margin: [0, 0, 0, 60] } as Content]
        : [
            {
              columns: [
                {
                  width: '*',
                  stack: [
                    { text: runs(name, TITLE), bold: true, fontSize: 11.5 },
                    ...details.map((line): Content => ({ text: runs(line), fontSize: 7.5, color: GREY })),
                  ],
                },
                ...logoOf(print),
              ],
              columnGap: 12,
            } as Content,
          ]),
      { text: runs(document.title, TITLE), fontSize: 16, bold: true, margin: [0, 14, 0, 0] },
      { text: runs(tell(document.about, print.writing)), margin: [0, 1, 0, 0] },
      ...(stands === null
        ? []
        : [{ text: runs(stands), bold: document.standing?.draft === true, margin: [0, 1, 0, 0] } as Content]),
      ...(sections.length === 0 ? [] : [{ stack: [headRow(columns, widths)], margin: [0, 10, 0, 2] } as Content]),
      ...sections.flatMap(({ title, about, lines }): Content[] => {
        const above: Content[] =
          title === null
            ? []
            : [
                { text: runs(title, TITLE), bold: true, fontSize: 11, margin: [0, 8, 0, 2] },
                ...(about === undefined
                  ? []
                  : [
                      {
                        text: runs(tell(about, print.writing)),
                        fontSize: 7.5,
                        color: GREY,
                        margin: [0, 0, 0, 3],
                      } as Content,
                    ]),
              ];
        return tablesOf(columns, lines, widths, print, above);
      }),
      ...notes.map((note): Content => ({ text: runs(tell(note, print.writing)), margin: [0, 10, 0, 0] })),
    ],
  };
  return new Uint8Array(await printer().createPdf(definition).getBuffer());
};
