import { type Problem, type Result, fail, ok, problem } from '../base/result';
import { fullYear, readDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { oneLine } from '../files/clean';
import { MOST_CELL_CHARACTERS, MOST_ENTRIES, counted } from '../files/limits';
import { decode } from '../files/text';
import { type Currency, isCurrency, minorDigits } from '../money/currency';
import { type Minor, minor } from '../money/minor';
import { unitsOf } from '../money/paper-amount';
import { plainIban } from '../chart/bank';
import {
  type AccountStatement,
  type StatementBalance,
  type StatementEntry,
  type StatementsRead,
  balanceDoubts,
  noCurrency,
} from './statement';

/** Statements as SWIFT message 940 has them (and 950, without words): lines that begin with the number of a field between colons. */

/** A field: its number and option, and its lines. */
interface Field {
  readonly tag: string;
  readonly lines: readonly string[];
}

const TAG = /^:(\d{2}[A-Z]?):(.*)$/;
/** Bytes at the beginning in which the first fields stand. */
const LOOKED_AT = 4000;

/** Whether a file is such a message: a balance to begin with, and the account it is of. */
export const isSwiftStatement = (bytes: Uint8Array): boolean => {
  const start = new TextDecoder('latin1').decode(bytes.subarray(0, LOOKED_AT));
  return /^:25[A-Z]?:/m.test(start) && /^:60[FM]:[CD]\d{6}[A-Z]{3}\d/m.test(start);
};

const fieldsOf = (text: string): readonly Field[] => {
  const fields: { readonly tag: string; readonly lines: string[] }[] = [];
  for (const line of text.split(/\r\n|\r|\n/)) {
    const [, tag, rest = ''] = TAG.exec(line) ?? [];
    // A block of the message ends with a bracket or a dash of its own.
    if (tag !== undefined) fields.push({ tag, lines: [rest] });
    else if (!/^-?\}|^-$|^\{/.test(line)) fields.at(-1)?.lines.push(line);
  }
  return fields;
};

const dayOf = (short: string): IsoDate | null => {
  const [year, month, day] = [short.slice(0, 2), short.slice(2, 4), short.slice(4, 6)];
  const read = readDate(`${fullYear(year)}-${month}-${day}`);
  return read.ok ? read.value.toString() : null;
};

/** An amount with a comma before its decimals; undefined where it has more than the currency. */
const amountOf = (text: string, credit: boolean, digits: number): Minor | undefined => {
  const [whole = '', fraction = ''] = text.split(',');
  if (whole.length + fraction.length > 20 || !/^\d+$/.test(whole + fraction)) return undefined;
  const units = unitsOf({ coefficient: BigInt(whole + fraction), scale: fraction.length }, digits);
  return units === undefined ? undefined : minor(credit ? units.amount : -units.amount);
};

const BALANCE = /^([CD])(\d{6})([A-Z]{3})(\d[\d,]*)$/;

interface Balance extends StatementBalance {
  readonly currency: Currency;
}

const balanceIn = (field: Field | undefined): Balance | undefined => {
  const [, side, day = '', currency = '', amount = ''] = BALANCE.exec(field?.lines[0]?.trim() ?? '') ?? [];
  if (side === undefined || !isCurrency(currency)) return undefined;
  const read = amountOf(amount, side === 'C', minorDigits(currency));
  return read === undefined ? undefined : { date: dayOf(day), amount: read, currency };
};

/**
 * A line: day of value, day of booking where it is another, C or D with R before it for what is taken back, a letter of the currency,
 * amount, kind of payment, references.
 */
const LINE = /^(\d{6})(\d{4})?(R?[CD])[A-Z]?(\d[\d,]*)[A-Z]/;

/** The day of booking has no year of its own: it is the one that is nearest to the day of value. */
const bookedOn = (value: string, booked: string | undefined): IsoDate | null => {
  const own = dayOf(value);
  if (booked === undefined || own === null) return own;
  const year = Number(own.slice(0, 4));
  const days = [year - 1, year, year + 1].flatMap((one) => {
    const read = readDate(`${String(one)}-${booked.slice(0, 2)}-${booked.slice(2)}`);
    return read.ok ? [read.value] : [];
  });
  const from = readDate(own);
  if (!from.ok) return own;
  const away = (day: (typeof days)[number]): number => Math.abs(from.value.until(day, { largestUnit: 'days' }).days);
  return [...days].sort((a, b) => away(a) - away(b))[0]?.toString() ?? own;
};

/** What is said of a payment: parts are numbered with a mark of the bank's ("?20", ">20"), and those of words are from 20 to 29 and 60 to 63. */
const wordsOf = (lines: readonly string[]): string => {
  const whole = lines.join('');
  if (!/^\d{3}[?>]\d\d/.test(whole)) return oneLine(lines.join(' '));
  const parts = whole.split(/[?>](?=\d\d)/).slice(1);
  return oneLine(parts.flatMap((part) => (/^(?:2\d|6[0-3]|3[23])/.test(part) ? [part.slice(2)] : [])).join(' '));
};

/** Fields of a file by statement: each begins with its reference. */
const statementsOf = (fields: readonly Field[]): readonly (readonly Field[])[] => {
  const found: Field[][] = [];
  for (const field of fields) {
    if (field.tag === '20' || found.length === 0) found.push([]);
    found.at(-1)?.push(field);
  }
  return found.filter((own) => own.some(({ tag }) => tag.startsWith('25')));
};

/** The currency that the balances of a message are written in, which may be none that is known. */
const writtenCurrency = (fields: readonly Field[]): string =>
  fields.flatMap(({ tag, lines }) =>
    /^6[02]/.test(tag) ? (BALANCE.exec(lines[0]?.trim() ?? '')?.[3] ?? []) : [],
  )[0] ?? '';

/** Balances of a message, the first that opens and the last that closes. */
const balancesOf = (fields: readonly Field[]) => ({
  opening: balanceIn(fields.find(({ tag }) => tag === '60F' || tag === '60M')),
  closing: balanceIn(fields.findLast(({ tag }) => tag === '62F' || tag === '62M')),
});

/** "BANK/ACCOUNT", and the IBAN alone where the bank has one. */
const accountOf = (fields: readonly Field[]): string => {
  const account = (fields.find(({ tag }) => tag === '25' || tag === '25P')?.lines[0] ?? '').trim();
  const iban = plainIban(account);
  return /^[A-Z]{2}\d{2}[A-Z0-9]{8,30}$/.test(iban) ? iban : oneLine(account);
};

const statementOf = (
  fields: readonly Field[],
  currency: Currency,
  at: number,
): { readonly read: AccountStatement; readonly doubts: readonly Problem[] } => {
  const { opening, closing } = balancesOf(fields);
  const digits = minorDigits(currency);
  const doubts: Problem[] = [];
  const entries: StatementEntry[] = [];
  fields.forEach(({ tag, lines }, place) => {
    if (tag !== '61') return;
    const [, value = '', booked, side = '', amount = ''] = LINE.exec(lines[0] ?? '') ?? [];
    // What is taken back stands on the other side.
    const read = side === '' ? undefined : amountOf(amount, side === 'C' || side === 'RD', digits);
    if (read === undefined) {
      doubts.push(
        problem(
          'statement.entry',
          `Entry ${String(entries.length + 1)} has no amount that reads, so it is left out.`,
          at,
        ),
      );
      return;
    }
    const next = fields[place + 1];
    const words = next?.tag === '86' ? wordsOf(next.lines) : '';
    entries.push({
      date: bookedOn(value, booked),
      valueDate: dayOf(value),
      amount: read,
      text: words === '' ? oneLine(lines.slice(1).join(' ')) : words,
    });
  });
  const bare = (one: Balance | undefined): StatementBalance | null =>
    one === undefined ? null : { date: one.date, amount: one.amount };
  const read: AccountStatement = {
    account: accountOf(fields),
    currency,
    digits,
    from: opening?.date ?? null,
    to: closing?.date ?? null,
    opening: bare(opening),
    closing: bare(closing),
    entries,
  };
  doubts.push(...balanceDoubts(read, at));
  return { read, doubts };
};

/** A statement over several messages: one ends with a balance on the way (62M), and the next of the account begins with it (60M). */
const joined = (statements: readonly (readonly Field[])[]): readonly (readonly Field[])[] => {
  const found: Field[][] = [];
  const account = (fields: readonly Field[] | undefined): string =>
    fields?.find(({ tag }) => tag.startsWith('25'))?.lines[0]?.trim() ?? '';
  for (const fields of statements) {
    const last = found.at(-1);
    const goesOn =
      fields.some(({ tag }) => tag === '60M') && last?.findLast(({ tag }) => tag.startsWith('62'))?.tag === '62M';
    if (last !== undefined && goesOn && account(last) === account(fields))
      last.push(...fields.filter(({ tag }) => !tag.startsWith('60')));
    else found.push([...fields]);
  }
  return found;
};

/** The statements of a SWIFT message 940 or 950: money in the bank positive. */
export const readSwiftStatement = (bytes: Uint8Array, name: string): Result<StatementsRead> => {
  const fields = fieldsOf(decode(bytes).text.replace(/^\ufeff/, ''));
  const many = fields.filter(({ tag }) => tag === '61').length;
  if (many > MOST_ENTRIES)
    return fail(
      problem(
        'statement.many',
        `${name} has more than ${counted(MOST_ENTRIES)} entries, which is the most that is read. Fetch shorter spans from the bank.`,
      ),
    );
  if (fields.some(({ lines }) => lines.reduce((all, line) => all + line.length, 0) > MOST_CELL_CHARACTERS))
    return fail(
      problem(
        'statement.long',
        `${name} has a field of more than ${counted(MOST_CELL_CHARACTERS)} characters, which no bank’s message has. Fetch it from the bank again.`,
      ),
    );
  const found = joined(statementsOf(fields)).map((own) => {
    const { opening, closing } = balancesOf(own);
    return { own, currency: opening?.currency ?? closing?.currency };
  });
  const unread = found.flatMap(({ own, currency }) =>
    currency === undefined ? [noCurrency(writtenCurrency(own), accountOf(own))] : [],
  );
  const read = found
    .flatMap(({ own, currency }) => (currency === undefined ? [] : [{ own, currency }]))
    .map(({ own, currency }, at) => statementOf(own, currency, at));
  if (read.length === 0 && unread.length > 0) return fail(...unread);
  return ok({ statements: read.map((one) => one.read), doubts: [...unread, ...read.flatMap(({ doubts }) => doubts)] });
};
