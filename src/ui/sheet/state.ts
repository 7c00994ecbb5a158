import { type Cell, cellAfter, clampedTo, rangeOf } from './cells';

/** Where somebody stands on a sheet. */
export interface SheetState {
  readonly active: Cell;
  /** The other corner of what is chosen. */
  readonly anchor: Cell;
  /** Of the active cell while it is open: what was typed to open it, or undefined where it opens with what stands in it. */
  readonly typing: { readonly text: string | undefined } | undefined;
  /** Escape was pressed on a closed cell: the next Tab leaves the sheet. */
  readonly leaving: boolean;
}

export const standingAt = (cell: Cell): SheetState => ({
  active: cell,
  anchor: cell,
  typing: undefined,
  leaving: false,
});

export type Step =
  | { readonly kind: 'go'; readonly to: Cell; readonly extend: boolean }
  | { readonly kind: 'open'; readonly text: string | undefined }
  | { readonly kind: 'close' }
  | { readonly kind: 'all' }
  | { readonly kind: 'escape' }
  /** The active row stands elsewhere now, since rows around it came, went or moved. */
  | { readonly kind: 'row moved'; readonly to: number };

/** The state after a step, on a sheet that ends with the cell `last`. */
export const after = (state: SheetState, step: Step, last: Cell): SheetState => {
  const { active, anchor } = state;
  switch (step.kind) {
    case 'go': {
      const cell = clampedTo(last, step.to);
      return { ...standingAt(cell), anchor: step.extend ? clampedTo(last, anchor) : cell };
    }
    case 'open':
      return { ...state, typing: { text: step.text }, leaving: false };
    case 'close':
      return { ...state, typing: undefined };
    case 'all':
      return { ...standingAt(clampedTo(last, last)), anchor: { row: 0, column: 0 } };
    case 'escape':
      return { ...standingAt(active), leaving: true };
    case 'row moved': {
      const by = step.to - active.row;
      if (by === 0) return within(state, last);
      return within(
        {
          ...state,
          active: { ...active, row: step.to },
          anchor: { ...anchor, row: anchor.row + by },
        },
        last,
      );
    }
  }
};

/** The state on a sheet that may have become smaller. */
export const within = (state: SheetState, last: Cell): SheetState => {
  const [active, anchor] = [clampedTo(last, state.active), clampedTo(last, state.anchor)];
  const same = (a: Cell, b: Cell): boolean => a.row === b.row && a.column === b.column;
  return same(active, state.active) && same(anchor, state.anchor) ? state : { ...state, active, anchor };
};

export const chosenIn = ({ active, anchor }: SheetState) => rangeOf(active, anchor);

/** A key, as an event tells it. */
export interface Key {
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly shiftKey: boolean;
  readonly altKey: boolean;
}

/** What a key says on a closed cell: a step, or something for the sheet to do. Undefined: it is not the sheet's. */
export type Meaning =
  Step | { readonly kind: 'begin'; readonly typed: string | undefined } | { readonly kind: 'empty' };

/**
 * What a key means where somebody stands. `stops` are the cells at which Tab halts, in reading order; past the last of them, and after
 * Escape, it leaves the sheet, so that nobody is held in it.
 */
export const meaningOf = (
  event: Key,
  state: SheetState,
  last: Cell,
  /** Rows in sight. */
  page: number,
  stops: (cell: Cell) => boolean,
): Meaning | undefined => {
  if (state.typing !== undefined || event.altKey) return undefined;
  const control = event.ctrlKey || event.metaKey;
  if (event.key === 'Tab') {
    const to = state.leaving || control ? undefined : nextStop(state.active, event.shiftKey ? -1 : 1, last, stops);
    return to === undefined ? undefined : { kind: 'go', to, extend: false };
  }
  const to = cellAfter(event, state.active, last, page);
  if (to !== undefined) return { kind: 'go', to, extend: event.shiftKey };
  if (control) return event.key.toLowerCase() === 'a' ? { kind: 'all' } : undefined;
  switch (event.key) {
    case 'Enter':
    case 'F2':
      return { kind: 'begin', typed: undefined };
    case 'Delete':
    case 'Backspace':
      return { kind: 'empty' };
    case 'Escape':
      return { kind: 'escape' };
    case ' ':
    case '?':
      return undefined;
    default:
      return event.key.length === 1 ? { kind: 'begin', typed: event.key } : undefined;
  }
};

/** The next cell at which Tab halts, in reading order; undefined where there is none any more. */
const nextStop = ({ row, column }: Cell, by: 1 | -1, last: Cell, stops: (cell: Cell) => boolean): Cell | undefined => {
  const width = last.column + 1;
  const end = (last.row + 1) * width;
  for (let at = row * width + column + by; at >= 0 && at < end; at += by) {
    const cell = { row: Math.floor(at / width), column: at % width };
    if (stops(cell)) return cell;
  }
  return undefined;
};

/** In what direction an edited cell is left. */
export type Leave = 'down' | 'up' | 'left' | 'right' | 'stay';

/** Where it goes on after an edited cell: to the right as Tab does; undefined stays. */
export const cellLeft = (leave: Leave, active: Cell, last: Cell, stops: (cell: Cell) => boolean): Cell | undefined => {
  switch (leave) {
    case 'down':
      return { ...active, row: active.row + 1 };
    case 'up':
      return { ...active, row: active.row - 1 };
    case 'right':
      return nextStop(active, 1, last, stops) ?? active;
    case 'left':
      return nextStop(active, -1, last, stops) ?? active;
    case 'stay':
      return undefined;
  }
};
