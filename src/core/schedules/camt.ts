import { asIsoDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { type Problem, type Result, fail, ok, problem } from '../base/result';
import { oneLine } from '../files/clean';
import { MOST_CELL_CHARACTERS, MOST_DEPTH, MOST_ENTRIES, counted } from '../files/limits';
import { decode } from '../files/text';
import { type XmlFault, xmlReader } from '../files/xml';
import { type Currency, asCurrency, minorDigits } from '../money/currency';
import { type Minor, minor, negate } from '../money/minor';
import { unitsOf } from '../money/paper-amount';
import { plainIban } from '../chart/bank';
import {
  type AccountStatement,
  type StatementBalance,
  type StatementEntry,
  type StatementsRead,
  balanceDoubts,
  noCurrency,
} from './statement';

class Past extends Error {
  constructor(readonly told: Problem) {
    super(told.code);
  }
}

/** Elements that are looked at; what is in others is not kept, whatever there is of it. */
const KEPT = new Set(
  (
    'Document BkToCstmrStmt BkToCstmrAcctRpt Stmt Rpt Id StmtPgntn FrToDt FrDtTm ToDtTm Acct IBAN Othr Ccy Bal Tp CdOrPrtry Cd Amt ' +
    'CdtDbtInd Dt DtTm Ntry Sts BookgDt ValDt NtryDtls TxDtls RmtInf Ustrd AddtlTxInf AddtlNtryInf'
  ).split(' '),
);

/** An element as far as it is needed: its text, its attributes and what is in it. */
interface Node {
  readonly name: string;
  readonly currency: string;
  text: string;
  readonly parts: Node[];
}

const child = (node: Node | undefined, ...path: readonly string[]): Node | undefined => {
  let at = node;
  for (const name of path) at = at?.parts.find((part) => part.name === name);
  return at;
};
const children = (node: Node, name: string): readonly Node[] => node.parts.filter((part) => part.name === name);
const textOf = (node: Node | undefined): string => oneLine(node?.text ?? '');

/** A day, or the day of a moment. */
const dayOf = (node: Node | undefined): IsoDate | null => {
  const text = textOf(child(node, 'Dt')) || textOf(child(node, 'DtTm')) || textOf(node);
  return asIsoDate(text.slice(0, 10)) ?? null;
};

/** An amount in minor units of its currency, positive where money came in; undefined where it is none. */
const amountOf = (node: Node | undefined, digits: number): Minor | undefined => {
  const [, whole = '', fraction = ''] = /^\+?(\d{1,15})(?:\.(\d{0,5}))?$/.exec(textOf(child(node, 'Amt'))) ?? [];
  if (whole === '') return undefined;
  const units = unitsOf({ coefficient: BigInt(whole + fraction), scale: fraction.length }, digits);
  const side = textOf(child(node, 'CdtDbtInd'));
  if (units === undefined || (side !== 'CRDT' && side !== 'DBIT')) return undefined;
  return side === 'CRDT' ? minor(units.amount) : negate(minor(units.amount));
};

/** Booked entries count; those that are only announced are in no balance. Version 8 has the status in an element of its own. */
const isBooked = (entry: Node): boolean => {
  const status = textOf(child(entry, 'Sts', 'Cd')) || textOf(child(entry, 'Sts'));
  return status === '' || status === 'BOOK';
};

/** What an entry says: of its payments, else of itself. */
const wordsOf = (entry: Node): string => {
  const payments = children(entry, 'NtryDtls').flatMap((details) => children(details, 'TxDtls'));
  const said = payments.flatMap((payment) => {
    const remittance = child(payment, 'RmtInf');
    const free = remittance === undefined ? [] : children(remittance, 'Ustrd').map(textOf);
    return free.length > 0 ? free : [textOf(child(payment, 'AddtlTxInf'))];
  });
  const words = said.filter((one) => one !== '').join(' ');
  return words === '' ? textOf(child(entry, 'AddtlNtryInf')) : words;
};

/** The opening balance of a statement: booked at its beginning, or the closing one of the statement before. */
const OPENING = ['OPBD', 'PRCD'];
const CLOSING = ['CLBD'];

const balanceOf = (statement: Node, codes: readonly string[], digits: number): StatementBalance | null => {
  for (const code of codes)
    for (const balance of children(statement, 'Bal')) {
      if (textOf(child(balance, 'Tp', 'CdOrPrtry', 'Cd')) !== code) continue;
      const amount = amountOf(balance, digits);
      if (amount !== undefined) return { date: dayOf(child(balance, 'Dt')), amount };
    }
  return null;
};

/** The day of a moment as it is written, whatever zone stands behind it. */
const spanOf = (statement: Node, name: string): IsoDate | null =>
  asIsoDate(textOf(child(statement, 'FrToDt', name)).slice(0, 10)) ?? null;

const accountOf = (node: Node): string => {
  const account = child(node, 'Acct');
  const iban = plainIban(textOf(child(account, 'Id', 'IBAN')));
  return iban === '' ? textOf(child(account, 'Id', 'Othr', 'Id')) : iban;
};

/** The currency of a statement as it is written: the account's, else that of its first amounts. */
const currencyOf = (node: Node): string =>
  textOf(child(node, 'Acct', 'Ccy')) ||
  (child(node, 'Bal', 'Amt')?.currency ?? '') ||
  (child(node, 'Ntry', 'Amt')?.currency ?? '');

const statementOf = (
  node: Node,
  currency: Currency,
  at: number,
): { readonly read: AccountStatement; readonly doubts: readonly Problem[] } => {
  const digits = minorDigits(currency);
  const doubts: Problem[] = [];
  const doubt = (code: string, message: string): void => void doubts.push(problem(code, message, at));
  const entries = children(node, 'Ntry')
    .filter(isBooked)
    .flatMap((entry, place): readonly StatementEntry[] => {
      const amount = amountOf(entry, digits);
      if (amount === undefined) {
        doubt('statement.entry', `Entry ${String(place + 1)} has no amount that reads, so it is left out.`);
        return [];
      }
      const other = child(entry, 'Amt')?.currency ?? '';
      if (other !== '' && other !== currency)
        doubt('statement.currency', `Entry ${String(place + 1)} is in ${other}, the account in ${currency}.`);
      return [
        { date: dayOf(child(entry, 'BookgDt')), valueDate: dayOf(child(entry, 'ValDt')), amount, text: wordsOf(entry) },
      ];
    });
  const opening = balanceOf(node, OPENING, digits);
  const closing = balanceOf(node, CLOSING, digits);
  const read: AccountStatement = {
    account: accountOf(node),
    currency,
    digits,
    from: spanOf(node, 'FrDtTm') ?? opening?.date ?? null,
    to: spanOf(node, 'ToDtTm') ?? closing?.date ?? null,
    opening,
    closing,
    entries,
  };
  doubts.push(...balanceDoubts(read, at));
  return { read, doubts };
};

const refused = (fault: XmlFault, name: string): Result<never> =>
  fail(
    fault === 'entities'
      ? problem(
          'statement.entities',
          `${name} declares a document type or entities, which a bank’s statement does not need. It was not read.`,
        )
      : fault === 'deep'
        ? problem(
            'statement.deep',
            `${name} has elements more than ${String(MOST_DEPTH)} deep in each other, which no statement has. It was not read.`,
          )
        : problem('statement.broken', `${name} is XML that does not read to its end. Fetch it from the bank again.`),
  );

/** A file that goes on in pages has one statement after the other of the same account and number: they are one. */
const joined = (nodes: readonly Node[]): readonly Node[] => {
  const found: Node[] = [];
  for (const node of nodes) {
    const last = found.at(-1);
    const same =
      last !== undefined &&
      textOf(child(last, 'Id')) !== '' &&
      textOf(child(last, 'Id')) === textOf(child(node, 'Id')) &&
      textOf(child(last, 'Acct', 'Id', 'IBAN')) === textOf(child(node, 'Acct', 'Id', 'IBAN')) &&
      textOf(child(last, 'Acct', 'Id', 'Othr', 'Id')) === textOf(child(node, 'Acct', 'Id', 'Othr', 'Id')) &&
      child(node, 'StmtPgntn') !== undefined;
    if (same) last.parts.push(...node.parts.filter(({ name }) => name === 'Ntry' || name === 'Bal'));
    else found.push(node);
  }
  return found;
};

/**
 * The statements of an ISO 20022 file (camt.053 of any version; camt.052 reads alike): balances and booked entries, money in the bank
 * positive. What is only announced is left out; opening balance and entries are compared with the closing balance.
 */
export const readCamt = (bytes: Uint8Array, name: string): Result<StatementsRead> => {
  const root: Node = { name: '', currency: '', text: '', parts: [] };
  const open: Node[] = [root];
  let entries = 0;
  // How deep the reader is inside of an element that is not kept.
  let aside = 0;
  const reader = xmlReader({
    open: ({ name: called, attributes }) => {
      if (aside > 0 || !KEPT.has(called)) {
        aside += 1;
        return;
      }
      const node: Node = { name: called, currency: attributes.Ccy ?? '', text: '', parts: [] };
      if (called === 'Ntry') {
        entries += 1;
        if (entries > MOST_ENTRIES)
          throw new Past(
            problem(
              'statement.many',
              `${name} has more than ${counted(MOST_ENTRIES)} entries, which is the most that is read.`,
            ),
          );
      }
      open.at(-1)?.parts.push(node);
      open.push(node);
    },
    text: (text) => {
      const node = open.at(-1);
      if (node === undefined || aside > 0) return;
      node.text += text;
      if (node.text.length > MOST_CELL_CHARACTERS)
        throw new Past(
          problem(
            'statement.long',
            `${name} has an element of more than ${counted(MOST_CELL_CHARACTERS)} characters, which is the most that is read.`,
          ),
        );
    },
    close: () => {
      if (aside > 0) aside -= 1;
      else open.pop();
    },
  });
  let fault: XmlFault | undefined;
  try {
    const { text } = decode(bytes);
    fault = reader.push(text.replace(/^\ufeff/, '').trimStart()) ?? reader.end();
  } catch (error) {
    if (!(error instanceof Past)) throw error;
    return fail(error.told);
  }
  if (fault !== undefined) return refused(fault, name);
  const message = child(root, 'Document')?.parts.find((part) => /^BkToCstmr(Stmt|AcctRpt)$/.test(part.name));
  const nodes =
    message === undefined ? [] : message.parts.filter((part) => part.name === 'Stmt' || part.name === 'Rpt');
  if (nodes.length === 0)
    return fail(
      problem(
        'statement.none',
        `${name} is XML, but holds no statement of a bank account as ISO 20022 has them (camt.053). Ask the bank for that format, or bring the statement as CSV.`,
      ),
    );
  const found = joined(nodes).map((node) => ({ node, currency: asCurrency(currencyOf(node)) }));
  const unread = found.flatMap(({ node, currency }) =>
    currency === undefined ? [noCurrency(currencyOf(node), accountOf(node))] : [],
  );
  const read = found
    .flatMap(({ node, currency }) => (currency === undefined ? [] : [{ node, currency }]))
    .map(({ node, currency }, at) => statementOf(node, currency, at));
  if (read.length === 0) return fail(...unread);
  return ok({ statements: read.map((one) => one.read), doubts: [...unread, ...read.flatMap(({ doubts }) => doubts)] });
};
