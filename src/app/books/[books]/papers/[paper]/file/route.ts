import { paperFile } from '@/actions/papers/views';
import { download } from '@/app/download';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

/** A paper as it was brought, byte for byte. */
export const GET = guarded(
  async (
    _request: Request,
    { params }: { readonly params: Promise<{ books: string; paper: string }> },
  ): Promise<Response> => {
    const { books, paper } = await params;
    const found = await paperFile(idFrom(books), idFrom(paper));
    return download(found && { ...found, type: 'application/octet-stream' }, 'No such paper.');
  },
);
