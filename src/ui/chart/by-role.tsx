'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { editChart } from '@/actions/chart/commands';
import type { chartRolesView } from '@/actions/chart/views';
import { type Problem, plural } from '@/core/base/result';
import { accountId, called } from '@/core/chart/account';
import { roleFacts, roleFields, typeOf } from '@/core/ledger/classes';
import { Go } from '../parts/go';
import { type Choice, Picker } from '../parts/picker';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ChartFrame } from './chart-frame';
import { useRefresh } from '../parts/use-refresh';

type View = NonNullable<Awaited<ReturnType<typeof chartRolesView>>>;
type Role = View['roles'][number];

const saysMissing = (missing: number, blocking: number): string =>
  missing === 0
    ? 'every role that these books need has its account'
    : `${plural(missing, 'role')} that these books need ${missing === 1 ? 'has' : 'have'} no account${
        blocking === 0 ? '' : `; posting waits for ${missing === 1 ? 'it' : `${String(blocking)} of them`}`
      }`;

/** What each special role points to, what is missing, and the account that gets it. */
export const ByRole = ({ frame, roles, free }: View) => {
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  /** The role that is looked for an account for, where none is missing. */
  const [asked, setAsked] = useState<Role['role'] | undefined>();
  const missing = roles.filter((role) => role.missing);
  const ordered = [
    ...missing,
    ...roles.filter((role) => !role.missing && role.accounts.length > 0),
    ...roles.filter((role) => !role.missing && role.accounts.length === 0),
  ];
  const give = async (role: Role, key: string): Promise<void> => {
    const id = accountId(Number(key));
    const done = await send(
      editChart({ books: frame.id, edits: [{ kind: 'change', id, is: roleFields(role.role), was: { role: null } }] }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${role.label} given`);
    setAsked(undefined);
    refresh();
  };
  return (
    <ChartFrame
      frame={frame}
      place="/roles"
      title="The chart by role"
      about={saysMissing(missing.length, missing.filter((role) => role.blocks).length)}
    >
      <div className="max-w-5xl px-4 py-3">
        <p className="note mb-2">
          A role says what an account is for where something else has to find it: the bank that is reconciled, the
          control account behind a list, where results and differences go.
        </p>
        <Problems problems={problems} />
        <table className="ledger w-full">
          <thead>
            <tr>
              <th scope="col" className="text-left">
                Role
              </th>
              <th scope="col" className="text-left">
                Points to
              </th>
            </tr>
          </thead>
          <tbody>
            {ordered.map((role) => (
              <tr key={role.role}>
                <th scope="row" className="text-left align-top font-medium">
                  {role.label}
                </th>
                <td className="align-top">
                  {/* On a phone what gives a role stands below what has it. */}
                  <div className="gap-4 md:flex md:justify-between">
                    <div>
                      {role.accounts.map((account) => (
                        <span key={account.id} className={`block ${account.active ? '' : 'italic text-ink-2'}`}>
                          {called(account)}
                          {account.currency === null ? '' : ` (${account.currency})`}
                          {account.active ? '' : ', inactive'}
                        </span>
                      ))}
                      {role.missing && (
                        <span className={role.blocks ? 'text-brick' : 'text-ochre'}>
                          missing{role.blocks ? ', and nothing is posted without it' : ''}.{' '}
                          <Go href={`/books/${String(frame.id)}/chart/tidy`} className="underline">
                            Or have one made
                          </Go>
                        </span>
                      )}
                      {!role.missing && role.accounts.length === 0 && (
                        <span className="note">none, and none is needed</span>
                      )}
                    </div>
                    <div className="shrink-0 max-md:mt-1 md:w-64">
                      {role.single && role.accounts.length > 0 ? (
                        <span className="note">one at most</span>
                      ) : !role.missing && asked !== role.role ? (
                        <button
                          type="button"
                          className="btn btn-xs"
                          aria-label={`${role.accounts.length > 0 ? 'One more' : 'Give it'}: ${role.label}`}
                          onClick={() => setAsked(role.role)}
                        >
                          {role.accounts.length > 0 ? 'One more' : 'Give it'}
                        </button>
                      ) : (
                        <Picker
                          aria-label={`Account for ${role.label}`}
                          choices={choicesFor(role, free)}
                          chosen=""
                          onChoose={(key) => void give(role, key)}
                          autoFocus={asked === role.role}
                          className="input input-xs w-full"
                        />
                      )}
                    </div>
                  </div>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </ChartFrame>
  );
};

/** The accounts that a role goes with and that have none yet, those called like it first. */
const choicesFor = ({ role, proposed }: Role, free: View['free']): readonly Choice[] => {
  const { types } = roleFacts(role);
  const choice = (one: View['free'][number], likely: boolean): Choice => ({
    key: String(one.id),
    code: one.code,
    name: one.name,
    ...(likely ? { note: 'called like it' } : {}),
  });
  const fits = free.filter(({ classification }) => types.includes(typeOf(classification)));
  const likely = new Set(proposed);
  return [
    ...proposed.flatMap((id) => fits.filter((one) => one.id === id).map((one) => choice(one, true))),
    ...fits.filter(({ id }) => !likely.has(id)).map((one) => choice(one, false)),
  ];
};
