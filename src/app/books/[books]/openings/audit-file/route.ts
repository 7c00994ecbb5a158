import { exportAuditFile } from '@/actions/statements/export';
import { download } from '@/app/download';
import { idFrom } from '@/app/parameters';

export async function GET(_: Request, { params }: { readonly params: Promise<{ books: string }> }): Promise<Response> {
  return download(await exportAuditFile(idFrom((await params).books)));
}
