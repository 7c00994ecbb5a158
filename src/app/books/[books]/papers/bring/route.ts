import { bringPaper, paperLimit } from '@/actions/papers/bring';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';
import { bounded, namedUpload } from '@/app/upload';

/** Papers are sent here, not fetched. */
export const GET = guarded(() => Promise.resolve(new Response('Papers are sent here.', { status: 405 })));

/** Takes one paper: the body is the file; `?keep=yes` keeps it as it is, whether it reads or not. */
export const POST = guarded(async (request, { params }: { readonly params: Promise<{ books: string }> }) => {
  const name = namedUpload(request);
  if (name instanceof Response) return name;
  const content = await bounded(request, paperLimit);
  if (content instanceof Response) return content;
  const { signal } = request;
  const keep = new URL(request.url).searchParams.get('keep') === 'yes';
  return Response.json(await bringPaper({ books: idFrom((await params).books), name, content, keep, signal }));
});
