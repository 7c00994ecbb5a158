import { accountStory } from '@/actions/chart/account-story';
import { idFrom } from '@/app/parameters';
import { toWire } from '@/core/money/wire';

/** What happened to an account and its figure, for the margin. */
export async function GET(
  _request: Request,
  { params }: { readonly params: Promise<{ books: string; account: string }> },
): Promise<Response> {
  const { books, account } = await params;
  const story = await accountStory(idFrom(books), idFrom(account));
  return story === undefined
    ? new Response(null, { status: 404 })
    : new Response(toWire(story), { headers: { 'content-type': 'application/json' } });
}
