import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { ranWell } from './all-good.ts';
import { four, two } from './engines.ts';

/** Two answers that are not good on an engine that is good otherwise: the second takes nothing back that the first forbade. */
const jobs = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
const gear = (b: Bench): string[] => b.ids().filter((f) => f.startsWith('gear.'));

describe('water on a plug, and something else seen in its hole', () => {
  it.each(['rust', 'debris', 'scored'] as const)('%s does not say that no water stands in the cylinder', (seen) => {
    for (const seenFirst of [true, false]) {
      const b = ranWell(two);
      if (seenFirst) b.read('plugs.hole', seen, { cylinder: 1 });
      b.read('plugs.read', ['water'], { cylinder: 1 });
      if (!seenFirst) b.read('plugs.hole', seen, { cylinder: 1 });
      expect(b.holds()).toContain('liquid');
    }
  });
  it('a hole seen clean, or turning it until no more comes, lifts it', () => {
    const wet = (): Bench => ranWell(two).read('plugs.read', ['water'], { cylinder: 1 });
    expect(wet().read('plugs.hole', 'clean', { cylinder: 1 }).holds()).not.toContain('liquid');
    const rusty = wet().read('plugs.hole', 'rust', { cylinder: 1 });
    expect(rusty.read('turn.water', 'none').holds()).not.toContain('liquid');
  });
});

describe('bubbles at a case whose stages held before', () => {
  const bubbling = (): Bench => ranWell(two).wait(1).read('gear.caseBubbles', ['housing']);
  it('are no held test: the case holds nothing that was said of it', () => {
    expect(
      ranWell(two)
        .assessed()
        .findings.map((f) => f.id)
    ).toContain('gear.test');
    expect(gear(bubbling())).toContain('gear.bubbles:fault');
    expect(gear(bubbling())).not.toContain('gear.test:sound');
    expect(bubbling().holds()).toContain('gear-case');
  });
  it('with water in the oil, no refill is called the end of it', () => {
    const b = bubbling().read('gear.first', 'water');
    expect(gear(b)).toContain('gear.water:fault');
    expect(b.said('gear.water')).not.toMatch(/holds its test/);
    expect(jobs(b)).toContain('case-test');
  });
  it('every stage read again, and held, after them is one', () => {
    const b = bubbling();
    for (const stage of ['low', 'high', 'vacuum'] as const) {
      const p = stage === 'low' ? 30e3 : stage === 'high' ? 90e3 : -30e3;
      const at = { conditions: { stage } };
      b.read('gear.casePressure', p, at).read('gear.caseTurned', 'yes', at).wait(0.5).read('gear.casePressure', p, at);
    }
    b.read('gear.caseOpen', 'yes');
    expect(gear(b)).toContain('gear.test:sound');
    expect(b.holds()).not.toContain('gear-case');
  });
});

describe('a lamp that came while the head was not hot', () => {
  const lamp = (profile: typeof two | typeof four): Bench =>
    ranWell(profile).read('run.lamp', 'came').read('run.second', 'normal');
  it('on a two-stroke is no oil pressure: there is none to measure', () => {
    expect(jobs(lamp(two))).not.toContain('oil-pressure');
    expect(
      lamp(two)
        .assessed()
        .moves.map((m) => m.id)
    ).toContain('job:heat-sender');
  });
  it('on a four-stroke is the pressure first', () => {
    const ids = lamp(four)
      .assessed()
      .moves.flatMap((m) => (m.job === 'oil-pressure' || m.job === 'heat-sender' ? [m.job] : []));
    expect(ids[0]).toBe('oil-pressure');
  });
});

describe('a low cylinder whose valve has no lash', () => {
  const low = (): Bench =>
    new Bench(four, 'long-stored', { yearsIdle: 3 })
      .read('turn.result', 'free')
      .psi([
        [1, 175],
        [2, 178],
        [3, 120],
        [4, 176]
      ])
      .psi([[3, 121]]);
  const asked = (b: Bench): string[] =>
    b.assessed().moves.flatMap((m) => (m.class === 5 && m.station === 'compression' ? [m.job ?? m.title] : []));
  it('is set before oil or air is tried on it', () => {
    expect(asked(low())[0]).toMatch(/Valve lash of cylinder 3/);
    const b = low().read('compression.lashEx', 0, { cylinder: 3 });
    expect(asked(b)[0]).toBe('lash');
    expect(asked(b).join()).not.toMatch(/Wet test|Leak-down of/);
  });
  it('one valve as it should be says nothing of the other', () => {
    const b = low().read('compression.lashIn', 2.5e-4, { cylinder: 3 });
    const [first] = b.assessed().moves.filter((m) => m.class === 5 && m.station === 'compression');
    expect(first).toMatchObject({ title: 'Valve lash of cylinder 3', items: ['compression.lashEx'] });
    expect(asked(b.read('compression.lashEx', 'unknown', { cylinder: 3 })).join()).not.toMatch(/Valve lash/);
  });
  it('with lash as it should be, oil and air are next', () => {
    const b = low()
      .read('compression.lashEx', 3e-4, { cylinder: 3 })
      .read('compression.lashIn', 2.5e-4, { cylinder: 3 });
    expect(asked(b).join()).toMatch(/Wet test of cylinder 3/);
  });
});

describe('gear oil that shimmers after the magnet was clean', () => {
  const first = (b: Bench): string | undefined => b.assessed().moves.find((m) => m.class === 5)?.title;
  it('has the magnet looked at once more, and not twice', () => {
    const b = ranWell(two).wait(1).read('gear.look', 'metallic');
    expect(first(b)).toBe('Wipe the magnet and name what is on it');
    b.wait(0.1).read('gear.magnet', 'clean');
    expect(first(b)).toBeUndefined();
  });
});

describe('bubbles in the middle of a stage whose needle held', () => {
  it('leave the test begun, and the stage again from its beginning ends that', () => {
    const b = ranWell(two).wait(1);
    const low = { conditions: { stage: 'low' } } as const;
    const hold = (soaped: boolean): void => {
      b.read('gear.casePressure', 28e3, low).read('gear.caseTurned', 'yes', low);
      if (soaped) b.read('gear.caseBubbles', ['plugs']);
      for (let k = 0; k < 3; k++) b.wait(1).read('gear.casePressure', 28e3, low);
    };
    hold(true);
    expect(gear(b)).toContain('gear.bubbles:fault');
    expect(gear(b)).not.toContain('gear.test:sound');
    b.read('gear.caseOpen', 'yes');
    hold(false);
    b.read('gear.caseOpen', 'yes');
    expect(gear(b)).not.toContain('gear.bubbles:fault');
    expect(gear(b)).toContain('gear.test:sound');
  });
});

describe('one cylinder of an unknown engine, read once', () => {
  it('is read again before air goes in, as its sheet says', () => {
    const first = (b: Bench): string => b.assessed().moves.find((m) => m.station === 'compression')?.title ?? '';
    const b = new Bench({}).psi([[1, 85]]);
    expect(first(b)).toMatch(/^Compression again/);
    expect(first(b.psi([[1, 86]]))).toMatch(/^Leak-down/);
  });
});
