import type { Table } from '../papers/cells';
import { MOST_BYTES } from '../papers/cells';
import { readPaper } from '../papers/read';
import { type Result, fail, problem } from '../result';
import { isXml, readSaft } from './saft';

/** The tables of a file with a list of accounts: CSV, XLSX, or the master files of an audit file (SAF-T). */
export const readAccountsFile = (bytes: Uint8Array, name: string): Result<readonly Table[]> => {
  if (bytes.length > MOST_BYTES)
    return fail(
      problem(
        'paper.large',
        `${name} has ${Math.ceil(bytes.length / 1024 / 1024)} MB; ${MOST_BYTES / 1024 / 1024} MB is the most that is taken.`,
      ),
    );
  return bytes.length > 0 && isXml(bytes) ? readSaft(bytes, name) : readPaper(bytes, name);
};
