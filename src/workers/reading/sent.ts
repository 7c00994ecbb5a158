import type { Match } from '@/core/openings/match';
import { type PackedRows, unpackRows } from '@/core/papers/packed-rows';
import type { PaperRow } from '@/core/papers/paper-row';
import type { Recognition } from '@/core/papers/recognise';
import type { PaperSheet } from '@/core/papers/sheet';

/** The match of each account row: rows of one old account share one. */
export interface PackedMatches {
  readonly answers: readonly Match[];
  /** For each row, the place of its answer, from 1; nought for a row that is no account. */
  readonly of: Uint32Array;
}

/** A paper's sheet with its rows packed. */
export interface SentSheet extends Omit<PaperSheet, 'recognition'> {
  readonly reading: Omit<Recognition, 'rows'>;
  readonly rows: PackedRows;
  readonly matches: PackedMatches;
}

/** A paper's sheet with the account here that each of its account rows is matched to. */
export interface MatchedSheet extends PaperSheet {
  readonly match: (row: Pick<PaperRow, 'row'>) => Match;
}

export const packMatches = (rows: readonly PaperRow[], match: (row: PaperRow) => Match): PackedMatches => {
  const answers: Match[] = [];
  const places = new Map<Match, number>();
  const of = new Uint32Array(rows.length);
  rows.forEach((row, at) => {
    if (row.kind !== 'account') return;
    const found = match(row);
    let place = places.get(found);
    if (place === undefined) {
      place = answers.push(found);
      places.set(found, place);
    }
    of[at] = place;
  });
  return { answers, of };
};

const NO_MATCH: Match = { kind: 'unmatched', why: 'not read as an account', candidates: [] };

export const matchOf =
  ({ answers, of }: PackedMatches): MatchedSheet['match'] =>
  ({ row }) =>
    answers[(of[row - 1] ?? 0) - 1] ?? NO_MATCH;

export const received = ({ reading, rows, matches, ...sheet }: SentSheet): MatchedSheet => ({
  ...sheet,
  recognition: { ...reading, rows: unpackRows(rows) },
  match: matchOf(matches),
});
