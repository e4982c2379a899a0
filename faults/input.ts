import Papa from 'papaparse';
import fs from 'node:fs';
import { assess } from '../src/core/assess.ts';
import { LogScan } from '../src/core/instruments/logger/scan.ts';
import { delimiterOf, headOf } from '../src/core/instruments/logger/table.ts';
import { readSurveyFile } from '../src/core/survey/read-file.ts';
import { mangled, mutated, pick, type Random } from './mutate.ts';
import { Running } from './server.ts';
import { examples, fed, nextPort, now, often, random, row, temporary, yardAt } from './tried.ts';

/** Faults in what comes in: files and entries. */
await row('survey files, mutated', async () =>
  fed(often(10_000), ['taken', 'refused with a sentence'], (k) => {
    const text = JSON.stringify(mutated(pick(random, examples), random));
    const read = readSurveyFile(random() < 0.1 ? mangled(text, random) : text);
    // Judged as the yard would, every fifth: each takes its tenth of a second.
    if (read.ok && k % 5 === 0) assess(read.survey, now, 'us');
    return read.ok;
  })
);

await row('logger files, mutated', async () => {
  const good = [
    'Time;Head temperature °C;RPM',
    ...Array.from(
      { length: 300 },
      (_, k) =>
        `00:${String(Math.floor(k / 60)).padStart(2, '0')}:${String(k % 60).padStart(2, '0')};${(20 + k / 10).toFixed(1).replace('.', ',')};${700 + k}`
    )
  ].join('\n');
  return fed(often(2000), ['read', 'refused'], () => {
    let text = good;
    for (let m = 1 + Math.floor(random() * 3); m > 0; m--) text = mangled(text, random).slice(0, 400_000);
    const delimiter = delimiterOf(text);
    if (!delimiter) return false;
    const { data } = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: 'greedy' });
    const head = headOf(data.slice(0, 60));
    if (!head) return false;
    const scan = new LogScan(head.header, head.preface);
    for (const cells of data.slice(head.skip)) scan.push(cells);
    scan.finish();
    return true;
  });
});

await row('entries by the API, mutated; then every page', async () => {
  const directory = temporary('api');
  const ids = yardAt(directory);
  const server = await new Running(directory, nextPort()).start();
  const n = often(3000);
  let [worst, slowest, done] = [0, 0, 0];
  const one = async (r: Random): Promise<void> => {
    const bodies = examples.flatMap((e) => e.readings.slice(0, 20)) as object[];
    const batch = {
      since: Number.MAX_SAFE_INTEGER,
      factSince: Number.MAX_SAFE_INTEGER,
      entries: [
        {
          type: pick(r, ['reading', 'step', 'tray', 'wait', 'constructor']),
          body: mutated({ ...pick(r, bodies), id: `f${Math.floor(r() * 1e9)}` }, r)
        }
      ],
      facts:
        r() < 0.3
          ? [
              mutated(
                { id: `f${Math.floor(r() * 1e9)}`, path: 'profile.cylinders', value: 4, at: now.toISOString() },
                r
              )
            ]
          : []
    };
    const from = performance.now();
    const answer = await server.post(pick(r, [...ids, 'constructor', '../x']), r() < 0.2 ? mutated(batch, r) : batch);
    await answer.arrayBuffer();
    worst = Math.max(worst, answer.status);
    slowest = Math.max(slowest, performance.now() - from);
    done++;
  };
  for (let k = 0; k < n; k += 4) await Promise.all(Array.from({ length: Math.min(4, n - k) }, () => one(random)));
  const pages = [
    '/',
    '/bench',
    '/care',
    '/parts',
    '/search?q=a',
    '/reference/knowledge',
    '/health',
    ...ids.flatMap((s) => ['look', 'suspects', 'jobs', 'ready', 'record', 'file.json'].map((p) => `/surveys/${s}/${p}`))
  ];
  const broken: string[] = [];
  for (const p of pages) {
    const answer = await fetch(server.url + p, { headers: { accept: 'text/html' } });
    await answer.arrayBuffer();
    if (!answer.ok) broken.push(`${p} ${answer.status}`);
  }
  const { alive } = server;
  await server.kill('SIGTERM');
  fs.rmSync(directory, { recursive: true, force: true });
  return {
    tried: done,
    result: `worst answer ${worst}, slowest ${Math.round(slowest)} ms; ${pages.length} pages after it, ${broken.length ? `broken: ${broken.slice(0, 3).join(', ')}` : 'none broken'}`,
    ok: worst < 500 && alive && !broken.length
  };
});
