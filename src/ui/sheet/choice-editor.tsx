'use client';

import { useCombobox } from 'downshift';
import { useMemo, useRef, useState } from 'react';
import { pick, prepared } from '@/core/base/pick';
import { type Choice, titleOf } from '../parts/picker';
import type { Leave } from './state';

interface Props {
  readonly choices: readonly Choice[];
  /** What was typed on the closed cell, or undefined where it was opened as it stands. */
  readonly typed: string | undefined;
  readonly standing: string;
  readonly label: string;
  /** Offered last: makes something new of what was typed. */
  readonly makes: ((text: string) => string) | undefined;
  readonly onKeep: (text: string, leave: Leave, made: boolean) => void;
  readonly onCancel: () => void;
}

const MOST_SHOWN = 12;
const NEW = '\0new';

/** A cell that is one of a list: typed in part, Enter or Tab takes the one that is marked; Esc leaves the cell as it was. */
export const ChoiceEditor = ({ choices, typed, standing, label, makes, onKeep, onCancel }: Props) => {
  const settled = useRef(false);
  const known = useMemo(() => prepared(choices), [choices]);
  const [text, setText] = useState(typed ?? standing);
  const touched = text !== standing;
  const { found, more } = pick(known, touched ? text : '', MOST_SHOWN);
  const items: readonly Choice[] =
    makes !== undefined && touched && text.trim() !== '' && !found.some((one) => titleOf(one) === text.trim())
      ? [...found, { key: NEW, code: '', name: makes(text.trim()) }]
      : found;
  const keep = (value: string, leave: Leave, made = false): void => {
    if (settled.current) return;
    settled.current = true;
    onKeep(value, leave, made);
  };
  const box = useCombobox<Choice>({
    items: [...items],
    inputValue: text,
    initialIsOpen: true,
    defaultHighlightedIndex: 0,
    initialHighlightedIndex: touched ? 0 : -1,
    itemToString: (one) => (one === null ? '' : titleOf(one)),
  });
  const marked = touched ? (items[box.highlightedIndex] ?? items[0]) : items[box.highlightedIndex];
  const leaveWith = (leave: Leave): void => {
    if (text.trim() === '') keep('', leave);
    else if (marked === undefined) keep(text, leave);
    else if (marked.key === NEW) keep(text.trim(), leave, true);
    else keep(titleOf(marked), leave);
  };
  return (
    <div
      className="absolute inset-0 z-20"
      onBlur={() => keep(touched ? text : standing, 'stay')}
      onKeyDownCapture={(event) => {
        const leave = {
          Enter: event.shiftKey ? 'up' : 'right',
          Tab: event.shiftKey ? 'left' : 'right',
        }[event.key] as Leave | undefined;
        if (event.key === 'Escape') {
          settled.current = true;
          onCancel();
        } else if (leave !== undefined) leaveWith(leave);
        else return;
        // Neither the list's nor the sheet's: the cell is left.
        event.preventDefault();
        event.stopPropagation();
      }}
      // The sheet behind takes no key of an open cell.
      onKeyDown={(event) => event.stopPropagation()}
    >
      <input
        {...box.getInputProps({
          autoFocus: true,
          'aria-label': label,
          spellCheck: false,
          className: 'absolute inset-0 w-full bg-paper px-2 outline-2 -outline-offset-2 outline-madder',
          // At once: what is told later than the key may lose the next one.
          onChange: (event) => setText(event.currentTarget.value),
          onFocus: (event) => typed === undefined && event.target.select(),
        })}
      />
      <ul
        {...box.getMenuProps({ 'aria-label': label })}
        className="absolute top-full left-0 z-20 max-h-64 w-max max-w-80 min-w-full overflow-y-auto border border-rule bg-paper shadow-md"
      >
        {items.map((one, at) => (
          <li
            key={one.key}
            {...box.getItemProps({ item: one, index: at })}
            // Before the field is left for the press.
            onMouseDown={(event) => {
              event.preventDefault();
              keep(one.key === NEW ? text.trim() : titleOf(one), 'right', one.key === NEW);
            }}
            className={`flex cursor-pointer items-baseline gap-2 px-2 py-1 text-sm ${marked === one ? 'bg-madder-wash' : ''}`}
          >
            {one.code !== '' && <span className="text-ink-2">{one.code}</span>}
            <span>{one.name}</span>
          </li>
        ))}
        {more > 0 && <li className="px-2 py-1 text-xs text-ink-2">and {more} more; go on typing</li>}
      </ul>
    </div>
  );
};
