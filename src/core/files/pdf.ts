// It leaves what works on pages where the reader looks for it, so that nothing is loaded by a path.
import 'pdfjs-dist/legacy/build/pdf.worker.mjs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { type Result, fail, ok, problem } from '../result';
import type { Table } from './cells';
import { MOST_CELLS, MOST_PAGES, MOST_PDF_BYTES, counted, megabytes } from './limits';
import { pastPdfBounds } from './pdf-bounds';
import { type Piece, rowsOfPages } from './pdf-lines';

const nameOf = (error: unknown): string => (error instanceof Error ? error.name : '');

const locked = (name: string): Result<never> =>
  fail(problem('paper.locked', `${name} is locked or encrypted. Save it without a password and bring that.`));

/** The text of a PDF (ISO 32000) as one table, by where its pieces stand on the pages. Nothing in it runs or is loaded. */
export const readPdf = async (bytes: Uint8Array, name: string): Promise<Result<readonly Table[]>> => {
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
    if (paper.numPages > MOST_PAGES)
      return fail(
        problem(
          'paper.pages',
          `${name} has ${counted(paper.numPages)} pages, and ${counted(MOST_PAGES)} is the most that is read at once. Split it and bring the parts.`,
        ),
      );
    const pages: Piece[][] = [];
    let count = 0;
    for (let number = 1; number <= paper.numPages; number += 1) {
      const page = await paper.getPage(number);
      const { items } = await page.getTextContent();
      const pieces: Piece[] = [];
      for (const item of items) {
        if (!('str' in item) || item.str.trim() === '') continue;
        const [, , , , x, y] = item.transform as readonly number[];
        if (x === undefined || y === undefined) continue;
        pieces.push({ text: item.str, from: x, to: x + item.width, y, size: item.height === 0 ? 10 : item.height });
      }
      count += pieces.length;
      if (count > MOST_CELLS)
        return fail(
          problem(
            'paper.cells',
            `${name} has more than ${counted(MOST_CELLS)} pieces of text, which is the most that is read at once. Split it and bring the parts.`,
          ),
        );
      pages.push(pieces);
      page.cleanup();
    }
    if (count === 0)
      return fail(
        problem(
          'paper.scan',
          `${name} holds pictures of pages and no text, so its figures cannot be read. Ask the old system for a printout as PDF, CSV or XLSX, or type the figures.`,
        ),
      );
    return ok([{ name, rows: rowsOfPages(pages), printed: true }]);
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
