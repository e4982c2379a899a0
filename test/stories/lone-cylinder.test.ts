import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { Bench } from '../case.ts';
import { magneto, tester, two } from './engines.ts';

describe('weak at the only cylinder there is', () => {
  const looked = (profile: Profile): Bench =>
    new Bench(profile)
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'weak', { cylinder: 1, ...tester })
      .read('spark.leadLook', 'whole', { cylinder: 1 })
      .read('spark.coilLook', 'whole', { cylinder: 1 })
      .read('spark.stray', 'none', { cylinder: 1 });
  const first = (b: Bench): string => b.assessed().moves.find((m) => m.station === 'spark')!.title;
  const cdi = { ...magneto, ignition: 'cdi' } as const;

  it('what cylinders share is tried before its own parts are changed', () => {
    expect(first(looked(cdi))).toMatch(/^Tester on bright metal/);
    expect(first(looked(cdi).read('spark.groundWire', 'still'))).toMatch(/^Charge coil/);
    const points = looked(magneto).read('spark.pointsLook', 'clean', { cylinder: 1 });
    expect(first(points)).toMatch(/^Tester on bright metal/);
    expect(first(points.read('spark.groundWire', 'still'))).toMatch(/^A known good condenser/);
  });
  it('another ground helps: that is mended', () => {
    const open = looked(cdi).read('spark.groundWire', 'returns').assessed().steps;
    expect(open.filter((s) => s.state === 'open').map((s) => s.id)).toContain('ground');
  });
});

describe('weak at one of several, the others good', () => {
  const weak = (more: Profile = {}): Bench => {
    const b = new Bench({ ...two, ...more }).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3]) b.read('spark.result', cylinder === 1 ? 'weak' : 'good', { cylinder, ...tester });
    return b
      .read('spark.leadLook', 'whole', { cylinder: 1 })
      .read('spark.coilLook', 'whole', { cylinder: 1 })
      .read('spark.stray', 'none', { cylinder: 1 })
      .read('spark.result', 'weak', { cylinder: 1, conditions: { path: 'bolt', light: 'shade' } });
  };
  const next = (b: Bench): string => b.assessed().moves.find((m) => m.station === 'spark')!.title;
  const open = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));

  it('plug, lead, coil, one by one; then what drives it, and nothing that was tried is bought', () => {
    const b = weak();
    // The tester is at the end of the lead: the plug was not in its way.
    expect(next(b)).toMatch(/^Swap its lead/);
    expect(next(b.read('spark.leadSwap', 'stays'))).toMatch(/^Swap its coil/);
    expect(next(b.read('spark.coilSwap', 'stays'))).toMatch(/^Trigger or sensor/);
    expect(open(b)).not.toContain('spark-own');
    expect(b.said('spark.weak.1')).toMatch(/What drives it is left: its trigger, then the pack/);
    expect(next(b.read('spark.triggerTest', 'within'))).toMatch(/^A known good power pack/);
  });
  it('what it moves with is that cylinder’s, and the search is over', () => {
    const b = weak().read('spark.plugSwap', 'stays').read('spark.leadSwap', 'moves');
    expect(b.ids()).toContain('spark.own-lead.1:fault');
    expect(open(b)).toEqual(['lead']);
    expect(
      b
        .assessed()
        .moves.map((m) => m.title)
        .join(' | ')
    ).not.toMatch(/Swap its coil/);
  });
  it('a good one in the place of each, and as weak: once more shows the same', () => {
    const b = weak().read('spark.plugSwap', 'stays').done('spark-own');
    b.read('spark.result', 'weak', { cylinder: 1, ...tester });
    expect(next(b)).toMatch(/^Trigger or sensor/);
    const titles = b.assessed().moves.map((m) => m.title);
    expect(titles.filter((t) => /^Once more: its own/.test(t))).toEqual([]);
    expect(titles.join(' | ')).toMatch(/Stop: done and not cured: its own spark parts/);
  });
  it('coils on their plugs have no lead to swap; points drive a magneto', () => {
    const b = weak({ ignition: 'coil-on-plug' }).read('spark.plugSwap', 'stays');
    expect(
      b
        .assessed()
        .moves.map((m) => m.title)
        .join(' | ')
    ).not.toMatch(/Swap its lead/);
    const m = weak({ ignition: 'points' }).read('spark.plugSwap', 'stays').read('spark.leadSwap', 'stays');
    expect(m.read('spark.coilSwap', 'stays').said('spark.weak.1')).toMatch(/its points, their gap and the condenser/);
  });
});
