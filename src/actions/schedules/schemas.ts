import { isoDay } from '@/actions/kernel/inputs';
import { z } from 'zod';
import { paperId } from '@/core/base/ids';
import { accountId } from '@/core/chart/account';
import { isCountry } from '@/core/company/country';
import { countedSum } from '@/core/schedules/cash-count';
import { CONTACT_ROLES, contactId } from '@/core/schedules/contact';
import { ITEM_KINDS } from '@/core/schedules/kinds';
import { DETAIL_FIELDS, LONGEST_DETAIL } from '@/core/schedules/things/detail';
import { MOST_ROWS } from '@/core/files/limits';
import { terms } from '../company/schemas';
import { currencyCode, id, int4, text, units } from '../kernel/inputs';

const short = text(120).trim();

export const itemFields = z.object({
  kind: z.enum(ITEM_KINDS),
  contact: id.transform(contactId).nullable(),
  number: short,
  reference: short,
  order: short,
  date: isoDay().nullable(),
  due: isoDay().nullable(),
  currency: currencyCode(),
  original: units.nullable(),
  open: units,
  base: units.nullable(),
  note: text(500).trim(),
  detail: z.partialRecord(z.enum(DETAIL_FIELDS), z.string().min(1).max(LONGEST_DETAIL)).default({}),
  beside: units.nullable().default(null),
  besideAccount: id.transform(accountId).nullable().default(null),
});

/** Where an item was read from. */
export const itemSource = {
  paper: id.transform(paperId).nullable().default(null),
  row: z.int().positive().max(MOST_ROWS).nullable().default(null),
};

export const contactFields = z.object({
  code: text(40).trim(),
  name: text(200).trim(),
  role: z.enum(CONTACT_ROLES.map((one) => one.id)),
  legalName: text(200).trim(),
  taxNumber: text(40).trim(),
  country: z.string().refine((code) => code === '' || isCountry(code), 'Choose a country from the list.'),
  address: text(500).trim(),
  person: text(200).trim(),
  email: text(200).trim(),
  phone: text(60).trim(),
  currency: currencyCode().or(z.literal('')),
  terms: terms.nullable(),
  creditLimit: units.nullable().default(null),
  account: id.transform(accountId).nullable().default(null),
  settles: z.enum(['items', 'balance']).default('items'),
  note: text(500).trim(),
  active: z.boolean(),
});

export const closing = z
  .object({
    date: isoDay(),
    amount: units,
    /** Notes and coins of a cash box, by their value in minor units. */
    counted: z
      .record(z.string().regex(/^[1-9]\d{0,9}$/), z.int().positive().max(1_000_000))
      .nullable()
      .default(null),
  })
  .refine(
    ({ amount, counted }) => counted === null || countedSum(counted) === amount,
    'The notes and coins come to another amount than the balance. Count again, or leave the count out.',
  )
  .nullable();

export const revision = int4.min(0);
