'use server';

import { createHash } from 'node:crypto';
import { z } from 'zod';
import { NUMBER_STYLES } from '@/core/money/number-style';
import type { TextFormat } from '@/core/files/cells';
import { MOST_ROWS } from '@/core/files/limits';
import { DELIMITERS, ENCODINGS, QUOTES } from '@/core/files/formats';
import { ARRANGEMENTS } from '@/core/papers/arrange';
import { COLUMN_ROLES } from '@/core/papers/header';
import { CONVENTIONS } from '@/core/papers/reading';
import { fail, ok, problem } from '@/core/result';
import { chartOf } from '@/store/chart';
import { record } from '@/store/history';
import { deletePaper, insertPaper, paperWithHash, saveReading } from '@/store/papers';
import { booksAction, fileAction } from './action';
import { reading } from './context';
import { fileContent, fileName } from './inputs';
import { proposalFor, readStored } from './paper-reading';
import { findOpen, paperId, standsIn } from './open-paper';

/** Stores a paper unchanged, once it reads. The same bytes brought twice lead to the paper that is there. */
export const bringPaper = fileAction(
  'bringPaper',
  { name: fileName, content: fileContent },
  (_, { content, name }) =>
    () =>
      reading().read('check', { bytes: content, name }),
  async ({ tx, books, actor, now }, input) => {
    const sha256 = createHash('sha256').update(input.content).digest('hex');
    const known = await paperWithHash(tx, books.id, sha256);
    if (known !== undefined) return ok({ paper: known, known: true });
    const paper = await insertPaper(tx, books.id, input.name, sha256, input.content, actor.person, now);
    await record(tx, books.id, 'paper', [paper], `${input.name} brought`, actor.person, now);
    return ok({ paper, known: false });
  },
);

/** Another sheet, header row, or way to take the text apart: everything after it is recognised anew. */
export const readFrom = booksAction(
  'readFrom',
  {
    paper: paperId,
    sheet: z.int().min(0).max(1000),
    header: z.int().min(-1).max(MOST_ROWS).optional(),
    /** How its table lies; null for as it stands, where not said as is likeliest. */
    arrangement: z.enum(ARRANGEMENTS).nullable().optional(),
    format: z
      .object({ encoding: z.enum(ENCODINGS), delimiter: z.enum(DELIMITERS), quote: z.enum(QUOTES) })
      .partial()
      .optional(),
  },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const format: Partial<TextFormat> = { ...paper.value.reading?.format, ...said(input.format ?? {}) };
    const chart = await chartOf(context.tx, context.books.id);
    const read = await proposalFor(context, paper.value, chart, format, input.sheet, input.header, input.arrangement);
    if (!read.ok) return read;
    if (input.sheet >= read.value.sheets.length || (input.header ?? 0) >= read.value.height)
      return fail(problem('paper.no-such-row', 'This paper has no such sheet or row.'));
    const { reading } = read.value.recognition;
    await saveReading(
      context.tx,
      context.books.id,
      input.paper,
      Object.keys(format).length === 0 ? reading : { ...reading, format },
      {},
    );
    return ok({});
  },
);

/** Columns, number style, sign or single rows read another way. */
export const readAs = booksAction(
  'readAs',
  {
    paper: paperId,
    change: z
      .object({
        columns: z.array(z.enum(COLUMN_ROLES)).max(100),
        style: z.enum(NUMBER_STYLES),
        convention: z.enum(CONVENTIONS),
        /** Noughts that the amounts are written without; nought for single units. */
        scale: z.literal([0, 3, 6]),
        asAccount: z.record(z.string().regex(/^\d{1,6}$/), z.boolean()),
      })
      .partial(),
  },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const { reading } = (
      await readStored(context, paper.value, await chartOf(context.tx, context.books.id), await standsIn(context))
    ).sheet.recognition;
    const { columns, style, convention, scale, asAccount } = input.change;
    const { scale: was, ...unscaled } = reading;
    const inUnits = scale === undefined ? was : scale === 0 ? undefined : scale;
    const next = {
      ...unscaled,
      ...(inUnits === undefined ? {} : { scale: inUnits }),
      ...(style === undefined ? {} : { style }),
      ...(convention === undefined ? {} : { convention }),
      ...(columns === undefined
        ? {}
        : {
            columns,
            convention:
              convention ??
              (columns.includes('balance') && !columns.includes('side') && reading.convention === 'written'
                ? ('debit-positive' as const)
                : reading.convention),
          }),
      ...(asAccount === undefined ? {} : { asAccount: { ...reading.asAccount, ...asAccount } }),
    };
    await saveReading(context.tx, context.books.id, input.paper, next, paper.value.decisions);
    return ok({});
  },
);

/** Only what was said: an optional field of an input may be there as undefined. */
const said = (given: { readonly [K in keyof TextFormat]?: TextFormat[K] | undefined }): Partial<TextFormat> =>
  Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined));

/** Removes a paper that nothing was taken from. */
export const removePaper = booksAction('removePaper', { paper: paperId }, async (context, input) => {
  const paper = await findOpen(context, input.paper);
  if (!paper.ok) return paper;
  if (paper.value.takenAt !== null)
    return fail(
      problem(
        'paper.taken',
        `${paper.value.name} stands behind opening balances, so it is kept. Undo its take-over first.`,
      ),
    );
  if (!(await deletePaper(context.tx, context.books.id, input.paper)))
    return fail(
      problem(
        'paper.in-history',
        `Figures were once taken from ${paper.value.name}, and their history names it, so it is kept.`,
      ),
    );
  return ok({});
});
