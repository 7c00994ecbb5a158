'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState } from 'react';
import type { BoardBooks } from '@/actions/books/views';
import { BOARD_ORDERS, BOARD_STATES, type BoardWish, EVERYTHING, NOBODY, onBoard } from '@/core/proof/board';
import { PURPOSES } from '@/core/company/facts';
import { legalFormLabel } from '@/core/company/legal-form';
import { plural } from '@/core/base/result';
import { ColourMark } from '../frame/colour-mark';
import { stageHref } from '../frame/stage-href';
import { Stones } from '../frame/plinth';
import { sided } from '../parts/figures';
import { Go } from '../parts/go';
import { day } from '../parts/names';
import { When } from '../parts/when';

const ROW = 76;

/** The practice's books: searched, filtered and sorted as one types; only the rows in sight are in the page. */
export const Clients = ({
  books,
  countries,
}: {
  readonly books: readonly BoardBooks[];
  readonly countries: Readonly<Record<string, string>>;
}) => {
  const [wish, setWish] = useState<BoardWish>(EVERYTHING);
  const shown = useMemo(() => onBoard(books, wish), [books, wish]);
  const people = useMemo(
    () => [...new Set(books.map((one) => one.inCharge).filter((name) => name !== ''))].sort(),
    [books],
  );
  const archived = books.filter((one) => one.archived).length;
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 6,
    initialRect: { width: 1100, height: 620 },
  });
  const put = (next: Partial<BoardWish>): void => {
    setWish((was) => ({ ...was, ...next }));
    scroller.current?.scrollTo({ top: 0 });
  };
  const choice = (
    key: 'state' | 'purpose' | 'person' | 'order',
    label: string,
    options: readonly (readonly [string, string])[],
  ) => (
    <select
      aria-label={label}
      value={wish[key]}
      onChange={(event) => put({ [key]: event.target.value })}
      className="select select-xs h-7 w-auto max-w-44"
    >
      {options.map(([value, says]) => (
        <option key={value} value={value}>
          {says}
        </option>
      ))}
    </select>
  );
  return (
    <>
      <div
        className="flex flex-wrap items-center gap-1.5 border-b border-rule py-2"
        role="search"
        aria-label="The practice’s books"
      >
        <input
          type="search"
          aria-label="Find books"
          placeholder="Find by name, remark or person"
          value={wish.words}
          onChange={(event) => put({ words: event.target.value })}
          className="input input-xs h-7 w-64 max-sm:w-full"
        />
        {choice('state', 'State', [
          ['', 'in every state'],
          ...BOARD_STATES.map(({ id, label }) => [id, label] as const),
        ])}
        {choice('purpose', 'Purpose', [['', 'of every purpose'], ...PURPOSES.map(({ id }) => [id, id] as const)])}
        {choice('person', 'In charge', [
          ['', 'everybody’s'],
          ...people.map((name) => [name, name] as const),
          [NOBODY, 'nobody in charge'],
        ])}
        {choice(
          'order',
          'Order',
          BOARD_ORDERS.map(({ id, label }) => [id, label] as const),
        )}
        {archived > 0 && (
          <label className="flex items-center gap-1.5 text-sm">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={wish.archived}
              onChange={(event) => put({ archived: event.target.checked })}
            />
            archived ({archived})
          </label>
        )}
        <span role="status" className="note ml-auto">
          {plural(shown.length, 'set')} of books
        </span>
      </div>
      {shown.length === 0 ? (
        <p className="note py-6">
          No books fit.{' '}
          <button type="button" className="link" onClick={() => put(EVERYTHING)}>
            Show all
          </button>
        </p>
      ) : (
        <div ref={scroller} className="min-h-0 flex-1 overflow-y-auto" tabIndex={-1}>
          <ul className="relative" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map((item) => {
              const one = shown[item.index];
              return one === undefined ? null : (
                <Client key={one.id} one={one} country={countries[one.country] ?? one.country} start={item.start} />
              );
            })}
          </ul>
        </div>
      )}
    </>
  );
};

const Client = ({
  one,
  country,
  start,
}: {
  readonly one: BoardBooks;
  readonly country: string;
  readonly start: number;
}) => (
  <li
    className="absolute inset-x-0 grid grid-cols-[0.375rem_5.5rem_minmax(0,1fr)] items-center gap-x-3 overflow-hidden border-b border-hairline md:grid-cols-[0.375rem_6.5rem_minmax(0,1.4fr)_minmax(0,1.1fr)_9rem]"
    style={{ height: ROW, transform: `translateY(${String(start)}px)` }}
  >
    <ColourMark colour={one.colour} className="h-14 w-1.5" />
    <Stones fills={one.fills} says={one.said} />
    <div className="min-w-0">
      <h2 className="title truncate text-lg leading-snug max-md:text-base max-md:leading-tight">
        <Go href={`/books/${String(one.id)}`} className="hover:underline">
          {one.name}
        </Go>
      </h2>
      <p className="note truncate">
        <span className="max-md:hidden">{legalFormLabel(one.legalForm)} · </span>
        {country} · {one.currency}{' '}
        {one.purpose !== 'live' && (
          <span className="ml-1 border border-ochre px-1 text-xs text-ochre">{one.purpose}</span>
        )}
        {one.remark !== '' && <span className="ml-2 italic md:hidden">{one.remark}</span>}
      </p>
      {one.remark !== '' && <p className="truncate text-sm italic max-md:hidden">{one.remark}</p>}
      <div className="text-sm leading-tight md:hidden">
        <p className="truncate">
          {one.next === null ? 'Posted and standing' : `Next: ${one.next.label} · ${one.next.note}`}
        </p>
        <p className="truncate">
          {one.verdict !== 'clear' && (
            <span className={one.blockers > 0 ? 'text-brick' : 'text-ochre'}>{one.verdict}</span>
          )}
          {one.net !== 0n && <span className="ml-2 text-madder">off by {sided(one.net, one)}</span>}
        </p>
      </div>
    </div>
    <div className="min-w-0 text-sm max-md:hidden">
      {one.next === null ? (
        <p className="truncate">
          Posted and standing.{' '}
          <Go className="link" href={`/books/${String(one.id)}/statements/balance-sheet`}>
            Balance sheet
          </Go>
        </p>
      ) : (
        <p className="truncate">
          Next:{' '}
          <Go className="link font-medium" href={stageHref(one.id, one.next.id)}>
            {one.next.label}
          </Go>
          <span className="note"> {one.next.note}</span>
        </p>
      )}
      {one.verdict !== 'clear' && (
        <p className="truncate">
          <Go
            className={`hover:underline ${one.blockers > 0 ? 'text-brick' : 'text-ochre'}`}
            href={`/books/${String(one.id)}/proof`}
          >
            {one.verdict}
          </Go>
        </p>
      )}
      {one.net !== 0n && <p className="truncate text-madder">Level off by {sided(one.net, one)}</p>}
      {one.asOf !== null && (
        <p className="note truncate">
          as of <When at={one.asOf} />
        </p>
      )}
    </div>
    <p className="note max-md:hidden">
      <span className="block">cutover {day(one.cutover)}</span>
      <span className="block">{one.atYearStart ? 'at a year start' : 'in mid-year'}</span>
      <span className="block truncate">{one.inCharge === '' ? 'nobody in charge' : one.inCharge}</span>
    </p>
  </li>
);
