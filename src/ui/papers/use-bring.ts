'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { type Problem, plural } from '@/core/base/result';
import { type Brought, sendPaper } from './send-paper';
import { useRefresh } from '../parts/use-refresh';

type NamedFile = readonly [name: string, content: Blob];

export interface Bringing {
  /** What is going on, or nothing. */
  readonly busy: string;
  readonly problems: readonly Problem[];
  readonly take: (files: readonly NamedFile[], keep?: boolean) => Promise<void>;
  /** Files that were refused; they can be kept as they are all the same. */
  readonly refused: readonly NamedFile[];
  /** Gives up the file under way and those behind it; what was stored before stays. */
  readonly cancel: () => void;
}

/** Brings papers: each is sent, read by the server and stored once it reads. One paper opens at once; several are listed. */
export const useBring = (books: number): Bringing => {
  const router = useRouter();
  const refresh = useRefresh();
  const [busy, setBusy] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [refused, setRefused] = useState<readonly NamedFile[]>([]);
  const running = useRef<{ readonly cancel: () => void } | undefined>(undefined);
  useEffect(() => () => running.current?.cancel(), []);

  const one = async ([name, content]: NamedFile, keep: boolean, place: string): Promise<Brought | 'cancelled'> => {
    setBusy(`sending ${name}${place}…`);
    const sent = sendPaper(books, name, content, {
      keep,
      onSent: (share) =>
        setBusy(share < 1 ? `${name}${place}: ${String(Math.round(share * 100))} % sent…` : `reading ${name}${place}…`),
    });
    running.current = sent;
    return sent.done;
  };

  const take: Bringing['take'] = async (files, keep = false) => {
    const wrong: Problem[] = [];
    const unread: NamedFile[] = [];
    const papers: number[] = [];
    let cancelled = false;
    setProblems([]);
    setRefused([]);
    for (const [at, file] of files.entries()) {
      const [name] = file;
      const place = files.length > 1 ? `, ${String(at + 1)} of ${String(files.length)}` : '';
      const brought = await one(file, keep, place);
      if (brought === 'cancelled') {
        cancelled = true;
        break;
      }
      if (brought.ok) {
        papers.push(brought.value.paper);
        if (brought.value.known) toast(`${name} was here already`);
      } else {
        wrong.push(...brought.problems);
        // One that is too large, or did not arrive, would not be kept either.
        if (!brought.problems.some(({ code }) => code === 'paper.large' || code === 'offline')) unread.push(file);
      }
    }
    running.current = undefined;
    setBusy('');
    setProblems(wrong);
    setRefused(unread);
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
      refresh();
    }
  };
  return { busy, problems, take, refused, cancel: () => running.current?.cancel() };
};
