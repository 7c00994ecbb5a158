import { readPaper } from '@/core/files/read';
import type { Problem } from '@/core/result';

/** Reads a file before it is sent, away from the page: what cannot be read is told at once, and nothing travels. */
export interface ToPaperWorker {
  readonly bytes: ArrayBuffer;
  readonly name: string;
}

export type FromPaperWorker =
  { readonly ok: true; readonly rows: number } | { readonly ok: false; readonly problems: readonly Problem[] };

addEventListener('message', ({ data }: MessageEvent<ToPaperWorker>) => {
  const read = readPaper(new Uint8Array(data.bytes), data.name);
  const answer: FromPaperWorker = read.ok
    ? { ok: true, rows: read.value.reduce((rows, table) => rows + table.rows.length, 0) }
    : { ok: false, problems: read.problems };
  postMessage(answer);
});
