import { type Result, fail, ok, problem, quoted } from '../base/result';
import { readYes } from '../base/yes';
import { type Currency, minorDigits } from '../money/currency';
import { readEntry } from '../money/entry';
import { formatMinor } from '../money/format';
import { minor } from '../money/minor';
import type { NumberStyle } from '../money/number-style';
import { type BankDetails, bicProblem, ibanProblem, plainBic, plainIban, printIban } from './bank';
import { type Routing, plainRouting, printRouting, routingProblem } from './routing';

/** The columns in which a sheet tells and takes what is known of accounts that hold money. */
export const BANK_COLUMNS = [
  'iban',
  'number',
  'routing',
  'bic',
  'alertBelow',
  'onDocuments',
  'reconciled',
  'statementDay',
] as const;
export type BankColumn = (typeof BANK_COLUMNS)[number];

export const BANK_LABELS: Readonly<Record<BankColumn, string>> = {
  iban: 'IBAN',
  number: 'Account number',
  routing: 'Bank code',
  bic: 'BIC',
  alertBelow: 'Alert below',
  onDocuments: 'On documents',
  reconciled: 'Reconcile',
  statementDay: 'Statement day',
};

/** What the cells of an account are read and written by. */
export interface BankRules {
  readonly currency: Currency;
  readonly style: NumberStyle;
  /** How its bank is numbered. */
  readonly routing: Routing;
}

/** A statement that ends on no day of its own, and one that ends with the month. */
export const [VARIES, LAST_DAY] = ['varies', 'last'] as const;

export const bankText = (details: BankDetails, column: BankColumn, { currency, style, routing }: BankRules): string => {
  switch (column) {
    case 'iban':
      return printIban(details.iban);
    case 'routing':
      return printRouting(details.routing, routing);
    case 'alertBelow':
      return details.alertBelow === null ? '' : formatMinor(minor(details.alertBelow), minorDigits(currency), style);
    case 'onDocuments':
    case 'reconciled':
      return details[column] ? 'yes' : 'no';
    case 'statementDay':
      return details.statementDay === null
        ? VARIES
        : details.statementDay === 31
          ? LAST_DAY
          : String(details.statementDay);
    default:
      return details[column];
  }
};

/**
 * Details with one cell typed otherwise; a problem where the text is none of its kind.
 *
 * @example typedBank(NO_BANK_DETAILS, 'statementDay', 'last', { currency: 'EUR', style: '1,234.56', routing: ANY_ROUTING }) // { ok: true, value: { ...NO_BANK_DETAILS, statementDay: 31 } }
 */
export const typedBank = (
  details: BankDetails,
  column: BankColumn,
  typed: string,
  { currency, style, routing }: BankRules,
): Result<BankDetails> => {
  const text = typed.trim();
  const checked = (wrong: ReturnType<typeof ibanProblem>, to: string): Result<BankDetails> =>
    wrong === undefined ? ok({ ...details, [column]: to }) : fail(wrong);
  switch (column) {
    case 'iban':
      return checked(ibanProblem(text), plainIban(text));
    case 'routing':
      return checked(routingProblem(text, routing), plainRouting(text));
    case 'bic':
      return checked(bicProblem(text), plainBic(text));
    case 'alertBelow': {
      if (text === '') return ok({ ...details, alertBelow: null });
      const read = readEntry(text, 'debit', { code: currency, digits: minorDigits(currency) }, style);
      if (!read.ok) return read;
      return ok({ ...details, alertBelow: read.value.kind === 'amount' ? read.value.amount : null });
    }
    case 'onDocuments':
    case 'reconciled': {
      const read = readYes(text, column, false);
      return read.ok ? ok({ ...details, [column]: read.value }) : read;
    }
    case 'statementDay': {
      const day = text === '' || text === VARIES ? null : text === LAST_DAY ? 31 : Number(text);
      return day === null || (Number.isInteger(day) && day >= 1 && day <= 31)
        ? ok({ ...details, statementDay: day })
        : fail(
            problem(
              'bank.statement-day',
              `${quoted(typed)} is no day of the month. Type 1 to 31, “${LAST_DAY}”, or “${VARIES}”.`,
              'statementDay',
            ),
          );
    }
    default:
      return ok({ ...details, [column]: text });
  }
};
