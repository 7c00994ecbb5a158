/**
 * The bytes of a body, given up as soon as there are more than `most`, whatever length it claims; undefined then. They lie in
 * shared memory, so that the thread that reads them needs no copy.
 */
export const boundedBytes = async (
  body: ReadableStream<Uint8Array> | null,
  most: number,
): Promise<Uint8Array<SharedArrayBuffer> | undefined> => {
  const parts: Uint8Array[] = [];
  let total = 0;
  for await (const part of (body ?? []) as unknown as AsyncIterable<Uint8Array>) {
    total += part.length;
    if (total > most) return undefined;
    parts.push(part);
  }
  const all = new Uint8Array(new SharedArrayBuffer(total));
  let at = 0;
  // Each part is let go once it is copied, so that a large body is not held twice.
  for (let part = parts.shift(); part !== undefined; part = parts.shift()) {
    all.set(part, at);
    at += part.length;
  }
  return all;
};
