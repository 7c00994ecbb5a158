import { type Problem, plural, problem } from '../base/result';
import { type Account, type CodeRule, called } from './account';
import type { Answers } from './composition/answers';
import { type CodeScheme } from './scheme';

/** What a set of books keeps about its chart as a whole. */
export interface ChartSettings {
  readonly codes: CodeRule;
  readonly codesShown: boolean;
  /** Null: codes are as they come, and none is questioned. */
  readonly scheme: CodeScheme | null;
  /** The answers that the chart was last composed from. */
  readonly answers: Answers | null;
}

export const PLAIN_SETTINGS: ChartSettings = { codes: 'required', codesShown: true, scheme: null, answers: null };

/** What the rules of a chart are called where they are told. */
export const CHART_RULES: Readonly<Record<keyof ChartSettings, string>> = {
  codes: 'Whether accounts need codes',
  codesShown: 'Whether codes are shown',
  scheme: 'The scheme of account codes',
  answers: 'The answers that the chart is begun from',
};

/** Why accounts cannot be made to need codes: some have none. */
export const codesProblems = (codes: CodeRule | undefined, chart: readonly Account[]): readonly Problem[] => {
  const bare = codes === 'required' ? chart.filter(({ code }) => code === '') : [];
  const [first] = bare;
  return first === undefined
    ? []
    : [
        problem(
          'codes.missing',
          `${plural(bare.length, 'account')} without a code stand${bare.length === 1 ? 's' : ''} in this chart, ${called(first)} among them. Give them codes first; renumbering does it at once.`,
          'codes',
        ),
      ];
};
