import { bounded, namedUpload } from '@/app/upload';
import { MOST_BYTES } from '@/core/files/limits';
import { toWire } from '@/core/money/wire';

/** A list on its way in: the body is the file; `?booked=no` leaves its own amounts in base currency out. */
export const broughtList = async (
  request: Request,
  bring: (file: { readonly name: string; readonly content: Uint8Array; readonly booked: boolean }) => Promise<object>,
): Promise<Response> => {
  const name = namedUpload(request);
  if (name instanceof Response) return name;
  const content = await bounded(request, MOST_BYTES);
  if (content instanceof Response) return content;
  const booked = new URL(request.url).searchParams.get('booked') !== 'no';
  return new Response(toWire(await bring({ name, content, booked })), {
    headers: { 'content-type': 'application/json' },
  });
};
