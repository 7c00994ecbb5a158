import { paperId as toPaperId } from '@/core/base/ids';
import { type AccountId, type ChartIndex, PLAIN_ACCOUNT, accountProblems } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import type { Creation, Decision } from '@/core/openings/takeover';
import { type Problem, type Result, fail, ok, problem } from '@/core/base/result';
import { currentAmounts } from '@/store/openings';
import { type OpenPaper, findPaper } from '@/store/papers';
import type { BooksContext } from '../kernel/action';
import { id } from '../kernel/inputs';

export const paperId = id.transform(toPaperId);
const unknownPaper = fail(
  problem('paper.unknown', 'This paper is not in these books any more. Go back to the papers.'),
);

export const findOpen = async ({ tx, books }: BooksContext, id: number): Promise<Result<OpenPaper>> => {
  const paper = await findPaper(tx, books.id, id);
  return paper === undefined ? unknownPaper : ok(paper);
};

/** What stands on the accounts, as the paper's page knows it. */
export const standsIn = async ({ tx, books }: BooksContext): Promise<ReadonlyMap<AccountId, Minor>> =>
  (await currentAmounts(tx, [books.id])).get(books.id)?.amounts ?? new Map();

/** `othersToCreate` are the codes, in lower case, of accounts that the paper will make besides this one. */
export const newAccountProblems = (
  made: Creation,
  chart: ChartIndex,
  othersToCreate: ReadonlySet<string>,
): readonly Problem[] => [
  ...accountProblems({ ...PLAIN_ACCOUNT, ...made }, chart),
  ...(othersToCreate.has(made.code.toLowerCase())
    ? [
        problem(
          'account.code-taken',
          `Code ${made.code} is already given to another account that this paper will create.`,
          'code',
        ),
      ]
    : []),
];

/** The accounts that a decision about a row names. */
export const accountsNamed = (decided: Decision | null): readonly AccountId[] => {
  switch (decided?.kind) {
    case 'account':
      return [decided.account];
    case 'split':
      return decided.parts.map((part) => part.account);
    case 'create':
      return decided.parent === null ? [] : [decided.parent];
    default:
      return [];
  }
};
