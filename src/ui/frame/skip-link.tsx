'use client';

import { useEffect } from 'react';
import { goToSheet } from '../sheet/to-sheet';

/** The first stop of the keyboard: past the frame, to the sheet. F6 goes there from anywhere. */
export const SkipLink = () => {
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (event.key !== 'F6' || event.ctrlKey || event.altKey || event.metaKey) return;
      event.preventDefault();
      goToSheet();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
  return (
    <a
      href="#page"
      className="sr-only focus:not-sr-only focus:absolute focus:top-1 focus:left-1 focus:z-50 focus:bg-paper focus:px-3 focus:py-1.5"
      onClick={(event) => {
        event.preventDefault();
        goToSheet();
      }}
    >
      Go to the sheet
    </a>
  );
};
