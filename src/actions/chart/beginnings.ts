import { type Answers } from '@/core/chart/composition/answers';
import type { Account } from '@/core/chart/account';
import { compose } from '@/core/chart/composition/compose';
import { leaving } from '@/core/chart/composition/leaving';
import type { ChartEdit } from '@/core/chart/edit';
import { fromComposed } from '@/core/chart/copy';
import {
  type Incoming,
  type IncomingPlan,
  type IncomingRules,
  type RowChoice,
  planIncoming,
} from '@/core/chart/incoming';
import { COMPOSED_SCHEME } from '@/core/chart/scheme';
import { type Result, fail, ok, plural, problem } from '@/core/base/result';
import { updateChartSettings } from '@/store/books';
import { usesOf } from '@/store/chart';
import { standingChart } from '../frame/held-chart';
import type { WritingContext } from '../kernel/action';
import { carryOut, incomingRules } from './edits';

export interface Taken {
  readonly counts: IncomingPlan['counts'];
}

/** Carries out what a plan for incoming accounts shows, in the transaction of an action. */
export const takeIncoming = async (
  context: WritingContext,
  rows: readonly Incoming[],
  choices: ReadonlyMap<number, RowChoice>,
  how: Pick<IncomingRules, 'update' | 'clash'>,
  from: string,
  /** Accounts that go in the same step. */
  going: readonly Account[] = [],
): Promise<Result<Taken>> => {
  const chart = await standingChart(context);
  const plan = planIncoming(chart, rows, choices, await incomingRules(context, how));
  if (plan.edits.length === 0 && plan.banks.size === 0 && going.length === 0)
    return fail(
      problem(
        'incoming.nothing',
        plan.counts.problem > 0
          ? `Nothing can be taken over: ${plural(plan.counts.problem, 'row')} ${plan.counts.problem === 1 ? 'has' : 'have'} a problem.`
          : 'Nothing is to be taken over: everything is here already.',
      ),
    );
  const { counts } = plan;
  const gone = going.map(({ id }): ChartEdit => ({ kind: 'remove', id }));
  const done = await carryOut(context, [...plan.edits, ...gone], {
    what: `chart from ${from}: ${counts.new} new, ${counts.changes} changed`,
    banks: plan.banks,
  });
  return done.ok ? ok({ counts }) : done;
};

/**
 * Begins or extends a chart from answers, and keeps the answers. A chart that was empty also gets the scheme of codes. `going` are accounts
 * that earlier answers brought and that somebody saw go; one that has come into use since is refused.
 */
export const beginFrom = async (
  context: WritingContext,
  answers: Answers,
  choices: ReadonlyMap<number, RowChoice> = new Map(),
  how: Pick<IncomingRules, 'update' | 'clash'> = { update: false, clash: 'keep' },
  going: readonly number[] = [],
): Promise<Result<Taken>> => {
  const { tx, books } = context;
  const chart = await standingChart({ tx, books });
  const empty = chart.length === 0;
  const composed = compose(answers);
  const { go } = leaving(
    chart,
    books.chart.answers === null ? [] : compose(books.chart.answers),
    composed,
    await usesOf(tx, books.id),
  );
  const wished = new Set<number>(going);
  const leave = go.filter(({ id }) => wished.has(id));
  if (leave.length < wished.size)
    return fail(
      problem(
        'answers.staying',
        `${plural(wished.size - leave.length, 'account')} that should go ${wished.size - leave.length === 1 ? 'is' : 'are'} in use or changed by now, so nothing was done. Look again at what goes.`,
      ),
    );
  const taken = await takeIncoming(context, fromComposed(composed), choices, how, 'answers', leave);
  if (!taken.ok && taken.problems[0]?.code !== 'incoming.nothing') return taken;
  context.changes.add(await updateChartSettings(tx, books, { answers, ...(empty ? { scheme: COMPOSED_SCHEME } : {}) }));
  return taken.ok ? taken : ok({ counts: { new: 0, changes: 0, same: 0, problem: 0, kept: 0, skipped: 0 } });
};
