import { notFound } from 'next/navigation';
import { scheduleView } from '@/actions/schedules/views';
import { columnsOf } from '@/core/money/columns';
import { idFrom } from '@/app/parameters';
import { SchedulePage } from '@/ui/schedules/schedule-page';

export default async function AccountSchedulePage({
  params,
}: {
  readonly params: Promise<{ books: string; account: string }>;
}) {
  const { books, account } = await params;
  const view = await scheduleView(idFrom(books), idFrom(account));
  return view?.found == null ? (
    notFound()
  ) : (
    <SchedulePage
      key={view.found.set}
      frame={view.frame}
      {...view.found}
      items={columnsOf(view.found.items)}
      before={
        view.found.before === null
          ? null
          : { version: view.found.before.version, items: columnsOf(view.found.before.items) }
      }
    />
  );
}
