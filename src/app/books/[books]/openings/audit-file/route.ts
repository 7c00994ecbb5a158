import { exportAuditFile } from '@/actions/statements/export';
import { exported } from '@/app/download';
import { idFrom } from '@/app/parameters';

export async function GET(_: Request, { params }: { readonly params: Promise<{ books: string }> }): Promise<Response> {
  const books = idFrom((await params).books);
  return exported(books, await exportAuditFile(books));
}
