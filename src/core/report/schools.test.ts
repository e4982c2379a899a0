import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { topicIds, topics } from '../house-rules/topics.ts';
import { schoolsBeside } from './schools.ts';

const beside = (b: Bench, topic: (typeof topicIds)[number]) =>
  schoolsBeside(b.survey, topic, new Date('2026-05-03'), 'metric');
const leaking = (): Bench =>
  new Bench({ strokes: 'four', cylinders: 2, ignition: 'points', starting: 'electric', gearCapacity: 400e-6 })
    .read('gear.first', 'milky')
    .read('gear.look', 'milky')
    .read('gear.pressureTest', 'leaked')
    .read('gear.caseBubbles', ['propshaft']);

describe('schools beside each other on one engine', () => {
  it('every topic: one column a school, the house’s own differs from nothing, figures are figures', () => {
    const b = leaking();
    for (const topic of topicIds) {
      const list = beside(b, topic);
      expect(list.map((s) => s.choice)).toEqual(Object.keys(topics[topic].choices));
      expect(list.filter((s) => s.chosen)).toHaveLength(1);
      for (const s of list) {
        if (s.chosen) expect(s.differs).toEqual([]);
        for (const x of [s.minutes, s.cost, s.yearMinutes, s.yearCost]) expect(Number.isFinite(x), topic).toBe(true);
      }
    }
  });
  it('seals: only the one that leaked costs fewer minutes and other parts', () => {
    const [exposed, failed] = beside(leaking(), 'gearSeals');
    expect(failed!.minutes).toBe(exposed!.minutes - 15);
    expect(failed!.cost).toBeLessThan(exposed!.cost);
    expect(failed!.differs.join(' ')).toMatch(/Done otherwise: Reseal.*the shaft seal that leaked/);
  });
  it('gear oil: five years instead of one is so much less work a year, and the lay-up says it', () => {
    const [either, season, hours, clean] = beside(leaking(), 'gearOil');
    expect(season!.yearMinutes).toBe(either!.yearMinutes);
    // Twenty minutes once a year, by fifty hours of a hundred, or every five years.
    expect(either!.yearMinutes - hours!.yearMinutes).toBeCloseTo(10, 6);
    expect(either!.yearMinutes - clean!.yearMinutes).toBeCloseTo(16, 6);
    expect(clean!.differs.join(' ')).toMatch(/Comes round: Gear oil, fresh washers: 60 months/);
    expect(clean!.differs.join(' ')).toMatch(/Lay-up: Lower gear plug a crack/);
  });
  it('a rule that the survey came with is the one compared from', () => {
    const b = leaking();
    b.survey = { ...b.survey, houseRules: { schools: { gearSeals: 'failed' } } };
    expect(beside(b, 'gearSeals').find((s) => s.chosen)!.choice).toBe('failed');
  });
});
