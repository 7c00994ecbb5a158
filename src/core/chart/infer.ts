import { distance } from 'fastest-levenshtein';
import { folded } from '../words/folded';
import { standsAgainst } from '../words/side-words';
import { meantBy } from '../words/concepts/recogniser';
import { CLASSIFICATIONS, type Classification, classFacts, typeOf } from './classes';
import { type CodeScheme, lineByRange } from './scheme';

/** A statement line that an account most likely stands on, and why. */
export interface Inferred {
  readonly classification: Classification;
  readonly why: string;
}

/** Words for types and statement lines as charts write them, folded; English, German, Czech, French, Spanish, Italian, Dutch, Nordic, and the words of SAF-T. */
const TYPE_WORDS: readonly (readonly [Classification, string])[] = [
  [
    'current-asset',
    'current asset|current assets|asset|assets|bank|cash|stock|inventory|debtor|debtors|receivable|accounts receivable|umlaufvermogen|aktiva|aktivum|aktiv|obezna aktiva|actif|actif circulant|activo|activo corriente|attivo|activa|a|umlaufvermoegen',
  ],
  [
    'fixed-asset',
    'fixed asset|fixed assets|non current asset|non current assets|property plant and equipment|tangible asset|intangible asset|capital asset|anlagevermogen|dlouhodoby majetek|immobilisation|immobilisations|activo no corriente|vaste activa|anleggsmiddel',
  ],
  ['other-asset', 'other asset|other assets|long term asset'],
  [
    'current-liability',
    'current liability|current liabilities|liability|liabilities|creditor|creditors|payable|accounts payable|card|credit card|verbindlichkeit|verbindlichkeiten|passiva|passivum|pasiva|zavazek|zavazky|passif|pasivo|pasivo corriente|passivo|passiva kort|gjeld|l',
  ],
  [
    'long-term-liability',
    'long term liability|long term liabilities|non current liability|non current liabilities|loan|loans|langfristige verbindlichkeit|dlouhodoby zavazek|pasivo no corriente',
  ],
  [
    'equity',
    'equity|capital|capital and reserves|owners equity|shareholders funds|funds|eigenkapital|vlastni kapital|capitaux propres|patrimonio|patrimonio netto|eigen vermogen|egenkapital|q',
  ],
  [
    'revenue',
    'revenue|income|sales|sale|turnover|operating revenue|trading income|ertrag|ertrage|erlos|erlose|vynos|vynosy|produit|produits|ingreso|ingresos|ricavo|ricavi|opbrengst|inntekt|i',
  ],
  ['other-income', 'other income|non operating income|other revenue|sonstige ertrage|ostatni vynosy|autres produits'],
  [
    'cost-of-sales',
    'cost of sales|cost of goods sold|cogs|direct cost|direct costs|direct expense|purchases|cost of revenue|wareneinsatz|materialaufwand|naklady na prodane zbozi|achats|inkoop',
  ],
  [
    'operating-expense',
    'expense|expenses|operating expense|operating expenses|overhead|overheads|administrative expense|indirect cost|aufwand|aufwendungen|naklad|naklady|charge|charges|gasto|gastos|costo|costi|kosten|kostnad|e',
  ],
  [
    'other-expense',
    'other expense|other expenses|finance cost|finance costs|non operating expense|sonstige aufwendungen|ostatni naklady|autres charges',
  ],
  [
    'tax',
    'tax|income tax|tax on profit|corporation tax|taxation|steuern vom einkommen|dan z prijmu|impot sur les benefices',
  ],
];

const WORD_LINE: ReadonlyMap<string, Classification> = new Map([
  ...TYPE_WORDS.flatMap(([line, words]) => words.split('|').map((word): [string, Classification] => [word, line])),
  ...CLASSIFICATIONS.flatMap(({ id, label, one }): [string, Classification][] =>
    [id, label, one].map((word) => [folded(word), id]),
  ),
]);

/** A statement line by a word for a type; also when one letter of it is wrong ("Expnse"). */
export const lineByWord = (word: string): Inferred | undefined => {
  const plain = folded(word);
  if (plain === '') return undefined;
  const exact = WORD_LINE.get(plain);
  if (exact !== undefined) return { classification: exact, why: `its type says “${word.trim()}”` };
  if (plain.length < 5) return undefined;
  const near = new Set(
    [...WORD_LINE]
      .filter(
        ([known]) =>
          Math.abs(known.length - plain.length) <= 1 &&
          // One letter is wrong, so the first or the last is right.
          (known[0] === plain[0] || known.at(-1) === plain.at(-1)) &&
          distance(known, plain) === 1,
      )
      .map(([, line]) => line),
  );
  const [only] = near;
  return near.size === 1 && only !== undefined
    ? { classification: only, why: `its type says “${word.trim()}”, read as ${classFacts(only).one.toLowerCase()}` }
    : undefined;
};

/** From here on what a name is about says its statement line. */
const SAYS_LINE = 0.45;

/** A statement line by what an account's name is about, in the languages of the trade. */
export const lineByName = (name: string): Inferred | undefined => {
  const whole = WORD_LINE.get(folded(name));
  if (whole !== undefined) return { classification: whole, why: `its name says “${name.trim()}”` };
  const [first] = meantBy(name);
  if (first !== undefined && first.score >= SAYS_LINE)
    return { classification: first.concept.line, why: `its name says “${first.by}”` };
  // "Tours income": what it is of nobody knows, but not what it is.
  const words = folded(name).split(' ');
  const type = [words.at(-1), words[0]].find((word) => word !== undefined && word.length > 3 && WORD_LINE.has(word));
  const line = type === undefined ? undefined : WORD_LINE.get(type);
  return line === undefined ? undefined : { classification: line, why: `its name says “${type ?? ''}”` };
};

/** Whether an account of this name stands against the others of its statement line. */
export const contraByName = (name: string, classification: Classification): boolean => {
  const type = typeOf(classification);
  return standsAgainst(name, type === 'asset' ? 'assets' : type === 'expense' ? 'costs' : 'credits');
};

/**
 * The statement line of an account out of what is known about it, best evidence first: the word for its type, its heading,
 * the range of its code, its name, and accounts with codes like its own.
 */
export const inferLine = (
  account: {
    readonly code: string;
    readonly name: string;
    readonly type: string;
    readonly heading?: Classification | undefined;
  },
  scheme: CodeScheme | null,
  neighbours: ReadonlyMap<string, Classification>,
): Inferred | undefined => {
  const word = lineByWord(account.type);
  // "Asset" says the type only; the heading or the name may know which assets.
  const broad = word !== undefined && BROAD.has(folded(account.type));
  if (word !== undefined && !broad) return word;
  const narrower = [
    account.heading === undefined
      ? undefined
      : {
          classification: account.heading,
          why: `its heading is of ${classFacts(account.heading).label.toLowerCase()}`,
        },
    byRange(account.code, scheme),
    lineByName(account.name),
  ].find(
    (one) =>
      one !== undefined &&
      (word === undefined || classFacts(one.classification).type === classFacts(word.classification).type),
  );
  if (narrower !== undefined)
    return word === undefined
      ? narrower
      : { classification: narrower.classification, why: `${word.why} and ${narrower.why}` };
  if (word !== undefined) return word;
  const near = neighbours.get(account.code.slice(0, 2));
  return near === undefined || account.code.length < 3
    ? undefined
    : {
        classification: near,
        why: `accounts with codes like ${account.code.slice(0, 2)}… are ${classFacts(near).label.toLowerCase()}`,
      };
};

const BROAD = new Set(
  'asset|assets|aktiva|aktivum|aktiv|actif|activo|attivo|activa|a|liability|liabilities|passiva|passivum|pasiva|passif|pasivo|passivo|l|income|i|expense|expenses|e|vynos|vynosy|naklad|naklady'.split(
    '|',
  ),
);

const byRange = (code: string, scheme: CodeScheme | null): Inferred | undefined => {
  const line = lineByRange(scheme, code);
  return line === undefined
    ? undefined
    : { classification: line, why: `its code ${code} lies in the range of ${classFacts(line).label.toLowerCase()}` };
};
