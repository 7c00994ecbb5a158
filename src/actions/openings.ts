'use server';

import { z } from 'zod';
import { type Period, periodOf } from '@/core/calendar/year';
import { openingDate } from '@/core/calendar/cutover';
import { writeDate } from '@/core/calendar/dates';
import { accountId, called } from '@/core/chart/account';
import { isCurrency } from '@/core/money/currency';
import { formatMinor } from '@/core/money/format';
import type { Minor } from '@/core/money/minor';
import { type Part, postingLines } from '@/core/openings/foreign';
import { partsProblem, sameParts } from '@/core/openings/in-currency';
import { totalsOf } from '@/core/openings/level';
import { blockers } from '@/core/proof/checks';
import { type Problem, fail, ok, plural, problem } from '@/core/result';
import { accountsOf } from '@/store/chart';
import { record } from '@/store/history';
import { ledgerPositions, postJournal } from '@/store/journals';
import {
  type Writing,
  copyLines,
  currentSet,
  deleteDraft,
  insertSet,
  lockLines,
  markPosted,
  partsInHistory,
  partsOfLines,
  partsOfSet,
  sourcesOf,
  writeLines,
} from '@/store/openings';
import { type BooksContext, booksAction } from './action';
import { currenciesOn } from './chart-edits';
import { positionsOf, stateOf } from './state';
import { distinct, id, int4, text, units } from './inputs';

/** The draft, or why there is none to write into. */
const draftOf = async ({ tx, books }: BooksContext) => {
  const set = await currentSet(tx, books.id);
  if (set?.state === 'draft') return ok(set);
  return fail(
    problem(
      'openings.posted',
      'The opening balances are posted, so figures stay as they are. Open a correction on the Sign-off page to change them.',
    ),
  );
};

const amount = units.nullable();

const part = z.object({
  currency: z.string().refine(isCurrency, 'This is no currency of ISO 4217.'),
  amount: units,
  base: units,
});

/** A figure that somebody else changed since it was last seen. */
export interface Clash {
  readonly account: number;
  readonly amount: Minor | null;
  readonly parts: readonly Part[];
  readonly revision: number;
  readonly by: string;
  readonly at: string;
}

export type Saved =
  | { readonly saved: true; readonly revisions: readonly { readonly account: number; readonly revision: number }[] }
  | { readonly saved: false; readonly clashes: readonly Clash[] };

/**
 * Saves figures that were typed or pasted. Each names the revision it was seen at (0 for an empty cell). If any was changed
 * by somebody else meanwhile, nothing is stored and the clashes come back with both values, for a person to decide.
 */
export const saveFigures = booksAction(
  'saveFigures',
  {
    set: id,
    entries: z
      .array(
        z.object({
          account: id.transform(accountId),
          amount,
          revision: int4.min(0),
          /** An undo or redo: the figure gets back the origin it had when it last stood at this amount. */
          restores: z.boolean(),
          /** For a figure that was calculated: by what. */
          why: text(300).trim().min(3, 'Say in a few words why.').optional(),
          /** What of it is in foreign currencies; where not said, as it was. */
          parts: z
            .array(part)
            .max(20)
            .superRefine(distinct('A currency', (one) => one.currency))
            .readonly()
            .optional(),
        }),
      )
      .min(1)
      .max(25_000)
      .superRefine(distinct('An account', (entry) => entry.account)),
  },
  async (context, input) => {
    const { tx, books, actor, now, newId } = context;
    const draft = await draftOf(context);
    if (!draft.ok) return draft;
    if (draft.value.id !== input.set)
      return fail(
        problem(
          'openings.other-version',
          'A newer version of the opening balances was opened elsewhere. Load the page again.',
        ),
      );
    const named = await accountsOf(
      tx,
      books.id,
      input.entries.map((entry) => entry.account),
    );
    const chart = new Map(named.map((account) => [account.id, account]));
    const before = await partsOfLines(
      tx,
      books.id,
      draft.value.id,
      input.entries.map((entry) => entry.account),
    );
    const on = input.entries.some(({ parts }) => parts !== undefined && parts.length > 0)
      ? await currenciesOn(context)
      : [];
    const givenBack = input.entries.flatMap(({ account, restores, parts }) =>
      restores && (parts?.length ?? 0) > 0 ? [account] : [],
    );
    const once = await partsInHistory(tx, books.id, draft.value.id, givenBack);
    const wrong = input.entries.flatMap((entry): Problem[] => {
      const account = chart.get(entry.account);
      if (account === undefined)
        return [
          problem(
            'account.unknown',
            'This account is not in the chart any more. Load the page again.',
            String(entry.account),
          ),
        ];
      if (account.heading && entry.amount !== null)
        return [
          problem('account.heading', `${called(account)} is a heading and takes no amounts.`, String(entry.account)),
        ];
      // Parts that stay as they are, or that the figure once had and gets back, were taken when they came: from a paper
      // also in a currency that is off.
      const parts = entry.parts ?? [];
      const parted =
        !sameParts(parts, before.get(entry.account)?.parts ?? []) &&
        !(entry.restores && (once.get(entry.account) ?? []).some((known) => sameParts(known, parts)));
      const wrongParts =
        entry.parts === undefined || !parted
          ? undefined
          : partsProblem(
              account.currency === books.currency ? null : account.currency,
              { amount: entry.amount, parts: entry.parts },
              on,
            );
      return wrongParts === undefined ? [] : [{ ...wrongParts, field: String(entry.account) }];
    });
    if (wrong.length > 0) return fail(...wrong);
    const stored = await lockLines(
      tx,
      books.id,
      draft.value.id,
      input.entries.map((entry) => entry.account),
    );
    const clashes = input.entries.flatMap((entry): Clash[] => {
      const line = stored.get(entry.account);
      if ((line?.revision ?? 0) === entry.revision || (line === undefined && entry.amount === null)) return [];
      return [
        {
          account: entry.account,
          amount: line?.amount ?? null,
          parts: before.get(entry.account)?.parts ?? [],
          revision: line?.revision ?? 0,
          by: line?.by ?? 'somebody',
          at: line?.at ?? now,
        },
      ];
    });
    if (clashes.length > 0) return ok<Saved>({ saved: false, clashes });
    const sources = await sourcesOf(
      tx,
      books.id,
      draft.value.id,
      input.entries.filter((entry) => entry.restores),
    );
    const writings = input.entries.flatMap((entry): Writing[] => {
      const line = stored.get(entry.account);
      const from = line?.amount ?? null;
      const parts = entry.parts ?? before.get(entry.account)?.parts ?? [];
      const parted = !sameParts(parts, before.get(entry.account)?.parts ?? []);
      if (from === entry.amount && !parted) return [];
      // A base amount that stays where it was still comes from where it came from.
      const origin =
        line !== undefined && from === entry.amount
          ? { source: line.source, paper: line.paper, why: line.why }
          : {
              source: entry.why === undefined ? ('typed' as const) : ('calculated' as const),
              paper: null,
              why: entry.why ?? null,
            };
      return [
        {
          account: entry.account,
          amount: entry.amount,
          from,
          ...origin,
          ...(entry.parts === undefined ? {} : { parts }),
          ...sources.get(entry.account),
        },
      ];
    });
    const revisions = await writeLines(tx, books.id, draft.value.id, writings, newId(), actor.person, now, before);
    return ok<Saved>({
      saved: true,
      revisions: input.entries.map((entry) => ({
        account: entry.account,
        revision: revisions.get(entry.account) ?? (entry.amount === null ? 0 : entry.revision),
      })),
    });
  },
);

/**
 * Posts the draft as one journal of *target minus what stands*, dated the day before the cutover date; only without
 * blockers, and once: `set` names the draft that was looked at, so a second press, tab or retry finds it posted.
 */
export const postOpenings = booksAction('postOpenings', { set: id }, async ({ tx, books, actor, now }, input) => {
  const set = await currentSet(tx, books.id);
  if (set?.id !== input.set || set.state !== 'draft')
    return fail(
      problem(
        'openings.already-posted',
        'These opening balances were already posted. Nothing was posted a second time.',
      ),
    );
  const state = await stateOf(tx, books);
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
      ? `Opening balances at close of ${writeDate(date)}`
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
    `version ${set.version} posted as journal ${number}: ${plural(lines.length, 'line')}, ${formatMinor(debits, state.digits, books.style)} ${books.currency} on each side`,
    actor.person,
    now,
  );
  return ok({ number, lines: lines.length });
});

/** Opens a correction: a new draft that begins as the posted version. */
export const openCorrection = booksAction(
  'openCorrection',
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
    await record(
      tx,
      books.id,
      'openings',
      [id],
      `correction opened as version ${set.version + 1}: ${input.reason}`,
      actor.person,
      now,
    );
    return ok({});
  },
);

/** Takes an open correction back; the posted version counts again. */
export const discardCorrection = booksAction(
  'discardCorrection',
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
