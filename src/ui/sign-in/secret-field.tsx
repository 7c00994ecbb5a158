'use client';

import { Eye, EyeOff } from 'lucide-react';
import { useEffect, useState } from 'react';
import { FEWEST_CHARACTERS } from '@/core/access/passphrase-length';
import { Field } from '../parts/field';

/** A passphrase, hidden unless one asks to see it. */
export const SecretField = ({
  label,
  value,
  onValue,
  fresh = false,
  about = [],
  problem,
}: {
  readonly label: string;
  readonly value: string;
  readonly onValue: (value: string) => void;
  /** One that is being chosen: how strong it is, is shown. */
  readonly fresh?: boolean;
  /** What everybody knows of the person. */
  readonly about?: readonly string[];
  readonly problem?: string | undefined;
}) => {
  const [seen, setSeen] = useState(false);
  const strength = useStrength(fresh ? value : '', about);
  const hint = fresh
    ? value === ''
      ? `At least ${String(FEWEST_CHARACTERS)} characters. Four or five words that have nothing to do with each other.`
      : strength
    : undefined;
  return (
    <Field label={label} hint={hint} problem={problem}>
      {(ids) => (
        <span className="flex gap-1">
          <input
            {...ids}
            type={seen ? 'text' : 'password'}
            value={value}
            autoComplete={fresh ? 'new-password' : 'current-password'}
            className="input input-sm w-full"
            onChange={(event) => onValue(event.target.value)}
          />
          <button
            type="button"
            className="btn btn-sm btn-square"
            aria-label={seen ? 'Hide the passphrase' : 'Show the passphrase'}
            aria-pressed={seen}
            onClick={() => setSeen(!seen)}
          >
            {seen ? <EyeOff aria-hidden className="size-4" /> : <Eye aria-hidden className="size-4" />}
          </button>
        </span>
      )}
    </Field>
  );
};

/** How strong what was typed is. The lists that it is compared with are large, and fetched only where a passphrase is chosen. */
const useStrength = (typed: string, about: readonly string[]): string => {
  const [said, setSaid] = useState('');
  const known = about.join('\n');
  useEffect(() => {
    if (typed === '') return undefined;
    let late = false;
    const judge = async (): Promise<void> => {
      const { STRENGTHS, passphraseProblems, strengthOf } = await import('@/core/access/passphrase');
      const [first] = passphraseProblems(typed, known.split('\n'));
      if (!late) setSaid(first?.message ?? `${STRENGTHS[strengthOf(typed, known.split('\n'))] ?? ''}: it can be taken`);
    };
    const wait = setTimeout(() => void judge(), 200);
    return () => {
      late = true;
      clearTimeout(wait);
    };
  }, [typed, known]);
  return said;
};
