'use client';

import type { PDFDocumentProxy } from 'pdfjs-dist';
import { useEffect, useRef, useState } from 'react';

interface Open {
  readonly document: PDFDocumentProxy;
  readonly close: () => void;
}

/** Opens a PDF without running anything in it or fetching anything that it names. */
const opened = async (address: string): Promise<Open> => {
  const [{ getDocument, PDFWorker, VerbosityLevel }, response] = await Promise.all([
    import('pdfjs-dist/legacy/build/pdf.mjs'),
    fetch(address),
  ]);
  if (!response.ok) throw new Error(`answered ${String(response.status)}`);
  const thread = new Worker(new URL('../../workers/pdf.ts', import.meta.url), { type: 'module' });
  const task = getDocument({
    data: await response.arrayBuffer(),
    worker: new PDFWorker({ port: thread as unknown as null, verbosity: VerbosityLevel.ERRORS }),
    isEvalSupported: false,
    enableXfa: false,
    useSystemFonts: true,
    verbosity: VerbosityLevel.ERRORS,
  });
  const close = (): void => {
    void task.destroy().finally(() => thread.terminate());
  };
  try {
    return { document: await task.promise, close };
  } catch (error) {
    close();
    throw error;
  }
};

/** Points that a drawn page may have: what a canvas bears on every device. */
const MOST_POINTS = 16_000_000;

/** The pages of a PDF, one at a time, as wide as there is room. */
export const PdfPages = ({ address, name }: { readonly address: string; readonly name: string }) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [open, setOpen] = useState<Open | undefined>();
  const [failed, setFailed] = useState(false);
  const [number, setNumber] = useState(1);
  const [drawn, setDrawn] = useState(false);

  useEffect(() => {
    let gone = false;
    let mine: Open | undefined;
    opened(address)
      .then((found) => {
        mine = found;
        if (gone) found.close();
        else setOpen(found);
      })
      .catch(() => {
        if (!gone) setFailed(true);
      });
    return () => {
      gone = true;
      mine?.close();
    };
  }, [address]);

  useEffect(() => {
    const place = canvas.current;
    if (open === undefined || place === null) return;
    let stop = (): void => undefined;
    let gone = false;
    // What waits is asked again when it goes on.
    const isGone = (): boolean => gone;
    const draw = async (): Promise<void> => {
      const page = await open.document.getPage(number);
      if (isGone()) return;
      const whole = page.getViewport({ scale: 1 });
      const wide = (place.parentElement?.clientWidth ?? whole.width) * devicePixelRatio;
      const most = Math.sqrt(MOST_POINTS / (whole.width * whole.height));
      const viewport = page.getViewport({ scale: Math.min(wide / whole.width, most) });
      place.width = Math.floor(viewport.width);
      place.height = Math.floor(viewport.height);
      const context = place.getContext('2d');
      if (context === null) throw new Error('no canvas');
      const drawing = page.render({ canvasContext: context, viewport });
      stop = () => drawing.cancel();
      await drawing.promise;
      if (!isGone()) setDrawn(true);
    };
    draw().catch(() => {
      if (!gone) setFailed(true);
    });
    return () => {
      gone = true;
      stop();
    };
  }, [open, number]);

  const pages = open?.document.numPages ?? 0;
  if (failed)
    return (
      <p className="text-ochre">
        This PDF could not be drawn: it is damaged, or closed with a password. It is kept as it was brought.
      </p>
    );
  const turn = (to: number): void => {
    setDrawn(false);
    setNumber(to);
  };
  return (
    <div>
      <p className="mb-2 flex flex-wrap items-center gap-2 text-sm">
        <span role="status" className="mr-auto">
          {open === undefined ? 'Fetching the pages …' : `Page ${String(number)} of ${String(pages)}`}
        </span>
        {pages > 1 && (
          <>
            <button type="button" className="btn btn-xs" disabled={number === 1} onClick={() => turn(number - 1)}>
              Page before
            </button>
            <button type="button" className="btn btn-xs" disabled={number === pages} onClick={() => turn(number + 1)}>
              Page after
            </button>
          </>
        )}
      </p>
      <figure aria-label={`${name}, page ${String(number)}`} data-drawn={drawn}>
        <canvas ref={canvas} className="w-full border border-rule bg-white" />
      </figure>
    </div>
  );
};
