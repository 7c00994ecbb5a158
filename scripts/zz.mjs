import { chromium } from 'playwright';
import { readFileSync } from 'node:fs';
const exe = process.env.CHROMIUM || '/usr/bin/chromium';
const b = await chromium.launch({ executablePath: exe });
const shot = async (path, name, { w = 1280, h = 800, dark = false, act } = {}) => {
  const c = await b.newContext({ viewport: { width: w, height: h }, colorScheme: dark ? 'dark' : 'light' });
  const p = await c.newPage();
  await p.goto('http://localhost:4555' + path);
  await p.waitForLoadState('networkidle');
  if (act) await act(p);
  await p.waitForTimeout(300);
  await p.screenshot({ path: `/tmp/shots/${name}.png` });
  await c.close();
};
const jobs = JSON.parse(process.argv[2]);
for (const [path, name, o = {}] of jobs) await shot(path, name, { ...o, act: o.click ? async (p) => { for (const t of o.click) await p.getByText(t, { exact: true }).first().click(); } : undefined });
await b.close();
