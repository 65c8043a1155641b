import { chromium } from 'playwright-core';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const [,, path, out, w = '1280', h = '800', theme = ''] = process.argv;
const p = await b.newPage({ viewport: { width: +w, height: +h } });
p.on('console', (m) => m.type() === 'error' && console.log(m.text()));
p.on('pageerror', (e) => console.log('PAGEERROR', e.message));
if (theme) await p.addInitScript((t) => localStorage.setItem('tally-theme', t), theme);
await p.goto('http://127.0.0.1:4391' + path); await p.waitForTimeout(1800);
for (const click of process.argv.slice(7)) { await p.getByRole('button', { name: click }).first().click(); await p.waitForTimeout(500); }
await p.screenshot({ path: out, fullPage: process.env.FULL === '1' });
await b.close();
