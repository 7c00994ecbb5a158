import { openingDate } from '@/core/calendar/cutover';
import { type Account, type AccountId, accountId } from '@/core/chart/account';
import type { CompanyFacts } from '@/core/company/facts';
import type { ReturnFacts } from '@/core/schedules/things/returns';
import type { PaymentTerms } from '@/core/company/terms';
import { NIL } from '@/core/money/minor';
import type { Source } from '@/core/openings/figure';
import { namedLists } from '@/core/schedules/analysis';
import type { Contact } from '@/core/schedules/contact';
import type { Item } from '@/core/schedules/item';
import { type ScheduleKind, isControlAccount, isThings, scheduleOf } from '@/core/schedules/kinds';
import { type Looked, type Tie, lacksSupport, tieOf } from '@/core/schedules/tie-out';
import { addTo } from '@/core/base/lists';
import { type CodeAmount, analysisReport } from '@/core/statements/analysis';
import { inTreeOrder } from '@/core/chart/tree';
import { codeSums, codesInUse, codesOf } from '@/store/analysis';
import { contactCount, contactsInUse, contactsOf } from '@/store/contacts';
import { evidenceOn, evidenceTo, evidenceToItems } from '@/store/evidence';
import { currentSet, linesOf, setsOf } from '@/store/openings';
import { accountsWithPapers, besideOf as besideSums, itemsOf } from '@/store/schedules';
import type { Queryable } from '@/store/database';
import type { BooksId } from '@/core/base/ids';
import { besideAccounts, partnerOf } from '@/core/schedules/things/partners';
import type { BooksState } from '../frame/state';
import { conversionsOf, ratesOf } from '../frame/ties';
import { page } from '../frame/views';

/** One account on the overview: its figure and what stands behind it. */
export interface TiedAccount {
  readonly account: Pick<Account, 'id' | 'code' | 'name' | 'classification'>;
  readonly schedule: ScheduleKind;
  readonly tie: Tie;
  /** Where its figure comes from; null where it has none. */
  readonly source: Source | null;
  /** Whether something should stand behind it and does not. */
  readonly lacks: boolean;
  /** Whether its figure or any of its items was read from a paper, or has one attached; papers attached to it are told apart. */
  readonly evidenced: boolean;
  /** Who looked at it; null where nobody did. */
  readonly looked: Looked | null;
}

/** Every balance-sheet account that has a figure or something behind it, or should have; of income and expense those that are divided. */
export const schedulesView = (id: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const set = await currentSet(tx, books.id);
    const sources = new Map(
      (set === undefined ? [] : await linesOf(tx, books.id, set.id)).map(({ account, source }) => [account, source]),
    );
    const papered = new Set(set === undefined ? [] : await accountsWithPapers(tx, books.id, set.id));
    return {
      contacts: await contactCount(tx, books.id),
      evidence: await evidenceOn(tx, books.id, 'account'),
      accounts: inTreeOrder(state.accounts).flatMap(({ account }): readonly TiedAccount[] => {
        const [schedule, tie] = [scheduleOf(account), state.ties.get(account.id)];
        if (schedule === undefined || tie === undefined) return [];
        if (schedule === 'division' && tie.state === 'none') return [];
        const role = schedule === 'customers' || schedule === 'suppliers';
        if (tie.state === 'none' && tie.figure === 0n && !(role && account.active)) return [];
        const { id: own, code, name, classification } = account;
        return [
          {
            account: { id: own, code, name, classification },
            schedule,
            tie,
            source: sources.get(account.id) ?? null,
            lacks: lacksSupport(schedule, tie),
            looked: state.behind.looked.get(account.id) ?? null,
            evidenced: sources.get(account.id) === 'paper' || papered.has(account.id),
          },
        ];
      }),
    };
  });

const controlsOf = (state: BooksState): readonly Pick<Account, 'id' | 'code' | 'name'>[] =>
  state.accounts
    .filter((account) => isControlAccount(account) && account.active)
    .map(({ id, code, name }) => ({ id, code, name }));

/** The schedule of an account: its items, what they tie to, and what is needed to type them. */
export const scheduleView = (id: number, account: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const own = state.accounts.find((one) => one.id === accountId(account));
    const schedule = own === undefined ? undefined : scheduleOf(own);
    const tie = own === undefined ? undefined : state.ties.get(own.id);
    if (own === undefined || schedule === undefined || tie === undefined) return { found: null };
    const divides = books.facts.parts.includes('dimensions');
    if (schedule === 'division' && !divides && tie.state === 'none') return { found: null };
    const set = await currentSet(tx, books.id);
    const before = (await setsOf(tx, books.id)).find(({ version }) => version < (set?.version ?? 0));
    const terms: PaymentTerms = schedule === 'suppliers' ? books.facts.supplierTerms : books.facts.customerTerms;
    return {
      found: {
        account: own,
        schedule,
        tie,
        parts: state.parts.get(own.id) ?? [],
        explained: state.behind.explained.get(own.id) ?? null,
        looked: state.behind.looked.get(own.id) ?? null,
        set: set?.id ?? 0,
        drafting: set?.state === 'draft',
        items: set === undefined ? [] : await itemsOf(tx, books.id, set.id, own.id),
        /** The version that this one corrects, with its items; null for the first one. */
        before:
          before === undefined
            ? null
            : { version: before.version, items: await itemsOf(tx, books.id, before.id, own.id) },
        contacts: await contactsOf(tx, books.id),
        lists: divides ? namedLists(books.facts.analysisLists) : [],
        codes: divides ? await codesOf(tx, books.id) : [],
        levels: books.facts.priceLevels,
        evidence: [
          ...(await evidenceTo(tx, books.id, { of: 'account', id: own.id })),
          ...(set === undefined ? [] : await evidenceToItems(tx, books.id, set.id, own.id)),
        ],
        /** The control accounts that contacts belong to. */
        controls: controlsOf(state),
        currencies: state.currencies,
        rates: ratesOf(state),
        terms,
        spans: books.facts.spans,
        /** Where the account holds sales taxes: by which returns they are declared. */
        returns: own.role === 'tax' ? returnFacts(books.facts) : null,
        ...(await besideView(tx, books.id, set?.id, own, schedule, state)),
      },
    };
  });

const returnFacts = ({ taxRegistered, taxFrom, taxFirstEnd, taxInterval }: CompanyFacts): ReturnFacts => ({
  taxRegistered,
  taxFrom,
  taxFirstEnd,
  taxInterval,
});

/** What of an account comes from the lists of others, and where the second amounts of its own items may stand. */
const besideView = async (
  tx: Queryable,
  books: BooksId,
  set: number | undefined,
  own: Account,
  schedule: ScheduleKind,
  { accounts, amounts }: Pick<BooksState, 'accounts' | 'amounts'>,
) => {
  const byId = new Map(accounts.map((one) => [one.id, one]));
  const brief = ({ id, code, name }: Account) => ({ id, code, name });
  const from = set === undefined ? [] : await besideSums(tx, books, set, own.id);
  return {
    others: from.flatMap(({ account, ...sum }) => {
      const of = byId.get(account);
      return of === undefined ? [] : [{ of: brief(of), sum }];
    }),
    besides: isThings(schedule)
      ? besideAccounts(schedule, own.id, accounts).map((one) => ({ ...brief(one), figure: amounts.get(one.id) ?? NIL }))
      : [],
    partner: schedule === 'assets' ? partnerOf(own, accounts) : null,
  };
};

export type FoundSchedule = NonNullable<NonNullable<Awaited<ReturnType<typeof scheduleView>>>['found']>;

export interface ListedContact extends Contact {
  readonly used: boolean;
}

/** The company's lists of analysis codes, and what stands on the codes of one; none while the part is not in use. */
export const analysisView = (id: number, asked: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    if (!books.facts.parts.includes('dimensions')) return { found: null };
    const lists = namedLists(books.facts.analysisLists);
    const list = lists.find((one) => one.list === asked) ?? lists[0];
    if (list === undefined) return { found: null };
    const set = await currentSet(tx, books.id);
    const codes = await codesOf(tx, books.id);
    const sums = set === undefined ? [] : await codeSums(tx, books.id, set.id, list.list);
    const rate = conversionsOf(state);
    const bySum = new Map<string, (typeof sums)[number][]>();
    for (const one of sums) addTo(bySum, `${String(one.code)} ${String(one.account)}`, one);
    const amounts = [...bySum.values()].flatMap((supported): readonly CodeAmount[] => {
      const [first] = supported;
      if (first === undefined) return [];
      const { support } = tieOf({
        figure: NIL,
        parts: [],
        base: books.currency,
        own: null,
        supported,
        closing: null,
        explained: null,
        rate,
      });
      return [{ code: first.code, account: first.account, amount: support }];
    });
    const used = await codesInUse(tx, books.id);
    return {
      found: {
        lists,
        list,
        drafting: set?.state === 'draft',
        codes: codes.filter((one) => one.list === list.list).map((one) => ({ ...one, used: used.has(one.id) })),
        document: analysisReport(
          list,
          codes,
          amounts,
          inTreeOrder(state.accounts).map(({ account }) => account),
          state.amounts,
          {
            openingDate: openingDate(books.cutover).toString(),
            currency: books.currency,
            digits: state.digits,
            draft: set?.state === 'draft',
          },
        ),
      },
    };
  });

/** The contacts of the books. */
export const contactsView = (id: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const used = await contactsInUse(tx, books.id);
    return {
      contacts: (await contactsOf(tx, books.id)).map((one): ListedContact => ({ ...one, used: used.has(one.id) })),
      set: (await currentSet(tx, books.id))?.id ?? 0,
      currencies: state.currencies,
      country: books.country,
      accounts: controlsOf(state),
    };
  });

export interface ContactItem extends Item {
  readonly of: Pick<Account, 'code' | 'name'>;
}

/** A contact with all of its items. */
export const contactView = (id: number, contact: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const found = (await contactsOf(tx, books.id)).find((one) => one.id === contact);
    if (found === undefined) return { found: null };
    const set = await currentSet(tx, books.id);
    const accounts = new Map<AccountId, Account>(state.accounts.map((one) => [one.id, one]));
    const items = (set === undefined ? [] : await itemsOf(tx, books.id, set.id)).filter(
      (item) => item.contact === found.id,
    );
    return {
      found: {
        contact: found,
        evidence: await evidenceTo(tx, books.id, { of: 'contact', id: found.id }),
        openingDate: openingDate(books.cutover).toString(),
        items: items.map((item): ContactItem => ({
          ...item,
          of: accounts.get(item.account) ?? { code: '', name: '' },
        })),
      },
    };
  });
