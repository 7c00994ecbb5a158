import { Go } from '../parts/go';
import { Plus } from 'lucide-react';
import type { BoardView } from '@/actions/views';
import { difference } from '@/core/openings/level';
import { legalFormLabel } from '@/core/company';
import { stageHref } from '../frame/course';
import { Plinth } from '../frame/plinth';
import { ThemeSwitch } from '../frame/theme-switch';
import { sided } from '../parts/figures';
import { countryName, day } from '../parts/names';

/** The practice's board: every set of books, how far its plinth stands, what is next. */
export const Board = ({ practice, books }: BoardView) => (
  <div className="mx-auto max-w-6xl px-4 pb-10">
    <header className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-ink pt-5 pb-3">
      <div>
        <p className="text-sm text-ink-2">Bathron</p>
        <h1 className="title text-2xl leading-tight">{practice}</h1>
      </div>
      <div className="ml-auto flex items-center gap-2">
        <ThemeSwitch />
        <Go href="/new" className="btn btn-primary btn-sm">
          <Plus aria-hidden className="size-4" /> New books
        </Go>
      </div>
    </header>
    <main>{books.length === 0 ? <Empty /> : <Clients books={books} />}</main>
  </div>
);

const Empty = () => (
  <section className="mt-10 grid gap-8 md:grid-cols-[1fr_18rem]">
    <div>
      <h2 className="title text-xl">No books yet</h2>
      <p className="mt-2 max-w-prose">
        A set of books begins with who the company is, its fiscal year, and the date on which these books take over from
        the old ones. The chart of accounts comes from a starter or stays empty; the opening balances come from the old
        system’s trial balance as a CSV or XLSX file, or are typed.
      </p>
      <Go href="/new" className="btn btn-primary btn-sm mt-4">
        <Plus aria-hidden className="size-4" /> Begin the first books
      </Go>
    </div>
    <p className="note border-l border-rule pl-4">
      Nothing is posted until the opening balances net to zero and the checks on the Proof page are clear. Until then
      everything can be changed or deleted.
    </p>
  </section>
);

const Clients = ({ books }: Pick<BoardView, 'books'>) => (
  <ul>
    {books.map((one) => {
      const net = difference(one.totals);
      return (
        <li
          key={one.id}
          className="grid grid-cols-[6.5rem_minmax(0,1fr)] items-center gap-x-4 gap-y-1 border-b border-hairline py-3 md:grid-cols-[6.5rem_minmax(0,1.4fr)_minmax(0,1fr)_10rem]"
        >
          <div className="row-span-2 md:row-span-1">
            <Plinth stages={one.stages} />
          </div>
          <div className="min-w-0">
            <h2 className="title truncate text-lg leading-snug">
              <Go href={`/books/${String(one.id)}`} className="hover:underline">
                {one.name}
              </Go>
            </h2>
            <p className="note truncate">
              {legalFormLabel(one.legalForm)} · {countryName(one.country)} · {one.currency}
              {one.purpose !== 'live' && (
                <span className="ml-2 border border-ochre px-1 text-xs text-ochre">{one.purpose}</span>
              )}
            </p>
          </div>
          <div className="min-w-0 text-sm max-md:col-start-2">
            {one.next === null ? (
              <p>
                Posted and standing.{' '}
                <Go className="link" href={`/books/${String(one.id)}/statements/balance-sheet`}>
                  Balance sheet
                </Go>
              </p>
            ) : (
              <p>
                Next:{' '}
                <Go className="link font-medium" href={stageHref(one.id, one.next.id)}>
                  {one.next.label}
                </Go>
                <span className="note"> {one.next.note}</span>
              </p>
            )}
            {net !== 0n && <p className="text-madder">Level off by {sided(net, one)}</p>}
          </div>
          <p className="note max-md:hidden">
            <span className="block">cutover {day(one.cutover)}</span>
            {one.atYearStart ? 'at a year start' : 'in mid-year'}
          </p>
        </li>
      );
    })}
  </ul>
);
