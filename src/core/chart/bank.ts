import { type Problem, problem, quoted } from '../result';

/** What is known about a bank, cash or card account beside its name. `alertBelow` is in minor units of the account's currency. */
export interface BankDetails {
  readonly number: string;
  readonly iban: string;
  readonly bic: string;
  readonly alertBelow: bigint | null;
  readonly reconciled: boolean;
  /** Day of the month on which statements end; null when it varies. 31 is the last day of any month. */
  readonly statementDay: number | null;
}

export const NO_BANK_DETAILS: BankDetails = {
  number: '',
  iban: '',
  bic: '',
  alertBelow: null,
  reconciled: true,
  statementDay: null,
};

/** Length of an IBAN by country (ISO 13616 registry). */
const LENGTHS: ReadonlyMap<string, number> = new Map(
  'AD24 AE23 AL28 AT20 AZ28 BA20 BE16 BG22 BH22 BR29 BY28 CH21 CR22 CY28 CZ24 DE22 DK18 DO28 EE20 EG29 ES24 FI18 FO18 FR27 GB22 GE22 GI23 GL18 GR27 GT28 HR21 HU28 IE22 IL23 IQ23 IS26 IT27 JO30 KW30 KZ20 LB28 LC32 LI21 LT20 LU20 LV21 MC27 MD24 ME22 MK19 MR27 MT31 MU30 NL18 NO15 OM23 PK24 PL28 PS29 PT25 QA29 RO24 RS22 SA24 SC31 SE24 SI19 SK24 SM27 ST25 SV28 TL23 TN24 TR26 UA29 VA22 VG24 XK20'
    .split(' ')
    .map((entry) => [entry.slice(0, 2), Number(entry.slice(2))]),
);

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
  const length = LENGTHS.get(country);
  if (length === undefined) return wrong(`${country} is no country that has IBANs`);
  if (iban.length !== length) return wrong(`one of ${country} has ${length} characters, this has ${iban.length}`);
  const rearranged = iban.slice(4) + iban.slice(0, 4);
  const digits = rearranged.replace(/[A-Z]/g, (letter) => String(letter.charCodeAt(0) - 55));
  return mod97(digits) === 1 ? undefined : wrong('its check digits do not fit; a digit is mistyped or two are swapped');
};

/** What is wrong with a business identifier code (ISO 9362). */
export const bicProblem = (typed: string): Problem | undefined => {
  const bic = typed.replace(/\s/g, '').toUpperCase();
  return bic === '' || /^[A-Z]{4}[A-Z]{2}[A-Z0-9]{2}([A-Z0-9]{3})?$/.test(bic)
    ? undefined
    : problem(
        'bank.bic',
        `${quoted(typed)} is no BIC: it has eight or eleven letters and digits, the fifth and sixth are the country.`,
        'bic',
      );
};

export const bankProblems = (details: BankDetails): readonly Problem[] =>
  [
    ibanProblem(details.iban),
    bicProblem(details.bic),
    details.number.length > 40
      ? problem('bank.number', 'An account number has at most 40 characters.', 'number')
      : undefined,
    details.statementDay !== null &&
    (!Number.isInteger(details.statementDay) || details.statementDay < 1 || details.statementDay > 31)
      ? problem('bank.statement-day', 'The statement day is a day of the month, 1 to 31.', 'statementDay')
      : undefined,
  ].filter((one) => one !== undefined);
