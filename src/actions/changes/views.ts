import { chartIndex } from '@/core/chart/account';
import { comparativeColumns } from '@/core/openings/comparatives';
import { sayBatch, sayChange } from '@/core/openings/say-changes';
import { firstChanges, latestBatches } from '@/store/changes';
import { page } from '../frame/views';

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
    const telling = {
      chart: chartIndex(state.accounts).byId,
      currency: books.currency,
      style: books.style,
      columns: new Map(
        comparativeColumns(state.years, books.cutover).map(({ column, label }) => [column, label] as const),
      ),
    };
    return {
      batches: listed.map((batch): ToldBatch => {
        const own = changes.get(batch.id) ?? [];
        return {
          id: batch.id,
          what: sayBatch(batch, batch.counts),
          by: batch.by,
          at: batch.at,
          changes: own.slice(0, MOST_TOLD).flatMap((change) => sayChange(change, telling) ?? []),
          more: own.length > MOST_TOLD,
          state: batch.taken ? 'taken back' : 'stands',
          stays: typeof batch.about.stays === 'string' ? batch.about.stays : null,
        };
      }),
      later: from !== null,
      /** Where the page of what came before begins. */
      before: found.length > MOST_LISTED ? String(listed.at(-1)?.seq ?? '') : null,
    };
  });
