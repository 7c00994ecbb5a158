import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fail, ok, problem } from '@/core/base/result';
import { type Apply, adopted, edited, noteAt, refused, saved, unsaved } from './saved-rows';

interface Fields {
  readonly a: string;
  readonly b: number;
}
const BLANK: Fields = { a: '', b: 0 };
const apply: Apply<Fields> = (fields, { column, text }) =>
  column === 'a'
    ? ok({ ...fields, a: text })
    : /^\d*$/.test(text)
      ? ok({ ...fields, b: Number(text) })
      : fail(problem('n', `${text} is no number`, 'b'));
const complete = ({ b }: Fields): boolean => b !== 0;
const edit = (at: number, column: string, text: string) => ({ at, column, text, made: false });

describe('rows that are typed and saved', () => {
  it('begin behind the last, keep their key when they get a number, and stay as typed where they do not read', () => {
    const start = adopted([{ id: 7, revision: 1, fields: { a: 'x', b: 1 } }]);
    const typed = edited(start, [edit(1, 'a', 'new'), edit(1, 'b', 'two'), edit(2, 'a', '')], BLANK, apply, 4);
    expect(typed.rows.map(({ key }) => key)).toEqual(['row-7', 'new-4']);
    expect(typed.next).toBe(5);
    expect(typed.rows[1]).toMatchObject({ fields: { a: 'new', b: 0 }, unread: { b: { text: 'two' } } });
    expect(unsaved(typed.rows, complete)).toEqual([]);
    const whole = edited(typed.rows, [edit(1, 'b', '2')], BLANK, apply, typed.next).rows;
    const sent = unsaved(whole, complete);
    expect(sent.map(({ key }) => key)).toEqual(['new-4']);
    const stored = saved(whole, sent, [{ id: 9, revision: 3 }]);
    expect(stored[1]).toMatchObject({ key: 'new-4', id: 9, revision: 3, unread: {} });
    expect(unsaved(stored, complete)).toEqual([]);
    expect(adopted([{ id: 9, revision: 4, fields: { a: 'y', b: 2 } }], stored).map(({ key }) => key)).toEqual([
      'new-4',
    ]);
  });
  it('are not sent again as they were refused, but once something of them is changed', () => {
    const start = edited([], [edit(0, 'b', '5'), edit(1, 'b', '6')], BLANK, apply, 0).rows;
    const sent = unsaved(start, complete);
    const after = refused(start, sent, [problem('no', 'Not this one.', 1)]);
    expect(after.map((row) => row.refused.length)).toEqual([0, 1]);
    expect(unsaved(after, complete).map(({ key }) => key)).toEqual(['new-0']);
    const all = refused(start, sent, [problem('no', 'None of them.')]);
    expect(all.map((row) => row.refused.length)).toEqual([1, 1]);
    expect(unsaved(edited(after, [edit(1, 'a', 'z')], BLANK, apply, 9).rows, complete)).toHaveLength(2);
  });
  it('say at a cell what does not read, then why it was refused, then what is asked; what names no cell stands at one of them', () => {
    const row = {
      unread: { a: { text: 'x', says: 'no number' } },
      refused: [problem('r', 'refused', 0, 'b'), problem('r', 'as a whole', 0)],
    };
    const doubts = [problem('d', 'asked', 'c')];
    expect(['a', 'b', 'c', 'd', 'e'].map((column) => noteAt(row, column, 'd', doubts)?.says)).toEqual([
      'no number',
      'refused',
      'asked',
      'as a whole',
      undefined,
    ]);
  });
  it('hold what was typed last in each cell, whatever was saved between', () => {
    const edits = fc.array(fc.record({ at: fc.nat({ max: 5 }), text: fc.stringMatching(/^[a-z]{1,3}$/) }), {
      maxLength: 20,
    });
    fc.assert(
      fc.property(edits, (list) => {
        let rows = adopted<Fields>([]);
        let next = 0;
        const last = new Map<number, string>();
        for (const { at, text } of list) {
          const place = Math.min(at, rows.length);
          ({ rows, next } = edited(rows, [edit(place, 'a', text), edit(place, 'b', '1')], BLANK, apply, next));
          last.set(place, text);
          const sent = unsaved(rows, complete);
          rows = saved(
            rows,
            sent,
            sent.map((_, n) => ({ id: 1000 + next * 10 + n, revision: 1 })),
          );
        }
        for (const [place, text] of last) expect(rows[place]?.fields.a).toBe(text);
        expect(new Set(rows.map(({ key }) => key)).size).toBe(rows.length);
      }),
    );
  });
});
