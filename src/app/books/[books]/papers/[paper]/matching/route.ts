import { exportMatching, isFileFormat } from '@/actions/statements/export';
import { exported } from '@/app/download';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

export const GET = guarded(
  async (
    request: Request,
    { params }: { readonly params: Promise<{ books: string; paper: string }> },
  ): Promise<Response> => {
    const { books, paper } = await params;
    const format = new URL(request.url).searchParams.get('format');
    if (!isFileFormat(format)) return new Response('There is no such export.', { status: 404 });
    return exported(
      idFrom(books),
      await exportMatching(idFrom(books), idFrom(paper), format),
      'There is no such paper.',
    );
  },
);
