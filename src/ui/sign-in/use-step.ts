import { useState } from 'react';
import type { SIGN_IN_STEPS, SignInStep } from '@/actions/sign-in/steps';
import type { Problem, Result } from '@/core/base/result';
import { send } from '../parts/send';

type Answer<Step extends SignInStep> = Awaited<ReturnType<(typeof SIGN_IN_STEPS)[Step]>>['result'];
type Value<Step extends SignInStep> = Answer<Step> extends Result<infer T> ? T : never;

const ask = async <Step extends SignInStep>(step: Step, given: object): Promise<Result<Value<Step>>> => {
  const answer = await fetch(`/sign-in/do/${step}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(given),
  });
  return (await answer.json()) as Result<Value<Step>>;
};

/** Asks for a step of signing in, and keeps what was wrong with it. */
export const useStep = <Step extends SignInStep>(step: Step, then: (value: Value<Step>) => void) => {
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const run = (given: object): void => {
    setBusy(true);
    void send(ask(step, given)).then((done) => {
      setBusy(false);
      setProblems(done.ok ? [] : done.problems);
      if (done.ok) then(done.value);
    });
  };
  return { run, busy, problems };
};

/** The whole page anew: whoever asks is somebody else now. */
export const goTo = (page: string): void => location.assign(page);
