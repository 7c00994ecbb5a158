/**
 * Invented daily rates of thirty currencies, 2024 to 2027, for the rate service that ships with the application. They are
 * the same at every call and look like rates, but they are nobody's.
 */

/** Each currency with an invented worth of 1 EUR in it on the first day, in millionths, and how lively it is (in millionths a day). */
const CURRENCIES: Readonly<Record<string, readonly [start: number, lively: number]>> = {
  EUR: [1_000_000, 0],
  GBP: [848_200, 2600],
  NOK: [11_480_000, 3900],
  SEK: [11_260_000, 3700],
  DKK: [7_460_000, 120],
  ISK: [149_300_000, 3000],
  CHF: [948_000, 2400],
  PLN: [4_310_000, 2900],
  CZK: [24_870_000, 2300],
  HUF: [389_000_000, 3600],
  RON: [4_980_000, 500],
  USD: [1_091_000, 3400],
  CAD: [1_472_000, 3000],
  AUD: [1_658_000, 3600],
  NZD: [1_791_000, 3700],
  JPY: [162_500_000, 4200],
  CNY: [7_820_000, 1800],
  HKD: [8_530_000, 2000],
  SGD: [1_464_000, 1700],
  KRW: [1_442_000_000, 3300],
  INR: [91_200_000, 1900],
  THB: [38_900_000, 2500],
  ZAR: [20_300_000, 5600],
  TRY: [33_400_000, 3100],
  MXN: [18_700_000, 4800],
  BRL: [5_390_000, 4600],
  ILS: [4_020_000, 4000],
  KWD: [336_000, 1500],
  TND: [3_390_000, 1700],
  AED: [4_010_000, 2000],
};

export const SIMULATED_CURRENCIES = Object.keys(CURRENCIES);
export const FIRST_DAY = '2024-01-01';
export const LAST_DAY = '2027-12-31';
const DAY = 86_400_000;

/** A small pseudo-random stream (mulberry32), seeded by the currency, so that days do not depend on each other's being asked. */
const stream = (seed: number) => (): number => {
  seed = (seed + 0x6d2b79f5) | 0;
  let mixed = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
};

const walks = new Map<string, readonly bigint[]>();

/** The worth of 1 EUR per day from the first day on, in millionths; whole numbers throughout. */
const walkOf = (currency: string): readonly bigint[] => {
  const known = walks.get(currency);
  if (known !== undefined) return known;
  const [start, lively] = CURRENCIES[currency] ?? [1_000_000, 0];
  const next = stream(Array.from(currency).reduce((seed, letter) => seed * 31 + letter.charCodeAt(0), 7));
  const days = (Date.parse(LAST_DAY) - Date.parse(FIRST_DAY)) / DAY + 1;
  let worth = BigInt(start);
  const walk: bigint[] = [];
  for (let day = 0; day < days; day += 1) {
    walk.push(worth);
    // Drawn back a little to where it began, so that four years do not lead astray.
    const pull = (BigInt(start) - worth) / 400n;
    worth += (worth * BigInt(Math.round((next() - 0.5) * 2 * lively))) / 1_000_000n + pull;
  }
  walks.set(currency, walk);
  return walk;
};

export interface InventedRate {
  readonly date: string;
  readonly currency: string;
  /** So much of the currency for 1 of the base; six significant decimals. */
  readonly rate: string;
}

/** The rates of working days from `from` to `to` (`YYYY-MM-DD`) for 1 `base`, oldest first. */
export const inventedRates = (
  base: string,
  currencies: readonly string[],
  from: string,
  to: string,
): readonly InventedRate[] => {
  const rates: InventedRate[] = [];
  const start = Math.max(Date.parse(from), Date.parse(FIRST_DAY));
  const end = Math.min(Date.parse(to), Date.parse(LAST_DAY));
  const own = walkOf(base);
  for (let time = start; time <= end; time += DAY) {
    const weekday = new Date(time).getUTCDay();
    if (weekday === 0 || weekday === 6) continue;
    const day = (time - Date.parse(FIRST_DAY)) / DAY;
    for (const currency of currencies) {
      if (currency === base || CURRENCIES[currency] === undefined) continue;
      const millionths = ((walkOf(currency)[day] ?? 1n) * 1_000_000n) / (own[day] ?? 1n);
      const digits = String(millionths).padStart(7, '0');
      rates.push({
        date: new Date(time).toISOString().slice(0, 10),
        currency,
        rate: `${digits.slice(0, -6)}.${digits.slice(-6)}`,
      });
    }
  }
  return rates;
};
