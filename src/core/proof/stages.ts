import type { CheckResult } from './checks';
import { blockers, verdict } from './checks';
import { plural } from '../base/result';
import { type Totals, difference } from '../ledger/level';
import { NIL } from '../money/minor';
import { STAGES, type StageId } from './stage-ids';

/** How a stage stands. `fill` is how much of its stone is laid, 0 to 100. `note` says it in words. */
export interface StageState {
  readonly id: StageId;
  readonly label: string;
  readonly state: 'laid' | 'in progress' | 'waits' | 'to do';
  readonly note: string;
  readonly fill: number;
}

export interface StageFacts {
  /** Required answers of the company stage, and how many of them stand. */
  readonly required: { readonly all: number; readonly done: number };
  /** Undefined where the part is off, and with it the stage. */
  readonly currencies: number | undefined;
  readonly periods: number;
  readonly accounts: number;
  readonly filled: number;
  /** Accounts that want something behind their figures, how many of them tie or are explained, and how many stand apart. */
  readonly schedules: { readonly wanted: number; readonly tied: number; readonly apart: number };
  readonly posted: boolean;
  readonly drafting: boolean;
  readonly proof: readonly CheckResult[];
}

const found = (proof: readonly CheckResult[], prefix: string, severity = 'blocker'): number =>
  proof.filter((one) => one.id.startsWith(prefix) && one.severity === severity && one.findings.length > 0).length;

/** The course of a set of books: every stage, its state, and what it waits for. */
export const stageStates = (facts: StageFacts): readonly StageState[] => {
  const blocking = blockers(facts.proof).length;
  const calendarOpen = found(facts.proof, 'calendar.');
  const currenciesOpen = found(facts.proof, 'currencies.') + found(facts.proof, 'currencies.', 'warning');
  const chartOpen = found(facts.proof, 'chart.');
  const openingsOpen = found(facts.proof, 'openings.');
  const states: Record<StageId, Omit<StageState, 'id' | 'label'>> = {
    company:
      facts.required.done < facts.required.all
        ? {
            state: 'in progress',
            note: `${facts.required.all - facts.required.done} to answer`,
            fill: Math.round((100 * facts.required.done) / (facts.required.all + 1)),
          }
        : { state: 'laid', note: 'done', fill: 100 },
    currencies:
      facts.currencies === undefined || facts.currencies === 0
        ? { state: 'to do', note: 'none switched on', fill: 0 }
        : currenciesOpen > 0
          ? { state: 'in progress', note: `${currenciesOpen} to put right`, fill: 50 }
          : { state: 'laid', note: `${facts.currencies} with rates`, fill: 100 },
    calendar:
      facts.periods === 0
        ? { state: 'to do', note: 'no periods', fill: 0 }
        : calendarOpen > 0
          ? { state: 'in progress', note: `${calendarOpen} to put right`, fill: 60 }
          : { state: 'laid', note: 'done', fill: 100 },
    chart:
      facts.accounts === 0
        ? { state: 'to do', note: 'no accounts', fill: 0 }
        : chartOpen > 0
          ? { state: 'in progress', note: `${plural(chartOpen, 'role')} to give`, fill: 60 }
          : { state: 'laid', note: 'done', fill: 100 },
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
    schedules:
      facts.accounts === 0 || (facts.filled === 0 && facts.schedules.wanted === 0)
        ? { state: 'waits', note: 'waits: balances', fill: 0 }
        : facts.schedules.wanted === 0
          ? { state: 'laid', note: 'none needed', fill: 100 }
          : facts.schedules.tied === facts.schedules.wanted
            ? { state: 'laid', note: 'all tied', fill: 100 }
            : {
                state: facts.schedules.tied + facts.schedules.apart > 0 ? 'in progress' : 'to do',
                note: `${facts.schedules.tied} of ${facts.schedules.wanted} tied`,
                fill: Math.round((80 * facts.schedules.tied) / facts.schedules.wanted),
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
  return STAGES.filter(({ id }) => id !== 'currencies' || facts.currencies !== undefined).map(({ id, label }) => ({
    id,
    label,
    ...states[id],
  }));
};

/**
 * The course while figures are typed, until the checks are run anew: books that are out of balance by now are not ready to post, and
 * those that were out and net to zero by now are not known to be. Both totals are of the same books; what is posted stays.
 *
 * @example whileTyping([{ id: 'proof', fill: 100 }], { debits: 5n, credits: 5n }, { debits: 6n, credits: 5n })[0].note // 'out of balance'
 */
export const whileTyping = (stages: readonly StageState[], then: Totals, now: Totals): readonly StageState[] => {
  const [was, is] = [difference(then), difference(now)];
  if (was === is) return stages;
  return stages.map((stage): StageState => {
    if (stage.id === 'proof')
      return is === NIL
        ? { ...stage, note: 'to be checked anew' }
        : { ...stage, state: 'in progress', note: 'out of balance', fill: Math.min(stage.fill, 50) };
    return stage.id === 'sign-off' && is !== NIL ? { ...stage, state: 'waits', note: 'waits: Proof', fill: 0 } : stage;
  });
};

/** The first stage that is not laid, or undefined when the books are done. */
export const nextStage = (states: readonly StageState[]): StageState | undefined =>
  states.find((one) => one.state === 'in progress' || one.state === 'to do') ??
  states.find((one) => one.state !== 'laid');
