import type { Kept } from '../base/kept';
import { type Minor, minor } from './minor';

/**
 * JSON between browser and server for values that hold exact amounts. JSON's numbers are floats to its readers, so each
 * `bigint` crosses as `{"units":"-1250"}`: decimal text of minor units.
 */

/** Digits of a number that is taken: more than any amount has, few enough that reading them costs nothing. */
const UNITS = /^-?\d{1,30}$/;

const isUnits = (value: unknown): value is { readonly units: string } =>
  typeof value === 'object' &&
  value !== null &&
  Object.keys(value).length === 1 &&
  'units' in value &&
  typeof value.units === 'string' &&
  UNITS.test(value.units);

/** Writes a value of plain objects, lists, texts, numbers and exact amounts. */
export const toWire = (value: unknown): string =>
  JSON.stringify(value, (_key, part: unknown) => (typeof part === 'bigint' ? { units: String(part) } : part));

/** What was written; nobody has checked its shape yet. Throws a `SyntaxError` where the text is no JSON. */
export const fromWire = (text: string): unknown =>
  JSON.parse(text, (_key, part: unknown) => (isUnits(part) ? BigInt(part.units) : part));

/** An amount as the record of changes keeps it: text of its minor units, null for none. */
export const keptAmount = (amount: Minor | null): Kept => (amount === null ? null : String(amount));

export const amountFrom = (kept: Kept): Minor | null => (typeof kept === 'string' ? minor(BigInt(kept)) : null);
