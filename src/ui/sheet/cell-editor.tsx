'use client';

import { useEffect, useRef } from 'react';
import type { Leave } from './state';

interface EditorProps {
  readonly initial: string;
  readonly label: string;
  /** Figures are typed from the right. */
  readonly figures?: boolean;
  /** What "=" alone stands for here: it takes its place, chosen, to be kept or typed over. */
  readonly proposes?: (() => string | undefined) | undefined;
  readonly onDraft: (text: string) => void;
  readonly onKeep: (text: string, leave: Leave) => void;
  readonly onCancel: () => void;
}

/** The input inside a cell while it is edited. Enter and Tab keep and go on, Esc leaves the cell as it was, leaving keeps. */
export const CellEditor = ({ initial, label, figures = true, proposes, onDraft, onKeep, onCancel }: EditorProps) => {
  const input = useRef<HTMLInputElement>(null);
  const settled = useRef(false);
  const typed = (text: string): void => {
    onDraft(text);
    const proposed = text === '=' ? proposes?.() : undefined;
    if (proposed === undefined || input.current === null) return;
    input.current.value = proposed;
    input.current.select();
    onDraft(proposed);
  };
  useEffect(() => {
    input.current?.focus();
    // Typed into: the cursor goes behind the first character. Opened: everything is chosen, ready to be replaced.
    if (initial.length !== 1) input.current?.select();
    if (initial.length === 1) typed(initial);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when the editor opens
  }, []);
  const keep = (leave: Leave): void => {
    if (settled.current) return;
    settled.current = true;
    onKeep(input.current?.value ?? '', leave);
  };
  return (
    <input
      ref={input}
      defaultValue={initial}
      aria-label={label}
      autoComplete="off"
      spellCheck={false}
      maxLength={figures ? 210 : 500}
      className={`absolute inset-0 w-full bg-paper px-2 ${figures ? 'text-right' : ''} outline-2 -outline-offset-2 outline-madder`}
      onChange={(event) => typed(event.target.value)}
      onBlur={() => keep('stay')}
      onKeyDown={(event) => {
        const leave = {
          Enter: event.shiftKey ? 'up' : 'down',
          Tab: event.shiftKey ? 'left' : 'right',
          ArrowDown: 'down',
          ArrowUp: 'up',
        }[event.key] as Leave | undefined;
        event.stopPropagation();
        if (event.key === 'Escape') {
          settled.current = true;
          onCancel();
        } else if (leave !== undefined) keep(leave);
        else return;
        event.preventDefault();
      }}
    />
  );
};
