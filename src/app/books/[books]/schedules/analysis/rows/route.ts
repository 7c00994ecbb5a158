import { saveCodes } from '@/actions/schedules/analysis';
import { guarded } from '@/app/guarded';
import { idFrom } from '@/app/parameters';
import { sentValue } from '@/app/upload';
import { MOST_SENT_BYTES } from '@/core/files/limits';
import { toWire } from '@/core/money/wire';

/** Codes are sent here, not fetched. */
export const GET = guarded(() => Promise.resolve(new Response('Codes are sent here.', { status: 405 })));

export const POST = guarded(async (request, { params }: { readonly params: Promise<{ books: string }> }) => {
  const sent = await sentValue(request, MOST_SENT_BYTES);
  if (sent instanceof Response) return sent;
  const saved = await saveCodes({
    ...(sent as Parameters<typeof saveCodes>[0]),
    books: idFrom((await params).books),
  });
  return new Response(toWire(saved), { headers: { 'content-type': 'application/json' } });
});
