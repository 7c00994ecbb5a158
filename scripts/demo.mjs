// npm run demo: one command from a fresh machine to the demo in the browser. --dev serves with reloading, --empty without demo data,
// --prepare installs and builds, and serves nothing.
import { ensureBuild, ensurePackages, ensureSeed, ensureWorker, portOrStop, startServer } from './provision.mjs';

const dev = process.argv.includes('--dev');
const prepare = process.argv.includes('--prepare');
const port = prepare ? 0 : await portOrStop(process.env.PORT || undefined);
ensurePackages();
if (dev) ensureWorker();
else ensureBuild();
if (prepare) process.exit(0);
if (!process.argv.includes('--empty')) ensureSeed();
const { child, ended } = await startServer(port, { dev });
console.log(`\nBathron is at ${process.env.PUBLIC_URL || `http://127.0.0.1:${port}`}\n`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
const code = await ended;
process.exit(typeof code === 'number' ? code : 1);
