import { type CheckResult, blockers, verdict } from './checks';
import { type StageState, nextStage } from './stages';

/** What the board says of a set of books besides the facts about the company: plain data, to be kept. */
export interface Standing {
  readonly atYearStart: boolean;
  /** Per stage, how much of its stone is laid. */
  readonly fills: readonly number[];
  readonly said: string;
  readonly next: Pick<StageState, 'id' | 'label' | 'note'> | null;
  readonly blockers: number;
  readonly verdict: string;
  /** How far debits and credits are apart, in minor units, debit positive: as text, since JSON has no such numbers. */
  readonly net: string;
}

/** The standing of books by their stages and checks. */
export const standingOf = (
  stages: readonly StageState[],
  proof: readonly CheckResult[],
  atYearStart: boolean,
  net: bigint,
): Standing => {
  const next = nextStage(stages);
  return {
    atYearStart,
    fills: stages.map((stage) => stage.fill),
    said: stages.map((stage) => `${stage.label}: ${stage.note}`).join('; '),
    next: next === undefined ? null : { id: next.id, label: next.label, note: next.note },
    blockers: blockers(proof).length,
    verdict: verdict(proof),
    net: String(net),
  };
};
