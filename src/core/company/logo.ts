import { decode } from '../files/text';
import { type XmlFault, xmlReader } from '../files/xml';
import { type Result, fail, ok, problem } from '../base/result';
import { MOST_LOGO_BYTES } from './logo-limit';

/** A logo as a drawing that runs nothing and refers to nothing outside itself, and the size in which it is to be drawn. */
export interface Drawing {
  readonly svg: string;
  readonly width: number;
  readonly height: number;
}

/** A logo is drawn to fit into so many points: enough for paper, where it stands a few centimetres wide. */
const ROOM = { width: 960, height: 320 } as const;
/** Points of a picture that is still drawn: it stands in memory as a whole, with four bytes a point. */
const MOST_POINTS = 16_000_000;

/** Elements and attributes of SVG that only draw: no scripts, style sheets, links, animation, foreign content or references out. */
const ELEMENTS = new Set(
  'svg g path rect circle ellipse line polyline polygon text tspan defs linearGradient radialGradient stop clipPath mask'.split(
    ' ',
  ),
);
const ATTRIBUTES = new Set(
  (
    'viewBox width height x y x1 y1 x2 y2 cx cy r rx ry d points fill stroke stroke-width stroke-linecap stroke-linejoin ' +
    'stroke-dasharray stroke-miterlimit stroke-opacity fill-opacity fill-rule clip-rule clip-path mask opacity transform offset stop-color stop-opacity ' +
    'gradientUnits gradientTransform id preserveAspectRatio font-size font-family font-weight text-anchor dx dy style'
  ).split(' '),
);
/** A reference may only point inside the drawing itself. */
const POINTS_OUT = /url\(\s*['"]?(?!['"#\s])|javascript:|data:|https?:|file:|@import|expression|\\/i;

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string): string => text.replace(/[&<>"]/g, (mark) => ESCAPES[mark] ?? '');

interface Root {
  readonly width: number;
  readonly height: number;
}

/** What is kept of a drawing, written anew: whatever was not understood is not in it. */
const cleanSvg = (text: string): { readonly svg: string; readonly root: Root | undefined } | XmlFault => {
  const kept: string[] = [];
  /** Depth of the outermost element that is left out; nothing in it is kept. */
  let outside: number | undefined;
  let root: Root | undefined;
  const reader = xmlReader({
    open: ({ name, attributes }, depth) => {
      if (outside !== undefined) return;
      if (!ELEMENTS.has(name) || (depth === 1) !== (name === 'svg')) {
        outside = depth;
        return;
      }
      const own = Object.entries(attributes).filter(
        ([key, value]) =>
          ATTRIBUTES.has(key) && value !== undefined && value.length < 100_000 && !POINTS_OUT.test(value),
      );
      if (depth === 1) root = sizeOf(new Map(own));
      kept.push(
        `<${name}${depth === 1 ? ' xmlns="http://www.w3.org/2000/svg"' : ''}${own.map(([key, value]) => ` ${key}="${escaped(value ?? '')}"`).join('')}>`,
      );
    },
    text: (piece) => {
      if (outside === undefined) kept.push(escaped(piece));
    },
    close: (name, depth) => {
      if (outside === undefined) kept.push(`</${name}>`);
      else if (outside === depth) outside = undefined;
    },
  });
  const fault = reader.push(text.replace(/^\ufeff/, '').trimStart()) ?? reader.end();
  return fault ?? { svg: kept.join(''), root };
};

/** The size of a drawing in points, from its view box or else its width and height. */
const sizeOf = (own: ReadonlyMap<string, string | undefined>): Root | undefined => {
  const [, , wide, high] = (own.get('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [width, height] = [
    wide ?? Number.parseInt(own.get('width') ?? '', 10),
    high ?? Number.parseInt(own.get('height') ?? '', 10),
  ];
  return width > 0 && height > 0 && width < 1e6 && height < 1e6 ? { width, height } : undefined;
};

const fitting = ({ width, height }: Root, enlarge: boolean): { readonly width: number; readonly height: number } => {
  const scale = Math.min(ROOM.width / width, ROOM.height / height, enlarge ? Number.POSITIVE_INFINITY : 1);
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
};

const readSvg = (bytes: Uint8Array): Result<Drawing> => {
  const cleaned = cleanSvg(decode(bytes).text);
  if (cleaned === 'entities')
    return fail(
      problem(
        'logo.entities',
        'The SVG declares a document type or entities, which are not taken. Save it as plain SVG.',
        'logo',
      ),
    );
  if (typeof cleaned === 'string' || cleaned.root === undefined)
    return fail(
      problem('logo.svg', 'The SVG could not be read, or says no size. Save it again as plain SVG, or as PNG.', 'logo'),
    );
  return ok({ svg: cleaned.svg, ...fitting(cleaned.root, true) });
};

const startsWith = (bytes: Uint8Array, ...mark: readonly number[]): boolean =>
  mark.every((value, at) => bytes[at] === value);

const pngSize = (bytes: Uint8Array): Root | undefined => {
  if (bytes.length < 33) return undefined;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  return { width: view.getUint32(16), height: view.getUint32(20) };
};

/** The size that the first frame header of a JPEG declares (ITU-T T.81, B.2.2). */
const jpegSize = (bytes: Uint8Array): Root | undefined => {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  for (let at = 2; at + 9 < bytes.length;) {
    if (bytes[at] !== 0xff) return undefined;
    const marker = bytes[at + 1] ?? 0;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker))
      return { width: view.getUint16(at + 7), height: view.getUint16(at + 5) };
    at += 2 + view.getUint16(at + 2);
  }
  return undefined;
};

const base64 = (bytes: Uint8Array): string => {
  let binary = '';
  for (let at = 0; at < bytes.length; at += 0x8000) binary += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(binary);
};

/** A picture of points as a drawing that holds nothing else. */
const pictured = (bytes: Uint8Array, type: 'png' | 'jpeg'): Result<Drawing> => {
  const size = type === 'png' ? pngSize(bytes) : jpegSize(bytes);
  if (size === undefined || size.width === 0 || size.height === 0)
    return fail(problem('logo.broken', 'The picture is damaged: it does not say its size. Save it again.', 'logo'));
  if (size.width * size.height > MOST_POINTS)
    return fail(
      problem(
        'logo.points',
        `The picture says that it has ${String(size.width)} × ${String(size.height)} points; ${String(MOST_POINTS / 1_000_000)} million are the most. Save it smaller.`,
        'logo',
      ),
    );
  const { width, height } = fitting(size, false);
  return ok({
    svg: `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="${String(width)}" height="${String(height)}"><image width="${String(width)}" height="${String(height)}" xlink:href="data:image/${type};base64,${base64(bytes)}"/></svg>`,
    width,
    height,
  });
};

/**
 * A logo from the bytes of a file, told by what they are and not by its name: PNG, JPEG, or SVG of which only drawing
 * elements are kept. What is drawn from it is all that is ever stored. Problems: `logo.empty`, `logo.large` (512 kB),
 * `logo.kind`, `logo.svg`, `logo.entities`, `logo.points`, `logo.broken`.
 */
export const readLogo = (bytes: Uint8Array): Result<Drawing> => {
  if (bytes.length === 0) return fail(problem('logo.empty', 'The file is empty.', 'logo'));
  if (bytes.length > MOST_LOGO_BYTES)
    return fail(
      problem(
        'logo.large',
        `The logo has ${Math.ceil(bytes.length / 1024)} kB; ${MOST_LOGO_BYTES / 1024} kB is the most. Save it smaller.`,
        'logo',
      ),
    );
  if (startsWith(bytes, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return pictured(bytes, 'png');
  if (startsWith(bytes, 0xff, 0xd8, 0xff)) return pictured(bytes, 'jpeg');
  const start = decode(bytes.subarray(0, 300)).text.replace('\ufeff', '').trimStart();
  if (start.startsWith('<')) return readSvg(bytes);
  return fail(problem('logo.kind', 'The file is neither PNG, JPEG nor SVG. Save the logo as one of these.', 'logo'));
};
