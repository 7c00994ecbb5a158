import { z } from 'zod';
import { PLAIN_ACCOUNT, accountId } from '@/core/chart/account';
import { PLAIN_SETTINGS } from '@/core/chart/settings';
import { type ChartSource, DEFAULT_FACTS } from '@/core/chart/template';
import type { CompanyFacts } from '@/core/company/facts';
import { findBooks } from '@/store/books';
import { yearsOf } from '@/store/calendar';
import { chartOf } from '@/store/chart';
import { templatesOf } from '@/store/chart-library';
import { currenciesOf } from '@/store/currencies';
import { taxCodesOf } from '@/store/tax-codes';
import { type Context, mayIn } from '../kernel/action';
import { yearPlan } from '../calendar/schemas';
import { answers, fields, scheme, taxCode } from './schemas';
import { FACT_SCHEMAS } from '../company/schemas';
import { currencyCode, id, int4 } from '../kernel/inputs';

/** A chart to copy from: other books of the practice, or one of its templates. */
export const sourceRef = z.object({ kind: z.enum(['books', 'template']), id });
export type SourceRef = z.infer<typeof sourceRef>;

const content = z.object({
  accounts: z.array(fields.extend({ id: int4.transform(accountId) })).max(50_000),
  taxCodes: z.array(taxCode).max(500),
  plan: yearPlan.nullable(),
  currencies: z.array(currencyCode()).max(60),
  defaults: z.object(Object.fromEntries(DEFAULT_FACTS.map((fact) => [fact, FACT_SCHEMAS[fact]]))).partial(),
  settings: z.object({
    codes: z.enum(['required', 'optional']),
    codesShown: z.boolean(),
    scheme: scheme.nullable(),
    answers: answers.nullable(),
  }),
});

/** A stored template, checked; one that cannot be read is as good as gone. */
export const readTemplate = (name: string, stored: unknown): ChartSource | undefined => {
  const parsed = content.safeParse(stored);
  if (!parsed.success) return undefined;
  const { accounts, ...rest } = parsed.data;
  return {
    ...rest,
    name,
    accounts: accounts.map((one) => ({ ...PLAIN_ACCOUNT, ...one })),
    settings: { ...PLAIN_SETTINGS, ...rest.settings },
  };
};

/** What the books of a client offer for copying. */
export const sourceOfBooks = async ({ tx, actor }: Context, id: number): Promise<ChartSource | undefined> => {
  const books = await findBooks(tx, actor.practice, id);
  if (books === undefined || !mayIn(actor, 'books.see', books)) return undefined;
  const defaults = Object.fromEntries(DEFAULT_FACTS.map((fact) => [fact, books.facts[fact]])) as Partial<CompanyFacts>;
  return {
    name: books.name,
    accounts: await chartOf(tx, books.id),
    taxCodes: (await taxCodesOf(tx, books.id)).map(({ id: _, ...code }) => code),
    plan: ((await yearsOf(tx, [books.id])).get(books.id) ?? [])[0]?.plan ?? null,
    currencies: books.facts.parts.includes('currencies')
      ? ((await currenciesOf(tx, [books.id])).get(books.id) ?? [])
      : [],
    defaults,
    settings: books.chart,
  };
};

export const findSource = async (context: Context, ref: SourceRef): Promise<ChartSource | undefined> => {
  if (ref.kind === 'books') return sourceOfBooks(context, ref.id);
  const found = (await templatesOf(context.tx, context.actor.practice)).find(({ id }) => id === ref.id);
  return found === undefined ? undefined : readTemplate(found.name, found.content);
};
