'use server';

import { createHash } from 'node:crypto';
import { z } from 'zod';
import {
  type Account,
  type AccountId,
  type ChartIndex,
  PLAIN_ACCOUNT,
  accountId,
  accountProblems,
  called,
  chartIndex,
} from '@/core/chart/account';
import { contraByName } from '@/core/chart/infer';
import { CLASS_IDS, typeOf } from '@/core/chart/classes';
import { NUMBER_STYLES } from '@/core/money/number-style';
import { type Minor, NIL, add, onSide, sideOf, sum } from '@/core/money/minor';
import { type Creation, type Decision, headingsFor, partsOf } from '@/core/openings/takeover';
import type { Part } from '@/core/openings/foreign';
import { sameParts } from '@/core/openings/in-currency';
import type { Remembered } from '@/core/openings/match';
import type { TextFormat } from '@/core/files/cells';
import { MOST_ROWS } from '@/core/files/limits';
import { DELIMITERS, ENCODINGS, QUOTES } from '@/core/files/formats';
import { ARRANGEMENTS } from '@/core/papers/arrange';
import { COLUMN_ROLES } from '@/core/papers/header';
import { CONVENTIONS } from '@/core/papers/reading';
import { type Problem, type Result, fail, ok, plural, problem } from '@/core/result';
import { chartOf } from '@/store/chart';
import { record } from '@/store/history';
import {
  batchChanges,
  currentAmounts,
  currentSet,
  forgetChanges,
  lockLines,
  sourcesOf,
  writeLines,
  type Writing,
} from '@/store/openings';
import {
  type OpenPaper,
  type TakenRow,
  deleteTakeOver,
  madeByTakeOver,
  deletePaper,
  findPaper,
  insertPaper,
  lastTakeOver,
  paperWithHash,
  remember,
  rememberShape,
  saveReading,
  takeOverByKey,
  writeTakeOver,
} from '@/store/papers';
import { type BooksContext, booksAction, fileAction } from './action';
import { carryOut } from './chart-edits';
import { reading } from './context';
import { fileContent, fileName, id, text, units } from './inputs';
import { proposalFor, readStored } from './paper-reading';

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

const paperId = id;
const unknownPaper = fail(
  problem('paper.unknown', 'This paper is not in these books any more. Go back to the papers.'),
);

const findOpen = async ({ tx, books }: BooksContext, id: number): Promise<Result<OpenPaper>> => {
  const paper = await findPaper(tx, books.id, id);
  return paper === undefined ? unknownPaper : ok(paper);
};

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

const account = id.transform(accountId);
const decision = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('account'), account }),
  z.object({
    kind: z.literal('create'),
    code: text(200).trim(),
    name: text(1000).trim(),
    classification: z.enum(CLASS_IDS),
    parent: account.nullable(),
  }),
  z.object({
    kind: z.literal('split'),
    parts: z
      .array(z.object({ account, amount: units }))
      .min(2, 'A row is divided among at least two accounts.')
      .max(50, 'A row is divided among at most 50 accounts.')
      .readonly(),
  }),
  z.object({
    kind: z.literal('leave-out'),
    reason: text(300).trim().min(3, 'Say in a few words why the row is left out.'),
  }),
]);

/** What stands on the accounts, as the paper's page knows it. */
const standsIn = async ({ tx, books }: BooksContext): Promise<ReadonlyMap<AccountId, Minor>> =>
  (await currentAmounts(tx, [books.id])).get(books.id)?.amounts ?? new Map();

/** Decides about rows of a paper, or (null) takes a decision back; says which row waits next. */
export const decideRows = booksAction(
  'decideRows',
  {
    paper: paperId,
    rows: z.array(z.int().positive().max(MOST_ROWS)).min(1).max(MOST_ROWS),
    decision: decision.nullable(),
  },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const { tx, books } = context;
    const chart = await chartOf(tx, books.id);
    const stands = await standsIn(context);
    const {
      sheet: { recognition },
      plan,
    } = await readStored(context, paper.value, chart, stands);
    const rows = new Set(input.rows);
    if (input.decision?.kind === 'split') {
      const wrong = splitProblems(
        input.decision,
        plan.rows.filter(({ row }) => rows.has(row.row)).map(({ row }) => row.amount),
      );
      if (wrong.length > 0) return fail(...wrong);
    }
    const decisions = { ...paper.value.decisions };
    for (const row of input.rows) {
      // Taking a decision back leaves the proposal standing, also when there is none.
      if (input.decision === null) Reflect.deleteProperty(decisions, String(row));
      else decisions[String(row)] = input.decision;
    }
    if (input.decision?.kind === 'create') {
      const wrong = newAccountProblems(
        input.decision,
        chartIndex(chart),
        new Set(
          Object.entries(decisions).flatMap(([row, other]) =>
            other.kind === 'create' && !rows.has(Number(row)) ? [other.code.toLowerCase()] : [],
          ),
        ),
      );
      if (wrong.length > 0) return fail(...wrong);
    }
    await saveReading(tx, books.id, input.paper, recognition.reading, decisions);
    const last = Math.max(0, ...input.rows.slice(-1));
    const waiting = plan.undecided.filter(({ row }) => !rows.has(row.row));
    const next = waiting.find(({ row }) => row.row > last) ?? waiting[0];
    return ok({ next: next?.row.row ?? null });
  },
);

/** The parts of one row, on different accounts, come to its amount. */
const splitProblems = (
  { parts }: Extract<Decision, { kind: 'split' }>,
  amounts: readonly Minor[],
): readonly Problem[] => {
  const [whole] = amounts;
  if (whole === undefined || amounts.length > 1)
    return [problem('paper.split-one', 'Only one row is divided at a time.', 'parts')];
  if (new Set(parts.map(({ account }) => account)).size < parts.length)
    return [problem('paper.split-same', 'Two parts go to the same account; put them together.', 'parts')];
  const total = sum(parts.map(({ amount }) => amount));
  return total === whole
    ? []
    : [problem('paper.split-differs', 'The parts do not come to the amount of the row.', 'parts')];
};

/** Only what was said: an optional field of an input may be there as undefined. */
const said = (given: { readonly [K in keyof TextFormat]?: TextFormat[K] | undefined }): Partial<TextFormat> =>
  Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined));

/** `othersToCreate` are the codes, in lower case, of accounts that the paper will make besides this one. */
const newAccountProblems = (
  made: Creation,
  chart: ChartIndex,
  othersToCreate: ReadonlySet<string>,
): readonly Problem[] => [
  ...accountProblems({ ...PLAIN_ACCOUNT, ...made }, chart),
  ...(othersToCreate.has(made.code.toLowerCase())
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
  const {
    sheet: { recognition },
    plan,
    proposals: propose,
  } = await readStored(context, paper.value, chart, await standsIn(context));
  const proposals = propose();
  const decisions = { ...paper.value.decisions };
  for (const { row } of plan.undecided) {
    const proposal = proposals.get(row.row);
    if (proposal !== undefined) decisions[String(row.row)] = proposal;
  }
  await saveReading(tx, books.id, input.paper, recognition.reading, decisions);
  return ok({ decided: plan.undecided.length });
});

/** Carries the plan of a paper out: creates accounts, writes figures, keeps which row went where. All of it or nothing. */
export const takeOver = booksAction('takeOver', { paper: paperId, key: z.uuid() }, async (context, input) => {
  const { tx, books, actor, now, newId } = context;
  // Sent twice, by a second press or because the answer was lost, it is done once and answered twice.
  const done = await takeOverByKey(tx, books.id, input.key);
  if (done !== undefined) return ok({ batch: done.batch, figures: done.figures, created: done.created });
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
  if ((await lastTakeOver(tx, books.id, input.paper))?.set === set.id)
    return fail(
      problem(
        'paper.taken-already',
        `${paper.value.name} is taken over already. Undo that on its page first, then take it over anew.`,
      ),
    );
  const chart = await chartOf(tx, books.id);
  const stands = await standsIn(context);
  const { plan, sheet } = await readStored(context, paper.value, chart, stands);
  if (plan.rows.length === 0)
    return fail(
      problem('paper.no-accounts', 'No row of this paper is read as an account. Check the header row and the columns.'),
    );
  const index = chartIndex(chart);
  const codes = new Set<string>();
  const problems = [
    ...plan.problems,
    ...plan.create.flatMap(({ row, decision: made }) => {
      const wrong = newAccountProblems(made, index, codes);
      codes.add(made.code.toLowerCase());
      return wrong.map((one) => ({ ...one, field: `row-${row}` }));
    }),
  ];
  if (problems.length > 0) return fail(...problems);

  const origin = paper.value.name.slice(0, 300);
  const headings = headingsFor(
    plan.create.map(({ decision: one }) => one),
    chart,
  ).map((heading, at) => ({
    kind: 'add' as const,
    id: accountId(-MOST_ROWS - 1 - at),
    account: { ...PLAIN_ACCOUNT, ...heading, heading: true, origin },
  }));
  const madeUnder = new Map(headings.map(({ id: heading, account }) => [account.classification, heading]));
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
        parent: parent ?? madeUnder.get(classification) ?? null,
        contra: contraByName(name, classification),
        role: typeOf(classification) === 'asset' && /\bbank\b/i.test(name) ? ('bank' as const) : null,
        origin,
      },
    },
  }));
  const made = await carryOut(context, [...headings, ...added.map(({ edit }) => edit)]);
  if (!made.ok) return made;
  const createdAt = new Map(added.map(({ row, edit }) => [row, made.value.ids.get(edit.id)]));

  const amounts = new Map<Account['id'], Minor>(plan.amounts);
  for (const decided of plan.rows) {
    const account = createdAt.get(decided.row.row);
    if (account !== undefined && decided.row.amount !== 0n)
      amounts.set(account, add(amounts.get(account) ?? NIL, decided.row.amount));
  }
  // Amounts in currency that the paper has beside the base amounts.
  const parts = new Map<AccountId, Part[]>();
  for (const decided of plan.rows) {
    const { row, amount, foreign } = decided.row;
    const account = createdAt.get(row) ?? (decided.decision?.kind === 'account' ? decided.decision.account : undefined);
    if (account === undefined || foreign === undefined || foreign.currency === books.currency || !amounts.has(account))
      continue;
    const own = parts.get(account) ?? [];
    const known = own.find(({ currency }) => currency === foreign.currency);
    parts.set(account, [
      ...own.filter((one) => one !== known),
      {
        currency: foreign.currency,
        // The paper writes amounts in currency without a side of their own; they stand where the base amount does.
        amount: add(known?.amount ?? NIL, onSide(foreign.amount, sideOf(amount) ?? 'debit')),
        base: add(known?.base ?? NIL, amount),
      },
    ]);
  }
  const writings = [...amounts].map(([account, amount]): Writing => {
    const own = parts.get(account);
    return {
      account,
      amount,
      from: stands.get(account) ?? null,
      source: 'paper',
      paper: paper.value.id,
      ...(own === undefined ? {} : { parts: own }),
    };
  });
  const batch = newId();
  await writeLines(tx, books.id, set.id, writings, batch, actor.person, now);
  await writeTakeOver(
    tx,
    books.id,
    { paper: paper.value.id, set: set.id, batch, figures: writings.length, created: added.length, key: input.key },
    plan.rows.flatMap((decided): TakenRow[] => {
      const { row, text, amount } = decided.row;
      const reason =
        decided.decision?.kind === 'leave-out'
          ? decided.decision.reason
          : decided.decision === undefined
            ? 'nil, and no account for it'
            : null;
      if (reason !== null) return [{ row, text, amount, account: null, reason }];
      const created = createdAt.get(row);
      const parts = created === undefined ? partsOf(decided) : [{ account: created, amount }];
      return parts.map((one) => ({ row, text, amount: one.amount, account: one.account, reason: null }));
    }),
    [...made.value.ids.values()],
    now,
  );
  await remember(
    tx,
    books.id,
    plan.rows.flatMap(({ row: { row, code, name }, decision }): Remembered[] => {
      const account = decision?.kind === 'account' ? decision.account : createdAt.get(row);
      if (account !== undefined) return [{ code, name, account, reason: null }];
      return decision?.kind === 'leave-out' ? [{ code, name, account: null, reason: decision.reason }] : [];
    }),
    now,
  );
  const { columns, style, convention } = sheet.recognition.reading;
  await rememberShape(tx, actor.practice, sheet.shape, { columns, style, convention }, paper.value.name, now);
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

/**
 * Takes a take-over back: figures return to what they were where nobody changed them since, and accounts that it made go where
 * nothing else uses them.
 */
export const undoTakeOver = booksAction('undoTakeOver', { paper: paperId, batch: z.uuid() }, async (context, input) => {
  const { tx, books, actor, now, newId } = context;
  const set = await currentSet(tx, books.id);
  if (set?.state !== 'draft')
    return fail(problem('openings.posted', 'The opening balances are posted, so the take-over stays.'));
  const last = await lastTakeOver(tx, books.id, input.paper);
  if (last?.batch !== input.batch || last.set !== set.id)
    return fail(
      problem(
        'paper.not-this-batch',
        'This take-over does not stand any more: it was undone, or belongs to another paper or version. Load the page again.',
      ),
    );
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
    (stored.get(change.account)?.amount ?? null) === change.to &&
    sameParts(stored.get(change.account)?.parts ?? [], change.toParts)
      ? [
          {
            account: change.account,
            amount: change.from,
            from: change.to,
            parts: change.fromParts,
            source: 'typed',
            paper: null,
            ...origins.get(change.account),
          },
        ]
      : [],
  );
  const undoing = newId();
  await writeLines(tx, books.id, set.id, writings, undoing, actor.person, now, stored);
  const made = await takenBack(context, [input.batch, undoing]);
  if (!made.ok) return made;
  const { removed, kept } = made.value;
  await goToKept(context, input.paper, kept);
  await record(
    tx,
    books.id,
    'openings',
    [set.id],
    [
      `take-over undone: ${plural(writings.length, 'figure')} put back`,
      ...(removed.length > 0 ? [`${plural(removed.length, 'account')} that it made taken back`] : []),
      ...(kept.length > 0 ? [`kept, since something else uses them: ${listed(kept)}`] : []),
    ].join('; '),
    actor.person,
    now,
  );
  return ok({
    undone: writings.length,
    kept: changes.length - writings.length,
    removed: removed.length,
    inUse: kept.map(called),
  });
});

/** Rows for which an account was made that stays go to it from now on, instead of asking for it to be made again. */
const goToKept = async (context: BooksContext, number: number, kept: readonly Account[]): Promise<void> => {
  const paper = await findOpen(context, number);
  if (!paper.ok || paper.value.reading === null || kept.length === 0) return;
  const byCode = new Map(kept.map((one) => [one.code.toLowerCase(), one]));
  const decisions = Object.fromEntries(
    Object.entries(paper.value.decisions).map(([row, decision]): [string, Decision] => {
      const there = decision.kind === 'create' ? byCode.get(decision.code.toLowerCase()) : undefined;
      return [row, there === undefined ? decision : { kind: 'account', account: there.id }];
    }),
  );
  await saveReading(context.tx, context.books.id, number, paper.value.reading, decisions);
};

const MOST_LISTED = 5;

const listed = (accounts: readonly Account[]): string =>
  `${accounts.slice(0, MOST_LISTED).map(called).join(', ')}${accounts.length > MOST_LISTED ? ` and ${String(accounts.length - MOST_LISTED)} more` : ''}`;

/**
 * Forgets a take-over and takes back the accounts that it made, with the history of their figures, which is that of the take-over and its
 * undoing; what something else uses by now stays, and so does a heading under which an account stays.
 */
const takenBack = async (
  context: BooksContext,
  batches: readonly [own: string, undoing: string],
): Promise<Result<{ readonly removed: readonly Account[]; readonly kept: readonly Account[] }>> => {
  const { tx, books } = context;
  const made = await madeByTakeOver(tx, books.id, batches);
  await deleteTakeOver(tx, books.id, batches[0]);
  const index = chartIndex(await chartOf(tx, books.id));
  const going = new Set(made.filter(({ used }) => !used).map(({ account }) => account));
  // A heading stays with what stands under it, and so does the heading above it.
  const stays = (one: AccountId): boolean =>
    !going.has(one) || (index.children.get(one) ?? []).some((child) => stays(child));
  const accounts = made.flatMap(({ account }) => index.byId.get(account) ?? []);
  const removed = accounts.filter((one) => !stays(one.id));
  if (removed.length > 0) {
    const gone = removed.map((one) => one.id);
    await forgetChanges(tx, books.id, gone);
    const done = await carryOut(
      context,
      gone.map((one) => ({ kind: 'remove', id: one })),
    );
    if (!done.ok) return done;
  }
  return ok({ removed, kept: accounts.filter((one) => stays(one.id) && !one.heading) });
};

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
