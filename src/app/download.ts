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
