import { describe, expect, it } from 'vitest';

/** Every module of core, and all that they export, by name. */
const modules = import.meta.glob<Record<string, unknown>>(['./**/*.ts', '!./**/*.test.ts', '!./**/testing/**'], {
  eager: true,
});
const sources = import.meta.glob<string>(['./**/*.ts', '!./**/*.test.ts'], {
  eager: true,
  query: '?raw',
  import: 'default',
});
const exported = Object.fromEntries(Object.values(modules).flatMap((one) => Object.entries(one)));

/** An expression of a docstring, with what the module that it stands in exports before what others do. */
const valueOf = (expression: string, path: string): unknown => {
  const scope = { ...exported, ...modules[path] };
  // eslint-disable-next-line @typescript-eslint/no-implied-eval -- the text is this repository's own
  return (new Function(...Object.keys(scope), `return (${expression});`) as (...values: unknown[]) => unknown)(
    ...Object.values(scope),
  );
};

const examples = Object.entries(sources).flatMap(([path, source]) =>
  source
    .split('@example ')
    .slice(1)
    .flatMap((after) => {
      const [expression, result] = (after.split(' */')[0] ?? '').replaceAll(/\n \* */g, ' ').split(' // ');
      return expression === undefined || result === undefined
        ? []
        : [[path, expression.trim(), result.trim()] as const];
    }),
);

describe('the examples in docstrings', () => {
  it('are found, each with its result', () => {
    const all = Object.values(sources).reduce((sum, source) => sum + source.split('@example').length - 1, 0);
    expect(examples.length).toBe(all);
  });
  it.each(examples)('%s: %s', (path, expression, result) => {
    expect(valueOf(expression, path)).toEqual(valueOf(result, path));
  });
});
