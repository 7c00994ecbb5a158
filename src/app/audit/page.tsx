import { auditView } from '@/actions/people/views';
import { shown } from '@/app/denied';
import { idFrom } from '@/app/parameters';
import { AuditPage } from '@/ui/people/audit-page';

export default async function Audit({
  searchParams,
}: {
  readonly searchParams: Promise<{ before?: string; kind?: string }>;
}) {
  const { before, kind } = await searchParams;
  const from = before === undefined ? undefined : idFrom(before);
  return shown(async () => <AuditPage {...await auditView(from, kind)} />);
}
