import { type Currency } from '../money/currency';
import { type Problem, plural, problem } from '../base/result';
import { type Account, called } from './account';
import { holdsMoney } from './money';
import { typeOf } from '../ledger/classes';

/** By what an account is used. */
export interface AccountUse {
  readonly figures: number;
  readonly changes: number;
  readonly paperRows: number;
  readonly journalLines: number;
  readonly taxCodes: number;
  readonly comparatives: number;
  /** Papers that somebody keeps with it. */
  readonly papers: number;
  /** Items of its schedule, in any version. */
  readonly items: number;
}

export const UNUSED: AccountUse = {
  figures: 0,
  changes: 0,
  paperRows: 0,
  journalLines: 0,
  taxCodes: 0,
  comparatives: 0,
  papers: 0,
  items: 0,
};

const uses = (use: AccountUse): readonly string[] => [
  ...(use.figures > 0 ? ['an opening balance'] : []),
  ...(use.journalLines > 0 ? [plural(use.journalLines, 'journal line')] : []),
  ...(use.paperRows > 0 ? [plural(use.paperRows, 'row of a paper', 'rows of papers')] : []),
  ...(use.taxCodes > 0 ? [plural(use.taxCodes, 'tax code')] : []),
  ...(use.comparatives > 0 ? [plural(use.comparatives, 'comparative')] : []),
  ...(use.papers > 0 ? [plural(use.papers, 'paper kept with it', 'papers kept with it')] : []),
  ...(use.items > 0 ? [plural(use.items, 'item or statement in its schedule', 'items in its schedule')] : []),
  ...(use.changes > 0 && use.figures === 0 ? ['the history of an earlier opening balance'] : []),
];

/** Why an account cannot be deleted, or nothing. `children` counts the accounts that stand under it. */
export const removalProblems = (
  account: Pick<Account, 'code' | 'name'>,
  use: AccountUse,
  children: number,
): readonly Problem[] => {
  const by = [...(children > 0 ? [`${plural(children, 'account')} under it`] : []), ...uses(use)];
  return by.length === 0
    ? []
    : [
        problem(
          'account.used',
          `${called(account)} cannot be deleted: it has ${by.join(', ')}. ${children > 0 ? 'Move what is under it first.' : 'Deactivate it instead; it then takes no new amounts.'}`,
        ),
      ];
};

/** The fields that use holds; the others of a used account may change. */
export const HELD_BY_USE = [
  'classification',
  'currency',
  'heading',
  'role',
] as const satisfies readonly (keyof Account)[];

/** What may not change any more because the account is in use: its type, its currency, its kind of money account, heading or not. */
export const changeProblems = (was: Account, is: Account, use: AccountUse, base: Currency): readonly Problem[] => {
  const by = uses({ ...use, taxCodes: 0, comparatives: 0, papers: 0 });
  if (by.length === 0) return [];
  const because = `${called(was)} is in use (${by.join(', ')})`;
  const problems: Problem[] = [];
  if (typeOf(was.classification) !== typeOf(is.classification))
    problems.push(
      problem(
        'account.type-used',
        `${because}, so its type stays ${typeOf(was.classification)}. Make a new account, and merge this one into it if both are of one type.`,
        'classification',
      ),
    );
  if (was.currency !== is.currency)
    problems.push(
      problem('account.currency-used', `${because}, so its currency stays ${was.currency ?? base}.`, 'currency'),
    );
  if (was.heading !== is.heading)
    problems.push(problem('account.heading-used', `${because}, so it cannot become a heading.`, 'heading'));
  if (was.role !== is.role && holdsMoney(was))
    problems.push(problem('account.kind-used', `${because}, so it stays a ${was.role ?? ''} account.`, 'role'));
  return problems;
};
