import { takeAudit } from '@/actions/people/exports';
import { auditLabel } from '@/core/access/audit';
import { toCsv } from '@/core/files/write';
import { download } from '@/app/download';
import { guarded } from '@/app/guarded';

/** All of the audit as a plain file. */
export const GET = guarded(async (): Promise<Response> => {
  const taken = await takeAudit({});
  if (!taken.ok) return new Response(taken.problems[0]?.message, { status: 403 });
  const rows = taken.value.lines.map(({ at, by, kind, books, about }) => [
    at,
    by ?? '',
    auditLabel(kind),
    books,
    about,
  ]);
  return download({ name: 'audit.csv', content: toCsv([['When', 'Who', 'What', 'Books', 'About'], ...rows]) });
});
