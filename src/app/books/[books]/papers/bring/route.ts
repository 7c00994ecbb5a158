import { bringPaper, paperLimit } from '@/actions/bring';
import { idFrom } from '@/app/parameters';

/** Reads a body up to the limit and gives up beyond it, whatever length was announced. */
const bounded = async (request: Request, limit: number): Promise<Uint8Array | undefined> => {
  const parts: Uint8Array[] = [];
  let total = 0;
  for await (const part of (request.body ?? []) as unknown as AsyncIterable<Uint8Array>) {
    total += part.length;
    if (total > limit) return undefined;
    parts.push(part);
  }
  const all = new Uint8Array(total);
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
};

/** Takes one paper: the body is the file, its name stands in a header of our own, which no other site can send. */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ books: string }> },
): Promise<Response> {
  const name = request.headers.get('x-paper-name');
  if (name === null)
    return Response.json(
      { ok: false, problems: [{ code: 'paper.no-name', message: 'The file came without a name.' }] },
      { status: 400 },
    );
  const content = await bounded(request, paperLimit);
  if (content === undefined)
    return Response.json(
      {
        ok: false,
        problems: [
          {
            code: 'paper.large',
            message: `The file is larger than ${String(paperLimit / 1024 / 1024)} MB, which is the most that is taken.`,
          },
        ],
      },
      { status: 413 },
    );
  let decoded = name;
  try {
    decoded = decodeURIComponent(name);
  } catch {
    // Not percent-encoded: the name is taken as it stands.
  }
  return Response.json(await bringPaper({ books: idFrom((await params).books), name: decoded, content }));
}
