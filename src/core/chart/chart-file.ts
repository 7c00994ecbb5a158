import { type Currency, isCurrency, minorDigits } from '../money/currency';
import { plainDecimal } from '../money/format';
import { readPaperAmount, unitsOf } from '../money/paper-amount';
import { type Table, folded, textOf } from '../base/table';
import { type OutRow, fromText } from '../files/write';
import { type Problem, problem, quoted } from '../base/result';
import { chartHeader, columnNamed, isCode } from './chart-header';
import type { Account } from './account';
import { type BankDetails, bankProblems, plainIban } from './bank';
import { ANY_ROUTING, plainRouting } from './routing';
import { ACCOUNT_ROLES, type AccountRole, CLASSIFICATIONS, normalSide, roleFacts, typeOf } from '../ledger/classes';
import type { Incoming, IncomingFields } from './incoming';
import { inTreeOrder } from './tree';
import { type ChosenTypes, withTypes } from './type-words';

/** What a column of a list of accounts can hold. */
export const CHART_COLUMNS = [
  { id: 'code', label: 'Code' },
  { id: 'name', label: 'Name' },
  { id: 'code-name', label: 'Code and name' },
  { id: 'type', label: 'Type' },
  { id: 'line', label: 'Statement line' },
  { id: 'kind', label: 'Heading or posting' },
  { id: 'parent', label: 'Under heading' },
  { id: 'side', label: 'Side' },
  { id: 'role', label: 'Role' },
  { id: 'currency', label: 'Currency' },
  { id: 'state', label: 'State' },
  { id: 'tax', label: 'Tax code' },
  { id: 'note', label: 'Note' },
  { id: 'origin', label: 'Why it is here' },
  { id: 'number', label: 'Account number' },
  { id: 'routing', label: 'Bank code' },
  { id: 'iban', label: 'IBAN' },
  { id: 'bic', label: 'BIC' },
  { id: 'alert', label: 'Alert below' },
  { id: 'reconciled', label: 'Reconciled' },
  { id: 'day', label: 'Statement day' },
  { id: 'documents', label: 'On documents' },
  { id: 'ignore', label: 'not read' },
] as const;
export type ChartColumn = (typeof CHART_COLUMNS)[number]['id'];
export const CHART_COLUMN_IDS = CHART_COLUMNS.map((one) => one.id) as unknown as readonly [
  ChartColumn,
  ...ChartColumn[],
];

/** How a list of accounts is read: which table of the file, where its header stands (-1: none), what each column holds. */
export interface ChartMapping {
  readonly sheet: number;
  readonly header: number;
  readonly columns: readonly ChartColumn[];
  /** What a person said that the file's words for types stand for. */
  readonly types?: ChosenTypes | undefined;
}

export interface RecognisedChart {
  readonly mapping: ChartMapping;
  readonly reasons: readonly string[];
  /** The same for every file with this header, so that what was corrected once is remembered. */
  readonly signature: string;
}

const width = (table: Table): number => table.rows.reduce((most, row) => Math.max(most, row.length), 0);

/** Guesses how a file's list of accounts is to be read, with a reason for each guess. */
export const recogniseChart = (tables: readonly Table[]): RecognisedChart => {
  const heads = tables.map((table) => chartHeader(table, width(table)));
  const sheet = heads.reduce((best, head, at) => (head.hits > (heads[best]?.hits ?? 0) ? at : best), 0);
  const table = tables[sheet] ?? { name: '', rows: [] };
  const header = heads[sheet]?.at ?? -1;
  const titles = table.rows[header]?.map(textOf) ?? [];
  const cells = titles.map((title) => folded(title));
  const used = new Set<ChartColumn>();
  const columns = Array.from({ length: width(table) }, (_, at): ChartColumn => {
    const column = columnNamed(titles[at] ?? '');
    if (column === undefined || used.has(column)) return 'ignore';
    used.add(column);
    return column;
  });
  const reasons: string[] = [];
  if (header >= 0)
    reasons.push(`Row ${header + 1} is the header: it names ${[...used].map(columnLabel).join(', ').toLowerCase()}.`);
  // Without a header, or where it does not say: a column of short different codes, and the one with the longest words.
  const body = table.rows.slice(header + 1, header + 201);
  const share = (at: number, test: (text: string) => boolean): number =>
    body.filter((row) => test(textOf(row[at]).trim())).length / Math.max(1, body.length);
  if (!used.has('code')) {
    const at = columns.findIndex((column, index) => column === 'ignore' && share(index, isCode) > 0.6);
    if (at >= 0) {
      columns[at] = 'code';
      used.add('code');
      reasons.push(`Column ${at + 1} holds the codes: short numbers.`);
    }
  }
  const hasBoth = (at: number): boolean =>
    !used.has('code') && share(at, (text) => splitCode(text) !== undefined) > 0.6;
  if (!used.has('name')) {
    const scores = columns.map((column, at) =>
      column === 'ignore'
        ? share(at, (text) => /\p{L}{3}/u.test(text)) * Math.min(30, mean(body.map((row) => textOf(row[at]).length)))
        : 0,
    );
    const at = scores.indexOf(Math.max(...scores));
    if (at >= 0 && (scores[at] ?? 0) > 0) {
      columns[at] = 'name';
      used.add('name');
      if (!hasBoth(at)) reasons.push(`Column ${at + 1} holds the names: the longest words.`);
    }
  }
  // A column of which each cell says that an account is a heading or takes postings, whatever it is called.
  const kinds = columns.findIndex(
    (column, at) =>
      (column === 'ignore' || column === 'type') &&
      share(at, (text) => text !== '') > 0.9 &&
      areKinds(body.map((row) => textOf(row[at]))),
  );
  if (kinds >= 0 && !used.has('kind')) {
    columns[kinds] = 'kind';
    reasons.push(`Column ${kinds + 1} tells headings from accounts.`);
  }
  const together = columns.indexOf('name');
  if (together >= 0 && hasBoth(together)) {
    columns[together] = 'code-name';
    reasons.push(`Column ${together + 1} holds codes with names behind them.`);
  }
  return {
    mapping: { sheet, header, columns },
    reasons,
    signature: `${cells.join('|').slice(0, 500)}#${columns.length}`,
  };
};

const mean = (numbers: readonly number[]): number =>
  numbers.reduce((sum, one) => sum + one, 0) / Math.max(1, numbers.length);
const columnLabel = (id: ChartColumn): string => CHART_COLUMNS.find((one) => one.id === id)?.label ?? id;

const ROLE_WORD: ReadonlyMap<string, AccountRole> = new Map(
  ACCOUNT_ROLES.flatMap(({ id, label }): [string, AccountRole][] => [
    [folded(label), id],
    [folded(id), id],
  ]),
);
const LINE_WORD = new Map(
  CLASSIFICATIONS.flatMap(({ id, label, one }) => [id, label, one].map((word) => [folded(word), id] as const)),
);
const YES = /^(y|yes|true|1|x|active|open|aktiv|ano|ja|oui|si)$/;
const NO = /^(n|no|false|0|inactive|closed|hidden|archived|inaktiv|ne|nein|non|gesperrt)$/;

/** Words for accounts that sum up others, and for those that take postings. */
const HEADING =
  /head|group|summ|title|titel|ueber|ubersch|nadpis|titre|titol|titul|titlu|sintetic|syntet|synthet|overskrift|rubri|otsikko|total|^h$|^s$/;
const POSTING =
  /post|detail|analit|analyt|analyi|buchung|^(?:account|konto|compte|cuenta|conto|conta|ucet|szamla|tili|cont|p|a)$/;
const SUMS =
  /^(?:synte[tc]|synthe[tc]|sinte[tc]|overskrift|otsikko|uberschrift|summenkonto|sumakonto|titelkonto|rubri[kc])/;
/** Whether the texts of a column tell headings from accounts, and nothing more. */
const areKinds = (texts: readonly string[]): boolean => {
  const words = [...new Set(texts.map((text) => folded(text)).filter((text) => text !== ''))];
  return (
    words.length > 1 &&
    words.length <= 4 &&
    words.some((word) => HEADING.test(word)) &&
    words.some((word) => POSTING.test(word)) &&
    words.every((word) => HEADING.test(word) || POSTING.test(word))
  );
};

/** "1000 Petty cash", "1000 - Petty cash". */
const splitCode = (text: string): { readonly code: string; readonly name: string } | undefined => {
  const space = text.search(/\s/);
  const code = text.slice(0, Math.max(0, space)).replace(/[-–—:·|]$/, '');
  const name = text.slice(space + 1).replace(/^[-–—:·|\s]+/, '');
  return space > 0 && isCode(code) && /\p{L}/u.test(name) ? { code, name } : undefined;
};

/** The accounts that a table lists under a mapping, with the lines that a person said its words for types stand for. Blank rows, the title block and rows of totals are passed over. */
export const readChartRows = (table: Table, mapping: ChartMapping, base: Currency): readonly Incoming[] => {
  const at = new Map<ChartColumn, number>();
  mapping.columns.forEach((column, index) => {
    if (column !== 'ignore' && !at.has(column)) at.set(column, index);
  });
  const [joined, coded] = [at.get('code-name'), at.get('code')];
  const hasCode = (row: Table['rows'][number]): boolean =>
    joined === undefined
      ? isCode(fromText(textOf(row[coded ?? -1])))
      : splitCode(textOf(row[joined]).trim()) !== undefined;
  const firstCode = table.rows.findIndex(hasCode);
  /** A single text above the first code is the list's title. */
  const isTitle = (row: Table['rows'][number], index: number): boolean =>
    index < firstCode && row.filter((cell) => textOf(cell) !== '').length === 1;
  const rows = table.rows.flatMap((row, index): readonly Incoming[] => {
    if (index <= mapping.header || (mapping.header < 0 && isTitle(row, index))) return [];
    const cell = (column: ChartColumn): string | undefined => {
      const where = at.get(column);
      return where === undefined ? undefined : fromText(textOf(row[where]).trim());
    };
    const both = cell('code-name');
    const split = both === undefined ? undefined : splitCode(both);
    const [code, name] = both === undefined ? [cell('code'), cell('name')] : [split?.code ?? '', split?.name ?? both];
    if ((code ?? '') === '' && (name ?? '') === '') return [];
    const problems: Problem[] = [];
    const says: { -readonly [F in keyof IncomingFields]?: IncomingFields[F] } = {};
    if (code !== undefined) says.code = code;
    if (name !== undefined) says.name = name;
    const parent = cell('parent');
    if (parent !== undefined) says.parent = parent;
    const stated = cell('type') ?? '';
    // Among the types of accounts, a word that only says that a row sums up others.
    const sums = SUMS.test(folded(stated));
    if (sums) says.heading = true;
    const type = sums ? '' : stated;
    if (type !== '') says.type = type;
    const line = cell('line') ?? '';
    const known = LINE_WORD.get(folded(line));
    if (known !== undefined) says.classification = known;
    else if (line !== '' && type === '') says.type = line;
    const kind = folded(cell('kind') ?? '');
    if (kind !== '') says.heading = HEADING.test(kind);
    else if (/\b(heading|header|group|title)\b/.test(folded(type))) says.heading = true;
    const side = folded(cell('side') ?? '');
    if (side !== '') says.contra = isContra(side, says, problems);
    const role = cell('role');
    if (role !== undefined) {
      const found = role === '' ? null : ROLE_WORD.get(folded(role));
      if (found === undefined)
        problems.push(problem('import.role', `${quoted(role)} is no role that Bathron knows.`, 'role'));
      else says.role = found;
    }
    const currency = cell('currency');
    if (currency !== undefined) {
      const code = currency.toUpperCase();
      if (code !== '' && !isCurrency(code))
        problems.push(problem('import.currency', `${quoted(currency)} is no currency of ISO 4217.`, 'currency'));
      else says.currency = code === '' ? null : code;
    }
    const state = cell('state');
    if (state !== undefined && state !== '') {
      if (YES.test(folded(state))) says.active = true;
      else if (NO.test(folded(state))) says.active = false;
      else problems.push(problem('import.state', `${quoted(state)} says neither active nor inactive.`, 'active'));
    }
    const tax = cell('tax');
    if (tax !== undefined) says.taxCode = tax === '' ? null : tax;
    const note = cell('note');
    if (note !== undefined) says.note = note;
    const origin = cell('origin');
    if (origin !== undefined) says.origin = origin;
    const bank = bankOf(cell, says.currency ?? base, problems);
    if (bank !== undefined) says.bank = bank;
    return [{ row: index + 1, says, problems }];
  });
  return withTypes(rows, mapping.types ?? {});
};

/** Bank details of a row that has any, with what does not read; `currency` is the account's. */
const bankOf = (
  cell: (column: ChartColumn) => string | undefined,
  currency: Currency,
  problems: Problem[],
): BankDetails | undefined => {
  const [number = '', routing = '', iban = '', bic = '', alert = '', reconciled = '', day = '', documents = ''] = (
    ['number', 'routing', 'iban', 'bic', 'alert', 'reconciled', 'day', 'documents'] as const
  ).map(cell);
  if ([number, routing, iban, bic, alert, reconciled, day].every((text) => text === '')) return undefined;
  const digits = isCurrency(currency) ? minorDigits(currency) : 2;
  const found = alert === '' ? undefined : readPaperAmount(alert, '1234.56', currency);
  const below = found === undefined ? undefined : unitsOf(found, digits);
  if (alert !== '' && below === undefined)
    problems.push(
      problem('import.alert', `${quoted(alert)} does not read as an amount with ${digits} decimals.`, 'bank'),
    );
  const details: BankDetails = {
    number,
    routing: plainRouting(routing),
    iban: plainIban(iban),
    bic: bic.toUpperCase(),
    alertBelow: below?.amount ?? null,
    reconciled: !NO.test(folded(reconciled)),
    onDocuments: documents !== '' && !NO.test(folded(documents)),
    statementDay: day === '' ? null : Number(day),
  };
  problems.push(...bankProblems(details, ANY_ROUTING).map((one) => problem(one.code, one.message, 'bank')));
  return details;
};

/** Whether a side is the unusual one for the row's own type; where the type is not known yet, the side says nothing. */
const isContra = (side: string, says: Partial<IncomingFields>, problems: Problem[]): boolean => {
  if (/contra/.test(side)) return true;
  const debit = /^(d|dr|debit|soll|md|debet)$/.test(side);
  if (!debit && !/^(c|cr|credit|haben|dal|kredit)$/.test(side)) {
    problems.push(problem('import.side', `${quoted(side)} is neither debit nor credit.`, 'contra'));
    return false;
  }
  if (says.classification == null) return false;
  return normalSide({ classification: says.classification, contra: false }) !== (debit ? 'debit' : 'credit');
};

const HEADER_ROW: OutRow = CHART_COLUMNS.filter(({ id }) => id !== 'ignore' && id !== 'code-name').map(
  ({ label }) => label,
);

/** A chart as rows of a CSV or XLSX file, in tree order. `readChartRows` reads them back to the same chart. */
export const chartRows = (
  chart: readonly Account[],
  banks: ReadonlyMap<number, BankDetails>,
  base: Currency,
): readonly OutRow[] => {
  const byId = new Map(chart.map((account) => [account.id, account]));
  return [
    HEADER_ROW,
    ...inTreeOrder(chart).map(({ account }): OutRow => {
      const parent = account.parent === null ? undefined : byId.get(account.parent);
      const bank = banks.get(account.id);
      return [
        account.code,
        account.name,
        typeOf(account.classification),
        CLASSIFICATIONS.find(({ id }) => id === account.classification)?.one ?? '',
        account.heading ? 'heading' : 'posting',
        parent === undefined ? '' : parent.code === '' ? parent.name : parent.code,
        normalSide(account),
        account.role === null ? '' : roleFacts(account.role).label,
        account.currency ?? '',
        account.active ? 'active' : 'inactive',
        account.taxCode ?? '',
        account.note,
        account.origin,
        bank?.number ?? '',
        bank?.routing ?? '',
        bank?.iban ?? '',
        bank?.bic ?? '',
        bank?.alertBelow == null ? '' : plainDecimal(bank.alertBelow, minorDigits(account.currency ?? base)),
        bank === undefined ? '' : bank.reconciled ? 'yes' : 'no',
        bank?.statementDay == null ? '' : String(bank.statementDay),
        bank?.onDocuments === true ? 'yes' : '',
      ];
    }),
  ];
};
