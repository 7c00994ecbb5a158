import { Temporal } from 'temporal-polyfill';

/** What the makers of lists and of statements write alike. */

/** The digits of a whole number in groups of three. */
const inThrees = (digits: string): readonly string[] =>
  digits.length <= 3 ? [digits] : [...inThrees(digits.slice(0, -3)), digits.slice(-3)];

/** An amount of hundredths without its sign, with the marks between thousands and before decimals. */
export const bareAmount = (units: number, [thousands, decimals]: readonly [string, string]): string => {
  const digits = String(Math.abs(units)).padStart(3, '0');
  return `${inThrees(digits.slice(0, -2)).join(thousands)}${decimals}${digits.slice(-2)}`;
};

/** The same as the contract of the readers has it: plain, with a point. */
export const plainAmount = (units: number): string =>
  `${units < 0 ? '-' : ''}${String(Math.floor(Math.abs(units) / 100))}.${String(Math.abs(units) % 100).padStart(2, '0')}`;

/** The day of a time in milliseconds, ISO. */
export const isoOf = (time: number): string => Temporal.Instant.fromEpochMilliseconds(time).toString().slice(0, 10);

export const DAY = 86_400_000;

/** The lines of a made list as a file, each filled up to as many cells as there are columns. */
export const csvOf = (lines: readonly (readonly string[])[], width: number): string =>
  lines
    .map((line) =>
      [...line, ...Array.from({ length: Math.max(0, width - line.length) }, () => '')]
        .map((cell) => (/[;"\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell))
        .join(';'),
    )
    .join('\r\n');
