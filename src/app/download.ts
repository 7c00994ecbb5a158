/** A file to be saved under its name (RFC 6266), never shown inside the page. */
export const download = (name: string, type: string, content: Uint8Array | string): Response =>
  new Response(content as BodyInit, {
    headers: {
      'Content-Type': type,
      'Content-Disposition': `attachment; filename="${name.replace(/[^\w.-]+/g, '-')}"; filename*=UTF-8''${encodeURIComponent(name)}`,
      'Cache-Control': 'no-store',
    },
  });
