import { exportCalendar, readCalendarFile } from '@/actions/calendar/file';
import { download } from '@/app/download';
import { idFrom } from '@/app/parameters';
import { bounded, namedUpload } from '@/app/upload';

interface Given {
  readonly params: Promise<{ books: string }>;
}

export async function GET(_request: Request, { params }: Given): Promise<Response> {
  const file = await exportCalendar(idFrom((await params).books));
  return file === undefined
    ? new Response('There are no such books.', { status: 404 })
    : download(file.name, 'text/csv; charset=utf-8', file.content);
}

/** Reads a calendar file and gives its years back to be shown; nothing is stored. */
export async function POST(request: Request, { params }: Given): Promise<Response> {
  const name = namedUpload(request);
  if (name instanceof Response) return name;
  const content = await bounded(request, 4 * 1024 * 1024);
  if (content instanceof Response) return content;
  return Response.json(await readCalendarFile(idFrom((await params).books), name, content));
}
