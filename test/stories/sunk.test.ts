import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import type { Profile } from '../../src/core/engine/profile.ts';
import { protocol } from '../../src/core/drowned/protocol.ts';
import { driedAt } from '../../src/core/stations/run/dried.ts';
import { moves } from './all-good.ts';

/** Engines that went under water, stage by stage. */
const twin: Profile = {
  strokes: 'four',
  cylinders: 2,
  layout: 'inline',
  fuelSystem: 'carburettor',
  ignition: 'cdi',
  starting: 'rope',
  lubrication: 'sump',
  shift: 'shift',
  camDrive: 'chain'
};
const sunk = (): Bench =>
  new Bench(twin, 'drowned', {
    submerged: 'yes',
    water: 'fresh',
    runningWhenSunk: 'no',
    recoveredAt: '2026-05-02T06:00:00.000Z'
  })
    .read('safe.battery', 'off')
    .read('turn.plugs', 'out');
const ids = (b: Bench): string[] => b.assessed().moves.map((m) => m.id);
const isolated = (b: Bench): Bench =>
  b.read('turn.roughNeutral', 'still').read('turn.roughPinion', 'not-fitted').read('turn.roughLeg', 'still');

describe('water comes out with the water-displacing oil', () => {
  const pass = (): Bench =>
    sunk()
      .read('turn.result', 'free')
      .read('turn.water', 'some')
      .read('turn.water', 'none')
      .read('oil.sump', 'drained')
      .read('turn.pass', 'water');
  it('the next pass is next, and not turning it dry once more', () => {
    expect(ids(pass())).not.toContain('drowned:plugs');
    expect(ids(pass())).toContain('drowned:displace');
  });
  it('and the hold stands until a pass brings nothing but oil', () => {
    expect(pass().holds()).toContain('drowned');
    expect(pass().read('turn.pass', 'clear').said('turn.water')).not.toMatch(/still/);
  });
  it('never turned dry, or seen in a hole since, it is turned dry first', () => {
    const never = sunk().read('turn.result', 'free').read('turn.pass', 'water');
    expect(ids(never)).toContain('drowned:plugs');
    expect(ids(pass().read('plugs.hole', 'water', { cylinder: 2 }))).toContain('drowned:plugs');
  });
});

describe('gritty after the water', () => {
  const gritty = (b: Bench): Bench => b.read('turn.result', 'gritty').read('turn.result', 'gritty');
  it('noise or play with all else out of it, a day after its soak, is no soak’s work', () => {
    const once = isolated(gritty(sunk()).read('turn.feel', ['noise', 'tight']));
    expect(once.ids()).toContain('turn.gritty:fault');
    const b = gritty(once.done('soak').wait(25)).read('turn.feel', ['noise', 'tight']);
    expect(b.ids()).toContain('turn.feel-head:fault');
    expect(b.said('turn.feel-head')).toMatch(/^It turns gritty, with noise, and with the leg off all the same/);
    expect(ids(b)).not.toContain('job:soak');
    expect(ids(b)).toContain('job:overhaul');
  });
  it('not isolated yet it stays gritty, and says what was felt', () => {
    const b = gritty(sunk()).read('turn.feel', ['noise']);
    expect(b.ids()).toContain('turn.gritty:fault');
    expect(b.said('turn.gritty')).toMatch(/^It turns gritty, with noise\./);
  });
  it('soaked twice and gritty a day later each time, it is no more soaked: somebody else is asked', () => {
    let b = isolated(gritty(sunk()));
    expect(ids(b)).toContain('job:soak');
    for (let k = 0; k < 2; k++) b = gritty(b.done('soak').wait(25));
    expect(ids(b)).not.toContain('job:soak');
    expect(ids(b)).toContain('ask:failed:soak');
  });
});

describe('under water once', () => {
  it('it is looked over like any other, drowned now or years ago', () => {
    const old = new Bench(twin, 'long-stored', { submerged: 'yes', yearsIdle: 6 }).read('safe.battery', 'off');
    expect(moves(old).join(' | ')).toMatch(/Look it over, cowl to skeg/);
    expect(ids(old).indexOf('look:look')).toBeLessThan(ids(old).indexOf('look:turn'));
  });
  it('but what perishes comes before that', () => {
    const list = sunk().assessed().moves;
    expect(list[0]).toMatchObject({ class: 2 });
    expect(list.find((m) => m.id === 'look:look')).toMatchObject({ class: 6 });
  });
});

describe('oil has its day in the bores', () => {
  const soaked = (): Bench =>
    sunk()
      .read('turn.result', 'locked')
      .read('turn.water', 'none')
      .read('turn.lockNeutral', 'still')
      .read('turn.lockLeg', 'still')
      .done('soak')
      .wait(1);
  it('nothing is run, cranked or handed over meanwhile', () => {
    const list = soaked().assessed().moves;
    for (const id of ['look:run', 'look:spark', 'look:compression'])
      expect(list.find((m) => m.id === id)?.waits, id).toMatch(/^First:/);
    const handover = list.findIndex((m) => m.id === 'gate:handover');
    expect(handover).toBeGreaterThan(list.findIndex((m) => m.kind === 'wait'));
  });
  it('no money goes into the rest of it before anybody knows whether it turns', () => {
    const b = soaked().read('look.propeller', 'bent');
    const spent = (x: Bench) => x.assessed().moves.filter((m) => m.job === 'propeller');
    expect(spent(b).length).toBe(1);
    for (const m of spent(b)) expect(m.waits).toMatch(/whether it turns free/);
    const free = b
      .wait(25)
      .read('turn.result', 'free')
      .read('turn.result', 'free')
      .wait(25)
      .read('turn.result', 'free');
    for (const m of spent(free)) expect(m.waits ?? '').not.toMatch(/whether it turns free/);
  });
  it('but water in its oil is drained whatever becomes of the rest', () => {
    const b = soaked().read('oil.look', 'milky');
    const drain = b.assessed().moves.find((m) => m.job === 'sump-water');
    expect(drain?.waits ?? '').not.toMatch(/whether it turns free/);
    expect(drain).toBeDefined();
  });
  it('soaked for rust that a light saw, and seen gone: the day is waited for all the same', () => {
    const b = sunk()
      .read('turn.result', 'free')
      .read('turn.result', 'free')
      .read('turn.water', 'none')
      .read('turn.pass', 'clear')
      .read('plugs.hole', 'rust', { cylinder: 2 })
      .done('soak')
      .wait(1)
      .read('plugs.hole', 'clean', { cylinder: 2 });
    const run = b.assessed().moves.find((m) => m.id === 'look:run');
    if (run) expect(run.waits).toMatch(/^First:/);
  });
});

describe('water in the filter of a tank that was emptied', () => {
  const emptied = (b: Bench): Bench =>
    b.wait(0.5).read('fuel.tank', 'fresh').read('fuel.line', 'fresh').read('fuel.bowl', 'fresh');
  const fuel = (b: Bench) => protocol(b.judged().context).find((s) => s.id === 'fuel')!.state;
  it('is emptied once more; a third time the clock asks for something else', () => {
    const once = emptied(sunk()).wait(0.5).read('fuel.filter', 'water');
    expect(fuel(once)).toBe('open');
    const twice = emptied(once).wait(0.5).read('fuel.filter', 'water');
    expect(fuel(twice)).toBe('stuck');
    expect(twice.assessed().steps.map((s) => `${s.id}:${s.state}`)).toContain('fuel-drain:open');
    expect(twice.holds()).toContain('drowned');
  });
});

describe('it runs again', () => {
  const ran = (b: Bench): Bench =>
    b
      .wait(1)
      .read('run.event', 'start')
      .wait(0.25)
      .read('run.event', 'stop')
      .read('run.outcome', 'ran')
      .read('run.minutes', 15)
      .read('run.idles', 'even');
  const left = (b: Bench): string => b.said('run.drying');
  const dried = (b: Bench): Bench => b.wait(1).read('run.longRun', 'yes');
  const twoStroke = (kind: 'drowned' | 'neglected' = 'drowned'): Bench =>
    new Bench({ ...twin, strokes: 'two', lubrication: 'premix' }, kind, { submerged: 'yes', water: 'fresh' });
  it('the oil of a four-stroke’s first run, the long warm run, and the next day are still to come', () => {
    const b = ran(sunk());
    expect(left(b)).toMatch(/the oil of its first run/);
    expect(b.assessed().ready).toBe(false);
    b.read('oil.sump', 'drained').read('oil.poured', 1e-3);
    expect(left(b)).toMatch(/only a long warm run/);
    dried(b);
    expect(left(b)).toMatch(/shows overnight/);
    b.wait(25).read('turn.result', 'free');
    expect(left(b)).toMatch(/shows overnight/);
    expect(left(b.read('oil.look', 'clean'))).toBe('');
  });
  it('of a two-stroke there is no oil to drop, and its plugs tell the next day', () => {
    const b = ran(twoStroke());
    expect(left(b)).toMatch(/only a long warm run/);
    dried(b).wait(25).read('turn.result', 'free');
    expect(left(b)).toMatch(/shows overnight/);
    expect(left(b.read('plugs.read', ['normal'], { cylinder: 1 }))).toBe('');
  });
  it('looked at the same evening, it was not the next day; unknown is no look', () => {
    const b = dried(ran(twoStroke()));
    b.wait(2).read('turn.result', 'free').read('plugs.read', ['normal'], { cylinder: 1 });
    expect(left(b)).toMatch(/shows overnight/);
    b.wait(24).read('turn.result', 'unknown').read('plugs.read', 'unknown', { cylinder: 1 });
    expect(left(b)).toMatch(/shows overnight/);
    expect(left(b.done('drowned.next-day'))).toBe('');
  });
  it('half an hour on the clock that ended in a stop dried nothing', () => {
    const long = (outcome: 'ran' | 'stopped' | 'died'): Bench =>
      ran(twoStroke())
        .wait(1)
        .read('run.event', 'start')
        .wait(0.7)
        .read('run.stream', 'strong')
        .read('run.outcome', outcome)
        .read('run.event', 'stop');
    const at = (outcome: 'ran' | 'stopped' | 'died'): string => driedAt(long(outcome).judged().context);
    expect(at('ran')).not.toBe('');
    expect([at('stopped'), at('died')]).toEqual(['', '']);
  });
  it('that it lay in air too long is told until it has run warm and turns freely the day after', () => {
    const b = sunk().wait(60).read('turn.result', 'free').read('turn.pass', 'clear');
    const exposed = (): string => b.said('turn.exposed');
    expect(exposed()).toMatch(/rust has begun/);
    dried(ran(b));
    expect(exposed()).toMatch(/rust has begun/);
    b.wait(25).read('turn.result', 'gritty');
    expect(exposed()).toMatch(/rust has begun/);
    b.wait(1).read('turn.result', 'free');
    expect(exposed()).toBe('');
  });
  it('one that was under water years ago and is here for something else asks for none of it', () => {
    expect(left(ran(twoStroke('neglected')))).toBe('');
  });
});

describe('a linkage that is worn, on direct drive', () => {
  const worn = (shift: 'direct' | 'shift'): string[] =>
    new Bench({ ...twin, shift })
      .read('look.linkage', 'worn')
      .assessed()
      .steps.map((s) => s.id);
  it('is the throttle’s: no gear is set that is not there', () => {
    expect(worn('direct')).toContain('throttle-linkage');
    expect(worn('direct')).not.toContain('linkage');
    expect(worn('shift')).toContain('linkage');
    expect(worn('shift')).not.toContain('throttle-linkage');
  });
});
