/**
 * ISO 4217 active currency codes with the number of decimals of their minor unit
 * (source: ISO 4217:2015 table A.1 as amended; metals and test codes are left out, and funds codes but for the two units of
 * account in four decimals that companies keep balances in).
 */
const BY_DIGITS = {
  0: ['BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX VND VUV XAF XOF XPF'],
  2: [
    'AED AFN ALL AMD ANG AOA ARS AUD AWG AZN BAM BBD BDT BGN BMD BND BOB BRL BSD BTN BWP BYN BZD CAD CDF CHF CNY COP',
    'CRC CUP CVE CZK DKK DOP DZD EGP ERN ETB EUR FJD FKP GBP GEL GHS GIP GMD GTQ GYD HKD HNL HTG HUF IDR ILS INR IRR',
    'JMD KES KGS KHR KPW KYD KZT LAK LBP LKR LRD LSL MAD MDL MGA MKD MMK MNT MOP MRU MUR MVR MWK MXN MYR MZN NAD NGN',
    'NIO NOK NPR NZD PAB PEN PGK PHP PKR PLN QAR RON RSD RUB SAR SBD SCR SDG SEK SGD SHP SLE SOS SRD SSP STN SVC SYP',
    'SZL THB TJS TMT TOP TRY TTD TWD TZS UAH USD UYU UZS VED VES WST XCD XCG YER ZAR ZMW ZWG',
  ],
  3: ['BHD IQD JOD KWD LYD OMR TND'],
  4: ['CLF UYW'],
} as const;

type Digits = keyof typeof BY_DIGITS;
type Words<Text extends string> = Text extends `${infer First} ${infer Rest}` ? First | Words<Rest> : Text;

/** The code of an ISO 4217 currency: one whose minor unit is known. */
export type Currency = Words<(typeof BY_DIGITS)[Digits][number]>;

const DIGITS: ReadonlyMap<string, number> = new Map(
  Object.entries(BY_DIGITS).flatMap(([digits, lines]) =>
    lines.flatMap((codes) => codes.split(' ').map((code): [string, number] => [code, Number(digits)])),
  ),
);

export const isCurrency = (code: string): code is Currency => DIGITS.has(code);

/** A text as the code that it is; undefined where it is none. */
export const asCurrency = (text: string): Currency | undefined => (isCurrency(text) ? text : undefined);

export const CURRENCY_CODES: readonly Currency[] = [...DIGITS.keys()].filter(isCurrency).sort();

/** Currencies that another one has replaced, with it and since when (ISO 4217, amendments 176 and 180): books that have them keep them. */
export const RETIRED: Readonly<Partial<Record<Currency, readonly [into: Currency, since: string]>>> = {
  ANG: ['XCG', '2025-03-31'],
  BGN: ['EUR', '2026-01-01'],
};

/** Units of account in which nothing is paid: companies have balances in them, and no books. */
const UNITS_OF_ACCOUNT: ReadonlySet<Currency> = new Set(['CLF', 'UYW']);

/** Why a currency cannot be taken into use, as the base of books or beside it; undefined where it can. */
export const whyNotForNew = (code: Currency, use: 'base' | 'foreign'): string | undefined => {
  const replaced = RETIRED[code];
  if (replaced !== undefined) return `${code} was replaced by ${replaced[0]} on ${replaced[1]}. Choose ${replaced[0]}.`;
  return use === 'base' && UNITS_OF_ACCOUNT.has(code)
    ? `${code} is a unit of account, in which nobody keeps books. Choose the currency that is paid with.`
    : undefined;
};

/** Decimals of the currency's minor unit; throws for a code that `isCurrency` refuses, since money without a scale is no money. */
export const minorDigits = (currency: Currency): number => {
  const digits = DIGITS.get(currency);
  if (digits === undefined) throw new RangeError(`${currency} is not an ISO 4217 currency`);
  return digits;
};
