'use client';

import { useEffect, useRef } from 'react';
import { isTyping } from './undo-keys';

/** Ctrl+Enter does what the page is there for, wherever on it somebody stands but in a field; without something to do it does nothing. */
export const useTakeKey = (take: (() => void) | undefined): void => {
  const now = useRef(take);
  useEffect(() => {
    now.current = take;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey) || now.current === undefined || isTyping()) return;
      event.preventDefault();
      event.stopPropagation();
      now.current();
    };
    // Before the sheet, for which Enter opens a cell.
    addEventListener('keydown', press, true);
    return () => removeEventListener('keydown', press, true);
  }, []);
};
