import type { ReactNode } from 'react';
import type { Account, AccountId } from '@/core/chart/account';
import { searchText } from '@/core/chart/sheet';
import type { TreeRow } from '@/core/chart/tree';
import { ACCOUNT_TYPES, type AccountType, typeOf } from '@/core/ledger/classes';
import { folded } from '@/core/base/table';
import type { Minor } from '@/core/money/minor';

const SHOWN = ['all', 'active', 'inactive', 'notes', 'questions'] as const;
const SORTS = ['tree', 'name', 'balance'] as const;

/** Which accounts of a chart are shown, and in what order. */
export interface Sift {
  readonly wanted: string;
  readonly type: AccountType | '';
  readonly show: (typeof SHOWN)[number];
  readonly sort: (typeof SORTS)[number];
}

export const EVERYTHING: Sift = { wanted: '', type: '', show: 'all', sort: 'tree' };

const SHOW_WORDS: Readonly<Record<Sift['show'], string>> = {
  all: 'all accounts',
  active: 'active',
  inactive: 'inactive',
  notes: 'with a note',
  questions: 'with a questionable code',
};
const SORT_WORDS: Readonly<Record<Sift['sort'], string>> = {
  tree: 'as a tree',
  name: 'by name',
  balance: 'by balance',
};

export const isSifted = ({ wanted, type, show, sort }: Sift): boolean =>
  folded(wanted) !== '' || type !== '' || show !== 'all' || sort !== 'tree';

/** The rows of a chart that are wanted, in the order that is wanted. */
export const siftedRows = (
  tree: readonly TreeRow[],
  { wanted, type, show, sort }: Sift,
  amounts: ReadonlyMap<AccountId, Minor | null>,
  questionable: (account: Account) => boolean,
): readonly TreeRow[] => {
  const sought = folded(wanted);
  const shows: Readonly<Record<Sift['show'], (account: Account) => boolean>> = {
    all: () => true,
    active: (account) => account.active,
    inactive: (account) => !account.active,
    notes: (account) => account.note !== '',
    questions: questionable,
  };
  const found = tree.filter(
    ({ account }) =>
      (sought === '' || searchText(account).includes(sought)) &&
      (type === '' || typeOf(account.classification) === type) &&
      shows[show](account),
  );
  if (sort === 'name') return [...found].sort((a, b) => a.account.name.localeCompare(b.account.name, 'en'));
  if (sort === 'tree') return found;
  const size = (id: AccountId): bigint => {
    const amount = amounts.get(id) ?? 0n;
    return amount < 0n ? -amount : amount;
  };
  return [...found].sort((a, b) => {
    const [one, two] = [size(a.account.id), size(b.account.id)];
    return one === two ? 0 : one > two ? -1 : 1;
  });
};

/** The row of choices above the chart; `children` is what it says about what is shown. */
export const ChartFilters = ({
  sift,
  onSift,
  children,
}: {
  readonly sift: Sift;
  readonly onSift: (next: Sift) => void;
  readonly children: ReactNode;
}) => (
  <div className="no-print flex flex-wrap items-center gap-x-3 gap-y-1.5 px-4 py-2 text-sm">
    <input
      type="search"
      aria-label="Find in the chart"
      placeholder="Find a code, name, role or note"
      value={sift.wanted}
      onChange={(event) => onSift({ ...sift, wanted: event.target.value })}
      className="input input-sm w-56"
    />
    <select
      aria-label="Type"
      value={sift.type}
      onChange={(event) => onSift({ ...sift, type: event.target.value as Sift['type'] })}
      className="select select-sm w-auto"
    >
      <option value="">every type</option>
      {ACCOUNT_TYPES.map((one) => (
        <option key={one}>{one}</option>
      ))}
    </select>
    <select
      aria-label="Which accounts"
      value={sift.show}
      onChange={(event) => onSift({ ...sift, show: event.target.value as Sift['show'] })}
      className="select select-sm w-auto"
    >
      {SHOWN.map((one) => (
        <option key={one} value={one}>
          {SHOW_WORDS[one]}
        </option>
      ))}
    </select>
    <select
      aria-label="Order"
      value={sift.sort}
      onChange={(event) => onSift({ ...sift, sort: event.target.value as Sift['sort'] })}
      className="select select-sm w-auto"
    >
      {SORTS.map((one) => (
        <option key={one} value={one}>
          {SORT_WORDS[one]}
        </option>
      ))}
    </select>
    <span className="note" role="status">
      {children}
    </span>
  </div>
);
