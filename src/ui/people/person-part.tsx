import { useState } from 'react';
import { toast } from 'sonner';
import { changePerson, giveBooks } from '@/actions/people/commands';
import type { peopleView } from '@/actions/people/views';
import { GIVEN_ROLES, type GivenRole, ROLE_FACTS } from '@/core/access/roles';
import type { Problem } from '@/core/base/result';
import { Field } from '../parts/field';

import { Picker } from '../parts/picker';
import { Problems } from '../parts/problems';
import { TextField } from '../parts/text-field';
import { send } from '../parts/send';
import { ChartsField, RoleField } from './role-field';
import { WayInPart } from './way-in-part';
import { useRefresh } from '../parts/use-refresh';
import { When } from '../parts/when';

type View = Awaited<ReturnType<typeof peopleView>>;
type Person = View['people'][number];

/** One person: what they are, and what they are otherwise in single books. */
export const PersonPart = ({
  person,
  given,
  books,
  way,
  mail,
}: {
  readonly person: Person;
  readonly given: View['given'];
  readonly books: View['books'];
  readonly way: View['ways'][number] | undefined;
  readonly mail: View['mail'];
}) => {
  const refresh = useRefresh();
  const [fields, setFields] = useState(person);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const set = (part: Partial<Person>): void => setFields((was) => ({ ...was, ...part }));
  return (
    <section aria-labelledby="this-person" className="space-y-2">
      <form
        className="space-y-2"
        onSubmit={(event) => {
          event.preventDefault();
          void send(changePerson(fields)).then((done) => {
            setProblems(done.ok ? [] : done.problems);
            if (!done.ok) return;
            toast(`${fields.name.trim()} saved; it counts from the next page on`);
            refresh();
          });
        }}
      >
        <h2 id="this-person" className="title text-lg">
          {person.name}
        </h2>
        <TextField label="Name" value={fields.name} onValue={(name) => set({ name })} />
        <TextField label="E-mail" value={fields.email} onValue={(email) => set({ email })} />
        <RoleField role={fields.role} onRole={(role) => set({ role })} />
        {fields.role === 'preparer' && <ChartsField charts={fields.charts} onCharts={(charts) => set({ charts })} />}
        <label className="flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={!fields.active}
            onChange={(event) => set({ active: !event.target.checked })}
          />
          Has left; the name stays in every history
        </label>
        <button className="btn btn-primary btn-sm">Save</button>
        <Problems problems={problems} />
      </form>
      {person.active && way !== undefined && <WayInPart person={person} way={way} mail={mail} />}
      {person.role !== 'owner' && <InBooks person={person} given={given} books={books} />}
    </section>
  );
};

/** What somebody is in single books, narrower or wider than in the practice, each with its reason. */
const InBooks = ({
  person,
  given,
  books,
}: {
  readonly person: Person;
  readonly given: View['given'];
  readonly books: View['books'];
}) => {
  const refresh = useRefresh();
  const [of, setOf] = useState('');
  const [role, setRole] = useState<GivenRole>('reader');
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const give = (id: number, wanted: { readonly role: GivenRole; readonly reason: string } | null): void =>
    void send(giveBooks({ person: person.id, of: id, given: wanted })).then((done) => {
      setProblems(done.ok ? [] : done.problems);
      if (!done.ok) return;
      setOf('');
      setReason('');
      refresh();
    });
  return (
    <form
      className="space-y-2 border-t border-rule pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        give(Number(of), { role, reason });
      }}
    >
      <h3 className="font-semibold">In single books</h3>
      {given.map((one) => (
        <p key={one.books} className="text-sm">
          <span className="flex items-baseline justify-between gap-3">
            <span>
              {one.booksName}: {ROLE_FACTS[one.role].label.toLowerCase()}
            </span>
            <button type="button" className="btn btn-xs" onClick={() => give(one.books, null)}>
              As in the practice
            </button>
          </span>
          <span className="note">
            {one.reason} · {one.by}, <When at={one.at} />
          </span>
        </p>
      ))}
      <Field label="Books">
        {(ids) => (
          <Picker
            {...ids}
            choices={books.map(({ id, name }) => ({ key: String(id), code: '', name }))}
            chosen={of}
            onChoose={setOf}
          />
        )}
      </Field>
      <Field label="There" hint={ROLE_FACTS[role].means}>
        {(ids) => (
          <select
            {...ids}
            value={role}
            className="select select-sm w-full"
            onChange={(event) => setRole(GIVEN_ROLES.find((one) => one === event.target.value) ?? role)}
          >
            {GIVEN_ROLES.map((one) => (
              <option key={one} value={one}>
                {ROLE_FACTS[one].label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <TextField label="Why" hint="it is kept, and stands in the audit" value={reason} onValue={setReason} />
      <button className="btn btn-sm" disabled={of === ''}>
        Give
      </button>
      <Problems problems={problems} />
    </form>
  );
};
