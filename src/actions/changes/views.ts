import { chartIndex } from '@/core/chart/account';
import { comparativeColumns } from '@/core/openings/comparatives';
import { tell } from '@/core/base/sentence';
import type { Change, Subject } from '@/core/base/change';
import { type Telling, sayBatch, sayChange } from '@/core/openings/say-changes';
import { type Listed, firstChanges, lastOf, latestBatches } from '@/store/changes';
import { viewState } from '../frame/held-state';
import type { BooksState } from '../frame/state';
import { page } from '../frame/views';
import { booksView } from '../kernel/action';
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
export const lastChange = (id: number, subjects: readonly Subject[]) =>
  booksView('books.see', id, async ({ tx, books, actor }) => {
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

/** The record of changes, newest first; `before` goes on from an earlier page. */
export const changesView = (id: number, before: string | undefined) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const from = before !== undefined && /^\d{1,18}$/.test(before) ? BigInt(before) : null;
    const found = await latestBatches(tx, books.id, from, MOST_LISTED + 1);
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
      /** Where this page begins, as its address asked. */
      asked: from === null ? null : String(from),
      /** Where the page of what came before begins. */
      before: found.length > MOST_LISTED ? String(listed.at(-1)?.seq ?? '') : null,
    };
  });
