import { type Minor, NIL, abs } from '../money/minor';
import type { OutCell, OutRow } from '../files/write';
import { STATEMENT_TITLES, type Statement, type StatementGroup } from './statements';

/** A statement as rows for a file: a title block, a header row, then one row per line. Amounts plain, sides by column. */
export const statementRows = (
  statement: Statement,
  head: { readonly company: string; readonly date: string; readonly currency: string; readonly digits: number },
): readonly OutRow[] => {
  const amount = (value: Minor): OutCell => ({ amount: value, digits: head.digits });
  const sides = (value: Minor): readonly OutCell[] => [
    value > 0n ? amount(value) : null,
    value < 0n ? amount(abs(value)) : null,
  ];
  const title: readonly OutRow[] = [
    [head.company],
    [STATEMENT_TITLES[statement.kind]],
    [`at close of ${head.date}, ${head.currency}`],
    [],
  ];
  const grouped = (groups: readonly StatementGroup[]): readonly OutRow[] =>
    groups.flatMap((group) => [
      ...group.lines.map((line): OutRow => [group.label, line.account?.code ?? '', line.label, amount(line.amount)]),
      [group.label, '', `Total ${group.label.toLowerCase()}`, amount(group.total)],
    ]);
  switch (statement.kind) {
    case 'trial-balance': {
      const { rows, totals } = statement.content;
      return [
        ...title,
        ['Code', 'Account', 'Debit', 'Credit'],
        ...rows.map(({ account, amount: value }): OutRow => [
          account.code,
          account.name,
          ...(account.heading ? [null, null] : sides(value)),
        ]),
        ['', 'Total', amount(totals.debits), amount(totals.credits)],
      ];
    }
    case 'balance-sheet': {
      const sheet = statement.content;
      return [
        ...title,
        ['Group', 'Code', 'Line', 'Amount'],
        ...grouped(sheet.assets),
        ['', '', 'Total assets', amount(sheet.totalAssets)],
        ...grouped([...sheet.liabilities, sheet.equity]),
        ['', '', 'Total liabilities and equity', amount(sheet.totalLiabilitiesAndEquity)],
      ];
    }
    case 'income-statement': {
      const { income, expense, result } = statement.content;
      return [
        ...title,
        ['Group', 'Code', 'Line', 'Amount'],
        ...grouped(income),
        ...grouped(expense),
        ['', '', result >= NIL ? 'Profit' : 'Loss', amount(result)],
      ];
    }
    case 'journal':
      return [
        ...title,
        ['Journal', 'Date', 'Period', 'Description', 'Code', 'Account', 'Debit', 'Credit'],
        ...statement.content.flatMap((journal) =>
          journal.lines.map((line): OutRow => [
            String(journal.number),
            journal.date,
            journal.period ?? 'brought forward',
            journal.description,
            line.code,
            line.name,
            ...sides(line.amount),
          ]),
        ),
      ];
  }
};
