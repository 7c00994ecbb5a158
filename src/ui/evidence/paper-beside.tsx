'use client';

import { X } from 'lucide-react';
import { type ReactNode, createContext, use, useEffect, useMemo, useRef, useState } from 'react';
import { Go } from '../parts/go';
import { ShownPaperPart } from './shown-paper';

/** Shows a paper beside the page, or null for none. */
type Show = (paper: number | null) => void;

const ShowContext = createContext<Show>(() => undefined);
const PaperContext = createContext<number | null>(null);

/** How a page shows a paper beside itself. */
export const useShowPaper = (): Show => use(ShowContext);

/** What is around a page that can show papers. */
export const PaperProvider = ({ children }: { readonly children: ReactNode }) => {
  const [paper, setPaper] = useState<number | null>(null);
  const opener = useRef<HTMLElement | null>(null);
  const show = useMemo(
    (): Show => (next) => {
      if (next !== null && document.activeElement instanceof HTMLElement) opener.current = document.activeElement;
      setPaper(next);
    },
    [],
  );
  useEffect(() => {
    // The margin is there again only now.
    if (paper !== null) return;
    opener.current?.focus();
    opener.current = null;
  }, [paper]);
  return (
    <ShowContext value={show}>
      <PaperContext value={paper}>{children}</PaperContext>
    </ShowContext>
  );
};

/** The paper that is shown, in the place of the margin; on a phone over the page. */
export const PaperBeside = ({ books }: { readonly books: number }) => {
  const paper = use(PaperContext);
  const show = useShowPaper();
  const panel = useRef<HTMLElement>(null);
  useEffect(() => {
    if (paper !== null) panel.current?.focus();
  }, [paper]);
  if (paper === null) return null;
  return (
    <aside
      ref={panel}
      data-beside
      tabIndex={-1}
      aria-label="Paper"
      className="no-print flex min-w-0 flex-col overflow-y-auto border-rule bg-paper-2 max-lg:fixed max-lg:inset-0 max-lg:z-50 lg:border-l"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        show(null);
      }}
    >
      <div className="sticky top-0 z-10 flex items-center justify-end gap-2 bg-paper-2 px-3 py-2">
        <Go className="link mr-auto text-sm" href={`/books/${String(books)}/papers/${String(paper)}?as=document`}>
          The paper’s page
        </Go>
        <button type="button" className="btn btn-xs" onClick={() => show(null)}>
          <X aria-hidden className="size-3.5" />
          Close
        </button>
      </div>
      <div className="px-3 pb-3">
        <ShownPaperPart key={paper} books={books} paper={paper} />
      </div>
    </aside>
  );
};
