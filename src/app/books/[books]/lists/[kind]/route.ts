import { exportList, isFileFormat, isListKind } from '@/actions/statements/export';
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
    if (!isListKind(kind) || !isFileFormat(format)) return new Response('There is no such list.', { status: 404 });
    const [account, list] = [asked.get('account'), asked.get('list')];
    return exported(
      idFrom(books),
      await exportList(idFrom(books), kind, format, {
        changes: Object.fromEntries(asked),
        account: account === null ? undefined : idFrom(account),
        list: list === null ? undefined : Number(list),
      }),
    );
  },
);
