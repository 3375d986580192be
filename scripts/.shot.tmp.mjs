import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
const data = process.env.DATA ?? mkdtempSync('/tmp/v/data-');
const port = 4555;
const server = spawn(process.execPath, ['server/dist/main.js', '--demo'], { env: { ...process.env, PORT: port, ACORN_TALLY_DATA: data }, stdio: 'inherit' });
for (let i = 0; i < 100; i++) { await new Promise((r) => setTimeout(r, 200)); if ((await fetch(`http://localhost:${port}/api/v1/health`).catch(() => null))?.ok) break; }
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--headless','--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB', timezoneId: 'Europe/London' });
const page = await context.newPage();
page.on('console', (m) => ['error','warning'].includes(m.type()) && console.log('console', m.text()));
page.on('pageerror', (e) => console.log('pageerror', e.message));
const base = `http://localhost:${port}`;
try { await (await import(process.argv[2])).default({ page, context, base, shot: (n) => page.screenshot({ path: `/tmp/v/${n}.png` }), server }); } catch (e) { console.log(e); }
await browser.close(); server.kill('SIGINT');
