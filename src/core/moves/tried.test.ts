import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';

const twin = { strokes: 'two', cylinders: 2, ignition: 'cdi', displacement: 430e-6 } as const;
const titles = (b: Bench): string[] =>
  b
    .assessed()
    .moves.filter((m) => !m.waits)
    .map((m) => m.title);

describe('a look that was made again and again is a question for somebody else', () => {
  /** Turned by hand so many times, free without bumps, plugs in. */
  const turned = (times: number): Bench => {
    const b = new Bench(twin).read('turn.plugs', 'in');
    for (let k = 0; k < times; k++) {
      b.wait(0.1);
      b.read('turn.result', 'free').read('turn.bumps', 'unknown');
    }
    return b;
  };
  it('is asked for while it may still be answered, and not for ever', () => {
    expect(titles(turned(1)).join()).toMatch(/Turn it by hand again, plugs in/);
    expect(titles(turned(5)).join()).toMatch(/Stop: looked at again and again, and still open: turn it by hand again/);
    expect(titles(turned(5))).not.toContain('Turn it by hand again, plugs in, and count the bumps');
  });
  it('corrections of one look are one look', () => {
    const b = new Bench(twin).read('turn.plugs', 'in');
    for (let k = 0; k < 5; k++)
      b.read('turn.result', 'free', { at: new Date(Date.parse('2026-05-02T08:03:00Z') + k * 5000).toISOString() });
    expect(titles(b).join()).not.toMatch(/looked at again and again/);
  });
});

it('air at the edge of the head is the gasket to the outside, not the one between neighbours', () => {
  const b = new Bench(twin)
    .psi([
      [1, 124],
      [2, 92]
    ])
    .psi([
      [2, 93],
      [1, 123]
    ])
    .read('compression.leakdown', 0.06, { cylinder: 1 })
    .read('compression.leakdown', 0.42, { cylinder: 2 })
    .read('compression.escape', ['edge'], { cylinder: 2 });
  const chance = (id: string): number => b.assessed().advice.suspects.find((s) => s.id === id)?.probability ?? 0;
  expect(chance('gasket-outer.2')).toBeGreaterThan(0.6);
  expect(chance('head-gasket.1-2')).toBeLessThan(0.2);
});

it('a look of the same check that nobody has made yet is still a look', () => {
  const b = new Bench({ ...twin, shift: 'shift' }).read('turn.plugs', 'out');
  for (let k = 0; k < 9; k++) {
    b.wait(0.1);
    b.read('turn.result', 'free');
  }
  expect(titles(b)).toContain('Shift through by hand');
});
