import { paperFile } from '@/actions/papers/views';
import { download } from '@/app/download';
import { idFrom } from '@/app/parameters';

/** A paper as it was brought, byte for byte. */
export async function GET(
  _request: Request,
  { params }: { readonly params: Promise<{ books: string; paper: string }> },
): Promise<Response> {
  const { books, paper } = await params;
  const found = await paperFile(idFrom(books), idFrom(paper));
  return found === undefined
    ? new Response('No such paper.', { status: 404 })
    : download(found.name, 'application/octet-stream', found.content);
}
