'use server';

import { z } from 'zod';
import { type Account, type AccountId, PLAIN_ACCOUNT, accountId, called, chartIndex } from '@/core/chart/account';
import { contraByName, roleByName } from '@/core/chart/infer';
import { type Minor, NIL, add, onSide, sideOf } from '@/core/money/minor';
import { headingsFor, nothingIn, partsOf } from '@/core/openings/takeover';
import type { Part } from '@/core/openings/foreign';
import { sameParts } from '@/core/openings/in-currency';
import type { Remembered } from '@/core/openings/match';
import { MOST_ROWS } from '@/core/files/limits';
import { type Result, fail, ok, plural, problem } from '@/core/base/result';
import { chartOf } from '@/store/chart';
import { record } from '@/store/history';
import { writeDecisions } from '@/store/paper-decisions';
import {
  batchChanges,
  currentSet,
  forgetChanges,
  lockLines,
  sourcesOf,
  writeLines,
  type Writing,
} from '@/store/openings';
import {
  type TakenRow,
  deleteTakeOver,
  madeByTakeOver,
  lastTakeOver,
  remember,
  rememberShape,
  takeOverByKey,
  writeTakeOver,
} from '@/store/papers';
import { type BooksContext, booksAction } from './action';
import { carryOut } from './chart-edits';
import { readStored } from './paper-reading';
import { findOpen, newAccountProblems, paperId, standsIn } from './open-paper';

/** Carries the plan of a paper out: creates accounts, writes figures, keeps which row went where. All of it or nothing. */
export const takeOver = booksAction(
  'takeOver',
  'openings.change',
  { paper: paperId, key: z.uuid() },
  async (context, input) => {
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
    const index = chartIndex(chart);
    const codes = new Set<string>();
    const problems = [
      ...nothingIn(plan.rows),
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
          role: roleByName(name, classification),
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
      const account =
        createdAt.get(row) ?? (decided.decision?.kind === 'account' ? decided.decision.account : undefined);
      if (
        account === undefined ||
        foreign === undefined ||
        foreign.currency === books.currency ||
        !amounts.has(account)
      )
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
  },
);

/**
 * Takes a take-over back: figures return to what they were where nobody changed them since, and accounts that it made go where
 * nothing else uses them.
 */
export const undoTakeOver = booksAction(
  'undoTakeOver',
  'openings.change',
  { paper: paperId, batch: z.uuid() },
  async (context, input) => {
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
  },
);

/** Rows for which an account was made that stays go to it from now on, instead of asking for it to be made again. */
const goToKept = async (context: BooksContext, number: number, kept: readonly Account[]): Promise<void> => {
  const paper = await findOpen(context, number);
  if (!paper.ok || kept.length === 0) return;
  const byCode = new Map(kept.map((one) => [one.code.toLowerCase(), one]));
  await writeDecisions(
    context.tx,
    context.books.id,
    number,
    new Map(
      [...paper.value.decisions].flatMap(([row, decision]) => {
        const there = decision.kind === 'create' ? byCode.get(decision.code.toLowerCase()) : undefined;
        return there === undefined ? [] : [[row, { kind: 'account', account: there.id }] as const];
      }),
    ),
  );
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
