import type { IsoDate } from '@/core/base/iso-date';
import type { Table } from '@/core/base/table';
import { readAnyPaper } from '@/core/files/read-any';
import { type Problem, type Result, fail, ok } from '@/core/base/result';
import { type Currency, asCurrency, minorDigits } from '@/core/money/currency';
import { plainDecimal } from '@/core/money/format';
import { readContacts } from '@/core/schedules/list-contacts';
import { readItems } from '@/core/schedules/list-items';
import type { ListKind } from '@/core/schedules/list-kinds';
import { isRather, noList } from '@/core/schedules/read-list';
import { type Listed, readRegister, summedOf } from '@/core/schedules/registers/read-register';
import { ALL_REGISTER_KINDS, type RegisterKind } from '@/core/schedules/registers/register-words';

export interface ListQuestion {
  readonly bytes: Uint8Array;
  readonly name: string;
  readonly kind?: ListKind | 'contacts' | RegisterKind;
  /** The opening date, ISO. */
  readonly date?: IsoDate;
  readonly digits?: number;
}

const toldDoubt = ({ code, message, path }: Problem) => {
  const row = path?.[0];
  return { code, message, row: typeof row === 'number' ? row : null };
};

/** An amount of the list in the decimals of its own currency; more are kept where the list has them. */
const amount = (units: bigint | null, digits: number, currency: Currency | null): string | null => {
  if (units === null) return null;
  const own = currency === null ? digits : minorDigits(currency);
  if (own >= digits) return plainDecimal(units * 10n ** BigInt(own - digits), own);
  const cut = 10n ** BigInt(digits - own);
  return units % cut === 0n ? plainDecimal(units / cut, own) : plainDecimal(units, digits);
};

const isRegister = (kind: ListQuestion['kind']): kind is RegisterKind => ALL_REGISTER_KINDS.some((one) => one === kind);

/** The fields that an answer has of each kind of thing. */
const ANSWERED: { readonly [K in RegisterKind]: readonly (keyof Listed[K])[] } = {
  assets: ['row', 'code', 'name', 'class', 'acquired', 'cost', 'depreciation', 'net', 'lifeMonths', 'disposed'],
  stock: ['row', 'code', 'name', 'category', 'unit', 'quantity', 'unitCost', 'value'],
  loans: ['row', 'date', 'instalment', 'interest', 'principal', 'outstanding'],
  prepayments: ['row', 'name', 'from', 'to', 'amount', 'remaining'],
  holdings: ['row', 'holder', 'class', 'shares', 'nominal', 'since', 'paid'],
  returns: ['row', 'name', 'period', 'code', 'date', 'due', 'amount'],
  borrowings: [
    'row',
    'lender',
    'code',
    'begun',
    'lent',
    'rate',
    'instalment',
    'every',
    'last',
    'outstanding',
    'within',
  ],
};
/** By which amount a list of the kind is totalled. */
const TOTALLED: Readonly<Record<RegisterKind, string>> = {
  assets: 'net',
  stock: 'value',
  loans: 'principal',
  prepayments: 'remaining',
  borrowings: 'outstanding',
  holdings: 'value',
  returns: 'amount',
};

/** The things of a register, as JSON; undefined where the file has none of the kind. */
const register = (
  tables: readonly Table[],
  kind: RegisterKind | undefined,
  name: string,
  digits: number | undefined,
) => {
  const read = readRegister(tables, kind, { name, ...(digits === undefined ? {} : { digits }) });
  if (read === undefined) return undefined;
  const told = (units: bigint | null): string | null =>
    units === 0n ? '0' : amount(units, read.digits, read.currency);
  const [summed, owned] = [
    TOTALLED[read.kind],
    read.items.filter((item) => !('disposed' in item) || item.disposed === null),
  ];
  const total = owned.reduce((sum, item) => sum + (summedOf(read.kind, item as never)[summed] ?? 0n), 0n);
  return {
    kind: read.kind,
    asAt: read.asAt,
    currency: read.currency,
    items: read.items.map((item) =>
      Object.fromEntries(
        ANSWERED[read.kind].map((field) => {
          const value = (item as unknown as Record<string, string | number | bigint | null>)[field] ?? null;
          return [field, typeof value === 'bigint' ? told(value) : value];
        }),
      ),
    ),
    totals: { [read.currency ?? '']: told(total) },
    printedTotals:
      Object.keys(read.printed).length === 0
        ? null
        : Object.fromEntries(Object.entries(read.printed).map(([column, units]) => [column, told(units)])),
    doubts: read.doubts.map(toldDoubt),
  };
};

/** What a list holds, as JSON: open items as the books see them, contacts, or the things of a register. Amounts are decimal text. */
export const askList = async ({ bytes, name, kind, date, digits }: ListQuestion): Promise<Result<unknown>> => {
  const read = await readAnyPaper(bytes, name);
  if (!read.ok) return read;
  if (isRegister(kind)) {
    const found = register(read.value, kind, name, digits);
    return found === undefined ? fail(noList(name, [kind])) : ok(found);
  }
  const items =
    kind === 'contacts'
      ? undefined
      : readItems(read.value, {
          name,
          ...(kind === undefined ? {} : { kind }),
          ...(date === undefined ? {} : { date }),
          ...(digits === undefined ? {} : { digits }),
        });
  const things = kind === undefined ? register(read.value, undefined, name, digits) : undefined;
  const none = items === undefined || items.items.length === 0;
  // What no word says to be of customers or suppliers is rather what its figures bear out.
  const vague = ['list.columns', 'list.whose'].every((code) => items?.doubts.some((doubt) => doubt.code === code));
  if (things !== undefined && (none || vague || isRather(read.value, things.kind))) return ok(things);
  // Where no document has a day, a list with the columns of contacts is one of them, with a balance perhaps.
  const documents = items?.items.some(({ date: dated, due }) => dated !== null || due !== null);
  const contacts = none || (kind === undefined && documents === false) ? readContacts(read.value, name) : undefined;
  if (none || (contacts?.own ?? 0) >= 2) {
    if (contacts !== undefined)
      return ok({
        kind: 'contacts',
        // The shape is a contract, which tells of days alone.
        items: contacts.items.map(({ monthEnd: _, ...item }) => item),
        totals: {},
        printedTotals: null,
        nearDuplicates: contacts.nearDuplicates,
        doubts: contacts.doubts.map(toldDoubt),
      });
    return fail(noList(name, kind === undefined ? ['customers', 'contacts'] : [kind]));
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
      [...totals].map(([currency, units]) => [currency, amount(units, items.digits, asCurrency(currency) ?? null)]),
    ),
    printedTotals: Object.keys(printed).length === 0 ? null : printed,
    doubts: items.doubts.map(toldDoubt),
  });
};
