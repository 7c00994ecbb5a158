import { type PackedRows, unpackRows } from '@/core/papers/packed-rows';
import type { Recognition } from '@/core/papers/recognise';
import type { PaperSheet } from '@/core/papers/sheet';

/** A paper's sheet with its rows packed. */
export interface SentSheet extends Omit<PaperSheet, 'recognition'> {
  readonly reading: Omit<Recognition, 'rows'>;
  readonly rows: PackedRows;
}

export const received = ({ reading, rows, ...sheet }: SentSheet): PaperSheet => ({
  ...sheet,
  recognition: { ...reading, rows: unpackRows(rows) },
});
