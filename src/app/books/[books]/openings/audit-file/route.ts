import { exportAuditFile } from '@/actions/statements/export';
import { download } from '@/app/download';
import { idFrom } from '@/app/parameters';

export async function GET(_: Request, { params }: { readonly params: Promise<{ books: string }> }): Promise<Response> {
  const file = await exportAuditFile(idFrom((await params).books));
  return file === undefined
    ? new Response('There are no such books.', { status: 404 })
    : download(file.name, file.type, file.content);
}
