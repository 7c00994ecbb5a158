import { folded } from '../../base/table';
import { type Account, PLAIN_ACCOUNT, accountId, called } from '../account';
import { type AccountRole, roleFacts, typeOf } from '../../ledger/classes';
import { codeSource } from '../codes';
import { GROUPS, WORDING } from '../composition/catalogue';
import { compose } from '../composition/compose';
import { type ChartEdit, change } from '../edit';
import { codeQuestions } from '../scheme';
import { drop, keyOf } from './fixes';
import type { Advice, Advise, TidyState } from './types';

const active = (chart: readonly Account[]): readonly Account[] => chart.filter((account) => account.active);

/** Every code of the catalogue with the names it may have there. */
const CATALOGUE = new Map<string, Set<string>>();
for (const { accounts } of GROUPS)
  for (const [code, name] of accounts) {
    const names = CATALOGUE.get(code) ?? new Set<string>();
    names.add(folded(name));
    for (const words of Object.values(WORDING)) {
      const worded = words[code];
      if (worded !== undefined) names.add(folded(worded));
    }
    CATALOGUE.set(code, names);
  }

/** Accounts that an answer brought, that nothing was put on, and that the answers of today do not bring. What a person typed or filled is theirs. */
export const misfitAnswers: Advise = (state) => {
  if (state.answers === null) return [];
  const brought = new Set(compose(state.answers).map(({ code }) => code));
  return active(state.chart)
    .filter(
      (account) =>
        !account.heading &&
        account.origin !== '' &&
        (state.amounts.get(account.id) ?? 0n) === 0n &&
        !brought.has(account.code) &&
        CATALOGUE.get(account.code)?.has(folded(account.name)) === true,
    )
    .map((account) => ({
      kind: 'misfit-answers',
      key: keyOf('misfit-answers', [account.id]),
      says: `${called(account)} does not fit the answers given: nothing that the company does calls for it (${account.origin.toLowerCase()}).`,
      accounts: [account.id],
      fix: drop(state, [account]),
    }));
};

const saleWords = (name: string): readonly string[] =>
  folded(name)
    .split(' ')
    .filter((word) => word.length > 3 && !GENERIC.has(word))
    .map((word) => word.replace(/s$/, ''));
const GENERIC = new Set(
  'sales sale income revenue fees turnover from with cost costs goods sold purchases materials other used direct home abroad'.split(
    ' ',
  ),
);

const ID_OF_NEW = accountId(-1);

/** The heading under which a new account of a statement line goes. */
const headingOf = (state: TidyState, line: Account['classification']): Account | undefined =>
  state.chart.find((one) => one.heading && one.active && one.classification === line);

/** Revenue accounts without a cost of sales of their own: neither by code (4110 and 5110) nor by a word of their name. */
export const noPair: Advise = (state) => {
  const costs = active(state.chart).filter((one) => !one.heading && one.classification === 'cost-of-sales');
  // A company without any cost of sales sells its own time; nothing is missing.
  if (costs.length === 0) return [];
  const tails = new Set(costs.map(({ code }) => code.slice(1)));
  const words = new Set(costs.flatMap(({ name }) => saleWords(name)));
  const propose = codeSource(state.chart, state.scheme);
  return active(state.chart)
    .filter((one) => !one.heading && one.classification === 'revenue' && !one.contra)
    .filter(
      ({ code, name }) =>
        // A name that says nothing has no words by which its costs could be told.
        saleWords(name).length > 0 &&
        !(code.length > 2 && tails.has(code.slice(1))) &&
        !saleWords(name).some((word) => words.has(word)),
    )
    .map((sale): Advice => {
      const heading = headingOf(state, 'cost-of-sales');
      const beside = `5${sale.code.slice(1)}`;
      const free = /^4\d+$/.test(sale.code) && !state.index.byCode.has(beside);
      const code = free ? beside : propose(heading);
      const name = `Cost of ${sale.name.replace(/^(sales? of|income from)\s+/i, '').replace(/^\p{Lu}(?=\p{Ll})/u, (letter) => letter.toLowerCase())}`;
      return {
        kind: 'no-pair',
        key: keyOf('no-pair', [sale.id]),
        says: `${called(sale)} has no cost of sales to be held against, so its margin cannot be read.`,
        accounts: [sale.id],
        fix: {
          label: `Add ${code} ${name}`.trim(),
          edits: [
            {
              kind: 'add',
              id: ID_OF_NEW,
              account: {
                ...PLAIN_ACCOUNT,
                code,
                name,
                classification: 'cost-of-sales',
                parent: heading?.id ?? null,
                origin: `the cost behind ${called(sale)}`,
              },
            },
          ],
          merges: [],
        },
      };
    });
};

/** Names by which an account without the role may be the one that is missing. */
const ROLE_NAMES: Partial<
  Record<AccountRole, { readonly words: RegExp; readonly line: Account['classification']; readonly name: string }>
> = {
  bank: { words: /\bbank\b|current account/, line: 'current-asset', name: 'Current account at bank' },
  'receivables-control': {
    words: /receivable|debtors?\b|customers control/,
    line: 'current-asset',
    name: 'Trade receivables',
  },
  'payables-control': {
    words: /payable|creditors?\b|suppliers control/,
    line: 'current-liability',
    name: 'Trade payables',
  },
  stock: { words: /\bstock\b|inventory/, line: 'current-asset', name: 'Stock of goods' },
  loan: { words: /\bloan\b|mortgage/, line: 'long-term-liability', name: 'Bank loan' },
  tax: { words: /\bvat\b|sales tax|\bgst\b|consumption tax/, line: 'current-liability', name: 'Sales tax payable' },
  'retained-earnings': {
    words: /retained|accumulated (funds|profits)|unrestricted funds|undivided profits/,
    line: 'equity',
    name: 'Retained earnings',
  },
  'current-year-result': { words: /(result|surplus|profit).*year/, line: 'equity', name: 'Result for the year' },
  'exchange-realised': { words: /exchange (diff|gain|loss)/, line: 'other-expense', name: 'Exchange differences' },
  'exchange-unrealised': { words: /unreali[sz]ed/, line: 'other-expense', name: 'Unrealised exchange differences' },
  rounding: { words: /rounding/, line: 'other-expense', name: 'Rounding differences' },
};

/** Roles that the company needs and that no active account has. */
export const missingEssentials: Advise = (state) => {
  const propose = codeSource(state.chart, state.scheme);
  return state.needed
    .filter((role) => !(state.index.byRole.get(role) ?? []).some((id) => state.index.byId.get(id)?.active === true))
    .flatMap((role): readonly Advice[] => {
      const facts = ROLE_NAMES[role];
      if (facts === undefined) return [];
      const asleep = (state.index.byRole.get(role) ?? []).flatMap((id) => state.index.byId.get(id) ?? [])[0];
      const known =
        asleep ??
        active(state.chart).find(
          (one) =>
            !one.heading &&
            one.role === null &&
            roleFacts(role).types.includes(typeOf(one.classification)) &&
            facts.words.test(folded(one.name)),
        );
      const heading = headingOf(state, facts.line);
      const code = known === undefined ? propose(heading, facts.line) : '';
      const edits: readonly ChartEdit[] =
        known !== undefined
          ? [change(known, { role, active: true })]
          : [
              {
                kind: 'add',
                id: ID_OF_NEW,
                account: {
                  ...PLAIN_ACCOUNT,
                  code,
                  name: facts.name,
                  classification: facts.line,
                  role,
                  parent: heading?.id ?? null,
                  origin: `the role ${roleFacts(role).label}`,
                },
              },
            ];
      return [
        {
          kind: 'missing',
          key: keyOf('missing', [], role),
          says: `No active account has the role ${roleFacts(role).label}, which these books need.`,
          accounts: known === undefined ? [] : [known.id],
          fix: {
            label: known === undefined ? `Add ${code} ${facts.name}` : `Give the role to ${called(known)}`,
            edits,
            merges: [],
          },
        },
      ];
    });
};

/** Codes of another shape than the scheme's, or outside the range of their statement line. */
export const questionableCodes: Advise = (state) => {
  const questioned = active(state.chart).filter(
    (account) => !account.heading && codeQuestions(state.scheme, account, state.index).length > 0,
  );
  // One source for all of them, so that doing all at once gives each its own.
  const propose = codeSource(state.chart, state.scheme);
  return questioned.map((account) => {
    const [question] = codeQuestions(state.scheme, account, state.index);
    const heading = account.parent === null ? undefined : state.index.byId.get(account.parent);
    const code = propose(heading ?? headingOf(state, account.classification), account.classification);
    return {
      kind: 'code',
      key: keyOf('code', [account.id], account.code),
      says: question?.message ?? '',
      accounts: [account.id],
      fix: {
        label: code === '' ? 'No free code' : `Give it the code ${code}`,
        edits: code === '' ? [] : [change(account, { code })],
        merges: [],
      },
    };
  });
};

/** Headings with one account under them, or none. */
export const loneChildren: Advise = (state) =>
  active(state.chart)
    .filter((account) => account.heading && account.parent !== null)
    .flatMap((heading): readonly Advice[] => {
      const children = (state.index.children.get(heading.id) ?? []).flatMap((id) => state.index.byId.get(id) ?? []);
      const [child] = children;
      if (children.length > 1) return [];
      return [
        {
          kind: 'lone-child',
          key: keyOf('lone-child', [heading.id]),
          says:
            child === undefined
              ? `The heading ${called(heading)} has nothing under it.`
              : `The heading ${called(heading)} has only ${called(child)} under it; it says the same thing twice.`,
          accounts: [heading.id, ...children.map(({ id }) => id)],
          fix: {
            label: child === undefined ? 'Delete the heading' : 'Move it up and delete the heading',
            edits: [
              ...children.map((one) => change(one, { parent: heading.parent })),
              { kind: 'remove', id: heading.id },
            ],
            merges: [],
          },
        },
      ];
    });

export const inactiveBalances: Advise = (state) =>
  state.chart
    .filter((account) => !account.active && (state.amounts.get(account.id) ?? 0n) !== 0n)
    .map((account) => ({
      kind: 'inactive-balance',
      key: keyOf('inactive-balance', [account.id]),
      says: `${called(account)} is inactive and holds an opening balance, which daily work would never show.`,
      accounts: [account.id],
      fix: { label: 'Reactivate', edits: [change(account, { active: true })], merges: [] },
    }));
