'use server';

import { z } from 'zod';
import { accountId, called } from '@/core/chart/account';
import { type Minor, NIL } from '@/core/money/minor';
import { type ComparativeColumn, budgetFromLastYear, comparativeColumns, isBudget } from '@/core/openings/comparatives';
import type { NumberStyle } from '@/core/money/number-style';
import { readRate } from '@/core/money/rate';
import { said } from '@/core/openings/say-changes';
import { clash, fail, ok, plural, problem } from '@/core/base/result';
import { yearsOf } from '@/store/calendar';
import { accountsOf } from '@/store/chart';
import { type ComparativeWriting, comparativesOf, writeComparatives } from '@/store/comparatives';
import { record } from '@/store/history';
import { currentSet } from '@/store/openings';
import { findPaper } from '@/store/papers';
import { standingChart } from '../frame/held-chart';
import { type BooksContext, booksAction, fileAction } from '../kernel/action';
import { amountsOn, columnReader } from '../papers/reading';
import { distinct, id, text, units } from '../kernel/inputs';

const amount = units.nullable();
const column = z.int().min(0).max(160);

const columnsIn = async ({ tx, books }: BooksContext): Promise<readonly ComparativeColumn[]> =>
  comparativeColumns(
    (await yearsOf(tx, [books.id])).get(books.id) ?? [],
    books.cutover,
    books.facts.parts.includes('budgets'),
  );

/** The columns by number, as these books have them now. */
const columnsOf = async (context: BooksContext): Promise<ReadonlyMap<number, string>> =>
  new Map((await columnsIn(context)).map((one) => [one.column, one.label]));

const unknownPaper = fail(
  problem('paper.unknown', 'This paper is not in these books any more. Go back to the papers.'),
);

const noPeriod = fail(
  problem('comparatives.no-period', 'This period has not elapsed at the cutover date. Load the page again.'),
);

const recorded = async ({ tx, books, actor, now }: BooksContext, what: string): Promise<void> => {
  const set = await currentSet(tx, books.id);
  if (set !== undefined) await record(tx, books.id, 'openings', [set.id], what, actor.person, now);
};

/**
 * Saves comparatives: last year's closing balances, and the movements of the elapsed periods of a mid-year cutover. Each
 * names the amount that was seen; where another stands meanwhile, nothing is stored.
 */
export const saveComparatives = booksAction(
  'saveComparatives',
  'openings.change',
  {
    entries: z
      .array(z.object({ account: id.transform(accountId), column, from: amount, to: amount }))
      .min(1)
      .max(50_000)
      .superRefine(distinct('An amount', (entry) => `${String(entry.account)} ${String(entry.column)}`)),
  },
  async (context, { entries }) => {
    const { tx, books, actor, now } = context;
    const named = new Map(
      (
        await accountsOf(
          tx,
          books.id,
          entries.map(({ account }) => account),
        )
      ).map((one) => [one.id, one]),
    );
    const columns = await columnsOf(context);
    const stands = await comparativesOf(tx, books.id);
    for (const { account, column: own, from, to } of entries) {
      const found = named.get(account);
      if (found === undefined)
        return fail(problem('account.unknown', 'This account is not in the chart any more. Load the page again.'));
      if (found.heading) return fail(problem('account.heading', `${called(found)} is a heading and takes no amounts.`));
      if (!columns.has(own)) return noPeriod;
      const there = stands.get(account)?.get(own) ?? null;
      if (there !== from)
        return fail(
          clash(
            'comparatives.changed',
            `${columns.get(own) ?? ''} of ${called(found)}`,
            said(there, books),
            said(to, books),
            account,
            own,
          ),
        );
    }
    context.changes.add(await writeComparatives(tx, books.id, entries, actor.person, now));
    if (entries.length > 1) await recorded(context, `${plural(entries.length, 'comparative')} entered`);
    return ok({ saved: entries.length });
  },
);

/** What a column becomes: the amounts given, and nothing where it had others. */
const replacing = (
  stands: Awaited<ReturnType<typeof comparativesOf>>,
  own: number,
  amounts: ReadonlyMap<ComparativeWriting['account'], Minor>,
): readonly ComparativeWriting[] =>
  [...new Set([...stands.keys(), ...amounts.keys()])].flatMap((account): ComparativeWriting[] => {
    const from = stands.get(account)?.get(own) ?? null;
    const to = amounts.get(account) ?? null;
    return from === to ? [] : [{ account, column: own, from, to }];
  });

/**
 * Takes columns of a paper over as comparatives; each replaces what its column had. `from` is the paper's column, or null for
 * the amounts as the paper is read. All or nothing.
 */
export const takeComparatives = fileAction(
  'takeComparatives',
  'openings.change',
  {
    paper: id,
    takes: z
      .array(z.object({ from: z.int().min(0).max(100).nullable(), column }))
      .min(1, 'Choose for at least one column what it is.')
      .max(61),
  },
  async (context, { paper: number, takes }) => {
    const { tx, books } = context;
    const paper = await findPaper(tx, books.id, number);
    if (paper === undefined) return () => Promise.resolve(unknownPaper);
    return columnReader(
      context,
      paper,
      await standingChart({ tx, books }),
      takes.map(({ from }) => from),
    );
  },
  async (context, { paper: number, takes }, rows) => {
    const { tx, books, actor, now } = context;
    const paper = await findPaper(tx, books.id, number);
    if (paper === undefined) return unknownPaper;
    if (new Set(takes.map((take) => take.column)).size < takes.length)
      return fail(problem('comparatives.twice', 'Two columns of the paper are to become the same comparative.'));
    const columns = await columnsOf(context);
    if (takes.some((take) => !columns.has(take.column))) return noPeriod;
    const chart = await standingChart({ tx, books });
    const stands = await comparativesOf(tx, books.id);
    const writings: ComparativeWriting[] = [];
    let divided = 0;
    for (const take of takes) {
      const column = rows.get(take.from);
      if (column === undefined) continue;
      const read = amountsOn(column, paper, chart);
      if (!read.ok) return read;
      divided = read.value.divided;
      writings.push(...replacing(stands, take.column, read.value.amounts));
    }
    context.changes.about({ paper: paper.id, name: paper.name });
    context.changes.add(await writeComparatives(tx, books.id, writings, actor.person, now));
    await recorded(
      context,
      `${takes.map((take) => columns.get(take.column) ?? '').join(', ')} taken from ${paper.name} as comparatives`,
    );
    return ok({ amounts: writings.length, divided });
  },
);

/** More than ten times last year's, or less than nothing of it, is no budget from it. */
const MOST_PERCENT = 1000n;

/** "3", "-2.5": a percentage of either sign as the books write numbers. */
const percentFrom = (typed: string, style: NumberStyle) => {
  const text = typed.trim().replace(/\s?%$/, '');
  const bare = text.replace(/^[-+−]/, '');
  if (/^0+(?:[.,]0+)?$/.test(bare)) return ok({ coefficient: 0n, scale: 0 });
  const read = readRate(bare, style, 'percent');
  if (!read.ok)
    return fail(
      problem('budget.percent', `“${typed}” is no percentage. These books write numbers like ${style}.`, 'percent'),
    );
  const { coefficient, scale } = read.value;
  const less = text.startsWith('-') || text.startsWith('−');
  const most = (less ? 100n : MOST_PERCENT) * 10n ** BigInt(scale);
  return coefficient > most
    ? fail(problem('budget.percent', `“${typed}” is too far from last year’s amounts to be a rule.`, 'percent'))
    : ok({ coefficient: less ? -coefficient : coefficient, scale });
};

/** Fills the budget of every period from last year's closing balances of income and expense, more or less so many percent. */
export const budgetByRule = booksAction(
  'budgetByRule',
  'openings.change',
  { percent: text(20) },
  async (context, { percent: typed }) => {
    const { tx, books, actor, now } = context;
    const columns = (await columnsIn(context)).filter((one) => isBudget(one.column));
    if (columns.length === 0)
      return fail(problem('budget.off', 'Budgets are not among the parts in use. Turn them on on the Company page.'));
    const percent = percentFrom(typed, books.style);
    if (!percent.ok) return percent;
    const stands = await comparativesOf(tx, books.id);
    const made = budgetFromLastYear(await standingChart({ tx, books }), stands, columns, percent.value);
    if (made.size === 0)
      return fail(
        problem(
          'budget.no-last-year',
          'No account of income or expense has an amount in last year’s close, so there is nothing to begin from. Type it in its column, or take it from a paper.',
        ),
      );
    const writings = columns.flatMap(({ column: own }) =>
      replacing(
        stands,
        own,
        new Map([...made].flatMap(([account, of]) => (of.has(own) ? [[account, of.get(own) ?? NIL] as const] : []))),
      ),
    );
    context.changes.about({ name: `${typed.trim()} %` });
    context.changes.add(await writeComparatives(tx, books.id, writings, actor.person, now));
    await recorded(context, `budget filled from last year, ${typed.trim()} %`);
    return ok({ accounts: made.size });
  },
);
