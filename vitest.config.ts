import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    globalSetup: ['tests/store/worker.ts'],
    include: ['src/**/*.test.ts', 'tests/store/**/*.test.ts'],
    env: { LOG_LEVEL: 'fatal' },
    testTimeout: 180_000,
    hookTimeout: 180_000,
  },
});
