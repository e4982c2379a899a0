import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { caseStages } from '../case-test.ts';
import { ranWell, readyToRun } from './all-good.ts';
import { four, magneto, tester, two } from './engines.ts';

const jobs = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
const moves = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);

describe('shifted through a stiff linkage', () => {
  const stiff = (): Bench =>
    new Bench(two).read('look.linkage', 'stiff').read('turn.neutral', 'spins').read('turn.forward', 'no');
  it('it is freed before it is set', () => {
    expect(stiff().said('turn.gear')).toContain('free it first');
    expect(moves(stiff()).slice(0, 3)).toContain('Free and grease swivel, tilt and linkage');
    expect(jobs(stiff())).not.toContain('linkage');
  });
  it('freed, it is shifted again before anything is set', () => {
    const b = stiff().done('structure');
    expect(moves(b)).toContain('Shift through by hand again');
    expect(jobs(b)).not.toContain('linkage');
    expect(b.ids()).toContain('turn.gear:fault');
    expect(jobs(b.read('turn.forward', 'no'))).toContain('linkage');
  });
  it('and what follows then was the stiffness', () => {
    const b = stiff().done('structure').read('turn.forward', 'follows').read('turn.reverse', 'follows');
    expect(b.ids().join()).not.toMatch(/turn\.(gear|shift):/);
    expect(jobs(b)).not.toContain('linkage');
  });
  it('a linkage that moves freely is set at once', () => {
    const b = new Bench(two).read('look.linkage', 'free').read('turn.forward', 'no').read('turn.reverse', 'no');
    expect(jobs(b)).toContain('linkage');
  });
});

describe('a propeller that drags in neutral', () => {
  const drags = (b: Bench): Bench =>
    b.read('turn.neutral', 'drags').read('turn.forward', 'follows').read('turn.reverse', 'follows');
  it('cold, and both gears following, asks for no work', () => {
    const b = drags(new Bench(two));
    expect(b.ids()).toContain('turn.shift:watch');
    expect(jobs(b)).not.toContain('linkage');
  });
  it('is tried again warm from the run, and only what drags then is set', () => {
    const b = drags(readyToRun(two)).wait(0.1);
    b.read('run.event', 'start').read('run.outcome', 'ran').read('run.event', 'stop');
    expect(moves(b)).toContain('Neutral again, warm from the run');
    expect(jobs(b.read('turn.neutral', 'drags'))).toContain('linkage');
    expect(b.read('turn.neutral', 'spins').ids().join()).not.toContain('turn.shift:');
  });
  it('where a gear is missing too, it is no cold oil', () => {
    expect(jobs(drags(new Bench(two)).read('turn.reverse', 'no'))).toContain('linkage');
  });
  it('nor where it stays in gear', () => {
    expect(jobs(new Bench(two).read('turn.neutral', 'drives'))).toContain('linkage');
  });
});

describe('a gear case that loses pressure, and soap shows nothing', () => {
  const silent = (b: Bench): Bench => b.read('gear.caseBubbles', []);
  const washers = (): Bench =>
    silent(caseStages(silent(caseStages(new Bench(two), 'high')).read('gear.washers', 'yes'), 'high'));
  it('fresh washers once: the tester’s fitting and the case under water, and no seal yet', () => {
    expect(moves(washers()).slice(0, 2).join()).toMatch(/tester’s fitting under soap/);
    expect(jobs(washers())).not.toContain('reseal');
    expect(washers().said('gear.test')).not.toContain('lets in and not out');
  });
  it('nothing at a second look: it is resealed, and not for a lip that lets in only', () => {
    const b = silent(caseStages(washers(), 'high'));
    expect(jobs(b)).toContain('reseal');
    expect(b.said('gear.test')).not.toContain('lets in and not out');
  });
  it('it holds pressure and not vacuum: that is the lip', () => {
    const b = silent(caseStages(silent(caseStages(new Bench(two), 'vacuum')).read('gear.washers', 'yes'), 'vacuum'));
    expect(b.said('gear.test')).toContain('lets in and not out');
    expect(jobs(b)).toContain('reseal');
  });
});

describe('one plug that differs from its neighbours', () => {
  const read = (profile: typeof two, seen: 'black' | 'fuel', all = false): Bench => {
    const b = new Bench(profile, 'neglected', { yearsIdle: 0 }).read('plugs.order', 'yes');
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', [all || cylinder === 2 ? seen : 'normal'], { cylinder });
    return b;
  };
  it.each(['black', 'fuel'] as const)('%s alone: its spark, not the choke that feeds all of them', (seen) => {
    const b = read(two, seen);
    expect(b.said('plugs.read')).not.toMatch(/choke/);
    expect(moves(b)).toContain('Spark of cylinder 2');
    expect(moves(b)).not.toContain('Move choke and primer by hand, for plug 2');
    const sparked = b.read('spark.lanyard', 'yes').read('spark.result', 'good', { cylinder: 2, ...tester });
    expect(moves(sparked)).not.toContain('Spark of cylinder 2');
  });
  it.each(['black', 'fuel'] as const)('%s on every plug: the choke', (seen) => {
    const [first] = read(two, seen, true)
      .assessed()
      .moves.filter((m) => m.class === 5);
    expect(first?.title).toBe('Move choke and primer by hand');
  });
  it('an injected engine has no choke to be stuck', () => {
    const b = read({ ...four, cylinders: 3, fuelSystem: 'electronic' }, 'black', true);
    expect(b.said('plugs.read')).not.toContain('choke');
  });
  it('read after the others were cleaned, it stands alone for nothing', () => {
    const b = new Bench(two).read('plugs.read', ['black'], { cylinder: 2 }).done('plugs');
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', ['normal'], { cylinder });
    expect(b.said('plugs.cleaned')).toContain('choke');
  });
});

describe('before and after the first run', () => {
  it('a pump that has run with a strong stream needs no drill', () => {
    const b = ranWell(two).done('pump');
    // What the old pump did says nothing of the new one.
    expect(moves(ranWell(two).done('pump').read('cooling.opened', 'yes'))).toContain('Drill test of the pump');
    const again = b.read('cooling.opened', 'yes').read('run.event', 'start').read('run.stream', 'strong');
    expect(moves(again)).not.toContain('Drill test of the pump');
  });
  it('nothing that costs a minute on a standing engine is left behind the first run', () => {
    const b = readyToRun(magneto).done('pump').read('cooling.opened', 'yes').read('cooling.assembled', 'yes');
    const list = moves(b);
    const run = list.indexOf('First run on water, watched');
    for (const look of ['Pull the rope, look at its dog', 'Fuel filters'])
      expect(list.indexOf(look) < 0 || list.indexOf(look) < run).toBe(true);
  });
});

it('a scored bore whose air was told asks for no leak-down again because of the soak', () => {
  const b = new Bench(two, 'neglected', { yearsIdle: 0 });
  for (const k of [1, 2])
    b.psi([
      [1, 120],
      [2, 70 - k],
      [3, 119]
    ]);
  b.read('compression.leakdown', 0.5, { cylinder: 2 }).read('compression.escape', ['crankcase'], { cylinder: 2 });
  b.done('soak').read('plugs.hole', 'scored', { cylinder: 2 });
  expect(moves(b).join(' | ')).not.toMatch(/^Leak-down of cylinder 2/);
  expect(b.assessed().moves.find((m) => m.class > 7)?.job).toBe('overhaul');
});

describe('it would not start, and every plug is wet', () => {
  const failed = (cleanedBefore: boolean): Bench => {
    const b = readyToRun(two);
    if (cleanedBefore) b.done('plugs').read('plugs.read', ['normal'], { cylinder: 1 }).read('fuel.choke', 'free');
    b.wait(1).read('run.outcome', 'failed');
    for (const cylinder of [1, 2, 3]) b.read('spark.result', 'good', { cylinder, ...tester });
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', ['fuel'], { cylinder });
    return b.read('fuel.floods', 'no').read('fuel.choke', 'free');
  };
  it('they are cleaned before the flywheel’s key is looked for', () => {
    expect(moves(failed(false))[0]).toBe('Clean or renew the plugs');
  });
  it('cleaned before, they are dried and it is tried once more, not for ever', () => {
    const dried = /^Plugs dried/;
    expect(moves(failed(true))[0]).toMatch(dried);
    const again = failed(true).wait(0.1).read('run.outcome', 'failed');
    for (const cylinder of [1, 2, 3]) again.read('plugs.read', ['fuel'], { cylinder });
    expect(moves(again).join(' | ')).not.toMatch(dried);
    expect(moves(again)[0]).toBe('Find the cause, write it down');
  });
});

describe('what is mended is not looked for again', () => {
  const spat = (): Bench =>
    ranWell(two).wait(0.1).read('run.idles', 'spits').read('run.air', 'same').read('compression.crankcase', 'seal', {
      cylinder: 1
    });
  it('a crankcase that fell and was mended: the same run again, no mist at the intake', () => {
    expect(jobs(spat())).toContain('crank-seal');
    const list = moves(spat().done('crank-seal').wait(1));
    expect(list.join(' | ')).not.toMatch(/Mist at the intake|Idle jet|Timing at idle/);
  });
  it('greasing a swivel is no work on the spark', () => {
    const b = new Bench(two, 'neglected', { yearsIdle: 0 }).read('look.swivel', 'stiff').read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3]) b.read('spark.result', cylinder === 2 ? 'none' : 'good', { cylinder, ...tester });
    expect(moves(b.done('structure')).join(' | ')).not.toMatch(/Spark again of cylinder 2/);
    expect(moves(b.done('wiring')).join(' | ')).toMatch(/Spark again of cylinder 2/);
  });
  it('a worn linkage is set, not greased', () => {
    const b = new Bench(two).read('look.linkage', 'worn').read('look.swivel', 'free');
    expect(jobs(b)).toContain('linkage');
    expect(jobs(b)).not.toContain('structure');
    expect(jobs(new Bench(two).read('look.linkage', 'worn').read('look.swivel', 'stiff'))).toContain('structure');
  });
});

describe('a starter that turned too slowly', () => {
  const cranked = (): Bench => {
    const b = new Bench(two, 'neglected', { yearsIdle: 0 }).read('spark.lanyard', 'yes').read('plugs.order', 'yes');
    for (const cylinder of [1, 2, 3])
      b.read('spark.result', 'good', { cylinder, conditions: { path: 'tester', light: 'shade', rpm: 140 } });
    return b;
  };
  const underLoad = 'Battery and starter under load';
  it('is looked at before anything else is cranked for', () => {
    const list = cranked().assessed().moves;
    expect(list.findIndex((m) => m.title === underLoad)).toBeLessThanOrEqual(1);
  });
  it('the speed noted at a look that found why asks for no second one', () => {
    const b = cranked().read('plugs.volts', 10.8).read('plugs.starterCircuit', 'slow');
    b.read('plugs.starterDirect', 'turns').read('plugs.rpm', 150);
    expect(b.ids().join()).not.toContain('plugs.slow');
    const later = b
      .wait(1)
      .read('compression.pressure', 8e5, { cylinder: 1, conditions: { throttle: 'open', rpm: 120 } });
    expect(later.ids()).toContain('plugs.slow:watch');
  });
  it('on a battery that is known to fall, that is why', () => {
    const b = cranked().read('plugs.volts', 8.5).read('plugs.starterCircuit', 'slow').wait(1).read('plugs.volts', 11);
    b.read('compression.pressure', 8e5, { cylinder: 1, conditions: { throttle: 'open', rpm: 120, volts: 8.6 } });
    expect(b.ids()).toContain('plugs.battery:watch');
    expect(moves(b)).not.toContain(underLoad);
  });
});

it('a start that failed on dry plugs, and a fault found in the fuel: that is the cause, and is not asked for', () => {
  const b = readyToRun({ ...four, fuelSystem: 'electronic' })
    .wait(1)
    .read('run.outcome', 'failed');
  for (const cylinder of [1, 2, 3, 4]) b.read('spark.result', 'good', { cylinder, ...tester });
  for (const cylinder of [1, 2, 3, 4]) b.read('plugs.read', ['dry'], { cylinder });
  b.read('fuel.level', 'full').read('fuel.shutoff', 'open').read('fuel.bulb', 'firm').read('fuel.railPump', 'runs');
  b.read('fuel.rail', 3e5).read('fuel.bowlLook', 'gummed');
  expect(moves(b).slice(0, 3)).toContain('Strip and clean bowl or vapour separator');
  expect(moves(b)).not.toContain('Find the cause, write it down');
});
