import { describe, expect, it } from 'vitest';
import { isolation } from '../../src/core/stations/spark/isolation.ts';
import { fuelTree } from '../../src/core/stations/fuel/symptoms.ts';
import { contextWithWork } from '../../src/core/jobs/work.ts';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';

/** Kinds of wrong advice that drawn engines brought to light, followed by the first move: each in the smallest record that shows it. */
const context = (b: Bench) => contextWithWork(b.survey, new Date('2026-05-06'), 'us');
const open = (b: Bench): string[] =>
  b
    .assessed()
    .steps.filter((s) => s.state === 'open')
    .map((s) => s.id);
const step = (b: Bench, id: string) => b.assessed().steps.find((s) => s.id === id);
const first = (b: Bench): string => b.assessed().moves[0]!.id;
const twin = { strokes: 'two', cylinders: 2, ignition: 'cdi', displacement: 430e-6, supply: 'bulb' } as const;
const oiled = { conditions: { throttle: 'open', bores: 'oiled' } } as const;

describe('oil of the first spin', () => {
  const b = () =>
    new Bench(twin).read('plugs.oil', 3e-6).psi(
      [
        [1, 124],
        [2, 122]
      ],
      oiled
    );
  it('is no wet test of the dry reading that follows the first run', () => {
    const ran = b()
      .read('run.event', 'start')
      .read('run.event', 'stop')
      .read('run.outcome', 'ran')
      .psi([
        [1, 120],
        [2, 118]
      ]);
    expect(ran.ids().filter((id) => id.includes('wet') || id.includes('bores'))).toEqual([]);
    expect(ran.ids()).toContain('compression.alike:sound');
  });
  it('asks for no more oil and no leak-down before the run, and for a dry reading after it', () => {
    expect(b().ids()).toContain('compression.oiled:cannot-tell');
    expect(
      b()
        .assessed()
        .moves.map((m) => m.title)
        .join()
    ).not.toMatch(/Wet test|Oil every bore|Leak-down/);
    const ran = b().read('run.event', 'start').read('run.event', 'stop').read('run.outcome', 'ran');
    expect(
      ran
        .assessed()
        .moves.map((m) => m.title)
        .join()
    ).toMatch(/oil burnt off/);
  });
  it('has run off by the next day', () => {
    expect(
      b()
        .wait(30)
        .psi([
          [1, 120],
          [2, 118]
        ])
        .ids()
        .filter((id) => id.startsWith('compression.bores'))
    ).toEqual([]);
  });
});

describe('what starves it', () => {
  const dies = () =>
    new Bench({ ...twin, fuelSystem: 'carburettor' })
      .read('fuel.dies', 'minutes')
      .read('fuel.level', 'full')
      .read('fuel.vent', 'open')
      .read('fuel.bulb', 'firm')
      .read('fuel.revived', 'no')
      .read('fuel.filter', 'clean');
  it('a part mended leaves no other to blame by elimination', () => {
    const b = dies()
      .read('fuel.floods', 'no')
      .read('fuel.pickup', 'blocked')
      .done('pick-up')
      .read('fuel.pickup', 'clear');
    expect(fuelTree(context(b))).toBeUndefined();
    expect(b.ids().filter((id) => id.startsWith('fuel.starved'))).toEqual([]);
  });
  it('low vacuum at speed clears what lies before the pump', () => {
    const parts = fuelTree(context(dies().read('fuel.vacuumSpeed', 2000)))!.parts;
    expect(parts.find((p) => p.id === 'upstream')!.state).toBe('cleared');
  });
  it('running as badly without choke clears no jet, and a firm bulb no needle that is stuck shut', () => {
    const parts = fuelTree(context(dies().read('fuel.chokeOnly', 'no')))!.parts;
    expect(parts.filter((p) => p.id === 'jet' || p.id === 'needle').map((p) => p.state)).toEqual(['open', 'open']);
  });
});

describe('work and its proof', () => {
  it('read again and no better, it is open again and said to have failed', () => {
    const b = new Bench(twin).read('cooling.screen', 'blocked').done('screen').read('cooling.screen', 'blocked');
    expect(step(b, 'screen')).toMatchObject({ state: 'open', failed: expect.any(String) });
  });
  it('no spark anywhere proves nothing that was done for it, and the engine is not run', () => {
    let b = new Bench({ ...twin, starting: 'rope' });
    for (const cylinder of [1, 2]) b = b.read('spark.result', 'none', { cylinder, conditions: { path: 'tester' } });
    b = b.read('spark.stopWire', 'returns').done('stop-circuit').read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2]) b = b.read('spark.result', 'none', { cylinder, conditions: { path: 'tester' } });
    expect(step(b, 'stop-circuit')?.state).toBe('open');
    const moves = b.assessed().moves.map((m) => m.id);
    expect(moves).not.toContain('look:run');
    // Trials are left: nobody is told that there are none.
    expect(moves).not.toContain('ask:spark');
  });
  it('a case that still leaks proves no reseal, and gets no oil for service', () => {
    const b = new Bench({ ...twin, gearCapacity: 0.4e-3 }).read('gear.first', 'milky').read('gear.look', 'milky');
    const leak = (): Bench => {
      for (const p of [4, 2.5, 1.5]) b.read('gear.casePressure', p * PSI, { conditions: { stage: 'low' } }).wait(0.2);
      return b;
    };
    leak().read('gear.caseBubbles', ['propshaft']);
    expect(open(b)).toContain('reseal');
    b.done('reseal');
    leak();
    expect(step(b, 'reseal')?.state).toBe('open');
    expect(open(b)).not.toContain('gear-refill');
  });
  it('done twice in vain it is a question for somebody else', () => {
    const b = new Bench(twin);
    for (let k = 0; k < 3; k++) b.read('cooling.screen', 'blocked').done('screen');
    b.read('cooling.screen', 'blocked');
    const moves = b.assessed().moves.map((m) => m.id);
    expect(moves).toContain('ask:failed:screen');
    expect(moves).not.toContain('job:screen');
  });
  it('the same run made again with nothing done in between ends in a question', () => {
    const b = new Bench(twin);
    for (let k = 0; k < 2; k++) b.read('run.event', 'start').read('run.event', 'stop').read('run.outcome', 'died');
    const moves = b.assessed().moves.map((m) => m.id);
    expect(moves).toContain('ask:run-in-vain');
    expect(moves).not.toContain('look:run');
  });
  it('a gear that jumps with the linkage set is the dog', () => {
    const b = new Bench({ ...twin, shift: 'shift' }).read('turn.forward', 'slips');
    expect(open(b)).toContain('linkage');
    b.done('linkage').read('turn.forward', 'slips');
    // Two minutes at the hub before a case is opened.
    expect(open(b)).not.toContain('clutch-dog');
    expect(b.assessed().moves.map((m) => m.title)).toContain('Twist the propeller against the flywheel');
    expect(open(b.read('look.twist', 'holds'))).not.toContain('clutch-dog');
    // And the joint of the shift rod.
    expect(open(b.read('turn.shiftRod', 'follows'))).toContain('clutch-dog');
  });
});

describe('doubts that end', () => {
  it('a cylinder on the limit is repeated a few times, then air is asked', () => {
    const b = new Bench({ ...twin, cylinders: 3 });
    for (let k = 0; k < 4; k++)
      b.psi([
        [1, 120],
        [2, 119],
        [3, 103]
      ]);
    const moves = b.assessed().moves.filter((m) => m.station === 'compression');
    expect(moves[0]?.title ?? '').not.toMatch(/again/);
  });
  it('read like the others and repeated, another gauge’s word is closed', () => {
    const long = { name: 'hose', adapterVolume: 4e-6, valve: 'gauge end' } as const;
    const direct = { instrument: { name: 'dial', adapterVolume: 0, valve: 'plug end' } } as const;
    const b = new Bench({ ...twin, cylinders: 3 }).psi([[3, 40]], { instrument: long });
    for (let k = 0; k < 2; k++)
      b.psi(
        [
          [1, 120],
          [2, 119],
          [3, 118]
        ],
        direct
      );
    expect(b.ids().filter((id) => id.startsWith('compression.unlike'))).toEqual([]);
  });
  it('cranked fast enough since, it is not the speed', () => {
    const b = new Bench({ ...twin, starting: 'electric' });
    const none = (rpm: number): void => {
      for (const cylinder of [1, 2])
        b.read('spark.result', 'none', { cylinder, conditions: { path: 'tester', light: 'shade', volts: 12, rpm } });
    };
    none(180);
    b.read('spark.brisk', 'no');
    none(420);
    expect(isolation(context(b))!.parts.find((p) => p.id === 'speed')!.state).toBe('cleared');
  });
  it('air past the rings after a soak and a light into the bore ends in the price of an overhaul', () => {
    const b = new Bench({ ...twin, displacement: 430e-6 })
      .read('turn.soaked', 'yes')
      .wait(20)
      .read('compression.leakdown', 0.5, { cylinder: 1 })
      .read('compression.escape', ['crankcase'], { cylinder: 1 });
    expect(b.ids()).toContain('compression.leakdown-bore.1:fault');
    expect(open(b)).not.toContain('overhaul');
    b.read('plugs.hole', 'clean', { cylinder: 1 });
    expect(open(b)).toContain('overhaul');
  });
  it('what turns smoothly today and counts only tomorrow is a wait', () => {
    const b = new Bench(twin)
      .read('turn.plugs', 'out')
      .read('turn.result', 'stiff')
      .done('soak')
      .read('turn.result', 'free');
    const again = b.assessed().moves.find((m) => m.title.startsWith('Turn it by hand again'));
    expect(again).toMatchObject({ kind: 'wait', from: expect.any(String) });
    expect(first(b)).not.toBe(again!.id);
  });
});

describe('what was seen decides what is looked for', () => {
  it('on a single its own lead and coil are in the search for a spark that is nowhere', () => {
    const b = new Bench({ strokes: 'four', cylinders: 1, ignition: 'cdi' }).read('spark.result', 'none', {
      cylinder: 1
    });
    expect(isolation(context(b))!.parts.map((p) => p.id)).toEqual(expect.arrayContaining(['lead', 'coil']));
  });
  it('volts that end at the fuse ask for the wiring, not for the starter', () => {
    const b = new Bench({ ...twin, starting: 'electric' })
      .read('plugs.starterCircuit', 'nothing')
      .read('plugs.starterDirect', 'turns')
      .read('plugs.voltsEnd', 'fuse');
    expect(open(b)).toContain('wiring');
    expect(open(b)).not.toContain('starter');
  });
  it('a starter that turns it slowly, as noted beside the compression, asks for battery and starter', () => {
    const b = new Bench({ ...twin, starting: 'electric' }).read('plugs.order', 'yes').psi(
      [
        [1, 120],
        [2, 119]
      ],
      { conditions: { throttle: 'open', bores: 'dry', rpm: 140 } }
    );
    expect(b.assessed().moves.map((m) => m.title)).toContain('Battery and starter under load');
  });
  it('a run that never got warm asks for the thermostat', () => {
    const b = new Bench({ ...twin, thermostat: 'fitted' }).read('run.event', 'start');
    for (let k = 0; k < 13; k++) b.read('run.temperature', 300 + k / 2, { conditions: { spot: 'head' } });
    b.read('run.event', 'stop').read('run.outcome', 'ran');
    expect(b.ids()).toContain('run.cold:watch');
    expect(b.assessed().moves.map((m) => m.title)).toContain('Thermostat in a pan');
  });
  it('turned free after the plugs were read, nobody asks where the plugs were', () => {
    const b = new Bench(twin)
      .read('turn.plugs', 'in')
      .read('turn.result', 'bumps')
      .read('plugs.read', ['normal'], { cylinder: 1 });
    expect(
      b
        .read('turn.result', 'free')
        .ids()
        .filter((id) => id.startsWith('turn.nobumps'))
    ).toEqual([]);
  });
  it('plugs wet with fuel after a start that failed: nobody looks for fuel that does not come', () => {
    const b = new Bench({ ...twin, fuelSystem: 'carburettor' }).read('run.outcome', 'failed');
    for (const cylinder of [1, 2]) b.read('plugs.read', ['fuel'], { cylinder });
    const titles = b
      .assessed()
      .moves.map((m) => m.title)
      .join('|');
    expect(titles).toMatch(/does it flood/);
    expect(titles).not.toMatch(/Tap or shut-off/);
  });
  it('a stream that stays weak leads into the pump, and without any nobody runs it to see how hot it gets', () => {
    const weak = new Bench({ ...twin, indicator: 'fitted' })
      .read('cooling.stream', 'weak')
      .read('cooling.screen', 'clear')
      .read('cooling.outlet', 'clear')
      .read('cooling.head', 335)
      .read('cooling.bucket', 1e-5);
    expect(weak.assessed().moves.map((m) => m.title)).toContain('Open the water pump');
    const dry = new Bench({ ...twin, indicator: 'fitted' })
      .read('cooling.stream', 'none')
      .read('cooling.outlet', 'clear');
    expect(dry.assessed().moves.map((m) => m.title)).not.toContain('Temperature at the head');
  });
});
