import { accountStory } from '@/actions/chart/account-story';
import { idFrom } from '@/app/parameters';
import { toWire } from '@/core/money/wire';
import { guarded } from '@/app/guarded';

/** What happened to an account and its figure, for the margin. */
export const GET = guarded(
  async (
    _request: Request,
    { params }: { readonly params: Promise<{ books: string; account: string }> },
  ): Promise<Response> => {
    const { books, account } = await params;
    const story = await accountStory(idFrom(books), idFrom(account));
    return story === undefined
      ? new Response(null, { status: 404 })
      : new Response(toWire(story), { headers: { 'content-type': 'application/json' } });
  },
);
