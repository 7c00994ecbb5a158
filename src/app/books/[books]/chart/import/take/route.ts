import { accountsLimit, rememberedMapping, takeAccounts } from '@/actions/chart/import';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';
import { bounded, namedUpload } from '@/app/upload';

const WISH_LIMIT = 8 * 1024 * 1024;

/** How files with this header were last read in this practice, or null. */
export const GET = guarded(async (request) => {
  const signature = new URL(request.url).searchParams.get('signature') ?? '';
  return Response.json((await rememberedMapping(signature)) ?? null);
});

interface Sent {
  readonly file: Blob;
  readonly wish: Parameters<typeof takeAccounts>[0]['wish'];
}

/** The parts of the form; undefined when it did not arrive whole. What is in them is checked by the action. */
const parts = async (body: Uint8Array<SharedArrayBuffer>, type: string): Promise<Sent | undefined> => {
  try {
    const form = await new Response(Uint8Array.from(body), { headers: { 'content-type': type } }).formData();
    const [file, wish] = [form.get('file'), form.get('wish')];
    return file instanceof Blob && typeof wish === 'string'
      ? { file, wish: JSON.parse(wish) as Sent['wish'] }
      : undefined;
  } catch {
    return undefined;
  }
};

/** Takes a list of accounts over: a form with the file as it is and, as `wish`, what was decided in the preview. */
export const POST = guarded(async (request, { params }: { readonly params: Promise<{ books: string }> }) => {
  const name = namedUpload(request);
  if (name instanceof Response) return name;
  const body = await bounded(request, accountsLimit + WISH_LIMIT);
  if (body instanceof Response) return body;
  const sent = await parts(body, request.headers.get('content-type') ?? '');
  if (sent === undefined)
    return Response.json(
      { ok: false, problems: [{ code: 'import.form', message: 'The file did not arrive whole. Try again.' }] },
      { status: 400 },
    );
  const content = new Uint8Array(await sent.file.arrayBuffer());
  return Response.json(await takeAccounts({ books: idFrom((await params).books), name, content, wish: sent.wish }));
});
