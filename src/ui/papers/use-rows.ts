import { useEffect, useRef, useState } from 'react';
import { paperRows } from '@/actions/papers/rows';
import type { PaperView, RowPage, RowView } from '@/actions/papers/views';
import { PAGE_ROWS, type RowFilter } from '@/core/openings/paper-list';

export interface Rows {
  readonly filter: RowFilter;
  /** How many rows are under the filter. */
  readonly total: number;
  /** The row at a place under the filter; undefined while it is on its way. */
  readonly at: (place: number) => RowView | undefined;
  /** Asks for what is missing of these places. */
  readonly need: (from: number, to: number) => void;
  /** The row that the margin is about. */
  readonly selected: RowView | undefined;
  /** Its place under the filter, or -1. */
  readonly place: number;
  readonly select: (row: RowView) => void;
  /** Selects the row that comes after one, wherever it is, unless somebody chose another meanwhile. */
  readonly goOn: (from: number, next: number | null) => void;
  /** Selects the row at a place. */
  readonly move: (place: number) => void;
  readonly show: (filter: RowFilter) => void;
}

/** Pages of rows by number, of one filter at one state of the paper. */
interface Held {
  readonly filter: RowFilter;
  readonly total: number;
  readonly pages: ReadonlyMap<number, RowPage['rows']>;
}

const heldFrom = ({ filter, total, page, rows }: RowPage): Held => ({ filter, total, pages: new Map([[page, rows]]) });

/**
 * The rows of a paper, page by page as they come into view. Whenever the paper is shown anew (a decision was taken), what is
 * in view is asked for again and stays on the screen until it has come.
 */
export const useRows = (books: number, paper: PaperView): Rows => {
  const [held, setHeld] = useState<Held>(() => heldFrom(paper.rows));
  const [selected, setSelected] = useState<RowView | undefined>(paper.start ?? undefined);
  // Answers count only for the state of the paper and the filter they were asked for.
  const asking = useRef({
    state: paper.rows,
    filter: held.filter,
    pages: new Set<number>(),
    fresh: new Set([paper.rows.page]),
  });
  const wanted = useRef(paper.start?.row.row);
  const inView = useRef({ from: 0, to: 0 });
  // Whoever chose last is followed: what was asked for before somebody went elsewhere does not take them back.
  const choice = useRef(0);

  const take = (page: RowPage): void => {
    asking.current.fresh.add(page.page);
    setHeld((was) => ({
      filter: page.filter,
      total: page.total,
      pages: new Map(was.filter === page.filter ? was.pages : []).set(page.page, page.rows),
    }));
    setSelected((was) => page.rows.find(({ row }) => row.row === was?.row.row) ?? was);
  };
  const ask = async (at: { readonly page: number } | { readonly row: number }) => {
    const { state, filter } = asking.current;
    const came = await paperRows({ books, paper: paper.id, filter, at }).catch(() => undefined);
    if (came === undefined || asking.current.state !== state || asking.current.filter !== filter) return undefined;
    take(came.rows);
    return came;
  };
  const need = (from: number, to: number): void => {
    inView.current = { from, to };
    const { pages, fresh } = asking.current;
    for (let page = Math.floor(from / PAGE_ROWS); page <= Math.floor(to / PAGE_ROWS); page += 1)
      if (!fresh.has(page) && !pages.has(page)) {
        pages.add(page);
        void ask({ page }).finally(() => pages.delete(page));
      }
  };
  const select = (row: RowView): void => {
    choice.current += 1;
    wanted.current = row.row.row;
    setSelected(row);
  };
  const selectOnce = (coming: Promise<RowView | null | undefined>): void => {
    choice.current += 1;
    const mine = choice.current;
    void coming.then((row) => {
      if (row != null && choice.current === mine) select(row);
    });
  };
  const goTo = (row: number): void => {
    wanted.current = row;
    selectOnce(ask({ row }).then((came) => came?.row));
  };

  useEffect(() => {
    if (asking.current.state === paper.rows) return;
    const { filter } = asking.current;
    asking.current = { state: paper.rows, filter, pages: new Set(), fresh: new Set() };
    if (filter === paper.rows.filter) take(paper.rows);
    need(inView.current.from, inView.current.to);
    if (wanted.current !== undefined) goTo(wanted.current);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each new state of the paper
  }, [paper.rows]);

  const at = (place: number): RowView | undefined => held.pages.get(Math.floor(place / PAGE_ROWS))?.[place % PAGE_ROWS];
  let place = -1;
  for (const [page, rows] of held.pages) {
    const found = rows.findIndex(({ row }) => row.row === selected?.row.row);
    if (found >= 0) place = page * PAGE_ROWS + found;
  }
  return {
    filter: held.filter,
    total: held.total,
    at,
    need,
    selected,
    place,
    select,
    goOn: (from, next) => {
      if (next !== null && wanted.current === from) goTo(next);
    },
    move: (to) => {
      const known = at(to);
      if (known !== undefined) select(known);
      else selectOnce(ask({ page: Math.floor(to / PAGE_ROWS) }).then((came) => came?.rows.rows[to % PAGE_ROWS]));
    },
    show: (filter) => {
      asking.current = { state: paper.rows, filter, pages: new Set(), fresh: new Set() };
      void ask({ row: selected?.row.row ?? 0 });
    },
  };
};
