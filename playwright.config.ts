import { defineConfig } from '@playwright/test';

// The runner of the tests finds a free port and a browser; by hand, these defaults do.
const port = process.env.E2E_PORT ?? '4317';

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results',
  fullyParallel: false,
  workers: 1,
  // A shared machine has stood still for minutes; what fails for that alone is tried once more, and reported as flaky.
  timeout: 480_000,
  expect: { timeout: 60_000 },
  retries: 1,
  reporter: [['list'], ['json', { outputFile: '.cache/e2e-report.json' }]],
  use: {
    actionTimeout: 60_000,
    navigationTimeout: 90_000,
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node scripts/demo.mjs',
    url: `http://127.0.0.1:${port}/new`,
    timeout: 240_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 },
    env: { PORT: port, BATHRON_DATA: process.env.E2E_DATA ?? '.cache/e2e-data', LOG_LEVEL: 'warn' },
  },
});
