// node scripts/shot.mjs OUT URL [width height theme]: one picture of one page, for looking at one's own work.
import { chromium } from '@playwright/test';
import { wholeBrowser } from './browser.mjs';

const [out, url, width = '1280', height = '800', theme = 'chart', full = ''] = process.argv.slice(2);
const browser = await chromium.launch({
  executablePath: wholeBrowser(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking']
});
const context = await browser.newContext({ viewport: { width: Number(width), height: Number(height) } });
await context.addCookies([
  { name: 'indaga-prefs', value: encodeURIComponent(JSON.stringify({ theme, units: 'us', who: 'Ines' })), url }
]);
const page = await context.newPage();
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text()));
page.on('pageerror', (e) => console.log('pageerror:', e.message));
await page.goto(url, { waitUntil: 'load' });
await page.screenshot({ path: out, fullPage: full === 'full' });
console.log(page.url());
await browser.close();
