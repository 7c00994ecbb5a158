import { type Problem, type Result, fail, ok, problem } from '../base/result';
import { dated, say } from '../base/sentence';
import { type DatedRate, rateTold } from './rate';
import { doubtOf, rateBook } from './rate-book';

type Given = Omit<DatedRate, 'source'>;

/** What becomes of one row of a sheet of rates. */
export interface RateEdit {
  /** As it was when it was last seen; null for a new one. */
  readonly was: Given | null;
  /** As it is to be; null deletes it. Who wants it although it is questioned is `sure`. */
  readonly rate: (Given & { readonly sure: boolean }) | null;
}

/** Nils behind the last digit are no difference. */
const sameRate = (a: Given, b: Given): boolean =>
  a.date === b.date &&
  a.unit === b.unit &&
  a.rate.coefficient * 10n ** BigInt(b.rate.scale) === b.rate.coefficient * 10n ** BigInt(a.rate.scale);

/**
 * What is deleted and what is written for edits of the rates of one pair, all of them or none: one that somebody changed since it was
 * seen stays, a day has one rate, and a changed one is doubted beside the others as they will stand. Each problem stands under the
 * place of its edit. A rate that is typed comes from nowhere else; one that stays as it is keeps its source.
 */
export const settleRates = (
  known: readonly DatedRate[],
  edits: readonly RateEdit[],
): Result<{ readonly gone: readonly DatedRate[]; readonly put: readonly DatedRate[] }> => {
  const byDay = new Map(known.map((rate) => [rate.date, rate]));
  const after = new Map(byDay);
  const problems: Problem[] = [];
  edits.forEach(({ was }, place) => {
    if (was === null) return;
    const stands = byDay.get(was.date);
    if (stands === undefined)
      problems.push(
        problem(
          'rate.gone',
          say`The rate of ${dated(was.date)} was deleted meanwhile. Load the page again.`,
          place,
          'date',
        ),
      );
    else if (!sameRate(stands, was))
      problems.push(
        problem(
          'rate.changed',
          say`The rate of ${dated(was.date)} was changed meanwhile by somebody else: ${rateTold(stands)}. Load the page again.`,
          place,
          'rate',
        ),
      );
    after.delete(was.date);
  });
  const put: DatedRate[] = [];
  edits.forEach(({ was, rate }, place) => {
    if (rate === null) return;
    const taken = after.get(rate.date);
    if (taken !== undefined) {
      problems.push(
        problem(
          'rate.day-taken',
          say`${dated(rate.date)} has a rate already: ${rateTold(taken)}. Change that one.`,
          place,
          'date',
        ),
      );
      return;
    }
    const { sure: _, ...given } = rate;
    const stays = was !== null && sameRate(was, rate);
    const made = { ...given, source: (stays ? byDay.get(was.date)?.source : undefined) ?? 'typed' };
    after.set(rate.date, made);
    if (!stays) put.push(made);
  });
  const book = rateBook(after.values());
  edits.forEach(({ was, rate }, place) => {
    if (rate === null || rate.sure || (was !== null && sameRate(was, rate))) return;
    const doubt = doubtOf(book, { ...rate, source: 'typed' });
    if (doubt !== undefined) problems.push(problem(doubt.code, doubt.says, place, 'rate'));
  });
  if (problems.length > 0) return fail(...problems);
  return ok({ gone: [...byDay.values()].filter(({ date }) => !after.has(date)), put });
};
