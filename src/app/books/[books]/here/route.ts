import { beInBooks } from '@/actions/frame/presence';
import { guarded } from '@/app/guarded';
import { idFrom } from '@/app/parameters';
import { sentValue } from '@/app/upload';

/** A page says where it is, and nothing else. */
const MOST_BYTES = 200;

/** That somebody is here is sent, not fetched. */
export const GET = guarded(() =>
  Promise.resolve(new Response('That somebody is here is sent, not fetched.', { status: 405 })),
);

/** An address and no server action: those of one page wait for each other, and a page says every half minute that it is there. */
export const POST = guarded(async (request, { params }: { readonly params: Promise<{ books: string }> }) => {
  const sent = await sentValue(request, MOST_BYTES);
  if (sent instanceof Response) return sent;
  return Response.json(
    await beInBooks({ ...(sent as Parameters<typeof beInBooks>[0]), books: idFrom((await params).books) }),
  );
});
