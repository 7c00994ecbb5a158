import { type Problem, problem, quoted } from '../base/result';
import { type Routing, plainRouting, routingProblem } from './routing';

/** What is known about a bank, cash or card account beside its name. `alertBelow` is in minor units of the account's currency. */
export interface BankDetails {
  readonly number: string;
  /** The number of the bank or branch, without marks; see `routingOf`. */
  readonly routing: string;
  readonly iban: string;
  readonly bic: string;
  readonly alertBelow: bigint | null;
  readonly reconciled: boolean;
  /** Documents name it as an account that may be paid into. */
  readonly onDocuments: boolean;
  /** Day of the month on which statements end; null when it varies. 31 is the last day of any month. */
  readonly statementDay: number | null;
}

export const NO_BANK_DETAILS: BankDetails = {
  number: '',
  routing: '',
  iban: '',
  bic: '',
  alertBelow: null,
  reconciled: true,
  onDocuments: false,
  statementDay: null,
};

/**
 * What follows the check digits of an IBAN by country (ISO 13616 registry): so many digits (n), capitals (a), or either (c), one
 * run after the other.
 */
const STRUCTURES: ReadonlyMap<string, string> = new Map(
  (
    'AD8n12c AE19n AL8n16c AT16n AZ4a20c BA16n BE12n BG4a6n8c BH4a14c BI23n BR23n1a1c BY4c4n16c CH5n12c CR18n CY8n16c CZ20n DE18n DJ23n ' +
    'DK14n DO4c20n EE16n EG25n ES20n FI14n FK2a12n FO14n FR10n11c2n GB4a14n GE2a16n GI4a15c GL14n GR7n16c GT24c HN4a20n HR17n HU24n IE4a14n ' +
    'IL19n IQ4a15n IS22n IT1a10n12c JO4a4n18c KW4a22c KZ3n13c LB4n20c LC4a24c LI5n12c LT16n LU3n13c LV4a13c LY21n MC10n11c2n MD20c ME18n ' +
    'MK3n10c2n MN16n MR23n MT4a5n18c MU4a19n3a NI4a20n NL4a10n NO11n OM3n16c PK4a16c PL24n PS4a21c PT21n QA4a21c RO4a16c RS18n RU14n15c SA2n18c ' +
    'SC4a20n3a SD14n SE20n SI15n SK20n SM1a10n12c SO19n ST21n SV4a20n TL19n TN20n TR6n16c UA6n19c VA18n VG4a16n XK16n YE4a4n18c'
  )
    .split(' ')
    .map((entry) => [entry.slice(0, 2), entry.slice(2)]),
);

const RUNS = { n: '\\d', a: '[A-Z]', c: '[A-Z0-9]' } as const;

const runsOf = (structure: string): readonly (readonly [length: number, of: keyof typeof RUNS])[] =>
  [...structure.matchAll(/(\d{1,2})([nac])/g)].map(([, length, of]) => [Number(length), of as keyof typeof RUNS]);

const RUN_WORDS = { n: 'digits', a: 'letters', c: 'letters or digits' } as const;

/** An IBAN without the spaces it is printed with, in capitals. */
export const plainIban = (typed: string): string => typed.replace(/[\s-]/g, '').toUpperCase();

/** An IBAN in groups of four, as it is printed. */
export const printIban = (iban: string): string => plainIban(iban).replace(/(.{4})(?=.)/g, '$1 ');

/** The remainder by 97 of a number given as text (ISO 7064 MOD 97-10), seven digits at a time. */
const mod97 = (digits: string): number => {
  let rest = 0;
  for (let at = 0; at < digits.length; at += 7) rest = Number(`${rest}${digits.slice(at, at + 7)}`) % 97;
  return rest;
};

/** What is wrong with an IBAN (ISO 13616): its shape, its country's length, or its check digits. */
export const ibanProblem = (typed: string): Problem | undefined => {
  const iban = plainIban(typed);
  if (iban === '') return undefined;
  const wrong = (why: string): Problem =>
    problem('bank.iban', `${quoted(printIban(iban))} is no IBAN: ${why}.`, 'iban');
  if (!/^[A-Z]{2}\d{2}[A-Z0-9]{8,30}$/.test(iban))
    return wrong('it begins with two letters for the country and two check digits, then letters and digits follow');
  const country = iban.slice(0, 2);
  const structure = STRUCTURES.get(country);
  if (structure === undefined) return wrong(`${country} is no country that has IBANs`);
  const runs = runsOf(structure);
  const length = runs.reduce((sum, [one]) => sum + one, 4);
  if (iban.length !== length) return wrong(`one of ${country} has ${length} characters, this has ${iban.length}`);
  if (!new RegExp(`^${runs.map(([one, of]) => `${RUNS[of]}{${one}}`).join('')}$`).test(iban.slice(4)))
    return wrong(
      `behind the check digits of ${country} stand ${runs.map(([one, of]) => `${one} ${RUN_WORDS[of]}`).join(', then ')}`,
    );
  const check = Number(iban.slice(2, 4));
  if (check < 2 || check > 98) return wrong('check digits are from 02 to 98');
  const rearranged = iban.slice(4) + iban.slice(0, 4);
  const digits = rearranged.replace(/[A-Z]/g, (letter) => String(letter.charCodeAt(0) - 55));
  return mod97(digits) === 1 ? undefined : wrong('its check digits do not fit; a digit is mistyped or two are swapped');
};

/** A business identifier code without blanks, in capitals. */
export const plainBic = (typed: string): string => typed.replace(/\s/g, '').toUpperCase();

/** What is wrong with a business identifier code (ISO 9362). */
export const bicProblem = (typed: string): Problem | undefined => {
  const bic = plainBic(typed);
  return bic === '' || /^[A-Z]{4}[A-Z]{2}[A-Z0-9]{2}([A-Z0-9]{3})?$/.test(bic)
    ? undefined
    : problem(
        'bank.bic',
        `${quoted(typed)} is no BIC: it has eight or eleven letters and digits, the fifth and sixth are the country.`,
        'bic',
      );
};

/** Details without the blanks and marks that they are printed with, as the books keep them. */
export const plainDetails = (details: BankDetails): BankDetails => ({
  ...details,
  iban: plainIban(details.iban),
  bic: plainBic(details.bic),
  routing: plainRouting(details.routing),
});

/** What is wrong with what is known about an account; `routing` is how its bank is numbered. */
export const bankProblems = (details: BankDetails, routing: Routing): readonly Problem[] =>
  [
    ibanProblem(details.iban),
    bicProblem(details.bic),
    routingProblem(details.routing, routing),
    details.number.length > 40
      ? problem('bank.number', 'An account number has at most 40 characters.', 'number')
      : undefined,
    details.statementDay !== null &&
    (!Number.isInteger(details.statementDay) || details.statementDay < 1 || details.statementDay > 31)
      ? problem('bank.statement-day', 'The statement day is a day of the month, 1 to 31.', 'statementDay')
      : undefined,
  ].filter((one) => one !== undefined);
