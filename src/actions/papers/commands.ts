'use server';

import { z } from 'zod';
import { NUMBER_STYLES } from '@/core/money/number-style';
import type { TextFormat } from '@/core/base/table';
import { MOST_ROWS } from '@/core/files/limits';
import { DELIMITERS, ENCODINGS, QUOTES } from '@/core/files/formats';
import { LIKENESSES, rowsLike } from '@/core/papers/alike';
import { ARRANGEMENTS } from '@/core/papers/arrange';
import { choose } from '@/core/papers/chosen';
import { COLUMN_ROLES } from '@/core/papers/header';
import { CONVENTIONS, type Chosen } from '@/core/papers/reading';
import { mayBeTable, mediaOf } from '@/core/files/media';
import { fail, ok, plural, problem } from '@/core/base/result';
import { writeDecisions } from '@/store/paper-decisions';
import { evidenceWith } from '@/store/evidence';
import { deletePaper, paperWithHash, saveReading } from '@/store/papers';
import { standingChart } from '../frame/held-chart';
import { booksAction, fileAction } from '../kernel/action';
import { fileContent, fileName } from '../kernel/inputs';
import { firstReading, keepFirst, proposalAround, proposalFor, readStored } from './reading';
import { hashOf, keepFile } from './keep';
import { findOpen, paperId, standsIn } from './open';

/**
 * Stores a paper unchanged, once it reads. One to look at, and any that somebody wants to keep as it is, is not read. The same bytes
 * brought twice lead to the paper that is there.
 */
export const bringPaper = fileAction(
  'bringPaper',
  'papers.change',
  {
    name: fileName,
    content: fileContent,
    /** To keep it as it is, whether it could be read or not. */
    keep: z.boolean().default(false),
    /** Of the request that brings it: a paper given up while it was read is not stored. */
    signal: z.instanceof(AbortSignal).optional(),
  },
  async (context, { content, name, keep }) => {
    if (keep || !mayBeTable(mediaOf(content))) return () => Promise.resolve(ok(undefined));
    const known = await paperWithHash(context.tx, context.books.id, hashOf(content));
    return known === undefined ? firstReading(context, name, content) : () => Promise.resolve(ok(undefined));
  },
  async (context, { name, content, keep, signal }, first) => {
    if (signal?.aborted === true) return fail(problem('paper.cancelled', `${name} was given up before it was stored.`));
    const kept = await keepFile(context, { name, content, kept: keep || !mayBeTable(mediaOf(content)) });
    if (!kept.known && first !== undefined) keepFirst(context.books.id, kept.paper, first);
    return ok(kept);
  },
);

/** Another sheet, header row, or way to take the text apart: everything after it is recognised anew. */
export const readFrom = booksAction(
  'readFrom',
  'papers.change',
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
    const format: Partial<TextFormat> = { ...paper.value.reading?.format, ...said<TextFormat>(input.format ?? {}) };
    const chart = await standingChart(context);
    const read = await proposalFor(context, paper.value, chart, format, input.sheet, input.header, input.arrangement);
    if (!read.ok) return read;
    if (input.sheet >= read.value.sheets.length || (input.header ?? 0) >= read.value.height)
      return fail(problem('paper.no-such-row', 'This paper has no such sheet or row.'));
    const { reading } = read.value.recognition;
    const next = Object.keys(format).length === 0 ? reading : { ...reading, format };
    // Another reading has other rows.
    const none = new Map([...paper.value.decisions.keys()].map((row) => [row, null]));
    context.changes.about({ name: paper.value.name });
    context.changes.add([
      await saveReading(context.tx, context.books.id, paper.value, next),
      await writeDecisions(context.tx, context.books.id, paper.value, none),
    ]);
    return ok({});
  },
);

/** Columns, number style, sign or single rows read another way; all that nobody chose is inferred again around it. */
export const readAs = booksAction(
  'readAs',
  'papers.change',
  {
    paper: paperId,
    change: z
      .object({
        /** What columns hold, by their index. */
        columns: z.record(z.string().regex(/^\d{1,2}$/), z.enum(COLUMN_ROLES)),
        style: z.enum(NUMBER_STYLES),
        convention: z.enum(CONVENTIONS),
        /** Noughts that the amounts are written without; nought for single units. */
        scale: z.literal([0, -2, 3, 6]),
      })
      .partial(),
  },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const chart = await standingChart(context);
    const stored = await readStored(context, paper.value, chart, await standsIn(context));
    const { reading } = stored.sheet.recognition;
    // What was taken from another paper of this shape was chosen there.
    const { columns, style, convention } = reading;
    const before =
      reading.chosen ??
      (stored.likePaper === null ? {} : { columns: Object.fromEntries(columns.entries()), style, convention });
    const read = await proposalAround(context, paper.value, chart, {
      ...reading,
      chosen: choose(before, said<Chosen>(input.change)),
    });
    if (!read.ok) return read;
    const { format } = reading;
    const next = read.value.recognition.reading;
    context.changes.about({ name: paper.value.name });
    context.changes.add([
      await saveReading(context.tx, context.books.id, paper.value, format === undefined ? next : { ...next, format }),
    ]);
    return ok({});
  },
);

/**
 * Reads a row, or all rows like it, as an account or as none, whatever it looks like; null leaves it to what it looks like
 * again. Says how many rows that were.
 */
export const readRows = booksAction(
  'readRows',
  'papers.change',
  {
    paper: paperId,
    row: z.int().positive().max(MOST_ROWS),
    like: z.enum(LIKENESSES).optional(),
    as: z.boolean().nullable(),
  },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const chart = await standingChart(context);
    const { reading, rows } = (await readStored(context, paper.value, chart, await standsIn(context))).sheet
      .recognition;
    const row = rows[input.row - 1];
    if (row === undefined) return fail(problem('paper.no-such-row', 'This paper has no such sheet or row.'));
    const keys = new Set(
      (input.like === undefined ? [row.row] : rowsLike(rows, row, input.like)).map((one) => String(one - 1)),
    );
    const { as } = input;
    const asAccount = Object.fromEntries([
      ...Object.entries(reading.asAccount).filter(([key]) => !keys.has(key)),
      ...(as === null ? [] : [...keys].map((key) => [key, as] as const)),
    ]);
    context.changes.about({ name: paper.value.name });
    context.changes.add([await saveReading(context.tx, context.books.id, paper.value, { ...reading, asAccount })]);
    return ok({ rows: keys.size });
  },
);

/** Only what was said: an optional field of an input may be there as undefined. */
const said = <T extends object>(given: { readonly [K in keyof T]?: T[K] | undefined }): Partial<T> =>
  Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined)) as Partial<T>;

/** Removes a paper that nothing was taken from. */
export const removePaper = booksAction('removePaper', 'papers.change', { paper: paperId }, async (context, input) => {
  const paper = await findOpen(context, input.paper);
  if (!paper.ok) return paper;
  if (paper.value.takenAt !== null)
    return fail(
      problem(
        'paper.taken',
        `${paper.value.name} stands behind opening balances, so it is kept. Undo its take-over first.`,
      ),
    );
  const attached = await evidenceWith(context.tx, context.books.id, paper.value.id);
  if (attached.length > 0)
    return fail(
      problem(
        'paper.attached',
        `${paper.value.name} is attached in ${plural(attached.length, 'place')} as evidence, so it is kept. Its page says where; take it off there first.`,
      ),
    );
  if (!(await deletePaper(context.tx, context.books.id, input.paper)))
    return fail(
      problem(
        'paper.in-history',
        `Figures or items were once taken from ${paper.value.name}, and their history names it, so it is kept.`,
      ),
    );
  return ok({});
});
