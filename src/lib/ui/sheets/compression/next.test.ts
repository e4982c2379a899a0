import { describe, expect, it } from 'vitest';
import type { Move } from '$core/moves/move.ts';
import type { Repeat } from '$core/stations/compression/facts.ts';
import { nextAtGauge } from './next.ts';

const move = (title: string, more: Partial<Move> = {}): Move => ({
  kind: 'look',
  class: 5,
  id: title,
  title,
  station: 'compression',
  minutes: 10,
  because: 'It was found.',
  ...more
});
const again = move('Compression again of cylinder 2', { kind: 'repeat', items: ['compression.pressure'] });
const wet = move('Wet test of cylinder 2', { items: ['compression.pressure'], conditions: { bores: 'oiled' } });
const lash = move('Valve lash of cylinder 2', { items: ['compression.lashIn', 'compression.lashEx'] });
const lowest: Repeat = { kind: 'lowest', cylinder: 2 };
const said = (r: Repeat, ...list: Move[]): string => nextAtGauge(r, list, 'us').sentence;

describe('what the compression sheet says is next', () => {
  it('is what the list asks of this check first', () => {
    expect(nextAtGauge({ kind: 'wet-test', cylinder: 2 }, [lash, wet], 'us')).toEqual({
      sentence: 'Valve lash of cylinder 2.',
      because: expect.stringMatching(/tells more than another reading/)
    });
    expect(said(lowest, wet)).toBe('Wet test of cylinder 2.');
    expect(said({ kind: 'heard', low: [2] }, lash)).toBe('Valve lash of cylinder 2.');
  });
  it('of a needle to be read again, or oil put in, it says at which cylinder and why', () => {
    expect(said(lowest, again, lash)).toBe('Repeat cylinder 2.');
    expect(nextAtGauge(lowest, [again], 'us').because).toMatch(/^Because a low reading is doubted/);
    expect(said({ kind: 'wet-test', cylinder: 2 }, wet)).toMatch(/^Wet test on cylinder 2/);
    expect(said({ kind: 'throttle' }, again)).toBe('Repeat with the throttle wide open.');
  });
  it('is what the test itself would gain by where nothing is asked of it', () => {
    expect(said({ kind: 'heard', low: [2] })).toMatch(/^No repeat/);
    expect(said(lowest)).toBe('Repeat cylinder 2.');
  });
  it('is no job, nothing of another check, and nothing that waits', () => {
    const others = [
      move('Lift the head', { kind: 'job' }),
      move('Spark', { station: 'spark' }),
      move('Leak-down', { waits: 'Plugs first.' })
    ];
    expect(said(lowest, ...others)).toBe('Repeat cylinder 2.');
  });
});
