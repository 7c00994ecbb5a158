import { plainDate, writeDate } from '@/core/calendar/dates';
import { toCsv, toXlsx } from '@/core/papers/write';
import { statementRows } from '@/core/statements/export';
import { STATEMENT_KINDS, STATEMENT_TITLES, type StatementKind } from '@/core/statements/statements';
import { statementView } from './views';

export const isStatementKind = (text: string): text is StatementKind =>
  (STATEMENT_KINDS as readonly string[]).includes(text);

/** A statement as a CSV or XLSX file. */
export const exportStatement = async (id: number, kind: StatementKind, format: 'csv' | 'xlsx') => {
  const view = await statementView(id, kind);
  if (view === undefined) return undefined;
  const { frame, statement } = view;
  const rows = statementRows(statement, {
    company: frame.name,
    date: writeDate(plainDate(frame.openingDate)),
    currency: frame.currency,
    digits: frame.digits,
  });
  const name = `${frame.name} ${STATEMENT_TITLES[kind].toLowerCase()} ${frame.openingDate}.${format}`;
  return format === 'csv'
    ? { name, type: 'text/csv; charset=utf-8', content: toCsv(rows) }
    : {
        name,
        type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        content: toXlsx(STATEMENT_TITLES[kind], rows),
      };
};
