import { describe, expect, it } from 'vitest';
import { assess, type Assessment } from '../../src/core/assess.ts';
import type { Condition } from '../../src/core/findings/finding.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';
import { allItems, itemIds } from '../../src/core/stations/items.ts';
import { worked } from '../worked.ts';

const judge = (s: SurveyFile): Assessment => assess(s, new Date('2026-05-20T12:00:00.000Z'), 'us');

/** What a person acts on. */
const acts = (a: Assessment) => ({
  findings: a.findings.map((f) => [f.id, f.condition, f.sentence]),
  holds: a.holds.map((h) => [h.id, h.because, h.needs]),
  gates: a.gates.map((g) => [g.id, g.condition, g.passes]),
  ready: a.ready
});

const seeded = (seed: number) => () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647;
function shuffled<T>(list: readonly T[], seed: number): T[] {
  const random = seeded(seed);
  return list
    .map((x) => [random(), x] as const)
    .sort((a, b) => a[0] - b[0])
    .map(([, x]) => x);
}

/** How far from sound a condition is; what is unknown lies between. */
const weight: Readonly<Record<Condition, number>> = {
  sound: 0,
  'not-looked-at': 1,
  'cannot-tell': 1,
  watch: 2,
  fault: 3,
  held: 3
};

describe('law 1: in which order readings were entered means nothing', () => {
  it.each(worked)('%s', (_, survey) => {
    const straight = acts(judge(survey));
    for (const seed of [7, 1234])
      expect(acts(judge({ ...survey, readings: shuffled(survey.readings, seed) }))).toEqual(straight);
  });
});

describe('law 2: “unknown” makes nothing sound, lifts no hold and opens no gate', () => {
  it.each(worked)('%s', (_, survey) => {
    const before = judge(survey);
    const was = new Map(before.stations.map((s) => [s.id, s.condition]));
    const last = Date.parse(survey.readings.at(-1)?.at ?? survey.assessment.startedAt);
    // Every reading there is, answered "unknown" a moment after the last one, at every cylinder that was read.
    const cylinders = [...new Set(survey.readings.map((r) => r.cylinder ?? 1))];
    const unknowns = itemIds
      .filter((what) => allItems[what].schema.safeParse('unknown').success && allItems[what].kind !== 'text')
      .flatMap((what) =>
        (allItems[what].perCylinder ? cylinders : [undefined]).map((cylinder, k) => ({
          id: `u-${what}-${k}`,
          at: new Date(last + 1000).toISOString(),
          what,
          value: 'unknown',
          ...(cylinder === undefined ? {} : { cylinder })
        }))
      );
    const after = judge({ ...survey, readings: [...survey.readings, ...unknowns] });
    for (const s of after.stations) {
      const [from, to] = [was.get(s.id)!, s.condition];
      // A doubt beside a watch speaks for the check: what was watched still is.
      const stands = after.findings.some((f) => f.station === s.id && weight[f.condition] >= weight[from]);
      if (weight[to] < weight[from] && !stands) expect([s.id, from, to]).toEqual([s.id, from, from]);
      if (to === 'sound') expect([s.id, from]).toEqual([s.id, 'sound']);
    }
    expect(after.holds.map((h) => h.id)).toEqual(expect.arrayContaining(before.holds.map((h) => h.id)));
    for (const g of before.gates)
      if (!g.passes) expect([g.id, after.gates.find((x) => x.id === g.id)?.passes]).toEqual([g.id, false]);
  });
});

describe('law 7: without its readings a check was not looked at', () => {
  it.each(worked)('%s', (_, survey) => {
    for (const station of new Set(survey.readings.map((r) => r.what.split('.')[0]!))) {
      const a = judge({ ...survey, readings: survey.readings.filter((r) => !r.what.startsWith(`${station}.`)) });
      const s = a.stations.find((x) => x.id === station);
      // What another check read may still speak here; nothing is sound of what nobody read.
      if (s) expect([station, s.condition === 'sound']).toEqual([station, false]);
    }
  });
});
