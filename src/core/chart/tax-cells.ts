import type { IsoDate } from '../base/iso-date';
import { named, prepared } from '../base/pick';
import { type Result, fail, ok, problem, quoted } from '../base/result';
import { readYes } from '../base/yes';
import { type NumberStyle, marksOf } from '../money/number-style';
import { type Account, type AccountId, called } from './account';
import type { ProposedTaxAccounts } from './tax-accounts';
import {
  TAX_DIRECTIONS,
  type TaxCodeFields,
  type TaxDirection,
  type TaxRate,
  type TaxSide,
  accountUnwanted,
  directionFacts,
  hasSide,
  isRate,
  noRate,
  rateOn,
  rateUnwanted,
} from './tax-codes';

/** The columns in which a sheet tells and takes tax codes. */
export const TAX_COLUMNS = ['code', 'name', 'direction', 'rates', 'charged', 'recoverable', 'active'] as const;
export type TaxColumn = (typeof TAX_COLUMNS)[number];

/** What the cells of tax codes are read and written by. */
export interface TaxRules {
  /** `YYYY-MM-DD`: the day whose rate is shown, and which is changed where another is typed. */
  readonly day: IsoDate;
  /** `YYYY-MM-DD`: from when on the first rate of a code counts. */
  readonly firstDay: IsoDate;
  readonly style: NumberStyle;
  /** The accounts on which sales tax may stand. */
  readonly accounts: readonly Account[];
  /** Those that a code gets whose kind comes to need them. */
  readonly proposed: ProposedTaxAccounts;
}

export const blankTaxCode = ({ proposed }: Pick<TaxRules, 'proposed'>): TaxCodeFields => ({
  code: '',
  name: '',
  direction: 'charged',
  rates: [],
  charged: proposed.charged,
  recoverable: null,
  active: true,
});

/** A rate in per cent as the books write numbers. */
export const rateText = (rate: string, style: NumberStyle): string => rate.replace('.', marksOf(style).decimal);

/**
 * A rate in per cent as somebody types it: a point or a comma before the decimals, as no rate has thousands.
 *
 * @example typedRate('13,50 %') // { ok: true, value: '13.5' }
 */
export const typedRate = (typed: string): Result<string> => {
  const [, whole = '', decimals = ''] = /^0{0,2}(\d{1,3})(?:[.,](\d{0,4}))?\s{0,3}%?$/.exec(typed.trim()) ?? [];
  const fraction = decimals.replace(/0{1,4}$/, '');
  const rate = fraction === '' ? whole : `${whole}.${fraction}`;
  return isRate(rate) ? ok(rate) : fail(noRate(typed));
};

/** Rates with that of a day replaced; null takes it away. Where none counts on that day yet, it is the first, from `firstDay`. */
const withRate = (rates: readonly TaxRate[], rate: string | null, { day, firstDay }: TaxRules): readonly TaxRate[] => {
  const inForce = rates
    .map(({ from }) => from)
    .filter((from) => from <= day)
    .sort()
    .at(-1);
  const others = rates.filter(({ from }) => from !== inForce);
  const from = inForce ?? (firstDay < day ? firstDay : day);
  return rate === null ? others : [...others, { from, rate }].sort((a, b) => (a.from < b.from ? -1 : 1));
};

/** A code of another kind: it keeps what that kind has, and gets the accounts that it needs. */
const turned = (code: TaxCodeFields, direction: TaxDirection, { proposed }: TaxRules): TaxCodeFields => ({
  ...code,
  direction,
  charged: hasSide(direction, 'charged') ? (code.charged ?? proposed.charged) : null,
  recoverable: hasSide(direction, 'recoverable') ? (code.recoverable ?? proposed.recoverable) : null,
  rates: directionFacts(direction).sides.length === 0 ? [] : code.rates,
});

export const taxText = (code: TaxCodeFields, column: TaxColumn, { day, style, accounts }: TaxRules): string => {
  switch (column) {
    case 'direction':
      return directionFacts(code.direction).label;
    case 'rates': {
      const rate = rateOn(code, day);
      return rate === undefined ? '' : `${rateText(rate, style)} %`;
    }
    case 'charged':
    case 'recoverable': {
      const account = accounts.find(({ id }) => id === code[column]);
      return account === undefined ? '' : called(account);
    }
    case 'active':
      return code.active ? 'yes' : 'no';
    default:
      return code[column];
  }
};

const DIRECTIONS = prepared(TAX_DIRECTIONS.map(({ id, label }) => ({ id, code: '', name: label })));

const typedAccount = (
  code: TaxCodeFields,
  side: TaxSide,
  text: string,
  accounts: readonly Account[],
): Result<AccountId | null> => {
  if (text === '') return ok(null);
  if (!hasSide(code.direction, side)) return fail(accountUnwanted(code.direction, side));
  const account = named(prepared(accounts), text);
  return account === undefined
    ? fail(
        problem(
          'tax.account-unknown',
          `${quoted(text)} is no account with the role Sales tax. Choose one of the list, or give it the role on the chart first.`,
          side,
        ),
      )
    : ok(account.id);
};

/**
 * A code with one cell typed otherwise; a problem where the text is none of its kind. What is typed as its rate takes the place of the
 * one that counts on the day of `rules`; the others stay.
 */
export const typedTax = (
  code: TaxCodeFields,
  column: TaxColumn,
  typed: string,
  rules: TaxRules,
): Result<TaxCodeFields> => {
  const text = typed.trim();
  switch (column) {
    case 'direction': {
      const kind = named(DIRECTIONS, text);
      return kind === undefined
        ? fail(
            problem(
              'tax.direction',
              `${quoted(typed)} is nothing that a tax code does. Choose one of: ${TAX_DIRECTIONS.map(({ label }) => label).join(', ')}.`,
              column,
            ),
          )
        : ok(turned(code, kind.id, rules));
    }
    case 'rates': {
      if (text === '') return ok({ ...code, rates: withRate(code.rates, null, rules) });
      if (directionFacts(code.direction).sides.length === 0) return fail(rateUnwanted(code.direction));
      const read = typedRate(text);
      return read.ok ? ok({ ...code, rates: withRate(code.rates, read.value, rules) }) : read;
    }
    case 'charged':
    case 'recoverable': {
      const read = typedAccount(code, column, text, rules.accounts);
      return read.ok ? ok({ ...code, [column]: read.value }) : read;
    }
    case 'active': {
      const read = readYes(typed, column, true);
      return read.ok ? ok({ ...code, active: read.value }) : read;
    }
    default:
      return ok({ ...code, [column]: text });
  }
};
