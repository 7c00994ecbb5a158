'use server';

import { z } from 'zod';
import { type AccountDraft, accountId, accountProblems, called } from '@/core/chart/account';
import { CLASS_IDS, ROLE_IDS, classFacts, roleFacts, typeOf } from '@/core/chart/classes';
import { type Problem, fail, ok, plural, problem } from '@/core/result';
import { accountUse, chartOf, deleteAccount, insertAccounts, updateAccount } from '@/store/chart';
import { currenciesOf } from '@/store/currencies';
import { record } from '@/store/history';
import { type BooksContext, booksAction } from './action';

const id = z.int().positive().transform(accountId);
const fields = {
  code: z.string().trim(),
  name: z.string().trim(),
  class: z.enum(CLASS_IDS),
  parent: id.nullable(),
  role: z.enum(ROLE_IDS).nullable(),
  /** Null for the base currency. */
  currency: z.string().nullable(),
};

/** A currency of an account is one of those switched on. */
const currencyProblems = async ({ tx, books }: BooksContext, currency: string | null): Promise<readonly Problem[]> => {
  if (currency === null) return [];
  const on = (await currenciesOf(tx, [books.id])).get(books.id) ?? [];
  return books.facts.parts.includes('currencies') && on.includes(currency)
    ? []
    : [
        problem(
          'account.currency-off',
          `${currency} is not switched on in these books. Switch it on on the Currencies page first.`,
          'currency',
        ),
      ];
};

export const addAccount = booksAction(
  'addAccount',
  { ...fields, currency: fields.currency.default(null), heading: z.boolean() },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const chart = await chartOf(tx, books.id);
    const problems = [...accountProblems(input, chart), ...(await currencyProblems(context, input.currency))];
    if (problems.length > 0) return fail(...problems);
    const parentCode = chart.find((account) => account.id === input.parent)?.code ?? null;
    const [made] = await insertAccounts(tx, books.id, [{ ...input, parentCode }]);
    if (made === undefined) throw new Error('an id for the inserted account');
    await record(
      tx,
      books.id,
      'account',
      [made],
      `added as ${called(input)}, ${classFacts(input.class).one}`,
      actor.person,
      now,
    );
    return ok({ id: made });
  },
);

const unknownAccount = fail(
  problem('account.unknown', 'This account is not in the chart any more. Load the page again.'),
);

/** Changes any of an account's fields; what is not given stays. */
export const changeAccount = booksAction(
  'changeAccount',
  { id, change: z.object({ ...fields, active: z.boolean() }).partial() },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const chart = await chartOf(tx, books.id);
    const was = chart.find((account) => account.id === input.id);
    if (was === undefined) return unknownAccount;
    const change = Object.fromEntries(
      Object.entries(input.change).filter(([, value]) => value !== undefined),
    ) as Partial<AccountDraft & { active: boolean }>;
    // Under another heading an account stands on that heading's statement line, unless another one is asked for.
    const heading =
      change.parent === undefined || was.heading ? undefined : chart.find((account) => account.id === change.parent);
    const follows =
      heading !== undefined && typeOf(heading.class) === typeOf(was.class) ? { class: heading.class } : {};
    const is = { ...was, ...follows, ...change };
    const problems = [
      ...accountProblems(is, chart, was.id),
      ...(is.currency === was.currency ? [] : await currencyProblems(context, is.currency)),
    ];
    const use = await accountUse(tx, books.id, was.id);
    if (typeOf(is.class) !== typeOf(was.class) && (use.figures > 0 || use.journalLines > 0 || use.children > 0))
      problems.push(
        problem('account.type-used', `${called(was)} is in use, so its type stays ${typeOf(was.class)}.`, 'class'),
      );
    if (is.currency !== was.currency && (use.figures > 0 || use.journalLines > 0))
      problems.push(
        problem(
          'account.currency-used',
          `${called(was)} is in use, so its currency stays ${was.currency ?? books.currency}.`,
          'currency',
        ),
      );
    if (was.active && !is.active && use.children > 0) {
      const standing = chart.filter((account) => account.parent === was.id && account.active).length;
      if (standing > 0)
        problems.push(
          problem(
            'account.active-below',
            `${called(was)} has ${plural(standing, 'active account')} under it; deactivate or move them first.`,
            'active',
          ),
        );
    }
    if (problems.length > 0) return fail(...problems);
    await updateAccount(tx, books.id, is);
    const parent = chart.find((account) => account.id === is.parent);
    const said = [
      ...(is.code !== was.code ? [`code ${was.code} → ${is.code}`] : []),
      ...(is.name !== was.name ? [`name “${was.name}” → “${is.name}”`] : []),
      ...(is.class !== was.class ? [`${classFacts(was.class).one} → ${classFacts(is.class).one}`] : []),
      ...(is.parent !== was.parent ? [`moved ${parent === undefined ? 'to the top' : `under ${called(parent)}`}`] : []),
      ...(is.role !== was.role ? [is.role === null ? 'role taken away' : `role ${roleFacts(is.role).label}`] : []),
      ...(is.currency !== was.currency ? [`kept in ${is.currency ?? books.currency}`] : []),
      ...(is.active !== was.active ? [is.active ? 'reactivated' : 'deactivated'] : []),
    ];
    if (said.length > 0) await record(tx, books.id, 'account', [was.id], said.join('; '), actor.person, now);
    return ok({});
  },
);

/** Deletes an account that nothing uses; otherwise says by what it is used. */
export const removeAccount = booksAction('removeAccount', { id }, async ({ tx, books, actor, now }, input) => {
  const account = (await chartOf(tx, books.id)).find((one) => one.id === input.id);
  if (account === undefined) return unknownAccount;
  const use = await accountUse(tx, books.id, account.id);
  const uses = [
    ...(use.children > 0 ? [`${plural(use.children, 'account')} under it`] : []),
    ...(use.figures > 0 ? ['an opening balance'] : []),
    ...(use.journalLines > 0 ? [plural(use.journalLines, 'journal line')] : []),
    ...(use.paperRows > 0 ? [plural(use.paperRows, 'row of a paper', 'rows of papers')] : []),
    ...(use.changes > 0 && use.figures === 0 ? ['the history of an earlier opening balance'] : []),
  ];
  if (uses.length > 0)
    return fail(
      problem(
        'account.used',
        `${called(account)} cannot be deleted: it has ${uses.join(', ')}. ${use.children > 0 ? 'Move what is under it first.' : 'Deactivate it instead; it then takes no new amounts.'}`,
      ),
    );
  await deleteAccount(tx, books.id, account.id);
  await record(tx, books.id, 'books', [books.id], `account ${called(account)} deleted`, actor.person, now);
  return ok({});
});
