import { type Result, fail, problem } from '../base/result';
import { isXml, readSaft } from './audit-file';
import type { Table, TextFormat } from '../base/table';
import { readCsv } from './csv';
import { MOST_BYTES, megabytes } from './limits';
import { isWebPage, readWebPage } from './web-page';
import { readWorkbook } from './workbook';
import { isXmlWorkbook, readXmlWorkbook } from './xml-workbook';

/**
 * Reads a paper by what its bytes are, not by what its ending claims: delimited text, a workbook, a web page, or an audit file
 * (SAF-T), but no PDF and no workbook of the kind before XLSX, which `readAnyPaper` reads too. `format` overrules how a text file is taken apart.
 */
export const readPaper = (
  bytes: Uint8Array,
  name: string,
  format: Partial<TextFormat> = {},
): Result<readonly Table[]> => {
  if (bytes.length === 0)
    return fail(problem('paper.empty', `${name} is empty: it has no bytes at all. Export it again and bring that.`));
  if (bytes.length > MOST_BYTES)
    return fail(
      problem(
        'paper.large',
        `${name} has ${Math.ceil(bytes.length / 1024 / 1024)} MB; ${megabytes(MOST_BYTES)} is the most that is taken.`,
      ),
    );
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return readWorkbook(bytes, name);
  if (isWebPage(bytes)) return readWebPage(bytes, name);
  if (isXml(bytes) && isXmlWorkbook(bytes)) return readXmlWorkbook(bytes, name);
  return isXml(bytes) ? readSaft(bytes, name) : readCsv(bytes, name, format);
};
