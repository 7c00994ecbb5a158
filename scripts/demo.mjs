// npm run demo: one command from a fresh machine to the demo in the browser. --dev serves with reloading, --empty without demo data.
import { ensureBuild, ensurePackages, ensureSeed, ensureWorker, portOrStop, startServer } from './provision.mjs';

const dev = process.argv.includes('--dev');
const port = await portOrStop(process.env.PORT || undefined);
ensurePackages();
if (dev) ensureWorker();
else ensureBuild();
if (!process.argv.includes('--empty')) ensureSeed();
const { child, ended } = await startServer(port, { dev });
console.log(`\nBathron is at http://127.0.0.1:${port}\n`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
const code = await ended;
process.exit(typeof code === 'number' ? code : 1);
