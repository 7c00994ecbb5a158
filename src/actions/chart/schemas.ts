import { isoDay } from '@/actions/kernel/inputs';
import { z } from 'zod';
import { accountId } from '@/core/chart/account';
import { CHART_COLUMN_IDS } from '@/core/chart/chart-file';
import { CLASS_IDS, ROLE_IDS } from '@/core/ledger/classes';
import { MOST_TRADES, PREMISES, TRADE_IDS, VOCABULARIES } from '@/core/chart/composition/answers';
import type { ChartEdit } from '@/core/chart/edit';
import type { RowChoice } from '@/core/chart/incoming';
import { MOST_RANGES, MOST_SEGMENTS, SEGMENT_KINDS, SEPARATORS } from '@/core/chart/scheme';
import { TAX_DIRECTION_IDS } from '@/core/chart/tax-codes';
import { LEGAL_FORM_IDS } from '@/core/company/legal-form';
import { currencyCode, id, int4, text } from '../kernel/inputs';

export const account = id.transform(accountId);
/** An account that is there, or one of the same batch that is not yet. */
export const anyAccount = int4.transform(accountId);
const currency = currencyCode('Choose a currency from the list.');

export const fields = z.object({
  code: text(200).trim(),
  name: text(1000).trim(),
  classification: z.enum(CLASS_IDS),
  heading: z.boolean(),
  parent: anyAccount.nullable(),
  role: z.enum(ROLE_IDS).nullable(),
  /** Null for the base currency. */
  currency: currency.nullable(),
  contra: z.boolean(),
  active: z.boolean(),
  note: text(10_000),
  taxCode: text(12).nullable(),
  origin: text(300),
});

/** What was seen of an account before it is changed, as it stands: it is only compared. */
const seen = fields
  .extend({
    code: z.string().max(200),
    name: z.string().max(1000),
    note: z.string().max(10_000),
    taxCode: z.string().max(12).nullable(),
    origin: z.string().max(300),
  })
  .partial();

export const edits = z
  .array(
    z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('add'), id: int4.negative().transform(accountId), account: fields }),
      z.object({ kind: z.literal('change'), id: anyAccount, is: fields.partial(), was: seen }),
      z.object({ kind: z.literal('remove'), id: anyAccount }),
    ]),
  )
  .max(50_000)
  .transform((given) => given as readonly ChartEdit[]);

const ids = <T extends string>(list: readonly { readonly id: T }[]): [T, ...T[]] =>
  list.map((one) => one.id) as [T, ...T[]];

export const answers = z.object({
  legalForm: z.enum(LEGAL_FORM_IDS),
  vocabulary: z.enum(ids(VOCABULARIES)),
  trades: z.array(z.enum(TRADE_IDS)).max(MOST_TRADES, `Choose at most ${MOST_TRADES} of what the company does.`),
  premises: z.enum(ids(PREMISES)),
  currencies: z.array(currency).max(40),
  credit: z.boolean(),
  stock: z.boolean(),
  staff: z.boolean(),
  vehicles: z.boolean(),
  loans: z.boolean(),
  grants: z.boolean(),
  projects: z.boolean(),
  salesTax: z.boolean(),
  foreign: z.boolean(),
});

export const clash = z.enum(['keep', 'change', 'new-code']);

/** What a person decided about the rows of a preview, by row. */
export const choices = z
  .record(
    z.string().regex(/^\d{1,8}$/),
    z.object({
      skip: z.boolean().optional(),
      clash: clash.optional(),
      fix: z
        .object({
          code: text(200),
          name: text(1000),
          classification: z.enum(CLASS_IDS).nullable(),
          parent: text(1000),
          heading: z.boolean(),
        })
        .partial()
        .optional(),
    }),
  )
  .transform(
    (given) =>
      new Map(Object.entries(given).map(([row, choice]) => [Number(row), choice])) as ReadonlyMap<number, RowChoice>,
  );

const code = text(20).trim();

export const scheme = z.object({
  segments: z
    .array(z.object({ length: z.int().min(1).max(20), kind: z.enum(SEGMENT_KINDS) }))
    .min(1, 'A code has at least one part.')
    .max(MOST_SEGMENTS),
  separator: z.enum(SEPARATORS),
  ranges: z
    .array(
      z.object({
        of: z.union([z.object({ line: z.enum(CLASS_IDS) }), z.object({ heading: code })]),
        from: code,
        to: code,
      }),
    )
    .max(MOST_RANGES),
});

export const mapping = z.object({
  sheet: z.int().min(0).max(1000),
  header: z.int().min(-1).max(100_000),
  columns: z.array(z.enum(CHART_COLUMN_IDS)).max(100),
  types: z
    .record(z.string().max(200), z.enum(CLASS_IDS))
    .refine((types) => Object.keys(types).length <= 500, 'At most 500 words for types are mapped.')
    .optional(),
});

export const bank = z.object({
  number: z.string().trim().max(100),
  routing: z.string().trim().max(40).default(''),
  iban: z.string().trim().max(60),
  bic: z.string().trim().max(20),
  alertBelow: z
    .bigint()
    .min(-(10n ** 17n))
    .max(10n ** 17n)
    .nullable(),
  reconciled: z.boolean(),
  onDocuments: z.boolean().default(false),
  statementDay: z.int().nullable(),
});

export const taxCode = z.object({
  code: text(60).trim(),
  name: text(200).trim(),
  direction: z.enum(TAX_DIRECTION_IDS),
  rates: z.array(z.object({ from: isoDay(), rate: z.string().trim().max(20) })).max(100),
  charged: account.nullable(),
  recoverable: account.nullable(),
  active: z.boolean(),
});
