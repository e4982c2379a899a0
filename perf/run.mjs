// npm run bench [-- --json]: performance as ratios to a baseline in the same run, and sizes. Needs a build.
import { chromium } from '@playwright/test';
import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import zlib from 'node:zlib';
import { firstEntry, htmlWeight, liveToOther } from './screens.mjs';
import { adviceRows } from './advice-rows.mjs';
import { workRows } from './work-rows.mjs';
import { largeRows, loadRows } from './load.mjs';
import { wholeBrowser } from '../scripts/browser.mjs';
import { largeYard, median, time, up } from './large-yard.mjs';
import { bin, root, run, start } from '../scripts/tools.mjs';
import { calibration } from './calibration-table.mjs';
import { instruments } from './instruments.mjs';

const json = process.argv.includes('--json');

if (process.argv.includes('--calibration')) process.exit(calibration(json) ? 0 : 1);
const port = 4331;
const origin = `http://127.0.0.1:${port}`;
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-bench-'));
const env = {
  ...process.env,
  INDAGA_DATA: data,
  PORT: String(port),
  HOST: '127.0.0.1',
  LOG_LEVEL: 'error'
};
const quiet = { env, stdio: ['ignore', 'ignore', 'inherit'] };
if (!fs.existsSync(path.join(root, 'build', 'index.js'))) run(bin('vite'), ['build', '--logLevel', 'error'], quiet);
run(bin('tsx'), ['demo/seed-cli.ts'], quiet);
const server = start(process.execPath, ['scripts/server.mjs'], quiet);
// A page of the same stack with nothing on it, on a server of its own: what pages are measured against.
const bareAt = path.join(root, 'perf', 'bare');
const bareOrigin = `http://127.0.0.1:${port + 2}`;
run(bin('vite'), ['build', '--logLevel', 'error'], { ...quiet, cwd: bareAt });
const bareServer = start(process.execPath, ['build/index.js'], {
  ...quiet,
  cwd: bareAt,
  env: { ...env, PORT: String(port + 2) }
});
const rows = [];
const one = spawnSync(bin('tsx'), ['perf/core.ts'], { encoding: 'utf8' });
const { ms, sum, fit } = JSON.parse(one.stdout);
rows.push(...workRows());
rows.push({
  name: 'cranking-simulation',
  value: ms,
  unit: `ms, six pulls at one degree, warm (${(ms / sum).toFixed(1)} times a sum of a million roots)`,
  limit: 3
});

rows.push({
  name: 'live-fit-2000',
  value: fit,
  unit: `ms, warm-up fit of 2000 samples with interval and thermostat (${(fit / sum).toFixed(1)} times a sum of a million roots)`,
  limit: 30
});

rows.push(...adviceRows(sum));

const judging = JSON.parse(spawnSync(bin('tsx'), ['perf/judging.ts'], { encoding: 'utf8' }).stdout);
const roots = (ms) => `${(ms / judging.sum).toFixed(1)} times a sum of a million roots`;
rows.push({
  name: 'judge-20k',
  value: judging.whole,
  unit: `ms, a survey of 20,000 readings judged from nothing, warm; ${judging.cold} ms the first time (${roots(judging.whole)})`,
  limit: 300
});
rows.push({
  name: 'judge-one-more',
  value: judging.more,
  unit: `ms, the same with one reading more (${roots(judging.more)})`,
  limit: 30
});
rows.push({
  name: 'keystroke-worst',
  value: judging.worst,
  unit: `ms, worst of 200 keys into six cylinders and 200 readings; median ${judging.key} ms (${roots(judging.worst)})`,
  limit: 150
});

const practised = JSON.parse(spawnSync(bin('tsx'), ['perf/practice.ts'], { encoding: 'utf8' }).stdout);
rows.push({ name: 'practice-draw', value: practised.draw, unit: 'ms, an engine drawn, median of 60', limit: 20 });
rows.push({
  name: 'practice-debrief',
  value: practised.debrief,
  unit: `ms, worst of six exercises; ${practised.whole} ms with the advised path, which is made while the exercise goes on`,
  limit: 1000
});

const planned = JSON.parse(spawnSync(bin('tsx'), ['perf/schedule.ts'], { encoding: 'utf8' }).stdout);
rows.push({
  name: 'schedule-40',
  value: +(100 * planned.ninth).toFixed(2),
  unit: `% gap proven, ninth of ten benches of 40 steps over 5 engines within a second each (worst ${(100 * planned.worst).toFixed(2)} %)`,
  limit: 7
});
rows.push({
  name: 'schedule-1200',
  value: planned.first,
  unit: `ms to a plan of 1,200 steps over 40 engines (gap proven ${(100 * planned.gap).toFixed(2)} %)`,
  limit: 2000
});

try {
  await up(origin);
  const yard = await (await fetch(origin)).text();
  const surveys = [...new Set([...yard.matchAll(/href="(\/surveys\/[0-9a-f-]{36})"/g)].map((m) => m[1]))];
  const engines = [...new Set([...yard.matchAll(/href="(\/engines\/[0-9a-f-]{36})"/g)].map((m) => m[1]))];
  const pages = [
    '/',
    '/bench',
    '/care',
    ...engines,
    ...surveys.flatMap((s) => ['/compression', '/gear', '/run', '/jobs', '/ready', '/record'].map((p) => s + p)),
    '/reference/mixture',
    '/reference/house-rules'
  ];
  // Twice before it counts: a page's first rendering is the compiler's.
  for (let k = 0; k < 2; k++) for (const p of pages) await time(origin + p);
  for (let k = 0; k < 4; k++) await time(bareOrigin);
  const bare = [];
  const times = new Map(pages.map((p) => [p, []]));
  for (let k = 0; k < 15; k++)
    for (const p of pages) {
      bare.push(await time(bareOrigin));
      times.get(p).push(await time(origin + p));
    }
  const base = median(bare);
  const over = [...times].map(([p, list]) => ({ p, ms: median(list) }));
  if (process.env.BENCH_PAGES)
    console.error(
      over
        .sort((a, b) => b.ms - a.ms)
        .slice(0, 14)
        .map((o) => `${o.ms.toFixed(1)} ${o.p}`)
        .join('\n')
    );
  const worst = over.reduce((a, b) => (b.ms > a.ms ? b : a));
  rows.push({
    name: 'page-ratio',
    value: +((worst.ms - 10) / base).toFixed(2),
    unit: `(slowest page ${worst.ms.toFixed(1)} ms − 10 ms) / bare page ${base.toFixed(1)} ms`,
    limit: 1.5
  });

  rows.push(await htmlWeight({ origin, pages }));

  rows.push(await largeYard({ origin, port: port + 1, env, quiet }));

  const browser = await chromium.launch({
    executablePath: wholeBrowser(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking']
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const bodies = [];
  // What the first load needs; the worker is fetched after it, on a thread of its own, and counted by itself.
  const workers = [];
  page.on(
    'response',
    (r) =>
      r.url().includes('.js') &&
      (r.url().includes('/workers/') ? workers : bodies).push(r.body().catch(() => Buffer.alloc(0)))
  );
  const six =
    surveys[
      [...yard.matchAll(/href="\/surveys\/[0-9a-f-]{36}"[^>]*>([^<]+)</g)].findIndex((m) => m[1].trim() === 'Gannet')
    ];
  await page.addInitScript(() => {
    window.shift = 0;
    new PerformanceObserver((l) =>
      l.getEntries().forEach((e) => {
        window.shift += e.hadRecentInput ? 0 : e.value;
        if (e.value > 0.001)
          (window.shifts ??= []).push(
            e.value.toFixed(4) + ' ' + e.sources.map((s) => s.node?.className || s.node?.nodeName).join(' | ')
          );
      })
    ).observe({ type: 'layout-shift', buffered: true });
  });
  await page.goto(`${origin}${six}/compression`, { waitUntil: 'load' });
  await page.locator('html[data-live]').waitFor({ state: 'attached' });
  await page.waitForTimeout(1500);
  const script = (await Promise.all(bodies)).reduce((sum, b) => sum + zlib.gzipSync(b).length, 0);
  const later = (await Promise.all(workers)).reduce((sum, b) => sum + zlib.gzipSync(b).length, 0);
  rows.push({
    name: 'check-sheet-script',
    value: +(script / 1000).toFixed(1),
    unit: `kB gzip, first load (and ${(later / 1000).toFixed(1)} kB for the worker after it)`,
    limit: 170
  });
  rows.push({
    name: 'check-sheet-layout-shift',
    value: +(await page.evaluate(() => window.shift)).toFixed(4),
    unit: 'CLS',
    limit: 0.01
  });
  if (process.env.BENCH_PAGES) console.error(await page.evaluate(() => window.shifts));
  // The fit runs in its worker; meanwhile no frame of the page may take longer than 50 ms.
  const fits = await page.evaluate(async () => {
    const wait = (ms) => new Promise((r) => setTimeout(r, ms));
    const done = () => performance.getEntriesByName('compression-fit').map((e) => e.duration);
    for (let k = 0; k < 200 && !done().length; k++) await wait(50);
    const field = document.getElementById('compression-1');
    const frames = [];
    let last = performance.now();
    let on = true;
    const frame = () => {
      const now = performance.now();
      frames.push(now - last);
      last = now;
      if (on) requestAnimationFrame(frame);
    };
    // One more reading of the first cylinder each time: recorded, judged, drawn, and fitted anew.
    for (let k = 0; k < 12; k++) {
      const before = done().length;
      field.value = `85 105 111 ${112 + (k % 3)} psi`;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      field.dispatchEvent(new Event('change', { bubbles: true }));
      if (k === 0) {
        await wait(60);
        last = performance.now();
        requestAnimationFrame(frame);
      }
      for (let n = 0; n < 200 && done().length === before; n++) await wait(10);
      await wait(40);
    }
    on = false;
    return { times: done().slice(1), frames };
  });
  rows.push({
    name: 'compression-fit',
    value: +median(fits.times).toFixed(1),
    unit: `ms in the worker, six cylinders pull by pull (worst ${Math.max(...fits.times).toFixed(1)})`,
    limit: 200
  });
  rows.push({
    name: 'frames-during-fit',
    value: +[...fits.frames].sort((a, b) => a - b)[Math.floor(0.99 * fits.frames.length)].toFixed(1),
    unit: `ms, 99 of 100 frames while it fits (worst ${Math.max(...fits.frames).toFixed(1)})`,
    limit: 50
  });
  const keys = await page.evaluate(async () => {
    // A cylinder read once: among the dozen readings of the first one more changes nothing. All within the gauge's range.
    const field = document.getElementById('compression-2');
    const chart = document.querySelector('svg[role="img"]');
    const times = [];
    for (let k = 0; k < 40; k++) {
      const before = chart.getAttribute('aria-label');
      field.value = String(20 + 7 * k);
      const from = performance.now();
      field.dispatchEvent(new Event('input', { bubbles: true }));
      while (chart.getAttribute('aria-label') === before && performance.now() - from < 500) await Promise.resolve();
      times.push(performance.now() - from);
    }
    return times.slice(5);
  });
  rows.push({
    name: 'keystroke-to-finding',
    value: +median(keys).toFixed(1),
    unit: `ms, six cylinders (worst ${Math.max(...keys).toFixed(1)})`,
    limit: 50
  });
  // A logger's file of 200,000 rows, read by its worker while the page goes on drawing.
  const tag = (name) =>
    surveys[
      [...yard.matchAll(/href="\/surveys\/[0-9a-f-]{36}"[^>]*>([^<]+)</g)].findIndex((m) => m[1].trim() === name)
    ];
  await page.goto(`${origin}${tag('Dunlin')}/run`, { waitUntil: 'load' });
  await page.getByText('CSV in').click();
  const csv = ['time s,head °C,rpm'];
  for (let k = 0; k < 200_000; k++)
    csv.push(`${(k / 100).toFixed(2)},${(62 - 47 * Math.exp(-k / 24_000)).toFixed(2)},900`);
  await page
    .getByLabel('Choose a logger’s file')
    .setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(csv.join('\r\n')) });
  await page.getByRole('button', { name: 'Read it' }).waitFor();
  const long = await page.evaluate(async () => {
    const frames = [];
    let [last, on] = [performance.now(), true];
    const frame = () => {
      const now = performance.now();
      frames.push(now - last);
      last = now;
      if (on) requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
    [...document.querySelectorAll('button')].find((b) => b.textContent.trim() === 'Read it').click();
    const done = () => performance.getEntriesByName('csv-import')[0]?.duration;
    for (let k = 0; k < 1000 && !done(); k++) await new Promise((r) => setTimeout(r, 10));
    on = false;
    return { ms: done() ?? 1e6, frames };
  });
  rows.push({
    name: 'csv-200k',
    value: +long.ms.toFixed(0),
    unit: `ms, 200,000 rows read in the worker (99 of 100 frames meanwhile ${[...long.frames].sort((a, b) => a - b)[Math.floor(0.99 * long.frames.length)].toFixed(0)} ms)`,
    limit: 3000
  });
  rows.push(...(await instruments({ page, url: `${origin}${tag('Dunlin')}/compression` })));
  rows.push(await firstEntry({ browser, origin }));
  rows.push(await liveToOther({ browser, origin, survey: tag('Dunlin') }));
  await browser.close();
  // Last, since it records and imports.
  rows.push(...(await loadRows({ origin, pid: server.pid, seconds: Number(process.env.LOAD_SECONDS ?? 60) })));
  rows.push(...(await largeRows({ port: port + 3, env, quiet })));
} finally {
  server.kill('SIGKILL');
  bareServer.kill('SIGKILL');
  fs.rmSync(data, { recursive: true, force: true });
}
if (json) console.log(JSON.stringify(rows, null, 2));
else
  console.table(
    Object.fromEntries(rows.map(({ name, value, unit, limit }) => [name, { value, unit, limit, ok: value <= limit }]))
  );
process.exitCode = rows.every((r) => r.value <= r.limit) ? 0 : 1;
