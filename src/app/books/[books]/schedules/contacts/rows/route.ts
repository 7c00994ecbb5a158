import { saveContacts } from '@/actions/schedules/contacts';
import { guarded } from '@/app/guarded';
import { idFrom } from '@/app/parameters';
import { sentValue } from '@/app/upload';
import { MOST_SENT_BYTES } from '@/core/files/limits';
import { toWire } from '@/core/money/wire';

/** Contacts are sent here, not fetched. */
export const GET = guarded(() => Promise.resolve(new Response('Contacts are sent here.', { status: 405 })));

export const POST = guarded(async (request, { params }: { readonly params: Promise<{ books: string }> }) => {
  const sent = await sentValue(request, MOST_SENT_BYTES);
  if (sent instanceof Response) return sent;
  const saved = await saveContacts({
    ...(sent as Parameters<typeof saveContacts>[0]),
    books: idFrom((await params).books),
  });
  return new Response(toWire(saved), { headers: { 'content-type': 'application/json' } });
});
