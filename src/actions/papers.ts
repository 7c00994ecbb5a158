'use server';

import { createHash } from 'node:crypto';
import { z } from 'zod';
import { type Account, PLAIN_ACCOUNT, accountId, accountProblems, called, chartIndex } from '@/core/chart/account';
import { CLASS_IDS, typeOf } from '@/core/chart/classes';
import { minorDigits } from '@/core/money/currency';
import { NUMBER_STYLES } from '@/core/money/number-style';
import { type Minor, NIL, add } from '@/core/money/minor';
import { type Creation, type DecidedRow, proposeCreations } from '@/core/openings/takeover';
import { MOST_BYTES, MOST_ROWS } from '@/core/papers/cells';
import { COLUMN_ROLES, CONVENTIONS } from '@/core/papers/recognise';
import { readPaper } from '@/core/papers/read';
import { type Problem, type Result, fail, ok, plural, problem } from '@/core/result';
import { chartOf } from '@/store/chart';
import { record } from '@/store/history';
import { type Writing, batchChanges, currentSet, linesOf, lockLines, sourcesOf, writeLines } from '@/store/openings';
import {
  type OpenPaper,
  deletePaper,
  findPaper,
  insertPaper,
  paperWithHash,
  saveReading,
  untake,
  writeRows,
} from '@/store/papers';
import { type BooksContext, booksAction } from './action';
import { carryOut } from './chart-edits';
import { proposalFor, readStored, tablesOf } from './paper-reading';

/** What a file is called, without a path that a browser or a person put before it. */
const fileName = z
  .string()
  .transform(
    (name) =>
      name
        .split(/[\\/]/)
        .at(-1)
        ?.replace(/\p{Cc}/gu, '')
        .slice(0, 150) ?? '',
  )
  .pipe(z.string().min(1, 'The file has no name.'));

/** Stores a paper unchanged, once it reads. The same bytes brought twice lead to the paper that is there. */
export const bringPaper = booksAction(
  'bringPaper',
  {
    name: fileName,
    content: z.custom<Uint8Array>(
      (value) => value instanceof Uint8Array && value.length <= MOST_BYTES,
      `The file is larger than ${MOST_BYTES / 1024 / 1024} MB, which is the most that is taken.`,
    ),
  },
  async ({ tx, books, actor, now }, input) => {
    const read = readPaper(input.content, input.name);
    if (!read.ok) return read;
    const sha256 = createHash('sha256').update(input.content).digest('hex');
    const known = await paperWithHash(tx, books.id, sha256);
    if (known !== undefined) return ok({ paper: known, known: true });
    const paper = await insertPaper(tx, books.id, input.name, sha256, input.content, actor.person, now);
    await record(tx, books.id, 'paper', [paper], `${input.name} brought`, actor.person, now);
    return ok({ paper, known: false });
  },
);

const paperId = z.int().positive();
const unknownPaper = fail(
  problem('paper.unknown', 'This paper is not in these books any more. Go back to the papers.'),
);

const findOpen = async ({ tx, books }: BooksContext, id: number): Promise<Result<OpenPaper>> => {
  const paper = await findPaper(tx, books.id, id);
  return paper === undefined ? unknownPaper : ok(paper);
};

/** Another sheet or header row: the columns are recognised anew from there. */
export const readFrom = booksAction(
  'readFrom',
  { paper: paperId, sheet: z.int().min(0), header: z.int().min(-1) },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const tables = tablesOf(context.books.id, paper.value);
    const table = tables[input.sheet];
    if (table === undefined || input.header >= table.rows.length)
      return fail(problem('paper.no-such-row', 'This paper has no such sheet or row.'));
    const reading = proposalFor(tables, input.sheet, input.header, minorDigits(context.books.currency));
    await saveReading(context.tx, context.books.id, input.paper, reading, {});
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
        asAccount: z.record(z.string().regex(/^\d{1,6}$/), z.boolean()),
      })
      .partial(),
  },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const { reading } = readStored(
      context.books.id,
      paper.value,
      [],
      new Map(),
      minorDigits(context.books.currency),
    ).recognition;
    const { columns, style, convention, asAccount } = input.change;
    const next = {
      ...reading,
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

const id = z.int().positive().transform(accountId);
const decision = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('account'), account: id }),
  z.object({
    kind: z.literal('create'),
    code: z.string().trim(),
    name: z.string().trim(),
    classification: z.enum(CLASS_IDS),
    parent: id.nullable(),
  }),
  z.object({
    kind: z.literal('leave-out'),
    reason: z.string().trim().min(3, 'Say in a few words why the row is left out.').max(300),
  }),
]);

/** Decides about rows of a paper, or (null) takes a decision back. */
export const decideRows = booksAction(
  'decideRows',
  { paper: paperId, rows: z.array(z.int().positive()).min(1).max(MOST_ROWS), decision: decision.nullable() },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const { tx, books } = context;
    const chart = await chartOf(tx, books.id);
    const { recognition } = readStored(books.id, paper.value, chart, new Map(), minorDigits(books.currency));
    const decisions = { ...paper.value.decisions };
    for (const row of input.rows) {
      // Taking a decision back leaves the proposal standing, also when there is none.
      if (input.decision === null) Reflect.deleteProperty(decisions, String(row));
      else decisions[String(row)] = input.decision;
    }
    if (input.decision?.kind === 'create') {
      const wrong = newAccountProblems(
        input.decision,
        chart,
        Object.entries(decisions).flatMap(([row, other]) =>
          other.kind === 'create' && !input.rows.includes(Number(row)) ? [other.code] : [],
        ),
      );
      if (wrong.length > 0) return fail(...wrong);
    }
    await saveReading(tx, books.id, input.paper, recognition.reading, decisions);
    return ok({});
  },
);

const newAccountProblems = (
  made: Creation,
  chart: readonly Account[],
  othersToCreate: readonly string[],
): readonly Problem[] => [
  ...accountProblems({ ...PLAIN_ACCOUNT, ...made }, chartIndex(chart)),
  ...(othersToCreate.some((code) => code.toLowerCase() === made.code.toLowerCase())
    ? [
        problem(
          'account.code-taken',
          `Code ${made.code} is already given to another account that this paper will create.`,
          'code',
        ),
      ]
    : []),
];

/** Decides at once that every row still undecided gets an account of its own, as proposed; each can be changed before the take-over. */
export const createUndecided = booksAction('createUndecided', { paper: paperId }, async (context, input) => {
  const paper = await findOpen(context, input.paper);
  if (!paper.ok) return paper;
  const { tx, books } = context;
  const chart = await chartOf(tx, books.id);
  const { recognition, plan } = readStored(books.id, paper.value, chart, new Map(), minorDigits(books.currency));
  const proposals = proposeCreations(plan, chart);
  const decisions = { ...paper.value.decisions };
  for (const { row } of plan.undecided) {
    const proposal = proposals.get(row.row);
    if (proposal !== undefined) decisions[String(row.row)] = proposal;
  }
  await saveReading(tx, books.id, input.paper, recognition.reading, decisions);
  return ok({ decided: plan.undecided.length });
});

/** Carries the plan of a paper out: creates accounts, writes figures, keeps which row went where. All of it or nothing. */
export const takeOver = booksAction('takeOver', { paper: paperId }, async (context, input) => {
  const { tx, books, actor, now, newId } = context;
  const paper = await findOpen(context, input.paper);
  if (!paper.ok) return paper;
  const set = await currentSet(tx, books.id);
  if (set?.state !== 'draft')
    return fail(
      problem(
        'openings.posted',
        'The opening balances are posted. Open a correction on the Sign-off page, then take the paper over.',
      ),
    );
  const chart = await chartOf(tx, books.id);
  const stands = new Map((await linesOf(tx, books.id, set.id)).map((line) => [line.account, line.amount]));
  const { plan } = readStored(books.id, paper.value, chart, stands, minorDigits(books.currency));
  if (plan.rows.length === 0)
    return fail(
      problem('paper.no-accounts', 'No row of this paper is read as an account. Check the header row and the columns.'),
    );
  const problems = [
    ...plan.problems,
    ...plan.create.flatMap(({ row, decision: made }, at) =>
      newAccountProblems(
        made,
        chart,
        plan.create.slice(0, at).map((other) => other.decision.code),
      ).map((one) => ({ ...one, field: `row-${row}` })),
    ),
  ];
  if (problems.length > 0) return fail(...problems);

  const added = plan.create.map(({ row, decision: { code, name, classification, parent } }) => ({
    row,
    edit: {
      kind: 'add' as const,
      id: accountId(-row),
      account: {
        ...PLAIN_ACCOUNT,
        code,
        name,
        classification,
        parent,
        role: typeOf(classification) === 'asset' && /\bbank\b/i.test(name) ? ('bank' as const) : null,
        origin: paper.value.name.slice(0, 300),
      },
    },
  }));
  const made = await carryOut(
    context,
    added.map(({ edit }) => edit),
  );
  if (!made.ok) return made;
  const createdAt = new Map(added.map(({ row, edit }) => [row, made.value.ids.get(edit.id)]));

  const target = (decided: DecidedRow) =>
    decided.decision?.kind === 'account' ? decided.decision.account : createdAt.get(decided.row.row);
  const amounts = new Map<Account['id'], Minor>(plan.amounts);
  for (const decided of plan.rows) {
    const account = createdAt.get(decided.row.row);
    if (account !== undefined && decided.row.amount !== 0n)
      amounts.set(account, add(amounts.get(account) ?? NIL, decided.row.amount));
  }
  const writings = [...amounts].map(([account, amount]): Writing => ({
    account,
    amount,
    from: stands.get(account) ?? null,
    source: 'paper',
    paper: paper.value.id,
  }));
  const batch = newId();
  await writeLines(tx, books.id, set.id, writings, batch, actor.person, now);
  await writeRows(
    tx,
    books.id,
    paper.value.id,
    plan.rows.flatMap((decided) => {
      const reason =
        decided.decision?.kind === 'leave-out'
          ? decided.decision.reason
          : decided.decision === undefined
            ? 'nil, and no account for it'
            : null;
      return [
        {
          row: decided.row.row,
          text: decided.row.text,
          amount: decided.row.amount,
          account: reason === null ? (target(decided) ?? null) : null,
          reason,
        },
      ];
    }),
    now,
  );
  await record(
    tx,
    books.id,
    'openings',
    [set.id],
    `${plural(writings.length, 'figure')} taken from ${paper.value.name}${
      added.length > 0
        ? `, ${plural(added.length, 'account')} created (${plan.create
            .map((one) => called(one.decision))
            .slice(0, 5)
            .join(', ')}${added.length > 5 ? ', …' : ''})`
        : ''
    }`,
    actor.person,
    now,
  );
  return ok({ batch, figures: writings.length, created: added.length });
});

/** Takes a take-over back: figures return to what they were where nobody changed them since; created accounts stay. */
export const undoTakeOver = booksAction('undoTakeOver', { paper: paperId, batch: z.uuid() }, async (context, input) => {
  const { tx, books, actor, now, newId } = context;
  const set = await currentSet(tx, books.id);
  if (set?.state !== 'draft')
    return fail(problem('openings.posted', 'The opening balances are posted, so the take-over stays.'));
  const changes = await batchChanges(tx, books.id, input.batch);
  const stored = await lockLines(
    tx,
    books.id,
    set.id,
    changes.map((change) => change.account),
  );
  const origins = await sourcesOf(
    tx,
    books.id,
    set.id,
    changes.map((change) => ({ account: change.account, amount: change.from })),
  );
  const writings = changes.flatMap((change): Writing[] =>
    (stored.get(change.account)?.amount ?? null) === change.to
      ? [
          {
            account: change.account,
            amount: change.from,
            from: change.to,
            source: 'typed',
            paper: null,
            ...origins.get(change.account),
          },
        ]
      : [],
  );
  await writeLines(tx, books.id, set.id, writings, newId(), actor.person, now);
  await untake(tx, books.id, input.paper);
  await record(
    tx,
    books.id,
    'openings',
    [set.id],
    `take-over undone: ${plural(writings.length, 'figure')} put back`,
    actor.person,
    now,
  );
  return ok({ undone: writings.length, kept: changes.length - writings.length });
});

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
