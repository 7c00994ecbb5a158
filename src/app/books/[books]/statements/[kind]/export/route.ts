import { exportStatement, isFileFormat, isStatementKind } from '@/actions/statements/export';
import { statementWish } from '@/actions/statements/views';
import { exported } from '@/app/download';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

export const GET = guarded(
  async (
    request: Request,
    { params }: { readonly params: Promise<{ books: string; kind: string }> },
  ): Promise<Response> => {
    const { books, kind } = await params;
    const { searchParams: asked } = new URL(request.url);
    const format = asked.get('format');
    if (!isStatementKind(kind) || !isFileFormat(format))
      return new Response('There is no such export.', { status: 404 });
    return exported(
      idFrom(books),
      await exportStatement(idFrom(books), kind, statementWish(Object.fromEntries(asked)), format),
    );
  },
);
