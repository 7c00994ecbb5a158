import { type Account, PLAIN_ACCOUNT, accountId } from '@/core/chart/account';
import { ACCOUNT_ROLES, type AccountRole, CLASSIFICATIONS, type Classification, typeOf } from '@/core/ledger/classes';
import { contraByName } from '@/core/chart/infer';
import { lineByWord } from '@/core/chart/type-words';
import { sideOf } from '@/core/money/minor';
import { matcher } from '@/core/openings/match';
import { type Meant, meantBy } from '@/core/words/concepts/recogniser';
import { type Result, fail, ok, problem } from '@/core/base/result';
import { usualSide } from '@/core/words/side-words';
import { type Asked, askedRows, balanceOf } from './tables';

const FIRST_LINE: Readonly<Record<string, Classification>> = {
  asset: 'current-asset',
  liability: 'current-liability',
  equity: 'equity',
  income: 'revenue',
  expense: 'operating-expense',
};

const plain = (text: string): string => text.toLowerCase().replace(/[^a-z]/g, '');

/** An account of the chart in question. Its line is the one it names; else what its name means, where that is of its type. */
const accountOf = (row: Asked, at: number): Account => {
  const name = row.get('name') ?? '';
  const line = CLASSIFICATIONS.find(({ id }) => id === row.get('line'))?.id;
  const type = plain(row.get('type') ?? '');
  const meant = meantBy(name).find(
    ({ concept, score }) => score > 0.5 && (type === '' || typeOf(concept.line) === type),
  )?.concept;
  const role = ACCOUNT_ROLES.find(({ id, label }) => [plain(id), plain(label)].includes(plain(row.get('role') ?? '')));
  const classification =
    line ?? meant?.line ?? FIRST_LINE[type] ?? lineByWord(type)?.classification ?? 'operating-expense';
  return {
    ...PLAIN_ACCOUNT,
    id: accountId(at + 1),
    code: row.get('code') ?? '',
    name,
    heading: /^(?:true|1|yes|x|heading)$/i.test(row.get('heading') ?? '') || plain(row.get('role') ?? '') === 'heading',
    classification,
    role: role?.id ?? null,
    contra: contraByName(name, classification),
  };
};

/** What an account made for an old one would be. */
const proposalOf = (
  name: string,
  meant: readonly Meant[],
  side: 'debit' | 'credit' | undefined,
): { readonly type: string; readonly line: Classification; readonly role: AccountRole | null } => {
  const [first] = meant;
  const line =
    first !== undefined && first.score >= 0.25
      ? first.concept.line
      : (usualSide(name) ?? side) === 'credit'
        ? 'current-liability'
        : 'operating-expense';
  return { type: typeOf(line), line, role: first !== undefined && first.score >= 0.6 ? first.concept.role : null };
};

/** Which accounts of a chart old ones are, the likeliest first, with what an account made for each would be. */
export const askMatch = (
  chart: { readonly bytes: Uint8Array; readonly name: string },
  rows: { readonly bytes: Uint8Array; readonly name: string },
): Result<unknown> => {
  const accounts = askedRows(chart.bytes, chart.name, ['code', 'name']);
  if (!accounts.ok) return accounts;
  const asked = askedRows(rows.bytes, rows.name, ['code', 'name']);
  if (!asked.ok) return asked;
  const all = accounts.value.map(accountOf);
  const byId = new Map(all.map((account) => [account.id, account]));
  const match = matcher(all);
  const answers: unknown[] = [];
  for (const [at, row] of asked.value.entries()) {
    const amount = balanceOf(row);
    if (amount === undefined)
      return fail(
        problem(
          'ask.amount',
          `Row ${String(at + 2)} of ${rows.name} has a debit or credit that is no plain decimal number.`,
        ),
      );
    const [code, name] = [row.get('code') ?? '', row.get('name') ?? ''];
    const side = sideOf(amount);
    const found = match({ code, name, ...(amount === 0n ? {} : { amount }) });
    const certain = found.kind === 'matched' && found.sure;
    const candidates = certain
      ? [{ code: byId.get(found.account)?.code ?? '', confidence: 0.99, reason: found.why }]
      : found.candidates.map(({ account, confidence, why }) => ({
          code: byId.get(account)?.code ?? '',
          confidence: Math.round(confidence * 100) / 100,
          reason: why,
        }));
    answers.push({ code, name, candidates, certain, proposal: proposalOf(name, meantBy(name, side), side) });
  }
  return ok(answers);
};
