import { notFound } from 'next/navigation';
import { isStatementKind } from '@/actions/statements/export';
import { statementView } from '@/actions/statements/views';
import { idFrom } from '@/app/parameters';
import { sheetForm } from '@/core/statements/reports';
import { StatementSheet } from '@/ui/statements/statement-sheet';

export default async function Page({
  params,
  searchParams,
}: {
  readonly params: Promise<{ books: string; kind: string }>;
  readonly searchParams: Promise<{ form?: string | string[] }>;
}) {
  const [{ books, kind }, { form }] = [await params, await searchParams];
  const asked = typeof form === 'string' ? form : undefined;
  const view = isStatementKind(kind) ? await statementView(idFrom(books), kind, sheetForm(asked)) : undefined;
  return view === undefined ? notFound() : <StatementSheet {...view} />;
}
