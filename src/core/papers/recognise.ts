import { type Table, textOf } from '../base/table';
import { ARRANGEMENTS, type Arrangement, arranged, lyingSo, sheetsJoined, tablesUnder } from './arrange';
import { headerOf, headerTexts } from './header';
import { type Circumstances, type Hypothesis, hypotheses, outcome } from './hypotheses';
import type { Reading } from './reading';
import { isRounding } from './stated-scale';
import { skeletonOf } from './skeleton';
import { statedDate } from './stated-date';
import { withoutTitlesAgain } from './titles-again';
import { type Recognition, explainedTrial } from './telling';
import { type Trial, trials } from './trial';
import { parserOf, valuesOf } from './values';
import { wayUnder } from './ways';

export type { Circumstances } from './hypotheses';
export type { Recognition } from './telling';

/** Sheets of a workbook that are looked at for a trial balance. */
const MOST_SHEETS = 8;

/** Points for the sheet of the day that is wanted; or for the latest, where none of that day is there. */
const [OF_THE_DAY, LATEST] = [25, 10] as const;

/** How the table with the clearest trial balance in it is best read; where other sheets hold one as well, they are offered beside it. */
export const recognise = (given: readonly Table[], circumstances: Circumstances): Recognition => {
  const tables = given.map(withoutTitlesAgain);
  const found = tables.slice(0, MOST_SHEETS).flatMap((table, sheet) => {
    if (table.aside === true) return [];
    const [best] = [undefined, ...ARRANGEMENTS]
      .map((arrangement) => {
        const own = arrangement === undefined ? table : arranged(table, arrangement);
        const list = own === undefined ? [] : hypotheses(own, sheet, headerOf(own.rows), circumstances, arrangement);
        return { list, points: sheetPoints(list[0]) + lyingPoints(table, arrangement) };
      })
      .sort((one, other) => other.points - one.points);
    const [first] = best?.list ?? [];
    return best === undefined || first === undefined
      ? []
      : [{ ...best, first, day: statedDate(tablesUnder(tables, first.reading), first.reading, '') }];
  });
  // Where no sheet is a balance by itself, all of them may be one: the balance sheet here, the income statement there.
  const whole = found.some(({ first }) => holdsBalance(first, circumstances))
    ? undefined
    : sheetsJoined(tables.filter(({ aside }) => aside !== true));
  const together = whole === undefined ? [] : hypotheses(whole, 0, headerOf(whole.rows), circumstances, 'all-sheets');
  if (together[0] !== undefined && holdsBalance(together[0], circumstances))
    return told(tables, together, circumstances);
  const days = found.flatMap(({ day, first }) =>
    day !== undefined && holdsBalance(first, circumstances) ? [day] : [],
  );
  const { date } = circumstances;
  const wanted = date !== undefined && days.includes(date) ? date : [...days].sort().at(-1);
  const ofDay = wanted === date ? OF_THE_DAY : LATEST;
  const [best, ...others] = found
    .map((one) => ({ ...one, ranked: one.points + (one.day !== undefined && one.day === wanted ? ofDay : 0) }))
    .sort((one, other) => other.ranked - one.ranked);
  // A sheet that says that it is of another day than the one that is wanted is no rival.
  const rivals = others.filter(
    ({ day, points }) =>
      points >= (best?.points ?? 0) - CLOSE && (best?.day !== date || date === undefined || day === undefined),
  );
  return told(
    tables,
    best?.list ?? [],
    circumstances,
    rivals.map(({ first }) => first),
  );
};

/** Two rows come to nil by chance. */
const FEWEST_MOVING = 3;

const holdsBalance = (one: Hypothesis, circumstances: Circumstances): boolean =>
  one.trial.moving >= FEWEST_MOVING && netsOut(one, circumstances);

const netsOut = ({ trial, reading }: Hypothesis, { digits }: Circumstances): boolean =>
  trial.net === 0n || isRounding(trial.net, trial.moving, reading.scale, digits);

/**
 * A table lies as it stands unless more speaks for another arrangement than chance would give; where names stand between the
 * columns of figures, or codes in two columns, it is the other way round, since as it stands they would not be read.
 */
const lyingPoints = (table: Table, arrangement: Arrangement | undefined): number =>
  arrangement !== undefined
    ? -6
    : (['two-beside', 'two-codes'] as const).every((one) => arranged(table, one) === undefined)
      ? 0
      : -12;

/** A longer list is the likelier one among sheets that read equally well. */
const sheetPoints = (best: Hypothesis | undefined): number =>
  best === undefined ? -Infinity : best.points + Math.min(15, Math.log2(1 + best.trial.accounts) * 2);

/**
 * The rest of the guesses once the sheet, how its table lies, and maybe the header row are settled by a person, and around
 * what else was chosen.
 */
export const recogniseFrom = (
  given: readonly Table[],
  sheet: number,
  header: number | undefined,
  circumstances: Circumstances,
  wished?: Arrangement,
  by: Pick<Reading, 'chosen' | 'asAccount'> = { asAccount: {} },
): Recognition => {
  const tables = given.map(withoutTitlesAgain);
  const own = tables[sheet];
  if (own === undefined) return explained(tables, { ...EMPTY, sheet }, circumstances);
  // A table that does not lie so is read as it stands.
  const other = lyingSo(tables, sheet, wished);
  const table = other ?? own;
  const found = headerOf(table.rows);
  return told(
    tables,
    hypotheses(
      table,
      sheet,
      header === undefined || found.at === header ? found : { at: header, height: 1 },
      circumstances,
      other === undefined ? undefined : wished,
      by,
    ),
    circumstances,
  );
};

const EMPTY: Reading = { sheet: 0, header: -1, columns: [], style: '1,234.56', convention: 'written', asAccount: {} };

/** Points within which another reading is said beside the one proposed. */
const CLOSE = 9;
const MOST_ALTERNATIVES = 4;

const told = (
  tables: readonly Table[],
  found: readonly Hypothesis[],
  circumstances: Circumstances,
  /** The best readings of other sheets that hold as much. */
  ofSheets: readonly Hypothesis[] = [],
): Recognition => {
  const [best, ...others] = found;
  if (best === undefined) return explained(tables, EMPTY, circumstances);
  const nets = (one: Hypothesis): boolean => netsOut(one, circumstances);
  const seen = new Set([outcome(best)]);
  const close: Hypothesis[] = [];
  for (const other of others) {
    if (close.length >= MOST_ALTERNATIVES) break;
    const key = outcome(other);
    // One that does not net to zero is no rival of one that does.
    if (seen.has(key) || other.trial.moving < 2 || best.points - other.points > CLOSE || (nets(best) && !nets(other)))
      continue;
    seen.add(key);
    close.push(other);
  }
  for (const other of ofSheets) {
    if (close.length >= MOST_ALTERNATIVES || seen.has(outcome(other)) || other.trial.moving < 2 || !nets(other))
      continue;
    seen.add(outcome(other));
    close.push(other);
  }
  const rivals = found.filter(
    (one) => one.reading.columns === best.reading.columns || one.trial.way === best.trial.way,
  );
  return explainedTrial(tablesUnder(tables, best.reading), best, rivals, close, circumstances);
};

/** A reading with the reasons for it, and, where `infer`, the sign convention that nets to zero. */
export const explained = (
  paper: readonly Table[],
  given: Reading,
  circumstances: Circumstances,
  infer = false,
): Recognition => {
  const { hint, ...money } = circumstances;
  const tables = tablesUnder(paper.map(withoutTitlesAgain), given);
  const rows = tables[given.sheet]?.rows ?? [];
  const parse = parserOf(rows, given.style, { ...money, scale: given.scale });
  const skeleton = skeletonOf(rows, given);
  const under = (signed: boolean): readonly Trial[] => {
    const way = wayUnder(given.columns, signed);
    return trials(way, skeleton, valuesOf(rows, parse, way), given, hint);
  };
  const pair = given.columns.includes('debit') && given.columns.includes('credit');
  const all = [...under(false), ...(pair ? under(true) : [])].map((trial): Hypothesis => ({
    reading: { ...given, convention: trial.convention },
    skeleton,
    trial,
    points: trial.points,
  }));
  const way = wayUnder(given.columns, given.convention === 'columns-signed');
  const own =
    all.find(({ trial }) => trial.convention === given.convention) ??
    trials(way, skeleton, valuesOf(rows, parse, way), given, hint, given.convention).map((trial): Hypothesis => ({
      reading: given,
      skeleton,
      trial,
      points: trial.points,
    }))[0];
  const best = infer ? [...all].sort((a, b) => b.points - a.points)[0] : own;
  if (best === undefined) return { reading: given, nets: [], rows: [], doubts: [], alternatives: [], reasons: [] };
  return explainedTrial(
    tables,
    { ...best, reading: { ...given, convention: infer ? best.reading.convention : given.convention } },
    all,
    [],
    circumstances,
  );
};

/** What tells papers of one source from others: the header's words and the columns' number, whatever the figures are. */
export const shapeOf = (
  tables: readonly Table[],
  reading: Pick<Reading, 'sheet' | 'header' | 'height' | 'columns' | 'arrangement'>,
): string => {
  const rows = tablesUnder(tables, reading)[reading.sheet]?.rows ?? [];
  const texts = headerTexts(rows, reading.header, reading.height ?? 1, reading.columns.length);
  return `${String(tables.length)}/${texts.map((text) => textOf(text).toLowerCase().replace(/\d+/g, '#')).join('|')}`.slice(
    0,
    900,
  );
};
