import { saveItems } from '@/actions/schedules/items';
import { guarded } from '@/app/guarded';
import { idFrom } from '@/app/parameters';
import { sentValue } from '@/app/upload';
import { MOST_SENT_BYTES } from '@/core/files/limits';
import { toWire } from '@/core/money/wire';

/** Items are sent here, not fetched. */
export const GET = guarded(() => Promise.resolve(new Response('Items are sent here.', { status: 405 })));

/** Saves items of an account's schedule: an address for what an action would do, as figures have one. */
export const POST = guarded(
  async (request, { params }: { readonly params: Promise<{ books: string; account: string }> }) => {
    const sent = await sentValue(request, MOST_SENT_BYTES);
    if (sent instanceof Response) return sent;
    const { books, account } = await params;
    const saved = await saveItems({
      ...(sent as Parameters<typeof saveItems>[0]),
      books: idFrom(books),
      account: idFrom(account),
    });
    return new Response(toWire(saved), { headers: { 'content-type': 'application/json' } });
  },
);
