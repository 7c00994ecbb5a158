import { isIsoDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import { z } from 'zod';
import { cleaned, oneLine } from '@/core/files/clean';
import { MOST_BYTES, MOST_NAME_CHARACTERS, megabytes } from '@/core/files/limits';
import { type Currency, isCurrency } from '@/core/money/currency';
import { LARGEST, minor } from '@/core/money/minor';
import { type Problem, problem } from '@/core/base/result';

/**
 * What inputs are made of. Bounds fit the columns that the values go to, so that nothing reaches the database that it would
 * refuse with an error instead of a sentence.
 */

const MOST_INT4 = 2 ** 31 - 1;

/** The number of a stored thing, from a form or an address: none that the database could not hold. */
export const id = z.int().positive().max(MOST_INT4, 'There is no such number.');

/** A whole number that an int4 column holds. */
export const int4 = z.int().min(-MOST_INT4).max(MOST_INT4);

/** An amount in minor units, within what the books keep. */
export const units = z
  .bigint()
  .refine((given) => (given < 0n ? -given : given) <= LARGEST, 'The amount is larger than any balance Bathron keeps.')
  .transform(minor);

/** A day as text, `YYYY-MM-DD`; what is told where it is none. */
export const isoDay = (otherwise = 'This is no date between 1950 and 2150.') =>
  z.custom<IsoDate>((given) => typeof given === 'string' && isIsoDate(given), otherwise);

/** A day out of a field that may have been left empty, which is told. */
export const fieldDay = (otherwise?: string): z.ZodType<IsoDate, IsoDate | ''> => isoDay(otherwise);

/** The code of a currency; what is told where it is none. */
export const currencyCode = (otherwise = 'This is no currency of ISO 4217.') =>
  z.custom<Currency>((given) => typeof given === 'string' && isCurrency(given), otherwise);

/** Text at most so long, without the characters that nobody sees, which the database or a file could not hold. */
export const text = (most: number) =>
  z
    .string()
    .max(most, `This has more than ${String(most)} characters; shorten it.`)
    .overwrite(cleaned);

/** A list in which no two say something of the same thing. */
export const distinct =
  <T>(what: string, of: (one: T) => unknown) =>
  (list: readonly T[], context: z.RefinementCtx): void => {
    if (new Set(list.map(of)).size < list.length)
      context.addIssue({
        code: 'custom',
        message: `${what} stands twice in this, so nothing was stored. Leave one of them out.`,
      });
  };

/** Rows of a sheet, none of which are of the same stored thing; new ones have no number yet. */
export const distinctRows = (what: string) => {
  const check = distinct(what, (one: { readonly id: number | null }) => one.id);
  return (rows: readonly { readonly id: number | null }[], context: z.RefinementCtx): void =>
    check(
      rows.filter(({ id: own }) => own !== null),
      context,
    );
};

/** What a file is called, without a path that a browser or a person put before it, on one line; a long name is cut. */
export const fileName = z
  .string()
  .max(10_000)
  .transform((name) =>
    Array.from(oneLine(name).split(/[\\/]/).at(-1) ?? '')
      .slice(0, MOST_NAME_CHARACTERS)
      .join('')
      .trim(),
  )
  .pipe(z.string().min(1, 'The file has no name.'));

export const fileContent = z.custom<Uint8Array>(
  (value) => value instanceof Uint8Array && value.length <= MOST_BYTES,
  `The file is larger than ${megabytes(MOST_BYTES)}, which is the most that is taken.`,
);

/** What is wrong with an input, at the same path. */
export const issueProblem = ({ code, message, path }: z.core.$ZodIssue): Problem =>
  problem(`input.${code}`, message, ...path.map((step) => (typeof step === 'symbol' ? undefined : step)));
