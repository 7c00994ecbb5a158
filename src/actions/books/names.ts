import { bookNames } from '@/store/books';
import { templatesOf } from '@/store/chart-library';
import { mayIn, view } from '../kernel/action';

/** The names that a new company's is compared with. */
export const namesView = (): Promise<readonly { readonly id: number; readonly name: string }[]> =>
  view('practice.see', async ({ tx, actor }) =>
    (await bookNames(tx, actor.practice)).filter((one) => mayIn(actor, 'books.see', one)),
  );

/** The practice's templates by name, from which new books can have their chart. */
export const templateNamesView = (): Promise<readonly { readonly id: number; readonly name: string }[]> =>
  view('practice.see', async ({ tx, actor }) =>
    (await templatesOf(tx, actor.practice)).map(({ id, name }) => ({ id, name })),
  );
