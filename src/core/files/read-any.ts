import type { Result } from '../base/result';
import type { Table, TextFormat } from '../base/table';
import { isPdf } from './formats';
import { MOST_BYTES } from './limits';
import { readPaper } from './read';

/** A paper of any kind: also a PDF, which is read in steps, by what is only loaded for it. */
export const readAnyPaper = async (
  bytes: Uint8Array,
  name: string,
  format: Partial<TextFormat> = {},
): Promise<Result<readonly Table[]>> =>
  isPdf(bytes) && bytes.length <= MOST_BYTES
    ? (await import('./pdf')).readPdf(bytes, name)
    : readPaper(bytes, name, format);
