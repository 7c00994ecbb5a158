'use server';

import { type Period, periodOf } from '@/core/calendar/year';
import { openingDate } from '@/core/calendar/cutover';
import { say } from '@/core/base/sentence';
import { plainDecimal } from '@/core/money/format';
import { postingLines } from '@/core/openings/foreign';
import { totalsOf } from '@/core/ledger/level';
import { blockers } from '@/core/proof/checks';
import { fail, ok, plural, problem } from '@/core/base/result';
import { reviewProblems } from '@/core/access/review';
import { audit } from '@/store/audit';
import { record } from '@/store/history';
import { ledgerPositions, postJournal } from '@/store/journals';
import { copyLines, currentSet, deleteDraft, insertSet, markPosted, partsOfSet } from '@/store/openings';
import { copySchedules } from '@/store/schedules';
import { booksAction } from '../kernel/action';
import { viewState } from '../frame/held-state';
import { positionsOf } from '../frame/state';
import { reviewIn } from './review-state';
import { id, text } from '../kernel/inputs';
import { writingOfBooks } from '../kernel/writing';

/**
 * Posts the draft as one journal of *target minus what stands*, dated the day before the cutover date; only without
 * blockers, and once: `set` names the draft that was looked at, so a second press, tab or retry finds it posted.
 */
export const postOpenings = booksAction('postOpenings', 'openings.post', { set: id }, async (context, input) => {
  const { tx, books, actor, now } = context;
  const set = await currentSet(tx, books.id);
  if (set?.id !== input.set || set.state !== 'draft')
    return fail(
      problem(
        'openings.already-posted',
        'These opening balances were already posted. Nothing was posted a second time.',
      ),
    );
  const unreviewed = reviewProblems(await reviewIn(context, set.id), actor.person);
  if (unreviewed.length > 0) return fail(...unreviewed);
  const state = await viewState(tx, books);
  const blocking = blockers(state.proof);
  if (blocking.length > 0)
    return fail(...blocking.map((check) => problem(check.id, `Not posted: ${check.findings[0]?.what ?? check.title}`)));
  const lines = postingLines(
    positionsOf(state.amounts, await partsOfSet(tx, books.id, set.id)),
    await ledgerPositions(tx, books.id),
  );
  const date = openingDate(books.cutover);
  const period = periodOf<Pick<Period, 'start' | 'end'> & { readonly id: number }>(
    state.years.flatMap((year) => year.periods),
    date,
  );
  if (!(await markPosted(tx, books.id, set.id)))
    return fail(
      problem(
        'openings.already-posted',
        'These opening balances were already posted. Nothing was posted a second time.',
      ),
    );
  const description =
    set.version === 1
      ? `Opening balances at close of ${writingOfBooks(books).date(date.toString())}`
      : `Correction of opening balances, version ${set.version}: ${set.reason ?? ''}`;
  const number = await postJournal(
    tx,
    books.id,
    { date, periodId: period?.id ?? null, description, openingSetId: set.id },
    lines,
    actor.person,
    now,
  );
  const { debits } = totalsOf(lines.map((line) => line.amount));
  await record(
    tx,
    books.id,
    'openings',
    [set.id],
    say`version ${set.version} posted as journal ${number}: ${plural(lines.length, 'line')}, ${{ number: plainDecimal(debits, state.digits) }} ${books.currency} on each side`,
    actor.person,
    now,
  );
  await audit(
    tx,
    actor.practice,
    actor.person,
    'posted',
    `Opening balances, version ${set.version}, as journal ${number}`,
    now,
    books.name,
  );
  return ok({ number, lines: lines.length });
});

/** Opens a correction: a new draft that begins as the posted version. */
export const openCorrection = booksAction(
  'openCorrection',
  'openings.correct',
  {
    reason: text(300).trim().min(3, 'Say in a few words why the opening balances change.'),
  },
  async ({ tx, books, actor, now }, input) => {
    const set = await currentSet(tx, books.id);
    if (set?.state !== 'posted')
      return fail(
        problem('openings.not-posted', 'There is no posted version to correct, or a correction is open already.'),
      );
    const id = await insertSet(tx, books.id, set.version + 1, now, input.reason);
    await copyLines(tx, books.id, set.id, id, actor.person, now);
    await copySchedules(tx, books.id, set.id, id);
    await record(
      tx,
      books.id,
      'openings',
      [id],
      `correction opened as version ${set.version + 1}: ${input.reason}`,
      actor.person,
      now,
    );
    await audit(
      tx,
      actor.practice,
      actor.person,
      'posted',
      `Correction opened as version ${set.version + 1}: ${input.reason}`,
      now,
      books.name,
    );
    return ok({});
  },
);

/** Takes an open correction back; the posted version counts again. */
export const discardCorrection = booksAction(
  'discardCorrection',
  'openings.correct',
  { set: id },
  async ({ tx, books, actor, now }, input) => {
    const set = await currentSet(tx, books.id);
    if (set?.id !== input.set || set.state !== 'draft' || set.version === 1)
      return fail(problem('openings.no-correction', 'There is no open correction.'));
    await deleteDraft(tx, books.id, set.id);
    await record(
      tx,
      books.id,
      'openings',
      [set.id],
      `correction, version ${set.version}, discarded`,
      actor.person,
      now,
    );
    return ok({});
  },
);
