'use client';

import type { AttachedPaper } from '@/core/schedules/evidence';
import { EvidenceList } from '../evidence/evidence-part';
import { useEvidence } from '../evidence/use-evidence';

/** Papers that somebody attached to a check, as what was found about it. */
export const CheckPapers = ({
  books,
  check,
  stored,
}: {
  readonly books: number;
  readonly check: string;
  readonly stored: readonly AttachedPaper[];
}) => {
  const papers = useEvidence(books, stored);
  const own = papers.to('check', check).length;
  return (
    <details className="mt-1 max-w-sm text-sm">
      <summary className="text-ink-2">{own === 0 ? 'Attach evidence' : `Evidence: ${String(own)}`}</summary>
      <div className="pt-1 pl-4">
        <EvidenceList books={books} to={{ of: 'check', id: check }} papers={papers} />
      </div>
    </details>
  );
};
