import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Cell } from './cells';
import {
  type Key,
  type SheetState,
  type Step,
  after,
  cellLeft,
  chosenIn,
  meaningOf,
  standingAt,
  within,
} from './state';

const cell = fc.record({ row: fc.integer({ min: -3, max: 40 }), column: fc.integer({ min: -2, max: 9 }) });
const last = fc.record({ row: fc.nat(30), column: fc.nat(7) });
const step: fc.Arbitrary<Step> = fc.oneof(
  fc.record({ kind: fc.constant('go' as const), to: cell, extend: fc.boolean() }),
  fc.record({ kind: fc.constant('open' as const), text: fc.option(fc.string(), { nil: undefined }) }),
  fc.record({ kind: fc.constantFrom('close' as const, 'all' as const, 'escape' as const) }),
  fc.record({ kind: fc.constant('row moved' as const), to: fc.nat(30) }),
);
const inside = (one: Cell, end: Cell): boolean =>
  one.row >= 0 && one.row <= end.row && one.column >= 0 && one.column <= end.column;
const KEYS = ['ArrowDown', 'ArrowUp', 'ArrowLeft', 'ArrowRight', 'Home', 'End', 'PageDown', 'PageUp', 'Tab'];
const key = fc.record({
  key: fc.constantFrom(...KEYS, 'Enter', 'F2', 'Delete', 'Escape', 'a', '7', ' ', '?', 'Shift'),
  ctrlKey: fc.boolean(),
  metaKey: fc.constant(false),
  shiftKey: fc.boolean(),
  altKey: fc.boolean(),
});
const plain = (name: string, more: Partial<Key> = {}): Key => ({
  key: name,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  altKey: false,
  ...more,
});
const everywhere = (): boolean => true;

describe('standing on a sheet', () => {
  it('is always inside it, and what is chosen holds the active cell, whatever is done', () => {
    fc.assert(
      fc.property(last, fc.array(step, { maxLength: 20 }), (end, steps) => {
        let state: SheetState = standingAt({ row: 0, column: 0 });
        for (const one of steps) {
          state = after(state, one, end);
          expect(inside(state.active, end)).toBe(true);
          expect(inside(state.anchor, end)).toBe(true);
          const { top, bottom, left, right } = chosenIn(state);
          expect(state.active.row >= top && state.active.row <= bottom).toBe(true);
          expect(state.active.column >= left && state.active.column <= right).toBe(true);
          // A cell is open only where somebody stands still.
          if (one.kind === 'go' || one.kind === 'all' || one.kind === 'escape') expect(state.typing).toBeUndefined();
        }
      }),
    );
  });

  it('follows its row with all that is chosen, where rows around it move', () => {
    const state = after(
      standingAt({ row: 3, column: 1 }),
      { kind: 'go', to: { row: 5, column: 2 }, extend: true },
      {
        row: 20,
        column: 4,
      },
    );
    const moved = after(state, { kind: 'row moved', to: 9 }, { row: 20, column: 4 });
    expect([moved.active, moved.anchor]).toEqual([
      { row: 9, column: 2 },
      { row: 7, column: 1 },
    ]);
  });

  it('stays the same state where a smaller sheet still holds it', () => {
    fc.assert(
      fc.property(cell, last, (at, end) => {
        const state = standingAt(at);
        const kept = within(state, end);
        if (inside(at, end)) expect(kept).toBe(state);
        else expect(inside(kept.active, end)).toBe(true);
      }),
    );
  });
});

describe('what a key means', () => {
  it('is nothing while a cell is open, and never anything outside the sheet after clamping', () => {
    fc.assert(
      fc.property(key, last, cell, fc.boolean(), (event, end, at, open) => {
        const there = within(standingAt(at), end);
        const state = open ? after(there, { kind: 'open', text: undefined }, end) : there;
        const meaning = meaningOf(event, state, end, 10, everywhere);
        if (open) expect(meaning).toBeUndefined();
        if (meaning?.kind === 'go') expect(inside(after(state, meaning, end).active, end)).toBe(true);
      }),
    );
  });

  it('Tab halts at every cell that takes something, once, in reading order, and then leaves; back by Shift', () => {
    fc.assert(
      fc.property(last, fc.func(fc.boolean()), (end, takes) => {
        const stops = ({ row, column }: Cell): boolean => takes(row * 100 + column);
        const walk = (from: Cell, shift: boolean): readonly Cell[] => {
          const seen: Cell[] = [];
          let state = standingAt(from);
          for (let steps = 0; steps < 400; steps += 1) {
            const meaning = meaningOf(plain('Tab', { shiftKey: shift }), state, end, 10, stops);
            if (meaning?.kind !== 'go') return seen;
            state = after(state, meaning, end);
            seen.push(state.active);
          }
          throw new Error('held in the sheet');
        };
        const all: Cell[] = [];
        for (let row = 0; row <= end.row; row += 1)
          for (let column = 0; column <= end.column; column += 1) if (stops({ row, column })) all.push({ row, column });
        const start = { row: 0, column: 0 };
        expect(walk(start, false)).toEqual(all.filter((one) => one.row + one.column > 0));
        expect(walk(end, true)).toEqual(
          all.filter((one) => one.row !== end.row || one.column !== end.column).reverse(),
        );
      }),
    );
  });

  it('Tab leaves after Escape, until somebody moves again', () => {
    const end = { row: 3, column: 3 };
    const escaped = after(standingAt({ row: 0, column: 0 }), { kind: 'escape' }, end);
    expect(meaningOf(plain('Tab'), escaped, end, 10, everywhere)).toBeUndefined();
    const moved = after(escaped, { kind: 'go', to: { row: 1, column: 0 }, extend: false }, end);
    expect(meaningOf(plain('Tab'), moved, end, 10, everywhere)).toMatchObject({ kind: 'go' });
  });

  it('letters open a cell, and the keys of the frame stay those of the frame', () => {
    const at = standingAt({ row: 0, column: 0 });
    const end = { row: 3, column: 3 };
    const means = (event: Key) => meaningOf(event, at, end, 10, everywhere);
    expect(means(plain('7'))).toEqual({ kind: 'begin', typed: '7' });
    expect(means(plain('='))).toEqual({ kind: 'begin', typed: '=' });
    for (const one of ['?', ' ', 'F6', 'Shift']) expect(means(plain(one))).toBeUndefined();
    expect(means(plain('k', { ctrlKey: true }))).toBeUndefined();
    expect(means(plain('a', { ctrlKey: true }))).toEqual({ kind: 'all' });
  });
});

it('an edited cell is left as its keys say, to the next that takes something', () => {
  const stops = ({ column }: Cell): boolean => column === 1 || column === 2;
  const end = { row: 2, column: 3 };
  expect(cellLeft('down', { row: 0, column: 1 }, end, stops)).toEqual({ row: 1, column: 1 });
  expect(cellLeft('right', { row: 0, column: 2 }, end, stops)).toEqual({ row: 1, column: 1 });
  expect(cellLeft('left', { row: 1, column: 1 }, end, stops)).toEqual({ row: 0, column: 2 });
  expect(cellLeft('right', { row: 2, column: 2 }, end, stops)).toEqual({ row: 2, column: 2 });
  expect(cellLeft('stay', { row: 2, column: 2 }, end, stops)).toBeUndefined();
});
