import { saveFigures } from '@/actions/openings/figures';
import { guarded } from '@/app/guarded';
import { idFrom } from '@/app/parameters';
import { sentValue } from '@/app/upload';
import { MOST_SENT_BYTES } from '@/core/files/limits';
import { toWire } from '@/core/money/wire';

/** Figures are sent here, not fetched. */
export const GET = guarded(() => Promise.resolve(new Response('Figures are sent here.', { status: 405 })));

/**
 * Saves figures of the opening balances. This is an address and no server action: those of one page wait for each other, and
 * for the page that a click asked for, and a browser drops them when its tab is closed.
 */
export const POST = guarded(async (request, { params }: { readonly params: Promise<{ books: string }> }) => {
  const sent = await sentValue(request, MOST_SENT_BYTES);
  if (sent instanceof Response) return sent;
  const saved = toWire(
    await saveFigures({ ...(sent as Parameters<typeof saveFigures>[0]), books: idFrom((await params).books) }),
  );
  return new Response(saved, { headers: { 'content-type': 'application/json' } });
});
