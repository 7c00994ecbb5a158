'use client';

import { archiveBooks } from '@/actions/company/commands';
import { COLOURS, PURPOSES } from '@/core/company/facts';
import { ColourMark } from '../frame/colour-mark';
import { Field } from '../parts/field';
import { type Choice, Picker } from '../parts/picker';
import { send } from '../parts/send';
import { DeleteBooks } from './delete-books';
import { Pair, Section, SelectFact, TextFact } from './fact-fields';
import { useFacts } from './facts';
import { useRefresh } from '../parts/use-refresh';

interface Props {
  readonly people: readonly string[];
  readonly archived: boolean;
  readonly posted: boolean;
}

export const PracticeSection = ({ people, archived, posted }: Props) => {
  const { books, facts, change, problem } = useFacts();
  const refresh = useRefresh();
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
      <div className="mt-4 flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <button
          type="button"
          className="btn btn-xs"
          onClick={() => void send(archiveBooks({ books, archived: !archived })).then(refresh)}
        >
          {archived ? 'Bring back to the board' : 'Archive these books'}
        </button>
        <span className="note">
          {archived
            ? 'They are archived: hidden from the board, and whole.'
            : 'An archive hides them from the board; nothing in them changes.'}
        </span>
      </div>
      {posted ? (
        <p className="note mt-2">They have posted journals, so they cannot be deleted.</p>
      ) : (
        <DeleteBooks books={books} name={facts.name} />
      )}
    </Section>
  );
};

/** The people of the practice, and nobody; somebody who was named and is not of them stays to be seen. */
const choicesOf = (people: readonly string[], chosen: string): readonly Choice[] => [
  ...[...new Set([...people, ...(chosen === '' ? [] : [chosen])])].map((name) => ({ key: name, code: '', name })),
  { key: '', code: '', name: 'nobody' },
];
