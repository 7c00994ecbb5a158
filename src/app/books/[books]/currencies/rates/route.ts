import { bringRates, exportRates, ratesLimit } from '@/actions/currencies/rates-in';
import { exported } from '@/app/download';
import { idFrom } from '@/app/parameters';
import { guarded } from '@/app/guarded';
import { bounded, namedUpload } from '@/app/upload';

interface Given {
  readonly params: Promise<{ books: string }>;
}

export const GET = guarded(async (_request, { params }: Given) => {
  const books = idFrom((await params).books);
  return exported(books, await exportRates(books));
});

/** A file of rates: previewed, or with `take=1` stored. `direction` overrules what was guessed. */
export const POST = guarded(async (request, { params }: Given) => {
  const name = namedUpload(request);
  if (name instanceof Response) return name;
  const content = await bounded(request, ratesLimit);
  if (content instanceof Response) return content;
  const asked = new URL(request.url).searchParams;
  const direction = asked.get('direction');
  return Response.json(
    await bringRates({
      books: idFrom((await params).books),
      name,
      content,
      take: asked.get('take') === '1',
      ...(direction === 'base-unit' || direction === 'foreign-unit' ? { direction } : {}),
    }),
  );
});
