'use client';

import { useEffect, useRef, useState } from 'react';
import { Problems } from '../parts/problems';
import { useBring } from './use-bring';

const hasFiles = (event: DragEvent): boolean => event.dataTransfer?.types.includes('Files') === true;

/** Papers may be dropped on any page of a set of books; pages with their own use for files keep theirs. */
export const DropAnywhere = ({ books }: { readonly books: number }) => {
  const [over, setOver] = useState(false);
  const { busy, problems, refused, take, cancel } = useBring(books);
  const bring = useRef(take);
  useEffect(() => {
    bring.current = take;
  });
  useEffect(() => {
    let depth = 0;
    const enter = (event: DragEvent): void => {
      if (!hasFiles(event)) return;
      depth += 1;
      setOver(true);
    };
    const leave = (event: DragEvent): void => {
      if (!hasFiles(event)) return;
      depth = Math.max(0, depth - 1);
      if (depth === 0) setOver(false);
    };
    // Without this the browser would open the file in place of the page.
    const hover = (event: DragEvent): void => {
      if (hasFiles(event)) event.preventDefault();
    };
    const drop = (event: DragEvent): void => {
      depth = 0;
      setOver(false);
      if (!hasFiles(event) || event.defaultPrevented) return;
      event.preventDefault();
      void bring.current([...(event.dataTransfer?.files ?? [])].map((file) => [file.name, file] as const));
    };
    addEventListener('dragenter', enter);
    addEventListener('dragleave', leave);
    addEventListener('dragover', hover);
    addEventListener('drop', drop);
    return () => {
      removeEventListener('dragenter', enter);
      removeEventListener('dragleave', leave);
      removeEventListener('dragover', hover);
      removeEventListener('drop', drop);
    };
  }, []);
  if (!over && busy === '' && problems.length === 0) return null;
  return (
    <div
      className={`pointer-events-none fixed inset-x-0 bottom-20 z-40 mx-auto w-fit max-w-[90vw] border bg-paper px-4 py-2 ${over ? 'border-madder bg-madder-wash' : 'border-ink'}`}
    >
      {over && (
        <p className="font-medium">
          Drop papers to bring them to these books
          {document.querySelector('[data-row]') !== null && ', or on a row to attach them to it as evidence'}
        </p>
      )}
      {busy !== '' && (
        <p role="status" className="pointer-events-auto flex flex-wrap items-center gap-3">
          {busy}
          <button type="button" className="btn btn-xs" onClick={cancel}>
            Cancel
          </button>
        </p>
      )}
      <div className="pointer-events-auto">
        <Problems problems={problems} />
        {refused.length > 0 && (
          <p className="flex flex-wrap items-center gap-3 text-sm">
            {refused.length === 1
              ? 'It can be kept all the same, as it is.'
              : 'They can be kept all the same, as they are.'}
            <button type="button" className="btn btn-xs" onClick={() => void take(refused, true)}>
              {refused.length === 1 ? 'Keep it as evidence' : 'Keep them as evidence'}
            </button>
          </p>
        )}
      </div>
    </div>
  );
};
