import { describe, expect, it } from 'vitest';
import { readAnyPaper } from '../files/read-any';
import { plainDecimal } from '../money/format';
import { type ListRead, readList } from './read-list';
import { AWKWARD_LISTS } from './testing/awkward-lists';

/** What a list was read as: its day, a line for each thing, and the codes of what is asked about. */
const said = (list: ListRead): readonly string[] => {
  const line = (fields: readonly (string | number | bigint | null | undefined)[], digits: number): string =>
    fields.map((field) => (typeof field === 'bigint' ? plainDecimal(field, digits) : (field ?? ''))).join('|');
  const doubts = list.read.doubts.map(({ code }) => code);
  switch (list.kind) {
    case 'items': {
      const { asAt, digits, items } = list.read;
      return [
        asAt ?? '',
        ...items.map((i) =>
          line(
            [
              i.row,
              i.contactCode,
              i.contactName,
              i.documentKind,
              i.number,
              i.date,
              i.due,
              i.currency,
              i.original,
              i.open,
            ],
            digits,
          ),
        ),
        ...doubts,
      ];
    }
    case 'things': {
      const { asAt, digits, items } = list.read;
      return [
        asAt ?? '',
        ...items.map((item) => line(Object.values(item) as readonly (string | bigint)[], digits)),
        ...doubts,
      ];
    }
    case 'contacts':
      return [
        ...list.read.items.map(({ monthEnd, ...item }) =>
          line([...(Object.values(item) as readonly string[]), ...(monthEnd ? ['month-end'] : [])], 0),
        ),
        ...doubts,
      ];
    case 'statements':
      return [
        ...list.read.statements.flatMap(({ account, opening, closing, entries, digits }) => [
          line([account, opening?.date, opening?.amount, closing?.date, closing?.amount], digits),
          ...entries.map(({ date, amount, text }) => line([date, amount, text], digits)),
        ]),
        ...doubts,
      ];
  }
};

describe('a list', () => {
  it.each(AWKWARD_LISTS)('with $what', async ({ wanted, file, text, said: expected }) => {
    const tables = await readAnyPaper(new TextEncoder().encode(text.join('\n')), file);
    if (!tables.ok) throw new Error(tables.problems[0]?.message);
    const read = readList(tables.value, wanted, { name: file, credit: wanted === 'suppliers' });
    if (!read.ok) throw new Error(read.problems[0]?.message);
    expect(said(read.value)).toEqual(expected);
  });
});
