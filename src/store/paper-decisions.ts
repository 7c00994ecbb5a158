import type { BooksId, PaperId } from '@/core/base/ids';
import type { AccountId } from '@/core/chart/account';
import type { Classification } from '@/core/ledger/classes';
import type { Minor } from '@/core/money/minor';
import type { Creation, Decision, SplitPart } from '@/core/openings/takeover';
import { type Change, WHOLE } from '@/core/base/change';
import type { Kept } from '@/core/base/kept';
import { keptDecisions } from '@/core/openings/decided';
import { type Queryable, arrayText } from './database';

/** A decision as it is stored: what its kind does not have is null. */
interface Stored {
  readonly row: number;
  readonly kind: Decision['kind'];
  readonly account: AccountId | null;
  readonly reason: string | null;
  readonly code: string | null;
  readonly name: string | null;
  readonly classification: Classification | null;
  readonly parent: AccountId | null;
}

/** What was decided about the rows of a paper, by the number of the row. */
export const decisionsOf = async (
  tx: Queryable,
  booksId: BooksId,
  paper: PaperId,
): Promise<ReadonlyMap<number, Decision>> => {
  const stored = await tx.query<Stored>(
    `select row_no as row, kind, account_id as account, reason, code, name, classification, parent_id as parent
     from paper_decision where books_id = $1 and paper_id = $2 order by row_no`,
    [booksId, paper],
  );
  const parts = new Map<number, SplitPart[]>();
  if (stored.some(({ kind }) => kind === 'split'))
    for (const { row, account, amount } of await tx.query<{ row: number; account: AccountId; amount: Minor }>(
      `select row_no as row, account_id as account, amount from paper_decision_part
       where books_id = $1 and paper_id = $2 order by row_no, part`,
      [booksId, paper],
    ))
      parts.set(row, [...(parts.get(row) ?? []), { account, amount }]);
  return new Map(stored.flatMap((one) => readDecision(one, parts.get(one.row) ?? [])));
};

const readDecision = (
  { row, kind, account, reason, code, name, classification, parent }: Stored,
  parts: readonly SplitPart[],
): readonly (readonly [number, Decision])[] => {
  switch (kind) {
    case 'account':
      return account === null ? [] : [[row, { kind, account }]];
    case 'leave-out':
      return [[row, { kind, reason: reason ?? '' }]];
    case 'split':
      return [[row, { kind, parts }]];
    case 'create':
      return classification === null
        ? []
        : [[row, { kind, code: code ?? '', name: name ?? '', classification, parent }]];
  }
};

const created = (decision: Decision): Creation | undefined => (decision.kind === 'create' ? decision : undefined);

/** Decides about rows of a paper, in the place of what was decided about them before; null takes a decision back. */
export const writeDecisions = async (
  tx: Queryable,
  booksId: BooksId,
  paper: { readonly id: PaperId; readonly decisions: ReadonlyMap<number, Decision> },
  decided: ReadonlyMap<number, Decision | null>,
): Promise<Change> => {
  await putDecisions(tx, booksId, paper.id, decided);
  const rows = [...decided.keys()].sort((one, other) => one - other);
  const kept = (of: ReadonlyMap<number, Decision | null>): Kept =>
    keptDecisions(new Map(rows.map((row) => [row, of.get(row) ?? null])));
  return { subject: 'decision', id: paper.id, field: WHOLE, from: kept(paper.decisions), to: kept(decided) };
};

const putDecisions = async (
  tx: Queryable,
  booksId: BooksId,
  paper: PaperId,
  decided: ReadonlyMap<number, Decision | null>,
): Promise<void> => {
  await tx.query(
    'delete from paper_decision where books_id = $1 and paper_id = $2 and row_no = any ($3::text::int[])',
    [booksId, paper, arrayText([...decided.keys()])],
  );
  const made = [...decided].flatMap(([row, decision]) => (decision === null ? [] : [{ row, decision }]));
  if (made.length === 0) return;
  await tx.query(
    `insert into paper_decision (books_id, paper_id, row_no, kind, account_id, reason, code, name, classification, parent_id)
     select $1, $2, t.* from unnest($3::text::int[], $4::text::text[], $5::text::int[], $6::text::text[], $7::text::text[],
       $8::text::text[], $9::text::text[], $10::text::int[]) as t`,
    [
      booksId,
      paper,
      arrayText(made.map(({ row }) => row)),
      arrayText(made.map(({ decision }) => decision.kind)),
      arrayText(made.map(({ decision }) => (decision.kind === 'account' ? decision.account : null))),
      arrayText(made.map(({ decision }) => (decision.kind === 'leave-out' ? decision.reason : null))),
      arrayText(made.map(({ decision }) => created(decision)?.code ?? null)),
      arrayText(made.map(({ decision }) => created(decision)?.name ?? null)),
      arrayText(made.map(({ decision }) => created(decision)?.classification ?? null)),
      arrayText(made.map(({ decision }) => created(decision)?.parent ?? null)),
    ],
  );
  const parts = made.flatMap(({ row, decision }) =>
    decision.kind === 'split' ? decision.parts.map((part, at) => ({ row, at, ...part })) : [],
  );
  if (parts.length === 0) return;
  await tx.query(
    `insert into paper_decision_part (books_id, paper_id, row_no, part, account_id, amount)
     select $1, $2, t.* from unnest($3::text::int[], $4::text::int[], $5::text::int[], $6::text::int8[]) as t`,
    [
      booksId,
      paper,
      arrayText(parts.map(({ row }) => row)),
      arrayText(parts.map(({ at }) => at)),
      arrayText(parts.map(({ account }) => account)),
      arrayText(parts.map(({ amount }) => amount)),
    ],
  );
};

/** Takes decisions back that go to accounts which are about to go. */
export const dropDecisions = async (
  tx: Queryable,
  booksId: BooksId,
  accounts: readonly AccountId[],
): Promise<readonly Change[]> => {
  const papers = await tx.query<{ id: PaperId; rows: readonly number[] }>(
    `select paper_id as id, array_agg(distinct row_no) as rows from (
       select paper_id, row_no from paper_decision where books_id = $1 and (account_id = any($2::int[]) or parent_id = any($2::int[]))
       union all select paper_id, row_no from paper_decision_part where books_id = $1 and account_id = any($2::int[])
     ) d group by paper_id`,
    [booksId, accounts],
  );
  const changes: Change[] = [];
  for (const { id, rows } of papers) {
    const decisions = await decisionsOf(tx, booksId, id);
    const left = new Map(
      rows.map((row) => {
        const decision = decisions.get(row);
        // An account that is to be made under a heading which goes is to be made all the same.
        return [row, decision?.kind === 'create' ? { ...decision, parent: null } : null];
      }),
    );
    changes.push(await writeDecisions(tx, booksId, { id, decisions }, left));
  }
  return changes;
};

/** Decisions that name an account name the one that it is merged into. */
export const moveDecisions = async (
  tx: Queryable,
  booksId: BooksId,
  from: AccountId,
  into: AccountId,
): Promise<void> => {
  for (const table of ['paper_decision', 'paper_decision_part'])
    await tx.query(`update ${table} set account_id = $3 where books_id = $1 and account_id = $2`, [
      booksId,
      from,
      into,
    ]);
};
