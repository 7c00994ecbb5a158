import type { bringPaper } from '@/actions/papers/commands';
import { MOST_BYTES, megabytes } from '@/core/files/limits';

export type Brought = Awaited<ReturnType<typeof bringPaper>>;

const refused = (code: string, message: string): Brought => ({ ok: false, problems: [{ code, message }] });

/** A sending under way, which can be given up. */
export interface Running<T> {
  readonly done: Promise<T>;
  readonly cancel: () => void;
}

interface How {
  /** To keep it as it is, whether it reads as a table or not. */
  readonly keep?: boolean;
  /** Told how much of it has gone. */
  readonly onSent?: (share: number) => void;
}

/** Sends a file to become a paper; unlike fetch, this tells how much of it has gone. */
export const sendPaper = (
  books: number,
  name: string,
  content: Blob,
  { keep = false, onSent }: How,
): Running<Brought | 'cancelled'> => {
  if (content.size > MOST_BYTES)
    return {
      done: Promise.resolve(
        refused(
          'paper.large',
          `${name} has ${String(Math.ceil(content.size / 1024 / 1024))} MB; ${megabytes(MOST_BYTES)} is the most that is taken.`,
        ),
      ),
      cancel: () => undefined,
    };
  const request = new XMLHttpRequest();
  const offline = refused('offline', `${name} did not arrive: Bathron did not answer. Bring it again.`);
  const done = new Promise<Brought | 'cancelled'>((resolve) => {
    request.open('POST', `/books/${String(books)}/papers/bring${keep ? '?keep=yes' : ''}`);
    request.setRequestHeader('x-paper-name', encodeURIComponent(name));
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.upload.addEventListener('progress', ({ loaded, total }) => onSent?.(total === 0 ? 0 : loaded / total));
    request.addEventListener('load', () => {
      try {
        resolve(JSON.parse(request.responseText) as Brought);
      } catch {
        resolve(offline);
      }
    });
    request.addEventListener('error', () => resolve(offline));
    request.addEventListener('abort', () => resolve('cancelled'));
    request.send(content);
  });
  return { done, cancel: () => request.abort() };
};
