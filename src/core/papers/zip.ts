import { Unzip, UnzipInflate, unzipSync, zipSync } from 'fflate';

/**
 * What a packed file really unpacks to, counted while inflating and given up beyond the limit: sizes written in a zip
 * are claims, and a bomb lies about them. `undefined` when the file is no zip.
 */
export const unpackedBytes = (
  bytes: Uint8Array,
  limit: number,
): { readonly total: number; readonly names: readonly string[] } | undefined => {
  let total = 0;
  const names: string[] = [];
  let broken = false;
  const unzip = new Unzip((file) => {
    names.push(file.name);
    file.ondata = (error, data) => {
      if (error !== null) broken = true;
      else total += data.length;
      if (total > limit) file.terminate();
    };
    if (total <= limit && names.length < 5000) file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && total <= limit; at += 65_536)
      unzip.push(bytes.subarray(at, at + 65_536), at + 65_536 >= bytes.length);
  } catch {
    broken = true;
  }
  return broken || names.length === 0 ? undefined : { total, names };
};

/** The table of the CRC-32 of zip files (ISO/IEC 8802-3, reflected). */
const TABLE = Uint32Array.from({ length: 256 }, (_, byte) => {
  let value = byte;
  for (let bit = 0; bit < 8; bit += 1) value = (value & 1) === 1 ? 0xedb88320 ^ (value >>> 1) : value >>> 1;
  return value;
});

const crc32 = (bytes: Uint8Array): number => {
  let crc = 0xffffffff;
  for (const byte of bytes) crc = (TABLE[(crc ^ byte) & 0xff] ?? 0) ^ (crc >>> 8);
  return (crc ^ 0xffffffff) >>> 0;
};

const DIRECTORY_ENTRY = 0x02014b50;

/** The checksums that the zip's directory gives for its parts, by name. */
const checksums = (bytes: Uint8Array): ReadonlyMap<string, number> => {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const found = new Map<string, number>();
  for (let at = 0; at + 46 <= bytes.length; at += 1) {
    if (bytes[at] !== 0x50 || view.getUint32(at, true) !== DIRECTORY_ENTRY) continue;
    const length = view.getUint16(at + 28, true);
    found.set(new TextDecoder().decode(bytes.subarray(at + 46, at + 46 + length)), view.getUint32(at + 16, true));
  }
  return found;
};

/**
 * The file packed anew without compression, once every part agrees with its checksum; `undefined` when one does not, or
 * the file cannot be unpacked. What reads it then never meets damaged data: a wrong digit would be read as a right one,
 * and some readers do not come back from a broken zip at all. Only for files whose size was looked at before.
 */
export const sound = (bytes: Uint8Array): Uint8Array | undefined => {
  try {
    const parts = unzipSync(bytes);
    const sums = checksums(bytes);
    for (const [name, content] of Object.entries(parts)) if (sums.get(name) !== crc32(content)) return undefined;
    return zipSync(parts, { level: 0 });
  } catch {
    return undefined;
  }
};
