import { describe, expect, it } from 'vitest';
import { contextOf } from '../../findings/context.ts';
import { spoken } from '../../findings/fact.ts';
import { crank } from '../../physics/cranking.ts';
import { holeArea } from '../../physics/orifice.ts';
import { splitSeries } from '../../items/check-entry.ts';
import { parseQuickLine } from '../../survey/quick-line.ts';
import { Bench } from '../../../../test/case.ts';
import { compare, compareAll } from './compare.ts';
import { expectedRange } from './expected.ts';
import { fitLeaks, fitOf } from './leak-fit.ts';
import { leakWords } from './leak-words.ts';
import { analyseLeak, leakTask } from './leak.ts';
import { singleRepeat } from './repeat.ts';
import { shapeOf } from './shape.ts';
import { sayRepeat } from './repeat-words.ts';
import { notIdentifiable } from './sheet-words.ts';

const psi = 6894.757;
const triple = { strokes: 'two', cylinders: 3, displacement: 600e-6, ratio: 6.5, starting: 'electric' } as const;
const shop = {
  name: 'shop',
  range: 300 * psi,
  accuracy: 0.02,
  resolution: psi,
  adapterVolume: 0,
  valve: 'plug end' as const
};
const at = (b: Bench) => contextOf(b.survey, new Date('2026-05-03'), 'us');
const repeat = (b: Bench): string => sayRepeat(singleRepeat(at(b), compareAll(at(b))!), 'us').sentence;
const dry = { throttle: 'open', bores: 'dry' } as const;

describe('pull by pull', () => {
  const series = (b: Bench, cylinder: number, list: readonly number[]): Bench =>
    b.read(
      'compression.pulls',
      list.map((p) => p * psi),
      { cylinder, conditions: dry, instrument: shop }
    );
  it('counts as a test by its last needle beside final readings', () => {
    const b = series(new Bench(triple).psi([[1, 118]], { instrument: shop, conditions: dry }), 2, [70, 95, 110, 117]);
    const found = compare(at(b))!;
    expect(found.rows.map((r) => Math.round(r.mean / psi))).toEqual([118, 117]);
    expect(found.rows[1]!.series).toHaveLength(1);
  });
  it('a needle that fell is the gauge, and asks for another one', () => {
    const b = series(series(series(new Bench(triple), 1, [70, 98, 118]), 2, [70, 98, 92]), 3, [71, 97, 118]);
    expect(b.ids()).toContain('compression.falls.2:cannot-tell');
    expect(repeat(b)).toMatch(/cylinder 2 with another gauge/);
  });
  it('reads a line of numbers with one unit for all, and the quick line takes it with slashes', () => {
    expect(splitSeries('48 74 88 psi')).toEqual(['48 psi', '74 psi', '88 psi']);
    expect(splitSeries('3,3 4,9 5,8 bar')).toEqual(['3,3 bar', '4,9 bar', '5,8 bar']);
    const line = parseQuickLine('comp 1 70/95/110 2 98', 2, 'us');
    expect(line.ok && line.entries.map((e) => e.what)).toEqual(['compression.pulls', 'compression.pressure']);
  });
});

describe('the leak beyond the best cylinder', () => {
  const simulated = (holes: readonly number[]): Bench => {
    const b = new Bench(triple);
    const { shape } = shapeOf(at(b))!;
    holes.forEach((hole, k) => {
      const { needle } = crank({
        cylinder: shape,
        rpm: 290,
        pulls: 6,
        heat: 200,
        gauge: 5e-6,
        leak: holeArea(hole * 1e-3)
      });
      for (let n = 0; n < 2; n++)
        b.read(
          'compression.pulls',
          needle.map((p) => Math.round(p / psi) * psi),
          { cylinder: k + 1, conditions: dry, instrument: shop }
        );
    });
    return b;
  };
  it('is given as a hole with an interval that holds the truth', () => {
    const b = simulated([0, 1.3, 0]);
    const task = leakTask(at(b))!;
    const fit = fitOf(task)!;
    const row = fit.rows.find((r) => r.cylinder === 2)!;
    expect(row.low * 1e3).toBeLessThan(1.3);
    expect(row.high * 1e3).toBeGreaterThan(1.3);
    const said = spoken('compression', analyseLeak({ ...at(b), fitLeaks })!, leakWords, 'us')
      .map((f) => f.sentence)
      .join(' ');
    expect(said).toMatch(/Cylinder 2 leaks like a hole of 1\.[2-4] mm more than cylinder [13]/);
    expect(said).toMatch(/A leak common to all would not show/);
  });
  const refused = (b: Bench): string => {
    const task = leakTask(at(b))!;
    return task.ok ? 'made' : notIdentifiable[task.because];
  };
  it('is not identifiable on one cylinder, through an unknown adapter, or with the throttle shut, and says what would help', () => {
    const hose = { ...shop, adapterVolume: 8e-6, valve: 'gauge end' as const };
    expect(
      refused(new Bench({ ...triple, cylinders: 1 }).psi([[1, 80]], { instrument: hose, conditions: dry }))
    ).toMatch(/Repeat without the adapter/);
    expect(
      refused(
        new Bench(triple).psi([
          [1, 118],
          [2, 80]
        ])
      )
    ).toMatch(/dead volume look alike/);
    expect(
      refused(
        new Bench(triple).psi(
          [
            [1, 60],
            [2, 50]
          ],
          { instrument: shop, conditions: { throttle: 'shut' } }
        )
      )
    ).toMatch(/throttle was not recorded as wide open/);
    expect(
      refused(
        new Bench({ cylinders: 2 }).psi(
          [
            [1, 118],
            [2, 80]
          ],
          { instrument: shop, conditions: dry }
        )
      )
    ).toMatch(/strokes and displacement/);
  });
});

describe('leak-down', () => {
  const of = (share: number, more: Parameters<Bench['read']>[2] = {}): Bench =>
    new Bench(triple).read('compression.leakdown', share, { cylinder: 2, ...more });
  it('is judged by the bands of the published tester', () => {
    expect(of(0.06).ids()).toContain('compression.leakdown.2:sound');
    expect(of(0.14).ids()).toContain('compression.leakdown.2:watch');
    expect(of(0.31).ids()).toContain('compression.leakdown.2:fault');
  });
  it('a larger restrictor moves the bands: the same percentage is a worse leak', () => {
    const wide = { name: 'wide', supply: 80 * psi, restrictor: 1.6e-3 };
    expect(of(0.06, { instrument: wide }).ids()).toContain('compression.leakdown.2:fault');
  });
  it('where the air comes out names the part, by the kind of engine', () => {
    const two = of(0.3).read('compression.escape', ['intake'], { cylinder: 2 });
    expect(two.said('compression.leakdown')).toMatch(/rings and crankcase, through the reed/);
    const four = new Bench({ ...triple, strokes: 'four' }).read('compression.leakdown', 0.3, { cylinder: 1 });
    expect(four.read('compression.escape', ['exhaust'], { cylinder: 1 }).said('compression.leakdown')).toMatch(
      /the exhaust valve/
    );
  });
  it('a valve without lash does not close, whatever the manual says', () => {
    const b = new Bench({ strokes: 'four', cylinders: 1 }).read('compression.lashEx', 0, { cylinder: 1 });
    expect(b.ids()).toContain('compression.lash-exhaust.1:fault');
    b.survey = {
      ...b.survey,
      engine: { ...b.survey.engine, manual: { 'compression.lashIn': { value: 0.13e-3, to: 0.17e-3 } } }
    };
    expect(b.read('compression.lashIn', 0.25e-3, { cylinder: 1 }).said('compression.lash-intake')).toMatch(
      /wide against/
    );
  });
});

describe('which single repeat settles most', () => {
  const read = (list: [number, number][], more: Parameters<Bench['psi']>[1] = { instrument: shop, conditions: dry }) =>
    new Bench(triple).psi(list, more);
  it('what makes readings wrong comes first', () => {
    expect(
      repeat(
        read(
          [
            [1, 60],
            [2, 62]
          ],
          { instrument: shop, conditions: { throttle: 'shut' } }
        )
      )
    ).toMatch(/throttle wide open/);
    expect(
      repeat(
        read(
          [
            [1, 305],
            [2, 290],
            [3, 300]
          ],
          { instrument: shop, conditions: dry }
        )
      )
    ).toMatch(/cylinder 1 with a gauge of a larger range/);
    const hose = { ...shop, adapterVolume: 9e-6, valve: 'gauge end' as const };
    expect(
      repeat(
        read(
          [
            [1, 118],
            [2, 84],
            [3, 117]
          ],
          { instrument: hose, conditions: dry }
        )
      )
    ).toMatch(/cylinder 2 without the adapter/);
  });
  it('then what is missing, then the low one; read low twice it is low, whoever is the best', () => {
    expect(
      repeat(
        read([
          [1, 118],
          [2, 84]
        ])
      )
    ).toBe('Read cylinder 3.');
    expect(
      repeat(
        read([
          [1, 118],
          [2, 84],
          [3, 117]
        ])
      )
    ).toBe('Repeat cylinder 2.');
    expect(
      repeat(
        read([
          [1, 118],
          [2, 84],
          [3, 117],
          [2, 85]
        ])
      )
    ).toBe('Wet test on cylinder 2, with a measured dose.');
  });
  it('beyond doubt it is the wet test, after that leak-down, and alike needs nothing', () => {
    const low = read([
      [1, 118],
      [2, 70],
      [3, 117],
      [2, 71],
      [1, 118]
    ]);
    expect(repeat(low)).toMatch(/Wet test on cylinder 2/);
    low.psi([[2, 78]], { instrument: shop, conditions: { throttle: 'open', bores: 'oiled', dose: 2e-6 } });
    expect(repeat(low)).toMatch(/Leak-down on cylinder 2/);
    expect(
      repeat(
        read([
          [1, 118],
          [2, 117],
          [3, 118]
        ])
      )
    ).toBe('No repeat is needed.');
  });
  it('in between it is the cylinder whose repeat takes most doubt away', () => {
    const b = read([
      [1, 120],
      [2, 104],
      [3, 118],
      [2, 103],
      [1, 121]
    ]);
    expect(repeat(b)).toMatch(/Repeat cylinder [123] once more|Wet test/);
  });
});

describe('bad input', () => {
  it('an adapter larger than the chamber is said', () => {
    const hose = { ...shop, adapterVolume: 40e-6, valve: 'gauge end' as const };
    const b = new Bench(triple).psi(
      [
        [1, 50],
        [2, 52],
        [3, 51]
      ],
      { instrument: hose, conditions: dry }
    );
    expect(b.said('compression.adapter-size')).toMatch(/larger than the chamber itself/);
  });
  it('twelve cylinders are judged and fitted without a stumble', () => {
    const b = new Bench({ ...triple, cylinders: 12, displacement: 3.6e-3, layout: 'v' });
    b.psi(
      Array.from({ length: 12 }, (_, k) => [k + 1, 110 + (k % 5)] as const),
      { instrument: shop, conditions: dry }
    );
    expect(JSON.stringify(b.judged().findings)).not.toMatch(/NaN|undefined|Infinity/);
    expect(fitOf(leakTask(at(b))!)!.rows).toHaveLength(11);
  });
});

describe('expected range', () => {
  it('needs strokes and displacement, falls with altitude, and holds an ordinary reading', () => {
    expect(expectedRange(at(new Bench({ cylinders: 1 })))).toBeUndefined();
    const low = expectedRange(at(new Bench(triple)))!;
    const high = expectedRange(at(new Bench(triple).read('safe.altitude', 2000)))!;
    expect(high.high).toBeLessThan(low.high);
    expect(low.low).toBeLessThan(118 * psi);
    expect(low.high).toBeGreaterThan(118 * psi);
  });
});
