import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { e2ePorts } from './tests/e2e/ports';

// The runner of the tests finds a free port and a browser; by hand, these defaults do.
const ports = e2ePorts();
const data = process.env.E2E_DATA ?? '.cache/e2e-data';

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results',
  fullyParallel: false,
  // Files of tests are spread over so many servers, each with data of its own; `npx playwright test` alone starts one.
  workers: ports.length,
  // A shared machine has stood still for minutes; what fails for that alone is tried once more, on data that nobody touched, and reported as flaky.
  timeout: 480_000,
  expect: { timeout: 60_000 },
  retries: 1,
  reporter: [['list'], ['json', { outputFile: '.cache/e2e-report.json' }]],
  use: {
    actionTimeout: 60_000,
    navigationTimeout: 90_000,
    viewport: { width: 1280, height: 800 },
    // Keeping a trace of every test makes them half again as slow; what is tried once more has one.
    trace: 'on-first-retry',
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
  webServer: ports.map((port) => ({
    command: 'node scripts/demo.mjs',
    url: `http://127.0.0.1:${port}/health`,
    timeout: 240_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 },
    env: { PORT: port, BATHRON_DATA: join(data, port), LOG_LEVEL: 'warn' },
  })),
});
