import XMLBuilder from 'fast-xml-builder';
import { XMLParser } from 'fast-xml-parser';
import { type Result, fail, ok, problem } from '../result';
import { MOST_LOGO_BYTES } from './logo-limit';

export interface Logo {
  readonly type: 'image/png' | 'image/jpeg' | 'image/svg+xml';
  readonly bytes: Uint8Array;
}

/** Elements and attributes of SVG that only draw: no scripts, styles, links, animation, foreign content or references out. */
const ELEMENTS = new Set(
  'svg g path rect circle ellipse line polyline polygon text tspan title desc defs linearGradient radialGradient stop clipPath mask symbol'.split(
    ' ',
  ),
);
const ATTRIBUTES = new Set(
  (
    'xmlns viewBox width height x y x1 y1 x2 y2 cx cy r rx ry d points fill stroke stroke-width stroke-linecap stroke-linejoin ' +
    'stroke-dasharray stroke-miterlimit stroke-opacity fill-opacity fill-rule clip-rule clip-path mask opacity transform offset stop-color stop-opacity ' +
    'gradientUnits gradientTransform id preserveAspectRatio font-size font-family font-weight text-anchor dx dy version'
  ).split(' '),
);
/** A reference may only point inside the drawing itself. */
const POINTS_OUT = /url\(\s*['"]?(?!#)|(?:javascript|data|https?):/i;

type Node = Readonly<Record<string, unknown>>;

const clean = (nodes: readonly Node[]): Node[] =>
  nodes.flatMap((node): Node[] => {
    if (typeof node['#text'] === 'string' || typeof node['#text'] === 'number') return [{ '#text': node['#text'] }];
    const name = Object.keys(node).find((key) => key !== ':@');
    if (name === undefined || !ELEMENTS.has(name)) return [];
    const given = (node[':@'] ?? {}) as Readonly<Record<string, unknown>>;
    const kept = Object.fromEntries(
      Object.entries(given).filter(
        ([key, value]) =>
          ATTRIBUTES.has(key) && typeof value === 'string' && (key === 'xmlns' || !POINTS_OUT.test(value)),
      ),
    );
    return [{ [name]: clean((node[name] ?? []) as readonly Node[]), ':@': kept }];
  });

const readSvg = (bytes: Uint8Array): Result<Logo> => {
  const refused = fail(
    problem('logo.svg', 'The SVG could not be read. Save it again as plain SVG, or as PNG.', 'logo'),
  );
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return refused;
  }
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return fail(
      problem(
        'logo.entities',
        'The SVG declares a document type or entities, which are not taken. Save it as plain SVG.',
        'logo',
      ),
    );
  try {
    const tree = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: '',
      processEntities: false,
      htmlEntities: false,
      ignoreDeclaration: true,
      ignorePiTags: true,
      parseTagValue: false,
      parseAttributeValue: false,
    }).parse(text) as readonly Node[];
    const root = clean(tree.filter((node) => 'svg' in node));
    if (root.length !== 1) return refused;
    const attributes = (root[0]?.[':@'] ?? {}) as Readonly<Record<string, unknown>>;
    const drawing = { ...root[0], ':@': { ...attributes, xmlns: 'http://www.w3.org/2000/svg' } };
    const written = new XMLBuilder({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: '',
      processEntities: false,
    }).build([drawing]);
    return ok({ type: 'image/svg+xml', bytes: new TextEncoder().encode(written) });
  } catch {
    return refused;
  }
};

const startsWith = (bytes: Uint8Array, ...mark: readonly number[]): boolean =>
  mark.every((value, at) => bytes[at] === value);

/**
 * A logo from the bytes of a file, told by what they are and not by its name: PNG, JPEG, or SVG of which only drawing
 * elements are kept. Problems: `logo.empty`, `logo.large` (512 kB), `logo.kind`, `logo.svg`, `logo.entities`.
 */
export const readLogo = (bytes: Uint8Array): Result<Logo> => {
  if (bytes.length === 0) return fail(problem('logo.empty', 'The file is empty.', 'logo'));
  if (bytes.length > MOST_LOGO_BYTES)
    return fail(
      problem(
        'logo.large',
        `The logo has ${Math.ceil(bytes.length / 1024)} kB; ${MOST_LOGO_BYTES / 1024} kB is the most. Save it smaller.`,
        'logo',
      ),
    );
  if (startsWith(bytes, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return ok({ type: 'image/png', bytes });
  if (startsWith(bytes, 0xff, 0xd8, 0xff)) return ok({ type: 'image/jpeg', bytes });
  const start = new TextDecoder('latin1').decode(bytes.slice(0, 300)).trimStart().replace(/^ï»¿/, '');
  if (start.startsWith('<')) return readSvg(bytes);
  return fail(problem('logo.kind', 'The file is neither PNG, JPEG nor SVG. Save the logo as one of these.', 'logo'));
};
