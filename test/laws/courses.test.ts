import { describe, expect, it } from 'vitest';
import { placeIds, places } from '../../src/core/stations/look/places.ts';
import { Bench, shifts } from '../case.ts';
import { caseTest } from '../case-test.ts';

/** Whole courses of work, from the first look to the gates, as a good technician would take them (common practice). */
const open = (b: Bench): string[] =>
  b
    .assessed()
    .steps.filter((s) => s.state === 'open')
    .map((s) => s.id);
const closed = (b: Bench): string[] =>
  b
    .assessed()
    .gates.filter((g) => !g.passes)
    .map((g) => g.id);
const C = (t: number): number => t + 273.15;

const single = {
  strokes: 'four',
  cylinders: 1,
  decompression: 'fitted',
  lubrication: 'sump',
  ignition: 'cdi',
  fuelSystem: 'carburettor',
  indicator: 'fitted',
  gearCapacity: 2e-4
} as const;
const twin = {
  strokes: 'two',
  cylinders: 2,
  layout: 'inline',
  lubrication: 'premix',
  premixRatio: 50,
  ignition: 'cdi',
  fuelSystem: 'carburettor',
  indicator: 'fitted',
  gearCapacity: 3e-4
} as const;

const madeSafe = (b: Bench): Bench =>
  b
    .read('safe.lanyard', 'out')
    .read('safe.battery', 'not-fitted')
    .read('safe.propeller', 'clear')
    .read('safe.secured', 'yes')
    .read('safe.place', 'outdoors');
const goodRun = (b: Bench, round = 1): Bench =>
  b
    .read('run.outcome', 'ran', { round })
    .read('run.lamp', 'none', { round })
    .read('run.leaks', 'none', { round })
    .read('cooling.stream', 'strong', { round })
    .read('cooling.head', C(60), { round })
    .read('run.tight', 'yes')
    .read('run.counters', 'reset');
const goodLeg = (b: Bench): Bench =>
  b
    .read('gear.first', 'oil')
    .read('gear.look', 'clear')
    .read('gear.magnet', 'clean')
    .read('gear.drained', 2.9e-4)
    .read('gear.washers', 'yes')
    .read('gear.refill', 'service')
    .read('cooling.screen', 'clear')
    .read('cooling.impellerAge', 1)
    .read('cooling.source', 'tank');
const goodFuel = (b: Bench): Bench =>
  b.read('fuel.kind', 'plain').read('fuel.age', 0.5).read('fuel.jar', 'clear').read('fuel.mix', 50);
const walked = (b: Bench): Bench => {
  for (const place of placeIds) b.read(`look.${place}`, Object.keys(places[place].sights)[0] as 'good');
  for (const k of [1, 2]) b.read('plugs.read', ['normal'], { cylinder: k });
  return shifts(b).read('spark.lanyard', 'yes');
};
const goodHead = (b: Bench): Bench =>
  walked(b)
    .read('turn.plugs', 'in')
    .read('turn.result', 'bumps')
    .read('spark.result', 'good', { cylinder: 1 })
    .read('spark.result', 'good', { cylinder: 2 })
    .psi([
      [1, 121],
      [2, 118]
    ]);
const sound = (): Bench => {
  const b = goodRun(goodLeg(goodFuel(goodHead(madeSafe(new Bench(twin, 'neglected', { hours: 'unknown' }))))));
  b.survey = { ...b.survey, engine: { ...b.survey.engine, identity: { tag: 'T', serial: '1' } } };
  return b;
};

describe('a sound engine', () => {
  it('comes out sound: no step, no closed gate', () => {
    expect(open(sound())).toEqual([]);
    expect(closed(sound())).toEqual([]);
  });
  it('one gravest reading is enough to close it again', () => {
    expect(closed(sound().read('run.smoke', 'keeps', { round: 2 }))).toEqual(['station.run', 'jobs']);
    expect(closed(sound().read('gear.magnet', 'pieces'))).toEqual(['station.gear', 'holds', 'jobs']);
    expect(closed(sound().read('safe.place', 'indoors'))).toEqual(['station.safe']);
  });
});

describe('a drowned four-stroke single, from the water to the first run', () => {
  const b = new Bench(single, 'drowned', { submerged: 'yes', water: 'salt', runningWhenSunk: 'no' });
  it('begins with what perishes first, in order', () => {
    expect(open(b)).toEqual(['rinse', 'empty-cylinders', 'sump-water', 'displace', 'fuel-drain']);
    expect(b.holds()).toEqual(['drowned']);
  });
  it('counts what is recorded as done, and asks for the hand turn next', () => {
    madeSafe(b).read('safe.rinsed', 'yes').read('turn.plugs', 'out').read('turn.result', 'free');
    expect(open(b)[0]).toBe('empty-cylinders');
    expect(b.assessed().moves[0]?.station).toBe('turn');
  });
  it('lifts when plugs are out, water is out, sump is changed and fuel is fresh', () => {
    b.read('turn.water', 'much')
      .read('turn.water', 'none')
      .read('turn.dried', 'yes')
      .read('oil.look', 'milky')
      .read('oil.sump', 'drained');
    expect(b.holds()).toEqual(['drowned']);
    b.read('fuel.tank', 'fresh').read('fuel.line', 'drained').read('fuel.bowl', 'drained');
    expect(b.holds()).toEqual([]);
  });
  it('still wants water, oil between the marks and a place before a start', () => {
    expect(
      b
        .judged()
        .holds.filter((h) => h.blocks.includes('start'))
        .map((h) => h.id)
    ).toEqual(['water', 'oil']);
    b.read('cooling.source', 'tank')
      .read('oil.dip', 'between', { round: 2 })
      .read('oil.dip', 'between', { round: 2 })
      .read('oil.look', 'clean', { round: 2 });
    expect(b.judged().holds).toEqual([]);
  });
});

describe('water in the gear oil, to the end', () => {
  const b = madeSafe(new Bench(twin))
    .read('safe.forecast', C(4))
    .read('gear.first', 'water')
    .read('gear.look', 'milky');
  it('stops for a case test, and says the refill alone lifts nothing', () => {
    expect(open(b)).toEqual(['case-test', 'gear-refill']);
    expect(b.read('gear.refill', 'stand').read('gear.washers', 'yes').holds()).toEqual(['stand-fill', 'gear-water']);
  });
  it('a leak adds the resealing, and a second test proves it', () => {
    expect(open(b.read('gear.pressureTest', 'leaked'))).not.toContain('reseal');
    expect(open(b.read('gear.caseBubbles', ['driveshaft']))).toContain('reseal');
    caseTest(b.done('reseal'), undefined, { round: 2 })
      .read('gear.refill', 'service', { round: 2 })
      .read('gear.look', 'clear', { round: 2 })
      .read('gear.first', 'oil', { round: 2 });
    expect(b.holds()).toEqual([]);
    expect(b.assessed().steps.find((s) => s.id === 'reseal')?.state).toBe('proved');
  });
});

describe('water that seems gone', () => {
  const wet = () => new Bench(twin).read('gear.first', 'water').read('gear.look', 'milky');
  const clean = (b: Bench) =>
    b
      .read('gear.refill', 'service', { round: 2 })
      .read('gear.washers', 'yes', { round: 2 })
      .read('gear.first', 'oil', { round: 2 })
      .read('gear.look', 'clear', { round: 2 });
  it('fresh oil that looks clean does not lift the hold: the way in is not found', () => {
    const b = clean(wet());
    expect(b.holds()).toEqual(['gear-water']);
    expect(b.ids()).toContain('gear.water:cannot-tell');
    expect(b.read('gear.pressureTest', 'held', { round: 2 }).holds()).toEqual(['gear-water']);
    expect(caseTest(b, undefined, { round: 2 }).holds()).toEqual([]);
  });
  it('a shop that tries washers first is not sent to a case test, until one leaks', () => {
    const b = wet();
    b.survey = { ...b.survey, houseRules: { schools: { gearWater: 'washers' } } };
    expect(open(b)).toEqual(['gear-refill']);
    expect(clean(b).holds()).toEqual([]);
    expect(open(b.read('gear.pressureTest', 'leaked', { round: 3 }))).toContain('case-test');
    expect(b.holds()).toEqual(['gear-water']);
  });
  it('an empty case is held until it was tested and filled: what is missing went somewhere', () => {
    const b = new Bench(twin).read('gear.look', 'none');
    expect(b.holds()).toEqual(['gear-case', 'gear-water']);
    expect(caseTest(b).holds()).toEqual(['gear-case', 'gear-water']);
    expect(b.read('gear.refill', 'service').holds()).toEqual([]);
  });
  it('a measured volume counts before what was glimpsed at the plug, and far too little is held by itself', () => {
    expect(new Bench(twin).read('gear.first', 'nothing').read('gear.drained', 2.9e-4).holds()).toEqual(['gear-case']);
    const short = new Bench(twin).read('gear.drained', 1.5e-4).read('gear.refill', 'service');
    expect(short.holds()).toEqual(['gear-water']);
    expect(caseTest(short).read('gear.refill', 'service').holds()).toEqual([]);
  });
});

describe('no spark, from the lanyard to the wire', () => {
  const b = new Bench(twin);
  const look = (r: 'none' | 'good', round: number) =>
    b.read('spark.result', r, { cylinder: 1, round }).read('spark.result', r, { cylinder: 2, round });
  it('first the lanyard, then the common part, then the stop circuit, then proof', () => {
    look('none', 1);
    expect(open(b)).toEqual(['spark-repeat']);
    b.read('spark.lanyard', 'yes');
    // It is looked for, part by part: there is no job before it is found.
    expect(open(b)).toEqual([]);
    expect(
      b
        .assessed()
        .moves.slice(0, 2)
        .map((m) => m.title)
    ).toContain('Spark again, cranked faster');
    b.read('spark.stopWire', 'returns');
    expect(open(b)).toEqual(['stop-circuit']);
    b.done('stop-circuit');
    expect(b.assessed().steps[0]?.state).toBe('done');
    look('good', 2);
    expect(b.assessed().steps.map((s) => [s.id, s.state])).toEqual([['stop-circuit', 'proved']]);
    expect(b.assessed().steps[0]?.why[0]).toMatch(/stop circuit is grounded/);
  });
});

describe('a stuck engine', () => {
  it('locked, soaked, free, and only free tomorrow', () => {
    const b = new Bench(twin).read('turn.plugs', 'out').read('turn.result', 'locked');
    expect(open(b)).toEqual(['soak']);
    expect(b.holds()).toEqual(['locked']);
    b.done('soak').wait(24).read('turn.result', 'free');
    expect(b.holds()).toEqual(['locked']);
    expect(b.assessed().steps[0]?.state).toBe('done');
    b.wait(20).read('turn.result', 'free');
    expect(b.holds()).toEqual([]);
    expect(b.assessed().steps[0]?.state).toBe('proved');
  });
  it('noise holds even when it turns smoothly', () => {
    const b = new Bench(twin).read('turn.result', 'bumps').read('turn.feel', ['noise']);
    expect(b.holds()).toEqual(['locked']);
    expect(b.read('turn.feel', [], { round: 2 }).holds()).toEqual([]);
  });
});

describe('compression that was the test, not the engine', () => {
  it('throttle shut, repeated wide open, alike: nothing is left', () => {
    const b = new Bench(twin).psi(
      [
        [1, 70],
        [2, 66]
      ],
      { conditions: { throttle: 'shut' } }
    );
    expect(open(b)).toEqual(['compression-repeat']);
    b.psi(
      [
        [1, 120],
        [2, 117]
      ],
      { round: 2 }
    );
    expect(open(b)).toEqual([]);
  });
  it('low, repeated low: wet test and leak-down, no gasket yet on a single low cylinder', () => {
    const b = new Bench({ ...twin, cylinders: 3 }).psi([
      [1, 120],
      [2, 80],
      [3, 118],
      [3, 119],
      [2, 81],
      [1, 121]
    ]);
    expect(open(b)).toEqual(['leak-down']);
  });
});

describe('house rules change what is asked', () => {
  const withRule = (b: Bench, schools: object): Bench => {
    b.survey = { ...b.survey, houseRules: { schools } };
    return b;
  };
  it('the carburettor is cleaned first, or tried first', () => {
    const idle = () => new Bench(twin, 'long-stored', { yearsIdle: 4 }).read('fuel.age', 48);
    expect(open(idle())).toContain('carburettor');
    expect(open(withRule(idle(), { carburettor: 'try' }))).not.toContain('carburettor');
  });
  it('a tighter spread turns a sound pair into a question', () => {
    const pair = () =>
      new Bench(twin).psi([
        [1, 120],
        [2, 107],
        [2, 107],
        [1, 120]
      ]);
    expect(pair().ids()).toContain('compression.alike:sound');
    expect(withRule(pair(), { spread: '0.1' }).ids()).toContain('compression.spread:cannot-tell');
  });
  it('a yearly impeller falls due where a climate rule waits', () => {
    const aged = () => new Bench(twin).read('cooling.impellerAge', 1.5);
    expect(aged().ids()).toContain('cooling.pump-young:sound');
    expect(withRule(aged(), { impeller: '1' }).ids()).toContain('cooling.pump:watch');
  });
  it('every judgement that followed a school names it', () => {
    const j = withRule(
      new Bench(twin).psi([
        [1, 120],
        [2, 90]
      ]),
      { spread: '0.2' }
    ).judged();
    expect(j.findings.find((f) => f.id.startsWith('compression.low'))?.because.school).toBe(
      'Compression limit: spread 20 % of the best'
    );
  });
});

describe('every finding', () => {
  it('has inputs, a source and a provenance class, and reads as a sentence', () => {
    const messy = sound()
      .read('gear.look', 'creamy')
      .read('gear.magnet', 'slivers')
      .read('cooling.screen', 'partly')
      .read('oil.dip', 'above')
      .read('fuel.bulb', 'flat')
      .read('fuel.level', 'empty')
      .read('run.gears', 'fails')
      .read('spark.gap', 0.004, { cylinder: 2 })
      .psi([[1, 60]], { conditions: { throttle: 'open', volts: 9 } });
    for (const f of messy.judged().findings) {
      expect(f.because.inputs.length, f.id).toBeGreaterThan(0);
      expect(f.because.source, f.id).not.toBe('');
      expect(['P', 'C', 'M']).toContain(f.because.provenance);
      expect(f.sentence, f.id).toMatch(/^[A-Z0-9].*[.]$/s);
      expect(f.sentence, f.id).not.toMatch(/undefined|NaN|unknown make|not-fitted|\d{5,}/);
    }
  });
});
