import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { Bench } from '../case.ts';
import { magneto, tester } from './engines.ts';

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
