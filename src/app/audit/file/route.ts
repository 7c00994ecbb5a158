import { wholeAudit } from '@/actions/people/views';
import { Denied } from '@/actions/kernel/action';
import { auditLabel } from '@/core/access/audit';
import { toCsv } from '@/core/files/write';
import { download } from '@/app/download';

/** All of the audit as a plain file. */
export async function GET(): Promise<Response> {
  try {
    const rows = (await wholeAudit()).map(({ at, by, kind, books, about }) => [
      at,
      by ?? '',
      auditLabel(kind),
      books,
      about,
    ]);
    return download({ name: 'audit.csv', content: toCsv([['When', 'Who', 'What', 'Books', 'About'], ...rows]) });
  } catch (error) {
    if (error instanceof Denied) return new Response(error.message, { status: 403 });
    throw error;
  }
}
