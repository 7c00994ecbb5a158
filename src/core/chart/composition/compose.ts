import { type Currency } from '../../money/currency';
import { addTo } from '../../base/lists';
import { hasFunds, legalFormLabel } from '../../company/legal-form';
import type { AccountRole, Classification } from '../../ledger/classes';
import { type Answers, MOST_BANK_CURRENCIES, PREMISES, QUESTIONS, TRADES } from './answers';
import {
  type Condition,
  type Entry,
  FIRST_FOREIGN_BANK,
  FOREIGN_BANK_STEP,
  GROUPS,
  HEADINGS,
  type HeadingEntry,
  WORDING,
} from './catalogue';

/** An account of a composed chart; `parent` is the code of its heading, which stands before it in the list. */
export interface ComposedAccount {
  readonly code: string;
  readonly name: string;
  readonly classification: Classification;
  readonly heading: boolean;
  readonly parent: string | null;
  readonly role: AccountRole | null;
  readonly currency: Currency | null;
  readonly contra: boolean;
  /** Which answer brought it, as a sentence. */
  readonly origin: string;
}

const holds = (when: Condition, answers: Answers): boolean =>
  (when.forms?.includes(answers.legalForm) ?? true) &&
  (when.trades?.some((trade) => answers.trades.includes(trade)) ?? true) &&
  (when.yes?.every((question) => answers[question]) ?? true) &&
  (when.premises?.includes(answers.premises) ?? true);

/** The answer that brought a group, in words. */
const because = (when: Condition, answers: Answers): string => {
  const reasons = [
    ...(when.forms === undefined ? [] : [`Legal form: ${legalFormLabel(answers.legalForm)}`]),
    ...(when.trades === undefined
      ? []
      : [
          `It does: ${TRADES.filter(({ id }) => when.trades?.includes(id) === true && answers.trades.includes(id))
            .map(({ label }) => label.toLowerCase())
            .join(', ')}`,
        ]),
    ...(when.yes === undefined ? [] : QUESTIONS.filter(({ id }) => when.yes?.includes(id)).map(({ yes }) => yes)),
    ...(when.premises === undefined
      ? []
      : [`Premises: ${PREMISES.find(({ id }) => id === answers.premises)?.label ?? ''}`]),
  ];
  return reasons.length === 0 ? 'Every company has it' : reasons.join('; ');
};

const inRange = (code: string, heading: HeadingEntry): boolean => heading.from <= code && code <= heading.to;

/** The broad heading of a code and, where there is one, the narrower one within it. */
const headingsOf = (code: string): { readonly broad: HeadingEntry; readonly narrow: HeadingEntry | undefined } => {
  const broad = HEADINGS.find((heading) => heading.within === undefined && inRange(code, heading));
  if (broad === undefined) throw new RangeError(`code ${code} lies under no heading`);
  return { broad, narrow: HEADINGS.find((heading) => heading.within === broad.code && inRange(code, heading)) };
};

const PLACES = new Map(GROUPS.flatMap((group) => group.accounts.map(([code]) => [code, headingsOf(code)])));

/**
 * The chart for a company that gave these answers: what every company has, and what each answer adds, under headings of
 * which none is empty. In the order of the tree: by code, a heading before what stands under it.
 */
export const compose = (answers: Answers): readonly ComposedAccount[] => {
  const words = answers.vocabulary === 'international' ? {} : WORDING[answers.vocabulary];
  const posting: { entry: Entry; origin: string; currency: Currency | null }[] = [];
  for (const group of GROUPS) {
    if (!holds(group.when, answers)) continue;
    const origin = because(group.when, answers);
    for (const entry of group.accounts) posting.push({ entry, origin, currency: null });
  }
  (answers.foreign ? answers.currencies : []).slice(0, MOST_BANK_CURRENCIES).forEach((currency, at) =>
    posting.push({
      entry: [String(FIRST_FOREIGN_BANK + at * FOREIGN_BANK_STEP), `Bank account in ${currency}`, 'bank'],
      origin: `It works in ${currency}`,
      currency,
    }),
  );
  const crowd = new Map<string, number>();
  for (const { entry } of posting) {
    const narrow = PLACES.get(entry[0])?.narrow?.code;
    if (narrow !== undefined) crowd.set(narrow, (crowd.get(narrow) ?? 0) + 1);
  }
  const accounts = new Map<string, ComposedAccount>();
  const stand = (heading: HeadingEntry): void => {
    if (accounts.has(heading.code)) return;
    accounts.set(heading.code, {
      code: heading.code,
      name: heading.code === '3000' && hasFunds(answers.legalForm) ? 'Funds' : heading.name,
      classification: heading.classification,
      heading: true,
      parent: heading.within ?? null,
      role: null,
      currency: null,
      contra: false,
      origin: 'The heading of what stands under it',
    });
  };
  for (const { entry, origin, currency } of posting) {
    const [code, name, what = null] = entry;
    const { broad, narrow } = PLACES.get(code) ?? headingsOf(code);
    const under = narrow !== undefined && (crowd.get(narrow.code) ?? 0) > 1 ? narrow : broad;
    stand(broad);
    stand(under);
    accounts.set(code, {
      code,
      name: words[code] ?? name,
      classification: under.classification,
      heading: false,
      parent: under.code,
      role: what === 'contra' ? null : what,
      currency,
      contra: what === 'contra' || what === 'accumulated-depreciation',
      origin,
    });
  }
  return inTree(accounts);
};

/** By code, what stands under a heading directly below it. */
const inTree = (accounts: ReadonlyMap<string, ComposedAccount>): readonly ComposedAccount[] => {
  const under = new Map<string | null, ComposedAccount[]>();
  for (const account of [...accounts.values()].sort((a, b) => (a.code < b.code ? -1 : 1))) {
    addTo(under, account.parent, account);
  }
  const rows: ComposedAccount[] = [];
  const walk = (parent: string | null): void => {
    for (const account of under.get(parent) ?? []) {
      rows.push(account);
      if (account.heading) walk(account.code);
    }
  };
  walk(null);
  return rows;
};

/** The roles that a company with these answers needs an account for. */
export const neededRoles = (answers: Answers): readonly AccountRole[] => [
  'bank',
  'retained-earnings',
  'current-year-result',
  ...(answers.credit ? (['receivables-control', 'payables-control'] as const) : []),
  ...(answers.stock ? (['stock'] as const) : []),
  ...(answers.loans ? (['loan'] as const) : []),
  ...(answers.salesTax ? (['tax'] as const) : []),
  ...(answers.foreign ? (['exchange-realised', 'exchange-unrealised', 'rounding'] as const) : []),
];
