import { lastChange } from '@/actions/changes/views';
import { idFrom } from '@/app/parameters';
import { SUBJECTS } from '@/core/base/change';
import { guarded } from '@/app/guarded';

/** What the person changed last of the subjects asked for (`of`, several times), for the way back after a reload. */
export const GET = guarded(
  async (request: Request, { params }: { readonly params: Promise<{ books: string }> }): Promise<Response> => {
    const asked = new URL(request.url).searchParams.getAll('of');
    const last = await lastChange(
      idFrom((await params).books),
      SUBJECTS.filter((subject) => asked.includes(subject)),
    );
    return last === undefined ? new Response(null, { status: 404 }) : Response.json(last);
  },
);
