import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** The store's tests that say nothing of one driver run on a PostgreSQL server too, where Debian's package is. */
const ON_BOTH = [
  'access',
  'actions',
  'calendar',
  'changes',
  'chart',
  'company',
  'currencies',
  'invariants',
  'openings',
  'standing',
];

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    env: { LOG_LEVEL: 'fatal' },
    testTimeout: 180_000,
    hookTimeout: 180_000,
    // Files are independent, and each mostly waits for itself.
    maxWorkers: '100%',
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
