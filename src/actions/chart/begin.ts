'use server';

import { type Currency } from '@/core/money/currency';
import { z } from 'zod';
import { redrawYear } from '@/core/calendar/draft';
import type { RowChoice } from '@/core/chart/incoming';
import { copied } from '@/core/chart/copy';
import { readLines } from '@/core/chart/lines';
import type { TaxCodeFields } from '@/core/chart/tax-codes';
import { DEFAULT_FACTS } from '@/core/chart/template';
import { FACT_LABELS } from '@/core/company/facts';
import { PART_IDS } from '@/core/company/parts';
import { type Result, fail, ok, plural, problem } from '@/core/base/result';
import { updateChartSettings, updateFact } from '@/store/books';
import { deleteTemplate, putTemplate } from '@/store/chart-library';
import { currenciesOf, insertCurrency } from '@/store/currencies';
import { record } from '@/store/history';
import { insertTaxCode, taxCodesOf } from '@/store/tax-codes';
import { standingChart, standingIndex } from '../frame/held-chart';
import { type WritingContext, action, booksAction } from '../kernel/action';
import { draw } from '../calendar/draw';
import { standing } from '../calendar/standing';
import { heldNames } from '../company/facts';
import { beginFrom, takeIncoming } from './beginnings';
import { answers, choices, clash } from './schemas';
import { findSource, sourceOfBooks, sourceRef } from './sources';
import { id, int4, text } from '../kernel/inputs';

/** Begins or extends the chart from answers. */
export const takeAnswers = booksAction(
  'takeAnswers',
  'chart.change',
  {
    answers,
    choices: choices.default(new Map() as ReadonlyMap<number, RowChoice>),
    clash: clash.default('keep'),
    /** Accounts that earlier answers brought and that go. */
    going: z.array(id).max(5000).default([]),
  },
  (context, input) =>
    beginFrom(context, input.answers, input.choices, { update: false, clash: input.clash }, input.going),
);

/** Accounts out of typed or pasted lines; `under` is the code or name of the heading for lines that name none. */
export const takeLines = booksAction(
  'takeLines',
  'chart.change',
  {
    text: text(2_000_000),
    under: text(200),
    choices: choices.default(new Map() as ReadonlyMap<number, RowChoice>),
  },
  (context, input) =>
    takeIncoming(
      context,
      readLines(input.text, input.under, context.books.currency),
      input.choices,
      { update: false, clash: 'new-code' },
      'typed lines',
    ),
);

/** Switches on the currencies of a source that are not on, and with them the part. */
const takeCurrencies = async (
  { tx, books, actor, now, changes }: WritingContext,
  wanted: readonly Currency[],
): Promise<number> => {
  const on = (await currenciesOf(tx, [books.id])).get(books.id) ?? [];
  const fresh = wanted.filter((currency) => currency !== books.currency && !on.includes(currency));
  if (wanted.length > 0 && !books.facts.parts.includes('currencies'))
    changes.add([
      await updateFact(
        tx,
        books,
        'parts',
        PART_IDS.filter((part) => part === 'currencies' || books.facts.parts.includes(part)),
      ),
    ]);
  for (const currency of fresh) changes.add([await insertCurrency(tx, books.id, currency, actor.person, now)]);
  return fresh.length;
};

/** Tax codes of a source whose code is free here, with their accounts found by code. */
const takeTaxCodes = async (
  { tx, books, changes }: WritingContext,
  wanted: readonly TaxCodeFields[],
  codeOf: (id: number) => string | undefined,
): Promise<number> => {
  const here = new Set((await taxCodesOf(tx, books.id)).map(({ code }) => code.toLowerCase()));
  const index = await standingIndex({ tx, books });
  const account = (id: TaxCodeFields['charged']): TaxCodeFields['charged'] => {
    const code = id === null ? undefined : codeOf(id);
    const [found] = code === undefined ? [] : (index.byCode.get(code.toLowerCase()) ?? []);
    const standing = found === undefined ? undefined : index.byId.get(found);
    return standing === undefined || standing.heading ? null : standing.id;
  };
  let taken = 0;
  for (const code of wanted) {
    if (here.has(code.code.toLowerCase())) continue;
    const made = { ...code, charged: account(code.charged), recoverable: account(code.recoverable) };
    if ((code.charged !== null && made.charged === null) || (code.recoverable !== null && made.recoverable === null))
      continue;
    changes.add([(await insertTaxCode(tx, books.id, made)).change]);
    taken += 1;
  }
  return taken;
};

/** The first year divided as the source divides its own; a pattern that is a list of dates fits no other year. */
const takePattern = async (
  context: WritingContext,
  plan: NonNullable<Parameters<typeof redrawYear>[2]['plan']>,
): Promise<Result<unknown>> => {
  const years = await standing(context);
  const redrawn = redrawYear(years, 0, { plan, onward: true });
  return redrawn.ok ? draw(context, redrawn.value) : redrawn;
};

/** Copies a chart, or branches of it, from other books or a template, with what else is wished. One transaction or nothing. */
export const takeCopy = booksAction(
  'takeCopy',
  'chart.change',
  {
    from: sourceRef,
    branches: z.array(int4).max(50_000).nullable(),
    inactive: z.boolean(),
    ownNames: z.boolean().default(true),
    notes: z.boolean(),
    taxCodes: z.boolean(),
    pattern: z.boolean(),
    currencies: z.boolean(),
    defaults: z.boolean(),
    choices: choices.default(new Map() as ReadonlyMap<number, RowChoice>),
    clash: clash.default('keep'),
  },
  async (context, input) => {
    const { tx, books } = context;
    const source = await findSource(context, input.from);
    if (source === undefined)
      return fail(problem('copy.gone', 'The chart to copy from is not there any more. Choose another one.'));
    const empty = (await standingChart({ tx, books })).length === 0;
    const also: string[] = [];
    if (input.currencies && source.currencies.length > 0) {
      const taken = await takeCurrencies(context, source.currencies);
      if (taken > 0) also.push(plural(taken, 'currency', 'currencies'));
    }
    const fresh: WritingContext = input.currencies
      ? {
          ...context,
          books: {
            ...books,
            facts: {
              ...books.facts,
              parts:
                source.currencies.length > 0
                  ? [...new Set([...books.facts.parts, 'currencies' as const])]
                  : books.facts.parts,
            },
          },
        }
      : context;
    // Accounts first without their tax codes: the codes post to accounts, and accounts name codes.
    const rows = copied(source.accounts, { ...input, taxCodes: false }, source.name);
    const taken = await takeIncoming(fresh, rows, input.choices, { update: true, clash: input.clash }, source.name);
    if (!taken.ok) return taken;
    if (input.taxCodes) {
      const codes = new Map(source.accounts.map((account) => [account.id as number, account.code]));
      const count = await takeTaxCodes(fresh, source.taxCodes, (id) => codes.get(id));
      if (count > 0) also.push(plural(count, 'tax code'));
      const known = new Set((await taxCodesOf(tx, books.id)).map(({ code }) => code));
      const taxed = copied(source.accounts, { ...input, taxCodes: true }, source.name).filter(
        ({ says }) => says.taxCode != null && known.has(says.taxCode),
      );
      if (taxed.length > 0) {
        const again = await takeIncoming(
          fresh,
          taxed.map(({ row, says: { code, name, taxCode } }) => ({
            row,
            says: { code: code ?? '', name: name ?? '', taxCode: taxCode ?? null },
            problems: [],
          })),
          new Map(),
          { update: true, clash: 'keep' },
          source.name,
        );
        if (!again.ok && again.problems[0]?.code !== 'incoming.nothing') return again;
      }
    }
    if (input.pattern && source.plan !== null && source.plan.pattern.kind !== 'list') {
      const drawn = await takePattern(fresh, source.plan);
      if (!drawn.ok) return drawn;
      also.push('the calendar pattern');
    }
    if (input.defaults) {
      const held: string[] = [];
      for (const fact of DEFAULT_FACTS) {
        const value = source.defaults[fact];
        if (value === undefined) continue;
        // What is in use here keeps its names.
        if ((await heldNames(context, fact, { ...books.facts, [fact]: value })).length > 0)
          held.push(FACT_LABELS[fact].toLowerCase());
        else context.changes.add([await updateFact(tx, books, fact, value)]);
      }
      also.push(
        held.length === 0
          ? 'the defaults for documents'
          : `the defaults for documents, but for ${held.join(' and ')}, which are in use`,
      );
    }
    if (empty)
      context.changes.add(
        await updateChartSettings(tx, books, {
          ...source.settings,
          answers: books.chart.answers ?? source.settings.answers,
        }),
      );
    return ok({ ...taken.value, also });
  },
);

/** Keeps this chart, with what goes with it, as a template of the practice; one of the same name is replaced. */
export const saveTemplate = booksAction(
  'saveTemplate',
  'chart.change',
  { name: text(120).trim().min(1, 'Give the template a name.') },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const source = await sourceOfBooks(context, books.id);
    if (source === undefined || source.accounts.length === 0)
      return fail(problem('template.empty', 'This chart has no accounts yet, so there is nothing to keep.'));
    const { name: _, ...content } = source;
    await putTemplate(tx, actor.practice, input.name, content, actor.person, now);
    await record(tx, books.id, 'books', [books.id], `chart kept as the template ${input.name}`, actor.person, now);
    return ok({});
  },
);

export const removeTemplate = action(
  'removeTemplate',
  'practice.change',
  z.object({ id }),
  async ({ tx, actor }, { id }) => {
    await deleteTemplate(tx, actor.practice, id);
    return ok({});
  },
);
