import { noteExport } from '@/actions/people/exports';

interface Saved {
  readonly name: string;
  /** Its media type; a table of text where none is given. */
  readonly type?: string;
  readonly content: Uint8Array | string;
}

/** A file to be saved under its name (RFC 6266), never shown inside the page; or that there is none of it. */
export const download = (file: Saved | undefined, none = 'There are no such books.'): Response => {
  if (file === undefined) return new Response(none, { status: 404 });
  const { name, type = 'text/csv; charset=utf-8', content } = file;
  return new Response(content as BodyInit, {
    headers: {
      'Content-Type': type,
      'Content-Disposition': `attachment; filename="${name.replace(/[^\w.-]+/g, '-')}"; filename*=UTF-8''${encodeURIComponent(name)}`,
      'Cache-Control': 'no-store',
    },
  });
};

/** A file of books that is taken elsewhere: where that cannot be written down, it is not given. */
export const exported = async (books: number, file: Saved | undefined, none?: string): Promise<Response> => {
  if (file !== undefined) {
    const noted = await noteExport({ books, name: file.name.slice(0, 300) });
    if (!noted.ok) return new Response(noted.problems[0]?.message, { status: 503 });
  }
  return download(file, none);
};
