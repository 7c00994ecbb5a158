'use client';

import { letterhead } from '@/core/company/facts';
import { Letterhead } from '../statements/letterhead';
import { useFacts, useShownFacts } from './facts';

/** The heading of reports as it would be with what is being typed. */
export const HeadingPreview = ({ logo }: { readonly logo: string | null }) => {
  const { books } = useFacts();
  const shown = useShownFacts();
  return (
    <div className="border border-rule bg-paper px-3 py-2" data-testid="heading-preview">
      <Letterhead books={books} head={{ lines: letterhead(shown), logo, preprinted: false }} />
      {shown.preprinted && <p className="note mt-1">Left blank in print: the letterhead is pre-printed.</p>}
    </div>
  );
};
