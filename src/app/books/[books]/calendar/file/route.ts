import { exportCalendar, readCalendarFile } from '@/actions/calendar/file';
import { exported } from '@/app/download';
import { idFrom } from '@/app/parameters';
import { bounded, namedUpload } from '@/app/upload';
import { guarded } from '@/app/guarded';

interface Given {
  readonly params: Promise<{ books: string }>;
}

export const GET = guarded(async (_request: Request, { params }: Given): Promise<Response> => {
  const books = idFrom((await params).books);
  return exported(books, await exportCalendar(books));
});

/** Reads a calendar file and gives its years back to be shown; nothing is stored. */
export const POST = guarded(async (request: Request, { params }: Given): Promise<Response> => {
  const name = namedUpload(request);
  if (name instanceof Response) return name;
  const content = await bounded(request, 4 * 1024 * 1024);
  if (content instanceof Response) return content;
  return Response.json(await readCalendarFile(idFrom((await params).books), name, content));
});
