import type { FrameView } from '@/actions/frame/views';
import { called } from '@/core/chart/account';
import type { RoleRow } from '@/core/chart/places';
import { plural } from '@/core/base/result';
import { Go } from '../parts/go';
import { ChartFrame } from './chart-frame';

/** What each special role points to, and what is missing. */
export const ByRole = ({ frame, roles }: { readonly frame: FrameView; readonly roles: readonly RoleRow[] }) => {
  const missing = roles.filter((role) => role.missing);
  const ordered = [
    ...missing,
    ...roles.filter((role) => !role.missing && role.accounts.length > 0),
    ...roles.filter((role) => !role.missing && role.accounts.length === 0),
  ];
  return (
    <ChartFrame
      frame={frame}
      place="/roles"
      title="The chart by role"
      about={
        missing.length === 0
          ? 'every role that these books need has its account'
          : `${plural(missing.length, 'role')} that these books need ${missing.length === 1 ? 'has' : 'have'} no account`
      }
    >
      <div className="max-w-4xl px-4 py-3">
        <p className="note mb-2">
          A role says what an account is for where something else has to find it: the bank that is reconciled, the
          control account behind a list, where results and differences go.
        </p>
        <table className="ledger w-full">
          <thead>
            <tr>
              <th scope="col" className="text-left">
                Role
              </th>
              <th scope="col" className="text-left">
                Points to
              </th>
              <th scope="col" className="text-left max-md:hidden">
                How many
              </th>
            </tr>
          </thead>
          <tbody>
            {ordered.map(({ role, label, single, accounts, missing: lacks }) => (
              <tr key={role}>
                <th scope="row" className="text-left align-top font-medium">
                  {label}
                </th>
                <td>
                  {accounts.map((account) => (
                    <span key={account.id} className={`block ${account.active ? '' : 'italic text-ink-2'}`}>
                      {called(account)}
                      {account.currency === null ? '' : ` (${account.currency})`}
                      {account.active ? '' : ', inactive'}
                    </span>
                  ))}
                  {lacks && (
                    <span className="text-ochre">
                      missing.{' '}
                      <Go href={`/books/${String(frame.id)}/chart/tidy`} className="underline">
                        Put it right
                      </Go>
                    </span>
                  )}
                  {!lacks && accounts.length === 0 && <span className="note">none, and none is needed</span>}
                </td>
                <td className="align-top text-ink-2 max-md:hidden">{single ? 'one at most' : 'any number'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </ChartFrame>
  );
};
