import { type Account, type AccountId, called } from '@/core/chart/account';
import type { Candidate } from '@/core/openings/match';

interface Props {
  readonly candidates: readonly Candidate[];
  readonly accounts: readonly Account[];
  readonly onChoose: (account: AccountId) => void;
  readonly onReactivate: (account: AccountId) => void;
}

/** The accounts that an old one may be, the likeliest first; a digit on the row takes the one with that number. */
export const Candidates = ({ candidates, accounts, onChoose, onReactivate }: Props) =>
  candidates.length === 0 ? null : (
    <ol className="mb-2 border-t border-hairline">
      {candidates.map(({ account: id, confidence, why, active }, at) => {
        const account = accounts.find((one) => one.id === id);
        if (account === undefined) return null;
        return (
          <li key={id} className="grid grid-cols-[1rem_minmax(0,1fr)_auto] gap-x-1.5 border-b border-hairline py-1">
            <span aria-hidden className="text-ink-2">
              {at + 1}
            </span>
            <span className="min-w-0">
              {called(account)}
              <span className="block text-xs text-ink-2">
                {Math.round(confidence * 100)} %, {why}
              </span>
            </span>
            <button
              type="button"
              className="btn btn-xs self-center"
              onClick={() => (active ? onChoose(id) : onReactivate(id))}
            >
              {active ? 'Use' : 'Reactivate and use'}
              <span className="sr-only"> {called(account)}</span>
            </button>
          </li>
        );
      })}
    </ol>
  );
