import { accountId } from '@/core/chart/account';
import { ACCOUNT_ROLES, CLASSIFICATIONS, normalSide } from '@/core/ledger/classes';
import { contraByName } from '@/core/chart/infer';
import { isCurrency, minorDigits } from '@/core/money/currency';
import { type Minor, minor } from '@/core/money/minor';
import { trustOf } from '@/core/openings/search/labels';
import { search } from '@/core/openings/search/search';
import type { SearchFigure, UntakenRow } from '@/core/openings/search/types';
import { meantBy } from '@/core/words/concepts/recogniser';
import { type Result, fail, ok, problem } from '@/core/base/result';
import { type Asked, DIGITS, askedRows, balanceOf, said, unitsOf } from './tables';

interface File {
  readonly bytes: Uint8Array;
  readonly name: string;
}

const MOST = 12;

/** Decimals that the amounts of all rows need, two at least: the minor unit in which the search counts. */
const decimalsIn = (rows: readonly Asked[]): number => {
  const units = rows.flatMap((row) => [unitsOf(row.get('debit')) ?? 0n, unitsOf(row.get('credit')) ?? 0n]);
  let decimals = 2;
  while (decimals < DIGITS && units.some((one) => one % 10n ** BigInt(DIGITS - decimals) !== 0n)) decimals += 1;
  return decimals;
};

const figureOf = (
  row: Asked,
  at: number,
  amount: Minor,
  rows: readonly Minor[],
  order: number | undefined,
  decimals: number,
): SearchFigure => {
  const name = row.get('name') ?? '';
  const meant = meantBy(name)[0]?.concept;
  const classification = CLASSIFICATIONS.find(({ id }) => id === row.get('line'))?.id ?? meant?.line ?? 'current-asset';
  const currency = row.get('currency') ?? '';
  const foreign = unitsOf(row.get('amount'));
  const rate = /^\d{1,12}(?:\.\d{1,12})?$/.exec(row.get('rate') ?? '')?.[0];
  const [whole = '0', fraction = ''] = (rate ?? '').split('.');
  const scale = isCurrency(currency) ? 10n ** BigInt(minorDigits(currency)) : 100n;
  return {
    account: accountId(at + 1),
    code: row.get('code') ?? '',
    amount,
    classification,
    normal: normalSide({ classification, contra: contraByName(name, classification) }),
    role: ACCOUNT_ROLES.find(({ id }) => id === row.get('role'))?.id ?? null,
    rows,
    ...(order === undefined ? {} : { order }),
    ...(isCurrency(currency) && rate !== undefined
      ? {
          // One unit of the currency is worth so much of base, in minor units of both.
          rates: {
            now: { n: BigInt(whole + fraction) * 10n ** BigInt(decimals), d: 10n ** BigInt(fraction.length) * scale },
            others: [],
          },
          ...(foreign === undefined || row.get('amount') === ''
            ? {}
            : { foreign: minor((foreign * scale) / 10n ** BigInt(DIGITS)) }),
        }
      : {}),
  };
};

/** What would explain that figures do not net to zero, the likeliest first. `paper` are the rows that they were taken from. */
export const askSearch = (figures: File, paper: File | undefined): Result<unknown> => {
  const asked = askedRows(figures.bytes, figures.name, ['code']);
  if (!asked.ok) return asked;
  const rows = paper === undefined ? ok([]) : askedRows(paper.bytes, paper.name, ['code']);
  if (!rows.ok) return rows;
  const decimals = decimalsIn([...asked.value, ...rows.value]);
  const unit = 10n ** BigInt(DIGITS - decimals);
  const own = new Map<string, { readonly amounts: Minor[]; readonly order: number }>();
  const untaken: UntakenRow[] = [];
  const codes = new Set(asked.value.map((row) => row.get('code') ?? ''));
  for (const [at, row] of rows.value.entries()) {
    const balance = balanceOf(row);
    if (balance === undefined)
      return fail(
        problem(
          'ask.amount',
          `Row ${String(at + 2)} of ${paper?.name ?? ''} has a debit or credit that is no plain decimal number.`,
        ),
      );
    const amount = minor(balance / unit);
    const code = row.get('code') ?? '';
    if (!codes.has(code))
      untaken.push({ paper: 1, row: at + 2, text: `${code} ${row.get('name') ?? ''}`.trim(), amount, account: null });
    else {
      const known = own.get(code);
      if (known === undefined) own.set(code, { amounts: [amount], order: at });
      else known.amounts.push(amount);
    }
  }
  const all: SearchFigure[] = [];
  for (const [at, row] of asked.value.entries()) {
    const balance = balanceOf(row);
    if (balance === undefined)
      return fail(
        problem(
          'ask.amount',
          `Row ${String(at + 2)} of ${figures.name} has a debit or credit that is no plain decimal number.`,
        ),
      );
    const behind = own.get(row.get('code') ?? '');
    all.push(
      figureOf(
        row,
        at,
        minor(balance / unit),
        behind?.amounts ?? [],
        behind?.order ?? (rows.value.length === 0 ? at : undefined),
        decimals,
      ),
    );
  }
  const byId = new Map(all.map((figure) => [figure.account, figure]));
  const found = search({ figures: all, untaken, totals: null, atYearStart: false }, { pairs: true, most: MOST });
  return ok(
    found.map(({ causes, explains, weight, inPaper }) => ({
      kinds: causes.map(({ kind }) => kind),
      rows: causes.flatMap(({ changes, untaken: row }) => [
        ...changes.map(({ account }) => byId.get(account)?.code ?? ''),
        ...(row === undefined ? [] : [row.text]),
      ]),
      explains: said(explains * unit),
      weight: Math.round(weight * 10_000) / 10_000,
      label: trustOf(weight, inPaper),
      changes: causes.flatMap(({ changes }) =>
        changes.map(({ account, from, to }) => ({
          code: byId.get(account)?.code ?? '',
          from: said(from * unit),
          to: said(to * unit),
        })),
      ),
    })),
  );
};
