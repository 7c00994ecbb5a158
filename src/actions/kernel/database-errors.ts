import { type Problem, problem } from '@/core/base/result';

const field = (error: unknown, name: string): string | undefined => {
  const value = typeof error === 'object' && error !== null ? (error as Record<string, unknown>)[name] : undefined;
  return typeof value === 'string' ? value : undefined;
};

/**
 * What of an error may stand in a log: its kind and where it was thrown. Not its message, and of a database's error neither
 * its detail nor its parameters, because figures and names stand in them.
 */
export const withoutFigures = (error: unknown): Readonly<Record<string, string | undefined>> => ({
  type: error instanceof Error ? error.name : typeof error,
  ...Object.fromEntries(['code', 'constraint', 'table', 'column', 'routine'].map((name) => [name, field(error, name)])),
  at: field(error, 'stack')
    ?.split('\n')
    .filter((line) => line.trimStart().startsWith('at '))
    .slice(0, 12)
    .map((line) => line.trim())
    .join(' | '),
});

/** What the database refuses by its own rules, as a sentence: conditions of SQLSTATE (PostgreSQL, appendix A). */
const SENTENCES: readonly (readonly [RegExp, string, string])[] = [
  [/^22003$/, 'input.number', 'A number in this is larger than the books can hold, so nothing was stored.'],
  [
    /^22(?:021|P05|P02|007|008)$/,
    'input.text',
    'A text in this holds something that the books cannot keep, such as a control character, so nothing was stored. Type it as plain text.',
  ],
  [/^22001$/, 'input.long', 'A text in this is longer than the books can hold, so nothing was stored. Shorten it.'],
  [/^21000$/, 'input.twice', 'The same row stands twice in this, so nothing was stored. Leave one of them out.'],
  [
    /^23505$/,
    'input.taken',
    'Something of this name or number was stored a moment earlier, perhaps by somebody else, so nothing was stored now. Load the page again.',
  ],
  [
    /^23503$/,
    'input.gone',
    'This refers to something that is not in these books, or not any more, so nothing was stored. Load the page again.',
  ],
  [/^23(?:514|502|P01)$/, 'input.rule', 'This breaks a rule of the books, so nothing was stored. Load the page again.'],
];

/** The sentence for a refusal of the database that says something about what was sent; undefined for any other error. */
export const refusedByDatabase = (error: unknown): Problem | undefined => {
  const code = field(error, 'code');
  const found = code === undefined ? undefined : SENTENCES.find(([pattern]) => pattern.test(code));
  return found === undefined ? undefined : problem(found[1], found[2]);
};
