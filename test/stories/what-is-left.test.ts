import { describe, expect, it } from 'vitest';
import { holdOf } from '../hold-cases.ts';
import { Bench } from '../case.ts';
import { caseTest } from '../case-test.ts';
import { jobs, moves, ran, ranWell, readyToRun } from './all-good.ts';
import { magneto, tester, two, v6 } from './engines.ts';
import type { Profile } from '../../src/core/engine/profile.ts';

describe('it dies after minutes, and no trial of the fuel is left', () => {
  const dies = (x: Bench): Bench => x.read('fuel.dies', 'minutes');
  const searched = (b: Bench): Bench =>
    ran(b, 'died', dies)
      .read('fuel.revived', 'no')
      .read('fuel.vacuumSpeed', 2000)
      .read('fuel.floods', 'no')
      .read('fuel.portable', 'same');
  /** Its jets were not seen through: whatever else was good, they are left. */
  const gummed = (): Bench => {
    const b = readyToRun(two, 'neglected', ['fuel']);
    b.read('fuel.level', 'full').read('fuel.age', 0).read('fuel.vent', 'open').read('fuel.shutoff', 'open');
    b.read('fuel.bulb', 'firm').read('fuel.filter', 'clean').read('fuel.couplings', 'tight').read('fuel.choke', 'free');
    return searched(b);
  };

  it('it dies once more with a tester on, and its spark is looked at while it will not run', () => {
    const b = gummed().wait(0.2);
    expect(moves(b)[0]).toBe('Let it die again, a tester on one lead: fuel or spark?');
    ran(b, 'died', dies);
    expect(moves(b)[0]).toBe('Spark at once, while it will not run');
  });
  it('good spark then leaves the fuel, and none asks for its cause before that was seen', () => {
    const b = ran(gummed().wait(0.2), 'died', dies);
    for (const cylinder of [1, 2, 3])
      b.read('spark.result', 'good', { cylinder, conditions: { path: 'tester', light: 'shade', engine: 'warm' } });
    expect(moves(b)[0]).not.toMatch(/Find the cause|Stop|Spark at once/);
    expect(moves(b).slice(0, 2).join(' | ')).not.toMatch(/Let it die again/);
  });
  it('an hour later its spark says nothing of that any more', () => {
    expect(moves(ran(gummed().wait(0.2), 'died', dies).wait(1)).join(' | ')).not.toMatch(/Spark at once/);
  });
  it('with everything that feeds it seen, the finding names no empty list', () => {
    const b = searched(readyToRun(two))
      .read('fuel.bowlLook', 'clean')
      .read('fuel.jets', 'clear')
      .read('fuel.hose', 'supple');
    expect(b.said('fuel.dies')).not.toMatch(/: \.|undefined/);
  });
});

describe('said to die only after a run, everything that feeds it having been seen before', () => {
  it.each([two, { ...magneto, lubrication: 'premix', premixRatio: 50, supply: 'gravity' } as Profile])(
    'what it lacks is seen at the next run',
    (profile) => {
      const b = ranWell(profile).read('fuel.dies', 'minutes');
      expect(moves(b)[0]).toBe('Let it die again, a tester on one lead: fuel or spark?');
    }
  );
});

describe('nobody knows the cause', () => {
  const smoking = (): Bench =>
    ran(readyToRun(two), 'ran', (x) => x.read('run.smoke', 'keeps').read('run.plugAfter', 'dry'));
  const looked = (b: Bench): Bench => {
    for (const cylinder of [1, 2, 3]) b.read('compression.leakdown', 0.05, { cylinder });
    return b.read('run.cause', 'unknown');
  };
  it('it is run again, and what was looked at is not looked at again for the same smoke', () => {
    const b = looked(smoking());
    expect(jobs(b)).toContain('run-again');
    ran(b.wait(0.1).done('run-again'), 'ran', (x) => x.read('run.smoke', 'keeps').read('run.plugAfter', 'dry'));
    expect(moves(b).join(' | ')).not.toMatch(/Leak-down, the water jacket|Find the cause/);
    expect(moves(b)[0]).toMatch(/^Stop: it ends as before/);
  });
  it('something mended between is another engine: it is asked about again', () => {
    const b = looked(smoking()).wait(0.1).done('plugs');
    ran(b, 'ran', (x) => x.read('run.smoke', 'keeps').read('run.plugAfter', 'dry'));
    expect(moves(b).slice(0, 2).join(' | ')).toMatch(/Leak-down.*the jacket/);
    expect(b.assessed().ready).toBe(false);
  });
});

describe('smoke on a rich mixture', () => {
  const premix: Profile = { ...two, lubrication: 'premix', premixRatio: 50 };
  const smoking = (mix: number): Bench =>
    ran(readyToRun(premix).read('fuel.mix', mix), 'ran', (x) =>
      x.read('run.smoke', 'keeps').read('run.plugAfter', 'dry')
    );
  it('it is the oil, until the mixture is right: nothing is opened for it', () => {
    const b = smoking(30);
    expect(b.said('run.smoke')).toContain('30:1 where 50:1 is asked');
    expect(b.said('run.smoke')).not.toContain('is getting in.');
    expect(moves(b)[0]).toBe('Correct the mixture');
    expect(moves(b).join(' | ')).not.toMatch(/Leak-down.*the jacket/);
    expect(b.assessed().ready).toBe(false);
  });
  it('corrected, the same run comes, before anything is looked for', () => {
    const b = smoking(30).done('mix').read('fuel.mix', 50);
    expect(b.said('run.smoke')).toContain('30:1 where 50:1 is asked');
    expect(moves(b).slice(0, 2).join(' | ')).not.toMatch(/Leak-down|Find the cause/);
    ran(b.wait(0.1), 'ran', (x) => x.read('run.smoke', 'keeps').read('run.plugAfter', 'dry'));
    expect(b.said('run.smoke')).toContain('more likely oil than water');
    expect(moves(b).slice(0, 2).join(' | ')).toMatch(/Leak-down.*the jacket/);
  });
  it('a mixture as it belongs explains nothing, nor does a rich one where a plug came out wet', () => {
    expect(smoking(50).said('run.smoke')).toContain('more likely oil than water');
    const wet = smoking(30).read('run.plugAfter', 'wet');
    expect(wet.said('run.smoke')).toContain('water on a plug: it is steam');
    expect(moves(wet)[0]).not.toBe('Correct the mixture');
  });
});

describe('cloudy fuel in the jar', () => {
  const cloudy = (): Bench => readyToRun(two).read('fuel.jar', 'cloudy');
  it('holds the start until a sample has stood', () => {
    expect(holdOf(cloudy(), 'fuel')).toBeDefined();
    expect(moves(cloudy())[0]).toBe('Stand a jar sample and decide');
    expect(moves(cloudy()).slice(0, 2).join(' | ')).not.toMatch(/First run/);
  });
  it('while it stands nobody is asked for it', () => {
    const b = cloudy().done('fuel-doubt').wait(0.05);
    expect(moves(b)[0]).not.toMatch(/sample|jar/);
  });
  it('clear after a quarter of an hour, it was cold or air', () => {
    const b = cloudy().done('fuel-doubt').wait(0.3).read('fuel.jar', 'clear');
    expect(holdOf(b, 'fuel')).toBeUndefined();
    expect(b.ids().join()).not.toContain('fuel.jar:watch');
  });
  it('cloudy still, it is drained and not stood once more', () => {
    const b = cloudy().done('fuel-doubt').wait(0.3).read('fuel.jar', 'cloudy');
    expect(b.ids()).toContain('fuel.jar:fault');
    expect(jobs(b)).toContain('fuel-drain');
    expect(jobs(b)).not.toContain('fuel-doubt');
    expect(holdOf(b, 'fuel')).toBeDefined();
    for (const place of ['tank', 'line', 'bowl'] as const) b.read(`fuel.${place}`, 'fresh');
    expect(holdOf(b, 'fuel')).toBeUndefined();
    expect(b.ids().join()).not.toContain('fuel.jar');
  });
  it('two looks a minute apart are one', () => {
    expect(cloudy().wait(0.02).read('fuel.jar', 'cloudy').ids()).toContain('fuel.jar:watch');
  });
});

describe('work that is done', () => {
  it('setting takes no wear away: a worn linkage is watched then, and not set again', () => {
    const b = readyToRun(two).read('look.linkage', 'worn');
    expect(jobs(b)).toContain('linkage');
    b.done('linkage').read('look.linkage', 'worn').read('turn.forward', 'follows');
    expect(jobs(b)).not.toContain('linkage');
    expect(moves(b).join(' | ')).not.toMatch(/Once more|Stop: done/);
  });
  it('a seal that is tight did not fail because a plug beside it leaks', () => {
    const b = caseTest(new Bench(two).read('gear.first', 'water'), 'high').read('gear.caseBubbles', ['shift']);
    expect(jobs(b)).toContain('reseal');
    caseTest(b.done('reseal').wait(1), 'high').read('gear.caseBubbles', ['plugs']);
    expect(moves(b).join(' | ')).not.toMatch(/Once more: reseal/);
    expect(moves(b)[0]).toMatch(/^A fresh washer for each gear plug/);
    const again = caseTest(b.wait(1), 'high').read('gear.caseBubbles', ['shift']);
    expect(moves(again).join(' | ')).toMatch(/Once more: reseal/);
  });
  it('water whose way in was closed and proved opens no pump for its seal', () => {
    const b = caseTest(readyToRun(two).read('gear.first', 'milky'), 'vacuum').read('gear.caseBubbles', ['plugs']);
    caseTest(b.wait(1).read('gear.washers', 'yes')).read('gear.refill', 'service');
    expect(b.assessed().advice.suspects.find((s) => s.id === 'cover-lip')?.probability ?? 0).toBeLessThan(0.05);
    // What comes in after that is seen again.
    b.wait(200).read('gear.first', 'water');
    expect(b.assessed().advice.suspects.some((s) => s.evidence.some((e) => /water or milk/.test(e.says)))).toBe(true);
  });
  it('no fresh fuel goes through a cracked hose', () => {
    const b = readyToRun(two).read('look.hoses', 'cracked').read('fuel.jar', 'dark');
    const [hoses, drain] = ['hoses', 'fuel-drain'].map((j) => b.assessed().moves.findIndex((m) => m.job === j));
    expect(hoses).toBeGreaterThanOrEqual(0);
    expect(drain).toBeGreaterThan(hoses!);
    expect(b.assessed().moves[drain!]?.waits).toMatch(/hoses/);
  });
});

describe('a gritty engine that is soaking', () => {
  const gritty = (): Bench =>
    new Bench(two)
      .read('turn.plugs', 'in')
      .read('turn.result', 'gritty')
      .read('turn.feel', ['noise'])
      .read('turn.roughNeutral', 'still')
      .read('turn.roughPinion', 'still')
      .read('turn.roughLeg', 'still');
  it('is priced by no specialist before it was turned again', () => {
    const b = gritty().done('soak').wait(1);
    const overhaul = b.assessed().moves.find((m) => m.job === 'overhaul');
    if (overhaul) expect(overhaul.waits).toMatch(/oil has its day/);
    expect(moves(b)[0]).not.toMatch(/Overhaul/);
  });
  it('is turned again as soon as the house’s day is over', () => {
    const b = gritty().done('soak').wait(12.5);
    expect(moves(b).slice(0, 2).join(' | ')).toMatch(/free two days running|a day after the soak/);
  });
});

it('a run that went well asks for none of this', () => {
  expect(moves(ranWell(two)).join(' | ')).not.toMatch(/Find the cause|Stop|Spark at once|mixture/);
});

describe('gear oil at the hub', () => {
  const seen = (): Bench => readyToRun(two).read('look.hub', 'oil');
  it('came by the seal that was renewed since, once the case holds its test', () => {
    const b = caseTest(seen(), 'high').read('gear.caseBubbles', ['propshaft']);
    caseTest(b.done('reseal').wait(1));
    expect(b.ids().join()).not.toContain('look.hub');
    expect(b.wait(10).read('look.hub', 'oil').ids()).toContain('look.hub:watch');
  });
  it('oil filled afresh renews no seal', () => {
    expect(caseTest(seen().wait(1).done('gear-refill').wait(1)).ids()).toContain('look.hub:watch');
  });
  it('with nothing renewed it is watched, whatever the case holds today', () => {
    expect(caseTest(seen().wait(1)).ids()).toContain('look.hub:watch');
  });
});

describe('weak on several at once', () => {
  const weak = (list: readonly number[]): Bench => {
    const b = readyToRun(v6, 'neglected', ['spark']).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3, 4, 5, 6])
      b.read('spark.result', list.includes(cylinder) ? 'weak' : 'good', { cylinder, ...tester });
    return b;
  };
  it('is one cause sooner than many: the ground is tried before a plug or coil of each', () => {
    const b = weak([1, 2, 3]);
    expect(b.ids()).toContain('spark.weak-several:watch');
    expect(b.ids().join()).not.toMatch(/spark\.weak\.\d/);
    expect(moves(b)[0]).toBe('Tester on bright metal: does it get stronger?');
    expect(jobs(b)).not.toContain('spark-own');
    expect(jobs(b)).not.toContain('ground');
  });
  it('stronger then, the ground is cleaned; and weak after that, it is each by itself', () => {
    const b = weak([1, 2, 3]).read('spark.groundWire', 'returns');
    expect(jobs(b)).toContain('ground');
    expect(jobs(b)).not.toContain('spark-own');
    b.done('ground').wait(0.2);
    for (const cylinder of [1, 2, 3]) b.read('spark.result', 'weak', { cylinder, ...tester });
    expect(b.ids()).toContain('spark.weak.1:watch');
  });
  it('as weak then, it is each by itself; and one alone never was anything else', () => {
    expect(weak([1, 2, 3]).read('spark.groundWire', 'still').ids()).toContain('spark.weak.1:watch');
    expect(weak([2]).ids()).toContain('spark.weak.2:watch');
  });
  it('two are several though a third was never seen, or could not be told', () => {
    const b = readyToRun(two, 'neglected', ['spark']).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2]) b.read('spark.result', 'weak', { cylinder, ...tester });
    expect(b.ids()).toContain('spark.weak-several:watch');
    b.read('spark.result', 'unknown', { cylinder: 3, ...tester });
    expect(b.ids()).toContain('spark.weak-several:watch');
    expect(jobs(b)).not.toContain('spark-own');
  });
  it('on all of them the ground is tried before it is cleaned', () => {
    const b = weak([1, 2, 3, 4, 5, 6]);
    expect(jobs(b)).not.toContain('ground');
    expect(moves(b)[0]).toMatch(/^Tester on bright metal/);
    expect(jobs(b.read('spark.groundWire', 'returns'))).toContain('ground');
  });
});
