import { type Problem, type Result, fail, ok, problem } from '../base/result';
import type { Table } from '../base/table';
import { MOST_CELL_CHARACTERS, counted } from './limits';

/** Carries what is wrong with a file out of its readers. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}

/** What a reader gives, or why it refused. */
export const refusalOf = <T>(read: () => Result<T>): Result<T> => {
  try {
    return read();
  } catch (error) {
    if (error instanceof Refused) return fail(error.problem);
    throw error;
  }
};

export const tooLong = (file: string): Refused =>
  new Refused(
    problem(
      'paper.cell',
      `${file} has a cell of more than ${counted(MOST_CELL_CHARACTERS)} characters, which is the most that is read. Shorten it, or take it out, and bring the file again.`,
    ),
  );

export const tooMany = (file: string, what: 'rows' | 'cells' | 'characters', most: number): Refused =>
  new Refused(
    problem(
      `paper.${what}`,
      `${file} has more than ${counted(most)} ${what}, which is the most that is read at once. Split it and bring the parts.`,
    ),
  );

export const macros = (file: string): Problem =>
  problem('paper.macros', `${file} contains macros. Save it as a workbook without macros, or as CSV, and bring that.`);

/** The sheets of a workbook that have something in them. */
export const filledOf = (file: string, tables: readonly Table[]): Result<readonly Table[]> => {
  const filled = tables.filter(({ rows }) => rows.length > 0);
  return filled.length > 0
    ? ok(filled)
    : fail(
        problem(
          'paper.empty',
          `${file} has no visible sheet with something in it. Open it in a spreadsheet: its sheets may be hidden.`,
        ),
      );
};
