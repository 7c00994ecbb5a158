'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { bringPaper } from '@/actions/papers/commands';
import { MOST_BYTES } from '@/core/files/limits';
import { type Problem, plural } from '@/core/base/result';

type Brought = Awaited<ReturnType<typeof bringPaper>>;

const refused = (code: string, message: string): Brought => ({ ok: false, problems: [{ code, message }] });

/** A sending under way, which can be given up. */
interface Running<T> {
  readonly done: Promise<T>;
  readonly cancel: () => void;
}

/** Sends a file; unlike fetch, this tells how much of it has gone. */
const sending = (
  books: number,
  name: string,
  content: Blob,
  onSent: (share: number) => void,
): Running<Brought | 'cancelled'> => {
  const request = new XMLHttpRequest();
  const offline = refused('offline', `${name} did not arrive: Bathron did not answer. Bring it again.`);
  const done = new Promise<Brought | 'cancelled'>((resolve) => {
    request.open('POST', `/books/${String(books)}/papers/bring`);
    request.setRequestHeader('x-paper-name', encodeURIComponent(name));
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.upload.addEventListener('progress', ({ loaded, total }) => onSent(total === 0 ? 0 : loaded / total));
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

export interface Bringing {
  /** What is going on, or nothing. */
  readonly busy: string;
  readonly problems: readonly Problem[];
  readonly take: (files: readonly (readonly [name: string, content: Blob])[]) => Promise<void>;
  /** Gives up the file under way and those behind it; what was stored before stays. */
  readonly cancel: () => void;
}

/** Brings papers: each is sent, read by the server and stored once it reads. One paper opens at once; several are listed. */
export const useBring = (books: number): Bringing => {
  const router = useRouter();
  const [busy, setBusy] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const running = useRef<{ readonly cancel: () => void } | undefined>(undefined);
  useEffect(() => () => running.current?.cancel(), []);

  const one = async (name: string, content: Blob, place: string): Promise<Brought | 'cancelled'> => {
    if (content.size > MOST_BYTES)
      return refused(
        'paper.large',
        `${name} has ${String(Math.ceil(content.size / 1024 / 1024))} MB; ${String(MOST_BYTES / 1024 / 1024)} MB is the most that is taken.`,
      );
    setBusy(`sending ${name}${place}…`);
    const sent = sending(books, name, content, (share) =>
      setBusy(share < 1 ? `${name}${place}: ${String(Math.round(share * 100))} % sent…` : `reading ${name}${place}…`),
    );
    running.current = sent;
    return sent.done;
  };

  const take: Bringing['take'] = async (files) => {
    const wrong: Problem[] = [];
    const papers: number[] = [];
    let cancelled = false;
    setProblems([]);
    for (const [at, [name, content]] of files.entries()) {
      const brought = await one(
        name,
        content,
        files.length > 1 ? `, ${String(at + 1)} of ${String(files.length)}` : '',
      );
      if (brought === 'cancelled') {
        cancelled = true;
        break;
      }
      if (brought.ok) {
        papers.push(brought.value.paper);
        if (brought.value.known) toast(`${name} was here already`);
      } else wrong.push(...brought.problems);
    }
    running.current = undefined;
    setBusy('');
    setProblems(wrong);
    if (cancelled)
      toast(
        papers.length === 0
          ? 'Cancelled; nothing was stored'
          : `Cancelled; ${plural(papers.length, 'paper')} before it stayed`,
      );
    const [only] = papers;
    if (files.length === 1 && wrong.length === 0 && only !== undefined)
      router.push(`/books/${String(books)}/papers/${String(only)}`);
    else if (papers.length > 0) {
      if (!cancelled) toast(`${plural(papers.length, 'paper')} brought`);
      router.push(`/books/${String(books)}/papers`);
      router.refresh();
    }
  };
  return { busy, problems, take, cancel: () => running.current?.cancel() };
};
