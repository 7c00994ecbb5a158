'use client';

import type { DateStyle } from '@/core/base/date-style';
import type { FrameView } from '@/actions/frame/views';
import type { WhyAccount } from '@/actions/openings/why-view';
import type { AccountId } from '@/core/chart/account';
import { called } from '@/core/chart/account';
import { abs } from '@/core/money/minor';
import { labelOf } from '@/core/openings/search/kinds';
import { trustOf } from '@/core/openings/search/labels';
import type { Cause, Hypothesis } from '@/core/openings/search/types';
import { figure, sided } from '../parts/figures';
import { Go } from '../parts/go';
import { day } from '../parts/names';

interface Props {
  readonly place: number;
  readonly hypothesis: Hypothesis;
  readonly frame: FrameView;
  readonly account: (id: AccountId) => WhyAccount | undefined;
  readonly editable: boolean;
  readonly onTry: () => void;
  /** Puts the difference on the rounding account, where the explanation is the rounding of the paper and there is one. */
  readonly rounding: (() => void) | undefined;
}

const MOST_CHANGES = 6;

/** One explanation: what it says, the rows it names, what the Level would show after it, and the button that tries it. */
export const Explanation = ({ place, hypothesis, frame, account, editable, onTry, rounding }: Props) => {
  const { causes, explains, after, weight, ties, inPaper } = hypothesis;
  const changes = causes.some((cause) => cause.changes.length > 0);
  const missing = causes.find(({ untaken, changes: own }) => untaken !== undefined && own.length === 0)?.untaken;
  return (
    <li className="grid grid-cols-[1.6rem_minmax(0,1fr)] gap-x-2 border-b border-hairline py-2.5">
      <span aria-hidden className="text-right text-lg leading-tight text-ink-2">
        {place}
      </span>
      <div className="min-w-0">
        <div className="flex flex-wrap items-baseline gap-x-3">
          <h2 className="font-semibold">
            {inPaper
              ? `In the paper itself: ${lowered(headlines(causes, frame.dates))}`
              : headlines(causes, frame.dates)}
          </h2>
          <span className={weight > 0.2 ? 'font-medium text-madder' : 'note'}>{trustOf(weight, inPaper)}</span>
          {ties > 1 && <span className="note">one of {ties} that fit equally</span>}
        </div>
        <ul className="mt-1">
          {causes.map((cause, at) => (
            <Changes key={at} cause={cause} frame={frame} account={account} />
          ))}
        </ul>
        <p className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm text-ink-2">
          <span>
            explains {figure(abs(explains), frame)}; the Level would show {after === 0n ? 'nil' : sided(after, frame)}
          </span>
          {editable && changes && missing === undefined && (
            <button type="button" className="btn btn-xs" onClick={onTry}>
              Try {place}
            </button>
          )}
          {missing !== undefined && (
            <Go
              className="link"
              href={`/books/${String(frame.id)}/papers/${String(missing.paper)}?row=${String(missing.row)}`}
            >
              Decide about row {missing.row}
            </Go>
          )}
          {editable && rounding !== undefined && (
            <button type="button" className="btn btn-xs" onClick={rounding}>
              Put it on the rounding account
            </button>
          )}
        </p>
      </div>
    </li>
  );
};

const HEADLINES: Readonly<Partial<Record<Cause['kind'], string>>> = {
  differs: 'A figure is not what its paper says',
  side: 'An amount on the wrong side',
  'left-out': 'A row of the paper was not taken',
  transposed: 'Two digits are transposed',
  twice: 'A row was taken twice',
  slipped: 'The decimal point slipped',
  subtotal: 'A subtotal was taken as an account',
  heading: 'A heading is filled as well as its parts',
  zero: 'A zero too many or too few',
  results: 'The result is counted twice',
  rounding: 'The paper is rounded, each row within half a unit',
  'class-sign': 'A whole class has its sign reversed',
  currency: 'An amount in currency was taken as base currency',
  'rate-inverted': 'The rate was used the wrong way up',
  'rate-date': 'The rate is of another date',
};

const headline = ({ kind, date }: Cause, dates: DateStyle): string =>
  `${HEADLINES[kind] ?? labelOf(kind)}${date === undefined ? '' : ` (${/^\d{4}-/.test(date) ? day(date, dates) : date})`}`;

const lowered = (text: string): string => text.slice(0, 1).toLowerCase() + text.slice(1);

const headlines = (causes: readonly Cause[], dates: DateStyle): string => {
  const [first, second] = causes.map((cause) => headline(cause, dates));
  return second === undefined
    ? (first ?? '')
    : first === second
      ? `${first}, in two places`
      : `${first ?? ''}; and ${lowered(second)}`;
};

const Changes = ({ cause, frame, account }: Pick<Props, 'frame' | 'account'> & { readonly cause: Cause }) => (
  <>
    {cause.untaken !== undefined && (
      <li className="text-sm">
        Row {cause.untaken.row} of the paper: “{cause.untaken.text}”, {sided(cause.untaken.amount, frame)}
      </li>
    )}
    {cause.changes.slice(0, MOST_CHANGES).map(({ account: id, from, to }) => {
      const named = account(id);
      return (
        <li key={id} className="flex flex-wrap items-baseline gap-x-2 text-sm">
          <Go className="link min-w-0" href={`/books/${String(frame.id)}/openings?account=${String(id)}`}>
            {named === undefined ? 'an account' : called(named)}
          </Go>
          <span>
            {sided(from, frame)} <span aria-label="becomes">→</span>{' '}
            <strong className="font-semibold">{sided(to, frame)}</strong>
          </span>
          {named?.behind != null && (
            <Go
              className="link note"
              href={`/books/${String(frame.id)}/papers/${String(named.behind.paper)}?row=${String(named.behind.row)}`}
            >
              row {named.behind.row} of {named.behind.name}
            </Go>
          )}
        </li>
      );
    })}
    {cause.changes.length > MOST_CHANGES && (
      <li className="note">and {cause.changes.length - MOST_CHANGES} more accounts</li>
    )}
  </>
);
