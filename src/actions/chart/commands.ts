'use server';

import { z } from 'zod';
import { type AccountFields, type AccountId, PLAIN_ACCOUNT, accountId, called } from '@/core/chart/account';
import { type BankDetails, NO_BANK_DETAILS, bankProblems, plainDetails, plainIban } from '@/core/chart/bank';
import { ANY_ROUTING, routingOf } from '@/core/chart/routing';
import { MONEY_KINDS, moneyAccount } from '@/core/chart/money';
import { renumber, renumberEdits } from '@/core/chart/codes';
import { type ChartEdit, change } from '@/core/chart/edit';
import { placedUnder } from '@/core/chart/regroup';
import { codesProblems } from '@/core/chart/settings';
import { type CodeScheme, schemeProblems } from '@/core/chart/scheme';
import { type Problem, type Result, fail, inside, ok, plural, problem, under } from '@/core/base/result';
import { updateChartSettings } from '@/store/books';
import { bankDetailsOf, keptBank, putBankDetails } from '@/store/bank-details';
import { record } from '@/store/history';
import { standingChart, standingIndex } from '../frame/held-chart';
import { type BooksContext, booksAction } from '../kernel/action';
import { distinct } from '../kernel/inputs';
import { carryOut } from './edits';
import { account, bank, edits, fields, scheme } from './schemas';
import { mergeInto } from './merge';

/** Carries edits of the sheet out: all, or none with a problem for each that cannot be. */
export const editChart = booksAction('editChart', 'chart.change', { edits }, async (context, input) => {
  const done = await carryOut(context, input.edits);
  return done.ok ? ok({ ids: [...done.value.ids] }) : done;
});

/** Problems of a single account, with the field alone. */
const ofOne = (done: Result<unknown>): readonly Problem[] => (done.ok ? [] : done.problems.map(inside));

const PLAIN = fields.partial({
  currency: true,
  contra: true,
  active: true,
  note: true,
  taxCode: true,
  origin: true,
}).shape;

export const addAccount = booksAction('addAccount', 'chart.change', PLAIN, async (context, input) => {
  const given = Object.fromEntries(Object.entries(input).filter(([, value]) => value !== undefined));
  const id = accountId(-1);
  const done = await carryOut(context, [{ kind: 'add', id, account: { ...PLAIN_ACCOUNT, ...given } as AccountFields }]);
  return done.ok ? ok({ id: done.value.ids.get(id) ?? id }) : fail(...ofOne(done));
});

const unknownAccount = problem('account.unknown', 'This account is not in the chart any more. Load the page again.');

/** Changes any of an account's fields; what is not given stays. Under another heading it stands on that heading's statement line. */
export const changeAccount = booksAction(
  'changeAccount',
  'chart.change',
  { id: account, change: fields.partial() },
  async (context, input) => {
    const { byId } = await standingIndex(context);
    const was = byId.get(input.id);
    if (was === undefined) return fail(unknownAccount);
    const given = Object.fromEntries(
      Object.entries(input.change).filter(([, value]) => value !== undefined),
    ) as Partial<AccountFields>;
    const moved = given.parent == null ? {} : placedUnder(was, byId.get(given.parent));
    const done = await carryOut(context, [change(was, { ...moved, ...given })]);
    return done.ok ? ok({}) : fail(...ofOne(done));
  },
);

/** Deletes an account that nothing uses; otherwise says by what it is used. */
export const removeAccount = booksAction('removeAccount', 'chart.change', { id: account }, async (context, input) => {
  const done = await carryOut(context, [{ kind: 'remove', id: input.id }]);
  return done.ok ? ok({}) : fail(...ofOne(done));
});

/** Merges one account into another: unposted figures move; a posted one stays on the old account, which is then inactive. */
export const mergeAccounts = booksAction(
  'mergeAccounts',
  'chart.change',
  { from: account, into: account },
  async (context, { from, into }) => mergeInto(context, from, into),
);

const alike = (one: BankDetails, other: BankDetails): boolean =>
  JSON.stringify(keptBank(one)) === JSON.stringify(keptBank(other));

/** What banks call accounts that hold money: all that are given, or none with a problem at the place of each that cannot be. */
export const saveBanks = booksAction(
  'saveBanks',
  'chart.change',
  {
    accounts: z
      .array(
        z.object({
          account,
          bank,
          /** As it stood when it was changed; left out where nobody looked. */
          seen: bank.optional(),
        }),
      )
      .min(1)
      .max(2000)
      .superRefine(distinct('An account', (one: { account: number }) => one.account)),
  },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const chart = new Map((await standingChart({ tx, books })).map((one) => [one.id, one]));
    const stand = await bankDetailsOf(tx, books.id);
    const details = new Map(input.accounts.map((one) => [one.account, plainDetails(one.bank)]));
    const holders = new Map<string, AccountId>();
    for (const [id, { iban }] of [...stand, ...details]) if (!details.has(id) && iban !== '') holders.set(iban, id);
    const wrong = input.accounts.flatMap(({ account: id, seen }, place): readonly Problem[] => {
      const [found, given] = [chart.get(id), details.get(id) ?? NO_BANK_DETAILS];
      if (found === undefined) return [under(unknownAccount, place)];
      const was = stand.get(id) ?? NO_BANK_DETAILS;
      if (seen !== undefined && !alike(plainDetails(seen), was))
        return [
          problem(
            'bank.changed',
            `What is known of ${called(found)} was changed meanwhile by somebody else. Load the page again.`,
            place,
          ),
        ];
      // One that stands, from a file or from before the books had another country, holds nothing else up.
      const rule = was.routing === given.routing ? ANY_ROUTING : routingOf(books.country, found.currency);
      const holder = chart.get(holders.get(given.iban) ?? accountId(0));
      if (given.iban !== '') holders.set(given.iban, id);
      return [
        ...bankProblems(given, rule).map((one) => under(one, place)),
        ...(holder === undefined
          ? []
          : [problem('bank.iban-twice', `This IBAN already belongs to ${called(holder)}.`, place, 'iban')]),
      ];
    });
    if (wrong.length > 0) return fail(...wrong);
    context.changes.add(await putBankDetails(tx, books.id, details));
    await record(tx, books.id, 'account', [...details.keys()], 'bank details changed', actor.person, now);
    return ok({ rows: input.accounts.map(({ account: id }) => ({ id, revision: 0 })) });
  },
);

/** Several bank, cash or card accounts in one go, each with its details. */
export const addMoneyAccounts = booksAction(
  'addMoneyAccounts',
  'chart.change',
  {
    accounts: z
      .array(
        z.object({
          code: fields.shape.code,
          name: fields.shape.name,
          kind: z.enum(MONEY_KINDS),
          parent: account.nullable(),
          currency: fields.shape.currency,
          iban: z.string().max(60),
          number: z.string().max(100),
        }),
      )
      .min(1, 'Name at least one account.')
      .max(100),
  },
  async (context, input) => {
    const problems: Problem[] = [];
    const chart = await standingIndex(context);
    const added = input.accounts.map((one, at) => {
      const id = accountId(-1 - at);
      const details = {
        ...NO_BANK_DETAILS,
        number: one.number.trim(),
        iban: plainIban(one.iban),
        reconciled: one.kind !== 'cash',
      };
      problems.push(
        ...bankProblems(details, routingOf(context.books.country, one.currency)).map((wrong) => under(wrong, id)),
      );
      const heading = one.parent === null ? undefined : chart.byId.get(one.parent);
      const edit: ChartEdit = { kind: 'add', id, account: moneyAccount(one, heading) };
      return { edit, id, details };
    });
    if (problems.length > 0) return fail(...problems);
    const done = await carryOut(
      context,
      added.map(({ edit }) => edit),
      {
        what: plural(added.length, 'money account') + ' added',
        banks: new Map(added.map(({ id, details }) => [id, details])),
      },
    );
    return done.ok ? ok({ added: added.length }) : done;
  },
);

const note = ({ tx, books, actor, now }: BooksContext, what: string): Promise<void> =>
  record(tx, books.id, 'books', [books.id], what, actor.person, now);

/** How codes are built, or null when they are not to be questioned. */
export const saveScheme = booksAction(
  'saveScheme',
  'chart.change',
  { scheme: scheme.nullable() },
  async (context, input) => {
    const given: CodeScheme | null = input.scheme;
    const wrong = given === null ? [] : schemeProblems(given);
    if (wrong.length > 0) return fail(...wrong);
    context.changes.add(await updateChartSettings(context.tx, context.books, { scheme: given }));
    await note(context, given === null ? 'account codes as they come' : 'the scheme of account codes changed');
    return ok({});
  },
);

/** Whether accounts need codes and whether they are shown. */
export const setCodes = booksAction(
  'setCodes',
  'chart.change',
  { codes: z.enum(['required', 'optional']).optional(), shown: z.boolean().optional() },
  async (context, input) => {
    const wrong = codesProblems(input.codes, await standingChart(context));
    if (wrong.length > 0) return fail(...wrong);
    context.changes.add(
      await updateChartSettings(context.tx, context.books, {
        ...(input.codes === undefined ? {} : { codes: input.codes }),
        ...(input.shown === undefined ? {} : { codesShown: input.shown }),
      }),
    );
    if (input.codes !== undefined) await note(context, `account codes are ${input.codes}`);
    return ok({});
  },
);

/** New codes for a branch, as `renumber` in core lays them out; the preview is that same function. */
export const renumberBranch = booksAction(
  'renumberBranch',
  'chart.change',
  { branch: account.nullable(), start: z.string().max(20), step: z.int().min(1).max(100_000) },
  async (context, input) => {
    const chart = await standingChart(context);
    const laid = renumber(chart, input.branch, input.start, input.step);
    if (!laid.ok) return laid;
    const steps = renumberEdits(chart, laid.value);
    const done = await carryOut(context, steps, {
      what: `${plural(steps.length, 'account')} renumbered from ${input.start}`,
    });
    return done.ok ? ok({ changed: steps.length, steps }) : done;
  },
);
