import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { type Font, create } from 'fontkit';
import pdfmake from 'pdfmake';

/** The application's own type for text and for titles; what it has no letters for is set in the type that comes with the printer. */
export const TEXT = 'Plex';
export const TITLE = 'Serif';
const LAST = 'Roboto';

const FILES = {
  [TEXT]: ['ibm-plex-sans', 'IBMPlexSans'],
  [TITLE]: ['source-serif-4', 'SourceSerif4'],
} as const;
type Own = keyof typeof FILES;

const bytesOf = (own: Own, style: string): Buffer => {
  const [family, called] = FILES[own];
  const modules = join(/* turbopackIgnore: true */ process.cwd(), 'node_modules');
  return readFileSync(join(modules, '@expo-google-fonts', family, style, `${called}_${style}.ttf`));
};

const letters = new Map<Own, Font>();
const has = (own: Own, letter: string): boolean => {
  let font = letters.get(own);
  if (font === undefined) {
    // A file of one font, not a collection.
    font = create(bytesOf(own, '400Regular')) as Font;
    letters.set(own, font);
  }
  return font.hasGlyphForCodePoint(letter.codePointAt(0) ?? 0);
};

/** A text in pieces, each in a type that has its letters. */
export const runs = (text: string, own: Own = TEXT): { readonly text: string; readonly font: string }[] => {
  const found: { text: string; font: string }[] = [];
  for (const letter of text) {
    const font = has(own, letter) ? own : has(TEXT, letter) ? TEXT : LAST;
    const last = found.at(-1);
    if (last?.font === font) last.text += letter;
    else found.push({ text: letter, font });
  }
  return found;
};

/** Where the printer looks for fonts, which its types leave out. */
const shelf = (pdfmake as unknown as { readonly virtualfs: { writeFileSync: (name: string, bytes: Buffer) => void } })
  .virtualfs;

let ready = false;

/** Gives the printer the fonts, once, and no way to anything else on this machine or another. */
export const printer = (): typeof pdfmake => {
  if (ready) return pdfmake;
  const keep = (name: string, bytes: Buffer): string => {
    shelf.writeFileSync(name, bytes);
    return name;
  };
  const styles = (own: Own) => {
    const style = (name: string): string => keep(`${own}-${name}`, bytesOf(own, name));
    return {
      normal: style('400Regular'),
      bold: style('600SemiBold'),
      italics: style('400Regular_Italic'),
      bolditalics: style('600SemiBold_Italic'),
    };
  };
  const vfs = createRequire(import.meta.url)('pdfmake/build/vfs_fonts.js') as Readonly<Record<string, string>>;
  const roboto = (name: string): string => keep(name, Buffer.from(vfs[name] ?? '', 'base64'));
  pdfmake.setFonts({
    [TEXT]: styles(TEXT),
    [TITLE]: styles(TITLE),
    [LAST]: {
      normal: roboto('Roboto-Regular.ttf'),
      bold: roboto('Roboto-Medium.ttf'),
      italics: roboto('Roboto-Italic.ttf'),
      bolditalics: roboto('Roboto-MediumItalic.ttf'),
    },
  });
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy(() => false);
  ready = true;
  return pdfmake;
};
