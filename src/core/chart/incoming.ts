import { type Currency } from '../money/currency';
import { addTo } from '../base/lists';
import { type Problem, problem, quoted } from '../base/result';
import { folded } from '../base/table';
import {
  type Account,
  type AccountFields,
  type AccountId,
  type CodeRule,
  LONGEST_CODE,
  PLAIN_ACCOUNT,
  accountId,
  accountProblems,
  called,
  chartIndex,
} from './account';
import { type BankDetails, NO_BANK_DETAILS } from './bank';
import { type Classification, typeOf } from '../ledger/classes';
import { codeSource } from './codes';
import { type ChartEdit, change } from './edit';
import { type Inferred, contraByName, inferLine, rolesByName } from './infer';
import type { CodeScheme } from './scheme';
import { type AccountUse, UNUSED, changeProblems } from './use';

/** What a source can say about an account. What it does not say is inferred for a new account and stays for one that is here. */
export interface IncomingFields extends Omit<AccountFields, 'parent' | 'classification'> {
  /** Code or name of the heading, or both as it is called; empty for the top. */
  readonly parent: string;
  /** As the source words it. */
  readonly type: string;
  readonly classification: Classification | null;
  readonly bank: BankDetails;
}

/** An account that somebody brings: from answers, other books, a file, or typed lines. */
export interface Incoming {
  /** Where it stands in the source, from 1; unique. */
  readonly row: number;
  readonly says: Partial<IncomingFields>;
  /** What could not be read. */
  readonly problems: readonly Problem[];
}

/** What a person decided about a row of the preview. */
export interface RowChoice {
  readonly skip?: boolean | undefined;
  /** For an account that is here with another name or type: keep it, change it, or bring this one under another code. */
  readonly clash?: 'keep' | 'change' | 'new-code' | undefined;
  readonly fix?: Partial<Pick<IncomingFields, 'code' | 'name' | 'classification' | 'parent' | 'heading'>> | undefined;
}

export interface IncomingRules {
  readonly codes: CodeRule;
  readonly scheme: CodeScheme | null;
  readonly base: Currency;
  readonly currencies: readonly Currency[];
  readonly taxCodes: readonly string[];
  readonly uses: ReadonlyMap<AccountId, AccountUse>;
  readonly banks: ReadonlyMap<AccountId, BankDetails>;
  /** Whether accounts that are here already are changed too. */
  readonly update: boolean;
  /** What happens to a clash for which nothing was decided. */
  readonly clash: 'keep' | 'change' | 'new-code';
}

export type RowStatus = 'new' | 'changes' | 'same' | 'problem' | 'kept' | 'skipped';

export interface PlannedRow {
  readonly row: number;
  readonly status: RowStatus;
  readonly code: string;
  readonly name: string;
  readonly heading: boolean;
  readonly classification: Classification | null;
  /** The heading it will stand under, as a person reads it; empty for the top. */
  readonly under: string;
  /** The account that is here already. */
  readonly target: AccountId | null;
  /** Fields that would change, or that stay because only new accounts are taken. */
  readonly changes: readonly (keyof AccountFields | 'bank')[];
  /** Same code, but another name or type than the account that is here. */
  readonly clash: boolean;
  readonly why: string;
  readonly problems: readonly Problem[];
}

export interface IncomingPlan {
  readonly rows: readonly PlannedRow[];
  readonly counts: Readonly<Record<RowStatus, number>>;
  /** The steps for the good rows. New accounts have ids below zero. */
  readonly edits: readonly ChartEdit[];
  /** Bank details that the good rows bring. */
  readonly banks: ReadonlyMap<AccountId, BankDetails>;
}

/** Headings that no row of the source is: they stand behind all rows, and come with what is under them. */
const MADE_FROM = 1_000_000;
export const isMade = ({ row }: Pick<PlannedRow, 'row'>): boolean => row >= MADE_FROM;

interface Draft {
  readonly incoming: Incoming;
  readonly says: Partial<IncomingFields>;
  readonly target: Account | undefined;
  readonly clash: boolean;
  readonly kept: boolean;
  is: Account;
  why: string;
  under: string;
  problems: Problem[];
}

const ownFields = [
  'code',
  'name',
  'role',
  'currency',
  'contra',
  'active',
  'note',
  'taxCode',
  'heading',
] as const satisfies readonly (keyof AccountFields & keyof IncomingFields)[];

/**
 * What taking over the accounts of a source would do to a chart, row by row. Pure: the preview shows it and the action
 * carries it out. Rows with a problem, and what would stand under them, are left out of the steps; all others go together.
 */
export const planIncoming = (
  chart: readonly Account[],
  rows: readonly Incoming[],
  choices: ReadonlyMap<number, RowChoice>,
  rules: IncomingRules,
): IncomingPlan => {
  const here = chartIndex(chart);
  const namesHere = byName(chart);
  const taken = new Set(chart.map((account) => account.code.toLowerCase()));
  const drafts: Draft[] = [];
  const skipped: PlannedRow[] = [];
  for (const incoming of rows) {
    const choice = choices.get(incoming.row);
    const says = { ...incoming.says, ...choice?.fix };
    const code = (says.code ?? '').trim();
    const name = (says.name ?? '').trim();
    if (choice?.skip === true) {
      skipped.push(plannedOf(incoming.row, 'skipped', says));
      continue;
    }
    const [byCode] = here.byCode.get(code.toLowerCase()) ?? [];
    const found =
      code === '' ? sole(namesHere.get(folded(name))) : byCode === undefined ? undefined : here.byId.get(byCode);
    const clash =
      found !== undefined &&
      ((name !== '' && folded(found.name) !== folded(name)) ||
        (says.classification != null && typeOf(says.classification) !== typeOf(found.classification)));
    const settled = clash ? (choice?.clash ?? rules.clash) : rules.update ? 'change' : 'keep';
    const target = settled === 'new-code' ? undefined : found;
    drafts.push({
      incoming,
      says: settled === 'new-code' ? { ...says, code: freeCode(code, taken) } : says,
      target,
      clash,
      kept: found !== undefined && settled === 'keep',
      // A place until everything that it refers to is known.
      is: { ...PLAIN_ACCOUNT, id: target?.id ?? accountId(-incoming.row), code, name, classification: 'current-asset' },
      why: '',
      under: '',
      problems: [...incoming.problems.filter((one) => !isFixed(one, choice))],
    });
  }
  settle(chart, drafts, rules);
  return finish(chart, drafts, skipped, rules);
};

/** A problem of a field is gone once the field was put right by hand. */
const isFixed = (found: Problem, choice: RowChoice | undefined): boolean =>
  choice?.fix !== undefined && found.path?.[0] !== undefined && found.path[0] in choice.fix;

const sole = <T>(list: readonly T[] | undefined): T | undefined => (list?.length === 1 ? list[0] : undefined);

const byName = (accounts: Iterable<Account>): Map<string, Account[]> => {
  const names = new Map<string, Account[]>();
  for (const account of accounts) {
    const key = folded(account.name);
    addTo(names, key, account);
  }
  return names;
};

const freeCode = (code: string, taken: Set<string>): string => {
  for (let at = 2; ; at += 1) {
    const next = `${code.slice(0, LONGEST_CODE - 4)}-${at}`;
    if (taken.has(next.toLowerCase())) continue;
    taken.add(next.toLowerCase());
    return next;
  }
};

/** Gives each draft its heading, its statement line and its other fields. Headings first, so that what is under them can follow. */
const settle = (chart: readonly Account[], drafts: Draft[], rules: IncomingRules): void => {
  const codes = new Map<string, { readonly draft?: Draft; readonly account: Account }>();
  const names = new Map<string, { readonly draft?: Draft; readonly account: Account }>();
  const known = (account: Account, draft?: Draft): void => {
    const entry = draft === undefined ? { account } : { draft, account };
    // Of two rows with one code the first is meant; a row for an account that is here stands in its place.
    const put = (map: typeof codes, key: string): void => {
      if (map.get(key)?.draft === undefined) map.set(key, entry);
    };
    if (account.code !== '') put(codes, account.code.toLowerCase());
    if (account.heading) for (const name of [account.name, called(account)]) put(names, folded(name));
  };
  for (const account of chart) known(account);
  // An account that others name as their heading is one, also where the source has no column for it.
  const named = new Set(drafts.map(({ says }) => (says.parent ?? '').trim().toLowerCase()).filter((one) => one !== ''));
  for (const draft of drafts) {
    const { says, target } = draft;
    const code = (says.code ?? target?.code ?? '').trim();
    const name = (says.name ?? target?.name ?? '').trim();
    const heading =
      says.heading ??
      target?.heading ??
      ((code !== '' && named.has(code.toLowerCase())) || named.has(name.toLowerCase()));
    draft.is = { ...(target ?? draft.is), code, name, heading };
    if (!draft.kept) known(draft.is, draft);
  }
  // Made on the spot: a heading that is named and is nowhere.
  let spot = 0;
  for (const draft of [...drafts]) {
    const wanted = (draft.says.parent ?? '').trim();
    if (wanted === '' || draft.kept || codes.has(wanted.toLowerCase()) || names.has(folded(wanted))) continue;
    if (/^[\d.\-/ ]+$/.test(wanted)) continue;
    spot += 1;
    const made: Draft = {
      incoming: { row: MADE_FROM + spot, says: { name: wanted, heading: true }, problems: [] },
      says: { name: wanted, heading: true, parent: '' },
      target: undefined,
      clash: false,
      kept: false,
      is: {
        ...PLAIN_ACCOUNT,
        id: accountId(-MADE_FROM - spot),
        code: '',
        name: wanted,
        heading: true,
        classification: 'current-asset',
      },
      why: 'named by an account under it',
      under: '',
      problems: [],
    };
    drafts.push(made);
    known(made.is, made);
  }
  const neighbours = new Map<string, Classification>();
  for (const account of chart)
    if (!account.heading && account.code.length > 2) neighbours.set(account.code.slice(0, 2), account.classification);
  const index = new Map(chart.map((account) => [account.id, account]));
  const done = new Set<Draft>();
  const children = new Map<Draft, Draft[]>();
  const parentOf = (draft: Draft): { readonly draft?: Draft; readonly account: Account } | undefined => {
    const wanted = (draft.says.parent ?? '').trim();
    return wanted === '' ? undefined : (codes.get(wanted.toLowerCase()) ?? names.get(folded(wanted)));
  };
  for (const draft of drafts) {
    const above = parentOf(draft)?.draft;
    if (above === undefined) continue;
    addTo(children, above, draft);
  }
  const propose = codeSource(
    [...chart, ...drafts.filter(({ target }) => target === undefined).map(({ is }) => is)],
    rules.scheme,
  );
  const place = (draft: Draft, depth: number): void => {
    if (done.has(draft)) return;
    done.add(draft);
    const { says, target, incoming } = draft;
    const wanted = (says.parent ?? '').trim();
    const above = parentOf(draft);
    if (above?.draft !== undefined && depth < 60) place(above.draft, depth + 1);
    let parent: Account | undefined = above?.draft?.is ?? above?.account;
    if (says.parent === undefined)
      parent = target === undefined ? undefined : target.parent === null ? undefined : index.get(target.parent);
    else if (wanted !== '' && parent === undefined)
      draft.problems.push(
        problem(
          'import.parent-unknown',
          `The heading ${quoted(wanted)} is neither in this source nor in the chart.`,
          'parent',
        ),
      );
    const inferred = lineOf(draft, parent, rules, neighbours, children.get(draft) ?? []);
    if (inferred === undefined)
      draft.problems.push(
        problem(
          'import.line-unknown',
          `Neither its type${(says.type ?? '') === '' ? '' : ` (${quoted(says.type ?? '')})`}, its heading, its code nor its name says on which statement line it stands. Choose one.`,
          'classification',
        ),
      );
    const classification = inferred?.classification ?? 'current-asset';
    draft.why = target === undefined || says.classification != null ? (inferred?.why ?? draft.why) : '';
    // A source that says nothing about headings: the account goes under the chart's heading of its line.
    if (says.parent === undefined && target === undefined && !draft.is.heading)
      parent = headingFor(chart, classification, draft.is.code);
    if (draft.is.heading || inferred !== undefined)
      if (draft.is.code !== '' && neighbours.size < 5000) neighbours.set(draft.is.code.slice(0, 2), classification);
    if (draft.is.code === '' && target === undefined && rules.codes === 'required')
      draft.is = { ...draft.is, code: propose(parent, classification) };
    const fields = Object.fromEntries(
      ownFields.flatMap((field) =>
        says[field] === undefined || field === 'code' || field === 'name' ? [] : [[field, says[field]]],
      ),
    );
    draft.under = parent === undefined ? '' : called(parent);
    draft.is = {
      ...draft.is,
      ...fields,
      classification,
      parent: parent?.id ?? null,
      // Accumulated depreciation stands on the other side, also where the source has no column for sides.
      contra:
        says.contra ??
        target?.contra ??
        (contraByName(draft.is.name, classification) || says.role === 'accumulated-depreciation'),
      origin: target?.origin ?? says.origin ?? `row ${incoming.row}`,
    };
    if (draft.is.currency === rules.base) draft.is = { ...draft.is, currency: null };
    if (
      draft.is.currency !== null &&
      draft.is.currency !== target?.currency &&
      !rules.currencies.includes(draft.is.currency)
    )
      draft.problems.push(
        problem(
          'account.currency-off',
          `${draft.is.currency} is not switched on in these books. Switch it on on the Currencies page first.`,
          'currency',
        ),
      );
    if (draft.is.taxCode !== null && draft.is.taxCode !== target?.taxCode && !rules.taxCodes.includes(draft.is.taxCode))
      draft.problems.push(
        problem(
          'import.tax-code',
          `The tax code ${quoted(draft.is.taxCode)} does not exist in these books.`,
          'taxCode',
        ),
      );
  };
  for (const draft of drafts) place(draft, 0);
  // A source that says nothing of roles leaves those to the names.
  const silent = drafts.filter(
    ({ target, says, is }) => target === undefined && says.role === undefined && !is.heading,
  );
  const roles = rolesByName(
    silent.map(({ is }) => is),
    [...chart, ...drafts.map(({ is }) => is)],
  );
  silent.forEach((draft, at) => {
    draft.is = { ...draft.is, role: roles[at] ?? null };
  });
};

const lineOf = (
  draft: Draft,
  parent: Account | undefined,
  rules: IncomingRules,
  neighbours: ReadonlyMap<string, Classification>,
  below: readonly Draft[],
): Inferred | undefined => {
  const { says, target } = draft;
  if (says.classification != null) return { classification: says.classification, why: '' };
  if (target !== undefined && (says.type ?? '') === '') return { classification: target.classification, why: '' };
  const found = inferLine(
    { code: draft.is.code, name: draft.is.name, type: says.type ?? '', heading: parent?.classification },
    rules.scheme,
    neighbours,
  );
  if (found !== undefined || !draft.is.heading) return found;
  // A heading that says nothing about itself is of what stands under it.
  for (const child of below) {
    const own =
      child.says.classification ??
      inferLine({ code: child.is.code, name: child.is.name, type: child.says.type ?? '' }, rules.scheme, neighbours)
        ?.classification;
    if (own != null) return { classification: own, why: `${quoted(child.is.name)} stands under it` };
  }
  return undefined;
};

/** The heading of a statement line under which a new account goes: the one with the nearest code before its own, else the first. */
const headingFor = (chart: readonly Account[], classification: Classification, code: string): Account | undefined => {
  const headings = chart.filter((one) => one.heading && one.classification === classification);
  const before = headings
    .filter((one) => one.code.length === code.length && one.code <= code)
    .sort((a, b) => (a.code < b.code ? 1 : -1));
  return before[0] ?? headings[0];
};

const plannedOf = (row: number, status: RowStatus, says: Partial<IncomingFields>): PlannedRow => ({
  row,
  status,
  code: says.code ?? '',
  name: says.name ?? '',
  heading: says.heading ?? false,
  classification: says.classification ?? null,
  under: says.parent ?? '',
  target: null,
  changes: [],
  clash: false,
  why: '',
  problems: [],
});

const changed = (draft: Draft): readonly (keyof AccountFields)[] => {
  const { target, is, says } = draft;
  if (target === undefined) return [];
  const said = new Set<keyof AccountFields>([
    ...ownFields.filter((field) => says[field] !== undefined),
    ...(says.parent === undefined ? [] : (['parent'] as const)),
    ...(says.classification != null || (says.type ?? '') !== '' ? (['classification'] as const) : []),
  ]);
  return [...said].filter((field) => target[field] !== is[field]);
};

/** Checks the drafts together; a row with a problem is taken out, and with it what would stand under it, until the rest is right. */
const finish = (
  chart: readonly Account[],
  drafts: readonly Draft[],
  skipped: readonly PlannedRow[],
  rules: IncomingRules,
): IncomingPlan => {
  const rows = new Map<number, PlannedRow>();
  const live = new Set(drafts.filter((draft) => !draft.kept));
  const edits: ChartEdit[] = [];
  const banks = new Map<AccountId, BankDetails>();
  for (;;) {
    const standing = new Map(chart.map((account) => [account.id, account]));
    const firsts = new Map<AccountId, Draft>();
    const twice = new Set<Draft>();
    for (const draft of live) {
      if (draft.problems.length > 0) continue;
      if (firsts.has(draft.is.id)) {
        twice.add(draft);
        continue;
      }
      firsts.set(draft.is.id, draft);
      standing.set(draft.is.id, draft.is);
    }
    for (const draft of twice) {
      const first = firsts.get(draft.is.id);
      draft.problems.push(
        problem('import.twice', `${called(draft.is)} stands in row ${first?.incoming.row ?? 0} already.`, 'code'),
      );
    }
    const index = chartIndex(standing.values());
    let found = twice.size > 0;
    for (const draft of firsts.values()) {
      if (draft.target !== undefined && changed(draft).length === 0) continue;
      const wrong = [
        // Of two rows with one code the first stands; the later ones are pointed at.
        ...accountProblems(draft.is, index, draft.is.id, rules.codes).filter(
          (one) =>
            one.code !== 'account.code-taken' ||
            isLater(draft, index.byCode.get(draft.is.code.toLowerCase()) ?? [], firsts),
        ),
        ...(draft.target === undefined
          ? []
          : changeProblems(draft.target, draft.is, rules.uses.get(draft.target.id) ?? UNUSED, rules.base)),
      ].map((one) =>
        one.code === 'account.parent-missing'
          ? problem('import.parent-problem', `Its heading has a problem; put that right first.`, 'parent')
          : one,
      );
      if (wrong.length > 0) {
        draft.problems.push(...wrong);
        found = true;
      }
    }
    if (!found) break;
  }
  for (const draft of drafts) {
    const own = changed(draft);
    const bank = newBank(draft, rules.banks);
    const changes = bank === undefined || draft.target === undefined ? own : [...own, 'bank' as const];
    const status: RowStatus =
      draft.problems.length > 0
        ? 'problem'
        : draft.target === undefined
          ? 'new'
          : changes.length === 0
            ? 'same'
            : draft.kept
              ? 'kept'
              : 'changes';
    if ((status === 'new' || status === 'changes') && bank !== undefined) banks.set(draft.is.id, bank);
    if (status === 'new') edits.push({ kind: 'add', id: draft.is.id, account: fieldsOf(draft.is) });
    if (status === 'changes' && draft.target !== undefined && own.length > 0) {
      const { is } = draft;
      edits.push(change(draft.target, Object.fromEntries(own.map((field) => [field, is[field]]))));
    }
    rows.set(draft.incoming.row, {
      row: draft.incoming.row,
      status,
      code: draft.is.code,
      name: draft.is.name,
      heading: draft.is.heading,
      classification: draft.problems.some((one) => one.code === 'import.line-unknown') ? null : draft.is.classification,
      under: draft.under,
      target: draft.target?.id ?? null,
      changes,
      clash: draft.clash,
      why: draft.why,
      problems: draft.problems,
    });
  }
  for (const row of skipped) rows.set(row.row, row);
  const all = [...rows.values()].sort((a, b) => a.row - b.row);
  const counts = { new: 0, changes: 0, same: 0, problem: 0, kept: 0, skipped: 0 };
  for (const row of all) counts[row.status] += 1;
  return { rows: all, counts, edits, banks };
};

/** The bank details that a row brings, where they are not here already. */
const newBank = ({ says, is }: Draft, here: ReadonlyMap<AccountId, BankDetails>): BankDetails | undefined => {
  const { bank } = says;
  if (bank === undefined) return undefined;
  const stands = here.get(is.id) ?? NO_BANK_DETAILS;
  return (Object.keys(bank) as (keyof BankDetails)[]).every((field) => bank[field] === stands[field])
    ? undefined
    : bank;
};

const isLater = (draft: Draft, holders: readonly AccountId[], live: ReadonlyMap<AccountId, Draft>): boolean =>
  holders.some((id) => {
    if (id === draft.is.id) return false;
    const other = live.get(id);
    return other === undefined || other.target !== undefined || other.incoming.row < draft.incoming.row;
  });

const fieldsOf = ({ id: _, ...fields }: Account): AccountFields => fields;
