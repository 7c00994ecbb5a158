import type { FrameView } from '@/actions/frame/views';
import { called } from '@/core/chart/account';
import type { asStatements } from '@/core/chart/places';
import { plural } from '@/core/base/result';
import { Go } from '../parts/go';
import { figure, sided } from '../parts/figures';
import { ChartFrame } from './chart-frame';

/** Each account on the line of the statement where its balance will appear; those that would appear nowhere set apart. */
export const AsStatements = ({
  frame,
  lines,
  nowhere,
}: ReturnType<typeof asStatements> & { readonly frame: FrameView }) => {
  const count = lines.reduce((sum, line) => sum + line.accounts.length, 0);
  const sheet = `/books/${String(frame.id)}/chart`;
  return (
    <ChartFrame
      frame={frame}
      place="/statements"
      title="The chart as statements"
      about={`${plural(count, 'account')} on ${plural(lines.filter((line) => line.accounts.length > 0).length, 'line')}`}
    >
      <div className="px-4 py-3">
        <section
          aria-labelledby="nowhere"
          className={`mb-4 border-l-4 px-3 py-2 ${nowhere.length > 0 ? 'border-ochre bg-paper-2' : 'border-rule'}`}
        >
          <h2 id="nowhere" className="font-semibold">
            {nowhere.length === 0
              ? 'Every account appears in a statement'
              : `${plural(nowhere.length, 'account')} to check`}
          </h2>
          {nowhere.length === 0 ? (
            <p className="note">
              No balance stands on a heading or an inactive account, and no code says another line than its account.
            </p>
          ) : (
            <ul className="mt-1 text-sm">
              {nowhere.map(({ account, amount, why }) => (
                <li key={account.id} className="py-0.5">
                  <b className="font-semibold">{called(account)}</b>
                  {amount === 0n ? '' : ` (${sided(amount, frame)})`}: {why.replace(/\.$/, '')}.
                </li>
              ))}
            </ul>
          )}
        </section>
        <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 xl:grid-cols-2">
          {(['balance sheet', 'income statement'] as const).map((statement) => (
            <section key={statement} aria-label={statement}>
              <h2 className="title mb-1 text-lg first-letter:uppercase">{statement}</h2>
              <table className="ledger tight w-full">
                {lines
                  .filter((line) => line.statement === statement)
                  .map((line) => (
                    <tbody key={line.classification}>
                      <tr className="section">
                        <td colSpan={2}>{line.label}</td>
                        <td className="figure">{line.total === 0n ? '' : sided(line.total, frame)}</td>
                      </tr>
                      {line.accounts.length === 0 && (
                        <tr>
                          <td colSpan={3} className="note">
                            no account
                          </td>
                        </tr>
                      )}
                      {line.accounts.map(({ account, amount }) => (
                        <tr key={account.id}>
                          <td className="w-20 text-ink-2">{account.code}</td>
                          <td>
                            <span className={account.active ? '' : 'italic'}>{account.name}</span>
                            {account.contra && <span className="note ml-2">contra</span>}
                          </td>
                          <td className="figure whitespace-nowrap">
                            {amount === 0n ? '' : `${figure(amount, frame)} ${amount > 0n ? 'Dr' : 'Cr'}`}
                          </td>
                        </tr>
                      ))}
                    </tbody>
                  ))}
              </table>
            </section>
          ))}
        </div>
        <p className="note mt-4">
          The line of an account is changed on the{' '}
          <Go href={sheet} className="underline">
            sheet
          </Go>
          .
        </p>
      </div>
    </ChartFrame>
  );
};
