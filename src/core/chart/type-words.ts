import { distance } from 'fastest-levenshtein';
import { meantBy } from '../words/concepts/recogniser';
import { folded } from '../base/folded';
import { CLASSIFICATIONS, type Classification, classFacts } from '../ledger/classes';

/** A statement line that an account most likely stands on, and why. */
export interface Inferred {
  readonly classification: Classification;
  readonly why: string;
}

/** Words for types and statement lines as charts write them, folded, in the languages of the papers, and the words of SAF-T. */
const TYPE_WORDS: readonly (readonly [Classification, string])[] = [
  [
    'current-asset',
    'current asset|current assets|asset|assets|bank|cash|stock|inventory|debtor|debtors|receivable|accounts receivable|umlaufvermogen|aktiva|aktivum|aktiv|obezna aktiva|actif|actif circulant|activo|activo corriente|attivo|activa|a|umlaufvermoegen|aktywa|aktywa obrotowe|obrotowe|eszkoz|eszkozok|forgoeszkoz|active circulante|activ|activo circulante|ativo|ativo circulante|attivo circolante|attivita|vlottende activa|omsattningstillgangar|tillgang|tillgangar|omlobsaktiver|omlopsmidler|eiendel|eiendeler|aktiver|vastaavaa|vaihtuvat vastaavat|ενεργητικο|varlik|varliklar|donen varliklar|актив|активы|оборотные активы|активи|imovina|sredstva|turtas|aktivs|aktivi|varad|vara|eign|eignir|נכסים|נכס|اصول|الاصول|資産|流動資産|资产|流动资产|자산|유동자산',
  ],
  [
    'fixed-asset',
    'fixed asset|fixed assets|non current asset|non current assets|property plant and equipment|tangible asset|intangible asset|capital asset|anlagevermogen|dlouhodoby majetek|immobilisation|immobilisations|activo no corriente|vaste activa|anleggsmiddel|aktywa trwale|srodki trwale|befektetett eszkozok|active imobilizate|imobilizari|ativo nao circulante|immobilizzazioni|anlaggningstillgangar|anlaegsaktiver|pysyvat vastaavat|duran varliklar|внеоборотные активы|固定資産|固定资产|비유동자산',
  ],
  ['other-asset', 'other asset|other assets|long term asset'],
  [
    'current-liability',
    'current liability|current liabilities|liability|liabilities|creditor|creditors|payable|accounts payable|card|credit card|verbindlichkeit|verbindlichkeiten|passiva|passivum|pasiva|zavazek|zavazky|passif|pasivo|pasivo corriente|passivo|passiva kort|gjeld|l|pasywa|zobowiazania|forras|kotelezettseg|kotelezettsegek|datorii|pasiv|passivo circulante|passivita|schulden|kortlopende schulden|skulder|skuld|kortfristiga skulder|gaeld|gaeldsforpligtelser|kortsiktig gjeld|vastattavaa|vieras paaoma|velat|παθητικο|υποχρεωσεις|kaynak|kaynaklar|yukumluluk|пассив|пассивы|обязательства|пасив|зобов язання|задължения|obveze|obveznosti|isipareigojimai|saistibas|kohustused|skuldir|התחייבויות|خصوم|الخصوم|負債|流動負債|负债|流动负债|부채|유동부채',
  ],
  [
    'long-term-liability',
    'long term liability|long term liabilities|non current liability|non current liabilities|loan|loans|langfristige verbindlichkeit|dlouhodoby zavazek|pasivo no corriente',
  ],
  [
    'equity',
    'equity|capital|capital and reserves|owners equity|shareholders funds|funds|eigenkapital|vlastni kapital|capitaux propres|patrimonio|patrimonio netto|eigen vermogen|egenkapital|q|kapital|kapitaly wlasne|kapital wlasny|sajat toke|capitaluri|capitaluri proprii|patrimonio liquido|capital proprio|eget kapital|egenkapital|oma paaoma|ιδια κεφαλαια|καθαρη θεση|ozkaynak|ozkaynaklar|капитал|капітал|kapitalas|nuosavas kapitalas|pasu kapitals|omakapital|eigid fe|הון|حقوق الملكية|純資産|資本|所有者权益|权益|자본',
  ],
  [
    'revenue',
    'revenue|income|sales|sale|turnover|operating revenue|trading income|ertrag|ertrage|erlos|erlose|vynos|vynosy|produit|produits|ingreso|ingresos|ricavo|ricavi|opbrengst|inntekt|i|przychod|przychody|bevetel|arbevetel|bevetelek|venit|venituri|receita|receitas|rendimento|rendimentos|omzet|opbrengsten|intakt|intakter|indtaegt|indtaegter|omsaetning|inntekter|tulo|tulot|tuotto|tuotot|εσοδα|εσοδο|gelir|gelirler|доход|доходы|выручка|доходи|приходи|prihod|prihodi|pajamos|ienemumi|tulud|tekjur|הכנסות|ايرادات|الايرادات|収益|収入|売上|收入|损益收入|수익',
  ],
  ['other-income', 'other income|non operating income|other revenue|sonstige ertrage|ostatni vynosy|autres produits'],
  [
    'cost-of-sales',
    'cost of sales|cost of goods sold|cogs|direct cost|direct costs|direct expense|purchases|cost of revenue|wareneinsatz|materialaufwand|naklady na prodane zbozi|achats|inkoop',
  ],
  [
    'operating-expense',
    'expense|expenses|operating expense|operating expenses|overhead|overheads|administrative expense|indirect cost|aufwand|aufwendungen|naklad|naklady|charge|charges|gasto|gastos|costo|costi|kosten|kostnad|e|koszt|koszty|koltseg|koltsegek|raforditas|raforditasok|cheltuiala|cheltuieli|despesa|despesas|custo|custos|lasten|kostnader|omkostning|omkostninger|udgift|udgifter|kulu|kulut|εξοδα|εξοδο|gider|giderler|расход|расходы|затраты|витрати|разходи|rashod|rashodi|trosak|troskovi|stroski|sanaudos|izmaksas|izdevumi|kulud|gjold|kostnadur|הוצאות|مصروفات|المصروفات|費用|经费|费用|비용',
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

export const WORD_LINE: ReadonlyMap<string, Classification> = new Map([
  ...TYPE_WORDS.flatMap(([line, words]) => words.split('|').map((word): [string, Classification] => [word, line])),
  ...CLASSIFICATIONS.flatMap(({ id, label, one }): [string, Classification][] =>
    [id, label, one].map((word) => [folded(word), id]),
  ),
]);

/** Words that only say that an account is one: "Aufwandskonto", "expense account". */
const ACCOUNT_WORDS =
  /\s?(?:konto|konten|kontot|account|accounts|acct|ucet|ucty|rekening|tili|conto|conti|cuenta|cuentas|compte|comptes|type)$/;

/** The letters at the end in which two forms of one word may differ: plural and case. */
const ENDING = 3;
const STEM = 5;
/** From here on what a word is about says its statement line. */
const SAYS_LINE = 0.6;

const readAs = (word: string, classification: Classification): Inferred => ({
  classification,
  why: `its type says “${word.trim()}”, read as ${classFacts(classification).one.toLowerCase()}`,
});

/** A statement line by a word for a type; also when one letter of it is wrong ("Expnse"). */
export const lineByWord = (word: string): Inferred | undefined => {
  const plain = folded(word);
  const exact = WORD_LINE.get(plain);
  if (exact !== undefined) return { classification: exact, why: `its type says “${word.trim()}”` };
  const near = plain.length < STEM ? undefined : nearly(plain);
  return near === undefined ? undefined : readAs(word, near);
};

/**
 * A statement line by what a column of types says: also in the plural or another case, with the word for account behind it, or
 * as a thing that accounts are about.
 */
export const lineByType = (type: string): Inferred | undefined => {
  const found = lineByWord(type);
  if (found !== undefined) return found;
  const bare = folded(type).replace(ACCOUNT_WORDS, '');
  const like = WORD_LINE.get(bare) ?? (bare.length < STEM ? undefined : declined(bare)) ?? about(type);
  return like === undefined ? undefined : readAs(type, like);
};

const only = (lines: ReadonlySet<Classification>): Classification | undefined =>
  lines.size === 1 ? [...lines][0] : undefined;

const linesWhere = (fits: (known: string) => boolean): ReadonlySet<Classification> =>
  new Set([...WORD_LINE].filter(([known]) => fits(known)).map(([, line]) => line));

const nearly = (plain: string): Classification | undefined =>
  only(
    linesWhere(
      (known) =>
        Math.abs(known.length - plain.length) <= 1 &&
        // One letter is wrong, so the first or the last is right.
        (known[0] === plain[0] || known.at(-1) === plain.at(-1)) &&
        distance(known, plain) === 1,
    ),
  );

const declined = (bare: string): Classification | undefined =>
  only(
    linesWhere((known) => {
      let same = 0;
      while (same < bare.length && bare[same] === known[same]) same += 1;
      return same >= STEM && bare.length - same <= ENDING && known.length - same <= ENDING;
    }),
  );

const about = (word: string): Classification | undefined => {
  const [first] = meantBy(word);
  return first !== undefined && first.score >= SAYS_LINE ? first.concept.line : undefined;
};

const BROAD = new Set(
  'asset|assets|aktiva|aktivum|aktiv|actif|activo|attivo|activa|a|liability|liabilities|passiva|passivum|pasiva|passif|pasivo|passivo|l|income|i|expense|expenses|e|verbindlichkeit|verbindlichkeiten|aufwand|aufwendungen|ertrag|ertrage|zavazek|zavazky|charge|charges|produit|produits|kosten|gasto|gastos|ingreso|ingresos|costo|costi|ricavo|ricavi|gjeld|vynos|vynosy|naklad|naklady|aktywa|pasywa|eszkoz|eszkozok|forras|activ|pasiv|ativo|attivita|passivita|tillgang|tillgangar|skuld|skulder|aktiver|eiendel|eiendeler|vastaavaa|vastattavaa|ενεργητικο|παθητικο|varlik|varliklar|kaynak|kaynaklar|актив|активы|пассив|пассивы|資産|負債|资产|负债|자산|부채|przychod|przychody|koszt|koszty|bevetel|koltseg|venituri|cheltuieli|receita|receitas|despesa|despesas|intakt|intakter|kostnad|kostnader|tulo|tulot|kulu|kulut|εσοδα|εξοδα|gelir|gider|доходы|расходы|収益|費用|收入|费用|수익|비용'.split(
    '|',
  ),
);

/** Whether a word says the type of an account and nothing narrower: "Asset". */
export const isBroad = (word: string): boolean => BROAD.has(folded(word));

/** A word that a source uses for types, and how it is read. */
export interface TypeWord {
  readonly word: string;
  readonly key: string;
  /** How many rows have it. */
  readonly rows: number;
  /** The line it is read as; null where it is not understood. */
  readonly line: Classification | null;
  readonly byHand: boolean;
}

/** By the folded word, the statement line that a person said it stands for. */
export type ChosenTypes = Readonly<Record<string, Classification>>;

/** What a row of a source says about its type. */
interface Typed {
  readonly says: {
    readonly type?: string;
    readonly heading?: boolean;
    readonly classification?: Classification | null;
  };
}

/** Each distinct word for types in a source, those not understood first, then the most frequent. */
export const typeWordsIn = (rows: readonly Typed[], chosen: ChosenTypes): readonly TypeWord[] => {
  const found = new Map<string, { word: string; rows: number }>();
  for (const { says } of rows) {
    const word = (says.type ?? '').trim();
    if (word === '' || says.heading === true) continue;
    const known = found.get(folded(word));
    if (known === undefined) found.set(folded(word), { word, rows: 1 });
    else known.rows += 1;
  }
  return [...found]
    .map(([key, one]): TypeWord => ({
      ...one,
      key,
      line: chosen[key] ?? lineByType(one.word)?.classification ?? null,
      byHand: chosen[key] !== undefined,
    }))
    .sort((a, b) => Number(a.line !== null) - Number(b.line !== null) || b.rows - a.rows || (a.key < b.key ? -1 : 1));
};

/** The rows of a source with the lines that a person said their words for types stand for. */
export const withTypes = <T extends Typed>(rows: readonly T[], chosen: ChosenTypes): readonly T[] =>
  Object.keys(chosen).length === 0
    ? rows
    : rows.map((row) => {
        const line = row.says.classification == null ? chosen[folded(row.says.type ?? '')] : undefined;
        return line === undefined ? row : { ...row, says: { ...row.says, classification: line } };
      });
