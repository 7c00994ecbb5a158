'use server';

import { paperId } from '@/core/base/ids';
import { z } from 'zod';
import { deedOfSubject, deedWords } from '@/core/access/deeds';
import type { Batch, Change, Subject } from '@/core/base/change';
import { type Problem, fail, ok, problem } from '@/core/base/result';
import { accountId, listed } from '@/core/chart/account';
import { sayBatch } from '@/core/openings/say-changes';
import { findBooks } from '@/store/books';
import { batchOf, changesIn } from '@/store/changes';
import { record } from '@/store/history';
import { currentSet } from '@/store/openings';
import { type WritingContext, booksAction, mayIn } from '../kernel/action';
import { factsBack, partsIn } from '../company/facts';
import { standingIndex } from '../frame/held-chart';
import { takeOverBack } from '../papers/take-over-back';
import { calendarBack, periodsBack } from './calendar-back';
import { type TakenBack, comparativesBack, figuresBack } from './figures-back';
import { accountsIn, accountsOut, banksBack, chartRulesBack, taxCodesBack } from './chart-back';
import { currenciesIn, currenciesOut, moneyRulesBack, ratesBack } from './money-back';
import { papersBack } from './papers-back';
import { evidenceBack } from './evidence-back';
import { codesIn, codesOut } from './analysis-back';
import { contactsIn, contactsOut, itemsBack, tiesBack } from './schedules-back';

/**
 * What is not a figure goes back as a whole or not at all, in an order in which each finds what it needs: parts in use and currencies
 * come before accounts and go after them, tax codes between accounts that come and those that go, bank details after both.
 */
const BACK: readonly (readonly [
  subjects: readonly Subject[],
  back: (context: WritingContext, changes: readonly Change[]) => Promise<readonly Problem[]>,
])[] = [
  [['company'], partsIn],
  [['currency'], currenciesIn],
  [['account'], accountsIn],
  [['tax-code'], taxCodesBack],
  [['reading', 'decision'], papersBack],
  [['contact'], contactsIn],
  [['analysis-code'], codesIn],
  [['item'], itemsBack],
  [['evidence'], evidenceBack],
  [['contact'], contactsOut],
  [['analysis-code'], codesOut],
  [['statement', 'tie', 'looked'], tiesBack],
  [['account'], accountsOut],
  [['bank'], banksBack],
  [['chart-rule'], chartRulesBack],
  [['money-rule'], moneyRulesBack],
  [['rate'], ratesBack],
  [['calendar', 'cutover'], calendarBack],
  [['period'], periodsBack],
  [['currency'], currenciesOut],
  [['company'], factsBack],
];

const newerProblem = async (context: WritingContext, newer: readonly number[]): Promise<Problem> => {
  const { byId } = await standingIndex(context);
  const accounts = newer.map((id) => byId.get(accountId(id)) ?? { code: '', name: 'an account that is gone' });
  return problem(
    'undo.newer',
    `Nothing was taken back: ${listed(accounts)} ${newer.length === 1 ? 'was' : 'were'} changed since. Take back what is newer first, or take back only the others.`,
  );
};

/** Tells it in the history of the pages that show one; accounts and the company have theirs already. */
const note = async (
  { tx, books, actor, now }: WritingContext,
  batch: Pick<Batch, 'action' | 'about' | 'reverts'>,
  changes: readonly Change[],
): Promise<void> => {
  const counts: Partial<Record<Subject, number>> = {};
  for (const { subject } of changes) counts[subject] = (counts[subject] ?? 0) + 1;
  const what = `taken back: ${sayBatch(batch, counts)}`;
  const set = await currentSet(tx, books.id);
  if (set !== undefined && (counts.figure ?? counts.comparative) !== undefined)
    await record(tx, books.id, 'openings', [set.id], what, actor.person, now);
  const touches = (...subjects: readonly Subject[]): boolean => subjects.some((one) => counts[one] !== undefined);
  if (touches('rate', 'currency', 'money-rule'))
    await record(tx, books.id, 'currencies', [books.id], what, actor.person, now);
  if (touches('tax-code', 'chart-rule')) await record(tx, books.id, 'books', [books.id], what, actor.person, now);
  // A calendar that is drawn anew says so itself, and so does each period.
  if (touches('cutover')) await record(tx, books.id, 'calendar', [books.id], what, actor.person, now);
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
    const { tx, books, actor, changes: own } = context;
    const batch = await batchOf(tx, books.id, input.batch);
    if (batch === undefined)
      return fail(problem('undo.unknown', 'This change is not in the record of these books. Load the page again.'));
    if (batch.taken) return fail(problem('undo.already', 'This was taken back already. Load the page again.'));
    if (typeof batch.about.stays === 'string') return fail(problem('undo.stays', batch.about.stays));
    const changes = await changesIn(tx, books.id, input.batch);
    const denied = [...new Set(changes.map(({ subject }) => deedOfSubject[subject]))].filter(
      (deed) => !mayIn(actor, deed, books),
    );
    if (denied.length > 0)
      return fail(...denied.map((deed) => problem('access.denied', `You may not ${deedWords[deed]}.`)));
    if (batch.action === 'takeOver') {
      const back = await takeOverBack(context, paperId(Number(batch.about.paper)), batch.id);
      return back.ok ? ok({ undone: back.value.undone + back.value.removed, kept: back.value.kept }) : back;
    }

    await own.reverts(batch.id);
    const of = (subject: Subject): readonly Change[] => changes.filter((change) => change.subject === subject);
    const figures = await figuresBack(context, of('figure'), input.leaveNewer);
    if (!figures.ok) return figures;
    const comparatives: TakenBack = await comparativesBack(context, of('comparative'), input.leaveNewer);
    const newer = [...figures.value.newer, ...comparatives.newer];
    // Where nothing else is left, nothing is taken back either.
    if (newer.length > 0 && (!input.leaveNewer || newer.length === changes.length))
      return fail(await newerProblem(context, [...new Set(newer)]));
    for (const [subjects, back] of BACK) {
      const step = changes.filter(({ subject }) => subjects.includes(subject));
      if (step.length === 0) continue;
      // The step before may have changed what this one has to know about the books; the revision that they get is of the whole.
      const standing = { ...((await findBooks(tx, actor.practice, books.id)) ?? books), revision: books.revision };
      const wrong = await back({ ...context, books: standing }, step);
      if (wrong.length > 0) return fail(...wrong);
    }
    await note(context, batch, changes);
    return ok({ undone: changes.length - newer.length, kept: newer.length });
  },
);
