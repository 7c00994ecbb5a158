'use server';

import { z } from 'zod';
import type { Deed } from '@/core/access/deeds';
import { deedWords } from '@/core/access/deeds';
import { may } from '@/core/access/roles';
import { sameKept } from '@/core/base/kept';
import { type Problem, fail, ok, problem } from '@/core/base/result';
import { accountId, chartIndex, listed } from '@/core/chart/account';
import { editsBack } from '@/core/chart/recorded';
import { bankDetailsOf, bankFrom, keptBank, putBankDetails } from '@/store/bank-details';
import { type Change, type Subject, batchOf, changesIn } from '@/store/changes';
import { type WritingContext, booksAction } from './action';
import { carryOut } from './chart-edits';
import { standingChart } from './held-chart';
import { takeOverBack } from './take-over-back';
import { comparativesBack, figuresBack } from './undo-figures';

const DEED: Readonly<Record<Subject, Deed>> = {
  figure: 'openings.change',
  comparative: 'openings.change',
  account: 'chart.change',
  bank: 'chart.change',
};

/** Accounts go back field by field; one that meets something newer, or that is used by now, is refused by the rules of the chart. */
const chartBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  const accounts = changes.filter(({ subject }) => subject === 'account');
  if (accounts.length > 0) {
    const done = await carryOut(context, editsBack(accounts));
    if (!done.ok) return done.problems;
  }
  const banks = changes.filter(({ subject }) => subject === 'bank');
  const stand = await bankDetailsOf(tx, books.id);
  const there = new Set((await standingChart(context)).map(({ id }) => id));
  const own = banks.filter(({ id }) => there.has(accountId(id)));
  if (own.some(({ id, from, to }) => !sameKept(keptBank(stand.get(accountId(id))), to) && from !== null))
    return [problem('undo.newer', 'Bank details were changed since, so nothing was taken back.')];
  context.changes.add(
    await putBankDetails(tx, books.id, new Map(own.map(({ id, from }) => [accountId(id), bankFrom(from)]))),
  );
  return [];
};

/**
 * Takes a batch of the record back with a batch of its own. Where something newer stands in the way, nothing is taken back and it is
 * said what; `leaveNewer` takes the other figures back. What was taken back can be taken back in turn.
 */
export const undo = booksAction(
  'undo',
  'changes.undo',
  { batch: z.uuid(), leaveNewer: z.boolean().default(false) },
  async (context, input) => {
    const { tx, books, actor } = context;
    const batch = await batchOf(tx, books.id, input.batch);
    if (batch === undefined)
      return fail(problem('undo.unknown', 'This change is not in the record of these books. Load the page again.'));
    if (batch.taken) return fail(problem('undo.already', 'This was taken back already. Load the page again.'));
    if (typeof batch.about.stays === 'string') return fail(problem('undo.stays', batch.about.stays));
    if (batch.action === 'takeOver') {
      const back = await takeOverBack(context, Number(batch.about.paper), batch.id);
      return back.ok ? ok({ undone: back.value.undone + back.value.removed, kept: back.value.kept }) : back;
    }
    const changes = await changesIn(tx, books.id, input.batch);
    const denied = [...new Set(changes.map(({ subject }) => DEED[subject]))].filter(
      (deed) => !may(actor, deed, { practice: actor.practice }),
    );
    if (denied.length > 0)
      return fail(...denied.map((deed) => problem('access.denied', `You may not ${deedWords[deed]}.`)));
    await context.changes.reverts(batch.id);
    const figures = await figuresBack(
      context,
      changes.filter(({ subject }) => subject === 'figure'),
      input.leaveNewer,
    );
    if (!figures.ok) return figures;
    const comparatives = await comparativesBack(
      context,
      changes.filter(({ subject }) => subject === 'comparative'),
      input.leaveNewer,
    );
    const newer = new Set([...figures.value.newer, ...comparatives.newer]);
    if (newer.size > 0 && !input.leaveNewer) {
      const { byId } = chartIndex(await standingChart(context));
      const accounts = [...newer].map((id) => byId.get(accountId(id)) ?? { code: '', name: 'an account that is gone' });
      return fail(
        problem(
          'undo.newer',
          `Nothing was taken back: ${listed(accounts)} ${newer.size === 1 ? 'was' : 'were'} changed since. Take back what is newer first, or take back only the others.`,
        ),
      );
    }
    const wrong = await chartBack(context, changes);
    if (wrong.length > 0) return fail(...wrong);
    return ok({ undone: changes.length - newer.size, kept: newer.size });
  },
);
