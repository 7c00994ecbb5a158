import type { IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import { folded } from '../base/folded';
import { type Row, textOf } from '../base/table';
import type { Minor } from '../money/minor';
import { PAGE } from '../words/paper-words';
import { dayIn } from './list-table';
import type { StatementEntry } from './statement';
import type { BankTable } from './statement-columns';

export interface TableEntry extends StatementEntry {
  readonly account: string;
  /** What stands in the account after it, where the table says so. */
  readonly balance: Minor | null;
  readonly currency: Currency | '';
  /** The amount says its side itself. */
  readonly spoken: boolean;
  /** What stands in each of the columns of amounts that nothing is known of. */
  readonly beside: readonly Minor[];
}

/** What a row of a bank's table is by itself: an entry, one that does not read, one that is only announced, or none. */
export type RowRead = TableEntry | 'unread' | 'pending' | undefined;

export const textsIn = ({ texts }: Pick<BankTable, 'texts'>, row: Row): string =>
  texts
    .map((where) => textOf(row[where]))
    .filter((one) => one !== '')
    .join(' ');

/** Whether a row goes on with what the entry above it says: it has nothing but words, below its words, and days stand before those. */
const goesOn = ({ texts, at }: BankTable, row: Row): boolean => {
  const filled = row.flatMap((cell, column) => (textOf(cell) === '' ? [] : [column]));
  const day = at('date') < 0 ? at('valueDate') : at('date');
  return (
    filled.length > 0 &&
    filled.every((column) => column > day && texts.includes(column)) &&
    PAGE.in(folded(textsIn({ texts }, row))) === undefined
  );
};

/** What begins an entry whose amount stands in a line below: its days and its first words. */
interface Begun {
  readonly date: IsoDate;
  readonly valueDate: IsoDate | null;
  readonly text: string;
}

/** A row with a day and words, but no amount. */
const begunIn = ({ list, at, texts, spare }: BankTable, row: Row): Begun | undefined => {
  const [date, valueDate] = (['date', 'valueDate'] as const).map((column) => dayIn(list, textOf(row[at(column)])));
  const text = textsIn({ texts }, row);
  const empty = [...(['amount', 'in', 'out', 'balance'] as const).map(at), ...spare].every(
    (column) => !/\d/.test(textOf(row[column])),
  );
  return date === undefined || text === '' || !empty ? undefined : { date, valueDate: valueDate ?? null, text };
};

/** Entries of a bank's table that are printed in several lines. */
export class Lines {
  /** An entry that began with its day, and whose amount is to come. */
  #begun: Begun | undefined;
  /** Words with a mark of the kind of entry: of the next one, where that has no mark of its own, else of the one before. */
  #ahead = '';

  constructor(
    private readonly bank: BankTable,
    private readonly entries: TableEntry[],
  ) {}

  /** The day of a row that has none of its own. */
  get day(): IsoDate | undefined {
    return this.#begun?.date ?? this.entries.at(-1)?.date ?? undefined;
  }

  #goOn(words: string): void {
    const last = this.entries.at(-1);
    if (last !== undefined && words !== '')
      this.entries[this.entries.length - 1] = { ...last, text: `${last.text} ${words}` };
  }

  /** Takes a row that is a part of an entry, or makes one whole; false where it stands for itself. */
  takes(row: Row, read: RowRead, account: string): boolean {
    const { bank } = this;
    const entry = typeof read === 'string' ? undefined : read;
    const begun = this.#begun;
    this.#begun = undefined;
    if (begun !== undefined) {
      const own = dayIn(bank.list, textOf(row[bank.at('date')]));
      if (entry !== undefined && own === undefined) {
        const text = `${begun.text} ${entry.text}`;
        this.entries.push({ ...entry, account, valueDate: begun.valueDate ?? entry.valueDate, text });
        return true;
      }
      if (read === undefined && goesOn(bank, row)) {
        this.#begun = { ...begun, text: `${begun.text} ${textsIn(bank, row)}` };
        return true;
      }
    }
    this.#begun = read === undefined ? begunIn(bank, row) : undefined;
    if (this.#begun !== undefined) return true;
    const marked = bank.texts.length > 1 && textOf(row[bank.texts[0] ?? -1]) !== '';
    const ahead = this.#ahead;
    this.#ahead = '';
    if (ahead !== '' && entry !== undefined && !marked) {
      this.entries.push({ ...entry, account, text: `${ahead} ${entry.text}` });
      return true;
    }
    this.#goOn(ahead);
    if (read !== undefined || this.entries.length === 0 || !goesOn(bank, row)) return false;
    if (marked) this.#ahead = textsIn(bank, row);
    else this.#goOn(textsIn(bank, row));
    return true;
  }

  /** What still waits for the next entry is of the last one. */
  end(): void {
    this.#goOn(this.#ahead);
    this.#ahead = '';
  }
}
