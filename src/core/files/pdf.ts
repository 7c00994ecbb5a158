// It leaves what works on pages where the reader looks for it, so that nothing is loaded by a path.
import 'pdfjs-dist/legacy/build/pdf.worker.mjs';
import { type PDFDocumentProxy, getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { type Result, fail, ok, problem } from '../base/result';
import type { Table } from '../base/table';
import { MOST_CELLS, MOST_PAGES, MOST_PDF_BYTES, counted, megabytes } from './limits';
import { pastPdfBounds } from './pdf-bounds';
import { rowsOfPages } from './pdf-lines';
import type { Piece } from './pdf-pieces';
import { type PlacedText, type PrintedPage, printedPage } from './pdf-page';

const nameOf = (error: unknown): string => (error instanceof Error ? error.name : '');

const locked = (name: string): Result<never> =>
  fail(problem('paper.locked', `${name} is locked or encrypted. Save it without a password and bring that.`));

/** Opens a PDF within bounds, lets `read` look at it, and closes it. Nothing in it runs or is loaded. */
const opened = async <T>(
  bytes: Uint8Array,
  name: string,
  read: (paper: PDFDocumentProxy) => Promise<Result<T>>,
): Promise<Result<T>> => {
  const past = pastPdfBounds(bytes);
  if (past === 'locked') return locked(name);
  if (past === 'bomb')
    return fail(
      problem(
        'paper.bomb',
        `${name} unpacks to more than ${megabytes(MOST_PDF_BYTES)}, or is packed several times over, so it was not read. Ask the old system for CSV or XLSX.`,
      ),
    );
  const loading = getDocument({
    // It is handed over; the caller keeps its own bytes.
    data: bytes.slice(),
    isEvalSupported: false,
    disableFontFace: true,
    useSystemFonts: false,
    stopAtErrors: false,
    verbosity: 0,
  });
  try {
    const paper = await loading.promise;
    return paper.numPages > MOST_PAGES
      ? fail(
          problem(
            'paper.pages',
            `${name} has ${counted(paper.numPages)} pages, and ${counted(MOST_PAGES)} is the most that is read at once. Split it and bring the parts.`,
          ),
        )
      : await read(paper);
  } catch (error) {
    return nameOf(error) === 'PasswordException'
      ? locked(name)
      : fail(
          problem(
            'paper.pdf',
            `${name} is a PDF that is damaged or was cut off. Save or export it again and bring that.`,
          ),
        );
  } finally {
    await loading.destroy();
  }
};

const pageOf = async (paper: PDFDocumentProxy, number: number): Promise<PrintedPage> => {
  const page = await paper.getPage(number);
  const { items } = await page.getTextContent();
  const { transform, width, height } = page.getViewport({ scale: 1 });
  const made = printedPage(
    items.flatMap((item): PlacedText[] => ('str' in item ? [item as PlacedText] : [])),
    transform,
    width,
    height,
  );
  page.cleanup();
  return made;
};

/** The text of a PDF (ISO 32000) as one table, by where its pieces stand on the pages. */
export const readPdf = (bytes: Uint8Array, name: string): Promise<Result<readonly Table[]>> =>
  opened(bytes, name, async (paper) => {
    const pages: (readonly Piece[])[] = [];
    const across = new Set<number>();
    let count = 0;
    for (let number = 1; number <= paper.numPages; number += 1) {
      const page = await pageOf(paper, number);
      count += page.pieces.length;
      if (count > MOST_CELLS)
        return fail(
          problem(
            'paper.cells',
            `${name} has more than ${counted(MOST_CELLS)} pieces of text, which is the most that is read at once. Split it and bring the parts.`,
          ),
        );
      if (page.across.some((text) => /\d/.test(text))) across.add(number);
      pages.push(page.pieces);
    }
    if (count === 0)
      return fail(
        problem(
          'paper.scan',
          `${name} holds pictures of pages and no text, so its figures cannot be read. Ask the old system for a printout as PDF, CSV or XLSX, or type the figures.`,
        ),
      );
    return ok([
      {
        name,
        ...rowsOfPages(pages),
        printed: true,
        ...(across.size > 0
          ? {
              remarks: [
                `Text with digits that runs across the rest was not read, on ${across.size === 1 ? 'page' : 'pages'} ${[...across].slice(0, 5).join(', ')}${across.size > 5 ? ', …' : ''}.`,
              ],
            }
          : {}),
      },
    ]);
  });

/** One page of a PDF, for showing where a row of it stands; the last one where it has not so many. */
export const readPdfPage = (
  bytes: Uint8Array,
  name: string,
  number: number,
): Promise<Result<PrintedPage & { readonly number: number; readonly pages: number }>> =>
  opened(bytes, name, async (paper) => {
    const own = Math.max(1, Math.min(number, paper.numPages));
    return ok({ ...(await pageOf(paper, own)), number: own, pages: paper.numPages });
  });
