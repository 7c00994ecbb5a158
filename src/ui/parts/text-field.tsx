import { Field } from './field';

/** Called once, as the field comes. */
const focused = (element: HTMLInputElement | null): void => element?.focus();

/** A labelled line of text that its page keeps. */
export const TextField = ({
  label,
  hint,
  problem,
  value,
  onValue,
  type = 'text',
  autoComplete = 'off',
  first = false,
}: {
  readonly label: string;
  readonly hint?: string;
  readonly problem?: string | undefined;
  readonly value: string;
  readonly onValue: (value: string) => void;
  readonly type?: 'text' | 'email';
  /** On a page of one form: where one begins. */
  readonly first?: boolean;
  readonly autoComplete?: 'off' | 'username' | 'name' | 'one-time-code';
}) => (
  <Field label={label} hint={hint} problem={problem}>
    {(ids) => (
      <input
        {...ids}
        {...(first ? { ref: focused } : {})}
        type={type}
        value={value}
        autoComplete={autoComplete}
        className="input input-sm w-full"
        onChange={(event) => onValue(event.target.value)}
      />
    )}
  </Field>
);
