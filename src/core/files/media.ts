import { isPdf } from './formats';

/** What a file is, as its bytes say; its name counts for nothing. A picture is one that every browser shows and that runs nothing. */
export const MEDIA = [
  'application/pdf',
  'image/png',
  'image/jpeg',
  'image/gif',
  'image/webp',
  'message/rfc822',
  'text/plain',
  'application/octet-stream',
] as const;
export type Media = (typeof MEDIA)[number];

export const isPicture = (media: Media): boolean => media.startsWith('image/');

/** Whether a file of a kind may hold a table; a picture and a message are only looked at. */
export const mayBeTable = (media: Media): boolean => !isPicture(media) && media !== 'message/rfc822';

/** Bytes at the beginning of a file that are looked at. */
const LOOKED_AT = 4096;

const begins = (bytes: Uint8Array, ...signature: readonly number[]): boolean =>
  signature.every((byte, at) => bytes[at] === byte);

const PICTURES: readonly (readonly [Media, (bytes: Uint8Array) => boolean])[] = [
  ['image/png', (bytes) => begins(bytes, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)],
  ['image/jpeg', (bytes) => begins(bytes, 0xff, 0xd8, 0xff)],
  ['image/gif', (bytes) => begins(bytes, 0x47, 0x49, 0x46, 0x38)],
  ['image/webp', (bytes) => begins(bytes, 0x52, 0x49, 0x46, 0x46) && begins(bytes.subarray(8), 0x57, 0x45, 0x42, 0x50)],
];

/** Fields that a message has (RFC 5322); two of them in its head make it one. */
const FIELDS = new Set([
  'from',
  'to',
  'subject',
  'date',
  'message-id',
  'received',
  'return-path',
  'mime-version',
  'delivered-to',
  'content-type',
]);

/** Whether a text begins with the head of a message: lines `Name: …`, or the rest of the line above, up to an empty one. */
const isMessage = (start: string): boolean => {
  const found = new Set<string>();
  for (const line of start.split(/\r?\n/)) {
    if (/^[ \t]+\S/.test(line) && found.size > 0) continue;
    const name = /^([!-9;-~]{1,70}):/.exec(line)?.[1]?.toLowerCase();
    if (name === undefined) break;
    if (FIELDS.has(name)) found.add(name);
  }
  return found.size >= 2;
};

/** Bytes that no text has: all controls but tab, line feed, form feed, carriage return, escape and the old end of a file. */
const isControl = (byte: number): boolean => byte < 0x20 && ![0x09, 0x0a, 0x0c, 0x0d, 0x1a, 0x1b].includes(byte);

/**
 * What a file is by its first bytes (PNG, JPEG, GIF, WebP, ISO 32000), by its head where it is a message, and a text where nothing
 * in it speaks against it.
 *
 * @example mediaOf(new TextEncoder().encode('From: a@b.example\nSubject: Invoice\n\nHere it is')) // 'message/rfc822'
 */
export const mediaOf = (bytes: Uint8Array): Media => {
  if (isPdf(bytes)) return 'application/pdf';
  const picture = PICTURES.find(([, is]) => is(bytes));
  if (picture !== undefined) return picture[0];
  const start = bytes.subarray(0, LOOKED_AT);
  const wide = begins(bytes, 0xff, 0xfe) || begins(bytes, 0xfe, 0xff);
  if (!wide && start.some(isControl)) return 'application/octet-stream';
  return isMessage(new TextDecoder('latin1').decode(start)) ? 'message/rfc822' : 'text/plain';
};
