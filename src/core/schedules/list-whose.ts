import { folded } from '../base/folded';
import { textOf } from '../base/table';
import { lexicon } from '../words/lexicon';
import { PAGE } from '../words/paper-words';
import type { Role } from './list-columns';
import type { ListTable } from './list-table';
import { isDay } from './list-days';
import { COLUMN_WORDS, CUSTOMERS, SUPPLIERS, TAX_NUMBER_WORDS } from './list-words';

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

/** "Supplier: ", in front of what it is. */
const LABELLED = /^\p{L}[\p{L}\s./°]{1,25}[:：]\s*/u;

/** How to reach somebody: "Phone: …", "tel 01632 960 114", a number, an address of mail. */
const REACHED =
  /^(?:\p{L}[\p{L}\s.]{0,20}[:：]|(?:tel|phone|ph|mob|mobile|fax|telefon|tél|tfno)\b\.?|[+(0][\d\s().-]{6,19}$|\S{1,64}@\S)/iu;

/** What else is said of somebody behind their name: "Credit limit 2,000", "Terms: 30 days". */
const ABOUT = lexicon(
  'credit limit, limit, terms, payment terms, tel, phone, telephone, fax, balance, kreditlimit, limite, zahlungsziel, telefon, encours, plafond, conditions, limite de credito, plazo, telefono, fido, termini, limite de credito, prazo, kredietlimiet, betaaltermijn, limit kredytowy, termin, kreditgrans, kredittgrense, luottoraja',
);

/** A name without what else is said of whose it is, parted from it by a dash or a bar: "Ardmore (10001) - Credit limit 2,000". */
const withoutAbout = (text: string): string => {
  const parts = text.split(/\s[-–—|·]\s/u);
  const at = parts.findIndex((part, place) => {
    if (place === 0) return false;
    const words = folded(part);
    const about = ABOUT.in(words);
    return REACHED.test(part) || (about !== undefined && words.startsWith(about) && /\d/.test(part));
  });
  return at < 0 ? text : parts.slice(0, at).join(' - ');
};

/** Without the number of the page, which may stand at the end of the line: "Page 2". */
const withoutPage = (texts: readonly string[]): readonly string[] =>
  texts.filter((text, at) => at === 0 || text.length > 20 || !/\d/.test(text) || PAGE.in(folded(text)) === undefined);

/** A name without the marks that set it off, and without the tax number in brackets behind it: "** Cairn & Sons (VAT 1234563218)". */
const undecorated = (text: string): string => {
  const plain = text.replace(/^[*#>•=~-]{1,6}\s+/u, '');
  const open = plain.lastIndexOf('(');
  const inside = open > 0 && plain.endsWith(')') ? plain.slice(open + 1, -1) : '';
  const label = inside.slice(0, Math.max(0, inside.search(/\d/)));
  return label !== '' && TAX_NUMBER_WORDS.in(folded(label)) !== undefined ? plain.slice(0, open).trim() : plain;
};

/**
 * Whose the rows below are; undefined where a row names nobody.
 *
 * @example [contactIn(['Supplier: 400003 - Cairn & Sons']), contactIn(['10001', 'Ardmore']), contactIn(['Ardmore (10001)'])]
 * // [{ code: '400003', name: 'Cairn & Sons' }, { code: '10001', name: 'Ardmore' }, { code: '10001', name: 'Ardmore' }]
 */
export const contactIn = (texts: readonly string[]): Contact | undefined => {
  // Behind a code and a name may stand how to reach them: "Tel: 01632 960123".
  const filled = withoutPage(texts)
    .map(undecorated)
    .filter((text, at) => text !== '' && (at < 2 || !LABELLED.test(text)));
  const [first = '', second] = filled;
  if (filled.length > 3 || first.length > 120) return undefined;
  // How to reach them may stand behind, apart.
  const apart = [first.indexOf('  '), first.lastIndexOf('  '), first.indexOf(') ') + 1].find(
    (at) => at > 0 && REACHED.test(first.slice(at).trim()),
  );
  if (apart !== undefined) return contactIn([first.slice(0, apart).trim(), ...filled.slice(1)]);
  const bare = withoutLabel(withoutAbout(first).replace(LABELLED, '').trim());
  if (bare === '') return second === undefined ? undefined : contactIn([second]);
  if (filled.length === 2 && second !== undefined) {
    if (isCode(bare) && hasLetters(second)) return { code: bare, name: second };
    if (isCode(second) && hasLetters(bare)) return { code: second, name: bare };
    // Beside a code and a name may stand what was agreed, beside somebody who is called one how to reach them.
    const coded = contactIn([first]);
    if (coded !== undefined && coded.code !== null) return coded;
    if (!LABELLED.test(first)) return undefined;
  }
  if (!hasLetters(bare)) return undefined;
  // A code of letters alone is parted from the name by more than one blank.
  const [letters, called] = bare.split(/\s{2,}/);
  if (called !== undefined && /^[\p{Lu}\d._-]{2,12}$/u.test(letters ?? ''))
    return { code: letters ?? null, name: called };
  const words = bare.split(/\s+/);
  // "400003 - Name", "400003: Name", "400003 Name", "(400003) Name".
  const code = (words[0] ?? '').replace(/[-–—:·|,]$/, '').replace(/^[([](.+)[)\]]$/, '$1');
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

/** Whether whose the items are stands right above each repetition of the header, and above the first one too. */
const isAboveHeaders = ({ rows, header, height }: ListTable): boolean => {
  const texts = (at: number): readonly string[] =>
    withoutPage((rows[at] ?? []).map(textOf).filter((text) => text !== ''));
  const names = texts(header).join('|');
  const alone = (at: number): boolean => texts(at).length === 1 && contactIn(texts(at))?.code != null;
  return (
    alone(header - height) &&
    rows.some((_, at) => at > header + 1 && texts(at).join('|') === names && alone(at - height))
  );
};

/** A label and what stands behind it, in its own cell or in the next one: "Customer:", "Alder Boats". */
const labelled = (list: ListTable, is: (label: string) => boolean): string | undefined => {
  for (const row of list.rows.slice(0, Math.max(0, list.header - list.height + 1)).toReversed()) {
    const texts = row.map(textOf).filter((text) => text !== '');
    const at = texts.findIndex((text) => is(folded(text.split(/[:：]/, 1)[0] ?? '')));
    const found = at < 0 ? undefined : texts[at]?.replace(/^[^:：]*[:：]?\s*/u, '') || texts[at + 1];
    if (found !== undefined && found !== '') return found;
  }
  return undefined;
};

/** Whose all of the list is, as its titles say it: a statement of one account. */
const contactTitled = (list: ListTable): Contact | undefined => {
  const named = labelled(
    list,
    (label) =>
      COLUMN_WORDS.contactName.is(label) && [CUSTOMERS, SUPPLIERS].some((list) => list.in(label) !== undefined),
  );
  if (named === undefined || !hasLetters(named) || isDay(named)) return undefined;
  const { code = null, name = null } = contactIn([named]) ?? {};
  return { code: code ?? labelled(list, (label) => COLUMN_WORDS.contactCode.is(label)) ?? null, name };
};

/** Whose the first items are, where that stands above the header: "Customer: 4001 Forge Works". */
export const contactAbove = (list: ListTable): Contact | undefined =>
  // Of a list without a header, it stands in its place.
  (list.unnamed ? labelledIn(list, list.header) : undefined) ??
  labelledIn(list, list.header - list.height) ??
  (isAboveHeaders(list) ? contactIn((list.rows[list.header - list.height] ?? []).map(textOf)) : undefined) ??
  contactTitled(list);

/** Whose items follow by a row above them, where it says what it tells as others below do: "Account: HOL01". */
const labelledIn = (list: ListTable, row: number): Contact | undefined => {
  const texts = (list.rows[row] ?? []).map(textOf);
  const [label = '', behind] = texts.find((text) => text !== '')?.split(/[:：]/) ?? [];
  const words = folded(label);
  const named = CUSTOMERS.in(words) !== undefined || SUPPLIERS.in(words) !== undefined;
  // The others stand below under the same word.
  const again = (): boolean =>
    list.rows
      .slice(list.header + 1)
      .some((row) => textOf(row.find((cell) => textOf(cell) !== '')).split(/[:：]/)[0] === label);
  return (named || again()) && behind !== undefined ? contactIn(texts) : undefined;
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
