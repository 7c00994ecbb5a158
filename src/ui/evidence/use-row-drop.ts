'use client';

import { useEffect, useRef } from 'react';

const rowUnder = (event: DragEvent): HTMLElement | null =>
  event.dataTransfer?.types.includes('Files') === true && event.target instanceof Element
    ? event.target.closest<HTMLElement>('[data-row]')
    : null;

/**
 * On a page whose rows have `data-row`: files dropped on one of them are for that row. What is dropped elsewhere on the page goes
 * where it always does.
 */
export const useRowDrop = (onFiles: (row: string, files: readonly File[]) => void): void => {
  const take = useRef(onFiles);
  useEffect(() => {
    take.current = onFiles;
  });
  useEffect(() => {
    let marked: HTMLElement | null = null;
    const mark = (row: HTMLElement | null): void => {
      if (row === marked) return;
      if (marked !== null) delete marked.dataset.over;
      if (row !== null) row.dataset.over = '';
      marked = row;
    };
    const over = (event: DragEvent): void => mark(rowUnder(event));
    const leave = (event: DragEvent): void => {
      if (event.relatedTarget === null) mark(null);
    };
    // Before the whole page looks at it, so that it finds the files taken.
    const drop = (event: DragEvent): void => {
      const row = rowUnder(event)?.dataset.row;
      mark(null);
      if (row === undefined) return;
      event.preventDefault();
      take.current(row, [...(event.dataTransfer?.files ?? [])]);
    };
    document.addEventListener('dragover', over);
    document.addEventListener('dragleave', leave);
    document.addEventListener('drop', drop);
    return () => {
      mark(null);
      document.removeEventListener('dragover', over);
      document.removeEventListener('dragleave', leave);
      document.removeEventListener('drop', drop);
    };
  }, []);
};
