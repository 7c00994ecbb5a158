import type { Account, AccountId } from '@/core/chart/account';
import { type Result, fail, ok, problem } from '@/core/base/result';
import { type ScheduleKind, scheduleOf } from '@/core/schedules/kinds';
import { accountsOf } from '@/store/chart';
import { currentSet } from '@/store/openings';
import type { BooksContext } from '../kernel/action';

/** The version into which schedules are written, as it was looked at; or why there is none. */
export const draftSet = async ({ tx, books }: BooksContext, set: number): Promise<Result<number>> => {
  const current = await currentSet(tx, books.id);
  if (current?.state !== 'draft')
    return fail(
      problem(
        'openings.posted',
        'The opening balances are posted, and their schedules with them. Open a correction on the Sign-off page to change them.',
      ),
    );
  return current.id === set
    ? ok(set)
    : fail(
        problem(
          'openings.other-version',
          'A newer version of the opening balances was opened elsewhere. Load the page again.',
        ),
      );
};

/** An account with the schedule that it has. */
export const scheduled = async (
  { tx, books }: BooksContext,
  id: AccountId,
): Promise<Result<{ readonly account: Account; readonly schedule: ScheduleKind }>> => {
  const [account] = await accountsOf(tx, books.id, [id]);
  if (account === undefined)
    return fail(problem('account.unknown', 'This account is not in the chart any more. Load the page again.'));
  const schedule = scheduleOf(account);
  if (schedule === undefined)
    return fail(problem('schedule.none', 'A heading has no schedule; the accounts under it have.'));
  return schedule === 'division' && !books.facts.parts.includes('dimensions')
    ? fail(
        problem(
          'schedule.none',
          'What stands on income and expense accounts is the year’s entries so far. To divide it over cost centres or projects, switch that part on, on the Company page.',
        ),
      )
    : ok({ account, schedule });
};

/** Which of these accounts can bear the second amounts of items. */
export const scheduledAmong = async (
  { tx, books }: BooksContext,
  ids: readonly AccountId[],
): Promise<ReadonlySet<AccountId>> =>
  new Set(
    (ids.length === 0 ? [] : await accountsOf(tx, books.id, [...new Set(ids)])).flatMap((account) =>
      [undefined, 'division'].includes(scheduleOf(account)) ? [] : [account.id],
    ),
  );
