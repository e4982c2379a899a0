import { randomBytes } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import { contextWithWork } from '../src/core/jobs/work.ts';
import { benchList } from '../src/core/procedures/procedure.ts';
import { procedureMark, progressOf, BEGIN } from '../src/core/procedures/progress.ts';
import { procedures } from '../src/core/procedures/register.ts';
import { emptySurvey, type SurveyFile } from '../src/core/record/survey-file.ts';
import { openDatabase } from '../src/lib/server/db/open.ts';
import { createEngine } from '../src/lib/server/store/engines.ts';
import { fastenersFor } from '../src/lib/server/store/fasteners.ts';
import { appendEntry, createSurvey } from '../src/lib/server/store/surveys.ts';

/** For `npm run bench`: a procedure opened, the fastener map of a model in a large yard, a bundle of sixty photographs out and in. */
const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-bench-work-'));
process.env.INDAGA_DATA = folder;
const { writeBundle, readBundle } = await import('../src/lib/server/files/bundle.ts');
const { keepPhoto } = await import('../src/lib/server/files/photos.ts');
const timed = async (run: () => unknown): Promise<number> => {
  const from = performance.now();
  await run();
  return performance.now() - from;
};
const at = (k: number): string => new Date(Date.UTC(2026, 4, 2, 8, k)).toISOString();

/** A six-cylinder engine with two hundred readings and every procedure begun. */
const six: SurveyFile = {
  ...emptySurvey('neglected', at(0)),
  engine: {
    identity: {},
    profile: { strokes: 'four', cylinders: 6, fuelSystem: 'electronic', starting: 'electric', gearCapacity: 700e-6 },
    history: {}
  },
  readings: Array.from({ length: 200 }, (_, k) => ({
    id: `r${k}`,
    at: at(k),
    what: 'compression.pressure',
    value: 9e5 + 1e3 * k,
    cylinder: 1 + (k % 6)
  })),
  steps: procedures.map((p, k) => ({ id: `s${k}`, at: at(0), step: procedureMark(p, BEGIN), state: 'done' }))
};
const open = (): number[] =>
  procedures.map((p) => {
    const from = performance.now();
    const c = contextWithWork(six, new Date(at(300)), 'metric');
    const { steps } = progressOf(c, p);
    benchList(
      p,
      steps.map((s) => s.step)
    );
    return performance.now() - from;
  });
open();
const opened = Math.max(...open());

const db = openDatabase(folder);
let last = '';
db.$client.exec('begin');
for (let k = 0; k < 500; k++) {
  const facts = [
    { path: 'identity.maker', value: 'Made up' },
    { path: 'identity.model', value: `M${k % 10}` },
    { path: 'identity.tag', value: `T${k}` }
  ];
  last = createSurvey(createEngine(facts, '', { db }), 'neglected', '', { db });
  for (let j = 0; j < 30; j++)
    appendEntry(
      last,
      { type: 'tray', body: { id: `${k}-${j}`, at: at(0), name: `bolt ${j}`, head: '13 mm', step: 'pump' } },
      { db }
    );
}
db.$client.exec('commit');
const map = await timed(() => fastenersFor(last, { db }));
db.$client.close();

/** Sixty photographs as a phone takes them, noise and all. */
const readings: SurveyFile['readings'] = [];
for (let k = 0; k < 60; k++) {
  const noise = await sharp(randomBytes(300 * 200 * 3), { raw: { width: 300, height: 200, channels: 3 } })
    .resize(2400, 1600)
    .jpeg({ quality: 90 })
    .toBuffer();
  const kept = await keepPhoto(noise);
  if (kept.ok) readings.push({ id: `p${k}`, at: at(k), what: 'gear.magnetPhoto', value: kept.photo });
}
const survey = { ...six, readings, steps: [] };
const file = path.join(folder, 'bundle.zip');
const write = await timed(async () => fs.writeFileSync(file, await buffer(await writeBundle(survey))));
const size = fs.statSync(file).size;
const base = process.memoryUsage().rss;
let peak = base;
const watch = setInterval(() => (peak = Math.max(peak, process.memoryUsage().rss)), 20);
const read = await timed(async () => {
  const r = await readBundle(file);
  if (!r.ok) throw new Error(r.message);
});
clearInterval(watch);
fs.rmSync(folder, { recursive: true, force: true });
console.log(
  JSON.stringify({
    opened: +opened.toFixed(1),
    map: +map.toFixed(1),
    write: +write.toFixed(0),
    read: +read.toFixed(0),
    size: +(size / 1e6).toFixed(0),
    memory: +((peak - base) / 1e6).toFixed(0)
  })
);
