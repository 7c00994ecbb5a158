import { type LegalForm, hasFunds, legalFormLabel } from '../company/legal-form';
import { type Result, fail, ok, problem } from '../base/result';
import { PARTS, PART_IDS, type Part } from '../company/parts';
import type { Answers, Vocabulary } from './composition/answers';
import { type ComposedAccount, compose } from './composition/compose';
import { partsUsedBy } from './parts-in-use';

/** Ready-made answers for books that are to have a chart at once; every answer can be changed afterwards. */
export const STARTERS = [
  { id: 'trading', label: 'General trading', says: 'buys and sells goods, with stock' },
  { id: 'services', label: 'Services', says: 'sells work and time, no stock' },
  { id: 'charity', label: 'Charity', says: 'donations, grants and funds' },
  { id: 'empty', label: 'Empty', says: 'no accounts; answer, copy, import or type them on the Chart page' },
] as const;

export type StarterId = (typeof STARTERS)[number]['id'];
export const STARTER_IDS = STARTERS.map((one) => one.id) as unknown as readonly [StarterId, ...StarterId[]];

const USUAL = {
  credit: true,
  staff: true,
  premises: 'rented',
  vehicles: true,
  loans: true,
  projects: false,
} as const;

const PRESETS: Readonly<
  Record<Exclude<StarterId, 'empty'>, Omit<Answers, 'legalForm' | 'vocabulary' | 'currencies' | 'foreign' | 'salesTax'>>
> = {
  trading: { ...USUAL, trades: ['wholesale'], stock: true, grants: false },
  services: { ...USUAL, trades: ['consulting'], stock: false, grants: false },
  charity: { ...USUAL, trades: ['charity', 'arts-events'], stock: false, grants: true },
};

/** The starters that suit a legal form: the charity's goes with forms that have funds, and those get no other. */
export const startersFor = (form: LegalForm): readonly StarterId[] =>
  hasFunds(form) ? ['charity', 'empty'] : ['trading', 'services', 'empty'];

/** What is asked of a new set of books beside its legal form. */
export interface FirstAnswers {
  readonly vocabulary: Vocabulary;
  readonly foreign: boolean;
  readonly salesTax: boolean;
}

/** The answers of a starter for a legal form; `undefined` for the empty one; or why the two do not go together. */
export const starterAnswers = (
  starter: StarterId,
  legalForm: LegalForm,
  first: FirstAnswers,
): Result<Answers | undefined> => {
  if (!startersFor(legalForm).includes(starter))
    return fail(
      problem(
        'starter.form',
        starter === 'charity'
          ? `The charity chart has funds instead of owners’ equity, which does not suit the legal form ${legalFormLabel(legalForm)}. Choose another starter or another legal form.`
          : `This starter has owners’ equity, which this legal form does not have. Choose the charity chart, or begin empty.`,
        'starter',
      ),
    );
  return ok(starter === 'empty' ? undefined : { ...PRESETS[starter], ...first, legalForm, currencies: [] });
};

/** The accounts of a starter, headings before what stands under them; or why starter and legal form do not go together. */
export const starterChart = (
  starter: StarterId,
  form: LegalForm,
  first: FirstAnswers,
): Result<readonly ComposedAccount[]> => {
  const answers = starterAnswers(starter, form, first);
  return answers.ok ? ok(answers.value === undefined ? [] : compose(answers.value)) : answers;
};

/**
 * The parts of the books that are in use from the start: those of the chart that it begins with. An empty chart says nothing, so all
 * are that only add roles to choose from; sales tax and currencies as answered.
 */
export const firstParts = (chart: readonly ComposedAccount[] | undefined, first: FirstAnswers): readonly Part[] => {
  const used = chart === undefined ? ROLE_PARTS : partsUsedBy(chart);
  // Accounts for rounding come with every chart; they alone do not make a company work in foreign currencies.
  return PART_IDS.filter((part) =>
    part === 'currencies' ? first.foreign : part === 'sales-tax' ? first.salesTax : used.includes(part),
  );
};

const ROLE_PARTS: readonly Part[] = PARTS.filter(({ roles }) => roles.length > 0).map(({ id }) => id);
