import { describe, expect, it } from 'vitest';
import { judged } from '../../src/core/assess.ts';
import { weighing } from '../../src/core/diagnosis/weighing.ts';
import { PSI } from '../../src/core/units/factors.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';
import type { ItemId } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { worked } from '../worked.ts';

/** One step of the instrument that a figure is read from, SI. */
const step: Readonly<Partial<Record<ItemId, number>>> = {
  'compression.pressure': PSI,
  'compression.leakdown': 0.02,
  'cooling.head': 1,
  'run.temperature': 1,
  'fuel.vacuumSpeed': 0.25 * 3386.389,
  'gear.drained': 10e-6,
  'cooling.set': 2,
  'oil.dipAt': 1e-3,
  'spark.gap': 0.5e-3
};

const chances = (s: SurveyFile): Map<string, number> => {
  const j = judged(s, new Date('2026-05-20T12:00:00.000Z'), 'us');
  const w = weighing(j.context, j.findings);
  return new Map(w.model.suspects.map((x, k) => [x.id, w.belief.posterior[k]!]));
};

describe('law 4: one step of an instrument moves no chance by more than a quarter', () => {
  it.each(worked.filter(([, s]) => s.readings.some((r) => step[r.what])))('%s', (_, survey) => {
    const before = chances(survey);
    survey.readings.forEach((r, k) => {
      const by = step[r.what];
      if (!by || typeof r.value !== 'number') return;
      for (const sign of [1, -1]) {
        const value = Math.max(0, r.value + sign * by);
        const after = chances({ ...survey, readings: survey.readings.map((x, i) => (i === k ? { ...x, value } : x)) });
        for (const [id, p] of after) {
          const moved = Math.abs(p - before.get(id)!);
          if (moved > 0.25)
            expect([r.what, r.cylinder, sign, id, before.get(id)!.toFixed(2), p.toFixed(2)]).toEqual([]);
        }
      }
    });
  });
});

describe('law 4, swept over the whole range of each figure', () => {
  const twin = {
    strokes: 'two',
    cylinders: 2,
    displacement: 0.4e-3,
    ignition: 'cdi',
    starting: 'electric',
    supply: 'bulb',
    fuelSystem: 'carburettor',
    indicator: 'fitted',
    thermostat: 'fitted',
    gearCapacity: 0.4e-3
  } as const;
  const four = { ...twin, strokes: 'four', ignition: 'digital', sumpWithFilter: 2e-3 } as const;
  const gauge = { instrument: { name: 'g', adapterVolume: 0, valve: 'plug end' as const, resolution: PSI } };
  const head = { conditions: { throttle: 'open' as const, bores: 'dry' as const } };
  type Sweep = readonly [name: string, from: number, to: number, step: number, at: (x: number) => Bench];
  const inHg = 3386.389;
  const sweeps: readonly Sweep[] = [
    [
      'pressure of one cylinder, read twice',
      50,
      120,
      1,
      (x) => {
        const b = new Bench(twin);
        for (let k = 0; k < 2; k++) b.psi([[1, 118], [2, x]], { ...gauge, ...head }); // prettier-ignore
        return b;
      }
    ],
    [
      'pressure of the only cylinder',
      40,
      150,
      1,
      (x) =>
        new Bench({ ...twin, cylinders: 1 }).psi([[1, x]], { ...gauge, ...head }).psi([[1, x]], { ...gauge, ...head })
    ],
    ['leak-down', 0.02, 0.9, 0.02, (x) => new Bench(twin).read('compression.leakdown', x, { cylinder: 2 })],
    [
      'leak-down of a four-stroke',
      0.02,
      0.9,
      0.02,
      (x) => new Bench(four).read('compression.leakdown', x, { cylinder: 2 })
    ],
    ['head', 300, 390, 1, (x) => new Bench(twin).read('cooling.head', x)],
    ['head, weak stream', 300, 390, 1, (x) => new Bench(twin).read('cooling.stream', 'weak').read('cooling.head', x)],
    [
      'line vacuum',
      0,
      8 * inHg,
      0.25 * inHg,
      (x) => new Bench(twin).read('fuel.dies', 'minutes').read('fuel.vacuumSpeed', x)
    ],
    ['drained gear oil', 0.05e-3, 0.6e-3, 0.01e-3, (x) => new Bench(twin).read('gear.drained', x)],
    ['vane set', 0, 60, 2, (x) => new Bench(twin).read('cooling.set', x)],
    [
      'thermostat opens at',
      323,
      353,
      1,
      (x) => new Bench(twin).read('cooling.thermostatStamp', 333).read('cooling.thermostatOpens', x)
    ],
    ['dipstick', -0.01, 0.04, 1e-3, (x) => new Bench(four).read('oil.dipAt', x).read('oil.dipAt', x)],
    ['impeller’s age', 0, 8, 0.5, (x) => new Bench(twin).read('cooling.impellerAge', x)],
    ['volts while cranking', 8, 13, 0.1, (x) => new Bench(twin).read('plugs.volts', x)],
    [
      'running volts at speed',
      11.5,
      16,
      0.1,
      (x) => new Bench(twin).read('run.event', 'start').read('run.rpm', 3000).read('run.volts', x)
    ],
    [
      'open gap',
      0,
      12e-3,
      0.5e-3,
      (x) => new Bench(twin).read('spark.result', 'good', { cylinder: 1 }).read('spark.gap', x, { cylinder: 1 })
    ],
    [
      'laboratory’s viscosity',
      5,
      12,
      0.1,
      (x) => new Bench(four).read('oil.viscosityFresh', 10.5).read('oil.viscosity', x)
    ],
    [
      'wet reading beside a low one',
      70,
      120,
      1,
      (x) => {
        const b = new Bench(twin);
        for (let k = 0; k < 2; k++) b.psi([[1, 118], [2, 75]], { ...gauge, ...head }); // prettier-ignore
        return b.psi([[2, x]], { ...gauge, conditions: { throttle: 'open', bores: 'oiled', dose: 3e-6 } });
      }
    ],
    [
      'coil’s resistance against the manual',
      0.2,
      0.8,
      0.01,
      (x) => {
        const b = new Bench(twin);
        b.survey = {
          ...b.survey,
          engine: { ...b.survey.engine, manual: { 'spark.primary': { value: 0.35, to: 0.55, page: '3' } } }
        };
        return b
          .read('spark.result', 'weak', { cylinder: 1 })
          .read('spark.primary', x, { cylinder: 1, conditions: { temperature: 293 } });
      }
    ],
    [
      'piston depth',
      60e-3,
      62e-3,
      0.05e-3,
      (x) => {
        const b = new Bench(twin, 'drowned', { submerged: 'yes', runningWhenSunk: 'yes' });
        for (let k = 0; k < 3; k++) b.read('turn.depth', 60e-3, { cylinder: 1 }).read('turn.depth', x, { cylinder: 2 });
        return b;
      }
    ]
  ];
  it.each(sweeps)('%s', (_, from, to, by, at) => {
    let before: Map<string, number> | undefined;
    for (let x = from; x <= to + 1e-12; x += by) {
      const now = chances(at(x).survey);
      for (const [id, p] of now) {
        const was = before?.get(id) ?? p;
        if (Math.abs(p - was) > 0.25) expect.soft([x, id, was.toFixed(2), p.toFixed(2)]).toEqual([]);
      }
      before = now;
    }
  });
});
