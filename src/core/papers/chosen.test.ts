import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readPaper } from '../files/read';
import { LIKENESSES, likenesses, rowsLike } from './alike';
import { choose, rolesWith } from './chosen';
import { COLUMN_ROLES, type ColumnRole } from './header';
import type { Chosen } from './reading';
import { recognise, recogniseFrom } from './recognise';
import { makePaper } from './testing/paper-maker';

const role = fc.constantFrom<ColumnRole>(...COLUMN_ROLES);
const roles = fc.array(role, { minLength: 1, maxLength: 9 });
const pick = fc.record({ at: fc.integer({ min: 0, max: 8 }), role });

const tablesOf = (text: string) => {
  const read = readPaper(new TextEncoder().encode(text), 'a.csv');
  if (!read.ok) throw new Error('the paper of this test does not read');
  return read.value;
};

describe('what a person chose about columns', () => {
  it('stands, whatever was inferred, and nothing inferred contradicts it', () => {
    fc.assert(
      fc.property(roles, fc.array(pick, { minLength: 1, maxLength: 6 }), (inferred, picks) => {
        let chosen: Chosen = {};
        for (const { at, role: own } of picks) chosen = choose(chosen, { columns: { [at]: own } });
        const found = rolesWith(inferred, chosen.columns);
        const last = picks.at(-1);
        expect(found[last?.at ?? 0]).toBe(last?.role);
        for (const one of new Set(Object.values(chosen.columns ?? {})))
          if (one !== 'ignore') expect(found.filter((other) => other === one)).toEqual([one]);
        if (last?.role === 'balance') expect(found.includes('debit') || found.includes('credit')).toBe(false);
        if (last?.role === 'debit') expect(found).not.toContain('balance');
      }),
    );
  });

  it('stays in every proposal, and choosing what was proposed changes nothing', () => {
    const circumstances = { digits: 2 };
    for (let seed = 1; seed <= 40; seed += 1) {
      const made = makePaper(seed);
      const read = readPaper(made.bytes, made.name);
      if (!read.ok) continue;
      const first = recognise(read.value, circumstances);
      const { reading } = first;
      const around = (change: Chosen) =>
        recogniseFrom(read.value, reading.sheet, reading.header, circumstances, reading.arrangement, {
          ...reading,
          chosen: change,
        });
      const amount = reading.columns.findIndex((one) => one === 'debit' || one === 'balance');
      if (amount < 0) continue;
      const same = around({ columns: { [amount]: reading.columns[amount] ?? 'ignore' } });
      expect(same.rows.map((row) => [row.kind, row.amount])).toEqual(first.rows.map((row) => [row.kind, row.amount]));
      const other = around({ columns: { [amount]: 'ignore' }, style: '1.234,56' });
      expect(other.reading.columns[amount]).toBe('ignore');
      expect(other.reading.style).toBe('1.234,56');
    }
  });

  it('has the rest inferred around it: the other of a pair, and the sides', () => {
    const tables = tablesOf(
      [
        'Code,Account,Dr,Cr,Dr last year,Cr last year',
        '100,Bank,10.00,,7.00,',
        '200,Stock,5.00,,,',
        '300,Capital,,15.00,,7.00',
      ].join('\n'),
    );
    const { reading } = recognise(tables, { digits: 2 });
    expect(reading.columns).toEqual(['code', 'name', 'debit', 'credit', 'ignore', 'ignore']);
    const next = recogniseFrom(tables, 0, 0, { digits: 2 }, undefined, {
      ...reading,
      chosen: { columns: { 4: 'debit' } },
    });
    expect(next.reading.columns).toEqual(['code', 'name', 'ignore', 'ignore', 'debit', 'credit']);
    expect(next.rows.filter(({ kind }) => kind === 'account').map(({ amount }) => amount)).toEqual([700n, 0n, -700n]);
  });
});

describe('rows alike', () => {
  const tables = tablesOf(
    [
      'Code,Account,Balance',
      '100,Bank,10.00',
      'K-1,Cost centre 1,4.00',
      'K-2,Cost centre 2,6.00',
      '300,Capital,-10.00',
    ].join('\n'),
  );
  const { rows } = recognise(tables, { digits: 2 });
  const centre = rows.find(({ name }) => name === 'Cost centre 1');

  it('are those of one name but for its numbers, or of one form', () => {
    if (centre === undefined) throw new Error('no such row');
    expect(rowsLike(rows, centre, 'name')).toEqual([3, 4]);
    expect(rowsLike(rows, centre, 'form')).toEqual([3, 4]);
    expect(likenesses(rows)(centre)).toEqual({ name: 2, form: 2 });
    // What most rows look like tells none of them from the others.
    const most = recognise(tablesOf('Code,Account,Balance\n1,Bank,5.00\n2,Till,3.00\n3,Capital,-8.00'), { digits: 2 });
    expect(most.rows.map(likenesses(most.rows)).every(({ form }) => form === 1)).toBe(true);
  });

  it('are counted as they are listed, and each is like itself', () => {
    for (let seed = 1; seed <= 20; seed += 1) {
      const made = makePaper(seed);
      const read = readPaper(made.bytes, made.name);
      if (!read.ok) continue;
      const found = recognise(read.value, { digits: 2 }).rows;
      const counts = likenesses(found);
      for (const row of found.filter(({ kind }) => kind !== 'blank').slice(0, 30))
        for (const by of LIKENESSES) {
          const like = rowsLike(found, row, by);
          expect(like).toContain(row.row);
          expect([like.length, ...(by === 'form' ? [1] : [])]).toContain(counts(row)[by]);
        }
    }
  });
});
