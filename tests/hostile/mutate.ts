/** A small pseudo-random stream (mulberry32): the same seed makes the same file again. */
const stream = (seed: number) => (): number => {
  let state = (seed += 0x6d2b79f5);
  state = Math.imul(state ^ (state >>> 15), 1 | state);
  state = (state + Math.imul(state ^ (state >>> 7), 61 | state)) ^ state;
  return ((state ^ (state >>> 14)) >>> 0) / 4_294_967_296;
};

/** Bytes that mean something to some reader. */
const AWKWARD = Array.from('",;\t\r\n\0<>&()-+.=\'|PK%').map((mark) => mark.charCodeAt(0));

/** One of the files, changed in some places: bytes set, parts cut out, doubled, put elsewhere, or repeated many times. */
export const mutated = (files: readonly Uint8Array[], seed: number): Uint8Array => {
  const next = stream(seed * 7919 + 1);
  const upTo = (most: number): number => Math.floor(next() * most);
  let bytes = Uint8Array.from(files[upTo(files.length)] ?? []);
  const put = (...parts: readonly Uint8Array[]): void => {
    bytes = new Uint8Array(Buffer.concat(parts));
  };
  for (let edits = 1 + upTo(12); edits > 0; edits -= 1) {
    const at = upTo(bytes.length);
    const part = bytes.slice(at, at + 1 + upTo(300));
    switch (upTo(6)) {
      case 0:
        bytes[at] = upTo(256);
        break;
      case 1:
        bytes[at] = AWKWARD[upTo(AWKWARD.length)] ?? 0;
        break;
      case 2:
        put(bytes.subarray(0, at), bytes.subarray(at + part.length));
        break;
      case 3:
        put(bytes.subarray(0, at), part, bytes.subarray(at));
        break;
      case 4:
        put(bytes.subarray(0, at), ...Array.from({ length: 1 + upTo(200) }, () => part), bytes.subarray(at));
        break;
      default:
        put(bytes.subarray(at), bytes.subarray(0, at));
    }
  }
  return bytes;
};
