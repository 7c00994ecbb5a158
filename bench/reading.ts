// How papers that nobody has seen are read, by what is awkward about them, and how accounts in other languages are matched.
import { type Account, PLAIN_ACCOUNT, accountId } from '@/core/chart/account';
import type { Classification } from '@/core/ledger/classes';
import { readPaper } from '@/core/files/read';
import { minor } from '@/core/money/minor';
import { matcher } from '@/core/openings/match';
import type { PaperRow } from '@/core/papers/paper-row';
import { explained, recognise } from '@/core/papers/recognise';
import { type Made, makePaper, namesByLanguage } from '@/core/papers/testing/paper-maker';

type Outcome = 'exact' | 'offered' | 'told' | 'silent';

const accountsOf = (rows: readonly PaperRow[]): string =>
  rows
    .flatMap(({ kind, code, name, amount }) => (kind === 'account' ? [`${code}|${name}|${String(amount)}`] : []))
    .join('\n')
    .replaceAll('\u2019', "'");

const outcomeOf = (made: Made): Outcome => {
  const read = readPaper(made.bytes, made.name);
  if (!read.ok) return 'told';
  const circumstances = { digits: made.digits };
  const { rows, doubts, alternatives } = recognise(read.value, circumstances);
  const wanted = made.rows
    .map(({ code, name, amount }) => `${code}|${name}|${String(amount)}`)
    .join('\n')
    .replaceAll('\u2019', "'");
  if (accountsOf(rows) === wanted) return 'exact';
  if (alternatives.some(({ reading }) => accountsOf(explained(read.value, reading, circumstances).rows) === wanted))
    return 'offered';
  return doubts.length > 0 ? 'told' : 'silent';
};

const share = (part: number, whole: number): string => `${((100 * part) / Math.max(1, whole)).toFixed(2)} %`;

/** Half of the papers are plain, half have what makes papers hard. */
export const madePapers = (count: number): void => {
  const all = new Map<string, Record<Outcome, number>>();
  for (let seed = 0; seed < count; seed += 1) {
    const made = makePaper(900_000 + seed, seed % 2 === 1);
    const outcome = outcomeOf(made);
    for (const trait of ['all', ...made.traits]) {
      const own = all.get(trait) ?? { exact: 0, offered: 0, told: 0, silent: 0 };
      own[outcome] += 1;
      all.set(trait, own);
    }
  }
  for (const [trait, { exact, offered, told, silent }] of [...all].sort(([a], [b]) => (a < b ? -1 : 1))) {
    const whole = exact + offered + told + silent;
    console.log(
      `  ${trait.padEnd(24)} exact ${share(exact, whole).padStart(9)}   right one offered ${share(offered, whole).padStart(8)}   told ${share(told, whole).padStart(8)}   wrong in silence ${String(silent).padStart(3)} of ${String(whole)}`,
    );
  }
};

const LINES: readonly Classification[] = [
  'current-asset',
  'current-liability',
  'equity',
  'revenue',
  'operating-expense',
];

/** Old accounts of each language beside a chart of the same accounts in English. */
export const madeNames = (): void => {
  const languages = namesByLanguage();
  const english = languages.get('en') ?? [];
  const chart = english.map(({ name, debit, section }, at): Account => ({
    ...PLAIN_ACCOUNT,
    id: accountId(at + 1),
    code: String(9000 + at),
    name,
    classification: LINES[section] ?? 'current-asset',
    contra: debit !== (section === 0 || section === 4),
  }));
  const match = matcher(chart);
  const bands = new Map<number, { right: number; all: number }>();
  let [first, three, wrong, all] = [0, 0, 0, 0];
  for (const [language, names] of languages) {
    if (language === 'en') continue;
    let [own, ownThree] = [0, 0];
    names.forEach(({ name, debit }, at) => {
      const found = match({ code: '', name, amount: minor(debit ? 100n : -100n) });
      const sure = found.kind === 'matched' && found.sure;
      const ids: readonly number[] = sure ? [found.account] : found.candidates.map(({ account }) => account);
      const right = ids[0] === at + 1;
      if (right) own += 1;
      if (ids.slice(0, 3).includes(at + 1)) ownThree += 1;
      if (sure && !right) wrong += 1;
      const band = Math.floor((sure ? 0.99 : (found.candidates[0]?.confidence ?? 0)) * 10);
      const counted = bands.get(band) ?? { right: 0, all: 0 };
      counted.all += 1;
      if (right) counted.right += 1;
      bands.set(band, counted);
    });
    first += own;
    three += ownThree;
    all += names.length;
    console.log(`  ${language}  first ${share(own, names.length)}   in three ${share(ownThree, names.length)}`);
  }
  console.log(`  all first ${share(first, all)}   in three ${share(three, all)}   certain and wrong ${String(wrong)}`);
  for (const [band, { right, all: whole }] of [...bands].sort(([a], [b]) => a - b))
    console.log(`  said ${(band / 10).toFixed(1)} and more: right ${share(right, whole)} of ${String(whole)}`);
};
