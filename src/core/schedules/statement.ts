import type { IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import { type Problem, problem, quoted } from '../base/result';
import { type Minor, sum } from '../money/minor';

/** A balance of a statement: money in the bank is positive, what is owed to it negative. */
export interface StatementBalance {
  readonly date: IsoDate | null;
  readonly amount: Minor;
}

/** An entry as the bank booked it: money that came in is positive. */
export interface StatementEntry {
  readonly date: IsoDate | null;
  readonly valueDate: IsoDate | null;
  readonly amount: Minor;
  readonly text: string;
}

/** A statement of a bank, cash or card account. */
export interface AccountStatement {
  /** The IBAN, else the number; a card's may be masked. */
  readonly account: string;
  /** Empty where the file does not say. */
  readonly currency: Currency | '';
  readonly digits: number;
  readonly from: IsoDate | null;
  readonly to: IsoDate | null;
  readonly opening: StatementBalance | null;
  readonly closing: StatementBalance | null;
  readonly entries: readonly StatementEntry[];
}

export interface StatementsRead {
  readonly statements: readonly AccountStatement[];
  /** What a person has to know of, at the place of a statement (from 0) in the file. */
  readonly doubts: readonly Problem[];
}

/** Told of a statement whose amounts do not read, since nothing says how many decimals they have. */
export const noCurrency = (code: string, account: string): Problem =>
  problem(
    'statement.no-currency',
    `The statement${account === '' ? '' : ` of ${account}`} ${code === '' ? 'does not say in which currency it is' : `is in ${quoted(code)}, which is no currency of ISO 4217`}, so its amounts do not read, and it was left out. Fetch it from the bank again.`,
  );

/** What the entries of a statement come to. */
export const entriesSum = ({ entries }: Pick<AccountStatement, 'entries'>): Minor =>
  sum(entries.map(({ amount }) => amount));

/** Whether a statement says both balances, and its entries lead from one to the other. */
export const balanceDoubts = (statement: AccountStatement, at: number): readonly Problem[] => {
  const { opening, closing, account } = statement;
  const of = account === '' ? '' : ` of ${account}`;
  if (opening !== null && closing !== null)
    return opening.amount + entriesSum(statement) === closing.amount
      ? []
      : [
          problem(
            'statement.sum',
            `The opening balance${of} and its entries do not come to its closing balance: an entry is missing or is there twice. Fetch the statement again.`,
            at,
          ),
        ];
  return [
    ...(opening === null ? [problem('statement.no-opening', `The statement${of} has no opening balance.`, at)] : []),
    ...(closing === null ? [problem('statement.no-closing', `The statement${of} has no closing balance.`, at)] : []),
  ];
};
