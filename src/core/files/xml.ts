import { SaxesParser } from 'saxes';
import { MOST_DEPTH } from './limits';

/** An element as it begins: its name without a prefix, and its attributes as they are written (an object without a prototype). */
export interface Element {
  readonly name: string;
  readonly attributes: Readonly<Partial<Record<string, string>>>;
}

export interface XmlHandlers {
  readonly open?: (element: Element, depth: number) => void;
  readonly text?: (text: string) => void;
  readonly close?: (name: string, depth: number) => void;
}

/** Why an XML file is not read. */
export type XmlFault = 'broken' | 'entities' | 'deep';

class Fault extends Error {
  constructor(readonly fault: XmlFault) {
    super(fault);
  }
}

const local = (name: string): string => (name.includes(':') ? name.slice(name.indexOf(':') + 1) : name);

/** An attribute whatever its prefix. */
export const anyPrefix = ({ attributes }: Element, name: string): string | undefined =>
  attributes[Object.keys(attributes).find((key) => local(key) === name) ?? ''];
const PIECE = 64 * 1024;

/**
 * A reader of XML 1.0 that is fed in pieces and tells what it meets. It must be well-formed; document types are refused, so
 * there are no entities but the five of XML and characters by number. `push` and `end` give the fault, once there is one;
 * an error that a handler throws goes through.
 */
export const xmlReader = (
  handlers: XmlHandlers,
): { readonly push: (text: string) => XmlFault | undefined; readonly end: () => XmlFault | undefined } => {
  const parser = new SaxesParser({ xmlns: false, position: false });
  let depth = 0;
  parser.on('error', () => {
    throw new Fault('broken');
  });
  parser.on('doctype', () => {
    throw new Fault('entities');
  });
  parser.on('opentag', (tag) => {
    depth += 1;
    if (depth > MOST_DEPTH) throw new Fault('deep');
    handlers.open?.({ name: local(tag.name), attributes: tag.attributes }, depth);
  });
  const { text, close } = handlers;
  if (text !== undefined) {
    parser.on('text', text);
    parser.on('cdata', text);
  }
  parser.on('closetag', (tag) => {
    close?.(local(tag.name), depth);
    depth -= 1;
  });
  let found: XmlFault | undefined;
  const guarded = (run: () => void): XmlFault | undefined => {
    if (found !== undefined) return found;
    try {
      run();
    } catch (error) {
      if (!(error instanceof Fault)) throw error;
      found = error.fault;
    }
    return found;
  };
  return {
    push: (piece) =>
      guarded(() => {
        for (let at = 0; at < piece.length; at += PIECE) parser.write(piece.slice(at, at + PIECE));
      }),
    end: () => guarded(() => parser.close()),
  };
};

/** Characters that XML 1.0 cannot hold at all (production 2, Char) are left out; the rest is escaped by whoever writes. */
export const xmlText = (text: string): string =>
  // eslint-disable-next-line no-control-regex -- control characters are what is looked for
  text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Cs}/gu, '');
