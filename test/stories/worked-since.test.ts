import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves, ran, ranWell, readyToRun } from './all-good.ts';
import { four, open, two } from './engines.ts';

describe('a propeller that dragged warm', () => {
  it('and drags after the linkage was set has failed its proof, warm or cold', () => {
    const b = ranWell(two)
      .read('turn.neutral', 'drags')
      .read('turn.forward', 'follows')
      .read('turn.reverse', 'follows');
    expect(jobs(b)).toContain('linkage');
    b.done('linkage')
      .wait(2)
      .read('turn.neutral', 'drags')
      .read('turn.forward', 'follows')
      .read('turn.reverse', 'follows');
    expect(b.ids()).toContain('turn.shift:fault');
    expect(moves(b)[0]).toMatch(/Shift rod: does it follow/);
    expect(moves(b).join(' | ')).toMatch(/Once more: set the shift linkage|Stop: done/);
  });
});

describe('run again, and something else shows', () => {
  const kicks = (b: Bench): Bench => ran(b.wait(0.1), 'ran', (x) => x.read('run.idles', 'kicks'));
  it('is a new symptom with a search of its own, and not the old one in vain', () => {
    const b = ran(readyToRun(two), 'died', (x) => x.read('fuel.dies', 'minutes')).read('run.cause', 'hose cracked');
    kicks(b.done('hoses').done('run-again'));
    expect(moves(b).slice(0, 3).join(' | ')).toMatch(/Flywheel mark/);
    b.read('spark.keyLook', 'sound').read('spark.timing', 5);
    expect(moves(b).join(' | ')).not.toMatch(/^Stop: it ends as before/);
  });
  it('with its cause not known, nobody is told to cure one', () => {
    const b = kicks(readyToRun(two))
      .read('spark.keyLook', 'sound')
      .read('spark.timing', 5)
      .read('run.cause', 'unknown');
    expect(moves(b).join(' | ')).toContain('Make the same run again');
    expect(moves(b).join(' | ')).not.toContain('Cure the cause');
  });
});

describe('a lamp of which two thermometers say that it is no heat', () => {
  const lit = (): Bench =>
    readyToRun(two)
      .read('run.event', 'start')
      .wait(0.15)
      .read('run.lamp', 'came')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'lamp')
      .read('run.event', 'stop')
      .read('run.second', 'normal');
  it('with a new sender it is run again: no thermometer tells more of it at a standing engine', () => {
    const b = lit();
    expect(moves(b)[0]).toBe('New temperature sender or switch');
    b.wait(0.1).done('heat-sender');
    expect(moves(b).slice(0, 2).join(' | ')).not.toMatch(/second thermometer|Find the cause/);
    expect(b.holds()).toContain('run');
  });
});

it('a chain jumps no belt', () => {
  const chained = new Bench({ ...four, camDrive: 'chain' })
    .read('run.outcome', 'failed')
    .read('plugs.read', ['fuel'], { cylinder: 1 });
  expect(chained.assessed().advice.suspects.map((s) => s.id)).not.toContain('belt');
});

describe('an engine that is locked by its leg', () => {
  const locked = (): Bench =>
    new Bench(two)
      .read('turn.plugs', 'out')
      .read('turn.result', 'locked')
      .read('turn.lockNeutral', 'still')
      .read('turn.lockPinion', 'still')
      .read('turn.lockLeg', 'free');
  it('with the leg off its pump is opened before the gear case, and no shafts are turned for a case test', () => {
    const b = locked().read('gear.first', 'water').read('gear.look', 'milky').read('gear.drained', 500e-6);
    expect(moves(b).slice(0, 3)).toContain('Open the water pump');
    expect(moves(b).slice(0, 3).join(' | ')).not.toMatch(/Case test/);
  });
  it('after work on the leg it is turned by hand before anything else is opened', () => {
    const b = locked().read('gear.first', 'oil').read('cooling.housing', 'melted').wait(0.5).done('pump');
    expect(moves(b).slice(0, 2)).toContain('Turn it by hand again, after the work on the leg');
  });
  it('locked still after its case was opened, that failed, and is not looked at again and again', () => {
    const b = locked()
      .read('gear.first', 'oil')
      .read('cooling.housing', 'good')
      .read('cooling.set', 1)
      .wait(2)
      .done('metal')
      .wait(2);
    b.read('turn.plugs', 'out')
      .read('turn.result', 'locked')
      .read('turn.lockNeutral', 'still')
      .read('turn.lockPinion', 'still')
      .read('turn.lockLeg', 'free');
    expect(moves(b).join(' | ')).toMatch(/Stop: done and not cured: open the gear case/);
    expect(moves(b)[0]).not.toMatch(/^Free without grit/);
  });
});

describe('fuel dripped in the run, and nobody could tell from where', () => {
  const leaking = (): Bench =>
    ran(readyToRun(two), 'ran', (x) => x.read('run.leaks', 'fuel'))
      .read('run.leakAt', 'unknown')
      .read('fuel.hose', 'unknown')
      .read('fuel.couplings', 'unknown')
      .read('fuel.floods', 'unknown')
      .read('fuel.pump', 'unknown')
      .read('run.cause', 'unknown');
  it('it is not started again, and not asked for its cause again either', () => {
    const [first] = leaking()
      .assessed()
      .moves.filter((m) => !m.waits);
    expect(leaking().holds()).toContain('fuel-escapes');
    expect(first!.job).not.toBe('run-again');
    expect(first!.title).not.toMatch(/where it drips found|Find the cause/i);
    const again = leaking()
      .assessed()
      .moves.find((m) => m.job === 'run-again');
    if (again) expect(again.waits).toBeTruthy();
    expect(moves(leaking()).join(' | ')).toMatch(/Stop: it may come again/);
  });
});

describe('worked on after its run', () => {
  const through = [
    'carburettor',
    'head-gasket',
    'pump',
    'coil',
    'thermostat',
    'lash',
    'spark-common',
    'fuel-pump',
    'reseal'
  ] as const;
  it.each(through)('%s: the run before it is of the engine before it', (job) => {
    const b = ranWell(two).wait(1).done(job);
    expect(b.ids()).toContain('run.reopened:cannot-tell');
    expect(moves(b).join(' | ')).toContain('Run it again, watched: it was worked on since');
    expect(b.assessed().gates.find((g) => g.id === 'station.run')?.passes).toBe(false);
    ran(b.wait(1), 'ran', (x) => x.read('run.minutes', 15));
    expect(b.ids().join()).not.toContain('run.reopened');
  });
  it.each(['anodes', 'mounts', 'plugs', 'battery', 'propeller', 'gear-refill'] as const)(
    '%s asks for no other run',
    (job) => {
      expect(ranWell(two).wait(1).done(job).ids().join()).not.toContain('run.reopened');
    }
  );
  it('laid up, it runs in spring', () => {
    const b = new Bench(two, 'lay-up')
      .read('run.event', 'start')
      .wait(0.3)
      .read('run.outcome', 'ran')
      .read('run.minutes', 15);
    expect(b.wait(1).done('pump').ids().join()).not.toContain('run.reopened');
  });
});

describe('water on a plug after a run, and the way in was mended', () => {
  const mended = (): Bench => {
    const b = ran(readyToRun(two), 'ran', (x) => x.read('run.smoke', 'keeps').read('run.plugAfter', 'wet'));
    for (const cylinder of [1, 2, 3]) b.read('compression.leakdown', 0.05, { cylinder });
    return b.wait(1).done('water-in').wait(1);
  };
  it('no plug is looked at before it ran again', () => {
    expect(moves(mended()).join(' | ')).not.toMatch(/A plug out after the run|Look again after the run/);
    expect(moves(mended()).join(' | ')).toMatch(/[Rr]un it again|repeat the first run|Make the same run again/);
  });
  it('a dry plug at the standing engine opens nothing', () => {
    const b = mended()
      .read('run.plugAfter', 'dry')
      .read('run.smoke', 'none')
      .read('run.leaks', 'none')
      .read('run.cause', 'gasket');
    expect(b.assessed().gates.find((g) => g.id === 'station.run')?.passes).toBe(false);
    expect(b.assessed().ready).toBe(false);
  });
});

describe('grit that sat in the gears', () => {
  const gritty = (): Bench =>
    new Bench(two)
      .read('turn.plugs', 'in')
      .read('turn.result', 'gritty')
      .read('turn.roughNeutral', 'smooth')
      .read('gear.magnet', 'pieces')
      .wait(1);
  it('is gone with the work on them: no bore is soaked for it', () => {
    const b = gritty()
      .done('metal')
      .wait(2)
      .read('gear.explained', 'yes')
      .read('turn.result', 'bumps')
      .read('turn.bumps', 3);
    expect(b.ids().join()).not.toMatch(/turn\.(again|gritty)/);
    expect(jobs(b)).not.toContain('soak');
  });
  it('oil filled afresh hides grit as well: it is turned again the next day', () => {
    const b = gritty().done('gear-refill').wait(2).read('turn.result', 'bumps').read('turn.bumps', 3);
    expect(b.ids()).toContain('turn.again:watch');
  });
  it('with nothing done to them a smooth turn is made again the next day', () => {
    expect(gritty().wait(2).read('turn.result', 'bumps').ids()).toContain('turn.again:watch');
  });
});

describe('air past the rings, and a soak', () => {
  const leaking = (): Bench => {
    const b = readyToRun(two, 'neglected', ['compression']);
    for (const [cylinder, bar] of [
      [1, 8.3],
      [2, 5.6],
      [3, 8.2],
      [2, 5.6]
    ] as const)
      b.read('compression.pressure', bar * 1e5, { cylinder, ...open });
    return b
      .read('compression.leakdown', 0.32, { cylinder: 2 })
      .read('compression.escape', ['crankcase'], { cylinder: 2 });
  };
  const again = (b: Bench): Bench =>
    b.read('compression.leakdown', 0.32, { cylinder: 2 }).read('compression.escape', ['crankcase'], { cylinder: 2 });
  it('is not read while the oil has its day', () => {
    expect(jobs(leaking())).toContain('soak');
    const b = leaking().done('soak').wait(0.5);
    expect(
      b
        .assessed()
        .moves.filter((m) => !m.waits)
        .map((m) => m.title)
        .join(' | ')
    ).not.toMatch(/Leak-down|Compression again/);
  });
  it('read all the same, it condemns no bore: it leaks as before, and is read again when the day is over', () => {
    const b = again(leaking().done('soak').wait(0.5));
    expect(b.ids()).toContain('compression.leakdown-rings.2:fault');
    expect(jobs(b)).not.toContain('air-cause');
    expect(b.ids().join()).not.toMatch(/leakdown-(bore|overhaul)/);
    expect(jobs(b)).not.toContain('overhaul');
    expect(moves(b.wait(14)).join(' | ')).toMatch(/Turn it by hand again|a day after the soak/);
  });
  it('read when the day is over, it says that the soak did not help', () => {
    expect(again(leaking().done('soak').wait(14)).ids().join()).toMatch(/leakdown-(bore|overhaul).2:fault/);
  });
});

describe('a leak read off the pulls', () => {
  const gauge = { instrument: { name: 'gauge', valve: 'plug end', resolution: 3447 } } as const;
  const read = (): Bench => {
    const b = readyToRun(two, 'neglected', ['compression']);
    for (const [cylinder, bar] of [
      [1, 8.62],
      [2, 8.55],
      [3, 7.72]
    ] as const)
      // prettier-ignore
      b.read('compression.pressure', bar * 1e5, { cylinder, ...open, ...gauge });
    return b;
  };
  const found = (b: Bench): string =>
    b
      .assessed()
      .findings.map((f) => `${f.id}:${f.condition}`)
      .join();
  it('is measured as air before anybody answers for it, and is closed by a tight one', () => {
    const b = read();
    expect(found(b)).toContain('compression.leak.3:watch');
    expect(moves(b).join(' | ')).toMatch(/Leak-down of cylinder 3/);
    b.read('compression.leakdown', 0.05, { cylinder: 3 });
    expect(found(b)).not.toContain('compression.leak.3:watch');
  });
  it('stands where the air agrees', () => {
    expect(found(read().read('compression.leakdown', 0.3, { cylinder: 3 }))).toContain('compression.leak.3:watch');
  });
});

describe('kicks back, and a belt drives its valves', () => {
  const kicks = (camDrive: 'belt' | 'chain'): Bench =>
    ran(readyToRun({ ...four, camDrive }, 'neglected', ['turn']), 'ran', (x) => x.read('run.idles', 'kicks'))
      .read('spark.keyLook', 'sound')
      .read('spark.timing', 5);
  it('its marks are looked at, and one that jumped is the cause', () => {
    const b = kicks('belt');
    expect(moves(b)[0]).toBe('Timing belt and its marks');
    b.read('turn.belt', 'slack');
    expect(moves(b).join(' | ')).not.toMatch(/Find the cause/);
    expect(moves(b)[0]).toMatch(/^Timing belt: check the marks/);
    expect(b.done('belt').read('turn.belt', 'renewed').said('run.kicks')).toContain('make the same run again');
  });
  it('a chain has none', () => {
    expect(moves(kicks('chain')).join(' | ')).not.toMatch(/Timing belt/);
  });
});

describe('line vacuum on another tank, before the line was mended', () => {
  const high = (b: Bench): Bench => b.read('fuel.vacuumSpeed', 20_000).read('fuel.vacuumPortable', 19_000);
  it('was of the line as it was: low since, it contradicts nothing', () => {
    const b = high(readyToRun(two)).done('pick-up').wait(0.5).read('fuel.vacuumSpeed', 1500);
    expect(b.said('fuel.vacuum')).not.toMatch(/portable tank/);
    expect(moves(b).join(' | ')).not.toMatch(/Line vacuum again/);
  });
  it('with nothing done the two are at odds, and its own is read again', () => {
    const b = high(readyToRun(two)).wait(0.5).read('fuel.vacuumSpeed', 1500);
    expect(b.said('fuel.vacuum')).toMatch(/on the portable tank/);
  });
});
