import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { ran, ranWell, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const head = { conditions: { spot: 'head' } } as const;
const state = (b: Bench, id: string): string | undefined => b.assessed().steps.find((s) => s.id === id)?.state;
/** A good run of which only its stream was looked at, and what more was. */
const again = (b: Bench, more: (x: Bench) => Bench = (x) => x): Bench => ran(b.wait(0.5), 'ran', more);

/** Work, what showed it on a run, and what has to be read again before it counts as proved. */
const work: readonly (readonly [job: string, shown: (x: Bench) => Bench, proof: (x: Bench) => Bench])[] = [
  [
    'charging',
    (x) => x.read('run.rpm', 2500).read('run.volts', 12.2),
    (x) => x.read('run.rpm', 2500).read('run.volts', 14.1)
  ],
  ['water-in', (x) => x.read('run.plugAfter', 'wet'), (x) => x.read('run.plugAfter', 'dry')],
  ['gears', (x) => x.read('run.gears', 'fails'), (x) => x.read('run.gears', 'both')],
  [
    'descale',
    (x) => x.read('run.temperature', 370, head),
    (x) => x.read('run.temperature', 335, head).wait(0.05).read('run.temperature', 335, head)
  ]
];
it.each(work)('%s is proved by what it was for, and by no other reading of that run', (job, shown, proof) => {
  const b = again(ran(readyToRun(four), 'ran', shown).done(job).wait(1.5));
  expect(state(b, job)).toBe('done');
  expect(state(again(b, proof), job)).toBe('proved');
});

it('oil that was changed for its water is looked at and dipped: a new filter proves nothing', () => {
  const b = readyToRun(four, 'neglected', ['oil']).read('oil.look', 'milky').done('sump-water').wait(0.5);
  expect(state(b.read('oil.filter', 'renewed'), 'sump-water')).toBe('done');
  b.read('oil.level', 'yes').read('oil.waited', 15).read('oil.dip', 'between').read('oil.dip', 'between');
  expect(state(b.read('oil.look', 'clean'), 'sump-water')).toBe('proved');
});

it('a tank that was filled is looked into: a vent that is open proves nothing', () => {
  const b = readyToRun(two, 'neglected', ['fuel']).read('fuel.level', 'empty').read('fuel.age', 0.1).done('fuel-fill');
  expect(state(b.read('fuel.vent', 'open'), 'fuel-fill')).toBe('done');
  expect(state(b.read('fuel.level', 'full'), 'fuel-fill')).toBe('proved');
});

describe('work at one thing leaves what was found at another', () => {
  const after = (b: Bench, ...jobs: readonly string[]): Bench =>
    jobs.reduce((x, job) => x.done(job), b.wait(0.5)).wait(1);
  it('a lead that arcs is not mended by a coil, and a coil not by a lead', () => {
    const arcs = (at: 'lead' | 'cap' | 'coil'): Bench => ranWell(two).read('spark.stray', at, { cylinder: 2 });
    expect(after(arcs('lead'), 'coil').ids()).toContain('spark.stray-lead.2:fault');
    expect(after(arcs('cap'), 'coil').ids()).toContain('spark.stray-cap.2:fault');
    expect(after(arcs('coil'), 'lead').ids()).toContain('spark.stray-coil.2:fault');
    expect(after(arcs('coil'), 'coil').ids()).not.toContain('spark.stray-coil.2:fault');
    expect(after(arcs('cap'), 'lead').ids()).not.toContain('spark.stray-cap.2:fault');
  });
  it('a key that is missing in the pump is missing after any work on the water but its own', () => {
    const missing = (): Bench => ranWell(two).read('cooling.bush', 'key');
    for (const job of ['screen', 'outlet', 'thermostat', 'descale', 'pieces'])
      expect(after(missing(), job).ids()).toContain('cooling.key:fault');
    for (const job of ['leg-water', 'pump']) expect(after(missing(), job).ids()).not.toContain('cooling.key:fault');
    // A key is ticked, and the hold wants it seen to pump.
    expect(after(missing(), 'leg-water').holds()).toContain('pump');
  });
  it('a bulb sucked flat is flat with new hoses too: what is blocked lies upstream', () => {
    expect(after(ranWell(two).read('fuel.bulb', 'flat'), 'hoses').ids().join(' ')).toMatch(/fuel\.bulb\S*:fault/);
    expect(after(ranWell(two).read('fuel.bulb', 'soft'), 'hoses').ids().join(' ')).not.toMatch(/fuel\.bulb\S*:watch/);
  });
  it('a groove under a seal is there until it is sealed anew', () => {
    const worn = (): Bench => ranWell(two).read('gear.shaftGroove', 3e-4);
    for (const job of ['gear-refill', 'gear-plugs', 'frost', 'leg-water'])
      expect(after(worn(), job).ids().join(' ')).toMatch(/gear\.groove:(fault|watch)/);
    expect(after(worn(), 'reseal').ids().join(' ')).not.toMatch(/gear\.groove/);
  });
  it('a noise is explained by work at its own place', () => {
    const heard = (at: 'head' | 'flywheel' | 'leg'): Bench => ranWell(two).read('run.noise', at);
    const silent: readonly (readonly ['head' | 'flywheel' | 'leg', string, string])[] = [
      ['leg', 'clutch-dog', 'gear-refill'],
      ['leg', 'metal', 'flywheel-key'],
      ['flywheel', 'flywheel-key', 'anodes'],
      ['flywheel', 'pinion', 'linkage'],
      ['head', 'overhaul', 'metal'],
      ['head', 'lash', 'soak']
    ];
    for (const [at, own, other] of silent) {
      expect([at, own, after(heard(at), own).holds().includes('noise')]).toEqual([at, own, false]);
      expect([at, other, after(heard(at), other).holds().includes('noise')]).toEqual([at, other, true]);
    }
  });
  it('a lamp is not explained by spark parts', () => {
    const came = (): Bench => ranWell(two).read('run.outcome', 'stopped').read('run.reason', 'lamp');
    expect(after(came(), 'lead').holds()).toContain('run');
  });
  it('an engine that died for want of fuel is run again after whatever was mended', () => {
    const dies = (): Bench => ranWell(two).read('fuel.dies', 'minutes');
    for (const job of ['fuel-filter', 'fuel-open', 'mix', 'tank-clean']) {
      const b = after(dies(), job);
      expect([job, b.ids().filter((f) => f.startsWith('run.'))]).toEqual([job, ['run.reopened:cannot-tell']]);
      const again = ran(b, 'ran');
      expect(again.ids()).not.toContain('run.reopened:cannot-tell');
    }
    expect(after(dies().read('fuel.dies', 'no'), 'mix').ids()).not.toContain('run.reopened:cannot-tell');
  });
  it('fuel without oil is drained, and what goes in next is told before it runs', () => {
    const b = new Bench({ ...two, lubrication: 'premix' }).read('fuel.tankOil', 'plain');
    expect(after(b, 'fuel-drain').holds()).toContain('premix');
    expect(b.read('fuel.mix', 50).holds()).not.toContain('premix');
  });
});
