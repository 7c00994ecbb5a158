import { Inflate } from 'fflate';
import { type Result, fail, ok, problem } from '../base/result';
import { MOST_PARTS, MOST_RATIO, MOST_UNPACKED_BYTES, UNPACKED_FREELY, megabytes } from './limits';

/** A part of a packed file, as the central directory describes it. */
export interface ZipPart {
  readonly name: string;
  readonly size: number;
  /** Unpacks the part, piece by piece, and checks it against its size and checksum. False when they do not agree. */
  readonly unpack: (piece: (bytes: Uint8Array) => void) => boolean;
}

/** The table of the CRC-32 of zip files (ISO/IEC 8802-3, reflected). */
const TABLE = Uint32Array.from({ length: 256 }, (_, byte) => {
  let value = byte;
  for (let bit = 0; bit < 8; bit += 1) value = (value & 1) === 1 ? 0xedb88320 ^ (value >>> 1) : value >>> 1;
  return value;
});

const crcOf = (bytes: Uint8Array, before: number): number => {
  let crc = before;
  for (let at = 0; at < bytes.length; at += 1) crc = (TABLE[(crc ^ (bytes[at] ?? 0)) & 0xff] ?? 0) ^ (crc >>> 8);
  return crc;
};

const END = 0x06054b50;
const ENTRY = 0x02014b50;
const LOCAL = 0x04034b50;
/** What stands in 32 bits when the true number is in a zip64 field. */
const ELSEWHERE = 0xffffffff;
const PIECE = 64 * 1024;
/** Packed bytes given to the inflater at once, so that what comes out of one piece is bounded too. */
const PACKED_PIECE = 16 * 1024;

interface Entry {
  readonly name: string;
  readonly method: number;
  readonly crc: number;
  readonly packed: number;
  readonly size: number;
  readonly local: number;
}

/** Where the record at the end of a zip stands; a comment of at most 65,535 bytes may follow it. */
const endOf = (view: DataView): number => {
  for (let at = view.byteLength - 22; at >= 0 && at >= view.byteLength - 22 - 65_535; at -= 1)
    if (view.getUint32(at, true) === END && at + 22 + view.getUint16(at + 20, true) === view.byteLength) return at;
  return -1;
};

const entriesOf = (bytes: Uint8Array, view: DataView): readonly Entry[] | undefined => {
  const end = endOf(view);
  if (end < 0) return undefined;
  const count = view.getUint16(end + 10, true);
  const entries: Entry[] = [];
  let at = view.getUint32(end + 16, true);
  const directoryEnd = at + view.getUint32(end + 12, true);
  if (directoryEnd !== end) return undefined;
  for (let left = count; left > 0; left -= 1) {
    if (at + 46 > end || view.getUint32(at, true) !== ENTRY) return undefined;
    const [nameLength, extra, comment] = [28, 30, 32].map((offset) => view.getUint16(at + offset, true));
    const flags = view.getUint16(at + 8, true);
    const method = view.getUint16(at + 10, true);
    const [crc = 0, packed = 0, size = 0] = [16, 20, 24].map((offset) => view.getUint32(at + offset, true));
    const local = view.getUint32(at + 42, true);
    const name = new TextDecoder().decode(bytes.subarray(at + 46, at + 46 + (nameLength ?? 0)));
    const encrypted = (flags & 1) === 1;
    if (encrypted || (method !== 0 && method !== 8) || [packed, size, local].includes(ELSEWHERE)) return undefined;
    entries.push({ name, method, crc, packed, size, local });
    at += 46 + (nameLength ?? 0) + (extra ?? 0) + (comment ?? 0);
  }
  return at === directoryEnd ? entries : undefined;
};

/** Where the packed bytes of a part begin, from its local header; undefined when there is none. */
const dataOf = (view: DataView, { local, packed }: Entry): number | undefined => {
  if (local + 30 > view.byteLength || view.getUint32(local, true) !== LOCAL) return undefined;
  const from = local + 30 + view.getUint16(local + 26, true) + view.getUint16(local + 28, true);
  return from + packed <= view.byteLength ? from : undefined;
};

/** Carries "that is enough" out of the inflater. */
class Enough extends Error {}

const unpackPart = (bytes: Uint8Array, from: number, entry: Entry, piece: (bytes: Uint8Array) => void): boolean => {
  let crc = 0xffffffff;
  let size = 0;
  const take = (chunk: Uint8Array): void => {
    size += chunk.length;
    // More than the directory says is a lie; nothing after it is looked at.
    if (size > entry.size) throw new Enough();
    crc = crcOf(chunk, crc);
    piece(chunk);
  };
  const packed = bytes.subarray(from, from + entry.packed);
  try {
    if (entry.method === 0) for (let at = 0; at < packed.length; at += PIECE) take(packed.subarray(at, at + PIECE));
    else {
      const inflate = new Inflate((chunk) => take(chunk));
      if (packed.length === 0) return false;
      for (let at = 0; at < packed.length; at += PACKED_PIECE)
        inflate.push(packed.subarray(at, at + PACKED_PIECE), at + PACKED_PIECE >= packed.length);
    }
  } catch (error) {
    if (error instanceof Enough || isInflateError(error)) return false;
    throw error;
  }
  return size === entry.size && (crc ^ 0xffffffff) >>> 0 === entry.crc;
};

/** The inflater's own errors carry a number. */
const isInflateError = (error: unknown): boolean =>
  error instanceof RangeError || (error instanceof Error && typeof (error as { code?: unknown }).code === 'number');

/**
 * The parts of a packed file (ISO/IEC 21320-1, APPNOTE.TXT), by its central directory alone. Refused as `broken`: a file
 * whose directory does not stand where it says, parts that are encrypted, of another method or of a size beyond 32 bits,
 * parts that overlap or lie outside the file, two of one name. Refused as `bomb`: more parts, more bytes, or a higher ratio
 * than the limits. Sizes in the directory are claims: `unpack` stops where a part turns out larger.
 */
export const zipParts = (bytes: Uint8Array, name: string): Result<ReadonlyMap<string, ZipPart>> => {
  const broken = fail(
    problem(
      'paper.broken',
      `${name} is not a readable XLSX workbook: it is damaged or is something else with that ending. Open it in a spreadsheet, save it as XLSX or CSV, and bring that.`,
    ),
  );
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const entries = entriesOf(bytes, view);
  if (entries === undefined || entries.length === 0) return broken;
  if (entries.length > MOST_PARTS)
    return fail(
      problem(
        'paper.bomb',
        `${name} holds more than ${String(MOST_PARTS)} parts, which no workbook needs. It was not opened.`,
      ),
    );
  if (entries.reduce((total, { size }) => total + size, 0) > MOST_UNPACKED_BYTES)
    return fail(
      problem(
        'paper.bomb',
        `${name} unpacks to more than ${megabytes(MOST_UNPACKED_BYTES)}, which no trial balance needs. It was not opened.`,
      ),
    );
  if (entries.some(({ size, packed }) => size > UNPACKED_FREELY + packed * MOST_RATIO))
    return fail(
      problem(
        'paper.bomb',
        `${name} has a part that unpacks to more than ${String(MOST_RATIO)} times its size, as no list of figures does. It was not opened.`,
      ),
    );
  const parts = new Map<string, ZipPart>();
  let reached = 0;
  for (const entry of [...entries].sort((a, b) => a.local - b.local)) {
    const from = dataOf(view, entry);
    if (from === undefined || entry.local < reached || parts.has(entry.name)) return broken;
    reached = from + entry.packed;
    parts.set(entry.name, {
      name: entry.name,
      size: entry.size,
      unpack: (piece) => unpackPart(bytes, from, entry, piece),
    });
  }
  return ok(parts);
};
