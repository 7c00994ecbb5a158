import type { IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import XMLBuilder from 'fast-xml-builder';
import { UNKNOWN } from '../files/audit-file';
import { xmlText } from '../files/xml';
import { plainDecimal } from '../money/format';
import { type Minor, NIL, abs, subtract } from '../money/minor';
import type { Account, AccountId } from './account';
import { typeOf } from '../ledger/classes';
import { inTreeOrder } from './tree';

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
  readonly currency: Currency;
  /** ISO dates. */
  readonly from: IsoDate | '';
  readonly to: IsoDate | '';
  readonly created: IsoDate;
}

/** A customer or supplier as an audit file has them. */
export interface AuditParty {
  readonly kind: 'customer' | 'supplier';
  readonly code: string;
  readonly name: string;
  readonly taxNumber: string;
  /** ISO 3166-1 alpha-2, or empty. */
  readonly country: string;
  /** The code of their control account. */
  readonly account: string;
  /** What they owe (positive) or are owed, in base currency; null where a rate is missing. */
  readonly opening: Minor | null;
}

interface AuditThing {
  readonly code: string;
  readonly name: string;
  /** The code of the account that it stands on. */
  readonly account: string;
}

/** An article of stock as an audit file has it; empty texts and null where nothing is known. Value in base currency. */
export interface AuditStock extends AuditThing {
  readonly category: string;
  readonly unit: string;
  readonly place: string;
  /** Plain decimals. */
  readonly quantity: string;
  readonly unitCost: string;
  readonly value: Minor | null;
}

/** A fixed asset as an audit file has it; what it cost and what of it is written off in base currency, both above nil. */
export interface AuditAsset extends AuditThing {
  readonly acquired: string | null;
  readonly lifeMonths: number | null;
  readonly method: string;
  readonly cost: Minor | null;
  readonly depreciation: Minor | null;
}

/** What is not said is left out. */
const said = (texts: Readonly<Record<string, string | undefined>>): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(texts).flatMap(([tag, text]) => (text === undefined || text === '' ? [] : [[tag, xmlText(text)]])),
  );

/** Articles, and what is there of each, under the names and in the order that the standard has for them. */
const stockFiles = (stock: readonly AuditStock[], amount: (of: Minor) => string): Readonly<Record<string, object>> => {
  if (stock.length === 0) return {};
  const codeOf = ({ code, name }: AuditStock): string => (code === '' ? name : code);
  return {
    Products: {
      Product: stock.map((one) =>
        said({
          ProductCode: codeOf(one),
          ProductGroup: one.category,
          Description: one.name || codeOf(one),
          UOMBase: one.unit || UNKNOWN,
        }),
      ),
    },
    PhysicalStock: {
      PhysicalStockEntry: stock.map((one) => {
        const value = one.value === null ? undefined : amount(one.value);
        return said({
          WarehouseID: one.place || UNKNOWN,
          ProductCode: codeOf(one),
          StockAccountNo: one.account,
          UOMPhysicalStock: one.unit || UNKNOWN,
          UOMToUOMBaseConversionFactor: '1',
          UnitPrice: one.unitCost,
          // Nothing is entered yet, so stock closes as it opens.
          OpeningStockQuantity: one.quantity || '0',
          OpeningStockValue: value,
          ClosingStockQuantity: one.quantity || '0',
          ClosingStockValue: value,
        });
      }),
    },
  };
};

const assetFiles = (assets: readonly AuditAsset[], amount: (of: Minor) => string): Readonly<Record<string, object>> => {
  if (assets.length === 0) return {};
  return {
    Assets: {
      Asset: assets.map(({ code, name, account, acquired, lifeMonths, method, cost, depreciation }) => {
        const book = cost === null || depreciation === null ? null : subtract(cost, depreciation);
        const written = (of: Minor | null): string | undefined => (of === null ? undefined : amount(of));
        return {
          ...said({
            AssetID: code === '' ? name : code,
            AccountID: account,
            Description: name === '' ? code : name,
            DateOfAcquisition: acquired ?? undefined,
            StartUpDate: acquired ?? undefined,
          }),
          Valuations: {
            Valuation: said({
              AssetValuationType: 'Commercial',
              AcquisitionAndProductionCostsBegin: written(cost),
              AcquisitionAndProductionCostsEnd: written(cost),
              AssetLifeMonth: lifeMonths === null ? undefined : String(lifeMonths),
              BookValueBegin: written(book),
              DepreciationMethod: method,
              AccumulatedDepreciation: written(depreciation),
              BookValueEnd: written(book),
            }),
          },
        };
      }),
    },
  };
};

/**
 * The chart as the master files of an audit file: type, statement line (as grouping category) and heading (as grouping
 * code); with opening balances, debit positive in minor units, and the customers, suppliers, stock and assets behind them, where they are given.
 */
export const writeSaft = (
  chart: readonly Account[],
  facts: AuditFileFacts,
  openings?: {
    readonly amounts: ReadonlyMap<AccountId, Minor>;
    readonly digits: number;
    readonly parties: readonly AuditParty[];
    readonly stock: readonly AuditStock[];
    readonly assets: readonly AuditAsset[];
  },
): string => {
  const amount = (of: Minor): string => plainDecimal(of, openings?.digits ?? 0);
  /** Nothing is entered yet, so accounts close as they open. */
  const balance = (amount: Minor): Readonly<Record<string, string>> => {
    const side = amount < 0n ? 'Credit' : 'Debit';
    const written = plainDecimal(abs(amount), openings?.digits ?? 0);
    return { [`Opening${side}Balance`]: written, [`Closing${side}Balance`]: written };
  };
  const balances = (account: Account): Readonly<Record<string, string>> =>
    openings === undefined || account.heading ? {} : balance(openings.amounts.get(account.id) ?? NIL);
  /** The parties of a kind under the names that the standard has for them; nothing where there are none. */
  const parties = (kind: AuditParty['kind'], of: 'Customer' | 'Supplier'): Readonly<Record<string, object>> => {
    const own = openings?.parties.filter((party) => party.kind === kind) ?? [];
    if (own.length === 0) return {};
    return {
      [`${of}s`]: {
        [of]: own.map((party) => ({
          ...(party.taxNumber === '' ? {} : { RegistrationNumber: xmlText(party.taxNumber) }),
          Name: xmlText(party.name),
          ...(party.country === '' ? {} : { Address: { Country: party.country } }),
          [`${of}ID`]: xmlText(party.code === '' ? party.name : party.code),
          ...(party.account === '' ? {} : { AccountID: xmlText(party.account) }),
          ...(party.opening === null ? {} : balance(party.opening)),
        })),
      },
    };
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
        Company: { RegistrationNumber: xmlText(facts.registration), Name: xmlText(facts.company) },
        DefaultCurrencyCode: facts.currency,
        SelectionCriteria: { SelectionStartDate: facts.from, SelectionEndDate: facts.to },
        TaxAccountingBasis: 'Accounting',
      },
      MasterFiles: {
        GeneralLedgerAccounts: {
          Account: inTreeOrder(chart).map(({ account }) => {
            const parent = account.parent === null ? undefined : byId.get(account.parent);
            return {
              AccountID: xmlText(account.code === '' ? account.name : account.code),
              AccountDescription: xmlText(account.name),
              AccountType: `${TYPE_NAMES[typeOf(account.classification)]}${account.heading ? ' heading' : ''}`,
              GroupingCategory: account.classification,
              GroupingCode: parent === undefined ? '' : xmlText(parent.code === '' ? parent.name : parent.code),
              AccountCreationDate: facts.created,
              ...balances(account),
            };
          }),
        },
        ...parties('customer', 'Customer'),
        ...parties('supplier', 'Supplier'),
        ...stockFiles(openings?.stock ?? [], amount),
        ...assetFiles(openings?.assets ?? [], amount),
      },
    },
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n${body}`;
};
