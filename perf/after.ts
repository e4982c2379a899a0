import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { flows } from '../src/core/care/flows.ts';
import { contextWithWork } from '../src/core/jobs/work.ts';
import { trendsOf } from '../src/core/history/trends.ts';
import { emptySurvey, type SurveyFile } from '../src/core/record/survey-file.ts';
import { openDatabase } from '../src/lib/server/db/open.ts';
import { createEngine } from '../src/lib/server/store/engines.ts';
import { createSurvey } from '../src/lib/server/store/surveys.ts';

/** For `npm run bench`: what comes after hand-over, a club of two hundred engines through their lay-up and ten years of one engine. */
const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-bench-after-'));
process.env.INDAGA_DATA = folder;
const { fleetFor, tickForAll } = await import('../src/lib/server/fleet.ts');
const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
const timed = (run: () => unknown): number => {
  const from = performance.now();
  run();
  return performance.now() - from;
};

/** Two visits a year, six cylinders read twice each, leak-down, windings and heads beside them. */
const years: SurveyFile[] = Array.from({ length: 20 }, (_, k) => {
  const at = (minute: number): string =>
    new Date(Date.UTC(2016 + Math.floor(k / 2), k % 2 ? 9 : 3, 10, 8, minute)).toISOString();
  const six = Array.from({ length: 6 }, (_, c) => c + 1);
  const readings: SurveyFile['readings'] = six.flatMap((cylinder) => [
    ...[0, 1].map((n) => ({
      id: `p${cylinder}-${n}`,
      at: at(cylinder + 10 * n),
      what: 'compression.pressure' as const,
      value: 9e5 - 4e3 * k * (cylinder === 3 ? 3 : 1) + 2e3 * n,
      cylinder,
      conditions: { throttle: 'open' as const, bores: 'dry' as const }
    })),
    { id: `l${cylinder}`, at: at(30 + cylinder), what: 'compression.leakdown' as const, value: 0.05, cylinder },
    { id: `w${cylinder}`, at: at(40 + cylinder), what: 'spark.secondary' as const, value: 9e3, cylinder }
  ]);
  const survey = emptySurvey('spring-return', at(0));
  return {
    ...survey,
    engine: { ...survey.engine, profile: { strokes: 'two', cylinders: 6, displacement: 2e-3 } },
    readings: [...readings, { id: 'h', at: at(50), what: 'cooling.head', value: 335 + 0.2 * k }]
  } as SurveyFile;
});
const trends = (list: readonly SurveyFile[]): unknown =>
  trendsOf(list.map((s) => contextWithWork(s, new Date(s.assessment.startedAt), 'metric')));
trends(years);
const trend = median(
  Array.from({ length: 9 }, () => {
    // Fresh copies: what was judged before is kept by the survey itself.
    const copy = structuredClone(years);
    return timed(() => trends(copy));
  })
);

const db = openDatabase(folder);
const layUp = flows.find((f) => f.id === 'lay-up')!;
const o = { db };
const ids: string[] = [];
db.$client.transaction(() => {
  for (let k = 0; k < 200; k++) {
    const id = createEngine(
      [
        { path: 'identity.tag', value: `T${k}` },
        { path: 'identity.owner', value: 'Club' },
        { path: 'profile.strokes', value: k % 2 ? 'two' : 'four' },
        { path: 'profile.cylinders', value: 1 + (k % 4) },
        { path: 'profile.gearCapacity', value: 300e-6 }
      ],
      '',
      o
    );
    createSurvey(id, 'spring-return', '', o);
    ids.push(id);
  }
})();
const now = new Date('2026-10-10T08:00:00.000Z');
fleetFor(layUp, 'Club', now, 'metric', o);
const table = median(Array.from({ length: 5 }, () => timed(() => fleetFor(layUp, 'Club', now, 'metric', o))));
const ticked = fleetFor(layUp, 'Club', now, 'metric', o).steps.filter((s) => s.of > 100);
// The first tick compiles what the later ones run.
const ticks = ticked.slice(0, 4).map((s) => timed(() => tickForAll(layUp, s.id, ids, 'Bench', o)));
const tick = median(ticks.slice(1));
db.$client.close();
fs.rmSync(folder, { recursive: true, force: true });
console.log(JSON.stringify({ trend: +trend.toFixed(1), table: +table.toFixed(1), tick: +tick.toFixed(0) }));
