import { type Currency } from '@/core/money/currency';
import { type Account, type AccountId, listed } from '@/core/chart/account';
import type { BankDetails } from '@/core/chart/bank';
import { type ChartEdit, type Edited, applyEdits, usesAsked } from '@/core/chart/edit';
import { accountChanges } from '@/core/chart/recorded';
import type { IncomingRules } from '@/core/chart/incoming';
import { type Problem, type Result, fail, ok, problem } from '@/core/base/result';
import { bankDetailsOf, putBankDetails } from '@/store/bank-details';
import { saveChart, usesOf } from '@/store/chart';
import { currenciesOf } from '@/store/currencies';
import { record } from '@/store/history';
import { dropDecisions } from '@/store/paper-decisions';
import { taxCodesOf } from '@/store/tax-codes';
import type { BooksContext, WritingContext } from '../kernel/action';
import { chartChanged, standingIndex } from '../frame/held-chart';

export const MOST_ACCOUNTS = 50_000;

/** Foreign currencies that accounts of these books can be kept in. */
export const currenciesOn = async ({ tx, books }: BooksContext): Promise<readonly Currency[]> =>
  books.facts.parts.includes('currencies') ? ((await currenciesOf(tx, [books.id])).get(books.id) ?? []) : [];

/** Currencies and tax codes that accounts name have to be there; the database refuses them otherwise, but without a sentence. */
const referenceProblems = async (context: BooksContext, edited: Edited): Promise<readonly Problem[]> => {
  const touched = [...edited.added.map((is) => ({ was: undefined, is })), ...edited.changed];
  const newly = (field: 'currency' | 'taxCode'): readonly Account[] =>
    touched.flatMap(({ was, is }) => (is[field] !== null && is[field] !== was?.[field] ? [is] : []));
  const [inCurrency, taxed] = [newly('currency'), newly('taxCode')];
  const on = inCurrency.length === 0 ? [] : await currenciesOn(context);
  const codes = taxed.length === 0 ? [] : (await taxCodesOf(context.tx, context.books.id)).map(({ code }) => code);
  return [
    ...inCurrency
      .filter(({ currency }) => currency !== null && !on.includes(currency))
      .map(({ id, currency }) =>
        problem(
          'account.currency-off',
          `${currency ?? ''} is not switched on in these books. Switch it on on the Currencies page first.`,
          id,
          'currency',
        ),
      ),
    ...taxed
      .filter(({ taxCode }) => taxCode !== null && !codes.includes(taxCode))
      .map(({ id, taxCode }) =>
        problem('account.tax-code-unknown', `There is no tax code ${taxCode ?? ''} in these books.`, id, 'taxCode'),
      ),
  ];
};

export interface CarriedOut {
  /** The ids that new accounts got, by those they had in the edits. */
  readonly ids: ReadonlyMap<AccountId, AccountId>;
  readonly edited: Edited;
}

/** Carries edits of a chart out in the transaction of an action: all of them, or a problem for each that cannot be. */
export const carryOut = async (
  context: WritingContext,
  edits: readonly ChartEdit[],
  brought?: { readonly what: string; readonly banks?: ReadonlyMap<AccountId, BankDetails> },
): Promise<Result<CarriedOut>> => {
  const { tx, books, actor, now } = context;
  const index = await standingIndex(context);
  if (index.byId.size + edits.filter((edit) => edit.kind === 'add').length > MOST_ACCOUNTS)
    return fail(problem('chart.large', `A chart has at most ${MOST_ACCOUNTS} accounts.`));
  const asked = usesAsked(edits);
  const done = applyEdits(index, edits, {
    codes: books.chart.codes,
    base: books.currency,
    uses: asked.length === 0 ? new Map() : await usesOf(tx, books.id, asked),
  });
  if (!done.ok) return done;
  const edited = done.value;
  const wrong = await referenceProblems(context, edited);
  if (wrong.length > 0) return fail(...wrong);
  // What goes with accounts that go stays in the record.
  if (edited.removed.length > 0) {
    const going = edited.removed.map(({ id }) => id);
    context.changes.add(await putBankDetails(tx, books.id, new Map(going.map((id) => [id, undefined]))));
    context.changes.add(await dropDecisions(tx, books.id, going));
  }
  const ids = await saveChart(tx, books.id, edited);
  await chartChanged(context, edited, ids);
  if (brought?.banks !== undefined)
    context.changes.add(
      await putBankDetails(tx, books.id, new Map([...brought.banks].map(([id, bank]) => [ids.get(id) ?? id, bank]))),
    );
  context.changes.add(accountChanges(edited, ids).map((change) => ({ subject: 'account', ...change })));
  const gone = edited.removed;
  const sum = [
    ...(brought === undefined ? [] : [brought.what]),
    ...(gone.length === 0 ? [] : [`account${gone.length === 1 ? '' : 's'} ${listed(gone)} deleted`]),
  ];
  if (sum.length > 0) await record(tx, books.id, 'books', [books.id], sum.join('; '), actor.person, now);
  return ok({ ids, edited });
};

/** What a plan for incoming accounts has to know about these books. */
export const incomingRules = async (
  context: BooksContext,
  how: Pick<IncomingRules, 'update' | 'clash'>,
): Promise<IncomingRules> => {
  const { tx, books } = context;
  return {
    ...how,
    codes: books.chart.codes,
    scheme: books.chart.scheme,
    base: books.currency,
    currencies: await currenciesOn(context),
    taxCodes: (await taxCodesOf(tx, books.id)).map(({ code }) => code),
    uses: await usesOf(tx, books.id),
    banks: await bankDetailsOf(tx, books.id),
  };
};
