import type { CheckResult } from './proof/checks';
import { blockers, verdict } from './proof/checks';
import { plural } from './result';

export const STAGES = [
  { id: 'company', label: 'Company' },
  { id: 'calendar', label: 'Calendar' },
  { id: 'chart', label: 'Chart' },
  { id: 'openings', label: 'Opening balances' },
  { id: 'proof', label: 'Proof' },
  { id: 'sign-off', label: 'Sign-off' },
] as const;

export type StageId = (typeof STAGES)[number]['id'];

/** How a stage stands. `fill` is how much of its stone is laid, 0 to 100. `note` says it in words. */
export interface StageState {
  readonly id: StageId;
  readonly label: string;
  readonly state: 'laid' | 'in progress' | 'waits' | 'to do';
  readonly note: string;
  readonly fill: number;
}

export interface StageFacts {
  readonly periods: number;
  readonly accounts: number;
  readonly filled: number;
  readonly posted: boolean;
  readonly drafting: boolean;
  readonly proof: readonly CheckResult[];
}

const found = (proof: readonly CheckResult[], prefix: string): number =>
  proof.filter((one) => one.id.startsWith(prefix) && one.severity === 'blocker' && one.findings.length > 0).length;

/** The course of a set of books: every stage, its state, and what it waits for. */
export const stageStates = (facts: StageFacts): readonly StageState[] => {
  const blocking = blockers(facts.proof).length;
  const calendarOpen = found(facts.proof, 'calendar.');
  const chartOpen = found(facts.proof, 'chart.');
  const openingsOpen = found(facts.proof, 'openings.');
  const states: Record<StageId, Omit<StageState, 'id' | 'label'>> = {
    company: { state: 'laid', note: 'laid', fill: 100 },
    calendar:
      facts.periods === 0
        ? { state: 'to do', note: 'no periods', fill: 0 }
        : calendarOpen > 0
          ? { state: 'in progress', note: `${calendarOpen} to put right`, fill: 60 }
          : { state: 'laid', note: 'laid', fill: 100 },
    chart:
      facts.accounts === 0
        ? { state: 'to do', note: 'no accounts', fill: 0 }
        : chartOpen > 0
          ? { state: 'in progress', note: `${plural(chartOpen, 'role')} missing`, fill: 60 }
          : { state: 'laid', note: 'laid', fill: 100 },
    openings:
      facts.accounts === 0
        ? { state: 'waits', note: 'waits: Chart', fill: 0 }
        : facts.posted && !facts.drafting
          ? { state: 'laid', note: 'posted', fill: 100 }
          : facts.filled === 0
            ? { state: 'to do', note: 'nothing filled', fill: 0 }
            : {
                state: openingsOpen > 0 ? 'in progress' : 'laid',
                note: `${facts.filled} of ${facts.accounts} filled`,
                fill: openingsOpen > 0 ? 50 : 100,
              },
    proof:
      facts.accounts === 0 || (facts.filled === 0 && !facts.posted)
        ? { state: 'waits', note: 'waits: balances', fill: 0 }
        : {
            state: blocking > 0 ? 'in progress' : 'laid',
            note: verdict(facts.proof),
            fill: blocking > 0 ? Math.round((100 * (facts.proof.length - blocking)) / facts.proof.length / 2) : 100,
          },
    'sign-off':
      facts.posted && !facts.drafting
        ? { state: 'laid', note: 'posted', fill: 100 }
        : facts.posted
          ? { state: 'in progress', note: 'correction open', fill: 60 }
          : blocking > 0 || facts.filled === 0
            ? { state: 'waits', note: 'waits: Proof', fill: 0 }
            : { state: 'to do', note: 'ready to post', fill: 0 },
  };
  return STAGES.map(({ id, label }) => ({ id, label, ...states[id] }));
};

/** The first stage that is not laid, or undefined when the books are done. */
export const nextStage = (states: readonly StageState[]): StageState | undefined =>
  states.find((one) => one.state === 'in progress' || one.state === 'to do') ??
  states.find((one) => one.state !== 'laid');
