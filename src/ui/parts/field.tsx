import { type ReactNode, useId } from 'react';

interface FieldProps {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly problem?: string | undefined;
  readonly children: (ids: {
    readonly id: string;
    readonly 'aria-describedby': string;
    readonly 'aria-invalid': boolean;
  }) => ReactNode;
}

/** A labelled field with its hint, or the sentence that says what is wrong with it, right below. */
export const Field = ({ label, hint, problem, children }: FieldProps) => {
  const id = useId();
  return (
    <div className="flex min-w-0 flex-col gap-1">
      <label htmlFor={id} className="text-sm font-medium">
        {label}
      </label>
      {children({ id, 'aria-describedby': `${id}-note`, 'aria-invalid': problem !== undefined })}
      <p
        id={`${id}-note`}
        className={problem === undefined ? 'note' : 'text-sm text-brick'}
        {...(problem === undefined ? {} : { role: 'alert' })}
      >
        {problem ?? hint}
      </p>
    </div>
  );
};
