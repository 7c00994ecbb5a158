import { commandsView } from '@/actions/openings/views';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

/** Posting accounts by code and name, for the command list. */
export const GET = guarded(
  async (_request: Request, { params }: { readonly params: Promise<{ books: string }> }): Promise<Response> => {
    const accounts = await commandsView(idFrom((await params).books));
    return accounts === undefined ? new Response(null, { status: 404 }) : Response.json(accounts);
  },
);
