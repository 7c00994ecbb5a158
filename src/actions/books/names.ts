import { bookNames } from '@/store/books';
import { view } from '../kernel/action';

/** The names that a new company's is compared with. */
export const namesView = (): Promise<readonly { readonly id: number; readonly name: string }[]> =>
  view('practice.see', ({ tx, actor }) => bookNames(tx, actor.practice));
