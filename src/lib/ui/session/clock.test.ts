import { describe, expect, it } from 'vitest';
import { ServerClock } from './clock.ts';

const noon = Date.parse('2026-05-02T12:00:00.000Z');
const MINUTE = 60_000;

/** A device whose clock is so far off; its monotonic clock runs from its start. */
function device(off: number) {
  const kept = new Map<string, string>();
  const state = { true: noon, off, rested: 0 };
  const store = { getItem: (k: string) => kept.get(k) ?? null, setItem: (k: string, v: string) => void kept.set(k, v) };
  const make = (): ServerClock =>
    new ServerClock(
      () => state.true + state.off,
      () => state.true - noon - state.rested,
      store
    );
  return { state, make, clock: make() };
}

describe('the server’s time on a device', () => {
  it('is the device’s own until the server has told', () => {
    expect(device(10 * MINUTE).clock.now()).toBe(noon + 10 * MINUTE);
  });
  it.each([10 * MINUTE, -10 * MINUTE, 400 * 24 * 60 * MINUTE])('a clock that is %i ms off is put right', (off) => {
    const { clock, state } = device(off);
    const asked = clock.asked();
    state.true += 80;
    clock.answered(new Date(noon + 40).toISOString(), asked);
    expect(Math.abs(clock.now() - state.true)).toBeLessThan(60);
    expect(Math.abs(clock.added + off)).toBeLessThan(60);
  });
  it('a device that is right within a second is left alone', () => {
    const { clock } = device(400);
    clock.answered(new Date(noon).toISOString(), clock.asked());
    expect(clock.added).toBe(0);
  });
  it('a clock set back while it is used changes nothing: time runs on', () => {
    const { clock, state } = device(0);
    clock.answered(new Date(noon).toISOString(), clock.asked());
    state.true += 5 * MINUTE;
    state.off = -120 * MINUTE;
    expect(clock.now()).toBe(noon + 5 * MINUTE);
  });
  it('a device that slept is as late as its wall clock says', () => {
    const { clock, state } = device(0);
    clock.answered(new Date(noon).toISOString(), clock.asked());
    state.true += 90 * MINUTE;
    state.rested = 90 * MINUTE;
    expect(clock.now()).toBe(noon + 90 * MINUTE);
  });
  it('a quicker answer makes it closer; a slower one changes nothing', () => {
    const { clock, state } = device(10 * MINUTE);
    const tell = (trip: number, back: number): void => {
      const asked = clock.asked();
      state.true += trip;
      clock.answered(new Date(state.true - back).toISOString(), asked);
    };
    tell(1500, 1500);
    expect(Math.abs(clock.now() - state.true)).toBeGreaterThan(500);
    tell(20, 10);
    expect(Math.abs(clock.now() - state.true)).toBeLessThan(20);
    tell(9000, 9000);
    expect(Math.abs(clock.now() - state.true)).toBeLessThan(20);
  });
  it('what was set ahead is put right by the next answer', () => {
    const { clock, state } = device(0);
    clock.answered(new Date(noon).toISOString(), clock.asked());
    state.off = 120 * MINUTE;
    clock.answered(new Date(state.true).toISOString(), clock.asked());
    expect(clock.now()).toBe(state.true);
  });
  it('is known on a page that opens without a connection', () => {
    const d = device(10 * MINUTE);
    d.clock.answered(new Date(noon).toISOString(), d.clock.asked());
    d.state.true += 60 * MINUTE;
    expect(d.make().now()).toBe(noon + 60 * MINUTE);
  });
  it('nonsense in an answer or in the store is no time', () => {
    const { clock } = device(0);
    clock.answered('yesterday', 0);
    clock.answered(undefined, 0);
    expect(clock.now()).toBe(noon);
    const broken = new ServerClock(
      () => noon,
      () => 0,
      { getItem: () => 'x', setItem: () => {} }
    );
    expect(broken.now()).toBe(noon);
  });
});
