import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { Bench } from '../case.ts';
import { readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
const open = (b: Bench): string[] =>
  b
    .assessed()
    .steps.filter((s) => s.state === 'open')
    .map((s) => s.id);

describe('vacuum at the pump, and a run on a portable tank', () => {
  const held = (ran: 'fine' | 'same'): Bench =>
    new Bench(two)
      .read('safe.lanyard', 'out')
      .read('safe.battery', 'off')
      .read('safe.propeller', 'clear')
      .read('safe.secured', 'yes')
      .read('safe.place', 'outdoors')
      .read('cooling.source', 'tank')
      .read('fuel.tank', 'fresh')
      .read('fuel.line', 'fresh')
      .read('fuel.bowl', 'fresh')
      .read('fuel.vacuumSpeed', 22_000)
      .read('fuel.portable', ran);
  it('fine: it is on the boat’s side, and the pick-up is looked at', () => {
    const b = held('fine');
    expect(b.said('fuel.vacuum')).toMatch(/runs well: on the boat’s side/);
    expect(titles(b).slice(0, 2)).toEqual([
      'Line vacuum with the fill cap open',
      'Pick-up screen and anti-siphon valve'
    ]);
  });
  it('just the same: it is between coupling and pump, and no vent is looked for', () => {
    const b = held('same');
    expect(b.said('fuel.vacuum')).toMatch(/between coupling and pump/);
    expect(titles(b)[0]).toBe('Fuel filters');
    expect(titles(b)).not.toContain('Line vacuum with the fill cap open');
  });
});

describe('a run that was stopped for its water', () => {
  const stopped = (reason: 'stream' | 'temperature' | 'lamp'): Bench =>
    readyToRun(two)
      .read('run.event', 'start')
      .wait(0.1)
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.reason', reason);
  const ran = (b: Bench): Bench =>
    b
      .read('run.event', 'start')
      .wait(0.3)
      .read('run.stream', 'strong')
      .read('run.lamp', 'none')
      .read('run.outcome', 'ran')
      .read('run.minutes', 15)
      .read('run.event', 'stop');
  it.each(['stream', 'temperature', 'lamp'] as const)(
    'for %s, and nothing else noted: held until its cause is written down and it was run again',
    (reason) => {
      expect(stopped(reason).holds()).toContain('run');
      expect(ran(stopped(reason)).holds()).toContain('run');
      expect(stopped(reason).read('run.cause', 'hose of the water tank kinked').holds()).toContain('run');
      expect(ran(stopped(reason).read('run.cause', 'hose of the water tank kinked')).holds()).not.toContain('run');
    }
  );
  it('mended where the cause of that lies, it is run again', () => {
    expect(ran(stopped('stream').done('pump')).holds()).not.toContain('run');
  });
  it('says nothing of its fuel', () => {
    const raised = stopped('stream')
      .assessed()
      .advice.suspects.filter((s) => s.raised && s.id === 'filter');
    expect(raised).toEqual([]);
  });
  it('an outlet that was cleared stays "cleared" until the stream is looked at', () => {
    const b = stopped('stream')
      .read('cooling.stream', 'weak')
      .read('cooling.outlet', 'blocked')
      .read('cooling.outlet', 'clear');
    expect(b.said('cooling')).toMatch(/was blocked and is clear now/);
    expect(titles(b)[0]).toMatch(/^Look at the stream again/);
    expect(b.read('cooling.stream', 'weak').said('cooling')).not.toMatch(/is clear now/);
  });
});

describe('what turns it', () => {
  const first = (b: Bench, n = 2): string => titles(b).slice(0, n).join('\n');
  const made = (profile: Profile): Bench =>
    new Bench(profile)
      .read('safe.lanyard', 'out')
      .read('safe.battery', 'off')
      .read('safe.propeller', 'clear')
      .read('safe.secured', 'yes');
  const waiting = (b: Bench, title: string): string | undefined =>
    b.assessed().moves.find((m) => m.title === title)?.waits;
  it('is mended first where nothing else does: nobody is sent to crank for spark', () => {
    const rope = made({ ...two, starting: 'rope' }).read('plugs.rope', 'slips');
    expect(first(rope)).toMatch(/Mend the rope starter/);
    expect(waiting(rope, 'Spark, every cylinder')).toMatch(/rope starter/);
    expect(waiting(rope.done('rope'), 'Spark, every cylinder')).toBeUndefined();
    const dead = made(two).read('plugs.starterCircuit', 'nothing');
    expect(first(dead)).toMatch(/Starter straight from the battery/);
    expect(waiting(dead, 'Compression, every cylinder')).toMatch(/starter/);
    expect(waiting(dead.read('plugs.starterDirect', 'turns'), 'Compression, every cylinder')).toBeUndefined();
  });
  it('dead, and not slow: lever and fuse are looked at before the motor is fed, and a fuse that is gone ends it', () => {
    const next = (circuit: 'nothing' | 'slow'): unknown =>
      made(two).read('plugs.starterCircuit', circuit).assessed().moves[0];
    expect(next('nothing')).toMatchObject({ items: ['plugs.voltsEnd', 'plugs.starterDirect'] });
    expect(next('slow')).toMatchObject({ items: ['plugs.starterDirect'] });
    const fuse = made(two).read('plugs.starterCircuit', 'nothing').read('plugs.voltsEnd', 'fuse');
    expect(first(fuse)).toMatch(/Mend wires and connectors/);
    expect(first(fuse)).not.toMatch(/straight from the battery/);
    const through = made(two).read('plugs.starterCircuit', 'nothing').read('plugs.voltsEnd', 'unknown');
    expect(through.assessed().moves[0]).toMatchObject({ items: ['plugs.starterDirect'] });
  });
  it('with rope and starter, either will do', () => {
    const b = made({ ...two, starting: 'both' }).read('plugs.rope', 'slips');
    expect(waiting(b, 'Spark, every cylinder')).toBeUndefined();
  });
  it('a starter that was slow on a weak battery is tried again on the good one', () => {
    const b = made(two).read('plugs.starterCircuit', 'slow').read('plugs.volts', 9.2).done('battery');
    b.read('plugs.volts', 11.4);
    expect(first(b)).toMatch(/The starter again, on the good battery/);
    expect(first(b)).not.toMatch(/straight from the battery/);
    expect(b.read('plugs.starterCircuit', 'slow').said('plugs.starter')).toMatch(/poor through its circuit/);
  });
  it('a starter that was mended is not judged by what was tried before', () => {
    const b = made(two).read('plugs.starterCircuit', 'nothing').read('plugs.starterDirect', 'nothing').done('starter');
    expect(b.said('plugs.starter')).toBe('');
    expect(first(b, 1)).toMatch(/^Prove it: turns well/);
  });
});

describe('bores that were soaked by the job', () => {
  const locked = (): Bench => {
    const b = new Bench(two, 'long-stored', { yearsIdle: 9 })
      .read('safe.lanyard', 'out')
      .read('safe.battery', 'off')
      .read('safe.propeller', 'clear')
      .read('safe.secured', 'yes')
      .read('turn.plugs', 'out')
      .read('turn.result', 'locked');
    for (const cylinder of [1, 2, 3]) b.read('plugs.hole', cylinder === 2 ? 'rust' : 'clean', { cylinder });
    return b.read('turn.lockNeutral', 'still').read('turn.lockPinion', 'still').done('soak');
  };
  it('hold oil: none is asked for, and they are not turned before their day is over', () => {
    expect(locked().said('plugs.dry-bores')).toBe('');
    expect(titles(locked())[0]).not.toMatch(/Free without grit|Turn it by hand/);
    expect(titles(locked().wait(25)).slice(0, 2).join('\n')).toMatch(/a day after the soak/);
  });
  it('count as free after two turns a day apart, both after the soak', () => {
    const b = locked().wait(25).read('turn.result', 'free');
    expect(b.holds()).toContain('locked');
    expect(b.wait(25).read('turn.result', 'free').holds()).not.toContain('locked');
    const before = new Bench(two)
      .read('turn.result', 'locked')
      .read('turn.result', 'free')
      .wait(1)
      .done('soak')
      .wait(24);
    expect(before.read('turn.result', 'free').holds()).toContain('locked');
  });
});

describe('a head that climbs before its thermostat opens', () => {
  /** Four kelvin a minute, as straight as a line. */
  const climbing = (profile: Profile, to: number): Bench => {
    const b = readyToRun(profile).read('run.event', 'start').read('run.stream', 'strong');
    for (let t = 303; t <= to; t += 4) b.read('run.temperature', t, { conditions: { spot: 'head' } });
    return b;
  };
  it('is not told to stop, and did not run hot', () => {
    expect(climbing(two, 327).ids()).toContain('run.heat:watch');
    expect(titles(climbing(two, 327))[0]).toBe('Watch the run');
    const b = climbing(two, 327).read('run.event', 'stop').read('run.outcome', 'ran').read('run.minutes', 9);
    expect(b.said('run.heat')).toMatch(/its thermostat had not opened/);
    expect(open(b)).not.toContain('hot');
    expect(titles(b)[0]).toBe('Run it until its temperature has settled');
  });
  it('without a thermostat, or past where it opens, it is stopped before its limit', () => {
    expect(titles(climbing({ ...two, thermostat: 'not-fitted' }, 335))[0]).toBe('Stop it now');
    expect(titles(climbing(two, 351))[0]).toBe('Stop it now');
    const stamped = climbing(two, 327);
    expect(titles(stamped.read('cooling.thermostatStamp', 320))[0]).toBe('Stop it now');
  });
});

describe('said not to start, injected', () => {
  it('has its fuel pump listened to before anything is cranked', () => {
    const b = new Bench({ ...four, fuelSystem: 'electronic' }, 'neglected', { said: ['no-start'] })
      .read('safe.lanyard', 'out')
      .read('safe.battery', 'off')
      .read('safe.propeller', 'clear')
      .read('safe.secured', 'yes')
      .read('fuel.level', 'some')
      .read('look.wiring', 'good');
    expect(titles(b).slice(0, 2)).toContain('Key on: is the fuel pump heard?');
    expect(titles(b.read('fuel.railPump', 'runs'))).not.toContain('Key on: is the fuel pump heard?');
  });
});

describe('no stream on muffs', () => {
  const none = (): Bench =>
    readyToRun(two)
      .read('cooling.source', 'muffs')
      .read('run.event', 'start')
      .wait(0.02)
      .read('run.stream', 'none')
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'stream');
  it('the muffs come before the pump; then the stream is looked at on that water', () => {
    expect(titles(none()).slice(0, 2).join('\n')).toMatch(/^Muffs seated on every intake/m);
    const tank = none().read('cooling.source', 'tank');
    expect(titles(tank).slice(0, 2)).toContain('The stream again, on that water');
  });
  it('strong in the tank: it was the muffs, that is on record, and nothing is opened for it', () => {
    const b = none().read('cooling.source', 'tank').read('run.event', 'start').wait(0.3).read('run.stream', 'strong');
    b.read('run.outcome', 'ran').read('run.minutes', 15).read('run.event', 'stop');
    expect(titles(b).join('\n')).not.toMatch(/Find the cause|Open the water pump|Probe the stream outlet/);
    expect(b.holds()).not.toContain('run');
    expect(b.ids()).not.toContain('run.stopped:fault');
  });
  it('strong in the tank for half a minute is no run', () => {
    const b = none().read('cooling.source', 'tank').read('run.event', 'start').wait(0.01).read('run.stream', 'strong');
    b.read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'other');
    expect(b.holds()).toContain('run');
  });
  it('worked on before it ran in the tank: that may have been it, and its cause is asked for', () => {
    const b = none().done('pump').read('cooling.source', 'tank').read('run.event', 'start').wait(0.3);
    b.read('run.stream', 'strong').read('run.outcome', 'ran').read('run.minutes', 15).read('run.event', 'stop');
    expect(b.holds()).toContain('run');
  });
  it('none in a tank, the muffs are not asked about', () => {
    const b = readyToRun(two).read('cooling.source', 'tank').read('run.event', 'start').wait(0.02);
    b.read('run.stream', 'none').read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'stream');
    expect(titles(b).join('\n')).not.toMatch(/Muffs seated/);
  });
});

describe('water on a plug after running', () => {
  const wet = (): Bench =>
    readyToRun(two)
      .read('run.event', 'start')
      .wait(0.2)
      .read('run.stream', 'strong')
      .read('run.smoke', 'keeps')
      .read('run.event', 'stop')
      .read('run.outcome', 'ran')
      .read('run.plugAfter', 'wet');
  it('holds the next start, and is what smokes', () => {
    expect(wet().holds()).toContain('jacket');
    expect(titles(wet())[0]).toBe('Leak-down, the water jacket watched');
    expect(titles(wet())).not.toContain('Mixture in use, oil in the fuel');
  });
  it('a dry plug later mends nothing, nor does another pump; a gasket does', () => {
    expect(wet().read('run.plugAfter', 'dry').holds()).toContain('jacket');
    expect(wet().done('pump').holds()).toContain('jacket');
    expect(wet().read('run.cause', 'unknown').holds()).toContain('jacket');
    expect(wet().done('head-gasket').holds()).not.toContain('jacket');
    expect(wet().done('head-gasket').read('run.plugAfter', 'wet').holds()).toContain('jacket');
  });
});

describe('spark that looks good and jumps too short a gap', () => {
  it('is followed as a weak one is', () => {
    const b = new Bench(two).read('safe.lanyard', 'out').read('safe.battery', 'off').read('safe.propeller', 'clear');
    b.read('safe.secured', 'yes').read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3]) {
      const at = { cylinder, conditions: { path: 'tester', light: 'shade' } } as const;
      b.read('spark.result', 'good', at).read('spark.gap', cylinder === 1 ? 0.004 : 0.011, at);
    }
    expect(titles(b)[0]).toBe('Look at lead, cap and coil of cylinder 1; arcs in the dark');
  });
});
