import { readAnyPaper } from '@/core/files/read-any';
import { type Problem, type Result, fail, ok, problem } from '@/core/base/result';
import { minorDigits } from '@/core/money/currency';
import { plainDecimal } from '@/core/money/format';
import { readContacts } from '@/core/schedules/list-contacts';
import { readItems } from '@/core/schedules/list-items';
import type { ListKind } from '@/core/schedules/list-kinds';

export interface ListQuestion {
  readonly bytes: Uint8Array;
  readonly name: string;
  readonly kind?: ListKind | 'contacts';
  /** The opening date, ISO. */
  readonly date?: string;
  readonly digits?: number;
}

const told = ({ code, message, path }: Problem) => {
  const row = path?.[0];
  return { code, message, row: typeof row === 'number' ? row : null };
};

/** An amount of the list in the decimals of its own currency; more are kept where the list has them. */
const amount = (units: bigint | null, digits: number, currency: string | null): string | null => {
  if (units === null) return null;
  const own = currency === null ? digits : minorDigits(currency);
  if (own >= digits) return plainDecimal(units * 10n ** BigInt(own - digits), own);
  const cut = 10n ** BigInt(digits - own);
  return units % cut === 0n ? plainDecimal(units / cut, own) : plainDecimal(units, digits);
};

/** The open items of a list, or its contacts, as JSON: amounts are decimal text, as the books see them. */
export const askList = async ({ bytes, name, kind, date, digits }: ListQuestion): Promise<Result<unknown>> => {
  const read = await readAnyPaper(bytes, name);
  if (!read.ok) return read;
  const items =
    kind === 'contacts'
      ? undefined
      : readItems(read.value, {
          name,
          ...(kind === undefined ? {} : { kind }),
          ...(date === undefined ? {} : { date }),
          ...(digits === undefined ? {} : { digits }),
        });
  if (items === undefined || items.items.length === 0) {
    const contacts = readContacts(read.value, name);
    if (contacts !== undefined)
      return ok({
        kind: 'contacts',
        items: contacts.items,
        totals: {},
        printedTotals: null,
        nearDuplicates: contacts.nearDuplicates,
        doubts: contacts.doubts.map(told),
      });
    return fail(
      problem(
        'list.none',
        `${name} has no row that names the columns of a list of open items or contacts, such as number, date and amount. Give its columns such names, and bring it again.`,
      ),
    );
  }
  const totals = new Map<string, bigint>();
  for (const { currency, open } of items.items) totals.set(currency ?? '', (totals.get(currency ?? '') ?? 0n) + open);
  const base = (units: bigint): string => amount(units, items.digits, items.currency) ?? '';
  const { ageing, ...columns } = items.printed;
  const printed = {
    ...Object.fromEntries(Object.entries(columns).map(([column, units]) => [column, base(units)])),
    ...(ageing === undefined ? {} : { ageing: ageing.map(base) }),
  };
  return ok({
    kind: items.kind,
    asAt: items.asAt,
    currency: items.currency,
    items: items.items.map((item) => ({
      ...item,
      original: amount(item.original, items.digits, item.currency),
      open: amount(item.open, items.digits, item.currency),
      base: amount(item.base, items.digits, items.currency),
    })),
    totals: Object.fromEntries(
      [...totals].map(([currency, units]) => [currency, amount(units, items.digits, currency || null)]),
    ),
    printedTotals: Object.keys(printed).length === 0 ? null : printed,
    doubts: items.doubts.map(told),
  });
};
