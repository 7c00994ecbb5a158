import { dayOf } from '@/core/base/dates';
import { proposedForRole } from '@/core/chart/role-proposals';
import { proposedTaxAccounts } from '@/core/chart/tax-accounts';
import { openingDate } from '@/core/calendar/cutover';
import type { Account } from '@/core/chart/account';
import { tidy } from '@/core/chart/advice/advise';
import type { Advice, TidyState } from '@/core/chart/advice/types';
import { NO_BANK_DETAILS } from '@/core/chart/bank';
import { chartRows } from '@/core/chart/chart-file';
import { type Answers, answersFrom } from '@/core/chart/composition/answers';
import { holdsMoney } from '@/core/chart/money';
import { neededRoles } from '@/core/chart/composition/compose';
import { asRoles, asStatements } from '@/core/chart/places';
import { writeSaft } from '@/core/chart/saft';
import { inTreeOrder } from '@/core/chart/tree';
import type { Minor } from '@/core/money/minor';
import { toCsv, toXlsx } from '@/core/files/write';
import { allBooks } from '@/store/books';
import { bankDetailsOf } from '@/store/bank-details';
import { usesOf } from '@/store/chart';
import { dismissalsOf, templatesOf } from '@/store/chart-library';
import { evidenceOn } from '@/store/evidence';
import { taxCodesOf } from '@/store/tax-codes';
import { type BooksContext, booksView, mayIn } from '../kernel/action';
import { readTemplate, sourceRef, findSource } from './sources';
import { currenciesOn, incomingRules } from './edits';
import { page } from '../frame/views';
import { type BooksState, stateOf } from '../frame/state';

export interface ChartRowView {
  readonly account: Account;
  readonly amount: Minor | null;
}

const rowsOf = (state: BooksState): readonly ChartRowView[] =>
  state.accounts.map((account) => ({ account, amount: state.amounts.get(account.id) ?? null }));

/**
 * The answers that stand, or what the company's facts and the chart already say. A part that is in use so that its roles can be chosen
 * says nothing of stock or loans; an account that has the role does.
 */
const answersOf = ({ books, currencies, accounts }: Pick<BooksState, 'books' | 'currencies' | 'accounts'>): Answers => {
  if (books.chart.answers !== null) return books.chart.answers;
  const shown = new Set(accounts.map(({ role }) => role));
  const parts = books.facts.parts.filter(
    (part) => (part !== 'stock' || shown.has('stock')) && (part !== 'loans' || shown.has('loan')),
  );
  return answersFrom({ ...books.facts, parts }, currencies);
};

/** The chart as the sheet edits it. */
export const chartView = (id: number) =>
  page('books.see', id, async ({ tx, books }, state) => ({
    currencies: state.currencies,
    settings: books.chart,
    taxCodes: (await taxCodesOf(tx, books.id)).map(({ code, name }) => ({ code, name })),
    evidence: await evidenceOn(tx, books.id, 'account'),
    rows: rowsOf(state),
  }));

export const chartStatementsView = (id: number) =>
  page('books.see', id, ({ books }, state) => asStatements(state.accounts, state.amounts, books.chart.scheme));

/** What each role points to, the accounts that have none, and those of them that are called like a role that is missing. */
export const chartRolesView = (id: number) =>
  page('books.see', id, (_, state) => {
    const posting = state.accounts.filter(({ heading }) => !heading);
    return {
      roles: asRoles(posting, neededRoles(answersOf(state))).map((row) => ({
        ...row,
        proposed: row.missing ? proposedForRole(posting, row.role) : [],
      })),
      free: inTreeOrder(posting)
        .filter(({ account }) => account.active && account.role === null)
        .map(({ account: { id: account, code, name, classification } }) => ({
          id: account,
          code,
          name,
          classification,
        })),
    };
  });

export const moneyView = (id: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const details = await bankDetailsOf(tx, books.id);
    return {
      country: books.country,
      currencies: state.currencies,
      scheme: books.chart.scheme,
      accounts: state.accounts,
      money: inTreeOrder(state.accounts)
        .filter(({ account }) => holdsMoney(account))
        .map(({ account }) => ({
          account,
          amount: state.amounts.get(account.id) ?? null,
          details: details.get(account.id) ?? NO_BANK_DETAILS,
        })),
    };
  });

export const taxView = (id: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const accounts = state.accounts.filter((account) => !account.heading && account.role === 'tax' && account.active);
    return {
      country: books.country,
      firstDay: state.years[0]?.start.toString() ?? openingDate(books.cutover).toString(),
      codes: await taxCodesOf(tx, books.id),
      accounts,
      proposed: proposedTaxAccounts(accounts),
    };
  });

export const codesView = (id: number) =>
  page('books.see', id, ({ books }, state) => ({ settings: books.chart, accounts: state.accounts }));

const tidyFrom = async ({ tx, books }: BooksContext, state: BooksState): Promise<Omit<TidyState, 'index'>> => ({
  chart: state.accounts,
  amounts: state.amounts,
  used: new Set((await usesOf(tx, books.id)).keys()),
  legalForm: books.legalForm,
  answers: books.chart.answers,
  needed: neededRoles(answersOf(state)),
  scheme: books.chart.scheme,
});

export const tidyStateOf = async (context: BooksContext): Promise<Omit<TidyState, 'index'>> =>
  tidyFrom(context, await stateOf(context.tx, context.books));

export type AdviceView = Omit<Advice, 'fix'> & { readonly label: string; readonly byHand: boolean };

export const tidyView = (id: number) =>
  page('books.see', id, async (context, state) => {
    const dismissed = new Map((await dismissalsOf(context.tx, context.books.id)).map((one) => [one.key, one]));
    const advice = tidy(await tidyFrom(context, state)).map(
      ({ fix, ...rest }): AdviceView & { readonly dismissal: { reason: string; by: string; at: string } | null } => ({
        ...rest,
        label: fix.label,
        byHand: fix.edits.length === 0 && fix.merges.length === 0,
        dismissal: dismissed.get(rest.key) ?? null,
      }),
    );
    return { advice, answered: context.books.chart.answers !== null };
  });

/** How many things Tidying has to say that nobody has put aside. */
export const tidyCount = (id: number) =>
  booksView('books.see', id, async (context) => {
    const dismissed = new Set((await dismissalsOf(context.tx, context.books.id)).map(({ key }) => key));
    const state = await tidyStateOf(context);
    // What a chart without accounts lacks is everything.
    return { count: state.chart.length === 0 ? 0 : tidy(state).filter(({ key }) => !dismissed.has(key)).length };
  });

/** For beginning or extending a chart: what stands, and what the preview of anything brought has to know. */
export const beginView = (id: number) =>
  page('books.see', id, async (context, state) => ({
    accounts: state.accounts,
    rules: await incomingRules(context, { update: false, clash: 'keep' }),
    answers: answersOf(state),
    answered: context.books.chart.answers !== null,
    currenciesOn: await currenciesOn(context),
  }));

/** What there is to copy from, and the one chosen. */
export const copyView = (id: number, from?: { readonly kind: string; readonly id: number }) =>
  page('books.see', id, async (context, state) => {
    const { tx, actor, books } = context;
    const ref = sourceRef.safeParse(from);
    const others = (await allBooks(tx, actor.practice)).filter(
      (one) => one.id !== books.id && !one.archived && mayIn(actor, 'books.see', one),
    );
    const templates = (await templatesOf(tx, actor.practice)).flatMap((one) => {
      const source = readTemplate(one.name, one.content);
      return source === undefined
        ? []
        : [{ id: one.id, name: one.name, by: one.by, at: one.at, accounts: source.accounts.length }];
    });
    return {
      accounts: state.accounts,
      rules: await incomingRules(context, { update: true, clash: 'keep' }),
      others: others.map(({ id: other, name }) => ({ id: other, name })),
      templates,
      source: ref.success ? ((await findSource(context, ref.data)) ?? null) : null,
      from: ref.success ? ref.data : null,
    };
  });

export type ChartFormat = 'csv' | 'xlsx' | 'xml';
export const isChartFormat = (text: string): text is ChartFormat => text === 'csv' || text === 'xlsx' || text === 'xml';

/** The chart as a file of an open format, which the import reads back. */
export const exportChart = (id: number, format: ChartFormat) =>
  booksView('books.see', id, async (context) => {
    const { tx, books, now } = context;
    const { accounts, years } = await stateOf(tx, books);
    const name = `${books.name} chart.${format}`;
    if (format === 'xml')
      return {
        name,
        type: 'application/xml; charset=utf-8',
        content: writeSaft(accounts, {
          company: books.name,
          registration: books.facts.registrationNumber,
          country: books.country,
          currency: books.currency,
          from: years[0]?.start.toString() ?? '',
          to: years[0]?.end.toString() ?? '',
          created: dayOf(now),
        }),
      };
    const rows = chartRows(accounts, await bankDetailsOf(tx, books.id), books.currency);
    return format === 'csv'
      ? { name, type: 'text/csv; charset=utf-8', content: toCsv(rows) }
      : {
          name,
          type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
          content: toXlsx('Chart of accounts', rows),
        };
  });

/** Everything for a chart on paper: the tree with what a reader wants to see of each account. */
export const chartPrintView = (id: number) =>
  page('books.see', id, (_, state) => ({
    rows: inTreeOrder(state.accounts).map(({ account, depth }) => ({
      account,
      depth,
      amount: state.amounts.get(account.id) ?? null,
    })),
    company: state.books.facts,
  }));
