'use client';

import { useCombobox } from 'downshift';
import { useMemo, useState } from 'react';
import { type Pickable, named, pick, prepared } from '@/core/base/pick';

/** Something to pick: what is shown of it beside its code and name. */
export interface Choice extends Pickable {
  readonly key: string;
  /** Stands small beneath: its heading, its address. */
  readonly note?: string;
  /** Stands at the right: what it stands at. */
  readonly aside?: string;
}

interface Props {
  readonly choices: readonly Choice[];
  /** The key of what is chosen, or empty. */
  readonly chosen: string;
  readonly onChoose: (key: string) => void;
  /** Offered as the last of the list: makes something new of what was typed. */
  readonly onNew?: { readonly says: (text: string) => string; readonly make: (text: string) => void };
  readonly id?: string;
  readonly placeholder?: string;
  readonly className?: string;
  readonly 'aria-label'?: string;
  readonly 'aria-describedby'?: string;
  readonly 'aria-invalid'?: boolean;
  readonly 'data-decide'?: boolean;
  /** For a picker that somebody asked for. */
  readonly autoFocus?: boolean;
}

const MOST_SHOWN = 40;
const NEW = '\0new';

export const titleOf = ({ code, name }: Pickable): string => [code, name].filter((part) => part !== '').join(' ');

/**
 * One of many, found by typing any part of its code or name (W3C combo box pattern). What is typed and names nothing stays as it was
 * typed until the field is left; then what was chosen stands there again.
 */
export const Picker = ({
  choices,
  chosen,
  onChoose,
  onNew,
  id,
  placeholder = 'code or name',
  className = 'input input-sm w-full',
  ...rest
}: Props) => {
  const known = useMemo(() => prepared(choices), [choices]);
  const current = choices.find(({ key }) => key === chosen);
  const standing = current === undefined ? '' : titleOf(current);
  const [text, setText] = useState(standing);
  const [seen, setSeen] = useState(standing);
  if (seen !== standing) {
    setSeen(standing);
    setText(standing);
  }
  // What stands there is no question: all are offered until something else is typed.
  const asked = text === standing ? '' : text;
  const { found, more } = pick(known, asked, MOST_SHOWN);
  const offersNew = onNew !== undefined && asked.trim() !== '' && named(known, asked) === undefined;
  const items: readonly Choice[] = offersNew
    ? [...found, { key: NEW, code: '', name: onNew.says(asked.trim()) }]
    : found;
  const take = (one: Choice | null | undefined): void => {
    if (one === null || one === undefined) return;
    if (one.key === NEW) onNew?.make(asked.trim());
    else if (one.key !== chosen) onChoose(one.key);
  };
  const box = useCombobox<Choice>({
    items: [...items],
    inputValue: text,
    selectedItem: current ?? null,
    itemToString: (one) => (one === null || one.key === NEW ? '' : titleOf(one)),
    ...(id === undefined ? {} : { inputId: id }),
    stateReducer: (_, { type, changes }) =>
      // Leaving the field takes what is named exactly, not what happened to be marked.
      type === useCombobox.stateChangeTypes.InputBlur ? { ...changes, selectedItem: current ?? null } : changes,
    onSelectedItemChange: ({ selectedItem }) => {
      take(selectedItem);
      setText(selectedItem === null || selectedItem.key === NEW ? standing : titleOf(selectedItem));
    },
  });
  // The first of what was found is meant, unless the arrows went to another.
  const marked = items[box.highlightedIndex] ?? (asked.trim() === '' ? undefined : items[0]);
  return (
    <div className="relative min-w-0">
      <input
        {...box.getInputProps({
          // Told to it, its own reference to a label that is not there does not take the name's place.
          ...rest,
          placeholder,
          spellCheck: false,
          className,
          // At once: what is told later than the key may lose the next one.
          onChange: (event) => setText(event.currentTarget.value),
          onFocus: (event) => event.target.select(),
          onBlur: () => {
            const meant = asked.trim() === '' ? undefined : named(known, asked);
            take(meant);
            setText(meant === undefined ? standing : titleOf(meant));
          },
          onKeyDown: (event) => {
            // A press that only closes the list is not the form's.
            if (event.key === 'Escape' && box.isOpen) event.stopPropagation();
            if ((event.key !== 'Enter' && event.key !== 'Tab') || asked.trim() === '' || marked === undefined) return;
            take(marked);
            setText(marked.key === NEW ? standing : titleOf(marked));
            if (event.key !== 'Enter') return;
            event.preventDefault();
            (event.nativeEvent as Event & { preventDownshiftDefault?: boolean }).preventDownshiftDefault = true;
            box.closeMenu();
          },
        })}
      />
      <ul
        {...box.getMenuProps({ 'aria-label': rest['aria-label'] ?? 'Choices' })}
        className={`absolute z-30 mt-0.5 max-h-72 w-max max-w-[22rem] min-w-full overflow-y-auto border border-rule bg-paper shadow-md ${box.isOpen ? '' : 'hidden'}`}
      >
        {box.isOpen &&
          items.map((one, at) => (
            <li
              key={one.key}
              {...box.getItemProps({ item: one, index: at })}
              className={`flex cursor-pointer items-baseline gap-2 border-b border-hairline px-2 py-1 text-sm ${marked === one ? 'bg-madder-wash' : ''}`}
            >
              {one.code !== '' && <span className="text-ink-2">{one.code}</span>}
              <span className="min-w-0 grow">
                {one.name}
                {one.note !== undefined && <span className="block text-xs text-ink-2">{one.note}</span>}
              </span>
              {one.aside !== undefined && <span className="text-xs whitespace-nowrap text-ink-2">{one.aside}</span>}
            </li>
          ))}
        {box.isOpen && items.length === 0 && (
          <li className="px-2 py-1 text-sm text-ink-2">
            {choices.length === 0 ? 'There is nothing to choose from yet.' : 'Nothing is called so.'}
          </li>
        )}
        {box.isOpen && more > 0 && <li className="px-2 py-1 text-xs text-ink-2">and {more} more; go on typing</li>}
      </ul>
    </div>
  );
};
