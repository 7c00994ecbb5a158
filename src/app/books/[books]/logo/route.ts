import { setLogo } from '@/actions/company/commands';
import { logoFile } from '@/actions/company/files';
import { bounded, namedUpload } from '@/app/upload';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';

interface Given {
  readonly params: Promise<{ books: string }>;
}

/** The logo as a picture, drawn anew from what was brought. */
export const GET = guarded(async (_request: Request, { params }: Given): Promise<Response> => {
  const logo = await logoFile(idFrom((await params).books));
  return logo === undefined
    ? new Response('There is no logo.', { status: 404 })
    : new Response(logo as BodyInit, {
        headers: { 'Content-Type': 'image/png', 'Cache-Control': 'private, max-age=31536000, immutable' },
      });
});

export const POST = guarded(async (request: Request, { params }: Given): Promise<Response> => {
  const name = namedUpload(request);
  if (name instanceof Response) return name;
  const content = await bounded(request, 4 * 1024 * 1024);
  if (content instanceof Response) return content;
  return Response.json(await setLogo({ books: idFrom((await params).books), content }));
});
