import { MARK, WHY, type Work, isFree, settle } from './mark';
import { ROW } from './skeleton';
import { totalWords } from './total-words';

/** Rows without a code that add up to the coded row right above them divide it; where a few do, all such runs do. */
export const breakdowns = (work: Work): void => {
  const { skeleton, values, marks } = work;
  if (!skeleton.coded) return;
  const found: { readonly rows: readonly number[] }[] = [];
  let over = -1;
  let run: number[] = [];
  const close = (): void => {
    const own = values.raw[over] ?? 0n;
    let [sum, best] = [0n, 0];
    run.forEach((row, place) => {
      sum += values.raw[row] ?? 0n;
      if (sum === own && own !== 0n) best = place + 1;
    });
    if (over >= 0 && best > 1) found.push({ rows: run.slice(0, best) });
    run = [];
  };
  for (let at = 0; at <= skeleton.size; at += 1) {
    const mark = marks.mark[at];
    if (mark === MARK.open && !work.decided.has(at)) run.push(at);
    else if (mark !== MARK.none || at === skeleton.size || skeleton.kind[at] === ROW.header) {
      close();
      over = mark === MARK.account ? at : -1;
    }
  }
  for (const { rows } of found) for (const row of rows) settle(work, row, WHY.breakdown);
  marks.confirmed += found.length;
};

/** Where the accounts before a row begin that may come to its amount, by what they came to until there. */
class Runs {
  readonly #first = new Map<bigint, number>();
  readonly #pairs = new Map<string, number>();
  net = 0n;
  debits = 0n;
  credits = 0n;
  count = 0;

  /** A heading, a total, a page's top: sums begin here. */
  begin(): void {
    if (!this.#first.has(this.net)) this.#first.set(this.net, this.count);
    const key = `${String(this.debits)}/${String(this.credits)}`;
    if (!this.#pairs.has(key)) this.#pairs.set(key, this.count);
  }

  add(net: bigint, debit: bigint, credit: bigint): void {
    this.net += net;
    this.debits += debit;
    this.credits += credit;
    this.count += 1;
  }

  /** The most accounts of a run that comes to an amount, 0 for none. */
  to(amount: bigint): number {
    const from = this.#first.get(this.net - amount);
    return from === undefined ? 0 : this.count - from;
  }

  toBoth(debit: bigint, credit: bigint): number {
    const from = this.#pairs.get(`${String(this.debits - debit)}/${String(this.credits - credit)}`);
    return from === undefined ? 0 : this.count - from;
  }
}

/**
 * Rows that are the sums of those above them since some heading, total or page. Where others have codes, one without is suspect
 * by itself; else it must also be called a total, or close a group of several.
 */
export const sumsAbove = (work: Work, headings: ReadonlySet<string>): void => {
  const { skeleton, values, marks } = work;
  const runs = new Runs();
  runs.begin();
  let sinceHeading = 0;
  for (let at = 0; at < skeleton.size; at += 1) {
    const mark = marks.mark[at];
    if (
      mark === MARK.heading ||
      mark === MARK.total ||
      skeleton.kind[at] === ROW.header ||
      skeleton.kind[at] === ROW.page
    ) {
      if (marks.why[at] !== WHY.breakdown) runs.begin();
      sinceHeading = 0;
      continue;
    }
    if (mark !== MARK.account && mark !== MARK.open) continue;
    const amount = values.raw[at] ?? 0n;
    const [dr, cr] = [values.debit[at] ?? 0n, values.credit[at] ?? 0n];
    if (isFree(work, at)) {
      const suspect = mark === MARK.open;
      const parts =
        amount === 0n && dr === 0n
          ? 0
          : Math.max(
              dr !== 0n && cr !== 0n ? runs.toBoth(dr, cr) : 0,
              amount === 0n ? 0 : Math.max(runs.to(amount), suspect || values.open[at] === 0 ? runs.to(-amount) : 0),
              suspect && ((cr === 0n && runs.debits === dr) || (dr === 0n && runs.credits === cr)) ? runs.count : 0,
            );
      const enough = suspect ? parts >= 1 : parts >= 2;
      if (enough) {
        const words = totalWords(skeleton.name[at] ?? '', headings) || totalWords(skeleton.code[at] ?? '', headings);
        const whole = wholeOf(runs, amount);
        const closes = !skeleton.coded && parts >= 2 && sinceHeading >= 2 && runs.to(amount) >= 2 && !whole;
        if (suspect || words > (whole ? (skeleton.coded ? 2 : 1) : 0) || closes) {
          settle(work, at, words > 0 ? WHY.wordsAndSum : suspect && skeleton.name[at] === '' ? WHY.unnamed : WHY.above);
          marks.confirmed += 1;
          runs.begin();
          sinceHeading = 0;
          continue;
        }
      }
    }
    if (mark === MARK.account) {
      runs.add(amount, dr, cr);
      sinceHeading += 1;
    }
  }
};

/** So many groups tell that a list is made of them. */
const FEWEST_GROUPS = 3;
/** No list without codes has more rows. */
const MOST_GROUPED = 20_000;

/**
 * Rows of a list without codes that stand above those that they sum up, without anything else to tell them by: only where the whole
 * list is made of such groups, from the first row to the last, and some of them of several rows.
 */
export const headedGroups = (work: Work): void => {
  const { skeleton, values, marks } = work;
  if (skeleton.coded) return;
  const rows: number[] = [];
  for (let at = 0; at < skeleton.size; at += 1) {
    const mark = marks.mark[at];
    if ((mark === MARK.account || mark === MARK.open) && values.raw[at] !== 0n) rows.push(at);
  }
  if (rows.length < 2 * FEWEST_GROUPS || rows.length > MOST_GROUPED || !rows.every((at) => isFree(work, at))) return;
  // From below: where a group may begin, and where it ends then; groups end where the sum up to there is what their head says.
  const upTo: bigint[] = [0n];
  for (const at of rows) upTo.push((upTo.at(-1) ?? 0n) + (values.raw[at] ?? 0n));
  const ends = new Map<bigint, number[]>([[upTo[rows.length] ?? 0n, [rows.length]]]);
  const next = new Map<number, number>();
  for (let place = rows.length - 1; place >= 0; place -= 1) {
    const target = (upTo[place + 1] ?? 0n) + (values.raw[rows[place] ?? 0] ?? 0n);
    const end = ends.get(target)?.findLast((one) => one > place + 1);
    if (end === undefined) continue;
    next.set(place, end);
    const own = upTo[place] ?? 0n;
    ends.set(own, [...(ends.get(own) ?? []), place]);
  }
  const heads: number[] = [];
  let several = false;
  for (let place = 0; place < rows.length;) {
    const end = next.get(place);
    if (end === undefined) return;
    heads.push(rows[place] ?? 0);
    several ||= end > place + 2;
    place = end;
  }
  if (heads.length < FEWEST_GROUPS || !several) return;
  for (const at of heads) settle(work, at, WHY.under);
  marks.confirmed += heads.length;
};

/** All others together come to an account's amount on the other side wherever the paper nets to zero: that shows nothing. */
const wholeOf = (runs: Runs, amount: bigint): boolean => runs.net === -amount;
