import { createHmac } from 'node:crypto';

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

/** The code that a device shows at a moment, for the letters that it was told (RFC 6238, over RFC 4648 base 32). */
export const codeOf = (letters: string, at = Date.now()): string => {
  const bits = Array.from(letters.replaceAll('=', ''), (letter) =>
    LETTERS.indexOf(letter).toString(2).padStart(5, '0'),
  ).join('');
  const key = Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => Number.parseInt(byte, 2)));
  const counter = Buffer.alloc(8);
  counter.writeBigUInt64BE(BigInt(Math.floor(at / 30_000)));
  const digest = createHmac('sha1', key).update(counter).digest();
  const offset = (digest.at(-1) ?? 0) & 15;
  return String((digest.readUInt32BE(offset) & 0x7fffffff) % 1_000_000).padStart(6, '0');
};
