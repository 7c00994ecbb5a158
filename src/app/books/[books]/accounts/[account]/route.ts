import { accountStory } from '@/actions/account-story';
import { idFrom } from '@/app/parameters';

/** What happened to an account and its figure, for the margin. Amounts cross as decimal text of minor units. */
export async function GET(
  _request: Request,
  { params }: { readonly params: Promise<{ books: string; account: string }> },
): Promise<Response> {
  const { books, account } = await params;
  const story = await accountStory(idFrom(books), idFrom(account));
  if (story === undefined) return new Response(null, { status: 404 });
  return Response.json({
    ...story,
    changes: story.changes.map((change) => ({
      ...change,
      from: change.from?.toString() ?? null,
      to: change.to?.toString() ?? null,
    })),
  });
}
