import { describe, expect, it } from 'vitest';
import { contextOf } from '../../findings/context.ts';
import { Bench } from '../../../../test/case.ts';
import { voltages } from './voltage.ts';
import { windingRows } from './windings.ts';

const K = 273.15;
const single = { strokes: 'two', cylinders: 1, displacement: 250e-6, ratio: 6.5, ignition: 'cdi' } as const;
const at = (b: Bench) => contextOf(b.survey, new Date('2026-05-03'), 'metric');
const sparked = (open: number, gap: number, psi: number): Bench =>
  new Bench(single)
    .read('spark.lanyard', 'yes')
    .read('spark.result', 'good', { cylinder: 1 })
    .read('spark.gap', open, { cylinder: 1 })
    .read('plugs.gap', gap, { cylinder: 1 })
    .psi([[1, psi]]);

describe('voltage shown against voltage needed', () => {
  it('takes the gas as hot as compression makes it: 9 bar absolute and 1 mm need 17.6 kV, not 28.3', () => {
    // 9 bar absolute is 7.98675 bar gauge; ratio 6.5 from 293 K gives 504 K (Kuffel's law checked in physics).
    const [row] = voltages(at(sparked(9e-3, 1e-3, 7.98675e5 / 6894.757)));
    expect(row!.needed / 1000).toBeCloseTo(17.6, 1);
    expect(row!.temperature).toBeCloseTo(504, 0);
  });
  it('fires, fails, or is too close to call', () => {
    expect(sparked(11e-3, 0.9e-3, 115).ids()).toContain('spark.voltage.1:sound');
    expect(sparked(2e-3, 1e-3, 130).ids()).toContain('spark.voltage.1:watch');
    expect(sparked(5e-3, 1e-3, 115).ids()).toContain('spark.voltage.1:cannot-tell');
  });
  it('says nothing where a reading is missing', () => {
    expect(voltages(at(new Bench(single).read('spark.gap', 9e-3, { cylinder: 1 })))).toEqual([]);
  });
});

describe('windings', () => {
  const read = (b: Bench, ohms: number, celsius: number, cylinder = 1): Bench =>
    b.read('spark.primary', ohms, { cylinder, conditions: { temperature: celsius + K } });
  it('copper that warmed by the book is sound: no finding of its own', () => {
    const b = read(read(new Bench(single), 0.5, 20), 0.5 * 1.1965, 70);
    const [row] = windingRows(at(b));
    expect(row!.warmOverCold).toBeCloseTo(1, 3);
    expect(b.ids().filter((i) => i.startsWith('spark.hot'))).toEqual([]);
  });
  it('nothing is divided by what no meter resolves', () => {
    const b = new Bench(single)
      .read('spark.charge', 5e-324, { conditions: { temperature: 235 } })
      .read('spark.charge', 7e-16, { conditions: { temperature: 290 } });
    expect(windingRows(at(b))[0]!.warmOverCold).toBeUndefined();
  });
  it('one that reads less warm than copper should dies hot', () => {
    const b = read(read(new Bench(single), 0.5, 18), 0.47, 65);
    expect(b.ids()).toContain('spark.hot-primary.1:fault');
    expect(b.said('spark.hot-primary')).toMatch(/dies warm and comes back cold/);
  });
  it('is judged by the manual’s range at 20 °C, not by what the meter says in the cold', () => {
    const b = read(new Bench(single), 0.481, 10);
    b.survey = {
      ...b.survey,
      engine: { ...b.survey.engine, manual: { 'spark.primary': { value: 0.49, to: 0.55, page: '5-8' } } }
    };
    expect(b.ids()).toContain('spark.primary.1:sound');
    expect(b.judged().findings.find((f) => f.id === 'spark.primary.1')?.because.limit).toMatch(
      /0.49 Ω to 0.55 Ω \(manual, page 5-8\)/
    );
  });
  it('without a figure the cylinders are compared, and that cannot name the wrong one', () => {
    const b = read(read(new Bench({ ...single, cylinders: 2 }), 0.5, 20), 0.3, 20, 2);
    expect(b.ids()).toContain('spark.between-primary:cannot-tell');
  });
});

describe('points and timing', () => {
  const points = { ...single, ignition: 'points' } as const;
  it('pitted points take their condenser with them', () => {
    expect(new Bench(points).read('spark.pointsLook', 'pitted', { cylinder: 1 }).said('spark.points')).toMatch(
      /condenser with them/
    );
  });
  it('a gap far off 0.51 mm is said, near it is not', () => {
    expect(new Bench(points).read('spark.pointsGap', 0.3e-3, { cylinder: 1 }).said('spark.points-gap')).toMatch(
      /rub block/
    );
    expect(new Bench(points).read('spark.pointsGap', 0.5e-3, { cylinder: 1 }).said('spark.points-gap')).toBe('');
  });
  it('timing needs the manual; after top is negative and allowed', () => {
    const b = new Bench(points).read('spark.timing', -2);
    expect(b.said('spark.timing')).toMatch(/2° after top.*Only the manual/);
    b.survey = { ...b.survey, engine: { ...b.survey.engine, manual: { 'spark.timing': { value: 5 } } } };
    expect(b.said('spark.timing')).toMatch(/7° too late/);
  });
});
