'use client';

import { PARTS, type Part } from '@/core/company/parts';
import { Section } from './fact-fields';
import { useFacts } from './facts';

export const PartsSection = () => {
  const { facts, change, problem } = useFacts();
  const turn = (part: Part, on: boolean): void =>
    void change('parts', on ? [...facts.parts, part] : facts.parts.filter((one) => one !== part));
  return (
    <Section
      id="parts"
      title="Parts in use"
      about="What is off is nowhere in these books; it can be turned on at any time."
    >
      <ul className="grid gap-x-5 sm:grid-cols-2">
        {PARTS.map((part) => (
          <li key={part.id} className="border-b border-hairline py-1">
            <label className="flex items-baseline gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-xs translate-y-0.5"
                checked={facts.parts.includes(part.id)}
                onChange={(event) => turn(part.id, event.target.checked)}
              />
              <span>
                <span className="font-medium">{part.label}</span>
                <span className="note block">{part.adds}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {problem('parts') !== undefined && (
        <p role="alert" className="mt-2 text-sm text-brick">
          {problem('parts')}
        </p>
      )}
    </Section>
  );
};
