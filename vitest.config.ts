import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** The store's tests that say nothing of one driver run on a PostgreSQL server too, where Debian's package is. */
const ON_BOTH = [
  'access',
  'actions',
  'analysis',
  'calendar',
  'changes',
  'chart',
  'company',
  'currencies',
  'evidence',
  'invariants',
  'long-rows',
  'many',
  'openings',
  'people',
  'schedules',
  'sign-in',
  'standing',
  'things',
];

/** Those that take longest begin first, so that no worker is left with one of them when all else is done. */
const LONGEST = ['tests/store/hostile', 'tests/store/kill', 'src/core/papers/papers', 'src/core/files/files'];

class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const rank = ({ moduleId }: TestSpecification): number => {
      const at = LONGEST.findIndex((name) => moduleId.endsWith(`${name}.test.ts`));
      return at < 0 ? LONGEST.length : at;
    };
    return (await super.sort(files)).sort((one, other) => rank(one) - rank(other));
  }
}

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    env: { LOG_LEVEL: 'fatal' },
    testTimeout: 180_000,
    hookTimeout: 180_000,
    // Files are independent, and each mostly waits for itself.
    maxWorkers: '100%',
    // What is loaded and warm serves the next file too: half the time. Each file opens, and closes, a database of its own.
    isolate: false,
    sequence: { sequencer: LongestFirst },
    projects: [
      {
        extends: true,
        test: {
          name: 'embedded',
          globalSetup: ['tests/store/worker.ts'],
          include: ['src/**/*.test.ts', 'tests/store/**/*.test.ts'],
        },
      },
      ...(!existsSync('/usr/lib/postgresql')
        ? []
        : [
            {
              extends: true as const,
              test: {
                name: 'server',
                globalSetup: ['tests/store/worker.ts', 'tests/store/on-server.ts'],
                include: ON_BOTH.map((name) => `tests/store/${name}.test.ts`),
              },
            },
          ]),
    ],
  },
});
