import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { holdOf } from '../hold-cases.ts';
import { Bench } from '../case.ts';
import { jobs, moves, ranWell, readyToRun } from './all-good.ts';

/** What is found on an engine that is otherwise looked at and good: it has a next step of its own, and the run waits where it has to. */
const two: Profile = {
  strokes: 'two',
  cylinders: 2,
  fuelSystem: 'carburettor',
  supply: 'bulb',
  ignition: 'cdi',
  starting: 'both',
  lubrication: 'premix',
  premixRatio: 50,
  shift: 'shift'
};
const four: Profile = { ...two, strokes: 'four', lubrication: 'sump', starting: 'electric' };

describe('a crown seen burnt or holed, and tight by leak-down', () => {
  const once = (): Bench => readyToRun(two).read('plugs.hole', 'holed', { cylinder: 1 });
  it('one of the two is wrong: it is looked into again before anything runs', () => {
    const b = once();
    expect(b.ids()).toContain('plugs.hole-holed.1:cannot-tell');
    expect(moves(b)[0]).toMatch(/^A bright light into the bore of cylinder 1 again/);
    expect(b.assessed().moves.find((m) => m.id === 'look:run')?.waits).toMatch(/a crown seen burnt or holed/);
    expect(holdOf(b, 'crown')).toMatchObject({ blocks: ['start', 'release'] });
  });
  it('clean at that look, nothing is left but the contradiction; burnt again, it is burnt and not through', () => {
    expect(holdOf(once().wait(1).read('plugs.hole', 'clean', { cylinder: 1 }), 'crown')).toBeUndefined();
    const again = once().wait(1).read('plugs.hole', 'holed', { cylinder: 1 });
    expect(again.ids()).toContain('plugs.hole-holed.1:watch');
    expect(again.said('plugs.hole-holed')).toMatch(/burnt, and not through/);
    expect(holdOf(again, 'crown')).toBeUndefined();
  });
  it('is no reason to run it: nothing is run to find out what running it would break', () => {
    const again = once().wait(1).read('plugs.hole', 'holed', { cylinder: 1 });
    expect(again.assessed().moves.find((m) => m.id === 'look:run')?.because).not.toMatch(/[Dd]ecisive/);
  });
  it('a piston renewed lifts it, as does no leak-down that says nothing', () => {
    expect(holdOf(once().done('overhaul'), 'crown')).toBeUndefined();
    const untold = new Bench(two).read('plugs.hole', 'holed', { cylinder: 1 });
    expect(holdOf(untold.read('compression.leakdown', 'unknown', { cylinder: 1 }), 'crown')).toBeDefined();
  });
});

describe('a bulb that goes soft slowly, every joint dry and the bowl clean', () => {
  const slow = (): Bench => readyToRun(two).read('fuel.floods', 'slow');
  const pumped = (b: Bench, to: number): Bench =>
    b.read('fuel.needleFrom', 50e3).read('fuel.needleTo', to).read('fuel.needleTime', 1);
  it('its needle is pumped up: no bowl is stripped for a feeling in the hand', () => {
    expect(moves(slow())[0]).toMatch(/^Needle shut under a hand pump/);
    expect(jobs(slow())).not.toContain('bowl');
  });
  it('holds, and it was no fault; falls, and the bowl comes off', () => {
    expect(pumped(slow(), 50e3).ids().join()).not.toMatch(/fuel\.floods/);
    expect(jobs(pumped(slow(), 30e3))).toContain('bowl');
  });
});

describe('engine oil that smells of fuel', () => {
  it('after the run it is dipped twice, and what has not risen is told to be so', () => {
    expect(moves(readyToRun(four).read('oil.smell', 'fuel')).join()).not.toMatch(/has it risen/);
    const ran = ranWell(four).read('oil.smell', 'fuel');
    const again = ran.read('run.event', 'start').wait(0.3).read('run.outcome', 'ran').read('run.event', 'stop').wait(1);
    expect(moves(again)).toContain('Dip twice after the run: has it risen?');
    const dipped = again.read('oil.dip', 'between').read('oil.dip', 'between');
    expect(dipped.ids()).toContain('oil.smell:sound');
    expect(again.read('oil.dip', 'above').read('oil.dip', 'above').ids()).not.toContain('oil.smell:sound');
  });
});

describe('a main fuse that is blown', () => {
  const blown = (profile: Profile): Bench =>
    readyToRun(profile, 'neglected', ['spark', 'compression']).read('look.wiring', 'fuse');
  const spark = (b: Bench) => b.assessed().moves.find((m) => m.id === 'look:spark');
  it('where nothing else turns it, what is cranked for waits for the fuse', () => {
    expect(spark(blown(four))?.waits).toMatch(/why the main fuse blew/);
    expect(moves(blown(four))[0]).toMatch(/wires and connectors/i);
    expect(spark(blown(two))?.waits).toBeUndefined();
  });
  it('it turns through its circuit, or has its new one: nothing waits', () => {
    expect(spark(blown(four).read('plugs.starterCircuit', 'turns'))?.waits).toBeUndefined();
    expect(spark(blown(four).done('wiring'))?.waits).toBeUndefined();
  });
});

describe('bubbles in a hose that fuel falls through', () => {
  const falls = (level: 'some' | 'empty'): Bench =>
    readyToRun({ ...two, supply: 'gravity' })
      .read('fuel.level', level)
      .read('fuel.hose', 'bubbles');
  it('no joint can be tried under vacuum: with fuel over the tap it is the hose, and has its work', () => {
    expect(jobs(falls('some'))).toContain('fuel-line');
    expect(jobs(falls('empty'))).not.toContain('fuel-line');
  });
});

describe('water in a cylinder of an engine that was not under, and out again', () => {
  const was = (b: Bench = readyToRun(two)): Bench =>
    b.read('plugs.hole', 'water', { cylinder: 1 }).wait(1).read('plugs.hole', 'clean', { cylinder: 1 });
  const run = (b: Bench): Bench =>
    b
      .read('run.event', 'start')
      .wait(0.2)
      .read('run.stream', 'strong')
      .read('run.outcome', 'ran')
      .read('run.event', 'stop');
  it('where it came from is still asked: the run may go on, and a plug is looked at after it', () => {
    expect(was().ids()).toContain('plugs.water-was:cannot-tell');
    expect(was().holds()).toEqual([]);
    expect(moves(was()).join()).not.toMatch(/A plug out after the run/);
    expect(moves(run(was()))).toContain('A plug out after the run: water on it?');
  });
  it('dry after the run, or its way in closed: it is answered', () => {
    expect(run(was()).read('run.plugAfter', 'dry').ids().join()).not.toMatch(/water-was/);
    expect(was().done('head-gasket').ids().join()).not.toMatch(/water-was/);
    // Dry before that run says nothing of it, and neither does a look that could not tell.
    expect(run(was().read('run.plugAfter', 'dry')).ids()).toContain('plugs.water-was:cannot-tell');
    expect(run(was()).read('run.plugAfter', 'unknown').ids()).toContain('plugs.water-was:cannot-tell');
  });
  it('turned out of the holes, its cylinder is not known; on the plug alone it is', () => {
    const turned = readyToRun(two).read('turn.water', 'some').wait(1).read('turn.water', 'none');
    expect(turned.said('plugs.water-was')).toMatch(/^Water was in the plug holes/);
    const plug = readyToRun(two).read('plugs.read', ['water'], { cylinder: 2 }).wait(1);
    expect(plug.ids().join()).not.toMatch(/water-was/);
    expect(plug.read('plugs.read', ['normal'], { cylinder: 2 }).said('plugs.water-was')).toMatch(/in cylinder 2/);
  });
  it('of an engine that was under everybody knows', () => {
    const b = new Bench(two, 'drowned', { submerged: 'yes', runningWhenSunk: 'no' });
    expect(was(b).ids().join()).not.toMatch(/water-was/);
  });
});

describe('what comes and goes by itself is looked at once more', () => {
  it.each([
    ['turn.neutral', 'drives', 'spins'],
    ['turn.forward', 'slips', 'follows'],
    ['turn.reverse', 'slips', 'follows'],
    ['spark.stray', 'cap', 'none'],
    ['plugs.starterCircuit', 'nothing', 'turns'],
    ['fuel.floods', 'yes', 'no'],
    ['cooling.backward', 'yes', 'no'],
    ['cooling.drill', 'nothing', 'pumps']
  ] as const)('%s: “%s”, and “%s” with nothing done', (what, bad, good) => {
    const at = what === 'spark.stray' ? { cylinder: 1 } : {};
    const again = readyToRun(two)
      .wait(1)
      .read(what, bad as never, at)
      .wait(1)
      .read(what, good as never, at);
    const id = what.replace('.', '.again-');
    expect(again.ids().join()).toContain(`${id}`);
    expect(moves(again)[0]).toMatch(/^Once more/);
    expect(
      again
        .wait(1)
        .read(what, good as never, at)
        .ids()
        .join()
    ).not.toContain(id);
  });
});

describe('figures that cannot be of a sound engine, or of no engine', () => {
  it('more engine oil than the sump takes: what was too much is smelt before it is poured away', () => {
    const out = (litres: number): Bench =>
      new Bench({ ...four, cylinders: 4, sumpWithFilter: 4e-3 }).read('oil.drained', litres * 1e-3);
    expect(out(6).ids()).toContain('oil.came-over:cannot-tell');
    expect(moves(out(6)).join()).toMatch(/Smell what came out/);
    expect(out(4.2).ids().join()).not.toMatch(/came-over/);
    expect(out(6).read('oil.smell', 'unknown').ids()).toContain('oil.came-over:cannot-tell');
    expect(out(6).read('oil.smell', 'oil').ids().join()).not.toMatch(/came-over/);
    // Smelling of fuel it was thinned: after the run with fresh oil it is dipped again.
    const fresh = out(6).read('oil.smell', 'fuel').read('oil.sump', 'drained').read('oil.poured', 4e-3).wait(1);
    fresh.read('oil.dip', 'between').read('oil.dip', 'between').read('run.event', 'start').wait(0.3);
    expect(fresh.read('run.outcome', 'ran').ids()).toContain('oil.diluted-before:cannot-tell');
  });
  it('twice what a rail works at is the gauge first, and then what lets nothing back', () => {
    const rail = (...kPa: number[]): Bench =>
      kPa.reduce((b, p) => b.wait(0.2).read('fuel.rail', p * 1e3), new Bench({ ...four, fuelSystem: 'electronic' }));
    expect(rail(900).ids()).toContain('fuel.rail:cannot-tell');
    expect(moves(rail(900))[0]).toMatch(/^Rail pressure again: the gauge/);
    expect(jobs(rail(900))).not.toContain('rail');
    expect(rail(900, 910).ids()).toContain('fuel.rail:fault');
    expect(jobs(rail(900, 910))).toContain('rail');
    expect(rail(300).ids()).toContain('fuel.rail:sound');
    const direct = new Bench({ ...four, fuelSystem: 'direct' }).read('fuel.rail', 6e6);
    expect(direct.ids()).toContain('fuel.rail:cannot-tell');
    expect(direct.said('fuel.rail')).toMatch(/only the manual knows/);
  });
  it('an idle that no outboard has is wrong without its manual, and comes before anything else', () => {
    const idles = (rpm: number): Bench => ranWell(two).read('run.idle', rpm);
    expect(idles(3000).ids()).toContain('run.idle:watch');
    expect(moves(idles(3000))[0]).toMatch(/^Throttle linkage and stop screw/);
    expect(idles(300).ids()).toContain('run.idle:watch');
    expect(idles(800).ids()).toContain('run.idle:cannot-tell');
    expect(idles(3000).wait(0.1).read('run.idle', 800).ids()).toContain('run.idle:cannot-tell');
  });
  it('water in the jar has the fuel drained: its age is not asked any more, and no other jar', () => {
    const water = new Bench(two).read('fuel.jarWater', 0.3);
    expect(moves(water).join()).not.toMatch(/How old the fuel is|Fuel into a clear jar/);
    expect(jobs(water)).toContain('fuel-drain');
    expect(moves(new Bench(two).read('fuel.bulb', 'firm')).join()).toMatch(/How old the fuel is/);
  });
  it('a leak-down of everything is one that a tester shows', () => {
    const b = new Bench(two).read('compression.leakdown', 1, { cylinder: 1 });
    expect(b.ids()).toContain('compression.leakdown.1:fault');
  });
});
