import { type Currency } from './currency';
import { type Problem, type Result, fail, ok, problem, quoted } from '../base/result';
import { LARGEST, type Minor, type Side, abs, minor, negate, onSide } from './minor';
import { type NumberStyle, plainSeparators, readUnsigned, unsignedPattern } from './number-style';
import type { Ratio } from './ratio';
import { divideRounded } from './rounding';

/** What an amount cell holds: blank, or a signed amount in debit-positive minor units. */
export type Entry = { readonly kind: 'blank' } | { readonly kind: 'amount'; readonly amount: Minor };

type Token =
  | { readonly kind: 'number'; readonly value: Ratio; readonly scale: number }
  | { readonly kind: 'mark'; readonly mark: string };

const MOST_CHARACTERS = 200;
const MOST_DEPTH = 50;
const SIDE_AT_END = /(?<![a-z])(dr|cr|d|c|debit|credit)\.?$/i;

const unreadable = (text: string, style: NumberStyle, field?: string): Problem =>
  problem(
    'amount.unreadable',
    `${quoted(text)} does not read as an amount. Amounts are written like ${style}; sums such as 1200+340 and a side such as “1500 cr” are taken too.`,
    field,
  );

const tokens = (text: string, style: NumberStyle): readonly Token[] | undefined => {
  const pattern = new RegExp(`\\s*(?:(${unsignedPattern(style)})|([-+*/×()]))`, 'y');
  const found: Token[] = [];
  const end = text.trimEnd().length;
  while (pattern.lastIndex < end) {
    const match = pattern.exec(text);
    if (match === null) return undefined;
    if (match[1] !== undefined) {
      const { coefficient, scale } = readUnsigned(match[1], style);
      found.push({ kind: 'number', value: { n: coefficient, d: 10n ** BigInt(scale) }, scale });
    } else found.push({ kind: 'mark', mark: match[2] === '×' ? '*' : (match[2] ?? '') });
  }
  return found;
};

/** A recursive-descent evaluation over exact fractions; `undefined` when the tokens are no expression, `'zero'` on a division by nothing. */
const evaluate = (found: readonly Token[]): Ratio | 'zero' | undefined => {
  let at = 0;
  const mark = (...marks: readonly string[]): string | undefined => {
    const token = found[at];
    if (token?.kind !== 'mark' || !marks.includes(token.mark)) return undefined;
    at += 1;
    return token.mark;
  };
  const factor = (depth: number): Ratio | 'zero' | undefined => {
    if (depth > MOST_DEPTH) return undefined;
    if (mark('-') !== undefined) {
      const inner = factor(depth + 1);
      return typeof inner === 'object' ? { n: -inner.n, d: inner.d } : inner;
    }
    if (mark('(') !== undefined) {
      const inner = expression(depth + 1);
      return mark(')') === undefined ? undefined : inner;
    }
    const token = found[at];
    if (token?.kind !== 'number') return undefined;
    at += 1;
    return token.value;
  };
  const term = (depth: number): Ratio | 'zero' | undefined => {
    let left = factor(depth);
    for (let sign = mark('*', '/'); sign !== undefined; sign = mark('*', '/')) {
      const right = factor(depth);
      if (typeof left !== 'object' || typeof right !== 'object')
        return left === 'zero' ? left : right === 'zero' ? right : undefined;
      if (sign === '/' && right.n === 0n) return 'zero';
      left = sign === '*' ? { n: left.n * right.n, d: left.d * right.d } : { n: left.n * right.d, d: left.d * right.n };
    }
    return left;
  };
  const expression = (depth: number): Ratio | 'zero' | undefined => {
    let left = term(depth);
    for (let sign = mark('+', '-'); sign !== undefined; sign = mark('+', '-')) {
      const right = term(depth);
      if (typeof left !== 'object' || typeof right !== 'object')
        return left === 'zero' ? left : right === 'zero' ? right : undefined;
      left = { n: left.n * right.d + (sign === '+' ? 1n : -1n) * right.n * left.d, d: left.d * right.d };
    }
    return left;
  };
  const value = expression(0);
  return at === found.length ? value : undefined;
};

const sideFrom = (word: string): Side => (/^d/i.test(word) ? 'debit' : 'credit');

/**
 * Reads what was typed or pasted into an amount cell.
 *
 * The column gives the side of a plain amount; a negative amount in a column stands on the other side; a side at the end
 * ("1500 cr") overrules the column. Arithmetic (`+ - * / ( )`) is exact and rounded once, at the end, half away from zero,
 * to the currency's decimals. A single number with more decimals than the currency has is refused rather than rounded,
 * because nobody meant to lose a digit. An empty cell, and a dot or dash alone, is blank.
 */
export const readEntry = (
  typed: string,
  column: Side,
  currency: { readonly code: Currency; readonly digits: number },
  style: NumberStyle,
  field?: string,
): Result<Entry> => {
  const text = plainSeparators(typed).trim();
  if (text === '' || /^[-.·]$/.test(text)) return ok({ kind: 'blank' });
  if (text.length > MOST_CHARACTERS)
    return fail(
      problem(
        'amount.too-long',
        `An amount has at most ${MOST_CHARACTERS} characters; this one has ${text.length}.`,
        field,
      ),
    );
  const sideWord = SIDE_AT_END.exec(text);
  const bare = sideWord === null ? text : text.slice(0, sideWord.index);
  const found = tokens(bare, style);
  if (found === undefined) return fail(unreadable(typed, style, field));
  const value = evaluate(found);
  if (value === 'zero') return fail(problem('amount.by-zero', `${quoted(typed)} divides by zero.`, field));
  if (value === undefined) return fail(unreadable(typed, style, field));
  const literals = found.filter((token) => token.kind === 'number');
  const only = literals.length === 1 ? literals[0] : undefined;
  if (only !== undefined && only.scale > currency.digits && (value.n * 10n ** BigInt(currency.digits)) % value.d !== 0n)
    return fail(
      problem(
        'amount.decimals',
        `${quoted(typed)} has ${only.scale} decimals, but ${currency.code} has ${currency.digits === 0 ? 'none' : currency.digits}. Type the amount as it should stand.`,
        field,
      ),
    );
  const signed = minor(divideRounded(value.n * 10n ** BigInt(currency.digits), value.d));
  if (abs(signed) > LARGEST)
    return fail(problem('amount.too-large', `${quoted(typed)} is larger than any balance Bathron keeps.`, field));
  if (sideWord?.[1] !== undefined) {
    const side = onSide(signed, sideFrom(sideWord[1]));
    return ok({ kind: 'amount', amount: signed < 0n ? negate(side) : side });
  }
  return ok({ kind: 'amount', amount: column === 'debit' ? signed : negate(signed) });
};
