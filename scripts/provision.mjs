// What a fresh machine lacks: packages, the build, a browser for the tests. Plain Node.js, since nothing is installed yet.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { createServer } from 'node:net';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));

/** How the server's process is run. */
const server = JSON.parse(readFileSync(join(root, 'scripts', 'server.json'), 'utf8'));

/** Ends with one sentence. */
export const stop = (sentence) => {
  console.error(sentence);
  process.exit(1);
};

/** Runs a command to its end, showing what it prints. Returns its exit code. */
export const run = (command, args, options = {}) =>
  spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    ...options,
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...options.env },
  }).status ?? 1;

export const bin = (name) => join(root, 'node_modules', '.bin', name);

const marker = (name) => join(root, '.cache', name);
const isMarked = (name, value) => existsSync(marker(name)) && readFileSync(marker(name), 'utf8') === value;
const mark = (name, value) => {
  mkdirSync(dirname(marker(name)), { recursive: true });
  writeFileSync(marker(name), value);
};

const filesBelow = (path) =>
  statSync(path).isDirectory()
    ? readdirSync(path)
        .sort()
        .flatMap((name) => filesBelow(join(path, name)))
    : [path];
const hashOf = (paths) => {
  const hash = createHash('sha256');
  for (const file of paths.flatMap((path) => filesBelow(join(root, path))))
    hash.update(relative(root, file)).update(readFileSync(file));
  return hash.digest('hex');
};

export const ensurePackages = () => {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 11))
    stop(`Bathron needs Node.js 20.11 or newer; this is ${process.versions.node}.`);
  const lock = hashOf(['package-lock.json']);
  if (existsSync(join(root, 'node_modules')) && isMarked('packages', lock)) return;
  console.log('Installing packages…');
  // Not `npm ci`: it insists on the optional binaries of every platform, which not every registry carries. The lock file still decides the versions.
  if (run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error']) !== 0)
    stop('The packages could not be installed; npm says why above.');
  mark('packages', lock);
};

/**
 * The bundle of the threads that read files. The framework's bundler does not compile a worker's TypeScript, so this is made
 * beside its build, with the font that texts of a logo are drawn in.
 */
export const ensureWorker = () => {
  const sources = hashOf(['src/core', 'src/workers/reading', 'package-lock.json']);
  const entry = marker('reading-worker.mjs');
  if (existsSync(entry) && isMarked('worker', sources)) return;
  const half = marker(`reading-worker.${process.pid}`);
  // What reads PDFs and messages is a part of its own, taken only when it is needed: most threads never parse it.
  const options = [
    '--bundle',
    '--splitting',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    '--alias:@=./src',
    '--log-level=error',
    '--minify-whitespace',
    '--external:@resvg/resvg-js',
    '--out-extension:.js=.mjs',
    '--chunk-names=reading-part-[hash]',
    '--entry-names=reading-worker',
    "--banner:js=import { createRequire as requireOf } from 'node:module'; const require = requireOf(import.meta.url);",
    `--outdir=${half}`,
  ];
  if (run(bin('esbuild'), ['src/workers/reading/worker.ts', ...options]) !== 0)
    stop('The part that reads files could not be built; the reason stands above.');
  const fonts = createRequire(import.meta.url)('pdfmake/build/vfs_fonts.js');
  writeFileSync(marker('logo-font.ttf'), Buffer.from(fonts['Roboto-Regular.ttf'], 'base64'));
  const before = readdirSync(dirname(entry)).filter((name) => name.startsWith('reading-part-'));
  const parts = readdirSync(half).filter((name) => name.startsWith('reading-part-'));
  for (const name of parts) renameSync(join(half, name), join(dirname(entry), name));
  renameSync(join(half, 'reading-worker.mjs'), entry);
  for (const name of before.filter((one) => !parts.includes(one))) rmSync(join(dirname(entry), name), { force: true });
  rmSync(half, { recursive: true });
  mark('worker', sources);
};

export const ensureBuild = () => {
  ensureWorker();
  const sources = hashOf(['src', 'package-lock.json', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json']);
  if (existsSync(join(root, '.next', 'BUILD_ID')) && isMarked('build', sources)) return;
  console.log('Building…');
  if (run(bin('next'), ['build']) !== 0) stop('The build failed; the reason stands above.');
  mark('build', sources);
};

/** Path of a Chromium, installed from Debian's packages where that is possible. */
export const ensureChromium = () => {
  const known = [process.env.CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'].find(
    (path) => path && existsSync(path),
  );
  if (known) return known;
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium from Debian’s packages…');
    const quiet = { env: { DEBIAN_FRONTEND: 'noninteractive' }, stdio: ['ignore', 'ignore', 'inherit'] };
    run('apt-get', ['update', '-q'], quiet);
    run('apt-get', ['install', '-y', '-q', '--no-install-recommends', 'chromium'], quiet);
    if (existsSync('/usr/bin/chromium')) return '/usr/bin/chromium';
  }
  return stop(
    'The browser tests need Chromium: install Debian’s package chromium (apt-get install chromium), or set CHROMIUM to the path of one.',
  );
};

/** A PostgreSQL server for the tests that need one, where Debian's packages have it; without one these are left out. */
export const ensurePostgres = () => {
  if (existsSync('/usr/lib/postgresql') || process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) return;
  console.log('Installing PostgreSQL from Debian’s packages…');
  const quiet = { env: { DEBIAN_FRONTEND: 'noninteractive' }, stdio: ['ignore', 'ignore', 'inherit'] };
  run('apt-get', ['install', '-y', '-q', '--no-install-recommends', 'postgresql'], quiet);
};

const probe = (port) =>
  new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => {
      const { port: found } = server.address();
      server.close(() => resolve(found));
    });
  });

export const freePort = () => probe(0);

export const portOrStop = async (text = '3000') => {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535) stop(`PORT is ${text}, which is no port number.`);
  await probe(port).catch(() =>
    stop(
      `Port ${port} is taken by another program. Stop that one, or choose another port: PORT=${port + 1} npm run demo`,
    ),
  );
  return port;
};

/** Seeds the scenario when the data directory is new. */
export const ensureSeed = () => {
  if (run(process.execPath, ['--import', 'tsx', 'demo/seed.ts'], { env: { LOG_LEVEL: 'error' } }) !== 0)
    stop('The demo data could not be written; the reason stands above.');
};

/** Starts the server as a child and resolves with it once it answers. */
export const startServer = async (port, { dev = false, quiet = false, env = {} } = {}) => {
  const child = spawn(
    process.execPath,
    [
      ...server.args,
      join(root, 'node_modules/next/dist/bin/next'),
      dev ? 'dev' : 'start',
      '-H',
      process.env.HOST || '127.0.0.1',
      '-p',
      String(port),
      // Longer than proxies and clients keep a connection: what ends it first must be who asks, or a question meets a closed door.
      ...(dev ? [] : ['--keepAliveTimeout', '150000']),
    ],
    {
      cwd: root,
      stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'],
      env: {
        RATE_SERVICE: `http://127.0.0.1:${port}/simulated/rates`,
        ...server.env,
        ...process.env,
        NEXT_TELEMETRY_DISABLED: '1',
        NEXT_MANUAL_SIG_HANDLE: 'true',
        ...env,
      },
    },
  );
  const host = process.env.HOST || '127.0.0.1';
  const reached = ['0.0.0.0', '::'].includes(host) ? '127.0.0.1' : host;
  const ended = new Promise((resolve) => child.once('exit', (code, signal) => resolve(code ?? signal)));
  for (let tries = 0; tries < 600; tries += 1) {
    if (child.exitCode !== null) break;
    const answers = await fetch(`http://${reached}:${port}/health`, { signal: AbortSignal.timeout(5000) }).then(
      (response) => response.ok,
      () => false,
    );
    if (answers) return { child, ended };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  child.kill('SIGTERM');
  await ended;
  return stop('Bathron did not start; the reason stands above.');
};
