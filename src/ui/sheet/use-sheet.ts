'use client';

import { type Virtualizer, defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import {
  type ClipboardEvent,
  type KeyboardEvent,
  type RefObject,
  useCallback,
  useEffect,
  useRef,
  useState,
} from 'react';
import type { Cell, Range } from './cells';
import {
  type Leave,
  type SheetState,
  type Step,
  after,
  cellLeft,
  chosenIn,
  meaningOf,
  standingAt,
  within,
} from './state';

/** What a sheet is to the hook: its rows, and what its cells take. */
interface Wanted<Row, Id> {
  readonly rows: readonly Row[];
  readonly idOf: (row: Row) => Id;
  readonly columns: number;
  /** Height of a row in px. */
  readonly height: number;
  /** Where it stands before anybody moves; of an account that is chosen already, the column counts alone. */
  readonly start: Cell;
  readonly selected: Id | undefined;
  /** Somebody went to a cell; with all that is chosen then. */
  readonly onSelect: (id: Id | undefined, chosen: Range) => void;
  /** Whether Tab halts at a cell: whether it takes what is typed. */
  readonly takes: (row: Row, column: number) => boolean;
  /** Whether a cell opens; with a character where one was typed on it. What it then shows is the sheet's own. */
  readonly opens: (row: Row, column: number, typed: string | undefined) => boolean;
  /** Keys of this sheet alone, before those that every sheet has; true where it did something. */
  readonly keys?: (event: KeyboardEvent) => boolean;
  /** Empties what is chosen. */
  readonly empty: (chosen: Range) => void;
  /** The chosen cells as text for the clipboard. */
  readonly copied: (chosen: Range) => string;
  /** Takes a text from the clipboard. */
  readonly paste: (text: string, chosen: Range) => void;
  /** Cuts what is chosen, which was copied; without it, it is emptied. */
  readonly cut?: (chosen: Range) => void;
}

export interface Sheet {
  readonly virtual: Virtualizer<HTMLDivElement, Element>;
  readonly state: SheetState;
  readonly range: Range;
  readonly go: (to: Cell, extend?: boolean) => void;
  /** Closes the open cell; the focus is on it again. */
  readonly close: () => void;
  /** After an edited cell was kept. */
  readonly leave: (how: Leave) => void;
  /** Opens the active cell. */
  readonly begin: (typed: string | undefined) => void;
  /** A cell was pressed with the pointer. */
  readonly point: (cell: Cell, extend: boolean) => void;
  readonly grid: {
    readonly ref: RefObject<HTMLDivElement | null>;
    readonly onKeyDown: (event: KeyboardEvent) => void;
    readonly onCopy: (event: ClipboardEvent) => void;
    readonly onCut: (event: ClipboardEvent) => void;
    readonly onPaste: (event: ClipboardEvent) => void;
  };
}

/** Moves a sheet sideways until a cell stands in sight, beside the cells of its row that stay where they are. */
const bringIntoSight = (cell: HTMLElement, sheet: HTMLElement): void => {
  const isFixed = (one: Element): boolean => getComputedStyle(one).position === 'sticky';
  if (isFixed(cell)) return;
  const [own, frame] = [cell.getBoundingClientRect(), sheet.getBoundingClientRect()];
  const left = [...(cell.parentElement?.children ?? [])]
    .filter(isFixed)
    .reduce((most, one) => Math.max(most, one.getBoundingClientRect().right), frame.left);
  const right = frame.left + sheet.clientWidth;
  if (own.left < left) sheet.scrollLeft -= left - own.left;
  else if (own.right > right) sheet.scrollLeft += Math.min(own.right - right, own.left - left);
};

/**
 * The one keyboard sheet (W3C grid pattern) with only the rows in sight in the page. Cells are found by `aria-rowindex` (the header is
 * row one) and `aria-colindex`. The active cell follows its row when rows around it come, go or move.
 */
export const useSheet = <Row, Id>(wanted: Wanted<Row, Id>): Sheet => {
  const { rows, idOf, columns, height, start, selected, onSelect } = wanted;
  const scroller = useRef<HTMLDivElement>(null);
  const last: Cell = { row: rows.length - 1, column: columns - 1 };
  const [kept, setKept] = useState<Id | undefined>(selected);
  const [held, setHeld] = useState<SheetState>(() => standingAt(start));
  const place = kept === undefined ? -1 : rows.findIndex((row) => idOf(row) === kept);
  const state = place >= 0 ? after(held, { kind: 'row moved', to: place }, last) : within(held, last);
  const { active } = state;
  const range = chosenIn(state);
  // Another number each time the focus is to be on the active cell.
  const [focus, setFocus] = useState(0);
  // What is pressed with the pointer is in sight, and stays under it.
  const pointed = useRef(false);

  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan: 10,
    initialRect: { width: 900, height: 560 },
    rangeExtractor: (range) =>
      [...new Set([...defaultRangeExtractor(range), active.row])]
        .filter((at) => at < rows.length)
        .sort((a, b) => a - b),
  });

  const take = (step: Step, scrolls = true): void => {
    const next = after(state, step, last);
    setHeld(next);
    pointed.current = !scrolls;
    setFocus((was) => was + 1);
    if (step.kind !== 'go') return;
    if (scrolls) virtual.scrollToIndex(next.active.row);
    const row = rows[next.active.row];
    const id = row === undefined ? undefined : idOf(row);
    setKept(id);
    onSelect(id, chosenIn(next));
  };
  const stops = ({ row, column }: Cell): boolean => {
    const one = rows[row];
    return one !== undefined && wanted.takes(one, column);
  };
  const begin = (typed: string | undefined): void => {
    const row = rows[active.row];
    if (row !== undefined && wanted.opens(row, active.column, typed))
      setHeld(after(state, { kind: 'open', text: typed }, last));
  };

  // On arriving, keys go to the sheet, unless something else has the focus already.
  useEffect(() => {
    if (document.activeElement === null || document.activeElement === document.body) setFocus((was) => was + 1);
  }, []);
  useEffect(() => {
    if (focus === 0) return;
    const cell = scroller.current?.querySelector<HTMLElement>(
      `[aria-rowindex="${String(active.row + 2)}"] [aria-colindex="${String(active.column + 1)}"]`,
    );
    if (cell == null || scroller.current === null) return;
    cell.focus({ preventScroll: true });
    if (!pointed.current) bringIntoSight(cell, scroller.current);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- when it is asked for, not whenever rows change
  }, [focus]);

  const typing = state.typing !== undefined;
  // The rows in sight are drawn anew only where something of theirs changed, so what they call stays the same.
  const now = useRef({ take });
  useEffect(() => {
    now.current = { take };
  });
  const point = useCallback(
    (cell: Cell, extend: boolean) => now.current.take({ kind: 'go', to: cell, extend }, false),
    [],
  );

  return {
    virtual,
    state,
    range,
    go: (to, extend = false) => take({ kind: 'go', to, extend }),
    close: () => take({ kind: 'close' }),
    leave: (how) => {
      const to = cellLeft(how, active, last, stops);
      // Where the focus went elsewhere, it stays there.
      if (to === undefined) setHeld(after(state, { kind: 'close' }, last));
      else take({ kind: 'go', to, extend: false });
    },
    begin,
    point,
    grid: {
      ref: scroller,
      onKeyDown: (event) => {
        if (typing) return;
        if (wanted.keys?.(event) === true) {
          event.preventDefault();
          return;
        }
        const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 400) / height) - 2);
        const meaning = meaningOf(event, state, last, page, stops);
        if (meaning === undefined) return;
        event.preventDefault();
        if (meaning.kind === 'begin') begin(meaning.typed);
        else if (meaning.kind === 'empty') wanted.empty(range);
        else take(meaning);
      },
      onCopy: (event) => {
        if (typing) return;
        event.preventDefault();
        event.clipboardData.setData('text/plain', wanted.copied(range));
      },
      onCut: (event) => {
        if (typing) return;
        event.preventDefault();
        event.clipboardData.setData('text/plain', wanted.copied(range));
        (wanted.cut ?? wanted.empty)(range);
      },
      onPaste: (event) => {
        if (typing) return;
        event.preventDefault();
        wanted.paste(event.clipboardData.getData('text/plain'), range);
      },
    },
  };
};
