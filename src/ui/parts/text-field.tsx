import { Field } from './field';

/** A labelled line of text that its page keeps. */
export const TextField = ({
  label,
  hint,
  value,
  onValue,
}: {
  readonly label: string;
  readonly hint?: string;
  readonly value: string;
  readonly onValue: (value: string) => void;
}) => (
  <Field label={label} hint={hint}>
    {(ids) => (
      <input
        {...ids}
        value={value}
        autoComplete="off"
        className="input input-sm w-full"
        onChange={(event) => onValue(event.target.value)}
      />
    )}
  </Field>
);
