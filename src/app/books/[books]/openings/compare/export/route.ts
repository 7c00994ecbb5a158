import { exportComparison, isFileFormat } from '@/actions/statements/export';
import { download } from '@/app/download';
import { idFrom } from '@/app/parameters';

export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ books: string }> },
): Promise<Response> {
  const { searchParams: asked } = new URL(request.url);
  const format = asked.get('format');
  if (!isFileFormat(format)) return new Response('There is no such export.', { status: 404 });
  return download(
    await exportComparison(
      idFrom((await params).books),
      idFrom(asked.get('from') ?? ''),
      idFrom(asked.get('to') ?? ''),
      format,
    ),
    'There are no such versions.',
  );
}
