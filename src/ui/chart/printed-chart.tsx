import type { FrameView } from '@/actions/frame/views';
import type { Account } from '@/core/chart/account';
import { classFacts, normalSide, roleFacts } from '@/core/ledger/classes';
import type { CompanyFacts } from '@/core/company/facts';
import type { Minor } from '@/core/money/minor';
import { figure } from '../parts/figures';
import { day } from '../parts/names';
import { PrintButton } from '../parts/print-button';
import { ChartFrame } from './chart-frame';

/** The whole chart as a table for paper. */
export const PrintedChart = ({
  frame,
  rows,
  company,
}: {
  readonly frame: FrameView;
  readonly rows: readonly { readonly account: Account; readonly depth: number; readonly amount: Minor | null }[];
  readonly company: CompanyFacts;
}) => (
  <ChartFrame
    frame={frame}
    place=""
    title="Chart of accounts on paper"
    about={`${String(rows.length)} rows`}
    actions={<PrintButton />}
  >
    <div className="px-4 py-3">
      <p className="font-semibold">{company.name}</p>
      <p className="note mb-2">
        Chart of accounts, opening balances at {day(frame.openingDate, frame.dates)} in {frame.currency}
      </p>
      <table className="ledger tight w-full">
        <thead>
          <tr>
            {['Code', 'Account', 'Statement line', 'Side', 'Cur.', 'Role'].map((label) => (
              <th key={label} scope="col" className="text-left">
                {label}
              </th>
            ))}
            <th scope="col" className="figure">
              Opens at
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ account, depth, amount }) => (
            <tr key={account.id} className={account.heading ? 'section' : ''}>
              <td>{account.code}</td>
              <td style={{ paddingLeft: `${String(depth * 1.1)}rem` }}>
                {account.name}
                {account.active ? '' : ' (inactive)'}
              </td>
              <td>{account.heading ? '' : classFacts(account.classification).one}</td>
              <td>{account.heading ? '' : normalSide(account) === 'debit' ? 'Dr' : 'Cr'}</td>
              <td>{account.heading ? '' : (account.currency ?? frame.currency)}</td>
              <td>{account.role === null ? '' : roleFacts(account.role).label}</td>
              <td className="figure whitespace-nowrap">
                {amount === null || amount === 0n ? '' : `${figure(amount, frame)} ${amount > 0n ? 'Dr' : 'Cr'}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  </ChartFrame>
);
