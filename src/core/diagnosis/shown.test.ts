import { describe, expect, it } from 'vitest';
import { assess } from '../assess.ts';
import { worked } from '../../../test/worked.ts';
import { Bench } from '../../../test/case.ts';
import { four } from '../../../test/stories/engines.ts';
import { deficitLikelihood } from './evidence/compression.ts';

const PSI = 6894.757;

describe('the suspects that are shown', () => {
  it.each(worked)('%s: none that next to nothing points to, and the cured last', (_, survey) => {
    const { suspects } = assess(survey, new Date('2026-05-20T12:00:00.000Z'), 'us').advice;
    for (const s of suspects) {
      expect(s.probability, s.label).toBeGreaterThanOrEqual(s.raised ? 0.03 : 0.12);
      expect(s.probability, s.label).toBeLessThanOrEqual(1);
      // A wrong measurement that nothing points to is not supposed.
      if (!s.raised) expect(s.artefact, s.label).toBe(false);
    }
    const firstMended = suspects.findIndex((s) => s.mended);
    if (firstMended >= 0) expect(suspects.slice(firstMended).every((s) => s.mended)).toBe(true);
    const open = suspects.filter((s) => !s.mended);
    const firstSupposed = open.findIndex((s) => !s.raised);
    if (firstSupposed >= 0) expect(open.slice(firstSupposed).some((s) => s.raised)).toBe(false);
  });
});

describe('how much a low needle says', () => {
  const odds = (deficit: number, u: number): number => {
    const [low, sound] = deficitLikelihood(deficit, u);
    return Math.log(low / sound);
  };
  it('more the lower it is, and less the less sure the gauge is', () => {
    const by = [0.1, 0.2, 0.3, 0.4].map((d) => odds(d, 0.03));
    expect(by).toEqual(by.toSorted((a, b) => a - b));
    expect(odds(0.3, 0.02)).toBeGreaterThan(odds(0.3, 0.15));
    expect(odds(0, 0.03)).toBeLessThan(0);
  });
  it('a coarse gauge makes the same difference weaker evidence', () => {
    const rings = (psi: number): number => {
      const instrument = { name: 'gauge', adapterVolume: 0, range: 300 * PSI, resolution: psi * PSI };
      const b = new Bench(four);
      for (let k = 0; k < 2; k++)
        b.psi(
          ([1, 2, 3, 4] as const).map((n) => [n, n === 2 ? 158 : 180]),
          { instrument }
        );
      return Math.max(
        ...b.assessed().advice.suspects.map((s) => (/rings|valve leaking/.test(s.label) ? s.probability : 0))
      );
    };
    expect(rings(1)).toBeGreaterThan(rings(25));
  });
});
