import { bringList } from '@/actions/schedules/bring';
import { broughtList } from '@/app/bring-list';
import { guarded } from '@/app/guarded';
import { idFrom } from '@/app/parameters';

/** Lists are sent here, not fetched. */
export const GET = guarded(() => Promise.resolve(new Response('Lists are sent here.', { status: 405 })));

export const POST = guarded(
  async (request, { params }: { readonly params: Promise<{ books: string; account: string }> }) => {
    const { books, account } = await params;
    return broughtList(request, (file) => bringList({ books: idFrom(books), account: idFrom(account), ...file }));
  },
);
