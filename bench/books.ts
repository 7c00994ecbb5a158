import { createBooks } from '@/actions/books/commands';
import { openingsView } from '@/actions/openings/views';
import type { Result } from '@/core/base/result';

export const valueOf = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(result.problems.map(({ message }) => message).join('\n'));
  return result.value;
};

export const pause = (milliseconds: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, milliseconds));

export const percentile = (list: readonly number[], share: number): number =>
  [...list].sort((one, other) => one - other)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? 0;

/** Books of one year and a cutover inside it, in one currency, with a trader's chart; or as is said otherwise. */
export const makeBooks = async (
  name: string,
  otherwise: Partial<Parameters<typeof createBooks>[0]> = {},
): Promise<number> =>
  valueOf(
    await createBooks({
      name,
      legalForm: 'other',
      country: 'IE',
      currency: 'EUR',
      style: '1,234.56',
      purpose: 'trial',
      yearStart: '2026-01-01',
      cutover: '2026-07-01',
      starter: 'trading',
      evenIfSameName: true,
      ...otherwise,
    }),
  ).id;

/** An opening sheet that people type into: its books, its version, its posting accounts. */
export interface Sheet {
  readonly books: number;
  readonly set: number;
  readonly accounts: readonly number[];
}

export const makeSheet = async (name: string): Promise<Sheet> => {
  const books = await makeBooks(name);
  const view = await openingsView(books);
  const accounts = (view?.rows ?? []).filter((row) => !row.heading).map((row) => row.id);
  return { books, set: view?.set?.id ?? 0, accounts };
};
