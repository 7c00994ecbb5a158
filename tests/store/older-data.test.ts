import { afterAll, describe, expect, it } from 'vitest';
import { accountStory } from '@/actions/chart/account-story';
import { changesView } from '@/actions/changes/views';
import { comparativesView } from '@/actions/openings/comparatives-view';
import { closeDatabase, useDatabase } from '@/actions/kernel/context';
import { openPGlite } from '@/store/drivers/embedded';
import { migrate, readMigrations } from '@/store/migrate';

afterAll(closeDatabase);

const [TYPED, TAKEN, FIRST, SECOND] = [1, 2, 3, 4].map((n) => `00000000-0000-4000-8000-00000000000${String(n)}`);

/** Changes as they were kept before there was one record of them. */
const older = `
  insert into books (practice_id, name, legal_form, country, base_currency, number_style, purpose, cutover_date, created_at, created_by)
  values (1, 'Older Ltd', 'other', 'IE', 'EUR', '1,234.56', 'trial', '2026-01-01', now(), 1);
  insert into fiscal_year (books_id, name, start_date, end_date, plan) values (1, '2026', '2026-01-01', '2026-12-31', '{"unit":"month"}');
  insert into period (books_id, fiscal_year_id, ordinal, code, name, start_date, end_date, state)
  values (1, 1, 1, '2026-01', '2026', '2026-01-01', '2026-12-31', 'open');
  insert into account (books_id, code, name, classification, heading) values (1, '1010', 'Bank', 'current-asset', false), (1, '3010', 'Capital', 'equity', false);
  insert into opening_set (books_id, version, state, created_at) values (1, 1, 'draft', now());
  insert into paper (books_id, name, sha256, content, bytes, brought_by, brought_at) values (1, 'old.csv', 'x', '', 0, 1, now());
  insert into opening_change (books_id, set_id, account_id, batch, from_amount, to_amount, source, by_person, at)
  values (1, 1, 1, '${TYPED ?? ''}', null, 500, 'typed', 1, '2026-01-02T10:00:00Z');
  insert into opening_change (books_id, set_id, account_id, batch, from_amount, to_amount, source, paper_id, from_parts, to_parts, by_person, at)
  values (1, 1, 1, '${TAKEN ?? ''}', 500, 700, 'paper', 1, null, '[{"currency":"NOK","amount":"9000","base":"700"}]', 1, '2026-01-03T10:00:00Z'),
         (1, 1, 2, '${TAKEN ?? ''}', null, -700, 'paper', 1, null, null, 1, '2026-01-03T10:00:00Z');
  insert into take_over (books_id, paper_id, set_id, key, batch, figures, created, at)
  values (1, 1, 1, gen_random_uuid(), '${TAKEN ?? ''}', 2, 0, '2026-01-03T10:00:00Z');
  insert into comparative_change (books_id, account_id, column_no, batch, from_amount, to_amount, paper_id, undone, by_person, at)
  values (1, 1, 0, '${FIRST ?? ''}', null, 80, 1, true, 1, '2026-01-04T10:00:00Z'),
         (1, 1, 0, '${SECOND ?? ''}', null, 90, 1, false, 1, '2026-01-05T10:00:00Z');`;

describe('data of an older version', () => {
  it('brings what was changed into the one record, told and with the last taking over still to be undone', async () => {
    const database = await openPGlite();
    const before = readMigrations().filter(({ version }) => version < 15);
    await migrate(database, before);
    await database.script(older);
    await migrate(database);
    useDatabase(database);

    const story = await accountStory(1, 1);
    expect(story?.changes).toMatchObject([
      { from: 500n, to: 700n, paper: 'old.csv', source: 'paper', inCurrency: 'NOK 90.00', version: 1 },
      { from: null, to: 500n, paper: null, source: 'typed', inCurrency: null, version: 1 },
    ]);
    expect(story?.events.map(({ what }) => what)).toEqual([
      'Last year’s close: empty → 0.90 Dr, from old.csv',
      'Last year’s close: empty → 0.80 Dr, from old.csv',
    ]);
    expect((await comparativesView(1))?.last).toEqual({ batch: SECOND, paper: 'old.csv' });
    const batches = (await changesView(1, undefined))?.batches ?? [];
    const states = new Map(batches.map(({ id, state }) => [id, state]));
    expect([TYPED, TAKEN, FIRST, SECOND].map((id) => states.get(id ?? ''))).toEqual([
      'stands',
      'stands',
      'taken back',
      'stands',
    ]);
    expect(batches.find(({ id }) => id === TAKEN)?.what).toBe('old.csv taken over: 2 opening figures');
  });
});
