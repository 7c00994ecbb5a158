import { isoDay } from '@/actions/kernel/inputs';
import { z } from 'zod';
import { dayBegins, plainDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import { personId } from '@/core/base/ids';
import { accountId, chartIndex } from '@/core/chart/account';
import { inTreeOrder } from '@/core/chart/tree';
import { CHANGES_OF, OF_ACCOUNTS } from '@/core/proof/changes-of';
import { STAGES } from '@/core/proof/stage-ids';
import { comparativeColumns } from '@/core/openings/comparatives';
import { tell } from '@/core/base/sentence';
import type { Change, Subject } from '@/core/base/change';
import { type Telling, sayBatch, sayChange } from '@/core/openings/say-changes';
import { type Listed, type Wanted, firstChanges, lastOf, latestBatches, whoChanged } from '@/store/changes';
import { viewState } from '../frame/held-state';
import type { BooksState } from '../frame/state';
import { page } from '../frame/views';
import { booksView } from '../kernel/action';
import { id } from '../kernel/inputs';
import { writingOfBooks } from '../kernel/writing';

const MOST_LISTED = 50;
const MOST_TOLD = 30;

/** A batch of the record as the page tells it. */
export interface ToldBatch {
  readonly id: string;
  readonly what: string;
  readonly by: string;
  readonly at: string;
  readonly changes: readonly string[];
  /** How many changes there are beyond those told. */
  readonly more: boolean;
  readonly state: 'stands' | 'taken back';
  /** Why it cannot be taken back. */
  readonly stays: string | null;
}

/** In what the changes of a set of books are told. */
const tellingOf = ({ books, accounts, years }: Pick<BooksState, 'books' | 'accounts' | 'years'>): Telling => ({
  chart: chartIndex(accounts).byId,
  currency: books.currency,
  style: books.style,
  writing: writingOfBooks(books),
  columns: new Map(comparativeColumns(years, books.cutover, true).map(({ column, label }) => [column, label] as const)),
});

const toldBatch = (batch: Listed, own: readonly Change[], telling: Telling): ToldBatch => ({
  id: batch.id,
  what: sayBatch(batch, batch.counts),
  by: batch.by,
  at: batch.at,
  changes: own.slice(0, MOST_TOLD).flatMap((change) => {
    const said = sayChange(change, telling);
    return said === undefined ? [] : [tell(said, telling.writing)];
  }),
  more: own.length > MOST_TOLD,
  state: batch.taken ? 'taken back' : 'stands',
  stays: typeof batch.about.stays === 'string' ? batch.about.stays : null,
});

/** What the actor changed last of some subjects, in one sentence, where that can be taken back; null where nothing can. */
export const lastChange = (booksId: number, subjects: readonly Subject[]) =>
  booksView('books.see', booksId, async ({ tx, books, actor }) => {
    const last = await lastOf(tx, books.id, actor.person, subjects);
    const [batch] = last === undefined ? [] : await latestBatches(tx, books.id, null, 1, last);
    if (batch === undefined) return null;
    const own = (await firstChanges(tx, books.id, [batch.id], 2)).get(batch.id) ?? [];
    const told = toldBatch(batch, own, tellingOf(await viewState(tx, books)));
    const [one] = told.changes;
    return {
      batch: told.id,
      what: own.length === 1 && one !== undefined ? one : told.what,
      at: told.at,
      stays: told.stays,
    };
  });

const asId = z.coerce.number().pipe(id).optional().catch(undefined);
const asDay = isoDay().optional().catch(undefined);

/**
 * Which changes are asked for, as an address says it: those of a stage, a person, an account, or of some days (ISO, both included) in
 * a zone. What does not read is not asked for.
 */
const asked = z.object({
  before: z
    .string()
    .regex(/^\d{1,18}$/)
    .optional()
    .catch(undefined),
  stage: z
    .enum(STAGES.map((stage) => stage.id))
    .optional()
    .catch(undefined),
  person: asId,
  account: asId,
  from: asDay,
  to: asDay,
  zone: z.string().max(60).optional().catch(undefined),
});
export type ChangesAsked = Readonly<Record<string, unknown>>;

const wantedOf = ({ stage, person, account, from, to, zone = 'UTC' }: z.output<typeof asked>): Wanted => {
  const begins = (day: IsoDate, later: number): string | null => {
    const date = plainDate(day).add({ days: later });
    return dayBegins(date, zone) ?? dayBegins(date, 'UTC') ?? null;
  };
  return {
    subjects: stage === undefined ? null : (CHANGES_OF[stage] ?? []),
    person: person === undefined ? null : personId(person),
    account: account === undefined ? null : accountId(account),
    ofAccounts: OF_ACCOUNTS,
    from: from === undefined ? null : begins(from, 0),
    until: to === undefined ? null : begins(to, 1),
  };
};

/** The record of changes, newest first; `before` goes on from an earlier page. */
export const changesView = (booksId: number, query: ChangesAsked = {}) =>
  page('books.see', booksId, async ({ tx, books }, state) => {
    const wish = asked.parse(query);
    const from = wish.before === undefined ? null : BigInt(wish.before);
    const found = await latestBatches(tx, books.id, from, MOST_LISTED + 1, null, wantedOf(wish));
    const listed = found.slice(0, MOST_LISTED);
    const changes = await firstChanges(
      tx,
      books.id,
      listed.map((one) => one.id),
      MOST_TOLD + 1,
    );
    const telling = tellingOf(state);
    return {
      batches: listed.map((batch) => toldBatch(batch, changes.get(batch.id) ?? [], telling)),
      later: from !== null,
      /** What was asked for, as far as it read. */
      asked: wish,
      people: await whoChanged(tx, books.id),
      accounts: inTreeOrder(state.accounts)
        .filter(({ account }) => !account.heading)
        .map(({ account: { id: account, code, name } }) => ({ id: account, code, name })),
      /** Where the page of what came before begins. */
      before: found.length > MOST_LISTED ? String(listed.at(-1)?.seq ?? '') : null,
    };
  });
