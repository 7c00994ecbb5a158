import { Go } from '../parts/go';
import type { statementView } from '@/actions/openings/views';
import type { DateStyle } from '@/core/base/date-style';
import { type Minor, abs } from '@/core/money/minor';
import {
  type BalanceSheet,
  type IncomeStatement,
  type JournalStatement,
  STATEMENT_KINDS,
  STATEMENT_TITLES,
  type StatementGroup,
  type TrialBalance,
} from '@/core/statements/statements';
import { Frame } from '../frame/frame';
import { type Money, figure } from '../parts/figures';
import { day } from '../parts/names';
import { PrintButton } from '../parts/print-button';
import { Letterhead } from './letterhead';

type View = NonNullable<Awaited<ReturnType<typeof statementView>>>;

/** A statement of the posted opening position (or, before posting, of the draft): on screen, on paper, as a file. */
export const StatementSheet = ({ frame, posted, yearStart, letterhead, paperSize, statement }: View) => {
  const base = `/books/${String(frame.id)}/statements`;
  const until =
    statement.kind === 'income-statement' && yearStart !== null && !frame.atYearStart
      ? `${day(yearStart, frame.dates)} to ${day(frame.openingDate, frame.dates)}`
      : `at close of ${day(frame.openingDate, frame.dates)}`;
  return (
    <Frame
      frame={frame}
      stage="sign-off"
      title={STATEMENT_TITLES[statement.kind]}
      about={
        <>
          {frame.name} · {until} · {frame.currency}
          {!posted && <strong className="ml-2 font-medium text-ochre">draft, not posted</strong>}
        </>
      }
      actions={
        <>
          <a className="btn btn-sm" href={`${base}/${statement.kind}/export?format=csv`} download>
            CSV
          </a>
          <a className="btn btn-sm" href={`${base}/${statement.kind}/export?format=xlsx`} download>
            XLSX
          </a>
          <a className="btn btn-sm" href={`${base}/${statement.kind}/export?format=pdf`} download>
            PDF
          </a>
          <PrintButton />
        </>
      }
    >
      <nav aria-label="Statements" className="no-print flex flex-wrap gap-x-5 border-b border-rule px-4">
        {STATEMENT_KINDS.map((kind) => (
          <Go
            key={kind}
            href={`${base}/${kind}`}
            aria-current={kind === statement.kind ? 'page' : undefined}
            className={`min-h-7 text-sm ${kind === statement.kind ? 'border-b-2 border-ink font-semibold' : 'text-ink-2 hover:underline'}`}
          >
            {STATEMENT_TITLES[kind]}
          </Go>
        ))}
        <Go href={`/books/${String(frame.id)}/sign-off`} className="ml-auto min-h-7 text-sm text-ink-2 hover:underline">
          Sign-off
        </Go>
      </nav>
      <style>{`@media print { @page { size: ${paperSize}; } }`}</style>
      <div className="w-full max-w-4xl px-4 py-3">
        <div className="mb-3">
          <Letterhead books={frame.id} head={letterhead} />
        </div>
        {statement.kind === 'trial-balance' && <Trial content={statement.content} money={frame} books={frame.id} />}
        {statement.kind === 'balance-sheet' && <Sheet content={statement.content} money={frame} />}
        {statement.kind === 'income-statement' && (
          <Income content={statement.content} money={frame} atYearStart={frame.atYearStart} />
        )}
        {statement.kind === 'journal' && <Journals content={statement.content} money={frame} dates={frame.dates} />}
      </div>
    </Frame>
  );
};

const Trial = ({
  content,
  money,
  books,
}: {
  readonly content: TrialBalance;
  readonly money: Money;
  readonly books: number;
}) => (
  <table className="ledger">
    <thead>
      <tr>
        <th scope="col">Code</th>
        <th scope="col">Account</th>
        <th scope="col" className="figure">
          Debit
        </th>
        <th scope="col" className="figure">
          Credit
        </th>
      </tr>
    </thead>
    <tbody>
      {content.rows.map(({ account, depth, amount }) => (
        <tr key={account.id} className={account.heading ? 'section' : ''}>
          <td className="text-ink-2">{account.code}</td>
          <td style={{ paddingLeft: `${String(0.6 + depth * 1.1)}rem` }}>
            {account.heading ? (
              account.name
            ) : (
              <Go className="hover:underline" href={`/books/${String(books)}/openings?account=${String(account.id)}`}>
                {account.name}
              </Go>
            )}
          </td>
          <td className="figure">{amount > 0n ? figure(amount, money) : ''}</td>
          <td className="figure">{amount < 0n ? figure(amount, money) : ''}</td>
        </tr>
      ))}
      <tr className="final">
        <td />
        <td className="font-semibold">Total</td>
        <td className="figure">{figure(content.totals.debits, money)}</td>
        <td className="figure">{figure(content.totals.credits, money)}</td>
      </tr>
    </tbody>
  </table>
);

/** An amount on its statement's own side; one on the other side stands in brackets. */
const lineFigure = (amount: Minor, money: Money): string =>
  amount < 0n ? `(${figure(abs(amount), money)})` : figure(amount, money);

const Groups = ({ groups, money }: { readonly groups: readonly StatementGroup[]; readonly money: Money }) =>
  groups.map((group) => (
    <tbody key={group.classification}>
      <tr className="section">
        <td colSpan={2}>{group.label}</td>
      </tr>
      {group.lines.map((line) => (
        <tr key={line.account?.id ?? line.label}>
          <td className="pl-6">{line.label}</td>
          <td className="figure">{lineFigure(line.amount, money)}</td>
        </tr>
      ))}
      <tr className="sum">
        <td className="pl-6 text-ink-2">Total {group.label.toLowerCase()}</td>
        <td className="figure">{lineFigure(group.total, money)}</td>
      </tr>
    </tbody>
  ));

const Final = ({ label, amount, money }: { readonly label: string; readonly amount: Minor; readonly money: Money }) => (
  <tbody>
    <tr className="final">
      <td className="font-semibold">{label}</td>
      <td className="figure" data-testid={label}>
        {lineFigure(amount, money)}
      </td>
    </tr>
  </tbody>
);

const Sheet = ({ content, money }: { readonly content: BalanceSheet; readonly money: Money }) => (
  <>
    <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-2">
      <table className="ledger">
        <caption className="title pb-1 text-left text-lg">Assets</caption>
        <Groups groups={content.assets} money={money} />
        <Final label="Total assets" amount={content.totalAssets} money={money} />
      </table>
      <table className="ledger">
        <caption className="title pb-1 text-left text-lg">Liabilities and equity</caption>
        <Groups groups={[...content.liabilities, content.equity]} money={money} />
        <Final label="Total liabilities and equity" amount={content.totalLiabilitiesAndEquity} money={money} />
      </table>
    </div>
    <p role="status" className={`mt-3 text-sm ${content.outBy === 0n ? 'note' : 'text-brick'}`}>
      {content.outBy === 0n
        ? 'The two sides are equal.'
        : `The two sides differ by ${figure(abs(content.outBy), money)}: the opening balances do not net to zero.`}
    </p>
  </>
);

const Income = ({
  content,
  money,
  atYearStart,
}: {
  readonly content: IncomeStatement;
  readonly money: Money;
  readonly atYearStart: boolean;
}) =>
  content.income.length + content.expense.length === 0 ? (
    <p className="note">
      {atYearStart
        ? 'The books open at a year start, so income and expense open at nil.'
        : 'No income or expense account has an opening balance.'}
    </p>
  ) : (
    <table className="ledger">
      <Groups groups={content.income} money={money} />
      <Groups groups={content.expense} money={money} />
      <Final
        label={content.result >= 0n ? 'Profit to date' : 'Loss to date'}
        amount={content.result < 0n ? abs(content.result) : content.result}
        money={money}
      />
    </table>
  );

const Journals = ({
  content,
  money,
  dates,
}: {
  readonly content: readonly JournalStatement[];
  readonly money: Money;
  readonly dates: DateStyle;
}) =>
  content.length === 0 ? (
    <p className="note">Nothing is posted yet.</p>
  ) : (
    content.map((journal) => (
      <table key={journal.number} className="ledger mb-6">
        <caption className="pb-1 text-left text-sm">
          <span className="title text-lg">Journal {journal.number}</span> · {day(journal.date, dates)} ·{' '}
          {journal.period ?? 'brought forward'} · {journal.description}{' '}
          <span className="note">posted by {journal.by}</span>
        </caption>
        <thead>
          <tr>
            <th scope="col">Code</th>
            <th scope="col">Account</th>
            <th scope="col" className="figure">
              Debit
            </th>
            <th scope="col" className="figure">
              Credit
            </th>
          </tr>
        </thead>
        <tbody>
          {journal.lines.map((line) => (
            <tr key={line.code}>
              <td className="text-ink-2">{line.code}</td>
              <td>{line.name}</td>
              <td className="figure">{line.amount > 0n ? figure(line.amount, money) : ''}</td>
              <td className="figure">{line.amount < 0n ? figure(line.amount, money) : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
    ))
  );
