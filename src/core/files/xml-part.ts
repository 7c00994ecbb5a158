import { problem } from '../base/result';
import { Refused } from './refused';
import { type XmlHandlers, xmlReader } from './xml';
import type { ZipPart } from './zip';

const broken = (name: string): Refused =>
  new Refused(
    problem(
      'paper.broken',
      `${name} is damaged: a part of it is cut off, or does not agree with its checksum. Open it in a spreadsheet, save it again, and bring that.`,
    ),
  );

/** Reads one part as XML, unpacked piece by piece: it never stands in memory as a whole. */
export const readPart = (file: string, part: ZipPart, handlers: XmlHandlers): void => {
  const reader = xmlReader(handlers);
  const decoder = new TextDecoder('utf-8');
  const whole = part.unpack((piece) => {
    if (reader.push(decoder.decode(piece, { stream: true })) !== undefined) throw broken(file);
  });
  if (!whole || reader.push(decoder.decode()) !== undefined || reader.end() !== undefined) throw broken(file);
};
