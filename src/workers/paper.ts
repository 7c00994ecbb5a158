import { readPaper } from '@/core/files/read';
import { isPdf } from '@/core/files/formats';
import { type Problem, ok } from '@/core/result';

/** Reads a file before it is sent, away from the page: what cannot be read is told at once, and nothing travels. */
export interface ToPaperWorker {
  readonly bytes: ArrayBuffer;
  readonly name: string;
}

export type FromPaperWorker =
  { readonly ok: true; readonly rows: number } | { readonly ok: false; readonly problems: readonly Problem[] };

addEventListener('message', ({ data }: MessageEvent<ToPaperWorker>) => {
  const bytes = new Uint8Array(data.bytes);
  // What works on a PDF is not sent to every page: the server says whether it reads.
  const read = isPdf(bytes) ? ok([]) : readPaper(bytes, data.name);
  const answer: FromPaperWorker = read.ok
    ? { ok: true, rows: read.value.reduce((rows, table) => rows + table.rows.length, 0) }
    : { ok: false, problems: read.problems };
  postMessage(answer);
});
