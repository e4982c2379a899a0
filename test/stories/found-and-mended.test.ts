import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { four, two, v6 } from './engines.ts';

const jobs = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
const moves = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
const started = (b: Bench): Bench => b.read('run.event', 'start').read('run.stream', 'strong');

describe('steam, and water on a plug after it', () => {
  const wet = (): Bench => {
    const b = started(
      new Bench(four).psi([
        [1, 180],
        [2, 180],
        [3, 179],
        [4, 181]
      ])
    );
    b.read('run.exhaust', 'steam').read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'other');
    return b.read('run.plugAfter', 'wet', { cylinder: 2 });
  };
  const bubbles = (): Bench => {
    const b = wet();
    for (const share of [0.3, 0.31])
      b.read('compression.leakdown', share, { cylinder: 2 }).read('compression.escape', ['water'], { cylinder: 2 });
    return b;
  };
  it('water inside is what steams: air with the jacket watched, and no strainer, thermometer or pump', () => {
    const list = moves(wet());
    expect(list.slice(0, 2)).toContain('Leak-down, the water jacket watched');
    expect(list.join(' | ')).not.toMatch(/strainer|thermometer|Say how it ran/);
  });
  it('bubbles found again: one work for it, not two', () => {
    const b = bubbles();
    expect(jobs(b).filter((id) => id === 'head-gasket' || id === 'water-in')).toHaveLength(1);
  });
  it('gasket renewed: it is proved and run again, and its way in is not looked for any more', () => {
    const b = bubbles().wait(1).done('head-gasket').wait(1);
    expect(jobs(b)).not.toContain('water-in');
    expect(moves(b)[0]).toMatch(/^Prove it: cylinders alike/);
    expect(b.holds()).not.toContain('start');
  });
});

describe('a leak whose place was seen in the run', () => {
  const leak = (): Bench =>
    started(new Bench(two))
      .read('run.leaks', 'fuel')
      .read('run.leakAt', 'carburettor')
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'leak');
  it('is mended there; no other part of the line is suspected for it', () => {
    const b = leak();
    expect(jobs(b)).toContain('bowl');
    expect(moves(b).join(' | ')).not.toMatch(/Pump it by hand|Fuel pump: does it weep/);
  });
  it('mended, it is seen dry and run again: nobody looks for a place that is known', () => {
    const b = leak().wait(1).done('bowl').wait(1);
    expect(b.said('run.leaks')).toMatch(/was mended where that came from/);
    expect(b.holds()).toContain('fuel-escapes');
    b.read('fuel.floods', 'no');
    expect(b.holds()).not.toContain('fuel-escapes');
    expect(moves(b).join(' | ')).not.toMatch(/Hoses and couplings|does it weep|where does it come from/);
  });
  it('leaking again after that, it is looked for anew', () => {
    const b = leak().wait(1).done('bowl').wait(1).read('fuel.floods', 'no').wait(1);
    started(b).read('run.leaks', 'fuel').read('run.event', 'stop');
    expect(b.said('run.leaks')).toMatch(/find the place/);
    expect(moves(b).join(' | ')).toMatch(/where does it come from/);
  });
});

describe('a gear that failed in the run', () => {
  const failed = (): Bench =>
    started(new Bench(two))
      .read('run.gears', 'fails')
      .read('run.event', 'stop')
      .read('run.outcome', 'ran')
      .read('run.minutes', 10);
  it('is shifted by hand before it runs on for its temperature', () => {
    const list = moves(failed());
    expect(list).toContain('Shift through by hand');
    expect(list.join(' | ')).not.toMatch(/until its temperature has settled/);
  });
  it('what the hand found has one work, not two', () => {
    const b = failed().read('turn.forward', 'follows').read('turn.reverse', 'slips');
    expect(jobs(b)).toContain('linkage');
    expect(jobs(b)).not.toContain('gears');
    b.read('look.twist', 'holds')
      .done('linkage')
      .wait(1)
      .read('turn.reverse', 'slips')
      .read('turn.shiftRod', 'follows');
    expect(jobs(b)).toContain('clutch-dog');
    expect(jobs(b)).not.toContain('gears');
  });
  it('set, and good by hand: it is run, each gear tried again', () => {
    const b = failed().read('turn.forward', 'follows').read('turn.reverse', 'slips').done('linkage').wait(1);
    b.read('turn.forward', 'follows').read('turn.reverse', 'follows').read('turn.neutral', 'spins');
    expect(b.assessed().steps.find((s) => s.id === 'gears')).toMatchObject({ title: 'Run it and try each gear again' });
  });
});

describe('oil over its mark that is fuel', () => {
  const high = (): Bench => {
    const b = new Bench(four).read('oil.level', 'yes').read('oil.waited', 900).read('oil.dip', 'above').wait(0.2);
    return b.read('oil.dip', 'above').read('oil.smell', 'strong').read('oil.look', 'thin');
  };
  it('what lets fuel in is looked for before the oil is changed; found, nothing more is looked for', () => {
    const b = high();
    expect(moves(b).slice(0, 2)).toEqual([
      'Fuel up to the carburettor, engine off: does it flood?',
      'Fuel pump: its diaphragm tight?'
    ]);
    b.read('fuel.floods', 'yes');
    expect(moves(b)).not.toContain('Fuel pump: its diaphragm tight?');
    expect(jobs(b)).toContain('bowl');
  });
  it('an injected engine is asked neither', () => {
    const b = new Bench({ ...four, fuelSystem: 'electronic' }).read('oil.level', 'yes').read('oil.dip', 'above');
    b.wait(0.2).read('oil.dip', 'above').read('oil.smell', 'strong').read('oil.look', 'thin');
    expect(moves(b).join(' | ')).not.toMatch(/does it flood|diaphragm/);
  });
  it('drained with its filter renewed it is other oil, though nobody knows what the sump holds', () => {
    const b = high().wait(1).read('oil.drained', 2.5e-3).read('oil.filter', 'renewed').read('oil.poured', 2.4e-3);
    expect(b.ids().filter((id) => id.startsWith('oil.thin'))).toEqual([]);
    expect(b.said('oil.poured')).toMatch(/poured in/);
  });
});

it('one bank hotter, and its thermostat renewed since: it is run again, not searched further', () => {
  const b = started(new Bench(v6));
  for (const [port, starboard] of [
    [40, 40],
    [60, 70],
    [62, 82]
  ])
    for (const [bank, celsius] of [
      ['port', port],
      ['starboard', starboard]
    ] as const)
      b.wait(0.02).read('run.temperature', 273.15 + celsius!, { conditions: { bank, spot: 'head' } });
  b.read('run.event', 'stop').read('run.outcome', 'stopped').read('run.reason', 'temperature');
  expect(moves(b)).toContain('Small strainer under the cowl');
  b.read('cooling.thermostatPan', 'shut', { conditions: { bank: 'starboard' } })
    .wait(1)
    .done('thermostat')
    .wait(1);
  expect(moves(b).join(' | ')).not.toMatch(/strainer|both banks again/);
});

it('stopped early with nothing wrong tapped beside it: how it ran is still asked', () => {
  const b = started(new Bench(two)).read('run.lamp', 'none').read('run.leaks', 'none').read('run.event', 'stop');
  b.read('run.outcome', 'stopped').read('run.reason', 'other');
  expect(moves(b)).toContain('Say how it ran before it was stopped');
  expect(moves(b.read('run.idles', 'spits'))).not.toContain('Say how it ran before it was stopped');
});

describe('what was mended for a symptom closes it, once the same run is made without it', () => {
  const ran = (b: Bench, idles: 'spits' | 'shakes' | 'even'): Bench =>
    started(b)
      .read('run.idles', idles)
      .read('run.event', 'stop')
      .read('run.outcome', 'ran')
      .read('run.minutes', 15)
      .wait(1);
  it('an intake joint that drew air', () => {
    const b = ran(new Bench(two), 'spits').read('run.air', 'changes').wait(1).done('intake-joint').wait(1);
    expect(b.said('run.spits')).toMatch(/A cause was found/);
    expect(moves(b).join(' | ')).not.toMatch(/Mist at the intake/);
    expect(ran(b, 'even').said('run.spits')).toBe('');
  });
  it('a bent propeller that shook it; new anodes shook nothing', () => {
    const bent = ran(new Bench(two).read('look.propeller', 'bent'), 'shakes');
    expect(ran(bent.done('propeller').wait(1), 'even').said('run.shakes')).toBe('');
    const other = ran(new Bench(two).read('look.anodes', 'gone'), 'shakes');
    expect(ran(other.done('anodes').wait(1), 'even').said('run.shakes')).toMatch(/no cause was found/);
  });
  it('plugs that were dry after a failed start are past once it has run', () => {
    const b = new Bench({ ...two, cylinders: 1 }).read('run.event', 'start').read('run.outcome', 'failed').wait(0.1);
    b.read('plugs.read', ['dry'], { cylinder: 1 });
    expect(b.ids()).toContain('plugs.no-fuel:watch');
    expect(ran(b.wait(1), 'even').ids()).not.toContain('plugs.no-fuel:watch');
  });
});

describe('a noise from the valves', () => {
  const heard = (): Bench => {
    const b = started(new Bench(four)).read('run.noise', 'valves').read('run.event', 'stop');
    return b.read('run.outcome', 'stopped').read('run.reason', 'noise');
  };
  const lash = (b: Bench, ...mm: number[]): Bench => {
    mm.forEach((x, k) => b.read('compression.lashIn', x / 1000, { cylinder: k + 1 }));
    return b;
  };
  it('its place is known, its cause is not', () => {
    expect(heard().said('run.stopped')).toMatch(/where it comes from is known/);
    expect(heard().said('run.stopped')).not.toMatch(/cause/);
  });
  it('a lash far wider than all the others is set, with no figure of the manual', () => {
    const b = lash(heard(), 0.15, 0.15, 0.5, 0.16);
    expect(b.ids()).toContain('compression.lash-intake.3:watch');
    expect(jobs(b)).toContain('lash');
    b.wait(1).done('lash').wait(1);
    expect(b.said('run.stopped')).toMatch(/cause of what it showed was found/);
  });
  it('all wide alike, or one wide beside a single other, is no odd one', () => {
    expect(lash(heard(), 0.4, 0.42, 0.45, 0.4).ids().join()).not.toMatch(/lash-intake/);
    expect(lash(heard(), 0.15, 0.5).ids().join()).not.toMatch(/lash-intake/);
    expect(lash(heard(), 0.05, 0.05, 0.2, 0.05).ids().join()).not.toMatch(/lash-intake.3/);
  });
});
