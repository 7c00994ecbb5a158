import { pageOf } from '@/app/parameters';
import { CodeForm } from '@/ui/sign-in/sign-in-form';

export const dynamic = 'force-dynamic';

export default async function Code({
  searchParams,
}: {
  readonly searchParams: Promise<{ to?: string | readonly string[] }>;
}) {
  return <CodeForm wanted={pageOf((await searchParams).to)} />;
}
