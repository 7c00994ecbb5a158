import { writeSaft } from '@/core/chart/saft';
import { dayOf, plainDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import type { CompanyFacts } from '@/core/company/facts';
import { toCsv } from '@/core/files/write';
import { NIL } from '@/core/money/minor';
import { partsOf } from '@/core/openings/takeover';
import { type Document, plainRows } from '@/core/statements/document';
import {
  type MatchedRow,
  calendarReport,
  chartReport,
  comparisonReport,
  historyReport,
  matchingReport,
  ratesReport,
} from '@/core/statements/lists';
import { auditMastersView } from '../schedules/audit-masters';
import { contactsReport, scheduleReport, thingsReport } from '@/core/statements/schedules';
import { codeBook } from '@/core/schedules/analysis';
import { isThings } from '@/core/schedules/kinds';
import { STATEMENT_KINDS, type StatementKind } from '@/core/statements/statements';
import { type PdfSize, type Print, toPdf } from '../../print/pdf';
import { documentXlsx } from '../../print/xlsx';
import { calendarView } from '../calendar/views';
import { type ChangesAsked, changesView } from '../changes/views';
import { chartView } from '../chart/views';
import { currenciesView } from '../currencies/views';
import { now } from '../kernel/context';
import { compareView, openingsView } from '../openings/views';
import { wholePaper } from '../papers/views';
import { analysisView, contactsView, scheduleView } from '../schedules/views';
import { type StatementWish, printView, statementView } from './views';

export const isStatementKind = (text: string): text is StatementKind =>
  (STATEMENT_KINDS as readonly string[]).includes(text);

export const FILE_FORMATS = ['csv', 'xlsx', 'pdf'] as const;
export type FileFormat = (typeof FILE_FORMATS)[number];
export const isFileFormat = (text: string | null): text is FileFormat =>
  (FILE_FORMATS as readonly (string | null)[]).includes(text);

const PDF_SIZES = { A4: 'A4', A5: 'A5', Letter: 'LETTER', Legal: 'LEGAL' } as const satisfies Record<
  CompanyFacts['paperSize'],
  PdfSize
>;

interface OutFile {
  readonly name: string;
  readonly type: string;
  readonly content: string | Uint8Array;
}

const XLSX_TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** A document as a file of the wanted format; a draft says so in the file's name too. */
const fileOf = async (
  id: number,
  openingDate: IsoDate,
  document: Document,
  format: FileFormat,
): Promise<OutFile | undefined> => {
  const view = await printView(id);
  if (view === undefined) return undefined;
  const print: Print = { ...view, size: PDF_SIZES[view.paperSize] };
  const draft = document.standing?.draft === true ? ' draft' : '';
  const name = `${view.books} ${document.title.toLowerCase()} ${openingDate}${draft}.${format}`;
  switch (format) {
    case 'csv':
      return { name, type: 'text/csv; charset=utf-8', content: toCsv(plainRows(document)) };
    case 'xlsx':
      return { name, type: XLSX_TYPE, content: await documentXlsx(document, print) };
    case 'pdf':
      return { name, type: 'application/pdf', content: await toPdf(document, print) };
  }
};

/** A statement as a file. */
export const exportStatement = async (id: number, kind: StatementKind, wish: StatementWish, format: FileFormat) => {
  const view = await statementView(id, kind, wish);
  return view === undefined ? undefined : fileOf(id, view.frame.openingDate, view.document, format);
};

/** The lists of books that are printed beside the statements. */
export const LISTS = ['chart', 'calendar', 'rates', 'changes', 'contacts', 'schedule', 'analysis'] as const;
export type ListKind = (typeof LISTS)[number];
export const isListKind = (text: string): text is ListKind => (LISTS as readonly string[]).includes(text);

/** Which part of a list: the changes that are asked for, the schedule of an account, a list of analysis codes. */
export interface ListAsked {
  readonly changes?: ChangesAsked | undefined;
  readonly account?: number | undefined;
  readonly list?: number | undefined;
}

const listDocument = async (
  id: number,
  kind: ListKind,
  { changes = {}, account, list = 1 }: ListAsked,
): Promise<{ readonly openingDate: IsoDate; readonly document: Document } | undefined> => {
  switch (kind) {
    case 'chart': {
      const view = await chartView(id);
      if (view === undefined) return undefined;
      const document = chartReport(view.rows.map(({ account }) => account));
      return { openingDate: view.frame.openingDate, document };
    }
    case 'calendar': {
      const view = await calendarView(id);
      if (view === undefined) return undefined;
      return { openingDate: view.frame.openingDate, document: calendarReport(view.years, view.frame.cutover) };
    }
    case 'rates': {
      const view = await currenciesView(id, undefined);
      if (view === undefined) return undefined;
      const { openingDate, currency } = view.frame;
      return { openingDate, document: ratesReport(view.used, openingDate, currency) };
    }
    case 'changes': {
      const view = await changesView(id, changes);
      if (view === undefined) return undefined;
      return { openingDate: view.frame.openingDate, document: historyReport(view.batches, !view.later) };
    }
    case 'contacts': {
      const view = await contactsView(id);
      return view === undefined
        ? undefined
        : { openingDate: view.frame.openingDate, document: contactsReport(view.contacts) };
    }
    case 'analysis': {
      const view = await analysisView(id, list);
      if (view?.found == null) return undefined;
      return { openingDate: view.frame.openingDate, document: view.found.document };
    }
    case 'schedule': {
      const view = account === undefined ? undefined : await scheduleView(id, account);
      if (view?.found == null) return undefined;
      const { account: own, schedule, items, contacts, tie, drafting } = view.found;
      const codes = codeBook(view.found.lists, view.found.codes);
      const { openingDate, currency, digits } = view.frame;
      const head = { openingDate, currency, digits, draft: drafting };
      const rules = {
        spans: view.found.spans,
        account: own,
        style: view.frame.style,
        dates: view.frame.dates,
        openingDate: plainDate(openingDate),
      };
      return {
        openingDate,
        document: isThings(schedule)
          ? thingsReport(own, items, contacts, tie, { ...rules, schedule }, { codes, levels: view.found.levels }, head)
          : scheduleReport(own, schedule, items, contacts, tie, codes, head),
      };
    }
  }
};

/** A list as a file. */
export const exportList = async (id: number, kind: ListKind, format: FileFormat, asked: ListAsked = {}) => {
  const found = await listDocument(id, kind, asked);
  return found === undefined ? undefined : fileOf(id, found.openingDate, found.document, format);
};

/** Where each row of a paper goes, as a file. */
export const exportMatching = async (id: number, paperId: number, format: FileFormat) => {
  const view = await wholePaper(id, paperId);
  if (view === undefined || view.paper === null) return undefined;
  const { frame, paper, accounts } = view;
  const byId = new Map(accounts.map((account) => [account.id, account]));
  const rows = paper.rows.flatMap((decided): MatchedRow[] => {
    const { row, match, decision } = decided;
    const old = { row: row.row, code: row.code, name: row.name, amount: row.amount, to: null };
    if (decision?.kind === 'create')
      return [{ ...old, to: { code: decision.code, name: decision.name }, what: 'to be created', why: '' }];
    if (decision?.kind === 'leave-out') return [{ ...old, what: 'left out', why: decision.reason }];
    const parts = partsOf(decided);
    if (parts.length === 0) return [{ ...old, what: 'not decided', why: match.why }];
    return parts.map((part) => ({
      ...old,
      amount: part.amount,
      to: byId.get(part.account) ?? null,
      what: parts.length > 1 ? 'divided' : 'goes to',
      why: match.kind === 'matched' && match.account === part.account ? match.why : 'chosen',
    }));
  });
  return fileOf(id, frame.openingDate, matchingReport(paper.name, rows, frame.digits), format);
};

/** Two versions of the opening position beside each other, as a file. */
export const exportComparison = async (id: number, from: number, to: number, format: FileFormat) => {
  const view = await compareView(id, from, to);
  if (view === undefined || view.from === null || view.to === null) return undefined;
  const { frame, rows } = view;
  const versions = { from: view.from.version, to: view.to.version, reason: view.to.reason };
  return fileOf(id, frame.openingDate, comparisonReport(rows, versions, frame), format);
};

/** The chart with its opening balances as the master files of an audit file (SAF-T). */
export const exportAuditFile = async (id: number): Promise<OutFile | undefined> => {
  const [openings, chart] = [await openingsView(id), await chartView(id)];
  if (openings === undefined || chart === undefined) return undefined;
  const { frame, rows } = openings;
  const masters = (await auditMastersView(id)) ?? { parties: [], stock: [], assets: [] };
  return {
    name: `${frame.name} opening balances ${frame.openingDate}.xml`,
    type: 'application/xml; charset=utf-8',
    content: writeSaft(
      chart.rows.map(({ account }) => account),
      {
        company: frame.name,
        registration: '',
        country: frame.country,
        currency: frame.currency,
        from: frame.cutover,
        to: frame.cutover,
        created: dayOf(now()),
      },
      {
        amounts: new Map(rows.map(({ id: account, amount }) => [account, amount ?? NIL])),
        digits: frame.digits,
        ...masters,
      },
    ),
  };
};
