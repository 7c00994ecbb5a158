import { folded } from '../base/folded';
import { textOf } from '../base/table';
import type { Role } from './list-columns';
import type { ListTable } from './list-table';
import { CUSTOMERS, SUPPLIERS } from './list-words';

/** Whose the rows of a list are: by their own cells, by a row above them, or by a line above the whole list. */

export interface Contact {
  readonly code: string | null;
  readonly name: string | null;
}

const isCode = (text: string): boolean => /^[\p{L}\d][\p{L}\d./_-]{0,14}$/u.test(text) && /\d/.test(text);
export const hasLetters = (text: string): boolean => /\p{L}/u.test(text);

/** A contact without the word for what it is, where that stands before a code: "Supplier 20014 Name". */
const withoutLabel = (text: string): string => {
  const [label = '', code, ...name] = text.split(/\s+/);
  const words = folded(label);
  const labels = CUSTOMERS.in(words) !== undefined || SUPPLIERS.in(words) !== undefined;
  return labels && code !== undefined && isCode(code) && name.length > 0 ? [code, ...name].join(' ') : text;
};

/**
 * Whose the rows below are; undefined where a row names nobody.
 *
 * @example [contactIn(['Supplier: 400003 - Cairn & Sons']), contactIn(['10001', 'Ardmore']), contactIn(['Ardmore (10001)'])]
 * // [{ code: '400003', name: 'Cairn & Sons' }, { code: '10001', name: 'Ardmore' }, { code: '10001', name: 'Ardmore' }]
 */
export const contactIn = (texts: readonly string[]): Contact | undefined => {
  const filled = texts.filter((text) => text !== '');
  const [first = '', second] = filled;
  if (filled.length > 3 || first.length > 120) return undefined;
  const bare = withoutLabel(first.replace(/^\p{L}[\p{L}\s./°]{1,25}[:：]\s*/u, '').trim());
  if (bare === '') return second === undefined ? undefined : contactIn([second]);
  if (filled.length === 2 && second !== undefined) {
    if (isCode(bare) && hasLetters(second)) return { code: bare, name: second };
    return isCode(second) && hasLetters(bare) ? { code: second, name: bare } : undefined;
  }
  if (!hasLetters(bare)) return undefined;
  const words = bare.split(/\s+/);
  // "400003 - Name", "400003: Name", "400003 Name".
  const code = (words[0] ?? '').replace(/[-–—:·|,]$/, '');
  const name = words
    .slice(1)
    .join(' ')
    .replace(/^[-–—:·|,]\s?/, '');
  if (isCode(code) && hasLetters(name)) return { code, name };
  const behind = (words.at(-1) ?? '').replace(/^[([]|[)\]]$/g, '');
  if (/[)\]]$/.test(bare) && isCode(behind)) return { code: behind, name: words.slice(0, -1).join(' ') };
  return { code: null, name: bare };
};

/** Whether names bear the codes of those whose they are: "400003 - Cairn & Sons", "Ardmore (10001)". */
export const hasCodes = (names: readonly string[]): boolean => {
  const filled = names.filter(hasLetters);
  const coded = filled.filter((name) => (contactIn([name])?.code ?? null) !== null);
  return filled.length > 1 && coded.length * 10 >= filled.length * 9;
};

/** Whose the first items are, where that stands above the header: "Customer: 4001 Forge Works". */
export const contactAbove = (list: ListTable): Contact | undefined => {
  const texts = (list.rows[list.header - list.height] ?? []).map(textOf);
  const [label = '', behind] = texts.find((text) => text !== '')?.split(/[:：]/) ?? [];
  const words = folded(label);
  const named = CUSTOMERS.in(words) !== undefined || SUPPLIERS.in(words) !== undefined;
  return named && behind !== undefined ? contactIn(texts) : undefined;
};

/** Whose a row is by its own cells; an empty one goes on with what stood above it. */
export const contactOf = (
  { contactCode: code = '', contactName: name = '' }: Readonly<Partial<Record<Role, string>>>,
  heading: Contact | undefined,
  last: Contact,
): Contact => {
  if (code === '' && name === '') return heading ?? last;
  if (code === '') return { code: last.name === name ? last.code : null, name };
  return { code, name: name !== '' ? name : last.code === code ? last.name : (heading?.name ?? null) };
};
