'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { addPerson, demandOfPractice, demandSecondStep } from '@/actions/people/commands';
import type { peopleView } from '@/actions/people/views';
import { REVIEWS } from '@/core/access/review';
import { ROLES, ROLE_FACTS, type Role } from '@/core/access/roles';
import type { Problem } from '@/core/base/result';
import { Problems } from '../parts/problems';
import { TextField } from '../parts/text-field';
import { send } from '../parts/send';
import { PersonPart } from './person-part';
import { ChartsField, RoleField } from './role-field';
import { PeoplePlaces, PracticePage } from './practice-page';
import { useRefresh } from '../parts/use-refresh';

type View = Awaited<ReturnType<typeof peopleView>>;

/** Who belongs to the practice, what each is and may do, and what is demanded before posting. */
export const PeoplePage = ({
  practice,
  me,
  people,
  given,
  books,
  review,
  secondStep,
  ways,
  mail,
  mayChange,
  maySeeAudit,
}: View) => {
  const [chosen, setChosen] = useState<number | undefined>();
  const person = people.find(({ id }) => id === chosen);
  return (
    <PracticePage
      practice={practice}
      title="People and rights"
      beside={<PeoplePlaces here="People and rights" audit={maySeeAudit} />}
    >
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div>
          <div className="overflow-x-auto">
            <table className="ledger w-full">
              <thead>
                <tr>
                  <th scope="col">Name</th>
                  <th scope="col">Is</th>
                  <th scope="col">Charts</th>
                  <th scope="col">Otherwise in</th>
                  <th scope="col" className="max-md:hidden">
                    E-mail
                  </th>
                  {mayChange && <th scope="col">Signs in</th>}
                </tr>
              </thead>
              <tbody>
                {people.map((one) => {
                  const own = given.filter((entry) => entry.person === one.id);
                  return (
                    <tr key={one.id} className={one.id === chosen ? 'bg-madder-wash' : ''}>
                      <td className="whitespace-nowrap">
                        {mayChange ? (
                          <button
                            type="button"
                            className="link"
                            aria-pressed={one.id === chosen}
                            onClick={() => setChosen(one.id === chosen ? undefined : one.id)}
                          >
                            {one.name}
                          </button>
                        ) : (
                          one.name
                        )}
                        {one.id === me && <span className="note ml-2">you</span>}
                        {!one.active && <span className="note ml-2">has left</span>}
                      </td>
                      <td>{ROLE_FACTS[one.role].label}</td>
                      <td>{one.role === 'owner' || (one.role === 'preparer' && one.charts) ? 'yes' : '–'}</td>
                      <td>
                        {own
                          .map(({ booksName, role }) => `${booksName}: ${ROLE_FACTS[role].label.toLowerCase()}`)
                          .join(', ')}
                      </td>
                      <td className="max-w-48 truncate max-md:hidden" title={one.email}>
                        {one.email}
                      </td>
                      {mayChange && (
                        <td className="whitespace-nowrap">{waySaid(ways.find(({ person: of }) => of === one.id))}</td>
                      )}
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          <h2 className="title mt-6 text-lg">What each role may do</h2>
          <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
            {ROLES.map((role) => (
              <div key={role} className="contents">
                <dt className="font-medium">{ROLE_FACTS[role].label}</dt>
                <dd>{ROLE_FACTS[role].means}</dd>
              </div>
            ))}
          </dl>
          <div className="mt-6 grid gap-6 md:grid-cols-2">
            <BeforePosting review={review} open={mayChange} />
            <SecondSteps roles={secondStep} open={mayChange} />
          </div>
        </div>
        <div className="space-y-6">
          {mayChange &&
            (person === undefined ? (
              <NewPerson />
            ) : (
              <PersonPart
                key={`${String(person.id)} ${String(person.revision)}`}
                person={person}
                given={given.filter((entry) => entry.person === person.id)}
                books={books}
                way={ways.find(({ person: of }) => of === person.id)}
                mail={mail}
              />
            ))}
        </div>
      </div>
    </PracticePage>
  );
};

/** How somebody signs in, in a few words. */
const waySaid = (way: View['ways'][number] | undefined): string => {
  if (way?.login !== true) return way?.link == null ? 'cannot yet' : 'invited';
  return way.secondStep ? 'with a second step' : 'with a passphrase';
};

const NewPerson = () => {
  const refresh = useRefresh();
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<Role>('preparer');
  const [charts, setCharts] = useState(true);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  return (
    <form
      aria-labelledby="new-person"
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        void send(addPerson({ name, email, role, charts })).then((done) => {
          setProblems(done.ok ? [] : done.problems);
          if (!done.ok) return;
          toast(`${name.trim()} is in the practice`);
          setName('');
          setEmail('');
          refresh();
        });
      }}
    >
      <h2 id="new-person" className="title text-lg">
        Somebody new
      </h2>
      <TextField label="Name" value={name} onValue={setName} />
      <TextField label="E-mail" value={email} onValue={setEmail} />
      <RoleField role={role} onRole={setRole} />
      {role === 'preparer' && <ChartsField charts={charts} onCharts={setCharts} />}
      <button className="btn btn-primary btn-sm">Add</button>
      <Problems problems={problems} />
    </form>
  );
};

const BeforePosting = ({ review, open }: { readonly review: View['review']; readonly open: boolean }) => {
  const refresh = useRefresh();
  // What was pressed shows at once.
  const [wished, setWished] = useState<View['review'] | undefined>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  return (
    <fieldset disabled={!open}>
      <legend className="title text-lg">Before opening balances are posted</legend>
      {REVIEWS.map(({ id, label, means }) => (
        <label key={id} className="mt-1.5 flex items-start gap-2 text-sm">
          <input
            type="radio"
            name="review"
            className="radio radio-xs mt-0.5"
            checked={(wished ?? review) === id}
            onChange={() => {
              setWished(id);
              void send(demandOfPractice({ review: id })).then((done) => {
                setProblems(done.ok ? [] : done.problems);
                if (!done.ok) setWished(undefined);
                refresh();
              });
            }}
          />
          <span>
            {label}
            <span className="note block">{means}</span>
          </span>
        </label>
      ))}
      <p className="note mt-2">A set of books can demand it by itself, on its Sign-off page.</p>
      <Problems problems={problems} />
    </fieldset>
  );
};

/** Of whom the practice demands a second step when they sign in. */
const SecondSteps = ({ roles, open }: { readonly roles: View['secondStep']; readonly open: boolean }) => {
  const refresh = useRefresh();
  // What was pressed shows at once.
  const [wished, setWished] = useState<View['secondStep'] | undefined>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const now = wished ?? roles;
  return (
    <fieldset disabled={!open}>
      <legend className="title text-lg">A second step is demanded of</legend>
      {ROLES.map((role) => (
        <label key={role} className="mt-1.5 flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={now.includes(role)}
            onChange={(event) => {
              const next = event.target.checked ? [...now, role] : now.filter((one) => one !== role);
              setWished(next);
              void send(demandSecondStep({ roles: next })).then((done) => {
                setProblems(done.ok ? [] : done.problems);
                if (!done.ok) setWished(undefined);
                refresh();
              });
            }}
          />
          {ROLE_FACTS[role].label}s
        </label>
      ))}
      <p className="note mt-2">
        A code of a device, besides the passphrase. Whoever has none sets it up before anything else.
      </p>
      <Problems problems={problems} />
    </fieldset>
  );
};
