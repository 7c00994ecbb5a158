import { chromium } from 'playwright-core';
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
for (const n of [2,3,4]) { await page.goto('http://127.0.0.1:4555/books/'+n+'/schedules'); console.log(await page.locator('h1').innerText(), await page.locator('header').innerText()); console.log(await page.locator('main table').innerText().catch(()=>'')); }
await browser.close();
