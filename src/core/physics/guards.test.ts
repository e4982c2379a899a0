import { describe, expect, it } from 'vitest';
import { coolingFlow, treatedAfter } from './flows.ts';
import { heating, thinned } from './heating.ts';
import { changesTo, leftAfter, residueShare } from './residue.ts';
import { rootOf } from './root.ts';
import { carbonMonoxide, minutesUntil } from './shed-air.ts';
import { blendViscosity, dilutedShare, drainMinutes, massFraction, viscosityAt, usualGearOil } from './viscosity.ts';

/** Each law with what it takes at the very edge of its range, and what lies outside it. */
const laws: Readonly<
  Record<string, { readonly takes: readonly (() => number)[]; readonly refuses: readonly (() => number)[] }>
> = {
  'residue share': {
    takes: [() => residueShare(0, 1), () => residueShare(1, 1)],
    refuses: [() => residueShare(1, 0), () => residueShare(-0.1, 1), () => residueShare(NaN, 1)]
  },
  'left after changes': {
    takes: [() => leftAfter(0, 0), () => leftAfter(3, 0), () => leftAfter(2, 0.999)],
    refuses: [() => leftAfter(1, 1), () => leftAfter(1, -0.1), () => leftAfter(-1, 0.1), () => leftAfter(NaN, 0.1)]
  },
  'changes to a target': {
    takes: [() => changesTo(0.999, 0.15), () => changesTo(0.01, 0)],
    refuses: [() => changesTo(0, 0.1), () => changesTo(1, 0.1), () => changesTo(0.1, 1), () => changesTo(0.1, -0.1)]
  },
  'cooling water': {
    takes: [() => coolingFlow(0, 1)],
    refuses: [() => coolingFlow(-1, 1), () => coolingFlow(1, 0)]
  },
  'treated fuel': {
    takes: [() => treatedAfter(0, 1)],
    refuses: [() => treatedAfter(-1, 1), () => treatedAfter(1, 0)]
  },
  'carbon monoxide': {
    takes: [() => carbonMonoxide(0, 1, 1, 1), () => carbonMonoxide(1, 1, 0, 1), () => carbonMonoxide(1, 1, 1, 0)],
    refuses: [
      () => carbonMonoxide(1, 0, 1, 1),
      () => carbonMonoxide(-1, 1, 1, 1),
      () => carbonMonoxide(1, 1, -1, 1),
      () => carbonMonoxide(1, 1, 1, -1)
    ]
  },
  viscosity: {
    takes: [() => viscosityAt(151, ...usualGearOil)],
    refuses: [
      () => viscosityAt(150, ...usualGearOil),
      () => viscosityAt(300, { viscosity: 1, temperature: 313 }, usualGearOil[1]),
      () => viscosityAt(300, usualGearOil[0], { viscosity: 1, temperature: 373 }),
      () => viscosityAt(300, usualGearOil[0], { viscosity: 20, temperature: usualGearOil[0].temperature })
    ]
  },
  'a blend': {
    takes: [() => blendViscosity([{ mass: 1, viscosity: 0.21 }]), () => blendViscosity([{ mass: 0, viscosity: 5 }, { mass: 1, viscosity: 9 }])], // prettier-ignore
    refuses: [
      () => blendViscosity([{ mass: 0.5, viscosity: 5 }, { mass: 0.4, viscosity: 9 }]), // prettier-ignore
      () => blendViscosity([{ mass: -0.5, viscosity: 5 }, { mass: 1.5, viscosity: 9 }]), // prettier-ignore
      () => blendViscosity([{ mass: 0.5, viscosity: 0.2 }, { mass: 0.5, viscosity: 9 }]), // prettier-ignore
      () => dilutedShare(0.3, 10, 0.3, 0.74, 0.86)
    ]
  }
};

describe('laws take their whole range and refuse what lies outside it', () => {
  for (const [name, { takes, refuses }] of Object.entries(laws))
    it(name, () => {
      for (const f of takes) expect(Number.isFinite(f()), String(f)).toBe(true);
      for (const f of refuses) expect(f, String(f)).toThrow(RangeError);
    });
});

describe('values at the edges', () => {
  it('residue: nothing drained leaves all, all drained nothing; a target is reached exactly, not once more', () => {
    expect([residueShare(0, 2), residueShare(2, 2), residueShare(3, 2)]).toEqual([1, 0, 0]);
    expect(leftAfter(2, 0.1)).toBeCloseTo(0.01, 12);
    expect([changesTo(0.01, 0.1), changesTo(0.0099, 0.1), changesTo(0.5, 0)]).toEqual([2, 3, 1]);
  });
  it('carbon monoxide: without air changes it grows with time alone, and the minutes are its inverse', () => {
    expect(carbonMonoxide(60, 100, 0, 30)).toBeCloseTo((60_000 / 100 / 1.145) * 0.5, 9);
    for (const changes of [0, 0.5, 2]) {
      const minutes = minutesUntil(200, 300, 60, changes)!;
      expect(carbonMonoxide(300, 60, changes, minutes)).toBeCloseTo(200, 6);
    }
    // Where the steady state is the very ceiling it is never reached.
    expect(minutesUntil(1000 / 1.145, 100, 100, 1)).toBeUndefined();
    expect(minutesUntil(999 / 1.145, 100, 100, 1)).toBeGreaterThan(0);
  });
  it('oil: draining twice as long where it is twice as thick; a share by volume is a mass fraction by densities', () => {
    expect(drainMinutes(293.15, 10)).toBeCloseTo(10, 9);
    expect(drainMinutes(278.15, 10) / 10).toBeCloseTo(
      viscosityAt(278.15, ...usualGearOil) / viscosityAt(293.15, ...usualGearOil),
      9
    );
    expect(massFraction(0.5, 0.8, 0.8)).toBeCloseTo(0.5, 12);
    expect(massFraction(0.1, 0.74, 0.86)).toBeCloseTo(0.074 / (0.074 + 0.774), 12);
    expect(dilutedShare(10, 10, 0.33, 0.74, 0.86)).toBe(0);
    const share = dilutedShare(7, 10, 0.33, 0.74, 0.86);
    const mass = massFraction(share, 0.74, 0.86);
    expect(blendViscosity([{ mass, viscosity: 0.33 }, { mass: 1 - mass, viscosity: 10 }])).toBeCloseTo(7, 6); // prettier-ignore
  });
});

describe('a root between two ends', () => {
  const calls = (f: (x: number) => number): { f: (x: number) => number; n: () => number } => {
    let n = 0;
    return { f: (x) => (n++, f(x)), n: () => n };
  };
  it('is found for curves of every bend, within the tolerance and few steps', () => {
    for (const [f, a, b, root] of [
      [(x: number) => x * x - 2, 0, 2, Math.SQRT2],
      [(x: number) => Math.exp(x) - 5, -3, 9, Math.log(5)],
      [(x: number) => 1 - x ** 9, 0, 1.5, 1],
      [(x: number) => Math.cos(x) - x, 0, 3, 0.7390851332151607],
      [(x: number) => 3 - x, -10, 10, 3]
    ] as const) {
      const counted = calls(f);
      const found = rootOf(counted.f, a, b, 1e-10);
      expect(found).toBeCloseTo(root, 8);
      expect(counted.n()).toBeLessThan(30);
    }
  });
  it('an end that is a root is given back, either end; ends on one side give the nearer', () => {
    expect(rootOf((x) => x, 0, 5, 1e-9)).toBe(0);
    expect(rootOf((x) => x - 5, 0, 5, 1e-9)).toBe(5);
    expect(rootOf((x) => x + 1, 0, 5, 1e-9)).toBe(0);
    expect(rootOf((x) => x - 9, 0, 5, 1e-9)).toBe(5);
  });
  it('a bracket under the width ends it, where the curve never comes within the tolerance', () => {
    const step = calls((x) => (x < 1 ? -1 : 1));
    const found = rootOf(step.f, 0, 3, 1e-9, 0.01);
    expect(Math.abs(found - 1)).toBeLessThan(0.02);
    expect(step.n()).toBeLessThan(40);
  });
});

describe('level or still climbing', () => {
  const run = (f: (t: number) => number, to = 900, every = 20) =>
    Array.from({ length: to / every + 1 }, (_, k) => ({ seconds: k * every, temperature: f(k * every) }));
  const curve = (t: number): number => 340 - 50 * Math.exp(-t / 120);
  const noise = (k: number): number => [0.3, -0.4, 0.1, 0.5, -0.5, -0.1, 0.2, -0.3][k % 8]!;
  it('a warmed engine is steady, at its mean; one that climbs a kelvin and a half a minute is not', () => {
    const { steady, opened, from } = heating(run((t) => curve(t) + noise(t / 20)));
    expect(steady!.at).toBeCloseTo(340, 0);
    expect(steady!.error).toBeGreaterThan(0.02);
    expect(steady!.error).toBeLessThan(0.3);
    expect([opened, from]).toEqual([undefined, 0]);
    expect(heating(run((t) => 300 + (1.5 * t) / 60 + noise(t / 20))).steady).toBeUndefined();
  });
  it('nothing is steady before two minutes, nor by four readings', () => {
    expect(heating(run(() => 340, 100)).steady).toBeUndefined();
    expect(heating(run(() => 340, 180, 60)).steady).toBeUndefined();
    expect(heating(run(() => 340, 180, 20)).steady!.at).toBeCloseTo(340, 9);
  });
  it('a small slope drowned in noise is level, the same slope without noise under a fifth of a kelvin a minute as well', () => {
    expect(heating(run((t) => 340 + (0.15 * t) / 60)).steady).toBeDefined();
    expect(heating(run((t) => 340 + (0.6 * t) / 60)).steady).toBeUndefined();
    expect(heating(run((t) => 340 + (0.6 * t) / 60 + 4 * noise(t / 20))).steady).toBeDefined();
  });
  it('a thermostat that opens begins another curve, and only that one counts', () => {
    const opens = run((t) => (t < 400 ? 350 - 60 * Math.exp(-t / 150) : 330 + 12 * Math.exp(-(t - 400) / 60)));
    const h = heating(opens);
    expect(Math.abs(h.opened! - 400)).toBeLessThanOrEqual(60);
    expect(h.from).toBe(h.opened);
    expect(h.steady!.at).toBeCloseTo(330, 0);
  });
  it('thinning keeps few rows as they are and averages many, none lost', () => {
    const few = run((t) => t, 100);
    expect(thinned(few, 10)).toEqual(few);
    const many = thinned(
      run((t) => t, 900, 1),
      100
    );
    expect(many.length).toBeLessThanOrEqual(100);
    expect(many[0]).toEqual({ seconds: 4.5, temperature: 4.5 });
    expect(many.at(-1)!.seconds).toBe(900);
  });
});
