import { exportAuditFile } from '@/actions/statements/export';
import { exported } from '@/app/download';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

export const GET = guarded(
  async (_: Request, { params }: { readonly params: Promise<{ books: string }> }): Promise<Response> => {
    const books = idFrom((await params).books);
    return exported(books, await exportAuditFile(books));
  },
);
