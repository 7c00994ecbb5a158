/** The bytes of a body, given up as soon as there are more than `most`, whatever length it claims; undefined then. */
export const boundedBytes = async (
  body: ReadableStream<Uint8Array> | null,
  most: number,
): Promise<Uint8Array<ArrayBuffer> | undefined> => {
  const parts: Uint8Array[] = [];
  let total = 0;
  for await (const part of (body ?? []) as unknown as AsyncIterable<Uint8Array>) {
    total += part.length;
    if (total > most) return undefined;
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
