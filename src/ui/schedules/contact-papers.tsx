'use client';

import type { AttachedPaper } from '@/core/schedules/evidence';
import type { ContactId } from '@/core/schedules/contact';
import { EvidencePart } from '../evidence/evidence-part';
import { useEvidence } from '../evidence/use-evidence';

/** The papers attached to a contact. */
export const ContactPapers = ({
  books,
  contact,
  stored,
}: {
  readonly books: number;
  readonly contact: ContactId;
  readonly stored: readonly AttachedPaper[];
}) => (
  <EvidencePart books={books} to={{ of: 'contact', id: contact }} papers={useEvidence(books, stored)} title="Papers" />
);
