import { useState } from 'react';
import type { SignInStep } from '@/actions/sign-in/steps';
import type { Problem, Result } from '@/core/base/result';
import { send } from '../parts/send';

const ask = async <T>(step: SignInStep, given: object): Promise<Result<T>> => {
  const answer = await fetch(`/sign-in/do/${step}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(given),
  });
  return (await answer.json()) as Result<T>;
};

/** Asks for a step of signing in, and keeps what was wrong with it. */
export const useStep = <T>(step: SignInStep, then: (value: T) => void) => {
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const run = (given: object): void => {
    setBusy(true);
    void send(ask<T>(step, given)).then((done) => {
      setBusy(false);
      setProblems(done.ok ? [] : done.problems);
      if (done.ok) then(done.value);
    });
  };
  return { run, busy, problems };
};

/** The whole page anew: whoever asks is somebody else now. */
export const goTo = (page: string): void => location.assign(page);
