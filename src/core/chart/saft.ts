import XMLBuilder from 'fast-xml-builder';
import { XMLParser } from 'fast-xml-parser';
import { decode } from '../papers/csv';
import type { Table } from '../papers/cells';
import { type Result, fail, ok, problem } from '../result';
import { plainDecimal } from '../money/format';
import { type Minor, NIL, abs } from '../money/minor';
import type { Account, AccountId } from './account';
import { typeOf } from './classes';
import { inTreeOrder } from './tree';

/** Whether bytes look like an XML file, by what they begin with. */
export const isXml = (bytes: Uint8Array): boolean => /^\s*(\ufeff)?\s*</.test(decode(bytes.subarray(0, 400)).text);

const MOST_ACCOUNTS = 100_000;

/**
 * The general-ledger accounts of a Standard Audit File for Tax (OECD SAF-T 2.0 and the national files built on it), as a
 * table with one row per account, so that it is previewed like any other list. Namespaces and prefixes do not matter.
 * Entities and document types are not read at all: such a file is refused.
 */
export const readSaft = (bytes: Uint8Array, name: string): Result<readonly Table[]> => {
  const { text } = decode(bytes);
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return fail(
      problem(
        'saft.entities',
        `${name} declares a document type or entities, which an audit file does not need. It was not read.`,
      ),
    );
  const broken = fail(
    problem(
      'saft.broken',
      `${name} is not a whole XML file: it is damaged or cut off. Export it again and bring that.`,
    ),
  );
  // The parser takes what it gets; a file that was cut off lacks the end of what it began with.
  const root = /<([\w.-]+:)?([A-Za-z][\w.-]*)[\s>]/.exec(text.replace(/<\?[^?]*\?>|<!--[^]*?-->/g, ''));
  if (root === null || !new RegExp(`</${root[1] ?? ''}${root[2] ?? ''}>\\s*$`).test(text)) return broken;
  let parsed: unknown;
  try {
    parsed = new XMLParser({
      ignoreAttributes: true,
      removeNSPrefix: true,
      parseTagValue: false,
      processEntities: true,
      isArray: (tag) => tag === 'Account',
    }).parse(mastersOf(text));
  } catch {
    return broken;
  }
  const accounts = accountsIn(parsed);
  if (accounts === undefined || accounts.length === 0)
    return fail(
      problem(
        'saft.no-accounts',
        `${name} is XML, but holds no general-ledger accounts as a Standard Audit File for Tax has them.`,
      ),
    );
  if (accounts.length > MOST_ACCOUNTS)
    return fail(
      problem('saft.many', `${name} lists ${accounts.length} accounts; ${MOST_ACCOUNTS} is the most that is read.`),
    );
  const field = (account: unknown, tag: string): string => {
    const value = isRecord(account) ? account[tag] : undefined;
    return typeof value === 'string' ? value.trim() : '';
  };
  const given = TAGS.filter((tag) => !BALANCES.has(tag) || accounts.some((account) => field(account, tag) !== ''));
  return ok([{ name, rows: [given, ...accounts.map((account) => given.map((tag) => field(account, tag)))] }]);
};

const TAGS = [
  'AccountID',
  'AccountDescription',
  'AccountType',
  'GroupingCategory',
  'GroupingCode',
  'OpeningDebitBalance',
  'OpeningCreditBalance',
  'ClosingDebitBalance',
  'ClosingCreditBalance',
] as const;
/** Columns that a list of accounts without balances does not get. */
const BALANCES: ReadonlySet<string> = new Set(TAGS.slice(5));

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

const accountsIn = (parsed: unknown): readonly unknown[] | undefined => {
  const step = (from: unknown, tag: string): unknown => (isRecord(from) ? from[tag] : undefined);
  const found = step(step(step(step(parsed, 'AuditFile'), 'MasterFiles'), 'GeneralLedgerAccounts'), 'Account');
  return Array.isArray(found) ? found : undefined;
};

/** The file without its entries, which may be a hundred times as long as what is read here. */
const mastersOf = (text: string): string => text.replace(/<((?:[\w.-]+:)?GeneralLedgerEntries)\b[^]*<\/\1\s*>/, '');

const TYPE_NAMES = {
  asset: 'Asset',
  liability: 'Liability',
  equity: 'Equity',
  income: 'Income',
  expense: 'Expense',
} as const;

export interface AuditFileFacts {
  readonly company: string;
  readonly registration: string;
  readonly country: string;
  readonly currency: string;
  /** ISO dates. */
  readonly from: string;
  readonly to: string;
  readonly created: string;
}

/**
 * The chart as the master files of an audit file: type, statement line (as grouping category) and heading (as grouping
 * code); with opening balances, debit positive in minor units, where they are given.
 */
export const writeSaft = (
  chart: readonly Account[],
  facts: AuditFileFacts,
  openings?: { readonly amounts: ReadonlyMap<AccountId, Minor>; readonly digits: number },
): string => {
  /** Nothing is entered yet, so accounts close as they open. */
  const balances = (account: Account): Readonly<Record<string, string>> => {
    if (openings === undefined || account.heading) return {};
    const amount = openings.amounts.get(account.id) ?? NIL;
    const side = amount < 0n ? 'Credit' : 'Debit';
    const written = plainDecimal(abs(amount), openings.digits);
    return { [`Opening${side}Balance`]: written, [`Closing${side}Balance`]: written };
  };
  const byId = new Map(chart.map((account) => [account.id, account]));
  const builder = new XMLBuilder({ format: true, suppressEmptyNode: false, ignoreAttributes: false });
  const body = builder.build({
    AuditFile: {
      '@_xmlns': 'urn:OECD:StandardAuditFile-Tax:2.00',
      Header: {
        AuditFileVersion: '2.00',
        AuditFileCountry: facts.country,
        AuditFileDateCreated: facts.created,
        SoftwareCompanyName: 'Bathron',
        SoftwareID: 'Bathron',
        SoftwareVersion: '0.1',
        Company: { RegistrationNumber: facts.registration, Name: facts.company },
        DefaultCurrencyCode: facts.currency,
        SelectionCriteria: { SelectionStartDate: facts.from, SelectionEndDate: facts.to },
        TaxAccountingBasis: 'Accounting',
      },
      MasterFiles: {
        GeneralLedgerAccounts: {
          Account: inTreeOrder(chart).map(({ account }) => {
            const parent = account.parent === null ? undefined : byId.get(account.parent);
            return {
              AccountID: account.code === '' ? account.name : account.code,
              AccountDescription: account.name,
              AccountType: `${TYPE_NAMES[typeOf(account.classification)]}${account.heading ? ' heading' : ''}`,
              GroupingCategory: account.classification,
              GroupingCode: parent === undefined ? '' : parent.code === '' ? parent.name : parent.code,
              AccountCreationDate: facts.created,
              ...balances(account),
            };
          }),
        },
      },
    },
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n${body}`;
};
