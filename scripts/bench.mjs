// npm run bench: builds what is stale, then measures. Figures are ratios to baselines of the same run.
import {
  bin,
  ensureBuild,
  ensureChromium,
  ensurePackages,
  ensurePostgres,
  freePort,
  root,
  run,
  stop,
} from './provision.mjs';

ensurePackages();
const chromium = ensureChromium();
ensureBuild();
ensurePostgres();
console.log('Building the empty page that pages are compared with…');
if (run(bin('next'), ['build', 'bench/empty'], { stdio: ['ignore', 'ignore', 'inherit'] }) !== 0)
  stop('The baseline page could not be built.');
const measure = (file, ...given) =>
  run(process.execPath, ['--import', 'tsx', file, ...given], {
    cwd: root,
    env: { CHROMIUM: chromium, LOG_LEVEL: 'error' },
  });
// `npm run bench -- attack` measures only the server under attack, `npm run bench -- load` several processes under load.
const only = process.argv[2];
const wanted = (name) => only === undefined || only === name;
const steps = [
  ['figures', async () => measure('bench/bench.ts', String(await freePort()), String(await freePort()))],
  ['attack', async () => measure('bench/attack.ts', String(await freePort()), '2000')],
  ['load', async () => measure('bench/load.ts')],
];
let ended = 0;
for (const [name, step] of steps) if (wanted(name)) ended = (await step()) || ended;
process.exit(ended);
