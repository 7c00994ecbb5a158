import { Field } from './field';

/** A labelled line of text that its page keeps. */
export const TextField = ({
  label,
  hint,
  problem,
  value,
  onValue,
  type = 'text',
  autoComplete = 'off',
}: {
  readonly label: string;
  readonly hint?: string;
  readonly problem?: string | undefined;
  readonly value: string;
  readonly onValue: (value: string) => void;
  readonly type?: 'text' | 'email';
  readonly autoComplete?: 'off' | 'username' | 'name' | 'one-time-code';
}) => (
  <Field label={label} hint={hint} problem={problem}>
    {(ids) => (
      <input
        {...ids}
        type={type}
        value={value}
        autoComplete={autoComplete}
        className="input input-sm w-full"
        onChange={(event) => onValue(event.target.value)}
      />
    )}
  </Field>
);
