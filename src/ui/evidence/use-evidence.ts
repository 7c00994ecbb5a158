'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { attachPaper, detachPaper } from '@/actions/evidence/commands';
import { type Problem, plural } from '@/core/base/result';
import type { AttachedPaper, EvidenceOf } from '@/core/schedules/evidence';
import { send } from '../parts/send';
import { sendPaper } from '../papers/send-paper';

/** The papers attached to what a page shows, and what can be done about them. */
export interface AttachedPapers {
  readonly all: readonly AttachedPaper[];
  readonly to: (of: EvidenceOf['of'], id: number | string) => readonly AttachedPaper[];
  /** What is going on, or nothing. */
  readonly busy: string;
  readonly problems: readonly Problem[];
  /** Attaches a paper that is in the books. */
  readonly attach: (to: EvidenceOf, paper: number) => Promise<void>;
  /** Brings files, keeps them as they are, and attaches them. */
  readonly bring: (to: EvidenceOf, files: readonly File[]) => Promise<void>;
  readonly detach: (evidence: number) => Promise<void>;
}

/** The page's own list goes on from what it was loaded with, so that a page of many rows is not fetched for one paper. */
export const useEvidence = (books: number, stored: readonly AttachedPaper[]): AttachedPapers => {
  const [seen, setSeen] = useState(stored);
  const [all, setAll] = useState(stored);
  const [busy, setBusy] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  if (seen !== stored) {
    setSeen(stored);
    setAll(stored);
  }
  const put = async (to: EvidenceOf, paper: number): Promise<boolean> => {
    const done = await send(attachPaper({ books, paper, to }));
    setProblems(done.ok ? [] : done.problems);
    if (done.ok) setAll((was) => [...was, ...done.value.attached]);
    return done.ok;
  };
  return {
    all,
    to: (of, id) => all.filter((one) => one.to.of === of && one.to.id === id),
    busy,
    problems,
    attach: async (to, paper) => {
      await put(to, paper);
    },
    bring: async (to, files) => {
      const wrong: Problem[] = [];
      let attached = 0;
      setProblems([]);
      for (const file of files) {
        setBusy(`sending ${file.name}…`);
        const sent = await sendPaper(books, file.name, file, { keep: true }).done;
        if (sent === 'cancelled') continue;
        if (!sent.ok) wrong.push(...sent.problems);
        else if (await put(to, sent.value.paper)) attached += 1;
      }
      setBusy('');
      if (wrong.length > 0) setProblems(wrong);
      if (attached > 0) toast(`${plural(attached, 'paper')} attached`);
    },
    detach: async (evidence) => {
      const done = await send(detachPaper({ books, evidence }));
      setProblems(done.ok ? [] : done.problems);
      if (done.ok) setAll((was) => was.filter(({ id }) => id !== evidence));
    },
  };
};
