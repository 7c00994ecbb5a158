'use client';

import type { Classification } from '@/core/ledger/classes';
import type { TypeWord } from '@/core/chart/type-words';
import { plural } from '@/core/base/result';
import { ClassOptions } from './account-fields';

/** The words that a file has for types, each once with its rows, and the statement line it stands for. */
export const TypeWords = ({
  words,
  onChoose,
}: {
  readonly words: readonly TypeWord[];
  /** Without a line, the word is read by itself again. */
  readonly onChoose: (word: TypeWord, line: Classification | undefined) => void;
}) => {
  const unread = words.filter(({ line }) => line === null);
  return (
    <details open={unread.length > 0} className="mt-2 border-b border-rule pb-2 text-sm">
      <summary className="min-h-6 cursor-pointer">
        {plural(words.length, 'word')} for types
        {unread.length > 0 && (
          <>
            {', '}
            <strong className="font-medium text-ochre">
              {unread.length} not understood (
              {plural(
                unread.reduce((all, { rows }) => all + rows, 0),
                'row',
              )}
              )
            </strong>
          </>
        )}
      </summary>
      <ul aria-label="Words for types" className="mt-1.5 grid max-h-44 gap-x-6 gap-y-1 overflow-auto md:grid-cols-2">
        {words.map((word) => (
          <li key={word.key} className="flex items-center gap-2">
            <span className="min-w-0 flex-1 truncate">
              “{word.word}” <span className="text-ink-2">{plural(word.rows, 'row')}</span>
            </span>
            <select
              aria-label={`Statement line of “${word.word}”`}
              value={word.line ?? ''}
              onChange={({ target }) =>
                onChoose(word, target.value === '' ? undefined : (target.value as Classification))
              }
              className={`select select-xs w-44 ${word.line === null ? 'text-ochre' : word.byHand ? 'font-semibold' : ''}`}
            >
              <option value="">{word.byHand ? 'as it reads by itself' : 'not understood'}</option>
              <ClassOptions />
            </select>
          </li>
        ))}
      </ul>
    </details>
  );
};
