import type { PaperId } from '@/core/base/ids';
import { addTo } from '@/core/base/lists';
import { openingDate } from '@/core/calendar/cutover';
import type { Account, AccountId } from '@/core/chart/account';
import { normalSide } from '@/core/ledger/classes';
import { proposeCode } from '@/core/chart/codes';
import { minorDigits } from '@/core/money/currency';
import { type Minor, NIL, minor } from '@/core/money/minor';
import { ratioOf } from '@/core/money/rate';
import { minorRatio } from '@/core/money/convert';
import { accountsAtNil, balancingAccount } from '@/core/openings/search/last-resorts';
import type { SearchFigure, SearchInput, UntakenRow } from '@/core/openings/search/types';
import { statedTotals } from '@/core/papers/rows';
import { pairRates } from '@/store/currencies';
import { MOST_ROWS } from '@/core/files/limits';
import type { Part } from '@/core/openings/foreign';
import { currentSet, linesOf, partsOfSet } from '@/store/openings';
import { findPaper, papersOf, rowsBehind, rowsLeftOut } from '@/store/papers';
import { page } from '../frame/views';
import { readStored } from '../papers/reading';
import { openingRate } from '../frame/state';

/** An account of the search page: what names it, and what its figure is saved against. */
export interface WhyAccount {
  readonly id: AccountId;
  readonly code: string;
  readonly name: string;
  readonly revision: number;
  /** The paper and the row that the figure came from first. */
  readonly behind: { readonly paper: PaperId; readonly name: string; readonly row: number } | null;
}

const MOST_RATES = 40;

const suspenseFor = (accounts: readonly Account[]) => {
  const heading = accounts.find((account) => account.heading && account.classification === 'equity');
  return {
    code: proposeCode(accounts, heading),
    name: 'Opening suspense',
    classification: 'equity' as const,
    parent: heading?.id ?? null,
  };
};

const MOST_AT_NIL = 8;

const resortsOf = (chart: readonly Account[], stands: ReadonlyMap<AccountId, Minor>, missing: Minor) => {
  const nil = accountsAtNil(chart, stands, missing);
  return {
    /** The account that could take the difference as balancing figure. */
    balancing: balancingAccount(chart, stands, missing)?.id ?? null,
    /** The first accounts at nil to which a missing row would go, and how many there are. */
    nil: nil.slice(0, MOST_AT_NIL).map(({ id: account }) => account),
    nilInAll: nil.length,
  };
};

/** Everything that the out-of-balance search weighs, and what its page needs to name and to try its findings. */
export const whyView = (id: number) =>
  page('books.see', id, async (context, state) => {
    const { tx, books } = context;
    const set = await currentSet(tx, books.id);
    const lines = new Map(
      (set === undefined ? [] : await linesOf(tx, books.id, set.id)).map((line) => [line.account, line]),
    );
    const parts = set === undefined ? new Map<AccountId, readonly Part[]>() : await partsOfSet(tx, books.id, set.id);
    const papers = await papersOf(tx, books.id);
    const names = new Map(papers.map((paper) => [paper.id, paper.name]));
    const behind = new Map<AccountId, { paper: PaperId; row: number; amount: SearchFigure['amount'] }[]>();
    for (const { account, ...row } of await rowsBehind(tx, books.id, MOST_ROWS)) {
      addTo(behind, account, row);
    }

    const date = openingDate(books.cutover).toString();
    const rates = new Map<string, NonNullable<SearchFigure['rates']>>();
    for (const currency of state.currencies) {
      const now = openingRate(state, currency);
      if (now.kind === 'missing') continue;
      const digits = minorDigits(currency);
      const others = await pairRates(tx, books.id, [currency, books.currency], MOST_RATES, true);
      rates.set(currency, {
        now: minorRatio({ ratio: now.ratio, fromDigits: digits, toDigits: state.digits }),
        others: others.flatMap((rate) => {
          const ratio = rate.date === date ? undefined : ratioOf(rate, currency, books.currency);
          return ratio === undefined
            ? []
            : [{ date: rate.date, ratio: minorRatio({ ratio, fromDigits: digits, toDigits: state.digits }) }];
        }),
      });
    }

    // What the papers have that no figure took, and what the old system itself came to.
    const taken = papers.filter((paper) => paper.takenAt !== null);
    const untaken: UntakenRow[] = (await rowsLeftOut(tx, books.id)).map((row) => ({ ...row, account: null }));
    let stated: SearchInput['totals'] = null;
    for (const { id: paperId } of taken) {
      const paper = await findPaper(tx, books.id, paperId);
      if (paper === undefined) continue;
      const { rows } = (await readStored(context, paper, state.accounts, state.amounts)).sheet.recognition;
      untaken.push(
        ...rows.flatMap((row) =>
          row.kind === 'total' && row.code !== '' && row.amount !== 0n
            ? [{ paper: paperId, row: row.row, text: row.text, amount: row.amount, account: null }]
            : [],
        ),
      );
      if (taken.length === 1) stated = statedTotals(rows) ?? null;
    }

    const posting = state.accounts.filter((account) => !account.heading);
    return {
      set: set === undefined ? null : { id: set.id, state: set.state },
      papers: [...names].map(([paper, name]) => ({ id: paper, name })),
      suspense: state.accounts.find(({ role, active }) => role === 'opening-suspense' && active)?.id ?? null,
      /** The account that would be made for the difference, where there is none yet. */
      suspenseToMake: suspenseFor(state.accounts),
      /** What is left to do where nothing explains it, by the side on which something is missing. */
      resorts: {
        debit: resortsOf(state.accounts, state.amounts, minor(1n)),
        credit: resortsOf(state.accounts, state.amounts, minor(-1n)),
      },
      rounding: state.accounts.find(({ role, active }) => role === 'rounding' && active)?.id ?? null,
      stated,
      accounts: posting.map((account): WhyAccount => {
        const [first] = behind.get(account.id) ?? [];
        return {
          id: account.id,
          code: account.code,
          name: account.name,
          revision: lines.get(account.id)?.revision ?? 0,
          behind:
            first === undefined ? null : { paper: first.paper, name: names.get(first.paper) ?? '', row: first.row },
        };
      }),
      input: {
        atYearStart: state.atYearStart,
        untaken,
        // Totals that differ are no aim: then the mistake is in the paper already.
        totals: stated !== null && stated.debits === stated.credits ? stated : null,
        figures: posting.map((account): SearchFigure => {
          const rows = behind.get(account.id) ?? [];
          const [part, ...others] = parts.get(account.id) ?? [];
          const ratio = account.currency === null ? undefined : rates.get(account.currency);
          return {
            account: account.id,
            code: account.code,
            amount: lines.get(account.id)?.amount ?? NIL,
            classification: account.classification,
            normal: normalSide(account),
            role: account.role,
            rows: rows.map(({ amount }) => amount),
            ...(rows[0] === undefined ? {} : { order: rows[0].row }),
            ...(ratio === undefined ? {} : { rates: ratio }),
            ...(part === undefined || others.length > 0 ? {} : { foreign: part.amount }),
          };
        }),
      } satisfies SearchInput,
    };
  });
