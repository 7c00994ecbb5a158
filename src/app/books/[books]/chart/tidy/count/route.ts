import { tidyCount } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

/** How much there is to tidy, told beside its name once a page of the chart stands. */
export const GET = guarded(
  async (_request: Request, { params }: { readonly params: Promise<{ books: string }> }): Promise<Response> => {
    const found = await tidyCount(idFrom((await params).books));
    return found === undefined ? new Response(null, { status: 404 }) : Response.json(found);
  },
);
