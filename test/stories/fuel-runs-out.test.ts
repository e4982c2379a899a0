import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { four, magneto, two } from './engines.ts';

const gravity: Profile = { ...magneto, supply: 'gravity', fuelSystem: 'carburettor' };

describe('fuel that runs out of it with the engine off', () => {
  const floods = () => readyToRun(gravity).read('fuel.floods', 'yes');
  it('is shut off before anything else is looked at', () => {
    const [first] = floods().assessed().moves;
    expect([first?.kind, first?.class, first?.items]).toEqual(['make-safe', 1, ['fuel.shut']]);
  });
  it('that nobody could tell ends nothing; that it runs on has the tank drained', () => {
    expect(moves(floods().read('fuel.shut', 'unknown'))[0]).toMatch(/^Shut the fuel off/);
    expect(moves(floods().read('fuel.shut', 'runs'))[0]).toMatch(/^Drain the tank/);
  });
  it('shut, or the tank empty, it is work like any other; its hold stays until it is seen dry', () => {
    for (const b of [
      floods().read('fuel.shut', 'stopped'),
      floods().read('fuel.shut', 'runs').read('fuel.tank', 'drained')
    ]) {
      expect(moves(b).join(' | ')).not.toMatch(/Shut the fuel off|Drain the tank into/);
      expect(b.holds()).toContain('fuel-escapes');
      expect(jobs(b)).toContain('bowl');
    }
  });
  it('seen once more after its work, it is shut off once more', () => {
    const b = floods().read('fuel.shut', 'stopped').done('bowl').read('fuel.floods', 'yes');
    expect(moves(b)[0]).toMatch(/^Shut the fuel off/);
  });
  it('a bulb that goes soft slowly is no danger', () => {
    expect(moves(readyToRun(two).read('fuel.floods', 'slow')).join(' | ')).not.toMatch(/Shut the fuel off/);
  });
});

describe('the main fuse is blown, and the pump of an injected engine is silent', () => {
  const injected: Profile = { ...four, fuelSystem: 'electronic' };
  const silent = () => readyToRun(injected).read('look.wiring', 'fuse').read('fuel.railPump', 'silent');
  it('is no dead pump: the fuse first, and no pump on the bill', () => {
    const b = silent().read('fuel.rail', 0);
    expect(b.ids()).toEqual(expect.arrayContaining(['fuel.rail-pump:cannot-tell', 'fuel.rail:cannot-tell']));
    expect(jobs(b)).not.toContain('rail');
    expect(b.assessed().moves.find((m) => !m.waits && m.class > 2)?.job).toBe('wiring');
  });
  it('told by the meter it is the same fuse', () => {
    const b = readyToRun(injected).read('fuel.railPump', 'silent').read('plugs.voltsEnd', 'fuse');
    expect(b.ids()).toContain('fuel.rail-pump:cannot-tell');
    expect(jobs(b)).not.toContain('rail');
    b.done('wiring').read('plugs.voltsEnd', 'through').read('fuel.railPump', 'silent');
    expect(b.ids()).toContain('fuel.rail-pump:fault');
  });
  it('found blown after it: the same', () => {
    const b = readyToRun(injected).read('fuel.railPump', 'silent');
    expect(jobs(b)).toContain('rail');
    b.read('look.wiring', 'fuse');
    expect(jobs(b)).not.toContain('rail');
  });
  it('a new fuse: it is heard again, and what it says then counts, without a contradiction', () => {
    const mended = silent().done('wiring').read('look.wiring', 'good');
    expect(moves(mended)[0]).toMatch(/^Key on: is the fuel pump heard/);
    const runs = mended.read('fuel.railPump', 'runs').read('fuel.rail', 280e3);
    expect(runs.ids().filter((f) => /fuel\.(rail|again)/.test(f))).toEqual(['fuel.rail:sound']);
    const dead = silent().done('wiring').read('look.wiring', 'good').read('fuel.railPump', 'silent');
    expect(dead.ids()).toContain('fuel.rail-pump:fault');
    expect(jobs(dead)).toContain('rail');
  });
});

describe('fuel in the oil of an injected engine', () => {
  const injected: Profile = { ...four, fuelSystem: 'electronic', lubrication: 'sump', sumpWithFilter: 4e-3 };
  const above = () =>
    readyToRun(injected, 'neglected', ['oil'])
      .read('oil.level', 'yes')
      .read('oil.dip', 'above')
      .wait(0.1)
      .read('oil.dip', 'above')
      .read('oil.smell', 'strong');
  it('once is short runs; again after a change, plugs and thermostat are looked at before it is changed once more', () => {
    expect(moves(above()).join(' | ')).not.toMatch(/Thermostat in a pan: does it shut|black or wet with fuel/);
    const b = above().done('oil-level').wait(0.1).read('oil.dip', 'between').wait(0.1).read('oil.dip', 'between');
    b.read('run.event', 'start')
      .wait(0.3)
      .read('run.stream', 'strong')
      .read('run.outcome', 'ran')
      .read('run.minutes', 18);
    b.read('run.event', 'stop')
      .wait(1)
      .read('oil.dip', 'above')
      .wait(0.1)
      .read('oil.dip', 'above')
      .read('oil.smell', 'strong');
    const list = moves(b);
    const at = (x: RegExp): number => list.findIndex((m) => x.test(m));
    expect(at(/black or wet with fuel/)).toBeGreaterThanOrEqual(0);
    expect(at(/Thermostat in a pan/)).toBeGreaterThanOrEqual(0);
    expect(at(/ring the engine oil right/)).toBeGreaterThan(at(/Thermostat in a pan/));
  });
});

describe('parts that this engine has', () => {
  it('hoses of an engine without a bulb are renewed without one', () => {
    const hard = (p: Profile) =>
      readyToRun(p)
        .read('look.hoses', 'cracked')
        .assessed()
        .steps.find((s) => s.id === 'hoses');
    expect(hard(gravity)?.title).toBe('Renew the fuel hoses');
    expect(hard(gravity)?.parts).not.toContain('primer bulb');
    expect(hard(two)?.title).toBe('Renew hoses and bulb');
  });
  it('a white plug over a crown that was seen whole sends nobody to look at it', () => {
    const white = (hole?: 'clean') => {
      const b = readyToRun(two, 'neglected', ['plugs']).read('plugs.read', ['white'], { cylinder: 1 });
      return (hole ? b.read('plugs.hole', hole, { cylinder: 1 }) : b).said('plugs.read');
    };
    expect(white()).toContain('Look at that crown');
    expect(white('clean')).not.toContain('Look at that crown');
  });
});
