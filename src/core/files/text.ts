/** What Windows-1252 has where Latin-1 has control characters, 0x80 to 0x9F (WHATWG Encoding index; Node.js 20 decodes these wrongly). */
const WINDOWS_1252 = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

const fromWindows1252 = (bytes: Uint8Array): string =>
  new TextDecoder('latin1')
    .decode(bytes)
    .replace(/[\u0080-\u009f]/g, (mark) => WINDOWS_1252[mark.charCodeAt(0) - 0x80] ?? mark);

/** What a text file may be encoded in; the last three have a character for every byte, so they never fail. */
export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252', 'windows-1250', 'iso-8859-2'] as const;

export const decodeAs = (bytes: Uint8Array, encoding: string): string =>
  encoding === 'windows-1252' ? fromWindows1252(bytes) : new TextDecoder(encoding).decode(bytes);

/** Bytes of š, ž and ť stand beside those of ě, č, ř, ů or ň only in Central European text; alone the latter are French or Nordic. */
const looksCentralEuropean = (bytes: Uint8Array): boolean => {
  const seen = new Set(bytes.subarray(0, 200_000));
  return (
    [0x8a, 0x8e, 0x9a, 0x9e, 0x9d].some((byte) => seen.has(byte)) &&
    [0xec, 0xe8, 0xf8, 0xf9, 0xf2].some((byte) => seen.has(byte))
  );
};

/** Every second byte of Western text in UTF-16 is nil; on which side tells the order. */
const utf16Without = (bytes: Uint8Array): string | undefined => {
  const start = bytes.subarray(0, 400);
  const nils = [0, 0];
  start.forEach((byte, at) => {
    if (byte === 0) nils[at % 2] = (nils[at % 2] ?? 0) + 1;
  });
  const half = start.length / 2;
  const [even = 0, odd = 0] = nils;
  return odd > half * 0.7 && even === 0 ? 'utf-16le' : even > half * 0.7 && odd === 0 ? 'utf-16be' : undefined;
};

/** The encoding that an XML file declares, where it is one that is known here. */
const declaredIn = (bytes: Uint8Array): string | undefined => {
  const start = new TextDecoder('latin1').decode(bytes.subarray(0, 200));
  const [, declared] = /^\s{0,9}<\?xml\s[^>]{0,99}encoding=["']([\w.-]{1,40})/i.exec(start) ?? [];
  return ENCODINGS.find((encoding) => encoding === declared?.toLowerCase());
};

/**
 * The text of a file: UTF-16 or UTF-8 by its mark, UTF-16 by its nil bytes, UTF-8 when every byte fits it, otherwise what
 * it declares, or Windows-1250 or 1252 by the letters that the bytes would be.
 */
export const decode = (bytes: Uint8Array): { readonly text: string; readonly encoding: string } => {
  const as = (encoding: string) => ({ text: decodeAs(bytes, encoding), encoding });
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return as('utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return as('utf-16be');
  const wide = utf16Without(bytes);
  if (wide !== undefined) return as(wide);
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
  } catch {
    return as(declaredIn(bytes) ?? (looksCentralEuropean(bytes) ? 'windows-1250' : 'windows-1252'));
  }
};
