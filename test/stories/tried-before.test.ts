import { describe, expect, it } from 'vitest';
import { caseTest } from '../case-test.ts';
import type { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { tester, two } from './engines.ts';

/** What was tried while all was well is no trial of what went wrong since. */
describe('it turned well, and locks', () => {
  // Everything about its turning was looked at while it was free.
  const locked = (): Bench => readyToRun(two).read('turn.plugs', 'out').read('turn.result', 'locked');
  it('a gear that was taken out while it turned is not what locks it', () => {
    expect(locked().ids()).not.toContain('turn.locked-gears:fault');
    expect(moves(locked())[0]).toBe('In neutral, propeller off');
    expect(locked().read('turn.lockNeutral', 'free').ids()).toContain('turn.locked-gears:fault');
  });
  it('rough since, the place is looked for', () => {
    const b = readyToRun(two).read('turn.result', 'free').wait(1);
    b.read('turn.roughNeutral', 'smooth').read('turn.result', 'gritty');
    expect(b.said('turn.rough-gears')).toBe('');
    expect(moves(b)[0]).toMatch(/^Rough, in neutral/);
    expect(b.read('turn.roughNeutral', 'smooth').said('turn.rough-gears')).not.toBe('');
  });
  it('before a leg comes off for it, a minute is spent on the holes', () => {
    const b = readyToRun(two, 'neglected', ['plugs', 'spark', 'compression'])
      .read('turn.plugs', 'out')
      .read('turn.result', 'locked')
      .read('turn.lockNeutral', 'still')
      .read('turn.lockPinion', 'still');
    expect(moves(b)[0]).toBe('Plugs out and read');
    for (const cylinder of [1, 2, 3]) b.read('plugs.hole', 'clean', { cylinder });
    expect(moves(b)[0]).toBe('Leg off');
  });
});

describe('there was spark, and there is none', () => {
  const dead = (): Bench => {
    const b = readyToRun(two).wait(5);
    for (const cylinder of [1, 2, 3])
      b.read('spark.result', 'none', { cylinder, conditions: { ...tester.conditions, volts: 12, rpm: 500 } });
    return b;
  };
  it('a stop wire that was taken off while it sparked clears nothing', () => {
    expect(moves(dead()).slice(0, 3).join(' | ')).not.toMatch(/[Cc]harge|[Pp]ack/);
    const b = dead().read('spark.lanyard', 'yes').read('spark.brisk', 'yes').read('spark.groundWire', 'still');
    expect(moves(b)[0]).toMatch(/[Ss]top/);
    expect(jobs(b.read('spark.stopWire', 'returns')).join()).toMatch(/stop/);
  });
  it('spark seen with the stop wire off, and only then said to have returned: that counts once it is on again', () => {
    const spark = (b: Bench, result: 'good' | 'none'): Bench =>
      [1, 2, 3].reduce(
        (x, cylinder) =>
          x.read('spark.result', result, { cylinder, conditions: { ...tester.conditions, volts: 12, rpm: 500 } }),
        b
      );
    const b = spark(dead(), 'good').read('spark.stopWire', 'returns');
    expect(jobs(spark(b, 'none')).join()).toMatch(/stop/);
  });
});

describe('water in a gear case that held its test, and was filled since', () => {
  const wet = (): Bench => readyToRun(two).wait(24).read('gear.first', 'milky');
  it('it came in since: that test says nothing, and is made again', () => {
    expect(wet().ids()).toContain('gear.water:fault');
    expect(moves(wet()).slice(0, 2).join(' | ')).toMatch(/Case test/);
  });
  it('filled once more on the old test, it stays held', () => {
    const b = wet().read('gear.look', 'milky').read('gear.washers', 'yes').read('gear.refill', 'service');
    expect(b.holds()).toContain('gear-water');
    expect(moves(b).join(' | ')).toMatch(/Case test/);
    caseTest(b).read('gear.refill', 'service');
    expect(b.holds()).not.toContain('gear-water');
  });
  it('oil at a hub that was dry when it was tested asks for the test again', () => {
    const b = readyToRun(two).wait(24).read('look.hub', 'oil');
    expect(moves(b).slice(0, 2).join(' | ')).toMatch(/Case test, low stage first/);
  });
});
