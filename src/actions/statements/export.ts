import { plainDate, writeDate } from '@/core/base/dates';
import { writeSaft } from '@/core/chart/saft';
import { NIL, abs } from '@/core/money/minor';
import { comparisonRows } from '@/core/openings/compare';
import { partsOf } from '@/core/openings/takeover';
import { type OutCell, type OutRow, toCsv, toXlsx } from '@/core/files/write';
import { statementRows } from '@/core/statements/export';
import { STATEMENT_KINDS, STATEMENT_TITLES, type StatementKind } from '@/core/statements/statements';
import type { CompanyFacts } from '@/core/company/facts';
import { now } from '../kernel/context';
import type { FrameView } from '../frame/views';
import { type PdfSize, toPdf } from '../../print/pdf';
import { wholePaper } from '../papers/views';
import { compareView, openingsView, statementView } from '../openings/views';
import { chartView } from '../chart/views';

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

/** Rows as a file of the wanted format. */
const fileOf = async (
  frame: FrameView,
  title: string,
  rows: readonly OutRow[],
  format: FileFormat,
  size: PdfSize = 'A4',
): Promise<OutFile> => {
  const name = `${frame.name} ${title.toLowerCase()} ${frame.openingDate}.${format}`;
  switch (format) {
    case 'csv':
      return { name, type: 'text/csv; charset=utf-8', content: toCsv(rows) };
    case 'xlsx':
      return {
        name,
        type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        content: toXlsx(title, rows),
      };
    case 'pdf':
      return { name, type: 'application/pdf', content: await toPdf(rows, { style: frame.style, size, made: now() }) };
  }
};

const headOf = (frame: FrameView) => ({
  company: frame.name,
  date: writeDate(plainDate(frame.openingDate)),
  currency: frame.currency,
  digits: frame.digits,
});

/** A statement as a file. */
export const exportStatement = async (id: number, kind: StatementKind, format: FileFormat) => {
  const view = await statementView(id, kind);
  if (view === undefined) return undefined;
  const { frame, statement, paperSize } = view;
  return fileOf(frame, STATEMENT_TITLES[kind], statementRows(statement, headOf(frame)), format, PDF_SIZES[paperSize]);
};

/** Where each row of a paper goes, as a file: what the matching remembers, for whoever has to check it. */
export const exportMatching = async (id: number, paperId: number, format: FileFormat) => {
  const view = await wholePaper(id, paperId);
  if (view === undefined || view.paper === null) return undefined;
  const { frame, paper, accounts } = view;
  const byId = new Map(accounts.map((account) => [account.id, account]));
  const amount = (value: typeof NIL): readonly OutCell[] => [
    value > 0n ? { amount: value, digits: frame.digits } : null,
    value < 0n ? { amount: abs(value), digits: frame.digits } : null,
  ];
  const rows = paper.rows.flatMap((decided): OutRow[] => {
    const { row, match, decision } = decided;
    const old = [String(row.row), row.code, row.name];
    if (decision?.kind === 'create')
      return [[...old, ...amount(row.amount), decision.code, decision.name, 'to be created', '']];
    if (decision?.kind === 'leave-out') return [[...old, ...amount(row.amount), '', '', 'left out', decision.reason]];
    const parts = partsOf(decided);
    if (parts.length === 0) return [[...old, ...amount(row.amount), '', '', 'not decided', match.why]];
    return parts.map((part) => {
      const account = byId.get(part.account);
      return [
        ...old,
        ...amount(part.amount),
        account?.code ?? '',
        account?.name ?? '',
        parts.length > 1 ? 'divided' : 'goes to',
        match.kind === 'matched' && match.account === part.account ? match.why : 'chosen',
      ];
    });
  });
  return fileOf(
    frame,
    `Matching of ${paper.name.replace(/\.[^.]*$/, '')}`,
    [
      [frame.name],
      [`Where the rows of ${paper.name} go`],
      [],
      ['Row', 'Old code', 'Old name', 'Debit', 'Credit', 'Code', 'Account', 'What', 'Why'],
      ...rows,
    ],
    format,
  );
};

/** Two versions of the opening position beside each other, as a file. */
export const exportComparison = async (id: number, from: number, to: number, format: FileFormat) => {
  const view = await compareView(id, from, to);
  if (view === undefined || view.from === null || view.to === null) return undefined;
  const { frame, rows } = view;
  const names = [`Version ${String(view.from.version)}`, `Version ${String(view.to.version)}`] as const;
  return fileOf(
    frame,
    `Opening balances, ${names.join(' and ').toLowerCase()}`,
    comparisonRows(rows, {
      title: [
        frame.name,
        `Opening balances at close of ${headOf(frame).date}, ${frame.currency}`,
        `${names[0]} beside ${names[1].toLowerCase()}${view.to.reason === null ? '' : `: ${view.to.reason}`}`,
      ],
      names,
      digits: frame.digits,
    }),
    format,
  );
};

/** The chart with its opening balances as the master files of an audit file (SAF-T). */
export const exportAuditFile = async (id: number): Promise<OutFile | undefined> => {
  const [openings, chart] = [await openingsView(id), await chartView(id)];
  if (openings === undefined || chart === undefined) return undefined;
  const { frame, rows } = openings;
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
        created: now().slice(0, 10),
      },
      { amounts: new Map(rows.map(({ id: account, amount }) => [account, amount ?? NIL])), digits: frame.digits },
    ),
  };
};
