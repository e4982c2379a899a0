import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { four, magneto, tester, two, v6 } from './engines.ts';

const jobs = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
const moves = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);

describe('piston depths of an engine that drowned while it ran', () => {
  const sunk = (profile = four): Bench =>
    new Bench(profile, 'drowned', { submerged: 'yes', water: 'fresh', runningWhenSunk: 'yes' });
  const depths = (b: Bench, ...mm: number[]): Bench => {
    mm.forEach((d, k) => b.read('turn.depth', d / 1000, { cylinder: k + 1 }));
    return b;
  };
  const low = (b: Bench): string[] => b.ids().filter((id) => id.startsWith('turn.depth.'));

  it('three agree and one reads higher: that reading is in doubt, and no rod is called bent by it', () => {
    const b = depths(sunk(), 50, 50.1, 48.5, 50);
    expect(low(b)).toEqual([]);
    expect(b.ids()).toContain('turn.depth-odd.3:cannot-tell');
    expect(moves(b)).toContain('Piston depth of cylinder 3 again, its top found anew');
    expect(jobs(b)).not.toContain('bent-rod');
    expect(b.holds()).toContain('drowned-running');
    // Measured again, it agrees with the rest: but two readings of one piston that differ by so much agree with nothing.
    b.read('turn.depth', 0.05, { cylinder: 3 });
    expect(b.ids()).toContain('turn.depths:cannot-tell');
    const hold = b.judged().holds.find((h) => h.id === 'drowned-running')!;
    expect(hold.needs.map((n) => n.text).join(' ')).not.toMatch(/specialist/);
  });
  it('higher again: a specialist, and the hold stays for good', () => {
    const b = depths(sunk(), 50, 50.1, 48.5, 50).read('turn.depth', 0.0486, { cylinder: 3 });
    expect(b.ids()).toContain('turn.depth-odd.3:watch');
    expect(b.said('turn.depth-odd')).toMatch(/specialist/);
    expect(moves(b).join(' ')).not.toMatch(/Piston depth of cylinder/);
    for (let k = 0; k < 3; k++) b.read('turn.plugs', 'out').read('turn.result', 'free');
    expect(b.holds()).toContain('drowned-running');
  });
  it('one low among four is low, and so is the deeper one of two', () => {
    expect(low(depths(sunk(), 50, 51.5, 50.1, 50))).toEqual(['turn.depth.2:fault']);
    expect(low(depths(sunk({ ...four, cylinders: 2 }), 50, 51.5))).toEqual(['turn.depth.2:fault']);
  });
  it('the others apart from each other are no agreement: each is low', () => {
    expect(low(depths(sunk(), 50.9, 50.1, 48.5, 50))).toHaveLength(3);
  });
});

it('a drowned engine that begins to stick is oiled before its tank is emptied', () => {
  const b = new Bench({ ...two, cylinders: 2 }, 'drowned', { submerged: 'yes', water: 'fresh', runningWhenSunk: 'no' });
  b.read('safe.lanyard', 'out').read('safe.battery', 'off').read('safe.propeller', 'off').read('safe.secured', 'yes');
  b.read('turn.plugs', 'out').read('turn.result', 'free').read('turn.water', 'none');
  expect(moves(b)[0]).not.toMatch(/Soak/);
  b.wait(20).read('turn.result', 'stiff');
  expect(moves(b)[0]).toMatch(/^Soak the bores/);
});

it('a new engine without oil on its stick is filled, and not dipped again before that', () => {
  const b = new Bench(four, 'new-engine').read('oil.dip', 'none');
  expect(moves(b)[0]).toBe('Fill the engine oil, then dip twice');
  expect(moves(b).filter((t) => /dip again/i.test(t))).toEqual([]);
});

describe('weak spark on every cylinder of an engine with points', () => {
  const weak = (): Bench => {
    const b = new Bench({ ...two, cylinders: 2, ignition: 'points' });
    b.read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2]) b.read('spark.result', 'weak', { cylinder, ...tester });
    return b;
  };
  it('with points that were seen bad, no ground is cleaned for it; with clean ones it is, where bright metal helps', () => {
    const bad = weak().read('spark.pointsLook', 'grey', { cylinder: 1 });
    expect(bad.ids()).toContain('spark.weak-points:watch');
    expect(jobs(bad)).toContain('points');
    expect(jobs(bad)).not.toContain('ground');
    const clean = weak();
    for (const cylinder of [1, 2]) clean.read('spark.pointsLook', 'clean', { cylinder });
    expect(jobs(clean)).not.toContain('ground');
    expect(jobs(clean.read('spark.groundWire', 'returns'))).toContain('ground');
    expect(jobs(clean)).not.toContain('points');
  });
});

it('pieces on the magnet open the case before the linkage is set for what slips', () => {
  const b = new Bench(two).read('turn.reverse', 'slips');
  expect(jobs(b)).toContain('linkage');
  b.read('gear.magnet', 'pieces');
  expect(jobs(b)).toContain('metal');
  expect(jobs(b)).not.toContain('linkage');
  expect(jobs(b.read('gear.explained', 'yes'))).toContain('linkage');
});

it('an engine with its tank on top floods as any other, and no bulb is spoken of', () => {
  const b = new Bench({ ...magneto, supply: 'gravity', fuelSystem: 'carburettor' }).read('fuel.floods', 'yes');
  expect(b.said('fuel.floods')).toMatch(/Fuel runs/);
  expect(b.said('fuel.floods')).not.toMatch(/bulb/);
  expect(b.holds()).toContain('fuel-escapes');
});

it('a tank that holds next to nothing is said with the tenths that its gauge tells', () => {
  const b = new Bench({ ...two, supply: 'pressurised' }).read('fuel.tankPressure', 1500);
  expect(b.said('fuel.tank-pressure')).toMatch(/0\.2 psi/);
});

describe('water in the filter', () => {
  const ids = (b: Bench): string[] => b.ids().filter((id) => id.startsWith('fuel.part'));
  const fresh = (): Bench =>
    new Bench(two).read('fuel.tank', 'fresh').read('fuel.line', 'fresh').read('fuel.bowl', 'fresh').wait(1);
  it('holds the start though line and bowl were called fresh, and is drained with its line', () => {
    const b = fresh();
    expect(b.holds()).not.toContain('fuel');
    b.read('fuel.filter', 'water');
    expect(b.holds()).toContain('fuel');
    expect(jobs(b)).toContain('fuel-drain');
    b.wait(1).read('fuel.line', 'drained');
    expect(b.holds()).not.toContain('fuel');
    // Seen once more before it counts as clean.
    expect(moves(b)).toContain('Filter once more: clean, and no water in its bowl');
    expect(ids(b.read('fuel.filter', 'clean'))).toEqual([]);
  });
  it('so is the bowl', () => {
    const b = fresh().read('fuel.bowlLook', 'water');
    expect(b.holds()).toContain('fuel');
    b.wait(1).read('fuel.bowl', 'drained');
    expect(moves(b)).toContain('Bowl off once more: dry, and its jets seen through');
    expect(ids(b.read('fuel.bowlLook', 'clean'))).toEqual([]);
  });
  it('dirt is not gone with the fuel', () => {
    const b = fresh().read('fuel.bowlLook', 'dirt').wait(1).read('fuel.bowl', 'drained');
    expect(b.ids()).toContain('fuel.part-bowl-dirt:watch');
  });
});

it('low again beside others that read well: the gauge is the same on all of them, and is asked no more', () => {
  const b = new Bench(v6).psi([
    [1, 118],
    [2, 98],
    [3, 119],
    [4, 99],
    [5, 117],
    [6, 97]
  ]);
  expect(moves(b)[0]).toMatch(/^Compression again of cylinder/);
  b.psi([
    [2, 98],
    [4, 99],
    [6, 97]
  ]);
  for (const cylinder of [2, 4, 6]) b.read('compression.leakdown', 0.12, { cylinder });
  expect(moves(b)[0]).toMatch(/^Listen where the air comes out of cylinder 2/);
  expect(moves(b)).not.toContain('Measure the compression again');
});

it('said to kick back, the mark of its flywheel is looked at before anybody pulls', () => {
  expect(moves(new Bench(four, 'neglected', { said: ['kicks'] }))).toContain('Flywheel: its mark against the crank');
});

describe('plugs that were mixed up', () => {
  const mixed = (): Bench =>
    new Bench({ ...two, cylinders: 2 })
      .read('plugs.order', 'no')
      .read('plugs.read', ['white'], { cylinder: 1 })
      .read('plugs.read', ['fuel'], { cylinder: 2 });
  it('a white one among them: every bore is looked into; the choke is the wet one’s matter', () => {
    const b = mixed();
    const of = (title: string) => b.assessed().moves.find((m) => m.title === title)?.because ?? '';
    expect(of('Light into every bore: are the crowns whole?')).toMatch(/white or blistered/);
    expect(of('Move choke and primer by hand')).toMatch(/fuel-wet/);
    b.read('plugs.hole', 'clean', { cylinder: 1 });
    expect(moves(b)).toContain('Light into every bore: are the crowns whole?');
    b.read('plugs.hole', 'clean', { cylinder: 2 });
    expect(moves(b).join(' | ')).not.toMatch(/Light into/);
  });
  it('a white plug alone asks for no choke', () => {
    const b = new Bench(two).read('plugs.read', ['white'], { cylinder: 1 });
    const choke = b.assessed().moves.find((m) => m.title === 'Move choke and primer by hand');
    expect(choke?.because ?? '').not.toMatch(/white/);
    expect(moves(b)).toContain('Light into the bore of cylinder 1: is its crown whole?');
  });
});

it('no spark at a cylinder whose points were seen oily: they are cleaned before its lead is pulled', () => {
  const b = new Bench({ ...two, cylinders: 2, ignition: 'points' }).read('spark.lanyard', 'yes');
  b.read('spark.result', 'none', { cylinder: 1, ...tester }).read('spark.result', 'good', { cylinder: 2, ...tester });
  b.read('spark.leadLook', 'whole', { cylinder: 1 }).read('spark.coilLook', 'whole', { cylinder: 1 });
  expect(moves(b)[0]).toMatch(/against a bolt/);
  b.read('spark.pointsLook', 'clean', { cylinder: 2 });
  expect(moves(b)[0]).toMatch(/against a bolt/);
  b.read('spark.pointsLook', 'oily', { cylinder: 1 });
  expect(moves(b)[0]).toMatch(/^Points and condenser/);
});

describe('some plugs wet and some not', () => {
  const wet = (...k: number[]): Bench => {
    const b = new Bench(v6).read('turn.result', 'bumps');
    for (const cylinder of [1, 2, 3, 4, 5, 6])
      b.read('plugs.read', [k.includes(cylinder) ? 'fuel' : 'normal'], { cylinder });
    return b;
  };
  it('their spark first, in one look: a choke floods them all', () => {
    const b = wet(2, 4, 6);
    expect(b.said('plugs.read.4')).toMatch(/fuel-wet, and not all of them/);
    expect(moves(b)).toContain('Spark of cylinders 2, 4 and 6');
    expect(moves(b).filter((t) => /^Spark of/.test(t))).toHaveLength(1);
    expect(b.assessed().moves.filter((m) => m.class < 6 && m.items?.includes('fuel.choke'))).toEqual([]);
  });
  it('all of them wet: choke and primer', () => {
    const b = wet(1, 2, 3, 4, 5, 6);
    expect(b.said('plugs.read.4')).toMatch(/flooded by choke or needle/);
    expect(moves(b)).toContain('Move choke and primer by hand');
  });
});
