import { Plus } from 'lucide-react';
import type { BoardView } from '@/actions/books/views';
import { ThemeSwitch } from '../frame/theme-switch';
import { Go } from '../parts/go';
import { countryName } from '../parts/names';
import { Clients } from './clients';

/** The practice's board: every set of books, how far its plinth stands, what is next. */
export const Board = ({ practice, books, who, demo, mayMake, maySeePeople }: BoardView) => (
  <div className="mx-auto flex h-dvh max-w-6xl flex-col px-4">
    <header className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-ink pt-4 pb-2.5">
      <div>
        <p className="text-sm text-ink-2">Bathron</p>
        <title>{`${practice} · Bathron`}</title>
        <h1 className="title text-2xl leading-tight">{practice}</h1>
      </div>
      <div className="ml-auto flex items-center gap-2">
        <p className="text-right text-sm">
          {maySeePeople ? (
            <Go className="hover:underline" href="/people" title="People and rights">
              {who.name}
            </Go>
          ) : (
            who.name
          )}
          <span className="block text-xs text-ink-2">
            {who.role.toLowerCase()}
            {' · '}
            <Go className="link" href={demo ? '/who' : '/account'}>
              {demo ? 'be somebody else' : 'how you sign in'}
            </Go>
          </span>
        </p>
        <ThemeSwitch />
        {mayMake && (
          <Go href="/new" className="btn btn-primary btn-sm">
            <Plus aria-hidden className="size-4" /> New books
          </Go>
        )}
      </div>
    </header>
    <main className="flex min-h-0 flex-1 flex-col">
      {books.length === 0 ? (
        mayMake ? (
          <Empty />
        ) : (
          <p className="mt-10">No books are given to you yet. Ask an owner of the practice.</p>
        )
      ) : (
        <Clients
          books={books}
          // Names of countries come from the server only; the browser's language data may word them otherwise.
          countries={Object.fromEntries(
            [...new Set(books.map((one) => one.country))].map((code) => [code, countryName(code)]),
          )}
        />
      )}
    </main>
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
