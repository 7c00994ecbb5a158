import { sameKept } from '@/core/base/kept';
import { type CompanyFacts, FACT_LABELS, FACT_NAMES, type FactName, sayFact } from '@/core/company/facts';
import { partHolds } from '@/core/chart/parts-in-use';
import type { Part } from '@/core/company/parts';
import { firstReturnProblems, taxNumberProblems } from '@/core/company/tax';
import type { Change } from '@/core/base/change';
import { movedPlace } from '@/core/company/placed-names';
import { type Problem, plural, problem, quoted } from '@/core/base/result';
import { codesOf, listsInUse } from '@/store/analysis';
import { updateFact } from '@/store/books';
import { currenciesOf, pairsOf } from '@/store/currencies';
import { record } from '@/store/history';
import { pricesInUse } from '@/store/schedules';
import { standingChart } from '../frame/held-chart';
import type { BooksContext, WritingContext } from '../kernel/action';
import { FACT_SCHEMAS } from './schemas';

/** Rules that look at several facts at once, for the one that is about to change. */
const together = (field: FactName, next: CompanyFacts): readonly Problem[] => {
  switch (field) {
    case 'taxNumber':
      return next.taxNumber === '' ? [] : taxNumberProblems(next.taxNumber, next.country, field);
    case 'taxFrom':
    case 'taxFirstEnd':
      return firstReturnProblems(next.taxFrom, next.taxFirstEnd, field);
    default:
      return [];
  }
};

/** Why parts that are about to be turned off have to stay on. */
const heldParts = async ({ tx, books }: BooksContext, next: readonly Part[]): Promise<readonly Problem[]> => {
  const off = books.facts.parts.filter((part) => !next.includes(part));
  if (off.length === 0) return [];
  const data = {
    accounts: await standingChart({ tx, books }),
    taxRegistered: books.facts.taxRegistered === 'yes',
    currencies: (await currenciesOf(tx, [books.id])).get(books.id) ?? [],
    codes: (await codesOf(tx, books.id)).length,
    rates: (await pairsOf(tx, books.id)).reduce((all, pair) => all + pair.count, 0),
  };
  return off.flatMap((part) => partHolds(part, data) ?? []);
};

/** Why names by whose places something is kept cannot change as they are about to: another name would take it over. */
export const heldNames = async (
  { tx, books }: BooksContext,
  field: FactName,
  next: CompanyFacts,
): Promise<readonly Problem[]> => {
  if (field !== 'priceLevels' && field !== 'analysisLists') return [];
  const prices = field === 'priceLevels';
  const used = await (prices ? pricesInUse : listsInUse)(tx, books.id);
  const moved = movedPlace(books.facts[field], next[field], new Set(used.keys()));
  if (moved === undefined) return [];
  const [has, keeps, out] = prices
    ? (['price', 'a price level', 'empty its prices'] as const)
    : (['code', 'a list', 'delete its codes'] as const);
  return [
    problem(
      'names.in-use',
      `${quoted(books.facts[field][moved] ?? '')} has ${plural(used.get(moved) ?? 0, has)}, and ${keeps} keeps its place: add new names behind the last, give this one another where it stands, or ${out} first.`,
      field,
    ),
  ];
};

/** Puts a fact in the place of the one that stands, or says why not. */
export const putFact = async <F extends FactName>(
  context: WritingContext,
  field: F,
  value: CompanyFacts[F],
): Promise<readonly Problem[]> => {
  const { tx, books, actor, now, changes } = context;
  const standing = books.facts[field];
  const next = { ...books.facts, [field]: value };
  const wrong = [
    ...together(field, next),
    ...(field === 'parts' ? await heldParts(context, next.parts) : []),
    ...(await heldNames(context, field, next)),
  ];
  if (wrong.length > 0) return wrong;
  changes.add([await updateFact(tx, books, field, next[field])]);
  await record(
    tx,
    books.id,
    'books',
    [books.id],
    `${FACT_LABELS[field]}: ${sayFact(field, standing)} → ${sayFact(field, value)}`,
    actor.person,
    now,
  );
  return [];
};

/** Whether taking a change back turns parts on. */
const turnsOn = ({ field, from, to }: Change): boolean =>
  field === 'parts' && Array.isArray(from) && Array.isArray(to) && to.every((part) => from.includes(part));

/** Parts that were turned off are turned on again, before what needs them comes back. */
export const partsIn = (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> =>
  putBack(context, changes.filter(turnsOn));

/** Facts go back to what they were, but for parts that are turned on. */
export const factsBack = (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> =>
  putBack(
    context,
    changes.filter((change) => !turnsOn(change)),
  );

/** Facts as they were; one that is another by now stands in the way. */
const putBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  for (const { field: name, from, to } of changes) {
    const field = FACT_NAMES.find((one) => one === name);
    if (field === undefined) continue;
    const standing = context.books.facts[field];
    if (!sameKept(standing, to))
      return [
        problem(
          'undo.since',
          `${FACT_LABELS[field]} was changed since and is now: ${sayFact(field, standing)}. Nothing was taken back.`,
        ),
      ];
    const value = FACT_SCHEMAS[field].safeParse(from);
    const wrong = value.success
      ? await putFact(context, field, value.data)
      : [problem('undo.fact', `${FACT_LABELS[field]} as it was is not taken any more. Change it by hand.`)];
    if (wrong.length > 0) return wrong;
  }
  return [];
};
