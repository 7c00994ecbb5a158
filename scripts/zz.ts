import { readCsv } from '../src/core/files/csv';
import { makeRegister } from '../src/core/schedules/testing/register-maker';
import { readRegister } from '../src/core/schedules/registers/read-register';
import { registerTable } from '../src/core/schedules/registers/register-table';
for (const arg of process.argv.slice(2)) {
  const [kind, seed] = arg.split(':');
  const made = makeRegister(Number(seed), kind as never);
  const t = readCsv(new TextEncoder().encode(made.text), made.name);
  if (!t.ok) continue;
  const got = readRegister(t.value, undefined, { name: made.name });
  console.log('=====', arg, made.traits.join(' '), made.asAt, got?.asAt, got?.kind, got?.items.length, made.items.length, got?.doubts.map((d) => d.message).slice(0, 3));
  const table = registerTable(t.value[0]!, kind as never);
  console.log(made.text.split('\r\n').slice(0, 6).join('\n'));
  console.log(table?.headings, table?.roles, table?.holds, table?.style);
  let n = 0;
  for (const [i, item] of made.items.entries()) {
    const o = got?.items[i] as Record<string, unknown> | undefined;
    const pick = Object.fromEntries(Object.keys(item).map((k) => { const v = o?.[k]; return [k, typeof v === 'bigint' ? `${v < 0n ? '-' : ''}${(v < 0n ? -v : v) / 100n}.${String((v < 0n ? -v : v) % 100n).padStart(2, '0')}` : v]; }));
    if (JSON.stringify(pick) !== JSON.stringify(item) && n++ < 2) console.log('exp', JSON.stringify(item), '\ngot', JSON.stringify(pick));
  }
  const extra = got?.items.slice(made.items.length); if (extra?.length) console.log('extra', extra);
}
