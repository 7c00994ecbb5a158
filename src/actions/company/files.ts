import { findLogo } from '@/store/books';
import { booksView } from '../kernel/action';
import { reading } from '../kernel/context';

/** The logo as PNG. One that was stored before logos were drawn is drawn now: its file is never handed out. */
export const logoFile = async (id: number): Promise<Uint8Array | undefined> => {
  const stored = await booksView('books.see', id, ({ tx, books }) => findLogo(tx, books.id));
  if (stored === undefined || stored.type === 'image/png') return stored?.content;
  const drawn = await reading().read('logo', { bytes: stored.content, name: 'The logo' });
  return drawn.ok ? drawn.value : undefined;
};
