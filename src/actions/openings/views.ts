import { scheduleOf } from '@/core/schedules/kinds';
import { type Tie, lacksSupport } from '@/core/schedules/tie-out';
import { openingDate } from '@/core/calendar/cutover';
import type { Account, AccountId } from '@/core/chart/account';
import { inTreeOrder } from '@/core/chart/tree';
import { type Currency, minorDigits } from '@/core/money/currency';
import type { Minor } from '@/core/money/minor';
import type { Ratio } from '@/core/money/ratio';
import { compareVersions } from '@/core/openings/compare';
import { type Part, postingLines } from '@/core/openings/foreign';
import type { CheckResult } from '@/core/proof/checks';
import { journalsOf, ledgerPositions } from '@/store/journals';
import type { Source } from '@/core/openings/figure';
import { currentSet, linesOf, partsOfSet, setsOf } from '@/store/openings';
import { evidenceOn } from '@/store/evidence';
import { papersOf, rowsBehind } from '@/store/papers';
import { booksView } from '../kernel/action';
import { reviewIn } from './review-state';
import { page } from '../frame/views';
import { type BooksState, openingRate, positionsOf, stateOf } from '../frame/state';
import { historyOf } from '../frame/history';

export interface OpeningRowView {
  readonly id: AccountId;
  readonly code: string;
  readonly name: string;
  readonly classification: Account['classification'];
  readonly contra: boolean;
  readonly role: Account['role'];
  /** The foreign currency in which all of the account is kept; null for base currency, or for several. */
  readonly currency: Currency | null;
  readonly heading: boolean;
  readonly active: boolean;
  readonly depth: number;
  readonly amount: Minor | null;
  /** What of it is in foreign currencies. */
  readonly parts: readonly Part[];
  readonly revision: number;
  readonly source: Source | null;
}

export interface BehindView {
  readonly paper: number;
  readonly paperName: string;
  readonly row: number;
  readonly text: string;
  readonly amount: Minor;
  /** How many rows of the paper stand behind the figure; only the first ones are here. */
  readonly of: number;
}

/** How a figure ties to what stands behind it, where something does or should. */
export interface SupportView {
  readonly state: Tie['state'];
  readonly difference: Minor | null;
  readonly items: number;
}

const supportsOf = ({ accounts, ties }: BooksState): Readonly<Record<number, SupportView>> =>
  Object.fromEntries(
    accounts.flatMap((account) => {
      const [kind, tie] = [scheduleOf(account), ties.get(account.id)];
      if (kind === undefined || tie === undefined || (tie.state === 'none' && !lacksSupport(kind, tie))) return [];
      return [[account.id, { state: tie.state, difference: tie.difference, items: tie.items }]];
    }),
  );

/** Rows of a paper told behind one figure. */
const MOST_BEHIND = 12;

/** The rate of a foreign currency on the opening date, in base currency; null where none is near enough. */
export interface OpeningRate {
  readonly currency: Currency;
  readonly digits: number;
  readonly ratio: Ratio | null;
  /** The day that the rate is of. */
  readonly of: string | null;
}

export const openingsView = (id: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const set = await currentSet(tx, books.id);
    const lines = new Map(
      (set === undefined ? [] : await linesOf(tx, books.id, set.id)).map((line) => [line.account, line]),
    );
    const papers = await papersOf(tx, books.id);
    const names = new Map(papers.map((paper) => [paper.id, paper.name]));
    const behind: Partial<Record<number, BehindView[]>> = {};
    for (const { account, ...row } of await rowsBehind(tx, books.id, MOST_BEHIND))
      (behind[account] ??= []).push({ ...row, paperName: names.get(row.paper) ?? '' });
    const date = openingDate(books.cutover).toString();
    const parts = set === undefined ? new Map<AccountId, readonly Part[]>() : await partsOfSet(tx, books.id, set.id);
    const before = (await setsOf(tx, books.id)).find(({ version }) => version < (set?.version ?? 0));
    return {
      /** What stood in the version before, by account; null for the first version. */
      before:
        before === undefined
          ? null
          : Object.fromEntries(
              (await linesOf(tx, books.id, before.id)).map(({ account, amount }) => [account, amount]),
            ),
      rates: state.currencies.map((currency): OpeningRate => {
        const found = openingRate(state, currency);
        return {
          currency,
          digits: minorDigits(currency),
          ratio: found.kind === 'found' ? found.ratio : null,
          of: found.kind === 'found' ? (found.legs[0]?.rate.date ?? date) : null,
        };
      }),
      rounding: books.rounding,
      exchange: state.accounts
        .filter(({ role, active }) => active && (role === 'rounding' || role?.startsWith('exchange') === true))
        .map(({ id: account, code, name }) => ({ id: account, code, name })),
      set: set === undefined ? null : { id: set.id, version: set.version, state: set.state },
      papers: papers.filter(({ takenAt }) => takenAt !== null).map(({ id: paper, name }) => ({ id: paper, name })),
      behind,
      supports: supportsOf(state),
      evidence: await evidenceOn(tx, books.id, 'account'),
      rows: inTreeOrder(state.accounts)
        // An inactive account is shown while a figure stands on it, so that the figure can be moved.
        .filter(({ account }) => account.active || lines.has(account.id))
        .map(({ account, depth }): OpeningRowView => {
          const line = lines.get(account.id);
          return {
            id: account.id,
            code: account.code,
            name: account.name,
            classification: account.classification,
            contra: account.contra,
            role: account.role,
            currency: account.currency === books.currency ? null : account.currency,
            heading: account.heading,
            active: account.active,
            depth,
            amount: line?.amount ?? null,
            parts: parts.get(account.id) ?? [],
            revision: line?.revision ?? 0,
            source: line?.source ?? null,
          };
        }),
    };
  });

export const papersView = (id: number) =>
  page('books.see', id, async ({ tx, books }) => ({ papers: await papersOf(tx, books.id) }));

export const proofView = (id: number) =>
  page('books.see', id, async ({ tx, books }, state) => ({
    proof: state.proof satisfies readonly CheckResult[],
    evidence: await evidenceOn(tx, books.id, 'check'),
  }));

export const signOffView = (id: number) =>
  page('books.see', id, async (context, state) => {
    const { tx, books, actor } = context;
    const set = await currentSet(tx, books.id);
    const parts = set === undefined ? new Map<AccountId, readonly Part[]>() : await partsOfSet(tx, books.id, set.id);
    const lines = postingLines(positionsOf(state.amounts, parts), await ledgerPositions(tx, books.id));
    const byId = new Map(state.accounts.map((account) => [account.id, account]));
    return {
      proof: state.proof,
      set: set === undefined ? null : set,
      versions: await setsOf(tx, books.id),
      lines: [...lines]
        .flatMap(({ account, amount, currency, foreign }) => {
          const found = byId.get(account);
          return found === undefined ? [] : [{ code: found.code, name: found.name, amount, currency, foreign }];
        })
        .sort((a, b) => (a.code < b.code ? -1 : 1)),
      period:
        state.years.flatMap((year) => year.periods).find((period) => period.end.equals(openingDate(books.cutover)))
          ?.name ?? null,
      journals: (await journalsOf(tx, books.id)).map(({ number, description, at, by, lines: own }) => ({
        number,
        description,
        at,
        by,
        count: own.length,
      })),
      history: await historyOf({ tx, books }, 'openings'),
      review: set === undefined ? null : await reviewIn(context, set.id),
      ownReview: books.review,
      me: actor.person,
    };
  });

/** Two versions of the opening position, account by account, with where the later figure came from. */
export const compareView = (id: number, from: number | undefined, to: number | undefined) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const versions = await setsOf(tx, books.id);
    const newer = versions.find(({ version }) => version === to) ?? versions[0];
    const older =
      versions.find(({ version }) => version === from) ??
      versions.find(({ version }) => version < (newer?.version ?? 0)) ??
      newer;
    const figures = async (set: typeof newer) => (set === undefined ? [] : linesOf(tx, books.id, set.id));
    const [was, is] = [await figures(older), await figures(newer)];
    const names = new Map((await papersOf(tx, books.id)).map((paper) => [paper.id, paper.name]));
    const sources = new Map(is.map((line) => [line.account, line]));
    return {
      versions,
      from: older ?? null,
      to: newer ?? null,
      rows: compareVersions(
        state.accounts,
        new Map(was.map(({ account, amount }) => [account, amount])),
        new Map(is.map(({ account, amount }) => [account, amount])),
      ).map((row) => {
        const line = sources.get(row.account.id);
        return {
          ...row,
          why:
            line === undefined
              ? 'cleared'
              : (line.why ?? (line.paper === null ? line.source : `from ${names.get(line.paper) ?? 'a paper'}`)),
        };
      }),
    };
  });

/** Accounts and stages for the command list. */
export const commandsView = (id: number) =>
  booksView('books.see', id, async ({ tx, books }) => {
    const state = await stateOf(tx, books);
    return state.accounts
      .filter((account) => !account.heading)
      .map(({ id: account, code, name }) => ({ id: account, code, name }));
  });
