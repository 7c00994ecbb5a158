import { type Writing } from '@/core/base/sentence';
import { writingOf } from '@/core/money/writing';
import type { Books } from '@/store/books';

/** How these books write what stands in sentences. */
export const writingOfBooks = ({ style, facts }: Pick<Books, 'style' | 'facts'>): Writing =>
  writingOf({ style, dates: facts.dates });
