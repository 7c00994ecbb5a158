import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minor } from '../money/minor';
import type { PaperRow } from '../papers/paper-row';
import { PAGE_ROWS, ROW_FILTERS, pageWith, rowsUnder } from './paper-list';
import type { DecidedRow } from './takeover';

const KINDS = ['account', 'title', 'header', 'heading', 'total', 'blank', 'unreadable'] as const;
const papers = fc.array(fc.constantFrom(...KINDS), { maxLength: 60 }).map((kinds) =>
  kinds.map((kind, at): PaperRow => ({
    row: at + 1,
    kind,
    code: '',
    name: '',
    amount: minor(1n),
    text: '',
    indent: 0,
  })),
);
const decided = (row: PaperRow): DecidedRow => ({
  row,
  match: { kind: 'unmatched', why: '', candidates: [] },
  decision: undefined,
});

describe('the rows of a paper under a filter', () => {
  it('are each under “all rows” or blank, in their order, and those that wait are among the accounts', () => {
    fc.assert(
      fc.property(papers, fc.infiniteStream(fc.boolean()), (rows, luck) => {
        const accounts = rows.filter(({ kind }) => kind === 'account').map(decided);
        const waiting = accounts.filter(() => luck.next().value === true);
        const plan = { undecided: waiting, leftOut: accounts.filter((one) => !waiting.includes(one)) };
        const under = Object.fromEntries(ROW_FILTERS.map((one) => [one, rowsUnder(one, rows, plan)]));
        const all = under['all rows'] ?? [];
        expect(all.length + rows.filter(({ kind }) => kind === 'blank').length).toBe(rows.length);
        for (const filter of ROW_FILTERS) {
          const numbers = under[filter]?.map(({ row }) => row) ?? [];
          expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
          expect(numbers.every((row) => all.some((one) => one.row === row))).toBe(true);
        }
        expect(under['to decide']?.every((row) => under.accounts?.includes(row))).toBe(true);
        // Accounts and what is set aside are all there is; rows left out are in both.
        const both = new Set([...(under.accounts ?? []), ...(under['set aside'] ?? [])]);
        expect(both.size).toBe(all.length);
      }),
    );
  });
});

describe('the page of a row', () => {
  it('has the row, or the next one that is listed, or is the last', () => {
    const lists = fc.uniqueArray(fc.integer({ min: 1, max: 5000 }), { minLength: 1, maxLength: 900 });
    fc.assert(
      fc.property(lists, fc.integer({ min: 0, max: 5001 }), (numbers, wanted) => {
        const listed = [...numbers].sort((a, b) => a - b).map((row) => ({ row }));
        const page = pageWith(listed, wanted);
        const rows = listed.slice(page * PAGE_ROWS, (page + 1) * PAGE_ROWS).map(({ row }) => row);
        const next = listed.find(({ row }) => row >= wanted)?.row ?? listed.at(-1)?.row;
        expect(rows).toContain(next);
      }),
    );
    expect(pageWith([], 7)).toBe(0);
  });
});
