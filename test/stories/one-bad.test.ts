import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { ranWell, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

/** A single with a tank above it: neither bulb nor pump to blame. */
const gravity = { ...two, cylinders: 1, supply: 'gravity', starting: 'rope' } as const;
const first = (b: Bench): string => b.assessed().moves[0]!.title;
const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
const open = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));

describe('on an engine that is good otherwise', () => {
  it('torn mounts are renewed: nothing is greased, and no crack is looked for', () => {
    const jobs = open(readyToRun(two).read('look.mounts', 'soft'));
    expect(jobs).toContain('mounts');
    expect(jobs).not.toEqual(expect.arrayContaining(['structure']));
    expect(jobs).not.toContain('crack');
  });
  it('a cracked bracket is renewed, not dyed and pressed', () => {
    const b = readyToRun(two).read('look.mounts', 'cracked');
    expect(open(b)).toContain('bracket');
    expect(open(b)).not.toContain('crack');
    expect(b.assessed().advice.suspects.find((s) => s.id === 'mounts')?.probability ?? 0).toBeLessThan(0.2);
  });
  it('what lies in a cylinder is out and seen out before anything cranks; it is no worn bore', () => {
    const b = new Bench(two, 'neglected').read('plugs.hole', 'debris', { cylinder: 1 });
    expect(first(b)).toBe('Get it out by magnet or air');
    expect(b.holds()).toContain('debris');
    expect(b.assessed().advice.suspects.find((s) => s.id === 'rings-worn.1')?.probability ?? 0).toBeLessThan(0.2);
    expect(b.wait(0.1).read('plugs.hole', 'unknown', { cylinder: 1 }).holds()).toContain('debris');
    expect(b.read('plugs.hole', 'clean', { cylinder: 2 }).holds()).toContain('debris');
    expect(b.wait(0.1).read('plugs.hole', 'clean', { cylinder: 1 }).holds()).not.toContain('debris');
  });
  it('one that drives in neutral is not started; one that only drags may be', () => {
    expect(readyToRun(two).read('turn.neutral', 'drives').holds()).toContain('drives');
    expect(readyToRun(two).read('turn.neutral', 'drags').holds()).not.toContain('drives');
  });
  it('a start that failed asks for its plugs once', () => {
    const b = ranWell(gravity).read('run.outcome', 'failed');
    expect(titles(b).filter((t) => /wet or dry/.test(t))).toHaveLength(1);
  });
});

describe('the list of moves', () => {
  it('asks for making it safe once, also where what is not safe is a job', () => {
    const b = readyToRun(two).wait(0.1).read('safe.battery', 'on');
    expect(titles(b).filter((t) => t === 'Make it safe')).toHaveLength(1);
  });
  it('a gasket between two cylinders explains that it idles badly: no bowl comes off for that', () => {
    const b = new Bench({ ...two, cylinders: 2 }, 'neglected', { said: ['idles'] });
    for (const n of [1, 2] as const)
      b.read('compression.leakdown', 0.45, { cylinder: n }).read('compression.escape', ['neighbour'], { cylinder: n });
    const jets = (x: Bench): number => x.assessed().advice.suspects.find((s) => s.id === 'jets')!.probability;
    expect(jets(b)).toBeLessThan(jets(new Bench({ ...two, cylinders: 2 }, 'neglected', { said: ['idles'] })));
  });
});

describe('work whose part is not here', () => {
  const ordered = (state: 'wanted' | 'ordered' | 'arrived'): Bench => {
    const b = readyToRun(two).read('look.mounts', 'soft').read('look.anodes', 'gone');
    const line = {
      id: 'p1',
      at: '2026-05-02T10:00:00.000Z',
      key: 'mounts/mounts',
      step: 'mounts',
      name: 'mounts',
      state
    };
    b.survey = { ...b.survey, parts: [{ ...line, due: '2026-05-20' }] };
    return b;
  };
  const moveOf = (b: Bench) => b.assessed().moves.find((m) => m.job === 'mounts')!;
  it('waits for it, and what can be done comes first', () => {
    const b = ordered('ordered');
    expect(moveOf(b).waits).toMatch(/^Waits for mounts \(expected 20 May\)\.$/);
    expect(first(b)).toBe('Renew the anodes');
    expect(moveOf(ordered('wanted')).waits).toMatch(/to order/);
  });
  it('waits no more once it is here', () => {
    expect(moveOf(ordered('arrived')).waits).toBeUndefined();
  });
});

describe('it dies, and one part of its fuel line is left over', () => {
  const dying = (): Bench => readyToRun(gravity).read('fuel.dies', 'minutes').wait(0.1);
  it('nobody knows yet that fuel is what it lacks: that is seen while it dies, and nothing is stripped', () => {
    const b = dying();
    expect(open(b)).not.toContain('bowl');
    expect(first(b)).toMatch(/^Let it die again.*fuel or spark/);
  });
  it('a spark that is good while it is warm leaves the fuel, and so the part', () => {
    const b = dying().read('spark.result', 'good', {
      cylinder: 1,
      conditions: { path: 'tester', light: 'shade', engine: 'warm' }
    });
    expect(open(b)).toContain('bowl');
  });
});

describe('a complaint sends one to one place of the look-over', () => {
  const brought = (): Bench => new Bench(two, 'long-stored', { said: ['no-start'], yearsIdle: 9 });
  it('that is no walk around the engine: it still comes before hands are laid on it', () => {
    const b = brought().read('look.wiring', 'good');
    const list = titles(b);
    expect(list).toContain('Look it over, cowl to skeg');
    expect(list.indexOf('Look it over, cowl to skeg')).toBeLessThan(list.indexOf('Turn it by hand'));
  });
  it('nor are two of which nobody could tell', () => {
    const b = brought().read('look.wiring', 'unknown').read('look.mounts', 'unknown');
    expect(titles(b)).toContain('Look it over, cowl to skeg');
  });
  it('two places, or one that nobody is sent to, are one', () => {
    for (const b of [
      brought().read('look.wiring', 'good').read('look.hoses', 'supple'),
      brought().read('look.skeg', 'sound')
    ])
      expect(titles(b)).not.toContain('Look it over, cowl to skeg');
  });
});

describe('a start that failed', () => {
  const failed = (plugs: string): Bench => {
    const b = readyToRun(two).read('run.outcome', 'failed').wait(0.1);
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', [plugs as 'dry'], { cylinder });
    return b.wait(0.1);
  };
  it('with dry plugs: what lets fuel through is seen again, though it was good before; then the cause is asked for', () => {
    const b = failed('dry');
    expect(titles(b).slice(0, 2)).toEqual(['Tap or shut-off under the cowl', 'Squeeze the bulb']);
    b.read('fuel.shutoff', 'open').wait(0.1).read('fuel.bulb', 'firm');
    expect(first(b)).toBe('Find the cause, write it down');
  });
  it('with wet plugs: they are dried or renewed, and it is tried again; no bowl comes off', () => {
    const b = failed('fuel');
    expect(first(b)).toBe('Clean or renew the plugs');
    expect(titles(b).join()).not.toMatch(/Bowl or vapour separator off|Squeeze the bulb/);
  });
  it('an ignition that is found dead explains it: nobody looks into the tank for that', () => {
    const b = new Bench(two, 'long-stored', { said: ['no-start'], yearsIdle: 5 }).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3])
      b.read('spark.result', 'none', { cylinder, conditions: { path: 'tester', light: 'shade' } });
    b.read('spark.stopWire', 'returns');
    expect(first(b)).toBe('Mend the stop circuit');
    expect(titles(b).slice(0, 3).join()).not.toMatch(/tank/);
  });
});
