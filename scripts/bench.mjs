// npm run bench: builds what is stale, then measures. Figures are ratios to baselines of the same run.
import { bin, ensureBuild, ensureChromium, ensurePackages, freePort, root, run, stop } from './provision.mjs';

ensurePackages();
const chromium = ensureChromium();
ensureBuild();
console.log('Building the empty page that pages are compared with…');
if (run(bin('next'), ['build', 'bench/empty'], { stdio: ['ignore', 'ignore', 'inherit'] }) !== 0)
  stop('The baseline page could not be built.');
const measure = (file, ...given) =>
  run(process.execPath, ['--import', 'tsx', file, ...given], {
    cwd: root,
    env: { CHROMIUM: chromium, LOG_LEVEL: 'error' },
  });
// `npm run bench -- attack` measures only the server under attack and under load.
const only = process.argv[2];
const ended = only === 'attack' ? 0 : measure('bench/bench.ts', String(await freePort()), String(await freePort()));
process.exit(measure('bench/attack.ts', String(await freePort()), '2000') || ended);
