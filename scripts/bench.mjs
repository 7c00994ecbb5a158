// npm run bench: builds what is stale, then measures. Figures are ratios to baselines of the same run.
import { bin, ensureBuild, ensureChromium, ensurePackages, freePort, root, run, stop } from './provision.mjs';

ensurePackages();
const chromium = ensureChromium();
ensureBuild();
console.log('Building the empty page that pages are compared with…');
if (run(bin('next'), ['build', 'bench/empty'], { stdio: ['ignore', 'ignore', 'inherit'] }) !== 0)
  stop('The baseline page could not be built.');
process.exit(
  run(process.execPath, ['--import', 'tsx', 'bench/bench.ts', String(await freePort()), String(await freePort())], {
    cwd: root,
    env: { CHROMIUM: chromium, LOG_LEVEL: 'error' },
  }),
);
