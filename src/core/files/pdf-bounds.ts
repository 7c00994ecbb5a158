import { Unzlib } from 'fflate';
import { MOST_PDF_BYTES } from './limits';

/** The bytes of a text in a file, searched from a place on. */
const indexOf = (bytes: Uint8Array, text: string, from: number): number => {
  const first = text.charCodeAt(0);
  for (let at = bytes.indexOf(first, from); at >= 0; at = bytes.indexOf(first, at + 1)) {
    let same = 1;
    while (same < text.length && bytes[at + same] === text.charCodeAt(same)) same += 1;
    if (same === text.length) return at;
  }
  return -1;
};

/** Filters that make more of little: one after the other they could make anything of nothing. */
const GROWING = /(?:Flate|LZW|RunLength)Decode|\/(?:Fl|LZW|RL)\b/g;

/** A dictionary stands before its stream, and is no longer than this. */
const MOST_DICTIONARY = 4000;

/**
 * Why the packed parts of a PDF are not unpacked: they come to more than is held, or are packed several times over, or are
 * encrypted, so that nobody can tell. What unpacks them afterwards holds them outside the bounds of its thread.
 */
export const pastPdfBounds = (bytes: Uint8Array): 'bomb' | 'locked' | undefined => {
  if (indexOf(bytes, '/Encrypt', 0) >= 0) return 'locked';
  const latin = new TextDecoder('latin1');
  let unpacked = 0;
  for (let at = indexOf(bytes, 'stream', 0); at >= 0; at = indexOf(bytes, 'stream', at + 6)) {
    if (latin.decode(bytes.subarray(Math.max(0, at - 3), at)) === 'end') continue;
    const before = latin.decode(bytes.subarray(Math.max(0, at - MOST_DICTIONARY), at));
    const dictionary = before.slice(before.lastIndexOf('obj') + 3);
    const filters = dictionary.match(GROWING)?.length ?? 0;
    if (filters === 0) continue;
    if (filters > 1) return 'bomb';
    const end = indexOf(bytes, 'endstream', at);
    let from = at + 6;
    while (bytes[from] === 13 || bytes[from] === 10) from += 1;
    const size = sizeOf(bytes.subarray(from, end < 0 ? bytes.length : end), MOST_PDF_BYTES - unpacked);
    if (size === undefined) return 'bomb';
    unpacked += size;
    if (end > 0) at = end;
  }
  return undefined;
};

/** What a packed part unpacks to, in bytes; undefined where it is more than `most`. What is damaged counts as far as it goes. */
const sizeOf = (packed: Uint8Array, most: number): number | undefined => {
  let size = 0;
  const inflate = new Unzlib((chunk) => {
    size += chunk.length;
  });
  const step = 16 * 1024;
  try {
    for (let at = 0; at < packed.length && size <= most; at += step)
      inflate.push(packed.subarray(at, at + step), at + step >= packed.length);
  } catch {
    // Not packed so, or cut off: the reader will say so.
  }
  return size > most ? undefined : size;
};
