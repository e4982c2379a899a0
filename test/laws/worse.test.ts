import { describe, expect, it } from 'vitest';
import { assess, type Assessment } from '../../src/core/assess.ts';
import type { Reading } from '../../src/core/record/reading.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';
import type { ItemId } from '../../src/core/stations/items.ts';
import { worked } from '../worked.ts';

const judge = (s: SurveyFile): Assessment => assess(s, new Date('2026-05-20T12:00:00.000Z'), 'us');
const holds = (a: Assessment): string[] => a.holds.filter((h) => !h.standing).map((h) => h.id);
const passing = (a: Assessment): string[] => a.gates.filter((g) => g.passes).map((g) => g.id);

/** Words of an item from good to bad: each is worse than the one before it. */
const scale: Readonly<Partial<Record<ItemId, readonly string[]>>> = {
  'spark.result': ['good', 'weak', 'none'],
  'gear.first': ['oil', 'milky', 'water'],
  'gear.look': ['clear', 'milky'],
  'gear.magnet': ['clean', 'paste', 'slivers', 'pieces'],
  'turn.result': ['bumps', 'gritty'],
  'turn.water': ['none', 'some', 'much'],
  'turn.assembled': ['same', 'stiffer', 'binds'],
  'oil.look': ['clean', 'milky'],
  'oil.dip': ['between', 'below'],
  'cooling.stream': ['strong', 'weak', 'none'],
  'run.stream': ['strong', 'weak', 'none'],
  'run.lamp': ['none', 'came'],
  'run.leaks': ['none', 'fuel'],
  'run.outcome': ['ran', 'stopped'],
  'run.gears': ['both', 'fails'],
  'fuel.jar': ['clear', 'layers'],
  'fuel.bulb': ['firm', 'soft'],
  'look.case': ['sound', 'stain'],
  'look.wiring': ['good', 'chewed'],
  'plugs.hole': ['clean', 'rust', 'water']
};
/** A figure that is worse: how it gets there. */
const worseFigure: Readonly<Partial<Record<ItemId, (x: number) => number>>> = {
  'run.temperature': (x) => x + 40,
  'cooling.head': (x) => x + 40,
  'cooling.missing': (x) => x + 1,
  'compression.leakdown': (x) => Math.min(0.95, x + 0.3)
};

function worse(r: Reading): Reading[] {
  const figure = worseFigure[r.what];
  if (figure && typeof r.value === 'number') return [{ ...r, value: figure(r.value) }];
  const words = scale[r.what];
  const k = words?.indexOf(String(r.value)) ?? -1;
  return words && k >= 0 ? words.slice(k + 1).map((value) => ({ ...r, value })) : [];
}

describe('law 3: a worse reading lifts no hold and opens no gate', () => {
  it.each(worked)('%s', (_, survey) => {
    const before = judge(survey);
    survey.readings.forEach((r, k) => {
      for (const bad of worse(r)) {
        const after = judge({ ...survey, readings: survey.readings.map((x, i) => (i === k ? bad : x)) });
        const said = `${r.what}: ${String(r.value)} → ${String(bad.value)}`;
        expect([said, holds(after)]).toEqual([said, expect.arrayContaining(holds(before))]);
        const opened = passing(after).filter((g) => !passing(before).includes(g));
        expect([said, opened]).toEqual([said, []]);
      }
    });
  });
});

describe('law 8: a good reading of another subject changes no bad one', () => {
  /** Good news of one subject each. */
  const news: readonly Pick<Reading, 'what' | 'value' | 'cylinder'>[] = [
    { what: 'fuel.jar', value: 'clear' },
    { what: 'look.anodes', value: 'good' },
    { what: 'cooling.screen', value: 'clear' },
    { what: 'gear.magnet', value: 'clean' },
    { what: 'plugs.order', value: 'yes' },
    { what: 'cooling.thermostatPan', value: 'good' }
  ];
  it.each(worked)('%s', (_, survey) => {
    const before = judge(survey);
    for (const good of news) {
      if (survey.readings.some((r) => r.what === good.what)) continue;
      const reading = { ...good, id: 'good', at: '2026-05-19T12:00:00.000Z' } as Reading;
      const after = judge({ ...survey, readings: [...survey.readings, reading] });
      const bad = before.findings.filter((f) => f.condition === 'fault' || f.condition === 'held');
      for (const f of bad)
        expect([good.what, f.id, after.findings.find((x) => x.id === f.id)?.condition]).toEqual([
          good.what,
          f.id,
          f.condition
        ]);
    }
  });
});
