import { z } from 'zod';
import { type AccountId, accountId } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import { type FigureEntry, type StoodBefore, entryOrigin, entryProblem } from '@/core/openings/entries';
import type { Part } from '@/core/openings/foreign';
import { fail, ok, problem } from '@/core/base/result';
import { accountsOf } from '@/store/chart';
import { type HeldLine, type Writing, currentSet, figuresOnce, lockLines, writeLines } from '@/store/openings';
import { type BooksContext, booksAction } from '../kernel/action';
import { currenciesOn } from '../chart/edits';
import { currencyCode, distinct, id, int4, text, units } from '../kernel/inputs';

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
  currency: currencyCode(),
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

/** What somebody else made of a figure since it was seen at this revision. */
const clashOf = (
  {
    account,
    amount: to,
    revision,
  }: { readonly account: AccountId; readonly amount: Minor | null; readonly revision: number },
  line: HeldLine | undefined,
  now: string,
): Clash | undefined =>
  (line?.revision ?? 0) === revision || (line === undefined && to === null)
    ? undefined
    : {
        account,
        amount: line?.amount ?? null,
        parts: line?.parts ?? [],
        revision: line?.revision ?? 0,
        by: line?.by ?? 'somebody',
        at: line?.at ?? now,
      };

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
    const ids = input.entries.map(({ account }) => account);
    const chart = new Map((await accountsOf(tx, books.id, ids)).map((account) => [account.id, account]));
    const stored = await lockLines(tx, books.id, draft.value.id, ids);
    const given = input.entries.flatMap(({ account, restores }) => (restores ? [account] : []));
    const once = await figuresOnce(tx, books.id, draft.value.id, given);
    const before = ({ account }: FigureEntry): StoodBefore => ({
      stands: stored.get(account) ?? null,
      once: once.get(account) ?? [],
    });
    const parted = input.entries.some(({ parts = [] }) => parts.length > 0);
    const rules = { base: books.currency, on: parted ? await currenciesOn(context) : [] };
    const wrong = input.entries.flatMap(
      (entry) => entryProblem(entry, chart.get(entry.account), before(entry), rules) ?? [],
    );
    if (wrong.length > 0) return fail(...wrong);
    const clashes = input.entries.flatMap((entry) => clashOf(entry, stored.get(entry.account), now) ?? []);
    if (clashes.length > 0) return ok<Saved>({ saved: false, clashes });

    const writings = input.entries.flatMap((entry): Writing[] => {
      const origin = entryOrigin(entry, before(entry));
      const { account, amount: to, parts } = entry;
      return origin === undefined
        ? []
        : [{ account, amount: to, ...(parts === undefined ? {} : { parts }), ...origin }];
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
