const refused = (status: number, code: string, message: string): Response =>
  Response.json({ ok: false, problems: [{ code, message }] }, { status });

/** The name of a file that came as a body. It stands in a header of our own, which no other site can send. */
export const namedUpload = (request: Request): string | Response => {
  const name = request.headers.get('x-paper-name');
  if (name === null) return refused(400, 'upload.no-name', 'The file came without a name.');
  try {
    return decodeURIComponent(name);
  } catch {
    // Not percent-encoded: the name is taken as it stands.
    return name;
  }
};

/** Reads a body up to the limit and gives up beyond it, whatever length was announced. */
export const bounded = async (request: Request, limit: number): Promise<Uint8Array<ArrayBuffer> | Response> => {
  const parts: Uint8Array[] = [];
  let total = 0;
  for await (const part of (request.body ?? []) as unknown as AsyncIterable<Uint8Array>) {
    total += part.length;
    if (total > limit)
      return refused(
        413,
        'upload.large',
        `The file is larger than ${String(limit / 1024 / 1024)} MB, which is the most that is taken.`,
      );
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
