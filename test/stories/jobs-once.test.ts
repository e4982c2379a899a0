import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, readyToRun } from './all-good.ts';
import { tester, two } from './engines.ts';

const titles = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.title] : []));

describe('one piece of work stands once on the list', () => {
  it('weak and orange on all of them: nobody puts good parts in the place of each cylinder’s own', () => {
    const b = new Bench({ ...two, cylinders: 2, ignition: 'points' }).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2]) b.read('spark.result', 'weak', { cylinder, ...tester });
    for (const cylinder of [1, 2]) b.read('spark.colour', 'orange', { cylinder });
    expect(jobs(b)).not.toContain('spark-own');
    // One of them is good again: the other one has parts of its own.
    b.read('spark.result', 'good', { cylinder: 1, ...tester }).read('spark.colour', 'blue', { cylinder: 1 });
    expect(jobs(b)).toContain('spark-own');
  });
  it('a gear that fails in the run, and a worn linkage: it is set once, and the gears are tried after it', () => {
    const b = readyToRun(two)
      .read('run.event', 'start')
      .wait(0.2)
      .read('run.gears', 'fails')
      .read('run.event', 'stop')
      .read('run.outcome', 'ran')
      .read('run.minutes', 12);
    expect(titles(b)).toContain('Set the shift linkage and try each gear');
    b.read('look.linkage', 'worn');
    expect(titles(b)).toContain('Set the shift linkage');
    expect(titles(b)).toContain('Run it and try each gear again');
    expect(titles(b)).not.toContain('Set the shift linkage and try each gear');
  });
  it('fuel that is drained for its age is not stood in a jar to decide', () => {
    const b = new Bench(two, 'long-stored', { yearsIdle: 3, fuelLeft: 'ethanol' })
      .read('fuel.level', 'full')
      .read('fuel.jar', 'cloudy');
    expect(jobs(b)).toContain('fuel-drain');
    expect(jobs(b)).not.toContain('fuel-doubt');
    expect(jobs(new Bench(two).read('fuel.age', 1).read('fuel.jar', 'cloudy'))).toContain('fuel-doubt');
  });
  it('plugs that were read after a smoking run have been looked at', () => {
    const b = readyToRun(two)
      .read('run.event', 'start')
      .wait(0.2)
      .read('run.smoke', 'keeps')
      .read('run.event', 'stop')
      .read('run.outcome', 'ran')
      .read('run.minutes', 12);
    const asks = (x: Bench): boolean => x.assessed().moves.some((m) => /^A plug out after the run/.test(m.title));
    expect(asks(b)).toBe(true);
    expect(asks(b.read('plugs.read', ['oily'], { cylinder: 2 }))).toBe(false);
  });
  it('a search steps back once its place is found', () => {
    const b = new Bench(two).read('fuel.bulb', 'flat').read('fuel.vacuumSpeed', 30_000);
    expect(jobs(b)).toContain('bulb');
    b.read('fuel.vacuumPortable', 5000).read('fuel.portable', 'fine');
    expect(jobs(b)).toContain('pick-up');
    expect(jobs(b)).not.toContain('bulb');
    // Couplings that leak are no search: a cracked hose beside them takes nothing off the list.
    const leaks = new Bench(two).read('fuel.couplings', 'leak').read('look.hoses', 'cracked');
    expect(jobs(leaks)).toEqual(expect.arrayContaining(['fuel-line', 'hoses']));
  });
});
