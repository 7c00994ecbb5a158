import { folded } from '../base/folded';
import { textOf } from '../base/table';
import { negate } from '../money/minor';
import type { AccountStatement, StatementBalance } from './statement';
import type { BankTable } from './statement-columns';
import { CARD } from './statement-words';

/** A number of which only the last digits are shown, as those of cards are. */
const MASKED = /(?:[*x•#]{4}[\s-]?){2,3}\d{4}/i;

/** The word for a card is one where it says what the statement is of; a card that is bought, or paid with at a till, is none. */
const saysCard = (text: string): boolean => {
  const found = CARD.in(folded(text));
  return found !== undefined && (found !== 'card' || /^card(?:\W|$)/i.test(text));
};

/** Whether a table writes what was spent above nil, as cards do: where it is called one, and most of its entries say no side. */
export const isCard = (
  { list, at }: BankTable,
  name: string,
  { entries, opening, closing }: AccountStatement,
): boolean => {
  const called = [...list.titles, ...(list.rows[list.header] ?? []).map(textOf), name.replace(/[_.-]+/g, ' ')];
  if (
    at('amount') < 0 ||
    at('side') >= 0 ||
    !called.some((text) => text.length < 200 && (saysCard(text) || MASKED.test(text)))
  )
    return false;
  const spent = entries.filter(({ amount }) => amount > 0n).length;
  return spent * 2 >= entries.length && [opening, closing].every((one) => one === null || one.amount >= 0n);
};

/** A card's statement as the books see it; an amount that says its side itself is paid in already. */
export const turned = (statement: AccountStatement, spoken: readonly boolean[]): AccountStatement => {
  const balance = (one: StatementBalance | null): StatementBalance | null =>
    one === null ? null : { ...one, amount: negate(one.amount) };
  return {
    ...statement,
    opening: balance(statement.opening),
    closing: balance(statement.closing),
    entries: statement.entries.map((entry, at) =>
      spoken[at] === true ? entry : { ...entry, amount: negate(entry.amount) },
    ),
  };
};
