import { isoDay } from '@/actions/kernel/inputs';
import { z } from 'zod';
import { fail, ok, problem, quoted, under } from '@/core/base/result';
import {
  ANALYSIS_LISTS,
  type CodeFields,
  LONGEST_CODE,
  LONGEST_CODE_NAME,
  blankCode,
  codeProblems,
  codeTitle,
} from '@/core/schedules/analysis';
import { type CodeWriting, codesInUse, codesOf, writeCodes } from '@/store/analysis';
import { booksAction } from '../kernel/action';
import { distinctRows, id, text } from '../kernel/inputs';
import { revision } from './schemas';

const codeFields = z.object({
  list: z.literal(ANALYSIS_LISTS),
  code: text(LONGEST_CODE).trim(),
  name: text(LONGEST_CODE_NAME).trim(),
  from: isoDay().nullable(),
  to: isoDay().nullable(),
  active: z.boolean(),
});

/** Saves analysis codes that were typed, pasted or deleted: all of them or none. One that items bear is not deleted. */
export const saveCodes = booksAction(
  'saveCodes',
  'openings.change',
  {
    entries: z
      .array(z.object({ id: id.nullable(), revision, /** Null deletes it. */ code: codeFields.nullable() }))
      .min(1)
      .max(5000, 'Five thousand codes at once are the most.')
      .superRefine(distinctRows('A code')),
  },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    if (!books.facts.parts.includes('dimensions'))
      return fail(
        problem('analysis.off', 'Cost centres and projects are not in use here. Switch them on on the Company page.'),
      );
    const stands = new Map((await codesOf(tx, books.id)).map((code) => [code.id, code]));
    const used = input.entries.some(({ code }) => code === null) ? await codesInUse(tx, books.id) : new Set();
    const touched = new Set(input.entries.map((entry) => entry.id));
    const others: CodeFields[] = [...stands.values()].filter((one) => !touched.has(one.id));
    const wrong = input.entries.flatMap((entry, place) => {
      const was = entry.id === null ? undefined : stands.get(entry.id);
      const title = codeTitle(was ?? blankCode(1));
      if (entry.id !== null && was === undefined)
        return [problem('analysis.gone', 'This code was deleted meanwhile. Load the page again.', place)];
      if (was !== undefined && was.revision !== entry.revision)
        return [
          problem('analysis.changed', `${title} was changed meanwhile by somebody else. Load the page again.`, place),
        ];
      if (entry.code === null)
        return entry.id !== null && used.has(entry.id)
          ? [
              problem(
                'analysis.used',
                `Items bear ${quoted(title)}, so it is kept. Say “no” under “In use”; it is then offered no more.`,
                place,
              ),
            ]
          : [];
      if (was !== undefined && was.list !== entry.code.list)
        return [problem('analysis.list', `${quoted(title)} stays in its list. Add a code to the other one.`, place)];
      const problems = codeProblems(entry.code, others).map((one) => under(one, place));
      others.push(entry.code);
      return problems;
    });
    if (wrong.length > 0) return fail(...wrong);
    const { written, changes } = await writeCodes(
      tx,
      books.id,
      input.entries.map(({ id: own, code }): CodeWriting => ({ id: own, code })),
      stands,
      actor.person,
      now,
    );
    context.changes.add(changes);
    return ok({ rows: written });
  },
);
