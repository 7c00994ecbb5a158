'use server';

import { z } from 'zod';
import { accountId, called } from '@/core/chart/account';
import { fail, ok, problem } from '@/core/base/result';
import { NIL } from '@/core/money/minor';
import { supportedFigure } from '@/core/schedules/tie-out';
import { lockLines, writeLines } from '@/store/openings';
import { currentSet } from '@/store/openings';
import { behindBooks, putClosing, putExplained, putLooked } from '@/store/schedules';
import { booksAction } from '../kernel/action';
import { id, text } from '../kernel/inputs';
import { viewState } from '../frame/held-state';
import { conversionsOf, tieInputOf } from '../frame/ties';
import { draftSet, scheduled } from './draft';
import { closing } from './schemas';

/** The closing balance of the statement behind a bank, cash or card account; null takes it away. */
export const saveClosing = booksAction(
  'saveClosing',
  'openings.change',
  { set: id, account: id.transform(accountId), closing },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const draft = await draftSet(context, input.set);
    if (!draft.ok) return draft;
    const found = await scheduled(context, input.account);
    if (!found.ok) return found;
    if (found.value.schedule !== 'statement')
      return fail(problem('schedule.no-statement', 'Only bank, cash and card accounts have statements.'));
    const behind = await behindBooks(tx, books.id);
    context.changes.add(
      await putClosing(
        tx,
        books.id,
        input.set,
        input.account,
        behind.closings.get(input.account),
        input.closing,
        actor.person,
        now,
      ),
    );
    return ok({});
  },
);

/** Says why the difference of an account may stand, or takes that back. It is about the difference as it is now. */
export const explainTie = booksAction(
  'explainTie',
  'schedules.explain',
  {
    set: id,
    account: id.transform(accountId),
    reason: text(300).trim().min(3, 'Say in a few words why the difference may stand.').nullable(),
  },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const draft = await draftSet(context, input.set);
    if (!draft.ok) return draft;
    const tie = (await viewState(tx, books)).ties.get(input.account);
    if (input.reason !== null && (tie?.difference === undefined || tie.difference === null || tie.difference === NIL))
      return fail(problem('tie.nothing', 'There is no difference to explain in base currency.', 'reason'));
    const behind = await behindBooks(tx, books.id);
    context.changes.add(
      await putExplained(
        tx,
        books.id,
        input.set,
        input.account,
        behind.explained.get(input.account),
        input.reason === null ? null : { difference: tie?.difference ?? NIL, reason: input.reason },
        actor.person,
        now,
      ),
    );
    return ok({});
  },
);

/**
 * Says that one has looked at a figure and at what stands behind it, or takes that back. Posted balances can be looked at too. It is
 * about both as they are now: a later change shows.
 */
export const lookAt = booksAction(
  'lookAt',
  'schedules.look',
  { account: id.transform(accountId), looked: z.boolean() },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const set = await currentSet(tx, books.id);
    const { ties, behind } = await viewState(tx, books);
    const tie = ties.get(input.account);
    if (set === undefined || tie === undefined)
      return fail(
        problem('schedule.unknown', 'This account has no schedule in these books any more. Load the page again.'),
      );
    context.changes.add(
      await putLooked(
        tx,
        books.id,
        set.id,
        input.account,
        behind.looked.get(input.account),
        input.looked ? { figure: tie.figure, support: tie.support } : null,
        actor.person,
        now,
      ),
    );
    return ok({});
  },
);

/**
 * What their schedules come to becomes the opening figures of accounts, with their parts in foreign currencies: all of them, in one
 * batch, or none.
 */
export const takeSupport = booksAction(
  'takeSupport',
  'openings.change',
  { set: id, accounts: z.array(id.transform(accountId)).min(1).max(100) },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const draft = await draftSet(context, input.set);
    if (!draft.ok) return draft;
    const state = await viewState(tx, books);
    const rate = conversionsOf(state);
    const figures = [];
    for (const account of new Set(input.accounts)) {
      const found = await scheduled(context, account);
      if (!found.ok) return found;
      const figure = supportedFigure(tieInputOf(state, found.value.account, rate));
      if (figure === undefined)
        return fail(
          problem(
            'tie.no-support',
            state.ties.get(account)?.state === 'unknown'
              ? 'A rate of the opening date is missing, so the worth of the list is not known yet. Give the rate on the Currencies page.'
              : `Nothing stands behind ${called(found.value.account)} yet.`,
          ),
        );
      figures.push({ account, ...figure, source: 'calculated' as const, why: 'the total of its schedule' });
    }
    const ids = figures.map(({ account }) => account);
    const stands = await lockLines(tx, books.id, input.set, ids);
    const written = await writeLines(tx, books.id, input.set, figures, actor.person, now, stands);
    context.changes.add(written.changes);
    return ok({ amounts: figures.map(({ amount }) => amount) });
  },
);
