import { dayOf } from '@/core/base/dates';
import { Temporal } from 'temporal-polyfill';
import { type Sentence, dated, say } from '@/core/base/sentence';
import { openingDate } from '@/core/calendar/cutover';
import { periodOf } from '@/core/calendar/year';
import type { AccountId } from '@/core/chart/account';
import { standing } from '@/core/ledger/level';
import { LAST_YEAR, adjustmentsOf, comparativeColumns, isAdjusted, lastYearOf } from '@/core/openings/comparatives';
import type { Document } from '@/core/statements/document';
import {
  type Head,
  type LastYear,
  type SheetForm,
  balanceSheetReport,
  incomeReport,
  journalReport,
  sheetForm,
  trialBalanceReport,
} from '@/core/statements/reports';
import {
  type JournalStatement,
  type StatementKind,
  balanceSheet,
  incomeStatement,
  trialBalance,
} from '@/core/statements/statements';
import { findLogo, personName } from '@/store/books';
import { comparativesOf } from '@/store/comparatives';
import { type Journal, journalsOf, ledgerBalances } from '@/store/journals';
import { linesOf, setsOf } from '@/store/openings';
import { papersOf } from '@/store/papers';
import { letterheadOf } from '../company/views';
import type { BooksState } from '../frame/state';
import { page } from '../frame/views';
import { type BooksContext, booksView } from '../kernel/action';
import { writingOfBooks } from '../kernel/writing';

/** How what is shown stands: a draft until something is posted; then by whom the last was, and whether a correction is open. */
const howItStands = (
  journals: readonly Journal[],
  versions: readonly { version: number; state: string }[],
): Document['standing'] => {
  const last = journals.at(-1);
  if (last === undefined) return { draft: true };
  const posted = versions.find(({ state }) => state === 'posted')?.version ?? 1;
  const open = versions.some(({ state }) => state === 'draft');
  return {
    draft: false,
    says: say`Version ${posted}, posted on ${dated(dayOf(last.at))} by ${last.by}${open ? '; a correction of it is open and not in here' : ''}`,
  };
};

/** Journals as they are shown, each line with where its figure is from. */
const shownJournals = async (
  { tx, books }: Pick<BooksContext, 'tx' | 'books'>,
  { accounts }: Pick<BooksState, 'accounts'>,
  journals: readonly Journal[],
): Promise<readonly JournalStatement[]> => {
  const byId = new Map(accounts.map((account) => [account.id, account]));
  const names = new Map((await papersOf(tx, books.id)).map(({ id, name }) => [id, name]));
  return Promise.all(
    journals.map(async ({ id: _, set, ...journal }) => {
      const lines = new Map((set === null ? [] : await linesOf(tx, books.id, set)).map((line) => [line.account, line]));
      const sourceOf = (account: AccountId): string => {
        const line = lines.get(account);
        if (line === undefined) return '';
        return line.why ?? (line.paper === null ? line.source : (names.get(line.paper) ?? 'a paper'));
      };
      return {
        ...journal,
        date: journal.date.toString(),
        lines: journal.lines.map(({ account, amount }) => {
          const { code = '', name = '' } = byId.get(account) ?? {};
          return { account, code, name, source: sourceOf(account), amount };
        }),
      };
    }),
  );
};

/** The adjustment periods that a statement may leave out: their names, whether anything in it is of them, and whether they are left out. */
export interface Adjustments {
  readonly periods: readonly string[];
  readonly some: boolean;
  readonly out: boolean;
}

/** Last year's closing balances, where there are any, and what adjustment periods have to do with them. */
const lastYear = async (
  { tx, books }: Pick<BooksContext, 'tx' | 'books'>,
  { years }: Pick<BooksState, 'years'>,
  wish: StatementWish,
): Promise<{ readonly last: LastYear | null; readonly adjustments: Adjustments | null }> => {
  const columns = comparativeColumns(years, books.cutover);
  const periods = adjustmentsOf(columns);
  const comparatives = await comparativesOf(tx, books.id);
  const out = wish.adjustments === 'out' && periods.length > 0;
  const amounts = lastYearOf(comparatives, !out);
  const date = columns.find(({ column }) => column === LAST_YEAR)?.end;
  return {
    last:
      date === undefined || date === '' || amounts.size === 0 ? null : { date, amounts, without: out ? periods : [] },
    adjustments: periods.length === 0 ? null : { periods, some: isAdjusted(comparatives), out },
  };
};

/** How somebody wants to see a statement. */
export interface StatementWish {
  readonly form: SheetForm;
  readonly adjustments: 'in' | 'out';
}

/** The wish in an address; what it does not say is as usual. */
export const statementWish = (asked: Readonly<Record<string, string | undefined>>): StatementWish => ({
  form: sheetForm(asked.form),
  adjustments: asked.adjustments === 'out' ? 'out' : 'in',
});

/** The statements of what is posted; before the first posting, of the draft, and said so. */
export const statementView = (id: number, kind: StatementKind, wish: StatementWish = statementWish({})) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const journals = await journalsOf(tx, books.id);
    const balances = journals.length > 0 ? await ledgerBalances(tx, books.id) : standing(state.amounts);
    const year = periodOf(state.years, books.cutover);
    const head: Head = {
      currency: books.currency,
      digits: state.digits,
      openingDate: openingDate(books.cutover).toString(),
      yearStart: state.atYearStart ? null : (year?.start.toString() ?? null),
      standing: howItStands(journals, await setsOf(tx, books.id)),
    };
    const { last, adjustments } = await lastYear({ tx, books }, state, wish);
    const build = async (): Promise<Document> => {
      switch (kind) {
        case 'trial-balance':
          return trialBalanceReport(trialBalance(state.accounts, balances, last?.amounts), head, last);
        case 'balance-sheet':
          return balanceSheetReport(balanceSheet(state.accounts, balances), head, wish.form);
        case 'income-statement':
          return incomeReport(incomeStatement(state.accounts, balances), head);
        case 'journal':
          return journalReport(await shownJournals({ tx, books }, state, journals), head);
      }
    };
    return {
      kind,
      form: wish.form,
      // Only the trial balance tells of last year; of this year's, nothing is carried over.
      adjustments: adjustments && { ...adjustments, some: adjustments.some && kind === 'trial-balance' },
      letterhead: await letterheadOf(tx, books),
      paperSize: books.facts.paperSize,
      document: await build(),
    };
  });

/** What documents are printed with: the company's paper, the books' style, and who prints when. */
export const printView = (id: number) =>
  booksView('books.see', id, async ({ tx, books, actor, now }) => {
    const zone = Temporal.Now.timeZoneId();
    const local = Temporal.Instant.from(now).toZonedDateTimeISO(zone);
    const printed: Sentence = say`Printed by ${await personName(tx, actor.person)} on ${dated(local.toPlainDate())}, ${local.toPlainTime().toString({ smallestUnit: 'minute' })} ${zone}`;
    const { lines, preprinted } = await letterheadOf(tx, books);
    return {
      books: books.name,
      letterhead: lines,
      preprinted,
      logo: (await findLogo(tx, books.id)) ?? null,
      style: books.style,
      writing: writingOfBooks(books),
      paperSize: books.facts.paperSize,
      printed,
    };
  });
