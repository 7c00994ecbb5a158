import { type Result, fail, ok, problem } from '../../base/result';
import { type Account, called, chartIndex } from '../account';
import { typeOf } from '../../ledger/classes';
import { catchAll, misfitForm, nearDuplicates, singleAssets } from './names';
import {
  inactiveBalances,
  loneChildren,
  misfitAnswers,
  missingEssentials,
  noPair,
  questionableCodes,
} from './structure';
import type { Advice, AdviceKind, Advise, TidyState } from './types';

/** The kinds of advice in the order in which they are given, each with its rule. */
export const ADVICE: readonly { readonly kind: AdviceKind; readonly label: string; readonly advise: Advise }[] = [
  { kind: 'missing', label: 'Missing essentials', advise: missingEssentials },
  { kind: 'misfit-form', label: 'Does not fit the legal form', advise: misfitForm },
  { kind: 'misfit-answers', label: 'Does not fit the answers', advise: misfitAnswers },
  { kind: 'inactive-balance', label: 'Inactive with a balance', advise: inactiveBalances },
  { kind: 'near-duplicate', label: 'Two accounts for one thing', advise: nearDuplicates },
  { kind: 'single-assets', label: 'One account per single asset', advise: singleAssets },
  { kind: 'catch-all', label: 'Catch-alls', advise: catchAll },
  { kind: 'code', label: 'Codes outside their range or shape', advise: questionableCodes },
  { kind: 'no-pair', label: 'Sales without a cost of sales', advise: noPair },
  { kind: 'lone-child', label: 'Headings with one account or none', advise: loneChildren },
];

/** All tidying advice for a chart; one pass per rule. */
export const tidy = (state: Omit<TidyState, 'index'>): readonly Advice[] => {
  const prepared = { ...state, index: chartIndex(state.chart) };
  return ADVICE.flatMap(({ advise }) => advise(prepared));
};

/** Whether one account can be merged into another, or why not. */
export const mergeable = (
  from: Account | undefined,
  into: Account | undefined,
  children: number,
): Result<{ from: Account; into: Account }> => {
  if (from === undefined || into === undefined)
    return fail(problem('merge.unknown', 'One of the two accounts is not in this chart any more.'));
  const no = (why: string): Result<never> =>
    fail(problem('merge.refused', `${called(from)} cannot be merged into ${called(into)}: ${why}.`));
  if (from.id === into.id) return no('it is the same account');
  if (from.heading || into.heading || children > 0) return no('headings have no figures to move');
  if (typeOf(from.classification) !== typeOf(into.classification))
    return no(`one is of type ${typeOf(from.classification)}, the other of type ${typeOf(into.classification)}`);
  if (from.currency !== into.currency) return no('they are kept in different currencies');
  if (!into.active) return no(`${called(into)} is inactive`);
  return ok({ from, into });
};

/** Who would take over the role of an account that is merged away: the one it goes into, when that has none. */
export const inheritsRole = (from: Account, into: Account): boolean => from.role !== null && into.role === null;
