import { bringList } from '@/actions/schedules/bring';
import { idFrom } from '@/app/parameters';
import { bounded, namedUpload } from '@/app/upload';
import { MOST_BYTES } from '@/core/files/limits';
import { toWire } from '@/core/money/wire';

/** Takes one list for the schedule of an account, or for the contacts (no account): the body is the file. */
export const broughtList = async (request: Request, books: string, account: string | null): Promise<Response> => {
  const name = namedUpload(request);
  if (name instanceof Response) return name;
  const content = await bounded(request, MOST_BYTES);
  if (content instanceof Response) return content;
  const booked = new URL(request.url).searchParams.get('booked') !== 'no';
  const brought = await bringList({
    books: idFrom(books),
    account: account === null ? null : idFrom(account),
    name,
    content,
    booked,
  });
  return new Response(toWire(brought), { headers: { 'content-type': 'application/json' } });
};
