import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { Bench } from '../case.ts';
import { ranWell as run } from './all-good.ts';

const base = {
  cylinders: 3,
  layout: 'inline',
  displacement: 900e-6,
  starting: 'electric',
  shift: 'shift',
  supply: 'bulb',
  gearCapacity: 0.5e-3,
  plugDrain: 'fitted',
  plugLevel: 'fitted',
  magnet: 'drain',
  indicator: 'fitted',
  thermostat: 'fitted'
} as const satisfies Profile;
const two = {
  ...base,
  strokes: 'two',
  fuelSystem: 'carburettor',
  ignition: 'cdi',
  lubrication: 'premix',
  premixRatio: 50
} as const;
const four = {
  ...base,
  strokes: 'four',
  fuelSystem: 'carburettor',
  ignition: 'digital',
  lubrication: 'sump',
  sumpWithFilter: 2e-3
} as const;
const injected = { ...four, fuelSystem: 'electronic', ignition: 'coil-on-plug' } as const;

const first = (b: Bench): string => b.assessed().moves[0]!.title;
const among = (b: Bench, n = 3): string =>
  b
    .assessed()
    .moves.slice(0, n)
    .map((m) => m.title)
    .join(' · ');
const chance = (b: Bench, id: string): number =>
  b.assessed().advice.suspects.find((s) => s.id === id)?.probability ?? 0;
const condition = (b: Bench, id: string): string | undefined => b.judged().stations.find((s) => s.id === id)?.condition;
const kinds = (b: Bench): string[] => b.judged().findings.map((f) => f.id);
const open = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));

describe('a leak is placed before anything is renewed for it', () => {
  it.each(['fuel', 'oil', 'water'] as const)(
    '%s: wiped dry and watched, though every joint was dry before the run',
    (what) => {
      const b = run(two).read('run.leaks', what);
      expect(first(b)).toMatch(/^Wiped dry and watched/);
      expect(open(b)).toEqual(['run-again']);
    }
  );
  it.each([
    ['fuel', 'hose', 'fuel-line'],
    ['fuel', 'filter', 'fuel-filter'],
    ['fuel', 'pump', 'fuel-pump'],
    ['fuel', 'carburettor', 'bowl'],
    ['oil', 'case', 'case-test'],
    ['oil', 'cover', 'leak'],
    ['oil', 'filter', 'leak'],
    ['water', 'cover', 'leak']
  ] as const)('%s from %s: %s, and no other part', (what, place, job) => {
    const b = run(four).read('run.leaks', what).wait(0.1).read('run.leakAt', place);
    expect(open(b).filter((id) => id !== 'run-again')).toEqual([job]);
    expect(b.assessed().moves[0]).toMatchObject({ kind: 'job', job });
    expect(b.assessed().ready).toBe(false);
  });
  it('could not be told: the joints are looked at again, and it stays open', () => {
    const b = run(two).read('run.leaks', 'fuel').wait(0.1).read('run.leakAt', 'unknown');
    expect(first(b)).toMatch(/^Hoses and couplings/);
    expect(b.holds()).toContain('fuel-escapes');
    expect(open(b)).toEqual(['run-again']);
  });
  it('a place seen before it leaked again is the place of the leak before', () => {
    const b = run(four).read('run.leaks', 'oil').wait(0.1).read('run.leakAt', 'cover').done('leak').wait(0.2);
    b.read('run.leaks', 'oil');
    expect(first(b)).toMatch(/^Wiped dry and watched|proved/i);
    expect(kinds(b)).not.toContain('run.leak-part');
  });
  it('stopped, wiped and dry in the same run again: it is over', () => {
    const b = run(four).read('run.leaks', 'oil').wait(0.1).read('run.leakAt', 'cover').done('leak').wait(0.2);
    b.read('run.event', 'start')
      .wait(0.25)
      .read('run.stream', 'strong')
      .read('run.outcome', 'ran')
      .read('run.leaks', 'none');
    expect(kinds(b).filter((id) => id.startsWith('run.leak'))).toEqual([]);
  });
});

describe('a noise is placed, and its engine is not started meanwhile', () => {
  const stopped = (p: Profile): Bench => run(p).read('run.outcome', 'stopped').read('run.reason', 'noise');
  it('stopped for one: held, and where it came from is asked first', () => {
    const b = stopped(four);
    expect(b.holds()).toContain('noise');
    expect(first(b)).toMatch(/^Say where the noise came from/);
  });
  it.each([
    ['head', /^Turned by hand: grit/],
    ['flywheel', /^Flywheel’s nut, key/],
    ['leg', /^Magnet and oil of the gear case/]
  ] as const)('%s: what costs least and may tell it comes first, and it stays held', (place, move) => {
    const b = stopped(four).read('run.noise', place);
    expect(first(b)).toMatch(move);
    expect(b.holds()).toContain('noise');
    expect(open(b)).toEqual(['run-again']);
  });
  it('a tick under the valve cover asks for the lash, and forbids no start', () => {
    const b = stopped(four).read('run.noise', 'valves');
    expect(first(b)).toMatch(/^Valve lash/);
    expect(b.holds()).not.toContain('noise');
    expect(b.assessed().ready).toBe(false);
  });
  it('nobody can tell where: by hand and by the magnet, and unknown lifts nothing', () => {
    const b = stopped(two).read('run.noise', 'unknown');
    expect(among(b, 2)).toMatch(/Turned by hand.*Magnet and oil/);
    expect(b.holds()).toContain('noise');
  });
  it('heard in a run that went well otherwise counts all the same', () => {
    const b = run(two).read('run.noise', 'leg');
    expect(b.holds()).toContain('noise');
    expect(condition(b, 'run')).toBe('fault');
  });
  it('everything tried and nobody knows: a specialist is asked, and it is not run to find out', () => {
    const b = stopped(two).read('run.noise', 'head').wait(0.1).read('turn.result', 'free').read('turn.feel', []);
    for (const cylinder of [1, 2, 3]) b.read('turn.depth', 0.06, { cylinder });
    b.read('run.cause', 'unknown');
    const { moves } = b.assessed();
    expect(moves[0]).toMatchObject({ kind: 'ask', id: 'ask:noise' });
    expect(moves.map((m) => m.job)).not.toContain('run-again');
    expect(b.holds()).toContain('noise');
  });
  it('its cause written down lifts the hold; the same run without it closes it', () => {
    const b = stopped(four)
      .read('run.noise', 'head')
      .wait(0.1)
      .read('run.cause', 'shield touched the flywheel, bent away');
    expect(b.holds()).not.toContain('noise');
    expect(kinds(b)).toContain('run.noise');
    b.wait(0.1)
      .read('run.event', 'start')
      .wait(0.3)
      .read('run.stream', 'strong')
      .read('run.outcome', 'ran')
      .read('run.noise', 'none');
    expect(kinds(b)).not.toContain('run.noise');
  });
  it('gone by itself, with no cause found: it stays open', () => {
    const b = run(four).read('run.noise', 'leg').wait(0.2).read('run.noise', 'none');
    expect(b.said('run.noise')).toMatch(/no cause was found/);
    expect(b.holds()).toContain('noise');
    expect(b.wait(0.1).read('run.cause', 'a shield touched the flywheel').holds()).not.toContain('noise');
  });
  it('stopped for one after a run without the other: it is another, and is placed anew', () => {
    const b = run(two)
      .read('run.noise', 'leg')
      .wait(0.1)
      .read('run.cause', 'a washer')
      .wait(0.1)
      .read('run.noise', 'none');
    b.wait(0.2).read('run.event', 'start').wait(0.1).read('run.outcome', 'stopped').read('run.reason', 'noise');
    expect(b.holds()).toContain('noise');
    expect(first(b)).toMatch(/^Say where the noise came from/);
  });
  it('stopped for one, and it ran well the next time: what made it is still to be found', () => {
    const b = stopped(two).wait(0.2).read('run.outcome', 'ran');
    expect(b.holds()).toContain('noise');
    expect(b.wait(0.1).done('feel').holds()).not.toContain('noise');
  });
});

describe('spits back: what draws air, then what cannot hold it', () => {
  it('mist first, and a joint that answers is what is mended', () => {
    const b = run(four).read('run.idles', 'spits');
    expect(first(b)).toMatch(/^Mist at the intake joints/);
    b.read('run.air', 'changes');
    expect(b.assessed().moves[0]).toMatchObject({ job: 'intake-joint' });
    expect(open(b).sort()).toEqual(['intake-joint', 'run-again']);
  });
  it('“unknown” afterwards takes nothing away; work on the joints does', () => {
    const b = run(two).read('run.idles', 'spits').wait(0.1).read('run.air', 'changes');
    expect(b.ids()).toContain('run.air:fault');
    b.wait(0.1).read('run.air', 'unknown');
    expect(b.ids()).toContain('run.air:fault');
    expect(b.wait(0.1).done('intake-joint').ids()).not.toContain('run.air:fault');
  });
  it('a two-stroke’s crankcase comes after it, a four-stroke has none to close', () => {
    const spits = run(two).read('run.idles', 'spits').read('run.air', 'same');
    expect(first(spits)).toBe('Short the cylinders out one by one');
    for (const cylinder of [1, 2, 3]) spits.read('run.drop', 'falls', { cylinder });
    expect(first(spits)).toMatch(/^Crankcase closed/);
    expect(among(run(four).read('run.idles', 'spits').read('run.air', 'same'), 9)).not.toMatch(/Crankcase/);
  });
  it('a crankcase that holds says nothing of a cylinder that nobody measured', () => {
    const b = new Bench(two, 'neglected');
    for (const cylinder of [1, 2, 3]) b.read('compression.crankcase', 'held', { cylinder });
    expect(condition(b, 'compression')).not.toBe('sound');
    expect(kinds(b).filter((k) => k.startsWith('compression.crankcase'))).toEqual([]);
    expect(b.read('compression.crankcase', 'reed', { cylinder: 2 }).ids()).toContain('compression.crankcase.2:fault');
  });
  it('a crankcase that holds clears reeds and seals; one that falls is what is opened', () => {
    const b = run(two).read('run.idles', 'spits').read('run.air', 'same');
    for (const cylinder of [1, 2, 3]) b.read('compression.crankcase', 'held', { cylinder });
    expect(open(b)).toEqual(['run-again']);
    expect(chance(b, 'reed-seal')).toBeLessThan(0.1);
    b.read('compression.crankcase', 'seal', { cylinder: 2 });
    expect(open(b)).toContain('crank-seal');
    expect(b.said('compression.crankcase')).toMatch(/cylinder 2 does not hold: it bubbles at a crank seal/);
  });
});

describe('one cylinder does no work', () => {
  it('its plug as it comes out of that run says whether fuel or spark is missing', () => {
    const b = run(two).read('run.drop', 'same', { cylinder: 2 });
    expect(first(b)).toMatch(/^Plug of cylinder 2, as it comes out of the run/);
    const wet = run(two)
      .read('run.drop', 'same', { cylinder: 2 })
      .wait(0.1)
      .read('plugs.read', ['fuel'], { cylinder: 2 });
    expect(among(wet, 2)).toMatch(/Swap the plug of cylinder 2.*Swap the lead of cylinder 2/);
    const dry = run(two)
      .read('run.drop', 'same', { cylinder: 2 })
      .wait(0.1)
      .read('plugs.read', ['dry'], { cylinder: 2 });
    expect(first(dry)).toMatch(/^Bowl off/);
  });
  it.each([
    ['spark.plugSwap', 'plugs', 'plug.2'],
    ['spark.leadSwap', 'lead', 'lead.2'],
    ['spark.coilSwap', 'coil', 'coil.2']
  ] as const)('%s moves: that part is renewed, and nothing further is changed over', (item, job, suspect) => {
    const b = run(two);
    for (const cylinder of [1, 2, 3]) b.read('run.drop', cylinder === 2 ? 'same' : 'falls', { cylinder });
    b.wait(0.1).read('plugs.read', ['fuel'], { cylinder: 2 });
    for (const swap of ['spark.plugSwap', 'spark.leadSwap', 'spark.coilSwap'] as const) {
      b.read(swap, swap === item ? 'moves' : 'stays');
      if (swap === item) break;
    }
    expect(chance(b, suspect)).toBeGreaterThan(0.6);
    expect(open(b)).toContain(job);
    expect(b.assessed().moves[0]).toMatchObject({ job });
    expect(among(b, 9)).not.toMatch(/Swap the/);
  });
  it('where the coil sits on the plug there is no lead to swap', () => {
    const b = run(injected)
      .read('run.drop', 'same', { cylinder: 2 })
      .wait(0.1)
      .read('plugs.read', ['fuel'], { cylinder: 2 });
    expect(among(b, 6)).not.toMatch(/lead/);
    expect(among(b, 3)).toMatch(/Swap the coil of cylinder 2/);
  });
});

describe('a coil on its plug has neither lead nor cap', () => {
  const dead = new Bench(injected);
  for (const cylinder of [1, 2, 3])
    dead.read('spark.result', cylinder === 2 ? 'none' : 'good', {
      cylinder,
      conditions: { path: 'tester', light: 'shade' }
    });
  it('is not suspected, asked about or renewed there', () => {
    dead.read('spark.lanyard', 'yes');
    const { moves, advice, findings } = dead.assessed();
    expect(advice.suspects.map((s) => s.id)).not.toContain('lead.2');
    const said = [...moves.map((m) => m.title), ...findings.map((f) => f.sentence)].join(' · ');
    expect(said).not.toMatch(/\blead\b|\bcap\b|bolt/);
    expect(said).toMatch(/its own coil, then its connector/);
  });
  it('an engine with leads keeps them', () => {
    const b = new Bench(two).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3])
      b.read('spark.result', cylinder === 2 ? 'none' : 'good', {
        cylinder,
        conditions: { path: 'tester', light: 'shade' }
      });
    expect(b.said('spark.none')).toMatch(/its own cap, lead, then coil/);
  });
  it('the tester stands in for the plug; to a bolt, or at the plug, it may be the plug', () => {
    for (const path of ['tester', 'plug'] as const) {
      const b = new Bench(two).read('spark.lanyard', 'yes');
      for (const cylinder of [1, 2, 3])
        b.read('spark.result', cylinder === 2 ? 'none' : 'good', { cylinder, conditions: { path, light: 'shade' } });
      const plug = b.assessed().moves.some((m) => /^Swap its plug/.test(m.title));
      expect(plug, path).toBe(path === 'plug');
      expect(b.said('spark.none')).toMatch(path === 'plug' ? /its own plug, cap/ : /its own cap/);
    }
  });
});

describe('a white plug', () => {
  it('asks for a light on its crown while the plugs are out, and only there', () => {
    const b = new Bench(two).read('turn.result', 'bumps').read('turn.feel', []);
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', cylinder === 2 ? ['white'] : ['normal'], { cylinder });
    const crowns = b.assessed().moves.filter((m) => /is its crown whole/.test(m.title));
    expect(crowns.map((m) => m.cylinder)).toEqual([2]);
    b.read('plugs.hole', 'holed', { cylinder: 2 });
    expect(b.said('plugs.hole-holed')).toMatch(/burnt or holed in cylinder 2/);
    expect(chance(b, 'piston-holed.2')).toBeGreaterThan(0.5);
    // Measured before anything is taken apart for it.
    expect(first(b)).toMatch(/^Compression|^Make it safe/);
    expect(among(b)).not.toMatch(/[Oo]verhaul/);
  });
  it('a whole crown lowers it again', () => {
    const b = new Bench(two);
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', cylinder === 2 ? ['white'] : ['normal'], { cylinder });
    const before = chance(b, 'piston-holed.2');
    b.read('plugs.hole', 'clean', { cylinder: 2 });
    expect(chance(b, 'piston-holed.2')).toBeLessThan(before);
  });
});
