import { type Problem, plural, problem, quoted } from '../base/result';
import type { Account, ChartIndex } from './account';
import { CLASSIFICATIONS, type Classification, classFacts } from '../ledger/classes';
import { HEADINGS } from './composition/catalogue';

export const SEGMENT_KINDS = ['digits', 'letters', 'either'] as const;
export const SEPARATORS = ['', '-', '.', '/', ' '] as const;

/** One part of a code. */
export interface Segment {
  readonly length: number;
  readonly kind: (typeof SEGMENT_KINDS)[number];
}

/** The codes that accounts of a statement line, or under a heading (by its code), have: from the first to the last, both included. */
export interface CodeRange {
  readonly of: { readonly line: Classification } | { readonly heading: string };
  readonly from: string;
  readonly to: string;
}

/** How the codes of a chart are built. */
export interface CodeScheme {
  readonly segments: readonly Segment[];
  readonly separator: (typeof SEPARATORS)[number];
  readonly ranges: readonly CodeRange[];
}

export const MOST_SEGMENTS = 6;
export const MOST_RANGES = 200;

/** The scheme of composed charts: four digits, a range for each statement line. */
export const COMPOSED_SCHEME: CodeScheme = {
  segments: [{ length: 4, kind: 'digits' }],
  separator: '',
  ranges: HEADINGS.filter((heading) => heading.within === undefined).map(({ classification, code, to }) => ({
    of: { line: classification },
    from: code,
    to,
  })),
};

const PATTERN = { digits: '\\d', letters: '\\p{L}', either: '[\\p{L}\\p{N}]' } as const;

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');

/** "4 digits", "2 letters - 4 digits": the shape in words. */
export const sayShape = ({ segments, separator }: Pick<CodeScheme, 'segments' | 'separator'>): string =>
  segments
    .map(({ length, kind }) =>
      kind === 'either' ? `${length} letters or digits` : plural(length, kind === 'digits' ? 'digit' : 'letter'),
    )
    .join(separator === '' ? ' then ' : ` ${separator === ' ' ? 'space' : separator} `);

export const fitsShape = (scheme: Pick<CodeScheme, 'segments' | 'separator'>, code: string): boolean =>
  shapeOf(scheme).test(code);

const shapes = new WeakMap<object, RegExp>();
const shapeOf = (scheme: Pick<CodeScheme, 'segments' | 'separator'>): RegExp => {
  const known = shapes.get(scheme);
  if (known !== undefined) return known;
  const made = new RegExp(
    `^${scheme.segments.map(({ length, kind }) => `${PATTERN[kind]}{${length}}`).join(escaped(scheme.separator))}$`,
    'u',
  );
  shapes.set(scheme, made);
  return made;
};

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });
export const within = (range: Pick<CodeRange, 'from' | 'to'>, code: string): boolean =>
  collator.compare(range.from, code) <= 0 && collator.compare(code, range.to) <= 0;

const sayRange = (range: CodeRange): string => `${range.from} to ${range.to}`;
const ofWhat = ({ of }: CodeRange): string =>
  'line' in of ? classFacts(of.line).label.toLowerCase() : `heading ${of.heading}`;

/** What is wrong with a scheme itself: shapes too long, ranges upside down, of another shape, or overlapping. */
export const schemeProblems = (scheme: CodeScheme): readonly Problem[] => {
  const problems: Problem[] = [];
  const length =
    scheme.segments.reduce((sum, one) => sum + one.length, 0) +
    scheme.separator.length * Math.max(0, scheme.segments.length - 1);
  if (scheme.segments.length === 0 || scheme.segments.some((one) => one.length < 1))
    problems.push(problem('scheme.empty', 'A code has at least one part of at least one character.', 'segments'));
  if (length > 20)
    problems.push(
      problem('scheme.long', `These parts make codes of ${length} characters; 20 is the most.`, 'segments'),
    );
  scheme.ranges.forEach((range, at) => {
    for (const end of ['from', 'to'] as const)
      if (!fitsShape(scheme, range[end]))
        problems.push(
          problem(
            'scheme.range-shape',
            `${quoted(range[end])} in the range of ${ofWhat(range)} is not ${sayShape(scheme)}.`,
            'ranges',
            at,
            end,
          ),
        );
    if (collator.compare(range.from, range.to) > 0)
      problems.push(
        problem(
          'scheme.range-upside-down',
          `The range ${sayRange(range)} of ${ofWhat(range)} ends before it begins.`,
          'ranges',
          at,
          'to',
        ),
      );
    // A heading's range lies inside its line's, so only ranges of one kind are held against each other.
    const twin = scheme.ranges
      .slice(0, at)
      .find(
        (one) =>
          'line' in one.of === 'line' in range.of &&
          !(collator.compare(one.to, range.from) < 0 || collator.compare(range.to, one.from) < 0),
      );
    if (twin !== undefined)
      problems.push(
        problem(
          'scheme.overlap',
          `${sayRange(range)} of ${ofWhat(range)} overlaps ${sayRange(twin)} of ${ofWhat(twin)}; a code would say two things.`,
          'ranges',
          at,
          'from',
        ),
      );
  });
  return problems;
};

/** The range that counts for an account: that of the nearest heading above it that has one, else its statement line's. */
export const rangeFor = (
  scheme: CodeScheme,
  account: Pick<Account, 'classification' | 'parent'>,
  index: Pick<ChartIndex, 'byId'>,
): CodeRange | undefined => {
  for (
    let above = account.parent === null ? undefined : index.byId.get(account.parent), steps = 0;
    above !== undefined && steps < 10;
    above = above.parent === null ? undefined : index.byId.get(above.parent), steps += 1
  ) {
    const code = above.code;
    const own = scheme.ranges.find((range) => 'heading' in range.of && range.of.heading === code);
    if (own !== undefined) return own;
  }
  return scheme.ranges.find((range) => 'line' in range.of && range.of.line === account.classification);
};

/** What is questionable about an account's code under the scheme; never a refusal, always said. */
export const codeQuestions = (
  scheme: CodeScheme | null,
  account: Pick<Account, 'code' | 'classification' | 'parent'>,
  index: Pick<ChartIndex, 'byId'>,
): readonly Problem[] => {
  if (scheme === null || account.code === '') return [];
  if (!fitsShape(scheme, account.code))
    return [
      problem(
        'code.shape',
        `${quoted(account.code)} is of another shape than the other codes: ${sayShape(scheme)}.`,
        'code',
      ),
    ];
  const range = rangeFor(scheme, account, index);
  if (range === undefined || within(range, account.code)) return [];
  const elsewhere = scheme.ranges.find((one) => 'line' in one.of && within(one, account.code));
  return [
    problem(
      'code.range',
      `${account.code} is outside ${sayRange(range)}, the range of ${ofWhat(range)}${elsewhere === undefined ? ', where no statement reads it' : `; by its code it reads as ${ofWhat(elsewhere)}`}.`,
      'code',
    ),
  ];
};

/** Classification by the range that a code lies in, if any. */
export const lineByRange = (scheme: CodeScheme | null, code: string): Classification | undefined => {
  const found = scheme?.ranges.find((range) => 'line' in range.of && within(range, code));
  return found !== undefined && 'line' in found.of ? found.of.line : undefined;
};

/** A scheme that the codes of a chart already follow, or null when they follow none: one length of digits, lines in blocks. */
export const schemeOf = (chart: readonly Account[]): CodeScheme | null => {
  const codes = chart.map((account) => account.code).filter((code) => code !== '');
  const [first] = codes;
  if (first === undefined || codes.length < 5) return null;
  const digits = codes.filter((code) => /^\d+$/.test(code) && code.length === first.length).length;
  if (digits < codes.length * 0.9) return null;
  const ranges = CLASSIFICATIONS.flatMap(({ id }): CodeRange[] => {
    const own = chart
      .filter(
        (account) =>
          account.classification === id && /^\d+$/.test(account.code) && account.code.length === first.length,
      )
      .map((account) => account.code)
      .sort();
    const [from, to] = [own.at(0), own.at(-1)];
    return from === undefined || to === undefined ? [] : [{ of: { line: id }, from, to }];
  });
  const scheme: CodeScheme = { segments: [{ length: first.length, kind: 'digits' }], separator: '', ranges };
  return schemeProblems(scheme).length === 0 ? scheme : { ...scheme, ranges: [] };
};
