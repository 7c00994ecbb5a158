// npm test: everything that must hold, on a fresh machine too. Ends with one line, "N passed, N failed", from the runners' own reports.
import { spawn } from 'node:child_process';
import { closeSync, mkdirSync, openSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { bin, ensureBuild, ensureChromium, ensurePackages, ensurePostgres, freePort, root, run } from './provision.mjs';

ensurePackages();
const chromium = ensureChromium();
ensurePostgres();
mkdirSync(join(root, '.cache'), { recursive: true });

let passed = 0;
let failed = 0;
/** What failed, told once more at the end: of a long log, the end is what one is shown. */
const told = [];
const count = (name, ok) => {
  console.log(`${ok ? 'passed' : 'FAILED'}: ${name}`);
  if (ok) passed += 1;
  else {
    failed += 1;
    told.push(name);
  }
};
const step = (name, command, args, options) => count(name, run(bin(command), args, options) === 0);
/** A runner's own report; a report that is missing or counts nothing is a failure, whatever the exit code said. */
const report = (name, file, command, args, read, options) => {
  rmSync(file, { force: true });
  const code = run(bin(command), args, options);
  try {
    const found = read(JSON.parse(readFileSync(file, 'utf8')));
    passed += found.passed;
    failed += found.failed;
    told.push(...found.told);
    if (found.passed + found.failed === 0 || (code !== 0 && found.failed === 0))
      count(`${name} (exit code ${code})`, false);
    console.log(`${name}: ${found.passed} passed, ${found.failed} failed`);
  } catch (error) {
    count(`${name}: no report (${error.message})`, false);
  }
};

/** Begins a step that takes as long as several others together; what it gives says how it went once those are done. */
const begin = (name, command, args) => {
  const log = join(root, '.cache', `${name}.log`);
  const out = openSync(log, 'w');
  const child = spawn(bin(command), args, { cwd: root, stdio: ['ignore', out, out] });
  closeSync(out);
  const ended = new Promise((resolve) => {
    child.on('close', resolve);
    child.on('error', () => resolve(1));
  });
  return async () => {
    const code = await ended;
    console.log(readFileSync(log, 'utf8').trimEnd());
    count(name, code === 0);
  };
};

const lint = begin('lint', 'eslint', ['.', '--max-warnings', '0']);
ensureBuild();
step('format', 'prettier', ['--check', '--log-level', 'warn', '.']);
step('types', 'tsc', ['--noEmit']);
step('imports', 'depcruise', ['src', 'demo', '--config', '.dependency-cruiser.cjs', '--output-type', 'err']);
step('dead code', 'knip', []);
await lint();

const firstLines = (text = '') => stripVTControlCharacters(text).split('\n').slice(0, 6).join('\n    ');

const units = join(root, '.cache', 'unit-report.json');
report(
  'unit and store tests',
  units,
  'vitest',
  ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${units}`],
  (found) => ({
    passed: found.numPassedTests,
    failed:
      found.numFailedTests +
      found.testResults.filter((one) => one.status === 'failed' && one.assertionResults.length === 0).length,
    told: found.testResults
      .filter(({ status }) => status === 'failed')
      .flatMap(({ name, message, assertionResults }) => [
        `${relative(root, name)} ${message}`.trim(),
        ...assertionResults
          .filter(({ status }) => status === 'failed')
          .map(({ fullName, failureMessages }) => `  ${fullName}\n    ${firstLines(failureMessages[0])}`),
      ]),
  }),
);

/** The tests of a suite, and of those in it, that failed at every try. */
const unexpected = ({ file, specs = [], suites = [] }) => [
  ...specs
    .filter(({ ok }) => !ok)
    .map(({ title, tests }) => `${file}: ${title}\n    ${firstLines(tests[0]?.results.at(-1)?.error?.message)}`),
  ...suites.flatMap(unexpected),
];

const data = join(root, '.cache', 'e2e-data');
rmSync(data, { recursive: true, force: true });
report(
  'browser tests',
  join(root, '.cache', 'e2e-report.json'),
  'playwright',
  ['test'],
  ({ stats, suites }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
    told: suites.flatMap(unexpected),
  }),
  // Two files of tests at a time, each with a server and data of its own.
  { env: { CHROMIUM: chromium, E2E_PORTS: [await freePort(), await freePort()].join(), E2E_DATA: data } },
);

if (told.length > 0) console.log(['', 'what failed:', ...told].join('\n'));
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
