/** Takes PDFs apart for the page that draws them: a thread of its own, so that a slow page does not hold up the sheet beside it. */
import 'pdfjs-dist/legacy/build/pdf.worker.mjs';
