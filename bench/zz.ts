import { PGlite } from '@electric-sql/pglite';
import { mkdtempSync } from 'node:fs';
import { scheduleFigures, thingFigures } from './schedules';
import { madeRegisters } from './lists';
const note = (w: string, o: number, b: string, t: number) =>
  console.log(w, Math.round(o), b, Math.round(t), (o / t).toFixed(1));
const timed = async (work: () => Promise<unknown>) => {
  const s = performance.now();
  await work();
  return performance.now() - s;
};
const done = <T>(r: any): T => {
  if (!r.ok) throw new Error(r.problems.map((x: any) => x.message).join());
  return r.value;
};
const bare = await PGlite.create(mkdtempSync('/tmp/zzb-'));
if (process.argv[2] === 'read') await madeRegisters(1000);
else {
  await scheduleFigures(note, bare, done as never, timed);
  await thingFigures(note, bare, done as never, timed);
}
process.exit(0);
