import { zlibSync } from 'fflate';

/** A piece of text on a page, in points from the left and from the bottom. */
export type Text = readonly [x: number, y: number, text: string];

const bytesOf = (text: string): Uint8Array => Uint8Array.from(text, (character) => character.charCodeAt(0) & 255);

const joined = (parts: readonly (string | Uint8Array)[]): Uint8Array => {
  const all = parts.map((part) => (typeof part === 'string' ? bytesOf(part) : part));
  const whole = new Uint8Array(all.reduce((size, part) => size + part.length, 0));
  let at = 0;
  for (const part of all) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
};

/** A PDF of one page whose content is given, packed or not; `more` goes into its catalogue. Readers find its parts without a table. */
export const pdfWith = (content: Uint8Array, filter = '', more = ''): Uint8Array =>
  joined([
    `%PDF-1.7\n1 0 obj<</Type/Catalog/Pages 2 0 R${more}>>endobj\n2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj\n`,
    '3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 600 850]/Contents 4 0 R/Resources<</Font<</F1 5 0 R>>>>>>endobj\n',
    '5 0 obj<</Type/Font/Subtype/Type1/BaseFont/Courier>>endobj\n',
    `4 0 obj<</Length ${String(content.length)}${filter}>>stream\n`,
    content,
    '\nendstream endobj\ntrailer<</Root 1 0 R>>\n%%EOF',
  ]);

/** A page of texts, packed as programs pack them. */
export const pdfOf = (texts: readonly Text[], more = ''): Uint8Array => {
  const content = texts
    .map(([x, y, text]) => `BT /F1 10 Tf ${String(x)} ${String(y)} Td (${text.replace(/[()\\\\]/g, '\\\\$&')}) Tj ET`)
    .join('\n');
  return pdfWith(zlibSync(bytesOf(content)), '/Filter/FlateDecode', more);
};
