import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves } from './all-good.ts';
import { four, magneto, tester, two } from './engines.ts';

describe('water in a cylinder is turned out once', () => {
  const wet = (): Bench => new Bench(four).read('turn.water', 'some');
  it('the hold asks for no more than the turning does, until no more comes', () => {
    const looks = wet()
      .assessed()
      .moves.filter((m) => m.kind !== 'job' && /holes lowest/.test(m.title));
    expect(looks.map((m) => m.title)).toEqual(['Turn by hand, holes lowest, until no more water comes']);
  });
  it('ticked off, its proof is the one thing that is asked for', () => {
    const b = wet().done('empty-cylinders');
    expect(moves(b)[0]).toBe('Prove it: nothing more out of the plug holes');
    expect(moves(b).filter((m) => /holes lowest/.test(m))).toEqual([]);
    expect(b.holds()).toContain('liquid');
  });
});

describe('a clean carburettor', () => {
  it('is not proved on the watered fuel that is still in the tank', () => {
    const b = new Bench(four, 'neglected', { yearsIdle: 3 })
      .read('fuel.jar', 'clear')
      .read('fuel.bowlLook', 'gummed')
      .done('carburettor')
      .read('fuel.jar', 'layers');
    const proof = b.assessed().moves.find((m) => m.id === 'proof:carburettor');
    expect(proof?.waits).toMatch(/^First: drain tank, line, filter and bowl/);
  });
});

describe('oil before the first spin', () => {
  const scored = (): Bench =>
    new Bench(two, 'neglected', { yearsIdle: 3 }).read('plugs.hole', 'scored', { cylinder: 2 });
  it('goes into bores that stood, and not into those of an engine that has run here', () => {
    expect(scored().ids()).toContain('plugs.dry-bores:watch');
    expect(scored().read('run.drop', 'unknown', { cylinder: 2 }).ids()).toContain('plugs.dry-bores:watch');
    expect(scored().read('run.drop', 'falls', { cylinder: 2 }).ids()).not.toContain('plugs.dry-bores:watch');
    expect(scored().read('run.smoke', 'keeps').ids()).not.toContain('plugs.dry-bores:watch');
  });
});

describe('smoke that keeps coming', () => {
  const smokes = (): Bench => new Bench(two).read('run.outcome', 'ran').read('run.smoke', 'keeps');
  it('asks for the plugs until they were looked at, and speaks of oil where there was no water on them', () => {
    expect(smokes().said('run.smoke')).toMatch(/Look at the plugs after running/);
    const dry = smokes().read('run.plugAfter', 'dry');
    expect(dry.said('run.smoke')).toMatch(/more likely oil than water/);
    expect(dry.said('run.smoke')).not.toMatch(/Look at the plugs/);
    expect(moves(dry).join()).not.toMatch(/the water jacket watched/);
    expect(smokes().read('run.plugAfter', 'wet').said('run.smoke')).toMatch(/it is steam/);
  });
});

describe('a charge coil outside its figure', () => {
  it('is not bought while nobody has seen whether it sparks', () => {
    const b = new Bench({ ...magneto, ignition: 'cdi' }).read('spark.chargeTest', 'outside');
    b.read('spark.chargeTest', 'outside');
    expect(b.ids()).toContain('spark.part-charge:cannot-tell');
    expect(jobs(b)).not.toContain('coil');
    expect(moves(b).slice(0, 2).join()).toMatch(/Spark/);
  });
});

describe('a drowned engine', () => {
  const sunk = (): Bench =>
    new Bench(four, 'drowned', { submerged: 'yes', water: 'salt', runningWhenSunk: 'no', hoursUnder: 3 });
  it('is cranked for nothing, under whatever name it is asked for', () => {
    const b = sunk().read('plugs.volts', 9.1);
    const cranks = b.assessed().moves.filter((m) => /^Crank|charged battery|under load/.test(m.title));
    expect(cranks.length).toBeGreaterThan(0);
    for (const m of cranks) expect([m.title, m.waits === undefined]).toEqual([m.title, false]);
  });
  it('whose rinsing was ticked and not noted is asked for that once', () => {
    const list = sunk().read('safe.battery', 'off').done('rinse').assessed().moves;
    expect(list.filter((m) => /rinse/i.test(m.title)).map((m) => m.id)).toEqual(['drowned:rinse']);
  });
  it('with milky oil is drained by its protocol, and not by a job besides', () => {
    const b = sunk().read('safe.battery', 'off').read('safe.lanyard', 'out').read('safe.rinsed', 'yes');
    b.read('oil.look', 'milky');
    const list = b.assessed().moves;
    expect(list.some((m) => m.id === 'drowned:sump')).toBe(true);
    expect(list.some((m) => m.class === 5 && m.job === 'sump-water')).toBe(false);
    expect(jobs(b)).toContain('sump-water');
  });
});

describe('stopped with its head on the way past the limit', () => {
  it('nobody is asked how it ran', () => {
    const K = 273.15;
    const b = new Bench(four).read('run.event', 'start').read('run.stream', 'strong');
    for (const t of [44, 64, 80]) b.read('run.temperature', K + t, { conditions: { spot: 'head' } });
    b.read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'other');
    expect(b.ids()).toContain('run.heat:fault');
    expect(moves(b).join()).not.toMatch(/Say how it ran/);
    expect(moves(b)[0]).toBe('Intake screens');
  });
});

describe('a case test that was ticked off while it bubbles at a stage that nobody noted', () => {
  const b = new Bench(two).read('gear.caseBubbles', ['carrier']).done('case-test');
  it('asks for that stage, and not for a test that held besides', () => {
    expect(b.ids()).toContain('gear.bubbles:fault');
    const tests = b.assessed().moves.filter((m) => m.id === 'proof:case-test' || /^Case test/.test(m.title));
    expect(tests.map((m) => m.title)).toEqual(['Case test: the stage again at which it bubbles, shafts turned']);
  });
});

describe('an empty tank whose fuel has to come out first', () => {
  const open = (b: Bench): string[] => jobs(b).filter((id) => id.startsWith('fuel-'));
  it('of a drowned engine, or with water in its filter, is filled by the draining of it', () => {
    const drowned = new Bench(two, 'drowned', { submerged: 'yes', hoursUnder: 5 });
    const watered = new Bench(two).read('fuel.filter', 'water');
    for (const b of [drowned, watered]) {
      b.read('fuel.age', 1).read('fuel.chokeOnly', 'yes').read('fuel.level', 'empty');
      expect(b.ids()).toContain('fuel.starved-empty:fault');
      expect(open(b)).toEqual(['fuel-drain']);
      expect(moves(b)).not.toContain('Fill the tank');
    }
  });
  it('is filled once a cloudy jar has said whether it has to come out', () => {
    const b = new Bench(two).read('fuel.age', 1).read('fuel.level', 'empty').read('fuel.jar', 'cloudy');
    expect(open(b)).not.toContain('fuel-fill');
    expect(open(b.wait(0.5).read('fuel.jar', 'clear'))).toContain('fuel-fill');
  });
  it('with nothing wrong in it is filled', () => {
    const b = new Bench(two).read('fuel.age', 1).read('fuel.chokeOnly', 'yes').read('fuel.level', 'empty');
    expect(open(b)).toEqual(['fuel-fill']);
  });
});

describe('a weak spark whose condenser was found', () => {
  const weak = (): Bench => new Bench(magneto).read('spark.result', 'weak', { cylinder: 1, ...tester });
  it('is searched among its own parts, until a good condenser brought it back: then that is renewed, and lead and coil wait', () => {
    expect(jobs(weak())).toContain('spark-own');
    const found = new Bench(magneto).read('spark.condenserSwap', 'returns');
    found.read('spark.result', 'weak', { cylinder: 1, ...tester });
    expect(jobs(found)).toContain('points');
    expect(jobs(found)).not.toContain('spark-own');
    // Renewed, and as weak as before: its own parts are next again.
    expect(jobs(found.done('points').read('spark.result', 'weak', { cylinder: 1, ...tester }))).toContain('spark-own');
  });
});

describe('an engine that runs on its choke only', () => {
  const jets = (b: Bench): number => b.assessed().advice.suspects.find((s) => s.id === 'jets')?.probability ?? 0;
  it('has a gummed jet sooner than anything, and less so once what starves it is seen', () => {
    const b = new Bench(two).read('fuel.chokeOnly', 'yes');
    const alone = jets(b);
    expect(b.assessed().advice.suspects[0]?.id).toBe('jets');
    expect(jets(b.read('fuel.pickup', 'blocked'))).toBeLessThan(alone - 0.2);
  });
});

describe('a drowned engine that is locked', () => {
  it('has its battery off before a hand soaks its bores', () => {
    const b = new Bench(two, 'drowned', { submerged: 'yes', hoursUnder: 3 })
      .read('turn.plugs', 'out')
      .read('turn.result', 'locked');
    for (const item of ['turn.lockNeutral', 'turn.lockPinion', 'turn.lockLeg'] as const) b.read(item, 'still');
    expect(
      b
        .assessed()
        .moves.slice(0, 2)
        .map((m) => m.id)
    ).toEqual(['drowned:safe', 'job:soak']);
  });
});
