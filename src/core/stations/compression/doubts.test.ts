import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import { PSI } from '../../units/factors.ts';
import { compare, compareAll, DOUBT } from './compare.ts';
import { falls } from './falls.ts';
import { singleRepeat } from './repeat.ts';
import { sayRepeat } from './repeat-words.ts';

const dry = { throttle: 'open', bores: 'dry', engine: 'cold' } as const;
const gauge = { name: 'coarse gauge', resolution: 5 * PSI, valve: 'plug end', adapterVolume: 0 } as const;
const pulls = (b: Bench, cylinder: number, list: number[]): Bench =>
  b.read(
    'compression.pulls',
    list.map((p) => p * PSI),
    { cylinder, conditions: dry, instrument: gauge }
  );
const repeat = (b: Bench): string => {
  const { context } = b.judged();
  return sayRepeat(singleRepeat(context, compareAll(context)!), 'us').sentence;
};

describe('a needle that fell', () => {
  it('fell by more than the step of its own gauge', () => {
    expect(falls([60 * PSI, 90 * PSI, 86 * PSI], 5 * PSI)).toBe(false);
    expect(falls([60 * PSI, 90 * PSI, 80 * PSI], 5 * PSI)).toBe(true);
  });
  it('by less than that asks for no other gauge, whichever series of the cylinder it was', () => {
    const b = new Bench({ strokes: 'two', cylinders: 2 });
    for (const cylinder of [1, 2]) pulls(pulls(b, cylinder, [60, 95, 105]), cylinder, [60, 105, 102]);
    expect(repeat(b)).not.toMatch(/another gauge/);
    expect(repeat(pulls(b, 1, [60, 105, 90]))).toMatch(/cylinder 1 with another gauge/);
  });
});

describe('a low cylinder', () => {
  const low = (more: object, times = 1): string => {
    const b = new Bench({ strokes: 'two', cylinders: 3 });
    for (let k = 0; k < times; k++)
      for (const [cylinder, p] of [
        [1, 118],
        [2, 74],
        [3, 120]
      ] as const)
        b.read('compression.pressure', p * PSI, { cylinder, conditions: dry, instrument: gauge, ...more });
    return b
      .judged()
      .findings.filter((f) => f.id === 'compression.low.2')
      .map((f) => `${f.condition}: ${f.sentence}`)
      .join();
  };
  it('is a fault when it repeats without excuse, and watched while something excuses it', () => {
    expect(low({}, 2)).toMatch(/^fault: .*It repeats: it is low/);
    expect(low({}, 1)).toMatch(/^watch: .*Repeat it before believing it/);
    expect(low({ conditions: { ...dry, throttle: 'unknown' } }, 2)).toMatch(/^watch: .*throttle wide open/);
    expect(low({ instrument: { ...gauge, valve: 'gauge end', adapterVolume: 5e-6 } }, 2)).toMatch(
      /^watch: .*without the adapter/
    );
  });
  it('one probability has one threshold: sound is said under it, and no repeat is asked for then', () => {
    for (let p = 96; p <= 118; p++) {
      const b = new Bench({ strokes: 'two', cylinders: 2 });
      for (let k = 0; k < 2; k++)
        for (const [cylinder, value] of [
          [1, 118],
          [2, p]
        ] as const)
          b.read('compression.pressure', value * PSI, {
            cylinder,
            conditions: dry,
            instrument: { ...gauge, resolution: PSI }
          });
      const found = compare(b.judged().context)!;
      const sound = b.ids().includes('compression.alike:sound');
      expect([p, sound]).toEqual([p, found.overLimit! < DOUBT]);
      expect([p, repeat(b) === 'No repeat is needed.']).toEqual([p, sound]);
    }
  });
});

describe('fallen through the order of the test', () => {
  const falling = (): Bench =>
    new Bench({ strokes: 'four', cylinders: 4, ignition: 'cdi' }).psi([
      [1, 180],
      [2, 172],
      [3, 160],
      [4, 150]
    ]);
  it('alike in the reverse order, the first test is explained', () => {
    const b = falling();
    expect(b.ids()).toContain('compression.order:cannot-tell');
    b.psi([
      [4, 178],
      [3, 176],
      [2, 174],
      [1, 172]
    ]);
    expect(b.ids().filter((id) => /^compression\.(order|scatter|low|unlike)/.test(id))).toEqual([]);
    expect(b.ids()).toContain('compression.alike:sound');
  });
  it('made again in the same order it explains nothing', () => {
    const b = falling().psi([
      [1, 178],
      [2, 176],
      [3, 174],
      [4, 172]
    ]);
    expect(b.ids().join()).toMatch(/compression\.(scatter|spread|order)[^,]*:cannot-tell/);
  });
  it('low in the reverse order as well, it is low', () => {
    const b = falling().psi([
      [4, 151],
      [3, 176],
      [2, 174],
      [1, 178]
    ]);
    expect(b.ids().join()).toMatch(/compression\.(low|spread)/);
  });
});
