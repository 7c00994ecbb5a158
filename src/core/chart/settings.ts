import type { CodeRule } from './account';
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
