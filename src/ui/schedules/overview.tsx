'use client';

import { Paperclip } from 'lucide-react';
import { useState } from 'react';
import type { TiedAccount, schedulesView } from '@/actions/schedules/views';
import { plural } from '@/core/base/result';
import { accountId } from '@/core/chart/account';
import { typeOf } from '@/core/ledger/classes';
import { type Minor, NIL, abs, add } from '@/core/money/minor';
import { type AttachedPaper, lacksEvidence } from '@/core/schedules/evidence';
import { type Support, countTies, supportOf } from '@/core/schedules/tie-out';
import { useShowPaper } from '../evidence/paper-beside';
import { useEvidence } from '../evidence/use-evidence';
import { useRowDrop } from '../evidence/use-row-drop';
import { Frame, MarginPart } from '../frame/frame';
import { scheduleHref } from '../frame/stage-href';
import { figure, sided } from '../parts/figures';
import { Go } from '../parts/go';
import { Problems } from '../parts/problems';
import { LookedAt } from './looked-at';
import { ScheduleNav } from './schedule-nav';
import { SupportBar } from './support-bar';
import { TIE_STATES } from './tie-words';

type View = NonNullable<Awaited<ReturnType<typeof schedulesView>>>;

/** Every balance-sheet account with its figure, what stands behind it, and how far the two are apart. */
export const Overview = ({ frame, accounts, contacts, evidence }: View) => {
  const [bare, setBare] = useState(false);
  const papers = useEvidence(frame.id, evidence);
  useRowDrop((row, files) => void papers.bring({ of: 'account', id: accountId(Number(row)) }, files));
  const isBare = ({ account, evidenced, tie }: TiedAccount): boolean =>
    lacksEvidence(tie.figure, evidenced, papers.to('account', account.id));
  const without = accounts.filter(isBare).length;
  const listed = bare ? accounts.filter(isBare) : accounts;
  const { wanted, tied } = countTies(accounts.map(({ schedule, tie }) => ({ kind: schedule, tie })));
  const sums = (asset: boolean): Readonly<Record<Support, Minor>> => {
    const found: Record<Support, Minor> = { tied: NIL, explained: NIL, paper: NIL, apart: NIL, nothing: NIL };
    for (const { account, schedule, tie, source } of accounts) {
      if (schedule === 'division') continue;
      if ((typeOf(account.classification) === 'asset') !== asset) continue;
      const support = supportOf(tie, source === 'paper' || papers.to('account', account.id).length > 0);
      found[support] = add(found[support], abs(tie.figure));
    }
    return found;
  };
  return (
    <Frame
      frame={frame}
      stage="schedules"
      title="Schedules"
      about={wanted === 0 ? 'what stands behind each figure' : `${String(tied)} of ${plural(wanted, 'account')} tied`}
      actions={
        <Go href={`/books/${String(frame.id)}/proof`} className="btn btn-primary btn-sm">
          Go to Proof
        </Go>
      }
      margin={
        <>
          <MarginPart title="What is supported">
            <SupportBar label="Assets" sums={sums(true)} money={frame} />
            <SupportBar label="Liabilities and equity" sums={sums(false)} money={frame} />
          </MarginPart>
          <MarginPart title="What a schedule is">
            <p>
              The items that make up a figure: who owes it, which statement says so, what it is. They are the figure’s
              make-up, and post nothing of their own.
            </p>
          </MarginPart>
        </>
      }
    >
      <ScheduleNav frame={frame} current="overview" contacts={contacts > 0}>
        {without > 0 && (
          <label className="flex items-center gap-2 pb-1 text-sm">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={bare}
              onChange={(event) => setBare(event.target.checked)}
            />
            Without any evidence ({without})
          </label>
        )}
      </ScheduleNav>
      {papers.busy !== '' && (
        <p role="status" className="px-4 py-1 text-sm">
          {papers.busy}
        </p>
      )}
      {papers.problems.length > 0 && (
        <div className="px-4 py-1">
          <Problems problems={papers.problems} />
        </div>
      )}
      <div className="overflow-x-auto px-4 py-3">
        {accounts.length === 0 ? (
          <p className="max-w-prose">
            No balance-sheet account has a figure yet. Bring or type the{' '}
            <Go className="link" href={`/books/${String(frame.id)}/openings`}>
              opening balances
            </Go>{' '}
            first, or begin with a list and take its total as the figure.
          </p>
        ) : (
          <table className="ledger w-full md:min-w-[44rem]">
            <thead>
              <tr>
                <th scope="col" className="text-left">
                  Account
                </th>
                <th scope="col" className="figure hung">
                  Figure
                </th>
                <th scope="col" className="text-left max-md:hidden">
                  Supported by
                </th>
                <th scope="col" className="figure hung max-md:hidden">
                  Adds up to
                </th>
                <th scope="col" className="figure hung">
                  Difference
                </th>
                <th scope="col" className="text-left">
                  State
                </th>
                <th scope="col" className="text-left max-md:hidden">
                  Looked at
                </th>
              </tr>
            </thead>
            <tbody>
              {listed.map((one) => (
                <AccountRow
                  key={one.account.id}
                  one={one}
                  frame={frame}
                  papers={papers.to('account', one.account.id)}
                />
              ))}
            </tbody>
          </table>
        )}
      </div>
    </Frame>
  );
};

const AccountRow = ({
  one,
  frame,
  papers,
}: {
  readonly one: TiedAccount;
  readonly frame: View['frame'];
  readonly papers: readonly AttachedPaper[];
}) => {
  const show = useShowPaper();
  const { account, schedule, tie, source, lacks } = one;
  const behind = [
    ...(tie.closing === null ? [] : ['a statement']),
    ...(tie.items === 0 ? [] : [plural(tie.items, 'item')]),
  ];
  const odd = tie.currencies.filter(({ difference }) => difference !== NIL).map(({ currency }) => currency);
  return (
    <tr data-row={account.id}>
      <th scope="row" className="text-left font-normal">
        <Go href={scheduleHref(frame.id, account.id)} className="hover:underline">
          <span className="mr-2 text-ink-2">{account.code}</span>
          <span className="font-medium">{account.name}</span>
        </Go>
      </th>
      <td className="figure whitespace-nowrap">{tie.figure === NIL ? '·' : sided(tie.figure, frame)}</td>
      <td className="text-ink-2 max-md:hidden">
        {behind.length > 0
          ? behind.join(' and ')
          : lacks
            ? schedule === 'statement'
              ? 'no statement yet'
              : 'no list yet'
            : source === 'paper'
              ? 'read from a paper'
              : ''}
        {papers.map(({ id, paper, name }) => (
          <button
            key={id}
            type="button"
            className="ml-1.5 inline-flex items-center align-text-bottom hover:text-ink"
            aria-label={`Show ${name}`}
            title={name}
            onClick={() => show(paper)}
          >
            <Paperclip aria-hidden className="size-3.5" />
          </button>
        ))}
      </td>
      <td className="figure whitespace-nowrap max-md:hidden">
        {tie.support === null ? '' : sided(tie.support, frame)}
      </td>
      <td className={`figure whitespace-nowrap ${tie.state === 'apart' ? 'font-medium text-madder' : 'text-ink-2'}`}>
        {tie.difference === null || tie.difference === NIL ? '' : figure(tie.difference, frame)}
      </td>
      <td
        className={
          tie.state === 'apart' || tie.state === 'unknown'
            ? 'text-madder'
            : tie.state === 'explained' || lacks
              ? 'text-ochre'
              : ''
        }
      >
        {tie.state === 'none' ? '' : TIE_STATES[tie.state]}
        {tie.state === 'apart' && odd.length > 0 ? ` in ${odd.join(', ')}` : ''}
        {tie.reason === null ? '' : `: ${tie.reason}`}
      </td>
      <td className="max-md:hidden">
        <LookedAt books={frame.id} account={account.id} tie={tie} looked={one.looked} brief />
      </td>
    </tr>
  );
};
