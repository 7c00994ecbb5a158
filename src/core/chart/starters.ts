import { type LegalForm, legalFormLabel } from '../company/legal-form';
import { type Result, fail, ok, problem } from '../base/result';
import type { Answers, Vocabulary } from './composition/answers';
import { type ComposedAccount, compose } from './composition/compose';

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
  salesTax: true,
} as const;

const PRESETS: Readonly<
  Record<Exclude<StarterId, 'empty'>, Omit<Answers, 'legalForm' | 'vocabulary' | 'currencies' | 'foreign'>>
> = {
  trading: { ...USUAL, trades: ['wholesale'], stock: true, grants: false },
  services: { ...USUAL, trades: ['consulting'], stock: false, grants: false },
  charity: { ...USUAL, trades: ['charity', 'arts-events'], stock: false, grants: true },
};

/** The starters that suit a legal form: the charity's goes with charities only, and charities get no other. */
export const startersFor = (form: LegalForm): readonly StarterId[] =>
  form === 'charity' ? ['charity', 'empty'] : ['trading', 'services', 'empty'];

/** The answers of a starter for a legal form; `undefined` for the empty one; or why the two do not go together. */
export const starterAnswers = (
  starter: StarterId,
  legalForm: LegalForm,
  vocabulary: Vocabulary,
  foreign = false,
): Result<Answers | undefined> => {
  if (!startersFor(legalForm).includes(starter))
    return fail(
      problem(
        'starter.form',
        starter === 'charity'
          ? `The charity chart has funds instead of owners’ equity, which does not suit the legal form ${legalFormLabel(legalForm)}. Choose another starter or another legal form.`
          : `This starter has owners’ equity, which a charity does not have. Choose the charity chart, or begin empty.`,
        'starter',
      ),
    );
  return ok(starter === 'empty' ? undefined : { ...PRESETS[starter], legalForm, vocabulary, foreign, currencies: [] });
};

/** The accounts of a starter, headings before what stands under them; or why starter and legal form do not go together. */
export const starterChart = (
  starter: StarterId,
  form: LegalForm,
  vocabulary: Vocabulary = 'international',
  foreign = false,
): Result<readonly ComposedAccount[]> => {
  const answers = starterAnswers(starter, form, vocabulary, foreign);
  return answers.ok ? ok(answers.value === undefined ? [] : compose(answers.value)) : answers;
};
