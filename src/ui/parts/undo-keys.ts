'use client';

import { useEffect, useRef } from 'react';

interface Undo {
  readonly undo: () => void;
  readonly redo: () => void;
  /** Whether the keys belong to a text that is being typed. */
  readonly typing: () => boolean;
}

/** Whether the focus is in a field that has an undo of its own. */
export const isTyping = (): boolean => /^(INPUT|TEXTAREA|SELECT)$/.test(document.activeElement?.tagName ?? '');

/** Ctrl+Z and Ctrl+Shift+Z for a sheet. */
export const useUndoKeys = (wanted: Undo): void => {
  const now = useRef(wanted);
  useEffect(() => {
    now.current = wanted;
  });
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || now.current.typing()) return;
      event.preventDefault();
      if (event.shiftKey) now.current.redo();
      else now.current.undo();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
};
