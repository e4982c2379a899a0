import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { moves, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

const RUN = 'First run on water, watched';

describe('half of a look leaves the other half asked for', () => {
  const shifted = (): Bench =>
    readyToRun(two, 'neglected', ['turn'])
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('turn.neutral', 'spins')
      .read('turn.forward', 'follows');
  it('forward tried: reverse before it runs', () => {
    const b = shifted();
    b.read('turn.startLock', 'locks');
    expect(moves(b)[0]).toBe('Shift by hand: reverse');
    expect(moves(b.read('turn.reverse', 'follows'))[0]).toBe(RUN);
  });
  it('a gear that is not fitted, or could not be told, is answered', () => {
    expect(moves(shifted().read('turn.reverse', 'not-fitted'))).not.toContain('Shift by hand: reverse');
    expect(moves(shifted().read('turn.reverse', 'unknown'))).not.toContain('Shift by hand: reverse');
  });
  it('only neutral: both', () => {
    const b = readyToRun(two, 'neglected', ['turn']).read('turn.plugs', 'in').read('turn.result', 'bumps');
    expect(moves(b.read('turn.neutral', 'spins'))[0]).toBe('Shift through by hand');
  });
  it('a bowl without gum clears no jet', () => {
    const b = readyToRun(two, 'neglected', ['fuel']);
    for (const [k, v] of Object.entries({
      level: 'some',
      age: 0.2,
      jar: 'clear',
      tank: 'fresh',
      bulb: 'firm',
      vent: 'open'
    }))
      b.read(`fuel.${k}` as 'fuel.level', v as never);
    b.read('fuel.mix', 50).read('fuel.dies', 'minutes').read('fuel.chokeOnly', 'yes');
    b.read('fuel.hose', 'supple').read('fuel.couplings', 'tight');
    expect(moves(b)[0]).toBe('Bowl off: gum, jets and passages');
    expect(moves(b.read('fuel.bowlLook', 'clean'))[0]).toBe('Jets and passages, each seen through');
  });
});

describe('a case that leaks again after it was resealed', () => {
  const stage = (b: Bench, from: number, to: number): Bench => {
    const low = { conditions: { stage: 'low' } } as const;
    b.read('gear.casePressure', from, low).wait(0.25).read('gear.caseTurned', 'yes', low);
    return b.read('gear.casePressure', to, low);
  };
  const again = (): Bench => {
    const b = readyToRun(two, 'neglected', ['gear']).read('gear.first', 'oil').read('gear.look', 'milky');
    b.read('gear.drained', 480e-6).read('gear.magnet', 'paste').read('gear.slots', 'good');
    stage(b, 27_600, 14_000).read('gear.caseBubbles', ['propshaft']).done('reseal').wait(2);
    return stage(b, 27_600, 14_500);
  };
  it('is soaped before anything is resealed once more: where it bubbled before was mended', () => {
    const b = again();
    expect(b.ids()).not.toContain('gear.test-seals:fault');
    expect(moves(b)[0]).toBe('Soapy water: where it bubbles');
    expect(b.assessed().moves.find((m) => /^Once more: reseal/.test(m.title))?.waits).toBeTruthy();
  });
  it('bubbling at a seal again, it is opened again; at the housing, the crack is mended', () => {
    expect(moves(again().read('gear.caseBubbles', ['propshaft'])).some((m) => /^Once more: reseal/.test(m))).toBe(true);
    const crack = moves(again().read('gear.caseBubbles', ['housing']));
    expect(crack).toContain('Mend the cracked gear case, or fit another');
    expect(crack.join(' | ')).not.toMatch(/Once more: reseal/);
  });
});

it('a gear plug that will not move waits to be cracked open', () => {
  const b = readyToRun(two, 'neglected', ['gear']).read('gear.slots', 'stuck');
  const crack = b.assessed().moves.find((m) => m.title === 'Lower gear plug a crack open');
  expect(crack === undefined || crack.waits === 'First: the gear plug that will not move.').toBe(true);
});

it('stopped, and nobody can say how it ran: its figures are read before anybody else is asked', () => {
  const injected = { ...two, fuelSystem: 'electronic', ignition: 'digital' } as const;
  const stopped = (profile: Parameters<typeof readyToRun>[0]): Bench =>
    readyToRun(profile, 'neglected', ['fuel'])
      .read('fuel.level', 'some')
      .read('fuel.age', 0.2)
      .read('fuel.mix', 50)
      .read('run.event', 'start')
      .wait(0.05)
      .read('run.stream', 'strong')
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.minutes', 3)
      .read('run.reason', 'other')
      .read('run.idles', 'unknown');
  const read = (b: Bench): Bench =>
    [1, 2, 3].reduce(
      (x, cylinder) => x.read('plugs.read', ['normal'], { cylinder }).read('run.drop', 'falls', { cylinder }),
      b
    );
  expect(moves(stopped(two))[0]).toBe('Plugs out of that run, and read');
  expect(moves(read(stopped(injected)))[0]).toBe('Fuel rail: pump heard with the key on, then its pressure');
  expect(moves(read(stopped(two)))[0]).toBe('Idle jet and passages');
  const opened = read(stopped(two)).read('fuel.jets', 'clear').read('fuel.bowlLook', 'clean');
  expect(moves(opened)[0]).toBe('Line vacuum at the pump, at speed');
  expect(moves(opened.read('fuel.vacuumSpeed', 3000)).join(' | ')).toMatch(/Find the cause, write it down/);
  // Told how it ran, that has looks of its own.
  expect(moves(stopped(two).read('run.idles', 'shakes')).join(' | ')).not.toMatch(/Line vacuum at the pump, at speed/);
});

it('held back between coupling and pump, a filter that was clean before that is looked at once more', () => {
  const b = readyToRun({ ...two, lubrication: 'premix', premixRatio: 50 });
  b.read('fuel.vacuumSpeed', 27_000).read('fuel.vacuumPortable', 27_000).read('fuel.vacuumOpen', 27_000);
  expect(b.ids()).toContain('fuel.vacuum-engine-side:fault');
  const open = (x: Bench): string[] => x.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
  expect(open(b)).not.toContain('fuel-line');
  expect(moves(b)[0]).toBe('Fuel filters');
  expect(open(b.read('fuel.filter', 'clean'))).toContain('fuel-line');
});

describe('cylinders that could not be read', () => {
  const halves = [
    ['plugs', 'plugs.read', ['normal'], 'Read the other plugs too'],
    ['spark', 'spark.result', 'good', 'Spark of the other cylinders'],
    ['compression', 'compression.pressure', 860e3, 'Compression of the other cylinders']
  ] as const;
  it.each(halves)(
    '%s: asked for at once, and before it runs once it was asked for in vain',
    (station, item, good, ask) => {
      const b = readyToRun(two, 'neglected', [station]);
      const more = { conditions: { throttle: 'open', bores: 'dry', path: 'tester', light: 'shade' } } as const;
      b.read(item, good as never, { cylinder: 1, ...more });
      const first = (): { title: string; class: number } => b.assessed().moves[0]!;
      expect(first()).toMatchObject({ title: ask, class: 3 });
      b.read(item, 'unknown' as never, { cylinder: 2 });
      expect(first().class).toBe(3);
      b.read(item, 'unknown' as never, { cylinder: 3 });
      expect(first()).toMatchObject({ title: ask, class: 9 });
      expect(b.assessed().stations.find((s) => s.id === station)?.condition).toBe('cannot-tell');
    }
  );
});

describe('bumps that were counted, or a noise that was felt', () => {
  const says = (b: Bench): string => b.assessed().findings.find((f) => f.id === 'turn.unturned')?.found ?? '';
  it('were turned for: what is missing is how it turns', () => {
    expect(says(new Bench(two).read('turn.plugs', 'in').read('turn.bumps', 6))).toMatch(/^How it turns was not said/);
    const shifts = new Bench(two).read('turn.neutral', 'spins').read('turn.forward', 'follows');
    expect(says(shifts.read('turn.reverse', 'follows'))).toMatch(/^It was not turned by hand/);
  });
});
