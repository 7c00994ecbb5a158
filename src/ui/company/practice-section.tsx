'use client';

import { COLOURS, PURPOSES } from '@/core/company/facts';
import { ColourMark } from '../frame/colour-mark';
import { Field } from '../parts/field';
import { type Choice, Picker } from '../parts/picker';
import { Pair, Section, SelectFact, TextFact } from './fact-fields';
import { useFacts } from './facts';

export const PracticeSection = ({ people }: { readonly people: readonly string[] }) => {
  const { facts, change, problem } = useFacts();
  return (
    <Section
      id="practice"
      title="In the practice"
      about="Shown on the board and in the frame of every page, so that nobody types into the wrong client."
    >
      <Pair>
        <SelectFact field="purpose" label="These books are">
          {PURPOSES.map((one) => (
            <option key={one.id} value={one.id}>
              {one.label}
            </option>
          ))}
        </SelectFact>
        <Field label="In charge" hint="one of the practice; a new name is added" problem={problem('inCharge')}>
          {(ids) => (
            <Picker
              {...ids}
              placeholder="a name"
              choices={choicesOf(people, facts.inCharge)}
              chosen={facts.inCharge}
              onChoose={(name) => void change('inCharge', name)}
              onNew={{ says: (name) => `Add “${name}”`, make: (name) => void change('inCharge', name) }}
            />
          )}
        </Field>
        <TextFact field="remark" label="Remark" hint="short, such as “phone before posting”" />
        <fieldset>
          <legend className="text-sm font-medium">Colour</legend>
          <div className="mt-1 flex flex-wrap gap-x-3 gap-y-0.5">
            {COLOURS.map((colour) => (
              <label key={colour} className="flex min-h-6 items-center gap-1.5 text-sm">
                <input
                  type="radio"
                  name="colour"
                  className="radio radio-xs"
                  checked={facts.colour === colour}
                  onChange={() => void change('colour', colour)}
                />
                <ColourMark colour={colour} />
                {colour}
              </label>
            ))}
          </div>
          {problem('colour') !== undefined && <p className="text-sm text-brick">{problem('colour')}</p>}
        </fieldset>
      </Pair>
    </Section>
  );
};

/** The people of the practice, and nobody; somebody who was named and is not of them stays to be seen. */
const choicesOf = (people: readonly string[], chosen: string): readonly Choice[] => [
  ...[...new Set([...people, ...(chosen === '' ? [] : [chosen])])].map((name) => ({ key: name, code: '', name })),
  { key: '', code: '', name: 'nobody' },
];
