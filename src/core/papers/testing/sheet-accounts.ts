import type { Table } from '../../base/table';
import { paperSheet } from '../sheet';

/** What would be taken over from a paper as proposed: code, name, amount in cents with debit positive. */
export const sheetAccounts = (tables: readonly Table[]): readonly (readonly [string, string, bigint])[] =>
  paperSheet(tables, { kind: 'proposed' }, { digits: 2 }, '')
    .recognition.rows.filter(({ kind }) => kind === 'account')
    .map(({ code, name, amount }) => [code, name, amount]);
