import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { kinds } from '../../../test/profiles.ts';
import type { Profile } from '../engine/profile.ts';
import { limits } from '../engine/limits.ts';
import { contextOf, type Context } from '../findings/context.ts';
import { hazards } from '../hazards/hazards.ts';
import { isJobId, jobs } from '../jobs/register.ts';
import { allItems, itemIds } from '../stations/items.ts';
import { flows } from '../care/flows.ts';

import { BEGIN } from './progress.ts';
import { benchList, type Procedure, type ProcedureStep } from './procedure.ts';
import { procedures, proceduresFor, proceduresOf } from './register.ts';

const now = new Date('2026-05-02T10:00:00.000Z');
const contextFor = (b: Bench): Context => contextOf(b.survey, now, 'metric');
const every: readonly Procedure[] = [...procedures, ...flows];
const named = (id: string): Procedure => procedures.find((p) => p.id === id)!;
const stepOf = (b: Bench, id: string, step: string): ProcedureStep =>
  named(id)
    .steps(contextFor(b))
    .find((s) => s.id === step)!;
/** The value of a step's figure by how its label begins. */
const valueOf = (b: Bench, id: string, step: string, label = ''): number | undefined =>
  stepOf(b, id, step).figures?.find((f) => f.label.startsWith(label))?.value;

describe('every procedure, on every kind of engine it is work on', () => {
  const cases = kinds.map((profile) => new Bench(profile));
  it('has six to sixteen steps of one name each, and asks only for what there is', () => {
    for (const b of cases)
      for (const p of every.filter((x) => x.fits?.(b.survey.engine) ?? true)) {
        const steps = p.steps(contextFor(b));
        const where = `${p.id} on ${JSON.stringify(b.survey.engine.profile)}`;
        expect(steps.length, where).toBeGreaterThanOrEqual(5);
        expect(steps.length, where).toBeLessThanOrEqual(16);
        const ids = steps.map((s) => s.id);
        expect(new Set(ids).size, where).toBe(ids.length);
        expect(ids).not.toContain(BEGIN);
        for (const s of steps) {
          expect(s.text.trim(), where).toMatch(/[.?!]$/);
          for (const i of s.items ?? []) expect(allItems[i], `${where} ${s.id} ${i}`).toBeDefined();
          for (const l of s.torque ?? []) expect(limits[l], `${where} ${l}`).toBeDefined();
          for (const h of [...(s.careful ?? []), ...p.hazards]) expect(hazards[h], `${where} ${h}`).toBeDefined();
          for (const x of s.branch ?? []) if (x.job) expect(isJobId(x.job), `${where} ${x.job}`).toBe(true);
        }
      }
  });
  it('puts back only what came off, and everything that came off or is renewed', () => {
    for (const b of cases)
      for (const p of every.filter((x) => x.fits?.(b.survey.engine) ?? true)) {
        const off: string[] = [];
        for (const s of p.steps(contextFor(b))) {
          for (const part of s.fits ?? []) expect(off, `${p.id} ${s.id}: ${part} was never taken off`).toContain(part);
          off.push(...(s.takesOff ?? []));
        }
      }
  });
  it('names its hazards before the act, and each hazard of a step among its own', () => {
    for (const b of cases)
      for (const p of every.filter((x) => x.fits?.(b.survey.engine) ?? true)) {
        expect(p.hazards.length, p.id).toBeGreaterThan(0);
        expect(p.wrong.length, p.id).toBeGreaterThan(0);
        expect(p.handOver, p.id).toMatch(/\.$/);
      }
  });
  it('says of every step that runs the engine that it does, so that a hold stops it', () => {
    for (const b of cases)
      for (const p of every.filter((x) => x.fits?.(b.survey.engine) ?? true))
        for (const s of p.steps(contextFor(b)))
          // On the water one is where one is: the card for the way home refuses nothing.
          if (
            p.id !== 'way-home' &&
            (s.careful?.includes('carbon-monoxide') || s.items?.some((i) => i === 'run.stream' || i === 'run.volts'))
          )
            expect(s.act, `${p.id} ${s.id}`).toBe('start');
  });
  it('has tools and parts once each', () => {
    for (const b of cases)
      for (const p of proceduresFor(b.survey.engine)) {
        const { tools, parts } = benchList(p, p.steps(contextFor(b)));
        expect(new Set(tools).size).toBe(tools.length);
        expect(new Set(parts).size).toBe(parts.length);
      }
  });
  it('is at least thirty, each under a name of its own', () => {
    expect(procedures.length).toBeGreaterThanOrEqual(30);
    expect(new Set(procedures.map((p) => p.id)).size).toBe(procedures.length);
  });
  it('stands behind every job of an hour and more that is no search of its own', () => {
    // Work whose inside is a specialist's, or that is itself one look.
    const without = [
      'feel',
      'nest',
      'hot',
      'metal',
      'overhaul',
      'belt',
      'bent-rod',
      'water-in',
      'clutch-dog',
      'splines'
    ];
    const engine = (strokes: 'two' | 'four') => new Bench({ strokes, cylinders: 2 }).survey.engine;
    const bare = jobs
      .filter((j) => j.minutes >= 60 && !without.includes(j.id))
      .filter((j) => !proceduresOf(j.id, engine('two')).length && !proceduresOf(j.id, engine('four')).length)
      .map((j) => j.id);
    expect(bare).toEqual([]);
  });
  it('gives figures that are numbers, whatever is known and read', () => {
    const quantities = itemIds.filter((i) => allItems[i].kind === 'quantity');
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.array(fc.tuple(fc.constantFrom(...quantities), fc.double({ min: 0, max: 1, noNaN: true })), {
          maxLength: 60
        }),
        (profile, read) => {
          const b = new Bench(profile);
          for (const [what, share] of read) {
            const item = allItems[what];
            if (item.kind !== 'quantity') continue;
            b.read(what, item.min + share * (item.max - item.min), item.perCylinder ? { cylinder: 1 } : {});
          }
          for (const p of every.filter((x) => x.fits?.(b.survey.engine) ?? true))
            for (const s of p.steps(contextFor(b))) {
              if (s.wait !== undefined) expect(s.wait).toBeGreaterThan(0);
              for (const f of s.figures ?? [])
                for (const v of [f.value, f.low ?? f.value, f.high ?? f.value])
                  expect(Number.isFinite(v), `${p.id} ${s.id} ${f.label}`).toBe(true);
            }
        }
      ),
      { numRuns: 60 }
    );
  });
});

describe('figures at their step', () => {
  const leg: Partial<Profile> = { strokes: 'two', cylinders: 2, gearCapacity: 300e-6 };
  it('drains longer in the cold, by the oil’s viscosity', () => {
    const at = (kelvin: number): number => stepOf(new Bench(leg).read('safe.air', kelvin), 'gear-oil', 'drain').wait!;
    expect(stepOf(new Bench(leg), 'gear-oil', 'drain').wait).toBe(20);
    expect(at(293.15)).toBe(20);
    expect(at(278.15)).toBeGreaterThan(40);
  });
  it('counts strokes of the pump and bottles, for a pair both', () => {
    const b = new Bench(leg).read('gear.pumpStroke', 14e-6).read('gear.bottle', 355e-6);
    expect(valueOf(b, 'gear-oil', 'fill', 'Strokes')).toBe(22);
    expect(valueOf(b, 'gear-oil', 'fill', 'Bottles')).toBe(1);
    const pair = new Bench({ ...leg, installation: 'port' }).read('gear.bottle', 355e-6);
    expect(valueOf(pair, 'gear-oil', 'fill', 'Bottles for both')).toBe(2);
  });
  it('asks for as many washers as the case has plugs', () => {
    const plugs = { plugDrain: 'fitted', plugLevel: 'fitted', plugVent: 'not-fitted' } as const;
    expect(stepOf(new Bench({ ...leg, ...plugs }), 'gear-oil', 'shut').renew).toEqual(['plug washers (2)']);
    expect(stepOf(new Bench(leg), 'gear-oil', 'shut').renew).toEqual(['plug washers (3)']);
  });
  it('sizes the driver between lip and outside, and judges groove and depth', () => {
    const b = new Bench(leg).read('gear.sealLip', 0.017).read('gear.sealOuter', 0.03).read('gear.shaftGroove', 0.1e-3);
    expect(valueOf(b, 'carrier-reseal', 'seal-in')).toBeCloseTo(0.0295, 6);
    expect(stepOf(b, 'carrier-reseal', 'groove').figures![0]!.label).toMatch(/sleeve/);
    const deep = new Bench(leg).read('gear.sealDepth', 4.5e-3).read('gear.sealDepthNew', 5.2e-3);
    expect(stepOf(deep, 'carrier-reseal', 'depth').figures![0]!.label).toMatch(/look why/);
    const same = new Bench(leg).read('gear.sealDepth', 4.5e-3).read('gear.sealDepthNew', 4.7e-3);
    expect(stepOf(same, 'carrier-reseal', 'depth').figures![0]!.label).toMatch(/As deep/);
  });
  it('never lets a case test above the manual’s pressure, nor above the common one', () => {
    expect(valueOf(new Bench(leg), 'case-test', 'high')).toBeCloseTo(103421, 0);
    const b = new Bench(leg);
    b.survey.engine = { ...b.survey.engine, manual: { 'gear.casePressure': { value: 90_000, page: '41' } } };
    expect(valueOf(b, 'case-test', 'high')).toBe(90_000);
  });
  it('turns needle, pump and time into air past it', () => {
    const b = new Bench({ strokes: 'two', fuelSystem: 'carburettor' })
      .read('fuel.needlePump', 40e-6)
      .read('fuel.needleFrom', 70e3)
      .read('fuel.needleTo', 63e3)
      .read('fuel.needleTime', 1);
    // 40 mL × 7 kPa ÷ 101.325 kPa.
    expect(valueOf(b, 'carburettor-strip', 'hold')).toBeCloseTo(2.763e-6, 8);
  });
  it('says too high or too low of the fuel by the float', () => {
    const float = (is: number): string =>
      stepOf(
        new Bench({ strokes: 'two' }).read('fuel.floatHeight', is).read('fuel.floatWanted', 0.014),
        'carburettor-strip',
        'level'
      ).figures![0]!.label;
    expect(float(0.016)).toMatch(/too low/);
    expect(float(0.012)).toMatch(/too high/);
    expect(float(0.0142)).toMatch(/as it should/);
  });
  it('corrects lash to the middle of the manual’s range, each valve that is out', () => {
    const b = new Bench({ strokes: 'four', cylinders: 2 })
      .read('compression.lashIn', 0.25e-3, { cylinder: 1 })
      .read('compression.lashIn', 0.17e-3, { cylinder: 2 });
    b.survey.engine = { ...b.survey.engine, manual: { 'compression.lashIn': { value: 0.15e-3, to: 0.2e-3 } } };
    const figures = stepOf(b, 'lash', 'set').figures!;
    expect(figures).toHaveLength(1);
    expect(figures[0]!.label).toMatch(/Cylinder 1, intake: thicker shim, or screw in/);
    expect(figures[0]!.value).toBeCloseTo(0.075e-3, 9);
  });
  it('sends a head that is not flat to be machined', () => {
    const label = (gap: number): string =>
      stepOf(new Bench({ strokes: 'two' }).read('compression.flatness', gap), 'head-gasket', 'flat').figures![0]!.label;
    expect(label(0.04e-3)).toMatch(/Flat enough/);
    expect(label(0.08e-3)).toMatch(/Dressed/);
    expect(label(0.2e-3)).toMatch(/machined/);
  });
  it('counts what is in the tank as without oil until somebody knows', () => {
    const premix = { strokes: 'two', lubrication: 'premix', premixRatio: 50 } as const;
    const b = new Bench(premix).read('fuel.tankHas', 5e-3).read('fuel.freshAdd', 5e-3);
    expect(valueOf(b, 'premix', 'mix', 'Oil')).toBeCloseTo(200e-6, 9);
    const mixed = b.read('fuel.tankOil', 'mixed').read('fuel.tankMix', 50);
    expect(valueOf(mixed, 'premix', 'mix', 'Oil')).toBeLessThan(125e-6);
  });
  it('asks for one step more oil after years, as the check does; an emptied tank counts its fresh fuel only', () => {
    const premix = { strokes: 'two', lubrication: 'premix', premixRatio: 50 } as const;
    const b = new Bench(premix, 'long-stored', { yearsIdle: 4 })
      .read('fuel.tankHas', 8e-3)
      .read('fuel.freshAdd', 10e-3);
    expect(valueOf(b, 'fuel-empty', 'mix', 'Oil')).toBeGreaterThan(200e-6);
    expect(valueOf(b, 'fuel-empty', 'mix', 'Oil')).toBeLessThan(300e-6);
    expect(valueOf(b, 'premix', 'mix', 'Oil')).toBeGreaterThan(400e-6);
    expect(stepOf(b, 'premix', 'mix').figures![0]!.because).toMatch(/one step more oil/);
  });
  it('never turns back: of an engine that is turned by hand only its own way is said', () => {
    for (const b of kinds.map((k) => new Bench(k)))
      for (const p of every.filter((x) => x.fits?.(b.survey.engine) ?? true))
        for (const s of p.steps(contextFor(b)))
          if (s.turns?.from === 'above')
            expect(s.text, `${p.id} ${s.id}`).not.toMatch(/each way|the other way|turned back/);
  });
  it('pours what came out, and says what stayed', () => {
    const b = new Bench({ strokes: 'four', sumpWithFilter: 4e-3 }).read('oil.drained', 3.6e-3).read('oil.bottle', 1e-3);
    expect(valueOf(b, 'engine-oil', 'in', 'Poured first')).toBeCloseTo(3.6e-3, 9);
    expect(valueOf(b, 'engine-oil', 'in', 'Bottles')).toBe(4);
  });
  it('turns only the way the engine turns, and says so where nobody knows it', () => {
    expect(stepOf(new Bench({ strokes: 'two', turning: 'anticlockwise' }), 'pump-kit', 'vanes').turns!.way).toBe(
      'anticlockwise'
    );
    expect(stepOf(new Bench({ strokes: 'two' }), 'pump-kit', 'vanes').turns!.way).toBe('marked');
  });
  it('follows the house: angle instead of torque, suction instead of the plug, a flush by hand', () => {
    const b = new Bench({ strokes: 'four' });
    b.survey.houseRules = { schools: { plugTight: 'angle', oilOut: 'suction', creamFlush: 'thin' } };
    expect(stepOf(b, 'plugs-renew', 'in').text).toMatch(/by angle/);
    expect(
      named('engine-oil')
        .steps(contextFor(b))
        .map((s) => s.id)
    ).not.toContain('plug');
    expect(
      named('creamed-oil')
        .steps(contextFor(b))
        .map((s) => s.id)
    ).toContain('flush');
  });
});
