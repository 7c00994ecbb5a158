import { notFound } from 'next/navigation';
import { isStatementKind } from '@/actions/statements/export';
import { statementView } from '@/actions/openings/views';
import { idFrom } from '@/app/parameters';
import { StatementSheet } from '@/ui/statements/statement-sheet';

export default async function Page({ params }: { readonly params: Promise<{ books: string; kind: string }> }) {
  const { books, kind } = await params;
  const view = isStatementKind(kind) ? await statementView(idFrom(books), kind) : undefined;
  return view === undefined ? notFound() : <StatementSheet {...view} />;
}
