import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

const begun = (): Bench => readyToRun(two, 'neglected', ['turn']).read('turn.plugs', 'out').read('turn.result', 'free');
const noForward = (b: Bench): Bench =>
  b.read('turn.neutral', 'spins').read('turn.forward', 'no').read('turn.reverse', 'follows');
const inGear = (b: Bench): Bench =>
  b.read('turn.neutral', 'drives').read('turn.forward', 'follows').read('turn.reverse', 'follows');
const good = (b: Bench): Bench =>
  b.read('turn.neutral', 'spins').read('turn.forward', 'follows').read('turn.reverse', 'follows');
const rodMove = /Shift rod: does it follow/;

describe('a gear that is missing once the linkage was set', () => {
  const set = (): Bench => noForward(noForward(begun()).done('linkage'));

  it('is the linkage’s first', () => {
    expect(jobs(noForward(begun()))).toContain('linkage');
    expect(moves(noForward(begun())).filter((m) => rodMove.test(m))).toEqual([]);
  });
  it('asks for the joint of the shift rod, and not for the linkage once more', () => {
    const b = set();
    expect(moves(b)[0]).toMatch(rodMove);
    expect(b.assessed().steps.find((s) => s.id === 'linkage')?.state).toBe('open');
    expect(jobs(b)).not.toContain('clutch-dog');
  });
  it('is the joint’s where the rod does not follow, proved by shifting through', () => {
    const b = set().read('turn.shiftRod', 'slips');
    expect(jobs(b)).toContain('shift-joint');
    expect(jobs(b)).not.toContain('clutch-dog');
    b.done('shift-joint');
    expect(jobs(b)).not.toContain('shift-joint');
    expect(b.assessed().steps.find((s) => s.id === 'shift-joint')?.state).toBe('done');
    good(b);
    expect(b.assessed().steps.find((s) => s.id === 'shift-joint')?.state).toBe('proved');
    expect(b.ids().filter((id) => /^turn.*fault/.test(id))).toEqual([]);
  });
  it('is in the case where the rod follows', () => {
    const b = set().read('turn.shiftRod', 'follows');
    expect(jobs(b)).toContain('clutch-dog');
    expect(b.said('turn.gear')).toMatch(/in the gear case/);
  });
  it('stays a fault, and opens no case, where nobody can tell what the rod does', () => {
    const b = set().read('turn.shiftRod', 'unknown');
    expect(jobs(b)).not.toContain('clutch-dog');
    expect(b.ids()).toContain('turn.gear:fault');
    expect(moves(b)).not.toContain('Sign it ready for service');
  });
  it('a rod that followed while all was well says nothing of what went wrong since', () => {
    const b = good(begun()).read('turn.shiftRod', 'follows');
    noForward(noForward(b).done('linkage'));
    expect(jobs(b)).not.toContain('clutch-dog');
    expect(moves(b)[0]).toMatch(rodMove);
  });
  it('after work in the case the linkage is set anew before anything else is blamed', () => {
    const b = set().read('turn.shiftRod', 'follows').done('clutch-dog');
    noForward(b);
    expect(jobs(b)).toContain('linkage');
    expect(moves(b).filter((m) => rodMove.test(m))).toEqual([]);
  });
});

it('one that stays in gear in neutral with the linkage set asks for the rod, and is not started', () => {
  const b = inGear(inGear(begun()).done('linkage'));
  expect(moves(b)[0]).toMatch(rodMove);
  expect(b.holds()).toContain('drives');
  b.read('turn.shiftRod', 'follows');
  expect(jobs(b)).toContain('clutch-dog');
});

it('one that jumps out with the linkage set asks for hub and rod before a case is opened', () => {
  const slips = (b: Bench): Bench => b.read('turn.forward', 'slips').read('turn.reverse', 'follows');
  const b = slips(slips(begun()).done('linkage'));
  expect(jobs(b)).not.toContain('clutch-dog');
  expect(moves(b)[0]).toMatch(rodMove);
  b.read('turn.shiftRod', 'slips');
  expect(jobs(b)).toContain('shift-joint');
  expect(jobs(b)).not.toContain('clutch-dog');
});

describe('the start lock', () => {
  const ready = (): Bench => good(begun());

  it('is tried before the engine goes back, and its good answer asks for nothing', () => {
    const lock = (b: Bench): string[] => moves(b).filter((m) => /Start lock/.test(m));
    expect(lock(ready())).toHaveLength(1);
    expect(lock(ready().read('turn.startLock', 'locks'))).toEqual([]);
    expect(lock(ready().read('turn.startLock', 'not-fitted'))).toEqual([]);
  });
  it('that lets it turn in gear is set, and its own answer proves it', () => {
    const b = ready().read('turn.startLock', 'turns');
    expect(jobs(b)).toContain('neutral-switch');
    b.done('neutral-switch');
    good(b);
    expect(b.assessed().steps.find((s) => s.id === 'neutral-switch')?.state).toBe('done');
    b.read('turn.startLock', 'locks');
    expect(b.assessed().steps.find((s) => s.id === 'neutral-switch')?.state).toBe('proved');
  });
});

it('a case that was opened for it and drives in neutral all the same, the linkage set anew, is no work that is proved', () => {
  const b = inGear(inGear(begun()).done('linkage')).read('turn.shiftRod', 'follows').done('clutch-dog').wait(5);
  inGear(inGear(b).done('linkage'));
  const dog = b.assessed().steps.find((s) => s.id === 'clutch-dog');
  expect(dog?.state).toBe('open');
  expect(moves(b).filter((m) => /^Prove it: neutral free, both gears/.test(m))).toEqual([]);
});

describe('entered in an unkind order', () => {
  it('a joint that was seen to slip first leaves no linkage to set', () => {
    const b = noForward(begun()).read('turn.shiftRod', 'slips');
    expect(jobs(b)).toContain('shift-joint');
    expect(jobs(b)).not.toContain('linkage');
  });
  it('slipping, then following, with nothing done between, opens no case', () => {
    const b = noForward(noForward(begun()).done('linkage'))
      .read('turn.shiftRod', 'slips')
      .read('turn.shiftRod', 'follows');
    expect(jobs(b)).not.toContain('clutch-dog');
  });
  it('a start lock that let it turn is not taken back by one better try', () => {
    const b = good(begun()).read('turn.startLock', 'turns').read('turn.startLock', 'locks');
    expect(moves(b)).not.toContain('Sign it ready for service');
    expect(b.ids().filter((id) => /startLock|start-lock/.test(id)).length).toBeGreaterThan(0);
  });
});

it('a joint that slips is said, and no linkage before it', () => {
  const b = noForward(begun()).read('turn.shiftRod', 'slips');
  expect(b.said('turn.gear')).toMatch(/^No forward. The joint of the shift rod slips: that first/);
});

it('shifted well it says so, and makes no engine one that turns', () => {
  const b = new Bench(two).read('turn.neutral', 'spins').read('turn.forward', 'follows');
  expect(b.ids().join(' ')).not.toMatch(/turn\.shifts/);
  b.read('turn.reverse', 'follows');
  expect(b.ids()).toEqual(['turn.shifts:sound', 'turn.unturned:cannot-tell']);
  const ran = { ...b.survey };
  expect(b.read('run.outcome', 'ran').ids().join(' ')).not.toMatch(/turn\.unturned/);
  b.survey = ran;
  expect(b.read('turn.result', 'bumps').ids()).toEqual(['turn.free:sound', 'turn.shifts:sound']);
  expect(b.read('turn.forward', 'slips').ids().join(' ')).not.toMatch(/turn\.shifts/);
});

it('a sound belt and shift ask for no hand on the flywheel before it was made safe', () => {
  const b = new Bench(two).read('gear.magnet', 'clean').read('turn.belt', 'sound');
  for (const k of ['neutral', 'forward', 'reverse'] as const)
    b.read(`turn.${k}`, k === 'neutral' ? 'spins' : 'follows');
  const asked = moves(b);
  expect(asked).toContain('Turn it by hand');
  expect(asked.indexOf('Make it safe')).toBeLessThan(asked.indexOf('Turn it by hand'));
});
