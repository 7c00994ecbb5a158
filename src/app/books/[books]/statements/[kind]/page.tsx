import { notFound } from 'next/navigation';
import { isStatementKind } from '@/actions/statements/export';
import { statementView, statementWish } from '@/actions/statements/views';
import { idFrom } from '@/app/parameters';
import { StatementSheet } from '@/ui/statements/statement-sheet';

export default async function Page({
  params,
  searchParams,
}: {
  readonly params: Promise<{ books: string; kind: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const [{ books, kind }, asked] = [await params, await searchParams];
  const wish = statementWish(
    Object.fromEntries(
      Object.entries(asked).map(([key, value]) => [key, typeof value === 'string' ? value : undefined]),
    ),
  );
  const view = isStatementKind(kind) ? await statementView(idFrom(books), kind, wish) : undefined;
  return view === undefined ? notFound() : <StatementSheet {...view} />;
}
