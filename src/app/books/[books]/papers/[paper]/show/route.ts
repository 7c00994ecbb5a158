import { pictureFile } from '@/actions/evidence/views';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

/** A picture among the papers, for showing it in a page; nothing else is given out to be shown. */
export const GET = guarded(
  async (
    _request: Request,
    { params }: { readonly params: Promise<{ books: string; paper: string }> },
  ): Promise<Response> => {
    const { books, paper } = await params;
    const found = await pictureFile(idFrom(books), idFrom(paper));
    if (found === undefined) return new Response('There is no such picture.', { status: 404 });
    return new Response(found.content as BodyInit, {
      headers: { 'Content-Type': found.type, 'Content-Disposition': 'inline', 'Cache-Control': 'no-store' },
    });
  },
);
