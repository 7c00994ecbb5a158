import type { TiedAccount, schedulesView } from '@/actions/schedules/views';
import { plural } from '@/core/base/result';
import { typeOf } from '@/core/ledger/classes';
import { type Minor, NIL, abs, add } from '@/core/money/minor';
import { type Support, countTies, supportOf } from '@/core/schedules/tie-out';
import { Frame, MarginPart } from '../frame/frame';
import { scheduleHref } from '../frame/stage-href';
import { figure, sided } from '../parts/figures';
import { Go } from '../parts/go';
import { ScheduleNav } from './schedule-nav';
import { SupportBar } from './support-bar';
import { TIE_STATES } from './tie-words';

type View = NonNullable<Awaited<ReturnType<typeof schedulesView>>>;

/** Every balance-sheet account with its figure, what stands behind it, and how far the two are apart. */
export const Overview = ({ frame, accounts, contacts }: View) => {
  const { wanted, tied } = countTies(accounts.map(({ schedule, tie }) => ({ kind: schedule, tie })));
  const sums = (asset: boolean): Readonly<Record<Support, Minor>> => {
    const found: Record<Support, Minor> = { tied: NIL, explained: NIL, paper: NIL, apart: NIL, nothing: NIL };
    for (const { account, tie, source } of accounts) {
      if ((typeOf(account.classification) === 'asset') !== asset) continue;
      const support = supportOf(tie, source === 'paper');
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
      <ScheduleNav books={frame.id} current="overview" contacts={frame.parts.includes('trade') || contacts > 0} />
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
                  Behind it
                </th>
                <th scope="col" className="figure hung max-md:hidden">
                  Comes to
                </th>
                <th scope="col" className="figure hung">
                  Apart
                </th>
                <th scope="col" className="text-left">
                  State
                </th>
              </tr>
            </thead>
            <tbody>
              {accounts.map((one) => (
                <AccountRow key={one.account.id} one={one} frame={frame} />
              ))}
            </tbody>
          </table>
        )}
      </div>
    </Frame>
  );
};

const AccountRow = ({ one, frame }: { readonly one: TiedAccount; readonly frame: View['frame'] }) => {
  const { account, schedule, tie, source, lacks } = one;
  const behind = [
    ...(tie.closing === null ? [] : ['a statement']),
    ...(tie.items === 0 ? [] : [plural(tie.items, 'item')]),
  ];
  const odd = tie.currencies.filter(({ difference }) => difference !== NIL).map(({ currency }) => currency);
  return (
    <tr>
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
              ? 'the paper it was read from'
              : ''}
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
    </tr>
  );
};
