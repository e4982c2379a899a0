import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { moves, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

/** Stopped for its heat, what kept the water from it found and mended: that is its cause, and it is on record. */
const hot = (): Bench =>
  readyToRun(two)
    .read('run.event', 'start')
    .read('run.stream', 'strong')
    .wait(0.15)
    .read('run.temperature', 370, { conditions: { spot: 'head' } })
    .read('run.event', 'stop')
    .read('run.outcome', 'stopped')
    .read('run.reason', 'temperature')
    .read('run.second', 'same');
const cool = (b: Bench): Bench => {
  b.read('run.event', 'start').read('run.stream', 'strong');
  for (const t of [300, 320, 335, 338, 339, 339])
    b.wait(0.05).read('run.temperature', t, { conditions: { spot: 'head' } });
  return b.read('run.event', 'stop').read('run.outcome', 'ran').read('run.minutes', 18);
};
const need = (b: Bench): boolean | undefined =>
  b
    .judged()
    .holds.find((h) => h.id === 'run')
    ?.needs.find((n) => n.items?.includes('run.cause'))?.done;

describe('a head that ran hot', () => {
  it.each([
    ['cooling.thermostatPan', 'shut', 'thermostat'],
    ['cooling.passages', 'slow', 'descale'],
    ['cooling.screen', 'blocked', 'screen']
  ] as const)('for %s, which was mended: it is run again, and nobody is asked for the cause', (item, bad, job) => {
    const b = hot().read(item, bad as never);
    expect(need(b)).toBe(false);
    b.done(job);
    expect(need(b)).toBe(true);
    expect(b.said('run.stopped')).toMatch(/cause of what it showed was found/);
    expect(moves(b).join()).not.toMatch(/[Cc]ause recorded/);
    // It holds until the same run was made, and was cool.
    expect(b.holds()).toContain('run');
    expect(cool(b).holds()).not.toContain('run');
  });
  it('work on the water for nothing that was found explains nothing', () => {
    expect(need(hot().done('thermostat'))).toBe(false);
    expect(cool(hot().done('thermostat')).holds()).toContain('run');
  });
  it('what was found and mended before it ran hot explains none of it', () => {
    const b = readyToRun(two).read('cooling.passages', 'slow').done('descale').wait(1);
    b.read('run.event', 'start')
      .read('run.stream', 'strong')
      .wait(0.15)
      .read('run.temperature', 370, { conditions: { spot: 'head' } })
      .read('run.event', 'stop')
      .read('run.outcome', 'stopped')
      .read('run.reason', 'temperature');
    expect(need(b)).toBe(false);
  });
});
