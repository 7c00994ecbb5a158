import { dated, say } from '../../base/sentence';
import { type PlainDate, plainDate } from '../../base/dates';
import type { IsoDate } from '../../base/iso-date';
import { type Problem, problem, quoted } from '../../base/result';
import type { Account, AccountId } from '../../chart/account';
import type { SpanRule } from '../../company/facts';
import { type Currency, minorDigits } from '../../money/currency';
import { type Minor, NIL, abs, minor, negate, subtract, sum } from '../../money/minor';
import { type Decimal, decimalOf, plainRate } from '../../money/rate';
import { divideRounded } from '../../money/rounding';
import type { Contact, ContactFields } from '../contact';
import { type IncomingItem, contactFinder, rescaled } from '../from-list';
import { type ItemFields, blankItem } from '../item';
import { type ThingKind, ownSide } from '../kinds';
import type {
  Listed,
  ListedAsset,
  ListedHolding,
  ListedLoan,
  ListedPayment,
  ListedReturn,
  ListedSpan,
  ListedStock,
  RegisterRead,
} from '../registers/read-register';
import type { RegisterKind } from '../registers/register-words';
import { afterOf, articleValue, dividedLoan } from './cells';
import { type Detail, NO_DETAIL, isKept, withDetail } from './detail';
import { methodOf } from './depreciation';
import { type PriceField, levelsOfColumns } from './prices';

/** A row of a register as an item, on the account that its class or category belongs to. */
export interface IncomingThing extends IncomingItem {
  readonly account: AccountId;
  readonly group: string;
}

export interface RegisterRules {
  readonly schedule: ThingKind;
  /** The account whose page the list was brought to. */
  readonly account: Account;
  readonly accounts: readonly Account[];
  /** The account of each class or category of the list; the page's own where none is said. */
  readonly places: ReadonlyMap<string, AccountId>;
  /** Where the second amounts of an account's items stand. */
  readonly besideOf: (account: Account) => AccountId | null;
  readonly base: Currency;
  readonly openingDate: PlainDate;
  readonly spans: SpanRule;
  readonly contacts: readonly Contact[];
  /** The names of the company's price levels. */
  readonly levels: readonly string[];
}

interface Row {
  readonly listed: Listed[RegisterKind];
  readonly group: string;
  readonly fields: Pick<ItemFields, 'number' | 'note' | 'date' | 'due' | 'detail'> &
    Partial<Pick<ItemFields, 'reference'>>;
  /** Magnitudes on the schedule's own side, in the list's decimals. */
  readonly open: Minor | null;
  readonly original: Minor | null;
  readonly beside: Minor | null;
  /** Who it is with: a lender, whoever is paid beforehand. */
  readonly who?: string | null;
  readonly problems: readonly Problem[];
}

const details = (pairs: Readonly<Partial<Record<keyof Detail, string | null>>>): Detail =>
  Object.entries(pairs).reduce<Detail>(
    (detail, [field, value]) => withDetail(detail, field as keyof Detail, value),
    NO_DETAIL,
  );

const cut = (text: string | null, most = 120): string => (text ?? '').slice(0, most);
/** A decimal with more digits than are kept says nothing that can be kept. */
const kept = (text: string | null): string | null => (text === null || !isKept('quantity', text) ? null : text);

const out = (row: number, message: Parameters<typeof problem>[1]): readonly Problem[] => [
  problem('thing.out', message, row),
];

const assetRow = (listed: ListedAsset, digits: number, to: number): Row => ({
  listed,
  group: cut(listed.class),
  fields: {
    number: cut(listed.code),
    note: cut(listed.name, 500),
    date: listed.acquired,
    due: null,
    detail: details({
      life: listed.lifeMonths === null ? null : String(Math.min(9999, listed.lifeMonths)),
      rate: kept(listed.rate),
      method: listed.method === null ? null : (methodOf(listed.method) ?? null),
      residual: listed.residual === null ? null : String(rescaled(listed.residual, digits, to) ?? ''),
    }),
  },
  open: listed.cost,
  original: null,
  beside:
    listed.depreciation ?? (listed.cost === null || listed.net === null ? null : subtract(listed.cost, listed.net)),
  problems:
    listed.disposed === null
      ? []
      : out(
          listed.row,
          listed.disposed === ''
            ? `Row ${listed.row} is not owned any more, so it stays out.`
            : say`Row ${listed.row} went on ${dated(listed.disposed)}, so it stays out.`,
        ),
});

/** A price of ten to the power of so many pieces as that of one. */
const perPiece = ({ coefficient, scale }: Decimal, powers: number): Decimal => ({ coefficient, scale: scale + powers });

const stockRow = (
  listed: ListedStock,
  digits: number,
  currency: Currency,
  levels: readonly (PriceField | undefined)[],
): Row => {
  const [quantity, cost] = [kept(listed.quantity), kept(listed.unitCost)];
  const signed = (text: string) => {
    const { coefficient, scale } = decimalOf(text.replace('-', ''));
    return { coefficient: text.startsWith('-') ? -coefficient : coefficient, scale };
  };
  const worked = quantity === null || cost === null ? null : articleValue(signed(quantity), signed(cost), currency);
  // A price for so many pieces becomes that of one.
  const per = /^10{1,4}$/.exec(listed.unit ?? '')?.[0];
  const inList = worked === null ? undefined : rescaled(worked, minorDigits(currency), digits);
  const far = listed.value !== null && inList !== undefined && abs(subtract(inList, listed.value)) > 1n;
  const each =
    cost === null || per === undefined || !far ? cost : kept(plainRate(perPiece(signed(cost), per.length - 1)));
  const value = listed.value ?? (worked === null ? null : (rescaled(worked, minorDigits(currency), digits) ?? null));
  return {
    listed,
    group: cut(listed.category),
    fields: {
      number: cut(listed.code),
      note: cut(listed.name, 500),
      date: listed.counted,
      due: null,
      detail: details({
        unit: cut(listed.unit, 20),
        quantity,
        cost: each,
        ...Object.fromEntries(
          levels.flatMap((field, at) => (field === undefined ? [] : [[field, kept(listed.prices[at] ?? null)]])),
        ),
        place: cut(listed.place),
        category: cut(listed.category),
      }),
    },
    open: value,
    original: null,
    beside: listed.writeDown === null ? null : abs(listed.writeDown),
    problems: [],
  };
};

const spanRow = (listed: ListedSpan, rules: RegisterRules): Row => {
  const { schedule } = rules;
  const fields = {
    number: cut(listed.code),
    note: cut(listed.name, 500),
    date: listed.from,
    due: listed.to,
    detail: NO_DETAIL,
  };
  // What a list does not say is worked out.
  const item = { ...blankItem(schedule, rules.base), ...fields, original: listed.amount };
  const after = listed.remaining ?? afterOf(item, rules) ?? null;
  return {
    listed,
    group: '',
    fields,
    open: after,
    original: listed.amount,
    beside: null,
    who: listed.supplier,
    problems: [],
  };
};

const holderRow = (listed: ListedHolding): Row => ({
  listed,
  group: '',
  fields: {
    number: '',
    note: cut(listed.class, 500),
    date: listed.since,
    due: null,
    detail: details({ shares: kept(listed.shares), nominal: kept(listed.nominal) }),
  },
  open: listed.paid,
  original: null,
  beside: null,
  who: listed.holder,
  problems: [],
});

const returnRow = (listed: ListedReturn): Row => ({
  listed,
  group: '',
  fields: {
    number: cut(listed.code),
    reference: cut(listed.period),
    note: cut(listed.name, 500),
    date: listed.date,
    due: listed.due,
    detail: NO_DETAIL,
  },
  open: listed.amount,
  original: null,
  beside: null,
  problems: [],
});

const loanRow = (listed: ListedLoan, digits: number, to: number): Row => ({
  listed,
  group: '',
  fields: {
    number: cut(listed.code),
    note: cut(listed.name, 500),
    date: listed.begun,
    due: listed.last,
    detail: details({
      rate: kept(listed.rate),
      every: listed.every === null ? null : String(listed.every),
      instalment: listed.instalment === null ? null : String(rescaled(listed.instalment, digits, to) ?? ''),
    }),
  },
  open: listed.outstanding,
  original: listed.lent,
  beside: listed.within,
  who: listed.lender,
  problems: [],
});

/** The one loan of which a file is the plan: what is owed on the opening date, and what of it falls due within a year. */
const loanOf = (payments: readonly ListedPayment[], { openingDate }: RegisterRules, name: string): Row | undefined => {
  const daily = payments.filter((one): one is ListedPayment & { readonly date: IsoDate } => one.date !== null);
  const sorted = [...daily].sort((one, other) => (one.date < other.date ? -1 : one.date > other.date ? 1 : 0));
  const [first] = sorted;
  const last = sorted.at(-1);
  if (first === undefined || last === undefined) return undefined;
  const day = openingDate.toString();
  const paid = sorted.filter(({ date }) => date <= day);
  const left = sorted.filter(({ date }) => date > day);
  const principal = (of: readonly ListedPayment[]): Minor => sum(of.map((one) => one.principal ?? NIL));
  const owed = paid.at(-1)?.outstanding ?? principal(left);
  const year = openingDate.add({ years: 1 }).toString();
  const within = principal(left.filter(({ date }) => date <= year));
  const second = sorted[1];
  const every = second === undefined ? 1 : Math.max(1, plainDate(first.date).until(plainDate(second.date).add({ days: 3 }), { largestUnit: 'months' }).months); // prettier-ignore
  const rate = rateOf(sorted, every);
  const before = plainDate(first.date).subtract({ months: every });
  // Payments on the last days of months begin on one.
  const monthEnds = sorted.every(({ date }) => plainDate(date).day === plainDate(date).daysInMonth);
  const begun = monthEnds ? before.with({ day: before.daysInMonth }) : before;
  const same = new Set(left.slice(0, -1).map(({ instalment }) => instalment)).size === 1;
  return {
    listed: last,
    group: '',
    fields: {
      number: '',
      note: cut(name.replace(/\.\w{2,4}$/, ''), 500),
      // A plan's payments begin one step after the loan.
      date: begun.toString(),
      due: last.date,
      detail: details({ every: String(every), rate, instalment: same ? String(left[0]?.instalment ?? '') : null }),
    },
    open: owed,
    original: principal(sorted),
    beside: within,
    problems: [],
  };
};

/** The yearly rate that a plan's first interest is of, in percent with two decimals; null where it says none. */
const rateOf = (payments: readonly ListedPayment[], every: number): string | null => {
  const [first, second] = payments;
  const before = first?.outstanding;
  if (second?.interest == null || before == null || before <= 0n) return null;
  const hundredths = divideRounded(second.interest * 120_000n, before * BigInt(every));
  return kept(`${hundredths / 100n}.${String(hundredths % 100n).padStart(2, '0')}`);
};

/**
 * The rows of a register as items, each on the account of its class or category; amounts in the decimals of the account's currency. What
 * has gone stays out, with the reason. Lenders, and those who are paid beforehand, are found among the contacts, or to be made.
 */
export const incomingThings = (
  read: RegisterRead,
  rules: RegisterRules,
  name: string,
): {
  readonly items: readonly IncomingThing[];
  readonly contacts: readonly ContactFields[];
  readonly doubts: readonly Problem[];
} => {
  const { schedule, account: page, base } = rules;
  const byId = new Map(rules.accounts.map((one) => [one.id, one]));
  const levels = levelsOfColumns(read.prices, rules.levels);
  const rows = rowsOf(read, rules, name, levels);
  const { contactOf, made } = contactFinder(rules.contacts, schedule === 'span' ? 'supplier' : 'other');
  const items = rows.map(({ listed, group, fields, open, original, beside, who = null, problems }): IncomingThing => {
    const account = byId.get(rules.places.get(group) ?? page.id) ?? page;
    const currency = account.currency ?? base;
    const to = minorDigits(currency);
    const [own, whole, second] = [open, original, beside].map((amount) => amount === null ? null : rescaled(amount, read.digits, to)); // prettier-ignore
    const side = ownSide(schedule, account);
    const signed = (amount: Minor | null | undefined): Minor | null =>
      amount == null ? null : side < 0 ? negate(amount) : amount;
    const lost = [own, whole, second].includes(undefined);
    const besideAccount = rules.besideOf(account);
    const { id, makes } = contactOf({ contactCode: null, contactName: who });
    const plain = {
      ...blankItem(schedule, currency),
      ...fields,
      contact: id,
      original: signed(whole),
      ...amountsOf(schedule, signed(own) ?? NIL, signed(second), besideAccount),
    };
    // What of a loan falls due within a year is worked out where the list does not say it.
    const item =
      schedule === 'loan' && second === null && plain.besideAccount !== null
        ? dividedLoan(plain, own ?? NIL, { schedule, account, openingDate: rules.openingDate })
        : plain;
    return {
      row: listed.row,
      makes,
      account: account.id,
      group,
      item,
      problems: [
        ...problems,
        ...(lost
          ? [problem('item.decimals', `An amount of row ${listed.row} has more decimals than ${currency} has. Type it as it should stand.`, listed.row)] // prettier-ignore
          : []),
        ...(item.open === 0n && (item.beside ?? 0n) === 0n && problems.length === 0
          ? [problem('item.nothing', `Row ${listed.row} has no amount that could make up a figure.`, listed.row)]
          : []),
      ],
    };
  });
  const unknown = read.prices.filter((_, at) => levels[at] === undefined);
  const doubts = unknown.map((column) =>
    problem(
      'list.level',
      `${quoted(column)} holds prices, and no price level of these books is called so: they stay out. Name the level on the Company page, then bring the list again.`,
    ),
  );
  return { items, contacts: made, doubts };
};

const amountsOf = (
  schedule: ThingKind,
  open: Minor,
  beside: Minor | null,
  besideAccount: AccountId | null,
): Pick<ItemFields, 'open' | 'beside' | 'besideAccount'> => {
  if (schedule !== 'loan') return { open, beside: beside === null ? null : minor(-beside), besideAccount };
  // Of a loan the second amount is a part of the first, where it stands elsewhere.
  return besideAccount === null || beside === null
    ? { open, beside: null, besideAccount }
    : { open: subtract(open, beside), beside, besideAccount };
};

const rowsOf = (
  read: RegisterRead,
  rules: RegisterRules,
  name: string,
  levels: readonly (PriceField | undefined)[],
): readonly Row[] => {
  const currency = rules.account.currency ?? rules.base;
  const to = minorDigits(currency);
  switch (read.kind) {
    case 'assets':
      return (read.items as readonly ListedAsset[]).map((one) => assetRow(one, read.digits, to));
    case 'stock':
      return (read.items as readonly ListedStock[]).map((one) => stockRow(one, read.digits, currency, levels));
    case 'prepayments':
      return (read.items as readonly ListedSpan[]).map((one) => spanRow(one, rules));
    case 'loans': {
      const loan = loanOf(read.items as readonly ListedPayment[], rules, name);
      return loan === undefined ? [] : [loan];
    }
    case 'borrowings':
      return (read.items as readonly ListedLoan[]).map((one) => loanRow(one, read.digits, to));
    case 'holdings':
      return (read.items as readonly ListedHolding[]).map(holderRow);
    case 'returns':
      return (read.items as readonly ListedReturn[]).map(returnRow);
  }
};

/** The classes or categories of a register, one for each of its rows; "" where it says none. */
export const groupsOf = (read: RegisterRead): readonly string[] =>
  ['loans', 'borrowings', 'holdings', 'returns'].includes(read.kind)
    ? ['']
    : read.items.map((item) => cut('class' in item ? item.class : 'category' in item ? item.category : null));
