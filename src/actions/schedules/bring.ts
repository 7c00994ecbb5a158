'use server';

import type { IsoDate } from '@/core/base/iso-date';
import { z } from 'zod';
import { paperId } from '@/core/base/ids';
import { openingDate } from '@/core/calendar/cutover';
import { type Account, type AccountId, accountId } from '@/core/chart/account';
import { type Problem, fail, ok, problem, toldIn } from '@/core/base/result';
import type { ContactFields } from '@/core/schedules/contact';
import {
  type IncomingItem,
  type IncomingStatement,
  incomingContacts,
  incomingItems,
  incomingStatement,
} from '@/core/schedules/from-list';
import type { ItemFields } from '@/core/schedules/item';
import { type ScheduleKind, isThings, ownSide } from '@/core/schedules/kinds';
import { type Minor, sum } from '@/core/money/minor';
import { groupsOf, incomingThings } from '@/core/schedules/things/from-register';
import { accountOfGroup, accountsOfKind, partnerOf } from '@/core/schedules/things/partners';
import { currentSet } from '@/store/openings';
import type { ListRead, ListWanted } from '@/core/schedules/read-list';
import { contactsOf, writeContacts } from '@/store/contacts';
import { attachEvidence } from '@/store/evidence';
import { findPaper, paperContent } from '@/store/papers';
import { behindBooks, besideAccountsOf, putClosing, writeItems } from '@/store/schedules';
import { type BooksContext, fileAction } from '../kernel/action';
import { currenciesOn } from '../chart/edits';
import { standingChart } from '../frame/held-chart';
import { fileContent, fileName, id } from '../kernel/inputs';
import { writingOfBooks } from '../kernel/writing';
import { hashOf, keepFile } from '../papers/keep';
import { draftSet, scheduled } from './draft';
import { readHeld } from './held-list';

/** More classes or categories of one list are not told apart. */
const MOST_GROUPS = 2000;

/** The accounts of classes or categories, where somebody chose them. */
type Places = Readonly<Record<string, number>>;
const placesGiven = z
  .record(z.string().max(300), id)
  .refine((places) => Object.keys(places).length <= MOST_GROUPS, 'A list has at most 2,000 classes or categories.')
  .default({});

/** The account whose list a file is, or none for the list of contacts. */
const target = { account: id.transform(accountId).nullable() };

interface Target {
  readonly account: Account | null;
  readonly wanted: ListWanted;
  readonly schedule: ScheduleKind;
}

const targetOf = async (context: BooksContext, account: number | null) => {
  if (account === null) return ok<Target>({ account: null, wanted: 'contacts', schedule: 'plain' });
  const found = await scheduled(context, accountId(account));
  return found.ok
    ? ok<Target>({
        account: found.value.account,
        schedule: found.value.schedule,
        wanted: found.value.schedule,
      })
    : found;
};

const dayOf = ({ books }: Pick<BooksContext, 'books'>): IsoDate => openingDate(books.cutover).toString();

/** What a file is read for. */
const aboutOf = ({ account, wanted, schedule }: Target, date: IsoDate, levels: readonly string[]) => ({
  levels,
  wanted,
  date,
  credit: account !== null && ownSide(schedule, account) < 0,
});

/** What bringing a list would do: shown before anything of it is taken. */
export interface ListPreview {
  readonly paper: number;
  readonly name: string;
  readonly kind: ListRead['kind'];
  readonly items: readonly (IncomingItem & { readonly account: AccountId; readonly group: string })[];
  /** Contacts that would be made. */
  readonly contacts: readonly ContactFields[];
  /** Contacts of the list that are there. */
  readonly known: number;
  readonly statements: readonly (IncomingStatement & { readonly account: string })[];
  /** Whether the list has amounts in base currency of its own beside those in foreign ones. */
  readonly hasBase: boolean;
  /** The classes or categories of a register, each with the account that its things would stand on. */
  readonly groups: readonly {
    readonly name: string;
    readonly account: number;
    readonly items: number;
    readonly sum: Minor;
  }[];
  /** The accounts that they may stand on. */
  readonly accounts: readonly Pick<Account, 'id' | 'code' | 'name'>[];
  readonly doubts: readonly Problem[];
}

const previewOf = async (
  context: BooksContext,
  { account, schedule }: Target,
  read: ListRead,
  { name, booked, places }: { readonly name: string; readonly booked: boolean; readonly places: Places },
): Promise<Omit<ListPreview, 'paper' | 'name'>> => {
  const { tx, books } = context;
  const contacts = await contactsOf(tx, books.id);
  const nothing = { items: [], contacts: [], known: 0, statements: [], hasBase: false, groups: [], accounts: [] };
  const told = (problems: readonly Problem[]): readonly Problem[] =>
    problems.map((one) => toldIn(one, writingOfBooks(books)));
  switch (read.kind) {
    case 'contacts': {
      const { add, known } = incomingContacts(read.read.items, contacts);
      return { ...nothing, kind: 'contacts', contacts: add, known, doubts: told(read.read.doubts) };
    }
    case 'items': {
      if (account === null) return { ...nothing, kind: 'items', doubts: [] };
      const rules = {
        schedule,
        account,
        base: books.currency,
        currencies: await currenciesOn(context),
        contacts,
        booked,
      };
      const { items, contacts: made } = incomingItems(read.read, rules);
      return {
        ...nothing,
        kind: 'items',
        items: items.map((one) => ({ ...one, account: account.id, group: '' })),
        contacts: made,
        hasBase:
          (read.read.currency ?? books.currency) === books.currency &&
          read.read.items.some(
            ({ base, currency }) => base !== null && (currency ?? books.currency) !== books.currency,
          ),
        doubts: told(read.read.doubts),
      };
    }
    case 'things': {
      if (account === null || !isThings(schedule)) return { ...nothing, kind: 'things', doubts: [] };
      const chart = await standingChart({ tx, books });
      const accounts = accountsOfKind(schedule, chart);
      const set = await currentSet(tx, books.id);
      const there = set === undefined ? undefined : await besideAccountsOf(tx, books.id, set.id);
      const given = new Map(Object.entries(places));
      const groups = [...new Set(groupsOf(read.read))];
      const own = new Map(
        groups.map((group) => [
          group,
          accountId(given.get(group) ?? (group === '' ? undefined : accountOfGroup(group, accounts)) ?? account.id),
        ]),
      );
      const {
        items,
        contacts: made,
        doubts,
      } = incomingThings(
        read.read,
        {
          schedule,
          account,
          accounts,
          places: own,
          besideOf: (one) => there?.get(one.id) ?? (schedule === 'assets' ? partnerOf(one, chart) : null),
          base: books.currency,
          openingDate: openingDate(books.cutover),
          spans: books.facts.spans,
          contacts,
          levels: books.facts.priceLevels,
        },
        name,
      );
      return {
        ...nothing,
        kind: 'things',
        items,
        contacts: made,
        groups: groups.map((group) => {
          const mine = items.filter((item) => item.group === group && item.problems.length === 0);
          return {
            name: group,
            account: own.get(group) ?? account.id,
            items: mine.length,
            sum: sum(mine.map(({ item }) => item.open)),
          };
        }),
        accounts: accounts.map(({ id: one, code, name: called }) => ({ id: one, code, name: called })),
        doubts: told([...read.read.doubts, ...doubts]),
      };
    }
    case 'statements':
      return {
        ...nothing,
        kind: 'statements',
        statements:
          account === null
            ? []
            : read.read.statements.map((statement) => ({
                account: statement.account,
                ...incomingStatement(statement, account, books.currency, openingDate(books.cutover).toString()),
              })),
        doubts: told(read.read.doubts),
      };
  }
};

/** Keeps a file that is brought for a schedule, and says what it holds. Nothing of it is taken yet. */
export const bringList = fileAction(
  'bringList',
  'papers.change',
  { ...target, name: fileName, content: fileContent, booked: z.boolean().default(true) },
  async (context, { account, name, content }) => {
    const found = await targetOf(context, account);
    const date = dayOf(context);
    const levels = context.books.facts.priceLevels;
    return () =>
      found.ok
        ? readHeld(hashOf(content), name, aboutOf(found.value, date, levels), () => content)
        : Promise.resolve(found);
  },
  async (context, input, read) => {
    const found = await targetOf(context, input.account);
    if (!found.ok) return found;
    const { paper } = await keepFile(context, { name: input.name, content: input.content, kept: false });
    const preview: ListPreview = {
      paper,
      name: input.name,
      ...(await previewOf(context, found.value, read, { name: input.name, booked: input.booked, places: {} })),
    };
    return ok(preview);
  },
);

/** Takes what a list that was brought holds: its items or contacts, or a statement's balance. One batch, which is undone as one. */
export const takeList = fileAction(
  'takeList',
  'openings.change',
  {
    ...target,
    set: id,
    paper: id.transform(paperId),
    /** Rows that stay out. */
    leave: z.array(z.int().positive()).max(100_000).default([]),
    booked: z.boolean().default(true),
    places: placesGiven,
    /** Which of several statements. */
    statement: z.int().min(0).max(1000).default(0),
  },
  async (context, { account, paper }) => {
    const found = await targetOf(context, account);
    const kept = await findPaper(context.tx, context.books.id, paper);
    if (!found.ok) return () => Promise.resolve(found);
    if (kept === undefined)
      return () => Promise.resolve(fail(problem('paper.unknown', 'This paper is not in these books any more.')));
    const content = await paperContent(context.tx, context.books.id, kept.id);
    const about = aboutOf(found.value, dayOf(context), context.books.facts.priceLevels);
    return () => readHeld(hashOf(content), kept.name, about, () => content);
  },
  async (context, input, read) => {
    const { tx, books, actor, now } = context;
    const found = await targetOf(context, input.account);
    if (!found.ok) return found;
    const draft = await draftSet(context, input.set);
    if (!draft.ok) return draft;
    const kept = await findPaper(tx, books.id, input.paper);
    context.changes.about({ name: kept?.name ?? '', paper: input.paper });
    const preview = await previewOf(context, found.value, read, {
      name: kept?.name ?? '',
      booked: input.booked,
      places: input.places,
    });
    const out = new Set(input.leave);
    const taken = preview.items.filter(({ row, problems }) => problems.length === 0 && !out.has(row));
    const wanted = new Set(taken.flatMap(({ makes }) => (makes === null ? [] : [makes])));
    const made =
      preview.kind === 'contacts' ? preview.contacts : preview.contacts.filter((_, place) => wanted.has(place));
    const contacts = await writeContacts(
      tx,
      books.id,
      made.map((contact) => ({ id: null, contact })),
      new Map(),
      actor.person,
      now,
    );
    context.changes.add(contacts.changes);
    const { account } = found.value;
    if (account === null) return ok({ items: 0, contacts: made.length });
    const places = [...wanted].sort((a, b) => a - b);
    const madeId = new Map(places.map((place, at) => [place, contacts.written[at]?.id ?? null]));
    const statement = preview.statements[input.statement];
    if (statement?.closing !== null && statement !== undefined) {
      const behind = await behindBooks(tx, books.id);
      context.changes.add(
        await putClosing(
          tx,
          books.id,
          input.set,
          account.id,
          behind.closings.get(account.id),
          statement.closing,
          actor.person,
          now,
        ),
      );
      // The statement itself is evidence of the account.
      const to = { of: 'account', id: account.id } as const;
      const attached = { id: null, paper: input.paper, to };
      const made = await attachEvidence(tx, books.id, attached, kept?.name ?? '', actor.person, now);
      if (made !== undefined) context.changes.add([made]);
    }
    const items: readonly (ItemFields & { readonly account: AccountId; readonly row: number | null })[] = [
      ...taken.map(({ item, makes, row, account: of }) => ({
        ...item,
        account: of,
        contact: makes === null ? item.contact : (madeId.get(makes) ?? null),
        row,
      })),
      ...(statement?.between ?? []).map((item) => ({ ...item, account: account.id, row: null })),
    ];
    if (items.length === 0 && (statement === undefined || statement.closing === null))
      return fail(
        problem('list.nothing', 'Nothing of this file can be taken as it stands; see what is said of its rows.'),
      );
    const { changes } = await writeItems(
      tx,
      books.id,
      input.set,
      items.map(({ row, ...item }) => ({
        id: null,
        item: { ...item, paper: row === null ? null : input.paper, row },
      })),
      new Map(),
      actor.person,
      now,
    );
    context.changes.add(changes);
    return ok({ items: items.length, contacts: made.length });
  },
);
