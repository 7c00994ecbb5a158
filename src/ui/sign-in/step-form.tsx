import type { ReactNode } from 'react';
import type { Problem } from '@/core/base/result';
import { Problems } from '../parts/problems';
import type { useStep } from './use-step';

type Step = Pick<ReturnType<typeof useStep>, 'run' | 'busy' | 'problems'>;

/** A form of a step: its fields, what was wrong, and the one button that sends what was given. */
export const StepForm = ({
  step,
  given,
  button,
  problems = step.problems,
  plain = false,
  beside,
  label,
  children,
}: {
  readonly step: Step;
  readonly given: object;
  readonly button: string;
  /** Those that stand at no field, where some do. */
  readonly problems?: readonly Problem[];
  /** One of several forms of its page, none of which is the way on. */
  readonly plain?: boolean;
  readonly beside?: ReactNode;
  /** The id of its heading, where it has one. */
  readonly label?: string;
  readonly children: ReactNode;
}) => (
  <form
    className="space-y-3"
    {...(label === undefined ? {} : { 'aria-labelledby': label })}
    onSubmit={(event) => {
      event.preventDefault();
      step.run(given);
    }}
  >
    {children}
    <Problems problems={problems} />
    <p className="flex flex-wrap items-center gap-4">
      <button className={`btn btn-sm ${plain ? '' : 'btn-primary'}`} disabled={step.busy}>
        {button}
      </button>
      {beside}
    </p>
  </form>
);
