import { z } from 'zod';
import { accountId, called } from '@/core/chart/account';
import { isCurrency } from '@/core/money/currency';
import type { Minor } from '@/core/money/minor';
import type { Part } from '@/core/openings/foreign';
import { partsProblem, sameParts } from '@/core/openings/in-currency';
import { type Problem, fail, ok, problem, under } from '@/core/base/result';
import { accountsOf } from '@/store/chart';
import { type Writing, currentSet, figuresOnce, lockLines, writeLines } from '@/store/openings';
import { type BooksContext, booksAction } from './action';
import { currenciesOn } from './chart-edits';
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
  'openings.change',
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
    const { tx, books, actor, now } = context;
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
    const stored = await lockLines(
      tx,
      books.id,
      draft.value.id,
      input.entries.map((entry) => entry.account),
    );
    const on = input.entries.some(({ parts }) => parts !== undefined && parts.length > 0)
      ? await currenciesOn(context)
      : [];
    const once = await figuresOnce(
      tx,
      books.id,
      draft.value.id,
      input.entries.flatMap(({ account, restores }) => (restores ? [account] : [])),
    );
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
        !sameParts(parts, stored.get(entry.account)?.parts ?? []) &&
        !(entry.restores && (once.get(entry.account) ?? []).some((known) => sameParts(known.parts, parts)));
      const wrongParts =
        entry.parts === undefined || !parted
          ? undefined
          : partsProblem(
              account.currency === books.currency ? null : account.currency,
              { amount: entry.amount, parts: entry.parts },
              on,
            );
      return wrongParts === undefined ? [] : [under(wrongParts, entry.account)];
    });
    if (wrong.length > 0) return fail(...wrong);
    const clashes = input.entries.flatMap((entry): Clash[] => {
      const line = stored.get(entry.account);
      if ((line?.revision ?? 0) === entry.revision || (line === undefined && entry.amount === null)) return [];
      return [
        {
          account: entry.account,
          amount: line?.amount ?? null,
          parts: stored.get(entry.account)?.parts ?? [],
          revision: line?.revision ?? 0,
          by: line?.by ?? 'somebody',
          at: line?.at ?? now,
        },
      ];
    });
    if (clashes.length > 0) return ok<Saved>({ saved: false, clashes });
    const writings = input.entries.flatMap((entry): Writing[] => {
      const line = stored.get(entry.account);
      const from = line?.amount ?? null;
      const parts = entry.parts ?? stored.get(entry.account)?.parts ?? [];
      const parted = !sameParts(parts, stored.get(entry.account)?.parts ?? []);
      if (from === entry.amount && !parted) return [];
      const known = (once.get(entry.account) ?? []).find((figure) => figure.amount === entry.amount);
      const givenBack = known && { source: known.source, paper: known.paper, why: known.why };
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
          ...(entry.parts === undefined ? {} : { parts }),
          ...(givenBack ?? origin),
        },
      ];
    });
    const { revisions, changes } = await writeLines(tx, books.id, draft.value.id, writings, actor.person, now, stored);
    context.changes.add(changes);
    return ok<Saved>({
      saved: true,
      revisions: input.entries.map((entry) => ({
        account: entry.account,
        revision: revisions.get(entry.account) ?? (entry.amount === null ? 0 : entry.revision),
      })),
    });
  },
);
