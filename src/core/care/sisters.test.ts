import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { contextOf, type Context } from '../findings/context.ts';
import { sisters } from './sisters.ts';

const twin = { strokes: 'two', cylinders: 2, starting: 'electric' } as const;
const at = (b: Bench): Context => contextOf(b.survey, new Date('2026-05-04'), 'us');
const gauge = { name: 'shop gauge', adapterVolume: 0, accuracy: 0.02, range: 2.1e6 } as const;
const tested = (psi: number, instrument: object = gauge): Bench => {
  const b = new Bench(twin);
  for (let n = 0; n < 3; n++) b.psi([[1, psi + n - 1], [2, psi - n + 1]], { instrument: instrument as never }); // prettier-ignore
  return b;
};

describe('the sister beside this one', () => {
  it('finds the weak one before any limit is passed, by compression and stream alike', () => {
    const [weak, good] = [tested(112), tested(126)];
    for (const [b, flow] of [
      [weak, 1.0e-5],
      [good, 1.5e-5]
    ] as const)
      // prettier-ignore
      for (let n = 0; n < 3; n++) b.read('cooling.bucket', flow * (1 + 0.01 * n));
    // Alone each is sound.
    for (const b of [weak, good]) expect(b.ids().filter((x) => x.endsWith(':fault'))).toEqual([]);
    good.survey = { ...good.survey, engine: { ...good.survey.engine, identity: { tag: 'Starboard' } } };
    const s = sisters(at(weak), at(good));
    expect(s.rows.map((r) => [r.id, r.weaker])).toEqual([
      ['compression', 'this'],
      ['cooling.bucket', 'this']
    ]);
    expect(s.sentence).toMatch(/^Test is the weaker one: compression/);
    expect(sisters(at(good), at(weak)).sentence).toMatch(/^Test is the weaker one/);
  });
  it('what repeats and gauge leave open is no difference', () => {
    const s = sisters(at(tested(125)), at(tested(126)));
    expect(s.rows[0]!.weaker).toBeUndefined();
    expect(s.sentence).toMatch(/alike in all that was read/);
  });
  it('another gauge, or other conditions, conclude nothing', () => {
    const other = sisters(at(tested(100)), at(tested(126, { ...gauge, name: 'hose gauge', adapterVolume: 8e-6 })));
    expect(other.rows[0]).toMatchObject({ unlike: expect.stringMatching(/instrument/) });
    expect(other.weaker).toEqual({ this: 0, sister: 0 });
  });
  it('what only one was read in is left out, and unknown proves nothing', () => {
    const b = new Bench(twin).read('cooling.bucket', 'unknown' as never);
    expect(sisters(at(b), at(tested(126))).rows).toEqual([]);
    expect(sisters(at(b), at(b)).sentence).toMatch(/^Nothing was read on both yet/);
  });
  it('a hotter head and a slower starter are the weaker one', () => {
    const run = (plateau: number, rpm: number): Bench => {
      const b = new Bench(twin)
        .read('plugs.rpm', rpm)
        .read('plugs.rpm', rpm + 4)
        .read('run.event', 'start');
      for (let n = 0; n < 16; n++)
        b.read('run.temperature', 290 + (plateau - 290) * (1 - Math.exp(-n / 3)), { conditions: { spot: 'head' } });
      return b;
    };
    const s = sisters(at(run(345, 380)), at(run(333, 450)));
    expect(s.rows.map((r) => [r.id, r.weaker])).toEqual([
      ['plugs.rpm', 'this'],
      ['plateau', 'this']
    ]);
  });
});
