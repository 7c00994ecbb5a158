'use client';

import { useEffect, useRef, useState } from 'react';
import { printedPage } from '@/actions/papers/rows';
import type { Place } from '@/core/base/table';
import type { PrintedPage } from '@/core/files/pdf-page';
import { type Problem, plural } from '@/core/base/result';
import { Problems } from '../parts/problems';

type Shown = PrintedPage & { readonly number: number; readonly pages: number };

const NOT_THERE: readonly Problem[] = [
  { code: 'paper.unknown', message: 'This page could not be shown. Load the page again.' },
];

/** Shows the page of a paper on which a row is printed, with the row marked. */
export const OnPage = ({
  books,
  paper,
  place,
}: {
  readonly books: number;
  readonly paper: number;
  readonly place: Place;
}) => {
  const dialog = useRef<HTMLDialogElement>(null);
  const [asked, setAsked] = useState<number | null>(null);
  const [shown, setShown] = useState<Shown | undefined>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  useEffect(() => {
    if (asked === null) return;
    let gone = false;
    printedPage({ books, paper, page: asked })
      .then((found) => {
        if (gone) return;
        setShown(found?.ok === true ? found.value : undefined);
        setProblems(found === undefined ? NOT_THERE : found.ok ? [] : found.problems);
      })
      .catch(() => setProblems(NOT_THERE));
    return () => {
      gone = true;
    };
  }, [asked, books, paper]);
  return (
    <>
      <button
        type="button"
        className="btn btn-xs mb-3"
        onClick={() => {
          setAsked(place.page);
          dialog.current?.showModal();
        }}
      >
        Show on page {place.page}
      </button>
      <dialog
        ref={dialog}
        aria-label="The page as it is printed"
        className="m-auto max-h-[94dvh] w-[min(60rem,96vw)] border border-rule bg-paper p-3 text-ink backdrop:bg-ink/30"
      >
        <div className="mb-2 flex flex-wrap items-center gap-2 text-sm">
          <span role="status" className="mr-auto">
            {shown === undefined
              ? 'Fetching the page …'
              : `Page ${String(shown.number)} of ${plural(shown.pages, 'page')}`}
          </span>
          {shown !== undefined && (
            <>
              <button
                type="button"
                className="btn btn-xs"
                disabled={shown.number === 1}
                onClick={() => setAsked(shown.number - 1)}
              >
                Page before
              </button>
              <button
                type="button"
                className="btn btn-xs"
                disabled={shown.number === shown.pages}
                onClick={() => setAsked(shown.number + 1)}
              >
                Page after
              </button>
            </>
          )}
          <form method="dialog">
            <button className="btn btn-xs">Close</button>
          </form>
        </div>
        <Problems problems={problems} />
        {shown !== undefined && <Drawn page={shown} at={shown.number === place.page ? place.y : undefined} />}
      </dialog>
    </>
  );
};

/** A page with its texts where they are printed. */
const Drawn = ({ page, at }: { readonly page: Shown; readonly at: number | undefined }) => {
  const mark = useRef<SVGRectElement>(null);
  useEffect(() => mark.current?.scrollIntoView({ block: 'center' }), [page]);
  return (
    <svg
      viewBox={`0 0 ${String(page.width)} ${String(page.height)}`}
      className="w-full border border-rule bg-paper"
      role="img"
      aria-label={`Page ${String(page.number)}`}
    >
      {at !== undefined && (
        <rect
          ref={mark}
          x={0}
          y={page.height - at - 11}
          width={page.width}
          height={16}
          className="fill-paper-2 stroke-madder"
        />
      )}
      {page.pieces.map(({ text, from, to, y, size }, place) => (
        <text
          key={place}
          x={from}
          y={page.height - y}
          fontSize={size}
          textLength={to > from ? to - from : undefined}
          lengthAdjust="spacingAndGlyphs"
          className="fill-ink"
        >
          {text}
        </text>
      ))}
    </svg>
  );
};
