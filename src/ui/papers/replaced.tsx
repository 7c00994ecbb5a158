import type { FrameView } from '@/actions/frame/views';
import type { PlanView } from '@/actions/papers/views';
import { type Account, called } from '@/core/chart/account';
import { counted, sided } from '../parts/figures';

/** The figures that a take-over replaces, each with what stands and what comes. */
export const Replaced = ({
  frame,
  plan,
  accounts,
}: {
  readonly frame: FrameView;
  readonly plan: PlanView;
  readonly accounts: readonly Account[];
}) => {
  const byId = new Map(accounts.map((account) => [account.id, account]));
  return (
    <details className="border-l-4 border-ochre px-3 text-sm">
      <summary className="cursor-pointer py-0.5">
        {counted(plan.replaced, frame)} {plan.replaced === 1 ? 'figure is' : 'figures are'} replaced: what stands, and
        what comes
      </summary>
      <div className="max-h-60 overflow-auto" tabIndex={0}>
        <table className="ledger tight w-full max-w-3xl">
          <thead>
            <tr>
              <th scope="col" className="text-left">
                Account
              </th>
              <th scope="col" className="figure">
                Stands
              </th>
              <th scope="col" className="figure">
                Becomes
              </th>
            </tr>
          </thead>
          <tbody>
            {plan.replacing.map(({ account, from, to }) => {
              const own = byId.get(account);
              return (
                <tr key={account}>
                  <th scope="row" className="text-left font-normal">
                    {own === undefined ? '' : called(own)}
                  </th>
                  <td className="figure whitespace-nowrap">{sided(from, frame)}</td>
                  <td className="figure font-semibold whitespace-nowrap">{sided(to, frame)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {plan.replaced > plan.replacing.length && (
          <p className="note py-1">and {counted(plan.replaced - plan.replacing.length, frame)} more</p>
        )}
      </div>
    </details>
  );
};
