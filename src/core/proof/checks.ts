import { plural } from '../base/result';
import { tell } from '../base/sentence';
import { writingOf } from '../money/writing';
import { CALENDAR_CHECKS } from './calendar';
import { CHART_CHECKS } from './chart';
import type { Aside, Check, Finding, ProofState, Severity } from './check';
import { COMPANY_CHECKS } from './company';
import { CURRENCY_CHECKS } from './currencies';
import { OPENING_CHECKS } from './openings';
import { SCHEDULE_CHECKS } from './schedules';

export const CHECKS = {
  ...OPENING_CHECKS,
  ...SCHEDULE_CHECKS,
  ...CHART_CHECKS,
  ...CALENDAR_CHECKS,
  ...CURRENCY_CHECKS,
  ...COMPANY_CHECKS,
};

export type CheckId = keyof typeof CHECKS;
export const CHECK_IDS = Object.keys(CHECKS) as readonly CheckId[];

export interface CheckResult {
  readonly id: CheckId;
  readonly severity: Severity;
  readonly title: string;
  readonly why: string;
  /** Why the check tells nothing of these books; absent where it tells something. */
  readonly aside?: Aside;
  /** Empty when the check is satisfied. */
  readonly findings: readonly (Finding & { readonly what: string })[];
}

/** All checks in a fixed order, each with what it found, or why it tells nothing of these books. */
export const prove = (state: ProofState): readonly CheckResult[] => {
  const writing = writingOf({ style: state.style, dates: state.facts.dates });
  return CHECK_IDS.map((id): CheckResult => {
    const { severity, title, why, find, aside: tellsNothing }: Check = CHECKS[id];
    const aside = tellsNothing?.(state);
    if (aside !== undefined) return { id, severity, title, why, findings: [], aside };
    const findings = find(state).map((one) => ({ ...one, what: tell(one.what, writing) }));
    return { id, severity, title, why, findings };
  });
};

export const blockers = (results: readonly CheckResult[]): readonly CheckResult[] =>
  results.filter((one) => one.severity === 'blocker' && one.findings.length > 0);

/** "2 blockers, 1 warning", or "clear"; advice does not count. */
export const verdict = (results: readonly CheckResult[]): string => {
  const open = results.filter((one) => one.findings.length > 0);
  const blocking = blockers(open).length;
  const warning = open.filter((one) => one.severity === 'warning').length;
  const parts = [
    ...(blocking > 0 ? [plural(blocking, 'blocker')] : []),
    ...(warning > 0 ? [plural(warning, 'warning')] : []),
  ];
  return parts.length === 0 ? 'clear' : parts.join(', ');
};
