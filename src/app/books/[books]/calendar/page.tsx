import { notFound } from 'next/navigation';
import { calendarView } from '@/actions/calendar/views';
import { idFrom } from '@/app/parameters';
import { CalendarSheet } from '@/ui/calendar/calendar-sheet';

export default async function CalendarPage({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await calendarView(idFrom((await params).books));
  return view === undefined ? notFound() : <CalendarSheet {...view} />;
}
