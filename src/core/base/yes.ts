import { type Result, fail, ok, problem, quoted } from './result';

const YES = /^(?:y|yes|x|1|true)$/i;
const NO = /^(?:n|no|0|false)$/i;

/**
 * A cell that says yes or no; an empty one says `blank`.
 *
 * @example readYes(' No ', 'active', true) // { ok: true, value: false }
 */
export const readYes = (typed: string, column: string, blank: boolean): Result<boolean> => {
  const text = typed.trim();
  if (text === '') return ok(blank);
  if (YES.test(text)) return ok(true);
  return NO.test(text) ? ok(false) : fail(problem('cell.yes', `${quoted(typed)} is neither yes nor no.`, column));
};
