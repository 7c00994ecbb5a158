'use client';

import { type ReactNode, useState } from 'react';
import type { CompanyFacts, FactName } from '@/core/company/facts';
import { DateInput } from '../parts/date-input';
import { Field } from '../parts/field';
import { useFacts } from './facts';

/** The facts that are plain text. */
type TextFactName = { [F in FactName]: CompanyFacts[F] extends string ? F : never }[FactName];

interface TextProps {
  readonly field: TextFactName;
  readonly label: string;
  readonly hint?: ReactNode;
  readonly type?: 'text' | 'email' | 'tel';
  readonly rows?: number;
  readonly placeholder?: string;
}

/** Text that is saved when it is left; Esc puts it back, Enter keeps it. */
export const TextFact = ({ field, label, hint, type = 'text', rows, placeholder }: TextProps) => {
  const { facts, type: draft, change, problem, pending } = useFacts();
  const value: string = facts[field];
  // Another value from the server takes the field's place, unless something is typed that could not be saved: that stays.
  const [shown, setShown] = useState(value);
  if (shown !== value && !pending(field)) setShown(value);
  const common = {
    key: shown,
    defaultValue: shown,
    placeholder,
    autoComplete: 'off',
    onInput: (event: React.InputEvent<HTMLInputElement | HTMLTextAreaElement>) =>
      draft(field, event.currentTarget.value as never),
    onBlur: (event: React.FocusEvent<HTMLInputElement | HTMLTextAreaElement>) =>
      void change(field, event.currentTarget.value.trim() as never),
    onKeyDown: (event: React.KeyboardEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      if (event.key === 'Escape') {
        event.currentTarget.value = value;
        draft(field, value as never);
        event.currentTarget.blur();
      } else if (event.key === 'Enter' && rows === undefined) event.currentTarget.blur();
    },
  };
  return (
    <Field label={label} hint={hint} problem={problem(field)}>
      {(ids) =>
        rows === undefined ? (
          <input {...ids} {...common} key={common.key} type={type} className="input input-sm w-full" />
        ) : (
          <textarea
            {...ids}
            {...common}
            key={common.key}
            rows={rows}
            className="textarea textarea-sm w-full leading-snug"
          />
        )
      }
    </Field>
  );
};

/** A date fact, written and typed in the books' own style. */
export const DateFact = ({
  field,
  label,
  hint,
}: {
  readonly field: 'taxFrom' | 'taxFirstEnd';
  readonly label: string;
  readonly hint?: ReactNode;
}) => {
  const { facts, change, problem } = useFacts();
  return (
    <Field label={label} hint={hint} problem={problem(field)}>
      {(ids) => (
        <DateInput {...ids} value={facts[field]} dates={facts.dates} onDate={(iso) => void change(field, iso)} />
      )}
    </Field>
  );
};

interface SelectProps {
  readonly field: TextFactName;
  readonly label: string;
  readonly hint?: ReactNode;
  readonly children: ReactNode;
}

export const SelectFact = ({ field, label, hint, children }: SelectProps) => {
  const { facts, change, problem } = useFacts();
  return (
    <Field label={label} hint={hint} problem={problem(field)}>
      {(ids) => (
        <select
          {...ids}
          value={facts[field]}
          onChange={(event) => void change(field, event.target.value as never)}
          className="select select-sm w-full"
        >
          {children}
        </select>
      )}
    </Field>
  );
};

/** A section of the company sheet. */
export const Section = ({
  id,
  title,
  about,
  children,
}: {
  readonly id: string;
  readonly title: string;
  readonly about?: ReactNode;
  readonly children: ReactNode;
}) => (
  <section id={id} aria-labelledby={`${id}-title`} className="scroll-mt-3 border-t border-ink pt-2 pb-6">
    <h2 id={`${id}-title`} className="title text-lg leading-tight">
      {title}
    </h2>
    {about !== undefined && <p className="note mb-2">{about}</p>}
    <div className="mt-2">{children}</div>
  </section>
);

/** Two fields beside each other where there is room. */
export const Pair = ({ children }: { readonly children: ReactNode }) => (
  <div className="grid gap-x-5 gap-y-1.5 sm:grid-cols-2">{children}</div>
);
