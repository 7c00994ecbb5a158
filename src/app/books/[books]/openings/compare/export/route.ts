import { exportComparison, isFileFormat } from '@/actions/statements/export';
import { exported } from '@/app/download';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

export const GET = guarded(
  async (request: Request, { params }: { readonly params: Promise<{ books: string }> }): Promise<Response> => {
    const { searchParams: asked } = new URL(request.url);
    const format = asked.get('format');
    if (!isFileFormat(format)) return new Response('There is no such export.', { status: 404 });
    const books = idFrom((await params).books);
    return exported(
      books,
      await exportComparison(books, idFrom(asked.get('from') ?? ''), idFrom(asked.get('to') ?? ''), format),
      'There are no such versions.',
    );
  },
);
