import { dayOf } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import { type Sentence, dated, say } from '../base/sentence';
import type { AccountId } from '../chart/account';
import { plainDecimal } from '../money/format';
import { type Minor, NIL, abs, add, negate, subtract, sum } from '../money/minor';
import { type Column, type Document, type Line, type Section, heading, sides, totalSides } from './document';
import {
  type BalanceSheet,
  type IncomeStatement,
  type JournalStatement,
  STATEMENT_TITLES,
  type StatementGroup,
  type StatementLine,
  type TrialBalance,
} from './statements';

/** What every statement says of itself. */
export interface Head {
  readonly currency: Currency;
  readonly digits: number;
  readonly openingDate: IsoDate;
  /** The first day of the year in which the books open, where they do not open with it. */
  readonly yearStart: IsoDate | null;
  readonly standing: Document['standing'];
}

const at = ({ openingDate, currency }: Head): Sentence => say`At close of ${dated(openingDate)}, in ${currency}`;

/** What accounts closed last year at, and which of its adjustment periods are left out of that. */
export interface LastYear {
  readonly date: IsoDate;
  readonly amounts: ReadonlyMap<AccountId, Minor>;
  readonly without: readonly string[];
}

/** The trial balance, with the year before beside it where that is known. */
export const trialBalanceReport = ({ rows }: TrialBalance, head: Head, before: LastYear | null): Document => {
  const columns: Column[] = [
    { label: 'Code', kind: 'code' },
    { label: 'Account', kind: 'text' },
    { label: 'Debit', kind: 'figure' },
    { label: 'Credit', kind: 'figure' },
    ...(before === null
      ? []
      : ([
          { label: 'Debit last year', kind: 'figure' },
          { label: 'Credit last year', kind: 'figure' },
        ] as const)),
  ];
  const lines = rows.map(({ account, depth, amount }): Line =>
    account.heading
      ? heading(columns, account.name, depth, account.code)
      : {
          kind: 'line',
          depth,
          account: account.id,
          values: [
            account.code,
            account.name,
            ...sides(amount, head.digits),
            ...(before === null ? [] : sides(before.amounts.get(account.id) ?? NIL, head.digits)),
          ],
        },
  );
  const shown = rows.filter(({ account }) => !account.heading);
  const total: Line = {
    kind: 'total',
    depth: 0,
    values: [
      '',
      'Total',
      ...totalSides(
        shown.map(({ amount }) => amount),
        head.digits,
      ),
      ...(before === null
        ? []
        : totalSides(
            shown.map(({ account }) => before.amounts.get(account.id) ?? NIL),
            head.digits,
          )),
    ],
  };
  return {
    title: STATEMENT_TITLES['trial-balance'],
    about: at(head),
    standing: head.standing,
    columns,
    sections: [{ title: null, lines: [...lines, total] }],
    notes:
      before === null
        ? []
        : [
            say`Last year’s figures are of ${dated(before.date)}${before.without.length === 0 ? '' : `, without ${before.without.join(', ')}`}.`,
          ],
  };
};

const STATEMENT_COLUMNS: readonly Column[] = [
  { label: 'Code', kind: 'code' },
  { label: 'Line', kind: 'text' },
  { label: 'Amount', kind: 'figure' },
];

const statementLine = ({ account, label, amount }: StatementLine, depth: number, digits: number): Line => ({
  kind: 'line',
  depth,
  values: [account?.code ?? '', label, { amount, digits }],
  ...(account === undefined ? {} : { account: account.id }),
});

const result = (label: string, amount: Minor, digits: number, kind: 'sum' | 'total', depth = 0): Line => ({
  kind,
  depth,
  values: ['', label, { amount, digits }],
});

/** A group with its lines and their sum; nothing where there is nothing in it. */
const grouped = (group: StatementGroup | undefined, digits: number, turned = false): readonly Line[] => {
  if (group === undefined || group.lines.length === 0) return [];
  const own = (amount: Minor): Minor => (turned ? negate(amount) : amount);
  return [
    heading(STATEMENT_COLUMNS, group.label),
    ...group.lines.map((line) => statementLine({ ...line, amount: own(line.amount) }, 1, digits)),
    result(`Total ${group.label.toLowerCase()}`, own(group.total), digits, 'sum', 1),
  ];
};

/** In which form a balance sheet is laid out: down to net assets, or assets against liabilities and equity. */
export const SHEET_FORMS = ['list', 'account'] as const;
export type SheetForm = (typeof SHEET_FORMS)[number];

/** The form that an address asks for; the list where it asks for none that there is. */
export const sheetForm = (asked: string | null | undefined): SheetForm =>
  SHEET_FORMS.find((form) => form === asked) ?? 'list';

/** The balance sheet. In list form it leads over net current assets to net assets, which equity equals. */
export const balanceSheetReport = (sheet: BalanceSheet, head: Head, form: SheetForm): Document => {
  const { digits } = head;
  const assets = (id: string): StatementGroup | undefined => sheet.assets.find((one) => one.classification === id);
  const owed = (id: string): StatementGroup | undefined => sheet.liabilities.find((one) => one.classification === id);
  const total = (group: StatementGroup | undefined): Minor => group?.total ?? NIL;
  const current = subtract(total(assets('current-asset')), total(owed('current-liability')));
  const lasting = sum(['fixed-asset', 'other-asset'].map((id) => total(assets(id))));
  const lessCurrent = add(lasting, current);
  const net = subtract(lessCurrent, total(owed('long-term-liability')));
  const list: readonly Section[] = [
    {
      title: 'Net assets',
      lines: [
        ...grouped(assets('fixed-asset'), digits),
        ...grouped(assets('other-asset'), digits),
        ...grouped(assets('current-asset'), digits),
        ...grouped(owed('current-liability'), digits, true),
        result('Net current assets', current, digits, 'sum'),
        result('Total assets less current liabilities', lessCurrent, digits, 'sum'),
        ...grouped(owed('long-term-liability'), digits, true),
        result('Net assets', net, digits, 'total'),
      ],
    },
    {
      title: 'Equity',
      lines: [
        ...sheet.equity.lines.map((line) => statementLine(line, 1, digits)),
        result('Total equity', sheet.equity.total, digits, 'total'),
      ],
    },
  ];
  const account: readonly Section[] = [
    {
      title: 'Assets',
      lines: [
        ...sheet.assets.flatMap((group) => grouped(group, digits)),
        result('Total assets', sheet.totalAssets, digits, 'total'),
      ],
    },
    {
      title: 'Liabilities and equity',
      lines: [
        ...[...sheet.liabilities, sheet.equity].flatMap((group) => grouped(group, digits)),
        result('Total liabilities and equity', sheet.totalLiabilitiesAndEquity, digits, 'total'),
      ],
    },
  ];
  return {
    title: STATEMENT_TITLES['balance-sheet'],
    about: at(head),
    standing: head.standing,
    columns: STATEMENT_COLUMNS,
    sections: form === 'list' ? list : account,
    notes:
      sheet.outBy === 0n
        ? [form === 'list' ? say`Net assets and equity are equal.` : say`The two sides are equal.`]
        : [
            say`The two sides differ by ${{ number: plainDecimal(abs(sheet.outBy), digits) }} ${head.currency}: the opening balances do not net to zero.`,
          ],
  };
};

/** The income statement, over gross profit and the operating result. */
export const incomeReport = (statement: IncomeStatement, head: Head): Document => {
  const { digits } = head;
  const all = [...statement.income, ...statement.expense];
  const of = (id: string): StatementGroup | undefined => all.find((one) => one.classification === id);
  const total = (id: string): Minor => of(id)?.total ?? NIL;
  const gross = subtract(total('revenue'), total('cost-of-sales'));
  const operating = subtract(gross, total('operating-expense'));
  const other = subtract(total('other-income'), total('other-expense'));
  const beforeTax = add(operating, other);
  const besides = [...grouped(of('other-income'), digits), ...grouped(of('other-expense'), digits, true)];
  const taxed = grouped(of('tax'), digits, true);
  const lines: readonly Line[] = [
    ...grouped(of('revenue'), digits),
    ...grouped(of('cost-of-sales'), digits, true),
    ...(of('cost-of-sales') === undefined ? [] : [result('Gross profit', gross, digits, 'sum')]),
    ...grouped(of('operating-expense'), digits, true),
    ...(besides.length + taxed.length > 0 ? [result('Operating result', operating, digits, 'sum')] : []),
    ...besides,
    ...(taxed.length > 0 && besides.length > 0 ? [result('Result before tax', beforeTax, digits, 'sum')] : []),
    ...taxed,
    result(statement.result >= NIL ? 'Profit to date' : 'Loss to date', statement.result, digits, 'total'),
  ];
  const { yearStart, openingDate, currency } = head;
  return {
    title: STATEMENT_TITLES['income-statement'],
    about: yearStart === null ? at(head) : say`${dated(yearStart)} to ${dated(openingDate)}, in ${currency}`,
    standing: head.standing,
    columns: STATEMENT_COLUMNS,
    sections: all.length === 0 ? [] : [{ title: null, lines }],
    notes:
      all.length > 0
        ? []
        : [
            yearStart === null
              ? say`The books open at a year start, so income and expense open at nil.`
              : say`No income or expense account has an opening balance.`,
          ],
  };
};

const JOURNAL_COLUMNS: readonly Column[] = [
  { label: 'Code', kind: 'code' },
  { label: 'Account', kind: 'text' },
  { label: 'Source', kind: 'text' },
  { label: 'Debit', kind: 'figure' },
  { label: 'Credit', kind: 'figure' },
];

/** The journals of the opening position, each under a head of its own with its totals, each line with where its figure is from. */
export const journalReport = (journals: readonly JournalStatement[], head: Head): Document => ({
  title: STATEMENT_TITLES.journal,
  about: at(head),
  standing: journals.length === 0 ? null : head.standing,
  columns: JOURNAL_COLUMNS,
  sections: journals.map(({ number, date, period, description, by, at: posted, lines }): Section => ({
    title: `Journal ${String(number)}: ${description}`,
    about: say`${dated(date)}, ${period ?? 'brought forward'}; posted on ${dated(dayOf(posted))} by ${by}`,
    lines: [
      ...lines.map(({ account, code, name, source, amount }): Line => ({
        kind: 'line',
        depth: 0,
        account,
        values: [code, name, source, ...sides(amount, head.digits)],
      })),
      {
        kind: 'total',
        depth: 0,
        values: [
          '',
          'Total',
          '',
          ...totalSides(
            lines.map(({ amount }) => amount),
            head.digits,
          ),
        ],
      },
    ],
  })),
  notes: journals.length === 0 ? [say`Nothing is posted yet.`] : [],
});
