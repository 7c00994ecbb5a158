import type { IsoDate } from '../base/iso-date';
import { type Problem, plural, problem, quoted } from '../base/result';
import { type Account, type AccountId, called, listed } from './account';

/** What a tax code does to an amount. */
export const TAX_DIRECTIONS = [
  {
    id: 'charged',
    label: 'Charged on sales',
    sides: ['charged'],
    means: 'added to what customers pay and owed to the tax office',
  },
  {
    id: 'recoverable',
    label: 'Recoverable on purchases',
    sides: ['recoverable'],
    means: 'paid to suppliers and got back from the tax office',
  },
  {
    id: 'self-assessed',
    label: 'Self-assessed',
    sides: ['charged', 'recoverable'],
    means: 'not on the supplier’s bill; owed and got back by the buyer at once',
  },
  { id: 'exempt', label: 'Exempt', sides: [], means: 'no tax, but the turnover is reported' },
  { id: 'outside', label: 'Outside scope', sides: [], means: 'no tax, and not reported' },
] as const;
export type TaxDirection = (typeof TAX_DIRECTIONS)[number]['id'];
export const TAX_DIRECTION_IDS = TAX_DIRECTIONS.map((one) => one.id) as unknown as readonly [
  TaxDirection,
  ...TaxDirection[],
];
export const directionFacts = (id: TaxDirection): (typeof TAX_DIRECTIONS)[number] => {
  const found = TAX_DIRECTIONS.find((one) => one.id === id);
  if (found === undefined) throw new RangeError(`no direction ${id}`);
  return found;
};

export type TaxSide = 'charged' | 'recoverable';
export const hasSide = (direction: TaxDirection, side: TaxSide): boolean =>
  (directionFacts(direction).sides as readonly string[]).includes(side);

/** A rate in per cent as an exact decimal text ("13.5"), from its first day (`YYYY-MM-DD`) until the next one begins. */
export interface TaxRate {
  readonly from: IsoDate;
  readonly rate: string;
}

export interface TaxCodeFields {
  readonly code: string;
  readonly name: string;
  readonly direction: TaxDirection;
  /** In the order of their days; none for a code without tax. */
  readonly rates: readonly TaxRate[];
  /** Account on which charged tax is owed, and the one on which recoverable tax is claimed. */
  readonly charged: AccountId | null;
  readonly recoverable: AccountId | null;
  readonly active: boolean;
}

export interface TaxCode extends TaxCodeFields {
  readonly id: number;
}

/** From nil to a hundred, with at most four decimals. */
const RATE = /^(?:\d{1,2}(?:\.\d{1,4})?|100(?:\.0{1,4})?)$/;
export const isRate = (rate: string): boolean => RATE.test(rate);

/** The rate of a day, or undefined before the first one and for codes without tax. */
export const rateOn = (code: Pick<TaxCode, 'rates'>, day: IsoDate): string | undefined =>
  code.rates.filter((one) => one.from <= day).sort((a, b) => (a.from < b.from ? 1 : -1))[0]?.rate;

export const noRate = (typed: string): Problem =>
  problem('tax.rate', `${quoted(typed)} is no rate in per cent: 0 to 100, with at most four decimals.`, 'rates');

const kindOf = (direction: TaxDirection): string =>
  `A code of the kind ${directionFacts(direction).label.toLowerCase()}`;
export const rateUnwanted = (direction: TaxDirection): Problem =>
  problem('tax.rate-unwanted', `${kindOf(direction)} has no rate.`, 'rates');
export const accountUnwanted = (direction: TaxDirection, side: TaxSide): Problem =>
  problem('tax.account-unwanted', `${kindOf(direction)} posts to no ${side} account.`, side);

/** What is wrong with a tax code beside the others; `self` is the one being changed. */
export const taxCodeProblems = (
  draft: TaxCodeFields,
  others: readonly TaxCode[],
  accounts: ReadonlyMap<AccountId, Account>,
  self?: number,
): readonly Problem[] => {
  const problems: Problem[] = [];
  if (!/^[\p{L}\p{N}][\p{L}\p{N}.\-/ ]{0,11}$/u.test(draft.code))
    problems.push(
      problem(
        'tax.code',
        `${quoted(draft.code)} is no tax code: it is at most 12 letters, digits, points or dashes.`,
        'code',
      ),
    );
  const twin = others.find((one) => one.id !== self && one.code.toLowerCase() === draft.code.toLowerCase());
  if (twin !== undefined)
    problems.push(problem('tax.code-taken', `The code ${twin.code} is taken by ${twin.name}.`, 'code'));
  if (draft.name.trim() === '' || draft.name.length > 80)
    problems.push(problem('tax.name', 'A tax code has a name of at most 80 characters.', 'name'));
  const { sides } = directionFacts(draft.direction);
  if (sides.length > 0 && draft.rates.length === 0)
    problems.push(problem('tax.rate-missing', `${kindOf(draft.direction)} needs a rate, also when it is 0.`, 'rates'));
  if (sides.length === 0 && draft.rates.length > 0) problems.push(rateUnwanted(draft.direction));
  for (const { rate } of draft.rates) if (!isRate(rate)) problems.push(noRate(rate));
  const days = draft.rates.map((one) => one.from);
  if (new Set(days).size < days.length)
    problems.push(problem('tax.rate-days', 'Two rates begin on one day; each day has one rate.', 'rates'));
  for (const side of ['charged', 'recoverable'] as const) {
    const wanted = hasSide(draft.direction, side);
    const id = draft[side];
    const account = id === null ? undefined : accounts.get(id);
    if (!wanted && id !== null) problems.push(accountUnwanted(draft.direction, side));
    if (wanted && id === null)
      problems.push(problem('tax.account-missing', `Choose the account for ${side} tax.`, side));
    if (
      wanted &&
      id !== null &&
      (account === undefined || account.heading || !account.active || account.role !== 'tax')
    )
      problems.push(
        problem(
          'tax.account-role',
          account === undefined
            ? 'The account chosen is not in this chart any more.'
            : `${called(account)} is not an active account with the role Sales tax; give it the role first.`,
          side,
        ),
      );
  }
  return problems;
};

/** Rates in force by country: standard, then reduced ones. To be looked over by whoever uses them; they are proposals. */
const RATES: Readonly<Record<string, readonly string[]>> = {
  AT: ['20', '13', '10'],
  AU: ['10'],
  BE: ['21', '12', '6'],
  CA: ['5'],
  CH: ['8.1', '3.8', '2.6'],
  CZ: ['21', '12'],
  DE: ['19', '7'],
  DK: ['25'],
  ES: ['21', '10', '4'],
  FI: ['25.5', '14', '10'],
  FR: ['20', '10', '5.5', '2.1'],
  GB: ['20', '5'],
  IE: ['23', '13.5', '9'],
  IN: ['18', '12', '5'],
  IT: ['22', '10', '5', '4'],
  JP: ['10', '8'],
  NL: ['21', '9'],
  NO: ['25', '15', '12'],
  NZ: ['15'],
  PL: ['23', '8', '5'],
  PT: ['23', '13', '6'],
  SE: ['25', '12', '6'],
  SG: ['9'],
  SK: ['23', '19', '5'],
};

/** A starter set of tax codes for a country; its rates are proposals from `from` on. Where its rates are not known here, the standard one is 0 and to be typed. */
export const starterTaxCodes = (
  country: string,
  from: IsoDate,
  accounts: { readonly charged: AccountId | null; readonly recoverable: AccountId | null },
): readonly TaxCodeFields[] => {
  const [standard = '0', ...reduced] = RATES[country] ?? [];
  const words = ['reduced', 'second reduced', 'third reduced'];
  const rated = (code: string, name: string, direction: TaxDirection, rate: string): TaxCodeFields => ({
    code,
    name,
    direction,
    rates: [{ from, rate }],
    charged: direction === 'recoverable' ? null : accounts.charged,
    recoverable: direction === 'charged' ? null : accounts.recoverable,
    active: true,
  });
  const bare = (code: string, name: string, direction: TaxDirection): TaxCodeFields => ({
    code,
    name,
    direction,
    rates: [],
    charged: null,
    recoverable: null,
    active: true,
  });
  const all = [
    ['S', 'standard', standard] as const,
    ...reduced.map((rate, at) => [`R${at + 1}`, words[at] ?? 'reduced', rate] as const),
  ];
  return [
    ...all.map(([code, word, rate]) => rated(`OUT-${code}`, `Sales, ${word} rate`, 'charged', rate)),
    rated('OUT-0', 'Sales, zero rate', 'charged', '0'),
    ...all.map(([code, word, rate]) => rated(`IN-${code}`, `Purchases, ${word} rate`, 'recoverable', rate)),
    rated('SELF', 'Services bought abroad, self-assessed', 'self-assessed', standard),
    bare('EX', 'Exempt', 'exempt'),
    bare('NO', 'Outside scope', 'outside'),
  ];
};

/** "23 % from 2026-02-01, then 21 % …" in short: how the rates are said in history. */
export const sayRates = (rates: readonly TaxRate[]): string =>
  rates.length === 0 ? 'no rate' : rates.length === 1 ? `${rates[0]?.rate ?? ''} %` : plural(rates.length, 'rate');

/** Why a tax code cannot be deleted: it is the default of accounts. */
export const removalProblems = (code: TaxCode, chart: Iterable<Account>): readonly Problem[] => {
  const users = [...chart].filter((account) => account.taxCode === code.code);
  return users.length === 0
    ? []
    : [
        problem(
          'tax.used',
          `${code.code} cannot be deleted: it is the default of ${listed(users, 1)}. Give them another one, or make the code inactive.`,
        ),
      ];
};
