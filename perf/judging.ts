import type { ItemId } from '../src/core/stations/items.ts';
import { judged } from '../src/core/assess.ts';
import type { Reading } from '../src/core/record/reading.ts';
import { emptySurvey, type SurveyFile } from '../src/core/record/survey-file.ts';
import { keep } from '../src/core/findings/keep.ts';
import { holdsOf } from '../src/core/holds/holds.ts';
import { contextOf } from '../src/core/findings/context.ts';
import { judgings } from '../src/core/stations/judging.ts';
import { stationsFor } from '../src/core/stations/register.ts';

/**
 * For `npm run bench`: what judging costs, each beside a fixed piece of arithmetic of the same process. A survey of 20,000
 * readings judged, one more of them, and each of 200 keystrokes into a six-cylinder survey of 200 readings, cold and warm.
 */
const now = new Date('2026-05-03T08:00:00Z');
const profile = {
  strokes: 'two',
  cylinders: 6,
  layout: 'v',
  displacement: 2.6e-3,
  fuelSystem: 'carburettor',
  ignition: 'cdi',
  starting: 'electric',
  gearCapacity: 0.9e-3,
  indicator: 'fitted',
  thermostat: 'fitted'
} as const;
const values: readonly (readonly [ItemId, (k: number) => unknown, boolean?])[] = [
  ['compression.pressure', (k) => 780e3 + 3e3 * ((k * 7) % 11), true],
  ['spark.result', (k) => (k % 40 ? 'good' : 'weak'), true],
  ['compression.leakdown', (k) => 0.06 + 0.01 * (k % 5), true],
  ['plugs.read', () => ['normal'], true],
  ['turn.result', () => 'bumps'],
  ['gear.casePressure', (k) => 27e3 - 5 * (k % 7)],
  ['run.temperature', (k) => 300 + 40 * (1 - Math.exp(-(k % 900) / 200))],
  ['run.rpm', (k) => 900 + (k % 20)],
  ['fuel.jar', () => 'clear'],
  ['oil.dip', () => 'between']
];
const base = emptySurvey('neglected', '2026-05-02T07:00:00.000Z', 'Bench');
const reading = (k: number): Reading => {
  const [what, value, cylinder] = values[k % values.length]!;
  return {
    id: `r${k}`,
    at: new Date(Date.parse('2026-05-02T08:00:00Z') + 1000 * k).toISOString(),
    what,
    value: value(k),
    ...(cylinder ? { cylinder: 1 + (Math.floor(k / values.length) % 6) } : {}),
    ...(what === 'gear.casePressure' ? { conditions: { stage: (['low', 'high', 'vacuum'] as const)[k % 3]! } } : {})
  };
};
const surveyOf = (n: number): SurveyFile => ({
  ...base,
  engine: { ...base.engine, profile },
  readings: Array.from({ length: n }, (_, k) => reading(k))
});
const timed = (f: () => unknown): number => {
  const from = performance.now();
  f();
  return performance.now() - from;
};
const median = (list: number[]): number => list.sort((a, b) => a - b)[list.length >> 1]!;
const roots = (): number =>
  timed(() => {
    let total = 0;
    for (let k = 0; k < 1e6; k++) total += Math.sqrt(k);
    return total;
  });

const large = surveyOf(20_000);
const cold = timed(() => judged(large, now, 'metric').findings);
const anew = (): SurveyFile => ({ ...large, readings: large.readings.map((r) => ({ ...r })) });
const whole = median(
  Array.from({ length: 7 }, () => {
    const survey = anew();
    return timed(() => judged(survey, now, 'metric').findings);
  })
);
let grown = large;
const more = median(
  Array.from({ length: 9 }, (_, k) => {
    grown = { ...grown, readings: [...grown.readings, reading(20_000 + k)] };
    return timed(() => judged(grown, now, 'metric').findings);
  })
);

const small = surveyOf(200);
judged(small, now, 'metric');
const keys = Array.from({ length: 200 }, (_, k) => {
  const typed = { ...reading(200 + k), id: 'typed' };
  return timed(() => judged({ ...small, readings: [...small.readings, typed] }, now, 'metric').findings);
});
const sum = median(Array.from({ length: 9 }, roots));
const round = (x: number): number => +x.toFixed(2);
if (process.argv.includes('--stations')) {
  const c = contextOf(large, now, 'metric');
  const rows = stationsFor(profile).map((s) => [s, round(timed(() => judgings[s].analyse(c)))]);
  console.error(Object.fromEntries(rows), 'context', round(timed(() => contextOf(anew(), now, 'metric'))));
  for (let k = 0; k < 10; k++) {
    const next = { ...large, readings: [...large.readings, reading(20_000 + k)] };
    const x = contextOf(next, now, 'metric');
    const each = stationsFor(profile).map((s) => [s, round(timed(() => keep(x, judgings[s].analyse)))]);
    console.error(next.readings.at(-1)!.what, JSON.stringify(Object.fromEntries(each)), round(timed(() => holdsOf(x))));
  }
}
console.log(
  JSON.stringify({
    cold: round(cold),
    whole: round(whole),
    more: round(more),
    key: round(median([...keys])),
    worst: round(Math.max(...keys)),
    sum: round(sum)
  })
);
