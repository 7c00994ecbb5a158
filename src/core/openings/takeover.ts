import { type Account, type AccountId, LONGEST_CODE, called } from '../chart/account';
import { type Classification, classFacts, typeOf } from '../ledger/classes';
import { codeSource } from '../chart/codes';
import { byCode } from '../chart/tree';
import { type Minor, NIL, type Side, add, sideOf, sum } from '../money/minor';
import type { PaperRow } from '../papers/paper-row';
import { type Problem, plural, problem } from '../base/result';
import { type Totals, totalsOf } from '../ledger/level';
import { type Match, lineMeant } from './match';

/** An account that a row asks for and that is to be made for it. */
export interface Creation {
  readonly kind: 'create';
  readonly code: string;
  readonly name: string;
  readonly classification: Classification;
  readonly parent: AccountId | null;
}

/** What a person decided about a row of a paper. */
export type Decision =
  | { readonly kind: 'account'; readonly account: AccountId }
  | Creation
  | { readonly kind: 'split'; readonly parts: readonly SplitPart[] }
  | { readonly kind: 'leave-out'; readonly reason: string };

/** A part of a row's amount that goes to one account; the parts of a row come to its amount. */
export interface SplitPart {
  readonly account: AccountId;
  readonly amount: Minor;
}

/** An account row with what will happen to it: its own decision, else its match, else nothing yet. */
export interface DecidedRow {
  readonly row: PaperRow;
  readonly match: Match;
  readonly decision: Decision | undefined;
}

export interface Plan {
  readonly rows: readonly DecidedRow[];
  /** Rows with an amount for which nothing is decided; they hold the take-over back. */
  readonly undecided: readonly DecidedRow[];
  readonly create: readonly { readonly row: number; readonly decision: Creation }[];
  readonly leftOut: readonly DecidedRow[];
  /** Target per existing account; several rows for one account are added. Accounts to be created are not in it. */
  readonly amounts: ReadonlyMap<AccountId, Minor>;
  readonly replaced: readonly { readonly account: AccountId; readonly from: Minor; readonly to: Minor }[];
  readonly merged: number;
  readonly totals: Totals;
  readonly problems: readonly Problem[];
}

/** Rows in trouble that are told one by one: where there are more, one cause is behind them. */
const MOST_TOLD = 20;

/** What happens to a row about which nobody decided: a certain match is taken, anything less waits for a person. */
const byItself = (match: Match): Decision | undefined =>
  match.kind === 'matched' && match.sure
    ? { kind: 'account', account: match.account }
    : match.kind === 'left-out'
      ? { kind: 'leave-out', reason: match.reason }
      : undefined;

/** The accounts that a decided row goes to, each with its part of the amount; none for a row to be created or left out. */
export const partsOf = ({ row, decision }: DecidedRow): readonly SplitPart[] =>
  decision?.kind === 'account'
    ? [{ account: decision.account, amount: row.amount }]
    : decision?.kind === 'split'
      ? decision.parts
      : [];

/** Whether a row has an amount and nothing is decided about it; such rows hold the take-over back. */
export const waits = ({ row, decision }: Pick<DecidedRow, 'row' | 'decision'>): boolean =>
  decision === undefined && row.amount !== 0n;

/** Why a paper has nothing to take over: no accounts, or only nil ones. */
export const nothingIn = (rows: Plan['rows']): readonly Problem[] =>
  rows.length === 0
    ? [
        problem(
          'paper.no-accounts',
          'No row of this paper is read as an account. Check the header row and the columns.',
        ),
      ]
    : rows.every(({ row }) => row.amount === 0n)
      ? [
          problem(
            'paper.nothing',
            'Every account of this paper is nil as it is read, so there is nothing to take over. Check the columns of amounts.',
          ),
        ]
      : [];

/**
 * What taking a paper over would do. Pure: the preview shows it and the action carries out the same plan.
 * A row that is nil needs no decision. Unreadable rows are problems, because leaving them silently out would make the
 * result wrong.
 */
export const planTakeOver = (
  rows: readonly PaperRow[],
  match: (row: PaperRow) => Match,
  decisions: ReadonlyMap<number, Decision>,
  chart: readonly Account[],
  stands: ReadonlyMap<AccountId, Minor>,
): Plan => {
  const known = new Map(chart.map((account) => [account.id, account]));
  const problems: Problem[] = [];
  const decided = rows
    .filter((row) => row.kind === 'account')
    .map((row): DecidedRow => {
      const found = match(row);
      const own = decisions.get(row.row);
      return {
        row,
        match: found,
        decision: own ?? byItself(found),
      };
    });
  const amounts = new Map<AccountId, Minor>();
  const create: { row: number; decision: Creation }[] = [];
  const taken: Minor[] = [];
  let merged = 0;
  for (const one of decided) {
    const { row, decision } = one;
    if (decision === undefined || decision.kind === 'leave-out') continue;
    if (decision.kind === 'create') {
      create.push({ row: row.row, decision });
      taken.push(row.amount);
      continue;
    }
    const parts = partsOf(one);
    if (decision.kind === 'split' && sum(parts.map(({ amount }) => amount)) !== row.amount)
      problems.push(
        problem(
          'paper.split-differs',
          `The parts of row ${row.row} do not come to its amount any more. Divide it again.`,
          'rows',
          row.row,
        ),
      );
    for (const part of parts) {
      const account = known.get(part.account);
      if (account === undefined || account.heading || !account.active)
        problems.push(
          problem(
            'paper.account-unusable',
            `Row ${row.row} goes to ${account === undefined ? 'an account that is gone' : `${called(account)}, which is ${account.heading ? 'a heading' : 'inactive'}`}. Choose another account.`,
            'rows',
            row.row,
          ),
        );
      else if (part.amount !== 0n) {
        const before = amounts.get(account.id);
        if (before !== undefined) merged += 1;
        amounts.set(account.id, add(before ?? NIL, part.amount));
        taken.push(part.amount);
      }
    }
  }
  const undecided = decided.filter(waits);
  for (const row of rows.filter((one) => one.kind === 'unreadable'))
    problems.push(
      problem(
        'paper.row-unreadable',
        `Row ${row.row} (${row.text.slice(0, 60)}): ${row.note ?? 'unreadable'}.`,
        'rows',
        row.row,
      ),
    );
  if (problems.length > MOST_TOLD)
    problems.splice(
      MOST_TOLD,
      problems.length,
      problem(
        'paper.more',
        `${plural(problems.length - MOST_TOLD, 'more row')} like these; is the number style, or a column, read wrongly?`,
      ),
    );
  if (undecided.length > 0)
    problems.push(
      problem(
        'paper.undecided',
        `${plural(undecided.length, 'row')} with an amount ${undecided.length === 1 ? 'has' : 'have'} no account yet: choose one, create one, or leave the row out with a reason.`,
      ),
    );
  return {
    rows: decided,
    undecided,
    create,
    leftOut: decided.filter(({ decision }) => decision?.kind === 'leave-out'),
    amounts,
    replaced: [...amounts].flatMap(([account, to]) => {
      const from = stands.get(account) ?? NIL;
      return from !== 0n && from !== to ? [{ account, from, to }] : [];
    }),
    merged,
    totals: totalsOf(taken),
    problems,
  };
};

/**
 * Guesses the statement line a new account most likely has: by the words of its name where they agree with the section of the
 * paper it stands in, else by the section, else by its neighbours in the chart and the side of its amount. A proposal only.
 */
export const classGuesser = (
  chart: readonly Account[],
): ((row: Pick<PaperRow, 'code' | 'name' | 'amount' | 'section'>) => Classification) => {
  const neighbourhood = (code: string): string => `${String(code.length)} ${code.slice(0, 2)}`;
  const neighbours = new Map<string, Classification>();
  for (const { heading, code, classification } of chart)
    if (!heading && !neighbours.has(neighbourhood(code))) neighbours.set(neighbourhood(code), classification);
  // Rows of one name are many in a large paper.
  const meant = new Map<string, Classification | undefined>();
  const lineOf = (name: string, side: Side | undefined): Classification | undefined => {
    const key = `${side ?? ''}/${name}`;
    if (!meant.has(key)) meant.set(key, lineMeant(name, side));
    return meant.get(key);
  };
  return ({ code, name, amount, section }) => {
    const word = lineOf(name, sideOf(amount));
    if (section !== undefined && (word === undefined || typeOf(word) !== typeOf(section))) return section;
    return word ?? neighbours.get(neighbourhood(code)) ?? (amount < 0n ? 'current-liability' : 'operating-expense');
  };
};

/**
 * The account that each unmatched row would get if one were made for it: the old name, the old code where it is free (else
 * the next free one under the heading), the guessed statement line, the first heading of that line. All proposals go together: no
 * two share a code.
 */
export const proposeCreations = (
  plan: Pick<Plan, 'rows' | 'create'>,
  chart: readonly Account[],
): ReadonlyMap<number, Creation> => {
  const taken = new Set([
    ...chart.map((account) => account.code.toLowerCase()),
    ...plan.create.map(({ decision }) => decision.code.toLowerCase()),
  ]);
  const proposals = new Map<number, Creation>();
  const headings = new Map<Classification, Account>();
  for (const account of [...chart].sort(byCode))
    if (account.heading && !headings.has(account.classification)) headings.set(account.classification, account);
  const classOf = classGuesser(chart);
  const nextCode = codeSource(chart);
  const freeCode = (heading: Account | undefined): string => {
    // Codes of the paper itself are taken too, so the source is asked until it gives another one.
    for (let code = nextCode(heading); code !== ''; code = nextCode(heading))
      if (!taken.has(code.toLowerCase())) return code;
    return '';
  };
  for (const { row, match } of plan.rows) {
    if (match.kind !== 'unmatched' && !(match.kind === 'matched' && !match.sure)) continue;
    const guessed = classOf(row);
    const heading = headings.get(guessed);
    const own = row.code.trim();
    const free = own !== '' && !taken.has(own.toLowerCase()) && own.length <= LONGEST_CODE;
    const code = free ? own : freeCode(heading) || `N${String(row.row)}`;
    taken.add(code.toLowerCase());
    proposals.set(row.row, {
      kind: 'create',
      code,
      name: row.name || row.code,
      classification: guessed,
      parent: heading?.id ?? null,
    });
  }
  return proposals;
};

/** A heading that is made so that accounts made from a paper do not stand bare at the top of the chart. */
export interface NewHeading {
  readonly code: string;
  readonly name: string;
  readonly classification: Classification;
}

/**
 * The headings that accounts to be created without one need: one per statement line for which the chart has no heading,
 * called after the line, with the code that its accounts' codes begin with (filled up with noughts) where that is free.
 */
export const headingsFor = (
  create: readonly Pick<Creation, 'code' | 'classification' | 'parent'>[],
  chart: readonly Account[],
): readonly NewHeading[] => {
  const taken = new Set([...chart, ...create].map(({ code }) => code.toLowerCase()));
  const there = new Set(chart.filter(({ heading }) => heading).map(({ classification }) => classification));
  const lines = new Map<Classification, string[]>();
  for (const { code, classification, parent } of create)
    if (parent === null && !there.has(classification))
      lines.set(classification, [...(lines.get(classification) ?? []), code]);
  return [...lines].map(([classification, codes]): NewHeading => {
    const stem = codes.reduce((common, code) => {
      let length = 0;
      while (length < common.length && common[length] === code[length]) length += 1;
      return common.slice(0, length);
    });
    const width = codes.reduce((longest, { length }) => Math.max(longest, length), 0);
    const wished = stem === '' ? [] : [stem.padEnd(width, '0'), stem, `${stem.slice(0, 1)}0`];
    const code =
      wished.find((one) => !taken.has(one.toLowerCase())) ??
      Array.from({ length: taken.size + 1 }, (_, at) => `H${String(at + 1)}`).find(
        (one) => !taken.has(one.toLowerCase()),
      ) ??
      '';
    taken.add(code.toLowerCase());
    return { code: code.slice(0, LONGEST_CODE), name: classFacts(classification).label, classification };
  });
};
