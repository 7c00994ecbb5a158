import type { Side } from '../money/minor';
import { sectionSide, usualSide } from '../words/side-words';
import { MARK, type Marks } from './mark';
import { ROW, type Skeleton } from './skeleton';
import type { Values } from './values';

/** Rows from and to (counted from nought, both within) whose plain amounts are credits. */
export type Turn = readonly [from: number, to: number];

/** Accounts between two headings, totals or headers: what a list of sections shows on one side. */
interface Section {
  readonly from: number;
  to: number;
  /** What its open amounts come to as written. */
  sum: bigint;
  /** Accounts that usually stand in debit, less those that usually stand in credit, as written. */
  votes: number;
  /** The side that its heading names. */
  side: Side | undefined;
  accounts: number;
}

/** More sections than these are put together by what begins their codes, else they are not tried. */
const MOST_SECTIONS = 14;
const MOST_VOTERS = 60;

type Key = (at: number) => string;

/** The sections of a paper: by what `key` says of an account, and where headings, totals and headers stand. */
const sectionsOf = (
  skeleton: Skeleton,
  marks: Marks,
  values: Values,
  key: Key,
  atMarks: boolean,
): readonly Section[] => {
  const sections: Section[] = [];
  let [begun, last, heading]: [boolean, string, Side | undefined] = [false, '', undefined];
  for (let at = 0; at < skeleton.size; at += 1) {
    const mark = marks.mark[at];
    if (mark === MARK.heading || mark === MARK.total || skeleton.kind[at] === ROW.header) {
      if (atMarks) begun = false;
      if (mark === MARK.heading) heading = sectionSide(skeleton.name[at] ?? '') ?? heading;
      if (skeleton.kind[at] === ROW.header) heading = undefined;
      continue;
    }
    if (mark !== MARK.account) continue;
    const own = key(at);
    let section = begun && own === last ? sections.at(-1) : undefined;
    if (section === undefined) {
      section = { from: at, to: at, sum: 0n, votes: 0, side: heading, accounts: 0 };
      sections.push(section);
      begun = true;
      last = own;
    }
    section.to = at;
    if (values.open[at] !== 1) continue;
    section.sum += values.raw[at] ?? 0n;
    section.accounts += 1;
    if (section.accounts > MOST_VOTERS) continue;
    const side = usualSide(skeleton.name[at] ?? '');
    if (side !== undefined) section.votes += (values.raw[at] ?? 0n) > 0n === (side === 'debit') ? 1 : -1;
  }
  return sections;
};

export interface Turned {
  readonly turns: readonly Turn[];
  /** How well it fits what the accounts and headings are called; more is better. */
  readonly fit: number;
}

const fitOf = (sections: readonly Section[], turned: number): number =>
  sections.reduce((fit, { votes, side, accounts }, at) => {
    const credit = (turned >> at) & 1;
    const heading = side === undefined ? 0 : (side === 'credit') === (credit === 1) ? 3 : -3;
    return fit + (credit === 1 ? -votes : votes) + (accounts === 0 ? 0 : heading);
  }, 0);

/** The turning of sections under which all comes to nought together with `fixed`, that fits best what they are called. */
const turning = (sections: readonly Section[], fixed: bigint): Turned | undefined => {
  if (sections.length < 2 || sections.length > MOST_SECTIONS) return undefined;
  let best: { turned: number; fit: number } | undefined;
  let [sum, turned] = [sections.reduce((all, one) => all + one.sum, fixed), 0];
  const count = 2 ** sections.length;
  // Each step turns one section (Gray's order), so that a sum is one addition away from the last.
  for (let step = 0; step < count; step += 1) {
    if (sum === 0n) {
      const fit = fitOf(sections, turned);
      if (best === undefined || fit > best.fit) best = { turned, fit };
    }
    const bit = 31 - Math.clz32((step + 1) & -(step + 1));
    const section = sections[bit];
    if (section === undefined) break;
    turned ^= 1 << bit;
    sum += (turned >> bit) & 1 ? -2n * section.sum : 2n * section.sum;
  }
  if (best === undefined) return undefined;
  const { turned: found, fit } = best;
  return { turns: sections.flatMap(({ from, to }, at): Turn[] => ((found >> at) & 1 ? [[from, to]] : [])), fit };
};

/** As their headings and names say, whether it comes to nought or not. */
const byWords = (sections: readonly Section[]): Turned | undefined => {
  const known = sections.filter(({ side, votes }) => side !== undefined || votes !== 0);
  if (sections.length < 2 || known.length < sections.length * 0.7) return undefined;
  const turns = sections.flatMap(({ from, to, side, votes }): Turn[] =>
    side === 'credit' || (side === undefined && votes < 0) ? [[from, to]] : [],
  );
  return turns.length === 0 || turns.length === sections.length ? undefined : { turns, fit: 0 };
};

/**
 * Which sections of a paper with one plain column stand in credit: "every section positive", or a balance sheet with minus for
 * credits followed by results with the opposite sign. Sections are those of its headings and totals, else of what begins the
 * codes. Undefined where no turning brings it to nought and words do not say it either.
 */
export const turnsOf = (
  skeleton: Skeleton,
  marks: Marks,
  values: Values,
): { readonly sure: boolean; readonly turns: readonly Turn[] } | undefined => {
  let fixed = 0n;
  for (let at = 0; at < skeleton.size; at += 1)
    if (marks.mark[at] === MARK.account && values.open[at] !== 1) fixed += values.raw[at] ?? 0n;
  const byClass: Key = (at) => (skeleton.code[at] ?? '').slice(0, 1);
  const tries = [
    sectionsOf(skeleton, marks, values, byClass, false),
    sectionsOf(skeleton, marks, values, () => '', true),
    sectionsOf(skeleton, marks, values, byClass, true),
  ];
  const found = tries.flatMap((sections) => turning(sections, fixed) ?? []).sort((a, b) => b.fit - a.fit)[0];
  if (found !== undefined) return { sure: true, turns: found.turns };
  const worded = tries.flatMap((sections) => byWords(sections) ?? [])[0];
  return worded === undefined ? undefined : { sure: false, turns: worded.turns };
};
