import type { Answered, Asked } from './asked';
import { enter, enterCode, leave } from './enter';
import { begin, chooseByLink, forgotten } from './links';
import {
  beginSecondStep,
  changePassphrase,
  dropOwnSecondStep,
  endOwnSession,
  finishSecondStep,
  newRecoveryCodes,
} from './own';

/** All that can be asked for before it is known who asks, and what somebody sees to for themselves. */
export const SIGN_IN_STEPS = {
  enter,
  code: enterCode,
  leave,
  forgotten,
  choose: chooseByLink,
  begin,
  passphrase: changePassphrase,
  'second-step': beginSecondStep,
  'second-step-code': finishSecondStep,
  'no-second-step': dropOwnSecondStep,
  'recovery-codes': newRecoveryCodes,
  'end-session': endOwnSession,
} as const satisfies Record<string, (input: unknown, asked: Asked) => Promise<Answered>>;

export type SignInStep = keyof typeof SIGN_IN_STEPS;

export const isSignInStep = (step: string): step is SignInStep => Object.hasOwn(SIGN_IN_STEPS, step);
